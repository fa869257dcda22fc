"""Words on a board, with live values in them: "turned by {t}"."""

import re
from dataclasses import dataclass

from .. import limits
from ..refusal import Refusal
from .expression import Formula

_VALUE = re.compile(r"\{([^{}]*)\}")


@dataclass(frozen=True)
class Words(Formula):
    """A text in which ``{0}``, ``{1}`` … stand for readings, so that it survives their renaming.

    It is kept as a formula is, though it is none: a text and what stands in its places.
    """

    @property
    def tree(self):
        return ("words",)

    def check_places(self):
        """Raise Refusal unless every place in the text has its reading."""
        places = {int(found) for found in _VALUE.findall(self.text) if found.isdigit()}
        if places != set(range(len(self.operands))) or len(_VALUE.findall(self.text)) != sum(self.text.count(f"{{{place}}}") for place in places):
            raise Refusal("Kept words name their readings by {0}, {1} …, one for each in their list.")

    def written(self, names):
        """The text as a person types it: with names of readings in braces."""
        return self.filled([f"{{{name}}}" for name in names])

    def filled(self, texts):
        """The text with these in its places."""
        return _VALUE.sub(lambda found: texts[int(found[1])], self.text)


def read_words(text, resolve):
    """Read words that a person typed.

    Args:
        text: the words, perhaps in quotation marks, with names of readings in braces.
        resolve: a function from a name to the ids it stands for; raises Refusal for a name it does not know.

    Raises:
        Refusal: where a brace is left open, or names no reading.
    """
    text = text.strip()
    if len(text) > 1 and text[0] in "“\"„" and text[-1] in "”\"“":
        text = text[1:-1].strip()
    if not text or len(text) > limits.WORDS_LENGTH:
        raise Refusal(f"Words on the board have from 1 to {limits.WORDS_LENGTH} characters.")
    operands = []

    def place(found):
        ids = resolve(found[1].strip())
        if ids not in operands:
            operands.append(ids)
        return f"{{{operands.index(ids)}}}"

    kept = _VALUE.sub(place, text)
    if re.search(r"[{}]", _VALUE.sub("", kept)):
        raise Refusal("A value stands in words as {name}, with both braces.")
    return Words(kept, tuple(operands))
