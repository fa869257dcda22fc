"""The display list: a board as primitives in board units, of which every output is a drawing."""

from .extent import Extent
from .items import at_first, display, refreshed

__all__ = ["Extent", "at_first", "display", "refreshed"]
