"""Sentences made by chance from the grammar's own parts, with names that are there, that are not, and that are words."""

import random
from collections.abc import Sequence

from ruddy_trellis.core.speech import english
from ruddy_trellis.core.speech.clauses import compiled
from ruddy_trellis.core.speech.english_claims import CLAIMS
from ruddy_trellis.core.speech.english_clauses import CLAUSES
from ruddy_trellis.core.speech.nouns import TAKES

_WAYS = [way for _, ways in (*CLAUSES, *CLAIMS) for way in ways]
_HEADS = sorted(english.HEADS)
_ADJECTIVES = sorted(english.ADJECTIVES)
_ROLES = sorted({text for text, _ in english.ROLES})
_ODD = (
    *("X", "Q′", "is", "the", "Circle", "a", "A_1", "PQR", "zz", "I"),
    *("“x {r}”", "1e400", "½", "−3", "9" * 40, "(1, 2)", "√2", "°", "?", "{", "∠"),
)


def spoken(chance: random.Random, names: Sequence[str]) -> str:
    """A sentence, or nearly one.

    Args:
        names: the names of what is on the board.
    """
    sentences = [_clause(chance, names) for _ in range(chance.choice((1, 1, 1, 2, 3)))]
    text = chance.choice((" ", ", ", " and ", ". ")).join(sentences)
    return (
        text if chance.random() < 0.7 else chance.choice(("please ", "now ", "let ", "")) + text + chance.choice(("", "?", ".", " please"))
    )


def mangled(chance: random.Random, texts: Sequence[str]) -> str:
    """What somebody says, cut short, run into something else, or with its words in another order."""
    words, others = (chance.choice(texts).split() for _ in range(2))
    way = chance.random()
    if way < 0.3:
        return " ".join(words[: chance.randint(1, len(words))])
    if way < 0.6:
        return " ".join((*words[: chance.randint(1, len(words))], *others[chance.randrange(len(others)) :]))
    for _ in range(chance.choice((1, 1, 2))):
        one, other = (chance.randrange(len(words)) for _ in range(2))
        words[one], words[other] = words[other], words[one]
    return " ".join(words)


def _thing(chance: random.Random, names: Sequence[str]) -> str:
    """A thing that is drawn, with names, words and parts that its noun takes: also two names of the same point."""
    noun = chance.choice(sorted(TAKES))
    parts, words = TAKES[noun]
    leads = [text for text, role in english.ROLES if role in parts]
    letters = (*(name for name in names if len(name) == 1), "X", "T")
    pairs = [(one := chance.choice(letters)) + chance.choice((one, *letters)) for _ in range(4)]
    named = chance.choice(("", "t", pairs[0], pairs[0], f"{pairs[0]} and {pairs[1]}", chance.choice(letters)))
    said = [
        chance.choice(("draw the", "a", "the", "draw two", "let")),
        *chance.choices(sorted(words) or [""], k=chance.choice((0, 0, 0, 0, 1))),
    ]
    said += [noun.replace("-", " ") + "s" * (chance.random() < 0.2), named]
    for _ in range(chance.choice((0, 0, 0, 1, 1, 2)) if leads else 0):
        said.append(
            f"{chance.choice(leads)} {chance.choice((*pairs, *letters, *names, 'AB and BC', 'the sides of ABC', 'it', '3', '60°'))}"
        )
    return " ".join(filter(None, said))


def _clause(chance: random.Random, names: Sequence[str]) -> str:
    if chance.random() < 0.25:
        return _thing(chance, names)
    if chance.random() < 0.12:
        return " ".join(chance.choice((*_HEADS, *_ROLES, *names, *_ODD)) for _ in range(chance.choice((1, 3, 6, 12))))
    return " ".join(_said(chance, part, names) for part in compiled(chance.choice(_WAYS)))


def _said(chance: random.Random, part: object, names: Sequence[str]) -> str:
    if isinstance(part, str):
        return f"{part[:-1]}s" if part.endswith("+") else part  # what has to be said in the plural
    if isinstance(part, list):
        return " ".join(_said(chance, one, names) for one in chance.choice(part))
    (slot,) = part  # type: ignore[misc]
    kind = slot.rstrip("0123456789")
    if kind in ("v", "w", "k"):
        return chance.choice(("3", "2.5 cm", "r", "60°", "half", "0", "−1", "1/3", "AB"))
    if kind in ("n", "q"):
        return chance.choice((*names[:6], "X", "PQ", "D, E and F", "M", *_ODD))
    if kind == "r":
        return f"{chance.choice(_ROLES)} {_phrase(chance, names, 1)}"
    if kind in ("facts", "fact"):
        return chance.choice(("AB = AC", "AB = 3", "angle A = 60°", "AB parallel to CD", "a right angle at B"))
    if kind == "cond":
        return chance.choice(("less than 3 cm from", "closer to A than to", "inside")) + " " + _phrase(chance, names, 1)
    return _phrase(chance, names, 2)


def _phrase(chance: random.Random, names: Sequence[str], depth: int) -> str:
    kind = chance.random()
    if depth == 0 or kind < 0.4:
        return chance.choice((*names, "AB", "ABC", "A and B", "AB, BC and CA", "it", "them", *_ODD[:6]))
    noun = chance.choice(_HEADS)
    beside = chance.choice((*sorted(TAKES[noun][1]), *_ADJECTIVES)) if noun in TAKES and chance.random() < 0.5 else ""
    head = f"{beside} {noun}".replace("-", " ").strip()
    article = chance.choice(("the", "a", "all", "both", "three", "its", ""))
    if kind < 0.55:
        return f"{article} {head}"
    return f"{article} {head} {chance.choice(_ROLES)} {_phrase(chance, names, depth - 1)}"
