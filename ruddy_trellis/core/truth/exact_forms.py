"""Exact numbers as people write them: a small tree of sums, products, powers, roots and fractions; as LaTeX, MathML, plain signs."""

import re
from collections.abc import Callable, Mapping
from fractions import Fraction
from functools import reduce
from math import prod
from typing import Any, TypeAlias
from xml.sax.saxutils import escape

from ..arithmetic.exact import Exact
from ..arithmetic.exact_numbers import ExactNumber

#: A form: ("number", n), ("symbol", name), ("sum", forms), ("product", forms), ("power", form, n), ("root", form),
#: ("fraction", form, form), ("minus", form); of whole lines ("equal", form, form) and ("place", form, form). A symbol may be a
#: function of a name: "sin α", and may stand between bars: "|sin t|".
Form: TypeAlias = tuple


def form_of(m: Exact, number: ExactNumber, names: Mapping[int, str], short: Mapping[str, ExactNumber] | None = None) -> Form:
    """An exact number as a form.

    Args:
        names: what the symbols are called, by their places.
        short: what some sums are called.
    """
    writer = _Writer(m, names, short or {})
    top, bottom = _sines_below(m, number.top, number.bottom)
    scale = 1
    for coefficient in (*top.to_dict().values(), *bottom.to_dict().values()):
        scale = scale * int(coefficient.q) // _common(scale, int(coefficient.q))
    above, below = writer.factored(top * scale), writer.factored(bottom * scale)
    if below == ("number", 1):
        return above
    signs = (above[0] == "minus") + (below[0] == "minus")
    made = ("fraction", *(part[1] if part[0] == "minus" else part for part in (above, below)))
    return ("minus", made) if signs == 1 else made


def equation_of(m: Exact, polynomial: Any, axes: tuple[int, int], names: Mapping[int, str], short: Mapping[str, ExactNumber]) -> Form:
    """A polynomial as a sum over the powers of x and y, whose places are given, the highest first, each with all that it is taken times."""
    writer = _Writer(m, names, short)
    gathered: dict[tuple[int, ...], Any] = {}
    for powers, coefficient in polynomial.to_dict().items():
        rest = m.number(Fraction(int(coefficient.p), int(coefficient.q))).top
        for place, power in enumerate(powers):
            if power and place not in axes:
                rest = rest * m.generator(place).top ** int(power)
        key = tuple(int(powers[axis]) for axis in axes)
        gathered[key] = gathered.get(key, 0) + rest
    terms = []
    for key in sorted(gathered, key=lambda key: (-sum(key), -key[0])):
        form = writer.factored(gathered[key])
        sign, form = (-1, form[1]) if form[0] == "minus" else (1, form)
        parts = [_power(("symbol", names[axis]), power) for axis, power in zip(axes, key) if power]
        if form != ("number", 1) or not parts:
            parts = [*(form[1] if form[0] == "product" else (form,)), *parts]
        made: Form = parts[0] if len(parts) == 1 else ("product", tuple(parts))
        terms.append(("minus", made) if sign < 0 else made)
    if terms and terms[0][0] == "minus":
        terms = [term[1] if term[0] == "minus" else ("minus", term) for term in terms]
    return terms[0] if len(terms) == 1 else ("sum", tuple(terms))


def _sines_below(m: Exact, top: Any, bottom: Any) -> tuple[Any, Any]:
    """A fraction with the sine of an angle below the line where its square stands there, and a sine above it can be taken out."""
    for square, root in m.roots.whole:
        rest, left = divmod(bottom, square)
        if left.is_zero():
            above, left = divmod(m.reduced(top * root.top), square)
            if left.is_zero():
                top, bottom = above, rest * root.top
    return top, bottom


def _common(a: int, b: int) -> int:
    while b:
        a, b = b, a % b
    return abs(a)


