"""Sharing: who may open what, students' copies, frames in other pages."""

import json
from unittest import mock

from starlette.testclient import TestClient, WebSocketDenialResponse
from starlette.websockets import WebSocketDisconnect

from ruddy_trellis.class_site import application as class_site
from ruddy_trellis.class_site import create_class_site
from ruddy_trellis.store.secret import hashed

from .served import Line, WebTest, wait_until

TOKEN = "a-secret-of-one-browser-0"


def place(message, id):
    """Where a thing of a message is drawn."""
    return next(item["shape"]["at"] for item in message["items"] if item["id"] == id)


class SharingTest(WebTest):
    def setUp(self):
        super().setUp()
        self.board = self.new_board()
        self.lesson, _ = next(pair for pair in self.own_lessons() if pair[1] == self.board)
        teacher = self.line()
        for text in ("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB", "w is the words “Try it” at (1, 3)"):
            teacher.send("say", text=text)
            teacher.until("changed")
        self.teacher_line = teacher
        self.stranger = self.new_client()

    def share(self, shared="link"):
        self.client.post(f"/lessons/{self.lesson.slug}/share", data={"shared": shared})
        self.lesson = self.lessons.find(self.lesson.slug)
        return self.lesson.share_key

    def line(self, address=None, client=None, copy=None):
        socket = (client or self.client).websocket_connect(address or f"/boards/{self.board}/live", copy and [f"copy.{copy}"])
        return Line(self.enterContext(socket))

    def student(self, token=TOKEN):
        line = self.line(f"/open/{self.lesson.share_key}/{self.board}/live", self.stranger, token)
        line.first = line.until("board")
        return line

    def drag(self, line, id, *to):
        line.send("grab", ids=[id], at=[0, 0])
        line.send("drag", to=list(to), seq=1)
        line.send("drop")

    # Strangers ----------------------------------------------------------------------------------------------

    def test_a_private_lesson_is_not_found_by_anyone_else(self):
        key, slug, board = self.lesson.share_key, self.lesson.slug, self.board
        pages = [
            f"/open/{key}",
            f"/embed/{key}",
            f"/open/{key}/{board}/picture.svg",
            f"/open/{key}?board={board}",
            f"/oembed?url=http://testserver/open/{key}",
            f"/lessons/{slug}",
            f"/lessons/{slug}?board={board}",
            f"/lessons/{slug}/lesson.json",
            f"/lessons/{slug}/share",
            f"/lessons/{slug}/link.svg",
            f"/boards/{board}/picture.svg",
            f"/boards/{board}/working.txt",
            f"/boards/{board}/log.csv",
        ]
        panels = ("working", "readings", "log", "motions", "look", "loose", "history", "recipe")
        pages += [f"/boards/{board}/panels/{panel}" for panel in panels]
        writes = [
            f"/lessons/{slug}/title",
            f"/lessons/{slug}/away",
            f"/lessons/{slug}/copy",
            f"/lessons/{slug}/boards",
            f"/lessons/{slug}/boards/{board}/away",
            f"/lessons/{slug}/share/new-link",
            f"/open/{key}/copy",
            f"/boards/{board}/recipes",
        ]
        for client in (self.stranger, self.new_client("tobias.quince")):
            for address in pages:
                self.assertEqual(client.get(address).status_code, 404, address)
            for address in writes:
                self.assertEqual(client.post(address, data={"title": "x"}).status_code, 404, address)
            self.assertEqual(client.post(f"/lessons/{slug}/share", data={"shared": "gallery"}).status_code, 404)
            self.assertEqual(client.post(f"/lessons/{slug}/boards/{board}/move", data={"by": 1}).status_code, 404)
            for address in (f"/boards/{board}/live", f"/open/{key}/{board}/live"):
                with (
                    self.assertRaises(WebSocketDenialResponse) as caught,
                    client.websocket_connect(address, [f"copy.{TOKEN}"]),
                ):
                    self.fail("the line opened")
                self.assertEqual(caught.exception.status_code, 404)
            self.assertIn("No lesson has that", client.get("/gallery?find=New").text)
        self.assertEqual(self.lessons.find(slug).title, "New")
        self.assertEqual(self.lessons.find(slug).shared, "private")
        for address in pages[5:8] + pages[10:]:
            self.assertEqual(self.client.get(address).status_code, 200, address)

    def test_a_link_opens_the_lesson_for_students_and_not_for_changing_it(self):
        key = self.share()
        page = self.stranger.get(f"/open/{key}")
        self.assertEqual(page.status_code, 200)
        self.assertIn("by Maud Alder", page.text)
        self.assertNotIn(self.lesson.slug, page.text, "the teacher's own address is not given away")
        self.assertEqual(self.stranger.get(f"/open/{key}/{self.board}/picture.svg").status_code, 200)
        self.assertEqual(self.stranger.get(f"/lessons/{self.lesson.slug}").status_code, 404)
        self.assertEqual(self.stranger.get(f"/boards/{self.board}/working.txt").status_code, 404)
        other = self.new_board()
        self.assertEqual(self.stranger.get(f"/open/{key}?board={other}").status_code, 404)
        for board, copy in ((other, TOKEN), (self.board, "short")):
            address = f"/open/{key}/{board}/live"
            with self.assertRaises(WebSocketDisconnect), self.stranger.websocket_connect(address, [f"copy.{copy}"]):
                self.fail("the line opened")
        self.assertNotIn(key, self.stranger.get("/gallery").text)
        self.share("gallery")
        self.assertIn(key, self.stranger.get("/gallery").text)
        self.assertIn(key, self.stranger.get("/gallery?find=maud").text)
        self.assertNotIn(key, self.stranger.get("/gallery?find=tobias").text)
        code = self.client.get(f"/lessons/{self.lesson.slug}/link.svg")
        self.assertEqual((code.status_code, code.headers["content-type"]), (200, "image/svg+xml"))

    def test_a_lesson_made_private_or_given_a_new_link_lets_students_go(self):
        key = self.share()
        student = self.student()
        self.client.post(f"/lessons/{self.lesson.slug}/share/new-link")
        with self.assertRaises(WebSocketDisconnect) as caught:
            student.until("never")
        self.assertEqual(caught.exception.code, 4404)
        self.assertEqual(self.stranger.get(f"/open/{key}").status_code, 404)
        self.lesson = self.lessons.find(self.lesson.slug)
        student = self.student()
        self.share("private")
        with self.assertRaises(WebSocketDisconnect):
            student.until("never")
        self.teacher_line.send("say", text="N = (1, 1)")
        self.teacher_line.until("changed")  # the teacher's own line is still open

    def test_a_colleague_takes_a_copy(self):
        key = self.share("gallery")
        tobias = self.new_client("tobias.quince")
        self.assertIn("Take a copy", tobias.get(f"/open/{key}").text)
        taken = tobias.post(f"/open/{key}/copy")
        self.assertIn("New (copy)", taken.text)
        self.assertEqual(self.stranger.post(f"/open/{key}/copy").status_code, 401)

    # Students' copies ---------------------------------------------------------------------------------------

    def test_a_student_has_a_copy_of_their_own_that_stays_and_can_be_started_again(self):
        self.share()
        student = self.student()
        self.drag(student, "s1", 2, 2)
        moved = student.until("changed")
        self.assertEqual((place(moved, "s1"), place(moved, "s3")), ([2, 2], [3, 1]))
        self.assertEqual(self.application.state.live.get(self.board).board.value("s1"), (0, 0), "the teacher's is as it was")
        self.assertEqual(place(self.student().first, "s1"), [2, 2], "in another tab, or after a reload")
        self.assertEqual(place(self.student("a-secret-of-another-browser").first, "s1"), [0, 0])
        self.application.state.live.close_copies(self.lesson.id)
        self.assertEqual(place(self.student().first, "s1"), [2, 2], "and from the store")
        again = self.student()
        again.send("undo")
        self.assertEqual(place(again.until("changed"), "s1"), [0, 0])
        again.send("redo")
        again.until("changed")
        # The teacher changes the lesson: starting again takes up what it is now, and can itself be undone.
        self.teacher_line.send("edit", edit={"kind": "move", "numbers": {"s1": [-3, 0]}})
        self.teacher_line.until("changed")
        again.send("reset")
        self.assertEqual(place(again.until("changed"), "s1"), [-3, 0])
        again.send("undo")
        self.assertEqual(place(again.until("changed"), "s1"), [2, 2])
        self.assertEqual([row.id for row in self.lessons.boards(self.lesson.id)], [self.board], "no list shows copies")

    def test_a_copy_that_nobody_touched_follows_the_lesson_and_is_not_kept(self):
        self.share()
        with self.stranger.websocket_connect(f"/open/{self.lesson.share_key}/{self.board}/live", [f"copy.{TOKEN}"]) as socket:
            Line(socket).until("board")
        self.teacher_line.send("edit", edit={"kind": "move", "numbers": {"s2": [6, 0]}})
        self.teacher_line.until("changed")
        self.assertEqual(place(self.student().first, "s2"), [6, 0])
        with self.lessons._database.engine.connect() as connection:
            self.assertEqual(connection.exec_driver_sql("SELECT count(*) FROM board WHERE copy_of IS NOT NULL").scalar(), 0)

    def test_students_move_what_was_left_to_them_and_change_nothing_else(self):
        self.teacher_line.send("say", text="t is a dial from 0 to 5 in steps of 1 at 2")
        self.teacher_line.until("changed")
        self.teacher_line.send("edit", edit={"kind": "restyle", "ids": ["s2", "s5"], "look": {"teacher_only": True}})
        self.teacher_line.until("changed")
        self.assertIn("dial t", self.client.get(f"/lessons/{self.lesson.slug}/share?board={self.board}").text)
        self.share()
        student = self.student()
        self.assertTrue(next(item["shape"]["locked"] for item in student.first["items"] if item["id"] == "s5"))
        self.assertEqual(next(item["style"]["peg"] for item in student.first["items"] if item["id"] == "s2"), "fixed")
        student.send("grab", ids=["s2"], at=[4, 0])
        self.assertEqual(student.until("stuck")["words"], "point B is not to be moved here.")
        student.send("grab", ids=["s4"], at=[1, 3])
        self.assertIn("not to be moved", student.until("stuck")["words"])
        for kind, content in (
            ("edit", {"edit": {"kind": "delete", "ids": ["s1"]}}),
            ("say", {"text": "C = (1, 1)"}),
            ("tool", {"key": "midpoint"}),
            ("put", {"id": "s1", "text": "1, 1"}),
            ("edit", {"edit": {"kind": "restyle", "ids": ["s2"], "look": {"locked": False}}}),
            ("range", {"view": [0, 0, 1, 1]}),
            ("look_back", {"number": 0}),
        ):
            student.send(kind, **content)
            self.assertIn("construction is your teacher’s", student.until("says")["words"], kind)
        student.send("nudge", ids=["s2"], by=[1, 0])
        self.assertIn("cannot be nudged", student.until("says")["words"])
        self.drag(student, "s1", 1, 1)
        self.assertEqual(place(student.until("changed"), "s1"), [1, 1])
        self.teacher_line.send("grab", ids=["s2"], at=[4, 0])
        self.teacher_line.send("drag", to=[5, 0], seq=9)
        self.assertTrue(self.teacher_line.until("moved")["held"], "the teacher may")

    def test_nothing_is_undone_behind_a_change_that_was_taken(self):
        self.teacher_line.send("edit", edit={"kind": "arrange", "kit": "everything"})
        self.teacher_line.until("changed")
        self.share()
        student = self.student()
        student.say("M is the midpoint of AB")
        self.teacher_line.say("Z = (3, 3)")
        student.send("renew", take=True)
        wait_until(lambda: not student.until("changed")["state"]["undo"])
        student.send("undo")
        self.assertEqual(student.until("says")["kind"], "refusal")
        told = student.say("N is the midpoint of A and M")
        wait_until(
            lambda: (told if told["state"]["undo"] else student.until("changed"))["state"]["undo"]
        )  # what was told before comes first
        student.socket.close()
        wait_until(lambda: not self.application.state.live.get_copy(self.board, hashed(TOKEN)).connections)
        self.application.state.live.close_copies(self.lesson.id)
        again = self.student()
        self.assertTrue(again.first["state"]["undo"])
        again.send("undo")
        wait_until(lambda: not again.until("changed")["state"]["undo"])

    def test_starting_again_without_a_change_takes_up_what_the_teacher_changed(self):
        self.share()
        student = self.student()
        self.teacher_line.send("edit", edit={"kind": "move", "numbers": {"s2": [6, 0]}})
        self.teacher_line.until("changed")
        student.send("reset")
        self.assertEqual(place(student.until("board"), "s2"), [6, 0])
        self.assertEqual(student.until("says")["words"], "This is the beginning.")

    def test_the_teachers_board_may_be_closed_and_opened_again_meanwhile(self):
        self.share()
        student = self.student()
        self.drag(student, "s1", 2, 2)
        student.until("changed")
        self.teacher_line.socket.close()
        with mock.patch("ruddy_trellis.web.live.live_boards._IDLE", 1):
            for _, board in self.own_lessons()[:4]:
                self.application.state.live.get(board)
        again = self.line()
        again.send("edit", edit={"kind": "move", "numbers": {"s1": [-5, -5]}})
        again.until("changed")
        student.send("reset")
        self.assertEqual(place(student.until("changed"), "s1"), [-5, -5])

    def test_a_lesson_put_away_is_closed_to_students(self):
        key = self.share("gallery")
        student = self.student()
        self.client.post(f"/lessons/{self.lesson.slug}/away")
        with self.assertRaises(WebSocketDisconnect):
            student.until("never")
        self.assertEqual(self.stranger.get(f"/open/{key}").status_code, 404)
        self.assertNotIn(key, self.stranger.get("/gallery").text)

    def test_of_very_many_copies_the_oldest_goes(self):
        self.share()
        with mock.patch("ruddy_trellis.store.lessons.COPIES", 2):
            for number in range(4):
                student = self.student(f"a-secret-of-one-browser-{number}")
                self.drag(student, "s1", 2, number)
                student.until("changed")
        self.application.state.live.close_copies(self.lesson.id)
        places = [place(self.student(f"a-secret-of-one-browser-{number}").first, "s1") for number in range(4)]
        self.assertEqual(places, [[0, 0], [0, 0], [2, 2], [2, 3]])

    def test_an_empty_board_is_shared_as_well(self):
        self.board = self.new_board()
        self.lesson, _ = self.own_lessons()[0]
        self.share()
        self.assertEqual(self.student().first["items"], [])

    # Frames -------------------------------------------------------------------------------------------------

    def test_only_embed_pages_may_be_framed(self):
        key = self.share()
        framed = self.stranger.get(f"/embed/{key}")
        self.assertIn("frame-ancestors *", framed.headers["content-security-policy"])
        for client, address in (
            (self.stranger, f"/open/{key}"),
            (self.stranger, "/"),
            (self.client, f"/lessons/{self.lesson.slug}"),
            (self.stranger, "/embed"),
        ):
            self.assertIn("frame-ancestors 'none'", client.get(address).headers["content-security-policy"], address)
        self.assertNotIn("unsafe", framed.headers["content-security-policy"])

    def test_oembed(self):
        key = self.share()
        self.assertIn(f"/oembed?url=http%3A//testserver/open/{key}", self.stranger.get(f"/open/{key}").text)
        told = self.stranger.get("/oembed", params={"url": f"http://testserver/open/{key}", "maxwidth": 400}).json()
        self.assertEqual((told["version"], told["type"], told["title"], told["author_name"]), ("1.0", "rich", "New", "Maud Alder"))
        self.assertEqual((told["width"], told["height"]), (400, 260))
        self.assertIn(f'src="http://testserver/embed/{key}"', told["html"])
        low = self.stranger.get("/oembed", params={"url": f"http://testserver/open/{key}", "maxheight": 260}).json()
        self.assertEqual((low["width"], low["height"]), (400, 260))
        for params, status in (
            ({"url": f"http://testserver/open/{key}", "format": "xml"}, 501),
            ({"url": f"http://elsewhere.test/open/{key}"}, 404),
            ({"url": "nothing"}, 404),
            ({"url": "http://["}, 404),
        ):
            self.assertEqual(self.stranger.get("/oembed", params=params).status_code, status)
        self.client.post(f"/lessons/{self.lesson.slug}/title", data={"title": 'A "sharp" <b> & more'})
        html = self.stranger.get("/oembed", params={"url": f"http://testserver/open/{key}"}).json()["html"]
        self.assertIn('title="A &quot;sharp&quot; &lt;b&gt; &amp; more"', html)

    def test_the_class_page_shows_what_oembed_tells_and_nothing_else(self):
        told = {"title": "New", "author_name": "Maud Alder", "html": '<iframe src="http://lessons.test/embed/k"></iframe>'}
        asked = []

        def answer(address, timeout):
            asked.append(address)
            return mock.mock_open(read_data=json.dumps(told))()

        site = TestClient(create_class_site("http://lessons.test", lambda: "http://lessons.test/open/k"))
        with mock.patch.object(class_site, "urlopen", answer):
            page = site.get("/")
            self.assertIn(told["html"], page.text)
            self.assertIn("frame-src http://lessons.test;", page.headers["content-security-policy"])
            self.assertEqual(site.get("/?lesson=http://elsewhere.test/open/k").status_code, 404)
            self.assertEqual(site.get("/?lesson=http://lessons.test.elsewhere.test/open/k").status_code, 404)
        self.assertEqual(asked, ["http://lessons.test/oembed?maxwidth=960&url=http%3A%2F%2Flessons.test%2Fopen%2Fk"])
