"""The trees that phrases are taken apart into: names, amounts, lists, references, places where things meet, descriptions."""

from __future__ import annotations

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


Node = Named | Amount | Many | Ref | Quoted | Where | Described
