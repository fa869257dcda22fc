"""How often a machine of chance tries in the test command, which is quick, and in the long walks (``make walks``)."""

import os

#: Whether all is tried, however long it takes.
IS_WHOLE = os.environ.get("WALKS") == "all"


def tries(count: int) -> int:
    """How many of so many tries are made: a third of them in the test command."""
    return count if IS_WHOLE else count // 3
