"""The display list: a board as primitives in board units, of which every output is a drawing."""

from .extent import Extent
from .items import Before, at_first, display, refreshed

__all__ = ["Before", "Extent", "at_first", "display", "refreshed"]
