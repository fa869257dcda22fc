"""Whether an answer is right, worked out apart from everyone's drags."""

import orjson
from starlette.concurrency import run_in_threadpool

from ...core.challenge import judged
from ...core.lesson.judging import proved_always
from ...core.refusal import Refusal
from .apart import apart
from .verdicts import PROOF_PATIENCE, PROOF_SECONDS, TRUTH


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
