"""What nouns stand for: of what kind it is, how it was made, which parts and words it takes, and what makes it."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from ..kinds import ARC, CIRCLE, CONIC, NUMBER, POINT, POLYGON, RAY, SEGMENT, STRAIGHTS, VECTOR
from .nodes import Described, Named, Where
from .refusals import Stray
from .tables import words

#: What makes a description: a function of the ``Things`` and of it, giving ids.
Maker = Callable[[Any, Described], list[str]]
#: The makers by the nouns that head their descriptions. The files of the kinds fill it.
MAKERS: dict[str, Maker] = {}
#: What kinds of thing a noun may speak of when it says "the circle".
KINDS_OF: dict[str, tuple[str, ...]] = {
    "point": (POINT,), "circle": (CIRCLE,), "line": STRAIGHTS, "segment": (SEGMENT,), "ray": (RAY,), "vector": (VECTOR,), "arc": (ARC,),
    "triangle": (POLYGON,), "quadrilateral": (POLYGON,), "polygon": (POLYGON,), "square": (POLYGON,), "rectangle": (POLYGON,),
    "rhombus": (POLYGON,), "kite": (POLYGON,), "trapezium": (POLYGON,), "parallelogram": (POLYGON,), "pentagon": (POLYGON,),
    "hexagon": (POLYGON,), "shape": (POLYGON,), "parabola": (CONIC,), "ellipse": (CONIC,), "hyperbola": (CONIC,), "dial": (NUMBER,),
    "chord": (SEGMENT,), "side": (SEGMENT,), "mirror-line": STRAIGHTS, "hypotenuse": (SEGMENT,),
}  # fmt: skip
#: Polygons that are called by how many sides they have; they are regular where no corners are named.
NAMED_BY_SIDES = {"pentagon": 5, "hexagon": 6, "heptagon": 7, "octagon": 8, "nonagon": 9, "decagon": 10, "dodecagon": 12}
CORNERS = {
    "triangle": 3,
    "quadrilateral": 4,
    "square": 4,
    "rectangle": 4,
    "rhombus": 4,
    "kite": 4,
    "trapezium": 4,
    "parallelogram": 4,
    **NAMED_BY_SIDES,
}
#: By which constructions a thing was made that a noun speaks of as being there.
MADE_AS: dict[str, tuple[str, ...]] = {
    "median": ("median",), "altitude": ("altitude",), "circumcircle": ("circumcircle",), "incircle": ("incircle",), "excircle":
    ("excircle",), "nine-point-circle": ("nine_point_circle",), "perpendicular-bisector": ("perpendicular_bisector",), "perpendicular":
    ("perpendicular", "perpendicular_bisector"), "parallel": ("parallel",), "angle-bisector": ("angle_bisector", "bisector_of_lines"),
    "bisector": ("angle_bisector", "perpendicular_bisector", "bisector_of_lines"), "tangent": ("tangent_at", "tangent_from",
    "common_tangent"), "midpoint": ("midpoint",), "foot": ("foot",), "intersection": ("intersection", "other_intersection"), "incentre":
    ("incentre",), "circumcentre": ("circumcentre",), "orthocentre": ("orthocentre",), "centroid": ("centroid",), "image": (),
    "semicircle": ("semicircle",), "euler-line": ("euler_line",), "nine-point-centre": ("nine_point_centre",), "antipode": (),
    "contact": ("touching_point",), "centre": ("centre",),
}  # fmt: skip


#: The parts that a noun takes, and the words that may stand beside it; what is not among them is refused by name.
TAKES: dict[str, tuple[frozenset[str], frozenset[str]]] = {}
#: Words that only say which of several things is meant, or that say nothing of a new one.
_ANYWHERE = words(
    """
    new free general arbitrary other same its small
    """
)


#: Nouns before which a size may stand.
_SIZED = words(
    """
    circle arc semicircle segment line radius ray angle triangle square rectangle rhombus parallelogram polygon enlargement rotation
    translation reflection
    """
).union(NAMED_BY_SIDES)
#: Readings that are of what is named after them: "area ABC".
OF_NAMED = frozenset(["area", "perimeter", "slope", "coordinates", "equation"])
#: Nouns after which only names of what is made stand.
ONE_LETTER = frozenset(
    [
        "midpoint",
        "foot",
        "centroid",
        "circumcentre",
        "incentre",
        "orthocentre",
        "nine-point-centre",
        "excentre",
        "centre",
        "antipode",
        "nearest-point",
        "furthest-point",
        "contact",
        "intersection",
        "focus",
        "pole",
    ]
)
#: Nouns after which a name of one point is no name for what is made.
OWN_NAMES = words(
    """
    point angle corner length distance area slope perimeter coordinates equation size sum difference product ratio triangle polygon
    """
)


#: What finds where two things meet: the file of points enters it.
MEETING: list[Callable[[Any, Where], list[str]]] = []


def finds_meetings(finder: Callable[[Any, Where], list[str]]) -> Callable[[Any, Where], list[str]]:
    """Enter the function that finds where things meet."""
    MEETING[:] = [finder]
    return finder


def makes(*heads: str, parts: str, words: str = "") -> Callable[[Maker], Maker]:
    """Enter a maker for some nouns.

    Args:
        parts: the parts that they take.
        words: the adjectives and adverbs that they take.
    """

    def entered(maker: Maker) -> Maker:
        MAKERS.update(dict.fromkeys(heads, maker))
        TAKES.update(dict.fromkeys(heads, (frozenset(parts.split()), frozenset(words.split()))))
        return maker

    return entered


def check_words(node: Described) -> None:
    """Raise Refusal for a word of a description that its noun does not take: no word that carries meaning is dropped."""
    parts, words = TAKES[node.head]
    for role, _ in node.roles:
        if role not in parts:
            raise Stray(f"“{role.replace('_', ' ')} …” is not understood of a {node.head.replace('-', ' ')}.")
    one = node.names[0] if len(node.names) == 1 and not node.roles and node.head != "point" else None
    if node.plural and isinstance(one, Named) and len(one.points) == 1:
        raise Stray(f"{one.text} is the name of one thing, and several are said.")
    if node.amounts and node.head not in _SIZED:
        raise Stray(f"{node.amounts[0]} is not understood of a {node.head.replace('-', ' ')}.")
    for said in (*node.adjectives, *node.extra):
        if said not in words and said not in _ANYWHERE:
            raise Stray(f"“{said.replace('-', ' ')}” is not understood of a {node.head.replace('-', ' ')}.")


#: How many things of one kind a noun draws.
_MOST_AT_ONCE = 12


def how_many(node: Described) -> int:
    """How many things are asked for. Raises Refusal for more than are drawn at once: never fewer than were said."""
    count = node.count or 1
    if count > _MOST_AT_ONCE:
        raise Stray(f"At most {_MOST_AT_ONCE} of a kind are drawn at once.")
    return count
