"""Transformations, images, families, against what they do to distances, angles and the way round."""

import math
import unittest

from hypothesis import assume, given, settings
from hypothesis import strategies as st

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.arithmetic import FLOATS
from ruddy_trellis.core.display import Extent, display
from ruddy_trellis.core.formulas import transformations
from ruddy_trellis.core.pointing.offers import offers
from ruddy_trellis.core.sampling.families import read_values
from ruddy_trellis.drawings.svg import svg

from .figures import distance, figure

coordinate = st.floats(-8, 8).map(lambda number: round(number, 2))
point = st.tuples(coordinate, coordinate)
BED = (
    "A=(0,0)\nB=(4,0.5)\nC=(3,2.5)\nABC is the polygon through A, B, C\nO=(1,-2)\nP=(-3,-1)\nQ=(-2,4)\n"
    "p is the line through P and Q\nu is the vector from P to Q\n"
)
MAPS = {
    "translation": ("t is the translation from P to Q", 1, 1),
    "along": ("t is the translation along u", 1, 1),
    "numbers": ("t is the translation by 2 across and -1 up", 1, 1),
    "rotation": ("t is the rotation about O by 77 degrees", 1, 1),
    "corner": ("t is the rotation about O by the angle APQ", 1, 1),
    "reflection": ("t is the reflection in p", 1, -1),
    "half turn": ("t is the reflection in the point O", 1, 1),
    "enlargement": ("t is the enlargement from O by the factor 1.7", 1.7, 1),
    "turned over": ("t is the enlargement from O by the factor -0.5", 0.5, 1),
    "glide": ("t is the glide reflection in p along u", 1, -1),
}


def turn(a, b, c):
    return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])


