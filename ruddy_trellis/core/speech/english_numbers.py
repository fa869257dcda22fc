"""Numbers as they are dictated: "twenty five", "three point five", "minus two comma five" in figures, where they are no count of things.

They are put in figures before all other idioms, each as in ``english_idioms``.
"""

import re

from .english_amounts import NUMBERS, TENS
from .idiom_parts import Idioms

_ONES = {word: value for word, value in NUMBERS.items() if value < 10}
_TENS = {word: value for word, value in TENS.items() if 20 <= value < 100 and "-" not in word}
_SINGLE = {**NUMBERS, **{word: value for word, value in TENS.items() if "-" not in word and value < 100}}


def _any(words: dict[str, int]) -> str:
    return "|".join(sorted(words, key=len, reverse=True))


#: Up to 99, and up to 999.
_SMALL = rf"(?:(?:{_any(_TENS)})[ -](?:{_any(_ONES)})\b|(?:{_any(_SINGLE)})\b)"
_WHOLE = rf"(?:(?:an?|{_any(_ONES)}) hundred(?: (?:and )?{_SMALL})?|{_SMALL})"
_POINT = rf"{_WHOLE} point (?:(?:{_any(_ONES)}|zero|oh)\b[ -]?)+"
_FIGURES = r"\d+(?:\.\d+)?"
_UNITS = r"degrees?|cm|mm|m|km|units?|centimet(?:re|er)s?|millimet(?:re|er)s?|met(?:re|er)s?"
#: After these comes a size.
_LEADING = (
    r"equals?|equal to|=|radius|diameter|length|height|width|base|hypotenuse|factor|measures|measuring|comma|minus|negative|"
    r"side|angle (?-i:[A-Za-z]{1,3}|[a-z] [a-z] [a-z])"
)
#: What is no noun, so that a number before it counts nothing.
_ENDS = r"(?=[ ]*(?:[,;.!?)]|$|and\b|by\b|with\b|from\b|comma\b|point\b|at\b|to\b|long\b))"


def _value(text: str) -> int:
    total = 0
    for word in re.findall(r"[a-z]+", text.lower()):
        if word == "hundred":
            total = max(total, 1) * 100
        else:
            total += _SINGLE.get(word, 0)
    return total


def _whole(found: re.Match[str]) -> str:
    return str(_value(found[0]))


def _decimal(found: re.Match[str]) -> str:
    """ "two point five": each figure after the point by itself."""
    whole, _, figures = found[0].lower().partition(" point ")
    after = "".join(str({"zero": 0, "oh": 0, **_ONES}[word]) for word in re.findall("[a-z]+", figures))
    return f"{_value(whole)}.{after}{' ' if found[0].endswith(' ') else ''}"


def _led(found: re.Match[str]) -> str:
    return f"{found[1]}{_value(found[2])}"


def _place(found: re.Match[str]) -> str:
    across, up = (part.lower().replace("minus ", "-").replace("negative ", "-") for part in (found[1], found[2]))
    return f"({across}, {up})"


#: Dictated numbers, by how they are read.
OF_NUMBERS: Idioms = (
    # Before all else: names have such signs.
    (r"(?<=[A-Za-zΑ-ω])([₀-₉])", lambda found: str("₀₁₂₃₄₅₆₇₈₉".index(found[1]))),
    (rf"(?i)\b{_POINT}", _decimal),
    (rf"(?i)\b(?:an?|{_any(_ONES)}) hundred(?: (?:and )?{_SMALL})?\b", _whole),
    (rf"(?i)\b(?:{_any(_TENS)})[ -](?:{_any(_ONES)})\b", _whole),
    (rf"(?i)\b{_SMALL}(?= ?(?:{_UNITS})\b)", _whole),
    (rf"(?i)\b((?:{_LEADING}) (?:(?:of|is|to) )?)({_SMALL}){_ENDS}", _led),
    # "with a b six and b c four"
    (rf"(?i)\b((?:with|and) (?-i:[A-Z]{{2}}|[a-z] [a-z]) )({_SMALL}){_ENDS}", lambda found: f"{found[1]}= {_value(found[2])}"),
    (rf"(?i)\b()({_SMALL})(?= comma\b)", _led),
    (rf"(?i)\b()({_SMALL})(?= by (?:{_FIGURES}|{_SMALL}))", _led),
    (rf"(?i)\b({_FIGURES} by )({_SMALL}){_ENDS}", _led),
    (rf"(?i)\b((?:minus |negative |-)?{_FIGURES}) comma ((?:minus |negative |-)?{_FIGURES})", _place),
    (rf"(?i)\b(?:sqrt ?\(({_FIGURES})\)|(?:the )?(?:square )?root (?:of )?({_FIGURES}))", lambda found: f"√{found[1] or found[2]}"),
    (rf"(?i)\b({_FIGURES}) and a half\b", r"\1.5"),
    (rf"(?i)(?<=[(,= ])(?:minus|negative) (?={_FIGURES})", "-"),
)
