"""A text as words, names, numbers and signs, seen from one board: small letters are names where only that fits."""

import re
from collections.abc import Collection, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

from ..language import names as spelling
from ..seen import SeenBoard
from . import english, english_amounts, english_synonyms

WORD, NAME, NUMBER, SIGN, QUOTE, UNKNOWN = "word", "name", "number", "sign", "quote", "unknown"
_TOKEN = re.compile(
    rf"“[^”]*”|\"[^\"]*\"|[{spelling.LETTER}](?:[{spelling.LETTER}0-9_'′’″]|{spelling.JOINT}(?=[{spelling.LETTER}]))*"
    r"|(?:\d+(?:\.\d+)?|\.\d+)(?:[eE][-−+]?\d+)?|[½⅓⅔¼¾⅕⅛]|:=|\S"
)
#: Capitals with numbers, subscripts or primes after them: points that are spelt together.
_CAPITALS = re.compile(r"(?:[A-Z](?:_?\d+)?['′’″]*)+")
POINT_NAME = re.compile(r"[A-Z](?:_?\d+)?['′’″]*")
_SMALL_POINT = re.compile(r"[a-z]\d*['′’]*")
#: Things of one kind that are told apart by numbers: k1 and k2, l_1 and l_2, ω1 and ω2.
_NUMBERED = re.compile(r"[a-zα-ω]_?\d{1,2}")
#: The end of a word that is several: "axis", "bis" and "radius" end otherwise.
_SEVERAL = re.compile(r"[^isu]s$")
#: How many tokens a sentence has at most that is taken apart here.
MOST = 80


@dataclass(frozen=True)
class Token:
    """A word, name, number or sign.

    Attributes:
        text: as it was typed.
        word: what the grammar calls it; for a name the name itself.
        kind: WORD, NAME, NUMBER, SIGN, QUOTE or UNKNOWN.
        points: of a name, the points that it spells, whether they are there or not; empty for another thing's name.
        plural: whether more than one was said.
    """

    text: str
    word: str
    kind: str
    start: int
    end: int
    points: tuple[str, ...] = ()
    plural: bool = False


@lru_cache(maxsize=1)
def vocabulary() -> frozenset[str]:
    """Every word that the grammar knows, in small letters, as it may be typed."""
    words = {part for text in (*english_synonyms.TOGETHER, *english_synonyms.TOGETHER.values()) for part in text.split()}
    words |= {*english_synonyms.SAME, *english_synonyms.SAME.values(), *english.HEADS, *english.ADJECTIVES, *english.VERBS, *english.IDLE}
    words |= {
        *english.NEW_ONES,
        *english.OLD_ONES,
        *english.ALL_ONES,
        *english_amounts.AMOUNTS,
        *english_amounts.MULTIPLES,
        *english_amounts.UNITS,
        *english.PENS,
        *english_amounts.PARTS,
    }
    words |= {part for text, _ in english.ROLES for part in text.split()}
    return frozenset(word for word in words if len(word) > 1 or not word.isalpha() or word == "a")


@lru_cache(maxsize=1)
def _together() -> dict[str, list[tuple[tuple[str, ...], tuple[str, ...]]]]:
    """The words that are put together, by the first of them, the longest first."""
    found: dict[str, list[tuple[tuple[str, ...], tuple[str, ...]]]] = {}
    for text, one in english_synonyms.TOGETHER.items():
        parts = tuple(text.split())
        found.setdefault(parts[0], []).append((parts, tuple(one.split())))
    return {first: sorted(ways, key=lambda way: -len(way[0])) for first, ways in found.items()}


#: How many words after an "a" it is looked at to see whether it is the article: "a 60 mm by 40 mm rectangle".
_AHEAD = 8


