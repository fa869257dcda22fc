"""The display list: a board as primitives in board units, of which every output is a drawing."""

from .items import Extent, at_first, display, refreshed

__all__ = ["Extent", "at_first", "display", "refreshed"]
