"""Shapes: with the corners that are named, with what is said of their sides and angles, on a side that is there, or by size alone.

What was said is built into the figure, so that it stays when the figure is dragged.
"""

from __future__ import annotations

import math
from dataclasses import dataclass, field, replace
from typing import Any

from ..kinds import CIRCLE, POINT, POLYGON
from ..language import names as spelling
from ..refusal import Refusal
from .building import Building
from .english import words
from .phrases import Amount, Described, Many, Named, Node
from .placing import places
from .points import centre_of, corners_of, sides_of, spans_of
from .rounds import side_fits
from .straights import _parallel_at, between
from .things import CORNERS, Things, makes
from .tokens import _POINT

_COUNTS = {**CORNERS, "octagon": 8, "polygon": 0}
_ON_A_SIDE = {"square": "square", "rectangle": "rectangle", "rhombus": "rhombus"}


@dataclass
class Wanted:
    """What is said of a shape besides its corners: lengths of sides, angles, sides that are equal or parallel."""

    lengths: dict[frozenset[str], Any] = field(default_factory=dict)
    equal: list[tuple[frozenset[str], frozenset[str]]] = field(default_factory=list)
    angles: dict[str, Any] = field(default_factory=dict)
    parallel: list[tuple[frozenset[str], frozenset[str]]] = field(default_factory=list)

    def __bool__(self) -> bool:
        return bool(self.lengths or self.equal or self.angles or self.parallel)


@makes(
    "triangle", "quadrilateral", "square", "rectangle", "rhombus", "kite", "trapezium", "parallelogram", "polygon", "pentagon",
    "hexagon", "octagon",
    parts="on outside inside base side sides in corners through with of and facts angles above below away same_side_of other_side_of "
    "same_side_as side_with opposite height length right_at corner_at",
    words="medial orthic pedal equilateral isosceles right-angled regular cyclic inscribe external internal obtuse as-base",
)  # fmt: skip
def shapes(t: Things, node: Described) -> list[str]:
    """Shapes of all sorts."""
    if node.plural and (on := node.role("on", "outside", "inside")) is not None and not node.names:
        spans = _spans_to_build_on(t, on)
        return [_on_span(t, node, span, outside=True) for span in spans]
    named = [
        (part, role) for role, part in node.roles if role in ("with", "and") for part in (part.items if isinstance(part, Many) else (part,))
    ]
    belonging = [part for part, _ in named if isinstance(part, Described) and part.names and part.head in _BELONGING]
    if belonging and len(belonging) == len(named):
        rest = replace(node, roles=tuple((role, part) for role, part in node.roles if role not in ("with", "and")))
        found = shapes(t, rest)
        polygon = found[-1]
        for part in belonging:
            t.described(
                replace(
                    part,
                    kind="new",
                    roles=(
                        *part.roles,
                        (
                            "of",
                            Named(
                                t.b.ahead.name(polygon),
                                tuple(t.b.ahead.name(id) for id in t.b.ahead.step(polygon).fills.get("corners", ())),
                            ),
                        ),
                    ),
                )
            )
        return found
    if len(node.names) > 1 and all(isinstance(name, Named) and len(name.points) > 2 for name in node.names):
        return _several_named(t, node)
    names = tuple(point for name in node.names if isinstance(name, Named) for point in name.points)
    if not names and t.names and all(len(name) > 1 for name in t.names[:1]):
        names = tuple(_POINT.findall(t.names.pop(0)))
    count = _COUNTS[node.head]
    if names and count and len(names) != count:
        raise Refusal(f"A {node.head} has {count} corners, not {len(names)}.")
    beside = next(((role, part) for role, part in node.roles if role in ("outside", "above", "below") and _is_one_side(part)), None)
    if beside is not None and node.role("on") is None:
        # "a square outside AB": on it, on that side.
        kept = tuple(pair for pair in node.roles if pair != beside)
        kept += (("on", beside[1]),) if beside[0] == "outside" else (("on", beside[1]), beside)
        node = replace(node, roles=kept, extra=(*node.extra, "external") if beside[0] == "outside" else node.extra)
    on = node.role("on", "base", "side") if not isinstance(node.role("side"), Amount) else node.role("on", "base")
    inscribed_in = node.role("in", "inside")
    if inscribed_in is not None and _is_circle(t, inscribed_in):
        return [_inscribed(t, node, t.aside(lambda: t.round(inscribed_in)), names)]
    if on is not None and not isinstance(on, Amount):
        spans = _spans_to_build_on(t, on)
        return [_on_span(t, node, span, names=names, outside=len(spans) > 1) for span in spans]
    return [_alone(t, node, names)]


