"""Is it right? What a student made is looked at where it is, then with the givens moved and all that the student can move."""

from collections import Counter
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from itertools import islice
from math import hypot
from typing import Any

from ..board.board import Board
from ..board.pegs import numbers_of
from ..board.step import Step
from ..edits.adding import put_on
from ..edits.models import Add
from ..edits.saying import claim_said
from ..kinds import CLAIM, POLYGON, SEGMENT, join
from ..language.printing import noun
from ..refusal import Refusal
from .branches import branched
from .challenge import Challenge, Sought
from .equal import apart, equal
from .positions import Numbers, positions, size_of

#: In how many positions an answer must be the right one; from how many on it is right where it is there; how many are tried.
ENOUGH, SOME, MOST = 24, 6, 300
#: A claim holds to this share of the sizes of its parts; and a shape is none whose sides or angles are below this share.
_HOLDS, _LEAST = 1e-6, 0.01
#: A number above those of all ids: with it everything on a board is given.
_ALL = 10**9
#: Up to this share of the positions an answer may be missing where the teacher's is there: helpers do not meet everywhere.
_SELDOM = 0.25
#: How many ways to choose what is meant are tried.
_CHOICES = 2_000

RIGHT, WHERE_THERE, CANNOT, NOT_YET = "right", "right where it is there", "cannot be told", "not yet"


@dataclass(frozen=True)
class Judged:
    """What came of it.

    Attributes:
        verdict: "right", "right where it is there", "cannot be told" or "not yet".
        words: what the student is told.
        conditions: what was asked for, each with whether it is met.
        taken: the ids of what was taken for the answer.
        position: the numbers of the pegs in a position in which it is not so; None for none.
    """

    verdict: str
    words: str
    conditions: tuple[tuple[str, bool], ...] = ()
    taken: tuple[str, ...] = ()
    position: Numbers | None = None

    @property
    def is_met(self) -> bool:
        return self.verdict in (RIGHT, WHERE_THERE)


def judged(copy: Board, challenge: Challenge, solution: Board, reach: float = 0.0) -> Judged:
    """Whether a student's copy holds the answer.

    Args:
        copy: the student's copy of the start; it is not changed.
        solution: the teacher's board with the answer.
        reach: how near to the answer something is that looks right, board units.
    """
    own = [step for step in copy.steps if not copy.is_given(step.id)]
    if not own:
        return Judged(NOT_YET, "Nothing of yours is on the board yet.")
    if challenge.by == "same":
        return _same(copy, own, challenge, solution, reach)
    return _claimed(copy, own, challenge)


# The same as the teacher's ----------------------------------------------------------------------------------


def wanted_of(challenge: Challenge) -> list[tuple[str, list[dict[str, str]]]]:
    """What is asked for, where it is things of the solution: for each its id, and the ways in which the solution may branch."""
    ways = challenge.branches or [{}]
    if challenge.every:
        return [(id, [way]) for id in challenge.answers for way in ways]
    return [(id, ways) for id in challenge.answers]


class _Wanted:
    """One thing that is asked for, on the boards on which it is right, and what of the student's may be it.

    Attributes:
        alive: the ids of what is it so far, with in how many positions; ``first`` those that were where nothing was moved.
        near: the ids of what only looks as if it were.
    """

    def __init__(self, id: str, kind: str, boards: list[Board]) -> None:
        self.id, self.kind, self._boards = id, kind, boards
        self.alive: dict[str, int] = {}
        self.first: set[str] = set()
        self.near: list[str] = []

    @property
    def is_enough(self) -> bool:
        return any(count >= ENOUGH for count in self.alive.values())

    def here(self) -> list[Any]:
        """The values that are right where the givens are now."""
        return [value for value in (board.value(self.id) for board in self._boards) if value is not None]

    def look_at(self, copy: Board, own: list[Step], size: float, reach: float) -> None:
        """See what of the student's is it where nothing is moved."""
        right = self.here()
        for step in own:
            value = copy.value(step.id)
            if step.makes != self.kind or value is None:
                continue
            if any(equal(self.kind, value, one, size) for one in right):
                self.alive[step.id] = 0
            elif reach and any(apart(self.kind, value, one) <= reach for one in right):
                self.near.append(step.id)
        self.first = set(self.alive)

    def follow(self, moved: Board, size: float, missed: Counter[str]) -> list[str]:
        """See what is it still where the givens are moved. Gives the ids of what no longer is."""
        right, lost = self.here(), []
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


