"""Compass work: what is drawn by hand is what was made in one step, in a thousand positions, and is there in all of them."""

import unittest
from fractions import Fraction

import numpy as np

from ruddy_trellis.core import Figure
from ruddy_trellis.core.arithmetic import ARRAYS
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.catalogue.by_hand import WAYS, is_drawn
from ruddy_trellis.core.catalogue.by_hand.turning import check_drawable
from ruddy_trellis.core.catalogue.by_hand.ways import NONE, PRIMITIVE, SEVERAL
from ruddy_trellis.core.catalogue.by_hand.work import NotByHand
from ruddy_trellis.core.edits import ByHand, perform, prepare
from ruddy_trellis.core.edits.by_hand import CIRCLES, LINES, counted, has_compass_work
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.kinds import RAY, SEGMENT, VECTOR
from ruddy_trellis.core.kits import KITS
from ruddy_trellis.core.refusal import Refusal

POSITIONS = 1000
_FOUR = "A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (1, 3)\nD is a free point at (5, 2)\n"
_LINES = _FOUR + "p is the line through A and B\nq is the line through C and D\n"
_CIRCLES = _FOUR + "k is the circle with centre A through B\nE = (9, 1)\nF = (10.5, 1)\nl is the circle with centre E through F\n"

#: What the examples of the catalogue do not show: figures, and how many moves all that is drawn by hand in them takes, where that is known
#: from school (the construction as it is taught, each line and circle once).
FIGURES = {
    "perpendicular at a point of the line": (_FOUR + "r is the perpendicular to AB through A", 5),
    "perpendicular from a point": (_FOUR + "r is the perpendicular to AB through C", 3),
    "bisector of two lines": (_LINES + "r is the bisector of p and q, first one", None),
    "and the one square to it": (_LINES + "r is the bisector of p and q, second one", None),
    "first tangent": (_CIRCLES + "t is the tangent from E to k, first one", None),
    "second tangent": (_CIRCLES + "t is the tangent from E to k, second one", None),
    "touching points": (_CIRCLES + "both touching points from E on k", None),
    "outer tangent": (_CIRCLES + "t is the common tangent of k and l, first one", None),
    "other outer tangent": (_CIRCLES + "t is the common tangent of k and l, second one", None),
    "arc of one angle": (_FOUR + "k is the arc in which CD is seen under 45 degrees", None),
    "arc of a wide angle": (_FOUR + "k is the arc in which CD is seen under 120 degrees", None),
    "arc of a measured angle": (_FOUR + "α is the angle ABC\nk is the arc in which CD is seen under α degrees", None),
    "inner tangent": (_CIRCLES + "t is the common tangent of k and l, third one", None),
    "other inner tangent": (_CIRCLES + "t is the common tangent of k and l, fourth one", None),
    "ratio of whole numbers": (_FOUR + "P is the point that divides AB in the ratio 2 : 3", None),
    "ratio that is one of whole numbers": (_FOUR + "P is the point that divides AB in the ratio 1.5 : 1", None),
    "reflection": (_FOUR + "t is the reflection in CD\nthe image of A under t", 2),
    "half turn": (_FOUR + "t is the reflection in the point C\nthe image of A under t", 2),
    "translation": (_FOUR + "t is the translation from C to D\nthe image of A under t\nthe image of D under t", None),
    "glide": (_FOUR + "v is the vector from C to D\nt is the glide reflection in AB along v\nthe image of C under t", None),
    "rotation": (_FOUR + "t is the rotation about C by 45 degrees\nthe image of A under t", None),
    "rotation by a copied angle": (_FOUR + "t is the rotation about D by the angle ABC\nthe image of A under t", None),
    "about the corner itself": (_FOUR + "t is the rotation about B by the angle ABC\nthe image of D under t\nthe image of A under t", None),
    "turn by a measured angle": (_FOUR + "α is the angle ABC\nP is the point D turned about C by α degrees", 5),
    "enlargement": (_FOUR + "t is the enlargement from C by the factor 2.5\nthe image of A under t", None),
    "negative enlargement": (_FOUR + "t is the enlargement from C by the factor -0.4\nthe image of A under t", None),
    "by a ratio": (_FOUR + "q is the ratio of AB to CD\nt is the enlargement from C by the factor q\nthe image of A under t", None),
    "length marked off": (_FOUR + "P is the point at AB from C towards D", 2),
    "length of a reading": (_FOUR + "d is the length of AB\nk is the circle with centre C and radius d", 1),
    "arc turned over": (_FOUR + "k is the arc with centre A from B to C\nt is the reflection in CD\nthe image of k under t", None),
    "square": (_FOUR + "the square on the side from A to B", 7),
    "pentagon on a side": (_FOUR + "the regular polygon with 5 corners on the side from A to B", None),
    "hexagon": (_FOUR + "the regular polygon with 6 corners about A through B", 6),
    "decagon": (_FOUR + "the regular polygon with 10 corners about A through B", None),
    "fifteen corners": (_FOUR + "the regular polygon with 15 corners about A through B", None),
    "sixteen corners": (_FOUR + "the regular polygon with 16 corners about A through B", None),
    "kite": (_FOUR + "the kite with corners A, B, C", 2),
    "triangle from three sides": (_FOUR + "the triangle at A with sides AB, CD and BC", None),
    "two sides and an angle": (_FOUR + "the triangle at A with the sides AB and CD and the angle 45 between them", None),
    "isosceles trapezium": (_FOUR + "the isosceles trapezium with corners A, B, C", None),
    "crossings along a line that is drawn": (
        _FOUR + "r is the perpendicular to AB through C\nk is the circle with centre C through D\nX is where r meets k, second crossing", 3,
    ),
    "polar of a point": (_CIRCLES + "r is the polar of C in k", 7),
    "polar whose direction counts": (
        _CIRCLES + "r is the polar of C in k\nm is the circle with centre B and radius CD\nX is where r meets m, second crossing", None,
    ),
    "pole of a line": (_CIRCLES + "P is the pole of the line through C and D in k", None),
    "point of an ellipse": (_FOUR + "k is the ellipse with foci A and B through C\nP is a point on k at 70", None),
    "point of a hyperbola": (_FOUR + "k is the hyperbola with foci A and B through C\nP is a point on k at 100", None),
    "point of a parabola": (_FOUR + "k is the parabola with focus C and directrix AB\nP is a point on k at -60", None),
    "point of a parabola the other way round": (_FOUR + "k is the parabola with focus C and directrix BA\nP is a point on k at 80", None),
    "fourth proportional": (_FOUR + "k is the circle with centre A and radius AB * CD / BC", None),
    "third proportional": (_FOUR + "k is the circle with centre D and radius AB^2 / CD", None),
    "mean proportional": (_FOUR + "k is the circle with centre A and radius sqrt(AB * CD)", None),
    "root of two squares": (_FOUR + "k is the circle with centre C and radius sqrt(AB^2 + CD^2)", None),
    "root of a difference": (_FOUR + "k is the circle with centre C and radius sqrt(AB^2 - CD^2)", None),
    "sum of lengths": (_FOUR + "P is the point at AB + CD from C towards B", None),
    "difference of lengths": (_FOUR + "k is the circle with centre D and radius AB - CD", None),
    "three halves of a length": (_FOUR + "k is the circle with centre D and radius 3 * AB / 2", None),
    "diagonal of a square": (_FOUR + "k is the circle with centre D and radius sqrt(2) * AB", None),
    "a length of a length": (_FOUR + "d is the value of AB + BC\nk is the circle with centre D and radius sqrt(d * CD)", None),
    "one centre from another": (_FOUR + "O is the circumcentre of ABC\nH is the orthocentre of ABC\nM is the midpoint of O and H", None),
}  # fmt: skip


