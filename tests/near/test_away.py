"""What is done while there is no line goes on beside the drawing, and is done at the server later: once, checked, whoever came between."""

import json
import random
import unittest
from collections import Counter

from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.display import display
from ruddy_trellis.core.pointing.prompt import Prompt
from ruddy_trellis.near.beside import Beside
from ruddy_trellis.web.application import create_application
from tests.web.served import Line, WebTest

from .acts import act

GIVEN = ("A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the polygon through A, B, C", "r is a dial from 0 to 10 in steps of 1 at 3")


def _is_judged(item):
    return "verdict" in (item["shape"] or {})


class AwayTest(WebTest):
    def setUp(self):
        super().setUp()
        self.board = self.new_board()
        self.line = self.open()
        for text in GIVEN:
            self.line.say(text)

    def open(self, client=None):
        line = Line(self.enterContext((client or self.client).websocket_connect(f"/boards/{self.board}/live")))
        line.until("board")
        return line

    def copy(self):
        """The copy beside the drawing, as the line is cut."""
        self.line.send("near")
        beside = Beside()
        beside.open(json.dumps(self.line.until("near")))
        (told,) = json.loads(beside.leave())["answers"]
        self.assertEqual((told["t"], told["state"]["undo"]), ("state", False))
        self.unsent = []
        return beside

    def do(self, beside, **message):
        told = json.loads(beside.do(json.dumps(message)))
        self.unsent = told.get("unsent", self.unsent)
        return told["answers"]

    def say(self, beside, *sentences):
        for text in sentences:
            self.assertEqual(self.do(beside, t="say", text=text)[0]["t"], "changed", text)

    def send(self, line=None, edits=None, first=0):
        """The line is back: what was done is sent. Returns what came of it."""
        keyed = [{"key": f"line-one-{number + first}", **one} for number, one in enumerate(self.unsent if edits is None else edits)]
        line = line or self.line
        line.send("unsent", edits=keyed)
        told = line.until("taken")
        line.until("board")
        return told

    @property
    def kept(self):
        live = self.application.state.live.get(self.board).board
        return [(live.name(step.id), step.does) for step in live.steps]

    def live(self):
        return self.application.state.live.get(self.board).board

    def test_what_was_done_away_is_done_at_the_server(self):
        beside = self.copy()
        self.say(beside, "M is the midpoint of AB", "k is the circle with centre M through C")
        self.do(beside, t="grab", ids=["s2"], at=[4, 0])
        self.do(beside, t="drag", to=[6, 1], seq=1)
        self.do(beside, t="drop")
        self.do(beside, t="edit", edit={"kind": "restyle", "ids": ["s3"], "look": {"pen": "sky"}})
        self.do(beside, t="nudge", ids=["s5"], by=[1, 0])
        self.assertEqual([one["edit"]["kind"] for one in self.unsent], ["add", "add", "move", "restyle", "move"])
        self.assertEqual(self.send()["lost"], [])
        self.assertEqual(self.live().steps, beside._alone.board.steps)
        self.line.send("undo")
        self.assertIn("Undone", self.line.until("says")["words"])
        self.assertEqual(self.live().value("s5"), 3)

    def test_undo_takes_back_what_is_not_saved_and_no_more(self):
        beside = self.copy()
        (refused,) = self.do(beside, t="undo")
        self.assertIn("only what is not saved yet can be undone", refused["words"])
        self.say(beside, "M is the midpoint of AB", "N is the midpoint of BC")
        self.do(beside, t="undo")
        self.assertEqual(len(self.unsent), 1)
        self.do(beside, t="redo")
        self.assertEqual(len(self.unsent), 2)
        self.do(beside, t="undo")
        self.do(beside, t="undo")
        self.assertEqual(self.unsent, [])
        self.say(beside, "P is the midpoint of CA")
        self.assertIn("refusal", str(self.do(beside, t="bring_back", number=0)))
        self.send()
        self.assertEqual(self.kept[-1], ("P", "midpoint"))

    def test_sent_twice_it_is_made_once_even_by_a_server_that_was_started_anew(self):
        beside = self.copy()
        self.say(beside, "M is the midpoint of AB", "N is the midpoint of MC")
        self.send(edits=self.unsent[:1])
        self.send()  # the first of them was kept, and its answer lost
        kept = self.kept
        self.assertEqual(kept.count(("M", "midpoint")), 1)
        self.assertEqual(kept[-1], ("N", "midpoint"))
        again = create_application(self.application.state.database._path, self.options)
        self.addCleanup(again.state.database.close)
        self.application = again
        self.portal = None
        line = self.open(self.new_client("maud.alder"))
        self.send(line)
        self.assertEqual(self.kept, kept)

    def test_what_was_sent_and_not_answered_is_made_once_whether_it_came_or_not(self):
        said = {"t": "say", "text": "M is the midpoint of AB", "once": "page-one-1"}
        for first, way in enumerate(("came", "comes late", "never came")):
            beside = self.copy()
            if way == "came":
                self.line.socket.send_text(json.dumps(said))
                self.assertEqual(self.line.until("did")["once"], said["once"])
            before = len(self.kept)
            self.do(beside, **said)
            self.say(beside, "N is the midpoint of MC")
            self.assertEqual(self.send(first=10 * first)["lost"], [], way)
            if way == "comes late":
                self.line.socket.send_text(json.dumps(said))
                self.line.until("did")
            board = self.live()
            self.assertEqual(len(board.steps), before + (1 if way == "came" else 2), way)
            self.assertEqual(board.value(board.find("N")), (1.5, 1.5), way)
            self.line.send("edit", edit={"kind": "delete", "ids": [board.find("M"), board.find("N")]})
            self.line.until("changed")
            said["once"] = f"{way.replace(' ', '-')}-page"

    def test_clicks_that_were_not_answered_fill_the_tool_in_the_hand_once(self):
        self.line.send("tool", key="midpoint")
        self.line.until("prompt")
        beside = self.copy()
        clicks = [{"t": "click", "at": at, "reach": 0.2, "once": f"page-two-{at[0]}"} for at in ([0, 0], [4, 0])]
        for click in clicks:
            self.line.socket.send_text(json.dumps(click))
            self.line.until("did")
        beside.prompt(json.dumps(Prompt.of("midpoint").told()))
        for click in clicks:
            self.do(beside, **click)
        self.assertEqual([one["key"] for one in self.unsent], ["page-two-4-1"])
        self.send()
        self.assertEqual([does for _, does in self.kept].count("midpoint"), 1)

    def test_what_the_copy_foresees_is_what_the_server_tells(self):
        """Whatever is done, by random hands: told the same, taken from the drawing again, and gone on from."""
        seen, steps, tool = 0, Counter(), None
        for chance in range(6):
            numbers = random.Random(100 + chance)
            self.line.send("near")
            beside = Beside()
            beside.prompt(json.dumps(tool))
            beside.open(json.dumps(self.line.until("near")))
            for count in range(150):
                board = beside._alone.board
                back = {"t": numbers.choice(("undo", "undo", "redo"))}
                chosen = back if numbers.random() < 0.2 else act(numbers, [step.id for step in board.steps])
                message = {**chosen, "once": f"foreseen-{chance}-{count}"}
                # Verdicts of claims come by themselves, and so does where a motion has stopped: a page foresees nothing while one runs.
                is_left = message.get("text", "") in ("AB = CD", "ABC is isosceles", "run")
                is_left |= bool(message.get("key")) and CATALOGUE[message["key"]].makes == "claim"
                way = message.get("text", message["t"])
                is_left |= not {"undo": beside._lone._done, "redo": beside._lone._undone}.get(way, True)  # of another copy
                if is_left or message["t"] not in ("say", "click", "edit", "put", "nudge", "tool", "back", "finish", "undo", "redo"):
                    continue
                steps[way] += 1
                found = json.loads(beside.foresee(json.dumps(message)))
                self.assertIs(beside._alone.board, board, "the copy stays as it is")
                self.line.socket.send_text(json.dumps(message))
                told, judged = {"changed": {"items": [], "gone": []}}, any(map(_is_judged, (found["changed"] or {}).get("items", ())))
                while (answer := json.loads(self.line.socket.receive_text()))["t"] != "did":
                    if answer["t"] != "changed":
                        told.setdefault(answer["t"], answer)
                    elif any(map(_is_judged, answer["items"])):
                        judged = True
                    elif answer["items"] or answer["gone"]:
                        told["changed"] = answer
                if "prompt" in told:
                    self.assertEqual(found["prompt"], told["prompt"], message)
                    tool = told["prompt"]["told"]
                    beside.prompt(json.dumps(tool))
                if found["changed"] is None and not judged:
                    self.assertEqual(told["changed"], {"items": [], "gone": []}, message)
                    continue
                if judged:
                    self.line.send("near")  # a claim, of which it is told when it is judged
                    beside.open(json.dumps(self.line.until("near")))
                    continue
                seen += 1
                self.assertEqual(
                    [found["changed"][part] for part in ("items", "gone")], [told["changed"][part] for part in ("items", "gone")]
                )
                shown = {item["id"]: item for item in display(board, beside._alone.extent)}
                for one in (found["changed"], found["back"]):
                    shown.update((item["id"], item) for item in one["items"])
                    shown = {id: item for id, item in shown.items() if id not in one["gone"]}
                self.assertEqual(sorted(shown), sorted(item["id"] for item in display(board, beside._alone.extent)))
                beside.adopt(message["once"])
            self.assertEqual(self.live().steps, beside._alone.board.steps)
        self.assertGreater(seen, 40)
        self.assertGreater(min(steps["undo"], steps["redo"]), 10)

    def test_what_was_done_here_is_foreseen_to_be_taken_back_while_nobody_else_changes_anything(self):
        self.line.send("near")
        beside = Beside()
        beside.open(json.dumps(self.line.until("near")))

        def done(**message):
            """Foreseen, and done at the server: whether the same changes were told."""
            message["once"] = f"taken-back-{len(known)}"
            known.append(message)
            found = json.loads(beside.foresee(json.dumps(message)))["changed"]
            self.line.socket.send_text(json.dumps(message))
            told = self.line.until("changed")
            self.line.until("did")
            if found is None:
                return False
            self.assertEqual([found[part] for part in ("items", "gone")], [told[part] for part in ("items", "gone")])
            beside.adopt(message["once"])
            return True

        def again():
            """The copy is made anew, as after a drag."""
            self.line.send("near")
            beside.open(json.dumps(self.line.until("near")))

        known = []
        self.assertTrue(done(t="say", text="M is the midpoint of AB"))
        (peg,) = self.live().ids_named("B")
        for message in ({"t": "grab", "ids": [peg], "at": [4, 0]}, {"t": "drag", "to": [6, 2], "seq": 1}, {"t": "drop"}):
            beside.take(json.dumps(message))
            self.line.socket.send_text(json.dumps(message))
        self.line.until("changed")
        again()
        for way, there in (("undo", (4, 0)), ("undo", (4, 0)), ("redo", (4, 0)), ("redo", (6, 2))):
            self.assertTrue(done(t=way))
            self.assertEqual(self.live().value(peg), there)
            self.assertEqual(self.live().steps, beside._alone.board.steps)
        self.line.say("Z = (9, 9)")
        again()
        self.assertFalse(done(t="undo"), "somebody else has changed the board since")
        again()
        # Somebody else changes it while something is held.
        for message in ({"t": "grab", "ids": [peg], "at": [6, 2]}, {"t": "drag", "to": [5, 5], "seq": 2}):
            beside.take(json.dumps(message))
        self.line.say("Y = (8, 8)")
        again()
        beside.take('{"t": "drop"}')
        self.assertFalse(done(t="undo"), "what was held has let go")

    def test_what_somebody_else_made_meanwhile_has_ids_of_its_own(self):
        beside = self.copy()
        self.line.say("E is the midpoint of BC")
        self.line.say("F is the midpoint of CA")
        self.say(beside, "M is the midpoint of AB", "k is the circle with centre M through A")
        self.do(beside, t="say", text="hide M")
        self.assertEqual(self.send()["lost"], [])
        board = self.live()
        self.assertEqual([name for name, _ in self.kept[-4:]], ["E", "F", "M", "k"])
        self.assertTrue(board.step(board.find("M")).look.hidden)
        self.assertFalse(board.step(board.find("E")).look.hidden)
        self.assertEqual(board.value(board.find("k"))[:2], (2, 0))

    def test_words_and_formulas_speak_of_what_they_spoke_of(self):
        beside = self.copy()
        self.line.say("E is the midpoint of BC")
        self.line.say("the length of AE")
        self.say(beside, "d is the length of AB", "h = d / 2")
        self.do(beside, t="say", text="write “half of {d} is {h}” on the board")
        self.say(beside, "s6 = (7, 7)")  # a name that looks as an id does
        self.assertEqual(self.send()["lost"], [])
        board = self.live()
        self.assertEqual(board.value(board.find("h")), 2)
        self.assertEqual(board.value(board.find("s6")), (7, 7))
        (words,) = [step for step in board.steps if step.makes == "words"]
        self.assertEqual({board.name(id) for id in words.inputs}, {"d", "h"})

    def test_what_can_no_longer_be_done_is_told_and_the_rest_is_done(self):
        beside = self.copy()
        self.say(beside, "M is the midpoint of AC", "N is the midpoint of AB")
        self.do(beside, t="say", text="hide M")
        self.line.send("edit", edit={"kind": "delete", "ids": ["s3"]})
        self.line.until("changed")
        told = self.send()
        self.assertEqual(len(told["lost"]), 2)
        self.assertEqual(self.kept[-1], ("N", "midpoint"))

    def test_a_key_is_known_however_long_ago_it_was(self):
        beside = self.copy()
        self.say(beside, "M is the midpoint of AB")
        self.send()
        for _ in range(310):
            self.line.send("nudge", ids=["s1"], by=[0.01, 0])
            self.line.until("changed")
        kept = self.kept
        self.application.state.live.get(self.board)._keys = None  # as after a start
        self.send()
        self.assertEqual(self.kept, kept)

    def test_a_student_without_a_line_does_no_more_than_with_one(self):
        self.line.send("edit", edit={"kind": "arrange", "kit": "compass"})
        self.line.until("changed")
        lesson, _ = next(pair for pair in self.own_lessons() if pair[1] == self.board)
        self.client.post(f"/lessons/{lesson.slug}/share", data={"shared": "gallery"})
        key = self.lessons.find(lesson.slug).share_key
        token = "copy.a-secret-of-one-browser-0"
        self.line = Line(self.enterContext(self.new_client().websocket_connect(f"/open/{key}/{self.board}/live", [token])))
        self.line.until("board")
        beside = self.copy()
        self.say(beside, "the segment from A to B")
        for words in ("delete A", "M is the midpoint of AB"):
            self.assertIn("refusal", str(self.do(beside, t="say", text=words)), words)
        self.assertIn("needs the line", str(self.do(beside, t="reset")))
        told = self.send(edits=[*self.unsent, {"edit": {"kind": "delete", "ids": ["s1"]}, "made": []}])
        self.assertEqual(len(told["lost"]), 1)
        self.line.send("working")
        self.assertIn("AB is the segment", str(self.line.until("working")))

    def test_random_acts_come_to_the_same_board(self):
        for chance in range(6):
            beside, numbers = self.copy(), random.Random(chance)
            for _ in range(50):
                ids = [step.id for step in beside._alone.board.steps]
                self.do(beside, **act(numbers, ids))
            self.do(beside, t="drop")
            self.do(beside, t="pause")
            if self.unsent:
                self.assertEqual(self.send(first=1000 * chance)["lost"], [], chance)
            self.assertEqual(self.live().steps, beside._alone.board.steps, chance)


if __name__ == "__main__":
    unittest.main()
