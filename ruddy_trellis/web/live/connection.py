"""One browser at a live board: its tool, its selection, and the answers to its messages."""

import asyncio
import itertools
from dataclasses import replace

import numpy as np
import orjson
from pydantic import ValidationError

from ...core.board import Board, numbers_of
from ...core.catalogue import CATALOGUE
from ...core.display import display, refreshed
from ...core.display.palette import look_of
from ...core.edits import Add, Arrange, Delete, Move, Paste, Record, Retie, read_edit, said
from ...core.edits.deleting import what_goes
from ...core.edits.saying import completions
from ...core.edits.tying import loosened
from ...core.hand import messages
from ...core.kinds import MOTION, join, word
from ...core.language.printing import noun, sentence
from ...core.language.reading import read_fill
from ...core.pointing.dragging import grab, movers, roots
from ...core.pointing.gathering import gather
from ...core.pointing.offers import offers
from ...core.pointing.picking import place_near
from ...core.pointing.preview import changed_by, pending, preview
from ...core.pointing.prompt import Prompt
from ...core.refusal import Refusal
from ...core.sampling.shaking import shaken_numbers, span
from .motion import Running

_QUEUE = 2_000
#: How many pictures show a shake from one stop to the next.
_SHAKE_FRAMES = 14


class Connection:
    """Answers the messages of one browser. Outgoing messages queue here and are sent by ``write``."""

    def __init__(self, live, socket):
        self.live = live
        self.view = None
        self._socket = socket
        self._loop = asyncio.get_running_loop()
        self._waiting = []
        self._items = {}
        self._ready = asyncio.Event()
        self._closing = None
        self._prompt = None
        self._pinned = False
        self._selected = []
        self._offers = []
        self._shaking = None
        self._running = None

    @property
    def board(self):
        return self.live.board

    # Sending ------------------------------------------------------------------------------------------------

    def send(self, message):
        """Queue a message. A browser that does not read for very long is let go; when it comes back it gets the whole."""
        if self._items:
            self._flush_items()
        self._waiting.append(message)
        if len(self._waiting) > _QUEUE and self._closing is None:
            self._waiting.clear()
            self._close(1013)
        self._ready.set()

    def close(self):
        """Let the browser go: what it looks at is no longer open to it. May be called from any thread."""
        self._loop.call_soon_threadsafe(self._close, 4404)

    def _close(self, code):
        if self._closing is None:
            self._closing = asyncio.ensure_future(self._socket.close(code))

    def send_items(self, items):
        """Queue refreshed items; of an item that waits already, only the newest is sent."""
        for item in items:
            self._items[item["id"]] = item
        self._ready.set()

    def _flush_items(self):
        self._waiting.append({"t": "moved", "items": list(self._items.values())})
        self._items = {}

    async def write(self):
        """Send what is queued, for as long as the connection lasts."""
        while True:
            await self._ready.wait()
            self._ready.clear()
            if self._items:
                self._flush_items()
            waiting, self._waiting = self._waiting, []
            for message in waiting:
                await self._socket.send_text(orjson.dumps(message).decode())

    def refuse(self, refusal):
        """Tell a refusal; it changes nothing."""
        self.send({"t": "says", "kind": "refusal", "words": refusal.sentence, "place": refusal.place})

    def _done(self, patch):
        self.send({"t": "says", "kind": "done", "words": patch.words, "undo": True})

    # Receiving ----------------------------------------------------------------------------------------------

    def welcome(self):
        """Send the whole board."""
        self.send(self.live.whole())
        self._send_prompt()

    async def receive(self, text):
        """Answer one message."""
        try:
            message = messages.MESSAGE.validate_json(text)
        except ValidationError as error:
            problem = error.errors()[0]
            where = ".".join(str(part) for part in problem["loc"][1:])
            self.refuse(Refusal(f"That cannot be read ({where}: {problem['msg'].lower()})."))
            return
        try:
            await self.answer(message)
        except Refusal as refusal:
            self.refuse(refusal)

    async def answer(self, message):
        """Do what a message asks for. Raises Refusal where that cannot be."""
        handler = _HANDLERS.get(type(message))
        if handler is None:
            raise Refusal("Only a student’s copy can be started again.")
        await handler(self, message)

    async def leave(self):
        """The browser has gone: what it held is kept where it was."""
        self.live.connections.discard(self)
        if self._shaking is not None:
            self._shaking.cancel()
        if self._running:
            self._running.task.cancel()
        await self.live.drop(self)

    # Dragging -----------------------------------------------------------------------------------------------

    async def _grab(self, message):
        ids = [id for id in message.ids if id in self.board]
        if not ids:
            return
        try:
            self.live.start_drag(self, grab(self.board, ids, message.at))
        except Refusal as refusal:
            self.send({"t": "stuck", "words": refusal.sentence, "lights": roots(self.board, ids[0])})

    async def _drag(self, message):
        items = self.live.drag_to(self, message.to)
        if self._running and items:
            moved = self._running.moved()
            items = [item for item in items if item["id"] not in moved]
            self._running.disturbed()
        self.send({"t": "moved", "seq": message.seq, "items": items or [], "held": items is not None})

    async def _drop(self, message):
        if not await self.live.drop(self):
            self.send({"t": "kept"})

    async def _nudge(self, message):
        numbers = {}
        for id in dict.fromkeys(mover for id in message.ids if id in self.board for mover in self._movers(id)):
            step, value = self.board.step(id), self.board.value(id)
            if value is None:
                continue
            to = (value[0] + message.by[0], value[1] + message.by[1])
            if step.construction.moves == "hanging":
                numbers[id] = [off + by for off, by in zip(numbers_of(step), message.by)]
            else:
                numbers[id] = list(to) if step.construction.moves == "free" else [place_near(self.board, id, to)]
        if not numbers:
            names = join(noun(self.board, id) for id in message.ids if id in self.board)
            raise Refusal(f"{names or 'That'} cannot be nudged: only free and sliding points that are not locked can.")
        await self.live.change(Move(numbers=numbers))

    def _movers(self, id):
        return [id] if self.board.step(id).moves else movers(self.board, id)

    # The sentence bar ---------------------------------------------------------------------------------------

    def _send_prompt(self):
        prompt = self._prompt
        self.send(
            {
                "t": "prompt",
                "tool": prompt and prompt.construction.key,
                "chips": prompt.chips(self.board) if prompt else [],
                "ways": prompt.ways(self.board) if prompt else [],
                "pinned": self._pinned,
                "pending": pending(prompt, self.board, self.live.extent) if prompt else [],
            }
        )

    async def _tool(self, message):
        if message.retie is not None and message.retie not in self.board:
            raise Refusal("That thing is no longer on the board.")
        self._prompt = Prompt.of(message.key, message.retie) if message.key else None
        self._pinned = message.pinned
        self._send_prompt()

    async def _hover(self, message):
        if not self._prompt:
            return
        self._forget_lost_things()
        try:
            taking = self._prompt.what_at(self.board, message.at, message.reach)
        except Refusal as refusal:
            self.send({"t": "under", "words": refusal.sentence, "fits": False, "lights": [], "items": []})
            return
        items = preview(self._prompt, self.board, taking, message.at, self.live.extent)
        lights = [item for item in taking.items if isinstance(item, str)]
        for item in taking.items:
            lights += [id for fill in getattr(item, "fills", {}).values() if isinstance(fill, tuple) for id in fill if isinstance(id, str)]
        self.send({"t": "under", "words": taking.words, "fits": True, "lights": lights, "items": items})

    async def _click(self, message):
        if not self._prompt:
            return
        self._forget_lost_things()
        only = message.id if message.id in self.board else None
        if only is None and (choice := self._prompt.alternatives(self.board, message.at, message.reach)):
            self.send(
                {
                    "t": "which",
                    "at": message.at,
                    "reach": message.reach,
                    "ways": [{"id": id, "words": sentence(self.board, id)} for id in choice],
                }
            )
            return
        self._prompt.take(self._prompt.what_at(self.board, message.at, message.reach, only), message.at)
        await self._finish_if_complete()

    async def _finish_if_complete(self):
        prompt = self._prompt
        if not prompt.is_complete(self.board):
            self._send_prompt()
            return
        self._prompt = Prompt.of(prompt.construction.key) if self._pinned and prompt.retie is None else None
        try:
            await self.live.change(prompt.edit(self.board))
        except Refusal:
            prompt.drop_last()
            self._prompt = prompt
            raise
        finally:
            self._send_prompt()

    def _forget_lost_things(self):
        """Someone else may have deleted what is in the sentence: then it starts again."""
        items = [item for items in self._prompt.filled.values() for item in items]
        if any(isinstance(item, str) and item not in self.board for item in items):
            self._prompt = Prompt.of(self._prompt.construction.key)
            self._send_prompt()

    async def _back(self, message):
        if self._prompt and not self._prompt.drop_last():
            self._prompt = None
        self._send_prompt()

    async def _finish(self, message):
        if self._prompt:
            self._prompt.finish(self.board)
            await self._finish_if_complete()

    async def _say(self, message):
        if self._prompt:
            try:
                self._prompt.type(message.text, self.board)
            except Refusal as refusal:
                try:
                    new = said(message.text, self.board)
                except Refusal:
                    raise refusal from None
            else:
                self.send({"t": "said"})
                await self._finish_if_complete()
                return
        else:
            new = said(message.text, self.board)
        patch = await self.live.change(Add(steps=[new]))
        self._prompt = None
        self.send({"t": "said", "words": patch.words})
        self._send_prompt()

    async def _complete(self, message):
        found = completions(message.text, self.board) if len(message.text) <= 500 else []
        self.send({"t": "completions", "for": message.text, "ways": [{"text": way.text, "shown": way.shown} for way in found]})

    # The selection ------------------------------------------------------------------------------------------

    async def _select(self, message):
        self._selected = [id for id in dict.fromkeys(message.ids) if id in self.board]
        self._offers = offers(self.board, self._selected) if 0 < len(self._selected) <= 12 else []
        self.send(
            {
                "t": "offers",
                "words": self._selection_words(),
                "warning": what_goes(self.board, self._selected),
                "offers": [{"does": offer.does, "sentence": offer.sentence} for offer in self._offers],
            }
        )

    def _selection_words(self):
        if not self._selected:
            return ""
        if len(self._selected) == 1:
            return sentence(self.board, self._selected[0])
        if len(self._selected) <= 4:
            return join(noun(self.board, id) for id in self._selected)
        return f"{len(self._selected)} things"

    async def _offer(self, message):
        if message.number >= len(self._offers):
            raise Refusal("That offer is no longer there. Select again.")
        edit = self._offers[message.number].edit
        self._offers = []
        await self.live.change(edit)

    async def _gather(self, message):
        self.send({"t": "gathered", "ids": gather(self.board, message.what, message.ids)})

    # Tying --------------------------------------------------------------------------------------------------

    async def _loosen(self, message):
        if message.id not in self.board:
            raise Refusal("That thing is no longer on the board.")
        self._done(await self.live.change(loosened(self.board, message.id)))

    async def _ahead(self, message):
        items = changed_by(self.board, read_edit(message.edit), self.live.extent) if message.edit else []
        self.send({"t": "ahead", "items": items})

    async def _board_look(self, message):
        if message.id not in self.board:
            raise Refusal("That thing is no longer on the board.")
        step, settings = self.board.step(message.id), self.board.settings
        patch = await self.live.change(Arrange(looks={**settings.looks, step.makes: look_of(step, settings.looks)}))
        self._done(replace(patch, words=f"Every {word(step.makes)} of this board now looks so, where it was given no look of its own."))

    async def _shake(self, message):
        """Show this browser the figure shaken a few times and back again; the board itself stays as it is."""
        if self._shaking is not None and not self._shaking.done():
            return
        self._shaking = asyncio.create_task(self._show_shaken())

    async def _show_shaken(self):
        copy = Board(self.board.settings, self.board.steps)
        pegs = {step.id: numbers for step in copy.steps if (numbers := numbers_of(step))}
        random, reach = np.random.default_rng(), 0.09 * span(copy)
        stops = [pegs, *(shaken_numbers(copy, random, reach) for _ in range(4)), pegs]
        for start, stop in itertools.pairwise(stops):
            for frame in range(1, _SHAKE_FRAMES + 1):
                share = frame / _SHAKE_FRAMES
                at = {
                    id: tuple(a + share * share * (3 - 2 * share) * (b - a) for a, b in zip(start[id], to))
                    for id, to in stop.items()
                    if id in start
                }
                if at:
                    self.send_items(refreshed(copy, self.live.extent, copy.move(at)))
                await asyncio.sleep(1 / 30)
        # The board may have changed meanwhile: what is really there has the last word.
        self.send({"t": "board", **{key: part for key, part in self.live.whole().items() if key != "t"}})

    # Edits --------------------------------------------------------------------------------------------------

    async def _edit(self, message):
        edit = read_edit(message.edit)
        patch = await self.live.change(edit)
        if isinstance(edit, (Delete, Paste, Record, Retie)) or patch.words.startswith(("Hid", "Showed")):
            self._done(patch)

    async def _put(self, message):
        """A free point goes to the coordinates that were typed for it; their brackets may be left out."""
        text = message.text.strip()
        gap = CATALOGUE["free_point"].gap_by_name["at"]
        at = read_fill(gap, text if text.startswith("(") else f"({text})", self.board)
        await self.live.change(Move(numbers={message.id: list(at)}))

    async def _look_back(self, message):
        if message.number is None:
            self.send({**self.live.whole(), "back": None})
            return
        earlier = await self.live.earlier(message.number)
        state = {**self.live.state(), "steps": len(earlier), "undo": False, "redo": False, "paper": earlier.settings.paper}
        self.send({"t": "board", "items": display(earlier, self.live.extent), "state": state, "back": message.number})

    async def _bring_back(self, message):
        words = await self.live.bring_back(message.number)
        self.send({**self.live.whole(), "back": None})
        self.send({"t": "says", "kind": "done", "words": words, "undo": True})

    # Motions ------------------------------------------------------------------------------------------------

    async def _play(self, message):
        motions = [step.id for step in self.board.steps if step.makes == MOTION]
        ids = [id for id in message.ids if id in motions] or motions
        if not ids:
            raise Refusal("There is no motion yet. Make one: “the motion of P, to and fro, in 4 seconds”.")
        if self._running:
            ids = list(dict.fromkeys((*self._running.ids, *ids)))
            await self._stop_running()
        self._running = Running(self.live, self.send, ids, message.from_start, lambda: self.live.extent)
        self.send({"t": "playing", "ids": ids})
        self._running.task = asyncio.create_task(self._run(self._running))

    async def _run(self, running):
        await running.run()
        if self._running is running:
            self._running = None
            await self._keep_places(running)

    async def _pause(self, message):
        await self._stop_running()

    async def _stop_running(self):
        running, self._running = self._running, None
        if running:
            running.task.cancel()
            await self._keep_places(running)

    async def _keep_places(self, running):
        """The motion has stopped: where it stopped is kept as one edit, and the page told what is there."""
        self.send({"t": "playing", "ids": []})
        there = {id: numbers for id, numbers in running.places().items() if id in self.board and not self.board.step(id).look.locked}
        try:
            if there:
                await self.live.change(Move(numbers=there))
        except Refusal:
            pass  # what it moved was changed meanwhile; the board as it is has the last word
        self.send(self.live.whole())

    async def _range(self, message):
        await self.live.change(Arrange(view=message.view))
        self.live.tell({"t": "show", "view": self.board.settings.view})

    async def _undo(self, message):
        self.send({"t": "says", "kind": "done", "words": f"Undone: {await self.live.undo()}", "undo": False})

    async def _redo(self, message):
        self.send({"t": "says", "kind": "done", "words": f"Redone: {await self.live.redo()}", "undo": False})

    async def _view(self, message):
        left, low, right, high = message.view
        if right - left <= 1e-6 or high - low <= 1e-6:
            raise Refusal("The view needs a width and a height above zero.")
        self.view = message.view
        if message.keep:
            await self.live.keep_view(message.view)
        self.send({"t": "moved", "items": [{"id": i["id"], "shape": i["shape"], "label": i["label"]} for i in self.live.items()]})


_HANDLERS = {
    messages.Grab: Connection._grab,
    messages.Drag: Connection._drag,
    messages.Drop: Connection._drop,
    messages.Nudge: Connection._nudge,
    messages.Tool: Connection._tool,
    messages.Hover: Connection._hover,
    messages.Click: Connection._click,
    messages.Back: Connection._back,
    messages.Finish: Connection._finish,
    messages.Say: Connection._say,
    messages.Put: Connection._put,
    messages.Complete: Connection._complete,
    messages.Select: Connection._select,
    messages.Offer: Connection._offer,
    messages.DoEdit: Connection._edit,
    messages.Undo: Connection._undo,
    messages.Redo: Connection._redo,
    messages.View: Connection._view,
    messages.Gather: Connection._gather,
    messages.Loosen: Connection._loosen,
    messages.Ahead: Connection._ahead,
    messages.BoardLook: Connection._board_look,
    messages.Shake: Connection._shake,
    messages.Range: Connection._range,
    messages.Play: Connection._play,
    messages.Pause: Connection._pause,
    messages.LookBack: Connection._look_back,
    messages.BringBack: Connection._bring_back,
}
