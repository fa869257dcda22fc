"""Names: which are allowed, how they are spelt together, which comes next."""

import re
from collections.abc import Collection, Iterable
from itertools import count

from .. import limits
from ..kinds import CIRCLE, CLAIM, CONDITION, NUMBER, POINT, REGION, SUPPOSITION
from ..refusal import Refusal

LETTER = "A-Za-zÀ-ÖØ-öø-ɏͰ-ϿЀ-ӿ"
NAME = re.compile(rf"[{LETTER}][{LETTER}0-9]*(?:_[{LETTER}0-9]+)?['′]*")
#: A name short enough to be written right after another: one letter with a number or primes.
_SHORT = re.compile(rf"[{LETTER}](?:_?[0-9]+)?['′]*")

#: What joins names that are too long to be written right after one another. It is no minus.
JOINT = "‐"
#: A name as it stands in a formula, be it spelt from others: letters, digits, subscripts, primes, joints.
WRITTEN = re.compile(rf"[{LETTER}](?:[{LETTER}0-9_'′]|{JOINT}(?=[{LETTER}]))*")
#: Names that would be taken for something else where they stand in a sentence or a formula.
RESERVED = {"pi", "π", "is", "the", "an", "and", "to", "at", "of", "reading"}

_LETTERS = {
    POINT: "ABCDEFGHIJKLMNOPQRSTUVWXYZ",
    CIRCLE: "kcefghu",
    "line": "pqrstlmnabd",
    NUMBER: "vwxyzh",
    "map": "tuvrsw",
    CLAIM: "ωκξζητυ",
    SUPPOSITION: "χι",
    CONDITION: "j",
    REGION: "z",
    "angle": "αβγδεθφψλμρσ",
}


def tidy(name: str) -> str:
    """A name as it is kept: without space around it, its primes as primes, the joints of spelt names as joints."""
    return name.strip().replace("'", "′").replace("-", JOINT)


def check_new_name(name: str) -> str:
    """A name that a person gives, tidied. Raises Refusal unless it is one, and says nothing else in a sentence."""
    name = check_name(name)
    if name in RESERVED:
        raise Refusal(f"“{name}” is a word of sentences and formulas. Choose another name.")
    return name


def check_name(name: str) -> str:
    """The name, tidied. Raises Refusal unless it is a letter, then letters or digits, a subscript, primes."""
    name = tidy(name)
    if not name:
        raise Refusal("A name cannot be empty. A letter will do, such as A, p or A_1.")
    if len(name) > limits.NAME_LENGTH:
        raise Refusal(f"That name has {len(name):,} characters; a name has at most {limits.NAME_LENGTH}.")
    if not NAME.fullmatch(name):
        raise Refusal("A name starts with a letter and goes on with letters or digits: A, Tap2, A_1 or A′.")
    return name


def spell(names: Iterable[str]) -> str:
    """Names written together as one: A, B gives AB; longer names are joined by hyphens."""
    names = list(names)
    if all(_SHORT.fullmatch(name) for name in names):
        return "".join(names)
    return JOINT.join(names)


#: How many ways of taking a text apart are looked for; a text of names such as A, B and AB has no end of them.
_MOST_WAYS = 16


def _spelt_counts(text, known):
    """For how many of the known names together a text can stand, as a whole number with that bit set.

    Each place is looked at once, from the end, whatever the names are.
    """
    # Names are short: to look for the longest one pays only where the text itself is long.
    longest = len(text) if len(text) <= 2 * limits.NAME_LENGTH else max(map(len, known), default=0)
    reach = [0] * len(text) + [1]
    for at in range(len(text) - 1, -1, -1):
        for end in range(at + 1, min(at + longest, len(text)) + 1):
            if reach[end] and text[at:end] in known:
                reach[at] |= reach[end] << 1
    return reach


def unspell(text: str, known: Collection[str], how_many: int) -> list[list[str]]:
    """The ways in which a text spells ``how_many`` of the known names, each a list of names; of very many only the first."""
    return unspelt(text, known, (how_many,))


def unspelt(text: str, known: Collection[str], counts: Iterable[int]) -> list[list[str]]:
    """The same for the first of several counts in which the text spells names at all."""
    if JOINT in text:
        parts = text.split(JOINT)
        return [parts] if len(parts) in counts and all(part in known for part in parts) else []
    reach = _spelt_counts(text, known)
    how_many = next((count for count in counts if reach[0] >> count & 1), None)
    if how_many is None:
        return []
    ways: list[list[str]] = []

    def go_on(at, found):
        left = how_many - len(found)
        if not left:
            ways.append(found)
            return
        for end in range(at + 1, len(text) + 1):
            if len(ways) < _MOST_WAYS and reach[end] >> (left - 1) & 1 and text[at:end] in known:
                go_on(end, [*found, text[at:end]])

    go_on(0, [])
    return ways


def next_name(pool: str, taken: Collection[str]) -> str:
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
