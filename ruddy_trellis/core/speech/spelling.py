"""A letter wrong, missing, too many, or two that changed places, in a word of the trade."""

from functools import lru_cache

from . import english_synonyms
from .tokens import vocabulary

#: Shorter words are not put right: too many others are near them.
_LEAST = 5
#: Words that are never turned into one another, however near they are.
_OPPOSITES = (
    frozenset(("inner", "outer")),
    frozenset(("internal", "external")),
    frozenset(("internally", "externally")),
    frozenset(("inside", "outside")),
)


@lru_cache(maxsize=4096)
def put_right(word: str) -> tuple[str, ...]:
    """The words of the grammar that a word may have been meant for, at most three, in the alphabet's order; none for a short word,
    or one in capitals."""
    low = word.lower()
    if len(low) < _LEAST or word.isupper() or not low.isalpha():
        return ()
    found = sorted(other for other in _trade() if abs(len(other) - len(low)) <= 1 and other != low and _is_near(low, other))
    found = [other for other in found if not any({low, other} <= pair for pair in _OPPOSITES)]
    meant = {english_synonyms.SAME.get(other, other): other for other in reversed(found)}
    return tuple(sorted(meant.values()))[:3]


@lru_cache(maxsize=1)
def _trade() -> tuple[str, ...]:
    return tuple(word for word in vocabulary() if len(word) >= _LEAST and word.isalpha())


def _is_near(a: str, b: str) -> bool:
    """Whether one letter more, less or other, or two neighbours changed, makes one word the other."""
    if len(a) == len(b):
        wrong = [place for place in range(len(a)) if a[place] != b[place]]
        if len(wrong) == 1:
            return True
        return len(wrong) == 2 and wrong[1] == wrong[0] + 1 and a[wrong[0]] == b[wrong[1]] and a[wrong[1]] == b[wrong[0]]
    longer, shorter = (a, b) if len(a) > len(b) else (b, a)
    return any(longer[:place] + longer[place + 1 :] == shorter for place in range(len(longer)))
