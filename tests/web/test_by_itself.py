"""A page that works by itself: what is in it, and what is not."""

import io
import json
import re
import unittest
from base64 import b64decode
from zipfile import ZipFile

from PIL import Image

from ruddy_trellis.drawings.small_photograph import BYTES, LONGEST, small_photograph
from ruddy_trellis.near.shipping import core_archive, lone_archive
from tests.drawings.test_photograph import picture

from .served import Line, WebTest
from .test_challenges import GIVEN, SECRET, SOLUTION


def part(text, id):
    """What stands in a part of a page."""
    return re.search(f'<script type="[^"]*" id="{id}">(.*?)</script>', text, re.DOTALL)[1]


class PageTest(WebTest):
    def setUp(self):
        super().setUp()
        self.board = self.new_board()
        self.lesson, _ = next(pair for pair in self.own_lessons() if pair[1] == self.board)
        self.line = Line(self.enterContext(self.client.websocket_connect(f"/boards/{self.board}/live")))

    def say(self, *sentences):
        for text in sentences:
            self.line.say(text)

    def edit(self, **edit):
        self.line.send("edit", edit=edit)
        return self.line.until("changed")

    def page(self, client=None):
        return (client or self.client).post(f"/boards/{self.board}/out/page")

    def file(self):
        return json.loads(part(self.page().text, "file"))

    def test_it_is_one_page_that_asks_nothing_of_anybody(self):
        self.say(*GIVEN)
        answer = self.page()
        self.assertEqual(answer.status_code, 200)
        self.assertIn('filename="new.html"', answer.headers["content-disposition"])
        text = answer.text
        self.assertLess(len(answer.content), 9_000_000)
        policy = re.search(r'http-equiv="Content-Security-Policy" content="([^"]*)"', text)[1]
        self.assertNotRegex(policy, r"'self'|https?:|\*")
        for name in ("script-src", "connect-src", "img-src", "font-src", "worker-src"):
            self.assertIn(name, policy)
        # No part names anything that lies elsewhere, and none ends before its end.
        self.assertNotRegex(text, r'(?:src|href)="(?!data:,|#)')
        self.assertEqual(len(re.findall(r"</script", text)), len(re.findall(r"<script ", text)))
        self.assertEqual(b64decode(part(text, "core")), lone_archive())
        self.assertNotIn("import(", re.sub(r"/\*.*?\*/|//[^\n]*", "", part(text, "painter"), flags=re.DOTALL))
        for secret in (self.lesson.slug, self.lesson.share_key, self.teacher.name, f"/boards/{self.board}"):
            self.assertNotIn(str(secret), text)

    def test_what_nobody_sees_is_not_in_it(self):
        self.say(*GIVEN, "Q = (7, 7)", "R is the midpoint of AB", "the segment from A to R")
        names = {step["name"]: step["id"] for step in self.file()["boards"][0]["data"]["board"]["steps"] if "name" in step}
        self.edit(kind="restyle", ids=[names["Q"], names["R"]], look={"hidden": True})
        left = {step.get("name") for step in self.file()["boards"][0]["data"]["board"]["steps"]}
        self.assertNotIn("Q", left)
        self.assertIn("R", left, "a segment hangs on it")

    def test_of_a_challenge_it_has_the_task_and_the_hints_and_nothing_else(self):
        self.say(*GIVEN, *SOLUTION)
        fields = {"task": "Find a corner of the square.", "given": ["s1", "s2", "s3"], "answers": ["s4"], "kit": "compass",
                  "hints": "Look at A.\nWhat is square?"}  # fmt: skip
        self.assertIn("The challenge stands", self.client.post(f"/boards/{self.board}/challenge", data=fields).text)
        text = part(self.page().text, "file")
        self.assertIsNone(SECRET.search(text))
        (board,) = json.loads(text)["boards"]
        self.assertIsNone(board["data"]["key"])
        self.assertEqual(board["data"]["hints"], ["Look at A.", "What is square?"])
        self.assertIn("Find a corner of the square.", board["page"])
        self.assertRegex(board["page"], r'id="is-right"[^>]*hidden')
        self.assertIn("builds", board["classes"])
        # Where it shall tell what is right, it has values in fixed positions, and no step of the solution.
        self.assertIn('name="judges"', self.client.get(f"/boards/{self.board}/panels/out").text)
        text = part(self.client.post(f"/boards/{self.board}/out/page", json={"judges": True}).text, "file")
        self.assertNotRegex(text, "Zenith|quince|turned about")
        (board,) = json.loads(text)["boards"]
        self.assertEqual(set(board["data"]["key"]["rows"][0]["there"]), {"s1", "s2"})
        self.assertNotRegex(board["page"], r'id="is-right"[^>]*hidden')

    def test_a_lesson_has_all_its_boards_and_their_recipes(self):
        self.say(*GIVEN, "k is the circle with centre A through B")
        kept = self.client.post(f"/boards/{self.board}/recipes", data={"name": "ring on a way", "results": "s4", "given": ["s1", "s2"]})
        self.assertEqual(kept.status_code, 200)
        (key,) = self.application.state.recipe_shelves.of(self.teacher.id)
        self.edit(kind="arrange", kit="chosen", kit_tools=["segment", key])
        self.client.post(f"/lessons/{self.lesson.slug}/boards", data={"title": "Another"})
        found = json.loads(part(self.client.post(f"/lessons/{self.lesson.slug}/out/page").text, "file"))
        self.assertEqual(len(found["boards"]), 2)
        first, second = found["boards"]
        self.assertEqual(list(first["data"]["recipes"]), [key])
        self.assertIn("ring on a way", first["page"])
        self.assertEqual(second["data"]["recipes"], {})
        self.assertIn('href="#2"', first["page"])

    def test_it_is_a_teachers_own(self):
        for client in (self.new_client("tobias.quince"), self.new_client()):
            self.assertIn(self.page(client).status_code, (401, 404))
            self.assertIn(client.post(f"/lessons/{self.lesson.slug}/out/page").status_code, (401, 404))

    def test_the_picture_under_it_is_in_it(self):
        found = self.client.post(f"/boards/{self.board}/in", files={"file": ("bed.png", picture((1500, 700)))}).json()
        self.edit(kind="arrange", photograph={"mark": found["mark"], "tall": found["tall"], "at": [0, 0], "width": 8})
        address = self.file()["boards"][0]["photograph"]
        with Image.open(io.BytesIO(b64decode(address.removeprefix("data:image/jpeg;base64,")))) as image:
            self.assertEqual(image.size, (1200, 560))

    def test_words_that_would_end_a_script_do_not(self):
        self.edit(kind="arrange", title="</script><script>alert(1)</script><!--")
        text = self.page().text
        self.assertNotIn("<script>alert", text)
        self.assertEqual(json.loads(part(text, "file"))["boards"][0]["title"], "</script><script>alert(1)</script><!--")


