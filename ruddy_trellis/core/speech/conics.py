"""Parabolas, ellipses and hyperbolas."""

from __future__ import annotations

from ..refusal import Refusal
from .nodes import Described, Named, Node
from .nouns import makes
from .things import Things


def _directrix(t: Things, node: Node) -> tuple[str, ...]:
    """The line that is said; a new one where a small letter names none."""
    if isinstance(node, Named) and not node.points and not t.b.ahead.ids_named(node.text):
        ends = [t.b.free_point() for _ in range(2)]
        return (t.b.make("line", {"from": ends[:1], "to": ends[1:]}, node.text),)
    return t.straight(node)


@makes("parabola", "ellipse", "hyperbola", parts="focus directrix foci through")
def conics(t: Things, node: Described) -> list[str]:
    if node.names and isinstance(node.names[0], Named):
        t.names.insert(0, node.names[0].text)
    if node.head == "parabola":
        focus, directrix = node.role("focus"), node.role("directrix")
        if not node.roles and node.kind == "new":
            ends = [t.aside(t.b.free_point) for _ in range(2)]
            return [t.make("parabola", focus=(t.aside(t.b.free_point),), directrix=tuple(ends))]
        if focus is None or directrix is None:
            raise Refusal("A parabola is said by its focus and its directrix.")
        at = (t.aside(lambda: t.point(focus)),)
        return [t.make("parabola", focus=at, directrix=t.aside(lambda: _directrix(t, directrix)))]
    foci, through = node.role("foci"), node.role("through")
    points = t.aside(lambda: t.points(foci)) if foci is not None else []
    if not node.roles and node.kind == "new":
        one, other, third = (t.aside(t.b.free_point) for _ in range(3))
        return [t.make(node.head, first=(one,), second=(other,), point=(third,))]
    if len(points) != 2:
        raise Refusal(f"The {node.head} is said by its two foci and a point on it.")
    on = t.aside(lambda: t.b.free_point() if through is None else t.point(through))
    return [t.make(node.head, first=(points[0],), second=(points[1],), point=(on,))]
