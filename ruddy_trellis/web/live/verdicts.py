"""The verdicts on the claims of a live board: found beside it, in a process that nobody's drag waits for, and told when they come."""

import asyncio
import atexit
import logging
from collections import OrderedDict
from dataclasses import asdict, replace
from functools import cache
from hashlib import sha256
from pathlib import Path

import orjson
from starlette.concurrency import run_in_threadpool

from ...core.display import display
from ...core.kinds import CLAIM
from ...core.lesson.file import board_to_text
from ...core.lesson.judging import finally_judged, first_judged
from ...core.refusal import Refusal
from ...core.truth.claimed import Claimed
from ...core.truth.supposing import suppositions_of
from ...core.truth.verdicts import CANNOT, STANDS, TRYING, Verdict
from ..worker import Busy, Worker
from .apart import apart

_LOG = logging.getLogger(__name__)
#: How long a proof is looked for, in seconds; how long the process may take in all, and for first verdicts.
PROOF_SECONDS, PROOF_PATIENCE, _FIRST_PATIENCE = 5.0, 9, 12
#: A change is looked at after this while, in seconds, with what else has changed meanwhile.
_PAUSE = 0.05
#: So many claims are tried at once: with more, others would wait for one person's. What could not be tried is tried again later.
_AT_ONCE, _LATER = 4, 5.0
#: So many verdicts are remembered, of all boards; the store has more.
_REMEMBERED = 4000
#: Why a claim stands of which someone said that no proof be looked for any longer.
STOPPED = "the search for a proof was stopped"

#: Processes for first verdicts, for proofs, and for what someone waits for, such as what might be true.
FIRST, TRUTH, LOOKS = WORKERS = Worker(), Worker(), Worker()
for _worker in WORKERS:
    atexit.register(_worker.close)
_remembered: OrderedDict = OrderedDict()


