"""The kinds of gap that a sentence can have: what fits one, how it is asked for, what it hands to the formula."""

from dataclasses import dataclass

from ..kinds import CIRCLE, NUMBER, PATHS, POINT, POLYGON, SEGMENT, STRAIGHTS


@dataclass(frozen=True)
class GapKind:
    """What a gap accepts.

    Attributes:
        asks: what the chip says while the gap is empty: "pick a point".
        wants: the noun for what is accepted, for a refusal: "a point".
        single: kinds of thing that fill the gap alone.
        points: how many points together fill it instead (0: none; -1: three or more).
        literal: what may be typed into it: "number", "coordinates", "word", "formula" or "" for nothing.
        options: the words of a "word" gap.
        hands: what the formula gets: "one" value (two points count as the segment between them), the gap's "points"
            one by one, "many" of them in one tuple, or a "length".
    """

    asks: str
    wants: str
    single: tuple = ()
    points: int = 0
    literal: str = ""
    options: tuple = ()
    hands: str = "one"


GAP_KINDS = {
    "point": GapKind("pick a point", "a point", single=(POINT,)),
    "straight": GapKind("pick a line", "a line, ray, segment or side", single=STRAIGHTS, points=2),
    "span": GapKind("pick two points or a segment", "two points or a segment", single=(SEGMENT,), points=2, hands="points"),
    "corner": GapKind("pick three points, the corner second", "three points, the corner second", points=3, hands="points"),
    "triangle": GapKind("pick three corners", "three points", points=3, hands="points"),
    "circle": GapKind("pick a circle", "a circle", single=(CIRCLE,)),
    "polygon": GapKind("pick a polygon", "a polygon", single=(POLYGON,)),
    "number": GapKind("type a number", "a number", literal="number"),
    "corners": GapKind("pick corners; the first again to close", "at least three points", points=-1, hands="many"),
    "path": GapKind("pick a line or circle", "a segment, ray, line or circle", single=PATHS, points=2),
    "target": GapKind("pick a point or a line", "a point or a line", single=(POINT, *STRAIGHTS)),
    "length": GapKind("pick a segment or two points, or type a length", "a segment, two points, a length reading or a typed length",
                      single=(SEGMENT, NUMBER), points=2, literal="number", hands="length"),
    "shape": GapKind("pick a polygon or circle", "a polygon or a circle", single=(POLYGON, CIRCLE)),
    "place": GapKind("type a place", "a number", literal="number"),
    "coordinates": GapKind("click on the board, or type (x, y)", "coordinates such as (2, 3)", literal="coordinates"),
    "crossing": GapKind("first or second", "first or second", literal="word", options=("first", "second")),
    "turn": GapKind("reflex or directed", "reflex or directed", literal="word", options=("reflex", "directed")),
    "formula": GapKind("type a formula", "a formula such as 0.5 * AB * h", literal="formula"),
}
