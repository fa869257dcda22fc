"""Edits: whole or not at all, and always taken back."""

import json
import random
import unittest

from ruddy_trellis.core import Board, Figure, Refusal
from ruddy_trellis.core.display import Extent, display, refreshed
from ruddy_trellis.core.edits import Patch, perform, prepare, read_edit
from ruddy_trellis.core.edits.deleting import what_goes
from ruddy_trellis.core.language.printing import working_text
from ruddy_trellis.core.lesson.file import board_to_json, lesson_from_json, lesson_schema, lesson_to_json
from ruddy_trellis.demo import demo_lessons

from .figures import TRIANGLE, figure

SENTENCES = TRIANGLE + (
    "ABC is the polygon through A, B, C\np is the perpendicular bisector of AB\n"
    "q is the perpendicular bisector of A and C\nO is where p meets q\n"
    "k is the circle with centre O through A\nP is a point on k at 30\nα is the angle ABC\nh = AB * 2 + BC"
)


class UndoTest(unittest.TestCase):
    def random_edit(self, board, chance):
        ids = [step.id for step in board.steps]
        pick = lambda: chance.choice(ids)
        return chance.choice(
            [
                lambda: {"kind": "move", "numbers": {"s1": [chance.uniform(-9, 9), chance.uniform(-9, 9)]}},
                lambda: {"kind": "rename", "id": pick(), "name": chance.choice(["X", "Y_1", "Zed", "k", "A"])},
                lambda: {
                    "kind": "restyle",
                    "ids": [pick()],
                    "look": {"pen": chance.choice(["sky", "plum"]), "hidden": chance.random() < 0.5},
                },
                lambda: {"kind": "restyle", "ids": list({pick(), pick()}), "look": {"width": 3.0, "label_offset": [4, 5]}},
                lambda: {"kind": "delete", "ids": [pick()]},
                lambda: {"kind": "add", "steps": [{"does": "midpoint", "fills": {"span": [pick(), pick()]}}]},
                lambda: {
                    "kind": "add",
                    "steps": [
                        {"does": "free_point", "fills": {"at": [1, 2]}},
                        {"does": "line", "fills": {"from": ["new:0"], "to": [pick()]}},
                    ],
                },
                lambda: {"kind": "arrange", "ground": chance.choice(["blank", "grid"]), "decimals": 3},
                lambda: {"kind": "choose", "id": pick(), "gap": "turn", "word": "reflex"},
            ]
        )()

    def test_any_run_of_edits_is_taken_back_and_made_again(self):
        for seed in range(25):
            chance = random.Random(seed)
            board = figure(SENTENCES).board
            start, states, patches = json.dumps(board_to_json(board)), [], []
            for _ in range(30):
                if not board.steps:
                    break
                states.append(json.dumps(board_to_json(board)))
                try:
                    patches.append(perform(board, read_edit(self.random_edit(board, chance))))
                except Refusal:
                    self.assertEqual(json.dumps(board_to_json(board)), states.pop(), "a refused edit changed something")
            end, values = json.dumps(board_to_json(board)), list(board.values)
            stored = [json.loads(json.dumps(patch.to_json())) for patch in patches]
            for patch, state in zip(reversed(stored), reversed(states)):
                Patch.from_json(patch).reversed().apply(board)
                self.assertEqual(json.dumps(board_to_json(board)), state)
            self.assertEqual(json.dumps(board_to_json(board)), start)
            for patch in stored:
                Patch.from_json(patch).apply(board)
            self.assertEqual(json.dumps(board_to_json(board)), end)
            self.assertEqual(board.values, values)

    def test_refused_edits_name_the_matter(self):
        board = figure(SENTENCES).board
        for data, part in (
            ({"kind": "nothing"}, "cannot be read"),
            ({"kind": "move", "numbers": {"s7": [1, 2]}}, "fixed by what it is made of"),
            ({"kind": "move", "numbers": {"s1": [1]}}, "placed by 2 numbers"),
            ({"kind": "move", "numbers": {"s1": [float("nan"), 1]}}, "too large"),
            ({"kind": "move", "numbers": {"s99": [1, 1]}}, "no longer on the board"),
            ({"kind": "restyle", "ids": ["s1"], "look": {"pen": "neon"}}, "cannot be read"),
            ({"kind": "restyle", "ids": ["s1"], "look": {"width": 4000}}, "cannot be read"),
            ({"kind": "rename", "id": "s1", "name": " "}, "cannot be empty"),
            ({"kind": "rename", "id": "s5", "name": "AB"}, "points A and B together"),
            ({"kind": "arrange", "view": [0, 0, 0, 1]}, "width and a height"),
            ({"kind": "arrange", "title": "  "}, "at least one character"),
            ({"kind": "add", "steps": [{"does": "line", "fills": {"from": ["new:5"], "to": ["s1"]}}]}, "does not add"),
            ({"kind": "add", "steps": [{"does": "free_point", "fills": {"at": [True, 1]}}]}, "gap is filled"),
            ({"kind": "add", "steps": [{"does": "midpoint", "fills": {"span": ["s1", "s2"], "more": 1}}]}, "no gap called more"),
            (
                {"kind": "add", "steps": [{"does": "calculation", "fills": {"formula": {"formula": "{0} + {1}", "of": [["s10"]]}}}]},
                "kept formula",
            ),
        ):
            with self.subTest(data), self.assertRaises(Refusal) as caught:
                prepare(board, read_edit(data))
            self.assertIn(part, caught.exception.sentence)

    def test_deleting_names_what_goes(self):
        board = figure(SENTENCES).board
        self.assertEqual(what_goes(board, ["s8"]), "Deleting takes point P too.")
        self.assertEqual(what_goes(board, ["s9"]), "")
        patch = perform(board, read_edit({"kind": "delete", "ids": ["s5"]}))
        self.assertEqual(patch.words, "Deleted line p, and with it point O, circle k and point P")


