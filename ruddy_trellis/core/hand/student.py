"""A student's hand at their copy: what it may ask for is to move, to look, to run motions and to start again."""

from ..refusal import Refusal
from . import messages
from .acts import Doing, StartAgain
from .changing import done
from .hand import Hand

_ALLOWED = (
    messages.Here,
    messages.Grab,
    messages.Drag,
    messages.Drop,
    messages.Nudge,
    messages.Select,
    messages.View,
    messages.Lift,
    messages.Undo,
    messages.Redo,
    messages.Play,
    messages.Pause,
    messages.Reset,
    messages.Quiz,
    messages.Ask,
)


class StudentHand(Hand):
    """The same hand with a shorter list of messages."""

    def take(self, message: messages.Message) -> Doing:
        if not isinstance(message, _ALLOWED):
            raise Refusal("Here you can drag, turn dials, press buttons and start again; the construction is your teacher’s.")
        return self._start_again() if isinstance(message, messages.Reset) else super().take(message)

    def _start_again(self) -> Doing:
        words, is_edit = yield StartAgain()
        yield done(f"{words}.", undo=is_edit)
