"""Where things meet, and where tangents touch."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import replace
from typing import Any

from ..kinds import ARC, CIRCLE, CONIC, LINE, RAY, SEGMENT, STRAIGHTS, VECTOR
from ..refusal import Refusal
from .nodes import Described, Many, Named, Node, Ref, Where
from .nouns import finds_meetings, makes
from .refusals import Final
from .spans import best_crossing, crossings_now, distance_between, facing_first, with_facing_side
from .things import Things
from .wishes import OF_PLACES, wish


@makes(
    "intersection",
    parts="of between with and to closer further other_than above below inside outside same_side_of other_side_of same_side_as from",
    words="second again common left right upper lower",
)
def crossings(t: Things, node: Described) -> list[str]:
    if (wanted := _which_said(t, node)) is not None:
        return _chosen(t, node, wanted)
    of = node.role("of", "between")
    second = "second" in node.adjectives or "other" in node.adjectives or "again" in node.extra
    other = node.role("with", "and", "to")
    if isinstance(of, Many) and len(of.items) == 2 and other is None:
        return _meeting(t, of.items[0], of.items[1], second, node)
    if of is not None and other is not None:
        return _meeting(t, of, other, second, node)
    if isinstance(of, (Described, Many, Named, Ref)):
        return where_they_meet(t, Where(of, None))
    if of is None and node.kind == "old":
        return where_they_meet(t, Where(_lately_straight(t), None))
    raise Refusal("Of which two things? Say: the intersection of l and m.")


#: Which way one of two crossings lies off the other, by the words for it.
_SIDES = {"left": (-1, 0), "right": (1, 0), "upper": (0, 1), "lower": (0, -1)}
#: Two crossings are not told apart by a word that they fit as well, to this share of how far they are from one another.
_AS_GOOD = 0.02


def _which_said(t: Things, node: Described) -> Callable[[Any], float] | None:
    """How well a place is the crossing that is meant, where it was said which: the smaller, the better."""
    for part, sign in (("closer", 1), ("further", -1), ("other_than", -1)):
        if (said := node.role(part)) is not None:
            return _distance_times(sign, t.b.now(t.point_aside(said)))
    if asked := tuple((role, part) for role, part in node.roles if role in OF_PLACES):
        guesses = list(t.b.guesses)
        fits, _ = wish(t, replace(node, roles=asked))
        t.b.guesses[:] = guesses  # it is chosen by where they are now, and nothing is supposed
        return lambda place: 0.0 if fits(place) else math.inf
    ways = [_SIDES[word] for word in node.adjectives if word in _SIDES]
    if not ways:
        return None
    return lambda place: -sum(x * place[0] + y * place[1] for x, y in ways)


def _distance_times(sign: int, at: Any) -> Callable[[Any], float]:
    return lambda place: sign * distance_between(place, at)


def _chosen(t: Things, node: Described, wanted: Callable[[Any], float]) -> list[str]:
    """The one crossing of two paths that is meant most; a refusal where they fit as well, or where there is one only."""
    of, other = node.role("of", "between"), node.role("with", "and", "to")
    if other is None and (isinstance(of, Ref) or (of is None and node.kind == "old")):
        of = _lately_straight(t)
    if other is None and isinstance(of, Described) and of.plural:
        ids = t.aside(lambda of=of: t.all_of(of))  # type: ignore[misc]
        of = Many(tuple(Named(t.b.ahead.name(id)) for id in ids))
    if other is None and isinstance(of, Many) and len(of.items) == 2:
        of, other = of.items
    if of is None or other is None:
        raise Refusal("Of which two things? Say: the upper intersection of l and k.")
    a, b = t.aside(lambda: t.path(of)), t.aside(lambda: t.path(other))
    a, b = _whole(t, a, b), _whole(t, b, a)
    if not (_is_curved(t, a) or _is_curved(t, b)):
        raise Final("Two straight things meet in one point only, so there is none to be told from another.")
    but = node.role("other_than")
    if but is not None and (known := _known_crossing(t, a, b)) == t.point_aside(but):
        return [t.make("other_intersection", a=a, b=b, known=(known,))]
    found = dict(crossings_now(t, a, b))
    if len(found) < 2:
        raise Final("They do not meet in two points now, so there is none to be told from the other.")
    first, second = (wanted(place) for place in found.values())
    if math.inf == first == second:
        raise Final("Neither of the points where they meet is there now.")
    if first == second or abs(first - second) <= _AS_GOOD * distance_between(*found.values()):
        raise Final("Both of the points where they meet fit that as well. Say which one in another way, or click it.")
    return [_settled(t, t.make("intersection", a=a, b=b, which="first" if first < second else "second"))]


def _lately_straight(t: Things) -> Many:
    """The two straight things or circles that were spoken of last."""
    b = t.b
    found = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in (*STRAIGHTS, CIRCLE)]
    new = [id for id in found if id not in b.board]
    found = new if len(new) > 1 else found
    if len(found) < 2:
        raise Refusal("Of which two things is the crossing meant?")
    return Many(tuple(Named(b.ahead.name(id)) for id in found[-2:]))


@finds_meetings
def where_they_meet(t: Things, node: Where) -> list[str]:
    """Where two things meet; where several lines of a sort do (the medians, the altitudes), the point that they have in common."""
    if (other := with_facing_side(t, node.one, node.other)) is not None:
        return _meeting(t, node.one, other, node.again, None)
    one = node.one
    if isinstance(one, Many) and len(one.items) >= 2:
        return _meeting(t, one.items[0], one.items[1], node.again, None)
    if isinstance(one, Ref):
        one = _lately_straight(t)
        return _meeting(t, one.items[0], one.items[1], node.again, None)
    if isinstance(one, Described) and len(one.names) >= 2:
        first, second = (replace(one, names=(name,), plural=False) for name in one.names[:2])
        return _meeting(t, first, second, node.again, None)
    of = one.role("of") if isinstance(one, Described) and not one.plural else None
    if isinstance(one, Described) and isinstance(of, Described) and of.head == "angle" and len(of.names) == 2:
        # "of the bisector of angle A and BC": what is named last is the other thing that meets.
        bisector = replace(one, roles=(("of", replace(of, names=of.names[:1], plural=False)),))
        return _meeting(t, bisector, of.names[1], node.again, None)
    if (
        isinstance(one, Described)
        and one.head in _COMMON
        and "external" not in one.adjectives
        and not isinstance(one.role("of"), Many)
        and one.role("from") is None
        and not one.names
        and (triangle := _triangle_with(t, one)) is not None
    ):
        return [t.make(_COMMON[one.head], triangle=triangle)]
    ids = t.aside(lambda: t.all_of(one))
    if len(ids) < 2:
        raise Refusal("Two things are needed that meet.")
    return crossing_of(t, (ids[0],), (ids[1],), node.again)


_COMMON = {
    "median": "centroid", "altitude": "orthocentre", "perpendicular-bisector": "circumcentre", "angle-bisector": "incentre",
    "bisector": "incentre",
}  # fmt: skip


def _triangle_with(t: Things, node: Described) -> tuple[str, ...] | None:
    """The triangle whose lines of one sort are said to meet. None where they are those of another shape, or of corners that no triangle
    has."""
    of = node.role("of", "in", "from")
    said = of.names if isinstance(of, Described) and of.head in ("side", "angle") else ()
    told = {point for name in said if isinstance(name, Named) for point in name.points}
    try:
        triangle = t.aside(lambda: t.triangle(_triangle_said(node)))
    except Refusal:
        if not told:
            raise
        return None
    return triangle if told <= {t.b.ahead.name(id) for id in triangle} else None


def _triangle_said(node: Node) -> Node | None:
    of = node.role("of", "in", "from") if isinstance(node, Described) else None
    if (isinstance(of, Described) and of.head in ("side", "angle")) or of is None:
        return of.role("of") if isinstance(of, Described) else None
    return of


def _meeting(t: Things, one: Node, other: Node, again: bool, said: Described | None) -> list[str]:
    a = t.aside(lambda: t.path(one))
    b = t.aside(lambda: t.path(other))
    parts = [path for path, node in ((a, one), (b, other)) if isinstance(node, Described) and node.head in ("segment", "chord")]
    return crossing_of(t, a, b, again, said.plural if said is not None else False, parts)


def crossing_of(
    t: Things, a: tuple[str, ...], b: tuple[str, ...], again: bool, plural: bool = False, parts: Sequence[tuple[str, ...]] = ()
) -> list[str]:
    """The crossing of two paths, all of them where more names wait, the other one where one is known.

    Args:
        parts: those of the paths that were said to be parts of lines, and are not gone beyond.
    """
    building = t.b
    a, b = a if a in parts else _whole(t, a, b), b if b in parts else _whole(t, b, a)
    curved = [path for path in (a, b) if len(path) == 1 and building.kind(path[0]) in (CIRCLE, ARC, CONIC)]
    if not curved:
        return [_settled(t, t.make("intersection", a=a, b=b))]
    known = _known_crossing(t, a, b)
    if again or (known is not None and len(t.names) <= 1 and not plural):
        if known is None:
            raise Refusal("Where do they meet first? There is no point yet in which they meet.")
        return [t.make("other_intersection", a=a, b=b, known=(known,))]
    if parts and not plural and len(t.names) < 2:
        there = [which for which, _ in crossings_now(t, a, b)]
        if not there:
            raise Refusal("They do not meet within that part now.")
        return [_settled(t, t.make("intersection", a=a, b=b, which=which)) for which in (there[:1] if t.names else there)]
    if len(t.names) > 1 or plural or not t.names:
        found = [t.make("intersection", a=a, b=b, which=which) for which in ("first", "second")]
        return [_settled(t, id) for id in found]
    return [_settled(t, t.make("intersection", a=a, b=b, which=_shown_crossing(t, a, b)))]


def _settled(t: Things, id: str) -> str:
    t.b.settle(id)
    return id


def _shown_crossing(t: Things, a: tuple[str, ...], b: tuple[str, ...]) -> str:
    """Which crossing is meant by one alone: that nearer to the point that a line leads to, else the first that is there."""
    end = _second_end(t, a) or _second_end(t, b)
    return best_crossing(t, a, b, lambda place: -distance_between(place, end) if end is not None else 0.0)


def _second_end(t: Things, path: tuple[str, ...]) -> Any:
    """Where the second of the two points is through which a straight thing goes; None where there is none."""
    if len(path) == 2:
        return t.b.ahead.value(path[1])
    to = t.b.ahead.step(path[0]).fills.get("to") if t.b.kind(path[0]) in STRAIGHTS else None
    return t.b.ahead.value(to[0]) if to else None


def _known_crossing(t: Things, a: tuple[str, ...], b: tuple[str, ...]) -> str | None:
    """A point that lies on both by construction."""
    on_a, on_b = _on(t, a), _on(t, b)
    common = [id for id in on_a if id in on_b]
    return common[0] if common else None


def _on(t: Things, path: tuple[str, ...]) -> list[str]:
    if len(path) == 2:
        return list(path)
    return t.b.points_on(path[0])


def _whole(t: Things, path: tuple[str, ...], other: tuple[str, ...]) -> tuple[str, ...]:
    """The whole line instead of a part of it that does not reach what it is to meet."""
    b = t.b
    kind = b.kind(path[0]) if len(path) == 1 else SEGMENT
    if kind not in (SEGMENT, VECTOR, RAY):
        return path
    mark = b.mark()
    try:
        id = b.make("intersection", {"a": path, "b": other}, None, True)
        there = b.ahead.value(id) is not None and not (_is_curved(t, other) and kind != RAY)
    finally:
        b.back_to(mark)
    if there:
        return path
    if len(path) == 2:
        line = b.straight_between(*path, kinds=(LINE,)) or b.make("line", {"from": path[:1], "to": path[1:]}, hidden=True)
        return (line,)
    step = b.ahead.step(path[0])
    if step.does in ("segment", "ray", "vector"):
        return (b.make("line", {"from": step.fills["from"], "to": step.fills["to"]}, hidden=True),)
    if step.does == "altitude":
        return (b.make("perpendicular", {"base": step.fills["base"], "point": step.fills["corner"]}, hidden=True),)
    if step.does == "median":
        middle = b.make("midpoint", {"span": step.fills["side"]}, hidden=True)
        return (b.make("line", {"from": step.fills["corner"], "to": (middle,)}, hidden=True),)
    return path


def _is_curved(t: Things, path: tuple[str, ...]) -> bool:
    return len(path) == 1 and t.b.kind(path[0]) in (CIRCLE, ARC, CONIC)


@makes("contact", parts="from of on to with")
def contacts(t: Things, node: Described) -> list[str]:
    """Where tangents from a point touch."""
    start, curve = node.role("from", "of"), node.role("on", "to", "of", "with")
    if isinstance(start, Described) and start.head == "tangent":
        curve, start = start.role("to"), start.role("from")
    if isinstance(start, Described) and start.head in ("incircle", "inscribed"):
        return _contacts_of_incircle(t, start, node.role("on", "to", "with"))
    if start is None:
        made = [step for step in t.b.ahead.steps if step.does == "tangent_from"][-2:]
        if not made:
            raise Refusal("From which point? Say: the touching points from P on k.")
        return [
            t.make("touching_point", point=step.fills["point"], curve=step.fills["circle"], which=step.fills.get("which", "first"))
            for step in made
        ]
    point = t.aside(lambda: t.point(start))
    circle = t.aside(lambda: t.round(curve))
    if node.plural or len(t.names) > 1:
        return [t.make("touching_point", point=(point,), curve=(circle,), which=which) for which in ("first", "second")]
    return [t.make("touching_point", point=(point,), curve=(circle,), which="first")]


def _contacts_of_incircle(t: Things, node: Described, on: Node | None) -> list[str]:
    """Where an incircle touches the sides, or one of them: the feet of the perpendiculars from its centre to them."""
    (circle,) = t.aside(lambda: t.all_of(node))
    corners = t.b.ahead.step(circle).fills.get("triangle", ())
    if len(corners) == 1:
        corners = t.b.ahead.step(corners[0]).fills["corners"]
    if len(corners) != 3:
        raise Refusal("Of which triangle? Say: where the incircle of ABC touches the sides.")
    centre = t.b.make("incentre", {"triangle": t.b.ahead.step(circle).fills["triangle"]}, hidden=True)
    if on is not None and not (isinstance(on, Described) and on.head == "side" and on.plural and not on.names):
        said = on.items if isinstance(on, Many) else (on,)
        sides = t.aside(lambda: [t.straight(item) for item in said])
    else:
        sides = facing_first(t, [(corners[0], corners[1]), (corners[1], corners[2]), (corners[2], corners[0])])
    return [t.make("foot", point=(centre,), base=side) for side in sides]
