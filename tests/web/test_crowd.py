"""One person cannot stop the others: long work has a process of its own, and nobody’s work makes room for nothing."""

import asyncio
import json
import time
from unittest import mock

from ruddy_trellis.core import Figure
from ruddy_trellis.core.lesson.file import lesson_to_json
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.store import lessons as store
from ruddy_trellis.web.lessons import recipes
from ruddy_trellis.web.live.lines import LONG, Pace
from ruddy_trellis.web.worker import Worker

from .served import Line, WebTest


def without_end(_content):
    """Stands for a recipe that takes very long to read."""
    time.sleep(60)


class WorkerTest(WebTest):
    def test_what_takes_too_long_is_stopped_and_the_next_is_done(self):
        worker = Worker()
        self.addCleanup(worker.close)
        with self.assertRaisesRegex(Refusal, "longer than 1 seconds"):
            asyncio.run(worker.do(time.sleep, 30, patience=1))
        self.assertEqual(asyncio.run(worker.do(sorted, [3, 1, 2])), [1, 2, 3])
        with self.assertRaisesRegex(Refusal, "too much"):
            asyncio.run(worker.do(bytearray, 10**11))

    def test_a_long_text_and_a_large_file_come_in_whole_or_not_at_all(self):
        board = self.new_board()
        for text in ("A = (0, 0)", "B = (4, 0)", "the circle with centre A through B"):
            self.line(board).say(text)
        self.client.post(f"/boards/{board}/recipes", data={"name": "ring on a way", "results": "s3", "given": ["s1", "s2"]})
        long = [f"P{number} = ({number}, {number % 7})" for number in range(100)]
        line = self.line(board)
        line.send("edit", edit={"kind": "paste", "text": "\n".join([*long, "the wring on P1"])})
        self.assertIn("Line 101", line.until("says")["words"])
        line.send("edit", edit={"kind": "paste", "text": "\n".join([*long, "the ring on a way on P1 and P2"])})
        self.assertEqual(line.until("changed")["state"]["steps"], 104)
        line.send("undo")
        self.assertEqual(line.until("changed")["state"]["steps"], 3)
        figure = Figure()
        figure.say("\n".join(f"P{number} = ({number}, 1)" for number in range(400)))
        content = json.dumps(lesson_to_json("Many pegs", [figure.board])).encode()
        self.assertGreater(len(content), 20_000)
        self.assertEqual(self.client.post("/lessons/read", files={"file": ("l.json", content)}).status_code, 200)
        lesson, id = self.own_lessons()[0]
        self.assertEqual((lesson.title, len(self.application.state.live.get(id).board)), ("Many pegs", 400))
        answer = self.client.post("/lessons/read", files={"file": ("l.json", content[:-9])})
        self.assertEqual(answer.status_code, 422)
        self.assertIn("no file of this program", answer.text)

    def test_a_recipe_that_takes_too_long_is_refused(self):
        board = self.new_board()
        for text in ("A = (0, 0)", "B = (4, 0)", "the circle with centre A through B"):
            self.line(board).say(text)
        self.client.post(f"/boards/{board}/recipes", data={"name": "ring on a way", "results": "s3", "given": ["s1", "s2"]})
        (row,) = self.lessons.recipes(self.teacher.id)
        content = row.document.replace("ring on a way", "another ring").encode()
        with mock.patch.object(recipes, "_PATIENCE", 1), mock.patch.object(recipes, "arrived_recipe", without_end):
            answer = self.client.post("/recipes/read", files={"file": ("r.json", content)})
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(len(self.lessons.recipes(self.teacher.id)), 1)
        self.assertIn("another ring", self.client.post("/recipes/read", files={"file": ("r.json", content)}).text)

    def line(self, board):
        return Line(self.enterContext(self.client.websocket_connect(f"/boards/{board}/live")))


class CopiesTest(WebTest):
    def setUp(self):
        super().setUp()
        self.board = self.lessons.gallery()[0][1]

    def copy(self, holder, edits=0):
        row = self.lessons.make_copy(self.board, holder, "{}")
        for number in range(1, edits + 1):
            self.lessons.save_edit(row.id, number, "{}", "{}")
        return row

    def test_a_copy_with_work_in_it_is_never_pushed_out_by_fresh_ones(self):
        with mock.patch.object(store, "COPIES", 6):
            worked = [self.copy(f"worker {number}", store.WORK) for number in range(3)]
            for number in range(20):
                self.assertIsNotNone(self.copy(f"passer-by {number}", number % 2))
            for row in worked:
                self.assertIsNotNone(self.lessons.board(row.id))
            self.assertIsNotNone(self.lessons.copy(self.board, "passer-by 19"), "the newest is there")
            for number in range(3, 6):
                self.copy(f"worker {number}", store.WORK)
            self.assertIsNone(self.copy("one too many"), "where there is work in all, none goes")
            self.assertIsNone(self.lessons.copy(self.board, "one too many"))

    def test_who_was_pushed_out_goes_on_and_is_kept_again(self):
        lesson, board, _ = next(row for row in self.lessons.gallery() if row[0].title == "Three taps, one fountain")
        peg = next(step.id for step in self.application.state.live.get(board).board.steps if step.moves == "free")
        line = Line(self.enterContext(self.client.websocket_connect(f"/open/{lesson.share_key}/{board}/live", ["copy." + "c" * 24])))
        line.until("board")
        line.send("nudge", ids=[peg], by=[1, 0])
        line.until("changed")
        with self.lessons._database.session() as session:
            rows = session.connection().exec_driver_sql("SELECT id FROM board WHERE copy_of IS NOT NULL").scalars().all()
            self.lessons._delete_copies(session, rows)
            session.commit()
        line.send("nudge", ids=[peg], by=[1, 0])
        self.assertTrue(line.until("changed")["state"]["undo"])
        line.send("undo")
        self.assertFalse(line.until("changed")["state"]["undo"])


class PaceTest(WebTest):
    def test_after_a_long_answer_comes_a_pause(self):
        async def pauses():
            pace, slept = Pace(), []

            async def noted(seconds):
                slept.append(seconds)

            with mock.patch("asyncio.sleep", noted):
                for took in (LONG / 2, LONG * 2, 5):
                    await pace.keep(took)
            return slept

        short, longer, longest = asyncio.run(pauses())
        self.assertEqual((short, longer), (0, LONG * 2))
        self.assertLess(longest, 1)
