"""Compass work: how what is made in one step is drawn by hand, with straightedge and compasses."""

from .ways import WAYS, Way, way_of
from .work import Made, Work

__all__ = ["WAYS", "Made", "Way", "Work", "way_of"]
