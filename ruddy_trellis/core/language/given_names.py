"""The name that a sentence gives to what it makes, first or last, and the words of an order before it: "please draw"."""

import re

from ..seen import SeenBoard
from . import names as spelling
from .nouns import NOUNS

_ORDER = re.compile(
    r"\s*(?:(?:please|now|then|and|also|next|let us|let’s|let's|can you|could you|i want|we need|show me|give me)[\s,]+)*"
    r"(?:(?:draw|construct|make|add|create|build|put|place|plot|sketch|find|get|take|work out|determine|what is|what's|what’s|drop|erect|"
    r"raise|state|(?:mark|measure|calculate)(?=\s+(?:the|an?)\s)|(?:measure|calculate|mark)(?=\s+(?:length|area|distance|perimeter|slope|"
    r"gradient|ratio|radius|midpoint|point)))\s+)?",
    re.IGNORECASE,
)
_FIRST = re.compile(r"\s*(?:let\s+|call\s+)?(?P<name>[^\s:=,]+)\s*(?P<sign>:=|=|:|\bis\b|\bbe\b|\bare\b)\s*(?P<rest>.+)", re.I | re.DOTALL)
_LAST = re.compile(
    r"(?P<rest>.+?)[\s,]+(?:and\s+)?(?:call(?:ed)?(?:\s+(?:it|this|that))?|named?(?:\s+it)?|label(?:led)?(?:\s+it)?)\s+(?P<name>\S+)",
    re.DOTALL,
)
#: With these a sentence begins that asks, and no name stands there.
_ASKING = frozenset(("where", "what", "how", "which", "who", "it", "that", "this", "there", "here", "angle"))
#: |AB|, as lengths are written.
_BARS = re.compile(r"\|\s*([^|]+?)\s*\|")


def named(text: str, board: SeenBoard) -> tuple[str | None, str]:
    """The name that a text gives, first or last, or None; and the rest, without the words of an order."""
    text = _BARS.sub(r"length of \1", " ".join(text.split()).rstrip(" .!?"))
    text = _without_order(text)
    for form in (_FIRST, _LAST):
        found = form.fullmatch(text)
        if not found or not spelling.NAME.fullmatch(name := spelling.tidy(found["name"])) or name.lower() in NOUNS:
            continue
        if name.lower() in _ASKING:
            continue
        if form is _FIRST and found["sign"] == ":" and (board.ids_named(name) or spelling.unspell(name, board.points_by_name, 2)):
            continue  # a ratio
        return name, _without_order(found["rest"])
    return None, text


def _without_order(text: str) -> str:
    order = _ORDER.match(text)
    return text[order.end() :] if order else text
