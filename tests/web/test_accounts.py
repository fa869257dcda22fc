"""Accounts: passwords, sessions, what is whose, one's own data."""

import io
import json
import re
import time
import unittest
import zipfile
from concurrent.futures import ThreadPoolExecutor
from unittest import mock

from argon2 import PasswordHasher

from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.web.options import Options
from ruddy_trellis.web.people import passwords
from ruddy_trellis.web.people.accounts import _onward
from ruddy_trellis.web.people.new_passwords import check_new_password
from ruddy_trellis.web.people.passwords import hashed_password

from .served import PASSWORD, WebTest

GOOD = {"sign_in": "robin.alder", "password": PASSWORD}


class AccountTest(WebTest):
    options = Options(demo=False)

    def register(self, sign_in="robin.alder"):
        return self.new_client(sign_in)

    def made(self, **fields):
        """A new client that makes an account, and the answer."""
        client = self.new_client()
        return client, client.post("/register", data={"name": "Robin Alder", "password": PASSWORD, **fields}, follow_redirects=False)

    def test_register_sign_out_sign_in(self):
        client, answer = self.made(name="Robin  Alder")
        self.assertEqual((answer.status_code, answer.headers["location"]), (303, "/account?made=1"))
        (sign_in,) = re.findall(r"Your sign-in is (robin\.alder\.\d{3}):", client.get("/account?made=1").text)
        cookie = answer.headers["set-cookie"].lower()
        for word in ("httponly", "samesite=lax", "max-age="):
            self.assertIn(word, cookie)
        self.assertIn("Robin Alder", client.get("/").text)
        client.post("/sign-out")
        self.assertNotIn("My lessons", client.get("/").text)
        self.assertEqual(client.get("/account").status_code, 401)
        wrong = client.post("/sign-in", data={"sign_in": sign_in, "password": "a gate of elm"})
        self.assertEqual(wrong.status_code, 422)
        self.assertIn("do not go together", wrong.text)
        right = client.post(
            "/sign-in", data={"sign_in": sign_in.title(), "password": PASSWORD, "onward": "/account"}, follow_redirects=False
        )
        self.assertEqual((right.status_code, right.headers["location"]), (303, "/account"))
        self.assertIn(sign_in, client.get("/account").text)
        again = self.new_client().post(
            "https://testserver/sign-in", data={"sign_in": sign_in, "password": PASSWORD}, follow_redirects=False
        )
        self.assertIn("Secure", again.headers["set-cookie"])

    def test_what_does_not_do_is_refused_in_words(self):
        for changes, words in (
            ({"name": " "}, "Your name"),
            ({"password": "short"}, "from 10 to 200"),
            ({"password": "aaaaaaaaaaaa"}, "five different"),
        ):
            _, answer = self.made(**changes)
            self.assertEqual(answer.status_code, 422)
            self.assertIn(words, answer.text)
            self.assertNotIn("set-cookie", answer.headers)
        self.assertEqual(len(self.application.state.teachers.everyone()), 1, "nobody but the one who is signed in")

    def test_registering_does_not_tell_who_has_an_account(self):
        self.made()
        names = set()
        for _ in range(4):
            client, answer = self.made()
            self.assertEqual(answer.status_code, 303, "the same answer for a name that is there already")
            names.update(re.findall(r"robin\.alder\.\d+", client.get("/account").text))
        self.assertEqual(len(names), 4)

    def test_passwords_are_kept_as_argon2_and_secrets_as_hashes(self):
        client = self.register()
        kept = self.application.state.teachers.find("robin.alder").password
        self.assertTrue(kept.startswith("$argon2id$"))
        self.assertTrue(PasswordHasher().hash("a gate of oak").startswith("$argon2id$v=19$m=65536,"), "as the program hashes outside tests")
        token = client.cookies["trellis_session"]
        with self.lessons._database.engine.connect() as connection:
            kept = connection.exec_driver_sql("SELECT token FROM session").scalars().all()
        self.assertEqual((len(kept), token in kept), (2, False))
        with self.assertRaises(Refusal):
            hashed_password("x" * 201)

    def quick(self):
        """Delays are told in hundredths of a second from here on."""
        self.enterContext(mock.patch.multiple(passwords, _FIRST=0.01, LONGEST=0.3))

    def test_wrong_passwords_are_delayed_and_never_lock_anyone_out(self):
        self.quick()
        client, stranger = self.register(), self.new_client()
        for number in range(9):
            answer = stranger.post("/sign-in", data={"sign_in": "robin.alder", "password": f"guess number {number}"})
            self.assertEqual(answer.status_code, 422)
        self.assertEqual(stranger.post("/sign-in", data=GOOD, follow_redirects=False).status_code, 303)
        self.assertEqual(client.get("/account").status_code, 200, "who is signed in stays so")

    def test_many_attempts_at_once_do_not_slip_through(self):
        attempts = passwords.Attempts(clock=lambda: 0)
        self.assertEqual([attempts.begin("robin.alder") for _ in range(8)], [0, 1, 2, 4, 8, 16, 30, 30])

    def test_a_browser_that_is_known_does_not_wait_behind_those_who_guess(self):
        self.enterContext(mock.patch.multiple(passwords, _FIRST=0.2, LONGEST=3.0))
        own = self.register()
        own.post("/sign-out")
        guess = lambda number: self.new_client().post("/sign-in", data={**GOOD, "password": f"guess number {number}"}).status_code
        with ThreadPoolExecutor(24) as pool:
            guesses = [pool.submit(guess, number) for number in range(24)]
            while sum(one.done() for one in guesses) < 2:
                time.sleep(0.01)
            self.assertEqual(own.post("/sign-in", data=GOOD, follow_redirects=False).status_code, 303)
            self.assertFalse(all(one.done() for one in guesses), "it came in before them")
            self.assertEqual({one.result() for one in guesses}, {422})

    def test_what_is_noted_of_wrong_tries_is_no_password_in_the_wrong_field(self):
        self.quick()
        self.register()
        with self.assertLogs("ruddy_trellis.web.people.accounts") as noted:
            for name in ("robin.alder", "my own password 7"):
                self.new_client().post("/sign-in", data={"sign_in": name, "password": "guess number one"})
        self.assertIn("robin.alder", noted.output[0])
        self.assertNotIn("my own", noted.output[1])

    def test_sessions_end_unused_and_are_listed_and_ended(self):
        client, other = self.register(), self.new_client()
        other.headers["user-agent"] = "Mozilla/5.0 (X11; Linux x86_64) Firefox/140.0"
        other.post("/sign-in", data=GOOD)
        first = other.cookies["trellis_session"]
        other.post("/sign-in", data=GOOD)
        before = self.new_client().get("/account", headers={"cookie": f"trellis_session={first}"})
        self.assertEqual(before.status_code, 401, "signing in again ended the session before")
        self.assertEqual(other.get("/account").status_code, 200)
        listed = client.get("/account").text
        self.assertIn("Firefox on Linux", listed)
        (handle,) = re.findall(r'name="session" value="(\w+)"', listed)
        self.assertIn("signed out", client.post("/account/sessions/end", data={"session": handle}).text)
        self.assertEqual(other.get("/account").status_code, 401)
        self.assertEqual(client.post("/account/sessions/end", data={"session": ""}).status_code, 422)
        with self.lessons._database.engine.begin() as connection:
            connection.exec_driver_sql("UPDATE session SET seen_at = datetime('now', '-11 hours')")
        self.assertEqual(client.get("/account").status_code, 200, "which counts as use")
        with self.lessons._database.engine.begin() as connection:
            self.assertGreater(connection.exec_driver_sql("SELECT max(seen_at) > datetime('now', '-1 hours') FROM session").scalar(), 0)
            connection.exec_driver_sql("UPDATE session SET seen_at = datetime('now', '-13 hours')")
        self.assertEqual(client.get("/account").status_code, 401)

    def test_another_password_signs_out_everywhere_else(self):
        client = self.register()
        other = self.new_client()
        other.post("/sign-in", data=GOOD)
        stolen = client.cookies["trellis_session"]
        refused = client.post("/account/password", data={"old": "wrong", "new": "a fence of ash"})
        self.assertIn("Nothing has changed", refused.text)
        done = client.post("/account/password", data={"old": GOOD["password"], "new": "a fence of ash"})
        self.assertEqual(done.status_code, 200)
        self.assertEqual(client.get("/account").status_code, 200)
        self.assertEqual(other.get("/account").status_code, 401)
        self.assertNotEqual(client.cookies["trellis_session"], stolen)
        self.assertEqual(self.new_client().post("/sign-in", data=GOOD).status_code, 422)

    def test_a_sign_in_from_another_site_is_refused(self):
        self.register()
        for origin in ("http://elsewhere.test", "null"):
            answer = self.new_client().post("/sign-in", data=GOOD, headers={"origin": origin}, follow_redirects=False)
            self.assertEqual(answer.status_code, 403)

    def test_onward_is_never_another_site(self):
        for address in ("https://elsewhere.test", "//elsewhere.test", "/\\elsewhere.test", "\\/x", "javascript:x", "/x\r\ny", ""):
            self.assertEqual(_onward(address), "/", address)
        self.assertEqual(_onward("/lessons/abc?board=3"), "/lessons/abc?board=3")


