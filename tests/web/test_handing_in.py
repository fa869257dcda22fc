"""Handing in: opened by the teacher, under nicknames, frozen, with a word back that one copy is told; taken back, renamed, over."""

from datetime import date, timedelta

from ruddy_trellis.store.hand_ins import AT_ONCE, OF_ONE, TooMany
from ruddy_trellis.store.secret import hashed
from ruddy_trellis.store.tables import HandInRow

from .served import Line, WebTest, wait_until

TOKEN = "a-secret-of-one-browser-{}"


class HandingInTest(WebTest):
    def setUp(self):
        super().setUp()
        self.board = self.new_board()
        self.lesson, _ = next(pair for pair in self.own_lessons() if pair[1] == self.board)
        line = self.line(f"/boards/{self.board}/live")
        for text in ("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB"):
            line.say(text)
        self.client.post(f"/lessons/{self.lesson.slug}/share", data={"shared": "link"})
        self.client.post(
            f"/boards/{self.board}/challenge",
            data={"task": "The middle.", "given": ["s1", "s2"], "answers": ["s3"], "kit": "everything", "hints": "Fold it."},
        )
        self.lesson = self.lessons.find(self.lesson.slug)
        self.here = f"/lessons/{self.lesson.slug}/handed-in"

    def line(self, address, copy=None):
        return Line(self.enterContext(self.client.websocket_connect(address, copy and [f"copy.{copy}"])))

    def student(self, number=0):
        line = self.line(f"/open/{self.lesson.share_key}/{self.board}/live", TOKEN.format(number))
        line.until("board")
        return line

    def open(self, is_open=True):
        self.client.post(f"{self.here}/open", data={"is_open": is_open})

    def hand_in(self, line, name="fox"):
        line.send("hand_in", name=name)
        return line.until("says"), line.until("handed_in")

    def test_it_is_frozen_judged_and_answered(self):
        line = self.student()
        line.send("hand_in", name="fox")
        self.assertIn("your teacher opens it", line.until("says")["words"])
        self.open()
        self.assertTrue(line.until("ask_handed_in"))
        line.say("the midpoint of AB")
        line.send("hint")
        self.assertEqual(line.until("hint")["number"], 1)
        _, found = self.hand_in(line)
        self.assertEqual((found["name"], found["verdict"], found["word"]), ("fox", "right", ""))
        line.send("undo")
        line.until("says")
        page = self.client.get(self.here).text
        self.assertIn("fox", page)
        self.assertIn("1 hint", page)
        (row,) = self.lessons.hand_ins.every(self.lesson.id)
        self.assertIn("midpoint", row.document, "what is done later changes nothing of it")
        self.assertEqual(self.client.get(f"/hand-ins/{row.id}/picture.svg").status_code, 200)
        self.assertIn("handed in by fox", self.client.get(f"/hand-ins/{row.id}").text)
        opened = self.line(f"/hand-ins/{row.id}/live", "practice").until("board")
        self.assertEqual(opened["state"]["steps"], 3)
        self.assertEqual(self.client.get(f"{self.here}/all.svg?board={self.board}").status_code, 200)
        # The word back is told to whoever holds that copy, and to nobody else.
        other = self.student(1)
        self.client.post(f"/hand-ins/{row.id}/word", data={"word": "Well found!"})
        for one, word in ((line, "Well found!"), (other, "")):
            one.send("handed_in")
            self.assertEqual(one.until("handed_in")["word"], word)
        # Taken back, all of it goes.
        line.send("handed_in", take_back=True)
        self.assertEqual(line.until("handed_in")["name"], "")
        self.assertEqual(self.lessons.hand_ins.every(self.lesson.id), [])

    def test_nobody_else_sees_it(self):
        self.open()
        line = self.student()
        self.hand_in(line)
        (row,) = self.lessons.hand_ins.every(self.lesson.id)
        stranger = self.new_client()
        for address in (
            self.here, f"{self.here}/grid", f"{self.here}.csv", f"{self.here}/all.svg?board={self.board}", f"/hand-ins/{row.id}",
            f"/hand-ins/{row.id}/picture.svg",
        ):  # fmt: skip
            self.assertNotIn("fox", stranger.get(address).text)
        self.assertEqual(stranger.get(f"/hand-ins/{row.id}/picture.svg").status_code, 404)
        for address in (f"{self.here}/open", f"{self.here}/names", f"/hand-ins/{row.id}/word"):
            stranger.post(address, data={"is_open": "false", "name": "fox", "remove": "true", "word": "x"})
        self.assertEqual([row.word for row in self.lessons.hand_ins.every(self.lesson.id)], [""])

    def test_names(self):
        self.open()
        lines = [self.student(number) for number in range(3)]
        for line, name in zip(lines, ("fox", "=1+1", "fox")):
            self.hand_in(line, name)
        for bad in ("", "   ", "x" * 21, "a\u202eb"):
            lines[0].send("hand_in", name=bad)
            self.assertEqual(lines[0].until("says")["kind"], "refusal", bad)
        table = self.client.get(f"{self.here}.csv").text
        self.assertIn("'=1+1", table)
        self.client.post(f"{self.here}/names", data={"name": "fox", "new": "hare"})
        self.assertEqual([row.name for row in self.lessons.hand_ins.every(self.lesson.id)], ["hare", "=1+1", "hare"])
        self.client.post(f"{self.here}/names", data={"name": "hare", "remove": "true"})
        self.assertEqual([row.name for row in self.lessons.hand_ins.every(self.lesson.id)], ["=1+1"])

    def test_bounds_and_days(self):
        hand_ins = self.lessons.hand_ins

        def row(name, holder="h"):
            return HandInRow(lesson_id=self.lesson.id, board_id=self.board, holder=holder, name=name, document="{}")

        for _ in range(OF_ONE + 3):
            hand_ins.keep(row("fox"))
        self.assertEqual(len(hand_ins.every(self.lesson.id)), OF_ONE)
        self.assertEqual(len(hand_ins.of_board(self.board)), 1)
        last = hand_ins.of_board(self.board)
        before = hand_ins.earlier(last)[last[0].id]
        self.assertEqual([one.id for one in before], [last[0].id - number for number in range(1, OF_ONE)])
        for number in range(1, AT_ONCE):
            hand_ins.keep(row(f"n{number}", f"h{number}"))
        hand_ins.keep(row("n1", "h1"))
        rows = hand_ins.of_board(self.board, most=AT_ONCE)
        counts = {one.holder: len(before) for one in rows for before in [hand_ins.earlier(rows)[one.id]] if before}
        self.assertEqual(counts, {"h": OF_ONE - 1, "h1": 1})  # to each what is its own
        with self.assertRaises(TooMany):
            hand_ins.keep(row("one more", "other"))
        hand_ins.keep(row("one more", "other"), "from elsewhere")
        hand_ins.keep(row("fox"))
        self.assertEqual(hand_ins.forget(), 0)
        calendar = self.application.state.calendar
        day = date.today()
        for ahead in range(1, 34):
            calendar.count(day + timedelta(days=ahead))
        self.assertGreater(hand_ins.forget(), 0)
        self.assertEqual(hand_ins.every(self.lesson.id), [])

    def test_copies_go_with_what_was_handed_in(self):
        self.open()
        lines = [self.student(number) for number in range(2)]
        for line in lines:
            line.say("the midpoint of AB")
        self.hand_in(lines[0])
        calendar, day = self.application.state.calendar, date.today()
        for ahead in range(1, 29):
            calendar.count(day + timedelta(days=ahead))
        self.assertEqual(self.lessons.hand_ins.forget(), 0)
        for ahead in range(29, 34):
            calendar.count(day + timedelta(days=ahead))
        self.assertEqual(self.lessons.hand_ins.forget(), 1)
        self.assertIsNone(self.lessons.copy(self.board, hashed(TOKEN.format(0))))
        self.assertIsNotNone(self.lessons.copy(self.board, hashed(TOKEN.format(1))), "nothing was handed in of it")

    def test_hints_are_counted_by_the_copy(self):
        line = self.student()
        line.say("the midpoint of AB")
        line.send("hint")
        first = line.until("hint")
        line = self.student()
        line.send("hint", again=True)
        self.assertEqual(line.until("hint"), first)
        line.send("hint")
        self.assertEqual(line.until("says")["kind"], "refusal")
        self.open()
        self.hand_in(line)
        self.assertEqual([row.hints for row in self.lessons.hand_ins.every(self.lesson.id)], [1])

    def test_it_is_proved_and_judged_anew(self):
        self.open()
        line = self.student()
        line.say("the midpoint of AB")
        line.send("is_right", reach=0.01)
        taken = line.until("judged")["taken"]
        self.assertEqual(line.until("always")["taken"], taken)
        self.hand_in(line)
        hand_ins = self.lessons.hand_ins
        wait_until(lambda: hand_ins.every(self.lesson.id)[0].always)
        self.assertIn("always: it is proved", self.client.get(self.here).text)
        # The task is another one now: what was handed in keeps its verdict until the teacher says otherwise.
        self.client.post(
            f"/boards/{self.board}/challenge",
            data={"task": "A point.", "by": "claims", "sought": "X is a point", "claims": "AX = 2 BX", "kit": "everything"},
        )
        self.assertEqual(hand_ins.every(self.lesson.id)[0].verdict, "right")
        self.assertIn("before you changed it", self.client.get(self.here).text)
        self.assertEqual(self.new_client().post(f"{self.here}/judge", data={"board": self.board}).status_code, 404)
        self.assertEqual(hand_ins.every(self.lesson.id)[0].verdict, "right", "a stranger judges nothing")
        self.client.post(f"{self.here}/judge", data={"board": self.board})
        self.assertEqual([(row.verdict, row.always) for row in hand_ins.every(self.lesson.id)], [("not yet", False)])
        self.assertNotIn("before you changed it", self.client.get(self.here).text)

    def test_one_is_put_up_for_all(self):
        self.open()
        line = self.student()
        for text in ("Tommy is the midpoint of AB", "P is the midpoint of A and Tommy", "write “by Tommy” on the board"):
            line.say(text)
        self.hand_in(line, "fox")
        (row,) = self.lessons.hand_ins.every(self.lesson.id)
        self.client.post(f"/hand-ins/{row.id}/board")
        board_id = self.lessons.boards(self.lesson.id)[-1].id
        board = self.application.state.live.get(board_id).board
        self.assertEqual([board.name(step.id) for step in board.steps[:4]], ["A", "B", "C", "P"])
        self.assertTrue(board.steps[4].look.hidden)
        self.assertEqual(board.settings.own_from, 0)
        self.assertNotIn("fox", self.lessons.board(board_id).document)
        self.assertEqual(self.new_client().post(f"/hand-ins/{row.id}/board").status_code, 404)

    def test_a_copy_of_the_board_has_its_challenge(self):
        self.client.post(f"/lessons/{self.lesson.slug}/boards", data={"copy_of": self.board})
        copy = self.lessons.boards(self.lesson.id)[-1].id
        self.assertEqual(self.application.state.live.get(copy).challenge, self.application.state.live.get(self.board).challenge)
        answer = self.client.post(f"/lessons/{self.lesson.slug}/copy")
        lesson = self.lessons.find(str(answer.url).rsplit("/", 1)[1])
        ids = [row.id for row in self.lessons.boards(lesson.id)]
        self.assertEqual([self.application.state.live.get(id).challenge.task for id in ids], ["The middle."] * 2)
