"""Tying what looks tied, loosening it, nice lengths, lattices, the log, and labels that keep apart."""

import math
import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.display import Extent, display
from ruddy_trellis.core.edits import Add, Arrange, Delete, LookChanges, NewStep, Patch, Record, Restyle, Retie, perform, prepare
from ruddy_trellis.core.edits.tying import loosened
from ruddy_trellis.core.lesson.file import lesson_from_json, lesson_to_json
from ruddy_trellis.core.pointing.dragging import grab
from ruddy_trellis.core.pointing.gathering import gather
from ruddy_trellis.core.pointing.nice import nicely
from ruddy_trellis.core.pointing.preview import changed_by
from ruddy_trellis.core.pointing.prompt import Prompt
from ruddy_trellis.core.pointing.taking import what_at
from ruddy_trellis.core.truth.loose_ends import loose_ends

from .figures import distance, figure

BED = (
    "A=(-4,-2)\nB=(4,-2)\nAB is the segment from A to B\nC=(1,-1.96)\nD=(1.04,3)\nCD is the segment from C to D\nM is the midpoint of CD\n"
    "k is the circle with centre M through C\nE=(-3.97,-2.03)\nw is the length of C and D"
)


class RetieTest(unittest.TestCase):
    def ids(self, f, *names):
        return [f.board.find(name) for name in names]

    def test_a_free_point_is_tied_and_what_hangs_on_it_stays(self):
        f = figure(BED)
        (c, ab) = self.ids(f, "C", "AB")
        before = f.working()
        patch = perform(f.board, Retie(id=c, does="point_on", fills={"path": [ab], "place": 0.5}))
        self.assertEqual(f.value("C"), (0, -2))
        self.assertEqual(len(f.board), 10)
        self.assertAlmostEqual(distance(f.value("M"), f.value("C")), math.sqrt(f.value("k")[2]))
        f.drag("B", 4, 6)
        self.assertEqual(f.value("C"), (0, 2))
        f.drag("B", 4, -2)
        again = Patch.from_json(patch.to_json())
        again.reversed().apply(f.board)
        self.assertEqual(f.working(), before)

    def test_a_point_is_tied_to_what_was_made_after_it(self):
        f = figure("P=(1,1)\nO=(0,0)\nPO is the segment from P to O\nA=(-3,1)\nB=(3,1.5)\np is the line through A and B")
        perform(f.board, Retie(id=f.board.find("P"), does="point_on", fills={"path": [f.board.find("p")], "place": "nearest"}))
        self.assertLess(abs(f.value("P")[1] - (1 + 4 / 6 * 0.5)), 0.2)
        self.assertEqual(f.working().splitlines()[-1].split()[0], "PO", "what hangs on it stands after it")
        _title, (again,) = lesson_from_json(lesson_to_json("Bed", [f.board]))
        self.assertEqual(again.values, f.board.values)

    def test_loops_and_misfits_are_refused_in_words(self):
        f = figure(BED)
        before = f.working()
        a, c, m, k, d, _w = self.ids(f, "A", "C", "M", "k", "D", "w")
        for edit, part in (
            (Retie(id=c, does="midpoint", fills={"span": [d, m]}), "loop: M is made from C"),
            (Retie(id=c, does="point_on", fills={"path": [k]}), "loop"),
            (Retie(id=c, does="same_place", fills={"point": [c]}), "itself"),
            (Retie(id=c, does="segment", fills={"from": [a], "to": [d]}), "makes a segment"),
            (Retie(id=c, does="square", fills={"from": [a], "to": [d]}), "one sentence"),
            (Retie(id=c, does="midpoint", fills={"span": [a]}), "only one"),
        ):
            with self.subTest(part), self.assertRaises(Refusal) as caught:
                prepare(f.board, edit)
            self.assertIn(part, caught.exception.sentence)
        with self.assertRaises(Refusal):
            loosened(f.board, a)
        self.assertEqual(f.working(), before)

    def test_what_was_tied_by_it_must_still_be_so(self):
        f = figure("A=(0,0)\nB=(2,0)\nk is the circle with centre A through B\nP is a point on k at 90\nt is the tangent to k at P")
        with self.assertRaises(Refusal) as caught:
            perform(f.board, loosened(f.board, f.board.find("P")))
        self.assertIn("t could not be made any more", caught.exception.sentence)

    def test_loosening_leaves_it_where_it_is(self):
        f = figure(BED)
        at = f.value("M")
        perform(f.board, loosened(f.board, f.board.find("M")))
        self.assertEqual((f.value("M"), f.sentence("M")), (at, "M is a free point"))
        f.drag("M", 0, 0)
        self.assertEqual(f.value("k")[:2], (0, 0))

    def test_tying_by_pointing(self):
        f = figure(BED)
        prompt = Prompt.of("intersection", retie=f.board.find("C"))
        prompt.take(what_at(prompt, f.board, (2, -2.02), 0.2), (2, -2.02))
        self.assertTrue(prompt.is_complete(f.board))
        perform(f.board, prompt.edit(f.board))
        self.assertEqual(f.sentence("C"), "C is a point on AB")
        with self.assertRaises(Refusal) as caught:
            what_at(Prompt.of("intersection", retie=f.board.find("C")), f.board, (-8, 5), 0.2)
        self.assertIn("nothing here to tie C to", caught.exception.sentence)


