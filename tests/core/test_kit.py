"""Arcs, conics, shapes that keep their kind, equations, marks: against properties of their figures."""

import itertools
import math
import unittest

from hypothesis import assume, given, settings
from hypothesis import strategies as st

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.board.nearest import distance_to_path
from ruddy_trellis.core.display.marking import agrees, group_of, groups
from ruddy_trellis.core.display.text import value_text
from ruddy_trellis.core.pointing.picking import point_on_path

from .figures import distance, figure

coordinate = st.floats(-6, 6).map(lambda number: round(number, 2))
point = st.tuples(coordinate, coordinate)

#: One path of every sort, all of which meet the others.
PATHS = {
    "segment": "A=(-5,-2)\nB=(5,2.5)\np is the segment from A to B",
    "ray": "A=(-5,2)\nB=(1,0)\np is the ray from A through B",
    "line": "A=(-2,-5)\nB=(1,5)\np is the line through A and B",
    "circle": "A=(0.3,0.2)\nB=(2.8,0)\np is the circle with centre A through B",
    "arc": "A=(-0.5,0)\nB=(2.5,-1)\nC=(-3,0.5)\np is the arc with centre A from B to C",
    "ellipse": "A=(-2,0.3)\nB=(2,-0.2)\nC=(0,1.8)\np is the ellipse with foci A and B through C",
    "hyperbola": "A=(-2,0)\nB=(2,0.4)\nC=(1.1,1)\np is the hyperbola with foci A and B through C",
    "parabola": "A=(0,1)\nB=(-3,-1.2)\nC=(3,-0.8)\nq is the line through B and C\np is the parabola with focus A and directrix q",
}


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


def off(board, name, at):
    """How far a point is from a path, arcs and segments with their ends."""
    id = board.find(name)
    return distance_to_path(board.kind_of(id), board.value(id), at)


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
        for (_, before, _), (_, after, _) in itertools.pairwise(seen):
            if None in before or None in after or len(before) < 2:
                continue
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


class ArcTest(unittest.TestCase):
    @settings(max_examples=60, deadline=None)
    @given(point, point, point, st.floats(0.02, 0.98))
    def test_arcs(self, a, b, c, share):
        assume(min(distance(a, b), distance(b, c), distance(a, c)) > 0.3)
        assume(abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) > 0.3)
        f = figure(
            "A=(0,0)\nB=(3,1)\nC=(1,4)\nk is the arc with centre A from B to C\nP is a point on k at 0.5\nc is the arc through A, B and C\n"
            "u is the arc length of k\ns is the sector with centre A from B to C\nt is the chord region with centre A from B to C\n"
            "S is the area of s\nT is the area of t\nα is the directed angle BAC\nh is the semicircle on the diameter from A to B\n"
            "Q is a point on h at 0.3\nβ is the angle AQB"
        )
        for name, at in zip("ABC", (a, b, c)):
            f.drag(name, *at)
        f.drag("P", share)
        radius, turn = distance(a, b), math.radians(f.read("α"))
        self.assertAlmostEqual(distance(f.value("P"), a), radius)
        self.assertAlmostEqual(f.read("u"), radius * turn, places=6)
        self.assertAlmostEqual(f.read("S"), radius**2 * turn / 2, places=6)
        self.assertAlmostEqual(f.read("T"), radius**2 * (turn - math.sin(turn)) / 2, places=6)
        swept = math.atan2(f.value("P")[1] - a[1], f.value("P")[0] - a[0]) - math.atan2(b[1] - a[1], b[0] - a[0])
        self.assertAlmostEqual((swept % (2 * math.pi)) / turn, share, places=6)
        self.assertAlmostEqual(f.read("β"), 90, places=5, msg="the angle in a semicircle")
        through = f.value("c")
        for corner in (a, b, c):
            self.assertAlmostEqual(distance(corner, through[:2]) ** 2 / through[2], 1, places=6)
        chord = (b[0] - through[3]) * (through[6] - through[4]) - (b[1] - through[4]) * (through[5] - through[3])
        self.assertGreater(chord, 0, "it goes by way of the middle point")


