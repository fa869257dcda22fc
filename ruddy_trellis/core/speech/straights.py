"""Segments, lines, rays, vectors, chords, radii and diameters."""

from __future__ import annotations

from dataclasses import replace

from ..kinds import CIRCLE, POINT, STRAIGHTS
from ..refusal import Refusal
from .amounts import angle_said, length_said
from .chords import check_of_circle, common_chord, is_placed, placed_chord
from .english import DIRECTIONS
from .lines_between import any_line, span_of_length, straight_between, straights_from_to
from .nodes import Amount, Described, Many, Named, Node, Ref
from .nouns import how_many, makes
from .on_paths import is_on
from .pairs import related, relation_said
from .parallels import directed_line
from .refusals import Stray
from .riding import free_place_on
from .spans import centre_of, check_two_ends, circle_of, needed, shared_circle, spans_of
from .things import Things
from .triangle_lines import bisectors


@makes(
    "segment",
    "line",
    "ray",
    "vector",
    "chord",
    "side",
    "radius",
    "diameter",
    "secant",
    "diagonal",
    "base",
    "hypotenuse",
    "arm",
    "transversal",
    parts="distance bisects perpendicular parallel tangent by at with from through of between on to towards and length in",
    words="perpendicular parallel horizontal vertical equal meets of-one-size common",
)
def straights(t: Things, node: Described) -> list[str]:
    """Straight things that go through or between points, or that are said by what they are parallel or perpendicular to."""
    check_two_ends(node.names)
    _check_two_points(node)
    if is_placed(t, node):
        return [placed_chord(t, node)]
    if (relation := relation_said(t, node)) is not None:
        return related(t, node, relation)
    found = _straights(t, node)
    if node.head in ("chord", "radius", "diameter"):
        for id in found:
            check_of_circle(t, node.head, id, node.role("of", "in"))
    return found


def _check_two_points(node: Described) -> None:
    """Raise Refusal where one straight thing is to go through more points than make it."""
    through = node.role("through")
    if node.plural or not isinstance(through, Many) or len(through.items) < 3:
        return
    if all(isinstance(item, Named) and len(item.points) == 1 for item in through.items):
        raise Refusal(
            f"A {node.head} is settled by two points; that it goes through {len(through.items)} is a claim: A, B and C are in line."
        )


