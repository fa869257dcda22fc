"""What fills a gap of a kind: a span, a line, a corner, a triangle, a polygon, a circle, a path, from what a phrase stands for."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import replace
from typing import Any

from ..kinds import ARC, CIRCLE, CONIC, LINE, NUMBER, POINT, POLYGON, REGION, SEGMENT, SPANS, STRAIGHTS, THINGS, VECTOR
from ..language import names as spelling
from ..refusal import Refusal
from .nodes import Described, Many, Named, Node, Ref
from .nouns import CORNERS, KINDS_OF
from .part_checks import check_made
from .shape_sorts import SORTS
from .spoken import Spoken

#: What a shape has that is called by its own name.
_PARTS = frozenset(("side", "diagonal", "corner", "angle"))
#: What "it" may be when something is drawn.
DRAWN = frozenset((*THINGS, REGION)) - {POINT}


class Things(Spoken):
    """What phrases stand for on the board of a building, where a kind of thing is wanted (see ``Spoken``)."""

    def check_made(self, node: Described, made: Sequence[str]) -> None:
        """Raise Refusal where what was made of a description is not so (see ``part_checks``)."""
        check_made(self, node, made)

    def described(self, node: Described) -> list[str]:
        """The ids of what a description makes, or of what is there that it speaks of; of a shape that it belongs to first that."""
        return super().described(self.of_its_shape(node))

    def of_its_shape(self, node: Described) -> Described:
        """Parts of a shape that are named, without the shape that they are said to be of: that is there, or it is made, and it is of the
        sort that is said: "the midpoints of the sides AB and BC of a rhombus ABCD". Raises Refusal."""
        of = node.role("of", "in")
        if node.head not in _PARTS or not isinstance(of, Described) or of.head not in CORNERS or not of.names:
            return node
        is_sort = bool(of.adjectives) or of.head in SORTS
        if not is_sort and not (self.b.makes and node.names and node.head in ("side", "diagonal")):
            return node
        polygon = self.aside(lambda: self.polygon(of))
        if node.names:
            return replace(node, roles=tuple((role, part) for role, part in node.roles if part is not of))
        corners = tuple(self.b.ahead.name(id) for id in self.b.ahead.step(polygon).fills.get("corners", ()))
        named = Named("".join(corners), corners)
        return replace(node, roles=tuple((role, named if part is of else part) for role, part in node.roles))

    def span(self, node: Node) -> tuple[str, ...]:
        """Two points, or one segment or vector, as a gap for a span takes them."""
        b = self.b
        if isinstance(node, Ref):
            drawn = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in SPANS]
            if not drawn:
                raise Refusal("No segment was spoken of.")
            return (drawn[-1],)
        if isinstance(node, Many) and len(node.items) == 2:
            found = self.points(node)
            if len(found) == 2:
                return tuple(found)
        if isinstance(node, Named) and len(node.points) == 2:
            return b.points(node.points)
        if (
            isinstance(node, Described)
            and len(node.names) == 1
            and node.head in ("line", "segment", "side", "chord", "diameter", "radius", "base", "diagonal", "hypotenuse", "arm")
        ):
            inner = node.names[0]
            if isinstance(inner, Named) and len(inner.points) == 2 and not node.roles and not node.adjectives and not node.extra:
                ends = b.points(inner.points)
                if node.head == "hypotenuse" and b.triangles() and set(ends) <= set(b.triangle()):
                    self._check_hypotenuse(inner.text, ends)
                return ends
        if isinstance(node, Described) and node.head in ("point",) and len(node.names) == 2:
            return tuple(self.points(node))
        if isinstance(node, Described) and node.head == "hypotenuse":
            if isinstance(of := node.role("of"), Described) and of.head == "triangle":
                self.aside(lambda: self.polygon(of))
            for name in node.names:
                if isinstance(name, Named) and len(name.points) == 2 and all(map(b.has, name.points)):
                    self._check_hypotenuse(name.text, b.points(name.points))
            return self._side_facing_right_angle()
        found = self.aside(lambda: self.all_of(node))
        if len(found) == 1 and b.kind(found[0]) in (SEGMENT, VECTOR):
            return (found[0],)
        if len(found) == 1 and b.ahead.step(found[0]).does in ("line", "ray"):
            step = b.ahead.step(found[0])
            return (*step.fills["from"], *step.fills["to"])
        raise Refusal("Two points or a segment are needed here.")

    def _check_hypotenuse(self, name: str, ends: tuple[str, ...]) -> None:
        """Raise Refusal where a side that is called so does not face the right angle."""
        facing = self._side_facing_right_angle()
        if set(facing) != set(ends):
            raise Refusal(f"{name} is not the hypotenuse, which is {''.join(self.b.ahead.name(id) for id in facing)}.")

    def _side_facing_right_angle(self) -> tuple[str, ...]:
        corners = self.b.triangle()
        places = [complex(*self.b.now(id)) for id in corners]
        for number in range(3):
            one, other = places[number - 1] - places[number], places[(number + 1) % 3] - places[number]
            if abs((one * other.conjugate()).real) < 1e-9 * (abs(one) * abs(other) + 1e-12):
                return corners[number - 1], corners[(number + 1) % 3]
        raise Refusal("The triangle has no right angle, so it has no hypotenuse.")

    def straight(self, node: Node) -> tuple[str, ...]:
        """A straight thing, or two points, as a gap for a straight thing takes them."""
        b = self.b
        if isinstance(node, Ref):
            drawn = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in (*STRAIGHTS, CIRCLE, ARC, CONIC, POLYGON)]
            drawn = [id for id in drawn if not b.ahead.step(id).look.hidden] or drawn
            if not drawn or b.kind(drawn[-1]) not in STRAIGHTS:
                raise Refusal("No line was spoken of.")
            return (drawn[-1],)
        if isinstance(node, Named) and len(node.points) == 2 and not self._drawn(node):
            ends = b.points(node.points)
            known = b.straight_between(*ends, kinds=(LINE,))
            return (known,) if known else ends
        if (
            isinstance(node, Described)
            and len(node.names) == 1
            and node.head in ("line", "segment", "side", "chord", "base", "diagonal", "ray", "radius", "diameter", "arm", "hypotenuse")
        ):
            inner = node.names[0]
            if isinstance(inner, Named) and len(inner.points) == 2 and not node.roles and not node.adjectives and not node.extra:
                return self.straight(inner)
        if (
            isinstance(node, Many)
            and len(node.items) == 2
            and all(isinstance(item, Named) and len(item.points) == 1 for item in node.items)
        ):
            return tuple(self.points(node))
        found = self.aside(lambda: self.all_of(node))
        if len(found) == 1 and b.kind(found[0]) in STRAIGHTS:
            return (found[0],)
        raise Refusal("A line is needed here.")

    def _drawn(self, node: Named) -> list[str]:
        """What bears a name and is no reading, which is often called like the two points between which it was taken."""
        return [id for id in self.b.ahead.ids_named(spelling.tidy(node.text)) if self.b.kind(id) != NUMBER]

    def corner(self, node: Node) -> tuple[str, ...]:
        """The three points of an angle, its corner second."""
        b = self.b
        if isinstance(node, Described) and node.head in ("angle", "corner"):
            node = self.of_its_shape(node)
            if set(node.adjectives) - {"acute", "internal"} or node.extra or node.amounts:
                raise Refusal(f"“{' '.join((*node.adjectives, *node.extra, *node.amounts))}” is not understood of an angle here.")
            if node.names:
                return self.corner(node.names[0])
            between = node.role("between")
            if isinstance(between, Many) and len(between.items) == 2:
                return self._corner_between(*between.items)
            at = node.role("at", "of")
            if at is not None:
                return self._corner_at(self.point(at))
            if node.kind == "old" and not node.roles and (corner := self.corner_spoken_of()):
                return corner
        if isinstance(node, Many) and len(node.items) == 2:
            return self._corner_between(*node.items)
        if isinstance(node, Ref) and (corner := self.corner_spoken_of()):
            return corner
        if isinstance(node, Named):
            points = node.points or (b.free_name(node.text, POINT),)
            if len(points) == 3:
                return b.points(points)
            if len(points) == 1:
                return self._corner_at(b.point(points[0]))
        raise Refusal("An angle is named by three points, its corner second: angle ABC.")

    def corner_spoken_of(self) -> tuple[str, ...]:
        """The corner of the angle that was spoken of last, or whose two rays were drawn last; none where something else was."""
        lately = [self.b.ahead.step(id) for id in self.b.recent.ids[-2:] if id in self.b.ahead]
        if lately and lately[-1].does == "angle":
            return tuple(lately[-1].fills["corner"])
        if len(lately) == 2 and all(step.does == "ray" for step in lately) and lately[0].fills["from"] == lately[1].fills["from"]:
            return (*lately[0].fills["to"], *lately[0].fills["from"], *lately[1].fills["to"])
        return ()

    def _corner_at(self, point: str) -> tuple[str, ...]:
        """The angle at a point that is meant by that point alone: that of a shape there, or between two things drawn from it."""
        b = self.b
        found: list[tuple[str, ...]] = []
        for step in b.ahead.steps:
            corners = step.fills.get("corners", ()) if step.makes == POLYGON else ()
            if point in corners:
                at = corners.index(point)
                found.append((corners[at - 1], point, corners[(at + 1) % len(corners)]))
        if not found:
            ends = [end for step in b.ahead.steps if step.does in ("segment", "ray", "line", "vector") for end in _other_end(step, point)]
            ends = list(dict.fromkeys(ends))
            if len(ends) == 2:
                found.append((ends[0], point, ends[1]))
            elif len(triangles := b.triangles()) == 1 and point in triangles[0]:
                at = triangles[0].index(point)
                found.append((triangles[0][at - 1], point, triangles[0][(at + 1) % 3]))
        if len({frozenset(one) for one in found}) != 1:
            raise Refusal(f"Which angle at {b.ahead.name(point)} is meant? Name it by three points, its corner second.")
        return found[0]

    def _corner_between(self, one: Node, other: Node) -> tuple[str, ...]:
        """The angle between two arms that have a point in common."""
        a, b = self._ends(one), self._ends(other)
        common = [id for id in a if id in b]
        if len(common) != 1 or len(a) != 2 or len(b) != 2:
            raise Refusal("Two arms of one corner are needed here, such as AB and AC.")
        return next(id for id in a if id not in common), common[0], next(id for id in b if id not in common)

    def _ends(self, node: Node) -> tuple[str, ...]:
        span = self.aside(lambda: self.straight(node))
        if len(span) == 2:
            return span
        step = self.b.ahead.step(span[0])
        return (*step.fills.get("from", ()), *step.fills.get("to", ()))

    def triangle(self, node: Node | None) -> tuple[str, ...]:
        """The corners of a triangle."""
        b = self.b
        if node is None:
            return b.triangle()
        if isinstance(node, Named) and len(node.points) == 3:
            return b.points(node.points)
        if isinstance(node, Many) and len(points := self.points(node)) == 3:
            return tuple(points)
        if isinstance(node, Described) and node.head == "triangle":
            if (
                node.names
                and isinstance(node.names[0], Named)
                and len(node.names[0].points) == 3
                and not node.roles
                and not node.adjectives
            ):
                return b.points(node.names[0].points)
            if not node.names and not node.roles and node.kind != "new" and not node.adjectives:
                return b.triangle()
        if isinstance(node, Ref):
            self.check_it("triangle", POLYGON)
            # "Its circumcircle and its incircle": of both it is the triangle.
            b.recent.now.update(id for id in b.of_kind(POLYGON) if tuple(b.ahead.step(id).fills.get("corners", ())) == b.triangle())
            return b.triangle()
        polygon = self.polygon(node)
        corners = tuple(b.ahead.step(polygon).fills.get("corners", ()))
        if len(corners) != 3:
            raise Refusal(f"{b.ahead.name(polygon)} is no triangle.")
        return corners

    def check_it(self, what: str, *kinds: str) -> None:
        """Raise Refusal where "it" is to be of some kinds, and what was drawn last for this text is of none of them, nor anything else of
        which it speaks: "draw a chord and find its area"."""
        b = self.b
        drawn = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in DRAWN and not b.ahead.step(id).look.hidden]
        if drawn and drawn[-1] not in b.board and not any(b.kind(id) in kinds for id in drawn if id in b.recent.now or id == drawn[-1]):
            raise Refusal(f"“It” is no {what}: {b.ahead.name(drawn[-1])} was drawn last. Name the {what}.")

    def polygon(self, node: Node | None) -> str:
        """A polygon: one that is there, or through points that are named."""
        b = self.b
        if isinstance(node, Ref):
            self.check_it("polygon", POLYGON)
        if node is None or isinstance(node, Ref):
            return b.only("polygon", b.of_kind(POLYGON))
        if isinstance(node, Named) and len(node.points) > 2:
            ids = [id for id in b.ahead.ids_named(spelling.tidy(node.text)) if b.kind(id) == POLYGON]
            return ids[0] if ids else b.polygon(b.points(node.points))
        if (
            isinstance(node, Described)
            and node.names
            and isinstance(node.names[0], Named)
            and len(node.names[0].points) > 2
            and not node.roles
        ):
            corners = node.names[0].points
            if CORNERS.get(node.head, len(corners)) != len(corners):
                raise Refusal(f"{node.names[0].text} names {len(corners)} corners, and a {node.head} has {CORNERS[node.head]}.")
            if all(map(b.has, corners)) or not (node.adjectives or node.head in SORTS):
                polygon = b.polygon(b.points(corners))
                self.check_sort(node, polygon)
                return polygon
        if isinstance(node, Described) and node.kind != "new" and not node.names and not node.roles and node.head not in KINDS_OF:
            found = b.of_kind(POLYGON)
            if node.head in ("bed", "figure", "outline"):
                return b.only("polygon", found)
        found = self.aside(lambda: self.all_of(node))
        if len(found) >= 1 and b.kind(found[-1]) == POLYGON:
            return found[-1]
        raise Refusal("A polygon is needed here.")

    def round(self, node: Node | None) -> str:
        """A circle or an arc."""
        b = self.b
        if node is None:
            return b.only("circle", b.of_kind(CIRCLE) or b.of_kind(ARC))
        if isinstance(node, Ref):
            self.check_it("circle", CIRCLE, ARC, "sector")
            last = [id for id in b.recent.ids if id in b.ahead and b.kind(id) in (CIRCLE, ARC, "sector")]
            return last[-1] if last and last[-1] not in b.board else b.only("circle", b.of_kind(CIRCLE))
        if isinstance(node, Described) and node.head == "perimeter" and not node.roles:
            return b.only("circle", b.of_kind(CIRCLE))
        found = self.aside(lambda: self.all_of(node))
        if len(found) == 1 and b.kind(found[0]) in (CIRCLE, ARC, "sector"):
            return found[0]
        raise Refusal("A circle is needed here.")

    def path(self, node: Node) -> tuple[str, ...]:
        """What crosses something else, or carries a point: a straight thing, a circle, a curve; two points stand for the line."""

        def other() -> tuple[str, ...]:
            if isinstance(node, Described) and node.head == "perimeter":
                return (self.round(node),)
            found = self.aside(lambda: self.all_of(node))
            if len(found) == 1 and self.b.kind(found[0]) not in (POINT, NUMBER):
                return (found[0],)
            raise Refusal("A line or a circle is needed here.")

        if isinstance(node, Named) and len(node.points) == 2:
            return self.straight(node)
        return tuple(self.either(lambda: self.straight(node), other))

    def either(self, *ways: Callable[[], Any]) -> Any:
        """What the first of several ways gives that can be; what the others have made is taken back. Raises the first's Refusal."""
        first: Refusal | None = None
        for way in ways:
            mark = self.b.mark()
            try:
                return way()
            except Refusal as refusal:
                self.b.back_to(mark)
                first = first or refusal
        raise first or Refusal("That is not there.")


def _other_end(step: Any, point: str) -> list[str]:
    ends = (*step.fills["from"], *step.fills["to"])
    return [end for end in ends if end != point] if point in ends else []
