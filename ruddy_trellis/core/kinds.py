"""The kinds of thing a step can make, and the words for them."""

from collections.abc import Iterable

POINT, SEGMENT, VECTOR, RAY, LINE = "point", "segment", "vector", "ray", "line"
CIRCLE, ARC, CONIC = "circle", "arc", "conic"
POLYGON, SECTOR, CHORD_REGION = "polygon", "sector", "chord_region"
NUMBER, MARK = "number", "mark"
SIMILARITY, AFFINITY, INVERSION = "similarity", "affinity", "inversion"
FAMILY, LOCUS, MOTION = "family", "locus", "motion"
WORDS_ON_BOARD, REVEAL, CLAIM, QUIZ = "words", "reveal", "claim", "quiz"
SUPPOSITION = "supposition"
CONDITION, REGION = "condition", "region"

#: Straight things that have two ends.
SPANS = (SEGMENT, VECTOR)
STRAIGHTS = (*SPANS, RAY, LINE)
#: Things of one constant distance from a centre.
ROUNDS = (CIRCLE, ARC)
PATHS = (*STRAIGHTS, *ROUNDS, CONIC)
#: Things with an inside.
REGIONS = (POLYGON, CIRCLE, SECTOR, CHORD_REGION)

#: What only says something on the board: it stands where its teacher puts it.
TOLD = (WORDS_ON_BOARD, REVEAL, CLAIM, QUIZ)

#: Transformations: of the first two the value is six numbers, of the last a circle (see ``formulas.transformations``).
MAPS = (SIMILARITY, AFFINITY, INVERSION)
#: Things that have an image under a transformation, or can be repeated in a family.
THINGS = (POINT, *STRAIGHTS, *ROUNDS, CONIC, POLYGON, SECTOR, CHORD_REGION)

#: What the value of a kind is called in a sentence to a person.
WORDS = {NUMBER: "reading", CHORD_REGION: "chord region", **dict.fromkeys(MAPS, "transformation")}


def word(kind: str) -> str:
    """The word for a kind of thing: ``word("number")`` is "reading"."""
    return WORDS.get(kind, kind)


def with_article(text: str) -> str:
    """The noun with "a" or "an" before it."""
    return ("an " if text[0] in "aeiou" else "a ") + text


def join(words: Iterable[str], last: str = "and") -> str:
    """Words as a list in a sentence: "A, B and C"."""
    words = list(words)
    if len(words) < 2:
        return "".join(words)
    return f"{', '.join(words[:-1])} {last} {words[-1]}"
