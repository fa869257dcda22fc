"""What the tables of idioms are made of."""

import re
from collections.abc import Callable
from functools import cached_property
from typing import TypeAlias

#: What is read for a form: words, with what was found in it, or what makes them of it.
Read: TypeAlias = str | Callable[[re.Match[str]], str]
#: Forms, each with what is read for it.
Idioms: TypeAlias = tuple[tuple[str, Read], ...]

#: A length, and the polygons, as parts of forms.
SIZE = r"\d[\d.]*(?: ?[cm]?m)?"
POLYGON = r"triangle|quadrilateral|square|rectangle|rhombus|kite|trapezium|parallelogram|pentagon|hexagon|octagon"


class Idiom:
    """A way of writing, made ready when a text first has what it cannot do without.

    Args:
        form: a regular expression.
        read: what is read for it.
    """

    def __init__(self, form: str, read: Read) -> None:
        self.form, self.read = form, read
        #: Letters, small ones, that every text has that the form fits; empty where none are found.
        self.needle = needle_of(form)

    @cached_property
    def pattern(self) -> re.Pattern[str]:
        return re.compile(self.form)

    def put(self, text: str) -> str:
        """A text with what is read in the place of the form."""
        return self.pattern.sub(self.read, text)


def needle_of(form: str) -> str:
    """The longest run of letters in a regular expression that stands outside of brackets and may not be left out, in small letters.

    It is there in every text that the form fits. Of a form with several ways to be nothing is said.
    """
    runs, run, at = [""], "", 0
    while at < len(form):
        letter = form[at]
        at += 1
        if letter == "|":
            return ""
        if letter in "([":
            at = _past(form, at - 1)
        elif letter == "\\" and not form[at].isalnum():
            run += form[at]
            at += 1
            continue
        elif letter == "\\":
            at += 1
        elif letter in "?*{":
            run = run[:-1]  # what stands before it may be left out
            at = form.index("}", at) + 1 if letter == "{" else at
        elif letter not in "^$.+)":
            run += letter
            continue
        runs.append(run)
        run = ""
    needle = max(*runs, run, key=len).lower()
    return needle if len(needle.strip()) > 1 else ""


def _past(form: str, start: int) -> int:
    """The place after a group or a set of letters that begins at a place."""
    depth, at = 0, start
    while at < len(form):
        letter = form[at]
        if letter == "\\":
            at += 2
            continue
        if letter == "[":
            end = at + 1 + (form[at + 1] == "^")
            end += form[end] == "]"
            while form[end] != "]":
                end += 1 + (form[end] == "\\")
            at = end
        depth += (letter == "(") - (letter == ")")
        at += 1
        if depth == 0:
            return at
    return at