class TidyTest(unittest.TestCase):
    def test_helpers_are_hidden_in_one_go(self):
        board = figure(SENTENCES).board
        patch = perform(board, read_edit({"kind": "tidy"}))
        self.assertEqual(patch.words, "Hid line p, line q and circle k")
        self.assertEqual([board.name(step.id) for step in board.steps if step.look.hidden], ["p", "q", "k"])
        with self.assertRaises(Refusal):
            perform(board, read_edit({"kind": "tidy"}))
        patch.reversed().apply(board)
        self.assertFalse(any(step.look.hidden for step in board.steps))


class NamesTest(unittest.TestCase):
    def test_what_is_made_on_the_way_takes_no_name_that_is_given(self):
        f = Figure()
        f.say("A = (0, 0)\nB = (4, 0)\nC = (1, 3)\np is the perpendicular to the line through B and C through A")
        self.assertEqual(f.board.step(f.board.find("p")).does, "perpendicular")


class RecomputeTest(unittest.TestCase):
    def test_a_drag_recomputes_the_descendants_and_nothing_else(self):
        board = figure(SENTENCES + "\nZ is a free point at (9, 9)\nM is the midpoint of Z and B").board
        moved = board.move({board.find("Z"): (8, 8)})
        self.assertEqual([board.name(id) for id in moved], ["Z", "M"])
        whole = Board(board.settings, board.steps)
        self.assertEqual(whole.values, board.values)
        board.move({"s1": (1.5, 0.25)})
        self.assertEqual(Board(board.settings, board.steps).values, board.values)

    def test_refreshed_items_agree_with_the_whole_display_list(self):
        board = figure(SENTENCES).board
        extent = Extent(-10, -6, 10, 6)
        items = {item["id"]: item for item in display(board, extent)}
        for item in refreshed(board, extent, board.move({"s2": (5, -2)})):
            items[item["id"]].update(item)
        # Where labels step aside for one another is settled when the drag is over.
        for item in (whole := display(board, extent)) + list(items.values()):
            if item["label"]:
                del item["label"]["push"]
        self.assertEqual(list(items.values()), whole)