def _straights(t: Things, node: Described) -> list[str]:
    if "common" in node.adjectives:
        if node.head != "chord" or node.plural:
            raise Stray(f"“common” is not understood of a {node.head}.")
        return [common_chord(t, node)]
    if "of-one-size" in node.adjectives:
        raise Stray(f"“equal” is said of several: two equal {node.head}s AB and CD.")
    if node.head in ("diagonal", "side", "hypotenuse", "radius", "diameter"):
        for said in node.adjectives:
            if said in DIRECTIONS:
                raise Stray(f"“{said}” is not understood of a {node.head}.")
    if node.head in ("diagonal", "side", "hypotenuse") and not node.names:
        spans = t.aside(lambda: [t.span(node)] if node.head == "hypotenuse" else spans_of(t, replace(node, plural=True)))
        return [straight_between(t, "segment", span) for span in spans]
    if node.head == "transversal":
        return [_transversal(t, node)]
    if node.head == "radius" and not node.names:
        return [_radius(t, node)]
    if node.head == "diameter" and not node.names:
        return [_diameter(t, node) for _ in range(how_many(node) if node.role("through", "from", "at") is None else 1)]
    if node.amounts and node.role("length") is None:
        if node.head not in ("segment", "line", "radius", "ray"):
            raise Refusal(f"A size is not understood of a {node.head}.")
        node = replace(node, amounts=(), roles=(*node.roles, ("length", Amount(node.amounts[0]))))
    if (bisected := node.role("bisects")) is not None:
        rest = tuple(pair for pair in node.roles if pair[0] != "bisects")
        if (isinstance(bisected, Described) and bisected.head == "angle") or (
            isinstance(bisected, Named) and len(bisected.points) in (1, 3)
        ):
            if rest:
                raise Stray("A bisector of an angle goes nowhere else. Say: the bisector of angle A.")
            return bisectors(t, Described("bisector", names=node.names, roles=(("of", bisected),)))
        if node.head == "line" and rest and {role for role, _ in rest} <= {"through", "from", "parallel", "perpendicular"}:
            # "a line through A bisecting BC": through its midpoint
            middle = Described("midpoint", roles=(("of", bisected),))
            ends = [part for role, part in rest if role in ("through", "from")]
            kept = tuple(pair for pair in rest if pair[0] not in ("through", "from"))
            return straights(t, replace(node, roles=(*kept, ("through", Many((*ends, middle)) if ends else middle))))
        raise Refusal("Say: the perpendicular bisector of AB.")
    if (
        node.head == "chord"
        and not node.adjectives
        and node.roles
        and not node.names
        and all(role in ("of", "in") for role, _ in node.roles)
    ):
        return [_any_chord(t, node) for _ in range(how_many(node))]
    if node.head == "segment" and not node.names and node.role("perpendicular", "parallel") is not None:
        return [_perpendicular_segment(t, node)]
    key = {"line": "line", "ray": "ray", "vector": "vector", "secant": "line"}.get(node.head, "segment")
    if node.role("perpendicular", "parallel", "tangent") is not None or DIRECTIONS & set(node.adjectives):
        return directed_line(t, node, key)
    if node.role("length") is not None and not node.names:
        return [
            _of_length(
                t,
                node,
                node.role("from", "through", "at")
                if not isinstance(node.role("from", "through", "at"), Amount)
                else node.role("from", "through"),
                needed(node.role("length")),
            )
        ]
    if (
        (by := node.role("by", "at", "with")) is not None
        and isinstance(by, (Amount, Described))
        and (isinstance(by, Amount) or by.head == "angle")
        and node.head in ("line", "ray", "segment")
    ):
        return [_at_angle(t, node, by)]
    if node.names:
        return _named(t, node, key)
    one, other = (
        node.role("from", "through", "of", "between", "on"),
        node.role("to", "through" if node.role("from") else "towards", "and", "with"),
    )
    length = node.role("length")
    if one is None and node.head == "chord" and length is None:
        return [_any_chord(t, node) for _ in range(how_many(node))]
    if one is None:
        if length is not None:
            return [_of_length(t, node, None, length)]
        waiting = len(t.names)
        points = t.b.of_kind(POINT)
        if node.head == "segment" and node.kind == "old" and not waiting and node.count is None and len(points) == 2:
            return [straight_between(t, "segment", tuple(points))]
        if waiting and all(len(name) == 1 for name in t.names) and node.head in ("line", "ray", "segment", "vector"):
            return [any_line(t, key) for _ in range(node.count or waiting)]
        return [any_line(t, key) for _ in range(how_many(node))]
    if length is not None and (other is None or other is one):
        return [_of_length(t, node, one, length)]
    if other is not None and other is not one:
        return straights_from_to(t, key, one, other)
    if isinstance(one, Ref):
        lately = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) == POINT]
        if len(lately) < 2:
            raise Refusal("Through which points?")
        return [straight_between(t, key, (lately[-2], lately[-1]))]
    if (
        isinstance(one, Described)
        and one.plural
        and one.head in ("midpoint", "point", "centre", "contact", "foot", "image", "intersection")
    ):
        points = t.aside(lambda: t.points(one))
        if len(points) != 2:
            raise Refusal("A line goes through two points.")
        return [straight_between(t, "segment" if node.role("between") is one else key, (points[0], points[1]))]
    if (
        isinstance(one, (Many,))
        or (isinstance(one, Named) and len(one.points) == 2)
        or (isinstance(one, Described) and one.head != "point")
    ):
        mark = t.b.mark()
        try:
            spans = t.aside(lambda: spans_of(t, one))
        except Refusal:
            if not isinstance(one, Described) or one.plural:
                raise
            t.b.back_to(mark)
            spans = [()]
        if all(len(span) == 2 for span in spans):
            return [straight_between(t, key, span) for span in spans]
    if one is node.role("of", "between", "on"):
        raise Stray(f"A {node.head} is said by two points, or by one that it goes through.")
    # A line through one point only: any that goes through it.
    point = t.aside(lambda: t.point(one))
    second = t.aside(lambda: t.b.free_point(fits=None))
    return [straight_between(t, key, (point, second))]


