"""Whether what a student made is something of which the claims of a challenge are true."""

from collections.abc import Iterator, Sequence
from math import hypot
from typing import Any

from ..board.board import Board
from ..board.step import Step
from ..edits.adding import put_on
from ..edits.checking import check_fills
from ..edits.models import Add
from ..edits.saying import claim_said
from ..kinds import CLAIM, POLYGON, SEGMENT, join
from ..language.fills import with_ids
from ..language.printing import noun
from ..refusal import Refusal
from .challenge import Challenge, Sought
from .positions import Numbers, size_of
from .verdict import CANNOT, ENOUGH, NOT_YET, RIGHT, SOME, WHERE_THERE, Judged, is_loose, tried

#: A claim holds to this share of the sizes of its parts; and a shape is none whose sides or angles are below this share.
_HOLDS, _LEAST = 1e-6, 0.01
#: How much work is done for claims in all: a choice of what is meant, and a position of one, are each one piece of it; reading the claims
#: is so many.
_WORK, _READ = 3_000, 10


class TooMuch(Refusal):
    """More could be meant than is looked through."""


def judged_by_claims(copy: Board, own: Sequence[Step], challenge: Challenge) -> Judged:
    """Whether there is something of the student's of which all claims hold in every position."""
    best: Judged | None = None
    asked = Asked(challenge)
    for choice in choices(copy, own, challenge.sought):
        found = claims_of(copy, choice, asked)
        if found.is_met:
            return found
        if best is None or sum(met for _, met in found.conditions) > sum(met for _, met in best.conditions):
            best = found
    if best is not None:
        return best
    wanted = join(f"{sought.name}, a {sought.kind}" for sought in challenge.sought)
    return Judged(NOT_YET, f"What is asked for is not there yet: {wanted}.", tuple((claim, False) for claim in challenge.claims))


def choices(copy: Board, own: Sequence[Step], sought: list[Sought]) -> Iterator[tuple[str, ...]]:
    """Things of the student's for what is sought, different ones; those of the name that is asked
    for first, the last made before others."""
    fitting = []
    for one in sought:
        some = [step.id for step in reversed(own) if step.makes == one.kind and _has_corners(copy, step, one)]
        fitting.append(sorted(some, key=lambda id: copy.name(id) != one.name))
    return _different(fitting)


class Asked:
    """The claims of a challenge, put on a board for one choice of things after another: read once, as far as they speak of what is given
    and of what is sought alone."""

    def __init__(self, challenge: Challenge) -> None:
        self.challenge = challenge
        self._first: tuple[str, ...] = ()
        self._steps: list[Step] = []
        self._ids: list[str] = []
        self._left = _WORK

    def cost(self, work: int) -> None:
        """Note work that is done. Raises Refusal where it is too much in all."""
        self._left -= work
        if self._left < 0:
            raise TooMuch("So many of your things could be meant that it is not looked through all of them. Delete what is not needed.")

    def on(self, copy: Board, choice: tuple[str, ...]) -> tuple[Board, list[str]]:
        """A board like the copy with the claims on it, of things of the student's, and the ids of these. Raises Refusal where one cannot
        be claimed of them."""
        if self._first:
            self.cost(1)
            return self._again(copy, choice), self._ids
        self.cost(_READ)
        board = _as_called(copy, {id: one.name for id, one in zip(choice, self.challenge.sought)})
        ids = [_put_on(board, claim) for claim in self.challenge.claims]
        new = board.steps[len(copy) :]
        spoken_of = {id for step in new for id in step.inputs} - {step.id for step in new} - set(choice)
        if all(copy.is_given(id) for id in spoken_of):
            self._first, self._steps, self._ids = choice, new, ids
        return board, ids

    def _again(self, copy, choice):
        board, ids = copy.copy(), dict(zip(self._first, choice))
        for step in self._steps:
            there = step.with_(fills={gap: with_ids(fill, ids) for gap, fill in step.fills.items()})
            check_fills(there.construction, there.fills, board)
            board.append(there)
        return board


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


def claims_of(copy: Board, choice: tuple[str, ...], asked: Asked) -> Judged:
    """Whether the claims are true of one choice of things, in every position."""
    challenge = asked.challenge
    try:
        board, claims = asked.on(copy, choice)
    except TooMuch:
        raise
    except Refusal as refusal:  # these things are none of which that can be claimed
        return Judged(NOT_YET, refusal.sentence, tuple((claim, False) for claim in challenge.claims))
    failed: list[Numbers | None] = [None] * len(claims)
    now = [_holds(board, id) for id in claims]
    if not all(_is_whole(board, id) for id in choice):
        now = [False] * len(claims)
    there = 0
    for given, mine in tried(copy, challenge) if all(now) else ():
        asked.cost(1)
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
    if position is not None and is_loose(copy, choice[0]) and now[number]:
        words = f"Of {names} it looks so and is not tied: “{challenge.claims[number]}” does not stay so when things are moved."
    elif position is not None:
        words = f"In this position it is not so of {names}: “{challenge.claims[number]}”."
    else:
        words = f"It is not so of {names}: “{challenge.claims[number]}”."
    return Judged(NOT_YET, words, conditions, choice, position)


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
