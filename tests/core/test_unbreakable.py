"""What once broke a board, or was taken for something else: each with the refusal or the value that it should have."""

import random
import unittest

import numpy as np
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from ruddy_trellis.core import Figure, Refusal
from ruddy_trellis.core.arithmetic import ARRAYS
from ruddy_trellis.core.board import Board
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.display import Extent
from ruddy_trellis.core.display.text import value_text
from ruddy_trellis.core.edits import Add, Delete, NewStep, Paste, Rename, Retie, perform, said
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.language.printing import rounded_text, sentence, working_text
from ruddy_trellis.core.lesson.file import BoardData, board_from_data
from ruddy_trellis.core.lesson.recipes import keep

from .bounds import within
from .figures import figure
from .random_board import Chooser, check, empty_board

SEEN = Extent(-10, -6, 10, 6)
LADDER = (
    "A=(0,0)\nB=(5,0)\nk is the circle with centre A and radius 3\nP is a point on k at 50\nM is the midpoint of B and P\n"
    "c is the locus of M as P runs\nZ=(7,7)"
)
TRIANGLE = "A=(0,0)\nB=(4,0)\nC=(1,3)\nABC is the polygon through A, B, C"
QUADRILATERAL = "\nD=(9,9)\nE=(8,9)\nF=(7,7)\nG=(6,9)\nDEFG is the polygon through D, E, F, G"


class DeleteTest(unittest.TestCase):
    def test_between_a_locus_and_its_driver(self):
        for name, left in (("M", "ABkPZ"), ("P", "ABkZ"), ("k", "ABZ"), ("c", "ABkPMZ")):
            f = figure(LADDER)
            perform(f.board, Delete(ids=[f.board.find(name)]))
            self.assertEqual("".join(f.board.name(step.id) for step in f.board.steps), left)
            check(f.board, SEEN)

    def test_a_patch_that_cannot_be_made_changes_nothing(self):
        f = figure(TRIANGLE)
        steps, values = list(f.board.steps), list(f.board.values)
        with self.assertRaises(KeyError):
            f.board.become(steps[1:])
        self.assertEqual((f.board.steps, f.board.values, f.board.place("s1")), (steps, values, 0))
        f.drag("A", 1, 1)
        check(f.board, SEEN)

    def test_after_deleting_everything_no_name_is_left(self):
        f = figure(TRIANGLE)
        self.assertIn("ABC", f.board.names.values())
        perform(f.board, Delete(ids=[step.id for step in f.board.steps]))
        self.assertEqual(f.board.names, {})
        with self.assertRaises(Refusal):
            said("h = area(ABC)", f.board)

    def test_a_family_goes_with_its_transformation(self):
        f = figure(TRIANGLE + "\nt is the rotation about A by 30 degrees\nu is the family of ABC under t, for 10, 20")
        perform(f.board, Delete(ids=[f.board.find("t")]))
        self.assertEqual(len(f.board), 4)