class LessonFileTest(unittest.TestCase):
    def test_round_trip(self):
        board = figure(SENTENCES, unit="m").board
        perform(
            board, read_edit({"kind": "restyle", "ids": ["s1", "s5"], "look": {"hidden": True, "pen": "plum", "label_offset": [3, -4.5]}})
        )
        title, (again,) = lesson_from_json(json.loads(json.dumps(lesson_to_json("A title", [board]))))
        self.assertEqual((title, again.steps, again.settings, again.values), ("A title", board.steps, board.settings, board.values))

    def test_demo_lessons_fit_the_published_schema_and_read_back(self):
        from jsonschema import Draft202012Validator  # which is not everywhere where the rest of this file runs

        validator = Draft202012Validator(lesson_schema())
        lessons = demo_lessons()
        self.assertGreaterEqual(len(lessons), 3)
        for data in lessons:
            with self.subTest(data["title"]):
                self.assertEqual([error.message for error in validator.iter_errors(data)], [])
                _title, boards = lesson_from_json(data)
                for board in boards:
                    self.assertNotIn(None, board.values)
                    again = figure(working_text(board), unit=board.settings.unit).board
                    self.assertEqual(
                        [(step.does, step.fills, step.name) for step in again.steps],
                        [(step.does, step.fills, step.name) for step in board.steps],
                    )
        broken = json.loads(json.dumps(lessons[0]))
        broken["boards"][0]["steps"][3]["with"] = {"corners": 5}
        self.assertTrue(list(validator.iter_errors(broken)))

    def test_broken_files_are_refused_exactly(self):
        good = lesson_to_json("T", [figure(TRIANGLE + "M is the midpoint of AB").board])
        steps = lambda data: data["boards"][0]["steps"]
        for change, part in (
            (lambda d: d.update(format="other"), "not a Ruddy Trellis lesson"),
            (lambda d: d.update(version=2), "of version 2"),
            (lambda d: d.update(boards=[]), "boards"),
            (lambda d: d.update(title="x" * 500), "title"),
            (lambda d: steps(d)[3].update(does="magic"), "Step 4 of the board “Board 1”: There is no construction called “magic”"),
            (lambda d: steps(d)[3].update({"with": {"span": ["s1", "s9"]}}), "Step 4"),
            (lambda d: steps(d)[3].update({"with": {"span": ["s4", "s1"]}}), "Step 4"),
            (lambda d: steps(d)[3].update({"with": {"span": ["s1"]}}), "needs two points"),
            (lambda d: steps(d)[3].update(id="s1"), "used twice"),
            (lambda d: steps(d)[3].update(name="A"), "already"),
            (lambda d: steps(d)[3].update(name="a b"), "starts with a letter"),
            (lambda d: steps(d)[0]["with"].update(at=[1e300, 0]), "too large"),
            (lambda d: steps(d)[0]["with"].update(at="here"), "Step 1"),
            (lambda d: steps(d)[0].update(look={"pen": "neon"}), "pen"),
            (lambda d: steps(d)[0].update(extra=1), "extra"),
            (lambda d: d["boards"][0].update(view=[0, 0, 0, 0]), "width"),
            (lambda d: d["boards"][0].update(unit="mile"), "unit"),
        ):
            data = json.loads(json.dumps(good))
            change(data)
            with self.subTest(part), self.assertRaises(Refusal) as caught:
                lesson_from_json(data)
            self.assertIn(part, caught.exception.sentence)
        for nonsense in (None, 3, [], "text", {}):
            with self.assertRaises(Refusal):
                lesson_from_json(nonsense)
