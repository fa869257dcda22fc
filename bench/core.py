"""Recomputing in core, against SymPy's geometry classes, and ten thousand shaken copies at once."""

import random
import statistics
import time
from collections import defaultdict

import numpy as np
import sympy
from sympy import geometry

from ruddy_trellis.core import Figure
from ruddy_trellis.core.arithmetic import ARRAYS
from ruddy_trellis.core.challenge import Challenge, judged, started
from ruddy_trellis.core.display import Extent, display, refreshed
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.lesson.file import board_to_text
from ruddy_trellis.core.lesson.student_copy import student_copy
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import understood
from ruddy_trellis.core.truth.reasons.finding import reason
from ruddy_trellis.core.truth.verdicts import first_verdict
from tests.core.claims import whole_bank as claims_bank
from tests.core.test_claims import claimed
from tests.core.test_phrasings import bank
from tests.reasons.bank import claimed as claimed_statement
from tests.reasons.bank import statements

from .figures import kitchen_garden, orchard, orchard_with, rosette, thirty, twelve_steps, wreath


def timed(work, times):
    """The median and the 95th percentile of a piece of work, in milliseconds."""
    spent = []
    for _ in range(times):
        start = time.perf_counter()
        work()
        spent.append((time.perf_counter() - start) * 1000)
    return statistics.median(spent), statistics.quantiles(spent, n=20)[18]


def with_sympy(board):
    """Compute every step of a board with SymPy's geometry classes, in its own floating numbers."""
    made = {}
    for step in board.steps:
        ids = step.inputs
        things = [made[id] for id in ids]
        made[step.id] = {
            "free_point": lambda s, t: geometry.Point(*(sympy.Float(part) for part in s.fills["at"]), evaluate=False),
            "midpoint": lambda s, t: t[0].midpoint(t[1]),
            "line": lambda s, t: geometry.Line(*t),
            "segment": lambda s, t: geometry.Segment(*t),
            "intersection": lambda s, t: t[0].intersection(t[1])[0],
            "perpendicular_bisector": lambda s, t: geometry.Segment(*t).perpendicular_bisector(),
            "circle": lambda s, t: geometry.Circle(t[0], t[0].distance(t[1])),
            "distance": lambda s, t: t[0].distance(t[1]),
            "angle": lambda s, t: sympy.deg(geometry.Line(t[1], t[0]).angle_between(geometry.Line(t[1], t[2]))).evalf(),
        }[step.does](step, things)
    return made


def rows():
    """The rows of the table that core answers."""
    board = wreath().board
    ours, ours_slow = timed(board.recompute, 300)
    start = time.perf_counter()
    theirs_values = with_sympy(board)
    theirs = (time.perf_counter() - start) * 1000
    last = next(step for step in reversed(board.steps) if step.does == "midpoint")
    apart = max(abs(float(one) - other) for one, other in zip(theirs_values[last.id], board.value(last.id)))
    yield "recomputing a 200-step board", "≤ 1.0 ms median", f"{ours:.2f} ms median, {ours_slow:.2f} ms p95"
    yield (
        "the same figure in SymPy's geometry classes",
        "≥ 500 times slower",
        f"{theirs:,.0f} ms: {theirs / ours:,.0f} times (results {apart:.0e} apart)",
    )

    many, one = orchard().board, wreath().board
    small, _ = timed(lambda: many.move({"s1": (0.1, 0.2)}), 500)
    large, _ = timed(lambda: one.move({"s1": (0.1, 0.2)}), 500)
    count_small, count_large = len(many.move({"s1": (0, 0)})), len(one.move({"s1": (0, 0)}))
    yield (
        "moving one peg of a 200-step board", "grows with its descendants",
        f"{small * 1000:.0f} µs for {count_small} of {len(many)} steps, {large * 1000:.0f} µs for {count_large} of {len(one)}",
    )  # fmt: skip

    figure = thirty().board
    chance = np.random.default_rng(1)
    shaken = {
        step.id: tuple(part + chance.uniform(-0.5, 0.5, 10_000) for part in step.fills["at"])
        for step in figure.steps
        if step.construction.moves == "free"
    }
    together, _ = timed(lambda: figure.evaluate(ARRAYS, shaken), 20)
    yield "10,000 shaken copies of a 30-step figure", "≤ 100 ms", f"{together:.0f} ms"

    board = twelve_steps().board
    locus = board.values[-1]
    places = np.linspace(0, 360, 1000)
    at_once, _ = timed(lambda: locus.at(places), 100)
    driver, target = board.find("T"), board.find("Z")

    def one_by_one():
        points = []
        for place in places:
            board.move({driver: (float(place),)})
            points.append(board.value(target))
        return points

    start = time.perf_counter()
    alone = one_by_one()
    slowly = (time.perf_counter() - start) * 1000
    xs, _ = locus.at(places)
    apart = max(abs(x - point[0]) for x, point in zip(xs, alone) if point)
    yield (
        "locus of 1,000 samples through 12 steps",
        "≤ 6 ms, ≥ 20 times faster than one by one",
        f"{at_once:.2f} ms, {slowly / at_once:.0f} times (results {apart:.0e} apart)",
    )

    board = rosette().board
    spent, _ = timed(lambda: board.move({board.find("A"): (2.0, 0.1)}), 200)
    yield (
        f"moving a peg of a family of {len(board.values[-1])} copies of {len(board.steps[-1].fills['of'])} parts",
        "one vectorised pass",
        f"{spent:.2f} ms",
    )

    yield from hover_rows()
    yield from reading_rows()
    yield from truth_rows()
    yield from reason_rows()
    yield from region_rows()
    yield from challenge_rows()