class NewPasswordTest(unittest.TestCase):
    def test_what_stands_in_every_list_of_guesses_does_not_do(self):
        about = ("Robin Alder", "robin.alder.412")
        for guess in (
            "1234567890", "0987654321", "qwertyuiop", "QWERTZUIOP", "asdfghjkl1", "abcdefghij", "abcabcabcabc", "aaaaabbbbb", "robinalder",
            "robin.alder.412", "RobinAlder2026", "password123", "Passw0rd Password", "ruddytrellis", "geometry teacher", "1984 2001 1999",
            "zxcvbnm,./1", "lesson2024!", "1q2w3e4r5t"[:4] * 3,
        ):  # fmt: skip
            with self.subTest(guess), self.assertRaises(Refusal):
                check_new_password(guess, about)

    def test_words_in_a_row_do(self):
        for good in (
            PASSWORD,
            "a fence of ash",
            "walled-garden",
            "maple-kettle-spade-19",
            "Tür zu, es zieht!",
            "correct battery horse",
            "xK7#qP2m!vT9",
        ):
            check_new_password(good, ("Robin Alder", "robin.alder.412"))


class DemoSchoolTest(WebTest):
    def test_the_demo_teachers_come_in_with_one_click_and_nobody_else(self):
        self.assertIn("Maud Alder", self.client.get("/").text)
        self.assertIn("Tobias Quince", self.new_client("tobias.quince").get("/account").text)
        stranger = self.new_client()
        self.assertIn("Come in as Maud Alder", stranger.get("/").text)
        self.assertEqual(stranger.post("/sign-in/demo", data={"sign_in": "no.one"}).status_code, 422)
        self.application.state.teachers.register("robin.alder", "Robin Alder", hashed_password(PASSWORD))
        other = self.new_client()
        self.assertEqual(other.post("/sign-in/demo", data={"sign_in": "robin.alder"}).status_code, 422)
        self.assertEqual(
            other.post("/sign-in", data={"sign_in": "maud.alder", "password": "walled-garden"}, follow_redirects=False).status_code, 303
        )

    def test_lessons_and_recipes_are_their_teachers_own(self):
        board = self.new_board()
        tobias = self.new_client("tobias.quince")
        self.assertNotIn("Three taps", tobias.get("/").text)
        for text in ("A = (0, 0)", "B = (4, 0)", "k is the circle with centre A through B"):
            self.say(board, text)
        kept = self.client.post(f"/boards/{board}/recipes", data={"name": "ring on a way", "results": "s3", "given": ["s1", "s2"]})
        self.assertIn("ring on a way", kept.text)
        self.assertIn("ring on a way", self.client.get(f"/lessons/{self.slug_of(board)}").text, "on the shelf of every board")
        self.assertNotIn("ring on a way", tobias.get("/").text)
        (row,) = self.lessons.recipes(self.teacher.id)
        self.assertEqual(tobias.get(f"/recipes/{row.id}.json").status_code, 404)
        self.assertEqual(tobias.post(f"/recipes/{row.id}/delete").status_code, 404)
        # Another teacher may keep one of that name; typing its sentence means their own or nothing.
        other = self.new_board(tobias)
        self.assertIn("refusal", self.say(other, "the ring on a way on (0, 0) and (1, 1)", tobias))
        self.say(board, "D = (1, 1)")
        self.assertNotIn("refusal", self.say(board, "the ring on a way on B and D"))

    def test_who_does_not_want_figures_to_move_in_browsers_has_none_that_do(self):
        board = self.new_board()
        address = f"/lessons/{self.slug_of(board)}"
        self.assertIn('name="near" value="true" checked', self.client.get("/account").text)
        self.assertIn("data-near=", self.client.get(address).text)
        self.assertIn("data-near=", self.client.get(f"{address}/as-student").text)
        self.assertNotIn("data-near=", self.client.get(f"{address}?near=0").text)
        self.assertIn("at the server", self.client.post("/account/near").text)
        self.assertNotIn("data-near=", self.client.get(address).text)
        self.assertNotIn("data-near=", self.client.get(f"{address}/as-student").text)
        tobias = self.new_client("tobias.quince")
        self.assertIn('name="near" value="true" checked', tobias.get("/account").text)
        self.assertIn("in the browser", self.client.post("/account/near", data={"near": "true"}).text)
        self.assertIn("data-near=", self.client.get(address).text)
        self.assertIn(tobias.get("/account").status_code, (200,))
        self.assertEqual(self.new_client().post("/account/near", follow_redirects=False).status_code, 401)

    def say(self, board, text, client=None):
        """Type a sentence; the kinds of what is said back."""
        with (client or self.client).websocket_connect(f"/boards/{board}/live") as socket:
            socket.send_text(json.dumps({"t": "say", "text": text}))
            said = []
            while not {"refusal", "changed"} & set(said):
                message = json.loads(socket.receive_text())
                said.append(message.get("kind", message["t"]))
            return said

    def slug_of(self, board):
        return next(lesson.slug for lesson, id in self.own_lessons() if id == board)

    def test_all_of_ones_data_is_taken_along_and_deleted(self):
        before = len(self.own_lessons())
        self.client.post(f"/lessons/{self.own_lessons()[0][0].slug}/away")
        with zipfile.ZipFile(io.BytesIO(self.client.get("/account/data.zip").content)) as archive:
            names = archive.namelist()
            self.assertEqual(sum(name.startswith("lessons/") for name in names), before - 1)
            self.assertEqual(sum(name.startswith("put away/") for name in names), 1)
            self.assertEqual(json.loads(archive.read("account.json"))["sign_in"], "maud.alder")
            lesson = archive.read(next(name for name in names if name.startswith("lessons/")))
        self.assertEqual(self.client.post("/lessons/read", files={"file": ("l.json", lesson)}, follow_redirects=False).status_code, 303)
        shared = self.lessons.gallery()[0][0].share_key
        self.assertIn("Nothing has changed", self.client.post("/account/delete", data={"password": "not this one"}).text)
        self.client.post("/account/delete", data={"password": "walled-garden"})
        self.assertEqual(self.client.get("/account").status_code, 401)
        self.assertEqual(self.client.get(f"/open/{shared}").status_code, 404)
        with self.lessons._database.engine.connect() as connection:
            for table in ("lesson", "board", "edit", "recipe", "session"):
                self.assertEqual(connection.exec_driver_sql(f"SELECT count(*) FROM {table}").scalar(), 0, table)
            self.assertEqual(connection.exec_driver_sql("SELECT count(*) FROM teacher WHERE sign_in = 'maud.alder'").scalar(), 0)
            self.assertEqual(connection.exec_driver_sql("PRAGMA foreign_key_check").all(), [])
