"""The board: a graph of steps with their values, its settings, names and plans."""

from .board import Board
from .pegs import numbers_of, with_numbers
from .settings import GROUNDS, PAPERS, UNITS, Photograph, Settings
from .step import PLAIN, Look, Step

__all__ = ["GROUNDS", "PAPERS", "PLAIN", "UNITS", "Board", "Look", "Photograph", "Settings", "Step", "numbers_of", "with_numbers"]