def tokens(text: str, board: SeenBoard) -> list[Token]:
    """The tokens of a text, words that belong together as one. Names of small letters are seen as what they can be here."""
    raw = list(_TOKEN.finditer(text))
    raw = [one for one in raw if not (one[0] in "-‐–" and _is_hyphen(text, one.start(), one.end()))]
    spelled = _spelled(raw) if not any(letter.isupper() for letter in text[1:]) else None
    found: list[Token] = []
    for place, one in enumerate(raw):
        following = [other[0] for other in raw[place + 1 : place + _AHEAD]]
        found.append(_token(one, following, found[-1] if found else None, board, spelled))
    return _names_joined(_without_epithets(_equal_to_each_other(_words_joined(found)), board), board)


def _spelled(raw: Sequence[re.Match[str]]) -> frozenset[str]:
    """The points that a text without capitals names: letters in a row, or after the noun of what has so many corners."""
    words = [one[0].lower() for one in raw]
    found: set[str] = set()
    for place, word in enumerate(words):
        count = _SHAPES.get(english_synonyms.SAME.get(word, word), 0)
        row = words[place + 1 : place + 1 + count]
        run = row[0] if row and len(row[0]) == count else "".join(row) if all(len(one) == 1 for one in row) else ""
        if count > 2 and len(run) == count and run.isalpha() and run not in vocabulary():
            found.update(run.upper())
    return frozenset(found)


def _is_hyphen(text: str, start: int, end: int) -> bool:
    return text[start - 1 : start].isalpha() and text[end : end + 1].isalpha() and text[start - 1].islower() and text[end].islower()


def _token(one: re.Match[str], following: list[str], before: Token | None, board: SeenBoard, spelled: frozenset[str] | None) -> Token:
    text, start, end = one[0], one.start(), one.end()
    low = text.lower().replace("’", "'")
    if text[0] in '“"':
        return Token(text, text[1:-1], QUOTE, start, end)
    if text[0].isdigit() or (text[0] == "." and len(text) > 1) or text[0] in "½⅓⅔¼¾⅕⅛":
        return Token(text, text, NUMBER, start, end)
    word = english_synonyms.SAME.get(low, low)
    if not text[0].isalpha():
        return Token(text, word, WORD if word in vocabulary() and len(word) > 1 else SIGN, start, end)
    plural = (low != word and low.endswith("s")) or low in ("feet", "radii", "rhombi", "loci", "vertices")
    as_word = Token(text, word, WORD, start, end, plural=plural)
    name = spelling.tidy(text.replace("’", "′"))
    if low == "a":
        return (
            as_word
            if _is_article(text, start, following, before, board)
            else _name(text, "A" if _there("A", board) and not _there("a", board) else name, start, end, board)
        )
    if (
        _there(name, board)
        and (low not in vocabulary() or text[:1].isupper() or len(text) == 1)
        and not (start == 0 and text.istitle() and len(text) > 1 and low in vocabulary() and not _there(name, board))
    ):
        return _name(text, name, start, end, board)
    if _CAPITALS.fullmatch(text.replace("’", "′")) and not (len(text) > 3 and low in vocabulary()):
        return _name(text, name, start, end, board)
    if low not in vocabulary() and len(low) > 3 and low.endswith("s"):
        one_word = english_synonyms.SAME.get(low[:-1], low[:-1])
        if low[:-1] in vocabulary() and one_word in english.HEADS:
            return Token(text, one_word, WORD, start, end, plural=True)
    if low in vocabulary():
        if (
            len(low) > 1
            and low in english_amounts.UNITS
            and before is not None
            and before.kind != NUMBER
            and before.word not in ("in", "degrees")
            and len(low) == 1
        ):
            return _name(text, name, start, end, board)
        if len(low) == 1 and not (before is not None and before.kind == NUMBER):
            return _name(text, name, start, end, board)
        return as_word
    if len(text) == 1:
        if low in english_amounts.UNITS and before is not None and before.kind == NUMBER:
            return as_word
        return _name(text, name, start, end, board)
    if text.islower() and len(text) <= 8:
        capitals = POINT_NAME.findall(text.upper().replace("’", "′"))
        if "".join(capitals) == text.upper() and len(set(capitals)) == len(capitals):
            if all(part in board.points_by_name for part in capitals):
                return Token(text, text.upper(), NAME, start, end, tuple(map(spelling.tidy, capitals)))
            shape = before is not None and before.word in _SHAPES
            if (shape and len(capitals) == _SHAPES[before.word]) or (before is not None and before.word == "point" and len(capitals) < 3):  # type: ignore[union-attr]
                return Token(text, text.upper(), NAME, start, end, tuple(map(spelling.tidy, capitals)))
            if (
                len(capitals) == 2
                and spelled is not None
                and all(part in board.points_by_name or part.isalpha() for part in capitals)
                and any(part in board.points_by_name or part in spelled for part in capitals)
            ):
                return Token(text, text.upper(), NAME, start, end, tuple(map(spelling.tidy, capitals)))
    if (text[0].isupper() and not text[1:].isalpha()) or _NUMBERED.fullmatch(text):
        return _name(text, name, start, end, board)
    return Token(text, low, UNKNOWN, start, end)


