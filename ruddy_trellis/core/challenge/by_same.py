"""Whether what a student made is the teacher's answer: the same things, by any way and under any name."""

from collections import Counter
from collections.abc import Iterator, Sequence
from typing import Any, Protocol

from ..board.board import Board
from ..board.pegs import numbers_of
from ..board.step import Step
from ..kinds import join
from ..language.printing import noun
from .branches import branched
from .challenge import Challenge
from .equal import apart, equal
from .positions import Numbers, size_of
from .verdict import CANNOT, ENOUGH, NOT_YET, RIGHT, SOME, WHERE_THERE, Judged, is_loose, tried

#: Up to this share of the positions an answer may be missing where the teacher's is there: helpers do not meet everywhere.
_SELDOM = 0.25


def wanted_of(challenge: Challenge) -> list[tuple[str, list[dict[str, str]]]]:
    """What is asked for, where it is things of the solution: for each its id, and the ways in which the solution may branch."""
    ways = challenge.branches or [{}]
    if challenge.every:
        return [(id, [way]) for id in challenge.answers for way in ways]
    return [(id, ways) for id in challenge.answers]


class Right(Protocol):
    """Where what is asked for is.

    Attributes:
        kinds: of each thing that is asked for its kind.
    """

    kinds: list[str]

    def first(self, copy: Board) -> tuple[Board, list[list[Any]]]:
        """The student's copy in the position in which it is looked at first, with the values that are right there, of each thing."""

    def tried(self, copy: Board) -> Iterator[tuple[Numbers, list[list[Any]]]]:
        """The positions in which it is looked at then: the numbers of the pegs, and the values that are right there."""


class OfSolution:
    """Where it is on the teacher's board, in whatever position."""

    def __init__(self, challenge: Challenge, solution: Board) -> None:
        self._challenge, self._solution = challenge, solution
        boards = [(way, branched(solution, way)) for way in challenge.branches or [{}]]
        wanted = wanted_of(challenge)
        self.kinds = [solution.kind_of(id) for id, _ in wanted]
        self._boards = [board for _, board in boards]
        self._wanted = [(id, [board for way, board in boards if way in ways]) for id, ways in wanted]

    def at(self, numbers: Numbers) -> list[list[Any]]:
        """The values that are right where given pegs are as told, of each thing."""
        for board in self._boards:
            board.move(numbers)
        return [[value for board in boards if (value := board.value(id)) is not None] for id, boards in self._wanted]

    def shared(self, copy: Board) -> Numbers:
        """The numbers of the given pegs that are pegs of the solution: what the teacher has put on the start later is none, whatever its
        id is."""
        pegs = [step for step in copy.steps if copy.is_given(step.id) and step.construction.moves and step.id in self._solution]
        return {step.id: numbers_of(step) for step in pegs if self._solution.step(step.id).does == step.does}

    def first(self, copy: Board) -> tuple[Board, list[list[Any]]]:
        return copy, self.at(self.shared(copy))

    def tried(self, copy: Board) -> Iterator[tuple[Numbers, list[list[Any]]]]:
        shared = self.shared(copy)
        for there, mine in tried(copy, self._challenge):
            yield {**there, **mine}, self.at({id: at for id, at in there.items() if id in shared})


class _Wanted:
    """One thing that is asked for, and what of the student's may be it.

    Attributes:
        alive: the ids of what is it so far, with in how many positions; ``first`` those that were where nothing was moved.
        near: the ids of what only looks as if it were.
    """

    def __init__(self, kind: str) -> None:
        self.kind = kind
        self.alive: dict[str, int] = {}
        self.first: set[str] = set()
        self.near: list[str] = []

    @property
    def is_enough(self) -> bool:
        return any(count >= ENOUGH for count in self.alive.values())

    def look_at(self, copy: Board, right: list[Any], own: list[Step], size: float, reach: float) -> None:
        """See what of the student's is it in the first position."""
        for step in own:
            value = copy.value(step.id)
            if step.makes != self.kind or value is None:
                continue
            if any(equal(self.kind, value, one, size) for one in right):
                self.alive[step.id] = 0
            elif reach and any(apart(self.kind, value, one) <= reach for one in right):
                self.near.append(step.id)
        self.first = set(self.alive)

    def follow(self, moved: Board, right: list[Any], size: float, missed: Counter[str]) -> list[str]:
        """See what is it still where the givens are moved. Gives the ids of what no longer is."""
        lost = []
        for id in list(self.alive):
            value = moved.value(id)
            if value is None or not right:
                missed[id] += bool(right)
            elif any(equal(self.kind, value, one, size) for one in right):
                self.alive[id] += 1
            else:
                del self.alive[id]
                lost.append(id)
        return lost


