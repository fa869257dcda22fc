"""Images that are called by their corners, shapes of the points that were just put, circles in shapes of more than three corners."""

import cmath
import unittest

from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import understood
from tests.bank.boards import BOARDS


def said(name, text):
    """The board after a sentence, with the places of its points by name."""
    board = BOARDS[name]().board
    perform(board, understood(text, board).edit)
    return board, {board.name(step.id): complex(*board.value(step.id)) for step in board.steps if step.makes == "point"}


class ImagesTest(unittest.TestCase):
    def test_each_corner_of_an_image_is_that_of_its_own(self):
        mirrored = lambda at: lambda z: at["B"] + (at["C"] - at["B"]) * ((z - at["B"]) / (at["C"] - at["B"])).conjugate()
        turned = lambda at: lambda z: at["A"] + (z - at["A"]) * 1j
        moved = lambda at: lambda z: z + at["B"] - at["A"]
        about_the_middle = lambda at: lambda z: at["B"] + at["C"] - z
        for text, names, wanted in (
            ("Let DEF be the reflection of ABC in BC.", "DEF", mirrored),
            ("Let A'B'C' be the image of ABC under the rotation about A by 90°.", ("A′", "B′", "C′"), turned),
            ("Let A'B'C' be the image of ABC under a quarter turn about A.", ("A′", "B′", "C′"), turned),
            ("Let DEF be the image of ABC under the half-turn about the midpoint of BC.", "DEF", about_the_middle),
            ("reflect triangle ABC in BC and call the image PQR", "PQR", mirrored),
            ("translate ABC by the vector AB and label the image PQR", "PQR", moved),
            ("rotate ABC about A by 90 degrees, giving PQR", "PQR", turned),
        ):
            with self.subTest(text):
                board, at = said("tri", text)
                for corner, name in zip("ABC", names, strict=True):
                    self.assertLess(abs(at[name] - wanted(at)(at[corner])), 1e-9, name)
                self.assertEqual(board.steps[-1].fills["corners"], tuple(board.find(name) for name in names))

    def test_names_that_are_not_its_corners_are_refused(self):
        for name, text in (
            ("quad", "Let PQR be the image of ABCD under the reflection in AB."),
            ("tri", "Let ABF be the image of ABC under the half-turn about A."),
            ("tri", "reflect triangle ABC in BC and call the image PQ"),
        ):
            with self.subTest(text), self.assertRaises(Refusal):
                said(name, text)


class JustPutTest(unittest.TestCase):
    def test_a_shape_after_as_many_points_is_theirs(self):
        for name, text, count in (
            ("circ", "put three points on the circle and make a triangle", 3), ("empty", "plot three points and draw a triangle", 3),
            ("empty", "four points; make a quadrilateral", 4),
        ):  # fmt: skip
            with self.subTest(text):
                known = len(BOARDS[name]().board)
                board, at = said(name, text)
                self.assertEqual(len(board), known + count + 1)
                corners = board.steps[-1].fills["corners"]
                self.assertEqual(set(corners), {step.id for step in board.steps[known:-1]})
                places = [at[board.name(id)] for id in corners]
                middle = sum(places) / count
                around = [cmath.phase(place - middle) for place in places]
                self.assertTrue(count == 3 or around == sorted(around), "the sides do not cross")

    def test_another_shape_is_another_one(self):
        board, _ = said("empty", "put three points and draw a square")
        self.assertEqual(sum(step.makes == "point" for step in board.steps), 7)


class InscribedTest(unittest.TestCase):
    def test_a_circle_in_a_square_a_rhombus_or_a_regular_polygon_touches_all_sides_also_when_dragged(self):
        for text in (
            "a circle inscribed in a square", "a square ABCD and its incircle", "a rhombus ABCD and its inscribed circle",
            "a regular hexagon and a circle inscribed in it",
        ):  # fmt: skip
            with self.subTest(text):
                board, _ = said("empty", text)
                shape = next(step for step in board.steps if step.does == "polygon")
                circle = next(step for step in board.steps if step.makes == "circle" and not step.look.hidden)
                for move in ({}, {shape.inputs[0]: (-3.0, -1.5)}):
                    board.move(move)
                    x, y, square = board.value(circle.id)
                    corners = [complex(*corner) for corner in board.value(shape.id)]
                    for number, corner in enumerate(corners):
                        side = corners[number - 1] - corner
                        off = abs(((complex(x, y) - corner).conjugate() * side).imag) / abs(side)
                        self.assertAlmostEqual(off, square**0.5, places=9)

    def test_in_a_rectangle_or_any_shape_there_is_none(self):
        for name, text in (("empty", "a rectangle ABCD and its incircle"), ("quad", "the incircle of ABCD")):
            with self.subTest(text), self.assertRaises(Refusal):
                said(name, text)


if __name__ == "__main__":
    unittest.main()
