"""Proving a claim: its defects as forms in the coordinates of the pegs, which are zero or not.

A form that reduces to zero is zero wherever the figure is there (see ``arithmetic.exact``). Signs on which a formula branches are
not read off the figure as it happens to lie: the claim is computed again for either sign, and has to hold for both.
"""

import time
from dataclasses import dataclass
from typing import Any

from ..arithmetic import Exact, NotAlgebraic, Undefined
from ..arithmetic.undefined import TooDear
from ..kinds import ARC, CIRCLE, CONIC, LOCUS, POINT, POLYGON, STRAIGHTS
from .claimed import Claimed, moved
from .frames import first_two, needs

#: How many ways of signs are gone through.
_WAYS = 96
#: Conics that are known by their foci and a point.
_FOCAL = ("ellipse", "hyperbola")


@dataclass(frozen=True)
class Proof:
    """Whether a claim is proved, and if not, why; and whether it was looked for to its end, not only as long as there was time."""

    proved: bool
    why: str = ""
    is_whole: bool = True


def proof(claimed: Claimed, seconds: float = 5.0) -> Proof:
    """Try to prove a claim in so many seconds."""
    if _is_built(claimed):
        return Proof(True)
    deadline = time.monotonic() + seconds
    script: list[int] = []
    asked = 0
    for _ in range(_WAYS):
        way = Way(claimed, script, deadline)
        try:
            held = way.holds()
        except TooDear as dear:
            return Proof(False, str(dear), time.monotonic() < deadline)
        except NotAlgebraic as reason:
            return Proof(False, str(reason))
        if held is False:
            return Proof(False, way.why_not())
        asked += held is True
        # The next way: the last choice that can be another one is.
        last = max((at for at, taken in enumerate(way.taken) if taken + 1 < way.choices[at]), default=None)
        if last is None:
            return Proof(True) if asked else Proof(False, "it can nowhere be asked")
        script = [*way.taken[:last], way.taken[last] + 1]
    return Proof(False, "there are too many cases")


def _is_built(claimed: Claimed) -> bool:
    """Whether a claim says of a point that it lies on what it was put on, or on what was drawn through it."""
    fills, board = claimed.claim.fills, claimed.whole
    if claimed.claim.does not in ("lies_on", "lies_on_line") or len(fills["path"]) != 1:
        return False
    (point,), (path,) = fills["point"], fills["path"]
    if point not in board.incidence.get(path, ()):
        return False
    # A touching point is found on the whole circle of an arc, and need not be part of it.
    return claimed.claim.does == "lies_on_line" or board.kind_of(path) != ARC or board.step(point).does != "touching_point"