class RefusedTest(unittest.TestCase):
    def refused(self, f, act):
        steps, values = list(f.board.steps), list(f.board.values)
        with self.assertRaises(Refusal) as caught:
            act(f)
        self.assertEqual((f.board.steps, f.board.values), (steps, values))
        check(f.board, SEEN)
        return caught.exception.sentence

    def test_sentences(self):
        for text, words, said_of in (
            (TRIANGLE + "\np is the line through A and B\nt is the reflection in p", "the family of ABC under t, for 1, 2, 3", "no number"),
            (TRIANGLE + "\nP is a point on ABC at 0.5", "the angle inside ABC at P", "not a corner"),
            (TRIANGLE + QUADRILATERAL, "the transformation that takes ABC to DEFG", "4 corners"),
            ("", "y = (((((((x+y+1)^2)^2)^2)^2)^2)^2)^2", "no power above 2"),
            ("", "x = 1" + "*(((((10^2)^2)^2)^2)^2)^2" * 8, "too long"),
            (TRIANGLE, "is is a free point at (1, 1)", "Choose another name"),
            (TRIANGLE, "the polygon through " + "ABC" * 60, "Nothing here"),
        ):  # fmt: skip
            with self.subTest(words[:40]), within(1, words[:40]):
                self.assertIn(said_of, self.refused(figure(text), lambda f, words=words: f.say(words)))

    def test_a_sentence_that_can_be_taken_apart_in_too_many_ways(self):
        f = figure("\n".join(f"{name}=({number},0)" for number, name in enumerate(["A", "B", "AB", "ABA"][:2])))
        with within(2):
            self.refused(f, lambda f: f.say("the composition of " + "A and then " * 300 + "B"))
            self.refused(f, lambda f: f.say("the images of " + "A under " * 400 + "B"))

    def test_retying(self):
        loop = figure("A=(0,0)\nB=(4,0)\nd is the length of AB\nh = d * 2")
        self.assertIn("loop", self.refused(loop, lambda f: perform(f.board, Retie(id="s1", does="point_at", fills={
            "x": {"formula": "{0}", "of": [[f.board.find("h")]]}, "y": {"formula": "{0}", "of": [[f.board.find("h")]]}}))))  # fmt: skip
        corner = figure(TRIANGLE + "\nD=(9,9)\nα is the angle inside ABC at A")
        polygon = corner.board.find("ABC")
        self.assertIn(
            "not a corner",
            self.refused(
                corner, lambda f: perform(f.board, Retie(id=polygon, does="polygon", fills={"corners": ["s2", "s3", f.board.find("D")]}))
            ),
        )
        dial = figure(
            "A=(0,0)\nB=(3,0)\nC=(0,3)\nd is a length dial from 0 to 5 in steps of 1 at 2\nk is the circle with centre A and radius d"
        )
        self.refused(dial, lambda f: perform(f.board, Retie(id=f.board.find("d"), does="angle", fills={"corner": ["s2", "s1", "s3"]})))

    def test_retying_the_end_of_a_long_chain(self):
        board = Board()
        steps = [NewStep(does="free_point", fills={"at": [0, 0]})]
        steps += [NewStep(does="same_place", fills={"point": [f"s{number}"]}) for number in range(1, 1200)]
        for number in range(0, 1200, 50):
            perform(board, Add(steps=steps[number : number + 50]))
        perform(board, Add(steps=[NewStep(does="free_point", fills={"at": [5, 5]})]))
        perform(board, Retie(id="s2", does="same_place", fills={"point": ["s1201"]}))
        self.assertEqual(board.value("s1200"), (5, 5))

    def test_a_thing_named_after_its_points_is_named_anew(self):
        f = figure(TRIANGLE + "\nAB is the segment from A to B\nM is the midpoint of AB")
        perform(f.board, Retie(id=f.board.find("AB"), does="segment", fills={"from": ["s1"], "to": ["s3"]}))
        self.assertEqual((f.sentence("AC"), f.sentence("M")), ("AC is the segment from A to C", "M is the midpoint of AC"))

    def test_a_file_with_a_nameless_point_or_a_point_nowhere(self):
        good = {"title": "B", "view": [-9, -6, 9, 6], "steps": [{"id": "s1", "does": "free_point", "with": {"at": [0, 0]}, "name": "A"}]}
        for change in ({"name": None}, {"with": {}}, {"with": {"at": [1]}}, {"with": {"at": [1e300, 0]}}):
            data = {**good, "steps": [{**good["steps"][0], **change}]}
            with self.subTest(change), self.assertRaises(Refusal):
                board_from_data(BoardData.model_validate(data))

    def test_a_recipe_is_given_readings_and_no_typed_numbers(self):
        f = figure("A=(0,0)\nd is a length dial from 0 to 5 in steps of 1 at 2\nk is the circle with centre A and radius d")
        recipe = keep(f.board, "ring", [f.board.find("k")], [f.board.find("A"), f.board.find("d")])
        CATALOGUE.add(recipe.construction("recipe_ring"))
        self.addCleanup(CATALOGUE.remove, "recipe_ring")
        f.say("the ring on A and d")
        self.refused(f, lambda f: f.say("the ring on A and 3"))


