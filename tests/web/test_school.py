"""Running the program for a school: who may make an account, how much there is room for, what is watched and noted."""

import logging
import tempfile
from pathlib import Path
from unittest import mock

from argon2 import PasswordHasher
from sqlalchemy.exc import OperationalError
from sqlmodel import Session
from starlette.testclient import TestClient, WebSocketDenialResponse
from starlette.websockets import WebSocketDisconnect

from ruddy_trellis.commands import see_to_people
from ruddy_trellis.demo import SCHOOL
from ruddy_trellis.store.upkeep import DataProblem
from ruddy_trellis.web.access_log import keep_logs
from ruddy_trellis.web.application import create_application
from ruddy_trellis.web.lessons import pages
from ruddy_trellis.web.live import lines
from ruddy_trellis.web.options import Options
from ruddy_trellis.web.people import passwords

from .served import PASSWORD, Line, WebTest

FIELDS = {"name": "Robin Alder", "password": PASSWORD}


class ClosedTest(WebTest):
    options = Options(demo=False, registration=False)

    def test_nobody_makes_an_account(self):
        self.assertNotIn('<form method="post" action="/register"', self.new_client().get("/register").text)
        answer = self.new_client().post("/register", data=FIELDS)
        self.assertEqual(answer.status_code, 422)
        self.assertIn("Ask at your school", answer.text)


class InvitationTest(WebTest):
    options = Options(demo=False, invitation="Green Gate")

    def test_the_word_is_asked_for(self):
        self.assertIn("Invitation word", self.new_client().get("/register").text)
        for word in ("", "grün", "green"):
            self.assertEqual(self.new_client().post("/register", data={**FIELDS, "invitation": word}).status_code, 422)
        client = self.new_client()
        self.assertEqual(client.post("/register", data={**FIELDS, "invitation": " green  gate"}).status_code, 200)
        self.assertEqual(client.get("/account").status_code, 200)


class QuotaTest(WebTest):
    options = Options(quota=0)

    def test_no_more_lessons_than_there_is_room_for(self):
        before = len(self.own_lessons())
        slug = self.own_lessons()[0][0].slug
        content = self.client.get(f"/lessons/{slug}/lesson.json").content
        for answer in (
            self.client.post("/lessons", data={"title": "One more"}),
            self.client.post(f"/lessons/{slug}/copy"),
            self.client.post("/lessons/read", files={"file": ("l.json", content)}),
        ):
            self.assertEqual(answer.status_code, 422)
            self.assertIn("fill the 0 MB", answer.text)
        self.assertEqual(len(self.own_lessons()), before)


class ColleaguesTest(WebTest):
    options = Options(demo=False)

    def test_a_school_makes_its_accounts_in_one_meeting(self):
        with mock.patch.object(passwords, "_HASHER", PasswordHasher(time_cost=1, memory_cost=8, parallelism=1)):
            for _ in range(14):
                self.assertEqual(self.new_client().post("/register", data=FIELDS, follow_redirects=False).status_code, 303)

    def test_a_full_disk_is_said_and_nothing_is_changed(self):
        client = self.new_client("robin.alder")
        board = self.new_board(client)
        database = self.application.state.database
        line = Line(self.enterContext(client.websocket_connect(f"/boards/{board}/live")))
        line.until("board")
        with mock.patch.object(Session, "commit", side_effect=OperationalError("", {}, Exception("database or disk is full"))):
            line.send("say", text="A = (1, 1)")
            said = line.until("says")
            self.assertEqual(said["kind"], "refusal")
            self.assertIn("disk is full", said["words"])
            answer = client.post("/lessons", data={"title": "One more"}, headers={"accept": "text/html"})
            self.assertEqual(answer.status_code, 507)
            self.assertIn("disk is full", answer.text)
        self.assertTrue(line.say("A = (2, 2)"))
        self.assertEqual(client.get("/health").status_code, 200)
        with mock.patch("shutil.disk_usage", return_value=mock.Mock(free=1000)):
            answer = client.get("/health")
            self.assertEqual((answer.status_code, answer.json()["status"]), (503, "the disk is full"))
        self.assertEqual(database.trouble(), "")


