"""Formulas as sentences: "AB + BC" is reckoned, "prove that AB + BC > AC" is claimed."""

from __future__ import annotations

import re

from ..language.expression import Formula, read_formula
from ..language.filling import operand, plain_statement
from ..refusal import Refusal
from . import english
from .claims import order
from .phrases import Phrases
from .readings import measured
from .things import Things
from .tokens import tokens

_RECKONED = re.compile(r"[^,;?“”{}]*[\w)|′°]\s*(?:[-+*/×÷·−:^]\s*[\w(|√∠]|[²³])[^,;?“”{}]*")
_STATED = re.compile(r"[^,;?“”{}=<>≤≥]+(?:[=≤≥]|[<>]=?)[^,;?“”{}<>≤≥]+")
_CHAIN = re.compile(r"[A-Z]{2}(?:\s*=\s*[A-Z]{2}){2,}")
_TIMES = re.compile(r"(?<![\w.])(\d+(?:\.\d+)?)\s*(?=∠|angle\s+[^\W\d_]|[A-Z]{2}\b)")
_REASONED = re.compile(r"[-+*/×÷·−²³√(]|\d\s*(?:∠|angle\b|[A-Z]{2}\b)")


def reckon(t: Things, text: str) -> bool:
    """Make the reading of a bare formula: "AB + BC", "angle(ABC) / 2", "AB : BC". Returns whether the text is one."""
    text = text.strip()
    text = text[led.end() :] if (led := english.RECKON.match(text)) else text
    if "=" in text or not _RECKONED.fullmatch(text) or re.search(r"\d\s*:\s*\d", text):
        return False
    formula = _formula(t, text, "formula")
    if formula is None:
        return False
    t.make("calculation", formula=formula)
    return True


def state(t: Things, text: str) -> bool:
    """Claim, or suppose, what is said of formulas: "prove that AB + BC > AC". Returns whether the text says such a thing.

    What has no sign to reckon with is left to the grammar, which knows more of lengths and angles.
    """
    asks = text.rstrip(". ").endswith("?")
    text = text.strip(" .?")
    supposed, claimed = english.SUPPOSE.match(text), english.CLAIM.match(text)
    led = supposed or claimed
    if led is None and not asks:
        return False
    # "2∠ABC", "2AB": which formulas of files write in their own way, and keep.
    return _stated(t, _TIMES.sub(r"\1 * ", text[led.end() :] if led else text), supposed is not None)


def state_in_words(t: Things, text: str) -> bool:
    """Claim what is said of sizes that are described: "prove that DE + DF is equal to the altitude from B". Of each a reading is made.
    Returns whether the text says such a thing."""
    text = text.strip(" .?")
    led = english.CLAIM.match(text)
    if led is None or not _IS_RECKONED.search(text):
        return False
    text = text[led.end() :]
    if not re.search(r"[=<>≤≥]", text):
        text = _IS.sub(" = ", text, count=1)
    for form, plain in _RECKONED_IN_WORDS:
        text = form.sub(plain, text)
    mark = t.b.mark()
    text, count = _with_readings(t, text)
    if count and _stated(t, text, False):
        return True
    t.b.back_to(mark)
    return False


def _with_readings(t: Things, text: str) -> tuple[str, int]:
    """A statement with the names of readings in the place of the sizes that it describes, and how many these are."""
    count, at = 0, 0
    while (found := _SIZE.search(text, at)) is not None:
        start, mark = found.start(), t.b.mark()
        said = tokens(text[start:], t.b.ahead)
        at = found.end()
        for node, end in Phrases(said).one(0)[:8]:
            try:
                ids = t.aside(lambda node=node: measured(t, node))  # type: ignore[misc]
            except Refusal:
                ids = []
            if len(ids) != 1:
                t.b.back_to(mark)
                continue
            name = t.b.ahead.name(ids[0])
            text = text[:start] + name + text[start + said[end - 1].end :]
            count, at = count + 1, start + len(name)
            break
    return text, count


def _stated(t: Things, text: str, is_supposed: bool) -> bool:
    """Claim, or suppose, a statement about formulas. Returns whether it is one."""
    text = plain_statement(text)
    if not is_supposed and _CHAIN.fullmatch(text) and (chain := _formula(t, text, "statement")) is not None:
        t.make("equal_values", statement=chain)
        return True
    if not _STATED.fullmatch(text) or not _REASONED.search(text):
        return False
    if (comparison := _formula(t, text, "comparison")) is not None:
        t.is_supposing = is_supposed
        try:
            order(t, "compared", comparison=comparison)
        finally:
            t.is_supposing = False
        return True
    if is_supposed or (statement := _formula(t, text, "statement")) is None:
        return False
    t.make("equal_values", statement=statement)
    return True


#: What stands for a sign, and the sizes that may be described.
_IS = re.compile(r"\s+(?:is (?:always )?(?:equal to|the same as)|equals?|are equal to|equal to|is)\s+", re.IGNORECASE)
_RECKONED_IN_WORDS = (
    (re.compile(r"\bthe product of (.+?) and (.+?)(?= [=<>]|$)", re.IGNORECASE), r"(\1) * (\2)"),
    (re.compile(r"\bthe sum of (.+?) and (.+?)(?= [=<>]|$)", re.IGNORECASE), r"(\1) + (\2)"),
    (re.compile(r"\b(\d+) pi\b"), r"\1 * pi"),
    (re.compile(r"\b(?:one )?half (?:of )?(?=\(|the\b|[A-Z]{2}\b)", re.IGNORECASE), "1/2 * "),
    (re.compile(r"\b(?:twice|double) (?=\(|the\b|[A-Z]{2}\b)", re.IGNORECASE), "2 * "),
    (re.compile(r"\b(\d+) times (?=\(|the\b|[A-Z]{2}\b)", re.IGNORECASE), r"\1 * "),
    (re.compile(r"(?<=[\w)]) times (?=[\w(])", re.IGNORECASE), " * "),
)
_IS_RECKONED = re.compile(r"[-+*/×·^²³√]|\b(?:half|twice|double|times|product|sum|squared)\b", re.IGNORECASE)
_SIZE = re.compile(
    r"\b(?:the |its )?(?:altitude|height|median|perimeter|area|circumference|radius|diameter|distance|length)\b", re.IGNORECASE
)


def _formula(t: Things, text: str, literal: str) -> Formula | None:
    """A formula about what is on the board; None where the text is none."""
    try:
        found = read_formula(plain_statement(text), lambda name, function: operand(name, function, t.b.ahead), literal)
    except Refusal:
        return None
    return found if found.operands else None