class LooseEndTest(unittest.TestCase):
    def test_what_only_looks_tied_is_found_tied_and_then_not_found_again(self):
        f = figure(BED)
        words = [end.words for end in loose_ends(f.board, 0.15)]
        self.assertEqual(
            words,
            [
                "C looks to be on segment AB, and is not tied to it.",
                "E and A look like one point, and are two.",
                "CD looks perpendicular to AB, and is not tied so.",
            ],
        )
        before = len(f.board)
        for _ in words:
            (end, *_) = loose_ends(f.board, 0.15)
            self.assertTrue(changed_by(f.board, end.edit, Extent(-10, -6, 10, 6)), "the preview shows what would move")
            perform(f.board, end.edit)
        self.assertEqual(loose_ends(f.board, 0.15), [])
        self.assertEqual(len(f.board), before + 1, "one helper line")
        f.drag("A", -6, 3)
        a, b, c, d = map(f.value, "ABCD")
        self.assertAlmostEqual((b[0] - a[0]) * (d[0] - c[0]) + (b[1] - a[1]) * (d[1] - c[1]), 0)
        self.assertEqual(f.value("E"), a)

    def test_what_is_tied_in_some_way_is_no_loose_end(self):
        f = figure(
            "A=(0,0)\nB=(6,1)\nC=(2.5,4.9)\nAB is the segment from A to B\nM is the midpoint of AB\nN is the midpoint of A and C\n"
            "O is the midpoint of B and C\n"
            "p is the perpendicular bisector of AB\nq is the perpendicular bisector of B and C\n"
            "r is the perpendicular bisector of C and A\nP is where p meets q\n"
            "MN is the segment from M to N\nBC is the segment from B to C\nD is the foot of the perpendicular from C to AB\n"
            "CD is the segment from C to D"
        )
        self.assertEqual(loose_ends(f.board, 0.2), [])


class NiceTest(unittest.TestCase):
    def test_a_drag_keeps_a_reading_to_whole_steps(self):
        f = figure(
            "A=(0,0)\nB=(4,0)\nC=(1,3)\nv is the length of A and C\nα is the angle BAC\nk is the circle with centre A through B\n"
            "P is a point on k at 40\nu is the length of B and P"
        )
        for name, step, peg, to in (("v", 0.5, "C", (1.234, 2.87)), ("α", 5, "C", (2.2, 1.9)), ("u", 0.1, "P", (63.7,))):
            with self.subTest(name):
                id = next(id for id in f.board.ids_named(name))
                perform(f.board, Arrange(nice=(id, step)))
                found = nicely(f.board, {f.board.find(peg): to})
                value = f.read(name)
                self.assertAlmostEqual(value / step, round(value / step), places=7)
                (at,) = found.values()
                self.assertLess(max(abs(a - b) for a, b in zip(at, to)), step * (1 if peg == "C" else 20))
        perform(f.board, Arrange(nice=None))
        self.assertEqual(nicely(f.board, {f.board.find("C"): (1.234, 2.87)}), {f.board.find("C"): (1.234, 2.87)})

    def test_lattices(self):
        f = figure("A=(0,0)\nB=(4,1)\nAB is the segment from A to B")
        perform(f.board, Arrange(snap=True, spacing=0.5))
        a = f.board.find("A")
        self.assertEqual(grab(f.board, [a], (0, 0)).numbers(f.board, (1.2, 0.8)), {a: (1.0, 1.0)})
        ends = grab(f.board, [f.board.find("AB")], (2, 0.5)).numbers(f.board, (3.2, 0.4))
        self.assertEqual(list(ends.values()), [(1.0, 0.0), (5.0, 1.0)], "a segment keeps its shape")
        perform(f.board, Arrange(ground="triangles"))
        (at,) = grab(f.board, [a], (0, 0)).numbers(f.board, (1.2, 0.8)).values()
        self.assertAlmostEqual(at[1] / (0.25 * math.sqrt(3)), 2)
        self.assertLess(distance(at, (1.2, 0.8)), 0.3)


