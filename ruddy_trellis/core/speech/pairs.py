"""Straight things that are said together by what they are to each other: parallel lines, equal chords, perpendicular diameters."""

from __future__ import annotations

from collections.abc import Sequence

from ..kinds import LINE
from ..refusal import Refusal
from .lines_between import straight_between
from .nodes import Described, Named
from .refusals import Stray
from .riding import free_place_on
from .spans import centre_of
from .things import Things

#: How "equal" is read before several things.
_EQUAL = "of-one-size"
#: What two or more straight things are said to be to each other.
_RELATIONS = frozenset(("parallel", "perpendicular", _EQUAL))
#: Which of the things that are said so are drawn as which.
_DRAWN_AS = {"line": "line", "ray": "ray", "segment": "segment", "vector": "vector"}
_OF_CIRCLES = ("chord", "diameter", "radius")
_ENDS = 2
#: How many lines can be perpendicular to each other in a plane.
_MOST_PERPENDICULAR = 2


def relation_said(t: Things, node: Described) -> str | None:
    """What the things of a phrase are said to be to each other, where it is one for several; None otherwise."""
    said = _RELATIONS & (set(node.adjectives) | set(node.extra))
    if len(said) != 1 or node.head not in (*_DRAWN_AS, *_OF_CIRCLES) or any(role not in ("of", "in", "to") for role, _ in node.roles):
        return None
    several = len(node.names) or node.count or len(t.names)
    return next(iter(said)) if several > 1 else None


def related(t: Things, node: Described, relation: str) -> list[str]:
    """Draw several straight things of a kind that are parallel, perpendicular or equal to the first of them. Raises Refusal."""
    spans = [_ends_of(name) for name in node.names if isinstance(name, Named)]
    if len(spans) != len(node.names):
        raise Refusal("Say them by their names.")
    if spans and all(span is None for span in spans):
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
        spans = []
    if any(span is None for span in spans):
        raise Refusal("Say each of them by its two ends, or each by one name.")
    ends = [span for span in spans if span is not None]
    many = len(ends) or node.count or len(t.names)
    if relation == "perpendicular" and many > _MOST_PERPENDICULAR:
        raise Refusal("In a plane, two lines are perpendicular to each other, and a third is parallel to one of them.")
    if node.head in _OF_CIRCLES:
        return _in_a_circle(t, node, relation, ends or [("", "")] * many)
    if node.head == "line" and relation == _EQUAL:
        raise Stray("Lines have no ends and no length: say segments.")
    if not ends and node.head == "line":
        return _unnamed_lines(t, relation, many)
    b, drawn_as = t.b, _DRAWN_AS[node.head]
    first, *others = ends or [("", "")] * many
    made = [straight_between(t, drawn_as, (_free(t, first[0]), _free(t, first[1])))]
    for span in others:
        start, finish = _start_first(t, span, first)
        one = _free(t, start)
        if finish and b.has(finish):
            raise Refusal(f"{start} and {finish} are there already; whether {start}{finish} is so is a claim.")
        path = _path_of_end(t, made[0], one, relation, hidden=node.head != "line")
        other = b.make("point_on", {"path": (path,), "place": free_place_on(t, (path,))}, finish or None)
        made.append(
            path if node.head == "line" else straight_between(t, drawn_as, (one, other) if (start, finish) == span else (other, one))
        )
    return made


def _ends_of(name: Named) -> tuple[str, str] | None:
    return (name.points[0], name.points[1]) if len(name.points) == _ENDS else None


def _free(t: Things, name: str) -> str:
    """A point that is there, or a new one: by its name, or without."""
    return t.b.point(name) if name else t.aside(t.b.free_point)


def _start_first(t: Things, span: tuple[str, str], first: tuple[str, str]) -> tuple[str, str]:
    """The ends of one of the others, that from which it is drawn first: one that the first has too, or that is there."""
    one, other = span
    return (other, one) if other in first or (t.b.has(other) and not t.b.has(one)) else (one, other)


def _path_of_end(t: Things, first: str, one: str, relation: str, hidden: bool = True) -> str:
    """On what the other end of a thing is that begins at a point, so that it is to the first one what was said."""
    if relation == _EQUAL:
        return t.b.make("circle_radius", {"centre": (one,), "radius": t.b.ends(first)}, hidden=True)
    return t.b.make(relation, {"base": (first,), "point": (one,)}, hidden=hidden)


def _unnamed_lines(t: Things, relation: str, many: int) -> list[str]:
    """New lines that are said by one name each, or by none."""
    b = t.b
    names = [t.take_name(LINE) for _ in range(many)] if len(t.names) == many else [None] * many
    ends = t.aside(lambda: (b.free_point(), b.free_point()))
    made = [b.make("line", {"from": ends[:1], "to": ends[1:]}, names[0])]
    for name in names[1:]:
        point = t.aside(b.free_point)
        made.append(b.make(relation, {"base": (made[0],), "point": (point,)}, name))
    return made


def _in_a_circle(t: Things, node: Described, relation: str, spans: Sequence[tuple[str, str]]) -> list[str]:
    """Chords, diameters and radii of one circle."""
    b = t.b
    circle = t.aside(lambda: t.round(node.role("of", "in", "to")))
    if node.head == "chord":
        return _chords(t, circle, relation, spans)
    if relation == "parallel":
        raise Stray(f"“parallel” is not understood of a {node.head}: all of them go through the centre.")
    centre = t.aside(lambda: centre_of(t, circle))
    quarter = b.make("rotation", {"centre": (centre,), "angle": 90.0}, hidden=True) if relation == "perpendicular" else None
    half = b.make("point_reflection", {"centre": (centre,)}, hidden=True) if node.head == "diameter" else None
    made: list[str] = []
    first = ""
    for number, (one, other) in enumerate(spans):
        if node.head == "radius" and one:
            one = other if b.ahead.name(centre) == one else one
        if number and quarter is not None:
            start = b.make("image_point", {"of": (first,), "by": (quarter,)}, one or None)
        else:
            start = _on_circle(t, circle, one)
        first = first or start
        if half is None:
            made.append(straight_between(t, "segment", (centre, start)))
            continue
        end = b.make("image_point", {"of": (start,), "by": (half,)}, other or None)
        made.append(straight_between(t, "segment", (start, end)))
    return made


def _on_circle(t: Things, circle: str, name: str) -> str:
    if name and t.b.has(name):
        return t.b.point(name)
    return t.b.make("point_on", {"path": (circle,), "place": free_place_on(t, (circle,))}, name or None)


def _chords(t: Things, circle: str, relation: str, spans: Sequence[tuple[str, str]]) -> list[str]:
    b = t.b
    first = spans[0]
    made = [straight_between(t, "segment", (_on_circle(t, circle, first[0]), _on_circle(t, circle, first[1])))]
    for span in spans[1:]:
        start, finish = _start_first(t, span, first) if span[0] else span
        one = _on_circle(t, circle, start)
        path = _path_of_end(t, made[0], one, relation)
        if relation == _EQUAL:
            end = b.make("intersection", {"a": (circle,), "b": (path,), "which": "first"}, finish or None)
        else:
            end = b.make("other_intersection", {"a": (path,), "b": (circle,), "known": (one,)}, finish or None)
        made.append(straight_between(t, "segment", (one, end) if (start, finish) == span else (end, one)))
    return made
