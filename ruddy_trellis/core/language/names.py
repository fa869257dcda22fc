"""Names: which are allowed, how they are spelt together, which comes next."""

import re
from itertools import count

from .. import limits
from ..kinds import CIRCLE, NUMBER, POINT
from ..refusal import Refusal

_LETTER = "A-Za-zÀ-ÖØ-öø-ɏͰ-ϿЀ-ӿ"
NAME = re.compile(rf"[{_LETTER}][{_LETTER}0-9]*(?:_[{_LETTER}0-9]+)?['′]*")
#: A name short enough to be written right after another: one letter with a subscript or primes.
_SHORT = re.compile(rf"[{_LETTER}](?:_[{_LETTER}0-9]+|[0-9]+)?['′]*")

_LETTERS = {
    POINT: "ABCDEFGHIJKLMNOPQRSTUVWXYZ",
    CIRCLE: "kcefghu",
    "line": "pqrstlmnabd",
    NUMBER: "vwxyzh",
    "map": "tuvrsw",
    "angle": "αβγδεθφψλμρσ",
}


def tidy(name):
    """A name as it is kept: without space around it, its primes as primes."""
    return name.strip().replace("'", "′")


def check_name(name):
    """The name, tidied. Raises Refusal unless it is a letter, then letters or digits, a subscript, primes."""
    name = tidy(name)
    if not name:
        raise Refusal("A name cannot be empty. A letter will do, such as A, p or A_1.")
    if len(name) > limits.NAME_LENGTH:
        raise Refusal(f"That name has {len(name):,} characters; a name has at most {limits.NAME_LENGTH}.")
    if not NAME.fullmatch(name):
        raise Refusal("A name starts with a letter and goes on with letters or digits: A, Tap2, A_1 or A′.")
    return name


def spell(names):
    """Names written together as one: A, B gives AB; longer names are joined by hyphens."""
    names = list(names)
    if all(_SHORT.fullmatch(name) for name in names):
        return "".join(names)
    return "-".join(names)


def unspell(text, known, how_many):
    """The ways in which a text spells ``how_many`` of the known names, each a list of names."""
    if "-" in text:
        parts = text.split("-")
        return [parts] if len(parts) == how_many and all(part in known for part in parts) else []
    ways = []

    def go_on(at, found):
        if len(found) == how_many:
            if at == len(text):
                ways.append(found)
            return
        for end in range(at + 1, len(text) + 1):
            if text[at:end] in known:
                go_on(end, [*found, text[at:end]])

    go_on(0, [])
    return ways


def next_name(pool, taken):
    """The next free automatic name of a pool (a kind, "line" for all straight things, or "angle")."""
    letters = _LETTERS.get(pool, _LETTERS["line"])
    for name in letters:
        if name not in taken:
            return name
    for number in count(1):
        for letter in letters:
            if (name := f"{letter}_{number}") not in taken:
                return name
    raise AssertionError("unreachable: the count has no end")
