"""Random teachers and students of a class: whatever is sent in whatever order, nothing but a refusal, and nothing is left behind."""

import json
import random

from .in_class import ClassTest, wait_until

ACTS = 260
FAULT = "The fault is on our side"


class RandomClassTest(ClassTest):
    def setUp(self):
        super().setUp()
        for text in ("d is the distance from A to B", "j is the places nearer to A than to B", "p is the line through A and B"):
            self.desk.say(text)
        self.random = random.Random(2611)
        self.people = [self.somebody(name) for name in ("fox", "owl", "hen")]
        for one in self.people:
            one.open_line(self.board)
            one.at_board = one.open_board(self.board)
        self.pages = [self.page(), self.page()]

    def told(self, line, kind="here"):
        """Everything that a line is told until it has answered all that was sent."""
        line.send("here")
        found = []
        while True:
            message = json.loads(line.socket.receive_text())
            if message["t"] == kind:
                return found
            found.append(message)

    def check(self, line):
        for message in self.told(line):
            self.assertNotIn(FAULT, message.get("words", ""), message)

    def thing(self):
        return self.random.choice(["s1", "s2", "s3", "s4", "s5", "s6", "s7", "s99", ""])

    def who(self):
        return self.random.choice([*self.room.people, None, 10**6]) if self.random.random() < 0.9 else None

    def place(self):
        return [self.random.uniform(-9, 9), self.random.uniform(-9, 9)]

    def of_teacher(self):
        """A message of a teacher's page."""
        choice, on = self.random.choice, self.random.random() < 0.7
        asked = {"what": choice(["words", "claim", "place", "may", "angles"]), "id": self.thing(), "words": choice(["", "Why?"])}
        return choice(
            [
                ("wall", {"on": on, "seen": []}),
                ("look", {"who": self.who()}),
                ("dot", {"at": self.place() if on else None}),
                ("put_up", {"who": self.who(), "everyone": on}),
                ("lead", {"on": on, "board": self.board if on else 10**6}),
                ("seen", {"view": [-5, -5, 5, 5], "closed": [self.thing()]}),
                ("pegs", {"board": self.board, "id": self.thing() or None, "condition": choice([None, None, "s5", "s1"]), "trail": on}),
                ("keep_pegs", {"keep": on}),
                ("log_all", {"board": self.board}),
                ("ask", {"board": self.board, **asked, "choices": choice([[], ["a", "b"], ["a", "a"]])}),
                ("asked", {"do": choice(["close", "show", "away"])}),
                ("uncover", {"board": self.board, "ids": [self.thing()]}),
                ("helped", {"who": self.who() or 0}),
            ]
        )

    def of_student(self):
        """A message of somebody's page."""
        choice = self.random.choice
        answer = {"question": self.room.asked.id or 1, "choice": choice([None, 0, 1, 9]), "at": choice([None, self.place()])}
        return choice(
            [
                ("at", {"board": choice([self.board, self.board, 10**6])}),
                ("help", {"on": choice([True, False])}),
                ("apart", {"on": choice([True, False])}),
                ("answer", answer),
            ]
        )

    def of_desk(self):
        """What the teacher does to the board meanwhile: things go in the middle of a chain, and come back."""
        choice = self.random.choice
        look = choice([{"hidden": True}, {"hidden": False}, {"cover": True, "teacher_lifts": True}, {"cover": None}])
        return choice(
            [
                ("edit", {"edit": {"kind": "delete", "ids": [self.thing()]}}),
                ("undo", {}),
                ("redo", {}),
                ("say", {"text": "N is the midpoint of AM"}),
                ("edit", {"edit": {"kind": "restyle", "ids": [self.thing()], "look": look}}),
                ("edit", {"edit": {"kind": "arrange", "log": choice([[], ["s4"]])}}),
                ("lift", {"ids": [self.thing()]}),
                ("nudge", {"ids": ["s1"], "by": self.place()}),
            ]
        )

    def test_nothing_but_a_refusal(self):
        for _ in range(ACTS):
            roll = self.random.random()
            if roll < 0.4:
                line, (kind, content) = self.random.choice(self.pages), self.of_teacher()
            elif roll < 0.6:
                line, (kind, content) = self.random.choice(self.people).line, self.of_student()
            elif roll < 0.8:
                line, (kind, content) = self.desk, self.of_desk()
            else:
                line, (kind, content) = (
                    self.random.choice(self.people).at_board,
                    ("nudge", {"ids": [self.thing() or "s1"], "by": self.place()}),
                )
            line.send(kind, **content)
            self.check(line)
        for line in (*self.pages, self.desk, *(line for one in self.people for line in (one.line, one.at_board))):
            self.check(line)
        # What is stopped leaves nothing behind.
        for line in self.pages:
            line.send("wall", on=False)
            line.send("look", who=None)
            self.check(line)
        self.pages[0].send("put_up", who=None)
        self.pages[0].send("lead", on=False, board=self.board)
        self.pages[0].send("pegs", board=self.board, id=None)
        self.check(self.pages[0])
        live = list(self.application.state.live._open.values())
        wait_until(lambda: not any(one.onlookers for one in live))
        self.assertFalse(any(line.outgoing.taps for one in live for line in one.connections))
        self.assertEqual([person.looked for person in self.room.people.values()], [0, 0, 0])
