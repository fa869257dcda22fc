"""Whatever is sent, a board opens again, others do not feel it, and who asked is told."""

import json
import random
import threading
import time
from unittest import mock

from limits import parse

from ruddy_trellis.core.lesson.file import board_from_store
from ruddy_trellis.web.people import passwords
from tests.campaign.boards import student_drags

from .served import Line, WebTest

FIGURE = (
    "A = (0, 0)", "B = (4, 0)", "AB is the segment from A to B", "m is the equal-length mark on AB",
    "v is a dial from 0 to 10 in steps of 1 at 4",
    "P is a point on AB at 0.5", "w is the words “so {v}”", "S is the length of AB",
)  # fmt: skip
#: Messages that once closed the line, or raised.
NASTY = (
    {"t": "shake"},
    {"t": "drag", "to": [1e30, 0], "seq": 1},
    {"t": "drag", "to": [2, 0], "seq": 10**30},
    {"t": "nudge", "ids": ["s5"], "by": [1, 0]},
    {"t": "board_look", "id": "s7"},
    {"t": "say", "text": "h = area(ABD)"},
    {"t": "say", "text": "the words “{²}”"},
    {"t": "edit", "edit": {"kind": "add", "steps": [{"does": "midpoint", "fills": {"span": ["new:²"]}}]}},
    {"t": "edit", "edit": {"kind": "add", "steps": [{"does": "dial", "fills": {"least": 0, "most": 1, "step": 1e-320, "value": 0}}]}},
    {"t": "edit", "edit": {"kind": "add", "steps": [{"does": "words", "fills": {"text": {"words": "a {0}", "of": [[]]}, "at": [0, 0]}}]}},
    {"t": "edit", "edit": {"kind": "add", "steps": [{"does": "line_from_equation", "fills": {"equation": "y = {0}"}}]}},
    {"t": "edit", "edit": {"kind": "move", "numbers": {"s1": [1e300, 0]}}},
    {"t": "say", "text": "the polygon through " + "A" * 3000},
    {"t": "complete", "text": "the " * 2000},
)


class NastyTest(WebTest):
    demo = False

    def line(self, board):
        manager = self.client.websocket_connect(f"/boards/{board}/live")
        socket = manager.__enter__()
        self.addCleanup(manager.__exit__, None, None, None)
        line = Line(socket)
        line.first = line.until("board")
        return line

    def test_no_message_closes_the_line(self):
        board = self.new_board()
        line = self.line(board)
        for text in FIGURE:
            line.say(text)
        for message in NASTY:
            with self.subTest(message):
                line.socket.send_text(json.dumps(message))
                line.socket.send_text('{"t":"say","text":"wibblewobble"}')
                said = line.until("says")
                while "wibblewobble" not in said["words"]:
                    said = line.until("says")
        line.socket.send_bytes(b"\x00\xff")
        self.assertEqual(line.until("says")["kind"], "refusal")
        self.assertEqual(len(self.line(board).first["items"]), len(board_from_store(self.lessons.board(board).document)))

    def test_dragged_onto_one_another_saved_and_opened_again(self):
        board = self.new_board()
        line = self.line(board)
        for text in FIGURE:
            line.say(text)
        line.send("grab", ids=["s2"], at=[4, 0])
        line.send("drag", to=[0, 0], seq=1)
        line.until("moved")
        line.send("drop")
        line.until("changed")
        again = self.line(board)
        self.assertEqual(again.first["state"]["steps"], 8)
        again.send("grab", ids=["s6"], at=[0, 0])
        again.send("drag", to=[3, 3], seq=2)
        self.assertTrue(again.until("moved")["held"])
        again.send("undo")
        self.assertEqual(again.until("says")["words"], "Undone: moved B")

    def test_a_disk_that_is_full_is_told_and_nothing_is_changed(self):
        board = self.new_board()
        line = self.line(board)
        line.say("A = (0, 0)")
        line.say("B = (1, 0)")
        with mock.patch.object(self.lessons, "save_step", side_effect=OSError("the disk is full")), self.assertLogs("ruddy_trellis.web"):
            line.send("undo")
            self.assertIn("nothing was changed", line.until("says")["words"])
        self.assertEqual(line.say("C = (2, 0)")["state"]["steps"], 3, "the undo that failed is not in it")
        self.assertEqual(self.lessons.board(board).edits_done, 3)

    def test_a_board_with_a_step_that_nobody_can_make_still_opens(self):
        board = self.new_board()
        line = self.line(board)
        for text in FIGURE[:3]:
            line.say(text)
        row = self.lessons.board(board)
        kept = json.loads(row.document)
        kept["steps"][2]["does"] = "trisector"
        with self.assertLogs("ruddy_trellis.core"):
            self.assertEqual([step.id for step in board_from_store(json.dumps(kept)).steps], ["s1", "s2"])

    def test_readers_in_threads_see_whole_boards(self):
        board = self.new_board()
        line = self.line(board)
        for number in range(40):
            line.say(f"A_{number} = ({number}, 0)")
        answers, over = [], threading.Event()

        def read():
            while not over.is_set():
                answers.append(self.client.get(f"/boards/{board}/working.txt").text)

        readers = [threading.Thread(target=read) for _ in range(3)]
        for reader in readers:
            reader.start()
        for _ in range(25):
            line.send("edit", edit={"kind": "delete", "ids": ["s3"]})
            line.until("changed")
            line.send("undo")
            line.until("changed")
        over.set()
        for reader in readers:
            reader.join()
        self.assertGreater(len(answers), 20)
        self.assertLessEqual({len(answer.splitlines()) for answer in answers}, {39, 40})

    def test_addresses_and_forms_that_nobody_sends(self):
        for address in (f"/boards/{10**20}/working.txt", "/boards/9223372036854775808/picture.svg"):
            answer = self.client.get(address)
            self.assertEqual(answer.status_code, 404, address)
            self.assertIn("content-security-policy", answer.headers)
        for charset in ("utf-7", "unicode_escape", "rot13"):
            answer = self.client.post(
                "/sign-in", content=b"a=b", headers={"content-type": f"multipart/form-data; boundary=x; charset={charset}"}
            )
            self.assertEqual(answer.status_code, 415)

    def test_a_fault_of_ours_carries_the_same_headers(self):
        with mock.patch.object(self.lessons, "of_teacher", side_effect=RuntimeError("a fault")), self.assertLogs("ruddy_trellis.web"):
            answer = self.client.get("/")
        self.assertEqual(answer.status_code, 500)
        self.assertIn("content-security-policy", answer.headers)

    def test_too_many_registrations_cost_no_hashing(self):
        self.application.state.attempts._registering = parse("10 per hour")
        with mock.patch.object(passwords, "_HASHER", wraps=passwords._HASHER) as hasher:
            for _ in range(14):
                self.new_client().post("/register", data={"name": "X", "password": "a gate of oak"})
            self.assertLess(hasher.hash.call_count, 11)


class StudentsTest(WebTest):
    def test_whatever_students_drag_on_the_demo_boards_they_open_again(self):
        start = time.monotonic()
        self.assertGreater(student_drags(random.Random(1), 3), 40)
        self.assertLess(time.monotonic() - start, 60)
