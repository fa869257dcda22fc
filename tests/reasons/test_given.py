"""What constructions give: it holds, and each that says something gives it in some figure."""

import unittest

from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.truth.reasons.forms import PARALLEL, PERPENDICULAR, ROUND, SHAPE, angles, length, line, midpoint, product
from ruddy_trellis.core.truth.reasons.given import given
from ruddy_trellis.core.truth.reasons.holding import Holding, is_so
from ruddy_trellis.core.truth.reasons.labelled import POSITIONS, Labelled

from .bank import claimed

#: A point more on what is made, or the middle of a side, for what speaks of such.
MORE = {
    "perpendicular_bisector": "E is a point on {name} at 1.5",
    "angle_bisector": "E is a point on {name} at 2",
    "tangent_at": "",
    "circle_radius": "E is a point on {name} at 40\nF is a point on {name} at 140",
    "circle_on_diameter": "E is the centre of {name}",
    "semicircle": "E is the centre of {name}",
}
MIDDLES = "E is the midpoint of BC\nF is the midpoint of CA\nG is the midpoint of AB\n"
FIGURES = {
    "centroid": MIDDLES + "D is the centroid of ABC",
    "nine_point_centre": MIDDLES + "D is the nine-point centre of ABC",
    "nine_point_circle": MIDDLES + "k is the nine-point circle of ABC\nN is the centre of k",
    "median": "E is the midpoint of BC\nm is the median from A to BC",
    "altitude": "E is the foot of the perpendicular from A to BC\nm is the altitude from A to BC",
    "tangent_from": "k is the circle with centre A and radius 2\nt is the tangent from C to k\nE is where t meets k",
    "common_tangent": (
        "k is the circle with centre A and radius 1\nc is the circle with centre C and radius 2\n"
        "t is the common tangent of k and c, first one\nE is where t meets k"
    ),
    "translation": "t is the translation from A to B\nD is the image of C under t",
    "translation_along": "u is the vector from A to B\nt is the translation along u\nD is the image of C under t",
    "rotation": "t is the rotation about A by 50 degrees\nD is the image of C under t",
    "reflection": "m is the line through A and B\nt is the reflection in m\nD is the image of C under t",
    "point_reflection": "t is the reflection in the point A\nD is the image of C under t",
    "enlargement": "t is the enlargement from A by the factor 1.5\nD is the image of C under t",
}
THREE = "A = (0, 0)\nB = (5, 1)\nC = (2, 4)\n"


def of(sentences):
    """The labelled figure of some sentences, with all of it belonging to a claim that is made of two of its points."""
    board, claim = claimed(sentences, "AB = BC")
    return Labelled(board, claim, [step.id for step in board.steps if step.id != claim])


class GivenTest(unittest.TestCase):
    def test_every_definition_gives_something_and_it_holds(self):
        for construction in CATALOGUE:
            if not construction.gives:
                continue
            with self.subTest(construction.key):
                sentences = FIGURES.get(construction.key)
                if sentences is None:
                    name = construction.example.splitlines()[-1].split(" is ")[0]
                    sentences = construction.example + "\n" + MORE.get(construction.key, "").format(name=name)
                    if " C " not in sentences and "C is" not in sentences:
                        sentences += "\nC is a free point at (0.7, 3.1)"
                    figure = of(sentences)
                else:
                    figure = of(THREE + sentences)
                holding = Holding(figure.places)
                self.assertEqual(len(figure.places), POSITIONS)
                makers = [step.id for step in figure.steps if step.does in (construction.key, "image_point")]
                found = [fact for fact, step in given(figure) if step in makers]
                self.assertTrue(found, "nothing is given")
                for fact in found:
                    self.assertTrue(is_so(holding, fact), fact)

    def test_what_is_given(self):
        told = lambda sentences: {fact for fact, _ in given(of(THREE + sentences))}
        round_them = "k is the circle through A, B and C\nD is a point on k at 20"
        self.assertIn(midpoint(3, 0, 1), told("M is the midpoint of AB"))
        self.assertIn(product({length(0, 3): 1, length(1, 3): -1}, "1/2"), told("D is the point that divides AB in the ratio 1 : 2"))
        self.assertIn(angles({(2, 0, 3): 1}, 70), told("D is the point C turned about A by -70 degrees"))
        self.assertIn(midpoint(0, 2, 3), told("D is the point C turned about A by 180 degrees"))
        self.assertTrue(any(fact.form == SHAPE for fact in told("the square on the side from A to B")))
        self.assertTrue(any(fact.form == ROUND and fact.data == (None, (0, 1, 2, 3)) for fact in told(round_them)))

    def test_lines_without_names_on_them_are_told_of_as_well(self):
        figure = of(THREE + "m is the line through A and B\np is the parallel to m through C\nq is the perpendicular to p through B")
        self.assertEqual([figure.is_nameless(number) for number in range(len(figure))], [False] * 3 + [True] * 2)
        forms = [fact.form for fact, _ in given(figure)]
        self.assertIn(PARALLEL, forms)
        self.assertIn(PERPENDICULAR, forms)

    def test_a_number_that_is_read_off_gives_nothing(self):
        figure = of(THREE + "s is a dial from 10 to 80 in steps of 1 at 30\nD is the point C turned about A by s degrees")
        self.assertEqual([fact.form for fact, _ in given(figure)], ["product"])

    def test_what_is_in_line_by_chance_just_now_is_not_taken_so(self):
        figure = of("A = (0, 0)\nB = (2, 0)\nC = (4, 0)\nD = (1, 3)")
        self.assertEqual(len(figure.places), POSITIONS)
        self.assertFalse(is_so(Holding(figure.places), line([0, 1, 2])))


if __name__ == "__main__":
    unittest.main()
