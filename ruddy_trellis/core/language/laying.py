"""Patterns laid over the tokens of a text: which stretch of it goes into which gap."""

from collections.abc import Iterator
from typing import TypeAlias

from ..seen import SeenBoard
from .patterns import NAME, Pattern, Slot
from .stretches import is_idle, is_new_name
from .tokens import LINKING, Token

#: A slot, and from which token to before which one the stretch goes that it takes.
Span: TypeAlias = tuple[Slot, int, int]


class Laying:
    """Lays patterns over tokens, with only so many steps in all: a text may be made so that there are very many ways.

    Attributes:
        left: how many steps are left; where it is 0, what was found so far is all.
    """

    def __init__(self, most: int) -> None:
        self.left = most

    def over(self, pattern: Pattern, said: list[Token], board: SeenBoard) -> Iterator[list[Span]]:
        """The stretches that the slots of a pattern take, each way to lay it over all tokens."""
        parts = pattern.parts

        def idle(at: int) -> bool:
            return is_idle(said, at, board)

        def go(part: int, at: int, named: bool) -> Iterator[list[tuple[Slot, int, int]]]:
            self.left -= 1
            if self.left <= 0:
                return
            if part == pattern.head and part and not named and at < len(said) and NAME not in parts and is_new_name(said[at], board):
                for rest in go(part, at + 1, True):
                    yield [(NAME, at, at + 1), *rest]
            if part == len(parts):
                if all(idle(place) or said[place].word in (",", ".") for place in range(at, len(said))):
                    yield []
                return
            wanted = parts[part]
            if isinstance(wanted, str):
                place = at
                while place < len(said) and said[place].word != wanted and (idle(place) or said[place].word in LINKING):
                    place += 1
                if place < len(said) and said[place].word == wanted:
                    yield from go(part + 1, place + 1, named)
                return
            if wanted == NAME:
                if at < len(said) and is_new_name(said[at], board):
                    for rest in go(part + 1, at + 1, True):
                        yield [(wanted, at, at + 1), *rest]
                return
            following = parts[part + 1] if part + 1 < len(parts) else None
            for end in range(len(said), at, -1) if following is None else range(at + 1, len(said) + 1):
                if isinstance(following, str) and not any(said[place].word == following for place in range(end, len(said))):
                    break
                for rest in go(part + 1, end, named):
                    yield [(wanted, at, end), *rest]

        yield from go(0, 0, False)
