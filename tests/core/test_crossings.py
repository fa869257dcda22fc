"""Where paths of every sort cross: on both, none missed, each branch followed."""

import itertools
import math
import unittest

from hypothesis import assume, given, settings
from hypothesis import strategies as st

from .figures import distance, figure
from .paths import PATHS, off, point

#: Pairs of one sort.
SAME = [
    (("line", PATHS["line"]), ("another line", "A=(-3,2)\nB=(4,1)\np is the line through A and B")),
    (("circle", PATHS["circle"]), ("another circle", "A=(2,1)\nB=(2,4)\np is the circle with centre A through B")),
    (("arc", PATHS["arc"]), ("another arc", "A=(1,-1)\nB=(4,0)\nC=(-3,2)\np is the arc with centre A from B to C")),
    (
        ("ellipse", PATHS["ellipse"]),
        ("another ellipse", "A=(0.2,-2)\nB=(-0.1,2.4)\nC=(1.4,0)\np is the ellipse with foci A and B through C"),
    ),
    (
        ("hyperbola", PATHS["hyperbola"]),
        ("another hyperbola", "A=(0,-2)\nB=(0.5,2)\nC=(1,-1.2)\np is the hyperbola with foci A and B through C"),
    ),
    (
        ("parabola", PATHS["parabola"]),
        (
            "another parabola",
            "A=(1,0)\nB=(-2,-3)\nC=(-2.5,3)\nq is the line through B and C\np is the parabola with focus A and directrix q",
        ),
    ),
]


def renamed(text, letters):
    """The sentences of a path with its names changed, so that two stand on one board."""
    return "".join(
        letters.get(letter, letter)
        if letter in "ABCpq"
        and (text[max(place - 1, 0)] in "\n (" or place == 0 or text[place - 1] == "\n")
        and (place + 1 == len(text) or text[place + 1] in "\n =,)")
        else letter
        for place, letter in enumerate(text)
    )


def pairs():
    for (one, first), (other, second) in (*itertools.combinations(PATHS.items(), 2), *SAME):
        yield one, other, first + "\n" + renamed(second, {"A": "D", "B": "E", "C": "F", "p": "r", "q": "s"})


class CrossingTest(unittest.TestCase):
    """Every pair of sorts of path."""

    def figures(self):
        for one, other, text in pairs():
            f = figure(text)
            f.say("all crossings of p and r")
            yield one, other, f, [step.id for step in f.board.steps if step.does == "intersection"]

    def test_crossings_lie_on_both_and_differ(self):
        for one, other, f, ids in self.figures():
            with self.subTest(f"{one} and {other}"):
                found = [f.board.value(id) for id in ids if f.board.value(id)]
                for at in found:
                    self.assertLess(off(f.board, "p", at), 1e-5)
                    self.assertLess(off(f.board, "r", at), 1e-5)
                for a, b in itertools.combinations(found, 2):
                    self.assertGreater(distance(a, b), 1e-6)

    def test_none_is_missed(self):
        """Walking along the second path, every change of side of the first lies at a crossing that was found."""
        for one, other, f, ids in self.figures():
            board = f.board
            p, r = board.find("p"), board.find("r")
            if board.kind_of(r) not in ("circle", "arc", "conic") or board.kind_of(p) not in ("circle", "line", "conic"):
                continue
            with self.subTest(f"{one} and {other}"):
                found = [board.value(id) for id in ids if board.value(id)]
                f.say("W is a point on r at 0")
                whole = 1 if board.kind_of(r) == "arc" else 360
                before = None
                for number in range(721):
                    f.drag("W", whole * number / 720)
                    at = f.value("W")
                    side = self.side(board.kind_of(p), board.value(p), at) if at and max(map(abs, at)) < 30 else None
                    if before and side is not None and before[0] * side < 0 and distance(before[1], at) < 0.5:
                        self.assertLess(min(distance(at, crossing) for crossing in found), distance(before[1], at) + 1e-6)
                    before = (side, at) if side is not None else None

    @staticmethod
    def side(kind, value, at):
        if kind == "circle":
            return math.hypot(at[0] - value[0], at[1] - value[1]) ** 2 - value[2]
        if kind == "line":
            return value[2] * (at[1] - value[1]) - value[3] * (at[0] - value[0])
        fx, fy, ux, uy, latus = value
        x, y = at[0] - fx, at[1] - fy
        return x * x + y * y - (ux * x + uy * y + latus) ** 2

    @settings(max_examples=25, deadline=None)
    @given(st.sampled_from(list(pairs())), st.lists(point, min_size=1, max_size=3))
    def test_no_branch_jumps_unless_something_degenerate_was_crossed(self, pair, stops):
        """On a random path of a peg, a crossing moves by small steps; where it leaps, a crossing vanished or appeared,
        two met, or it went out at an end or to infinity just there. Coming back gives the same figure."""
        f = figure(pair[2])
        f.say("all crossings of p and r")
        ids = [step.id for step in f.board.steps if step.does == "intersection"]
        # The order of four crossings starts from a direction that a crossing may pass: see conics.conic_conic.
        assume(len(ids) < 4)
        at, seen = f.value("E"), []
        for stop in stops:
            for share in range(1, 81):
                f.drag("E", at[0] + (stop[0] - at[0]) * share / 80, at[1] + (stop[1] - at[1]) * share / 80)
                seen.append((f.value("E"), [f.board.value(id) for id in ids], list(f.board.values)))
            at = stop
        others = [f.board.value(step.id) for step in f.board.steps if step.does == "free_point" and f.board.name(step.id) != "E"]
        for (start, before, _), (stop, after, _) in itertools.pairwise(seen):
            if None in before or None in after or len(before) < 2:
                continue
            if any(distance(start, other) + distance(other, stop) < 2 * distance(start, stop) + 1e-9 for other in others):
                continue  # it went through another point, where there is no figure: two foci in one place are those of no hyperbola
            swapped = distance(before[0], after[1]) + distance(before[1], after[0])
            kept = distance(before[0], after[0]) + distance(before[1], after[1])
            if distance(*before) > 0.6 and distance(*after) > 0.6 and max(map(abs, (*before[0], *before[1], *after[0], *after[1]))) < 15:
                self.assertFalse(swapped < 0.2 < kept, f"{before} became {after}")
        for place, _, values in reversed(seen):
            f.drag("E", *place)
            self.assertEqual(f.board.values, values)

    def test_a_crossing_with_an_arc_or_a_conic_vanishes_and_comes_back(self):
        for text, peg, away, name in (
            (
                PATHS["arc"] + "\nD=(-1,-4)\nE=(-1,5)\nr is the line through D and E\nG is where p meets r, second crossing",
                "C",
                (3, 3),
                "G",
            ),
            (
                PATHS["ellipse"] + "\nD=(-4,1)\nE=(4,1)\nr is the line through D and E\nG is where r meets p, first crossing",
                "C",
                (0, 0.4),
                "G",
            ),
            (
                PATHS["ellipse"] + "\nD=(0,0)\nr is the circle with centre D and radius 2.2\nG is where r meets p, second crossing",
                "D",
                (9, 9),
                "G",
            ),
        ):
            f = figure(text)
            before, home = f.value(name), f.value(peg)
            self.assertIsNotNone(before)
            f.drag(peg, *away)
            self.assertIsNone(f.value(name))
            f.drag(peg, *home)
            self.assertEqual(f.value(name), before)
