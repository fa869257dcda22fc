"""What is said of a claim is so: families of claims that once were told wrongly, each with its relatives."""

import unittest

from ruddy_trellis.core.board import Board
from ruddy_trellis.core.edits import Add, perform
from ruddy_trellis.core.edits.saying import claim_said
from ruddy_trellis.core.lesson.file import BoardData, board_from_data, board_to_json
from ruddy_trellis.core.truth.claimed import Claimed
from ruddy_trellis.core.truth.resting import rests_on

from .figures import figure

TRIANGLE = "A = (0, 0)\nB = (6, 1)\nC = (2, 5)\nABC is the polygon through A, B, C\n"


class Told(unittest.TestCase):
    def told(self, text, **wanted):
        f = figure(text)
        for verdict, claims in wanted.items():
            for claim in claims:
                with self.subTest(claim):
                    found = f.claim(claim)
                    self.assertEqual(found.verdict, verdict.replace("_", " "), found.why)
                    if verdict == "fails":
                        self.assertTrue(found.positions, "with a position that breaks it")
                    if verdict == "stands":
                        self.assertGreaterEqual(found.held, 24)


class EquationsTest(Told):
    def test_nothing_on_one_side_is_compared_to_the_parts_of_the_other(self):
        self.told(
            TRIANGLE + "O is the circumcentre of ABC",
            fails=["angle BOC - 2*angle BAC = 0", "AB - AC = 0", "0 = BC - 2 AC"],
            proved=["OA - OB = 0", "angle ABC + angle BCA + angle CAB - 180 = 0", "0 = OA^2 - OC^2"],
        )
        self.told(
            "A = (0, 0)\nB = (6, 1)\np is the line through A and B\nP is a point on p at 0.3\nu is the angle PAB",
            fails=["AP + PB - AB = 0", "u is constant while P moves", "u = 0"],
        )
        self.told("A = (0, 0)\nB = (6, 1)\nP is a point on AB at 0.3", proved=["AP + PB - AB = 0", "angle PAB = 0"])
        self.told(
            "A = (0, 0)\nB = (6, 1)\nC = (7, 4)\nD = (1, 6)\nABCD is the polygon through A, B, C, D",
            fails=["angle ABC + angle BCD + angle CDA + angle DAB - 360 = 0"],
        )
        self.told(
            TRIANGLE + "D is the point at a distance 2.5 from A towards C\nE = (1, 9)",
            fails=["angle ACD = angle CDE", "angle ACD = 0"],
        )

    def test_what_intervals_could_not_follow(self):
        conic = (
            "A = (0, 0)\nB = (4, 0)\nC = (3, 3)\ne is the ellipse with foci A and B through C\np is the axis of e\n"
            "M is the midpoint of AB\nq is the perpendicular to p through M\nZ is where p meets e, first crossing\n"
            "V is where p meets e, second crossing\nW is where q meets e, first crossing\nU is where q meets e, second crossing"
        )
        self.told(conic, fails=["ZW = ZV", "MZ = MW", "ZV = 2 MW"], proved=["MZ = MV", "MW = MU", "ZV = AC + CB", "WA + WB = AC + CB"])
        locus = (
            "A = (0, 0)\nB = (4, 0)\nN is the midpoint of AB\nk is the circle with centre A through B\nP is a point on k at 40\n"
            "Q is the midpoint of PB\nl is the locus of Q as P moves\nR is a point on l at 0.2\n"
        )
        self.told(locus, stands=["NR = AB/2"], fails=["NR = AB", "NR = 0.501 AB"])
        region = (
            "A = (0, 0)\nj is the places at most 2 from A\nz is the region where all of j hold\nS is the area of z\nu is the perimeter of z"
        )
        self.told(region, stands=["S = 4*pi"], fails=["S = 4.01*pi", "S = pi"], cannot_be_told=["S = 4.0001*pi"])

    def test_what_can_be_asked_in_one_position_only_or_nowhere(self):
        self.told(TRIANGLE + "O is the circumcentre of ABC\np is the parallel to AB through O\nq is the parallel to AB through C\n"
                  "r is the line through A and B", cannot_be_told=["p, q and r go through one point"])  # fmt: skip