class LogTest(unittest.TestCase):
    def test_rows_are_recorded_and_readings_that_go_take_their_column(self):
        f = figure("A=(0,0)\nB=(4,0)\nv is the length of A and B\nw is the value of v * v")
        v, w = f.board.find("v"), f.board.find("w")
        with self.assertRaises(Refusal):
            perform(f.board, Record())
        perform(f.board, Arrange(log=[v, w]))
        perform(f.board, Record())
        f.drag("B", 5, 0)
        patch = perform(f.board, Record())
        self.assertEqual(f.board.settings.rows, ((4, 16), (5, 25)))
        _title, (again,) = lesson_from_json(lesson_to_json("Log", [f.board]))
        self.assertEqual(again.settings, f.board.settings)
        gone = perform(f.board, Delete(ids=[w]))
        self.assertEqual((f.board.settings.log, f.board.settings.rows), ((v,), ((4,), (5,))))
        Patch.from_json(gone.to_json()).reversed().apply(f.board)
        self.assertEqual(f.board.settings.rows, ((4, 16), (5, 25)))
        Patch.from_json(patch.to_json()).reversed().apply(f.board)
        self.assertEqual(f.board.settings.rows, ((4, 16),))
        for wrong in ({"log": ["nothing"]}, {"nice": ("nothing", 1)}, {"rows": [[1, 2, 3]]}):
            with self.subTest(wrong), self.assertRaises(Refusal):
                perform(f.board, Arrange(**wrong))
        f.say("x_A is the coordinates of A")
        with self.assertRaises(Refusal):
            perform(f.board, Arrange(log=[f.board.steps[-1].id]))


class LabelTest(unittest.TestCase):
    def test_labels_keep_out_of_one_anothers_way(self):
        f = figure(
            "A=(0,0)\nB=(0.3,0)\nC=(0.15,0.2)\nD=(0.2,-0.2)\nv is the length of A and B\nw is the length of A and C\n"
            "u is the length of B and C\nα is the angle ABC"
        )
        boxes = []
        for item in display(f.board, Extent(-10, -6, 10, 6)):
            label = item["label"]
            x, y = (50 * at + 19 * push for at, push in zip(label["at"], label["push"]))
            wide, high = (4.4 * len(label["text"]) + 6, 12) if item["kind"] == "number" else (6, 9)
            boxes.append((item["says"], x - wide, y - high, x + wide, y + high))
        for number, (name, left, low, right, high) in enumerate(boxes):
            for other, *box in boxes[:number]:
                overlap = min(right, box[2]) - max(left, box[0]), min(high, box[3]) - max(low, box[1])
                self.assertFalse(min(overlap) > 4, f"{name} covers {other}")

    def test_gathering(self):
        f = figure(BED)
        names = lambda *query: [f.board.name(id) for id in gather(f.board, *query)]
        self.assertEqual(names("segments"), ["AB", "CD"])
        self.assertEqual(names("parents", [f.board.find("M")]), ["CD"])
        self.assertEqual(names("children", [f.board.find("M")]), ["k"])
        self.assertEqual(names("look", [f.board.find("AB")]), ["AB", "CD"])
        self.assertEqual(len(names("all")), len(f.board))
        with self.assertRaises(Refusal):
            gather(f.board, "marks")

    def test_a_caption_says_a_value_in_words(self):
        f = figure("A=(0,0)\nB=(4,0)\nv is the value of 0.5 * AB")
        perform(f.board, Restyle(ids=[f.board.find("v")], look=LookChanges(caption="½ × base = {value}")))
        (item,) = display(f.board, Extent(-10, -6, 10, 6), [f.board.find("v")])
        self.assertEqual(item["label"]["text"], "½ × base = 2.00")


class ExpandedEditTest(unittest.TestCase):
    def test_a_square_is_one_edit(self):
        f = figure("A=(0,0)\nB=(4,0)")
        patch = perform(f.board, Add(steps=[NewStep(does="square", fills={"from": ["s1"], "to": ["s2"]})]))
        self.assertEqual(len(f.board), 5)
        patch.reversed().apply(f.board)
        self.assertEqual(len(f.board), 2)
