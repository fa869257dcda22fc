"""Clauses in which things meet, cross or touch."""

from __future__ import annotations

from typing import Any

from ..kinds import CIRCLE, POINT, STRAIGHTS
from ..refusal import Refusal
from .clauses import Bound
from .crossings import where_they_meet
from .lines_between import straight_between
from .nodes import Described, Many, Named, Node, Ref, Where
from .on_paths import is_on
from .riding import free_place_on
from .spans import centre_of, spans_of, with_facing_side
from .things import Things
from .verbs import points_in, verb


@verb
def meets(t: Things, bound: Bound) -> None:
    """ "l and m meet at X", "PA meets k again at B", ", meeting BC at D"."""
    again = "again" in bound.get("words", ()) or "second" in bound.get("words", ())
    touching = "touches" in bound.get("words", ())
    names = [t.b.free_name(name, POINT) for name in points_in(bound["n"])] if "n" in bound else []
    one, other = bound.get("x"), bound.get("y")
    if touching and one is None:
        lines = [id for id in t.b.recent.ids if id in t.b.last_group and t.b.ahead.step(id).does == "tangent_from"]
        for id, point in zip(lines, names):
            fills = t.b.ahead.step(id).fills
            t.b.make("touching_point", {"point": fills["point"], "curve": fills["circle"], "which": fills.get("which", "first")}, point)
        if not lines or len(lines) != len(names):
            raise Refusal("What touches what, and where?")
        return
    if one is None and other is not None and not again and not touching and (_each_its_base(t, other, names) or _cuts_two(t, other, names)):
        return
    if other is None and (one is None or isinstance(one, Ref)):
        one, other = _last_two(t)
    if one is None:
        one = Named(t.b.ahead.name(_last_drawn(t)))
    if isinstance(one, Ref):
        one = Named(t.b.ahead.name(_last_drawn(t)))
    if isinstance(other, Ref) and isinstance(one, Described) and one.head in ("perpendicular", "altitude") and not again:
        one = _drawn(t, one)  # "the perpendicular from A to BC meets it at D"
    if isinstance(other, Ref) and isinstance(one, Named) and (base := _base_of(t, one)) is not None:
        other = base
    if isinstance(other, Ref) and other.word == "them" and again and len(t.b.of_kind(CIRCLE)) == len(names) > 1:
        other = Described("circle", kind="old", plural=True)
    if isinstance(other, Ref):
        other = Named(t.b.ahead.name(_last_drawn(t, besides=getattr(one, "text", ""))))
    other = with_facing_side(t, one, other)
    if touching:
        _touching(t, one, other, names)
        return
    if isinstance(other, Described) and other.plural and not other.names and len(names) > 1:
        several = t.aside(lambda: t.all_of(other))
        if len(several) == len(names):  # "cuts the circles again at P and Q": each at one of them
            one = _drawn(t, one) if isinstance(one, Described) and one.kind == "new" and not one.plural else one
            for id, point in zip(several, names):
                each = {"x": one, "y": Named(t.b.ahead.name(id)), "n": Named(point, (point,)), "words": bound.get("words", ())}
                meets(t, {slot: value for slot, value in each.items() if value is not None})
            return
    if not names:
        t.all_of(Where(one, other, again))
        return
    there = [name for name in names if t.b.has(name)]
    if there and all(_lies_on(t, name, one, other) for name in names):
        return
    if len(there) == 1 and len(names) == 2 and _lies_on(t, there[0], one, other):
        names = [name for name in names if name not in there]  # "meets the circumcircle at A and D": again, at D
        again = True
    elif there:
        raise Refusal(f"{there[0]} is there already; whether they meet there is a claim.")
    t.names = [t.b.free_name(name, POINT) for name in names]
    if ("n2" in bound or isinstance(other, Many)) and isinstance(one, Described) and one.kind == "new" and not one.plural:
        # "a line through P meets l and m at Q and R": it is one line, made once.
        one = _drawn(t, one)
    if "n2" in bound:
        assert other is not None
        for what, to in ((other, bound["n"]), (bound["z"], bound["n2"])):
            points = points_in(to)
            if len(points) != 1:
                raise Refusal("One point for each of the two.")
            t.names = [t.b.free_name(points[0], POINT)]
            where_they_meet(t, Where(one, what, again))
        return
    if len(names) > 1 and isinstance(one, Described) and one.plural and other is not None and not one.names:
        lines = t.aside(lambda: t.all_of(one))
        if len(lines) == len(names):
            for name, line in zip(names, lines, strict=True):
                t.names = [name]
                where_they_meet(t, Where(Named(t.b.ahead.name(line)), other, again))
            return
    if len(names) > 1 and isinstance(other, Many):
        t.names = []
        if len(other.items) != len(names):
            raise Refusal("There are not as many points as things that are met.")
        for name, item in zip(names, other.items):
            t.names = [name]
            where_they_meet(t, Where(one, item, again))
        return
    if len(names) == 2 and not again and _is_secant(t, one, other, names):
        return
    found = where_they_meet(t, Where(one, other, again))
    if t.names:
        t.names = []
        raise Refusal("They do not meet so often.")
    t.b.recent.note(found)