class PartsTest(unittest.TestCase):
    def test_the_core_of_such_a_page_is_a_part_of_the_core_that_is_enough(self):
        whole, own = (ZipFile(io.BytesIO(archive)) for archive in (core_archive(), lone_archive()))
        names = set(own.namelist())
        self.assertLess(len(names), len(whole.namelist()) - 30)
        self.assertFalse({name for name in names if "/reasons/" in name})
        self.assertLessEqual(
            {"numpy/table.py", "pydantic.py", "ruddy_trellis/core/speech/hearing.py", "ruddy_trellis/near/by_itself.py"}, names
        )
        for name in names:
            self.assertEqual(own.read(name), whole.read(name))

    def test_a_picture_is_made_small(self):
        noise = io.BytesIO()
        Image.effect_noise((1600, 1200), 90).convert("RGB").save(noise, "JPEG", quality=95)
        for content in (noise.getvalue(), picture((1600, 100), "JPEG")):
            for most in (BYTES, 30_000):
                small = small_photograph(content, most)
                self.assertLessEqual(len(small), most)
                with Image.open(io.BytesIO(small)) as image:
                    self.assertLessEqual(max(image.size), LONGEST)
        own = picture((300, 200), "JPEG")
        self.assertEqual(small_photograph(own), own, "what is small is left")


if __name__ == "__main__":
    unittest.main()