#: How many corners the shapes have that a name in small letters may stand after.
_SHAPES = {
    "triangle": 3, "quadrilateral": 4, "square": 4, "rectangle": 4, "rhombus": 4, "kite": 4, "trapezium": 4, "parallelogram": 4, "angle": 3,
    "isosceles": 3, "equilateral": 3, "right-angled": 3, "pentagon": 5, "hexagon": 6, "segment": 2, "line": 2, "ray": 2, "vector": 2,
}  # fmt: skip


def _there(name: str, board: SeenBoard) -> bool:
    return bool(board.ids_named(name))


def _is_article(text: str, start: int, ahead: list[str], before: Token | None, board: SeenBoard) -> bool:
    """Whether an "a" is the article: a noun or an adjective follows it."""
    if text == "A" and start > 0:
        return False
    following = ahead[0] if ahead else ""
    low = following.lower()
    word = english_synonyms.SAME.get(low, low)
    if following[:1].isdigit():
        nouns = [english_synonyms.SAME.get(other.lower(), other.lower()) for other in ahead[1:]]
        return any(noun in english.HEADS or noun in english.ADJECTIVES for noun in nouns)
    if before is not None and before.word in ("centre", "through", "from") and word in ("radius", "diameter", "through", "to"):
        return False
    if low in (
        "and",
        "to",
        "is",
        "be",
        "on",
        "in",
        "at",
        "of",
        "with",
        "about",
        "meets",
        "through",
        "from",
        "by",
        "as",
        "parallel",
        "perpendicular",
        "over",
        "that",
        "meet",
        "equals",
        "again",
    ):
        return low in ("parallel", "perpendicular") and not (before is not None and before.word in ("from", "through", "at", "to"))
    if following[:1].isupper() and len(following) == 1:
        return False
    return len(following) > 1 and (word in vocabulary() or following.islower())


def _name(text: str, name: str, start: int, end: int, board: SeenBoard) -> Token:
    """A name: of what is there, of points that are spelt together, or a new one."""
    if _there(name, board):
        ids = board.ids_named(name)
        if any(board.kind_of(id) == "point" for id in ids):
            return Token(text, name, NAME, start, end, (name,))
        known = spelling.unspelt(name, board.points_by_name, range(2, 30))
        return Token(text, name, NAME, start, end, tuple(known[0]) if known else ())
    known = spelling.unspelt(name, board.points_by_name, range(2, 30))
    if known:
        return Token(text, name, NAME, start, end, tuple(known[0]))
    if len(name) == 1 and name.islower() and _there(name.upper(), board) and board.kind_of(board.ids_named(name.upper())[0]) == "point":
        return Token(text, name, NAME, start, end, (name.upper(),))
    plain = name.replace("’", "′")
    if _CAPITALS.fullmatch(plain):
        return Token(text, name, NAME, start, end, tuple(POINT_NAME.findall(plain)))
    if _SMALL_POINT.fullmatch(name):
        return Token(text, name, NAME, start, end, ())
    return Token(text, name, NAME, start, end, ())


