"""What a selection could become: exactly the sentences that the selected things complete, the likeliest first."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..board.board import Board
from ..board.plan import kinds_of_fills
from ..catalogue import CATALOGUE
from ..catalogue.crossings import crossing_choices
from ..edits.by_hand import has_compass_work
from ..edits.checking import check_fills
from ..edits.models import Add, Edit, NewStep
from ..kinds import CLAIM, MAPS, POINT, THINGS, join
from ..language.fills import fill_to_json
from ..language.formula_words import ANGLE
from ..language.printing import listed, phrase
from ..refusal import Refusal
from .asked import asked
from .offers_for_many import MOST_FILLED, many_offers, moving_offers

#: The place of compass work among the offers for one thing: after what is made of it.
_BY_HAND = 95


@dataclass(frozen=True)
class Offer:
    """One sentence that a selection completes, and the edit that says it, or the order that it gives."""

    does: str
    sentence: str
    edit: Edit | None
    order: str = ""


def offers(board: Board, ids: Sequence[str]) -> list[Offer]:
    """The sentences that use every one of these things.

    Args:
        ids: the selected things, in the order in which they were selected.
    """
    found = []
    for construction in CATALOGUE:
        placed = construction.moves == "free" and construction.makes != CLAIM
        if len(ids) > MOST_FILLED or not construction.asked_gaps or placed:
            continue  # what a person puts somewhere is not offered without saying where
        for fills in _fillings(construction, list(ids), board):
            for choice in _choices(construction, fills, board):
                full = {**fills, **choice}
                try:
                    check_fills(construction, full, board)
                    if construction.expands:
                        construction.parts(kinds_of_fills(construction, full, board.kind_of), full, board)
                except Refusal:
                    continue
                text = phrase(construction, full, board.names)
                step = NewStep(does=construction.key, fills={name: fill_to_json(fill) for name, fill in full.items()})
                if _is_foolish(construction, full, board):
                    continue
                rank = construction.likely + 20 * _stretched(construction, full)
                found.append((rank, Offer(construction.key, text, Add(steps=[step]))))
    if 1 < len(ids) <= MOST_FILLED:
        found += _one_for_each(board, ids)
    for rank, does, words, edit in (*many_offers(board, ids), *moving_offers(board, ids)):
        found.append((rank, Offer(does, words, edit)))
    known = list(_known_transformations(board, list(ids)))
    found += known
    found.sort(key=lambda pair: pair[0])
    # Where there are transformations, their images are what is wanted next; then what is asked most of such things.
    if len(ids) == 1 and has_compass_work(board, ids[0]):
        words = f"compass work of {board.name(ids[0])}"
        found.append((_BY_HAND, Offer("order", words, None, words)))
    unique = {offer.sentence: offer for offer in (*(offer for _, offer in known), *_asked_most(board, ids))}
    there = {str(offer.edit) for offer in unique.values()}
    for _, offer in found:
        if str(offer.edit) not in there:
            unique.setdefault(offer.sentence, offer)
    return list(unique.values())


def _asked_most(board, ids):
    """What is asked most of such a selection."""
    for one in asked(board, ids):
        if one.order:
            yield Offer("order", one.words, None, one.order)
        elif (edit := one.adding(board)) is not None:
            yield Offer(edit.steps[-1].does, one.words, edit)


#: Gaps that take a number of degrees, and such that take a plain number.
_DEGREES, _FACTORS = ("angle",), ("factor", "times", "first", "second", "x", "y")


def _is_foolish(construction, fills, board):
    """Whether nobody would ask for this: a length as degrees or as a factor, what a conic of this kind has not."""
    for name, fill in fills.items():
        gap = construction.gap_by_name.get(name)
        if gap is None or gap.kind.literal != "number" or not isinstance(fill, tuple):
            continue
        dimension = board.dimension(fill[0])
        if (name in _DEGREES and dimension not in (ANGLE, 0)) or (name in _FACTORS and dimension != 0):
            return True
    on_conic = any(gap.kind_name == "conic" for gap in construction.asked_gaps)
    if not on_conic:
        return False
    parts = [(construction.key, fills)]
    if construction.expands:
        made = construction.parts(kinds_of_fills(construction, fills, board.kind_of), fills, board)
        parts = [(part.key, part.fills) for part in made if not any("made:" in str(fill) for fill in part.fills.values())]
    return bool(parts) and all(board.value_of(key, fills) is None for key, fills in parts)


def _known_transformations(board, ids):
    """The images of the selection under the transformations that are there, the last one made first."""
    images = CATALOGUE["images"]
    maps = [step.id for step in reversed(board.steps) if step.makes in MAPS]
    if set(maps) & set(ids) or not all(board.kind_of(id) in THINGS for id in ids):
        return
    for rank, map_id in enumerate(maps[:4]):
        fills = {"of": tuple(ids), "by": (map_id,)}
        try:
            images.parts({}, fills, board)
        except Refusal:
            continue
        step = NewStep(does="images", fills={name: fill_to_json(fill) for name, fill in fills.items()})
        words = phrase(images, fills, board.names) if len(ids) <= 6 else f"the images of {listed(board, ids)} under {board.name(map_id)}"
        yield rank / 10, Offer("images", words, Add(steps=[step]))


def _one_for_each(board, ids):
    """Sentences about one thing, said of each selected thing: "the length of each of AB, BC and CA"."""
    for construction in CATALOGUE:
        if len(construction.asked_gaps) != 1 or construction.expands or construction.moves == "free":
            continue
        (gap,) = construction.asked_gaps
        if not all(board.kind_of(id) in gap.kind.single for id in ids):
            continue
        each = "each of " + join(board.name(id) for id in ids)
        text = "".join(piece.text if piece.gap is None else each for piece in construction.pieces if not piece.group)
        text = text.replace("the point each of", "each of")
        steps = [NewStep(does=construction.key, fills={gap.name: [id]}) for id in ids]
        yield construction.likely, Offer(construction.key, text, Add(steps=steps))


def _stretched(construction, fills):
    """How many gaps made for one thing were filled with two points instead: those sentences are offered later."""
    return sum(1 for gap in construction.asked_gaps if gap.kind_name in ("straight", "path", "length") and len(fills[gap.name]) == 2)


def _choices(construction, fills, board):
    if construction.key == "intersection":
        return crossing_choices(kinds_of_fills(construction, fills, board.kind_of))
    return ({},)


def _fillings(construction, ids, board):
    """Ways to fill the asked gaps with all of these ids, keeping their order where several points go together."""

    def go_on(gaps, left):
        if not gaps:
            if not left:
                yield {}
            return
        gap, rest = gaps[0], gaps[1:]
        usual = construction.usual.get(gap.name)
        if gap.kind.literal == "word" and isinstance(usual, str):
            yield from ({gap.name: usual, **more} for more in go_on(rest, left))
            return
        if gap.kind.several:
            taken = tuple(id for id in left if board.kind_of(id) in gap.kind.single)
            if taken:
                others = [id for id in left if id not in taken]
                yield from ({gap.name: taken, **more} for more in go_on(rest, others))
            return
        for id in left:
            if board.kind_of(id) in gap.kind.single:
                others = [other for other in left if other != id]
                yield from ({gap.name: (id,), **more} for more in go_on(rest, others))
                break
        points = [id for id in left if board.kind_of(id) == POINT]
        count = len(points) if gap.kind.points < 0 else gap.kind.points
        if count and len(points) >= count:
            taken = tuple(points[:count])
            others = [other for other in left if other not in taken]
            yield from ({gap.name: taken, **more} for more in go_on(rest, others))

    seen = []
    for fills in go_on(construction.asked_gaps, ids):
        if fills not in seen:
            seen.append(fills)
            yield fills
