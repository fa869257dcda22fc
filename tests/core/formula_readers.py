"""Formulas read back from plain signs, LaTeX and MathML, by rules of their own: what a person or another program would make of them."""

import math
import re
from xml.etree import ElementTree

_RAISED = str.maketrans("⁰¹²³⁴⁵⁶⁷⁸⁹", "0123456789")
_PLAIN = re.compile(r"\s*(?:(\d+)|([⁰¹²³⁴⁵⁶⁷⁸⁹]+)|(sin|cos)\b|([^\W\d_](?:_\d+)?)|(.))")
_LATEX = re.compile(r"\s*(?:(\d)|\\(left|right|frac|sqrt|cdot|sin|cos|[a-z]+)|([a-zA-Z](?:_\{\d+\})?)|(.))")


class _Reader:
    """A line of tokens, pairs of a kind and a text, and the values of its symbols."""

    def __init__(self, tokens, symbols):
        self.tokens, self.symbols, self.at = tokens, symbols, 0

    def next(self, *kinds):
        return self.at < len(self.tokens) and (self.tokens[self.at][0] in kinds or self.tokens[self.at][1] in kinds)

    def take(self):
        self.at += 1
        return self.tokens[self.at - 1][1]

    def sum(self):
        value = 0
        sign = -1 if self.next("−", "-") and self.take() else 1
        while True:
            value += sign * self.quotient()
            if not self.next("+", "−", "-"):
                return value
            sign = 1 if self.take() == "+" else -1

    def quotient(self):
        value = self.product()
        while self.next("/"):
            self.take()
            value /= self.product()
        return value

    def product(self):
        value = self.factor()
        while self.next("number", "symbol", "function", "(", "√", "frac", "sqrt", "·", "cdot"):
            if self.next("·", "cdot"):
                self.take()
            value *= self.factor()
        return value

    def bracket(self):
        assert self.take() in "({"
        value = self.sum()
        assert self.take() in ")}"
        return value

    def factor(self):
        raise NotImplementedError


class _Plain(_Reader):
    def factor(self):
        if self.next("√"):
            self.take()
            return math.sqrt(self.base())
        if self.next("function"):
            function = getattr(math, self.take())
            return function(math.radians(self.base()))
        value = self.base()
        return value ** int(self.take()) if self.next("raised") else value

    def base(self):
        if self.next("("):
            return self.bracket()
        if self.next("number"):
            return int(self.take())
        return self.symbols[self.take()]


class _Latex(_Reader):
    def factor(self):
        if self.next("sqrt"):
            self.take()
            value = math.sqrt(self.bracket())
        elif self.next("frac"):
            self.take()
            value = self.bracket()
            value /= self.bracket()
        elif self.next("("):
            value = self.bracket()
        elif self.next("number"):
            digits = ""
            while self.next("number"):
                digits += self.take()
            value = int(digits)
        else:
            value = self.symbols[self.take()]
        if self.next("^"):
            self.take()
            value **= self.bracket()
        return value


def read_plain(text, symbols):
    """The value of a line of plain signs, without what stands before its "="."""
    kinds = ("number", "raised", "function", "symbol", "sign")
    tokens = []
    for found in _PLAIN.finditer(text.partition("=")[2]):
        kind = next(number for number, part in enumerate(found.groups()) if part is not None)
        tokens.append((kinds[kind], found[kind + 1].translate(_RAISED) if kind == 1 else found[kind + 1]))
    return _whole(_Plain(tokens, symbols))


def read_latex(text, symbols):
    """The value of LaTeX, without what stands before its "="."""
    kinds = ("number", "word", "symbol", "sign")
    tokens = []
    for found in _LATEX.finditer(text.partition("=")[2]):
        kind = next(number for number, part in enumerate(found.groups()) if part is not None)
        if found[kind + 1] not in ("left", "right"):
            tokens.append((kinds[kind], found[kind + 1]))
    return _whole(_Latex(tokens, symbols))


def read_mathml(text, symbols):
    """The value of MathML, without what stands before its "="."""
    return _mathml_row(list(ElementTree.fromstring(f"<math>{text.partition('<mo>=</mo>')[2]}</math>")), symbols)


def _mathml_row(parts, symbols):
    tokens = []
    for part in parts:
        if part.tag == "mo":
            tokens.append(("sign", part.text))
        elif part.tag != "mspace":
            tokens.append(("number", _mathml(part, symbols)))
    reader = _Reader(tokens, symbols)
    reader.factor = lambda: reader.bracket() if reader.next("(") else reader.take()
    return _whole(reader)


def _mathml(part, symbols):
    inner = list(part)
    if part.tag == "mn":
        return int(part.text)
    if part.tag == "mi":
        return symbols[part.text]
    if part.tag == "msub":
        return symbols["_".join(one.text for one in inner)]
    if part.tag == "msqrt":
        return math.sqrt(_mathml_row(inner, symbols))
    if part.tag == "mfrac":
        return _mathml(inner[0], symbols) / _mathml(inner[1], symbols)
    if part.tag == "msup":
        return _mathml(inner[0], symbols) ** _mathml(inner[1], symbols)
    return _mathml_row(inner, symbols)


def _whole(reader):
    value = reader.sum()
    assert reader.at == len(reader.tokens), reader.tokens[reader.at :]
    return value