class PolygonsTest(Told):
    def test_regular_polygons_of_any_number_of_corners(self):
        for count in (5, 7, 9, 11, 13, 17, 60):
            for text in ("with {} corners on the side from A to B", "with {} corners about A through B"):
                f = figure(f"A = (0, 0)\nB = (2, 0.3)\nthe regular polygon {text.format(count)}")
                corners = [f.board.name(step.id) for step in f.board.steps if step.makes == "point"]
                corners = corners if "side" in text else corners[1:]
                (name,) = [f.board.name(step.id) for step in f.board.steps if step.makes == "polygon"]
                wanted = ("proved",) if count in (5, 60) else ("proved", "stands")
                with self.subTest(f"{count} {text}"):
                    self.assertIn(f.claim(f"{corners[-1]}{corners[0]} = {corners[0]}{corners[1]}").verdict, wanted)
                    found = f.claim(f"{name} is regular")
                    self.assertIn(found.verdict, wanted)
                    self.assertIn("too many corners" if found.verdict == "stands" else "", found.why)
                    self.assertEqual(f.claim(f"{corners[0]}{corners[2]} = {corners[0]}{corners[1]}").verdict, "fails")
                    again = figure(f.working()).board
                    self.assertEqual([step.fills for step in again.steps], [step.fills for step in f.board.steps])
                    self.assertEqual(list(again.values), list(f.board.values), "not a bit has moved")

    def test_shapes_by_their_full_definition(self):
        star = "A = (0, 0)\nB = (4, 0)\n" + "".join(f"{q} is {p} turned by 144 degrees about A\n" for p, q in zip("BCDE", "CDEF"))
        self.told(star + "BCDEF is the polygon through B, C, D, E, F", fails=["BCDEF is regular"])
        self.told(star + "BEC is the polygon through B, D, E, F, C\n", fails=["BEC is regular"])
        self.told(
            "A = (0, 0)\nB = (4, 0)\nC = (5, 3)\np is the parallel to AB through C\nD is a point on p at 0.5\n"
            "ABCD is the polygon through A, B, C, D", fails=["ABCD is a trapezium"],
        )  # fmt: skip
        self.told(
            "A = (0, 0)\nB = (4, 0)\nC = (5, 3)\nD is the point C turned about B by 0 degrees\nE is the fourth corner of the parallelogram "
            "A, B, C\nABCE is the polygon through A, B, C, E", proved=["ABCE is a trapezium", "ABCE is a parallelogram"],
        )  # fmt: skip
        cross = "".join(f"{name} = {at}\n" for name, at in zip("ABCDEFGHIJKL", (
            (1, 0), (2, 0), (2, 1), (3, 1), (3, 2), (2, 2), (2, 3), (1, 3), (1, 2), (0, 2), (0, 1), (1, 1))))  # fmt: skip
        self.told(cross + "n is the polygon through A, B, C, D, E, F, G, H, I, J, K, L", fails=["n is regular"])


class PartsTest(Told):
    def test_segments_rays_and_arcs_end_where_they_end(self):
        self.told(
            "A = (0, 0)\nB = (5, 0)\nM is the midpoint of AB\ns is the segment from A to B\nP is a point on s at 0.3\n"
            "r is the line through A and B\nR is a point on r at 0.3\nu is the ray from A through B\nQ is a point on u at 0.5",
            proved=["M lies on s", "P lies on s", "A lies on s", "B lies on s", "R lies on r", "R lies on line s", "P lies on u",
                    "Q lies on line AB", "R lies on the whole line of u"],
            fails=["R lies on s", "R lies on u", "Q lies on s", "R lies on segment AB"],
        )  # fmt: skip
        self.told(
            "A = (0, 0)\nB = (5, 0)\na is the semicircle on AB\nP = (9, 4)\nT is the touching point from P on a\nC is a point on a at 0.3\n"
            "M is the midpoint of AB\nk is the circle with centre M through B\nD is a point on k at 200",
            proved=["C lies on a", "A lies on a", "B lies on a", "C lies on k", "T lies on k"], fails=["T lies on a", "D lies on a"],
        )  # fmt: skip
        self.told(
            "A = (0, 0)\nB = (5, 0)\nk is the circle with centre A through B\nP is a point on k at 40\nt is the tangent to k at P\n"
            "C is a point on t at 1.3\nD is a point on t at 2.4\ns is the segment from C to D\nv is the segment from P to C",
            fails=["s is tangent to k"], proved=["line s is tangent to k", "v is tangent to k", "t is tangent to k"],
        )  # fmt: skip

    def test_a_claim_of_an_older_file_keeps_the_words_by_which_it_was_tried(self):
        f = figure(
            "A = (0, 0)\nB = (5, 0)\ns is the segment from A to B\nr is the line through A and B\nR is a point on r at 0.3\n"
            "the claim that R lies on s at (0, 3)"
        )
        data = board_to_json(f.board)
        self.assertEqual(data["claims"], 2)
        self.assertEqual(board_from_data(BoardData.model_validate(data)).steps[-1].does, "lies_on")
        older = board_from_data(BoardData.model_validate({name: part for name, part in data.items() if name != "claims"}))
        self.assertEqual(older.steps[-1].does, "lies_on_line")


