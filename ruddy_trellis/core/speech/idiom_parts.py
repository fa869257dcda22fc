"""What the tables of idioms are made of."""

import re
from collections.abc import Callable, Iterable
from functools import cached_property
from typing import TypeAlias

#: What is read for a form: words, with what was found in it, or what makes them of it.
Read: TypeAlias = str | Callable[[re.Match[str]], str]
#: Forms, each with what is read for it.
Idioms: TypeAlias = tuple[tuple[str, Read], ...]

#: A length, and the polygons, as parts of forms.
SIZE = r"\d[\d.]*(?: ?[cm]?m)?"
POLYGON = (
    "triangle|quadrilateral|square|rectangle|rhombus|kite|trapezium|trapezoid|parallelogram|pentagon|hexagon|heptagon|octagon|nonagon|"
    "decagon"
    "|dodecagon"
)
#: Words that say of which sort a polygon is, as parts of forms.
OF_A_SORT = r"convex|cyclic|right-angled|right|isosceles|equilateral|scalene|acute|acute-angled|obtuse|obtuse-angled|regular|tangential"

#: Numbers that count things, in words.
COUNTED = {"two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8, "nine": 9, "ten": 10}


class Idiom:
    """A way of writing, made ready when a text first has what it cannot do without.

    Args:
        form: a regular expression.
        read: what is read for it.
    """

    def __init__(self, form: str, read: Read) -> None:
        self.form, self.read = form, read

    @cached_property
    def needles(self) -> tuple[str, ...]:
        """Runs of letters, small ones, of which every text has one that the form fits; empty where none are found."""
        return needles_of(self.form)

    @cached_property
    def pattern(self) -> re.Pattern[str]:
        return re.compile(self.form)

    def put(self, text: str) -> str:
        """A text with what is read in the place of the form."""
        return self.pattern.sub(self.read, text)


class Written:
    """Idioms in their order. Of the many only those are tried that may fit a text, by what it has of their needles."""

    def __init__(self, idioms: Iterable[Idiom]) -> None:
        self.idioms = tuple(idioms)

    @cached_property
    def _anywhere(self) -> set[int]:
        """The places of idioms without needles."""
        return {place for place, idiom in enumerate(self.idioms) if not idiom.needles}

    @cached_property
    def _having(self) -> dict[str, list[int]]:
        """The places of idioms by needle, sought when a text is first read: no start should wait for it, a tenth of a second."""
        having: dict[str, list[int]] = {}
        for place, idiom in enumerate(self.idioms):
            for needle in idiom.needles:
                having.setdefault(needle, []).append(place)
        return having

    def put(self, text: str) -> str:
        """A text with all idioms in it put in other words, each once and the first ones first."""
        after = 0
        while True:
            low = text.lower()
            places = self._anywhere.union(*(found for needle, found in self._having.items() if needle in low))
            for place in sorted(place for place in places if place >= after):
                if (other := self.idioms[place].put(text)) != text:
                    text, after = other, place + 1
                    break
            else:
                return text


def needles_of(form: str) -> tuple[str, ...]:
    """Runs of letters of which every text has one that a regular expression fits, in small letters; none where there is no such run.

    Of what has to be there one after the other, that is taken which says the most; of what may be there instead of each other, all.
    """
    return _Needles(form).of_choices()


#: What begins a group that may not be there, or says nothing of what is; and one of which what is in it is there.
_ABSENT, _PRESENT = ("(?!", "(?<!"), ("(?=", "(?<=", "(?:", "(?-i:", "(?i:", "(")
#: How often what is before it is there.
_TIMES = re.compile(r"([?*+]|\{\d+(?:,\d*)?\})\??")
#: Letters that stand for themselves, once each.
_PLAIN = re.compile(r"[^\\\[(|){}?*+^$.]+(?![?*+{])")
#: How short a run of letters says nothing, unless it is a sign.
_LEAST = 2


class _Needles:
    """Reads a regular expression for what every text has that it fits."""

    def __init__(self, form: str) -> None:
        self.form = form.removeprefix("(?i)")
        self.at = 0

    def of_choices(self) -> tuple[str, ...]:
        """The needles of an expression, or of a group to its end: those of each choice, and none where one has none."""
        found = [self._of_sequence()]
        while self.at < len(self.form) and self.form[self.at] == "|":
            self.at += 1
            found.append(self._of_sequence())
        return tuple(dict.fromkeys(needle for needles in found for needle in needles)) if all(found) else ()

    def _of_sequence(self) -> tuple[str, ...]:
        best: tuple[str, ...] = ()
        most = 0.0
        run = ""
        while self.at < len(self.form) and self.form[self.at] not in "|)":
            if plain := _PLAIN.match(self.form, self.at):  # most of a form is: it is taken as a whole, which makes this four times as quick
                run += plain[0]
                self.at = plain.end()
                continue
            literal, needles = self._atom()
            may_lack, again = self._times()
            if literal and not may_lack:
                run += literal
                if not again:
                    continue
            for one in ((run.lower(),), () if may_lack else needles):
                if (worth := _worth(one)) > most:
                    best, most = one, worth
            run = ""
        last = (run.lower(),)
        return last if _worth(last) > most else best

    def _atom(self) -> tuple[str, tuple[str, ...]]:
        """The next part: a letter that stands for itself, or what every text has that a group fits."""
        letter = self.form[self.at]
        if letter == "(":
            begins = next(one for one in (*_ABSENT, *_PRESENT) if self.form.startswith(one, self.at))
            self.at += len(begins)
            needles = self.of_choices()
            self.at += 1
            return "", () if begins in _ABSENT else needles
        if letter == "[":
            end = self.at + 1 + (self.form[self.at + 1] == "^")
            end += self.form[end] == "]"
            while self.form[end] != "]":
                end += 1 + (self.form[end] == "\\")
            self.at = end + 1
            return "", ()
        self.at += 1 + (letter == "\\")
        if letter == "\\":
            return ("" if self.form[self.at - 1].isalnum() else self.form[self.at - 1]), ()
        return ("" if letter in "^$." else letter), ()

    def _times(self) -> tuple[bool, bool]:
        """Whether the part before may be left out, and whether it may be there more than once."""
        found = _TIMES.match(self.form, self.at)
        if found is None:
            return False, False
        self.at = found.end()
        return found[1][0] in "?*" or found[1].startswith("{0"), True


def _worth(needles: tuple[str, ...]) -> float:
    """How much needles tell: what the shortest has of letters, signs being worth more; less where there are many."""
    least = min((_weight(needle) for needle in needles), default=0)
    return least - 0.1 * len(needles) if least >= _LEAST else 0.0


def _weight(needle: str) -> int:
    bare = needle.strip()
    return len(bare) if bare.isascii() else len(bare) + 4 * sum(not letter.isascii() for letter in bare)
