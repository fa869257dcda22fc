"""Conditions as polygons whose corners lie on their exact edges, for a library to unite, cut and take apart."""

from collections.abc import Iterable
from functools import lru_cache
from typing import Any

from ..arithmetic.late import np, shapely
from .conditions import Condition, Ring
from .edges import Edge

#: The ways to put conditions together.
ALL, ANY, NONE = "all", "any", "none"
HOW = (ALL, ANY, NONE)
#: What is smaller than this share of the square of its girth is a sliver, left over where edges are as good as the same.
_SLIVER = 1e-7


def _outline(rings: Iterable[Ring]) -> Any:
    """Some rings united, as a shapely geometry."""
    made = []
    for ring in rings:
        polygon = shapely.Polygon(np.concatenate([edge.corners() for edge in ring.edges]))
        made.append(polygon if polygon.is_valid else polygon.buffer(0))
    return made[0] if len(made) == 1 else shapely.union_all(made)


@lru_cache(maxsize=512)
def outlined(condition: Condition, reach: float) -> tuple[Any, bool, tuple[Edge, ...]]:
    """The outline on one side of a condition, whether it holds inside that, and the edges of it. What is not dragged is the same
    again and again, so it is kept."""
    rings, inside = condition.rings(reach)
    geometry = _outline(rings)
    shapely.prepare(geometry)
    return geometry, inside, tuple(edge for ring in rings for edge in ring.edges)


def together(conditions: Iterable[Condition], how: str, whole: Any, reach: float) -> list[Any]:
    """The polygons of the part of a whole where conditions hold.

    Args:
        how: whether all of them, any or none.
        whole: within what, as a shapely geometry.
        reach: how far what is endless goes.

    Returns:
        Shapely polygons without slivers, their outsides anticlockwise.
    """
    found = shapely.Polygon() if how == ANY else whole
    for condition in conditions:
        part, inside, _ = outlined(condition, reach)
        if how == ANY:
            found = found.union(whole.intersection(part) if inside else whole.difference(part))
        elif inside == (how == ALL):
            found = found.intersection(part)
        else:
            found = found.difference(part)
        if found.is_empty and how != ANY:
            return []
    polygons = [one for one in shapely.get_parts(found) if one.geom_type == "Polygon"]
    return [shapely.orient_polygons(one) for one in polygons if one.area > _SLIVER * one.length**2]
