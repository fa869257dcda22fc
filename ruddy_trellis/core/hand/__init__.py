"""One person at one board: messages in, answers and acts out. No input or output of its own."""

from .alone import Alone
from .drags import Drags
from .hand import Hand, Table
from .messages import read_message
from .student import StudentHand

__all__ = ["Alone", "Drags", "Hand", "StudentHand", "Table", "read_message"]
