"""Challenges on the server: made, judged, taken back; and the solution is told to its teacher alone, whatever is asked, by whom."""

import json
import re

from .served import Line, WebTest

TOKEN = "a-secret-of-one-browser-0"
#: The solution stands where nothing else does, under names that nothing else has.
GIVEN = ("A = (0, 0)", "B = (4, 1)", "AB is the segment from A to B")
SOLUTION = ("Zenith is the point B turned about A by 90 degrees", "quince is the line through A and Zenith")
SECRET = re.compile(r"Zenith|quince|turned about|-1\.0, ?4\.0\b|\(−1, 4\)")


class ChallengeTest(WebTest):
    def setUp(self):
        super().setUp()
        self.board = self.new_board()
        self.lesson, _ = next(pair for pair in self.own_lessons() if pair[1] == self.board)
        self.teacher_line = self.line(f"/boards/{self.board}/live")
        for text in (*GIVEN, *SOLUTION):
            self.say(self.teacher_line, text)
        self.client.post(f"/lessons/{self.lesson.slug}/share", data={"shared": "gallery"})
        self.lesson = self.lessons.find(self.lesson.slug)
        self.key = self.lesson.share_key

    def line(self, address, client=None, copy=None):
        return Line(self.enterContext((client or self.client).websocket_connect(address, copy and [f"copy.{copy}"])))

    def make(self, **more):
        fields = {"task": "Find a corner of the square.", "given": ["s1", "s2", "s3"], "answers": ["s4"], "kit": "compass", **more}
        return self.client.post(f"/boards/{self.board}/challenge", data=fields)

    def say(self, line, text):
        """Say something that is taken."""
        line.send("say", text=text)
        for _ in range(20):
            message = json.loads(line.socket.receive_text())
            if message["t"] == "changed":
                return
            self.assertNotEqual(message.get("kind"), "refusal", f"{text}: {message.get('words')}")

    def student(self, client=None):
        line = self.line(f"/open/{self.key}/{self.board}/live", client or self.client, TOKEN)
        line.first = line.until("board")
        return line

    def test_it_is_made_judged_and_taken_back(self):
        panel = self.client.get(f"/boards/{self.board}/challenge?ids=s4").text
        self.assertIn('name="answers" value="s4" checked', panel)
        self.assertIn("The challenge stands", self.make(hints="Look at A.\nWhat is square?", moves="5").text)
        line = self.student()
        self.assertEqual(line.first["state"]["steps"], 3)
        line.send("is_right", reach=0.05)
        self.assertEqual(line.until("judged")["verdict"], "not yet")
        self.say(line, "D = (-1, 4)")
        line.send("is_right", reach=0.05)
        found = line.until("judged")
        self.assertEqual((found["verdict"], found["taken"]), ("not yet", ["s1000001"]))
        self.assertIn("not tied", found["words"])
        line.send("show_where")
        self.assertTrue(any(line.until("moved")["items"] for _ in range(20)))
        for number, words in enumerate(("Look at A.", "What is square?"), 1):
            for again in (False, True):
                line.send("hint", again=again)
                self.assertEqual(line.until("hint"), {"t": "hint", "words": words, "number": number, "left": 2 - number})
        line.send("hint")
        self.assertEqual(line.until("says")["kind"], "refusal")
        for text in ("E is where the line through A and B meets the circle with centre A through B, first crossing",):
            self.say(line, text)
        for text in ("the circle with centre E through B", "the circle with centre B through E"):
            self.say(line, text)
        self.say(line, "all crossings of c and e")
        self.say(line, "q is the line through C and F")
        self.say(line, "H is where q meets k, first crossing")
        self.say(line, "I is where q meets k, second crossing")
        line.send("is_right", reach=0.05)
        found = line.until("judged")
        self.assertEqual(found["verdict"], "right", found["words"])
        self.assertIn("moves", found["moves"])
        # Taken back, the board is the solution again, and asks for nothing.
        self.client.post(f"/boards/{self.board}/challenge/back")
        self.assertIn("Zenith", self.client.get(f"/boards/{self.board}/working.txt").text)
        line.send("is_right", reach=0.05)
        self.assertIn("asks for nothing", line.until("says")["words"])

    def test_it_is_changed_and_the_board_goes_on(self):
        self.make()
        # What the teacher puts on the start later gets an id that the solution has for something else.
        self.say(self.teacher_line, "Z = (2, -3)")
        self.assertIn("stands", self.make(task="Find another corner.", answers=["s4"], moves="7", kit="closing").text)
        self.assertIn("Find another corner.", self.client.get(f"/open/{self.key}").text)
        self.assertIn("Z is a free point", self.client.get(f"/boards/{self.board}/working.txt").text)
        line = self.student()
        self.say(line, "D = (-1.001, 4)")
        line.send("is_right", reach=0.05)
        self.assertIn("not tied", line.until("judged")["words"])
        self.assertIn('value="s4" checked', self.client.get(f"/boards/{self.board}/challenge").text)

    def test_what_is_wrong_with_it_is_said_and_nothing_changes(self):
        before = self.client.get(f"/boards/{self.board}/working.txt").text
        for more, words in (
            ({"task": " "}, "Say in words"),
            ({"answers": []}, "Mark what the answer is"),
            ({"given": ["s1", "s2", "s3", "s4", "s5"], "answers": []}, "nothing to make"),
            ({"kit": "look"}, "nothing can be built"),
            ({"moves": "some"}, "whole number"),
            ({"by": "claims"}, "what must be true"),
            ({"by": "claims", "sought": "a thing", "claims": "AX = BX"}, "X is a point"),
            ({"kit": "nonsense"}, ""),
        ):
            with self.subTest(more):
                answer = self.make(**more)
                self.assertIn(words, answer.text)
                self.assertLess(answer.status_code, 500)
                self.assertEqual(self.client.get(f"/boards/{self.board}/working.txt").text, before)

    def test_what_has_not_the_shape_of_a_challenge_is_refused(self):
        claimed = {"by": "claims", "sought": "X is a point", "claims": "AX = BX"}
        for more in (
            {"moves": "999"},
            {"moves": "0"},
            {"hints": "one\n" * 9},
            {"task": "Find it. " * 80},
            {"answers": ["s4"] * 7},
            {**claimed, "sought": f"{'X' * 25} is a point"},
            {**claimed, "sought": "X is a point\n" * 7},
            {**claimed, "claims": "AX = BX\n" * 9},
            {**claimed, "claims": "A" * 301},
        ):
            answer = self.make(**more)
            self.assertEqual(answer.status_code, 200, more)
            self.assertIn("is not kept like this, at ", answer.text, more)
            self.assertNotIn("The challenge stands", answer.text)
        self.assertEqual(self.student().first["state"]["steps"], 5)

    def test_claims_are_asked_for(self):
        self.assertIn("stands", self.make(by="claims", sought="X is a point", claims="AX is perpendicular to AB\nAX = AB").text)
        line = self.student()
        self.say(line, "C = (-1, 4)")
        line.send("is_right", reach=0.05)
        found = line.until("judged")
        self.assertEqual([one["met"] for one in found["conditions"]], [False, False])

    def test_no_door_tells_the_solution(self):
        self.make(hints="Look at A.")
        student, stranger = self.new_client(), self.new_client()
        told = []
        for client in (student, stranger):
            for address in (
                f"/open/{self.key}", f"/open/{self.key}?board={self.board}", f"/embed/{self.key}",
                f"/open/{self.key}/{self.board}/picture.svg",
                "/gallery?find=New", f"/oembed?url=http://testserver/open/{self.key}", f"/boards/{self.board}/challenge",
                f"/boards/{self.board}/working.txt", f"/boards/{self.board}/panels/history", f"/lessons/{self.lesson.slug}/lesson.json",
                f"/lessons/{self.lesson.slug}/as-student", f"/boards/{self.board}/picture.svg", f"/lessons/{self.lesson.slug}",
            ):  # fmt: skip
                told.append((address, client.get(address).text))
            told.append(("post", client.post(f"/boards/{self.board}/challenge", data={"task": "t", "look": "true"}).text))
            told.append(("back", client.post(f"/boards/{self.board}/challenge/back").text))
        line = self.student()
        told.append(("board", json.dumps(line.first)))
        point = {"at": [-2, 3], "reach": 0.3}
        for kind, content, answer in (
            ("say", {"text": "D = (-1.5, 4.2)"}, "changed"), ("is_right", {"reach": 0.001}, "judged"), ("is_right", {"reach": 5}, "judged"),
            ("show_where", {}, "says"), ("hint", {}, "hint"), ("working", {}, "working"), ("renew", {}, "renewal"),
            ("complete", {"text": "the line thr"}, "completions"), ("complete", {"text": "Ze"}, "completions"),
            ("tool", {"key": "line"}, "prompt"), ("hover", point, "under"), ("click", point, "prompt"), ("tool", {"key": None}, "prompt"),
            ("say", {"text": "how far is it"}, "says"), ("look_back", {"number": 0}, "board"), ("look_back", {"number": None}, "board"),
            ("bring_back", {"number": 0}, "board"), ("select", {"ids": ["s4"]}, "offers"), ("select", {"ids": ["s1", "s2"]}, "offers"),
            ("gather", {"what": "points"}, "gathered"), ("undo", {}, "says"), ("reset", {}, "says"), ("undo", {}, "says"),
        ):  # fmt: skip
            line.send(kind, **content)
            told.append((kind, json.dumps(line.until(answer), ensure_ascii=False)))
        # What leaves the house by the teacher's own doors is the start as well: files, copies, duplicates.
        for address in (
            f"/lessons/{self.lesson.slug}/lesson.json",
            f"/boards/{self.board}/working.txt",
            f"/boards/{self.board}/picture.svg",
        ):
            told.append((address, self.client.get(address).text))
        for where, text in told:
            self.assertIsNone(SECRET.search(text.replace("D = (-1.5", "")), f"{where}: {text[:300]}")
        # And the teacher has it.
        self.assertIn("Zenith", self.client.get(f"/boards/{self.board}/challenge").text)
        copy = self.client.post(f"/open/{self.key}/copy", follow_redirects=True)
        self.assertNotIn("Zenith", copy.text)

    def test_a_challenge_goes_with_its_teacher(self):
        self.make()
        self.application.state.teachers.delete(self.teacher.id)
        self.assertIsNone(self.lessons.challenges.of(self.board))