def _is_secant(t: Things, one: Node | None, other: Node | None, names: list[str]) -> bool:
    """Where a new line through a point is said to meet a circle in two new points: it goes through one of them, which slides on the
    circle, so that it meets it wherever it is dragged to. Returns whether that was said, and done."""
    b = t.b
    through = one.role("through", "from") if isinstance(one, Described) else None
    if not isinstance(one, Described) or through is None or other is None or one.kind != "new" or one.plural or one.names:
        return False
    if one.head not in ("line", "secant") or len(one.roles) != 1 or one.adjectives not in ((), ("other",)) or any(map(b.has, names)):
        return False
    mark, waiting = b.mark(), t.names
    start = t.aside(lambda: t.point(through))
    circle = t.aside(lambda: t.all_of(other))
    if len(circle) != 1 or b.kind(circle[0]) != CIRCLE or is_on(t, start, (circle[0],)):
        b.back_to(mark)
        return False
    t.names = []
    near = b.make("point_on", {"path": (circle[0],), "place": free_place_on(t, (circle[0],))}, names[0])
    line = straight_between(t, "line", (start, near))
    b.make("other_intersection", {"a": (line,), "b": (circle[0],), "known": (near,)}, names[1])
    b.recent.note([line])
    t.names = waiting[len(names) :]
    return True


def _each_its_base(t: Things, other: Node, names: list[str]) -> bool:
    """Where perpendiculars that were just drawn are said to meet what they were drawn to: "meeting them at X and Y". Returns whether that
    was said, and done."""
    drawn = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in STRAIGHTS and not t.b.ahead.step(id).look.hidden]
    drawn = drawn[-len(names) :] if len(names) > 1 else []
    is_said = isinstance(other, Ref) and other.word == "them"
    bases = [_base_of(t, Named(t.b.ahead.name(id))) for id in drawn]
    if not is_said or len(drawn) < len(names) or None in bases or any(map(t.b.has, names)):
        return False
    for name, line, base in zip(names, drawn, bases, strict=True):
        t.names = [name]
        where_they_meet(t, Where(Named(t.b.ahead.name(line)), base))
    return True


def _cuts_two(t: Things, other: Node, names: list[str]) -> bool:
    """Where a line that was just drawn is said to cut two lines at two points: "draw a transversal cutting them at A and B". Returns
    whether that was said, and done: the line goes through points of them, which are called so now."""
    b = t.b
    is_said = (isinstance(other, Ref) and other.word == "them") or (
        isinstance(other, Described) and other == Described("line", kind=other.kind, plural=True, count=other.count) and other.kind != "new"
    )
    drawn = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in STRAIGHTS and not b.ahead.step(id).look.hidden]
    if not is_said or len(names) != 2 or len(drawn) < 3 or any(map(b.has, names)) or drawn[-1] in b.board:
        return False
    line, two = drawn[-1], [id for id in b.of_kind(*STRAIGHTS) if id in drawn[:-1]][-2:]
    fills = b.ahead.step(line).fills
    ends = (*fills.get("from", ()), *fills.get("to", ()))
    if [b.ahead.step(end).fills.get("path") for end in ends] == [(id,) for id in two]:
        return all(b.rename_new(end, name) for end, name in zip(ends, names))
    for name, id in zip(names, two):
        b.make("intersection", {"a": (line,), "b": (id,)}, name)
    return True


def _drawn(t: Things, one: Described) -> Node:
    """One line that is described, as it is called once it is drawn."""
    waiting, t.names = t.names, []
    drawn = t.aside(lambda: t.all_of(one))
    t.names = waiting
    return Named(t.b.ahead.name(drawn[0])) if len(drawn) == 1 else one


