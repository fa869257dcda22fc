"""Verdicts on a live board: tried again where the process was busy, kept only where they were computed to their end."""

import json
import time
from unittest import mock

from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.truth.verdicts import Verdict
from ruddy_trellis.web.live import verdicts
from ruddy_trellis.web.worker import Busy

from .served import Line, WebTest


class Here:
    """Stands for a process beside the server: does the work here, after so many refusals."""

    def __init__(self, refusals=0, refusal=Busy, instead=None):
        self.refusals, self.refusal, self.instead, self.asked = refusals, refusal, instead, []

    async def do(self, function, *arguments, patience):
        self.asked.append((function.__name__, arguments))
        if self.refusals:
            self.refusals -= 1
            raise self.refusal("not now")
        return self.instead if self.instead is not None else function(*arguments)


class WithClaims(WebTest):
    """Boards with claims on them, and ways to wait for what is known of these."""

    def board(self, *sentences):
        board = self.new_board()
        line = Line(self.enterContext(self.client.websocket_connect(f"/boards/{board}/live")))
        line.until("board")
        for sentence in ("A = (0, 0)", "B = (4, 1)", "C = (1, 3)", *sentences):
            line.send("say", text=sentence)
        return board, line

    def verdict(self, line, word):
        """Wait until a claim is told with a word."""
        for _ in range(300):
            message = json.loads(line.socket.receive_text())
            for item in message.get("items", ()):
                if word in json.dumps(item, ensure_ascii=False):
                    return
        self.fail(f"nothing was told to be {word}")

    def in_panel(self, board, word):
        """Wait until the panel of claims has a word."""
        for _ in range(200):
            if word in self.client.get(f"/boards/{board}/panels/claims").text:
                return
            time.sleep(0.05)
        self.fail(f"nothing was told to be {word}")

    def kept(self):
        with self.lessons._database.engine.connect() as connection:
            return connection.exec_driver_sql("SELECT count(*) FROM verdict").scalar()

    def setUp(self):
        super().setUp()
        verdicts._remembered.clear()
        self.enterContext(mock.patch.object(verdicts, "_LATER", 0.05))


class LiveVerdictsTest(WithClaims):
    def test_what_could_not_be_tried_at_once_is_tried_again(self):
        first = Here(refusals=5)
        with mock.patch.object(verdicts, "FIRST", first), mock.patch.object(verdicts, "TRUTH", Here(refusals=2)):
            _, line = self.board("M is the midpoint of AB", "is AM = MB?")
            self.verdict(line, "proved")
        self.assertGreater(len(first.asked), 5)
        self.assertEqual(self.kept(), 1)

    def test_of_a_claim_that_is_gone_nothing_more_is_told(self):
        with mock.patch.object(verdicts, "FIRST", Here()), mock.patch.object(verdicts, "TRUTH", Here()):
            board, line = self.board("M is the midpoint of AB", "is AM = MB?")
            self.verdict(line, "proved")
            line.send("undo")
            known = self.application.state.live.get(board)._verdicts
            for _ in range(200):
                if not known.known:
                    break
                time.sleep(0.05)
            self.assertEqual(known.known, {})
            line.send("say", text="D = (2, 2)")
            told = []
            while "point D" not in json.dumps(message := json.loads(line.socket.receive_text())):
                told.append(message)
        changes = [(message["items"], len(message["gone"])) for message in told if message["t"] == "changed"]
        self.assertEqual(changes, [([], 1)], "the claim is taken away, and that is told once")

    def test_a_proof_that_was_cut_off_is_not_kept(self):
        slow = Here(refusals=10**6, refusal=Refusal)
        with mock.patch.object(verdicts, "FIRST", Here()), mock.patch.object(verdicts, "TRUTH", slow):
            _, line = self.board("M is the midpoint of AB", "is AM = MB?")
            self.verdict(line, "stands")
        self.assertEqual(self.kept(), 0)
        cut = Here(instead=Verdict("stands", held=24, why="it took too long", is_whole=False))
        with mock.patch.object(verdicts, "FIRST", Here()), mock.patch.object(verdicts, "TRUTH", cut):
            _, line = self.board("M is the midpoint of AB", "is AM = MB?")
            self.verdict(line, "stands")
        self.assertEqual(self.kept(), 0)

    def test_what_cannot_be_told_in_one_place_is_tried_in_another(self):
        with mock.patch.object(verdicts, "FIRST", Here()) as first, mock.patch.object(verdicts, "TRUTH", Here()):
            board, line = self.board(
                "k is the circle with centre A and radius 0.001", "c is the circle with centre B and radius 0.001",
                "D is where k meets c, first crossing", "is DA = DB?",
            )  # fmt: skip
            self.in_panel(board, "cannot be told")
            self.assertEqual(self.kept(), 0)
            asked = len(first.asked)
            line.send("edit", edit={"kind": "move", "numbers": {"s2": [0.0015, 0]}})
            self.in_panel(board, "proved")
            self.assertGreater(len(first.asked), asked)

    def test_many_claims_go_in_small_parts(self):
        first = Here()
        with mock.patch.object(verdicts, "FIRST", first), mock.patch.object(verdicts, "TRUTH", Here()):
            _, line = self.board(*(f"is AB = {number} AC?" for number in range(2, 14)))
            self.verdict(line, "fails")
        self.assertTrue(all(len(arguments[1]) <= 4 for _, arguments in first.asked))