def hover_rows():
    """What lies under the pointer and what a click would make, in words and drawn faintly."""
    for what, figure in (("5 steps hang on each peg", orchard()), ("arcs, conics, tags and marks", kitchen_garden())):
        alone, chance = Alone(figure.board), random.Random(3)
        alone.do(t="tool", key="segment")
        places = [value for step in figure.board.steps if step.makes == "point" and (value := figure.board.value(step.id))]
        alone.do(t="hover", at=places[0], reach=0.2)
        spent = []
        for _ in range(200):
            x, y = chance.choice(places)[:2]
            start = time.perf_counter()
            alone.do(t="hover", at=[x + chance.uniform(-1, 1), y + chance.uniform(-1, 1)], reach=0.2)
            spent.append((time.perf_counter() - start) * 1000)
            alone.told.clear()
        yield (
            f"hovering with a tool on a 200-step board, {what}", "≤ 5 ms at p95",
            f"{statistics.median(spent):.1f} ms median, {statistics.quantiles(spent, n=20)[18]:.1f} ms p95",
        )  # fmt: skip


def challenge_rows():
    """Is it right? of a student's copy of a hundred steps."""
    lines = "\n".join(f"M_{number} is the midpoint of A and {'B' if number == 1 else f'M_{number - 1}'}" for number in range(1, 98))
    solution = Figure()
    solution.say(f"A = (-3, 0)\nB = (3, 1)\n{lines}")
    start = started(solution.board, ["s1", "s2"])
    challenge = Challenge(task="Which?", answers=[solution.board.steps[40].id], solution=board_to_text(solution.board))
    copy = Figure()
    copy.board = student_copy(start)
    copy.say(lines)
    median, slow = timed(lambda: judged(copy.board, challenge, solution.board), 40)
    yield "Is it right? of a copy of 100 steps", "≤ 100 ms", f"{median:.0f} ms median, {slow:.0f} ms p95"


def region_rows():
    """Five conditions within a six-sided shape, one of which is dragged."""
    garden = Figure()
    for line in (
        "A = (-6, -4)", "B = (6, -4)", "C = (8, 0)", "D = (6, 4)", "E = (-6, 4)", "F = (-8, 0)", "P = (1, 1)", "Q = (3, -2)", "R = (5, -1)",
        "bed is the polygon through A, B, C, D, E, F", "j is more than 3 from P", "i is at most 7 from Q", "n is nearer to AB than to EF",
        "o is more than 1.2 from QR", "m is less than 9 from F", "z is the region where j, i, n, o and m hold within bed",
        "S is the area of z", "g is the perimeter of z",
    ):  # fmt: skip
        garden.say(line)
    board, extent, place = garden.board, Extent(-10, -6, 10, 6), iter(range(10_000))
    display(board, extent)

    def drag():
        refreshed(board, extent, board.move({board.find("P"): (1 + next(place) / 1000, 1.0)}))

    drag()
    usual, slow = timed(drag, 300)
    yield "a region of five conditions within six sides, redrawn in a drag", "≤ 4 ms", f"{usual:.1f} ms median, {slow:.1f} ms p95"


