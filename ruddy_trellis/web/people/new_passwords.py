"""What does for a new password: not what stands first in every list of guesses."""

import re

from ...core.refusal import Refusal

LEAST, MOST = 10, 200
#: Rows of keys and letters in which a hand or an eye runs along.
_ROWS = ("abcdefghijklmnopqrstuvwxyz", "01234567890", "qwertyuiop", "qwertzuiop", "azertyuiop", "asdfghjkl", "zxcvbnm", "yxcvbnm")
_RUNS = (*_ROWS, *(row[::-1] for row in _ROWS))
#: What anybody would think of for this program and its people.
_WORDS = "password passwort passphrase letmein welcome login signin secret admin teacher teaching school lesson geometry maths mathematics "
_WORDS += "trellis ruddy iloveyou monkey dragon football sunshine princess"
#: Digits and signs that stand for letters.
_DISGUISES = str.maketrans("013457@$", "oieastas")
#: So many letters must be left that are none of all that.
_LEFT = 6


def check_new_password(password: str, about: tuple[str, ...] = ()) -> None:
    """Raise Refusal where a password does not do.

    Args:
        about: what is known of its person: the name, the sign-in.
    """
    if not LEAST <= len(password) <= MOST:
        raise Refusal(f"A password has from {LEAST} to {MOST} characters. A few words in a row are easy to keep in mind.")
    if len(set(password)) < 5:
        raise Refusal("A password needs at least five different characters.")
    known = sorted(
        {part for one in about for part in re.findall(r"[^\W\d_]{3,}", one.lower())} | set(_WORDS.split()), key=len, reverse=True
    )
    plain = re.sub(r"[\s_.,;:!?*#%&+-]", "", password.lower())
    if any(_is_little(_what_is_left(way, known)) for way in (plain, plain.translate(_DISGUISES))):
        raise Refusal(
            "That password would be guessed soon: it is made of a row of keys or digits, a repeat, a year, your name, or a word of this "
            "program. Take a few words that do not belong together."
        )


def _what_is_left(text: str, known: list[str]) -> str:
    """What a text has besides repeats, known words, years and rows."""
    text = _without_repeats(text)
    for word in known:
        text = text.replace(word, "·")
    return _without_runs(re.sub(r"(?:19|20)\d\d", "·", text)).replace("·", "")


def _is_little(left: str) -> bool:
    return len(left) < _LEFT or len(set(left)) < 4


def _without_repeats(text: str) -> str:
    """A text that is one part again and again, as that part; others as they are."""
    for size in range(1, len(text) // 2 + 1):
        if (text[:size] * (len(text) // size + 1))[: len(text)] == text:
            return text[:size]
    return text


def _without_runs(text: str) -> str:
    """A text in which four and more signs that follow one another in a row, or are the same, are one mark."""
    made, at = "", 0
    while at < len(text):
        end = at + 1
        while end < len(text) and (text[end] == text[at] == text[end - 1] or any(text[at : end + 1] in run for run in _RUNS)):
            end += 1
        made, at = (made + "·", end) if end - at >= 4 else (made + text[at], at + 1)
    return made
