"""The help: a page for every construction with a figure to drag, found in a teacher's words; and the first lesson."""

from ruddy_trellis.core.lesson.first_steps import STEPS
from ruddy_trellis.web.lessons.finding_help import TOPICS, found
from ruddy_trellis.web.shelf import shelf

from .served import Line, WebTest


class HelpPagesTest(WebTest):
    def test_every_construction_has_a_page_and_a_figure(self):
        stranger = self.new_client()
        for group, tools in shelf():
            for tool in tools if group != "Recipes" else ():
                with self.subTest(tool.key):
                    page = stranger.get(f"/help/{tool.key}")
                    self.assertEqual(page.status_code, 200)
                    self.assertIn(tool.example.splitlines()[0], page.text.replace("&#39;", "'"))
                    figure = stranger.get(f"/embed/help/{tool.key}")
                    self.assertEqual(figure.status_code, 200)
                    self.assertIn(f'data-live="/help/{tool.key}/live"', figure.text)
        for address in ("/help/nothing", "/embed/help/nothing", "/help/about/nothing", "/help/about/../help"):
            self.assertEqual(stranger.get(address).status_code, 404, address)

    def test_pages_about_one_thing(self):
        for name in TOPICS:
            page = self.client.get(f"/help/about/{name}").text
            self.assertIn("<h1>", page)
            self.assertNotIn("**", page)
        self.assertIn("restore COPY", self.client.get("/help/about/for-the-technician").text)
        self.assertIn("PageDown", self.client.get("/help/about/keys").text)

    def test_it_is_found_in_a_teachers_words(self):
        for text, address in (
            ("orthocenter", "/help/orthocentre"), ("gradient", "/help/slope"), ("perpendiclar to a line", "/help/perpendicular"),
            ("worksheet for the photocopier", "/help/about/paper-and-files"), ("forgotten password", "/help/about/for-the-technician"),
            ("slider", "/help/dial"), ("half way between two points", "/help/midpoint"), ("the midpoint of AX", "/help/midpoint"),
            ("cover an answer", "/help/about/reveals"), ("rename", "/help#acts"), ("prove", "/help/about/claims"),
        ):  # fmt: skip
            with self.subTest(text):
                self.assertIn(address, [entry.address for entry in found(text)[:5]])
        self.assertEqual(found("zzqx"), [])
        self.assertEqual(self.client.get("/help", params={"find": "<b>" * 200}).status_code, 200)

    def test_uses_in_the_demo_lessons_are_told(self):
        self.assertIn("Three taps, one fountain", self.client.get("/help/segment").text)

    def test_a_figure_is_dragged_taken_back_and_begun_again_and_kept_nowhere(self):
        rows = self.application.state.lessons.room_of(self.teacher.id)
        with self.client.websocket_connect("/help/midpoint/live", subprotocols=["copy.practice"]) as socket:
            line = Line(socket)
            begun = line.until("board")
            peg = next(item for item in begun["items"] if item["kind"] == "point" and item["style"]["peg"] == "free")
            at = peg["shape"]["at"]
            for number in (1, 2):
                line.send("grab", ids=[peg["id"]], at=at)
                line.send("drag", to=[at[0] + number, at[1]], seq=number)
                line.send("drop")
                line.until("changed")
            line.send("undo")
            self.assertTrue(line.until("changed")["state"]["redo"])
            line.until("says")
            line.send("say", text="A = (1, 2)")
            self.assertEqual(line.until("says")["kind"], "refusal")
            line.send("reset")
            again = line.until("board")
            self.assertEqual(next(item for item in again["items"] if item["id"] == peg["id"])["shape"]["at"], at)
            self.assertFalse(again["state"]["undo"])
        self.assertEqual(self.application.state.lessons.room_of(self.teacher.id), rows)


class FirstLessonTest(WebTest):
    def test_it_goes_on_when_a_thing_is_done_and_back_when_it_is_undone(self):
        answer = self.client.post("/first-lesson", follow_redirects=False)
        page = self.client.get(answer.headers["location"]).text
        self.assertIn('id="first"', page)
        board = page.split('data-board="')[1].split('"')[0]
        now = lambda: self.client.get(f"/boards/{board}/first").text
        with self.client.websocket_connect(f"/boards/{board}/live") as socket:
            line = Line(socket)
            line.until("board")
            self.assertIn(STEPS[0].title, now())
            for text in ("A = (-4, -3)", "B = (4, -2)", "C = (1, 3)"):
                line.say(text)
            self.assertIn(STEPS[1].title, now())
            line.say("the polygon through A, B, C")
            line.send("put", id="s3", text="(2, 4)")
            line.until("changed")
            self.assertIn(STEPS[3].title, now())
            self.assertIn(STEPS[2].praise, now())
            line.send("undo")
            line.until("changed")
            self.assertIn(STEPS[2].title, now())
            line.send("redo")
            line.until("changed")
            for text in ("circle through A, B and C", "the radius of k", "the words “Where is the centre?” at (0, 0)"):
                line.say(text)
            self.assertIn("all it takes to begin", now())
        self.assertEqual(self.new_client("tobias.quince").get(f"/boards/{board}/first").status_code, 404)
        self.assertNotIn('id="first"', self.client.get(answer.headers["location"].partition("?")[0]).text)