class Way:
    """The claim computed for one way to take the signs, and the sides of polygons on which points slide.

    Args:
        script: the choices to take, in the order in which they come up; those that come up later are taken as the first.
    """

    def __init__(self, claimed: Claimed, script: list[int], deadline: float) -> None:
        self.claimed, self._script = claimed, script
        self.taken: list[int] = []
        self.choices: list[int] = []
        self._needs = needs(claimed)
        self._fixed = self._frame() if "origin" not in self._needs else []
        self.m = self._field(deadline)

    def _frame(self) -> list[str]:
        """The points that are put at (0, 0) and on the x-axis. What moves while something is claimed to be constant stays a symbol."""
        return [id for id in first_two(self.claimed) if id != self.claimed.driver]

    def _field(self, deadline: float) -> Exact:
        claimed = self.claimed
        names = [f"{axis}{step.id}" for step in claimed.board.steps if step.construction.moves for axis in ("x", "y")]
        names += [f"{axis}{moved(claimed.driver)}" for axis in ("x", "y") if claimed.driver is not None]
        return Exact(dict.fromkeys(names, 1), decide=lambda factor: (1, -1)[self.choose(2)], deadline=deadline)

    def _symbol(self, axis: str, step: Any) -> Any:
        """A symbol for one number of a peg; of what moves there are two."""
        id = moved(step.id) if self.claimed.is_moved and step.id == self.claimed.driver else step.id
        return self.m.symbol(f"{axis}{id}")

    def _angle(self, axis: str, step: Any) -> Any:
        return self.m.turns.by_half(self._symbol(axis, step))

    def why_not(self) -> str:
        """Why the form of a claim that stands may not reduce to zero."""
        if self.m.turns.unknown:
            return "it has an angle that no square roots give, as polygons of many corners have: too many corners to prove"
        return "its form does not reduce to zero"

    def choose(self, options: int) -> int:
        """The next choice of the script."""
        number = self._script[len(self.taken)] if len(self.taken) < len(self._script) else 0
        self.taken.append(number)
        self.choices.append(options)
        return number

    def holds(self) -> bool | None:
        """Whether all defects reduce to zero; None where the figure is not there for these signs."""
        numbers = {step.id: self._numbers(step) for step in self.claimed.board.steps if step.construction.moves and step.makes == POINT}
        numbers |= {
            step.id: (self._dial(step),) for step in self.claimed.board.steps if step.construction.moves == "turning" and step.moves
        }
        try:
            if (driver := self.claimed.driver) is not None and driver in numbers:
                self.claimed.is_moved = True
                step = self.claimed.board.step(driver)
                numbers[moved(driver)] = (self._dial(step),) if step.construction.moves == "turning" else self._numbers(step)
                self.claimed.is_moved = False
            defects = self.claimed.evaluate(self.m, numbers, self._instead)
            return None if defects is None else all(defect.is_zero() for defect, _ in defects)
        except (Undefined, ZeroDivisionError):
            return None

    def _numbers(self, step: Any) -> tuple[Any, ...]:
        m, construction = self.m, step.construction
        if construction.moves == "free":
            return self._place(step)
        path = step.fills["path"]
        if len(path) == 1 and self.claimed.board.kind_of(path[0]) not in STRAIGHTS:
            return ()  # put in place by ``_instead``
        share = self._symbol("x", step)
        low, high = (0, 1) if len(path) == 2 else self._ends(path[0])
        if low is not None:
            m.signs.set(share.top, 1)
        if high is not None:
            m.signs.set((share - 1).top, -1)
        return (share,)

    def _ends(self, id: str) -> tuple[int | None, int | None]:
        kind = self.claimed.board.kind_of(id)
        return {"line": (None, None), "ray": (0, None)}.get(kind, (0, 1))

    def _place(self, step: Any) -> tuple[Any, Any]:
        m = self.m
        symbols = self._symbol("x", step), self._symbol("y", step)
        if step.id not in self._fixed:
            return self._on_its_conic(step) or symbols
        if step.id == self._fixed[0]:
            return m.number(0), m.number(0)
        if "direction" in self._needs:
            return symbols
        if "size" in self._needs:
            m.signs.set(symbols[0].top, 1)
            return symbols[0], m.number(0)
        return m.number(1), m.number(0)

    def _on_its_conic(self, step: Any) -> tuple[Any, Any] | None:
        """Where a point is through which a conic with given foci goes: by the sum or the difference of its distances from them and
        its direction from the first, so that both distances are no roots. None for any other point."""
        conic = next((one for one in self.claimed.board.steps if one.does in _FOCAL and step.id in one.fills["point"]), None)
        if conic is None or "direction" in self._needs or [*conic.fills["first"], *conic.fills["second"]] != self._fixed:
            return None
        m = self.m
        apart = m.symbol(f"x{self._fixed[1]}") if "size" in self._needs else m.number(1)
        total = self._symbol("x", step)
        if conic.does == "ellipse":
            m.signs.set(total.top, 1)
            total = total + apart  # more than the foci are apart
        else:
            m.signs.require(apart - total)
            m.signs.require(apart + total)
        cosine, sine = m.cos_sin(self._angle("y", step))
        far = (total * total - apart * apart) / (2 * (total - apart * cosine))
        return far * cosine, far * sine

    def _dial(self, step: Any) -> Any:
        """The value of a dial: a symbol between its ends, where these say anything of every figure of that shape."""
        value = self._symbol("x", step)
        if "size" in self._needs or step.construction.dimension != 1:
            self.m.signs.require(value - self.m.number(step.fills["least"]))
            self.m.signs.require(self.m.number(step.fills["most"]) - value)
        elif step.fills["least"] >= 0:
            self.m.signs.set(value.top, 1)
        return value

    def _instead(self, step: Any, things: list[Any], values: list[Any]) -> Any:
        """Where a point slides that needs no place: turned from a known point of its circle, or on one side of a polygon."""
        if step.construction.moves != "sliding" or len(step.fills["path"]) == 2:
            return None
        path = step.fills["path"][0]
        kind, m, (value,) = self.claimed.board.kind_of(path), self.m, things
        if kind == POLYGON:
            start = self.choose(len(value))
            (ax, ay), (bx, by) = value[start], value[(start + 1) % len(value)]
            share = self._symbol("x", step)
            m.signs.set(share.top, 1)
            m.signs.set((share - 1).top, -1)
            return ax + share * (bx - ax), ay + share * (by - ay)
        if kind in (CIRCLE, ARC):
            return self._on_circle(step, path, kind, value, values)
        if kind == CONIC:
            return step.construction.choose({"path": CONIC}, {})(m, value, self._angle("x", step))
        if kind == LOCUS:
            raise NotAlgebraic("a point that rides on a locus is known by running it only")
        return None

    def _on_circle(self, step: Any, path: str, kind: str, value: Any, values: list[Any]) -> Any:
        m = self.m
        cx, cy = value[:2]
        start = value[3:5] if kind == ARC else self._known_on(path, values)
        if start is None:
            start = cx + m.sqrt(value[2]), cy
        (cosine, sine), (ex, ey) = m.cos_sin(self._angle("x", step)), (start[0] - cx, start[1] - cy)
        x, y = cx + cosine * ex - sine * ey, cy + sine * ex + cosine * ey
        if kind == ARC:
            ax, ay, bx, by = value[3:7]
            m.signs.require((bx - ax) * (ay - y) - (by - ay) * (ax - x))
        return x, y

    def _known_on(self, path: str, values: list[Any]) -> Any:
        """The place of a point that the circle goes through by construction; None for none."""
        board = self.claimed.board
        before = sorted(board.place(other) for other in board.incidence.get(path, ()) if board.place(other) < board.place(path))
        return next((values[place] for place in before if values[place] is not None), None)
