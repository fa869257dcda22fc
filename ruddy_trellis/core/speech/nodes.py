"""The trees that phrases are taken apart into: names, amounts, lists, references, places where things meet, descriptions."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, field, replace


@dataclass(frozen=True)
class Named:
    """A name, or names in one word: "AB", "k", "P at (2, 3)".

    Attributes:
        text: as it was typed; ``points`` the points that it spells.
        at: coordinates that were said with it.
    """

    text: str
    points: tuple[str, ...] = ()
    at: tuple[str, str] | None = None


@dataclass(frozen=True)
class Amount:
    """A number as it was typed, with its unit: "3 cm", "two", "1/2", "2r"."""

    text: str


@dataclass(frozen=True)
class Multiple(Amount):
    """So many times what is described: "twice the radius of k".

    Attributes:
        text: as it would be told, which is no number; ``factor`` is the number.
    """

    factor: str
    of: Node


@dataclass(frozen=True)
class Many:
    """Several things in a list."""

    items: tuple[Node, ...]


@dataclass(frozen=True)
class Ref:
    """What was spoken of before, in a word: it, them."""

    word: str


@dataclass(frozen=True)
class Quoted:
    """Words in quotation marks."""

    text: str


@dataclass(frozen=True)
class Where:
    """The place where two things meet, as a clause says it."""

    one: Node
    other: Node | None
    again: bool = False


@dataclass(frozen=True)
class Described:
    """A description: a noun with what stands before it and after it.

    Attributes:
        head: the noun; ``adjectives`` what stands before it.
        names: names right after it; ``roles`` its parts, each with what it is to the thing described.
        count: how many were said, or None; ``kind`` "new", "old", "all" or "" by its determiner; ``plural`` whether more were said.
        amounts: amounts that stand before the noun: "a 3 cm circle", "a 6 by 4 rectangle".
    """

    head: str
    adjectives: tuple[str, ...] = ()
    names: tuple[Node, ...] = ()
    roles: tuple[tuple[str, Node], ...] = ()
    count: int | None = None
    kind: str = ""
    plural: bool = False
    amounts: tuple[str, ...] = ()
    extra: tuple[str, ...] = field(default=())

    def role(self, *names: str) -> Node | None:
        """The part that is one of these to the thing described."""
        return next((node for name, node in self.roles if name in names), None)

    def with_role(self, name: str, node: Node) -> Described:
        return replace(self, roles=(*self.roles, (name, node)))

    def of_it(self) -> Described:
        """ "Its sides" as the sides of it; where it is said already of what, or "its" is not said, as it is."""
        if "its" not in self.adjectives or self.role("of") is not None:
            return self
        return replace(self.with_role("of", Ref("it")), adjectives=tuple(word for word in self.adjectives if word != "its"))


Node = Named | Amount | Many | Ref | Quoted | Where | Described


def leaves(node: Node) -> Iterator[Node]:
    """What a phrase speaks of in the end: of "the median from A" A, of "the foot of the perpendicular to it" it."""
    parts: tuple[Node, ...] = ()
    if isinstance(node, Described):
        parts = (*node.names, *(part for _, part in node.roles))
    elif isinstance(node, Many):
        parts = node.items
    if not parts:
        yield node
    for part in parts:
        yield from leaves(part)


def goes_on(what: Node, name: Node) -> bool:
    """Whether a name goes on with the list in which a description ends: of "the square with corners P, Q, R, S" S is the fourth corner."""
    *_, last = leaves(what)
    return isinstance(what, Described) and bool(what.roles) and are_alike(last, name)


def are_alike(one: Node, other: Node) -> bool:
    """Whether two things said are names of as many points: P and Q, AB and CD."""
    return (
        isinstance(one, Named)
        and isinstance(other, Named)
        and one.at is other.at is None
        and 0 < len(one.points) == len(other.points)
        and one.text.isupper()
        and other.text.isupper()
    )


def single_points(node: Node) -> list[str]:
    """The names of single points in a phrase: of "the median from A" A, and of "AB" none."""
    return [leaf.points[0] for leaf in leaves(node) if isinstance(leaf, Named) and len(leaf.points) == 1]