class GoneTest(unittest.TestCase):
    def test_a_mark_whose_thing_has_gone(self):
        for mark in ("equal-length", "parallel"):
            alone = Alone(figure(f"A=(0,0)\nB=(4,0)\nAB is the segment from A to B\nm is the {mark} mark on AB").board)
            alone.do(t="grab", ids=["s2"], at=[4, 0])
            alone.do(t="drag", to=[0, 0], seq=1)
            alone.do(t="drop")
            check(alone.board, alone.extent)
            alone.do(t="undo")
            self.assertIsNotNone(alone.board.value(alone.board.find("m")))

    def test_an_enlargement_by_nothing(self):
        f = figure("A=(1,1)\nB=(4,0)\nf is a dial from -1 to 1 in steps of 0.5 at 1\nt is the enlargement from A by the factor f\n"
                   "p is the line through A and B\nq is the image of p under t")  # fmt: skip
        f.drag("f", 0)
        self.assertIsNone(f.value("q"))
        check(f.board, SEEN)
        f.drag("f", 0.5)
        self.assertIsNotNone(f.value("q"))

    def test_numbers_without_end_are_no_values(self):
        f = figure("A=(0,0)\nB=(9,0)\nd is the length of AB\nC=(0,1)")
        f.say("v = sin((((d/AB*10)^12)^12)^12)\nw = ((d^12)^12)^12 * ((d^12)^12)^12")
        self.assertEqual((f.value("v"), f.value("w")), (None, None))
        check(f.board, SEEN)

    def test_a_peg_is_never_dragged_to_where_it_could_not_be_read_again(self):
        for text, peg in (("P=(1,1)", "P"), ("A=(0,0)\nB=(0.001,0)\np is the line through A and B\nP is a point on p at 1", "P")):
            alone = Alone(figure(text).board)
            alone.do(t="grab", ids=[alone.board.find(peg)], at=[1, 1])
            alone.do(t="drag", to=[1e7, -1e7], seq=1)
            alone.do(t="drop")
            check(alone.board, alone.extent)


class CrossingTest(unittest.TestCase):
    def test_things_that_share_a_corner(self):
        f = figure(TRIANGLE.replace("(1,3)", "(-2,6)") + "\nk is the circle with centre A through B")
        f.say("D is where k meets BC again, other than B\nα is the angle between AB and BC\nE is where AB meets BC")
        self.assertIsNotNone(f.value("D"))
        self.assertAlmostEqual(f.value("α"), 45)
        self.assertEqual(f.value("E"), (4, 0))
        with self.assertRaises(Refusal):
            f.say("the angle between AB and BA")
        with self.assertRaises(Refusal):
            f.say("the median from A to AB")

    def test_a_ray_from_inside_has_one_crossing(self):
        f = figure(
            "A=(0,0)\nB=(4,1)\nC=(3,0)\nk is the circle with centre A through C\nr is the ray from A through B\nP is where r meets k"
        )
        self.assertEqual(f.board.step(f.board.find("P")).fills["which"], "second")
        self.assertGreater(f.value("P")[0], 0)

    def test_the_other_one_keeps_its_digits(self):
        f = figure(
            "A=(0,0)\nB=(1000000,0)\nC=(500000,0.5)\nk is the circle with centre C through B\np is the line through A and B\nX=(3,0.1)\n"
            "D is where p meets k, second crossing\nE is where p meets k again, other than D"
        )
        self.assertLess(abs(f.value("E")[0]), 1e-9)

    def test_the_image_of_a_segment_in_a_circle_is_the_arc_of_its_points(self):
        f = figure(
            "A=(2,1)\nB=(3,-2)\nC=(0,0)\nc is the circle with centre C and radius 2\nt is the reflection in the circle c\n"
            "AB is the segment from A to B\nP is a point on AB at 0.3\nQ is the image of P under t\nk is the image of AB under t"
        )
        self.assertEqual(f.board.kind_of(f.board.find("k")), "arc")
        for a, b, place in ((None, None, 0.3), ((-2, 1), (3, -2), 0.8), ((-1, 3), (3, 2), 0.5)):
            if a:
                f.drag("A", *a)
                f.drag("B", *b)
            f.drag("P", place)
            f.say(f"W_{int(place * 10)} is a point on k at 0")
            name = f"W_{int(place * 10)}"
            near = min((float(np.hypot(*(np.array(f.value(name)) - f.value("Q")))), f.drag(name, share / 400))[0] for share in range(401))
            self.assertLess(near, 0.02)

    def test_a_focus_is_the_first_or_the_second(self):
        f = figure("A=(-2,0)\nB=(2,0)\nC=(0,1.5)\nk is the ellipse with foci A and B through C")
        with self.assertRaises(Refusal):
            f.say("the focus of k, third one")