def _perpendicular_segment(t: Things, node: Described) -> str:
    """A segment from a point to a line, perpendicular to it: it ends at the foot."""
    start, base = node.role("from", "through"), node.role("perpendicular")
    if start is None or base is None:
        raise Refusal("A segment has two ends: say the line, or the segment from P perpendicular to l.")
    point, line = t.point_aside(start), t.aside(lambda: t.straight(base))
    stop = node.role("to")
    if stop is not None and t.aside(lambda: t.straight(needed(stop))) != line:
        raise Refusal("A segment to one line that is perpendicular to another one is said by its ends.")
    return straight_between(t, "segment", (point, t.b.make("foot", {"point": (point,), "base": line})))


def _transversal(t: Things, node: Described) -> str:
    """A line that crosses two others: through a point of each."""
    of = node.role("of", "to", "through")
    lines = t.aside(lambda: t.all_of(of)) if of is not None else t.b.recent_of(t.b.of_kind(*STRAIGHTS), 2)
    if len(lines) != 2 or not all(t.b.kind(id) in STRAIGHTS for id in lines):
        raise Refusal("A transversal crosses two lines. Say: a transversal of p and q.")
    named = node.names[0] if node.names else None
    if isinstance(named, Named) and len(named.points) == 2:
        if any(map(t.b.has, named.points)):
            raise Refusal(f"{named.text} has ends that are there: say the line {named.text}.")
        ends = tuple(t.b.make("point_on", {"path": (id,), "place": 0.6}, name) for id, name in zip(lines, named.points, strict=True))
        return straight_between(t, "line", ends)
    ends = t.aside(lambda: [t.b.make("point_on", {"path": (id,), "place": place}) for id, place in zip(lines, (0.3, 0.6))])
    return t.make("line", from_=(ends[0],), to=(ends[1],))


def _named(t: Things, node: Described, key: str) -> list[str]:
    """ "line AB", "lines AB and CD", "line l through A and B", "chord AQ"."""
    made = []
    b = t.b
    if len(node.names) > 1:
        node = shared_circle(t, node)
    names = [name for name in node.names if isinstance(name, Named)]
    if len(names) == 2 and all(len(name.points) == 1 for name in names) and not node.roles:
        return [straight_between(t, key, b.points([point for name in names for point in name.points]))]
    for name in names:
        if len(name.points) == 2:
            if node.head == "diameter":
                made.append(_diameter_named(t, node, name))
                continue
            if node.head == "radius":
                made.append(_radius_named(t, node, name))
                continue
            if node.head == "chord":
                made.append(_chord(t, node, name))
                continue
            length = node.role("length")
            if length is not None:
                made.append(span_of_length(t, name, length))
                continue
            made.append(straight_between(t, key, b.points(name.points)))
        else:
            t.names.insert(0, name.text)
            made += straights(t, replace(node, names=()))
    return made


def _chord(t: Things, node: Described, name: Named) -> str:
    """A chord between two points; new ones go on the circle."""
    b = t.b
    missing = [point for point in name.points if not b.has(point)]
    through = node.role("through")
    if len(missing) == len(name.points) and through is not None:
        return _chord_through(t, name, t.aside(lambda: t.round(node.role("of", "in"))), t.aside(lambda: t.point(through)))
    if missing:
        circle = t.aside(lambda: t.round(node.role("of", "in")))
        for point in missing:
            waiting, t.names = t.names, [point]
            t.make("point_on", path=(circle,), place=free_place_on(t, (circle,)))
            t.names = waiting
    return straight_between(t, "segment", b.points(name.points))


