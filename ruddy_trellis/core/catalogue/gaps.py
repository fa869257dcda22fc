"""The kinds of gap that a sentence can have: what fits one, how it is asked for, what it hands to the formula."""

from dataclasses import dataclass

from ..formulas.claims import PROPERTIES
from ..formulas.orders import ORDERLY
from ..kinds import (
    AFFINITY,
    CIRCLE,
    CLAIM,
    CONDITION,
    CONIC,
    FAMILY,
    INVERSION,
    LINE,
    LOCUS,
    MAPS,
    MARK,
    NUMBER,
    PATHS,
    POINT,
    POLYGON,
    REGION,
    REGIONS,
    ROUNDS,
    SECTOR,
    SIMILARITY,
    SPANS,
    STRAIGHTS,
    THINGS,
    WORDS_ON_BOARD,
    with_article,
    word,
)
from ..regions.region import HOW


@dataclass(frozen=True)
class GapKind:
    """What a gap accepts.

    Attributes:
        asks: what the chip says while the gap is empty: "pick a point".
        wants: the noun for what is accepted, for a refusal: "a point".
        single: kinds of thing that fill the gap alone.
        points: how many points together fill it instead (0: none; -1: three or more).
        literal: what may be typed into it: "number", "coordinates", "branch" (where a crossing was), "word", "formula", "statement",
            "comparison", "equation", "values", "text" or "" for nothing.
        options: the words of a "word" gap.
        hands: what the formula gets: "one" value (two points count as the segment between them), the gap's "points"
            one by one, "many" of them in one tuple, a "length", or the "circle" of an arc.
        several: whether one thing after another goes in, of any of the kinds; ``each`` is the kind of gap that one of them would
            fill, where things may be described.
    """

    asks: str
    wants: str
    single: tuple = ()
    points: int = 0
    literal: str = ""
    options: tuple = ()
    hands: str = "one"
    several: bool = False
    each: str = ""

    @property
    def goes(self) -> str:
        """What is accepted, in a sentence: "A point is needed here", "Three points are needed here"."""
        plural = self.several or self.points not in (0, 2) or self.wants.startswith(("two", "three", "five", "at least"))
        return f"{self.wants[:1].upper()}{self.wants[1:]} {'are' if plural else 'is'} needed here"


#: The words for which of several crossings is meant.
ORDER = ("first", "second", "third", "fourth")

