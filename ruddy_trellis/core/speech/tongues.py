"""Other tongues: a sentence that is not English is said to be so, in its own language."""

import re

from ..seen import SeenBoard
from .tokens import vocabulary

#: Small words that tell a language, and what is said in it.
_TONGUES = {
    "de": (
        frozenset(
            [
                "der",
                "die",
                "das",
                "den",
                "dem",
                "des",
                "ein",
                "eine",
                "einen",
                "einem",
                "und",
                "von",
                "durch",
                "zu",
                "zur",
                "zum",
                "mit",
                "auf",
                "ist",
                "sei",
                "sind",
                "im",
                "auch",
                "über",
                "zwischen",
            ]
        ),
        "Das scheint Deutsch zu sein. Hier werden englische Sätze gelesen, etwa “the midpoint of AB”; die Hilfe zeigt, welche.",
    ),
    "fr": (
        frozenset(
            [
                "le",
                "la",
                "les",
                "un",
                "une",
                "des",
                "du",
                "de",
                "et",
                "par",
                "avec",
                "est",
                "soit",
                "au",
                "aux",
                "dans",
                "sur",
                "entre",
                "passant",
                "que",
                "qui",
                "à",
                "où",
            ]
        ),
        "Cela semble être du français. Ici, les phrases se lisent en anglais, comme « the midpoint of AB » ; l’aide les montre.",
    ),
    "es": (
        frozenset(
            [
                "el",
                "la",
                "los",
                "las",
                "un",
                "una",
                "unos",
                "del",
                "de",
                "y",
                "por",
                "con",
                "es",
                "sea",
                "al",
                "en",
                "entre",
                "que",
                "desde",
                "hasta",
            ]
        ),
        "Esto parece español. Aquí se leen frases en inglés, como «the midpoint of AB»; la ayuda las muestra.",
    ),
}
#: Short forms here that are small words elsewhere.
_SHORT = frozenset(("del",))
#: So many different small words of a language tell it.
_ENOUGH = 2


def other_tongue(text: str, board: SeenBoard) -> str | None:
    """What is said to a person whose sentence is in another tongue, in that tongue; None where it is not told to be in one."""
    said = {word.lower() for word in re.findall(r"[^\W\d_]+", text) if not board.ids_named(word)}
    said -= vocabulary() - _SHORT
    found = {tongue: len(said & small) for tongue, (small, _) in _TONGUES.items()}
    best = max(found, key=lambda tongue: found[tongue])
    if found[best] < _ENOUGH or list(found.values()).count(found[best]) > 1:
        return None
    return _TONGUES[best][1]
