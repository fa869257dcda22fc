"""The formulas of calculations: read once, kept with the readings that they use, and run in any arithmetic.

A formula is kept as a text with ``{0}``, ``{1}`` … in the places of the readings it uses, and the list of what
stands there, so that it survives renaming.
"""

import re
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Any

from .. import limits
from ..arithmetic.protocol import Arithmetic, Number
from ..refusal import Refusal
from .dimensions import dimension
from .evaluating import evaluate, size_of
from .formula_tree import WHAT_FITS, measured, parse, tokens_of
from .formula_words import COMPARISONS, FUNCTIONS, MEASURES


@dataclass(frozen=True)
class Formula:
    """A formula with its operands.

    Attributes:
        text: the formula, with ``{0}``, ``{1}`` … where its operands stand.
        operands: what stands there: ids of one reading or thing, of two points whose distance is meant, or of three and
            more, the corners of a polygon.
    """

    text: str
    operands: tuple

    @property
    def tree(self) -> tuple:
        return parse(self.text)[0]

    @property
    def is_statement(self) -> bool:
        """Whether it says that some formulas are equal."""
        return self.tree[0] == "="

    @property
    def is_comparison(self) -> bool:
        """Whether it says which of two formulas is more."""
        return self.tree[0] in COMPARISONS

    @property
    def _sides(self) -> tuple:
        return self.tree[1:3] if self.is_comparison else self.tree[1:]

    def sides(self, m: Arithmetic, *operands) -> list[Number]:
        """The values that a statement says are equal, or that a comparison compares, in arithmetic m. Raises Undefined where one has
        none."""
        return [evaluate(side, m, operands) for side in self._sides]

    def sizes(self, m: Arithmetic, *operands) -> list[Number]:
        """Of a statement, for each side about how large the numbers are that it is added up from, in arithmetic m."""
        return [size_of(side, m, operands) for side in self._sides]

    def check_places(self) -> None:
        """Raise Refusal unless the text holds places only, each with an operand."""
        tokens = tokens_of(self.text)
        places = {int(value[1:-1]) for kind, value, _ in tokens if kind == "operand"}
        if parse(self.text)[1] or places != set(range(len(self.operands))):
            raise Refusal("A kept formula names its readings by {0}, {1} …, one for each in its list.")

    def evaluate(self, m: Arithmetic, *operands) -> Number:
        """The value in arithmetic m, given the operands' values. Raises Undefined where it has none."""
        return evaluate(self.tree, m, operands)

    def dimension(self, operands: Sequence[Any]) -> Any:
        """The dimension of the value, given those of the operands. Raises Refusal where they do not go together."""
        found = dimension(self.tree, operands)
        return 0 if found is None else found

    def places(self) -> list[int]:
        """The places of its operands that stand in it."""
        return sorted({int(value[1:-1]) for kind, value, _ in tokens_of(self.text) if kind == "operand"})

    def is_homogeneous(self, operands: Sequence[Any]) -> bool:
        """Whether it comes to the same in every unit of length: no typed number in it stands for a length.

        Args:
            operands: the dimensions of its operands.
        """
        try:
            dimension(self.tree, operands, plain=0)
        except Refusal:
            return False
        return True

    def measured(self) -> dict[int, str]:
        """For each operand that stands in a function of things, as area(ABC): the name of that function."""
        return {place: name for name, place in measured(self.tree)}

    def written(self, names: Sequence[str]) -> str:
        """The formula with names in the places of its operands."""
        return re.sub(r"\{(\d+)\}(?=(\s*\()?)", lambda found: _apart(names[int(found[1])], found[2]), self.text)


def _apart(name: str, bracket: str | None) -> str:
    """A name as it is written before a bracket: one that is also the name of a function is multiplied with it in so many words."""
    return f"{name} *" if bracket and (name in FUNCTIONS or name in MEASURES) else name


def read_formula(text: str, resolve: Callable[..., tuple[str, ...]], literal: str = "formula") -> Formula:
    """Read a formula that a person typed, or a "statement" that formulas are equal, or a "comparison" of two.

    Args:
        text: the formula, with names.
        resolve: a function from a name, and the function of things it stands in or None, to the ids it stands for;
            raises Refusal for a name it does not know.
        literal: which of the three it is.

    Raises:
        Refusal: with the place in the text, where it is not a formula.
    """
    if len(text) > limits.FORMULA_LENGTH:
        raise Refusal(f"A formula has at most {limits.FORMULA_LENGTH} characters; that one has {len(text):,}.")
    if "{" in text:
        raise Refusal(f"A formula cannot hold “{{”. {WHAT_FITS}", text.index("{"))
    tree, names, inside = parse(text)
    if literal == "formula" and tree[0] == "=":
        raise Refusal(f"A formula cannot hold “=”. {WHAT_FITS}", text.index("="))
    if literal == "statement" and tree[0] != "=":
        raise Refusal("A statement says that two formulas are equal, such as AB = CD or angle(ABC) = 90.")
    if literal == "comparison" and tree[0] not in COMPARISONS:
        raise Refusal("A comparison says which of two formulas is more, such as AB > CD or angle(ABC) < 90.")
    operands, kept, at = [], [], 0
    for number, (name, place) in enumerate(names):
        try:
            found = resolve(name, inside.get(number))
        except Refusal as refusal:
            raise Refusal(refusal.sentence, place) from None
        use = found, inside.get(number)
        if use not in operands:
            operands.append(use)
        kept.append(text[at:place] + f"{{{operands.index(use)}}}")
        at = place + len(name)
    return Formula(("".join(kept) + text[at:]).strip(), tuple(ids for ids, _ in operands))
