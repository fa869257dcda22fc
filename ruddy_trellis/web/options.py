"""What the person who runs the program can say about it."""

from dataclasses import dataclass

from ..store.hand_ins import DAYS, HOURS


@dataclass(frozen=True)
class Options:
    """How the program is run.

    Attributes:
        demo: whether the demo school's teachers can come in with one click, and an empty store gets the demo lessons.
        registration: whether anyone who comes may make an account; where not, an account needs the invitation.
        invitation: the word that whoever makes an account must know; none is asked for where it is empty.
        quota: how much the boards and recipes of one teacher may take, in megabytes.
        hours, days: how long a lesson that is opened takes what is handed in, and a class lasts; for how many days what was handed in or
            answered is kept.
        near: whether boards run beside their drawings in browsers, so that a drag does not wait for the line.
    """

    demo: bool = True
    registration: bool = True
    invitation: str = ""
    quota: int = 200
    hours: int = HOURS
    days: int = DAYS
    near: bool = True
