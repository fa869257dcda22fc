"""The WebSocket of a live board, message by message."""

import json
import time

from starlette.websockets import WebSocketDisconnect

from .served import Line, WebTest


class LineTest(WebTest):
    def line(self, board_id):
        manager = self.client.websocket_connect(f"/boards/{board_id}/live")
        socket = manager.__enter__()
        self.addCleanup(manager.__exit__, None, None, None)
        line = Line(socket)
        line.first = line.until("board")
        return line


class LiveBoardTest(LineTest):
    def test_a_drag_tells_what_changed_and_is_one_edit(self):
        board = self.new_board()
        line, other = self.line(board), self.line(board)
        for text in ("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB", "C = (9, 9)"):
            line.say(text)
        line.send("grab", ids=["s1"], at=[0, 0])
        for number, x in enumerate((1, 2, 3)):
            line.send("drag", to=[x, 0], seq=number)
            moved = line.until("moved")
            self.assertEqual((moved["seq"], moved["held"]), (number, True))
            self.assertEqual({item["id"] for item in moved["items"]}, {"s1", "s3"}, "descendants and nothing else")
        self.assertEqual(self.lessons.board(board).edits_done, 4, "nothing is kept while it moves")
        line.send("drop")
        line.until("changed")
        self.assertEqual(self.lessons.board(board).edits_done, 5)
        seen = {}
        while seen.get("s3") != [3.5, 0.0]:
            message = json.loads(other.socket.receive_text())
            for item in message.get("items", []):
                if item["shape"]:
                    seen[item["id"]] = item["shape"].get("at")
        line.send("undo")
        back = line.until("changed")
        self.assertEqual({item["id"]: item["shape"]["at"] for item in back["items"]}, {"s1": [0, 0], "s3": [2, 0]})

    def test_whoever_is_alone_at_a_board_hears_so_and_when_others_come(self):
        board = self.new_board()
        with self.client.websocket_connect(f"/boards/{board}/live") as one:
            one = Line(one)
            self.assertFalse(one.until("company")["others"])
            with self.client.websocket_connect(f"/boards/{board}/live") as other:
                other = Line(other)
                other.until("board")
                self.assertTrue(one.until("company")["others"])
                other.say("A = (0, 0)")  # who came is not told what a browser takes for so at first
            self.assertFalse(one.until("company")["others"])

    def test_a_drag_cut_off_is_kept_where_it_was(self):
        board = self.new_board()
        with self.client.websocket_connect(f"/boards/{board}/live") as socket:
            line = Line(socket)
            line.until("board")
            line.say("A = (0, 0)")
            line.send("grab", ids=["s1"], at=[0, 0])
            line.send("drag", to=[5, 6], seq=1)
            line.until("moved")
        for _ in range(100):
            if self.lessons.board(board).edits_done == 2:
                break
            time.sleep(0.02)
        self.assertIn("[5.0,6.0]", self.lessons.board(board).document)

    def test_two_tabs_end_in_the_same_state(self):
        board = self.new_board()
        one, two = self.line(board), self.line(board)
        for number in range(10):
            one.send("say", text=f"A_{number} = ({number}, 0)")
            two.send("say", text=f"B_{number} = ({number}, 1)")
        names = [{}, {}]
        for line, seen in ((one, names[0]), (two, names[1])):
            while len(seen) < 20:
                for item in line.until("changed")["items"]:
                    seen[item["id"]] = item["label"]["text"]
        self.assertEqual(*names)
        self.assertEqual(len(json.loads(self.lessons.board(board).document)["steps"]), 20)

    def test_an_edit_while_another_drags_loses_neither(self):
        board = self.new_board()
        one, two = self.line(board), self.line(board)
        one.say("A = (0, 0)")
        one.send("grab", ids=["s1"], at=[0, 0])
        one.send("drag", to=[7, 7], seq=1)
        one.until("moved")
        two.send("edit", edit={"kind": "rename", "id": "s1", "name": "Tap"})
        while "Tap" not in self.lessons.board(board).document:
            two.until("changed")
        step = json.loads(self.lessons.board(board).document)["steps"][0]
        self.assertEqual((step["with"]["at"], step["name"]), ([7, 7], "Tap"))
        one.send("drag", to=[8, 8], seq=2)
        self.assertFalse(one.until("moved")["held"])

    def test_nonsense_is_refused_and_the_line_stays_open(self):
        board = self.new_board()
        line = self.line(board)
        for text in ("", "{", "[]", '{"t":"drag"}', '{"t":"nothing"}', '{"t":"say","text":5}', '{"t":"drag","to":[1e999,0],"seq":1}',
                     json.dumps({"t": "say", "text": "x" * 30_000}), '{"t":"edit","edit":{"kind":"delete","ids":[]}}',
                     '{"t":"click","at":[0,0],"reach":-1}', '{"t":"view","view":[0,0,0,0]}', '{"t":"offer","number":4}', '{"t":"undo"}',
                     '{"t":"nudge","ids":["zz"],"by":[1,1]}', '{"t":"tool","key":"hammer"}'):  # fmt: skip
            with self.subTest(text[:40]):
                line.socket.send_text(text)
                self.assertEqual(line.until("says")["kind"], "refusal")
        self.assertEqual(line.say("A = (1, 1)")["state"]["steps"], 1)

    def test_a_sentence_filled_by_clicks(self):
        board = self.new_board()
        line = self.line(board)
        line.send("tool", key="segment", pinned=True)
        line.until("prompt")
        line.send("hover", at=[1, 1], reach=0.2)
        self.assertEqual(line.until("under")["words"], "a new free point here")
        line.send("click", at=[1, 1], reach=0.2)
        self.assertEqual(line.until("prompt")["chips"][1]["shown"], "new point")
        line.send("click", at=[4, 1], reach=0.2)
        self.assertEqual(line.until("changed")["state"]["steps"], 3)
        self.assertEqual(line.until("prompt")["tool"], "segment", "a pinned tool stays")
        line.send("undo")
        self.assertEqual(line.until("changed")["state"]["steps"], 0, "the points went with their sentence")

    def test_strangers_and_other_sites_get_no_line(self):
        board = self.new_board()
        for address, headers in (("/boards/999/live", {}), (f"/boards/{board}/live", {"origin": "http://elsewhere.test"})):
            with self.assertRaises(WebSocketDisconnect), self.client.websocket_connect(address, headers=headers):
                self.fail("the line opened")
