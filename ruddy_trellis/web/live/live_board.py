"""One open board in memory: its edits, its undo history, its drags, and everyone who is looking at it."""

import asyncio

import orjson
from starlette.concurrency import run_in_threadpool

from ...core.board import Board, numbers_of
from ...core.display import Extent, display
from ...core.edits import Patch, prepare
from ...core.edits.history import brought_back, state_before
from ...core.hand import Drags
from ...core.lesson.file import board_from_store, board_to_text, check_kept
from ...core.refusal import Refusal


class LiveBoard:
    """A board that is open in at least one browser.

    Every change goes through ``change``: checked, applied, saved, and only then told to anyone.
    """

    def __init__(self, row, edit_count, lessons, board=None):
        self.id = row.id
        self.lesson_id = row.lesson_id
        self.board: Board = board if board is not None else board_from_store(row.document)
        self.edits_done = row.edits_done
        self.edit_count = edit_count
        self.connections = set()
        self._lessons = lessons
        self._lock = asyncio.Lock()
        self._drags = Drags()
        self._told = None
        self._moved = set()

    # What is seen -------------------------------------------------------------------------------------------

    @property
    def extent(self):
        """The part of the plane that anyone sees."""
        views = [connection.view for connection in self.connections if connection.view] or [self.board.settings.view]
        lefts, lows, rights, highs = zip(*views)
        return Extent(min(lefts), min(lows), max(rights), max(highs))

    def items(self):
        """The whole display list as it is now. What everyone was last told is kept apart from it: a change that is
        still being saved must be told afterwards, even if someone has looked in between."""
        return display(self.board, self.extent)

    def whole(self):
        """The message that shows the whole board."""
        items = self.items()
        if self._told is None:
            self._told = {item["id"]: item for item in items}
        return {"t": "board", "items": items, "state": self.state()}

    def state(self):
        """What a page needs besides the display list."""
        settings = self.board.settings
        return {
            "title": settings.title, "unit": settings.unit, "ground": settings.ground, "view": settings.view, "paper": settings.paper,
            "spacing": settings.spacing, "size": settings.size, "snap": settings.snap, "scale": settings.scale, "log": len(settings.log),
            "undo": self.edits_done > 0, "redo": self.edits_done < self.edit_count, "steps": len(self.board),
        }  # fmt: skip

    def _changes(self):
        """The items that differ from those last told, the ids that are gone, and the state."""
        before, self._told = self._told or {}, {item["id"]: item for item in self.items()}
        moved, self._moved = self._moved, set()
        return {
            "t": "changed",
            "items": [item for id, item in self._told.items() if id in moved or before.get(id) != item],
            "gone": [id for id in before if id not in self._told],
            "state": self.state(),
        }

    def tell(self, message):
        """Send a message to every connection."""
        for connection in self.connections:
            connection.send(message)

    def let_go(self):
        """The board is no longer open to those who look at it: close their connections."""
        for connection in list(self.connections):
            connection.close()

    # Changing -----------------------------------------------------------------------------------------------

    async def change(self, edit):
        """Check, apply, save and tell an edit. Returns its patch. Raises Refusal; then nothing has changed."""
        async with self._lock:
            await self._drop_all()
            patch = prepare(self.board, edit)
            await self._keep(patch)
            return patch

    async def _keep(self, patch):
        """Save a patch, with the state that it gives, as the next edit; then make that state the board's."""
        ahead = self._ahead(patch)
        await self._save(patch, ahead)
        self._put_in_place(ahead)

    async def _save(self, patch, board):
        """Save a patch as the next edit, and the state that it gives."""
        stored = orjson.dumps(patch.to_json()).decode()
        await run_in_threadpool(self._lessons.save_edit, self.id, self.edits_done + 1, stored, board_to_text(board))
        self.edits_done += 1
        self.edit_count = self.edits_done

    def _ahead(self, patch):
        """The board with a patch, apart from the one that others look at. Raises Refusal where what it gives could not be
        kept and read again; then nothing has changed."""
        ahead = self.board.copy()
        patch.apply(ahead)
        check_kept(ahead, [step.id for _, step in patch.after])
        return ahead

    def _put_in_place(self, board):
        """From here on the board is another one. Who reads the old one meanwhile reads it to its end; what is being dragged
        is where it is."""
        held = {id: numbers_of(self.board.step(id)) for id in self._drags.held if id in self.board and id in board}
        if held:
            board.move(held)
        self.board = board
        self.tell(self._changes())

    async def undo(self):
        """Take the last edit back. Returns its words. Raises Refusal where there is none."""
        return await self._step_history(-1)

    async def redo(self):
        """Make the edit again that was last taken back. Returns its words. Raises Refusal where there is none."""
        return await self._step_history(1)

    async def _step_history(self, step):
        async with self._lock:
            await self._drop_all()
            number = self.edits_done + (1 if step > 0 else 0)
            stored = await run_in_threadpool(self._lessons.edit, self.id, number) if number else None
            if stored is None:
                raise Refusal("There is nothing to undo." if step < 0 else "There is nothing to redo.")
            patch = Patch.from_json(orjson.loads(stored))
            ahead = self.board.copy()
            (patch if step > 0 else patch.reversed()).apply(ahead)
            await run_in_threadpool(self._lessons.save_step, self.id, self.edits_done + step, board_to_text(ahead))
            self.edits_done += step
            self._put_in_place(ahead)
            return patch.words

    async def earlier(self, number):
        """The board as it was when so many edits were in it. Raises Refusal where that is not known any more."""
        if not 0 <= number < self.edits_done:
            raise Refusal("That state is not in the history.")
        rows = await run_in_threadpool(self._lessons.edits, self.id, self.edit_count - number)
        patches = [Patch.from_json(orjson.loads(row.patch)) for row in rows if number < row.number <= self.edits_done]
        return state_before(self.board, patches)

    async def bring_back(self, number):
        """Make the board what it was when so many edits were in it, as a new edit. Returns its words."""
        async with self._lock:
            await self._drop_all()
            return await self._become(await self.earlier(number), f"Brought back the state after {number} edit{'s' * (number != 1)}")

    async def _become(self, other, words):
        """Make the board what another one is, as a new edit. Returns its words. Raises Refusal where it is that already."""
        patch = brought_back(self.board, other, words)
        await self._keep(patch)
        return patch.words

    async def keep_view(self, view, keep=True):
        """Keep the part of the board that is shown when it is opened next, if it shall be; no edit, so not undone."""
        if not keep:
            return
        async with self._lock:
            self.board.settings = self.board.settings.with_(view=view)
            if self._drags or self.id is None:
                return  # what is in the air is no edit yet, and of an untouched copy nothing is kept: the next edit brings it
            await run_in_threadpool(self._lessons.save_step, self.id, self.edits_done, board_to_text(self.board))

    # Dragging -----------------------------------------------------------------------------------------------

    def hold(self, connection, ids):
        """Take hold of pegs for a connection."""
        self._drags.start(connection, self.board, ids)

    def shift(self, connection, numbers):
        """Move what a connection holds. Returns the refreshed items, or None where it holds nothing any more."""
        items = self._drags.move(connection, self.board, self.extent, numbers)
        if items:
            self._moved.update(item["id"] for item in items)
            for other in self.connections:
                if other is not connection:
                    other.send_items(items)
        return items

    async def drop(self, connection):
        """Let go: the whole drag is kept as one edit. Returns whether anything had moved."""
        async with self._lock:
            return await self._drop(connection)

    async def _drop(self, connection):
        patch = self._drags.let_go(connection, self.board)
        if patch is None:
            return False
        # What everyone sees has moved already.
        ahead = self.board.copy()
        ahead.settings = patch.settings_after or ahead.settings
        try:
            check_kept(ahead, [step.id for _, step in patch.after])
            await self._save(patch, ahead)
        except BaseException:
            self.board = self.board.copy()
            Patch("", patch.after, patch.before).apply(self.board)
            self.tell(self.whole())
            raise
        self.board.settings = ahead.settings
        self.tell(self._changes())
        return True

    async def _drop_all(self):
        """Before any other change: what is in anyone's hand is let go where it is."""
        for connection in self._drags.owners:
            await self._drop(connection)
