"""The verbs: a function for each, of the things and of what fills the slots of its clause. The files of their kinds enter them."""

from __future__ import annotations

from collections.abc import Callable

from ..kinds import POINT
from ..language import names as spelling
from ..refusal import Refusal
from .clauses import Bound
from .nodes import Many, Named, Node
from .tables import words
from .things import Things

Verb = Callable[[Things, Bound], None]


VERBS: dict[str, Verb] = {}


#: Verbs that draw: what they name and is not there is made.
DRAWING = words(
    """
    fraction sized angled so_drawn lies_so define name meets join produce bisect divide point_by_ratio point_by_length transform inscribe
    circumscribe locus draw where_meet dial traced
    """
)


def verb(function: Verb) -> Verb:
    VERBS[function.__name__] = function
    return function


def names_of(t: Things, node: Node) -> list[str]:
    """The names that a phrase gives, one for each thing: M; D, E and F; MN where two things are named."""
    items = node.items if isinstance(node, Many) else (node,)
    found = []
    for item in items:
        if not isinstance(item, Named):
            raise Refusal("A name is needed here.")
        found.append(spelling.tidy(item.text) if not item.points or len(item.points) == 1 else "".join(item.points))
    return found


def points_in(node: Node) -> list[str]:
    items = node.items if isinstance(node, Many) else (node,)
    return [point for item in items if isinstance(item, Named) for point in (item.points or (item.text,))]


def all_there(t: Things, node: Node) -> bool:
    items = node.items if isinstance(node, Many) else (node,)
    return all(
        isinstance(item, Named) and (t.b.has(item.text) or (bool(item.points) and all(t.b.has(point) for point in item.points)))
        for item in items
    )


def none_there(t: Things, names: list[str]) -> None:
    for name in names:
        if t.b.has(name) or t.b.has(t.b.free_name(name, POINT)):
            raise Refusal(f"{name} is there already. What is said of it is a claim, or choose another name.")
