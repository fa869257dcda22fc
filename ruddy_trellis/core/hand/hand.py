"""The hand of one person at one board."""

from collections.abc import Callable
from typing import Any, Protocol

from ..board import Board
from ..display import Extent, display
from ..kits import KITS, Kit
from ..pointing.dragging import Drag
from ..pointing.offers import Offer
from ..pointing.prompt import Prompt
from ..refusal import Refusal
from ..seen import Items
from ..truth.verdicts import Verdict
from . import changing, messages, moving, prompting, quiz, selecting, showing
from .acts import Answer, Doing


class Table(Protocol):
    """The board as a hand finds it. Others may be at it too, so it is asked anew each time."""

    @property
    def board(self) -> Board: ...

    @property
    def extent(self) -> Extent:
        """The part of the plane that anyone at the board sees."""

    @property
    def lifted_for_all(self) -> frozenset[str]:
        """The ids of things whose covers the teacher alone lifts, and has lifted."""

    def verdict(self, id: str) -> Verdict | None:
        """What is known of a claim; None while nothing is."""

    def whole(self) -> Answer:
        """The message that shows the whole board."""

    def state(self) -> dict[str, Any]:
        """What a page needs besides the display list."""


#: What answers each kind of message.
_HANDLERS: dict[type, Callable[[Any, Any], Doing]] = {
    **moving.HANDLERS,
    **prompting.HANDLERS,
    **selecting.HANDLERS,
    **changing.HANDLERS,
    **showing.HANDLERS,
    **quiz.HANDLERS,
}


class Hand:
    """What one person does at a board: which tool, what has been picked, what is selected, what is held.

    Messages in, answers and acts out (see ``acts``): nothing is awaited, sent or stored here.

    Attributes:
        table: the board, and who else is at it.
        prompt: the sentence that is being filled, or None in the hand's resting state.
        pinned: whether the tool stays after its sentence is complete.
        selected: the ids of what is selected, in order.
        offers: what the selection could become.
        drag: what is held, or None.
        lifted: the ids of things whose covers this person has lifted.
        angle_words: what pairs of angles are called here (see ``truth.angle_pairs.NAMES``).
    """

    def __init__(self, table: Table) -> None:
        self.table = table
        self.prompt: Prompt | None = None
        self.pinned = False
        self.selected: list[str] = []
        self.offers: list[Offer] = []
        self.drag: Drag | None = None
        #: What hangs on what is dragged and has to be followed.
        self.followers: list[str] = []
        #: What the readings said that hang on what is dragged, when it was taken hold of.
        self.readings: dict[str, str] = {}
        self.lifted: set[str] = set()
        self.angle_words = 0

    @property
    def board(self) -> Board:
        return self.table.board

    def may_lift(self, id: str) -> bool:
        """Whether this person may lift the cover of a thing."""
        return True

    @property
    def kit(self) -> Kit:
        """What this person can build with."""
        return KITS["everything"]

    def as_seen(self, message: Answer) -> Answer:
        """A message that is told to everyone as this person sees it: with what lies under the covers that they have lifted."""
        if not self.lifted:
            return message
        if message["t"] == "frames":
            return {**message, "frames": [self._lifted_items(items) for items in message["frames"]]}
        return {**message, "items": self._lifted_items(message["items"])} if "items" in message else message

    def _lifted_items(self, items: Items) -> Items:
        known = [item["id"] for item in items if item["id"] in self.lifted and item["id"] in self.board]
        fresh = {item["id"]: item for item in display(self.board, self.table.extent, known, self.lifted)}
        return [{part: fresh[item["id"]][part] for part in item} if item["id"] in fresh else item for item in items]

    def welcome(self) -> list[Answer]:
        """What a browser is told first: the whole board, and the sentence bar."""
        return [self.table.whole(), prompting.prompt_answer(self)]

    def take(self, message: messages.Message) -> Doing:
        """Do what a message asks for: answers and acts, one after another. Raises Refusal where that cannot be."""
        handler = _HANDLERS.get(type(message))
        if handler is None:
            raise Refusal("Only a student’s copy can be started again.")
        return handler(self, message)