def board_of(text):
    figure = Figure()
    figure.say(text)
    return figure.board


def positions(board):
    """Numbers for every peg, a thousand of each, in general place: not near one another more often than chance has it."""
    random = np.random.default_rng(7)
    numbers = {}
    for step in board.steps:
        if step.moves == "free":
            numbers[step.id] = tuple(random.normal(0, 4, (2, POSITIONS)))
        elif step.moves == "sliding":
            round_path = board.kind_of(step.fills["path"][0]) in ("circle", "conic")
            numbers[step.id] = (random.uniform(-170, 170, POSITIONS) if round_path else random.uniform(0.1, 0.9, POSITIONS),)
    return numbers


def flat(value):
    """A value as rows of numbers, one for each position."""
    if value is None:
        return np.full((1, POSITIONS), np.nan)
    if isinstance(value, tuple):
        return np.concatenate([flat(part) for part in value])
    return np.broadcast_to(np.asarray(value, float), (1, POSITIONS))


class ByHandTest(unittest.TestCase):
    def check_same(self, text, closes=False, another=False):
        """That all that can be drawn by hand in a figure is the same drawn so."""
        board = board_of(text)
        ids = [step.id for step in board.steps if is_drawn(board, step)]
        after = board.copy()
        perform(after, ByHand(ids=ids, closes=closes, another=another))
        numbers = positions(board)
        slides = {step.fills["place"]: step.id for step in board.steps if step.does == "point_on"}
        for step in after.steps:
            # What slides in the place of a point of a conic goes in the same direction.
            if step.id not in board and step.does == "point_on" and step.fills["place"] in slides:
                numbers[step.id] = numbers[slides[step.fills["place"]]]
        with np.errstate(all="ignore"):
            before_values, after_values = board.evaluate(ARRAYS, numbers), after.evaluate(ARRAYS, numbers)
        for step in board.steps:
            self.assertEqual(after.name(step.id), board.name(step.id))
            self.assertEqual(after.step(step.id).look, step.look)
            self.check_thing(board, step, before_values, after_values, numbers)
        drawn = [step for step in after.steps if step.id not in board or step != board.step(step.id)]
        self.assertNotEqual(after.steps, board.steps)
        allowed = {*PRIMITIVE, "vector", "sector", "chord_region", *(() if closes else ("circle_radius",))}
        self.assertLessEqual({step.does for step in drawn}, allowed)
        return [step for step in drawn if step.does in (*LINES, *CIRCLES)]

    def check_thing(self, board, step, before, after, numbers):
        one, other = flat(before[step.id]), flat(after[step.id])
        kind = board.kind_of(step.id)
        if kind in (SEGMENT, RAY, VECTOR, "line"):
            one, other = one[:4], other[:4]  # how far it goes on is the same for its kind
        there = np.isfinite(one).all(axis=0)
        if step.does == "common_tangent" and step.fills["which"] in ("first", "second"):
            there &= flat(before[step.fills["a"][0]])[2] > flat(before[step.fills["b"][0]])[2]
        if step.does == "point_on" and board.step(step.fills["path"][0]).does == "parabola":
            there &= flat(before[step.fills["path"][0]])[4] * board.value(step.fills["path"][0])[4] > 0
        self.assertTrue((np.isfinite(other).all(axis=0) | ~there).all(), f"{board.name(step.id)} is not there by hand somewhere")
        self.assertGreater(there.sum(), POSITIONS / 20)
        one, other = one[:, there], other[:, there]
        if kind == "line":
            (ax, ay, adx, ady), (bx, by, bdx, bdy) = one, other
            size = np.hypot(adx, ady)
            off = np.abs((bx - ax) * ady - (by - ay) * adx) / size
            slant = np.abs(adx * bdy - ady * bdx) / size / np.hypot(bdx, bdy)
            self.assertLess(max(off.max(), slant.max()), 1e-5, board.name(step.id))
        else:
            apart = np.abs(one - other).max(axis=0) / (1 + np.abs(one).max(axis=0))
            self.assertLess(apart.max(), 1e-5, board.name(step.id))

    def test_every_way_on_its_example(self):
        for key in WAYS:
            if key in ("point_towards", "point_on"):
                continue  # their examples have a number, and a segment; among the figures they have a length, and conics
            for closes in (False, True):
                with self.subTest(key, closes=closes):
                    self.check_same(CATALOGUE[key].example, closes)

    def test_figures(self):
        for name, (text, count) in FIGURES.items():
            for closes in (False, True):
                with self.subTest(name, closes=closes):
                    moves = self.check_same(text, closes)
                    if count is not None and not closes:
                        self.assertEqual(len(moves), count)

    def test_second_ways(self):
        figures = {
            "tangent_from": [CATALOGUE["tangent_from"].example, _CIRCLES + "t is the tangent from E to k, second one"],
            "perpendicular": [_FOUR + "r is the perpendicular to AB through A", _FOUR + "r is the perpendicular to AB through C"],
            "dividing": [FIGURES["ratio of whole numbers"][0], FIGURES["ratio that is one of whole numbers"][0]],
        }
        for key, way in WAYS.items():
            self.assertEqual(bool(way.second), bool(way.called), key)
            for text in figures.get(key, [CATALOGUE[key].example]) if way.second else ():
                for closes in (False, True):
                    with self.subTest(key, closes=closes, text=text):
                        self.check_same(text, closes, True)
                board = board_of(text)
                one, other = board.copy(), board.copy()
                perform(one, ByHand(ids=[board.steps[-1].id]))
                perform(other, ByHand(ids=[board.steps[-1].id], another=True))
                self.assertNotEqual([step.does for step in one.steps], [step.does for step in other.steps])
        board = board_of(_FOUR + "M is the midpoint of AB")
        with self.assertRaises(Refusal):
            prepare(board, ByHand(ids=[board.steps[-1].id], another=True))

    def test_all_turns_that_can_be_drawn_and_no_others(self):
        for degrees in range(3, 360, 3):
            with self.subTest(degrees):
                self.check_same(_FOUR + f"P is the point B turned about A by {degrees} degrees", degrees % 2 == 1)
        for angle in (1, 10, 20, 40, 50, 100, Fraction(360, 7), Fraction(360, 9), Fraction(360, 17), Fraction(1, 3)):
            with self.assertRaises(NotByHand):
                check_drawable(Fraction(angle))
        for angle in (Fraction(45, 2), Fraction(45, 4), Fraction(3, 2)):
            check_drawable(angle)

    def test_what_cannot_be_drawn_says_why_and_changes_nothing(self):
        for text, words in (
            ("the regular polygon with 7 corners about A through B", "Gauss and Wantzel"),
            ("P is the point B turned about A by 10 degrees", "multiples of 3°"),
            ("P is the point B turned about A by 20 degrees", "cut into three"),
            ("h is the horizontal line through A", "level"),
            ("P is the point that divides AB in the ratio 100 : 1", "whole numbers"),
            ("k is the circle with centre A and radius 3", "a number is not on it"),
            ("k is the circle with centre A and radius pi * AB", "lengths are added"),
            ("k is the circle with centre A and radius AB * sin(30)", "lengths are added"),
            ("E = (2, -3)\nk is the conic through A, B, C, D and E\nP is a point on k at 40", "made from a focus"),
            ("AB is the segment from A to B", "as it is"),
        ):
            board = board_of(_FOUR + text)
            last = board.steps[-1] if "polygon" not in text else next(step for step in board.steps if step.does == "turned")
            before = list(board.steps)
            with self.assertRaises(Refusal) as told:
                prepare(board, ByHand(ids=[last.id]))
            self.assertIn(words, told.exception.sentence)
            self.assertFalse(has_compass_work(board, last.id))
            self.assertEqual(board.steps, before)

    def test_each_helper_is_drawn_once(self):
        board = board_of(_FOUR + "O is the circumcentre of ABC\nk is the circle through A, B and C\nM is the midpoint of AB")
        perform(board, ByHand())
        made = [(step.does, str(step.fills)) for step in board.steps]
        self.assertEqual(len(made), len(set(made)))
        alone = board_of(_FOUR + "O is the circumcentre of ABC")
        perform(alone, ByHand())
        self.assertLessEqual(
            sum(counted(board, [step.id for step in board.steps])), sum(counted(alone, [step.id for step in alone.steps])) + 2
        )

    def test_what_slides_on_it_stays_where_it_is(self):
        slides = (
            "p is the perpendicular bisector of AB\nP is a point on p at 0.4\nk is the circle through A, B and C\nQ is a point on k at 70"
        )
        board = board_of(_FOUR + slides)
        before = [board.value(board.find(name)) for name in "PQ"]
        perform(board, ByHand())
        for name, (x, y) in zip("PQ", before):
            now = board.value(board.find(name))
            self.assertAlmostEqual(now[0], x, places=6)
            self.assertAlmostEqual(now[1], y, places=6)

    def test_it_is_one_edit_and_goes_back(self):
        alone = Alone(board_of(_FOUR + "M is the midpoint of AB\nN is the midpoint of M and C"))
        before = list(alone.board.steps)
        for text in ("compass work of M", "draw N by hand", "construct N with compass and straightedge", "everything as compass work"):
            answers = alone.do(t="say", text=text)
            self.assertIn("by hand", answers[-1]["words"], text)
            self.assertFalse({"midpoint"} & {alone.board.step(id).does for id in ("s6" if "N" in text else "s5",)}, text)
            alone.do(t="undo")
            self.assertEqual(alone.board.steps, before)
        moves = {
            "compass work of p": "5 moves",
            "draw p by hand, another way": "5 moves",
            "compass work of p with a compass that closes": "5 moves",
            "compass work of p, another way, with a closing compass": "5 moves",
        }
        alone.do(t="say", text="p is the perpendicular to AB through A")
        for text, words in moves.items():
            self.assertIn(words, alone.do(t="say", text=text)[-1]["words"], text)
            alone.do(t="undo")
        alone.do(t="undo")
        self.assertIn("4 moves", alone.do(t="say", text="compass work of M")[-1]["words"])
        self.assertIn("4 moves", alone.do(t="say", text="how many moves for M?")[-1]["words"])

    def test_tables_name_what_there_is(self):
        for key in (*WAYS, *NONE, *PRIMITIVE, *SEVERAL):
            self.assertIn(key, CATALOGUE)
        self.assertFalse(set(WAYS) & set(NONE))
        for key in SEVERAL:
            board = board_of(CATALOGUE[key].example)
            made = {step.does for step in board.steps}
            self.assertTrue(made & set(WAYS) or made <= {*PRIMITIVE, "circle_radius"}, key)
        for code in ("compass", "closing"):
            self.assertLessEqual(KITS[code].keys, {*PRIMITIVE, "circle_radius"})


if __name__ == "__main__":
    unittest.main()
