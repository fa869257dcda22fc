"""Formulas as sentences: "AB + BC" is reckoned, "prove that AB + BC > AC" is claimed."""

from __future__ import annotations

import re

from ..language.expression import Formula, read_formula
from ..language.filling import operand, plain_statement
from ..refusal import Refusal
from . import english
from .claims import order
from .things import Things

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
    text = plain_statement(_TIMES.sub(r"\1 * ", text[led.end() :] if led else text))
    if supposed is None and _CHAIN.fullmatch(text) and (chain := _formula(t, text, "statement")) is not None:
        t.make("equal_values", statement=chain)
        return True
    if not _STATED.fullmatch(text) or not _REASONED.search(text):
        return False
    if (comparison := _formula(t, text, "comparison")) is not None:
        t.is_supposing = supposed is not None
        try:
            order(t, "compared", comparison=comparison)
        finally:
            t.is_supposing = False
        return True
    if supposed is not None or (statement := _formula(t, text, "statement")) is None:
        return False
    t.make("equal_values", statement=statement)
    return True


def _formula(t: Things, text: str, literal: str) -> Formula | None:
    """A formula about what is on the board; None where the text is none."""
    try:
        found = read_formula(plain_statement(text), lambda name, function: operand(name, function, t.b.ahead), literal)
    except Refusal:
        return None
    return found if found.operands else None
