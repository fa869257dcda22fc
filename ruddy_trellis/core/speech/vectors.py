"""Vectors that are put together: their sum, and their difference."""

from __future__ import annotations

from collections.abc import Sequence

from ..kinds import VECTOR
from ..refusal import Refusal
from .lines_between import straight_between
from .nodes import Described, Named, Node
from .things import Things


def are_vectors(t: Things, items: Sequence[Node]) -> bool:
    """Whether all of some things are vectors: said to be, or called like vectors that are there."""
    said = bool(items) and isinstance(items[0], Described) and items[0].head == "vector" and items[0].plural
    return bool(items) and all(
        (isinstance(item, Described) and item.head == "vector")
        or (said and isinstance(item, Named))  # "the vectors AB, BC and CD"
        or (isinstance(item, Named) and any(t.b.kind(id) == VECTOR for id in t.b.ahead.ids_named(item.text)))
        for item in items
    )


def put_together(t: Things, items: Sequence[Node], is_difference: bool) -> str:
    """The sum of vectors, from where the first of them starts, or the first less the others. Raises Refusal where there is but one."""
    b = t.b
    named = [name for item in items for name in (item.names if isinstance(item, Described) and item.names else (item,))]
    spans = [t.aside(lambda name=name: _ends(t, name)) for name in named]  # type: ignore[misc]
    if len(spans) < 2:
        raise Refusal("Of which vectors? Say: the sum of the vectors AB and CD.")
    start, end = spans[0]
    for number, (tail, tip) in enumerate(spans[1:], start=2):
        tail, tip = (tip, tail) if is_difference else (tail, tip)
        if end == tail:
            end = tip
            continue
        along = b.make("translation", {"from": (tail,), "to": (tip,)}, hidden=True)
        end = b.make("image_point", {"of": (end,), "by": (along,)}, hidden=number < len(spans))
    if start == end:
        raise Refusal("That is the vector of no length.")
    return straight_between(t, "vector", (start, end))


def _ends(t: Things, node: Node) -> tuple[str, str]:
    span = t.span(node)
    return t.b.ends(span[0]) if len(span) == 1 else (span[0], span[1])