class ConicTest(unittest.TestCase):
    @settings(max_examples=50, deadline=None)
    @given(point, point, point, st.floats(0, 360))
    def test_sums_differences_and_distances(self, a, b, c, angle):
        apart, sides = distance(a, b), (distance(a, c), distance(b, c))
        assume(apart > 0.4 and sum(sides) > 1.02 * apart and 0.03 < abs(sides[0] - sides[1]) / apart < 0.97)
        f = figure(
            "A=(0,0)\nB=(4,0)\nC=(1,3)\nk is the ellipse with foci A and B through C\nh is the hyperbola with foci A and B through C\n"
            "p is the line through A and B\nd is the parabola with focus C and directrix p\nP is a point on k at 0\n"
            "Q is a point on h at 0\nR is a point on d at 0\n"
            "e_k is the eccentricity of k\ne_h is the eccentricity of h\nboth foci of h\nw is the distance from R to p\n"
            "c is the conic through PQRAB"
        )
        f.drag("A", *a), f.drag("B", *b), f.drag("C", *c)
        for name in "PQR":
            f.drag(name, angle)
        if at := f.value("P"):
            self.assertAlmostEqual(distance(at, a) + distance(at, b), sum(sides), places=6)
        if (at := f.value("Q")) and max(map(abs, at)) < 1e3:
            self.assertAlmostEqual(abs(distance(at, a) - distance(at, b)), abs(sides[0] - sides[1]), places=5)
        if (at := f.value("R")) and max(map(abs, at)) < 1e3:
            self.assertAlmostEqual(distance(at, c), f.read("w"), places=5)
        self.assertAlmostEqual(f.read("e_k"), apart / sum(sides))
        self.assertAlmostEqual(f.read("e_h"), apart / abs(sides[0] - sides[1]))

    def test_five_points_find_the_conic_they_were_taken_from(self):
        for sort in ("ellipse", "hyperbola", "parabola", "circle"):
            with self.subTest(sort):
                f = figure(
                    PATHS[sort]
                    + "\n"
                    + "\n".join(f"{name} is a point on p at {angle}" for name, angle in zip("GHIJK", (20, 95, 150, 215, 300)))
                )
                f.say("n is the conic through GHIJK\ne_n is the eccentricity of n")
                for angle in range(5, 360, 35):
                    at = point_on_path(f.board, (f.board.find("p"),), (5 * math.cos(angle), 5 * math.sin(angle))).at
                    self.assertLess(off(f.board, "n", at), 1e-5)
                wanted = {"parabola": 1, "circle": 0}.get(sort)
                if wanted is not None:
                    self.assertAlmostEqual(f.read("e_n"), wanted, places=6)

    def test_degenerate_conics_vanish(self):
        f = figure(
            "A=(-2,0)\nB=(2,0)\nC=(0,1)\nk is the ellipse with foci A and B through C\np is the line through A and B\n"
            "d is the parabola with focus C and directrix p\n"
            "h is the hyperbola with foci A and B through C\nD=(1,2)\nE=(3,-1)\nn is the conic through ABCDE"
        )
        self.assertIsNone(f.value("h"), "its point is as far from one as from the other")
        f.drag("C", 0.5, 0)
        self.assertEqual([f.value(name) for name in "kd"], [None, None])
        self.assertIsNone(f.value("n"), "three in line")
        f.drag("C", 0.5, 1)
        self.assertNotIn(None, [f.value(name) for name in "kdhn"])