class MapTest(unittest.TestCase):
    @settings(max_examples=25, deadline=None)
    @given(st.lists(point, min_size=6, max_size=6), st.sampled_from(sorted(MAPS)))
    def test_distances_and_the_way_round(self, places, name):
        a, b, c, _o, p, q = places
        assume(abs(turn(a, b, c)) > 0.5 and distance(p, q) > 0.5 and distance(p, a) > 0.3)
        sentence, factor, way = MAPS[name]
        f = figure(
            BED + sentence + "\nthe images of ABC under t\ns is the inverse of t\nthe images of A′B′C′ under s\n"
            "r is the composition of t and then s\nw is the transformation t done 3 times\n"
        )
        for peg, to in zip("ABCOPQ", places):
            f.drag(peg, *to)
        images = [f.value(corner + "′") for corner in "ABC"]
        for (one, other), (image, another) in zip(
            ((a, b), (b, c), (c, a)), ((images[0], images[1]), (images[1], images[2]), (images[2], images[0]))
        ):
            self.assertAlmostEqual(distance(image, another), factor * distance(one, other), places=6)
        self.assertAlmostEqual(turn(*images), way * factor**2 * turn(a, b, c), places=5)
        for corner, back in zip((a, b, c), ("A′′", "B′′", "C′′")):
            self.assertLess(distance(f.value(back), corner), 1e-6, "undone")
        x, y = transformations.image_of_point(FLOATS, a, f.value("r"))
        self.assertLess(distance((x, y), a), 1e-6, "and so is the composition")
        thrice = a
        for _ in range(3):
            thrice = transformations.image_of_point(FLOATS, thrice, f.value("t"))
        self.assertLess(distance(thrice, transformations.image_of_point(FLOATS, a, f.value("w"))), 1e-5)

    def test_mirrors_and_centres(self):
        f = figure(
            BED + "r is the reflection in p\nA′ is the image of A under r\ns is the rotation about O by 40 degrees\n"
            "B′ is the image of B under s\nα is the directed angle BOB′\n"
            "k is the circle with centre O and radius 3\nt is the reflection in the circle k\nC′ is the image of C under t\n"
            "d is the perpendicular bisector of A and A′"
        )
        self.assertAlmostEqual(f.read("α"), 40)
        self.assertAlmostEqual(distance(f.value("O"), f.value("C")) * distance(f.value("O"), f.value("C′")), 9)
        mirror, bisector = f.value("p"), f.value("d")
        self.assertAlmostEqual(turn(mirror[:2], (mirror[0] + mirror[2], mirror[1] + mirror[3]), bisector[:2]), 0)
        self.assertAlmostEqual(mirror[2] * bisector[3] - mirror[3] * bisector[2], 0)

    def test_every_kind_has_its_image_point_by_point(self):
        text = BED + (
            "AB is the segment from A to B\ni is the ray from A through B\nk is the circle with centre O through A\n"
            "c is the arc with centre O from A to B\n"
            "e is the ellipse with foci A and B through C\nh is the hyperbola with foci A and O through B\n"
        )
        for sentence in (
            "t is the rotation about O by 77 degrees",
            "t is the glide reflection in p along u",
            "t is the enlargement from O by the factor -1.4",
            "t is the shear along p with the factor 0.7",
            "t is the stretch from p by the factor 0.4",
        ):
            for name, places in (
                ("u", (0.3,)),
                ("i", (1.8,)),
                ("p", (-2,)),
                ("k", (20, 200)),
                ("c", (0.2, 0.9)),
                ("e", (10, 130)),
                ("h", (15, 170)),
            ):
                if name == "c" and ("shear" in sentence or "stretch" in sentence):
                    continue
                with self.subTest(f"{name}: {sentence}"):
                    f = figure(text + sentence)
                    f.say(f"z is the image of {name} under t")
                    for place in places:
                        f.say(f"X is a point on {name} at {place}\nY is the image of X under t")
                        at = f.value("Y")
                        kind, value = f.board.kind_of(f.board.find("z")), f.value("z")
                        self.assertLess(self.off(kind, value, at), 1e-6)
                        f = figure(text + sentence)
                        f.say(f"z is the image of {name} under t")

    @staticmethod
    def off(kind, value, at):
        x, y = at
        if kind in ("circle", "arc"):
            return abs(math.hypot(x - value[0], y - value[1]) - math.sqrt(value[2]))
        if kind == "conic":
            fx, fy, ux, uy, latus = value
            return abs(math.hypot(x - fx, y - fy) - abs(ux * (x - fx) + uy * (y - fy) + latus))
        px, py, dx, dy = value[:4]
        return abs(dx * (y - py) - dy * (x - px)) / math.hypot(dx, dy)

    def test_reflection_in_a_circle(self):
        f = figure(
            "O=(0,0)\nk is the circle with centre O and radius 2\nt is the reflection in the circle k\nA=(1,1)\nB=(3,-1)\n"
            "p is the line through A and B\n"
            "c is the circle with centre B and radius 1\nd is the image of p under t\ne is the image of c under t\n"
            "X is a point on p at 0.4\nY is the image of X under t\n"
            "Z is a point on c at 70\nW is the image of Z under t"
        )
        self.assertLess(self.off("circle", f.value("d"), f.value("Y")), 1e-9)
        self.assertLess(self.off("circle", f.value("d"), (0, 0)), 1e-9, "a line becomes a circle through the centre")
        self.assertLess(self.off("circle", f.value("e"), f.value("W")), 1e-9)
        f.drag("B", -1, -1)
        self.assertIsNone(f.value("d"), "a line through the centre has no circle")

    def test_which_one_is_it(self):
        for name, (sentence, _, _) in MAPS.items():
            with self.subTest(name):
                f = figure(BED + sentence + "\nthe images of ABC under t\nz is the transformation that takes ABC to A′B′C′")
                for one, other in zip(f.value("t"), f.value("z")):
                    self.assertAlmostEqual(one, other, places=8)
        f = figure(BED + "D=(5,5)\nE=(7,5)\nF=(5,9)\nDEF is the polygon through D, E, F\nz is the transformation that takes ABC to DEF")
        self.assertIsNone(f.value("z"), "those are not similar")

    def test_factors_lengths_and_areas_agree_to_full_precision(self):
        f = figure(
            BED
            + "v is a dial from -3 to 3 in steps of 0.01 at 1.5\nt is the enlargement from O by the factor v\nthe images of ABC under t\n"
            "w is the value of perimeter(A′B′C′) / perimeter(ABC)\nz is the value of area(A′B′C′) / area(ABC)"
        )
        for factor in (1.5, 0.37, -0.5, -2.91, 1):
            f.drag("v", factor)
            for centre in ((1, -2), (2.5, 1), (2, 0.25)):
                f.drag("O", *centre)
                self.assertAlmostEqual(f.read("w"), abs(factor), places=12)
                self.assertAlmostEqual(f.read("z"), factor**2, places=11)

    def test_misfits(self):
        f = figure(
            BED + "t is the rotation about O by 30 degrees\ns is the shear along p with the factor 1\n"
            "c is the arc with centre O from A to B\nk is the circle with centre O through A\nr is the reflection in the circle k\n"
        )
        before = f.working()
        for sentence, part in {
            "the images of c under s": "no image",
            "the images of ABC under r": "no image",
            "the family of ABC under t, 0 times": "1 to 500",
            "the family of ABC under t, often": "does not fit",
            "the family of ABC under t, for 1 to 9999 step 0.1": "At most",
            "the explanation of A": "not the image of a point",
            "t is the rotation about O by ABC degrees": "number",
        }.items():
            with self.subTest(sentence), self.assertRaises(Refusal) as caught:
                f.say(sentence)
            self.assertIn(part, caught.exception.sentence)
        self.assertEqual(f.working(), before)

    def test_a_transformation_is_offered_for_any_new_selection_first(self):
        f = figure(BED + "t is the rotation about O by 30 degrees\nr is the reflection in p")
        found = [offer.sentence for offer in offers(f.board, [f.board.find("ABC"), f.board.find("O")])]
        self.assertEqual(found[:2], ["the images of ABC and O under r", "the images of ABC and O under t"])

    def test_workings_of_a_reflection(self):
        f = figure(BED + "r is the reflection in p\nA′ is the image of A under r\nthe explanation of A′")
        self.assertEqual(
            [step.does for step in f.board.steps[-5:]], ["segment", "foot", "equal_length", "equal_length", "right_angle_mark"]
        )
        f.drag("Q", 3, 3)
        self.assertFalse(any(item["shape"].get("doubt") for item in display(f.board, Extent(-10, -6, 10, 6)) if item["shape"]))