def truth_rows():
    """The bank of claims by kind: how many are true and proved, how many are false and fail, and how long a verdict takes."""
    kinds, firsts = defaultdict(list), []
    for sentences, claims in claims_bank():
        figure = Figure()
        figure.say(sentences)
        for sign, text in claims:
            one = claimed(figure, text)
            start = time.perf_counter()
            first_verdict(one.whole, one.claim.id)
            firsts.append((time.perf_counter() - start) * 1000)
            start = time.perf_counter()
            found = figure.claim(text)
            kinds[one.claim.construction.tool.rstrip("?")].append((sign, found.verdict, time.perf_counter() - start))
    spread = f"{statistics.median(firsts):.0f} ms median, {statistics.quantiles(firsts, n=20)[18]:.0f} ms p95"
    yield "a first verdict on a claim", "≤ 300 ms at p95", spread
    every = [one for found in kinds.values() for one in found]
    for kind, found in (("every kind", every), *sorted(kinds.items())):
        true, false = ([one for one in found if one[0] == sign] for sign in "+-")
        yield (
            f"claims: {kind}",
            "≥ 95% of the true proved, 0 wrong, ≤ 5 s each",
            f"{sum(one[1] == 'proved' for one in true)} of {len(true)} true proved, {sum(one[1] == 'fails' for one in false)} of "
            f"{len(false)} false fail, slowest {max(one[2] for one in found):.1f} s",
        )


def reason_rows():
    """Reasons for the statements of the bank: for how many one is found that is more than what is given, how long that takes, and of how
    many steps it is; and for the near misses."""
    spent, steps, true, missed = [], [], 0, 0
    for _, sentences, is_true, text in statements():
        board, claim = claimed_statement(sentences, text)
        start = time.perf_counter()
        found = reason(board, claim)
        spent.append(time.perf_counter() - start)
        true += is_true
        missed += found is not None and not is_true
        if found is not None and is_true and found.argument.steps:
            steps.append(len(found.argument.steps))
    yield (
        "a reason for a statement of school geometry",
        "≥ 70%, none for a near miss, ≤ 12 steps at the median, ≤ 5 s",
        f"{len(steps)} of {true} true, {missed} of {len(spent) - true} near misses, {statistics.median(steps):.0f} steps at the median, "
        f"{statistics.median(spent) * 1000:.0f} ms median, {statistics.quantiles(spent, n=20)[18]:.1f} s p95, {max(spent):.1f} s at most",
    )


def reading_rows():
    """How long it takes to read what teachers say on a board of 200 steps; and the same with a letter wrong in every word of
    five letters or more, so that most of it is refused with what is near."""
    sentences, texts = next(iter(bank()))[0], [text for sentences, text, _ in bank() if " p" not in sentences]
    board = orchard_with(sentences).board
    wrong = [" ".join(word[:2] + word[3:] if len(word) > 4 and word.islower() else word for word in text.split()) for text in texts]
    for what, said_so in (("reading a sentence", texts), ("refusing one, with what is near", wrong)):
        spent, refused = [], 0
        for text in said_so * 3:
            start = time.perf_counter()
            try:
                understood(text, board)
            except Refusal:
                refused += 1
            spent.append((time.perf_counter() - start) * 1000)
        yield (
            f"{what}, on a board of {len(board)} steps",
            "≤ 5 ms at p95",
            f"{statistics.median(spent):.1f} ms median, {statistics.quantiles(spent, n=20)[18]:.1f} ms p95 ({len(texts)} phrasings, "
            f"{refused // 3} refused)",
        )