GAP_KINDS = {
    "point": GapKind("pick a point", "a point", single=(POINT,)),
    "straight": GapKind("pick a line", "a line, ray, segment or side", single=STRAIGHTS, points=2),
    "span": GapKind("pick two points or a segment", "two points or a segment", single=SPANS, points=2, hands="points"),
    "ended": GapKind("pick a segment", "a segment or a vector", single=SPANS),
    "corner": GapKind("pick three points, the corner second", "three points, the corner second", points=3, hands="points"),
    "triangle": GapKind("pick three corners", "three points", points=3, hands="points"),
    "five": GapKind("pick five points", "five points", points=5, hands="points"),
    "circle": GapKind("pick a circle", "a circle", single=ROUNDS, hands="circle"),
    "curved": GapKind("pick a circle or a conic", "a circle, an arc or a conic", single=(*ROUNDS, CONIC)),
    "centred": GapKind("pick a circle or a conic", "a circle, an arc or a conic", single=(*ROUNDS, CONIC)),
    "arc": GapKind("pick an arc", "an arc", single=("arc", SECTOR)),
    "conic": GapKind("pick a conic", "a conic", single=(CONIC,)),
    "polygon": GapKind("pick a polygon", "a polygon", single=(POLYGON,)),
    "number": GapKind("type a number, or pick a reading", "a number or a reading", single=(NUMBER,), literal="number"),
    "reading": GapKind("pick a reading", "a reading or a dial", single=(NUMBER,)),
    "count": GapKind("type how many", "a whole number", literal="number"),
    "typed": GapKind("type a number", "a number", literal="number"),
    "corners": GapKind("pick corners; the first again to close", "at least three points", points=-1, hands="many"),
    "path": GapKind("pick a line, circle or curve", "a segment, ray, line, circle, arc, conic or locus", single=(*PATHS, LOCUS), points=2),
    "ride": GapKind(
        "pick a line, circle or curve",
        "a segment, ray, line, circle, arc, conic, polygon or locus",
        single=(*PATHS, POLYGON, LOCUS),
        points=2,
    ),
    "target": GapKind("pick a point or a line", "a point or a line", single=(POINT, *STRAIGHTS)),
    "length": GapKind(
        "pick a segment or two points, or type a length",
        "a segment, two points, a length reading or a typed length",
        single=(*SPANS, NUMBER),
        points=2,
        literal="number",
        hands="length",
    ),
    "shape": GapKind("pick a polygon, circle or sector", "a polygon, a circle, a sector or a chord region", single=REGIONS),
    "extended": GapKind("pick a shape or a region", "a polygon, a circle, a sector, a chord region or a region", single=(*REGIONS, REGION)),
    "bordered": GapKind(
        "pick a polygon, a sector or a region",
        "a polygon, a sector, a chord region or a region",
        single=(*(kind for kind in REGIONS if kind != CIRCLE), REGION),
    ),
    "outline": GapKind(
        "pick a polygon or a sector", "a polygon, a sector or a chord region", single=tuple(kind for kind in REGIONS if kind != CIRCLE)
    ),
    "curve": GapKind("pick a line, circle or conic", "a line, ray, segment, circle or conic", single=(*STRAIGHTS, CIRCLE, CONIC)),
    "place": GapKind("type a place", "a number", literal="number"),
    "coordinates": GapKind("click on the board, or type (x, y)", "coordinates such as (2, 3)", literal="coordinates"),
    "crossing": GapKind("which one", "first, second, third or fourth", literal="word", options=ORDER),
    "which_of_two": GapKind("which one", "first or second", literal="word", options=ORDER[:2]),
    "branch": GapKind("where it was", "two coordinates, or four", literal="branch"),
    "turn": GapKind("reflex or directed", "reflex or directed", literal="word", options=("reflex", "directed")),
    "strokes": GapKind("how often", "once, twice or thrice", literal="word", options=("once", "twice", "thrice")),
    "formula": GapKind("type a formula", "a formula such as 0.5 * AB * h", literal="formula"),
    "thing": GapKind("pick a thing", "a point, a line, a circle, a shape or a curve", single=THINGS),
    "things": GapKind("pick things; Enter when they are all", "points, lines, circles, shapes or curves", single=THINGS, several=True),
    "repeatable": GapKind("pick things; Enter when they are all", "things to repeat", single=(*THINGS, MARK, LOCUS, FAMILY), several=True),
    "anything": GapKind(
        "pick things; Enter when they are all",
        "things on the board",
        single=(*THINGS, MARK, LOCUS, FAMILY, NUMBER, WORDS_ON_BOARD, CLAIM, CONDITION, REGION),
        several=True,
    ),
    "bound": GapKind(
        "at least, more than …",
        "at least, more than, at most or less than",
        literal="word",
        options=("at least", "more than", "at most", "less than"),
    ),
    "landmark": GapKind(
        "pick what it is measured from", "a point, a line, a circle or a polygon", single=(POINT, *STRAIGHTS, CIRCLE, POLYGON), points=2
    ),
    "rival": GapKind("pick a point or a line", "a point or a line", single=(POINT, *STRAIGHTS), points=2),
    "inside": GapKind("inside or outside", "inside or outside", literal="word", options=("inside", "outside")),
    "how": GapKind("all, any or none", "all, any or none", literal="word", options=HOW),
    "condition": GapKind("pick a condition", "a condition", single=(CONDITION,)),
    "conditions": GapKind("pick conditions; Enter when they are all", "conditions", single=(CONDITION,), several=True, each="condition"),
    "region": GapKind("pick a region", "a region", single=(REGION,)),
    "text": GapKind("type the words", "words, with values in braces such as {v}", literal="text"),
    "start": GapKind("hidden or shown", "hidden or shown", literal="word", options=("hidden", "shown")),
    "map": GapKind("pick a transformation", "a transformation", single=(SIMILARITY, AFFINITY)),
    "similarity": GapKind("pick a transformation", "a transformation that keeps shapes", single=(SIMILARITY,)),
    "affinity": GapKind("pick a transformation", "a shear or a stretch", single=(AFFINITY,)),
    "inversion": GapKind("pick a reflection in a circle", "a reflection in a circle", single=(INVERSION,)),
    "anymap": GapKind("pick a transformation", "a transformation", single=MAPS),
    "values": GapKind("type how often, or for which values", "“7 times”, “for 0.5, 1, 1.5” or “for 30 to 330 step 30”", literal="values"),
    "driver": GapKind("pick a point on a path, or a dial", "a point on a path, or a dial", single=(POINT, NUMBER)),
    "tracer": GapKind("pick a point", "a point", single=(POINT,)),
    "moving_curve": GapKind("pick a line or a circle", "a line or a circle", single=(LINE, CIRCLE)),
    "locus": GapKind("pick a locus", "a locus", single=(LOCUS,)),
    "way": GapKind(
        "once, to and fro, or round",
        "once, to and fro or round and round",
        literal="word",
        options=("once", "to and fro", "round and round"),
    ),
    **{f"only_{kind}": GapKind(f"pick {with_article(word(kind))}", with_article(word(kind)), single=(kind,)) for kind in THINGS},
    "only_straight": GapKind("pick a line", "a line", single=STRAIGHTS),
    "statement": GapKind("type what is equal", "a statement such as AB = CD or angle(ABC) = 90", literal="statement"),
    "comparison": GapKind("type which is more", "a comparison such as AB > CD or angle(ABC) < 90", literal="comparison"),
    "points": GapKind("pick points; Enter when they are all", "three points or more", single=(POINT,), several=True),
    "lines": GapKind("pick lines; Enter when they are all", "three lines or more", single=STRAIGHTS, several=True, each="only_straight"),
    "firm_path": GapKind(
        "pick a line, circle or conic", "a line, a segment, a circle, an arc or a conic", single=(*STRAIGHTS, *ROUNDS, CONIC), points=2
    ),
    "property": GapKind("type which", "what it may be, such as a kite or cyclic", literal="word", options=tuple(PROPERTIES)),
    "order_word": GapKind("type which", "acute, obtuse, scalene or convex", literal="word", options=tuple(ORDERLY)),
    "enclosing": GapKind("pick a polygon or a circle", "a polygon or a circle", single=(POLYGON, CIRCLE)),
    "side": GapKind("one side or different sides", "one side or different sides", literal="word", options=("one side", "different sides")),
    "over": GapKind("above or below", "above or below", literal="word", options=("above", "below")),
    "equation": GapKind("type an equation", "an equation such as y = 3x − 1", literal="equation"),
}