class FamilyTest(unittest.TestCase):
    def members(self, f, name):
        return [tuple(row) for row in f.value(name).rows]

    def test_values(self):
        self.assertEqual(read_values("7 times"), 7)
        self.assertEqual(read_values("for 0.5, 1, 1.5"), [0.5, 1, 1.5])
        self.assertEqual(read_values("for 30 to 90 step 30"), [30, 60, 90])
        self.assertEqual(read_values("for 1 to −1 step −0.5"), [1, 0.5, 0, -0.5, -1])

    def test_repeats_are_the_map_again_and_again(self):
        f = figure(BED + "t is the rotation about O by 30 degrees\nu_1 is the family of ABC under t, 11 times")
        at = f.value("A")
        for row in self.members(f, "u_1"):
            at = transformations.image_of_point(FLOATS, at, f.value("t"))
            self.assertLess(distance(at, transformations.image_of_point(FLOATS, f.value("A"), row)), 1e-9)

    def test_a_list_is_one_map_for_each_value(self):
        for sentence, values in (
            ("the enlargement from O by the factor 2", [0.5, 1.5, -1]),
            ("the rotation about O by 10 degrees", [30, 45, 200]),
            ("the translation along u", [0.5, 2, 3]),
        ):
            f = figure(BED + f"t is {sentence}\nf is the family of ABC under t, for {', '.join(map(str, values))}")
            for value, row in zip(values, self.members(f, "f"), strict=True):
                made = transformations.image_of_point(FLOATS, (2, 1), row)
                if "enlargement" in sentence:
                    wanted = (1 + value * (2 - 1), -2 + value * (1 + 2))
                elif "rotation" in sentence:
                    wanted = transformations.image_of_point(FLOATS, (2, 1), transformations.rotation(FLOATS, (1, -2), value))
                else:
                    wanted = (2 + value * 1, 1 + value * 5)
                self.assertLess(distance(made, wanted), 1e-9)
        f = figure(BED + "t is the reflection in p")
        with self.assertRaises(Refusal) as caught:
            f.say("f is the family of ABC under t, for 1, 2")
        self.assertIn("no number", caught.exception.sentence)

    def test_it_follows_a_dial_and_its_things_and_is_one_element_in_a_picture(self):
        f = figure(
            BED + "v is an angle dial from 0 to 360 in steps of 1 at 40\nt is the rotation about O by v degrees\n"
            "f is the family of ABC and O under t, 8 times\ng is the family of f under t, 2 times"
        )
        f.drag("v", 45)
        self.assertAlmostEqual(self.members(f, "f")[7][0], 1)
        items = {item["id"]: item for item in display(f.board, Extent(-10, -6, 10, 6))}
        shape = items[f.board.find("f")]["shape"]
        self.assertEqual((len(shape["parts"]), len(shape["maps"])), (2, 48))
        picture = svg(list(items.values()), Extent(-10, -6, 10, 6), 300, 200)
        self.assertGreaterEqual(picture.count("<use"), 10)
        self.assertIn(f.board.find("f"), f.board.dependants([f.board.find("A")]))
