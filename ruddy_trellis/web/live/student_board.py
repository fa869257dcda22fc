"""A student's own copy of a board, live."""

from starlette.concurrency import run_in_threadpool

from ...core.board import Board
from ...core.challenge.verdict import RIGHT
from ...core.display import display
from ...core.kits import RENEWED, check_students_patch
from ...core.lesson.file import board_to_text
from ...core.lesson.student_copy import OWN_FROM, is_behind, renewed, student_copy
from ...core.refusal import Refusal
from ...store.hand_ins import TooMany
from ...store.lessons import COPY_EDITS
from ...store.tables import BoardRow, HandInRow
from ..worker import ASKING
from .apart import apart
from .judging import hint_beside, judged_beside, prove_later, proved_beside, told_of
from .live_board import LiveBoard
from .saving import saved


class Given:
    """What every student has of a teacher's board as long as nothing was done at it: worked out once for all of them.

    Attributes:
        of: the teacher's board of which it is.
    """

    def __init__(self, board):
        self.of, self._settings = board, board.settings
        self._copy, self._seen = student_copy(board), (None, [], None)

    @classmethod
    def by(cls, source):
        """What a teacher's live board gives as it is now."""
        given = source.given
        if given is None or given.of is not source.board or given._settings is not source.board.settings:  # a view is kept in place
            given = source.given = cls(source.board)
        return given

    def board(self):
        """A copy for one student."""
        return self._copy.copy()

    def seen(self, extent):
        """The display list of it, whose items nobody changes, and by what that was made."""
        seen, items, shapes = self._seen
        if seen != extent:
            board = self._copy.copy()
            items = display(board, extent)
            shapes = board.drawn
            self._seen = extent, items, shapes
        return items, shapes