class _Writer:
    def __init__(self, m: Exact, names: Mapping[int, str], short: Mapping[str, ExactNumber]) -> None:
        self._m, self._names = m, names
        self._short = {str(one.top / one.top.leading_coefficient()): (name, one.top.leading_coefficient()) for name, one in short.items()}

    def factored(self, polynomial: Any) -> Form:
        """A polynomial as the product of its factors."""
        ratio, factors = self._m.signs.factors(polynomial)
        parts = []
        for _, factor, power in factors:
            name, times = self._called(factor)
            made: Form = ("symbol", name) if name else self.sum(factor)
            # A sum with more minuses than pluses is turned round; with as many, where that takes a minus from before the whole.
            minuses = _minuses(made) * 2 - len(made[1]) if made[0] == "sum" else 0
            if minuses > 0 or (made[0] == "sum" and minuses == 0 and ratio < 0 and power % 2):
                made, times = self.sum(-factor), Fraction(-1)
            parts.append(_power(made, power))
            ratio *= times**power
        return _signed(ratio, parts)

    def _called(self, factor: Any) -> tuple[str, Fraction]:
        """What a factor is called, and what it is times that; an empty name where it has none."""
        size = factor.leading_coefficient()
        name, other = self._short.get(str(factor / size), ("", size))
        return name, Fraction(int((size / other).p), int((size / other).q))

    def sum(self, polynomial: Any) -> Form:
        """A polynomial as a sum of terms."""
        terms = []
        for powers, coefficient in polynomial.to_dict().items():
            parts = [_power(self.generator(place), int(power)) for place, power in enumerate(powers) if power]
            terms.append(_signed(Fraction(int(coefficient.p), int(coefficient.q)), parts))
        terms.sort(key=lambda term: (term[0] == "minus", term[0] == "number", plain(term).lstrip(" −0123456789")))
        return terms[0] if len(terms) == 1 else ("sum", tuple(terms))

    def generator(self, place: int) -> Form:
        if place in self._names:
            return ("symbol", self._names[place])
        square = self._m.square_of(place)
        return ("symbol", "π") if square is None else ("root", self.factored(square))


def _minuses(form: Form) -> int:
    return sum(part[0] == "minus" for part in form[1])


def _rank(part: Form) -> tuple[int, str]:
    """Plain symbols stand first in a product, in the order of the alphabet, functions next, then sums, roots last."""
    base = part[1] if part[0] == "power" else part
    if base[0] == "symbol":
        return int(" " in base[1]), base[1]
    return (3 if base[0] == "root" else 2), ""


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
    """The product of some factors, with one root for all roots."""
    roots = [part[1] for part in parts if part[0] == "root"]
    if len(roots) > 1:
        inner = [factor for root in roots for factor in (root[1] if root[0] == "product" else (root,))]
        parts = [*(part for part in parts if part[0] != "root"), ("root", _product(inner))]
    # All numbers as one: side by side they would be digits of one number.
    number = prod(part[1] ** power for part, power in map(_base_and_power, parts) if part[0] == "number")
    parts = sorted((part for part in parts if _base_and_power(part)[0][0] != "number"), key=_rank)
    if number != 1 or not parts:
        parts = [("number", number), *parts]
    return parts[0] if len(parts) == 1 else ("product", tuple(parts))


def _base_and_power(part: Form) -> tuple[Form, int]:
    return (part[1], part[2]) if part[0] == "power" else (part, 1)


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


def plain(form: Form) -> str:
    """A form as one line of plain signs."""
    return _written(form, _PLAIN)


_GREEK = dict(
    pair.split(":")
    for pair in (
        "α:alpha", "β:beta", "γ:gamma", "δ:delta", "ε:varepsilon", "ζ:zeta", "η:eta", "θ:theta", "ι:iota", "κ:kappa", "λ:lambda", "μ:mu",
        "ν:nu", "ξ:xi", "π:pi", "ρ:rho", "σ:sigma", "τ:tau", "υ:upsilon", "φ:varphi", "χ:chi", "ψ:psi", "ω:omega",
    )
)  # fmt: skip
_FUNCTION = re.compile(r"\|?(sin|cos) (.+?)\|?")


def _latex_name(name: str) -> str:
    if function := _FUNCTION.fullmatch(name):
        inside = f"\\{function[1]} {_latex_name(function[2]).strip()} "
        return f"\\left|{inside.strip()}\\right|" if name.startswith("|") else inside
    head, _, index = name.partition("_")
    text = re.sub("[α-ω]", lambda letter: f"\\{_GREEK[letter[0]]} ", head).replace("°", "^{\\circ}")
    return f"{text.strip()}_{{{index}}}" if index else text


_THIN = '<mspace width="0.17em"/>'


