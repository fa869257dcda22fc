"""What comes before everything else is loaded: the collector rests until the application is put together, for all that comes to be
meanwhile stays (see ``web.application``)."""

import gc

gc.disable()
