"""Random acts at boards in memory. Three in turn: students who drag everything on every demo board, each board opened again
after each act; anyone who does anything at a board; crossings of conics walked in small steps."""

import random
import time
import unittest

from hypothesis import HealthCheck, Phase, settings
from hypothesis.stateful import run_state_machine_as_test

from ruddy_trellis.core.display import Extent
from ruddy_trellis.core.hand import Alone, StudentHand
from ruddy_trellis.core.lesson.file import lesson_from_json
from ruddy_trellis.core.lesson.student_copy import student_copy
from ruddy_trellis.demo import demo_lessons

from ..core.random_board import check
from ..core.test_conic_crossings import walk_all
from ..core.test_state_machine import BoardMachine

#: Acts at a board, 25 at a time, without looking for the shortest way to a fault.
QUICK = settings(
    max_examples=25,
    stateful_step_count=25,
    deadline=None,
    database=None,
    phases=[Phase.generate],
    suppress_health_check=list(HealthCheck),
)
FAR = (-1e7, -1e6, -50.0, 50.0, 1e6, 1e7)


def student_drags(chance: random.Random, acts: int) -> int:
    """Drag pegs of every demo board as a student does: onto one another, far out, to nowhere. Returns how many drags."""
    done = 0
    for data in demo_lessons():
        for board in lesson_from_json(data)[1]:
            alone = Alone(student_copy(board), StudentHand)
            pegs = [step.id for step in alone.board.steps if step.moves]
            for _ in range(acts if pegs else 0):
                points = [value for step, value in zip(alone.board.steps, alone.board.values) if step.makes == "point" and value]
                at = list(chance.choice(points)) if points else [0, 0]
                alone.do(t="grab", ids=[chance.choice(pegs)], at=at)
                for seq in range(3):
                    to = chance.choice(points) if points and chance.random() < 0.5 else (chance.uniform(-12, 12), chance.uniform(-8, 8))
                    if chance.random() < 0.1:
                        to = (chance.choice(FAR), chance.choice(FAR))
                    alone.do(t="drag", to=list(to), seq=seq)
                alone.do(t="drop")
                check(alone.board, Extent(-12, -8, 12, 8))
                done += 1
                if chance.random() < 0.2:
                    alone.do(t="undo")
    return done


def campaign(seconds: float, chance: random.Random) -> str:
    """Go on until the time is over, or something breaks. Returns what was done."""
    end, rounds, drags = time.monotonic() + seconds, 0, 0
    while time.monotonic() < end:
        drags += student_drags(chance, 6)
        run_state_machine_as_test(BoardMachine, settings=QUICK)
        walk_all(unittest.TestCase(), 60)
        rounds += 1
    acts, steps = rounds * 25 * 25, rounds * 16 * 60
    return f"{rounds} rounds: {drags:,} drags of students, {acts:,} acts at a board, {steps:,} steps of conics"