def _mathml_name(name: str) -> str:
    if function := _FUNCTION.fullmatch(name):
        inside = f"<mi>{function[1]}</mi>{_THIN}{_mathml_name(function[2])}"
        return f"<mrow><mo>|</mo>{inside}<mo>|</mo></mrow>" if name.startswith("|") else f"<mrow>{_THIN}{inside}</mrow>"
    head, _, index = escape(name).partition("_")
    return f"<msub><mi>{head}</mi><mi>{index}</mi></msub>" if index else f"<mi>{head}</mi>"


_LATEX: dict[str, Callable[..., str]] = {
    "number": str,
    "symbol": _latex_name,
    "root": lambda inside: f"\\sqrt{{{inside}}}",
    "fraction": lambda above, below: f"\\frac{{{above}}}{{{below}}}",
    "power": lambda base, power: f"{base}^{{{power}}}",
    "function": lambda name, power: f"{{{_latex_name(name)}}}^{{{power}}}" if "|" in name else _powered(_latex_name(name), power),
    "bracket": lambda inside: f"\\left({inside}\\right)",
    "equal": lambda one, other: f"{one} = {other}",
    "place": lambda *parts: f"\\left({', '.join(parts)}\\right)",
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
    "function": lambda name, power: f"<msup><mrow><mo>(</mo>{_mathml_name(name)}<mo>)</mo></mrow><mn>{power}</mn></msup>",
    "bracket": lambda inside: f"<mrow><mo>(</mo>{inside}<mo>)</mo></mrow>",
    "equal": lambda one, other: f"{one}<mo>=</mo>{other}",
    "place": lambda *parts: f"<mrow><mo>(</mo>{'<mo>,</mo>'.join(parts)}<mo>)</mo></mrow>",
    "minus": lambda inside: f"<mo>−</mo>{inside}",
    "plus": lambda: "<mo>+</mo>",
    "times": lambda: "<mo>·</mo>",
    "product": "".join,
}


def _raised(power: int) -> str:
    return "".join("⁰¹²³⁴⁵⁶⁷⁸⁹"[int(digit)] for digit in str(power))


def _powered(function: str, power: int) -> str:
    """\\sin α, squared: \\sin^{2} α."""
    name, _, rest = function.partition(" ")
    return f"{name}^{{{power}}} {rest}"


def _whole(text: str) -> str:
    """A part of a line of plain signs in brackets, where it is more than one factor."""
    return text if re.fullmatch(r"(?:sin|cos) (?:[^\s()]+|\([^()]*\))|[^\W_]+(_\w+)?[⁰¹²³⁴⁵⁶⁷⁸⁹]*|√?\([^()]*\)", text) else f"({text})"


def _is_sum(text: str) -> bool:
    while (less := re.sub(r"\([^()]*\)", "", text)) != text:
        text = less
    return " + " in text or " − " in text


def _between(one: str, other: str) -> str:
    """A space where two factors would run together: about a function of a name."""
    return " " if re.match(r"sin|cos|\|", other) or re.search(r"(sin|cos) [^()]+$", one) else ""


_PLAIN: dict[str, Callable[..., str]] = {
    "number": str,
    "symbol": lambda name: name,
    "root": lambda inside: f"√{inside.strip()}" if re.fullmatch(r"\d+|[^\W\d_](?:_\w+)?", inside.strip()) else f"√({inside.strip()})",
    "fraction": lambda above, below: f"{f'({above})' if _is_sum(above) else above} / {_whole(below)}",
    "power": lambda base, power: f"{base}{_raised(power)}",
    "function": lambda name, power: f"({name}){_raised(power)}",
    "bracket": lambda inside: f"({inside.strip()})",
    "minus": lambda inside: f" − {inside}",
    "plus": lambda: " + ",
    "times": lambda: "·",
    "product": lambda parts: reduce(lambda one, other: f"{one}{_between(one, other)}{other}", parts),
    "equal": lambda one, other: f"{one} = {other.strip()}",
    "place": lambda *parts: f"({'; '.join(part.strip() for part in parts)})",
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
    if kind in ("equal", "place"):
        return ways[kind](*map(write, form[1:]))
    if kind == "power":
        base = form[1]
        if base[0] == "symbol" and " " in base[1]:
            return ways["function"](base[1], form[2])
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
