"""The verdicts on the claims of a live board: found beside it, in a process that nobody's drag waits for, and told when they come."""

import asyncio
import atexit
import logging
from collections import OrderedDict
from dataclasses import replace

from ...core.display import display
from ...core.kinds import CLAIM
from ...core.lesson.file import board_to_text
from ...core.lesson.judging import finally_judged, first_judged
from ...core.refusal import Refusal
from ...core.truth.claimed import Claimed
from ...core.truth.verdicts import STANDS, TRYING
from ..worker import Worker
from .apart import apart

_LOG = logging.getLogger(__name__)
#: How long a proof is looked for, in seconds; how long the process may take in all, and for first verdicts.
PROOF_SECONDS, _PATIENCE, _FIRST_PATIENCE = 5.0, 9, 12
#: A change is looked at after this while, in seconds, with what else has changed meanwhile.
_PAUSE = 0.05
#: So many verdicts are remembered, of all boards.
_REMEMBERED = 4000

#: Verdicts are found in the one; what someone waits for, such as what might be true, in the other.
TRUTH, LOOKS = Worker(), Worker()
atexit.register(TRUTH.close)
atexit.register(LOOKS.close)
_remembered: OrderedDict = OrderedDict()


class Verdicts:
    """What is known of the claims on one board.

    Attributes:
        known: for each claim by id, what it hangs on (see ``Claimed.mark``) and the verdict, or None while there is none yet.
    """

    def __init__(self, live):
        self._live = live
        self._task = None
        self._again = False
        self.known = {}

    def look(self):
        """Something has changed: see whether there are claims of which nothing is known."""
        if not self.known and not any(step.makes == CLAIM for step in self._live.board.steps):
            return
        self._again = True
        if self._task is None or self._task.done():
            self._task = asyncio.create_task(self._go_on())

    async def _go_on(self):
        try:
            while self._again:
                self._again = False
                await asyncio.sleep(_PAUSE)
                await self._judge()
        except Exception:
            _LOG.exception("The claims of a board could not be tried")

    async def _judge(self):
        board = self._live.board.copy()
        ids = [step.id for step in board.steps if step.makes == CLAIM]
        marks = await apart(len(board), lambda: {id: _mark(board, id) for id in ids})
        changed = [id for id in ids if self.known.get(id, (None,))[0] != marks[id]]
        gone = [id for id in self.known if id not in marks]
        self.known = {id: (marks[id], _remembered.get(marks[id]) if id in changed else self.known[id][1]) for id in ids}
        if changed or gone:
            self._tell(changed)
        open_ones = [id for id in ids if self.known[id][1] is None]
        document = board_to_text(board) if any(not self._is_final(id) for id in ids) else ""
        if open_ones:
            for id, verdict in zip(open_ones, await TRUTH.do(first_judged, document, open_ones, patience=_FIRST_PATIENCE), strict=True):
                self._learn(id, marks[id], verdict)
            self._tell(open_ones)
        for id in ids:
            if self._again:
                return  # what has changed meanwhile comes first
            if not self._is_final(id):
                first = self.known[id][1]
                try:
                    verdict = await TRUTH.do(finally_judged, document, id, first, PROOF_SECONDS, patience=_PATIENCE)
                except Refusal:
                    verdict = replace(first, verdict=STANDS, why=f"no proof was found within {PROOF_SECONDS:.0f} seconds", final=True)
                self._learn(id, marks[id], verdict)
                self._tell([id])

    def _is_final(self, id):
        verdict = self.known[id][1]
        return verdict is not None and verdict.final

    def _learn(self, id, mark, verdict):
        if id in self.known and self.known[id][0] == mark:
            self.known[id] = mark, verdict
        if verdict.final:
            _remembered[mark] = verdict
            while len(_remembered) > _REMEMBERED:
                _remembered.popitem(last=False)

    def words(self):
        """For each claim by id, the word for what is known of it."""
        return {id: TRYING if verdict is None or not verdict.final else verdict.verdict for id, (_, verdict) in self.known.items()}

    def _tell(self, ids):
        live = self._live
        live.board.verdicts = self.words()
        items = display(live.board, live.extent, [id for id in ids if id in live.board])
        live.told_anew(items)
        live.tell({"t": "changed", "items": items, "gone": [], "state": live.state()})


def _mark(board, id):
    """What a verdict hangs on, with the names by which it tells positions."""
    claimed = Claimed(board, id)
    return claimed.mark, tuple((peg.id, board.name(peg.id)) for peg in claimed.pegs)