class Verdicts:
    """What is known of the claims on one board.

    Attributes:
        known: for each claim by id, what it hangs on (see ``Claimed.mark``) and the verdict, or None while there is none yet.
    """

    def __init__(self, live, store):
        self._live, self._store = live, store
        self._task = self._proving = self._proof = None
        self._document = ""
        #: The claims of which no proof is to be looked for.
        self._stopped = set()
        #: Where the pegs were as it could not be told of a claim whether it holds: elsewhere it may be told.
        self._untold = {}
        self._again = False
        self.known = {}

    def look(self):
        """Something has changed: see whether there are claims of which nothing is known."""
        if not self.known and not any(step.makes == CLAIM for step in self._live.board.steps):
            return
        self._again = True
        if self._task is None or self._task.done():
            self._task = asyncio.create_task(self._go_on())

    def prove(self, id, go):
        """Look for a proof of a claim again, or no longer."""
        if id not in self.known or self.known[id][1] is None:
            return
        if not go:
            self._stopped.add(id)
            if self._proof is not None and self._proof[0] == id:
                self._proof[1].cancel()
        elif id in self._stopped:
            self._stopped.discard(id)
            self.known[id] = self.known[id][0], replace(self.known[id][1], why="", final=False)
            self._tell([id])
        self.look()

    async def _go_on(self):
        try:
            while self._again:
                self._again = False
                await asyncio.sleep(_PAUSE)
                await self._judge()
        except Exception:
            _LOG.exception("The claims of a board could not be tried")

    async def _judge(self):
        """Find the first verdicts; proofs are looked for beside it."""
        board = self._live.board.copy()
        ids = [step.id for step in board.steps if step.makes == CLAIM]
        marks = await apart(len(board), lambda: {id: claim_mark(board, id) for id in ids})
        places = {id: places_mark(board, id) for id in self._untold if id in marks}
        changed = [id for id in ids if self.known.get(id, (None,))[0] != marks[id] or places.get(id) != self._untold.get(id)]
        self._untold = {id: mark for id, mark in self._untold.items() if id in marks and id not in changed}
        gone = [id for id in self.known if id not in marks]
        self._stopped -= {*changed, *gone}
        await self._recall([marks[id] for id in changed])
        self.known = {id: (marks[id], _remembered.get(marks[id]) if id in changed else self.known[id][1]) for id in ids}
        if changed or gone:
            self._tell(changed)
        open_ones = [id for id in ids if self.known[id][1] is None]
        self._document = board_to_text(board) if any(not self._is_final(id) for id in ids) else ""
        for start in range(0, len(open_ones), _AT_ONCE):
            some = open_ones[start : start + _AT_ONCE]
            try:
                found = await FIRST.do(first_judged, self._document, some, patience=_FIRST_PATIENCE)
            except Refusal:
                # So many others are being tried, or one of these takes too long: again in a while, the slow one by itself.
                found = await self._one_by_one(some)
            for id, verdict in zip(some, found, strict=True):
                if verdict is not None:
                    await self._learn(id, marks[id], verdict)
                    if verdict.verdict == CANNOT:
                        self._untold[id] = places_mark(board, id)
            self._tell(some)
            if self._again:
                return  # the board has changed meanwhile: what is claimed now comes first
        if any(self.known[id][1] is None for id in open_ones):
            self._later()
        if self._document and (self._proving is None or self._proving.done()):
            self._proving = asyncio.create_task(self._prove_all())

    async def _one_by_one(self, ids):
        """First verdicts on claims each by itself; None for those that could not be tried now."""
        found = []
        for id in ids:
            try:
                found += await FIRST.do(first_judged, self._document, [id], patience=_FIRST_PATIENCE)
            except Refusal:
                found.append(None)
        return found

    def _later(self):
        """Look again in a while, as long as somebody looks at the board."""
        if self._live.connections:
            asyncio.get_running_loop().call_later(_LATER, self.look)

    async def _prove_all(self):
        """Look for proofs, one after another, of what is open; what changes meanwhile has another mark."""
        while (id := next((id for id, (_, verdict) in self.known.items() if verdict and not verdict.final), None)) is not None:
            mark = self.known[id][0]
            verdict = await self._proved(self._document, id)
            await self._learn(id, mark, verdict)
            self._tell([id])

    async def _proved(self, document, id):
        """The verdict on a claim after looking for a proof, unless someone says that it be looked for no longer."""
        first = self.known[id][1]
        ended = lambda why, is_whole=True: replace(first, verdict=STANDS, why=why, final=True, is_whole=is_whole)
        if id in self._stopped:
            return ended(STOPPED)
        work = asyncio.ensure_future(TRUTH.do(finally_judged, document, id, first, PROOF_SECONDS, patience=PROOF_PATIENCE))
        self._proof = id, work
        try:
            return await work
        except Busy:
            await asyncio.sleep(_LATER)
            return first if self._live.connections else ended("too much was being looked for just now", False)
        except Refusal:
            return ended(f"no proof was found within {PROOF_SECONDS:.0f} seconds", False)
        except asyncio.CancelledError:
            if id not in self._stopped:
                raise
            return ended(STOPPED)
        except Exception:
            _LOG.exception("A proof could not be looked for")
            return ended("a proof could not be looked for", False)
        finally:
            self._proof = None

    async def _recall(self, marks):
        """Take what the store knows of some claims."""
        asked = {_key(mark): mark for mark in marks if mark not in _remembered}
        if asked:
            for key, text in (await run_in_threadpool(self._store.find, list(asked))).items():
                _remembered[asked[key]] = _verdict(text)

    def _is_final(self, id):
        verdict = self.known[id][1]
        return verdict is not None and verdict.final

    async def _learn(self, id, mark, verdict):
        if id in self.known and self.known[id][0] == mark:
            self.known[id] = mark, verdict
        if verdict.final and verdict.is_whole and verdict.verdict != CANNOT and id not in self._stopped:
            _remembered[mark] = verdict
            while len(_remembered) > _REMEMBERED:
                _remembered.popitem(last=False)
            await run_in_threadpool(self._store.keep, _key(mark), orjson.dumps(asdict(verdict)).decode())

    def words(self):
        """For each claim by id, the word for what is known of it."""
        return {id: TRYING if verdict is None or not verdict.final else verdict.told for id, (_, verdict) in self.known.items()}

    def _tell(self, ids):
        live = self._live
        live.board.verdicts = self.words()
        items = display(live.board, live.extent, [id for id in ids if id in live.board])
        if not items:
            return  # only claims that are gone, of which everyone has been told
        live.told_anew(items)
        live.tell({"t": "changed", "items": items, "gone": [], "state": live.state()})


@cache
def _program():
    """The mark of the program that tries claims: another version may know better."""
    core = Path(__file__).parents[2] / "core"
    return sha256(b"".join(path.read_bytes() for path in sorted(core.rglob("*.py")))).hexdigest()


def _key(mark):
    return sha256(repr((_program(), mark)).encode()).hexdigest()


def _verdict(text):
    kept = orjson.loads(text)
    numbers = lambda places: {id: tuple(parts) for id, parts in places.items()}
    return Verdict(
        **{**kept, "conditions": tuple(kept["conditions"]), "position": numbers(kept["position"]), "positions": numbers(kept["positions"])}
    )


def _with_suppositions(board, id):
    """A claim with all that its verdict hangs on."""
    return Claimed(board, id, supposed=suppositions_of(board, id))


def claim_mark(board, id):
    """What a verdict hangs on, with the names by which it tells positions and conditions."""
    claimed = _with_suppositions(board, id)
    return claimed.mark, tuple((step.id, board.name(step.id)) for step in claimed.board.steps)


def places_mark(board, id):
    """Where the pegs are that a claim hangs on."""
    claimed = _with_suppositions(board, id)
    return tuple((peg.id, str(peg.fills.get(peg.construction.moved_gap))) for peg in claimed.pegs)
