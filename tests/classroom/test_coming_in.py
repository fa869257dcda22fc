"""Coming into a class: codes, nicknames, coming back, being done, and what a stranger learns."""

import re
import unittest
from datetime import timedelta
from unittest import mock

from starlette.testclient import WebSocketDenialResponse
from starlette.websockets import WebSocketDisconnect

from ruddy_trellis.core.classroom.codes import ALPHABET, CODE, RETURN_WORD, new_code, new_return_word, shown, typed
from ruddy_trellis.store import classes as store
from ruddy_trellis.web.classroom.coming_in import NO_CLASS
from ruddy_trellis.web.classroom.membership import COOKIE

from .in_class import ClassTest


class CodesTest(unittest.TestCase):
    def test_codes_are_long_enough_and_have_nothing_alike_in_them(self):
        self.assertGreaterEqual(len(ALPHABET) ** CODE, 2**30)
        self.assertGreaterEqual(len(ALPHABET) ** RETURN_WORD, 2**40)
        self.assertFalse(set(ALPHABET) & set("aeiou0o1li2z5s8bnvtgu"))
        self.assertEqual(len({new_code() for _ in range(200)}), 200)
        self.assertEqual(len(new_return_word()), RETURN_WORD)

    def test_a_code_is_read_in_whatever_groups_it_is_typed(self):
        code = "cdfh3479"
        for text in (shown(code), "CDFH-3479", " cd fh 34 79 ", "c.d.f.h.3.4.7.9"):
            self.assertEqual(typed(text), code)
        for text in ("", "cdfh347", "cdfh34790", "cdfho479", "cdfh3479" * 20, "💥" * 8):
            self.assertEqual(typed(text), "")


