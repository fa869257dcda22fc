"""A page that works by itself answers as the server does: drags, undo, sentences, motions, hints; and it keeps what was done."""

import json
import subprocess
import sys
import time
import unittest
from unittest.mock import patch

from ruddy_trellis.core.challenge.answer_key import answer_key
from ruddy_trellis.core.edits import LookChanges, Restyle
from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.figure import Figure
from ruddy_trellis.core.lesson.student_copy import student_copy
from ruddy_trellis.near import shipping
from ruddy_trellis.near.by_itself import ByItself, Page, page_data
from tests.core.challenges import BANK
from tests.core.test_challenge import made as made_challenge

from .test_near import boards

TRIANGLE = (
    "A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the polygon through A, B, C", "d is the length of AB",
    "k is the circle with centre A through B",
    "P is a point on k", "m is the motion of P, once, in 1 seconds", "r is a dial from 0 to 10 in steps of 1 at 3",
)  # fmt: skip


def board(*sentences, kit="everything"):
    figure = Figure()
    for words in sentences or TRIANGLE:
        figure.say(words)
    figure.board.settings = figure.board.settings.with_(kit=kit)
    return figure.board


def opened(made, hints=(), kept=""):
    """A page with a board, and what it was told first."""
    page = Page()
    return page, json.loads(page.open(json.dumps(page_data(student_copy(made), list(hints), {})), kept))["answers"]


def ask(page, **message):
    return json.loads(page.take(json.dumps(message)))


def kinds(told):
    return [answer["t"] for answer in told["answers"]]


