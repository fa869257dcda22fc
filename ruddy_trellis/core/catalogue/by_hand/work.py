"""What is drawn by hand, step by step: straight lines, circles, and where they meet. Each helper is drawn once, however often it is needed.

A point is a tuple of one id, as it fills a gap. No opening of the compasses is a fixed number: each comes from points of the figure, so
that arcs meet wherever the pegs are.
"""

from collections.abc import Callable, Mapping
from typing import Any, NamedTuple, TypeAlias

from ...kinds import POINT
from ...language.fills import is_ids
from ...refusal import Refusal
from ...seen import Fills, SeenBoard

Ids: TypeAlias = tuple[str, ...]
#: Makes a step on the board and gives its id: from the key of a construction, its fills and how it looks.
Maker: TypeAlias = Callable[[str, dict[str, Any], Mapping[str, Any]], str]

#: How what is drawn on the way looks at first: arcs near where they are needed, thin lines, small points.
ARC: Mapping[str, Any] = {"pen": "slate", "width": 1.2, "part": True, "label": False}
RULED: Mapping[str, Any] = {"pen": "slate", "width": 1.2, "pattern": "dashed", "label": False}
DOT: Mapping[str, Any] = {"pen": "slate", "size": 5.0, "label": False}


class Made(NamedTuple):
    """How a thing is made in the end: by which construction, with what in its gaps."""

    key: str
    fills: dict[str, Any]


