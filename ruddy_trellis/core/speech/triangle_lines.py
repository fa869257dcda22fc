"""Perpendicular bisectors, bisectors, medians and altitudes."""

from __future__ import annotations

import math
from collections.abc import Callable
from dataclasses import replace
from typing import Any

from ..kinds import LINE, RAY, SEGMENT, VECTOR
from ..refusal import Refusal
from .lines_between import straight_between
from .nodes import Described, Many, Named, Node, Ref
from .nouns import makes
from .refusals import Final, Stray
from .spans import corners_of, distance_between, facing_side, sides_of, spans_of
from .things import Things

#: Two sines are not told apart that differ by less.
_SAME = 1e-6


@makes("perpendicular-bisector", parts="of to on between for from")
def perpendicular_bisectors(t: Things, node: Described) -> list[str]:
    of = node.role("of", "to", "on", "between", "for", "from")
    if isinstance(of, Ref):
        last = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in (SEGMENT, VECTOR)]
        if not last:
            raise Refusal("Of which segment?")
        return [t.make("perpendicular_bisector", span=(last[-1],))]
    if node.names and isinstance(node.names[0], Named) and len(node.names[0].points) != 2:
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    elif node.names:
        return [t.make("perpendicular_bisector", span=t.aside(lambda: t.span(node.names[0])))]
    if of is None or (
        (isinstance(of, Described) and of.head in ("triangle", "quadrilateral", "polygon"))
        or (isinstance(of, Named) and len(of.points) > 2 and " " not in of.text)
    ):
        spans = t.aside(lambda: sides_of(t, of))
    else:
        spans = t.aside(lambda: spans_of(t, of))
    return [t.make("perpendicular_bisector", span=span) for span in spans]


@makes("bisector", "angle-bisector", parts="of at from between in through", words="second external internal")
def bisectors(t: Things, node: Described) -> list[str]:
    if node.names and isinstance(node.names[0], Named):
        first = node.names[0]
        if len(first.points) == 2 and t.b.has(first.points[0]) and not t.b.has(first.points[1]):
            return _cevian(t, first, lambda corner: t.b.make("angle_bisector", {"corner": t._corner_at(corner)}, hidden=True))
        if len(first.points) != 3:
            t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
            node = replace(node, names=())
    of = node.role("of", "at", "from", "between", "in", "through") or (node.names[0] if node.names else None)
    if of is None and not node.plural and "perpendicular" not in node.adjectives and (corner := t.corner_spoken_of()):
        return [_bisector(t, corner, bool({"external"} & {*node.adjectives, *node.extra}))]
    second = "second" in node.adjectives or "other" in node.adjectives
    if {"internal", "external"} <= set(node.adjectives):
        rest = tuple(word for word in node.adjectives if word not in ("internal", "external"))
        return [line for way in ("internal", "external") for line in bisectors(t, replace(node, adjectives=(*rest, way)))]
    outer = "external" in node.adjectives or "externally" in node.extra
    if isinstance(of, Named) and len(of.points) == 2 and {"internal", "external"} & set(node.adjectives):
        raise Stray(f"An angle has an external bisector; {of.text} has none.")
    if isinstance(of, Described) and of.head == "angle" and of.names and len(of.names) > 1:
        of = Many(tuple(t.of_its_shape(of).names))
    if isinstance(of, Described) and of.head == "angle" and of.plural and not of.names and of.role("between") is None:
        corners = t.aside(lambda: corners_of(t, of.role("of", "in")))
        return [_bisector(t, (corners[i - 1], corners[i], corners[(i + 1) % len(corners)]), outer) for i in range(len(corners))]
    if node.plural and isinstance(of, Named) and len(of.points) > 3 and node.role("of") is of:
        corners = t.aside(lambda: corners_of(t, of))
        return [_bisector(t, (corners[i - 1], corners[i], corners[(i + 1) % len(corners)]), outer) for i in range(len(corners))]
    if (
        of is None
        or (isinstance(of, Described) and of.head == "triangle")
        or (
            isinstance(of, Named)
            and len(of.points) == 3
            and node.plural
            and node.role("of") is of
            and node.head == "angle-bisector"
            and (node.kind == "all" or (node.count or 0) == 3)
        )
    ):
        corners = t.aside(lambda: t.triangle(of))
        return [_bisector(t, (corners[i - 1], corners[i], corners[(i + 1) % 3]), outer) for i in range(3)]
    if isinstance(of, Described) and of.head == "line" and of.plural and not of.names and node.plural:
        lines = t.aside(lambda: t.all_of(of))
        if len(lines) != 2:
            raise Refusal("The bisectors of which two lines?")
        return t.b.make_all("bisectors", {"a": (lines[0],), "b": (lines[1],)})
    between = of.role("between") if isinstance(of, Described) and of.head == "angle" and not of.names else None
    pair = between if isinstance(between, Many) else of if isinstance(of, Many) and len(of.items) == 2 else None
    if pair is not None and all(_is_line(t, item) for item in pair.items):
        return _of_lines(t, pair, node, second)
    items = of.items if isinstance(of, Many) else (of,)
    if isinstance(of, (Named, Described)) and _is_span(of):
        return perpendicular_bisectors(t, Described("perpendicular-bisector", roles=(("of", of),)))
    return [_bisector(t, t.aside(lambda item=item: t.corner(item)), outer) for item in items]  # type: ignore[misc]