def _chord_through(t: Things, name: Named, circle: str, inner: str) -> str:
    """A chord with new ends through a point that is not on its circle: one end slides, the other one is where the line through both meets
    the circle again. Raises Refusal."""
    b = t.b
    if is_on(t, inner, (circle,)):
        raise Refusal(f"{b.ahead.name(inner)} is on the circle: it is an end of a chord through it.")
    near = b.make("point_on", {"path": (circle,), "place": free_place_on(t, (circle,))}, name.points[0])
    line = b.make("line", {"from": (near,), "to": (inner,)}, hidden=True)
    far = b.make("other_intersection", {"a": (line,), "b": (circle,), "known": (near,)}, name.points[1])
    return straight_between(t, "segment", (near, far))


def _radius_named(t: Things, node: Described, name: Named) -> str:
    """A radius OA: the end that is not there goes on the circle, where the other one is the centre of one."""
    b = t.b
    missing = [point for point in name.points if not b.has(point)]
    if len(missing) == 1 and (b.of_kind(CIRCLE) or node.role("of", "in") is not None):
        circle = t.aside(lambda: t.round(node.role("of", "in")))
        b.make("point_on", {"path": (circle,), "place": free_place_on(t, (circle,))}, missing[0])
    return straight_between(t, "segment", b.points(name.points))


def _any_chord(t: Things, node: Described) -> str:
    """A chord between two new points of a circle."""
    circle = t.aside(lambda: t.round(node.role("of", "in")))
    ends = [t.aside(lambda: t.b.make("point_on", {"path": (circle,), "place": free_place_on(t, (circle,))})) for _ in range(2)]
    return straight_between(t, "segment", (ends[0], ends[1]))


def _diameter_named(t: Things, node: Described, name: Named) -> str:
    """A diameter AB of a circle: A rides on it, B faces it; or both are there."""
    b = t.b
    of = node.role("of", "in")
    if isinstance(of, Described) and of.kind == "new" and of.head == "circle":
        ends = b.points(name.points)
        centre = of.role("centre")
        if isinstance(centre, Named) and centre.points and not b.has(centre.text):
            middle = b.make("midpoint", {"span": ends}, centre.text)
            circle = b.make("circle", {"centre": (middle,), "point": ends[:1]})
        else:
            circle = b.make("circle_on_diameter", {"from": ends[:1], "to": ends[1:]})
        if of.names and isinstance(of.names[0], Named):
            b.rename_new(circle, of.names[0].text)
        return straight_between(t, "segment", ends)
    known = [point for point in name.points if b.has(point)]
    if not b.of_kind(CIRCLE, hidden=True):
        ends = b.points(name.points)
        b.make("circle_on_diameter", {"from": ends[:1], "to": ends[1:]})
        return straight_between(t, "segment", ends)
    if len(known) == 2:
        return straight_between(t, "segment", b.points(name.points))
    circle = t.aside(lambda: circle_of(t, of, b.point(known[0])) if known else t.round(of))
    one = known[0] if known else name.points[0]
    other = next(point for point in name.points if point != one)
    if not known:
        b.make("point_on", {"path": (circle,)}, one)
    middle = t.aside(lambda: centre_of(t, circle))
    half_turn = b.make("point_reflection", {"centre": (middle,)}, hidden=True)
    b.make("image_point", {"of": (b.point(one),), "by": (half_turn,)}, other)
    return straight_between(t, "segment", b.points(name.points))


