"""Amounts as they are spoken of: numbers with signs, fractions and units, places, sizes. A stretch of tokens gives each way to take it."""

from __future__ import annotations

from collections.abc import Sequence

from . import english_amounts
from .nodes import Amount
from .tokens import NAME, NUMBER, SIGN, WORD, Token

#: Signs between numbers and names of numbers.
_SIGNS = frozenset("+-*/^")


class AmountPhrases:
    """The amounts in one list of tokens.

    Args:
        said: the tokens.
    """

    def __init__(self, said: Sequence[Token]) -> None:
        self.said = list(said)

    def word(self, place: int) -> str:
        """The word at a place; "" past the end, and for what is no word."""
        if not 0 <= place < len(self.said):
            return ""
        token = self.said[place]
        return token.word if token.kind in (WORD, SIGN) else ""

    def coordinates(self, place: int) -> tuple[tuple[str, str], int] | None:
        """ "(2, 3)" or "2, 3" at a place, and where it ends."""
        open_ = self.word(place) == "("
        at = place + open_
        one, at = self.signed(at)
        if one is None:
            return None
        if self.word(at) in (",", ";", "comma") or (at < len(self.said) and self.said[at].text.lower() == "comma"):
            at += 1
        else:
            return None
        other, at = self.signed(at)
        if other is None:
            return None
        if open_:
            if self.word(at) != ")":
                return None
            at += 1
        return (one, other), at

    def signed(self, at: int) -> tuple[str | None, int]:
        """A number with its sign at a place, or None, and where it ends."""
        sign = ""
        if self.word(at) in ("-", "+") or (at < len(self.said) and self.said[at].text.lower() in ("minus", "−", "‐")):
            sign, at = "-" if self.said[at].text != "+" else "", at + 1
        if at < len(self.said) and self.said[at].kind == NUMBER:
            return sign + self.said[at].text, at + 1
        if (
            at < len(self.said)
            and self.word(at) in english_amounts.AMOUNTS
            and english_amounts.AMOUNTS[self.word(at)] == int(english_amounts.AMOUNTS[self.word(at)])
        ):
            return f"{sign}{int(english_amounts.AMOUNTS[self.word(at)])}", at + 1
        return None, at

    def amounts(self, start: int):
        """A number with its fraction, its sign and its unit."""
        end = start
        text = ""
        if self.word(end) in ("-", "√"):
            text, end = self.said[end].text, end + 1
        if end >= len(self.said):
            return
        token = self.said[end]
        if token.kind == NAME:
            yield from self._reckoned(start)
            return
        if token.kind == NUMBER:
            text += token.text
        elif token.word in english_amounts.NUMBERS and self.word(end + 1) in english_amounts.PARTS:
            text += f"{english_amounts.NUMBERS[token.word]}/{english_amounts.PARTS[self.word(end + 1)]}"
            end += 1
        elif token.word in english_amounts.AMOUNTS:
            value = english_amounts.AMOUNTS[token.word]
            text += f"{value:g}"
        else:
            return
        end += 1
        if self.word(end) == "/" and end + 1 < len(self.said) and self.said[end + 1].kind == NUMBER:
            text, end = f"{text}/{self.said[end + 1].text}", end + 2
        elif self.word(end) == "√" and end + 1 < len(self.said) and self.said[end + 1].kind == NUMBER:
            text, end = f"{text}√{self.said[end + 1].text}", end + 2
        # "10r", "2 AB", "10 times r", "2r + 1": an amount times what a name stands for.
        named = end + (self.word(end) in ("time", "times", "*") or ("/" in text and self.word(end) == "of"))
        named = self.after_length_of(named)
        if named < len(self.said) and self.said[named].kind == NAME and len(self.said[named].points) in (0, 2):
            product, after = f"{text} * {self.said[named].word}", named + 1
            if not self.said[named].points:
                sum_, stop = self._goes_on(product, after)
                if stop > after:
                    yield from self._with_unit(sum_, stop)
            yield from self._with_unit(product, after)
        if self.word(end) in english_amounts.UNITS:
            yield Amount(f"{text} {self.word(end)}".replace(" units", "")), end + 1
        elif self.word(end) in ("time", "times"):
            yield Amount(text), end + 1
        yield Amount(text), end

    def after_length_of(self, place: int) -> int:
        """Where the name begins of which "the length of" is said at a place; the place itself where that is not said."""
        at = place + (self.word(place) == "the")
        return at + 2 if self.word(at) == "length" and self.word(at + 1) == "of" else place

    def _reckoned(self, start: int):
        """ "r/2", "2r + 1" where it begins with the name of a number: what is reckoned with it, one sign after the other."""
        token = self.said[start]
        if token.points:
            return
        text, end = self._goes_on(token.word, start + 1)
        if end > start + 1:
            yield from self._with_unit(text, end)

    def _goes_on(self, text: str, end: int) -> tuple[str, int]:
        """What is reckoned further with what there is: a sign and a number or its name, as many as there are."""
        while self.word(end) in _SIGNS and end + 1 < len(self.said) and self.said[end + 1].kind in (NUMBER, NAME):
            if self.said[end + 1].kind == NAME and self.said[end + 1].points:
                break
            text, end = f"{text} {self.said[end].text} {self.said[end + 1].word}", end + 2
        return text, end

    def _with_unit(self, text: str, end: int):
        """An amount with the unit that follows it, if one does."""
        unit = self.word(end) in english_amounts.UNITS
        yield Amount(f"{text} {self.said[end].text}" if unit else text), end + unit

    def sizes(self, place: int) -> tuple[list[str], int] | None:
        """ "60 mm by 40 mm", "6 x 4" at a place."""
        found: list[str] = []
        while True:
            ways = [(node, end) for node, end in self.amounts(place) if isinstance(node, Amount)]
            if not ways:
                return None
            node, end = max(ways, key=lambda way: way[1])
            found.append(node.text)
            if (
                (self.word(end) in ("by", "*") or (end < len(self.said) and self.said[end].text in ("x", "×")))
                and end + 1 < len(self.said)
                and self.said[end + 1].kind == NUMBER
            ):
                place = end + 1
                continue
            return found, end
