"""What a sentence by itself tells of what another one drew: "AB = 5 cm.", "Angle AOB is 100°."."""

from __future__ import annotations

import re
from collections.abc import Iterator

#: With what a sentence begins that asks for something, or concludes: it tells nothing of how a figure is made.
_ASKS = re.compile(
    r"(?:to )?(?:prove|show|check|verify|claim|then|hence|so|thus|therefore|is|are|does|do|find|measure|what|how|which|where|why|draw|"
    r"construct|make|mark|join|calculate|compute|compare|see|test|it follows)\b",
    re.IGNORECASE,
)
_SIGNS = (
    (re.compile(r"^(?:and|also|moreover|further|furthermore|given that|suppose that|suppose|assume that|let)[, ]+", re.IGNORECASE), ""),
    (re.compile(r"^(?:the )?(?:length of |side |segment |chord )(?=[A-Z]{2}\b)", re.IGNORECASE), ""),
    (re.compile(r"(?<=[A-Z]) (?:is|are|equals|measures|is equal to|has length)(?: equal to)? (?=\d)"), " = "),
    (re.compile(r"(?<=\d)((?: ?[cm]?m)?) long\b"), r"\1"),
)
_NAME = re.compile(r"(?<![A-Za-z])[A-Z]{1,4}(?![A-Za-z])")
#: A sentence that says what the centre of a circle is, or that two points are on something; a fact that tells how long something is.
_CENTRED = re.compile(r"\bcent(?:re|er) ([A-Z])\b|\b([A-Z]) is the cent(?:re|er) of (?:a|the) circle")
_CIRCLE = re.compile(r"\bcircle\b(?! (?:of|with) radius)")
_LISTED = re.compile(r"(.*?)([A-Z]) and ([A-Z]) are (?:two )?points ((?:on|of) .+)")
_SIZE_TOLD = re.compile(r"(?:the )?(?:[A-Z]{2}|[Aa]ngle [A-Z]{1,3}) = \d\S*(?: ?(?:[cm]?m|degrees))?")
_SIZED = re.compile(r"([A-Z]{2}) = (\d[^,]*)")


def is_told(text: str) -> bool:
    """Whether a sentence may tell something of a figure, and asks for nothing."""
    return not _ASKS.match(text.strip()) and not text.rstrip().endswith("?")


def is_size(text: str) -> bool:
    """Whether all that a sentence tells is how long something is, or how large an angle."""
    return bool(_SIZE_TOLD.fullmatch(as_fact(text)))


def as_fact(text: str) -> str:
    """What a sentence tells, as facts are written beside a figure: "angle AOB = 100°"."""
    fact = text.strip(" .;!")
    for form, plain in _SIGNS:
        fact = form.sub(plain, fact)
    return fact


def names_in(text: str) -> frozenset[str]:
    """The letters of the points that a text names."""
    return frozenset(letter for name in _NAME.findall(text) for letter in name)


def joined_with(text: str, fact: str) -> Iterator[str]:
    """The ways to say a fact together with the sentence that it belongs to."""
    text = text.strip(" .;!")
    sized = _SIZED.fullmatch(fact)
    if sized is not None and re.search(rf"\b(?:segment|line|side|chord|vector) {sized[1]}\b", text):
        yield f"{text} of length {sized[2]}"
    if sized is not None and (of := _CENTRED.search(text)) is not None and (of[1] or of[2]) in sized[1]:
        yield _CIRCLE.sub(f"circle of radius {sized[2]}", text, count=1)  # "OA = 5", where A is on it
    if (listed := _LISTED.fullmatch(text)) is not None and len(told := names_in(fact) & set(listed[2] + listed[3])) == 1:
        (one,), rest = tuple(told), set(listed[2] + listed[3]) - told
        yield f"{listed[1]}{one} is a point {listed[4]} such that {fact} and {next(iter(rest))} is a point {listed[4]}"
    # "and" only where a fact stands there already: else it would begin another sentence.
    joiners = (" and ", " with ") if re.search(r" (?:with|such that) ", text) else (" with ", " such that ")
    for joiner in joiners:
        yield f"{text}{joiner}{fact}"