class LocusTest(unittest.TestCase):
    def test_what_rides_inside_the_chain_moves_the_curve(self):
        f = figure("A=(0,0)\nk is the circle with centre A and radius 3\nP is a point on k at 50\nB=(5,0)\nPB is the segment from P to B\n"
                   "Q is a point on PB at 0.5\nc is the locus of Q as P runs")  # fmt: skip
        for share in (0.5, 0.2, 0.9):
            f.drag("Q", share)
            xs, ys = f.value("c").at(np.linspace(0, 360, 50))
            self.assertLess(abs(np.hypot(xs - 5 * share, ys) - 3 * (1 - share)).max(), 1e-9)
            check(f.board, SEEN)

    def test_nothing_is_drawn_where_the_point_is_not(self):
        for text, start, low, high in (
            ("A=(0,0)\nd is a dial from -3 to 3 in steps of 0.1 at 1\nk is the circle with centre A and radius d\nP is a point on k at 0\n"
             "c is the locus of P as d runs", "d", -3, 0),
            ("A=(0,0)\nB=(4,0)\nd is a dial from -3 to 3 in steps of 0.1 at 1\nC is the point with x = 1 and y = d * 0\n"
             "G is the incentre of ABC\nc is the locus of G as d runs", "d", -3, 3),
        ):  # fmt: skip
            f = figure(text)
            places = np.linspace(low, high, 40)[:-1]
            xs, _ = f.value("c").at(places)
            self.assertTrue(np.isnan(xs).all(), start)

    def test_every_construction_is_there_in_arrays_where_it_is_in_floats(self):
        """With its points dragged onto one another and into one line, too."""
        chance = random.Random(5)
        for construction in CATALOGUE:
            board = figure(construction.example).board
            if any(step.construction.planner or step.makes == "condition" for step in board.steps):
                continue  # these are computed for one position at a time
            pegs = [step.id for step in board.steps if step.does == "free_point"]
            places = [{id: (chance.choice((-1, 0, 1, 2)), chance.choice((-1, 0, 1))) for id in pegs} for _ in range(30)]
            together = board.evaluate(
                ARRAYS, {id: tuple(np.array([float(at[id][axis]) for at in places]) for axis in (0, 1)) for id in pegs}
            )
            for number, at in enumerate(places):
                board.move(at)
                for step in board.steps:
                    if any("near" in board.step(other).fills for other in (step.id, *board.ancestors([step.id]))):
                        continue
                    if step.makes == "claim":
                        continue  # it hangs there even where it cannot be asked
                    there = all(
                        np.isfinite(np.broadcast_to(part, 30)[number]) for part in flat(together[step.id]) if not np.isinf(part).any()
                    )
                    self.assertEqual(board.value(step.id) is not None, there, f"{construction.key}: {sentence(board, step.id)} at {at}")

    def test_a_rider_on_a_locus_has_a_locus(self):
        f = figure(
            LADDER.replace("\nZ=(7,7)", "") + "\nQ is a point on c at 20\nN is the midpoint of A and Q\nd is the locus of N as Q runs"
        )
        xs, ys = f.value("d").at(np.linspace(0, 360, 50))
        self.assertLess(abs(np.hypot(xs - 1.25, ys) - 0.75).max(), 1e-9)

    def test_the_envelope_of_a_circle_has_both_sides_where_its_driver_is_on_a_line(self):
        f = figure("A=(0,0)\nB=(1,0)\np is the line through A and B\nP is a point on p at 0.3\nk is the circle with centre P and radius 2\n"
                   "c is the envelope of k as P runs")  # fmt: skip
        locus = f.value("c")
        xs, ys = locus.at(np.linspace(locus.low, locus.high, 200))
        near = np.isfinite(xs) & (abs(xs) < 20)
        self.assertGreater((near & (ys > 0)).sum(), 60)
        self.assertGreater((near & (ys < 0)).sum(), 60)
        self.assertLess(abs(abs(ys[near]) - 2).max(), 1e-6)

    def test_done_so_many_times_for_several_numbers(self):
        f = figure(
            TRIANGLE + "\nr is the rotation about A by 30 degrees\nt is the transformation r done 2 times\n"
            "u is the family of ABC under t, for 1, 2, 5"
        )
        self.assertEqual(len(f.value("u")), 3)


