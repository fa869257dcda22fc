"""What the person who runs the program can say about it."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Options:
    """How the program is run.

    Attributes:
        demo: whether the demo school's teachers can come in with one click, and an empty store gets the demo lessons.
        registration: whether anyone who comes may make an account; where not, an account needs the invitation.
        invitation: the word that whoever makes an account must know; none is asked for where it is empty.
        quota: how much the boards and recipes of one teacher may take, in megabytes.
    """

    demo: bool = True
    registration: bool = True
    invitation: str = ""
    quota: int = 200
