"""Whether a board is as it was meant: by a check on what is seen of it (``seen``), asked again after the free points have been moved."""

from __future__ import annotations

import random
from collections.abc import Callable

from ruddy_trellis.core.board import Board
from ruddy_trellis.core.edits import Move
from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.hand import Alone

from .seen import Seen

#: How often a figure is moved before it is believed.
MOVES = 3

#: How something said ends: as meant, otherwise, refused (or asked).
MEANT, OTHERWISE, REFUSED = "meant", "otherwise", "refused"


def said_on(board: Board, text: str, take: Callable[[Alone, str], None] | None = None) -> Seen:
    """A board after something was said at it. A list of sentences that is shown before it is taken is taken."""
    before = board.copy()
    alone = Alone(board)
    before.settings = board.settings
    answers = alone.do(t="say", text=text) if take is None else []
    if take is None and (shown := next((one for one in answers if one["t"] == "sentences"), None)) is not None:
        answers = [*answers, *alone.do(t="say", text=text, take=True)]
        if any(line["problem"] for line in shown["lines"]):
            # Not whole: what was read of it stands, and it counts as refused.
            answers.append({"t": "says", "kind": "refusal", "words": "not whole"})
    if take is not None:
        take(alone, text)
        answers = alone.told
    return Seen(alone.board, before, answers)


def judged(seen: Seen, check: str) -> str:
    """How it ended, by a check on the board that came of it."""
    if check == "undone()" and any("nothing to undo" in str(one.get("words", "")) for one in seen.answers):
        return MEANT  # nothing was done on a fresh board, which is what is said
    may_be_refused = check.startswith("refused()")
    if may_be_refused and seen.is_refused:
        return MEANT
    if seen.is_refused:
        return REFUSED
    check = check.removeprefix("refused() or ").removeprefix("asked() or ")
    if check in ("refused()", "asked()"):
        return OTHERWISE
    once, check = check.startswith("!"), check.lstrip("! ")
    # A part that is asked only where the points are at first is marked within a check.
    first = check.replace("!", "") if "!=" not in check else check
    later = " and ".join(part for part in check.split(" and ") if not part.startswith("!") or part.startswith("!=")) or "True"
    if not _holds(seen, first):
        return OTHERWISE
    if once:
        return MEANT
    chance = random.Random(7)
    for _ in range(MOVES):
        _move(seen, chance)
        if not _holds(seen, later):
            return OTHERWISE
    return MEANT


def _holds(seen: Seen, check: str) -> bool:
    try:
        return bool(eval(check, {"__builtins__": {"len": len, "all": all, "any": any, "min": min, "max": max}, **seen.names()}))
    except NameError as error:
        if not str(error.name)[:1].isupper():
            raise  # no name of a point: a word that checks do not have
        return False
    except (KeyError, LookupError, ZeroDivisionError, TypeError, StopIteration, AttributeError, ValueError, OverflowError):
        return False
    except Exception as error:
        if type(error).__name__ == "Refusal":
            return False
        raise


def _move(seen: Seen, chance: random.Random) -> None:
    """Move every free point a little, each its own way."""
    numbers = {}
    for step in seen.board.steps:
        if step.moves == "free" and step.makes == "point":
            x, y = seen.board.value(step.id)
            numbers[step.id] = [x + chance.uniform(-0.4, 0.4), y + chance.uniform(-0.4, 0.4)]
    if numbers:
        perform(seen.board, Move(numbers=numbers))