def _is_span(node: Node) -> bool:
    if isinstance(node, Named):
        return len(node.points) == 2
    return isinstance(node, Described) and node.head in ("segment", "side", "line", "base", "chord")


def _is_line(t: Things, node: Node) -> bool:
    """Whether a phrase is a straight thing and no corner."""
    if isinstance(node, Named):
        ids = t.b.ahead.ids_named(node.text)
        return len(node.points) == 2 or (bool(ids) and t.b.kind(ids[0]) in (LINE, SEGMENT, RAY, VECTOR))
    return isinstance(node, Described) and node.head in ("line", "segment", "ray", "side", "tangent", "chord")


def _of_lines(t: Things, pair: Many, node: Described, second: bool) -> list[str]:
    """The bisector of two lines: two names as arms of one corner mean that corner's angle."""
    try:
        corner = t.aside(lambda: t.corner(pair))
    except Refusal:
        a, b = (t.aside(lambda item=item: t.straight(item)) for item in pair.items)  # type: ignore[misc]
        if node.plural or node.kind == "all":
            return t.b.make_all("bisectors", {"a": a, "b": b})
        of = node.role("of")
        if isinstance(of, Described) and (kind := {"acute", "obtuse"} & set(of.adjectives)):
            return [t.make("bisector_of_lines", a=a, b=b, which=_of_angle(t, a, b, "acute" in kind))]
        return [t.make("bisector_of_lines", a=a, b=b, which="second" if second else "first")]
    return [_bisector(t, corner, second or "external" in node.adjectives)]


def _of_angle(t: Things, a: tuple[str, ...], b: tuple[str, ...], acute: bool) -> str:
    """Which bisector of two lines is that of their acute angle, or of the obtuse one: it is less than 45° off them, or more."""
    off = {}
    for which in ("first", "second"):
        line = t.b.would_be("bisector_of_lines", {"a": a, "b": b, "which": which})
        base = t.b.ahead.value(a[0]) if len(a) == 1 else None
        if base is None:
            base = (0, 0, *(q - p for p, q in zip(*(t.b.now(id)[:2] for id in a))))
        if line is None:
            raise Refusal("The lines have no bisectors now.")
        off[which] = abs(line[2] * base[3] - line[3] * base[2]) / (math.hypot(*line[2:4]) * math.hypot(*base[2:4]))
    nearer = min(off, key=lambda which: off[which])
    if abs(off["first"] - off["second"]) < _SAME:
        raise Refusal("They meet at a right angle now, so none of their angles is acute.")
    return nearer if acute else next(which for which in off if which != nearer)


def _bisector(t: Things, corner: tuple[str, ...], outer: bool) -> str:
    if not outer:
        return t.make("angle_bisector", corner=corner)
    inner = t.b.make("angle_bisector", {"corner": corner}, hidden=True)
    return t.make("perpendicular", base=(inner,), point=(corner[1],))


def _cevian(t: Things, name: Named, line_from: Any) -> list[str]:
    """ "the bisector AD", "the median AM": from a corner to the side that faces it, with the name of its end."""
    b = t.b
    corner = b.point(name.points[0])
    line = line_from(corner)
    end = b.make("intersection", {"a": (line,), "b": facing_side(t, corner)}, name.points[1])
    return [straight_between(t, "segment", (corner, end))]


