"""Whether an answer is right, worked out apart from everyone's drags."""

from starlette.concurrency import run_in_threadpool

from ...core.challenge import judged
from ...core.refusal import Refusal
from .apart import apart


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


async def hint_beside(source, number):
    """The words of a hint, and how many are left. Raises Refusal where there is none."""
    challenge = await run_in_threadpool(lambda: source.challenge) if source is not None else None
    if challenge is None or number >= len(challenge.hints):
        raise Refusal("There is no other hint.")
    return challenge.hints[number], len(challenge.hints) - number - 1


#: Judging looks at so many positions that it is work for a thread from a few steps on.
_MANY = 100
