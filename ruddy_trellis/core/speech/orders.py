"""What is claimed or supposed of an order: in or out, which side, between, which is more."""

from __future__ import annotations

from collections.abc import Sequence

from ..catalogue import CATALOGUE
from ..formulas.orders import ORDERLY
from ..kinds import CLAIM
from ..language.expression import Formula
from ..refusal import Refusal
from . import claims
from .amounts import length_said
from .claims import order, says, term
from .clauses import Bound
from .english import COMPARED
from .nodes import Described, Many, Named, Node
from .spans import enclosing
from .things import Things
from .verbs import verb


@says
def inside(t: Things, slots: Bound) -> None:
    _in_or_out(t, slots, "inside")


@says
def outside(t: Things, slots: Bound) -> None:
    _in_or_out(t, slots, "outside")


def _in_or_out(t: Things, slots: Bound, word: str) -> None:
    shape = enclosing(t, slots["y"])
    for point in t.points(slots["x"]):
        order(t, "in_or_out", point=(point,), inside=word, shape=(shape,))


@says
def above(t: Things, slots: Bound) -> None:
    _over(t, slots, "above")


@says
def below(t: Things, slots: Bound) -> None:
    _over(t, slots, "below")


def _over(t: Things, slots: Bound, word: str) -> None:
    straight = t.straight(slots["y"])
    for point in t.points(slots["x"]):
        order(t, "over", point=(point,), over=word, straight=straight)


@says
def one_side(t: Things, slots: Bound) -> None:
    _sides(t, slots, "one side")


@says
def different_sides(t: Things, slots: Bound) -> None:
    _sides(t, slots, "different sides")


def _sides(t: Things, slots: Bound, word: str) -> None:
    points = t.points(slots["x"])
    if len(points) != 2:
        raise Refusal("Two points are on one side of a line, or on different ones. Say: P and C are on one side of AB.")
    order(t, "sides", a=(points[0],), b=(points[1],), side=word, straight=t.straight(slots["y"]))


@says
def between(t: Things, slots: Bound) -> None:
    ends = t.points(slots["y"])
    if len(ends) != 2:
        raise Refusal("Between which two points? Say: D is between A and B.")
    order(t, "between", point=(t.point(slots["x"]),), a=(ends[0],), b=(ends[1],))


@says
def within_length(t: Things, slots: Bound) -> None:
    _far(t, slots, "<" if "less-than" in slots.get("words", ()) else "≤")


@says
def further_than(t: Things, slots: Bound) -> None:
    _far(t, slots, ">" if "more-than" in slots.get("words", ()) else "≥")


def _far(t: Things, slots: Bound, sign: str) -> None:
    a, b = t.point(slots["x"]), t.point(slots["y"])
    size = length_said(t, slots["v"])
    if not isinstance(size, float):
        raise Refusal("A distance is needed here, such as 5 m.")
    comparison = Formula(f"{{0}} {sign} {size:g}", ((a, b),))
    if t.is_supposing:
        t.b.suppose("compared", {"comparison": comparison})
    else:
        # Asked of a length in numbers is whether it is so now, as a reading tells it; that it always is nobody would claim.
        t.make("calculation", formula=comparison)


@says
def longer(t: Things, slots: Bound) -> None:
    sign = next((COMPARED[word] for word in slots.get("words", ()) if word in COMPARED), ">")
    _compare(t, slots["x"], sign, slots["y"])


def _compare(t: Things, x: Node, sign: str, y: Node) -> None:
    places: list[tuple[str, ...]] = []
    one, other = (term(t, node, places) for node in (x, y))
    if not places:
        raise Refusal("Of two numbers it is known which is more.")
    order(t, "compared", comparison=Formula(f"{one} {sign} {other}", tuple(places)))


# Suppositions.


@verb
def suppose(t: Things, bound: Bound) -> None:
    """ "let P be inside ABC", "suppose AB is longer than AC", of things that are there."""
    does, slots = bound["claim"]
    before, t.is_supposing = len(t.b.new), True
    try:
        claims.claim(t, does, slots)
    finally:
        t.is_supposing = False
    if any(CATALOGUE[new.does].makes == CLAIM for new in t.b.new[before:]):
        raise Refusal("What is equal, in line or parallel is made so, or claimed. Supposed is an order: inside, above, acute, longer than.")


def suppose_of_shape(t: Things, node: Described, polygons: list[str]) -> None:
    """What is said of a shape besides how it is made: that it is acute, that one of its sides is longer than another."""
    for word in ORDERLY:
        if word in node.adjectives:
            for polygon in polygons:
                t.b.suppose("orderly", {"polygon": (polygon,), "word": word})
    facts = node.role("facts")
    said = facts.items if isinstance(facts, Many) else ()
    corners = {t.b.ahead.name(id) for polygon in polygons for id in t.b.ahead.step(polygon).fills.get("corners", ())}
    for fact in said:
        if isinstance(fact, Described) and fact.extra[:1] == ("more",) and not set(_points_of(fact)) <= corners:
            raise Refusal(f"That is said of other points than {', '.join(sorted(corners))}.")
    suppose_facts(t, said)


def _points_of(node: Node) -> list[str]:
    """The points that a fact names: of its sides, and of its angles by their corners."""
    if isinstance(node, Named):
        return list(node.points)
    return [point for name in node.names for point in _points_of(name)] if isinstance(node, Described) else []


def suppose_facts(t: Things, facts: Sequence[Node]) -> None:
    """Suppose those facts that say which of two is more."""
    for fact in facts:
        if isinstance(fact, Described) and fact.extra[:1] == ("more",):
            t.is_supposing = True
            try:
                _compare(t, fact.names[0], fact.extra[1], fact.names[1])
            finally:
                t.is_supposing = False