@makes("median", parts="from through at to on of in")
def medians(t: Things, node: Described) -> list[str]:
    if named := _by_their_ends(t, node, "midpoint", lambda corner: {"span": facing_side(t, corner)}):
        return named
    return [t.make("median", corner=(corner,), side=base) for corner, base in _from_corners(t, node)]


def _by_their_ends(t: Things, node: Described, key: str, fills_of: Callable[[str], dict[str, tuple[str, ...]]]) -> list[str]:
    """Segments "AD, BE and CF" from corners to ends that are made, or are there where they belong; none where none is named so.

    Args:
        key: what makes an end; ``fills_of`` says of what, by the corner.
    """
    b, made = t.b, []
    for name in node.names:
        if not isinstance(name, Named) or len(name.points) != 2:
            continue
        corner, end = b.point(name.points[0]), name.points[1]
        if b.has(end):
            mark = b.mark()
            wanted, found = (b.ahead.value(id) for id in (b.make(key, fills_of(corner), None, True), b.point(end)))
            b.back_to(mark)
            if wanted is None or found is None or not _same_place(wanted, found):
                raise Final(f"{end} is there already, and {name.text} is no {node.head} now.")
            made.append(straight_between(t, "segment", (corner, b.point(end))))
        else:
            made.append(straight_between(t, "segment", (corner, b.make(key, fills_of(corner), end))))
    return made


def _same_place(one: Any, other: Any) -> bool:
    """Whether two places are one, but for what is lost in reckoning."""
    return distance_between(one, other) <= 1e-6 * (1 + abs(one[0]) + abs(one[1]))


def _from_corners(t: Things, node: Described) -> list[tuple[str, tuple[str, ...]]]:
    """From which corners, to which sides, lines of a triangle go."""
    if node.names and all(isinstance(name, Named) and len(name.points) < 2 for name in node.names):
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    start, base = node.role("from", "through", "at"), node.role("to", "on")
    of = node.role("of", "in")
    if start is None and isinstance(of, Named) and len(of.points) == 1:
        start, of = of, None
    if start is None and base is None:
        corners = t.aside(lambda: t.triangle(of))
        if not node.plural and node.count is None and node.kind != "all":
            raise Refusal(f"From which corner? Say: the {node.head} from {t.b.ahead.name(corners[0])}.")
        return [(corner, tuple(id for id in corners if id != corner)) for corner in corners]
    if start is None:
        assert base is not None
        side = t.aside(lambda: t.span(base))
        corners = t.aside(lambda: t.triangle(of))
        return [(next(id for id in corners if id not in side), side)]
    starts = t.aside(lambda: t.points(start))
    if of is not None:
        corners = t.aside(lambda: t.triangle(of))
        return [(corner, tuple(id for id in corners if id != corner)) for corner in starts]
    if base is not None and not (isinstance(base, Described) and base.head == "side" and not base.names):
        return [(corner, t.aside(lambda: t.straight(base))) for corner in starts]
    return [(corner, facing_side(t, corner)) for corner in starts]


@makes("midline", parts="parallel opposite facing of in between")
def midlines(t: Things, node: Described) -> list[str]:
    """ "the midline parallel to AB", "the midlines of ABC": between the midpoints of two sides."""
    side, of = node.role("parallel", "opposite", "facing"), node.role("of", "in")
    corners = t.aside(lambda: t.triangle(of))
    if side is None:
        if not node.plural and node.count is None and node.kind != "all":
            raise Refusal(f"Which one? Say: the midline parallel to {t.b.ahead.name(corners[0])}{t.b.ahead.name(corners[1])}.")
        tops = list(corners)
    else:
        ends = set(t.aside(lambda: t.span(side)))
        tops = [id for id in corners if id not in ends]
        if len(tops) != 1:
            raise Refusal("A midline is parallel to a side of its triangle: say which, such as AB.")
    made = []
    for top in tops:
        middles = [t.b.make("midpoint", {"span": (top, id)}) for id in corners if id != top]
        made.append(straight_between(t, "segment", (middles[0], middles[1])))
    return made


@makes("altitude", parts="from through at to on of in")
def altitudes(t: Things, node: Described) -> list[str]:
    if named := _by_their_ends(t, node, "foot", lambda corner: {"point": (corner,), "base": facing_side(t, corner)}):
        return named
    return [t.make("altitude", corner=(corner,), base=base) for corner, base in _from_corners(t, node)]