#: Parts that say on which side of a side a shape is.
_BESIDE = words("on outside above below away same_side_of other_side_of same_side_as side_with opposite")
#: What a shape may be said to have, with names.
_BELONGING = words(
    """
    orthocentre circumcentre incentre centroid circumcircle incircle nine-point-circle nine-point-centre median altitude
    """
)


def _several_named(t: Things, node: Described) -> list[str]:
    """ "equilateral triangles ACD and CBE on AC and CB": each on its own side."""
    on = node.role("on")
    spans = _spans_to_build_on(t, on) if on is not None else []
    side = node.role("same_side_of")
    rest = tuple((role, part) for role, part in node.roles if part is not on and part is not side)
    made: list[str] = []
    for number, name in enumerate(node.names):
        assert isinstance(name, Named)
        roles = rest
        if spans:
            span = next((one for one in spans if {t.b.ahead.name(id) for id in one} <= set(name.points)), None)
            if span is None:
                raise Refusal(f"On which side is {name.text}?")
            names = tuple(t.b.ahead.name(id) for id in span)
            roles = (*rest, ("on", Named("".join(names), names)))
        if side is not None and number:
            last = t.b.ahead.step(made[-1]).fills["corners"]
            third = next((id for id in last if id not in {end for one in spans for end in one}), last[-1])
            roles = (*roles, ("same_side_of", Named(t.b.ahead.name(third), (t.b.ahead.name(third),))))
        made += shapes(t, replace(node, names=(name,), roles=roles, plural=False))
    return made


def _is_one_side(node: Node) -> bool:
    """Whether a phrase is a straight thing between two points."""
    return (isinstance(node, Named) and len(node.points) == 2) or (isinstance(node, Described) and node.head in ("side", "segment", "line"))


def _is_circle(t: Things, node: Node) -> bool:
    if isinstance(node, Described):
        return node.head in ("circle", "circumcircle", "incircle")
    if isinstance(node, Named):
        ids = t.b.ahead.ids_named(node.text)
        return bool(ids) and t.b.kind(ids[0]) == CIRCLE
    return False


def _spans_to_build_on(t: Things, node: Node) -> list[tuple[str, str]]:
    found = []
    for span in t.aside(lambda: spans_of(t, replace(node, plural=True) if isinstance(node, Described) and node.head == "side" else node)):
        if len(span) == 1:
            span = t.b.ends(span[0])
        found.append((span[0], span[1]))
    return found


def _inscribed(t: Things, node: Described, circle: str, names: tuple[str, ...]) -> str:
    """A regular polygon, or any, with its corners on a circle."""
    b = t.b
    count = _COUNTS[node.head] or len(names)
    on = b.points_on(circle)
    if (
        node.head in ("square",)
        or "regular" in node.adjectives
        or "equilateral" in node.adjectives
        or (not names and node.head in ("hexagon", "pentagon", "octagon"))
    ):
        if (at := node.role("corner_at")) is not None:
            first = t.aside(lambda: t.point(at))
        elif names:
            first = b.point(names[0]) if b.has(names[0]) else b.make("point_on", {"path": (circle,)}, names[0])
        else:
            first = on[0] if on else b.make("point_on", {"path": (circle,)})
        centre = centre_of(t, circle)
        made = b.make_parts("regular_about", {"count": float(count), "centre": (centre,), "corner": (first,)}, names[1:])
        return next(id for id in made if b.kind(id) == POLYGON)
    corners = []
    for number in range(count):
        name = names[number] if names else None
        if name is not None and b.has(name):
            corners.append(b.point(name))
        else:
            corners.append(
                b.make("point_on", {"path": (circle,), "place": 20.0 + 360.0 * number / count + 17.0 * math.sin(number + 1)}, name)
            )
    return b.polygon(corners)


