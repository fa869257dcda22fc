"""One open board in memory: its edits, its undo history, its drags, and everyone who is looking at it."""

import asyncio
from contextvars import ContextVar
from dataclasses import dataclass, replace
from functools import cached_property

import orjson

from ...core.board import Board
from ...core.challenge import challenge_from_text
from ...core.display import Before, Extent, display
from ...core.edits import Paste, Patch, prepare
from ...core.edits.history import brought_back, state_before
from ...core.hand import Drags
from ...core.hand.told import changes, state_of
from ...core.lesson.arriving import arrived_paste, own_recipes
from ...core.lesson.file import board_from_store, board_to_text
from ...core.refusal import Refusal
from ..worker import WORKER
from .ahead import Ahead, of_history, worked_out
from .apart import apart
from .saving import saved
from .verdicts import Verdicts

#: How many acts are known again that may come twice.
_LATELY = 64
#: A pasted working of more lines than this is read in a process of its own.
_LONG_PASTE = 60
#: How long a view waits, at least, before it is kept: while someone zooms there are many.
_VIEW_PAUSE = 1.0


#: Whose message is being answered here; None where nobody's is.
ACTING: ContextVar = ContextVar("acting", default=None)


@dataclass(frozen=True)
class _Last:
    """The last change: of what number, in what words, by whom."""

    number: int
    words: str
    by: object


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
        #: Who sees what is told here without being at the board (see ``web.classroom``).
        self.onlookers = set()
        self.lifted_for_all = frozenset()
        self._lessons = lessons
        self._lock = asyncio.Lock()
        self._drags = Drags()
        #: The items that everyone was last told, by id, and of which board and in which extent they are.
        self._told = self._seen = None
        self._moved = set()
        #: The patches of edits that came with a key; None while none did.
        self._keys = None
        #: The patches of what was asked for lately, by what it is known by to whoever asked.
        self._lately = {}
        self._last = _Last(0, "", None)
        self._verdicts = Verdicts(self, lessons.verdicts)
        self._view, self._view_kept = self.board.settings.view, None
        #: What students have of it as it is now, once one has come.
        self.given = None
        #: What is called after every edit.
        self.on_change = None

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

    async def look(self):
        """Work out what is seen before someone asks for it: of a large board that takes a while."""
        self._verdicts.look()
        board, extent = self.board, self.extent
        if self._told is None or self._seen != (board, extent) or self._moved:
            items = await apart(len(board), display, board.copy(), extent)
            if self.board is board and not self._moved:
                self._told, self._seen = {item["id"]: item for item in items}, (board, extent)

    def whole(self):
        """The message that shows the whole board."""
        if self._told is not None and not self._moved and self._seen == (self.board, self.extent):
            return {"t": "board", "items": list(self._told.values()), "state": self.state()}
        items = self.items()
        if self._told is None:
            self._told, self._seen = {item["id"]: item for item in items}, (self.board, self.extent)
        return {"t": "board", "items": items, "state": self.state()}

    def verdict(self, id):
        """What is known of a claim; None while nothing is."""
        return self._verdicts.known.get(id, (None, None))[1]

    def prove(self, id, go):
        """Look for a proof of a claim again, or no longer."""
        self._verdicts.prove(id, go)

    def told_anew(self, items):
        """Some items were told by themselves."""
        if self._told is not None:
            self._told.update((item["id"], item) for item in items)

    def state(self):
        """What a page needs besides the display list."""
        return {**state_of(self.board, self.edits_done > 0, self.edits_done < self.edit_count), "number": self._last.number}

    def _changes(self, items=None):
        """The items that differ from those last told, the ids that are gone, and the state.

        Args:
            items: the display list as it is now, where it is known.
        """
        before, self._told = self._told or {}, {item["id"]: item for item in (self.items() if items is None else items)}
        self._seen = (self.board, self.extent)
        moved, self._moved = self._moved, set()
        return changes(before, list(self._told.values()), moved, self.state())

    def _before(self):
        """The items that everyone was last told, where they are of the board as it is now but for where things are; else None."""
        if self._told is None or self._seen != (self.board, self.extent):
            return None
        return Before(dict(self._told), self.board.drawn, frozenset(self._moved))

    def tell(self, message):
        """Send a message to every connection."""
        for connection in (*self.connections, *self.onlookers):
            connection.send(message)

    def note_company(self):
        """Somebody has come to look at this board, or has gone: whoever is at it hears whether there is anyone else. A browser that is
        alone need not tell every place of what it drags."""
        others = len(self.connections) + len(self.onlookers) > 1
        for connection in self.connections:
            if connection.has_company != others:
                connection.has_company = others
                connection.send({"t": "company", "others": others})

    def let_go(self):
        """The board is no longer open to those who look at it: close their connections."""
        for connection in list(self.connections):
            connection.close()

    # Changing -----------------------------------------------------------------------------------------------

    async def change(self, edit, key=""):
        """Check, apply, save and tell an edit. Returns its patch. Raises Refusal; then nothing has changed.

        Args:
            key: what whoever asks knows it by: an edit of that key is made once, and gives its patch again.
        """
        async with self._lock:
            await self._drop_all()
            if key and (made := self._lately.get(key) or (await self._known_keys()).get(key)) is not None:
                return made
            if isinstance(edit, Paste) and edit.text.count("\n") > _LONG_PASTE:
                stored = await WORKER.do(arrived_paste, board_to_text(self._at_rest()), edit.text, own_recipes())
                patch = await self._keep(lambda board: replace(Patch.from_json(orjson.loads(stored)), key=key), len(stored) // 100)
            else:
                patch = await self._keep(lambda board: replace(prepare(board, edit), key=key))
            if key:
                (await self._known_keys())[key] = patch
            return patch

    async def change_once(self, edit, once):
        """As ``change``, of what may come again soon by another way, since no answer was heard: it is not made twice."""
        made = self._lately.get(once) or (self._keys or {}).get(once) or await self.change(edit)
        self._lately[once] = made
        while len(self._lately) > _LATELY:
            del self._lately[next(iter(self._lately))]
        return made

    async def _known_keys(self):
        """The patches of edits that came with a key, by that."""
        if self._keys is None:
            stored = await saved(self._lessons.keyed_edits, self.id) if self.id is not None else []
            patches = [Patch.from_json(orjson.loads(patch)) for patch in stored]
            self._keys = {patch.key: patch for patch in patches}
        return self._keys

    def _check(self, board, patch):
        """Raise Refusal where whoever is at this board may not make a change, by whatever way it came."""

    async def _keep(self, make, more=0, check=None):
        """Make a patch, save it with the state that it gives as the next edit, then make that state the board's.

        Args:
            make: a function from the board to the patch. Raises Refusal; then nothing has changed.
            more: about how many steps come to the board by it, where there are many.
            check: a function of the board and the patch in the place of ``_check``.

        Returns:
            The patch.
        """
        ahead = await apart(len(self.board) + more, worked_out, self._at_rest(), make, self.extent, check or self._check, self._before())
        await self._save(ahead)
        self._put_in_place(ahead, ACTING.get())
        return ahead.patch

    async def _save(self, ahead):
        """Save a patch as the next edit, and the state that it gives. Raises Refusal where the board is kept nowhere any more."""
        if not await self._is_saved(ahead):
            raise Refusal("This board is not there any more, so nothing can be kept of it.")

    async def _is_saved(self, ahead):
        """Save a patch as the next edit. Returns whether there was a board to save it for."""
        if not await saved(self._lessons.save_edit, self.id, self.edits_done + 1, ahead.stored, ahead.text):
            return False
        self.edits_done += 1
        self.edit_count = self.edits_done
        return True

    async def _edit(self, number):
        """The patch of an edit as it is kept; None where there is none."""
        return await saved(self._lessons.edit, self.id, number) if number else None

    async def _save_step(self, step, text):
        """Save that edits were taken back (−1) or made again (1), and the state that this gives."""
        await saved(self._lessons.save_step, self.id, self.edits_done + step, text)
        self.edits_done += step

    def _at_rest(self):
        """A copy of the board as its history gives it: what is in someone's hand is where it was taken."""
        board = self.board.copy()
        self._drags.put_back(board)
        return board

    def _put_in_place(self, ahead, by):
        """From here on the board is another one. Who reads the old one meanwhile reads it to its end; what is being dragged is where it is.

        Args:
            by: who has changed it.
        """
        held = self._drags.carry_over(self.board, ahead.board)
        ahead.board.verdicts = self._verdicts.words()
        self.board = ahead.board
        self._last = _Last(self._last.number + 1, ahead.patch.words, by)
        self.tell(self._changes(None if held or ahead.extent != self.extent else ahead.items))
        self._verdicts.look()
        if self.on_change is not None:
            self.on_change()

    async def undo(self, heard=None):
        """Take the last edit back. Returns its words. Raises Refusal where there is none, and where somebody else has changed the board
        since the change of a number.

        Args:
            heard: the number of the last change that is known to whoever asks; None where that is not looked at.
        """
        return await self._step_history(-1, heard)

    async def redo(self, heard=None):
        """Make the edit again that was last taken back. Returns its words. Raises Refusal where there is none, and as ``undo`` does."""
        return await self._step_history(1, heard)

    async def _step_history(self, step, heard):
        async with self._lock:
            await self._drop_all()
            last = self._last
            if heard is not None and last.number > heard and last.by is not ACTING.get():
                after = "Undo again to take that back" if step < 0 else "Nothing is done again"
                raise Refusal(f"Meanwhile, in another window: “{last.words}”. {after}.")
            number = self.edits_done + (1 if step > 0 else 0)
            stored = await self._edit(number)
            if stored is None:
                raise Refusal("There is nothing to undo." if step < 0 else "There is nothing to redo.")
            size = len(self.board) + len(stored) // 100
            ahead = await apart(
                size, worked_out, self._at_rest(), lambda board: of_history(stored, step), self.extent, self._check, self._before(), False
            )
            await self._save_step(step, ahead.text)
            self._put_in_place(ahead, ACTING.get())
            return ahead.patch.words

    async def earlier(self, number):
        """The board as it was when so many edits were in it. Raises Refusal where that is not known any more."""
        if not 0 <= number < self.edits_done:
            raise Refusal("That state is not in the history.")
        rows = await saved(self._lessons.edits, self.id, self.edit_count - number)
        stored = [row.patch for row in rows if number < row.number <= self.edits_done]
        board = self._at_rest()

        def taken_back():
            return state_before(board, (Patch.from_json(orjson.loads(patch)) for patch in stored))

        return await apart(len(board) + 10 * len(stored), taken_back)

    async def bring_back(self, number):
        """Make the board what it was when so many edits were in it, as a new edit. Returns its words."""
        async with self._lock:
            await self._drop_all()
            return await self._become(await self.earlier(number), f"Brought back the state after {number} edit{'s' * (number != 1)}")

    async def _become(self, other, words, check=None):
        """Make the board what another one is, as a new edit. Returns its words. Raises Refusal where it is that already."""
        return (await self._keep(lambda board: brought_back(board, other, words), len(other), check)).words

    async def keep_view(self, view, keep=True):
        """Keep the part of the board that is shown when it is opened next, if it shall be; no edit, so not undone."""
        if not keep:
            return
        self._view = view
        self.board.show_view(view)
        if self._view_kept is None or self._view_kept.done():
            self._view_kept = asyncio.create_task(self._keep_view())

    async def _keep_view(self):
        """Keep the view after a moment, as it is then: of many in a row, the last."""
        await asyncio.sleep(_VIEW_PAUSE)
        async with self._lock:
            self.board.show_view(self._view)  # an edit that was under way meanwhile began from the view before
            if self.id is None:
                return  # of an untouched copy nothing is kept: the next edit brings it
            text = await apart(len(self.board), board_to_text, self._at_rest())
            await saved(self._lessons.save_step, self.id, self.edits_done, text)

    # A challenge --------------------------------------------------------------------------------------------

    @cached_property
    def challenge(self):
        """The challenge that stands beside the board, or None."""
        text = self._lessons.challenges.of(self.id) if self.id is not None else None
        return challenge_from_text(text) if text else None

    @cached_property
    def solution(self):
        """The board of the solution of its challenge; only where there is one."""
        return board_from_store(self.challenge.solution)

    async def begin(self, board, challenge):
        """From here on the board is another one, without a history, and this challenge, or None, stands beside it."""
        async with self._lock:
            await self._drop_all()
            text = await apart(len(board), board_to_text, board)
            await saved(self._lessons.challenges.begin, self.id, text, challenge.model_dump_json() if challenge else None)
            self.edits_done = self.edit_count = 0
            self._know(challenge)
            items = await apart(len(board), display, board.copy(), self.extent)
            self._put_in_place(Ahead(board, Patch(""), "", text, self.extent, items), ACTING.get())

    async def change_challenge(self, challenge):
        """Keep another challenge beside the board; its solution may be another one, the start stays."""
        await saved(self._lessons.challenges.keep, self.id, challenge.model_dump_json())
        self._know(challenge)
        if self.on_change is not None:
            self.on_change()

    def _know(self, challenge):
        self.__dict__.pop("solution", None)
        self.__dict__["challenge"] = challenge

    # Dragging -----------------------------------------------------------------------------------------------

    def hold(self, connection, ids):
        """Take hold of pegs for a connection."""
        self._drags.start(connection, self.board, ids)

    def shift(self, connection, numbers, near=None):
        """Move what a connection holds. Returns the refreshed items, or None where it holds nothing any more.

        Args:
            near: where its copy has followed to what has to be followed.
        """
        items = self._drags.move(connection, self.board, self.extent, numbers, near or {})
        if items:
            self._moved.update(item["id"] for item in items)
            for other in (*self.connections, *self.onlookers):
                if other is not connection:
                    other.send_items(items)
        return items

    async def drop(self, connection):
        """Let go: the whole drag is kept as one edit. Returns whether anything had moved."""
        async with self._lock:
            return await self._drop(connection)

    async def _drop(self, connection):
        board = self._at_rest()
        patch = self._drags.let_go(connection, self.board)
        if patch is None:
            return False
        try:
            ahead = await apart(len(board), worked_out, board, lambda _: patch, self.extent, self._check, self._before())
            await self._save(ahead)
        except BaseException:
            # What everyone sees has moved already.
            self.board = self.board.copy()
            Patch("", patch.after, patch.before).apply(self.board)
            self.tell(self.whole())
            raise
        self._put_in_place(ahead, connection)
        return True

    async def _drop_all(self):
        """Before any other change: what is in anyone's hand is let go where it is."""
        for connection in self._drags.owners:
            await self._drop(connection)
