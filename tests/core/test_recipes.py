"""Recipes: kept, used again, nested, saved and read."""

import json
import math
import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.lesson.recipes import keep, likely_givens, recipe_from_json, steps_of

from .figures import distance, figure

ARCH = (
    "A=(-3,-2)\nB=(3,-2)\nk is the circle with centre A through B\nc is the circle with centre B through A\n"
    "T is where k meets c, first crossing\n"
    "p is the arc with centre A from B to T\nq is the arc with centre B from T to A\nAB is the segment from A to B\n"
    "w is the value of 2 * AB"
)


class RecipeTest(unittest.TestCase):
    def setUp(self):
        self.own = {}
        CATALOGUE.use_own(self.own)
        self.addCleanup(CATALOGUE.use_own, {})

    def known(self, recipe, key):
        """The recipe on the shelf until the test is over."""
        self.own[key] = recipe.construction(key)

    def arch(self):
        f = figure(ARCH)
        ids = [f.board.find(name) for name in "pqw"]
        self.assertEqual([f.board.name(id) for id in likely_givens(f.board, ids)], ["A", "B"])
        return keep(f.board, "pointed arch", ids, likely_givens(f.board, ids))

    def test_it_makes_the_same_on_other_points(self):
        self.known(self.arch(), "recipe_t1")
        self.assertEqual(steps_of(self.own["recipe_t1"])[0], "k is the circle with centre A through B")
        f = figure("P=(0,0)\nQ=(2,1)\nthe pointed arch on P and Q")
        top = next(step for step in f.board.steps if step.does == "intersection")
        self.assertTrue(top.look.hidden)
        for at in ((2, 1), (5, -3)):
            f.drag("Q", *at)
            self.assertAlmostEqual(distance(f.board.value(top.id), (0, 0)), distance((0, 0), at))
            self.assertAlmostEqual(distance(f.board.value(top.id), at), distance((0, 0), at))
            self.assertAlmostEqual(f.board.values[-1], 2 * math.hypot(*at))
        with self.assertRaises(Refusal) as caught:
            f.say("l is the line through P and Q\nthe pointed arch on P and l")
        self.assertIn("A point is needed here", caught.exception.sentence)

    def test_recipes_nest(self):
        self.known(self.arch(), "recipe_t1")
        g = figure("A=(0,0)\nB=(3,0)\nC=(6,0)\nthe pointed arch on A and B\nthe pointed arch on B and C")
        arcs = [step.id for step in g.board.steps if step.makes == "arc"]
        self.known(keep(g.board, "two arches", arcs, [g.board.find(name) for name in "ABC"]), "recipe_t2")
        h = figure("P=(0,0)\nQ=(1,1)\nR=(2,0)\nthe two arches on P, Q and R")
        self.assertEqual(sum(step.makes == "arc" for step in h.board.steps), 4)
        self.assertNotIn(None, h.board.values)

    def test_a_line_or_a_transformation_can_be_given(self):
        f = figure(
            "A=(0,0)\nB=(4,1)\np is the line through A and B\nC=(1,3)\nr is the reflection in p\nC′ is the image of C under r\n"
            "s is the segment from C to C′\nq is the perpendicular to p through C"
        )
        self.known(keep(f.board, "mirror path", [f.board.find("s")], [f.board.find("p"), f.board.find("C")]), "recipe_t3")
        g = figure("A=(0,0)\nB=(0,4)\nm is the line through A and B\nD=(3,2)\nthe mirror path on m and D")
        self.assertEqual(g.board.values[-1][2:4], (-6, 0))
        self.known(keep(f.board, "image path", [f.board.find("s")], [f.board.find("r"), f.board.find("C")]), "recipe_t4")

    def test_files(self):
        recipe = self.arch()
        again = recipe_from_json(json.loads(json.dumps(recipe.to_json())))
        self.assertEqual(again, recipe)
        good = recipe.to_json()
        for change, part in (
            ({"format": "x"}, "not a Ruddy Trellis recipe"),
            ({"version": 9}, "version 9"),
            ({"name": "{x}"}, "name starts with a letter"),
            ({"steps": [{"does": "magic", "with": {}, "hidden": False}]}, "not known here"),
            ({"givens": []}, "cannot be read"),
            ({"example": "A=(0,0)"}, "own example"),
            ({"steps": good["steps"] + [{"does": "midpoint", "with": {"span": ["given:7"]}, "hidden": False}]}, "own example"),
        ):
            with self.subTest(part), self.assertRaises(Refusal) as caught:
                recipe_from_json({**good, **change})
            self.assertIn(part, caught.exception.sentence)

    def test_what_makes_no_recipe(self):
        f = figure(ARCH)
        a, b, p = (f.board.find(name) for name in "ABp")
        for name, results, givens, part in (
            ("1st", [p], [a, b], "starts with a letter"),
            ("arch", [], [a], "Select"),
            ("arch", [p], [], "from 1 to 12"),
            ("arch", [p], [a], "B is needed as well"),
            ("arch", [a], [a], "not made by the recipe"),
        ):
            with self.subTest(part), self.assertRaises(Refusal) as caught:
                keep(f.board, name, results, givens)
            self.assertIn(part, caught.exception.sentence)
