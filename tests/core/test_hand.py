"""One hand at a board, without a server."""

import json
import subprocess
import sys
import unittest

from ruddy_trellis.core.board import Board
from ruddy_trellis.core.edits import LookChanges, Restyle, perform
from ruddy_trellis.core.hand import Alone, Hand, StudentHand

from .figures import figure

#: Drags through everything that a browser has to draw without the large numeric libraries.
WITHOUT_ARRAYS = """
import sys
sys.modules["numpy"] = sys.modules["flint"] = None
from ruddy_trellis.core.board import Board
from ruddy_trellis.core.edits import LookChanges, Restyle, perform
from ruddy_trellis.core.hand import Alone
alone = Alone(Board())
for text in (
    "A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "AB is the segment from A to B", "k is the circle with centre A through B",
    "P is a point on k at 40",
    "u is the arc with centre A from B to C", "ABC is the polygon through A, B, C", "M is the midpoint of AB", "α is the angle ABC",
    "p is the perpendicular to AB through C", "D is where k meets p", "S is the area of ABC", "h = S / 2", "the words “{h}” beside ABC",
):
    (answer, *_) = alone.do(t="say", text=text)
    assert answer["t"] == "said", answer
alone.do(t="grab", ids=["s1"], at=[0, 0])
(moved,) = alone.do(t="drag", to=[1, 1], seq=1)
assert moved["held"] and len(moved["items"]) > 10, moved
alone.do(t="drop")
alone.do(t="tool", key="segment")
(under,) = alone.do(t="hover", at=[1, 1], reach=0.2)
assert under["words"] == "point A", under
print(len(alone.whole()["items"]))
"""


