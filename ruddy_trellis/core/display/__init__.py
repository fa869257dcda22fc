"""The display list: a board as primitives in board units, of which every output is a drawing."""

from .items import Extent, display, refreshed

__all__ = ["Extent", "display", "refreshed"]
