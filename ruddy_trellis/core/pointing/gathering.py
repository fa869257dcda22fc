"""Selecting many things by what they are: all points, everything with this look, its parents, its children."""

from collections.abc import Sequence

from ..board.board import Board
from ..display.palette import LOOK_PARTS, style_of
from ..kinds import MARK, NUMBER, POINT, REGIONS, ROUNDS, SPANS, STRAIGHTS, join
from ..refusal import Refusal

#: What can be gathered without a selection: words, and the kinds.
KINDS = {
    "points": (POINT,), "segments": SPANS, "lines": tuple(kind for kind in STRAIGHTS if kind not in SPANS), "circles": ROUNDS,
    "shapes": tuple(kind for kind in REGIONS if kind not in ROUNDS), "readings": (NUMBER,), "marks": (MARK,),
}  # fmt: skip
#: What can be gathered from a selection, with the words for it.
RELATIONS = {"look": "same look", "kind": "same kind", "parents": "made from", "children": "made with"}
_LOOKS = [part for part in LOOK_PARTS if part != "label"]


def gather(board: Board, what: str, ids: Sequence[str] = ()) -> list[str]:
    """The ids of the visible things that are so.

    Args:
        what: a key of KINDS, "all", or a key of RELATIONS.
        ids: the selection that a relation starts from.

    Raises:
        Refusal: where there are none.
    """
    shown = [step for step in board.steps if not step.look.hidden]
    given = [board.step(id) for id in ids if id in board]
    if what == "all":
        found = shown
    elif what in KINDS:
        found = [step for step in shown if step.makes in KINDS[what]]
    elif what == "look":
        styles = {(step.makes, *map(style_of(step, board.settings.looks).get, _LOOKS)) for step in given}
        found = [step for step in shown if (step.makes, *map(style_of(step, board.settings.looks).get, _LOOKS)) in styles]
    elif what == "kind":
        kinds = {step.makes for step in given}
        found = [step for step in shown if step.makes in kinds]
    elif what == "parents":
        found = [board.step(id) for id in dict.fromkeys(parent for step in given for parent in step.inputs)]
    elif what == "children":
        parents = {step.id for step in given}
        found = [step for step in board.steps if not parents.isdisjoint(step.inputs)]
    else:
        raise Refusal(f"Select {join((*KINDS, 'all', *RELATIONS), last='or')}.")
    if not found:
        raise Refusal("There is nothing like that on the board.")
    return [step.id for step in found]
