"""What a class does together: the wall, over a shoulder, put up, followed, pegs on one board, questions; and who may not."""

import json

from starlette.websockets import WebSocketDisconnect

from ruddy_trellis.core.classroom.messages import of_student, of_teacher
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.web.classroom.wall import PICTURES, Budget

from .in_class import ClassTest, wait_until


def until(line, kind, is_so=lambda message: True):
    """The next message of a kind for which something is so."""
    for _ in range(60):
        message = line.until(kind)
        if is_so(message):
            return message
    raise AssertionError(f"no such {kind}")


class TogetherTest(ClassTest):
    def setUp(self):
        super().setUp()
        self.people = [self.somebody(name) for name in ("fox", "owl")]
        self.fox, self.owl = self.people
        for one in self.people:
            one.open_line(self.board).until("you")
            one.at_board = one.open_board(self.board)
        self.wall = self.page()
        self.told = until(self.wall, "people", lambda message: message["here"] == 2 and all(one["board"] for one in message["people"]))
        self.who = {one["name"]: one["who"] for one in self.told["people"]}

    def drag(self, one, to, id="s1"):
        line = one if not hasattr(one, "at_board") else one.at_board
        line.send("grab", ids=[id], at=[0, 0])
        line.send("drag", to=to, seq=1)
        line.until("moved")
        line.send("drop")

    # The wall

    def test_the_wall_has_a_picture_of_each_board_and_one_more_when_it_changes(self):
        self.wall.send("wall", on=True, seen=[self.who["owl"]])
        first = {}
        for _ in range(2):
            message = self.wall.until("picture")
            first[message["who"]] = message["svg"]
        self.assertEqual(set(first), set(self.who.values()))
        self.drag(self.fox, [1, 2])
        again = until(self.wall, "picture", lambda message: message["who"] == self.who["fox"])
        self.assertNotEqual(again["svg"], first[self.who["fox"]])
        self.assertNotIn("fox", again["svg"])
        self.wall.send("wall", on=False)
        live = self.room.copy_if_open(self.room.people[self.who["fox"]])
        wait_until(lambda: not live.onlookers)

    def test_pictures_are_drawn_forty_a_second_at_most(self):
        now = [0.0]
        budget = Budget(clock=lambda: now[0])
        self.assertEqual(sum(budget.take() for _ in range(500)), PICTURES)
        now[0] = 0.5
        self.assertEqual(sum(budget.take() for _ in range(500)), PICTURES // 2)
        # Those that take long are fewer: most of the time is everyone else's.
        now[0] = 10.0
        drawn = 0
        while now[0] < 20:
            if budget.take():
                drawn += 1
                now[0] += 0.05
                budget.took(0.05)
            now[0] += 0.01
        self.assertLessEqual(drawn * 0.05, 0.25 * 10 + 0.05)

    def test_who_asks_for_help_is_seen_and_helped(self):
        self.fox.line.send("help", on=True)
        told = until(self.wall, "people", lambda message: any(one["help"] for one in message["people"]))
        self.assertEqual([one["name"] for one in told["people"] if one["help"]], ["fox"])
        self.wall.send("helped", who=self.who["fox"])
        self.fox.line.until("helped")
        until(self.wall, "people", lambda message: not any(one["help"] for one in message["people"]))

    def test_over_a_shoulder_it_is_live_and_said(self):
        self.wall.send("look", who=self.who["fox"])
        whole = self.wall.until("over_stage")
        self.assertEqual({item["id"] for item in whole["items"]}, {"s1", "s2", "s3"})
        self.assertTrue(self.fox.line.until("looked")["on"])
        self.drag(self.fox, [1, 2])
        moved = self.wall.until("over_moved")
        self.assertIn([1, 2], [item["shape"]["at"] for item in moved["items"] if item["id"] == "s1"])
        self.wall.send("dot", at=[3, 3])
        self.assertEqual(self.fox.line.until("dot"), {"t": "dot", "at": [3, 3], "over": True})
        self.wall.send("look", who=None)
        self.assertFalse(self.fox.line.until("looked")["on"])

    def test_a_board_is_put_up_without_a_name(self):
        self.fox.at_board.send("nudge", ids=["s1"], by=[0, 1])
        self.fox.at_board.until("changed")
        self.wall.send("put_up", who=self.who["fox"], everyone=True)
        mine, others = self.fox.line.until("stage"), self.owl.line.until("stage")
        self.assertTrue(mine["mine"])
        self.assertFalse(others["mine"])
        self.assertNotIn("fox", json.dumps(others))
        self.assertNotIn(str(self.who["fox"]), [str(value) for value in others.values()])
        self.drag(self.fox, [2, 2])
        until(self.owl.line, "stage", lambda message: [2, 3] in [item["shape"]["at"] for item in message["items"]])
        self.wall.send("put_up", who=None)
        self.owl.line.until("stage_over")
        # For the teacher's pages alone nobody else sees it.
        self.wall.send("put_up", who=self.who["fox"], everyone=False)
        until(self.wall, "stage")
        self.wall.send("put_up", who=None)
        self.assertEqual(self.owl.line.until("stage_over")["t"], "stage_over")

    # Follow

    def test_all_follow_the_teachers_board_and_are_back_at_their_own_as_it_was(self):
        self.drag(self.owl, [1, 1])
        self.wall.send("lead", on=True, board=self.board)
        self.wall.until("led")
        whole = self.owl.line.until("stage")
        self.assertEqual(whole["kind"], "lead")
        self.drag(self.desk, [3, 3])
        moved = until(self.owl.line, "moved")
        self.assertIn([3, 3], [item["shape"]["at"] for item in moved["items"] if item["id"] == "s1"])
        self.desk.say("p is the perpendicular to AB through M")
        added = until(self.owl.line, "stage_changed", lambda message: any(item["id"] == "s4" for item in message["items"]))
        self.assertEqual([item["kind"] for item in added["items"]], ["line"])
        self.assertNotIn("sentence", added["items"][0])
        self.wall.send("seen", view=[-1, -1, 9, 9], closed=["s3"])
        closed = until(self.owl.line, "stage_changed", lambda message: message["gone"])
        self.assertEqual((closed["gone"], closed["scene"]["view"]), (["s3"], [-1, -1, 9, 9]))
        self.wall.send("dot", at=[5, 5])
        self.assertEqual(self.owl.line.until("dot")["at"], [5, 5])
        # Who comes late follows at once; who breaks off comes back to what is now.
        late = self.somebody("hen")
        self.assertEqual(late.open_line(self.board).until("stage")["kind"], "lead")
        self.owl.line.send("apart", on=True)
        until(self.wall, "people", lambda message: any(one["apart"] for one in message["people"]))
        self.desk.say("C is a free point at (7, 7)")
        wait_until(lambda: "s5" in self.application.state.live.get(self.board).board)
        self.owl.line.send("apart", on=False)
        self.assertIn("s5", {item["id"] for item in self.owl.line.until("stage")["items"]})
        self.wall.send("lead", on=False, board=self.board)
        self.owl.line.until("stage_over")
        own = self.owl.open_board(self.board).first
        self.assertEqual([item["shape"]["at"] for item in own["items"] if item["id"] == "s1"], [[1, 1]])

    def test_nothing_hidden_or_covered_is_followed(self):
        self.desk.say("d is the distance from A to B")
        self.desk.say("N is the midpoint of AM")
        for look, id in (({"cover": True}, "s4"), ({"hidden": True}, "s5")):
            self.desk.send("edit", edit={"kind": "restyle", "ids": [id], "look": look})
            self.desk.until("changed")
        self.wall.send("lead", on=True, board=self.board)
        whole = self.owl.line.until("stage")
        self.assertNotIn("s5", {item["id"] for item in whole["items"]})
        (covered,) = (item for item in whole["items"] if item["id"] == "s4")
        self.assertEqual(covered["label"]["text"], "?")
        self.assertNotIn("4", json.dumps(covered["label"]["text"]))
        # Lifted by the teacher, those who follow see it, and not those who do not.
        self.desk.send("lift", ids=["s4"])
        lifted = until(self.owl.line, "stage_changed", lambda message: any(item["id"] == "s4" for item in message["items"]))
        (seen,) = (item for item in lifted["items"] if item["id"] == "s4")
        self.assertIn("4", seen["label"]["text"])
        self.assertNotIn("cover", seen["style"])

    def test_motions_and_chalk_are_followed(self):
        self.desk.say("P is a point on the segment from A to B")
        self.desk.say("n is the motion of P, to and fro, in 2 seconds")
        board = self.application.state.live.get(self.board)
        wait_until(lambda: any(step.makes == "motion" for step in board.board.steps))
        (point,) = (step.id for step in board.board.steps if step.does == "point_on")
        self.wall.send("lead", on=True, board=self.board)
        self.owl.line.until("stage")
        self.desk.send("play")
        frames = self.owl.line.until("frames")
        places = [item["shape"]["at"][0] for items in frames["frames"] for item in items if item["id"] == point]
        self.assertGreater(len(set(places)), 5)
        self.assertEqual({part for items in frames["frames"] for item in items for part in item}, {"id", "shape", "label"})
        self.desk.send("pause")
        until(self.owl.line, "playing", lambda message: not message["on"])
        stroke = {"pen": "ruddy", "width": 3, "points": [0, 0, 1, 1, 2, 0]}
        self.desk.send("scribble", name="stroke-1", stroke=stroke, wipe=[])
        drawn = until(self.owl.line, "stage_changed", lambda message: any(item["kind"] == "chalk" for item in message["items"]))
        (chalk,) = (item["id"] for item in drawn["items"] if item["kind"] == "chalk")
        self.desk.send("scribble", name="stroke-1", stroke=None, wipe=[chalk])
        self.assertEqual(until(self.owl.line, "stage_changed", lambda message: message["gone"])["gone"], [chalk])

    # Together

    def test_everybodys_peg_is_on_one_board_by_a_condition(self):
        self.desk.say("j is the places nearer to A than to B")
        self.wall.send("pegs", board=self.board, id="s3", condition=None, names=True)
        marks = until(self.wall, "marks", lambda message: len(message["items"]) == 2)
        self.assertEqual({item["label"]["text"] for item in marks["items"]}, {"fox", "owl"})
        self.assertEqual({item["id"] for item in marks["items"]}, {""})
        self.wall.send("pegs", board=self.board, id="s1", condition="s4")
        until(self.wall, "marks", lambda message: [item["style"]["pen"] for item in message["items"]] == ["leaf", "leaf"])
        self.drag(self.owl, [4, 3])
        turned = until(self.wall, "marks", lambda message: {item["style"]["pen"] for item in message["items"]} == {"leaf", "ruddy"})
        self.assertEqual({item["style"]["peg"] for item in turned["items"]}, {"fixed", "free"}, "told apart by shape as well")
        self.assertTrue(all(item["label"] is None for item in turned["items"]))
        self.wall.send("keep_pegs", keep=True)
        self.wall.send("pegs", board=self.board, id=None)
        self.assertEqual(len(until(self.wall, "marks", lambda message: message["board"] is None)["items"]), 2)
        self.wall.send("keep_pegs", keep=False)
        until(self.wall, "marks", lambda message: not message["items"])

    def test_everybodys_readings_are_rows_of_the_log(self):
        self.desk.say("d is the distance from A to B")
        self.wall.send("log_all", board=self.board)
        self.assertIn("Choose readings for the log", self.wall.until("says")["words"])
        self.desk.send("edit", edit={"kind": "arrange", "log": ["s4"]})
        self.desk.until("changed")
        for one in self.people:
            one.at_board = one.open_board(self.board)
        wait_until(lambda: all("s4" in self.room.copy_if_open(person).board for person in self.room.people.values()))
        self.drag(self.fox, [1, 0])
        self.fox.at_board.until("changed")
        self.wall.send("log_all", board=self.board)
        self.assertIn("Recorded 2 rows", self.wall.until("says")["words"])
        self.assertEqual(sorted(self.application.state.live.get(self.board).board.settings.rows), [(3.0,), (4.0,)])

    # Ask

    def test_a_choice_of_words_is_asked_counted_and_shown(self):
        self.wall.send("ask", board=self.board, what="words", words="What is M?", choices=["a middle", "a corner"], right=0)
        asked = self.fox.line.until("question")
        self.assertEqual(asked["choices"], ["a middle", "a corner"])
        self.assertNotIn("right", asked)
        self.fox.line.send("answer", question=asked["id"], choice=1)
        self.fox.line.send("answer", question=asked["id"], choice=0)
        until(self.fox.line, "answered", lambda message: message["choice"] == 0)
        self.owl.line.send("answer", question=asked["id"], choice=1)
        told = until(self.wall, "asked", lambda message: message.get("count") == 2)
        self.assertNotIn("counts", told, "how many, and not what, until no more are taken")
        self.wall.send("asked", do="close")
        closed = until(self.wall, "asked", lambda message: message["state"] == "closed")
        self.assertEqual((closed["counts"], closed["right"]), ([1, 1], 0))
        self.fox.line.send("answer", question=asked["id"], choice=1)
        self.assertIn("no answers any more", self.fox.line.until("says")["words"])
        self.wall.send("asked", do="show")
        self.assertEqual(self.owl.line.until("answers")["counts"], [1, 1])
        # A restart loses nothing; it is kept for the lesson's page and as a table.
        self.application.state.live_classes._open.clear()
        self.assertEqual(self.page().until("asked")["counts"], [1, 1])
        self.client.post(f"/classes/{self.class_id}/close")
        page, table = (self.client.get(f"/lessons/{self.lesson.slug}/answers{ending}").text for ending in ("", ".csv"))
        for text in (page, table):
            self.assertIn("What is M?", text)
            self.assertIn("fox", text)
        self.assertIn("fox,a middle,right", table)

    def test_a_claim_that_is_asked_before_anything_is_known_of_it_is_judged_in_the_end(self):
        self.desk.send("say", text="claim: AM = MB")
        self.desk.until("changed")
        live = self.application.state.live.get(self.board)
        claim = next(step.id for step in live.board.steps if step.makes == "claim")
        known, live.verdict = live.verdict, lambda id: None
        self.wall.send("ask", board=self.board, what="claim", id=claim)
        asked = self.fox.line.until("question")
        self.fox.line.send("answer", question=asked["id"], choice=0)
        self.owl.line.send("answer", question=asked["id"], choice=2)
        until(self.wall, "asked", lambda message: message.get("count") == 2)
        self.wall.send("asked", do="close")
        closed = until(self.wall, "asked", lambda message: message["state"] == "closed")
        self.assertIsNone(closed["right"], "it is told at once")
        live.verdict = known
        closed = until(self.wall, "asked", lambda message: message.get("right") is not None)
        self.assertEqual(closed["right"], 0)
        self.assertIn("1 of 2 right", closed["told"])
        with self.application.state.database.session() as session:
            rights = [json.loads(text)["right"] for (text,) in session.connection().exec_driver_sql("SELECT answer FROM answer")]
        self.assertEqual(sorted(rights), [False, True])

    def test_a_place_is_asked_and_answered_from_each_board(self):
        self.desk.send("edit", edit={"kind": "restyle", "ids": ["s3"], "look": {"hidden": True}})
        self.desk.until("changed")
        wait_until(lambda: self.room.copy_if_open(self.room.people[self.who["owl"]]).board.step("s3").look.hidden)
        self.drag(self.owl, [0, 2])
        self.owl.at_board.until("changed")
        self.wall.send("ask", board=self.board, what="place", id="s3")
        asked = self.owl.line.until("question")
        self.assertEqual((asked["kind"], asked["choices"]), ("place", []))
        self.owl.line.send("answer", question=asked["id"], at=[2, 1])
        self.fox.line.send("answer", question=asked["id"], at=[2, 1])
        until(self.wall, "asked", lambda message: message.get("count") == 2)
        self.wall.send("asked", do="close")
        closed = until(self.wall, "asked", lambda message: message["state"] == "closed")
        self.assertEqual([item["shape"]["at"] for item in closed["items"]], [[2, 1], [2, 1]])
        self.assertIn("the nearest 0", closed["told"])
        with self.application.state.database.session() as session:
            offs = [json.loads(text)["off"] for (text,) in session.connection().exec_driver_sql("SELECT answer FROM answer")]
        self.assertEqual(sorted(offs), [0.0, 1.0], "each on their own board")

    def test_what_the_teacher_alone_lifts_is_nowhere_before(self):
        self.desk.say("d is the distance from A to M")
        self.desk.send("edit", edit={"kind": "restyle", "ids": ["s4"], "look": {"cover": True, "teacher_lifts": True}})
        self.desk.until("changed")
        copy = self.room.copy_if_open(self.room.people[self.who["owl"]])
        wait_until(lambda: "s4" in copy.board and copy.board.step("s4").look.teacher_lifts)
        own = self.owl.open_board(self.board)
        own.send("lift", ids=["s4"])
        own.send("near")
        self.assertIsNone(own.until("near")["steps"], "no copy beside the drawing")
        (covered,) = (item for item in own.first["items"] if item["id"] == "s4")
        self.assertEqual((covered["label"]["text"], covered["sentence"]), ("?", "a covered value: the teacher lifts it"))
        self.wall.send("uncover", board=self.board, ids=["s4"])
        self.assertEqual(own.until("lifted")["ids"], ["s4"])
        own.send("lift", ids=["s4"])
        (seen,) = own.until("changed")["items"]
        self.assertIn("2", seen["label"]["text"])
        # Who comes later is told as well, and after a restart.
        self.application.state.live_classes._open.clear()
        late = self.somebody("hen")
        line = late.open_board(self.board)
        self.assertEqual(line.until("lifted")["ids"], ["s4"])

    # Who may not

    def test_the_lines_of_the_teachers_pages_end_with_the_session(self):
        self.client.post("/sign-out")
        with self.assertRaises(WebSocketDisconnect):
            until(self.wall, "never")

    def test_each_door_takes_its_own_messages_only(self):
        for line, kind, content in (
            (self.fox.line, "put_up", {"who": self.who["owl"], "everyone": True}),
            (self.fox.line, "asked", {"do": "show"}),
            (self.fox.line, "answer", {"question": 7, "choice": 0}),
            (self.fox.line, "at", {"board": 10**9}),
            (self.wall, "answer", {"question": 1, "choice": 0}),
            (self.wall, "look", {"who": 10**9}),
            (self.wall, "lead", {"on": True, "board": 10**9}),
            (self.wall, "pegs", {"board": 10**9, "id": "s1"}),
            (self.wall, "pegs", {"board": self.board, "id": "s77"}),
            (self.wall, "ask", {"board": self.board, "what": "claim", "id": "s1"}),
            (self.wall, "ask", {"board": self.board, "what": "words", "words": "x", "choices": ["one"]}),
            (self.wall, "log_all", {"board": 10**9}),
        ):
            line.send(kind, **content)
            self.assertEqual(line.until("says")["kind"], "refusal", kind)
        for text in (
            "",
            "{",
            "[]",
            '{"t":"seen","view":[1,2]}',
            '{"t":"dot","at":[1e99,0]}',
            '{"t":"wall","on":true,"seen":[-1]}',
            "x" * 100_000,
        ):
            for read in (of_teacher, of_student):
                self.assertRaises(Refusal, read, text)
        for line in (self.fox.line, self.wall):
            line.socket.send_text("{")
            self.assertEqual(line.until("says")["kind"], "refusal")

    def test_somebody_of_another_class_reaches_nobody_here(self):
        other = self.new_board()
        lesson, _ = next(pair for pair in self.own_lessons() if pair[1] == other)
        self.client.post(f"/lessons/{lesson.slug}/class")
        room = self.application.state.live_classes.get(self.application.state.classes.of_lesson(lesson.id).id)
        stranger = self.new_client()
        stranger.post("/in", data={"code": room.code, "name": "rat"})
        self.assertEqual(stranger.get(f"/class/{room.id}").status_code, 200)
        self.assertEqual(stranger.get(f"/class/{self.class_id}").status_code, 404)
        self.assertEqual(stranger.get(f"/class/{room.id}?board={self.board}").status_code, 404)
