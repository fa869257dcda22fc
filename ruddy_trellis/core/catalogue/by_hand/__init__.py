"""Compass work: how what is made in one step is drawn by hand, with straightedge and compasses."""

from .ways import WAYS, Way, is_drawn
from .work import Made, Work

__all__ = ["WAYS", "Made", "Way", "Work", "is_drawn"]
