"""Why a sentence is not taken: what says most of it, of all the ways to take it that were tried."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..refusal import Refusal
from .refusals import NotThere, Stray

#: Refusals that only say that a clause was not meant.
_SAYS_LITTLE = frozenset(
    ("That is drawn, not measured.", "What is to be done with that?", "That is a claim.", "That is a claim, or sets a value.",
     "That is no figure.",
     "That is nothing to be drawn.", "That changes nothing.", "A name is needed here.")
)  # fmt: skip


class NotSaid(Refusal):
    """A sentence that the grammar cannot take apart. ``unknown`` are words that it does not know."""

    def __init__(self, text: str, unknown: Sequence[str]) -> None:
        shown = ", ".join(f"“{word}”" for word in unknown[:4])
        super().__init__(
            f"{shown} {'is no word that is' if len(unknown) == 1 else 'are no words that are'} understood here."
            if unknown
            else f"“{text[:60]}” is no sentence here."
        )
        self.unknown = tuple(unknown)


class ActRefused(Refusal):
    """An act that was understood and cannot be done: nothing else is made of it."""


@dataclass
class Best:
    """The refusal that says most: the one that came furthest."""

    far: int = -1
    worth: int = -1
    refusal: Refusal | None = None
    is_of_look: bool = False

    def note(self, far: int, refusal: Refusal, is_act: bool = False, is_of_look: bool = False) -> None:
        little = 0 if refusal.sentence in _SAYS_LITTLE else 1 if isinstance(refusal, Stray) else 2
        worth = 4 if is_act else 3 if isinstance(refusal, NotThere) else little
        if (far, worth) > (self.far, self.worth):
            self.far, self.worth, self.refusal, self.is_of_look = far, worth, refusal, is_of_look
