"""What is asked of the place of a free point besides (inside, outside, above, on the same side as another one): it starts there, and it is
supposed."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from typing import Any

from ..kinds import POLYGON
from ..refusal import Refusal
from ..regions.conditions import inside_polygon
from ..seen import Place
from .nodes import Described, Node
from .on_paths import clear_of, left_of, line_through
from .spans import enclosing
from .things import Things

#: The gap that the point fills of which something is supposed, where it is not called so.
_SUPPOSED_OF = {"sides": "a"}
#: What a wish is made a supposition of: its construction, and what fills the gaps besides the point.
Supposed = tuple[str, dict[str, Any]]


def wish(t: Things, node: Described) -> tuple[Callable[[Place], bool], list[Supposed]]:
    """What is asked of the place of a free point besides (inside, outside, above, below), and the same as suppositions."""
    tests, supposed = [], []
    for role, part in node.roles:
        if role in ("inside", "outside", "in", "within"):
            word = "outside" if role == "outside" else "inside"
            shape = enclosing(t, part)
            tests.append(_in_shape(t, shape, word == "inside"))
            supposed.append(("in_or_out", {"inside": word, "shape": (shape,)}))
        elif role in ("above", "below"):
            straight = t.aside(lambda part=part: t.straight(part))  # type: ignore[misc]
            tests.append(_side_test(t, straight, role == "above"))
            supposed.append(("over", {"over": role, "straight": straight}))
        elif role in ("same_side_of", "other_side_of"):
            test, fills = _beside_another(t, node, role, part)
            tests.append(test)
            supposed.append(("sides", fills))
        elif role in ("near", "with", "and", *_OF_ANOTHER):
            continue
        else:
            raise Refusal(f"A point cannot be said to be “{role.replace('_', ' ')}” that here.")
    if supposed:
        t.b.guesses.append("it starts where it is supposed to be; a drag may take it elsewhere")
    return lambda at: all(test(at) for test in tests), supposed


def suppose_of(t: Things, point: str, supposed: Sequence[Supposed]) -> None:
    """Suppose of a point what was asked of its place."""
    for key, fills in supposed:
        t.b.suppose(key, {_SUPPOSED_OF.get(key, "point"): (point,), **fills})


#: What may be asked of where a point is that rides on something.
OF_PLACES = ("inside", "outside", "within", "above", "below", "same_side_of", "other_side_of", "same_side_as", "from")
#: What says as which point, or from which, something is on a side.
_OF_ANOTHER = ("same_side_as", "from")


def _beside_another(t: Things, node: Described, role: str, part: Node) -> tuple[Callable[[Place], bool], dict[str, Any]]:
    """What is asked of a point on the same side of a line as another one, or on the other side, and the same as a supposition."""
    straight = t.aside(lambda: t.straight(part))
    another = node.role(*_OF_ANOTHER)
    if another is None:
        raise Refusal("On the same side as which point? Say: on the same side of AB as C.")
    other = t.aside(lambda: t.point(another))
    place = t.b.now(other)
    is_same = role == "same_side_of"
    fills = {"b": (other,), "side": "one side" if is_same else "different sides", "straight": straight}
    return lambda at: clear_of(t, straight, at) and ((left_of(t, straight, at) > 0) == (left_of(t, straight, place) > 0)) == is_same, fills


def _in_shape(t: Things, shape: str, wanted: bool) -> Callable[[Place], bool]:
    value = t.b.now(shape)
    if t.b.kind(shape) == POLYGON:
        middle = (sum(x for x, _ in value) / len(value), sum(y for _, y in value) / len(value))
        inner = [(middle[0] + 0.8 * (x - middle[0]), middle[1] + 0.8 * (y - middle[1])) for x, y in value]
        return lambda at: bool(inside_polygon(inner if wanted else value, at[0], at[1])) == wanted
    x, y, rr = value[:3]
    return lambda at: ((at[0] - x) ** 2 + (at[1] - y) ** 2 < 0.7 * rr) if wanted else ((at[0] - x) ** 2 + (at[1] - y) ** 2 > 2.0 * rr)


def side_test(t: Things, part: Node, above: bool) -> Callable[[Place], bool]:
    """Whether a place is above, or below, the line of what a phrase means."""
    return _side_test(t, t.aside(lambda: t.straight(part)), above)


def _side_test(t: Things, straight: tuple[str, ...], above: bool) -> Callable[[Place], bool]:
    px, py, dx, dy = line_through(t, straight)
    if dx < 0:
        dx, dy = -dx, -dy
    return lambda at: (dx * (at[1] - py) - dy * (at[0] - px) > 0) == above