def _on_span(t: Things, node: Described, span: tuple[str, str], names: tuple[str, ...] = (), outside: bool = False) -> str:
    """A shape on a side that is there, on the side of it that is said."""
    b = t.b
    count = _COUNTS[node.head] or len(names)
    free: tuple[str, ...] = ()
    if names:
        known = [b.ahead.name(id) for id in span]
        if not set(known) <= set(names):
            raise Refusal(f"{''.join(names)} has no side {known[0]}{known[1]}.")
        at = names.index(known[0])
        step = 1 if names[(at + 1) % count] == known[1] else -1
        if names[(at + step) % count] != known[1]:
            raise Refusal(f"{known[0]}{known[1]} is no side of {''.join(names)}.")
        around = [names[(at + step * number) % count] for number in range(count)]
        free = tuple(around[2:])
    side = next(
        (
            (role, part)
            for role, part in node.roles
            if role
            in ("above", "below", "away", "same_side_of", "other_side_of", "same_side_as", "side_with", "inside", "outside", "opposite")
        ),
        None,
    )
    if "external" in node.extra or outside or "external" in node.adjectives:
        side = side or _away_from_shape(t, span)
    elif "internal" in node.adjectives or "internal" in node.extra:
        away = _away_from_shape(t, span)
        side = ("inside", away[1]) if away is not None else None
    a, c = span
    wanted = _wanted(t, node, names)
    kind = node.head
    isosceles = kind == "triangle" and "isosceles" in node.adjectives
    regular_one = kind in ("pentagon", "hexagon", "octagon") or "regular" in node.adjectives
    equilateral = kind == "triangle" and "equilateral" in node.adjectives
    if not (kind in _ON_A_SIDE or regular_one or equilateral):
        return _triangle_on(t, node, span, free, wanted, isosceles)
    key, more = ("equilateral", {}) if equilateral else ("regular", {"count": float(count)}) if regular_one else (_ON_A_SIDE[kind], {})
    if side is not None and not _lands(t, key, more, (a, c), side):
        a, c, free = c, a, free[::-1]
    made = b.make_parts(key, {**more, "from": (a,), "to": (c,)}, free)
    return next(id for id in made if b.kind(id) == POLYGON)


def _away_from_shape(t: Things, span: tuple[str, str]) -> tuple[str, Node] | None:
    """The side of a span on which the shape that it is a side of does not lie."""
    for step in t.b.ahead.steps:
        corners = step.fills.get("corners", ()) if step.makes == POLYGON else ()
        if set(span) <= set(corners):
            return "outside", Named(t.b.ahead.name(step.id), tuple(t.b.ahead.name(id) for id in corners))
    for triangle in t.b.triangles():
        if set(span) <= set(triangle):
            third = next(id for id in triangle if id not in span)
            return "away", Named(t.b.ahead.name(third), (t.b.ahead.name(third),))
    return None


def _lands(t: Things, key: str, more: dict[str, Any], span: tuple[str, str], side: tuple[str, Node]) -> bool:
    b = t.b
    mark = b.mark()
    try:
        made = b.make_parts(key, {**more, "from": span[:1], "to": span[1:]}, ())
        corners = next(b.ahead.value(id) for id in made if b.kind(id) == POLYGON)
        middle = (sum(c[0] for c in corners) / len(corners), sum(c[1] for c in corners) / len(corners))
    finally:
        b.back_to(mark)
    if side[0] in ("above", "below") and isinstance(side[1], Described) and side[1].head == "line" and not side[1].names:
        side = (side[0], Named("", tuple(b.ahead.name(id) for id in span)))
    return side_fits(t, span, side, middle)


def _triangle_on(t: Things, node: Described, span: tuple[str, str], free: tuple[str, ...], wanted: Wanted, isosceles: bool) -> str:
    """A triangle on a side: isosceles, right-angled, by lengths, by height, or any."""
    b = t.b
    if node.head != "triangle" or len(free) > 1:
        missing = free or ()
        points = b.points(missing) if missing else ()
        if not points:
            raise Refusal(f"A {node.head} on a side is said with its corners.")
        return b.polygon((*span, *points))
    name = free[0] if free else None
    if name is not None and b.has(name):
        return b.polygon((*span, b.point(name)))
    names = tuple(b.ahead.name(id) for id in span)
    height = node.role("height")
    if height is not None:
        line = t.aside(lambda: _parallel_at(t, Named("", names), height))
        if isosceles:
            middle = b.make("perpendicular_bisector", {"span": span}, hidden=True)
            third = b.make("intersection", {"a": (line,), "b": (middle,)}, name)
        else:
            third = b.make("point_on", {"path": (line,), "place": 0.3}, name)
        return b.polygon((*span, third))
    if name is None and not wanted:
        wanted = _sizes_of_triangle(t, node, names, "C")
    third = _third_corner(t, span, name or "C" if wanted else name, wanted, isosceles, "right-angled" in node.adjectives)
    return b.polygon((*span, third))


def _sizes_of_triangle(t: Things, node: Described, names: tuple[str, ...], third: str) -> Wanted:
    """Two sides or angles said without names, on a side that is named."""
    found = Wanted()
    sizes = _amounts(node.role("sides", "side"))
    for name, size in zip(names, sizes):
        found.lengths[frozenset((name, third))] = t.aside(lambda size=size: t.length(size))  # type: ignore[misc]
    angles = _amounts(node.role("angles"))
    for name, size in zip(names, angles):
        found.angles[name] = t.aside(lambda size=size: t.number(size))  # type: ignore[misc]
    return found