class ShapeTest(unittest.TestCase):
    """A shape stays what it is, wherever any of its pegs goes."""

    @settings(max_examples=30, deadline=None)
    @given(st.lists(st.tuples(st.sampled_from("ABC"), point), min_size=1, max_size=5), st.floats(-3, 3))
    def test_kinds_are_kept(self, moves, place):
        for key, free in (
            ("square", 2),
            ("rectangle", 2),
            ("rhombus", 2),
            ("kite", 3),
            ("parallelogram", 3),
            ("trapezium", 3),
            ("isosceles_trapezium", 3),
        ):
            f = figure("A=(0,0)\nB=(4,0.5)\nC=(3,3)\n")
            f.make(key, corners=("A", "B", "C")) if free == 3 else f.make(key, from_="A", to="B")
            for name, to in moves:
                if name in "AB" or free == 3:
                    f.drag(name, *to)
            for step in f.board.steps:
                if step.moves == "sliding":
                    f.drag(f.board.name(step.id), place * (1 if key != "rhombus" else 60))
            polygon = f.board.values[-1]
            if polygon is None:
                continue
            sides = [(q[0] - p[0], q[1] - p[1]) for p, q in zip(polygon, polygon[1:] + polygon[:1])]
            lengths = [math.hypot(*side) for side in sides]
            cross = lambda u, v: u[0] * v[1] - u[1] * v[0]
            dot = lambda u, v: u[0] * v[0] + u[1] * v[1]
            if key in ("square", "rectangle"):
                self.assertAlmostEqual(dot(sides[0], sides[1]), 0, places=6)
            if key in ("square", "rhombus"):
                for length in lengths:
                    self.assertAlmostEqual(length, lengths[0], places=6)
            if key in ("rectangle", "rhombus", "parallelogram", "square"):
                self.assertAlmostEqual(cross(sides[0], sides[2]), 0, places=6)
                self.assertAlmostEqual(cross(sides[1], sides[3]), 0, places=6)
            if key in ("trapezium", "isosceles_trapezium"):
                self.assertAlmostEqual(cross(sides[0], sides[2]), 0, places=5)
            if key == "isosceles_trapezium":
                self.assertAlmostEqual(lengths[1], lengths[3], places=5)
            if key == "kite":
                self.assertAlmostEqual(lengths[0], lengths[3], places=5)
                self.assertAlmostEqual(lengths[1], lengths[2], places=5)

    def test_regular_polygons_and_triangles(self):
        for count in (3, 5, 8, 17):
            for sentence in (
                f"the regular polygon with {count} corners on the side from A to B",
                f"the regular polygon with {count} corners about A through B",
            ):
                f = figure(f"A=(0,0)\nB=(2,1)\n{sentence}")
                polygon = f.board.values[-1]
                self.assertEqual(len(polygon), count)
                lengths = [distance(p, q) for p, q in zip(polygon, polygon[1:] + polygon[:1])]
                self.assertLess(max(lengths) - min(lengths), 1e-9)
                f.say(f"all angles inside {f.board.name(f.board.steps[-1].id)}")
                for value in f.board.values[-count:]:
                    self.assertAlmostEqual(value, 180 - 360 / count)
        f = figure("A=(1,1)\nthe triangle at A with sides 4, 3 and 2.5")
        a, b, c = f.board.values[-1]
        self.assertEqual([round(distance(*pair), 9) for pair in ((a, b), (b, c), (c, a))], [4, 3, 2.5])
        f = figure("A=(1,1)\nthe triangle at A with the sides 4 and 3 and the angle 50 between them\nα is the angle BAC")
        self.assertAlmostEqual(f.read("α"), 50)
        f = figure("A=(1,1)\nthe triangle at A with the side 4 and the angles 40 and 65\nα is the angle CBA")
        self.assertAlmostEqual(f.read("α"), 65)
        f = figure("A=(1,1)\nB=(3,1)")
        for sentence, part in {
            "the regular polygon with 2 corners about A through B": "3 to 40",
            "the regular polygon with 4.5 corners about A through B": "whole",
            "the triangle at A with the side 4 and the angles 140 and 65": "below 180",
        }.items():
            with self.assertRaises(Refusal) as caught:
                f.say(sentence)
            self.assertIn(part, caught.exception.sentence)

    def test_angles_of_a_polygon_with_a_dent_in_either_order(self):
        for corners in ("A, B, C, D", "D, C, B, A"):
            f = figure(f"A=(0,0)\nB=(4,0)\nC=(1,1)\nD=(0,4)\nn is the polygon through {corners}\nall angles inside n")
            values = f.board.values[-4:]
            self.assertAlmostEqual(sum(values), 360)
            self.assertGreater(max(values), 180)


