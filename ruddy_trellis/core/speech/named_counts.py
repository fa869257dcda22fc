"""Whether as many things are named as are said: "A, B, C are four points" is a slip, whatever else a sentence says."""

import re

from ..refusal import Refusal
from .english_amounts import NUMBERS

_NAME = r"[A-Z](?:_?\d+|[A-Z])?(?![a-z])"
_NAMES = rf"{_NAME}(?:(?:, and |, ?| and ){_NAME})+"
_COUNT = "|".join(word for word, number in NUMBERS.items() if 2 <= number <= 9)
_FORMS = (
    re.compile(rf"(?P<names>{_NAMES}),? (?:be|are|is) (?:any )?(?P<count>{_COUNT}) "),
    re.compile(rf"\b(?P<count>(?i:{_COUNT})) (?:[a-z-]+ ){{0,2}}?(?:points|lines) (?P<names>{_NAMES})(?! ?[=(])"),
)


def check_named_counts(text: str) -> None:
    """Raise Refusal where a number of things is said, and another number of them named."""
    for form in _FORMS:
        for found in form.finditer(text):
            said, named = NUMBERS[found["count"].lower()], len(re.findall(_NAME, found["names"]))
            if said != named:
                raise Refusal(f"“{found['count']}” is said, and {named} are named: {found['names']}.")