def _of_length(t: Things, node: Described, start: Node | None, length: Node) -> str:
    size = t.aside(lambda: length_said(t, length))
    begin = t.aside(lambda: t.point(start) if start is not None else t.b.free_point())
    angle = node.role("at", "by")
    base = node.role("to")
    if angle is not None and base is not None:
        turned = t.aside(lambda: angle_said(t, angle))
        line = t.b.make("at_angle", {"point": (begin,), "angle": turned, "base": t.aside(lambda: t.straight(base))}, hidden=True)
        circle = t.b.make("circle_radius", {"centre": (begin,), "radius": size}, hidden=True)
        end = t.b.make("intersection", {"a": (line,), "b": (circle,), "which": "second"})
        return t.make("segment", from_=(begin,), to=(end,))
    circle = t.b.make("circle_radius", {"centre": (begin,), "radius": size}, hidden=True)
    end = t.b.make("point_on", {"path": (circle,), "place": 4.0})
    return t.make("vector" if node.head == "vector" else "segment", from_=(begin,), to=(end,))


def _at_angle(t: Things, node: Described, by: Node) -> str:
    """A line through a point at an angle to another one."""
    base = node.role("to", "with")
    through = node.role("through", "from") or (node.names[0] if node.names else None)
    if isinstance(by, Described):
        size = by.role("of", "size") or (Amount(by.amounts[0]) if by.amounts else None)
        base = base or by.role("to", "with")
        by = size if size is not None else by
    if base is by:
        base = next((part for role, part in node.roles if role in ("to", "with") and part is not by), None)
    if base is None or through is None:
        raise Refusal("Through which point, and to which line? Say: the line through A at 30 degrees to BC.")
    angle = t.aside(lambda: angle_said(t, by))
    point = t.aside(lambda: t.point(through))
    if node.head == "ray":
        line = t.b.make("at_angle", {"point": (point,), "angle": angle, "base": t.aside(lambda: t.straight(base))}, hidden=True)
        end = t.aside(lambda: t.b.make("point_on", {"path": (line,), "place": 0.8}))
        return t.make("ray", from_=(point,), to=(end,))
    return t.make("at_angle", point=(point,), angle=angle, base=t.aside(lambda: t.straight(base)))


def _radius(t: Things, node: Described) -> str:
    """A radius as a segment: to a point of the circle."""
    to, start = node.role("to", "through", "at"), node.role("from")
    if start is not None and to is not None:
        ends = t.aside(lambda: (t.point(start), t.point(to)))
        return straight_between(t, "segment", ends)
    circle = t.aside(lambda: t.round(node.role("of", "in", "from")))
    centre = t.aside(lambda: centre_of(t, circle))
    point = t.aside(lambda: t.point(to)) if to is not None else t.b.make("point_on", {"path": (circle,)})
    return straight_between(t, "segment", (centre, point))


def _diameter(t: Things, node: Described) -> str:
    """The diameter through a point of a circle, as a segment."""
    through = node.role("through", "from", "at")
    if through is None:
        circle = t.aside(lambda: t.round(node.role("of", "in")))
        point = t.b.make("point_on", {"path": (circle,)})
    else:
        point = t.aside(lambda: t.point(through))
        circle = t.aside(lambda: circle_of(t, node.role("of", "in"), point))
    centre = t.aside(lambda: centre_of(t, circle))
    half_turn = t.b.make("point_reflection", {"centre": (centre,)}, hidden=True)
    other = t.b.make("image_point", {"of": (point,), "by": (half_turn,)})
    return straight_between(t, "segment", (point, other))


@makes("axis", parts="", words="horizontal vertical")
def axes(t: Things, node: Described) -> list[str]:
    """An axis of coordinates: the line that is drawn of it, or a new one."""
    if len(node.adjectives) != 1:
        raise Refusal("Which axis is meant: the x-axis or the y-axis?")
    equation = "y = 0" if node.adjectives == ("horizontal",) else "x = 0"
    there = [step.id for step in t.b.ahead.steps if step.does == "line_from_equation" and step.fills["equation"] == equation]
    return there[-1:] or [t.make("line_from_equation", equation=equation)]
