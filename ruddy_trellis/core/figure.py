"""A construction from a Python prompt: sentences or calls, drags and readings."""

from typing import Any

from .board.board import Board
from .board.settings import Settings
from .edits.models import Add, Move, NewStep
from .edits.prepare import perform
from .edits.saying import claim_said, said
from .language.fills import fill_to_json
from .language.printing import sentence, working_text
from .refusal import Refusal
from .truth.verdicts import Verdict, verdict


class Figure:
    """A board with a handle that speaks names instead of ids.

    Args:
        unit: the unit of the board: "", "mm", "cm", "m" or "km".
    """

    def __init__(self, unit: str = "") -> None:
        self.board = Board(Settings(unit=unit))

    def say(self, text: str) -> str:
        """Add what a sentence says, or several sentences, a line each. Returns the name of the last thing made.

        Raises:
            Refusal: where a sentence cannot be read or does not fit; the sentences before it stand.
        """
        name = ""
        for line in filter(None, map(str.strip, text.splitlines())):
            name = self._add(*said(line, self.board))
        return name

    def make(self, key: str, name: str | None = None, **fills) -> str:
        """Add a step by the key of its construction. Gaps take names, tuples of names, numbers or coordinates."""
        return self._add(NewStep(does=key, name=name, fills={gap.rstrip("_"): self._fill(fill) for gap, fill in fills.items()}))

    def _fill(self, fill):
        if isinstance(fill, str):
            return [self.board.find(fill)]
        if isinstance(fill, tuple) and all(isinstance(part, str) for part in fill):
            return [self.board.find(part) for part in fill]
        return fill_to_json(fill)

    def _add(self, *new):
        perform(self.board, Add(steps=list(new)))
        return self.board.name(self.board.steps[-1].id)

    def drag(self, name: str, *numbers) -> None:
        """Move a peg: a free point to coordinates x, y; a sliding one to its place on its path."""
        perform(self.board, Move(numbers={self.board.find(name): list(numbers)}))

    def value(self, name: str) -> Any:
        """The value of a thing in floats (see ``formulas``), or None where it has none now."""
        return self.board.value(self.board.find(name))

    def read(self, name: str) -> Any:
        """The value of a reading. Raises Refusal where there is no reading of that name."""
        for id in self.board.ids_named(name):
            if self.board.step(id).is_reading:
                return self.board.value(id)
        raise Refusal(f"There is no reading called {name}.")

    def claim(self, text: str, seconds: float = 5.0) -> Verdict:
        """Try a claim such as "A, B and C are in line" or "AB = CD"; the figure stays as it is.

        Args:
            seconds: how long a proof is looked for at most.

        Raises:
            Refusal: where the text claims nothing that can be tried of this figure.
        """
        ahead = self.board.copy()
        perform(ahead, Add(steps=claim_said(text, self.board)))
        return verdict(ahead, ahead.steps[-1].id, seconds)

    def working(self) -> str:
        """The construction as text, a sentence a line."""
        return working_text(self.board)

    def sentence(self, name: str) -> str:
        """The sentence of one thing."""
        return sentence(self.board, self.board.find(name))
