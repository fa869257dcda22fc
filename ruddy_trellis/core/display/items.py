"""The display list: from steps to primitives."""

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from ..kinds import (
    ARC,
    CHORD_REGION,
    CIRCLE,
    CLAIM,
    CONDITION,
    CONIC,
    FAMILY,
    LOCUS,
    MAPS,
    MARK,
    MOTION,
    NUMBER,
    POINT,
    POLYGON,
    QUIZ,
    REGION,
    REVEAL,
    SECTOR,
    STRAIGHTS,
    SUPPOSITION,
    WORDS_ON_BOARD,
)
from ..language.printing import noun, sentence
from ..seen import Items, SeenBoard
from .chalk import chalk_item
from .covers import veiled
from .extent import Extent
from .palette import style_of
from .shapes import Shapes

#: In which order kinds are drawn, lowest first.
LAYERS = {
    **dict.fromkeys(MAPS, 0),
    MOTION: 0,
    SUPPOSITION: 0,
    REVEAL: 0,
    QUIZ: 0,
    FAMILY: 0,
    CONDITION: 0,
    REGION: 0,
    LOCUS: 1,
    POLYGON: 0,
    SECTOR: 0,
    CHORD_REGION: 0,
    CIRCLE: 1,
    ARC: 1,
    CONIC: 1,
    **dict.fromkeys(STRAIGHTS, 2),
    MARK: 3,
    NUMBER: 3,
    WORDS_ON_BOARD: 3,
    CLAIM: 3,
    POINT: 4,
}


#: A claim is drawn as the words that it says, a quiz as a button.
_DRAWN_AS = {CLAIM: WORDS_ON_BOARD, QUIZ: REVEAL}
#: On boards of more steps, the labels of things that are only shown ahead stand where they would by themselves.
_SETTLED_AHEAD = 300


@dataclass(frozen=True)
class Before:
    """A display list before something was moved, and nothing else changed.

    Attributes:
        items: the items by their ids.
        shapes: by what they were made (``board.drawn``); None where that is not known any more.
        moved: the ids of the steps that are elsewhere now, and of those of which newer items were told by themselves.
    """

    items: Mapping[str, dict[str, Any]]
    shapes: Any
    moved: frozenset[str]

    def untouched(self, shapes: Shapes) -> dict[str, dict[str, Any]]:
        """The items of which nothing has changed but, it may be, where a label stands. What has a cover is not among them."""
        touched = shapes.touched(self.moved) | shapes.covered
        return {id: item for id, item in self.items.items() if id not in touched and id in shapes.names}


def display(
    board: SeenBoard,
    extent: Extent,
    ids: Sequence[str] | None = None,
    lifted: Collection[str] = (),
    beside: SeenBoard | None = None,
    before: Before | None = None,
) -> Items:
    """The display list of a board.

    Args:
        extent: the part that is seen.
        ids: the steps to show; all of them where left out.
        lifted: the ids of things whose covers are lifted; what lies under the others is not in the list.
        beside: the board to which these steps come, where they are only shown ahead: their labels keep clear of what it has.
        before: the display list of the same board, all of it, before something was moved. What is as it was is taken from there; an item
            in which nothing has changed is that very one.

    Returns:
        For every one an item: ``id``, ``kind``, ``layer``, ``says`` (its words), ``sentence``, ``style``, ``given`` where a
        student's copy has it from the teacher, and what :func:`refreshed` gives.
    """
    like = before.shapes if before is not None and _is_as(before.shapes, board, extent) else None
    shapes = Shapes(board, extent, like)
    known = before.untouched(shapes) if before is not None and like is not None else {}
    settles = beside is None and (ids is None or len(board) <= _SETTLED_AHEAD)
    plain: dict[str, Any] = {}
    if settles:
        # What did not move is made as before where its label stood by itself: a label that was turned aside may stand otherwise now.
        stay = {id: item for id, item in known.items() if like is not None and id not in like.turns}
        plain = shapes.settle_all(stay)
    if beside is not None and ids is not None:
        shapes.settle(ids, _shapes(beside, extent))
    if ids is None:
        board.drawn = shapes
    items = []
    parts = _parts_of_regions(board)
    for step in board.steps if ids is None else map(board.step, ids):
        made = plain.get(step.id) or shapes.of(step.id)
        if (was := known.get(step.id)) is not None:
            items.append(was if made is was or made["label"] == was["label"] else {**was, **made})
            continue
        item = {
            "id": step.id,
            "kind": _DRAWN_AS.get(step.makes, step.makes),
            "layer": LAYERS[step.makes],
            "says": noun(board, step.id),
            "sentence": sentence(board, step.id),
            "style": style_of(step, board.settings.looks),
            **made,
        }
        if board.is_given(step.id):
            item["given"] = True
        if step.id in parts:
            item["style"]["fill"] = 0.0  # the region is what is seen: its conditions step back to their edges
        items.append(veiled(item, step.makes) if step.look.cover and step.id not in lifted else item)
    return items if ids is not None else items + [chalk_item(stroke) for stroke in board.chalk]


def _parts_of_regions(board):
    """The ids of the conditions of which a region is made that is seen."""
    regions = [step for step in board.steps if step.makes == REGION and not step.look.hidden]
    return {id for region in regions for id in region.inputs if board.kind_of(id) == CONDITION and board.step(id).look.fill is None}


def at_first(items: Items) -> Items:
    """The items of a display list that are seen before any reveal is pressed."""
    reveals = [item["shape"] for item in items if item["kind"] == REVEAL and item["shape"] and not item["style"]["hidden"]]
    closed = {id for shape in reveals if not shape["shown"] for id in shape["reveals"]}
    return [item for item in items if item["id"] not in closed]


def refreshed(board: SeenBoard, extent: Extent, ids: Sequence[str], lifted: Collection[str] = ()) -> Items:
    """The parts of these steps' items that change when something moves: their ``shape`` and their ``label``.

    ``shape`` is None where a step has no value now, ``label`` where none is shown. Names of points next to them are
    refreshed as well.
    """
    shapes = _shapes(board, extent)
    more = dict.fromkeys(ids)
    for id in ids:
        more.update(shapes.joined.get(id, ()))
    more.update(shapes.marks_that_changed(ids))
    items: Items = [{"id": id, **shapes.of(id)} for id in more]
    if shapes.covered:
        items = [
            veiled(item, board.kind_of(item["id"])) if item["id"] in shapes.covered and item["id"] not in lifted else item for item in items
        ]
    return items


def _shapes(board, extent):
    """The shapes of a board, kept from one position of a drag to the next: names and looks do not change in it."""
    kept = board.drawn
    if kept is None or kept.names is not board.names or kept.extent != extent or kept.settings is not board.settings:
        kept = board.drawn = Shapes(board, extent)
        kept.settle_all({})
    return kept


def _is_as(shapes, board, extent):
    """Whether shapes are those of the same board, in the same extent, but for where its things are."""
    return shapes is not None and shapes.extent == extent and shapes.settings == board.settings and shapes.names == board.names