class HandTest(unittest.TestCase):
    def alone(self, text="", kind=None):
        return Alone(figure(text).board if text else Board(), *([kind] if kind else []))

    def test_a_drag_is_one_edit_and_undone_as_one(self):
        alone = self.alone("A=(0,0)\nB=(4,0)\nM is the midpoint of A and B")
        alone.do(t="grab", ids=["s1"], at=[0, 0])
        for x in (1, 2, 3):
            (moved,) = alone.do(t="drag", to=[x, 0], seq=x)
            self.assertEqual((moved["seq"], moved["held"], {item["id"] for item in moved["items"]}), (x, True, {"s1", "s3"}))
        alone.do(t="drop")
        self.assertEqual(alone.board.value("s3"), (3.5, 0))
        self.assertEqual(alone.do(t="undo")[0]["words"], "Undone: moved A")
        self.assertEqual(alone.board.value("s3"), (2, 0))
        alone.do(t="redo")
        self.assertEqual(alone.board.value("s3"), (3.5, 0))

    def test_a_second_grab_without_a_drop_keeps_the_first(self):
        alone = self.alone("A=(0,0)\nB=(4,0)")
        alone.do(t="grab", ids=["s1"], at=[0, 0])
        alone.do(t="drag", to=[1, 1], seq=1)
        alone.do(t="grab", ids=["s2"], at=[4, 0])
        alone.do(t="drag", to=[5, 5], seq=2)
        alone.do(t="drop")
        alone.do(t="undo")
        self.assertEqual((alone.board.value("s1"), alone.board.value("s2")), ((1, 1), (4, 0)))
        alone.do(t="undo")
        self.assertEqual(alone.board.value("s1"), (0, 0))

    def test_what_an_edit_let_go_is_not_held_any_more(self):
        alone = self.alone("A=(0,0)\nB=(4,0)")
        alone.do(t="grab", ids=["s1"], at=[0, 0])
        alone.do(t="drag", to=[1, 1], seq=1)
        alone.do(t="edit", edit={"kind": "rename", "id": "s1", "name": "Tap"})
        self.assertFalse(alone.do(t="drag", to=[9, 9], seq=2)[0]["held"])
        self.assertEqual(alone.board.value("s1"), (1, 1))

    def test_a_tool_its_picks_and_a_refusal(self):
        alone = self.alone("A=(0,0)\nB=(4,0)\nk is the circle with centre A through B")
        alone.do(t="tool", key="midpoint")
        alone.do(t="click", at=[0, 0], reach=0.2)
        (refusal,) = alone.do(t="click", at=[0, 0], reach=0.2)
        self.assertEqual((refusal["kind"], refusal["words"]), ("refusal", "A is picked already. Pick a different point."))
        self.assertEqual(alone.do(t="back")[-1]["chips"][1]["shown"], "pick two points or a segment")
        self.assertIsNone(alone.do(t="back")[-1]["tool"])
        self.assertEqual(alone.do(t="click", at=[0, 0], reach=0.2), [])

    def test_a_thing_that_was_picked_and_is_deleted_is_forgotten(self):
        alone = self.alone("A=(0,0)\nB=(4,0)")
        alone.do(t="tool", key="segment")
        alone.do(t="click", at=[0, 0], reach=0.2)
        alone.do(t="edit", edit={"kind": "delete", "ids": ["s1"]})
        forgotten, under = alone.do(t="hover", at=[4, 0], reach=0.2)
        self.assertEqual((forgotten["chips"][1]["shown"], under["words"]), ("pick a point", "point B"))

    def test_offers_and_what_is_selected(self):
        alone = self.alone("A=(0,0)\nB=(4,0)")
        (answer,) = alone.do(t="select", ids=["s1", "s2", "gone"])
        self.assertEqual(answer["words"], "point A and point B")
        number = [offer["does"] for offer in answer["offers"]].index("midpoint")
        alone.do(t="offer", number=number)
        self.assertEqual(alone.board.value("s3"), (2, 0))
        self.assertEqual(alone.do(t="offer", number=0)[0]["kind"], "refusal", "an offer is taken once")

    def test_an_earlier_state_is_looked_at_and_brought_back(self):
        alone = self.alone()
        for text in ("A = (0, 0)", "B = (1, 1)", "C = (2, 2)"):
            alone.do(t="say", text=text)
        (seen,) = alone.do(t="look_back", number=1)
        self.assertEqual((len(seen["items"]), len(alone.board)), (1, 3))
        alone.do(t="bring_back", number=2)
        self.assertEqual(len(alone.board), 2)
        alone.do(t="undo")
        self.assertEqual(len(alone.board), 3)

    def test_a_shake_shows_pictures_and_leaves_the_board_alone(self):
        alone = self.alone("A=(0,0)\nB=(4,0)\nAB is the segment from A to B")
        before = list(alone.board.values)
        pictures = alone.do(t="shake")
        self.assertEqual(alone.board.values, before)
        self.assertEqual((len(pictures), pictures[-1]["t"]), (71, "board"))
        places = {item["shape"]["at"] for picture in pictures[:-1] for item in picture["items"] if item["id"] == "s1"}
        self.assertGreater(len(places), 50)
        self.assertTrue(all(type(part) is float for place in places for part in place), "plain numbers, which JSON can hold")

    def test_a_view_that_no_board_has_is_refused_and_nothing_is_kept(self):
        alone = Alone(figure("A = (0, 0)").board)
        before = alone.view
        for view in ([0, 0, 0, 1], [0, 0, 1e-6, 1], [-9e6, -1, 9e6, 1]):
            (answer,) = alone.do(t="view", view=view)
            self.assertIn("at least", answer["words"])
            (answer,) = alone.do(t="view", view=[-1, -1, 1, 1], meant=view)
            self.assertEqual((answer["kind"], alone.view), ("refusal", before))

    def test_a_gap_that_is_asked_for_lets_go_what_was_in_it(self):
        alone = Alone(figure("A = (0, 0)\nB = (3, 0)\nC = (1, 2)").board)
        alone.do(t="tool", key="circle")
        alone.do(t="say", text="A")
        *_, prompt = alone.do(t="gap", name="centre")
        self.assertEqual([chip["wants"] for chip in prompt["chips"] if chip.get("next")], ["a point"])
        alone.do(t="say", text="B")
        *_, told = alone.do(t="say", text="C")
        self.assertEqual(told, {"t": "outcome", "words": "k is the circle with centre B through C"})
        alone.do(t="tool", key="circle")
        self.assertIn("no such gap", alone.do(t="gap", name="elsewhere")[0]["words"])

    def test_what_a_sentence_would_make_is_shown_as_it_would_be_seen(self):
        for text in ("a triangle ABC with sides 5, 6 and 7", "ABC is a triangle. AB = 5 and BC = 6."):
            alone = self.alone()
            (told,) = alone.do(t="consider", text=text)
            foreseen = len(told["items"])
            alone.do(t="say", text=text, take=True)
            seen = [step for step in alone.board.steps if not step.look.hidden]
            self.assertEqual(foreseen, len(seen), text)
            self.assertLess(len(seen), len(alone.board), "helpers are there, and not seen")

    def test_an_outcome_tells_a_value_and_why_there_is_none(self):
        alone = Alone(figure("A = (0, 0)\nB = (3, 0)\nC = (1, 2)").board)
        for text, told in (
            ("the length of AB", "AB is the length of AB: 3.00"),
            ("where AB meets the line through C parallel to AB", "It has no value now: they"),
            ("j is the places at most 1 from A", "j is the places at most 1 from A"),
            ("z is the region where all of j hold", "z is the region"),
            ("whether C is in z", "C is not in z. No: at most 1 from A (it is 2.24 away)."),
        ):
            words = " ".join(answer.get("words", "") for answer in alone.do(t="say", text=text))
            self.assertIn(told, words)

    def test_what_is_wrong_with_a_sentence_of_the_catalogue_is_told(self):
        """Not that it is no sentence of a teacher's own words, which is tried after it."""
        alone = Alone(figure("A = (0, 0)\nB = (3, 0)\nAB is the length of AB").board)
        for text, part in (
            ("v = 1/0", "divides by zero"),
            ("v = __import__('os')", "A formula cannot hold"),
            ("v = AB + AB * AB", "A length cannot be added to an area"),
            ("v = 2 * Q", "There is no reading called Q"),
            ("C is a free point at (1e400, 0)", "too large"),
            ("C is a free point at (2; x)", "not a place"),
            ("A is a free point at (1, 1)", "A is the name of a point already"),
            ("hello", "“hello” is no word that is understood here"),
        ):
            (told,) = alone.do(t="say", text=text)
            self.assertIn(part, told["words"])

    def test_what_is_told_to_run_runs(self):
        for text in ("run P", "animate P", "please start P"):
            alone = Alone(figure("A = (0, 0)\nB = (3, 0)\nk is the circle with centre A through B\nP is a point on k").board)
            told = alone.do(t="say", text=text)
            self.assertIn("Alone at a board nothing runs", " ".join(str(one.get("words")) for one in told), text)
            self.assertEqual(alone.board.steps[-1].does, "motion")

    def test_whoever_asks_whether_someone_is_there_is_answered(self):
        for kind in (Hand, StudentHand):
            self.assertEqual(Alone(Board(), kind).do(t="here", number=7), [{"t": "here", "number": 7}])

    def test_nonsense_changes_nothing(self):
        alone = self.alone("A=(0,0)")
        for message in (
            {"t": "drag"},
            {"t": "nothing"},
            {"t": "grab", "ids": [], "at": [0, 0]},
            {"t": "tool", "key": "hammer"},
            {"t": "edit", "edit": {}},
        ):
            with self.subTest(message):
                self.assertEqual([answer["kind"] for answer in alone.do(**message)], ["refusal"])
        self.assertEqual(len(alone.board), 1)

    def test_what_is_covered_or_behind_a_closed_reveal_is_not_told_by_ear(self):
        alone = self.alone("A = (0, 0)\nB = (4, 0)\nr is the length of AB\nt is the length of AB")
        heard = lambda **more: alone.do(t="nudge", ids=["s2"], by=[1, 0], **more)[-1]["words"]
        self.assertEqual(heard(), "point B at (5.00, 0.00); r = 5.00; t = 5.00")
        self.assertEqual(heard(unseen=["s3"]), "point B at (6.00, 0.00); t = 6.00")
        self.assertEqual(heard(unseen=["s3", "s4"]), "point B at (7.00, 0.00)")

    def test_a_dial_is_nudged_by_its_step(self):
        alone = self.alone("v is a dial from 0 to 10 in steps of 1 at 4")
        self.assertEqual(alone.do(t="nudge", ids=["s1"], by=[1, 0]), [{"t": "heard", "words": "v = 5", "last": True}])
        self.assertEqual(alone.board.value("s1"), 5)

    def test_a_student_moves_and_makes_nothing(self):
        alone = self.alone("A=(0,0)\nB=(4,0)", StudentHand)
        alone.do(t="grab", ids=["s1"], at=[0, 0])
        self.assertTrue(alone.do(t="drag", to=[1, 1], seq=1)[0]["held"])
        for message in (
            {"t": "say", "text": "C = (1, 1)"},
            {"t": "tool", "key": "midpoint"},
            {"t": "edit", "edit": {"kind": "delete", "ids": ["s1"]}},
        ):
            self.assertEqual(alone.do(**message)[0]["kind"], "refusal")
        self.assertEqual(len(alone.board), 2)

    def test_what_is_covered_is_in_no_answer_until_it_is_lifted(self):
        text = (
            "A=(0,0)\nB=(4,0)\nAB is the segment from A to B\nm is the equal-length mark on AB drawn twice\n"
            "S is the length of AB\nh = S * 7 / 3\nw is the words “so it is {h}” at (1, 1)"
        )
        alone = self.alone(text, StudentHand)
        ids = [alone.board.ids_named(name)[0] for name in "mhw"]
        perform(alone.board, Restyle(ids=ids, look=LookChanges(cover=True)))

        def told(**message):
            return json.dumps(alone.do(**message))

        whole = json.dumps(alone.whole())
        answers = [
            whole,
            *(told(t="select", ids=[id]) for id in ids),
            told(t="grab", ids=["s2"], at=[4, 0]),
            told(t="drag", to=[6, 0], seq=1),
        ]
        for answer in answers:
            for secret in ("9.33", "14.00", "so it is", "twice", "* 7", "count"):
                self.assertNotIn(secret, answer)
        self.assertIn("a covered mark", whole)
        self.assertIn("14.00", told(t="lift", ids=[ids[1]]))
        seen = json.dumps(alone.hand.as_seen(alone.whole()))
        self.assertIn("14.00", seen)
        self.assertNotIn("so it is", seen)
        self.assertNotIn("14.00", told(t="lift", ids=[]))

    def test_the_path_of_a_drag_needs_neither_numpy_nor_flint(self):
        done = subprocess.run([sys.executable, "-c", WITHOUT_ARRAYS], capture_output=True, text=True, check=False)
        self.assertEqual((done.stdout, done.stderr), ("15\n", ""))
