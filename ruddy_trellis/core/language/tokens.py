"""A typed text as words, names, numbers and signs, for the reader that takes a sentence as people say it."""

import re
from dataclasses import dataclass

from . import names as spelling

LETTER = spelling.LETTER
#: A word or a name; a number; quoted words; any other sign by itself. A hyphen inside a word parts it in two.
_TOKEN = re.compile(rf"“[^”]*”|\"[^\"]*\"|[{LETTER}](?:[{LETTER}0-9_'′’]|{spelling.JOINT}(?=[{LETTER}]))*|\d+(?:\.\d+)?|\.\d+|[½⅓⅔¼¾⅕⅛]|\S")
#: Words that mean the same here, each by the one that the patterns use.
SAME = {
    **dict.fromkeys(("center", "centers", "centres", "middle"), "centre"),
    **dict.fromkeys(("centered",), "centred"),
    **dict.fromkeys(("meet", "cut", "cuts", "cross", "crosses", "intersect", "intersects", "hit", "hits"), "meets"),
    **dict.fromkeys(("perp", "⊥", "perpendiculars"), "perpendicular"),
    **dict.fromkeys(("∥", "‖", "∕∕"), "parallel"),
    **dict.fromkeys(("around", "round"), "about"),
    **dict.fromkeys(("vertex", "vertices", "corners"), "corner"),
    **dict.fromkeys(("joining", "joins", "connecting", "connect", "connects", "linking", "link"), "join"),
    **dict.fromkeys(("rotate", "rotated", "turned", "rotating", "spin"), "turn"),
    **dict.fromkeys(("reflected", "mirror", "mirrored", "flip", "reflecting"), "reflect"),
    **dict.fromkeys(("enlarged", "scale", "scaled", "dilate", "dilated"), "enlarge"),
    **dict.fromkeys(("translated", "shift", "shifted", "slide"), "translate"),
    **dict.fromkeys(("intersection", "meeting"), "crossing"),
    "intersections": "crossings",
    **dict.fromkeys(("degree", "deg", "°", "º"), "degrees"),
    **dict.fromkeys(("∠", "∡", "<)", "angles"), "angle"),
    **dict.fromkeys(("△", "∆"), "triangle"),
    **dict.fromkeys(("⊙",), "circle"),
    **dict.fromkeys(("gradient", "steepness"), "slope"),
    **dict.fromkeys(("slider",), "dial"),
    **dict.fromkeys(("halfway", "midway"), "midpoint"),
    **dict.fromkeys(("dividing", "divide", "splits", "splitting", "split"), "divides"),
    **dict.fromkeys(("sides",), "side"),
    **dict.fromkeys(("equals",), "="),
    **dict.fromkeys(("dilation", "homothety", "scaling"), "enlargement"),
    **dict.fromkeys(("lies", "sits", "lying"), "is"),
    **dict.fromkeys(("colored", "color", "coloured"), "colour"),
}
#: Words that may stand anywhere and say nothing.
IDLE = frozenset(
    ("the", "a", "an", "with", "whose", "having", "which", "that", "passing", "going", "running", "passes", "goes", "please", "just",
     "exactly", "now", "also", "then", "given", "itself", "new", "some", "any", "straight")
)  # fmt: skip
#: Words that may stand before another word of the sentence and say nothing there, though between two names they do.
LINKING = frozenset(("and", ",", ";", "of", "be", "are"))


@dataclass(frozen=True)
class Token:
    """A word, name, number or sign, and where it stands in the text."""

    text: str
    word: str
    start: int
    end: int


def tokens(text: str) -> list[Token]:
    """The tokens of a text. Hyphens between letters are left out, so that "mid-point" is two words."""
    found = []
    for one in _TOKEN.finditer(text):
        if one[0] in "-‐" and text[one.start() - 1 : one.start()].isalpha() and text[one.end() : one.end() + 1].isalpha():
            continue
        low = one[0].lower()
        found.append(Token(one[0], SAME.get(low, low), one.start(), one.end()))
    return found