def _amounts(node: Node | None) -> list[Node]:
    if node is None:
        return []
    items = node.items if isinstance(node, Many) else (node,)
    return [item for item in items if isinstance(item, (Amount, Named))]


def _third_corner(t: Things, span: tuple[str, str], name: str | None, wanted: Wanted, isosceles: bool, right: bool) -> str:
    """The third corner of a triangle on two that are there, as it is wanted: on curves on which it has to lie."""
    b = t.b
    curves: list[str] = []
    a, c = span
    names = {id: b.ahead.name(id) for id in span}
    if name is not None:
        for id in span:
            key = frozenset((names[id], name))
            other = c if id == a else a
            size = wanted.lengths.get(key)
            if size is not None:
                curves.append(b.make("circle_radius", {"centre": (id,), "radius": size}, hidden=True))
            for one, two in wanted.equal:
                if key in (one, two):
                    twin = two if key == one else one
                    if twin == frozenset(names.values()):
                        curves.append(b.make("circle", {"centre": (id,), "point": (other,)}, hidden=True))
        if any({one, two} == {frozenset((names[a], name)), frozenset((names[c], name))} for one, two in wanted.equal):
            curves.append(b.make("perpendicular_bisector", {"span": span}, hidden=True))
        for id in span:
            if names[id] in wanted.angles:
                other = c if id == a else a
                size = wanted.angles[names[id]]
                if size == 90.0:
                    curves.append(b.make("perpendicular", {"base": span, "point": (id,)}, hidden=True))
                else:
                    # The inside of a triangle is to the left of its first side, to the right of it from the other end.
                    turned = size if id == a else (-size if isinstance(size, float) else size)
                    curves.append(b.make("at_angle", {"point": (id,), "angle": turned, "base": (id, other)}, hidden=True))
        if wanted.angles.get(name) == 90.0:
            curves.append(b.make("circle_on_diameter", {"from": (a,), "to": (c,)}, hidden=True))
    if isosceles and len(curves) < 2:
        curves.append(b.make("perpendicular_bisector", {"span": span}, hidden=True))
    if right and not any(size == 90.0 for size in wanted.angles.values()):
        curves.append(b.make("perpendicular", {"base": span, "point": (c,)}, hidden=True))
    if isosceles and right:
        curves = [
            b.make("perpendicular", {"base": span, "point": (c,)}, hidden=True),
            b.make("circle", {"centre": (c,), "point": (a,)}, hidden=True),
        ]
    if not curves:
        return b.free_point(name)
    if len(curves) == 1:
        return b.make("point_on", {"path": (curves[0],), "place": _good_place(t, curves[0], span)}, name)
    found = _upper_crossing(t, curves[:2], span)
    return b.make("intersection", {"a": (curves[0],), "b": (curves[1],), **({"which": found} if found else {})}, name)


def _good_place(t: Things, curve: str, span: tuple[str, str]) -> float:
    """Where on a curve the third corner of a triangle goes so that it is to the left of its side, and nothing special."""
    b = t.b
    (ax, ay), (cx, cy) = (b.ahead.value(id)[:2] for id in span)
    base = math.hypot(cx - ax, cy - ay)
    best, most = 0.4, -math.inf
    choices = [7.0 * k for k in range(52)] if b.kind(curve) == CIRCLE else [0.13 * k for k in range(-16, 17)]
    for choice in choices:
        mark = b.mark()
        id = b.make("point_on", {"path": (curve,), "place": choice}, None, True)
        x, y = b.ahead.value(id)[:2]
        b.back_to(mark)
        left = (cx - ax) * (y - ay) - (cy - ay) * (x - ax)
        height = left / base if base else 0.0
        sides = sorted((math.dist((x, y), (ax, ay)), math.dist((x, y), (cx, cy)), base))
        ratio = min(sides[1] / (sides[0] or 1e-9), 2.5) + min(sides[2] / (sides[1] or 1e-9), 1.3)
        worth = -abs(height - 0.8 * base) / (base or 1) + 0.3 * min(ratio, 2.4)
        if worth > most:
            best, most = choice, worth
    return best


def _upper_crossing(t: Things, curves: list[str], span: tuple[str, str]) -> str | None:
    """Which of two crossings is to the left of a side; None where there can be one only."""
    b = t.b
    if not any(b.kind(curve) == CIRCLE for curve in curves):
        return None
    (ax, ay), (cx, cy) = (b.ahead.value(id)[:2] for id in span)
    found = []
    for which in ("first", "second"):
        mark = b.mark()
        id = b.make("intersection", {"a": (curves[0],), "b": (curves[1],), "which": which}, None, True)
        value = b.ahead.value(id)
        b.back_to(mark)
        if value is not None:
            found.append(((cx - ax) * (value[1] - ay) - (cy - ay) * (value[0] - ax), which))
    return max(found)[1] if found else "first"


