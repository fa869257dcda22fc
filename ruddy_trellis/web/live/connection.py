"""One browser at a live board: a shell round a hand, which passes messages in, sends answers out and does what it asks for."""

import asyncio
import logging
import time
from contextlib import suppress

from ...core.edits import Move
from ...core.hand import Hand, acts, read_message
from ...core.refusal import Refusal
from ...store.database import NotKept
from .apart import apart
from .live_board import ACTING
from .motion import Sent
from .outgoing import Outgoing

_LOG = logging.getLogger(__name__)


class Connection:
    """Answers the messages of one browser."""

    def __init__(self, live, socket, kind=Hand):
        self.live = live
        self.view = None
        #: Whose line it is, and of which session: it ends when that does. None for students.
        self.teacher = self.session = None
        #: When this browser was last heard of, on the clock that does not leap.
        self.heard = time.monotonic()
        self.hand = kind(live)
        self.outgoing = Outgoing(socket, self.hand.as_seen)
        self.send, self.send_items = self.outgoing.send, self.outgoing.send_items
        self.close, self.write = self.outgoing.close, self.outgoing.write
        #: Whether others look at the board as well, as this browser has been told; until then it takes it that they do.
        self.has_company = True
        self._shaking = self._running = self._proving = None
        #: What the message that is answered is known by, and how many edits it has made.
        self._once, self._made = None, 0

    async def welcome(self):
        """Send the whole board."""
        await self.live.look()
        for answer in self.hand.welcome():
            self.send(answer)
        self.live.note_company()

    async def receive(self, text):
        """Answer one message. A refusal is told; it changes nothing."""
        self.heard = time.monotonic()
        ACTING.set(self)
        try:
            message = read_message(text)
            self._once, self._made = message.once, 0
            await self._do(self.hand.take(message))
        except Refusal as refusal:
            self._refuse(refusal)
        except NotKept as problem:
            _LOG.error("%s", problem.sentence)
            self._refuse(Refusal(problem.sentence))
        except Exception:
            # A fault of ours: whoever asked is told, everyone else does not feel it. What was said is a person's, and is not noted.
            _LOG.exception("A message of %d letters could not be answered", len(text))
            self._refuse(Refusal("That could not be done, and nothing was changed. The fault is on our side and has been noted."))
        if self._once is not None:
            self.send({"t": "did", "once": self._once})
            self._once = None

    def _refuse(self, refusal):
        self.send(refusal.told())

    async def leave(self):
        """The browser has gone: what it held is kept where it was."""
        self.live.connections.discard(self)
        self.live.note_company()
        for task in (self._shaking, self._proving, self._running and self._running.task):
            if task is not None:
                task.cancel()
        await self.live.drop(self)

    def _prove_answer(self, taken):
        """Look for a proof beside everything else; one that was looked for before is looked for no longer."""

        async def prove(looking):
            try:
                if await looking:
                    self.send({"t": "always", "taken": list(taken)})
            except Exception:
                _LOG.exception("A proof of an answer could not be looked for")

        if self._proving is not None:
            self._proving.cancel()
        self._proving = asyncio.create_task(prove(self.live.prove_answer(taken)))

    async def _do(self, doing):
        """Send the answers of a handler and do its acts, each of which it gets back what it gives."""
        given = refused = None
        while True:
            try:
                act = doing.throw(refused) if refused else doing.send(given)
            except StopIteration:
                return
            given = refused = None
            if isinstance(act, dict):
                self.send(act)
                continue
            try:
                given = await self._perform(act)
            except Refusal as refusal:
                refused = refusal

    async def _perform(self, act):
        live = self.live
        match act:
            case acts.Shift(numbers, near):
                return self._shift(numbers, near)
            case acts.Change(edit, key) if key or self._once is None:
                return await live.change(edit, key)
            case acts.Change(edit):
                self._made += 1
                return await live.change_once(edit, f"{self._once}-{self._made}")
            case acts.Hold(ids):
                live.hold(self, ids)
            case acts.LetGo():
                return await live.drop(self)
            case acts.Undo(heard):
                return await live.undo(heard)
            case acts.Redo(heard):
                return await live.redo(heard)
            case acts.LookBack(number):
                return await live.earlier(number)
            case acts.BringBack(number):
                return await live.bring_back(number)
            case acts.StartAgain():
                return await live.reset()
            case acts.Judge(reach):
                return await live.judge(reach)
            case acts.ProveAnswer(taken):
                self._prove_answer(taken)
            case acts.TellHint(again):
                return await live.hint(again)
            case acts.GiveIn(name):
                return await live.hand_in(name)
            case acts.TellHandedIn(take_back):
                return await live.handed_in(take_back)
            case acts.TakeRenewed(take):
                return await live.renew(take)
            case acts.ShowView(view, meant, keep):
                self.view = view
                await live.keep_view(meant, keep)
            case acts.TellAll(answer):
                live.tell(answer)
            case acts.ShowFrames(frames, pause):
                if self._shaking is None or self._shaking.done():
                    self._shaking = asyncio.create_task(self._show(frames, pause))
            case acts.Prove(id, go):
                live.prove(id, go)
            case acts.Reckon(work, steps):
                return await apart(steps, work)
            case acts.Run(ids, from_start):
                await self._run(ids, from_start)
            case acts.Stop() if self._running is None:
                self.send({"t": "playing", "ids": []})  # what runs beside the drawing stops too
            case acts.Stop():
                await self._stop()
        return None

    def _shift(self, numbers, near):
        items = self.live.shift(self, numbers, near)
        if self._running and items:
            moved = self._running.running.moved()
            items = [item for item in items if item["id"] not in moved]
            self._running.disturbed()
        return items

    async def _show(self, frames, pause):
        frames, steps = iter(frames), len(self.live.board)
        while (items := await apart(steps, next, frames, None)) is not None:
            self.send_items(items)
            await asyncio.sleep(pause)
        # The board may have changed meanwhile: what is really there has the last word.
        self.send(self.live.whole())

    async def _run(self, ids, from_start):
        if self._running:
            ids = tuple(dict.fromkeys((*self._running.running.ids, *ids)))
            await self._stop()
        self._running = Sent(self.live, self.send, ids, from_start, lambda: self.live.extent)
        self.send({"t": "playing", "ids": list(ids)})
        self._running.task = asyncio.create_task(self._until_over(self._running))

    async def _until_over(self, running):
        await running.run()
        if self._running is running:
            self._running = None
            await self._keep_places(running)

    async def _stop(self):
        running, self._running = self._running, None
        if running:
            running.task.cancel()
            await self._keep_places(running)

    async def _keep_places(self, running):
        """The motion has stopped: where it stopped is kept as one edit, and the page told what is there."""
        board = self.live.board
        self.send({"t": "playing", "ids": []})
        if there := {id: numbers for id, numbers in running.places().items() if id in board and not board.step(id).look.locked}:
            with suppress(Refusal):  # what it moved was changed meanwhile; the board as it is has the last word
                await self.live.change(Move(numbers=there))
        self.send(self.live.whole())