def judged_by_same(copy: Board, own: list[Step], right: Right, reach: float) -> Judged:
    """Whether things of the student's are the answer things, in every position one of those that count as right."""
    wanted = [_Wanted(kind) for kind in right.kinds]
    first, values = right.first(copy)
    for one, here in zip(wanted, values):
        one.look_at(first, here, own, size_of(first), reach)
    missed: Counter[str] = Counter()
    broken: dict[str, Numbers] = {}
    moved, positions = copy.copy(), right.tried(copy)
    while any(one.alive for one in wanted) and not all(one.is_enough for one in wanted):
        numbers, values = next(positions, ({}, []))
        if not values:
            break
        moved.move(numbers)
        size = size_of(moved)
        for one, here in zip(wanted, values):
            for id in one.follow(moved, here, size, missed):
                broken.setdefault(id, numbers)
    return _told(copy, wanted, broken, missed)


def _told(copy, wanted, broken, missed):
    alive = [one.alive for one in wanted]
    taken = _matched([sorted(some, key=lambda id: -some[id]) for some in alive])
    asked = _asked_words([one.kind for one in wanted])
    if taken is not None:
        least = min(some[id] for some, id in zip(alive, taken))
        names = join(noun(copy, id) for id in taken)
        verb = "is" if len(taken) == 1 else "are"
        met = ((asked, True),)
        is_everywhere = all(missed[id] <= _SELDOM * some[id] for some, id in zip(alive, taken))
        if least >= ENOUGH and is_everywhere:
            return Judged(RIGHT, f"Right: {names} {verb} what is asked for, wherever the givens are.", met, tuple(taken))
        if least >= SOME:
            return Judged(WHERE_THERE, f"Right where it is there: {names} {verb} what is asked for.", met, tuple(taken))
        return Judged(CANNOT, f"It cannot be told of {names}: it is there in too few positions.", ((asked, False),), tuple(taken))
    unmet = ((asked, False),)
    lost = next((id for one in wanted for id in sorted(one.first, key=copy.place) if id in broken), None)
    if lost is not None:
        words = f"In this position your {noun(copy, lost)} is not what is asked for."
        if is_loose(copy, lost):
            words = f"Your {noun(copy, lost)} looks right and is not tied: it does not stay right when things are moved."
        return Judged(NOT_YET, words, unmet, (lost,), broken[lost])
    near = next((id for one in wanted for id in one.near), None)
    if near is not None:
        return Judged(NOT_YET, f"Your {noun(copy, near)} looks right and is not tied: nothing makes it be there.", unmet, (near,))
    there = sum(bool(some) for some in alive)
    if there and len(alive) > 1:
        return Judged(NOT_YET, f"{there} of {len(alive)} are there.", unmet)
    return Judged(NOT_YET, f"Nothing of yours is what is asked for yet: {asked}.", unmet)


def _asked_words(kinds: Sequence[str]) -> str:
    return join(f"a {kind}" if kind != "number" else "a reading" for kind in kinds)


def _matched(choices: list[list[str]], taken: tuple[str, ...] = ()) -> list[str] | None:
    """A different one of the student's things for each that is asked for, or None."""
    if len(taken) == len(choices):
        return list(taken)
    for id in choices[len(taken)]:
        if id not in taken and (found := _matched(choices, (*taken, id))) is not None:
            return found
    return None