def _same(copy, own, challenge, solution, reach):
    """Whether things of the student's are the answer things, in every position one of those that count as right."""
    boards = [(way, branched(solution, way)) for way in challenge.branches or [{}]]
    wanted = [_Wanted(id, solution.kind_of(id), [board for way, board in boards if way in ways]) for id, ways in wanted_of(challenge)]
    pegs = [step for step in copy.steps if copy.is_given(step.id) and step.construction.moves]
    # What the teacher has put on the start later is no peg of the solution, whatever its id is.
    shared = {step.id for step in pegs if step.id in solution and solution.step(step.id).does == step.does}
    for _, board in boards:
        board.move({step.id: numbers_of(step) for step in pegs if step.id in shared})
    for one in wanted:
        one.look_at(copy, own, size_of(copy), reach)
    missed: Counter[str] = Counter()
    broken: dict[str, Numbers] = {}
    moved = copy.copy()
    for there, mine in _tried(copy, challenge):
        if not any(one.alive for one in wanted) or all(one.is_enough for one in wanted):
            break
        moved.move({**there, **mine})
        for _, board in boards:
            board.move({id: at for id, at in there.items() if id in shared})
        size = size_of(moved)
        for one in wanted:
            for id in one.follow(moved, size, missed):
                broken.setdefault(id, {**there, **mine})
    return _told(copy, wanted, broken, missed)


def _tried(copy, challenge) -> Iterator[tuple[Numbers, Numbers]]:
    for _, position in zip(range(MOST), positions(copy, challenge.held)):
        yield position


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
        if _is_loose(copy, lost):
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


def _is_loose(copy, id):
    """Whether a thing hangs on a peg of the student's own."""
    pegs = [copy.step(one) for one in (id, *copy.ancestors([id])) if not copy.is_given(one)]
    return any(step.construction.moves for step in pegs)


def _matched(choices: list[list[str]], taken: tuple[str, ...] = ()) -> list[str] | None:
    """A different one of the student's things for each that is asked for, or None."""
    if len(taken) == len(choices):
        return list(taken)
    for id in choices[len(taken)]:
        if id not in taken and (found := _matched(choices, (*taken, id))) is not None:
            return found
    return None


# Claims -------------------------------------------------------------------------------------------------------


def _claimed(copy, own, challenge):
    """Whether there is something of the student's of which all claims hold in every position."""
    best: Judged | None = None
    for choice in _choices(copy, own, challenge.sought):
        found = _claims_of(copy, choice, challenge)
        if found.is_met:
            return found
        if best is None or sum(met for _, met in found.conditions) > sum(met for _, met in best.conditions):
            best = found
    if best is not None:
        return best
    asked = join(f"{sought.name}, a {sought.kind}" for sought in challenge.sought)
    return Judged(NOT_YET, f"What is asked for is not there yet: {asked}.", tuple((claim, False) for claim in challenge.claims))


def _choices(copy: Board, own: list[Step], sought: list[Sought]) -> Iterator[tuple[str, ...]]:
    """Things of the student's for what is sought, different ones; those of the name that is asked
    for first, the last made before others."""
    fitting = []
    for one in sought:
        some = [step.id for step in reversed(own) if step.makes == one.kind and _has_corners(copy, step, one)]
        fitting.append(sorted(some, key=lambda id: copy.name(id) != one.name))
    for number, choice in enumerate(_different(fitting)):
        if number >= _CHOICES:
            raise Refusal("So many of your things could be meant that it is not looked through all of them. Delete what is not needed.")
        yield choice


def _different(fitting: list[list[str]], chosen: tuple[str, ...] = ()) -> Iterator[tuple[str, ...]]:
    if len(chosen) == len(fitting):
        yield chosen
        return
    for id in fitting[len(chosen)]:
        if id not in chosen:
            yield from _different(fitting, (*chosen, id))


def _has_corners(copy, step, sought):
    corners = step.fills.get("corners", ()) if step.makes == POLYGON else ()
    return all(any(copy.name(id) == name for id in corners) for name in sought.corners)


