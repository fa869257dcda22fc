"""A sentence in plain words: without what is said around it, its idioms in the words of the grammar."""

import re
from functools import lru_cache

from . import english, english_idioms

#: Words that somebody wants written as they are: more than a name.
_WRITTEN = re.compile(r"(?<=[“„])[^“„”]{4,}(?=[”“])|(?<=\")[^\"]{4,}(?=\")")
#: What stands for them while idioms are put in other words: letters that no idiom has.
_STANDS, _MOST = "Qq", 26


@lru_cache(maxsize=256)
def plain(text: str) -> str:
    """A sentence without the courtesies around it, and in the words that the grammar has for its idioms. What is quoted stays as it is."""
    quoted: list[str] = []

    def kept(found: re.Match[str]) -> str:
        if len(quoted) == _MOST:
            return found[0]
        quoted.append(found[0])
        return f"{_STANDS}{chr(ord('a') + len(quoted) - 1)}"

    text = english_idioms.in_other_words(" ".join(_WRITTEN.sub(kept, text).split()).strip())
    bare = _bare(text)
    # What was taken off before it may have hidden an idiom.
    bare = bare if text.startswith(bare) else _bare(english_idioms.in_other_words(bare))
    for number, words in enumerate(quoted):
        bare = bare.replace(f"{_STANDS}{chr(ord('a') + number)}", words)
    return bare


def _bare(text: str) -> str:
    text = text.rstrip(" .!?;:,…")
    while True:
        shorter = english.ENDING.sub("", text)
        found = english.OPENING.match(shorter)
        if found and found.end() < len(shorter) and found.end():
            shorter = shorter[found.end() :]
        shorter = shorter.strip(" ,:;")
        if shorter == text or not shorter:
            return text
        text = shorter
