"""A figure with symbols for its pegs, in a frame and under the names that a person chose, with the signs that it has now."""

import time
from collections.abc import Iterable, Iterator
from fractions import Fraction
from math import atan2, cos, hypot, pi, radians, sin, tan
from typing import Any

from ..arithmetic import FLOATS, Exact
from ..formulas import measures
from ..kinds import CIRCLE, CONIC, POINT
from ..language.names import spell
from .called import Called
from .claimed import Claimed
from .placing import Placing, is_left
from .proving import Way

#: What free coordinates and places are called, in order, and how far apart the two points of the frame are.
_COORDINATES, _PLACES, _APART = ("uv", "st", "mn", "gh", "jk"), "pqwz", "bcdef"
#: The axes, as symbols: "x" and "y" of pegs have ids behind them.
_AXES = ("x", "y")


class NamedFigure(Way):
    """See above.

    Args:
        frame: two free points, the first of which is put at (0, 0), the second on the x-axis; or none.
        given: what a person calls quantities of the figure.
        seconds: how long may be computed.

    Attributes:
        names: what the symbols are called, by their places in the arithmetic.
    """

    def __init__(self, claimed: Claimed, frame: tuple[str, ...], given: list[Called], seconds: float) -> None:
        self.names: dict[int, str] = {}
        self._chosen, self._given = list(frame), given
        self._legend: list[tuple[str, set[int]]] = []
        self._met: set[int] = set()
        super().__init__(claimed, [], time.monotonic() + seconds)
        self._needs |= {"size"}
        #: The places of the symbols x and y.
        self.axes = self._call(self.m.symbol("x"), "x"), self._call(self.m.symbol("y"), "y")
        self.m.turns.unit_of = self._unit
        self._symbols = self._named_symbols()
        self._placing = Placing(self.m, self._lengths, self._angles, self._turn, self._sum)
        self._placed: dict[str, tuple[Any, Any]] = {}
        #: How far sliding points are from where their lines begin, where that has a name.
        self._marked_off: dict[str, Any] = {}
        taken = {*_AXES, *(name for one in given for name in one.names), *map(claimed.whole.name, (peg.id for peg in claimed.pegs))}
        # What is on the board under a letter has it: another is taken where there is one (p is the parabola, so a place is q).
        seen = set(claimed.board.names.values())
        free_first = lambda names: sorted((name for name in names if not {*name} & taken), key=lambda name: bool({*name} & seen))
        self._coordinates = iter(free_first(_COORDINATES))
        self._places: Iterator[str] = iter(free_first(_PLACES))
        self._apart = next(iter(free_first(_APART)), "a")

    def _frame(self) -> list[str]:
        return self._chosen

    # Symbols and their values now ------------------------------------------------------------------------------

    def _field(self, deadline: float) -> Exact:
        samples: dict[str, Any] = dict.fromkeys(_AXES, 1)
        for step in self.claimed.board.steps:
            if step.construction.moves:
                x, y = self._sample(step)
                samples |= {f"x{step.id}": x, f"y{step.id}": y}
        for number, one in enumerate(self._given):
            if len(one.ids) > 1:
                samples[f"given{number}"] = _near(self._now(one))
        return Exact(samples, deadline=deadline)

    def _now(self, one: Called) -> float:
        """What a named distance, or the cosine of a named angle, is now."""
        places = [self.claimed.whole.value(id) for id in one.ids]
        if None in places:
            return 0.5
        if len(places) == 2:
            return measures.distance(FLOATS, *places)
        return cos(radians(measures.angle(FLOATS, *places)))

    def _sample(self, step: Any) -> tuple[Fraction, Fraction]:
        """Where a peg is now, in the frame, as numbers near enough to tell signs."""
        board, fixed = self.claimed.board, self._fixed
        if step.construction.moves == "turning":
            return _near(step.fills["value"]), Fraction(1)
        if step.construction.moves == "sliding":
            place = step.fills["place"]
            if len(step.fills["path"]) == 1 and board.kind_of(step.fills["path"][0]) == CIRCLE:
                cx, cy = board.value(step.fills["path"][0])[:2]
                at = board.value(step.id)
                start = self._known_on(step.fills["path"][0], board.values) or (cx + 1, cy)
                turn = atan2(at[1] - cy, at[0] - cx) - atan2(start[1] - cy, start[0] - cx)
                return _near(tan(((turn + pi) % (2 * pi) - pi) / 2)), Fraction(1)
            if len(step.fills["path"]) == 1 and board.kind_of(step.fills["path"][0]) == CONIC:
                return _near(tan(radians((place + 180) % 360 - 180) / 2)), Fraction(1)
            return _near(place), Fraction(1)
        x, y = board.value(step.id)[:2]
        if fixed and step.makes == POINT:
            ox, oy = board.value(fixed[0])
            x, y = x - ox, y - oy
            if len(fixed) > 1 and "direction" not in self._needs:
                ax, ay = board.value(fixed[1])
                turn = -atan2(ay - oy, ax - ox)
                x, y = x * cos(turn) - y * sin(turn), x * sin(turn) + y * cos(turn)
                if step.id == fixed[1]:
                    return _near(hypot(ax - ox, ay - oy)), Fraction(0)
        return _near(x), _near(y)

    def _named_symbols(self) -> dict[str, Any]:
        """The symbols of named quantities: lengths, angles as cosine and sine; and the names of what can be moved, by id."""
        m = self.m
        self._lengths, self._angles, own = {}, {}, {}
        for number, one in enumerate(self._given):
            if len(one.ids) == 1:
                own[one.ids[0]] = one
                continue
            symbol = m.symbol(f"given{number}")
            if len(one.ids) == 2:
                self._call(symbol, one.names[0])
                m.signs.set(symbol.top, 1)
                self._lengths[one] = symbol
            else:
                self._angles[one] = self._cosine_and_sine(symbol, one.names[0], 1)
        return own

    def _cosine_and_sine(self, cosine: Any, name: str, sign: int) -> tuple[Any, Any]:
        """The pair of a cosine and the sine of the same angle, which has a sign."""
        m = self.m
        square = 1 - cosine * cosine
        sine = m.new_root(square.top, lambda: m.at_sample(square).sqrt())
        m.roots.note_square(square, sine)
        m.roots.whole.append((square.top, sine))
        self._call(cosine, f"cos {name}")
        self._call(sine, f"sin {name}" if sign > 0 else f"|sin {name}|")
        return cosine, sine if sign > 0 else -sine

    def _unit(self, half: Any, place: int | None, degrees: Fraction) -> tuple[Any, Any]:
        """Cosine and sine of an angle of which the tangent of the half is known now: of a share of a symbol, or of plain degrees."""
        name = f"{degrees}°" if place is None else self.names.get(place, "t")
        if place is not None and degrees != 1:
            name = f"({name}/{degrees})"
        cosine = self.m.fresh((1 - half * half) / (1 + half * half))
        return self._cosine_and_sine(cosine, name, 1 if half > 0 else -1)

    def _sum(self, name: str, cosine: Any, sine: Any) -> tuple[Any, Any]:
        """Cosine and sine of a sum of angles as symbols of their own."""
        return self._cosine_and_sine(self.m.fresh(cosine), name, 1 if sine > 0 else -1)

    def _turn(self, *ids: str) -> bool:
        return is_left(tuple(self.claimed.board.value(id) for id in ids))

    def _call(self, number: Any, name: str) -> int:
        (place,) = [place for place, power in enumerate(number.top.degrees()) if power]
        self.names[place] = name
        return place

    # The figure ------------------------------------------------------------------------------------------------

    def numbers(self) -> dict[str, tuple[Any, ...]]:
        """The exact numbers of all pegs, with what they are called put in the legend."""
        found: dict[str, tuple[Any, ...]] = {}
        for step in self.claimed.board.steps:
            if step.construction.moves == "turning":
                found[step.id] = (self._dial_named(step),)
            elif step.construction.moves == "free" and step.makes == POINT:
                found[step.id] = self._placed[step.id] = self._free(step)
            elif step.construction.moves == "sliding":
                found[step.id] = self._sliding(step)
        return found

    def value(self) -> Any:
        """The exact value of what is asked about."""
        return self.claimed.value(self.m, self.numbers(), self._instead)

    def things(self) -> Any:
        """The exact values of all that it hangs on, by id."""
        return self.claimed.board.evaluate(self.m, {id: one for id, one in self.numbers().items() if one}, self._instead)

    def _dial_named(self, step: Any) -> Any:
        called = self._symbols.get(step.id)
        name = called.names[0] if called else self.claimed.whole.name(step.id)
        number = self._dial(step)
        self._tell(f"{name} the dial", {self._call(number, name)})
        if called:
            self._placing.used.add(called)
        return number

    def _free(self, step: Any) -> tuple[Any, Any]:
        name, called = self.claimed.whole.name(step.id), self._symbols.get(step.id)
        if self._fixed and step.id == self._fixed[0]:
            self._tell(f"{name} = (0, 0)")
            return self.m.number(0), self.m.number(0)
        if len(self._fixed) > 1 and step.id == self._fixed[1] and "direction" not in self._needs:
            named = self._placing.length(*self._fixed)
            if named is not None:
                self._tell(f"{name} = ({self._name_of(named)}, 0)")
                return named, self.m.number(0)
            number, _ = self._place(step)
            self._tell(f"{name} = ({self._apart}, 0)", {self._call(number, self._apart)})
            return number, self.m.number(0)
        placed = None if called else self._placing.place(step.id, self._placed)
        if placed is not None:
            return placed
        symbols = self._place(step)
        names = called.names if called else next(self._coordinates, (f"x_{name}", f"y_{name}"))
        places = {self._call(one, given) for one, given in zip(symbols, names) if one.top.total_degree() == 1}
        self._tell(f"{name} = ({names[0]}, {names[1]})", places)
        if called:
            self._placing.used.add(called)
        return symbols

    def _name_of(self, number: Any) -> str:
        return next(self.names[place] for place, power in enumerate(number.top.degrees()) if power)

    def _sliding(self, step: Any) -> tuple[Any, ...]:
        whole, called = self.claimed.whole, self._symbols.get(step.id)
        path = step.fills["path"]
        ends = path if len(path) == 2 else [*whole.step(path[0]).fills.get("from", ()), *whole.step(path[0]).fills.get("to", ())]
        numbers = self._numbers(step)
        if numbers and len(ends) == 2 and set(ends) <= set(self._placed):
            along = self._placing.length(ends[0], step.id)
            if along is not None:
                return (along / measures.distance(self.m, *(self._placed[end] for end in ends)),)
        if numbers and (along := self._from_where_it_begins(step, path)) is not None:
            self._marked_off[step.id] = along
            return ()  # put in place by ``_instead``
        name = whole.name(step.id)
        letter = called.names[0] if called else next(self._places, f"p_{name}")
        on = spell(map(whole.name, path))
        words = f"{name} at the share {letter} of {on}" if numbers else f"{letter} the tangent of half the turn of {name} round {on}"
        self._tell(words, {self._call(self._symbol("x", step), letter)})
        if called:
            self._placing.used.add(called)
        return numbers

    def _from_where_it_begins(self, step: Any, path: tuple[str, ...]) -> Any:
        """The named distance of a sliding point from the point through which its line was drawn; None where it has no name. Below zero
        where it lies on the other side now."""
        begins = self.claimed.whole.step(path[0]).fills
        start = begins.get("from") or (begins.get("point") if len(path) == 1 else None)
        along = self._placing.length(start[0], step.id) if start and len(start) == 1 else None
        return None if along is None else along if step.fills["place"] > 0 else -along

    def _instead(self, step: Any, things: list[Any], values: list[Any]) -> Any:
        along = self._marked_off.get(step.id)
        if along is None:
            return super()._instead(step, things, values)
        x, y, dx, dy = things[0][:4]
        share = along / self.m.sqrt(dx * dx + dy * dy)
        return x + share * dx, y + share * dy

    # What is told ----------------------------------------------------------------------------------------------

    def _tell(self, words: str, places: Iterable[int] = ()) -> None:
        self._legend.append((words, set(places)))

    def note(self, numbers: Iterable[Any]) -> None:
        """These numbers are told: the legend is of what stands in them."""
        waiting = [part for number in numbers for part in (number.top, number.bottom)]
        while waiting:
            for place, power in enumerate(waiting.pop().degrees()):
                if power and place not in self._met:
                    self._met.add(place)
                    if (square := self.m.square_of(place)) is not None:
                        waiting.append(square)

    @property
    def short(self) -> dict[str, Any]:
        """What some sums are called."""
        return self._placing.short

    def legend(self) -> tuple[str, ...]:
        """What the symbols that are met are, in words."""
        given = [one.words for one in self._given if one in self._placing.used and len(one.ids) > 1]
        return (*(words for words, places in self._legend if not places or places & self._met), *given)

    def unused(self) -> tuple[str, ...]:
        """What was named and places nothing, in the words in which it was."""
        return tuple(one.words for one in self._given if one not in self._placing.used)


def _near(number: float) -> Fraction:
    return Fraction(number).limit_denominator(10**7)