class ByItselfTest(unittest.TestCase):
    def test_it_shows_the_board_first(self):
        made = board()
        _, first = opened(made)
        self.assertEqual([answer["t"] for answer in first], ["board", "prompt"])
        self.assertEqual([item["id"] for item in first[0]["items"]], [step.id for step in made.steps])
        self.assertEqual((first[0]["state"]["title"], first[0]["state"]["undo"]), (made.settings.title, False))

    def test_a_drag_is_drawn_kept_and_taken_back(self):
        page, _ = opened(board())
        self.assertEqual(kinds(ask(page, t="grab", ids=["s2"], at=[4, 0])), [])
        moved = ask(page, t="drag", to=[6, 0], seq=1)["answers"][0]
        self.assertEqual((moved["t"], moved["held"]), ("moved", True))
        self.assertIn("6.00", str(moved["items"]))
        dropped = ask(page, t="drop")
        self.assertIn("changed", kinds(dropped))
        self.assertTrue(dropped["answers"][0]["state"]["undo"])
        self.assertIn("[6.0, 0.0]", dropped["keep"])
        back = ask(page, t="undo")
        self.assertIn("4.00", str(back["answers"][0]["items"]))
        self.assertEqual(back["keep"], "", "it is as the teacher gave it")
        self.assertTrue(back["answers"][0]["state"]["redo"])
        self.assertIn("6.00", str(ask(page, t="redo")["answers"][0]["items"]))

    def test_things_are_built_by_sentence_and_by_click_and_what_is_given_stays(self):
        page, _ = opened(board())
        said = ask(page, t="say", text="M is the midpoint of AB")
        self.assertIn("M is the midpoint of AB", str(said["answers"]))
        ask(page, t="tool", key="segment")
        ask(page, t="click", at=[2, 0], reach=0.1)
        made = ask(page, t="click", at=[1, 3], reach=0.1)
        self.assertEqual(made["answers"][0]["items"][-1]["kind"], "segment")
        refused = ask(page, t="edit", edit={"kind": "delete", "ids": ["s1"]})
        self.assertEqual([(answer["t"], answer["kind"]) for answer in refused["answers"]], [("says", "refusal")])
        self.assertNotIn("keep", refused)

    def test_start_again_is_an_edit(self):
        page, _ = opened(board())
        ask(page, t="say", text="M is the midpoint of AB")
        again = ask(page, t="reset")
        self.assertEqual((again["answers"][0]["gone"] != [], again["keep"]), (True, ""))
        self.assertIn("M is the midpoint", str(ask(page, t="undo")["answers"]))
        ask(page, t="redo")
        self.assertIn("This is the beginning", str(ask(page, t="reset")["answers"]))

    def test_what_was_kept_is_there_again_and_nonsense_is_left(self):
        made = board()
        page, _ = opened(made)
        kept = ask(page, t="say", text="M is the midpoint of AB")["keep"]
        again, first = opened(made, kept=kept)
        self.assertIn("midpoint", str(first[0]["items"]))
        self.assertEqual(ask(again, t="reset")["keep"], "")
        for nonsense in ("{}", "[", '{"steps": 3}', kept.replace("midpoint", "nothing_known")):
            _, first = opened(made, kept=nonsense)
            self.assertEqual(len(first[0]["items"]), len(made))

    def test_motions_run_stop_and_end(self):
        page, _ = opened(board())
        clock = [100.0]
        with patch.object(time, "monotonic", lambda: clock[0]):
            begun = ask(page, t="play")
            self.assertEqual(begun["answers"][0]["t"], "playing")
            self.assertLessEqual(begun["due"], 0.001)
            frames = json.loads(page.go_on())
            self.assertEqual((kinds(frames), len(frames["answers"][0]["frames"])), (["frames"], 24))
            clock[0] += 0.4
            stopped = ask(page, t="pause")
            self.assertEqual(kinds(stopped), ["playing", "changed", "board"])
            self.assertIn("keep", stopped)
            self.assertIsNone(stopped["due"])
            ask(page, t="play")
            seen = []
            for _ in range(60):
                due = json.loads(page.go_on())
                seen += kinds(due)
                if due["due"] is None:
                    break
                clock[0] += due["due"]
            self.assertEqual(seen[-3:], ["playing", "changed", "board"], "it came to its end by itself")
            self.assertEqual(kinds(ask(page, t="pause")), [])

    def test_a_shake_is_shown_and_everything_put_back(self):
        page, first = opened(board())
        shaken = ask(page, t="shake")
        pictures = []
        while shaken["due"] is not None:
            self.assertLess(shaken["due"], 0.1)
            shaken = json.loads(page.go_on())
            pictures += shaken["answers"]
        self.assertGreater(len(pictures), 30)
        self.assertEqual(pictures[-1]["items"], first[0]["items"])

    def test_hints_are_told_one_by_one_and_nobody_judges(self):
        page, _ = opened(board(), hints=("Look at A.", "Halve AB."))
        self.assertEqual(kinds(ask(page, t="hint", again=True)), [])
        self.assertEqual([ask(page, t="hint")["answers"][0]["words"] for _ in "ab"], ["Look at A.", "Halve AB."])
        self.assertIn("no other hint", str(ask(page, t="hint")))
        self.assertFalse(ask(page, t="handed_in")["answers"][0]["open"])
        self.assertIn("nobody to ask", str(ask(page, t="is_right", reach=0.1)))
        self.assertIn("nobody to ask", str(ask(page, t="hand_in", name="Fern")))

    def test_what_is_right_is_told_where_the_page_has_the_key_and_a_position_is_shown_where_it_is_not(self):
        challenge, solution, start = made_challenge(BANK[0])
        copy = student_copy(start)
        copy.settings = copy.settings.with_(kit="everything")
        page = Page()
        page.open(json.dumps(page_data(copy, [], {}, key=answer_key(challenge, solution, copy))), "")
        (answer,) = ask(page, t="is_right", reach=0.1)["answers"]
        self.assertEqual((answer["verdict"], answer["words"]), ("not yet", "Nothing of yours is on the board yet."))
        self.assertIn("No position is known", str(ask(page, t="show_where")))
        ask(page, t="say", text="M = (0, 0.5)")
        (answer,) = ask(page, t="is_right", reach=0.1)["answers"]
        self.assertEqual((answer["verdict"], answer["where"]), ("not yet", True))
        shown = ask(page, t="show_where")
        pictures = shown["answers"]
        while shown["due"] is not None:
            shown = json.loads(page.go_on())
            pictures += shown["answers"]
        self.assertGreater(len(pictures), 10)
        ask(page, t="undo")
        ask(page, t="say", text="Q is the midpoint of AB")
        (answer,) = ask(page, t="is_right", reach=0.1)["answers"]
        self.assertEqual(answer["verdict"], "right")
        self.assertIn("Right: point Q is what is asked for", answer["words"])
        self.assertIn("nobody to ask", str(ask(page, t="hand_in", name="Fern")))

    def test_covers_are_lifted_and_what_is_under_them_is_not_told_before(self):
        made = board()
        perform(made, Restyle(ids=["s5"], look=LookChanges(cover=True)))
        page, first = opened(made)
        self.assertNotIn("4.00", str(first))
        self.assertIn("4.00", str(ask(page, t="lift", ids=["s5"])))

    def test_regions_are_there_and_move(self):
        made = board(
            "A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "ABC is the polygon through A, B, C",
            "j is the places nearer to A than to B", "q is the region where all of j hold within ABC", "the area of q",
        )  # fmt: skip
        self.assertEqual([step.makes for step in made.steps][-2:], ["region", "number"])
        page, first = opened(made)
        self.assertEqual([item["kind"] for item in first[0]["items"]][-3:], ["condition", "region", "number"])
        ask(page, t="grab", ids=["s2"], at=[4, 0])
        moved = {item["id"]: item for item in ask(page, t="drag", to=[6, 0], seq=0)["answers"][0]["items"]}
        self.assertEqual(len(moved["s6"]["shape"]["rings"][0]["pieces"]), 4)
        self.assertEqual(moved["s7"]["label"]["text"], "area q = 6.30")
        ask(page, t="drop")
        self.assertIn("condition", str(ask(page, t="say", text="the places nearer to B than to C")))

    def test_a_fault_of_ours_changes_nothing(self):
        page, _ = opened(board())
        with patch("ruddy_trellis.near.lone.changes", side_effect=RuntimeError("broken")), self.assertLogs(level="ERROR"):
            told = ask(page, t="say", text="M is the midpoint of AB")
        self.assertIn("could not be done, and nothing was changed", str(told))
        self.assertNotIn("keep", told)
        self.assertIn("midpoint", str(ask(page, t="say", text="M is the midpoint of AB")["answers"][0]))

    def test_random_acts_are_answered_or_refused_with_the_stand_ins(self):
        data = []
        for number, made in enumerate(boards()[::4]):
            made = made.copy()
            made.settings = made.settings.with_(kit=("everything", "compass", "look")[number % 3])
            data.append(page_data(student_copy(made), ["Look."], {}))
        for row in (BANK[0], next(row for row in BANK if "claims" in row)):
            challenge, solution, start = made_challenge(row)
            copy = student_copy(start)
            copy.settings = copy.settings.with_(kit="everything")
            data.append(page_data(copy, ["Look."], {}, key=answer_key(challenge, solution, copy)))
        run = f"""
import sys
sys.path.insert(0, {str(shipping._HERE / "standing_in")!r})
sys.modules.update(flint=None)
import runpy
runpy.run_module("tests.near.acts", run_name="__main__")"""
        there = subprocess.run(
            [sys.executable, "-c", run], check=False, input=json.dumps(data), capture_output=True, text=True, timeout=400
        )
        self.assertEqual(there.returncode, 0, there.stderr[-2000:])
        found = json.loads(there.stdout)
        self.assertEqual(len(found), len(data))
        self.assertEqual([(number, *some[:2]) for number, some in enumerate(found) if some], [])

    def test_whoever_may_only_look_builds_nothing(self):
        alone = ByItself(student_copy(board(kit="look")))
        self.assertIn("refusal", str(alone.answered({"t": "say", "text": "M is the midpoint of AB"})))
        self.assertEqual(alone.answered({"t": "grab", "ids": ["s2"], "at": [4, 0]}), [])
        self.assertTrue(alone.answered({"t": "drag", "to": [5, 1], "seq": 0})[0]["held"])


if __name__ == "__main__":
    unittest.main()