class AnglesTest(WebTest):
    def test_words_of_a_board_that_is_not_ones_own_change_nothing(self):
        board = self.own_lessons()[0][1]
        tobias = self.new_client("tobias.quince")
        self.assertEqual(tobias.post(f"/boards/{board}/panels/angles", data={"words": 2}).status_code, 404)
        self.assertEqual(self.application.state.teachers.find("tobias.quince").angle_words, 0)


class PeopleTest(WebTest):
    def test_without_the_demo_its_passwords_let_nobody_in(self):
        data = self.application.state.database.engine.url.database
        stranger = TestClient(create_application(data, Options(demo=False)), base_url="http://testserver")
        maud = {"sign_in": SCHOOL["teachers"][0]["sign_in"], "password": SCHOOL["password"]}
        self.assertEqual(stranger.post("/sign-in", data=maud, follow_redirects=False).status_code, 422)
        self.assertEqual(stranger.post("/sign-in/demo", data=maud, follow_redirects=False).status_code, 422)
        self.assertEqual(self.client.get("/account").status_code, 401, "who had come in with it is signed out")
        # The lessons stay; a new password opens them again.
        words = see_to_people(data, "password", "Maud.Alder")
        answer = stranger.post("/sign-in", data={**maud, "password": words.split("password ")[1].split(",")[0]}, follow_redirects=False)
        self.assertEqual(answer.status_code, 303, words)

    def test_people_are_listed_added_and_removed(self):
        data = self.application.state.database.engine.url.database
        listed = see_to_people(data, "list", "")
        self.assertRegex(listed, r"(?m)^maud\.alder +Maud Alder +\d+ lessons$")
        self.assertIn("3 people have accounts.", listed)
        words = see_to_people(data, "add", "Ríona O’Dell")
        self.assertRegex(words, r"^Ríona O’Dell signs in as riona\.odell\.\d{3} with the password ([a-z]+-){4}\d\d,")
        handle = words.split(" as ")[1].split(" ")[0]
        self.assertIn("is removed, and with them 0 lessons", see_to_people(data, "remove", handle))
        self.assertNotIn("Ríona", see_to_people(data, "list", ""))
        for do, who in (("add", " "), ("password", "nobody"), ("remove", "")):
            with self.assertRaises(DataProblem):
                see_to_people(data, do, who)