def _wanted(t: Things, node: Described, names: tuple[str, ...]) -> Wanted:
    """What is said of the sides and angles of a shape whose corners are named."""
    found = Wanted()
    for role, part in node.roles:
        if role in ("facts",):
            _take_facts(t, part, names, found)
        elif role == "right_at" and isinstance(part, Named):
            found.angles[part.points[0] if len(part.points) == 1 else part.points[1] if len(part.points) == 3 else part.text.upper()] = 90.0
        elif role in ("angles", "with") and isinstance(part, Described) and part.head == "right-angle":
            at = part.role("at", "in")
            if isinstance(at, Named):
                found.angles[at.text.upper() if len(at.text) == 1 else at.text] = 90.0
    return found


def _take_facts(t: Things, node: Node, names: tuple[str, ...], found: Wanted) -> None:
    """Facts such as AB = 5 cm, AB = AC, angle A = 60°, AB parallel to CD."""
    for item in node.items if isinstance(node, Many) else (node,):
        if not isinstance(item, Described) or item.head != "fact":
            continue
        kind = item.extra[0]
        one, other = item.names[0], item.names[1] if len(item.names) > 1 else None
        if kind == "parallel" and isinstance(one, Named) and isinstance(other, Named):
            found.parallel.append((frozenset(one.points), frozenset(other.points)))
        elif kind == "equal" and isinstance(one, Named) and len(one.points) == 2 and isinstance(other, Named) and len(other.points) == 2:
            found.equal.append((frozenset(one.points), frozenset(other.points)))
        elif kind == "equal" and isinstance(one, Named) and len(one.points) == 2 and other is not None:
            found.lengths[frozenset(one.points)] = t.aside(lambda other=other: t.length(other))  # type: ignore[misc]
        elif kind == "equal" and isinstance(one, Described) and one.head == "angle" and other is not None:
            name = one.names[0] if one.names else one.role("at", "of")
            if isinstance(name, Named):
                corner = name.points[1] if len(name.points) == 3 else name.points[0] if name.points else name.text.upper()
                found.angles[corner] = t.aside(lambda other=other: t.number(other))  # type: ignore[misc]
        elif kind == "right" and isinstance(one, Named):
            corner = one.points[1] if len(one.points) == 3 else one.points[0] if one.points else one.text.upper()
            found.angles[corner] = 90.0
        else:
            raise Refusal("What is said of the shape is not understood: say AB = 5 cm, AB = AC, or angle A = 60°.")


def _alone(t: Things, node: Described, names: tuple[str, ...]) -> str:
    """A shape that stands on nothing that is there, or whose corners are there already."""
    b = t.b
    kind, count = node.head, _COUNTS[node.head] or len(names)
    corners_node = node.role("corners", "through", "with", "of") if not names else None
    if corners_node is not None and isinstance(corners_node, (Named, Many)) and not isinstance(corners_node, Amount):
        got = tuple(
            point
            for item in (corners_node.items if isinstance(corners_node, Many) else (corners_node,))
            if isinstance(item, Named)
            for point in item.points
        )
        if len(got) >= 3:
            names = got
            count = len(names)
    _check_with(node)
    if {"medial", "orthic", "pedal"} & set(node.adjectives):
        return _of_another(t, node, names)
    wanted = _wanted(t, node, names)
    if names and all(b.has(name) for name in names):
        if kind in ("triangle", "quadrilateral", "polygon") and not wanted and not node.adjectives:
            return b.polygon(b.points(names))
        if any(name in node.adjectives for name in ("equilateral", "isosceles", "right-angled", "regular")) or kind not in (
            "triangle",
            "quadrilateral",
            "polygon",
            "pentagon",
            "hexagon",
        ):
            raise Refusal(
                f"The corners of {''.join(names)} are there already; whether it is so is a claim: "
                f"is {''.join(names)} {_with_article(node)}?"
            )
        return b.polygon(b.points(names))
    if (
        kind in ("square", "rectangle", "rhombus")
        or "regular" in node.adjectives
        or "equilateral" in node.adjectives
        or (kind in ("pentagon", "hexagon", "octagon") and not names)
    ):
        return _regular_alone(t, node, names, count, wanted)
    if kind in ("parallelogram", "kite", "trapezium"):
        return _of_three_corners(t, node, names, wanted)
    if kind == "triangle":
        return _triangle_alone(t, node, names, wanted)
    if "cyclic" in node.adjectives:
        return _cyclic(t, names or _fresh(b, count))
    if count < 3:
        raise Refusal("A polygon is said by its corners.")
    return b.polygon(b.points(names) if names else tuple(b.points(_fresh(b, count))))