class StudentBoard(LiveBoard):
    """A copy of a teacher's board that one student holds. It is kept from the student's first change on: until then it
    is what the teacher's board is."""

    def __init__(self, boards, source, holder, row, edit_count, lessons):
        """
        Args:
            boards: where the teacher's live board is asked for again: it may have been closed and opened meanwhile.
            source: the teacher's live board as it is now.
            holder: the hash of the secret that the student's browser keeps.
            row: what is kept of the copy, or None.
        """
        #: What it was made from where nothing was done at it, with the board that came of that.
        self._given: tuple[Given, Board] | tuple[None, None] = None, None
        if row is None:
            given = Given.by(source)
            super().__init__(BoardRow(lesson_id=source.lesson_id, edits_done=0, document=""), 0, lessons, board=given.board())
            self._given = given, self.board
        else:
            super().__init__(row, edit_count, lessons)
            if not self.board.settings.own_from:  # kept before students could build: all of it is given
                self.board.settings = self.board.settings.with_(own_from=OWN_FROM)
            self._take_kit(source)
        self._boards, self.source_id, self.holder = boards, source.id, holder
        #: The teacher's board of which was last looked whether this copy is behind it, and whether it is.
        self._compared, self._behind = None, False
        #: The edit that took the teacher's last change: none before it is taken back.
        self._floor = 0
        if row is not None:
            edits = lessons.edits(row.id, COPY_EDITS)
            self._floor = next((one.number for one in edits if one.number <= row.edits_done and RENEWED in one.patch), 0)
        #: How many hints were told.
        self._hints = row.hints if row is not None else 0

    def _take_kit(self, source):
        """The kit is the teacher's as it is now, whatever it was when the copy was made. Returns whether it is another."""
        now, kit = self.board.settings, source.board.settings
        self.board.settings = now.with_(kit=kit.kit, kit_tools=kit.kit_tools)
        return self.board.settings != now

    def _put_in_place(self, ahead, by):
        now, then = self.board.settings, ahead.board.settings
        if (now.kit, now.kit_tools) != (then.kit, then.kit_tools):  # of an edit that is taken back they may be from another time
            ahead.board.settings = then.with_(kit=now.kit, kit_tools=now.kit_tools)
        super()._put_in_place(ahead, by)

    def _check(self, board, patch):
        check_students_patch(board, patch)

    def follow(self, source):
        """As long as nothing of it is kept, it is what the teacher's board is now."""
        if self.id is None:
            given = Given.by(source)
            self.board, self._told = given.board(), None
            self._given = given, self.board

    async def look(self):
        given, board = self._given
        if given is None or self._told is not None or board is not self.board or self._moved:
            await super().look()
            return
        self._verdicts.look()
        extent = self.extent
        items, shapes = await apart(len(board), given.seen, extent)
        if self.board is board and not self._moved:
            board.drawn = shapes.of_copy(board)
            self._told, self._seen = {item["id"]: item for item in items}, (board, extent)

    async def catch_up(self, source):
        """The teacher's board has changed while this copy is looked at: where nothing of it is kept it is what that is now; otherwise
        whoever looks is told that there is a change to be taken."""
        if self.id is None and self._is_as(source.board):
            return
        async with self._lock:
            if self._drags.owners and self.id is None:
                return  # there is work in it in a moment
            if self._take_kit(source):
                self.tell({"t": "kit"})
            if self.id is not None:
                self.tell({"t": "behind", "behind": self._is_behind(source)})
            else:
                self.board = await apart(len(source.board), student_copy, source.board.copy())
                changes = self._changes(await apart(len(self.board), display, self.board.copy(), self.extent))
                if changes["items"] or changes["gone"]:
                    self.tell(changes)

    def _is_as(self, board):
        """Whether the copy is what a teacher's board is now, pegs and kit included."""
        kits = [(one.settings.kit, one.settings.kit_tools) for one in (self.board, board)]
        fills = [[step.fills for step in one.steps] for one in (self.board, board)]
        return kits[0] == kits[1] and fills[0] == fills[1] and not is_behind(self.board, board)

    def _is_behind(self, source):
        if self._compared != (self.board, source.board):
            self._compared, self._behind = (self.board, source.board), is_behind(self.board, source.board)
        return self._behind

    def state(self):
        source = self._boards.open_one(self.source_id)
        return {
            **super().state(),
            "undo": self.edits_done > self._floor,
            "behind": self.id is not None and source is not None and self._is_behind(source),
        }

    async def _save(self, ahead):
        if self.id is None:
            await self._begin_copy()
        if not await self._is_saved(ahead):
            # Among very many copies it had to make room before there was work in it: it is kept anew from here on.
            self.edits_done = self.edit_count = 0
            await self._begin_copy()
            await super()._save(ahead)

    async def _begin_copy(self):
        row = await saved(self._lessons.make_copy, self.source_id, self.holder, board_to_text(self.board), self._hints)
        if row is None:
            raise Refusal("So many students have work on this board that no more of it can be kept. Tell your teacher.")
        self.id = row.id

    async def reset(self):
        """Make the copy again what the teacher's board is now. Returns the words for it, and whether it is an edit."""
        async with self._lock:
            await self._drop_all()
            source = await run_in_threadpool(self._boards.get, self.source_id)
            if self.id is not None:
                try:
                    return await self._become(student_copy(source.board), "Started again from the beginning", self._unchecked), True
                except Refusal:
                    pass  # it is like that already
            else:
                self.follow(source)
                self.tell(self.whole())
            return "This is the beginning", False

    async def renew(self, take):
        """Take the teacher's change into the copy, or look what that would do. Returns the words for it, "" where there is none."""
        async with self._lock:
            await self._drop_all()
            source = await run_in_threadpool(self._boards.get, self.source_id)
            if self.id is None or not self._is_behind(source):
                return ""
            found = renewed(self.board, student_copy(source.board))
            if take:
                before, self._floor = self._floor, self.edits_done + 1
                try:
                    await self._become(found.board, RENEWED, self._unchecked)
                except Refusal:
                    self._floor = before
                    raise
            return found.words

    async def judge(self, reach):
        """Whether what the student made is the answer of the board's challenge, as ``core.challenge`` judges. Raises Refusal."""
        source = await run_in_threadpool(self._boards.get, self.source_id)
        return await judged_beside(source, self._at_rest(), reach)

    async def prove_answer(self, taken):
        """Whether it is proved that what was taken for the answer is that always."""
        copy = board_to_text(self._at_rest())
        return await proved_beside(await run_in_threadpool(self._boards.get, self.source_id), copy, taken)

    async def hint(self, again):
        """A hint of the board's challenge (see ``hint_beside``). Raises Refusal."""
        told = await hint_beside(await run_in_threadpool(self._boards.get, self.source_id), self._hints, again)
        self._hints = told[1] if told else 0
        if self.id is not None and not again:
            await saved(self._lessons.note_hints, self.id, self._hints)
        return told

    async def hand_in(self, name):
        """Keep the copy as it is now as what was handed in. Returns what is told of it. Raises Refusal where the lesson takes nothing, or
        too many new names have come."""
        if not await saved(self._lessons.hand_ins.is_open, self.lesson_id):
            raise Refusal("Nothing is taken in now: your teacher opens it.")
        async with self._lock:
            await self._drop_all()
            board = self._at_rest()
        source = await run_in_threadpool(self._boards.get, self.source_id)
        found, version = None, 0
        if source is not None and await run_in_threadpool(lambda: source.challenge) is not None:
            found, version = await judged_beside(source, board.copy(), 0.0), source.challenge.version
        minutes = len({row.made_at.replace(second=0, microsecond=0) for row in await self._own_edits()})
        row = HandInRow(
            lesson_id=self.lesson_id, board_id=self.source_id, holder=self.holder, name=name, document=board_to_text(board),
            verdict=found.verdict if found else "", told=told_of(found), hints=self._hints, minutes=minutes, version=version,
        )  # fmt: skip
        try:
            id = await saved(self._lessons.hand_ins.keep, row, ASKING.get())
        except TooMany:
            raise Refusal("So many new names have come that no other is taken now. Try again in some minutes.") from None
        if found is not None and found.verdict == RIGHT:
            prove_later(self._lessons.hand_ins, source, [(id, row.document, found.taken)])
        return {"open": True, "name": name, "verdict": found.verdict if found else "", "word": "", "minutes": minutes}

    async def _own_edits(self):
        return await saved(self._lessons.edits, self.id, COPY_EDITS) if self.id is not None else []

    async def handed_in(self, take_back):
        """What was handed in last, and whether something can be: to be told to whoever holds the copy."""
        if take_back:
            await saved(self._lessons.hand_ins.take_back, self.source_id, self.holder)
        row = await saved(self._lessons.hand_ins.of_holder, self.source_id, self.holder)
        told = {name: getattr(row, name) if row else "" for name in ("name", "verdict", "word")}
        return {"open": await saved(self._lessons.hand_ins.is_open, self.lesson_id), **told, "minutes": row.minutes if row else 0}

    def _unchecked(self, board, patch):
        """What comes from the teacher changes what is given."""
