"""The edge of a region as a path: a place on it for every share of its length."""

from typing import Any

from ..arithmetic.late import np
from .edges import BentEdge, RoundEdge
from .region import Piece, Region


def place_on_edge(region: Region, shares: Any) -> tuple[Any, Any]:
    """The places on the edge of a region, as two arrays.

    Args:
        shares: from 0 to 1, by length, piece after piece; where one ring ends and the next begins the path leaps.
    """
    pieces = [piece for ring in region.rings for piece in ring]
    lengths = np.array([piece.edge.sums(piece.places)[0] for piece in pieces])
    ends = np.cumsum(lengths)
    at = np.clip(np.asarray(shares, dtype=float), 0, 1) * ends[-1]
    number = np.minimum(np.searchsorted(ends, at, side="left"), len(pieces) - 1)
    x, y = np.empty(at.shape), np.empty(at.shape)
    for one in np.unique(number):
        here = number == one
        x[here], y[here] = _along(pieces[one], (at[here] - ends[one] + lengths[one]) / lengths[one])
    return x, y


def _along(piece: Piece, shares: Any) -> tuple[Any, Any]:
    """The places at shares of a piece: exact on straight and round ones, by length within a parabola as nearly as it is even."""
    edge, places = piece.edge, piece.places
    if isinstance(edge, RoundEdge):
        start, turn = edge.turn(places)
        angles = start + shares * turn
        return edge.centre[0] + edge.radius * np.cos(angles), edge.centre[1] + edge.radius * np.sin(angles)
    if isinstance(edge, BentEdge):
        return edge.between(places[0], places[-1], shares)
    (ax, ay), (bx, by) = places[0], places[-1]
    return ax + shares * (bx - ax), ay + shares * (by - ay)