class ComingInTest(ClassTest):
    def test_somebody_comes_in_and_has_a_copy_of_a_private_lesson(self):
        self.assertEqual(self.lesson.shared, "private")
        fox = self.somebody()
        page = fox.client.get(f"/class/{self.class_id}")
        self.assertEqual(page.status_code, 200)
        self.assertIn("fox", page.text)
        self.assertNotIn(self.code, page.text)
        line = fox.open_board(self.board)
        self.assertEqual(line.first["state"]["steps"], 3)
        # It is their own, and found again on the same device.
        line.send("nudge", ids=["s1"], by=[1, 0])
        line.until("changed")
        again = fox.open_board(self.board)
        (a,) = (item for item in again.first["items"] if item["id"] == "s1")
        self.assertEqual(a["shape"]["at"], [1, 0])
        self.assertIn("Carry on as fox", fox.client.get("/in").text)

    def test_every_code_that_lets_nobody_in_has_the_same_answer(self):
        stranger = self.new_client()
        told = []
        self.client.post(f"/classes/{self.class_id}/door", data={"door": "false"})
        told.append(stranger.post("/in", data={"code": self.code, "name": "fox"}))
        self.client.post(f"/classes/{self.class_id}/door", data={"door": "true"})
        self.client.post(f"/classes/{self.class_id}/close")
        told.append(stranger.post("/in", data={"code": self.code, "name": "fox"}))
        told.append(stranger.post("/in", data={"code": "hjkm 6799", "name": "fox"}))
        told.append(stranger.post("/in", data={"code": "<b>hello", "name": "fox"}))
        self.assertEqual({one.status_code for one in told}, {404})
        self.assertTrue(all(NO_CLASS in one.text for one in told))
        for one, typed_code in zip(told, (self.code, self.code, "hjkm 6799", "&lt;b&gt;hello")):
            self.assertEqual(one.text.replace(typed_code, ""), told[0].text.replace(self.code, ""))

    def test_names_that_are_none_are_refused_and_markup_is_only_text(self):
        stranger = self.new_client()
        for name in ("x" * 10_000, "\u200b\u2060", "a\u202eb"):
            answer = stranger.post("/in", data={"code": self.code, "name": name})
            self.assertEqual(answer.status_code, 422, name[:20])
            self.assertIn("A nickname has from 1 to 20 letters", answer.text)
        fox = self.somebody("<i>fox</i>")
        self.assertIn("&lt;i&gt;fox&lt;/i&gt;", fox.welcome)
        self.assertNotIn("<i>fox", fox.client.get(f"/class/{self.class_id}").text)
        taken = stranger.post("/in", data={"code": self.code, "name": "<I>FOX</i>"})
        self.assertIn("Somebody in the class has that nickname", taken.text)

    def test_somebody_comes_back_with_the_word_that_was_told_once(self):
        fox = self.somebody()
        word = fox.word()
        self.assertNotIn("return-word", fox.client.get(f"/class/{self.class_id}/welcome").text)
        old = fox.open_line(self.board)
        old.until("you")
        fox.open_board(self.board).send("nudge", ids=["s1"], by=[2, 0])
        tablet = self.new_client()
        wrong = tablet.post("/in/back", data={"code": self.code, "word": "cdfh cdfh cdfh"})
        self.assertEqual(wrong.status_code, 404)
        self.assertTrue(
            tablet.post("/in/back", data={"code": self.code, "word": word.upper()}).url.path.endswith(f"/class/{self.class_id}")
        )
        self.assertIn("come back on another device", old.until("out")["words"])
        self.assertEqual(fox.client.get(f"/class/{self.class_id}").status_code, 404, "the device before has them no longer")
        # Bound to the class: in another it is another word.
        self.client.post(f"/classes/{self.class_id}/close")
        self.open_class()
        self.assertEqual(tablet.post("/in/back", data={"code": self.code, "word": word}).status_code, 404)

    def test_two_children_one_after_another_on_one_tablet(self):
        fox = self.somebody()
        done = fox.client.post(f"/class/{self.class_id}/done")
        self.assertIn("forgotten your nickname", done.text)
        self.assertNotIn("fox", fox.client.get("/in").text)
        self.assertFalse([name for name in fox.client.cookies if name.startswith(COOKIE)])
        self.assertEqual(fox.client.get(f"/class/{self.class_id}").status_code, 404)
        fox.client.post("/in", data={"code": self.code, "name": "owl"})
        self.assertIn("owl", fox.client.get(f"/class/{self.class_id}").text)

    def test_the_teacher_renames_and_sends_out_at_once(self):
        fox, owl = self.somebody(), self.somebody("owl")
        line, board = fox.open_line(self.board), fox.open_board(self.board)
        line.until("you")
        who = next(person.id for person in self.room.people.values() if person.name == "fox")
        self.client.post(f"/classes/{self.class_id}/people/{who}", data={"name": "vixen"})
        self.assertEqual(line.until("you")["name"], "vixen")
        self.assertEqual(self.client.post(f"/classes/{self.class_id}/people/{who}", data={"name": "owl"}).status_code, 422)
        for other in (owl.client, self.new_client("tobias.quince")):
            self.assertEqual(other.post(f"/classes/{self.class_id}/people/{who}", data={"remove": "true"}).status_code, 404)
        self.client.post(f"/classes/{self.class_id}/people/{who}", data={"remove": "true"})
        self.assertIn("taken you out", line.until("out")["words"])
        self.assertEqual(fox.client.get(f"/class/{self.class_id}").status_code, 404)
        with self.assertRaises(WebSocketDisconnect):
            board.until("never")

    def test_a_class_goes_on_after_a_restart_and_ends_by_itself(self):
        fox = self.somebody()
        self.application.state.live_classes._open.clear()  # all that was in memory is gone
        self.assertEqual(fox.client.get(f"/class/{self.class_id}").status_code, 200)
        self.assertEqual(fox.open_line(self.board).until("you")["name"], "fox")
        with later(9):
            self.assertEqual(fox.client.get(f"/class/{self.class_id}").status_code, 404)
            self.assertIn("Open for a class", self.client.get(f"/lessons/{self.lesson.slug}/class").text)

    def test_names_and_copies_go_when_it_closes(self):
        board = self.somebody().open_board(self.board)
        board.send("nudge", ids=["s1"], by=[1, 0])
        board.until("changed")
        self.client.post(f"/classes/{self.class_id}/close")
        with self.application.state.database.session() as session:
            self.assertEqual(session.connection().exec_driver_sql("SELECT count(*) FROM member").scalar_one(), 0)
            self.assertEqual(session.connection().exec_driver_sql("SELECT count(*) FROM class_room").scalar_one(), 0)
            self.assertEqual(session.connection().exec_driver_sql("SELECT count(*) FROM board WHERE copy_of IS NOT NULL").scalar_one(), 0)

    def test_guessing_has_to_wait_and_a_school_gets_in(self):
        tries = self.application.state.tries
        for _ in range(59):
            tries.failed("a school", self.code.replace(" ", ""))
        self.assertFalse(tries.too_many("a school", self.code.replace(" ", "")))
        tries.failed("a school", self.code.replace(" ", ""))
        self.assertTrue(tries.too_many("a school", self.code.replace(" ", "")), "words of this class are guessed no more")
        self.assertFalse(tries.too_many("a school"), "codes are still taken")
        for _ in range(540):
            tries.failed("a school")
        self.assertTrue(tries.too_many("a school"))
        self.assertFalse(tries.too_many("another"))

    def test_a_stranger_learns_nothing(self):
        self.somebody()
        stranger, other = self.new_client(), self.new_client("tobias.quince")
        for client in (stranger, other):
            for address in ("class/{}", "classes/{}", "classes/{}/wall", "classes/{}/code.svg", "class/{}/welcome"):
                there, not_there = client.get("/" + address.format(self.class_id)), client.get("/" + address.format(self.class_id + 77))
                told = [
                    re.sub(rf"/{number}\b", "", answer.text) for answer, number in ((there, self.class_id), (not_there, self.class_id + 77))
                ]
                self.assertEqual((there.status_code, told[0]), (not_there.status_code, told[1]), address)
                self.assertNotIn("fox", there.text)
            for address in (f"/class/{self.class_id}/line", f"/classes/{self.class_id}/line", f"/class/{self.class_id}/{self.board}/live"):
                with self.assertRaises(WebSocketDenialResponse), client.websocket_connect(address):
                    pass


def later(hours):
    """So many hours later, for classes."""
    now = store._now
    return mock.patch.object(store, "_now", lambda: now() + timedelta(hours=hours))