class MeasureTest(unittest.TestCase):
    def test_an_angle_times_a_length_is_a_length(self):
        f = figure(
            "A=(2,0)\nB=(0,0)\nC=(0,2)\nα is the angle ABC\nr is the length of AB\nb = α/360*2*pi*r\nv = α / 2\nw = α * r * r\nu = α / α",
            unit="m",
        )
        texts = {f.board.name(step.id): value_text(f.board, step.id) for step in f.board.steps if step.is_reading}
        self.assertEqual((texts["b"], texts["v"], texts["w"], texts["u"]), ("3.14 m", "45.0°", "360.00 m²", "1.00"))

    def test_a_right_angle_has_no_tangent(self):
        f = figure("A=(2,0)\nB=(0,0)\nC=(0,2)\nα is the angle ABC\nv = tan(α)\nw = tan(α / 2)")
        self.assertIsNone(f.read("v"))
        self.assertAlmostEqual(f.read("w"), 1)

    def test_halves_go_up(self):
        self.assertEqual(
            [rounded_text(*pair) for pair in ((0.125, 2), (2.5, 0), (-2.5, 0), (2.675, 2), (1e-9, 2), (0, 7), (1e20, 1), (3.5e8, 2))],
            ["0.13", "3", "−3", "2.68", "0.00", "0.0000000", "100000000000000000000.0", "350000000.00"],
        )
        f = figure("d is a dial from -5 to 5 in steps of 0.5 at 2.5\nv = round(d)")
        self.assertEqual((f.read("v"), f.drag("d", -2.5), f.read("v")), (3, None, -3))


class WrittenTest(unittest.TestCase):
    def read_again(self, board):
        again = Board(board.settings.with_(log=(), rows=(), nice=None))
        perform(again, Paste(text=working_text(board)))
        self.assertEqual(working_text(again), working_text(board))
        self.assertEqual(
            [(step.does, again.value(step.id)) for step in again.steps], [(step.does, board.value(step.id)) for step in board.steps]
        )

    def test_hostile_names(self):
        f = figure(
            "Tap=(0,0)\nGate=(4,0)\nC=(1,3)\nk_1 is the circle with centre C and radius 2\nradius_k_1 is the radius of k_1\n"
            "Tap-Gate is the segment from Tap to Gate\nv = Tap‐Gate * radius_k_1\nw = radius_k_1 - 1\nİ=(2,2)\n"
            "p is the line through İ and C\n"
            "C_1=(7,7)\nC_1b=(8,7)\nq is the line through C_1 and C_1b\nu is the words “a  b  = {v} is {w / 2}”"
        )
        self.read_again(f.board)

    def test_a_thing_and_a_reading_of_one_name(self):
        f = figure("A=(0,0)\nB=(4,0)\nC=(0,1)\nv is the vector from A to B\nD=(40,0)\nw is the length of AD")
        perform(f.board, Rename(id=f.board.find("w"), name="v"))
        vector, reading = f.board.ids_named("v")
        for fill in (vector, reading):
            perform(f.board, Add(steps=[NewStep(does="circle_radius", fills={"centre": ["s3"], "radius": [fill]})]))
        self.read_again(f.board)

    def test_a_polygon_of_ninety_corners(self):
        f = Figure()
        for number in range(90):
            f.say(f"Post_{number} = ({number}, {number * number % 7})")
        f.make("polygon", corners=tuple(f"Post_{number}" for number in range(90)))
        self.read_again(f.board)

    @settings(max_examples=40, deadline=None, derandomize=True, suppress_health_check=list(HealthCheck))
    @given(st.data())
    def test_any_board_is_built_again_from_its_text(self, data):
        board = empty_board()
        for number in range(5):
            perform(board, Add(steps=[NewStep(does="free_point", fills={"at": [number * 1.5 - 3, (number * number) % 4 - 1]})]))
        keys = [construction.key for construction in CATALOGUE if construction.key != "free_point"]
        for _ in range(12):
            chooser = Chooser(data, board)
            construction = CATALOGUE[data.draw(st.sampled_from(keys))]
            try:
                perform(board, Add(steps=[NewStep(does=construction.key, fills=chooser.fills(construction))]))
                if chooser.chance(4):
                    name = data.draw(st.sampled_from(("Z", "A_1", "Tap", "q′", "İ", "AB", "radius_k", "aa", "v_2b", "reading", "w", "Σ")))
                    perform(board, Rename(id=board.steps[-1].id, name=name))
            except Refusal:
                continue
        self.read_again(board)


def flat(value):
    """All numbers in a value."""
    if isinstance(value, tuple):
        return [number for part in value for number in flat(part)]
    return [np.nan if value is None else value]
