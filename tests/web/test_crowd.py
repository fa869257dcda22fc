"""One person cannot stop the others: long work has a process of its own, and nobody’s work makes room for nothing."""

import asyncio
import json
import os
import signal
import time
from unittest import mock

from ruddy_trellis.core import Figure
from ruddy_trellis.core.lesson.file import lesson_to_json
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.store import lessons as store
from ruddy_trellis.web.lessons import recipes
from ruddy_trellis.web.live import lines
from ruddy_trellis.web.live.lines import LONG, Pace
from ruddy_trellis.web.worker import ASKING, SHARE, Busy, Left, Worker, while_asked

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

    def test_a_process_that_was_killed_while_idle_is_started_again(self):
        worker = Worker()
        self.addCleanup(worker.close)
        mine = asyncio.run(worker.do(os.getpid))
        os.kill(mine, signal.SIGKILL)
        for _ in range(200):
            if not os.path.exists(f"/proc/{mine}"):
                break
            time.sleep(0.02)
        self.assertEqual(asyncio.run(worker.do(sorted, [3, 1, 2])), [1, 2, 3])
        self.assertNotEqual(asyncio.run(worker.do(os.getpid)), mine)

    def test_people_take_turns_and_have_a_share(self):
        worker, order = Worker(), []
        self.addCleanup(worker.close)

        async def ask(who, number):
            ASKING.set(who)
            try:
                await worker.do(time.sleep, 0.02)
                order.append(who)
            except Busy:
                order.append(f"{who} refused")

        async def all_ask():
            many = [asyncio.create_task(ask("many", number)) for number in range(SHARE + 4)]
            await asyncio.sleep(0.005)
            await asyncio.gather(*many, *(asyncio.create_task(ask("one", number)) for number in range(2)))

        asyncio.run(all_ask())
        self.assertEqual(order.count("many refused"), 3, "one was under way, and a share waited")
        self.assertEqual(order.count("many"), SHARE + 1)
        done = [who for who in order if "refused" not in who]
        self.assertLess(done.index("one"), 4)
        self.assertLess(len(done) - done[::-1].index("one"), 7, "both of hers came before the last of theirs")

    def test_work_that_nobody_waits_for_is_stopped(self):
        worker = Worker()
        self.addCleanup(worker.close)

        class Leaving:
            async def receive(self):
                await asyncio.sleep(0.5)
                return {"type": "http.disconnect"}

        async def ask():
            with self.assertRaises(Left):
                await while_asked(Leaving(), worker.do(time.sleep, 25))
            return await asyncio.wait_for(worker.do(sorted, [2, 1]), 20)

        self.assertEqual(asyncio.run(ask()), [1, 2])

    def test_the_many_lines_of_one_teacher_take_turns(self):
        async def at_once(count, who):
            """How many of so many lines are answered at one time, at most."""
            turns, inside, most = lines.Turns(), 0, 0

            async def one():
                nonlocal inside, most
                async with turns.line(who) as turn:
                    await asyncio.sleep(0.01)  # all are open
                    async with turn():
                        inside += 1
                        most = max(most, inside)
                        await asyncio.sleep(0.01)
                        inside -= 1
                    await asyncio.sleep(0.01 * count)

            await asyncio.gather(*(one() for _ in range(count)))
            self.assertFalse(turns._lines, "nothing is kept of lines that have ended")
            return most

        for count, who, most in ((lines.FEW, 1, lines.FEW), (lines.FEW + 1, 1, 1), (20, 1, 1), (20, None, 20)):
            self.assertEqual(asyncio.run(at_once(count, who)), most)

    def test_edits_count_in_the_quota(self):
        board = self.new_board()
        with mock.patch.object(self.lessons, "_quota", 0), mock.patch.object(store, "LOOKED_AT", 10):
            line = self.line(board)
            line.until("board")
            line.send("say", text="A = (0, 0)")
            self.assertIn("fill the 0 MB", line.until("says")["words"])
        self.assertTrue(line.say("A = (1, 1)"))

    def test_a_teacher_keeps_so_many_recipes_and_no_more(self):
        board = self.new_board()
        for text in ("A = (0, 0)", "B = (4, 0)", "the circle with centre A through B"):
            self.line(board).say(text)
        with mock.patch.object(recipes, "RECIPES", 2):
            kept = [
                self.client.post(f"/boards/{board}/recipes", data={"name": name, "results": "s3", "given": ["s1", "s2"]}).text
                for name in ("ring one way", "ring two ways", "ring three ways")
            ]
        self.assertEqual([("at most 2 recipes" in text) for text in kept], [False, False, True])

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
                    await pace.rest(took)
            return slept

        short, longer, longest = asyncio.run(pauses())
        self.assertEqual((short, longer), (0, LONG * 2))
        self.assertLess(longest, 1)