def _of_another(t: Things, node: Described, names: tuple[str, ...]) -> str:
    """The medial triangle of another one, or its orthic one: of midpoints, of feet of altitudes."""
    b = t.b
    corners = t.aside(lambda: t.triangle(node.role("of")))
    if "pedal" in node.adjectives and node.role("of") is None:
        raise Refusal("Of which point? The feet of the altitudes make the orthic triangle.")
    made = []
    for number, corner in enumerate(corners):
        side = tuple(id for id in corners if id != corner)
        name = names[number] if len(names) == 3 else None
        made.append(
            b.make("midpoint", {"span": side}, name)
            if "medial" in node.adjectives
            else b.make("foot", {"point": (corner,), "base": side}, name)
        )
    return b.polygon(made)


def _check_with(node: Described) -> None:
    """Raise Refusal where something is said with "with", "of" or "in" that a shape does not take, or where it is to be beside nothing."""
    for role, _ in node.roles:
        if role in _BESIDE:
            raise Refusal(f"“{role.replace('_', ' ')} …” is understood of a {node.head} on a side that is there: the {node.head} on AB.")
    for role, part in node.roles:
        if (
            role in ("with", "of", "and", "in", "inside", "outside", "through")
            and isinstance(part, Described)
            and part.head not in ("right-angle", "side", "segment", "length")
        ):
            raise Refusal(f"“{role} the {part.head.replace('-', ' ')}” is not understood of a {node.head}.")
        if isinstance(part, Many) and any(
            isinstance(item, Described) and item.head not in ("side", "segment", "length", "fact") for item in part.items
        ):
            raise Refusal(f"“{role} …” is not understood of a {node.head}.")


def _with_article(node: Described) -> str:
    return " ".join((*node.adjectives, node.head))


def _fresh(b: Building, count: int) -> tuple[str, ...]:
    """The next names for so many new points."""
    taken = {*b.ahead.names.values()}
    found: list[str] = []
    for _ in range(count):
        found.append(spelling.next_name(POINT, {*taken, *found}))
    return tuple(found)


def _sizes(t: Things, node: Described) -> list[Any]:
    """Lengths that are said without names: "of side 4", "6 by 4", "with sides 5, 6 and 7"."""
    sizes: list[Node] = []
    for role, part in node.roles:
        if role in ("side", "sides", "length", "with", "of", "and"):
            sizes += _amounts(part)
            if (
                isinstance(part, Described)
                and part.head in ("side", "segment", "length")
                and (inner := part.role("of", "length")) is not None
            ):
                sizes += _amounts(inner)
            if isinstance(part, Described) and part.amounts:
                sizes += [Amount(text) for text in part.amounts if text[:1].isdigit()]
    sizes += [Amount(text) for text in node.amounts if text[:1].isdigit() or text[:1] == "."]
    return [t.aside(lambda size=size: t.length(size)) for size in sizes]  # type: ignore[misc]


def _first_side(t: Things, names: tuple[str, ...], size: Any | None) -> tuple[str, str]:
    """The first side of a shape: two points, at a distance where one is said."""
    b = t.b
    first, second = names[:2]
    if size is None:
        if not b.has(first) and not b.has(second):
            before = b.makes
            b.makes = True
            try:
                made = b.points((first, second))
            finally:
                b.makes = before
            return made[0], made[1]
        made = b.points((first, second))
        return made[0], made[1]
    start = b.point(first)
    if b.has(second):
        raise Refusal(f"{first} and {second} are there already, so how far apart they are cannot be chosen.")
    circle = b.make("circle_radius", {"centre": (start,), "radius": size}, hidden=True)
    return start, b.make("point_on", {"path": (circle,), "place": 3.0}, second)


def _regular_alone(t: Things, node: Described, names: tuple[str, ...], count: int, wanted: Wanted) -> str:
    b = t.b
    sizes = _sizes(t, node) or list(wanted.lengths.values())
    names = names or _fresh(b, count)
    a, c = _first_side(t, names, sizes[0] if sizes else None)
    key = {"square": "square", "rectangle": "rectangle", "rhombus": "rhombus"}.get(node.head, "equilateral" if count == 3 else "regular")
    if node.head == "rectangle" and len(sizes) > 1:
        across = b.make("perpendicular", {"base": (a, c), "point": (c,)}, hidden=True)
        circle = b.make("circle_radius", {"centre": (c,), "radius": sizes[1]}, hidden=True)
        which = _upper_crossing(t, [across, circle], (a, c))
        third = b.make("intersection", {"a": (across,), "b": (circle,), "which": which or "first"}, names[2])
        fourth = b.make("fourth_corner", {"corners": (a, c, third)}, names[3])
        return b.polygon((a, c, third, fourth))
    fills: dict[str, Any] = {"from": (a,), "to": (c,)}
    if key == "regular":
        fills["count"] = float(count)
    made = b.make_parts(key, fills, names[2:])
    return next(id for id in made if b.kind(id) == POLYGON)