class TangentTest(unittest.TestCase):
    @settings(max_examples=40, deadline=None)
    @given(point, st.floats(0.3, 3), st.floats(0.3, 3))
    def test_common_tangents_touch_both(self, at, first, second):
        f = figure("A=(0,0)\nB=(9,9)")
        f.make("circle_radius", name="k", centre="A", radius=first)
        f.make("circle_radius", name="c", centre="B", radius=second)
        f.say("all common tangents of k and c")
        f.drag("B", *at)
        apart = distance((0, 0), at)
        assume(min(abs(apart - first - second), abs(apart - abs(first - second))) > 1e-2)
        tangents = [value for value in f.board.values[-4:] if value]
        self.assertEqual(len(tangents), 4 if apart > first + second else 2 if apart > abs(first - second) else 0)
        for px, py, dx, dy, *_ in tangents:
            for (x, y), radius in (((0, 0), first), (at, second)):
                self.assertAlmostEqual(abs(dx * (y - py) - dy * (x - px)) / math.hypot(dx, dy), radius, places=6)


class EquationTest(unittest.TestCase):
    def test_lines_circles_and_conics(self):
        f = figure(
            "x = 4\na: y = 3x - 1\n5x + 2y = 10\ny = ±2\nk: x^2 + y^2 = 25\nc is the circle (x - 1)^2 + (y + 2)² = 9\n"
            "n: y = x^2 / 4\nm is the line 2(x - y) = x + 3"
        )
        sentences = f.working().splitlines()
        self.assertEqual(len(sentences), 9)
        on = lambda name, x, y: abs(f.value(name)[2] * (y - f.value(name)[1]) - f.value(name)[3] * (x - f.value(name)[0])) < 1e-9
        self.assertTrue(on("a", 0, -1) and on("a", 1, 2))
        self.assertTrue(on("m", 3, 0) and on("m", 5, 1))
        self.assertEqual(f.value("k"), (0, 0, 25))
        self.assertEqual(f.value("c"), (1, -2, 9))
        self.assertAlmostEqual(f.value("n")[1], 1, msg="the focus of y = x²/4 is (0, 1)")
        self.assertEqual([line.split(" is ")[1] for line in sentences[3:5]], ["the line y = +2", "the line y = −2"])
        readings = {}
        for name in "akcn":
            f.say(f"equation_{name} is the equation of {name}")
            readings[name] = value_text(f.board, next(id for id in f.board.ids_named(f"equation_{name}")))
        self.assertEqual(
            readings, {"a": "y = 3.00x − 1.00", "k": "x² + y² = 25.00", "c": "(x − 1.00)² + (y + 2.00)² = 9.00", "n": "x² − 4.00y = 0.00"}
        )

    def test_what_is_no_equation_is_refused_in_words(self):
        f = figure("A=(0,0)")
        for sentence, part in {
            "the line y = z + 1": "neither x nor y",
            "the line y = x^2": "not the equation of a line",
            "the circle x^2 + y^2 = -4": "No points",
            "the conic x*y = 0": "No points",
            "the line x = x": "Neither x nor y is left",
            "the line y = x^3": "squares",
            "the line y = 1 / x": "plain numbers",
        }.items():
            with self.subTest(sentence), self.assertRaises(Refusal) as caught:
                f.say(sentence)
            self.assertIn(part, caught.exception.sentence)
        self.assertEqual(len(f.board), 1)


class MarkTest(unittest.TestCase):
    def test_a_mark_forces_nothing_and_says_when_the_figure_disagrees(self):
        f = figure(
            "A=(0,0)\nB=(4,0)\nC=(0,4)\nD=(4,4)\nm is the equal-length mark on AB drawn twice\n"
            "n is the equal-length mark on AC drawn twice\n"
            "o is the right-angle mark at BAC\np is the parallel mark on AB\nq is the parallel mark on CD\n"
            "r is the equal-angle mark at ABC\ns is the equal-angle mark at ACB"
        )
        ask = lambda name: agrees(f.board, groups(f.board)[group_of(f.board.step(f.board.find(name)))])
        self.assertEqual([ask(name) for name in "mopr"], [True] * 4)
        f.drag("C", 0.3, 5)
        self.assertEqual([ask(name) for name in "mopr"], [False] * 4)
        f.drag("C", 0, 4)
        self.assertEqual([ask(name) for name in "mopr"], [True] * 4)
        f.say("t is the equal-length mark on BC drawn once")
        self.assertTrue(ask("m"), "another number of strokes says nothing of these")