def _words_joined(found: list[Token]) -> list[Token]:
    """Words that belong together put together."""
    ways = _together()
    joined: list[Token] = []
    place = 0
    while place < len(found):
        token = found[place]
        taken = 0
        for parts, one in ways.get(token.text.lower().replace("’", "'"), ()) if token.kind in (WORD, UNKNOWN) else ():
            said = found[place : place + len(parts)]
            if len(said) == len(parts) and all(a.text.lower() == b for a, b in zip(said, parts)):
                plural = (
                    said[-1].plural
                    or said[0].plural
                    or _SEVERAL.search(parts[-1]) is not None
                    or one[-1] in ("sides", "corners", "lines", "circles")
                )
                words = [english_synonyms.SAME.get(word, word) for word in one]
                for number, word in enumerate(words):
                    kind = SIGN if not word[0].isalpha() else WORD
                    joined.append(
                        Token(
                            " ".join(t.text for t in said),
                            word,
                            kind,
                            said[0].start,
                            said[-1].end,
                            plural=plural and number == len(words) - 1,
                        )
                    )
                taken = len(parts)
                break
        if not taken:
            joined.append(token)
        place += taken or 1
    return joined


#: What is said to be equal to each other where "equal" stands before it.
_OF_ONE_SIZE = ("segment", "chord", "diameter", "ray", "vector", "circle", "line")


def _equal_to_each_other(found: list[Token]) -> list[Token]:
    """The tokens with "equal" as a word that describes, where several things follow: "two equal chords". Elsewhere it is a sign, and
    says nothing of the parts into which a thing is divided."""
    seen = list(found)
    for place, token in enumerate(found[:-1]):
        noun = found[place + 1]
        is_of_parts = place > 1 and found[place - 2].word in ("into", "in")
        if token.text.lower() == "equal" and noun.kind == WORD and noun.plural and noun.word in _OF_ONE_SIZE and not is_of_parts:
            seen[place] = replace(token, word="of-one-size", kind=WORD)
    return seen


def _without_epithets(found: list[Token], board: SeenBoard) -> list[Token]:
    """The tokens without what a thing is in the story: "the tap T" is T. Only a word that the grammar does not know is left out, and only
    before the name of what is there."""
    kept = []
    for number, token in enumerate(found):
        following = found[number + 1] if number + 1 < len(found) else None
        named = kept and kept[-1].kind == WORD and len(token.text) > 1 and token.text.islower()
        if (
            token.kind == UNKNOWN
            and named
            and following is not None
            and following.kind == NAME
            and following.points
            and all(point in board.points_by_name for point in following.points)
        ):
            if kept and kept[-1].word in ("the", "a"):
                kept.pop()
            continue
        kept.append(token)
    return kept


def _names_joined(found: list[Token], board: SeenBoard) -> list[Token]:
    """Names of one point each that stand in a row are one name: "triangle A B C", "line segment from b to c"."""
    joined: list[Token] = []
    small = not any(letter.isupper() for token in found if token.kind == NAME for letter in token.text)
    for token in found:
        last = joined[-1] if joined else None
        if last is not None and last.kind == NAME and token.kind == NAME and (run := _run(last, token, small)):
            joined[-1] = replace(last, text=f"{last.text} {token.text}", word="".join(run), end=token.end, points=run)
        else:
            joined.append(token)
    return joined


def _run(last: Token, token: Token, small: bool) -> tuple[str, ...]:
    """The points that two names in a row spell together; none where they are no such points."""
    one, other = _as_points(last, small), _as_points(token, small)
    if not one or len(other) != 1 or (len(last.text.replace(" ", "")) > 2 * len(one) and " " not in last.text):
        return ()
    if " " not in last.text and len(one) > 1:
        return ()
    return (*one, *other)


def _as_points(token: Token, small: bool) -> tuple[str, ...]:
    if token.points:
        return token.points
    return (token.text.upper(),) if small and re.fullmatch(r"[a-z]\d*", token.text) else ()


def is_known(word: str, names: Collection[str]) -> bool:
    """Whether a word as it was typed says something: a word of the grammar or a name."""
    return word.lower() in vocabulary() or word in names
