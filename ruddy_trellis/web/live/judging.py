"""Whether an answer is right, worked out apart from everyone's drags."""

import asyncio
import logging

import orjson
from starlette.concurrency import run_in_threadpool

from ...core.challenge import judged
from ...core.lesson.judging import proved_always
from ...core.refusal import Refusal
from .apart import apart
from .saving import saved
from .verdicts import PROOF_PATIENCE, PROOF_SECONDS, TRUTH

_LOG = logging.getLogger(__name__)
#: What is still looked for after its answer was given.
_WORK: set[asyncio.Task] = set()


async def judged_beside(source, copy, reach):
    """Judge a student's copy by the challenge of the teacher's board. Raises Refusal where that has none.

    Args:
        source: the teacher's live board.
        copy: a board that nobody else holds.
        reach: how near to the answer something is that looks right, board units.
    """
    challenge = await run_in_threadpool(lambda: source.challenge) if source is not None else None
    if challenge is None:
        raise Refusal("This board asks for nothing.")
    solution = await run_in_threadpool(lambda: source.solution)
    return await apart(_MANY * len(copy), judged, copy, challenge, solution.copy(), reach)


def told_of(found):
    """What is kept of a verdict beside its word, as JSON; nothing where there was none."""
    return orjson.dumps({"words": found.words, "conditions": found.conditions, "taken": found.taken} if found else {}).decode()


async def proved_beside(source, copy, taken):
    """Whether it is proved that what was taken for the answer is the answer wherever the givens are, in a process that nobody's drag
    waits for. What is not found in some seconds is not proved.

    Args:
        source: the teacher's live board.
        copy: the student's board as it is kept, a text.
        taken: the ids of what was found right.
    """
    challenge = await run_in_threadpool(lambda: source.challenge) if source is not None else None
    if challenge is None:
        return False
    try:
        return await TRUTH.do(proved_always, copy, challenge.model_dump_json(), list(taken), PROOF_SECONDS, patience=PROOF_PATIENCE)
    except Refusal:
        return False  # too much is being proved just now, or this one takes too long


def prove_later(hand_ins, source, right):
    """Look for proofs of what was handed in and is right, one after another, once nobody waits for them; what is proved is noted.

    Args:
        hand_ins: where they are kept.
        source: the teacher's live board.
        right: for each its id, its document, and the ids of what was taken for the answer.
    """
    task = asyncio.create_task(_prove_all(hand_ins, source, right))
    _WORK.add(task)
    task.add_done_callback(_WORK.discard)


async def _prove_all(hand_ins, source, right):
    try:
        for id, document, taken in right:
            if await proved_beside(source, document, taken):
                await saved(hand_ins.judge, id, {"always": True})
    except Exception:
        _LOG.exception("It could not be proved of what was handed in")


async def hint_beside(source, told, again):
    """The words of the next hint, or of the last one that was told, its number from 1, and how many are left; None where none was told
    and it is only asked again. Raises Refusal where there is no other.

    Args:
        told: how many were told already.
    """
    challenge = await run_in_threadpool(lambda: source.challenge) if source is not None else None
    hints = challenge.hints if challenge is not None else []
    number = min(told, len(hints)) if again else told + 1
    if number > len(hints):
        raise Refusal("There is no other hint.")
    return (hints[number - 1], number, len(hints) - number) if number else None


#: Judging looks at so many positions that it is work for a thread from a few steps on.
_MANY = 100