class ConditionsTest(Told):
    def conditions(self, text, claim):
        found = figure(text).claim(claim)
        self.assertEqual(found.verdict, "proved", found.why)
        return set(found.conditions)

    def test_they_are_complete_and_no_more_than_needed(self):
        two = "k is the circle with centre A and radius 3\nc is the circle with centre B and radius 2\nq is the line through A and B\n"
        for text, claim, wanted in (
            (two + "p is the radical axis of k and c", "p is perpendicular to q", {"k and c have different centres"}),
            (two + "r is the polar of C in k\ns is the line through A and C", "r is perpendicular to s", {"C is not the centre of k"}),
            ("e is the Euler line of ABC\nO is the circumcentre of ABC", "O lies on e",
             {"A, B and C are not in line", "A, B and C are not the corners of an equilateral triangle"}),
            ("D is the fourth corner of the parallelogram A, B, C", "AB = CD", set()),
            ("α is the directed angle ABC\nβ is the directed angle CBA", "α + β = 360", {"C is not on ray BA", "A is not on ray BC"}),
            (two + "t is the reflection in the circle k\nD is the image of C under t", "A, C and D are in line",
             {"C is not the centre of t"}),
        ):  # fmt: skip
            with self.subTest(claim):
                self.assertEqual(self.conditions(TRIANGLE + text, claim), {f"where {one}" for one in wanted})

    def test_what_they_say_is_where_the_figure_is_not_there(self):
        """The other way round: where a condition of a definition is broken, what it makes has no value."""
        for text, name in (
            ("A = (0, 0)\nk is the circle with centre A and radius 3\nc is the circle with centre A and radius 2\n"
             "p is the radical axis of k and c", "p"),
            ("A = (0, 0)\nk is the circle with centre A and radius 3\nr is the polar of A in k", "r"),
            ("A = (0, 0)\nB = (4, 0)\nC is B turned by 60 degrees about A\ne is the Euler line of ABC", "e"),
            ("A = (0, 0)\nB = (4, 0)\nC = (0, 1)\np is the line through A and B\nq is the parallel to p through C\n"
             "r is the bisector of p and q", "r"),
            ("A = (0, 0)\nB = (0.2, 0)\nk is the circle with centre A and radius 3\nc is the circle with centre B and radius 1\n"
             "t is the common tangent of k and c", "t"),
        ):  # fmt: skip
            f = figure(text)
            self.assertIsNone(f.board.value(f.board.find(name)), text)


class RestingTest(unittest.TestCase):
    def test_every_kind_of_circle_can_be_loosened(self):
        for text, claim in (
            (TRIANGLE + "k is the circle through A, B and C\nO is the centre of k", "OA = OB"),
            (TRIANGLE + "k is the incircle of ABC", "line AB is tangent to k"),
            (TRIANGLE + "k is the circle on the diameter from A to B\nD is a point on k at 50", "AD is perpendicular to DB"),
            (TRIANGLE + "k is the circle with centre A and radius 3\nD is a point on k at 50", "AD = 3"),
        ):
            f = figure(text)
            board: Board = f.board.copy()
            perform(board, Add(steps=claim_said(claim, f.board)))
            ties = rests_on(board, board.steps[-1].id)
            self.assertTrue(any(tie.words.startswith("k is") for tie in ties), claim)


class MarkTest(unittest.TestCase):
    def mark(self, text, claim):
        f = figure(text)
        board = f.board.copy()
        perform(board, Add(steps=claim_said(claim, f.board)))
        return Claimed(board, board.steps[-1].id).mark

    def test_a_verdict_is_for_what_was_tried(self):
        two = (
            "A = (-2, 0)\nB = (2, 0)\nC = (0, 1.5)\nD = (0.2, 0.3)\nk is the ellipse with foci A and B through C\n"
            "c is the circle with centre D and radius 2\nE is where k meets c, {} crossing"
        )
        first, again, second = (self.mark(two.format(which), "EA + EB = CA + CB") for which in ("first", "first", "second"))
        self.assertEqual(first, again)
        self.assertNotEqual(first, second)
        self.assertNotEqual(self.mark("A = (0, 0)\nB = (1, 1)\nk is the circle with centre A and radius 2", "AB = 2"),
                            self.mark("A = (0, 0)\nB = (1, 1)\nk is the circle with centre A and radius 2.5", "AB = 2.5"))  # fmt: skip
