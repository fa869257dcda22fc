"""Numeric libraries that are loaded when they are first used.

A drag needs plain floats only; NumPy and python-flint are large, and a browser that runs the hand beside the drawing
shall not have to fetch them before the first peg moves. So whoever makes arrays or proofs takes the library from here.
"""

from typing import TYPE_CHECKING

from ..late import Late

if TYPE_CHECKING:
    import flint
    import numpy as np
else:
    flint, np = Late("flint"), Late("numpy")

__all__ = ["flint", "np"]