def _lies_on(t: Things, name: str, one: Node | None, other: Node | None) -> bool:
    """Whether a point that this sentence has made is where two things meet: then nothing is left to be done."""
    if not t.b.has(name) or t.b.point(name) in t.b.board:
        return False
    mark = t.b.mark()
    point = t.b.point(name)
    waiting, t.names = t.names, []
    try:
        found = where_they_meet(t, Where(one, other)) if one is not None else []
        here = t.b.ahead.value(point)
        near = [t.b.ahead.value(id) for id in found]
        return any(value is not None and abs(value[0] - here[0]) + abs(value[1] - here[1]) < 1e-6 for value in near)
    except Refusal:
        return False
    finally:
        t.b.back_to(mark)
        t.names = waiting


def _touching(t: Things, one: Node | None, other: Node | None, names: list[str]) -> None:
    """Where an incircle touches sides, where tangents from a point touch a circle."""
    b = t.b
    assert one is not None and other is not None
    found = t.aside(lambda: t.all_of(one))
    if all(b.kind(id) == CIRCLE for id in found):
        circle = found[0]
        if isinstance(other, Described) and other.head == "side" and other.plural:
            lines = list(t.aside(lambda: spans_of(t, other)))
        else:
            lines = [t.aside(lambda item=item: t.straight(item)) for item in (other.items if isinstance(other, Many) else (other,))]  # type: ignore[misc]
        if len(lines) != len(names):
            raise Refusal("There are not as many points as lines that are touched.")
        step = b.ahead.step(circle)
        centre = (
            b.make("incentre", {"triangle": step.fills["triangle"]}, hidden=not _is_shown(t, "incentre", step.fills["triangle"]))
            if step.does == "incircle"
            else centre_of(t, circle)
        )
        for name, line in zip(names, lines):
            if not is_on(t, b.make("foot", {"point": (centre,), "base": line}, name), (circle,)):
                raise Refusal(f"{b.ahead.name(circle)} does not touch that line now. Say: a circle touching AB at A.")
        return
    if all(b.ahead.step(id).does == "tangent_from" for id in found) and len(found) == len(names):
        for id, name in zip(found, names):
            fills = b.ahead.step(id).fills
            b.make("touching_point", {"point": fills["point"], "curve": fills["circle"], "which": fills.get("which", "first")}, name)
        return
    raise Refusal("Say which circle touches which lines, and where.")


def _is_shown(t: Things, key: str, triangle: Any) -> bool:
    return any(not t.b.ahead.step(id).look.hidden for id in t.b.ahead.alike(key, {"triangle": triangle}))


def _base_of(t: Things, node: Named) -> Node | None:
    """What a perpendicular or a parallel was drawn to: "it" after it."""
    ids = t.b.ahead.ids_named(node.text)
    step = t.b.ahead.step(ids[0]) if ids else None
    base = step.fills.get("base") if step is not None and step.does in ("perpendicular", "altitude", "parallel") else None
    if not base:
        return None
    names = tuple(t.b.ahead.name(id) for id in base)
    return Named("".join(names), names if len(names) == 2 else ())


def _last_drawn(t: Things, besides: str = "") -> str:
    """The straight thing or circle that was made or spoken of last."""
    found = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (*STRAIGHTS, CIRCLE) and not t.b.ahead.step(id).look.hidden]
    found = [id for id in found if t.b.ahead.name(id) != besides]
    if not found:
        raise Refusal("What meets it? Name both.")
    return found[-1]


def _last_two(t: Things) -> tuple[Node, Node]:
    found = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (*STRAIGHTS, CIRCLE) and not t.b.ahead.step(id).look.hidden]
    if len(found) < 2:
        raise Refusal("Two things are needed that meet.")
    return Named(t.b.ahead.name(found[-2])), Named(t.b.ahead.name(found[-1]))


@verb
def where_meet(t: Things, bound: Bound) -> None:
    again = "again" in bound.get("words", ())
    one, other = bound.get("x"), bound.get("y")
    if one is None and isinstance(other, (Named, Where)):
        raise Refusal("Where what meets what?")
    if one is None:
        assert other is not None
        t.all_of(other)
        return
    if other is None and isinstance(one, Ref):
        one, other = _last_two(t)
    if other is None and not isinstance(one, (Described, Many)):
        raise Refusal("Two things are needed that meet.")
    where_they_meet(t, Where(one, other, again))
