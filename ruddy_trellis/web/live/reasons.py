"""The reasons for claims of live boards: looked for beside them, and remembered for the arrangement that they were found in."""

from collections import OrderedDict

from starlette.concurrency import run_in_threadpool

from ...core.kinds import CLAIM
from ...core.lesson.file import board_to_text
from ...core.lesson.judging import why_so
from ...core.refusal import Refusal
from ...core.truth.reasons.telling import still_runs
from ...core.truth.verdicts import PROVED, STANDS
from .verdicts import LOOKS, claim_mark

#: How long a reason is looked for, in seconds, and how long it may take in all.
_SECONDS, _PATIENCE = 5.0, 14
#: Of so many claims reasons are remembered, and of each for so many arrangements.
_CLAIMS, _ARRANGEMENTS = 400, 6
#: What came of asking: a reason, none that a pupil could read, or one only where the figure lies otherwise.
FOUND, NONE, ELSEWHERE = "found", "none", "elsewhere"

_remembered: OrderedDict = OrderedDict()


async def reason_of(live, id, words, anew, waiting):
    """What is known of why a claim of a live board holds, looked for where nothing is.

    Args:
        words: where the teacher teaches: the column of the names.
        anew: whether to look for a reason of how the figure lies now, where one is known of how it lay.
        waiting: a function of what is waited for, that gives what comes of it.

    Returns:
        One of FOUND, NONE and ELSEWHERE, and the reason or None. Raises Refusal where the claim does not hold, or too much is being done.
    """
    board = live.board.copy()
    if id not in board or board.kind_of(id) != CLAIM:
        raise Refusal("That claim is no longer on the board.")
    verdict = live.verdict(id)
    if verdict is None or verdict.verdict not in (STANDS, PROVED):
        raise Refusal("Why something is so can be asked of a claim that stands or is proved.")
    mark = await run_in_threadpool(claim_mark, board, id), words
    known = _remembered.setdefault(mark, [])
    _remembered.move_to_end(mark)
    while len(_remembered) > _CLAIMS:
        _remembered.popitem(last=False)
    for told in known:
        if told is not None and await run_in_threadpool(still_runs, board, id, told):
            return FOUND, told
    if known and not anew:
        return (ELSEWHERE if any(known) else NONE), None
    told = await waiting(LOOKS.do(why_so, board_to_text(board), id, words, _SECONDS, patience=_PATIENCE))
    del known[_ARRANGEMENTS - 1 :]
    known.insert(0, told)
    return (NONE, None) if told is None else (FOUND, told)