def _claims_of(copy: Board, choice: tuple[str, ...], challenge: Challenge) -> Judged:
    try:
        board, claims = claims_on(copy, choice, challenge)
    except Refusal as refusal:  # these things are none of which that can be claimed
        return Judged(NOT_YET, refusal.sentence, tuple((claim, False) for claim in challenge.claims))
    failed: list[Numbers | None] = [None] * len(claims)
    now = [_holds(board, id) for id in claims]
    if not all(_is_whole(board, id) for id in choice):
        now = [False] * len(claims)
    there = 0
    for given, mine in _tried(copy, challenge) if all(now) else ():
        board.move({**given, **mine})
        states = [_holds(board, id) for id in claims]
        if None in states or not all(_is_whole(board, id) for id in choice):
            continue
        there += 1
        for number, state in enumerate(states):
            if not state and failed[number] is None:
                failed[number] = {**given, **mine}
        if any(failed) or there >= ENOUGH:
            break
    met = [bool(state) and broke is None for state, broke in zip(now, failed)]
    conditions = tuple(zip(challenge.claims, met))
    names = join(noun(copy, id) for id in choice)
    if all(met) and there >= SOME:
        verdict = RIGHT if there >= ENOUGH else WHERE_THERE
        words = f"Right: it is so of {names}, wherever the givens are." if verdict == RIGHT else f"Right where it is there, of {names}."
        return Judged(verdict, words, conditions, choice)
    if all(met):
        return Judged(CANNOT, f"It cannot be told of {names}: it is there in too few positions.", conditions, choice)
    number = met.index(False)
    position = failed[number]
    if position is not None and _is_loose(copy, choice[0]) and now[number]:
        words = f"Of {names} it looks so and is not tied: “{challenge.claims[number]}” does not stay so when things are moved."
    elif position is not None:
        words = f"In this position it is not so of {names}: “{challenge.claims[number]}”."
    else:
        words = f"It is not so of {names}: “{challenge.claims[number]}”."
    return Judged(NOT_YET, words, conditions, choice, position)


def claims_on(copy: Board, choice: Sequence[str], challenge: Challenge) -> tuple[Board, list[str]]:
    """A board like the copy with the claims on it, of things of the student's, and the ids of these. Raises Refusal where one cannot be
    claimed of them."""
    board = _as_called(copy, {id: one.name for id, one in zip(choice, challenge.sought)})
    return board, [_put_on(board, claim) for claim in challenge.claims]


def _put_on(board: Board, claim: str) -> str:
    """Put a claim on a board. Gives its id. Raises Refusal where it claims nothing of what is there."""
    before = len(board)
    put_on(board, Add(steps=claim_said(claim, board)))
    return next(step.id for step in reversed(board.steps[before:]) if step.makes == CLAIM)


def _as_called(copy: Board, names: dict[str, str]) -> Board:
    """The copy with the names by which the claims speak of what is sought; what has such a name otherwise gets another for now."""
    wanted = set(names.values())
    steps = []
    for number, step in enumerate(copy.steps):
        if step.id in names:
            step = step.with_(name=names[step.id])
        elif copy.name(step.id) in wanted:
            step = step.with_(name=f"Q_{number + 1}")
        steps.append(step)
    return Board(copy.settings.with_(own_from=0), steps)


def _holds(board: Board, id: str) -> bool | None:
    """Whether a claim holds where the pegs are now; None where it cannot be asked."""
    value: Any = board.value(id)
    if value is None or value[2] < 0:
        return None
    return bool(value[2] <= _HOLDS)


def _is_whole(board: Board, id: str) -> bool:
    """Whether a shape is one: its sides, and its corners' heights, not below a share of the figure."""
    value, kind = board.value(id), board.kind_of(id)
    least = _LEAST * size_of(board)
    if value is None:
        return False
    if kind == SEGMENT:
        return hypot(value[2], value[3]) >= least
    if kind != POLYGON:
        return True
    for number, (x, y) in enumerate(value):
        (px, py), (qx, qy) = value[number - 1], value[(number + 1) % len(value)]
        one, other = hypot(px - x, py - y), hypot(qx - x, qy - y)
        if one < least or abs((px - x) * (qy - y) - (py - y) * (qx - x)) < _LEAST * one * other:
            return False
    return True


def meets_already(start: Board, challenge: Challenge, solution: Board) -> bool:
    """Whether what is asked for is on the start already, so that there is nothing to do."""
    if challenge.by == "claims":
        given = Board(start.settings.with_(own_from=_ALL), start.steps)
        fitting = [
            [step.id for step in start.steps if step.makes == one.kind and _has_corners(start, step, one)] for one in challenge.sought
        ]
        return any(_claims_of(given, choice, challenge).is_met for choice in islice(_different(fitting), _CHOICES))
    size = size_of(start)
    return any(
        step.makes == solution.kind_of(id) and start.value(step.id) is not None and equal(step.makes, start.value(step.id), right, size)
        for id in challenge.answers
        if (right := solution.value(id)) is not None
        for step in start.steps
    )