class WatchedTest(WebTest):
    def test_health_and_heads(self):
        answer = self.client.get("/health")
        self.assertEqual((answer.status_code, answer.json()), (200, {"status": "ok"}))
        self.assertIn("default-src 'none'", answer.headers["content-security-policy"])
        for address, status in (("/", 200), ("/health", 200), ("/gallery", 200), ("/nothing", 404), ("/static/sheets/board.css", 200)):
            head, whole = self.client.head(address), self.client.get(address)
            self.assertEqual((head.status_code, head.content), (status, b""), address)
            self.assertEqual(head.headers["content-type"], whole.headers["content-type"])
        with mock.patch.object(self.application.state.database, "trouble", return_value="the disk is full"):
            self.assertEqual(self.client.get("/health").status_code, 503)

    def test_the_log_has_the_usual_form_and_no_secrets(self):
        folder = self.enterContext(tempfile.TemporaryDirectory())
        loggers = [logging.getLogger("ruddy_trellis.access"), logging.getLogger()]
        before = [list(logger.handlers) for logger in loggers]
        keep_logs(folder)
        self.addCleanup(self.put_back, loggers, before)
        shared = self.lessons.gallery()[0][0].share_key
        self.client.get(f"/open/{shared}?board=7&copy=very-secret")
        self.client.post("/sign-in", data={"sign_in": "maud.alder", "password": "not-to-be-noted"})
        self.client.get('/x"y%0Az')
        text = (Path(folder) / "access.log").read_text()
        self.assertEqual(len(text.splitlines()), 3)
        for line in text.splitlines():
            self.assertRegex(line, r'^testclient - - \[\d\d/\w{3}/\d{4}:\d\d:\d\d:\d\d [+-]\d{4}\] "[A-Z]+ \S+ HTTP/1\.1" \d{3} \d+$')
        for secret in (shared, "very-secret", "not-to-be-noted"):
            self.assertNotIn(secret, text)
        self.assertIn(f'"GET /open/{shared[:4]}… HTTP', text)

    def put_back(self, loggers, before):
        for logger, kept in zip(loggers, before):
            for handler in [handler for handler in logger.handlers if handler not in kept]:
                logger.removeHandler(handler)
                handler.close()

    def test_forms_and_floods_are_bounded_before_they_are_read(self):
        answer = self.client.post("/sign-in", content=b"&" * 70_000, headers={"content-type": "application/x-www-form-urlencoded"})
        self.assertEqual(answer.status_code, 413)
        with mock.patch.object(lines, "LINES_OF_ADDRESS", 1):
            board = self.new_board()
            with self.client.websocket_connect(f"/boards/{board}/live"):
                with self.assertRaises(WebSocketDenialResponse) as caught, self.client.websocket_connect(f"/boards/{board}/live"):
                    self.fail("the second line opened")
                self.assertEqual(caught.exception.status_code, 429)
        with self.client.websocket_connect(f"/boards/{board}/live") as socket:
            Line(socket).until("board")

    def test_lists_come_in_pages(self):
        with mock.patch.object(pages, "LISTED", 5):
            first, third = self.client.get("/").text, self.client.get("/?page=3").text
            self.assertEqual(first.count('class="lesson-title"'), 5)
            self.assertIn('href="?page=2"', first)
            self.assertNotIn("Before", first)
            self.assertIn('href="?page=2"', third)
            self.assertIn("More ›", self.client.get("/gallery").text)
            self.assertEqual(self.client.get("/gallery?page=2").text.count('class="lesson-title"'), len(SCHOOL["gallery"]) - 5)
        self.assertEqual(self.client.get("/?page=0").status_code, 422)
        told = self.client.get("/?page=0", headers={"accept": "text/html"}).text
        self.assertIn("“page” must be at least 1", told)
        for address in ("/gallery", "/", "/help"):
            self.assertEqual(self.client.get(f"{address}?find={'a' * 60_000}").status_code, 200, address)
        self.assertEqual(self.client.get("/?find=100%25").text.count('class="lesson-title"'), 0, "a sign of the store’s own is a letter")


class EndTest(WebTest):
    def open_line(self):
        board = self.own_lessons()[0][1]
        line = Line(self.enterContext(self.client.websocket_connect(f"/boards/{board}/live")))
        line.until("board")
        return line

    def ends(self, line):
        with self.assertRaises(WebSocketDisconnect) as caught:
            line.until("nothing")
        self.assertEqual(caught.exception.code, 4404)

    def test_signing_out_ends_the_lines_of_that_browser(self):
        line = self.open_line()
        other = self.new_client("maud.alder")
        board = self.own_lessons()[0][1]
        stays = Line(self.enterContext(other.websocket_connect(f"/boards/{board}/live")))
        self.client.post("/sign-out")
        self.ends(line)
        self.assertTrue(stays.say("E = (1, 1)"))

    def test_signing_out_without_being_signed_in_ends_nobodys_line(self):
        shared = self.lessons.gallery()[0]
        student = self.new_client()
        line = Line(
            self.enterContext(student.websocket_connect(f"/open/{shared[0].share_key}/{shared[1]}/live", subprotocols=["copy." + "x" * 24]))
        )
        line.until("board")
        for _ in range(3):
            self.new_client().post("/sign-out")
        line.send("undo")
        self.assertEqual(line.until("says")["kind"], "refusal")

    def test_what_the_command_line_does_to_a_person_ends_their_lines_and_their_students(self):
        data = self.application.state.database.engine.url.database
        line = self.open_line()
        see_to_people(data, "password", "maud.alder")
        self.ends(line)
        self.client = self.new_client("maud.alder")
        shared = self.lessons.gallery()[0]
        student = Line(
            self.enterContext(
                self.new_client().websocket_connect(f"/open/{shared[0].share_key}/{shared[1]}/live", subprotocols=["copy." + "x" * 24])
            )
        )
        student.until("board")
        line = self.open_line()
        see_to_people(data, "remove", "maud.alder")
        self.ends(line)
        self.ends(student)

    def test_another_password_ends_all_lines(self):
        line = self.open_line()
        self.client.post("/account/password", data={"old": SCHOOL["password"], "new": "a fence of ash"})
        self.ends(line)