class Work:
    """The work on one board.

    Args:
        board: the steps before what is drawn; what is made comes on it.
        make: puts a step on that board.
        closes: whether the compasses close when they are lifted, so that a length is carried by a parallelogram.
        directed: whether a line must keep its direction, since crossings are counted along it.
        before: the steps as they were, before any of them was drawn by hand.
    """

    def __init__(
        self, board: SeenBoard, make: Maker, closes: bool = False, directed: bool = False, before: SeenBoard | None = None
    ) -> None:
        self.board, self.directed = board, directed
        self._make, self._closes, self._before = make, closes, before or board

    # What the hand does --------------------------------------------------------------------------------------

    def add(self, key: str, fills: dict[str, Any], look: Mapping[str, Any]) -> Ids:
        """A step: the one that is there already, or a new one."""
        found = self.board.alike(key, fills)
        return (found[0],) if found else (self._make(key, fills, look),)

    def line(self, a: Ids, b: Ids) -> Ids:
        """The whole line through two points: one that is drawn already, in either direction."""
        drawn = self.board.alike("line", {"from": b, "to": a})
        return (drawn[0],) if drawn else self.add("line", {"from": a, "to": b}, RULED)

    def line_from(self, a: Ids, b: Ids) -> Ids:
        """The line through two points, along which crossings are counted from the first to the second."""
        return self.add("line", {"from": a, "to": b}, RULED)

    def ray(self, a: Ids, b: Ids) -> Ids:
        return self.add("ray", {"from": a, "to": b}, RULED)

    def circle(self, centre: Ids, point: Ids) -> Ids:
        return self.add("circle", {"centre": centre, "point": point}, ARC)

    def opened(self, centre: Ids, a: Ids, b: Ids) -> Ids:
        """The circle about a point with the compasses opened from a to b."""
        if centre in (a, b):
            return self.circle(centre, b if centre == a else a)
        if self._closes:
            return self.circle(centre, self.shifted(centre, a, b))
        return self.add("circle_radius", {"centre": centre, "radius": (*a, *b)}, ARC)

    def meet(self, a: Ids, b: Ids, which: str | None = None) -> Ids:
        return self.add("intersection", {"a": a, "b": b, **({"which": which} if which else {})}, DOT)

    def other(self, a: Ids, b: Ids, known: Ids) -> Ids:
        """Where two things meet again."""
        return self.add("other_intersection", {"a": a, "b": b, "known": known}, DOT)

    # What is there -------------------------------------------------------------------------------------------

    def fills(self, id: Ids) -> Fills:
        return self.board.step(id[0]).fills

    def does(self, id: Ids) -> str:
        return self.board.step(id[0]).does

    def ends(self, base: Ids) -> tuple[Ids, Ids]:
        """Two points of a straight thing in the order of its direction: its own, or two that are put on it."""
        if len(base) == 2:
            return base[:1], base[1:]
        fills = self.fills(base)
        if is_ids(fills.get("from")) and is_ids(fills.get("to")):
            return tuple(fills["from"]), tuple(fills["to"])
        return tuple(self.add("point_on", {"path": base, "place": place}, DOT) for place in (0.0, 1.0))  # type: ignore[return-value]

    def whole(self, base: Ids) -> Ids:
        """The whole line that a straight thing lies on."""
        if len(base) == 1 and self.board.kind_of(base[0]) == "line":
            return base
        return self.line(*self.ends(base))

    def lies_on(self, point: Ids, base: Ids) -> bool:
        """Whether a point is on a straight thing by how they are made."""
        if len(base) == 2:
            return point[0] in base
        return point[0] in self.board.incidence.get(base[0], ())

    def centre_of(self, circle: Ids) -> Ids:
        """The centre of a circle or an arc: its own, or found by two perpendicular bisectors of chords."""
        centre = self.fills(circle).get("centre")
        if is_ids(centre):
            return tuple(centre)
        on = self._points_on(circle)[:3]
        for place in (10.0, 130.0, 250.0)[len(on) :]:
            on.append(self.add("point_on", {"path": circle, "place": place}, DOT))
        return self.circumcentre(*on)

    def _points_on(self, path: Ids) -> list[Ids]:
        on = sorted(self.board.incidence.get(path[0], ()), key=self.board.place)
        return [(id,) for id in on if self.board.kind_of(id) == POINT]

    def point_of(self, circle: Ids) -> Ids:
        """A point of a circle: its own, or one that is put on it."""
        fills = self.fills(circle)
        for gap in ("point", "from"):
            if is_ids(fills.get(gap)) and fills[gap] != fills.get("centre") and self.does(circle) in ("circle", "arc"):
                return tuple(fills[gap])
        on = self._points_on(circle)
        return on[0] if on else self.add("point_on", {"path": circle, "place": 40.0}, DOT)

    def turned_before(self, point: Ids, centre: Ids) -> list[tuple[float, Ids]]:
        """The typed angles by which a point is turned about a centre already, each with the point that it comes to."""
        return [
            (step.fills["angle"], (step.id,))
            for step in self._before.steps
            if step.does == "turned" and step.fills["point"] == point and step.fills["centre"] == centre
            if step.id in self.board and not is_ids(step.fills["angle"])
        ]

    def turned_to(self, there: Ids, centre: Ids, angle: float) -> Ids | None:
        """What was turned about a centre by an angle to come to a point; None where that was made otherwise."""
        step = self._before.step(there[0]) if there[0] in self._before else None
        if step is None or step.does != "turned" or step.fills["centre"] != centre or step.fills["angle"] != angle:
            return None
        return step.fills["point"]

    # What every other way is made of -------------------------------------------------------------------------

    def equally_far(self, a: Ids, b: Ids) -> tuple[Ids, Ids]:
        """The two points as far from a and from b as these are from one another: left and right of the way from a to b."""
        arcs = self.circle(a, b), self.circle(b, a)
        return self.meet(*arcs, "first"), self.meet(*arcs, "second")

    def middle_line(self, a: Ids, b: Ids) -> Ids:
        """The perpendicular bisector."""
        left, right = self.equally_far(a, b)
        return self.line_from(right, left)

    def midpoint(self, a: Ids, b: Ids) -> Ids:
        return self.meet(self.middle_line(a, b), self._joined(a, b))

    def _joined(self, a: Ids, b: Ids) -> Ids:
        """The segment between two points, or the line through them, where one is drawn; otherwise the line."""
        for start, stop in ((a, b), (b, a)):
            if drawn := self.board.alike("segment", {"from": start, "to": stop}):
                return (drawn[0],)
        return self.line(a, b)

    def beyond(self, a: Ids, b: Ids) -> Ids:
        """The point as far beyond b as a is before it: a turned half round b."""
        return self.other(self.line(a, b), self.circle(b, a), a)

    def mirrored(self, point: Ids, base: Ids) -> Ids:
        """The mirror image of a point that is not on the line."""
        a, b = self.ends(base)
        return self.other(self.circle(a, point), self.circle(b, point), point)

    def upright(self, point: Ids, base: Ids) -> tuple[Ids, Ids]:
        """Two points of the perpendicular to a line through a point, the second to the left of the line's direction."""
        a, b = self.ends(base)
        if self.lies_on(point, base):
            start = a if point != a else b
            far = self.other(self.whole(base), self.circle(point, start), start)
            left, right = self.equally_far(start, far) if start == a else self.equally_far(far, start)
            return right, left
        if self.directed:
            arcs = self.circle(a, point), self.circle(b, point)
            return self.meet(*arcs, "second"), self.meet(*arcs, "first")
        return point, self.mirrored(point, base)

    def foot(self, point: Ids, base: Ids) -> Ids:
        return self.meet(self.line(point, self.mirrored(point, base)), self.whole(base))

    def fourth_corner(self, a: Ids, b: Ids, c: Ids) -> Ids:
        """The point d that makes a parallelogram abcd: b turned half round the middle of ac."""
        middle = self.midpoint(a, c)
        return self.other(self.line(b, middle), self.circle(middle, b), b)

    def shifted(self, point: Ids, a: Ids, b: Ids) -> Ids:
        """A point moved as a is moved to b."""
        if a == b:
            return point
        if point == a:
            return b
        if point == b:
            return self.beyond(a, b)
        return self.fourth_corner(point, a, b)

    def halving(self, a: Ids, corner: Ids, c: Ids) -> Ids:
        """A point on the bisector of an angle below 180°, within it."""
        opened = self.circle(corner, a)
        there = self.meet(self.ray(corner, c), opened, "second")
        return self.other(self.circle(a, corner), self.circle(there, corner), corner)

    def circumcentre(self, a: Ids, b: Ids, c: Ids) -> Ids:
        return self.meet(self.middle_line(a, b), self.middle_line(a, c))

    def incentre(self, a: Ids, b: Ids, c: Ids) -> Ids:
        return self.meet(self.line(a, self.halving(b, a, c)), self.line(b, self.halving(a, b, c)))


class NotByHand(Refusal):
    """What cannot be drawn with straightedge and compasses, with why."""
