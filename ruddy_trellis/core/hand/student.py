"""A student's hand at their copy: to move, to look and to run motions; and where the board has a kit, to build with it."""

from typing import Any

from ..board.copying import as_students_may_have_it
from ..board.step import Step
from ..challenge.verdict import RIGHT
from ..display.covers import cover_words
from ..edits.by_hand import told_moves
from ..edits.saying import said
from ..kits import Kit, check_tools, kit_of
from ..language.printing import sentence
from ..refusal import Refusal
from . import messages
from .acts import Answer, Change, Doing, GiveIn, Judge, ProveAnswer, Reckon, ShowFrames, StartAgain, TakeRenewed, TellHandedIn, TellHint
from .changing import done
from .hand import Hand, Table
from .showing import SHAKE_PAUSE, counter_frames

_LOOKING = (
    messages.Here,
    messages.Near,
    messages.Far,
    messages.Grab,
    messages.Drag,
    messages.Drop,
    messages.Nudge,
    messages.Select,
    messages.View,
    messages.Lift,
    messages.Undo,
    messages.Redo,
    messages.Unsent,
    messages.Play,
    messages.Pause,
    messages.Reset,
    messages.Renew,
    messages.Working,
    messages.IsRight,
    messages.ShowWhere,
    messages.Hint,
    messages.HandIn,
    messages.HandedIn,
    messages.Quiz,
    messages.Ask,
)
_BUILDING = (
    messages.Hover,
    messages.Click,
    messages.Tool,
    messages.Back,
    messages.Gap,
    messages.Finish,
    messages.Say,
    messages.Put,
    messages.Complete,
    messages.Consider,
    messages.Offer,
    messages.DoEdit,
    messages.Gather,
    messages.Loosen,
    messages.Ahead,
    messages.LookBack,
    messages.BringBack,
    messages.Shake,
)


#: How long a nickname is at most.
_NAME = 20


def nickname(text: str) -> str:
    """A nickname as it is kept. Raises Refusal for none, for one that is too long, and for what cannot be seen."""
    name = " ".join(text.split())
    if not name or len(name) > _NAME or not all(letter.isprintable() for letter in name):
        raise Refusal(f"A nickname has from 1 to {_NAME} letters that can be seen. Take one that is not your full name.")
    return name


class StudentHand(Hand):
    """The same hand with a shorter list of messages, and with what its board's kit has.

    Attributes:
        broken: the numbers of the pegs where what was judged last was not what is asked for; None for none.
    """

    def __init__(self, table: Table) -> None:
        super().__init__(table)
        self.broken: dict[str, tuple[float, ...]] | None = None

    def welcome(self) -> list[Answer]:
        """What a browser is told first; with it which covers the teacher has lifted for all."""
        lifted = sorted(id for id in self.table.lifted_for_all if id in self.board)
        return [*super().welcome(), *([{"t": "lifted", "ids": lifted}] if lifted else [])]

    def may_lift(self, id: str) -> bool:
        """Students lift what the teacher left to them, or has lifted for all."""
        return not self.board.step(id).look.teacher_lifts or id in self.table.lifted_for_all

    @property
    def kit(self) -> Kit:
        """What the board gives its students to build with."""
        return kit_of(self.board.settings)

    def take(self, message: messages.Message) -> Doing:
        if not isinstance(message, _LOOKING) and not (self.kit.builds and isinstance(message, _BUILDING)):
            raise self.kit.refusal("") if not self.kit.builds else Refusal("How this board is set up is your teacher’s.")
        match message:
            case messages.Reset():
                return self._start_again()
            case messages.Near():
                return self._near()
            case messages.Working():
                return self._working()
            case messages.Renew():
                return self._renew(message)
            case messages.IsRight():
                return self._is_right(message)
            case messages.Hint():
                return self._hint(message)
            case messages.HandIn():
                return self._hand_in(message)
            case messages.HandedIn():
                return self._handed_in(message)
            case messages.ShowWhere():
                return self._show_where()
        return self._with_the_kit(super().take(message))

    def _near(self) -> Doing:
        """The board as a copy beside the drawing is made of it; nothing of one that keeps something back."""
        board = self.board.copy()
        told = yield Reckon(lambda: as_students_may_have_it(board), len(board))
        yield {"t": "near", **({**told, "angle_words": self.angle_words} if told else {"steps": None})}

    def _with_the_kit(self, doing: Doing) -> Doing:
        """What another hand would do, but that every edit asks for sentences of the kit, and that only such are offered instead."""
        given, refused = None, None
        while True:
            try:
                act = doing.throw(refused) if refused else doing.send(given)
            except StopIteration:
                return
            except Refusal as refusal:
                raise Refusal(refusal.sentence, refusal.place, tuple(filter(self._is_in_kit, refusal.ways))) from None
            given, refused = None, None
            try:
                if isinstance(act, Change):
                    check_tools(act.edit, self.kit)
                given = yield act
            except Refusal as refusal:
                refused = refusal

    def _is_in_kit(self, way: str) -> bool:
        """Whether a sentence of the catalogue can be said with the kit."""
        try:
            return all(self.kit.has_tool(new.does) for new in said(way, self.board))
        except Refusal:
            return False

    def _start_again(self) -> Doing:
        words, is_edit = yield StartAgain()
        self.prompt = None
        yield done(f"{words}.", undo=is_edit)

    def _working(self) -> Doing:
        yield {"t": "working", "lines": [self._line(step) for step in self.board.steps if not (step.look.hidden and self._is_given(step))]}

    def _is_given(self, step: Step) -> bool:
        return self.board.is_given(step.id)

    def _line(self, step: Step) -> dict[str, Any]:
        covered = step.look.cover and step.id not in self.lifted
        words = cover_words(step.makes, step.look.teacher_lifts) if covered else sentence(self.board, step.id)
        return {"id": step.id, "words": words, "given": self._is_given(step), "hidden": step.look.hidden}

    def _is_right(self, message: messages.IsRight) -> Doing:
        found = yield Judge(message.reach)
        self.broken = found.position
        yield {
            "t": "judged",
            "verdict": found.verdict,
            "words": found.words,
            "conditions": [{"words": words, "met": met} for words, met in found.conditions],
            "taken": list(found.taken),
            "moves": told_moves(self.board, found.taken) if found.is_met else "",
            "where": found.position is not None,
        }
        if found.verdict == RIGHT:
            yield ProveAnswer(found.taken)

    def _hint(self, message: messages.Hint) -> Doing:
        told = yield TellHint(message.again)
        if told is not None:
            yield {"t": "hint", **dict(zip(("words", "number", "left"), told))}

    def _hand_in(self, message: messages.HandIn) -> Doing:
        found = yield GiveIn(nickname(message.name))
        yield done("Handed in: your board as it is now. What you do from here on changes nothing of it.", undo=False)
        yield {"t": "handed_in", **found}

    def _handed_in(self, message: messages.HandedIn) -> Doing:
        found = yield TellHandedIn(message.take_back)
        yield {"t": "handed_in", **found}

    def _show_where(self) -> Doing:
        board, extent = self.board, self.table.extent
        pegs = {id: numbers for id, numbers in (self.broken or {}).items() if id in board}
        if not pegs:
            raise Refusal("No position is known in which it is not so.")
        yield ShowFrames(counter_frames(board.copy(), extent, pegs), SHAKE_PAUSE)

    def _renew(self, message: messages.Renew) -> Doing:
        words = yield TakeRenewed(message.take)
        yield {"t": "renewal", "words": words, "taken": message.take}
