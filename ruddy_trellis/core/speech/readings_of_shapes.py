"""Readings of shapes: areas, perimeters, and the radii and diameters of circles, of one or of each of several."""

from __future__ import annotations

from collections.abc import Sequence

from ..kinds import CIRCLE, POLYGON, REGION
from ..language.expression import Formula
from ..refusal import Refusal
from .english import DIRECTIONS
from .nodes import Described, Many, Node, Ref
from .nouns import makes
from .refusals import Stray
from .spans import each
from .things import Things


@makes("area", parts="of from in inside")
def areas(t: Things, node: Described) -> list[str]:
    of = node.role("of", "from", "in", "inside")
    if isinstance(of, Many) or (isinstance(of, Described) and of.plural):
        items = of.items if isinstance(of, Many) else ()
        if items:
            return [id for one in each(node, "of", "from", "in") for id in areas(t, one)]
        return [t.make("area", shape=(id,)) for id in t.aside(lambda: t.all_of(of))]
    if of is None and node.plural:
        return [t.make("area", shape=(id,)) for id in as_many(t, node, t.b.of_kind(POLYGON, CIRCLE, REGION))]
    if of is None:
        return [t.make("area", shape=(t.b.only("shape", t.b.of_kind(POLYGON, CIRCLE, REGION)),))]
    return [t.make("area", shape=(t.aside(lambda: _shape(t, of)),))]


#: What has an area.
_SHAPES = (CIRCLE, POLYGON, "sector", "chord_region", REGION)


def _shape(t: Things, node: Node) -> str:
    if isinstance(node, Ref):
        t.check_it("shape", *_SHAPES)
        last = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in _SHAPES]
        return last[-1] if last else t.b.only("shape", t.b.of_kind(*_SHAPES))

    def other() -> str:
        found = t.aside(lambda: t.all_of(node))
        if len(found) == 1 and t.b.kind(found[0]) in _SHAPES:
            return str(found[0])
        raise Refusal("A shape is needed here.")

    return str(t.either(lambda: t.polygon(node), other))


@makes("perimeter", parts="of about from")
def perimeters(t: Things, node: Described) -> list[str]:
    of = node.role("of", "about", "from")
    found = t.b.of_kind(POLYGON, CIRCLE)
    if isinstance(of, (Many, Described)) and (isinstance(of, Many) or of.plural):
        ids = as_many(t, node, t.aside(lambda: t.all_of(of)))
    elif of is None:
        ids = as_many(t, node, found) if node.plural else [t.b.only("shape", found)]
    else:
        ids = [t.aside(lambda: _shape(t, of))]
    return [t.make("circumference", circle=(id,)) if t.b.kind(id) == CIRCLE else t.make("perimeter", polygon=(id,)) for id in ids]


def as_many(t: Things, node: Described, ids: Sequence[str]) -> list[str]:
    """The things of which several readings are taken. Raises Refusal where they are not as many as was said."""
    found = list(dict.fromkeys(ids))
    if node.plural and (len(found) < 2 or (node.count or len(found)) != len(found)):
        raise Stray(f"Of how many things is the {node.head} read? Here {'is' if len(found) == 1 else 'are'} {len(found)}.")
    return found


def of_circle(t: Things, node: Described) -> list[str]:
    """The radius or the diameter of a circle, or of each of several. Raises Refusal."""
    for said in node.adjectives:
        if said in DIRECTIONS:
            raise Stray(f"“{said}” is not understood of a {node.head}.")
    of = node.role("of", "in", "from")
    if of is None and node.plural:
        circles = as_many(t, node, t.b.of_kind(CIRCLE))
    elif isinstance(of, (Many, Described)) and (isinstance(of, Many) or of.plural):
        circles = as_many(t, node, t.aside(lambda: t.all_of(of)))
    else:
        circles = [t.aside(lambda: t.round(of))]
    if node.head == "radius":
        return [t.make("radius", circle=(id,)) for id in circles]
    radii = [t.b.make("radius", {"circle": (id,)}) for id in circles]
    return [t.make("calculation", formula=Formula("2 * {0}", ((radius,),))) for radius in radii]
