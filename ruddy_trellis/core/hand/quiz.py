"""What is asked on the board: a quiz, with one question after another about pairs of angles and how many answers were right; and
whether a point is in a region."""

import random
from typing import Any

from ..refusal import Refusal
from ..truth.angle_pairs import NAMES, Pair, as_said, called, drawn, eight_angles, pairs
from ..truth.where import place_told
from . import messages
from .acts import Doing


def quiz(hand, message: messages.Quiz) -> Doing:
    """The next question, after what came of the last one; the same again where nothing was answered."""
    board, last = hand.board, message.last
    if message.id is None:
        yield {"t": "ahead", "items": []}
        return
    if message.id not in board or board.step(message.id).does != "angle_quiz":
        raise Refusal("That quiz is no longer on the board.")
    fills = board.step(message.id).fills
    lines = (*fills["a"], *fills["b"], *fills["across"])
    found = pairs(board, lines)
    now = _pair(found, last.numbers) if last is not None else None
    right, of = (last.right, last.of) if last is not None and now is not None else (0, 0)
    told = ""
    if now is not None and message.answer is not None:
        is_right = message.answer == now.relation
        right, of = right + is_right, of + 1
        told = f"{'Right' if is_right else 'No'}: {as_said(now.relation, hand.angle_words)}, {now.words}."
        now = random.choice([pair for pair in found if pair is not now])
    now = now or random.choice(found)
    yield {"t": "ahead", "items": drawn(board, hand.table.extent, [one for one in eight_angles(board, lines) if one.number in now.numbers])}
    yield {
        "t": "quiz", "id": message.id, "last": {"numbers": now.numbers, "right": right, "of": of}, "told": told,
        "asks": f"What are the angles {now.numbers[0]} and {now.numbers[1]} called?",
        "names": [(key, called(key, hand.angle_words)) for key in NAMES], "score": f"{right} of {of} right." if of else "",
    }  # fmt: skip


def ask(hand, message: messages.Ask) -> Doing:
    """Whether a point is in a region, by which conditions: told to whoever asks."""
    board = hand.board
    if message.id not in board or board.step(message.id).does != "question_of_place":
        raise Refusal("That question is no longer on the board.")
    fills = board.step(message.id).fills
    yield {"t": "says", "kind": "done", "words": place_told(board, *fills["point"], *fills["region"])}


def _pair(found: list[Pair], numbers: tuple[int, ...]) -> Pair | None:
    return next((pair for pair in found if pair.numbers == numbers), None)


HANDLERS: dict[type, Any] = {messages.Quiz: quiz, messages.Ask: ask}
