"""What begins while another edit is being kept: nothing of it is lost, and the history gives what is kept."""

import threading
import time
from contextlib import contextmanager

from ruddy_trellis.core.lesson.file import board_from_store

from .replaying import replayed
from .test_live_boards import LineTest


class MeanwhileTest(LineTest):
    def setUp(self):
        super().setUp()
        self.board = self.new_board()
        self.one, self.two = self.line(self.board), self.line(self.board)

    def grabbed_while(self, saves, act, point="s1", drags=()):
        """Send an edit as the one, and while the store keeps it, grab as the other and drag; then let it be kept."""
        with self.being_kept(saves, act):
            self.two.send("grab", ids=[point], at=[0, 0])
            for number, to in enumerate(drags):
                self.two.send("drag", to=to, seq=number)
                while self.two.until("moved").get("seq") != number:
                    pass
            self.two.send("complete", text="is it held")
            self.two.until("completions")

    @contextmanager
    def being_kept(self, saves, act):
        """Send an edit as the one; it is being kept as long as this is open."""
        begun, go_on = threading.Event(), threading.Event()
        keep = getattr(self.lessons, saves)

        def waiting(*arguments):
            begun.set()
            self.assertTrue(go_on.wait(20))
            return keep(*arguments)

        setattr(self.lessons, saves, waiting)
        self.one.send(act.pop("t"), **act)
        self.assertTrue(begun.wait(20))
        setattr(self.lessons, saves, keep)
        yield
        go_on.set()
        self.one.until("changed")

    def settled(self):
        """Let go, and return the board that is kept, which is what the history gives and what is served."""
        self.two.send("drop")
        self.two.send("complete", text="the end")
        while self.two.until("completions")["for"] != "the end":
            pass
        self.one.send("edit", edit={"kind": "arrange", "title": "Settled"})
        while "Settled" not in self.lessons.board(self.board).document:
            self.one.until("changed")
        row, grown = replayed(self.lessons, self.board)
        kept = board_from_store(row.document)
        self.assertEqual(grown.steps, kept.steps)
        self.assertEqual(self.application.state.live.get(self.board).board.steps, kept.steps)
        return kept

    def test_a_grab_while_a_nudge_is_taken_back(self):
        self.one.say("A = (0, 0)")
        self.one.send("nudge", ids=["s1"], by=[0.5, 0])
        self.one.until("changed")
        self.grabbed_while("save_step", {"t": "undo"})
        self.assertEqual(self.settled().value("s1"), (0.5, 0.0), "it is held where it was")

    def test_a_drag_while_something_else_is_changed(self):
        self.one.say("A = (0, 0)")
        self.one.say("B = (4, 0)")
        self.grabbed_while("save_edit", {"t": "say", "text": "M is the midpoint of AB"}, drags=([1, 1], [2, 6]))
        kept = self.settled()
        self.assertEqual((kept.value("s1"), kept.value("s3")), ((2.0, 6.0), (3.0, 3.0)))

    def test_a_drag_while_its_thing_is_restyled_keeps_both(self):
        self.one.say("A = (0, 0)")
        restyle = {"kind": "restyle", "ids": ["s1"], "look": {"pen": "plum"}}
        self.grabbed_while("save_edit", {"t": "edit", "edit": restyle}, drags=([3, 3],))
        self.two.send("drop")
        self.two.until("changed")
        self.two.send("undo")
        kept = self.settled()
        self.assertEqual((kept.value("s1"), kept.step("s1").look.pen), ((0.0, 0.0), "plum"))

    def test_what_hangs_on_a_held_point_is_followed_from_the_edit_on(self):
        for text in ("A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "k is the ellipse with foci A and B through C"):
            self.one.say(text)
        for text in ("D = (1, 1)", "E = (5, 2)", "c is the ellipse with foci D and E through A"):
            self.one.say(text)
        self.grabbed_while("save_edit", {"t": "say", "text": "a crossing of k and c"}, "s3", ([1.4, 3.2], [1.8, 3.1]))
        self.settled()

    def test_one_of_two_held_points_is_deleted(self):
        for text in ("A = (0, 0)", "B = (4, 0)", "AB is the segment from A to B"):
            self.one.say(text)
        self.grabbed_while("save_edit", {"t": "edit", "edit": {"kind": "delete", "ids": ["s2"]}}, "s3", ([1, 1],))
        self.two.send("drag", to=[2, 2], seq=9)
        while (moved := self.two.until("moved")).get("seq") != 9:
            pass
        self.assertFalse(moved["held"])
        self.assertEqual(self.settled().value("s1"), (1.0, 1.0), "what the other one had been moved is kept")

    def test_nobody_undoes_what_another_one_did_that_they_have_not_heard_of(self):
        heard = self.one.say("A = (0, 0)")["state"]["number"]
        self.two.say("B = (4, 0)")
        self.one.send("undo", heard=heard)
        said = self.one.until("says")
        while said["kind"] != "refusal":
            said = self.one.until("says")
        self.assertIn("in another window: “Added: B is a free point”", said["words"])
        self.assertIn("B", self.lessons.board(self.board).document)
        # What they have heard of they undo; and their own work one after another, however slow the answers are.
        for name in "CDEF":
            heard = self.one.say(f"{name} = (1, 3)")["state"]["number"]
        for _ in range(4):
            self.one.send("undo", heard=heard)
        for _ in range(4):
            last = self.one.until("changed")
        self.assertEqual(last["state"]["steps"], 2)
        self.one.send("undo", heard=last["state"]["number"])
        self.assertEqual(self.one.until("changed")["state"]["steps"], 1)
        # What another one holds is let go before, and that is not theirs to undo.
        self.two.send("grab", ids=["s1"], at=[0, 0])
        self.two.send("drag", to=[1, 1], seq=1)
        while self.two.until("moved").get("seq") != 1:
            pass
        self.one.send("undo", heard=last["state"]["number"] + 1)
        refused = self.one.until("says")
        while "another window" not in refused["words"]:
            refused = self.one.until("says")
        self.assertEqual(board_from_store(self.lessons.board(self.board).document).value("s1"), (1.0, 1.0))

    def test_a_view_that_is_chosen_meanwhile_is_kept(self):
        self.one.say("A = (0, 0)")
        with self.being_kept("save_edit", {"t": "say", "text": "B = (4, 0)"}):
            self.two.send("view", view=[-3, -2, 3, 2], keep=True)
            self.two.until("moved")
        for _ in range(200):
            if board_from_store(self.lessons.board(self.board).document).settings.view == (-3, -2, 3, 2):
                return
            time.sleep(0.02)
        self.fail("the view is not kept")
