"""Exact numbers as people write them: a small tree of sums, products, powers, roots and fractions, as LaTeX and as MathML."""

from collections.abc import Callable, Mapping
from fractions import Fraction
from typing import Any, TypeAlias

from ..arithmetic.exact import Exact
from ..arithmetic.exact_numbers import ExactNumber

#: A form: ("number", n), ("symbol", name), ("sum", forms), ("product", forms), ("power", form, n), ("root", form),
#: ("fraction", form, form), ("minus", form).
Form: TypeAlias = tuple


def form_of(m: Exact, number: ExactNumber, names: Mapping[int, str]) -> Form:
    """An exact number as a form.

    Args:
        names: what the symbols are called, by their places.
    """
    writer = _Writer(m, names)
    top, bottom = number.top, number.bottom
    scale = 1
    for coefficient in (*top.to_dict().values(), *bottom.to_dict().values()):
        scale = scale * int(coefficient.q) // _common(scale, int(coefficient.q))
    above, below = writer.factored(top * scale), writer.factored(bottom * scale)
    if below == ("number", 1):
        return above
    if above[0] == "minus":
        return ("minus", ("fraction", above[1], below))
    return ("fraction", above, below)


def _common(a: int, b: int) -> int:
    while b:
        a, b = b, a % b
    return abs(a)


class _Writer:
    def __init__(self, m: Exact, names: Mapping[int, str]) -> None:
        self._m, self._names = m, names

    def factored(self, polynomial: Any) -> Form:
        """A polynomial as the product of its factors."""
        ratio, factors = self._m.signs.factors(polynomial)
        parts = [_power(self.sum(factor), power) for _, factor, power in factors]
        return _signed(ratio, parts)

    def sum(self, polynomial: Any) -> Form:
        """A polynomial as a sum of terms."""
        terms = []
        for powers, coefficient in polynomial.to_dict().items():
            parts = [_power(self.generator(place), int(power)) for place, power in enumerate(powers) if power]
            parts.sort(key=lambda part: part[0] == "root")
            terms.append(_signed(Fraction(int(coefficient.p), int(coefficient.q)), parts))
        terms.sort(key=lambda term: term[0] == "minus")
        return terms[0] if len(terms) == 1 else ("sum", tuple(terms))

    def generator(self, place: int) -> Form:
        if place in self._names:
            return ("symbol", self._names[place])
        square = self._m.square_of(place)
        return ("symbol", "π") if square is None else ("root", self.factored(square))


def _power(base: Form, power: int) -> Form:
    return base if power == 1 else ("power", base, power)


def _signed(ratio: Fraction, parts: list[Form]) -> Form:
    """A product with a number before it, and a minus before that where it is below zero."""
    size = abs(ratio)
    whole: list[Form] = [] if size == 1 and parts else [("number", size.numerator)]
    made: Form = _product([*([] if size.numerator == 1 and parts else whole), *parts]) if parts else ("number", size.numerator)
    if size.denominator != 1:
        made = ("fraction", made, ("number", size.denominator))
    return ("minus", made) if ratio < 0 else made


def _product(parts: list[Form]) -> Form:
    return parts[0] if len(parts) == 1 else ("product", tuple(parts))


def size_of(form: Form) -> int:
    """How many symbols and numbers stand in a form."""
    if form[0] in ("number", "symbol"):
        return 1
    inner = form[1] if form[0] in ("sum", "product") else [part for part in form[1:] if isinstance(part, tuple)]
    return sum(map(size_of, inner))


def latex(form: Form) -> str:
    """A form as LaTeX."""
    return _written(form, _LATEX)


def mathml(form: Form) -> str:
    """A form as MathML, without the element around it."""
    return _written(form, _MATHML)


def _latex_name(name: str) -> str:
    greek = {"α": "\\alpha", "β": "\\beta", "γ": "\\gamma", "δ": "\\delta", "π": "\\pi"}
    head, _, index = name.partition("_")
    return (f"{greek[head]} " if head in greek and not index else greek.get(head, head)) + (f"_{{{index}}}" if index else "")


def _mathml_name(name: str) -> str:
    head, _, index = name.partition("_")
    return f"<msub><mi>{head}</mi><mi>{index}</mi></msub>" if index else f"<mi>{head}</mi>"


_LATEX: dict[str, Callable[..., str]] = {
    "number": str,
    "symbol": _latex_name,
    "root": lambda inside: f"\\sqrt{{{inside}}}",
    "fraction": lambda above, below: f"\\frac{{{above}}}{{{below}}}",
    "power": lambda base, power: f"{base}^{{{power}}}",
    "bracket": lambda inside: f"\\left({inside}\\right)",
    "minus": lambda inside: f"-{inside}",
    "plus": lambda: "+",
    "times": lambda: "\\cdot ",
    "product": "".join,
}
_MATHML: dict[str, Callable[..., str]] = {
    "number": lambda number: f"<mn>{number}</mn>",
    "symbol": _mathml_name,
    "root": lambda inside: f"<msqrt>{inside}</msqrt>",
    "fraction": lambda above, below: f"<mfrac><mrow>{above}</mrow><mrow>{below}</mrow></mfrac>",
    "power": lambda base, power: f"<msup><mrow>{base}</mrow><mn>{power}</mn></msup>",
    "bracket": lambda inside: f"<mrow><mo>(</mo>{inside}<mo>)</mo></mrow>",
    "minus": lambda inside: f"<mo>−</mo>{inside}",
    "plus": lambda: "<mo>+</mo>",
    "times": lambda: "<mo>·</mo>",
    "product": "".join,
}


def _written(form: Form, ways: dict[str, Callable[..., str]]) -> str:
    kind = form[0]
    write = lambda part: _written(part, ways)
    close = lambda part: ways["bracket"](write(part)) if part[0] in ("sum", "minus") else write(part)
    if kind in ("number", "symbol"):
        return ways[kind](form[1])
    if kind == "root":
        return ways["root"](write(form[1]))
    if kind == "fraction":
        return ways["fraction"](write(form[1]), write(form[2]))
    if kind == "power":
        base = form[1]
        return ways["power"](write(base) if base[0] in ("symbol", "number") else ways["bracket"](write(base)), form[2])
    if kind == "minus":
        return ways["minus"](close(form[1]))
    if kind == "product":
        return ways["product"]([close(part) for part in form[1]])
    text = ""
    for number, part in enumerate(form[1]):
        if part[0] == "minus":
            text += write(part)
        else:
            text += (ways["plus"]() if number else "") + write(part)
    return text
