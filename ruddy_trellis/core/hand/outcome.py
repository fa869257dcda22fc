"""What came of what was said, in words: what is there now, its value, and why it has none."""

from ..display.covers import cover_words
from ..display.text import value_text
from ..edits.patch import Patch
from ..language.printing import sentence, why_absent
from ..truth.where import place_told
from .acts import Answer

#: So many new things are told one by one.
_TOLD = 3


def outcome(hand, patch: Patch, guesses: tuple[str, ...] = (), is_said: bool = False) -> Answer:
    """The answer that tells what a patch has made: the sentence of a new thing, with its value where it is a reading; and what was
    guessed. Of what was said, and not clicked, with the ids of what is new, so that it can be brought into view."""
    told = _outcome(hand, patch, guesses)
    known = {step.id for _, step in patch.before}
    made = [step.id for _, step in patch.after if step.id not in known and not step.look.hidden]
    return {**told, "made": made} if is_said and made else told


def _outcome(hand, patch, guesses):
    board = hand.board
    known = {step.id for _, step in patch.before}
    new = [step.id for _, step in patch.after if step.id not in known and step.id in board and not board.step(step.id).look.hidden]
    read = f" Read as: {'; '.join(guesses)}." if guesses else ""
    dials = [step for _, step in patch.after if step.construction.moves == "turning" and step.id in known and step.id in board]
    if not new and dials and len(dials) == len(patch.after):
        return {"t": "outcome", "words": "; ".join(f"{board.name(step.id)} is {value_text(board, step.id)} now" for step in dials)}
    if not new or len(new) > _TOLD:
        return {"t": "outcome", "words": patch.words + read}
    return {"t": "outcome", "words": "; ".join(_told(board, id) for id in new) + read}


def _told(board, id):
    step = board.step(id)
    words = cover_words(step.makes, step.look.teacher_lifts) if step.look.cover else sentence(board, id)
    if board.value(id) is None:
        return f"{words}. It has no value now: {why_absent(board, id)}"
    if step.does == "is_in_region" and not step.look.cover:
        return place_told(board, *step.fills["point"], *step.fills["region"])
    if step.is_reading and not step.look.cover:
        return f"{words}: {value_text(board, id)}"
    return words
