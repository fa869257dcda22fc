"""Numeric libraries that are loaded when they are first used.

A drag needs plain floats only; NumPy, python-flint and Shapely are large, and a browser that runs the hand beside the drawing
shall not have to fetch them before the first peg moves. So whoever makes arrays or proofs takes the library from here.
"""

from importlib import import_module
from typing import TYPE_CHECKING, Any


class _Late:
    """Stands for a module until something of it is asked for; what was found is kept."""

    def __init__(self, name: str) -> None:
        self.__dict__["_name"] = name

    def __getattr__(self, attribute: str) -> Any:
        found = getattr(import_module(self.__dict__["_name"]), attribute)
        self.__dict__[attribute] = found
        return found


if TYPE_CHECKING:
    import flint
    import numpy as np
    import shapely
else:
    flint, np, shapely = _Late("flint"), _Late("numpy"), _Late("shapely")

__all__ = ["flint", "np", "shapely"]
