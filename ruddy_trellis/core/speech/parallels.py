"""Parallels, perpendiculars, level and upright lines."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from ..kinds import LINE, POINT, RAY, SEGMENT
from ..refusal import Refusal
from .amounts import length_said
from .lines_between import straight_between
from .nodes import Amount, Described, Many, Named, Node
from .nouns import makes
from .spans import distant_from, facing_side, needed, points_lying_on, spans_of
from .tangents import tangents
from .things import Things


def directed_line(t: Things, node: Described, key: str) -> list[str]:
    """Parallels and perpendiculars, horizontal and vertical lines, lines that touch a circle."""
    b = t.b
    if (tangent := node.role("tangent")) is not None:
        return tangents(
            t,
            Described(
                "tangent",
                names=node.names,
                roles=tuple((("to" if part is tangent else role), part) for role, part in node.roles),
                count=node.count,
            ),
        )
    which = "perpendicular" if node.role("perpendicular") is not None or "perpendicular" in node.adjectives else "parallel"
    if {"horizontal", "vertical"} & set(node.adjectives):
        which = "horizontal" if "horizontal" in node.adjectives else "vertical"
    through = node.role("through", "from", "at", "on")
    ends = node.names[0] if node.names and isinstance(node.names[0], Named) else None
    if ends is not None and len(ends.points) == 2:
        return [_named_directed(t, node, ends, which)]
    if ends is not None:
        t.names.insert(0, ends.text)
    if which in ("horizontal", "vertical"):
        point = t.aside(lambda: t.point(through) if through is not None else b.free_point())
        if (length := node.role("length")) is not None:
            return [_level_segment(t, which, point, t.aside(lambda: length_said(t, length)))]
        return [t.make(which, point=(point,))]
    base_node = node.role(which) or node.role("to", "of")
    if isinstance(through, Many) and not isinstance(base_node, Many):
        return [
            _one_directed(t, which, t.aside(lambda: t.straight(needed(base_node))), point) for point in t.aside(lambda: t.points(through))
        ]
    if isinstance(base_node, Many) or (isinstance(base_node, Described) and base_node.plural):
        return [
            line for base in _bases(t, base_node) for line in [_one_directed(t, which, base, t.aside(lambda: t.point(needed(through))))]
        ]
    return [
        _one_parallel_or_perpendicular(
            t, replace(node, head=which, roles=tuple(("to" if role == which else role, part) for role, part in node.roles))
        )
    ]


def _level_segment(t: Things, which: str, start: str, size: Any) -> str:
    """A segment of a length that is horizontal or vertical, to the right or up from its start."""
    line = t.b.make(which, {"point": (start,)}, hidden=True)
    circle = t.b.make("circle_radius", {"centre": (start,), "radius": size}, hidden=True)
    end = t.b.make("intersection", {"a": (line,), "b": (circle,), "which": "second"})
    return straight_between(t, "segment", (start, end))


def _bases(t: Things, node: Node) -> list[tuple[str, ...]]:
    if isinstance(node, Many):
        if all(isinstance(item, Named) and len(item.points) == 1 for item in node.items):
            return [t.aside(lambda: t.straight(node))]
        return [t.aside(lambda item=item: t.straight(item)) for item in node.items]  # type: ignore[misc]
    if isinstance(node, Described) and node.head == "side":
        return t.aside(lambda: spans_of(t, node))
    return [(id,) for id in t.aside(lambda: t.all_of(node))]


def _one_directed(t: Things, which: str, base: tuple[str, ...], point: str) -> str:
    return t.make(which, base=base, point=(point,))


def _named_directed(t: Things, node: Described, ends: Named, which: str) -> str:
    """ "AD perpendicular to BC [meeting it at D]": from the end that is there; the other is its foot, or free on it."""
    b = t.b
    t.check_told()
    known = [point for point in ends.points if b.has(point)]
    if which in ("horizontal", "vertical"):
        return _named_level(t, node, ends, which, known)
    base = t.aside(lambda: t.straight(needed(node.role(which))))
    if len(known) == 2:
        raise Refusal(f"{ends.text} is there already; whether it is {which} is a claim.")
    if not known:
        raise Refusal(f"{ends.points[0]} is not there.")
    start = b.point(known[0])
    other = next(point for point in ends.points if point != known[0])
    size = node.role("length")
    if which == "perpendicular" and size is None:
        base_points = set(base) if len(base) == 2 else points_lying_on(t, base[0])
        if start not in base_points:
            foot = b.make("foot", {"point": (start,), "base": base}, other)
            return straight_between(t, "segment", (start, foot))
    line = b.make(which, {"base": base, "point": (start,)}, hidden=True)
    if "equal" in node.extra and len(base) == 2:
        # Equal and parallel: the fourth corner of a parallelogram.
        vector = b.make("translation", {"from": base[:1], "to": base[1:]}, hidden=True)
        end = b.make("image_point", {"of": (start,), "by": (vector,)}, other)
        return straight_between(t, "segment", (start, end))
    if size is not None:
        circle = b.make("circle_radius", {"centre": (start,), "radius": t.aside(lambda: length_said(t, size))}, hidden=True)
        end = b.make("intersection", {"a": (line,), "b": (circle,), "which": "second"}, other)
    else:
        end = b.make("point_on", {"path": (line,), "place": 0.4}, other)
    return straight_between(t, "segment", (start, end))


def _named_level(t: Things, node: Described, ends: Named, which: str, known: list[str]) -> str:
    """ "the horizontal segment AB of length 9": from the end that is there, or a new one, to the right or up. Raises Refusal."""
    b = t.b
    if len(known) == 2:
        raise Refusal(f"{ends.text} is there already; it is {which} if the one end is moved.")
    start = t.aside(lambda: b.point(known[0]) if known else b.free_point(ends.points[0]))
    other = next(point for point in ends.points if point != b.ahead.name(start))
    line = b.make(which, {"point": (start,)}, hidden=True)
    if (size := node.role("length")) is None:
        end = b.make("point_on", {"path": (line,), "place": 0.8}, other)
    else:
        circle = b.make("circle_radius", {"centre": (start,), "radius": t.aside(lambda: length_said(t, size))}, hidden=True)
        end = b.make("intersection", {"a": (line,), "b": (circle,), "which": "second"}, other)
    return straight_between(t, "line" if node.head == "line" and size is None else "segment", (start, end))


@makes("perpendicular", "parallel", parts="through from at of by to on with perpendicular parallel distance", words="opposite")
def parallels(t: Things, node: Described) -> list[str]:
    """Parallels and perpendiculars said by their own noun."""
    if any(
        (isinstance(part, Described) and part.head == "distance") or isinstance(part, Amount)
        for role, part in node.roles
        if role in ("at", "by", "distance")
    ):
        return [_one_parallel_or_perpendicular(t, node)]
    through = node.role("through", "from", "at", "of") if node.role("to", "on") is not None else node.role("through", "from", "at", "by")
    base = node.role("to", "on", "with") or (node.role("of") if through is not node.role("of") else None) or node.role(node.head)
    if node.names and isinstance(node.names[0], Named):
        if len(node.names[0].points) == 2 and (base is not None):
            return [_named_directed(t, replace(node, roles=((node.head, base), *node.roles)), node.names[0], node.head)]
        t.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
    if isinstance(base, Many) and all(isinstance(item, Named) and len(item.points) == 1 for item in base.items):
        base = None if through is not None and node.head == "perpendicular" else base
    starts = t.aside(lambda: t.points(through)) if through is not None else []
    if len(starts) > 1 or (isinstance(base, (Many, Described)) and _is_several(base)):
        starts = starts or [_point_spoken_of(t)]
        facing = base is None or (
            isinstance(base, Described)
            and base.head == "side"
            and ("opposite" in base.adjectives or (base.plural and "other" not in base.adjectives))
        )
        corners = {corner for triangle in t.b.triangles() for corner in triangle}
        if facing and base is not None and len(starts) == 1 and starts[0] not in corners:
            # "perpendiculars from P to the sides", where P is no corner: one to each of them.
            return [_one_of(t, node, side, starts[0]) for side in _bases(t, base)]
        if facing:
            return [_dropped(t, node, start, facing_side(t, start)) for start in starts]
        bases = _bases(t, base) if base is not None else []
        if len(bases) == 1:
            bases *= len(starts)
        if len(starts) == 1:
            starts *= len(bases)
        if len(starts) != len(bases):
            raise Refusal("It is not clear which line goes with which point.")
        return [_one_of(t, node, one, start) for one, start in zip(bases, starts)]
    return [_one_parallel_or_perpendicular(t, replace(node, names=()))]


def _point_spoken_of(t: Things) -> str:
    """The point that was made last, from which perpendiculars are dropped where no other is said. Raises Refusal."""
    last = next((id for id in reversed(t.b.recent.ids) if id in t.b.ahead), None)
    if last is None or t.b.kind(last) != POINT or any(last in corners for corners in t.b.triangles()):
        raise Refusal("From which point? Say: the perpendiculars from P to the sides of ABC.")
    return last


def _is_several(node: Node) -> bool:
    return isinstance(node, Many) or (isinstance(node, Described) and node.plural)


def _one_of(t: Things, node: Described, base: tuple[str, ...], start: str) -> str:
    return t.make(node.head, base=base, point=(start,))


def _dropped(t: Things, node: Described, start: str, base: tuple[str, ...]) -> str:
    """From a corner to the side that faces it: a perpendicular is an altitude."""
    if node.head == "parallel":
        return _one_of(t, node, base, start)
    return t.make("altitude", corner=(start,), base=base)


def _one_parallel_or_perpendicular(t: Things, node: Described) -> str:
    """One parallel or perpendicular: through a point, at a distance, or where it is bisected."""
    near = node.role("at", "by")
    through = (
        node.role("through")
        or (near if isinstance(near, Named) or (isinstance(near, Described) and near.head != "distance") else None)
        or node.role("from")
    )
    base = node.role("to", "on", "with", node.head)
    of = node.role("of")
    if base is None and of is not None:
        base = of
    elif through is None and of is not None:
        through = of
    distance = node.role("at", "by", "distance")
    if isinstance(distance, Described) and distance.head == "distance" and node.head == "parallel":
        size = distance.role("of") or (Amount(distance.amounts[0]) if distance.amounts else None)
        return parallel_at(t, base, size)
    if isinstance(distance, Amount) and node.head == "parallel":
        return parallel_at(t, base, distance)
    if base is None and through is not None and "opposite" in node.adjectives:
        point = t.aside(lambda: t.point(through))
        return _dropped(t, node, point, facing_side(t, point))
    if base is None and through is None:
        raise Refusal(f"To which line, and through which point? Say: the {node.head} to AB through C.")
    if through is None and base is not None and node.kind == "new" and node.head == "parallel":
        # "draw a line parallel to l": through any point
        line = t.aside(lambda: t.straight(base))
        return t.make("parallel", base=line, point=(t.aside(t.b.free_point),))
    if through is None:
        # "choose a point on l and drop a perpendicular to m"
        last = t.b.recent.ids[-1:] if t.b.new else []
        if not last or last[0] in t.b.board or t.b.kind(last[0]) != POINT or node.head != "perpendicular":
            raise Refusal(f"Through which point? Say: the {node.head} to AB through C.")
    point = t.aside(lambda: t.point(through)) if through is not None else last[0]
    if base is None:
        line = _line_of_point(t, point) if node.head == "perpendicular" else None
        if line is None:
            raise Refusal(f"To which line? Say: the {node.head} to AB through {t.b.ahead.name(point)}.")
        return t.make(node.head, base=line, point=(point,))
    if isinstance(base, Described) and base.head == "side" and "opposite" in base.adjectives and not base.names:
        return _dropped(t, node, point, facing_side(t, point))
    return t.make(node.head, base=t.aside(lambda: t.straight(base)), point=(point,))


def _line_of_point(t: Things, point: str) -> tuple[str, ...] | None:
    """The only straight thing on which a point lies, else the side that faces it."""
    on = [id for id in t.b.of_kind(LINE, SEGMENT, RAY) if point in t.b.points_on(id)]
    if len(on) == 1:
        return (on[0],)
    try:
        return facing_side(t, point)
    except Refusal:
        return None


def parallel_at(t: Things, base: Node | None, size: Node | None) -> str:
    """A parallel at a distance: through a point so far off on a perpendicular."""
    if base is None or size is None:
        raise Refusal("To which line, and at what distance?")
    line = t.aside(lambda: t.straight(base))
    return t.make("parallel", base=line, point=(distant_from(t, line, t.aside(lambda: length_said(t, size))),))