def _of_three_corners(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> str:
    """Parallelograms, kites and trapezia: from three corners, the fourth made from them."""
    b = t.b
    names = names or _fresh(b, 4)
    if len(names) != 4:
        raise Refusal(f"A {node.head} has four corners.")
    order: tuple[str, ...] = names
    if node.head == "kite" and wanted.equal:
        # A kite is made with its axis from its first corner to its third: begin where the two equal sides meet.
        common = next((one & two for one, two in wanted.equal), frozenset())
        if len(common) == 1:
            at = names.index(next(iter(common)))
            order = (*names[at:], *names[:at])
    if node.head == "trapezium" and wanted.parallel:
        one, two = wanted.parallel[0]
        if frozenset(order[:2]) not in (one, two):
            order = (*names[1:], names[0])
    if wanted.lengths or wanted.angles:
        return _by_sides(t, node, order, wanted)
    known = [name for name in order if b.has(name)]
    missing = [name for name in order[:3] if not b.has(name)]
    if order[3] in known:
        raise Refusal(f"{order[3]} is there already: a {node.head} is made from {', '.join(order[:3])}.")
    if len(missing) == 3:
        before = _kept_places(t, 4)
        for name, at in zip(order[:3], before):
            b.free_point(name, at)
    corners = b.points(order[:3])
    key = "isosceles_trapezium" if node.head == "trapezium" and "isosceles" in node.adjectives else node.head
    made = b.make_parts(key, {"corners": corners}, order[3:])
    return next(id for id in made if b.kind(id) == POLYGON)


def _by_sides(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> str:
    """A parallelogram whose sides, or the angle between them, are said."""
    b = t.b
    if node.head != "parallelogram":
        raise Refusal(f"The sides of a {node.head} cannot be chosen here.")
    a, c, third, fourth = names
    sides = (
        [wanted.lengths.get(frozenset(pair)) for pair in ((a, c), (third, fourth))],
        [wanted.lengths.get(frozenset(pair)) for pair in ((c, third), (fourth, a))],
    )
    first = _first_side(t, (a, c), next((size for size in sides[0] if size is not None), None))
    inner = Wanted()
    if (size := next((size for size in sides[1] if size is not None), None)) is not None:
        inner.lengths[frozenset((c, third))] = size
    for name, angle in wanted.angles.items():
        same = name in (c, fourth)
        inner.angles[c] = angle if same or not isinstance(angle, float) else 180.0 - angle
    corner = _third_corner(t, first, third, inner, False, False)
    last = b.make("fourth_corner", {"corners": (*first, corner)}, fourth)
    return b.polygon((*first, corner, last))


def _kept_places(t: Things, count: int):
    return places(t.b.ahead, count)


def _cyclic(t: Things, names: tuple[str, ...]) -> str:
    """A quadrilateral whose corners are on one circle: three are free, the others ride on their circle."""
    b = t.b
    places = _kept_places(t, len(names))
    corners = [b.point(name) if b.has(name) else b.free_point(name, at) for name, at in zip(names[:3], places)]
    circle = b.make("circumcircle", {"a": (corners[0],), "b": (corners[1],), "c": (corners[2],)}, hidden=True)
    x, y = b.ahead.value(circle)[:2]
    start, stop = (math.degrees(math.atan2(b.ahead.value(id)[1] - y, b.ahead.value(id)[0] - x)) for id in (corners[2], corners[0]))
    gap = (stop - start) % 360
    for number, name in enumerate(names[3:], 1):
        corners.append(
            b.make(
                "point_on",
                {"path": (circle,), "place": (start + gap * (0.47 if len(names) == 4 else number / (len(names) - 2))) % 360},
                name,
            )
        )
    return b.polygon(corners)


def _triangle_alone(t: Things, node: Described, names: tuple[str, ...], wanted: Wanted) -> str:
    b = t.b
    sizes, angles = _sizes(t, node), [t.aside(lambda size=size: t.number(size)) for size in _amounts(node.role("angles"))]  # type: ignore[misc]
    fresh = not names
    names = names or _fresh(b, 3)
    a, c, third = names
    isosceles, right = "isosceles" in node.adjectives, "right-angled" in node.adjectives
    sides = [frozenset((a, c)), frozenset((c, third)), frozenset((third, a))]
    base = node.role("base", "on")
    if isinstance(base, Amount):
        wanted.lengths[sides[0]] = t.aside(lambda: t.length(base))
    if sizes and not wanted.lengths:
        if right and len(sizes) == 2:
            wanted.lengths, wanted.angles = {sides[0]: sizes[0], sides[1]: sizes[1]}, {c: 90.0}
        elif isosceles and len(sizes) == 2:
            wanted.lengths = {sides[0]: sizes[0], sides[1]: sizes[1], sides[2]: sizes[1]}
        else:
            wanted.lengths = dict(zip(sides, sizes))
    for name, size in zip((a, c), angles):
        wanted.angles.setdefault(name, size)
    for adjective in node.adjectives:
        if adjective in ("obtuse", "scalene", "acute"):
            continue
    _check_sides(wanted, sides)
    if right and not any(size == 90.0 for size in wanted.angles.values()):
        wanted.angles[c] = 90.0
    if isosceles and not wanted.equal and not wanted.lengths:
        wanted.equal.append((sides[2], sides[1]))
    if "obtuse" in node.adjectives and not wanted and not any(b.has(name) for name in names):
        x, y, right, top = b.ahead.settings.view
        size = 0.3 * min(right - x, top - y)
        middle = ((x + right) / 2, (y + top) / 2)
        places = [(middle[0] + u * size, middle[1] + v * size) for u, v in ((-1.1, -0.5), (0.5, -0.6), (1.5, 0.6))]
        return b.polygon([b.free_point(name, (round(at[0], 2), round(at[1], 2))) for name, at in zip(names, places)])
    if not wanted:
        if not fresh or not any(b.has(name) for name in names):
            return b.polygon(b.points(names))
    order = _best_order(b, names, wanted)
    a, c, third = order
    size = wanted.lengths.get(frozenset((a, c)))
    if b.has(a) and b.has(c):
        if size is not None:
            raise Refusal(f"{a} and {c} are there already, so the length of {a}{c} cannot be chosen.")
        span = b.points((a, c))
        first = (span[0], span[1])
    else:
        first = _first_side(t, (a, c), size)
    if b.has(third):
        raise Refusal(f"{third} is there already, so the triangle cannot be chosen.")
    _equal_to_first(wanted, first, (a, c, third))
    corner = _third_corner(t, first, third, wanted, False, False)
    ids = {a: first[0], c: first[1], third: corner}
    return b.polygon(tuple(ids[name] for name in names))


def _equal_to_first(wanted: Wanted, first: tuple[str, str], order: tuple[str, str, str]) -> None:
    """A length that is said of one of two equal sides is that of the other too."""
    for one, two in wanted.equal:
        for known, other in ((one, two), (two, one)):
            if known in wanted.lengths and other not in wanted.lengths:
                wanted.lengths[other] = wanted.lengths[known]


def _best_order(b: Building, names: tuple[str, ...], wanted: Wanted) -> tuple[str, str, str]:
    """The corners in such an order that the third follows from what is said of it, the first side being chosen."""
    rings = [names, (*names[1:], names[0]), (*names[2:], *names[:2])]

    def worth(order: tuple[str, ...]) -> float:
        a, c, third = order
        known = (b.has(a) and b.has(c)) * 10 - b.has(third) * 20
        told = sum(frozenset((end, third)) in wanted.lengths for end in (a, c)) + sum(end in wanted.angles for end in (a, c))
        told += any({one, two} == {frozenset((a, third)), frozenset((c, third))} for one, two in wanted.equal)
        told += sum(frozenset((a, c)) in (one, two) and one != two for one, two in wanted.equal)
        return (
            known
            + told
            + 1.5 * (frozenset((a, c)) in wanted.lengths)
            + 0.4 * (wanted.angles.get(third) == 90.0)
            - 2 * (third in wanted.angles and wanted.angles[third] != 90.0)
        )

    best = max(rings, key=worth)
    return best[0], best[1], best[2]


def _check_sides(wanted: Wanted, sides: list[frozenset[str]]) -> None:
    """Three lengths that never make a triangle are refused."""
    sizes = [size for side in sides if isinstance(size := wanted.lengths.get(side), float)]
    if len(sizes) == 3 and 2 * max(sizes) >= sum(sizes):
        raise Refusal("Three such sides make no triangle: two of them together have to be longer than the third.")
    angles = [size for size in wanted.angles.values() if isinstance(size, float)]
    if sum(angles) >= 180:
        raise Refusal("Such angles make no triangle: together they have to be less than 180°.")


__all__ = ["CIRCLE", "between", "corners_of", "sides_of"]
