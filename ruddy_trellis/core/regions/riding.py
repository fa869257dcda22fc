"""The edge of a region as a path: a place on it for every share of its length."""

from bisect import bisect_left
from itertools import accumulate
from typing import Any

from ..arithmetic.late import np
from .region import Region


def place_on_edge(region: Region, shares: Any) -> tuple[Any, Any]:
    """The places on the edge of a region, as two arrays.

    Args:
        shares: from 0 to 1, by length, piece after piece; where one ring ends and the next begins the path leaps.
    """
    pieces = [piece for ring in region.rings for piece in ring]
    lengths = [piece.length for piece in pieces]
    ends = list(accumulate(lengths))
    shares = np.asarray(shares, dtype=float)
    found = []
    for share in shares.ravel().tolist():
        at = min(max(share, 0.0), 1.0) * ends[-1]
        number = min(bisect_left(ends, at), len(pieces) - 1)
        piece = pieces[number]
        along = (at - ends[number] + lengths[number]) / lengths[number]
        found.append(piece.edge.at(piece.edge.between(piece.start, piece.stop, along)))
    shape = np.shape(shares)
    x, y = (np.array(part).reshape(shape) for part in zip(*found))
    return x, y
