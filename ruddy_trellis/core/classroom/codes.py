"""Codes for coming into a class, and words for coming back to it: made by chance, easy to say, and no words of any language."""

import secrets

#: Letters and digits that are told apart by eye and by ear: no vowels, so that no word comes of them, and of those that look or sound
#: alike (0 O, 1 l I, 2 z, 5 s, 8 b, m n, d t, v w …) one at most.
ALPHABET = "cdfhjkmpqrwxy34679"
#: 18 letters: a code of 8 has 33 bits, a return word of 12 has 50.
CODE, RETURN_WORD = 8, 12
#: So many stand together.
_GROUP = 4


def _made(length: int) -> str:
    return "".join(secrets.choice(ALPHABET) for _ in range(length))


def new_code() -> str:
    """A code for a class."""
    return _made(CODE)


def new_return_word() -> str:
    """A word with which somebody comes back from another device."""
    return _made(RETURN_WORD)


def shown(code: str) -> str:
    """A code as it is shown and said: in groups of four."""
    return " ".join(code[start : start + _GROUP] for start in range(0, len(code), _GROUP))


def typed(text: str, length: int = CODE) -> str:
    """A code as somebody types it, in whatever groups and letters; "" where it can be none, which is no code of any class."""
    code = "".join(letter for letter in text[:80].lower() if letter.isalnum())
    return code if len(code) == length and set(code) <= set(ALPHABET) else ""
