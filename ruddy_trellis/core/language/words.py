"""Words on a board, with live values in them: "turned by {t}", "half of it is {S / 2}"."""

import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass

from .. import limits
from ..refusal import Refusal
from .expression import Formula, read_formula

_OPENING, _CLOSING = tuple('“„"'), tuple('”“"')
#: What a person types between braces; what is kept there: the number of a reading, or a formula with such in braces.
_TYPED = re.compile(r"\{([^{}]*)\}")
_KEPT = re.compile(r"\{(\d+|(?:[^{}]|\{\d+\})*)\}")


@dataclass(frozen=True)
class Words(Formula):
    """A text in which ``{0}``, ``{1}`` … stand for readings, and ``{{0} / 2}`` for a formula of them, so that it
    survives their renaming.

    It is kept as a formula is, though it is none: a text and what stands in its places.
    """

    @property
    def tree(self) -> tuple:
        return ("words",)

    def check_places(self) -> None:
        """Raise Refusal unless every place in the text has its reading, and every formula can be read."""
        places = set()
        for inner in _KEPT.findall(self.text):
            used = [inner] if inner.isdecimal() else re.findall(r"\{(\d+)\}", inner)
            places.update(map(int, used))
            if not inner.isdecimal():
                in_order = list(dict.fromkeys(used))
                Formula(
                    _renumbered(inner, {number: place for place, number in enumerate(in_order)}), tuple(() for _ in in_order)
                ).check_places()
        if places != set(range(len(self.operands))) or re.search(r"[{}]", _KEPT.sub("", self.text)):
            raise Refusal("Kept words name their readings by {0}, {1} …, one for each in their list.")

    def written(self, names: Sequence[str]) -> str:
        """The text as a person types it: with names of readings in braces."""
        return _KEPT.sub(
            lambda found: f"{{{names[int(found[1])]}}}" if found[1].isdecimal() else f"{{{Formula(found[1], ()).written(names)}}}",
            self.text,
        )

    def filled(self, reading: Callable[[int], str], formula: Callable[[Formula], str]) -> str:
        """The text with values in its places.

        Args:
            reading: a function from the place of a reading among the operands to its text.
            formula: a function from a Formula of the operands to the text of its value.
        """
        return _KEPT.sub(
            lambda found: reading(int(found[1])) if found[1].isdecimal() else formula(Formula(found[1], self.operands)), self.text
        )


def _renumbered(text, numbers):
    return re.sub(r"\{(\d+)\}", lambda found: f"{{{numbers[found[1]]}}}", text)


def read_words(text: str, resolve: Callable[..., tuple[str, ...]]) -> Words:
    """Read words that a person typed.

    Args:
        text: the words, perhaps in quotation marks, with names of readings, or formulas of them, in braces.
        resolve: a function from a name to the ids it stands for; raises Refusal for a name it does not know.

    Raises:
        Refusal: where a brace is left open, or names no reading.
    """
    text = " ".join(text.split())
    if text[:1] in _OPENING:
        if len(text) < 2 or text[-1] not in _CLOSING:
            raise Refusal("Words in quotation marks end with one: “turned by {t}”.")
        text = text[1:-1].strip()
    if not text or len(text) > limits.WORDS_LENGTH:
        raise Refusal(f"Words on the board have from 1 to {limits.WORDS_LENGTH} characters.")
    operands = []

    def numbered(ids):
        if ids not in operands:
            operands.append(ids)
        return operands.index(ids)

    def place(found):
        try:
            return f"{{{numbered(resolve(found[1].strip()))}}}"
        except Refusal:
            if not re.search(r"[-+−*×·/÷^(<>]", found[1]):
                raise
        formula = read_formula(found[1], lambda name, function: resolve(name))
        return f"{{{_renumbered(formula.text, {str(number): numbered(ids) for number, ids in enumerate(formula.operands)})}}}"

    kept = _TYPED.sub(place, text)
    if re.search(r"[{}]", _TYPED.sub("", text)):
        raise Refusal("A value stands in words as {name}, with both braces.")
    return Words(kept, tuple(operands))
