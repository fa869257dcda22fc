"""What tells: words on the board, and reveals that show things together."""

from collections.abc import Sequence

from ..formulas.points import middle_of_corners
from ..kinds import POLYGON, QUIZ, REVEAL, SPANS, WORDS_ON_BOARD
from ..refusal import Refusal
from ..seen import SeenBoard
from .beside import beside_the_figure
from .construction import Construction, Part
from .places import free_corner, in_the_corner

_BED = "A is a free point at (0, 0)\nB is a free point at (3, 0)\nC is a free point at (1, 2)\nABC is the polygon through A, B, C\n"


def _place(m, *arguments):
    # What stands in the words comes first; where they stand last.
    return arguments[-2], arguments[-1]


def _beside(kinds, words):
    anchor = _ANCHORS.get(kinds["thing"], lambda value: value[:2])

    def place(m, *arguments):
        # What stands in the words comes first, then the thing, then how far off it they stand.
        (x, y), right, up = anchor(arguments[-3]), arguments[-2], arguments[-1]
        return x + right, y + up

    return place


def _middle_of_straight(value):
    return value[0] + value[2] / 2, value[1] + value[3] / 2


#: Where words hang on a thing: all others hang on their centre, their focus, or the point they start from.
_ANCHORS = {**dict.fromkeys(SPANS, _middle_of_straight), POLYGON: middle_of_corners}


def belonging(board: SeenBoard, ids: Sequence[str]):
    """What belongs with some things: their ends and corners, and the marks and readings on them.

    Returns:
        Ids, without those given, in the order of the board.
    """
    given, found = set(ids), set()
    for step in board.steps:
        if step.id in given:
            if step.makes != "point":
                found |= {parent for parent in step.inputs if board.kind_of(parent) == "point"}
        elif step.makes in ("mark", "number") and step.inputs and (set(step.inputs) & given or _ends(board, given) >= set(step.inputs)):
            found.add(step.id)
    return [step.id for step in board.steps if step.id in found - given]


def _ends(board, ids):
    return {parent for id in ids for parent in board.step(id).inputs}


def _are_three(fills, board):
    if len({*fills["a"], *fills["b"], *fills["across"]}) < 3:
        raise Refusal("A quiz on angles is about three lines: two, and one that cuts both.")


def _with_belongings(kinds, fills, board):
    things = fills["things"]
    return [Part("reveal", {**fills, "things": (*things, *belonging(board, things)), "at": free_corner(board)})]


def _reveal(kinds, fills, board):
    return [Part("reveal", {**fills, "at": free_corner(board)})]


TELLING = (
    Construction(
        key="words",
        sentence="the words {text:text}[ at {at:coordinates}]",
        also=("(write|text|words|note) {text} [at {at}]",),
        makes=WORDS_ON_BOARD,
        formula=_place,
        group="Tell",
        tool="words",
        keys="xw",
        moves="free",
        likely=97,
        settles=beside_the_figure,
        undefined="a reading in them is not there",
        defaults=lambda kinds: {"at": (0.0, 0.0)},
        example=_BED + "S is the area of ABC\nu is the words “{S} in all” at (0, -1)",
    ),
    Construction(
        key="words_beside",
        sentence="the words {text:text} beside {thing:thing}[ off by {off:coordinates}]",
        also=("(write|words|text) {text} (beside|next to|at|on) {thing}",),
        makes=WORDS_ON_BOARD,
        formula=None,
        choose=_beside,
        group="Tell",
        tool="words beside",
        keys="xn",
        moves="hanging",
        likely=97,
        undefined="what they stand beside, or a reading in them, is not there",
        defaults=lambda kinds: {"off": (0.5, 0.0)},
        example=_BED + "u is the words “the new bed” beside ABC",
    ),
    Construction(
        key="angle_quiz",
        sentence="a quiz on the angles of {a:only_straight} and {b:only_straight} cut by {across:only_straight}[ at {at:coordinates}]",
        also=("(quiz|angle quiz) (for|about|on) {a}, {b} and {across}", "ask about the angles of {a} and {b} cut by {across}"),
        makes=QUIZ,
        formula=lambda m, *parts: parts[-2:],
        check=_are_three,
        settles=in_the_corner,
        group="Tell",
        tool="angle quiz",
        keys="xq",
        moves="free",
        likely=93,
        defaults=lambda kinds: {"at": (0.0, 0.0)},
        undefined="one of its lines is not there",
        example=(
            "A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 2)\np is the line through A and B\n"
            "q is the parallel to p through C\nr is the line through B and C\nu is a quiz on the angles of p and q cut by r at (0, 3)"
        ),
    ),
    Construction(
        key="reveal",
        sentence="the reveal of {things:anything}[ starting {start:start}][ at {at:coordinates}]",
        makes=REVEAL,
        formula=lambda m, *parts: parts[-2:],
        tool="reveal, placed",
        moves="free",
        likely=98,
        defaults=lambda kinds: {"at": (0.0, 0.0)},
        undefined="it is not there",
        example=_BED + "u is the reveal of ABC starting hidden at (0, 3)",
    ),
    Construction(
        key="new_reveal",
        sentence="a button that reveals {things:anything}",
        also=(
            "(reveal|button) (for|of) {things}",
            "button to (show|reveal) {things}",
            "button showing {things}",
        ),
        makes=REVEAL,
        formula=None,
        expands=_reveal,
        group="Tell",
        tool="reveal",
        keys="xr",
        likely=92,
        example=_BED + "a button that reveals ABC and C",
    ),
    Construction(
        key="reveal_with",
        sentence="a button that reveals {things:anything} and what belongs with them",
        makes=REVEAL,
        formula=None,
        expands=_with_belongings,
        group="Tell",
        tool="reveal with all",
        keys="xb",
        likely=91,
        example=_BED + "a button that reveals ABC and what belongs with them",
    ),
)
