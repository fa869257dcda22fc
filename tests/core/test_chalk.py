"""Chalk: strokes on a board that are drawn, rubbed out, undone, kept, and touch nothing else."""

import json
import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.display import Extent, display
from ruddy_trellis.core.edits import Patch
from ruddy_trellis.core.edits.models import read_edit
from ruddy_trellis.core.edits.prepare import perform, prepare
from ruddy_trellis.core.hand import Alone, StudentHand
from ruddy_trellis.core.lesson.file import board_from_store, board_to_text
from ruddy_trellis.core.lesson.student_copy import student_copy
from ruddy_trellis.drawings.svg import svg

from .figures import figure

STROKE = {"pen": "ruddy", "width": 6, "points": [0, 0, 1, 1, 2, 0.5]}


class ChalkTest(unittest.TestCase):
    def setUp(self):
        self.alone = Alone(figure("A = (1, 1)\nB = (3, 1)\nAB is the segment from A to B").board)

    def draw(self, *strokes, wipe=()):
        return self.alone.do(t="edit", edit={"kind": "chalk", "add": list(strokes), "wipe": list(wipe)})

    def ids(self):
        return [stroke.id for stroke in self.alone.board.chalk]

    def test_drawn_rubbed_out_and_undone(self):
        steps = self.alone.board.steps
        self.draw(STROKE)
        self.draw({**STROKE, "presses": [0.2, 0.5, 0.9]}, {**STROKE, "pen": "sky"})
        self.assertEqual(self.ids(), ["c1", "c2", "c3"])
        self.draw(wipe=["c2"])
        self.assertEqual(self.ids(), ["c1", "c3"])
        self.alone.do(t="undo")
        self.assertEqual(self.ids(), ["c1", "c2", "c3"])
        self.alone.do(t="undo")
        self.alone.do(t="undo")
        self.assertEqual(self.ids(), [])
        self.alone.do(t="redo")
        self.assertEqual(self.ids(), ["c1"])
        self.assertIs(self.alone.board.steps, self.alone.board.steps)
        self.assertEqual(self.alone.board.steps, steps, "the construction is as it was")

    def test_it_is_kept_and_brought_back(self):
        self.draw(STROKE, {**STROKE, "presses": [0.2, 0.5, 0.9]})
        text = board_to_text(self.alone.board)
        self.assertEqual(board_from_store(text).chalk, self.alone.board.chalk)
        patch = prepare(self.alone.board, read_edit({"kind": "chalk", "wipe": ["c1"], "add": [STROKE]}))
        self.assertEqual(Patch.from_json(json.loads(json.dumps(patch.to_json()))), patch)
        self.draw(wipe=["c1", "c2"])
        self.alone.do(t="bring_back", number=1)
        self.assertEqual(self.ids(), ["c1", "c2"])
        self.assertEqual(student_copy(self.alone.board).chalk, self.alone.board.chalk)

    def test_it_is_drawn_over_everything(self):
        self.draw(STROKE)
        items = display(self.alone.board, Extent(-5, -5, 5, 5))
        self.assertEqual((items[-1]["id"], items[-1]["kind"]), ("chalk:c1", "chalk"))
        self.assertEqual(max(item["layer"] for item in items[:-1]), 4)
        self.assertIn("stroke-linecap", svg(items, Extent(-5, -5, 5, 5), 300, 300))

    def test_what_is_no_stroke_is_refused(self):
        for wrong in (
            {**STROKE, "points": [0, 0, 1]},
            {**STROKE, "presses": [0.5]},
            {**STROKE, "pen": "gold"},
            {**STROKE, "width": 1000},
            {**STROKE, "points": [0, 1e30]},
            {**STROKE, "points": [0, 0] * 2000},
        ):
            self.assertEqual(self.draw(wrong)[-1]["kind"], "refusal")
        self.assertEqual(self.draw()[-1]["kind"], "refusal")
        self.assertEqual(self.draw(wipe=["c9"])[-1]["kind"], "refusal")
        with self.assertRaises(Refusal):
            for _ in range(30):
                perform(self.alone.board, read_edit({"kind": "chalk", "add": [STROKE] * 20}))
        self.assertEqual(len(self.ids()), 400)

    def test_chalk_for_the_lesson_alone_is_told_and_not_kept(self):
        answers = self.alone.do(t="scribble", stroke=STROKE, name="s1")
        self.assertEqual(answers[0]["items"][0]["shape"]["points"], (0, 0, 1, 1, 2, 0.5))
        self.assertEqual(self.alone.do(t="scribble", wipe=["chalk:s1"])[0]["gone"], ["chalk:s1"])
        self.assertEqual(self.ids(), [])
        student = Alone(self.alone.board, StudentHand)
        self.assertEqual(student.do(t="scribble", stroke=STROKE, name="s1")[0]["kind"], "refusal")


if __name__ == "__main__":
    unittest.main()
