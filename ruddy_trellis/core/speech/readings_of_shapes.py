"""Readings of shapes: areas, perimeters, and the radii and diameters of circles, of one or of each of several."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from ..kinds import CIRCLE, POLYGON, REGION
from ..language.expression import Formula
from .english import DIRECTIONS
from .nodes import Described, Many, Node, Ref
from .nouns import makes
from .refusals import Stray
from .spans import SHAPES, each, shape_of
from .things import Things


@makes("area", parts="of from in inside")
def areas(t: Things, node: Described) -> list[str]:
    of = node.role("of", "from", "in", "inside")
    if isinstance(of, Many):
        return [id for one in each(node, "of", "from", "in") for id in areas(t, one)]
    there = t.b.of_kind(POLYGON, CIRCLE, REGION)
    ids = _meant(t, node, of, there, lambda of: t.b.only("shape", there) if of is None else _shape(t, of))
    return [t.make("area", shape=(id,)) for id in ids]


#: What has an area.
_SHAPES = (*SHAPES, REGION)


def _shape(t: Things, node: Node) -> str:
    """A shape, as it is said of a reading: "it" is the last one. Raises Refusal."""
    if isinstance(node, Ref):
        t.check_it("shape", *_SHAPES)
        last = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in _SHAPES]
        return last[-1] if last else t.b.only("shape", t.b.of_kind(*_SHAPES))
    return t.aside(lambda: shape_of(t, node, _SHAPES))


@makes("perimeter", parts="of about from")
def perimeters(t: Things, node: Described) -> list[str]:
    there = t.b.of_kind(POLYGON, CIRCLE)
    ids = _meant(t, node, node.role("of", "about", "from"), there, lambda of: t.b.only("shape", there) if of is None else _shape(t, of))
    return [t.make("circumference", circle=(id,)) if t.b.kind(id) == CIRCLE else t.make("perimeter", polygon=(id,)) for id in ids]


def of_circle(t: Things, node: Described) -> list[str]:
    """The radius or the diameter of a circle, or of each of several. Raises Refusal."""
    for said in node.adjectives:
        if said in DIRECTIONS:
            raise Stray(f"“{said}” is not understood of a {node.head}.")
    circles = _meant(t, node, node.role("of", "in", "from"), t.b.of_kind(CIRCLE), t.round)
    if node.head == "radius":
        return [t.make("radius", circle=(id,)) for id in circles]
    radii = [t.b.make("radius", {"circle": (id,)}) for id in circles]
    return [t.make("calculation", formula=Formula("2 * {0}", ((radius,),))) for radius in radii]


def _meant(t: Things, node: Described, of: Node | None, there: Sequence[str], one: Callable[[Node | None], str]) -> list[str]:
    """Of what a reading is taken: of each of several that are said, of all that are there where several readings are asked for, or of one.
    Raises Refusal."""
    if isinstance(of, Many) or (isinstance(of, Described) and of.plural):
        return as_many(t, node, t.aside(lambda: t.all_of(of)))
    return as_many(t, node, there) if of is None and node.plural else [t.aside(lambda: one(of))]


def as_many(t: Things, node: Described, ids: Sequence[str]) -> list[str]:
    """The things of which several readings are taken. Raises Refusal where they are not as many as was said."""
    found = list(dict.fromkeys(ids))
    if node.plural and (len(found) < 2 or (node.count or len(found)) != len(found)):
        raise Stray(f"Of how many things is the {node.head} read? Here {'is' if len(found) == 1 else 'are'} {len(found)}.")
    return found
