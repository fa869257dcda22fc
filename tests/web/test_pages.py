"""Pages by real requests."""

import json
import re
from urllib.parse import urljoin

from ruddy_trellis.core.edits import Add, perform, said
from ruddy_trellis.web.lessons.help import RULES
from tests.core.figures import figure

from .served import WebTest


class PagesTest(WebTest):
    def test_the_list_shows_the_demo_lessons_with_pictures(self):
        page = self.client.get("/").text
        for title in ("Three taps, one fountain", "Any four-sided bed", "The leaning arch"):
            self.assertIn(title, page)
        picture = self.client.get(page.split('<img src="/boards/')[1].split('"')[0].join(["/boards/", ""]))
        self.assertEqual(picture.headers["content-type"], "image/svg+xml")
        self.assertIn("<path", picture.text)

    def test_every_page_carries_a_strict_policy(self):
        for address in ("/", "/nothing", "/boards/1/panels/look", "/static/scripts/page/teacher.js", "/lesson.schema.json"):
            policy = self.client.get(address).headers["content-security-policy"]
            self.assertRegex(policy, "(script|default)-src 'self'")
            self.assertIn("frame-ancestors 'none'", policy)
            self.assertNotIn("unsafe", policy)

    def test_nothing_comes_from_elsewhere(self):
        slug = self.own_lessons()[0][0].slug
        for address in ("/", f"/lessons/{slug}"):
            page = self.client.get(address).text
            self.assertNotIn("//", page.replace("http://www.w3.org/2000/svg", ""))
            self.assertNotIn("<style", page)
            self.assertNotIn(" style=", page)
            self.assertNotIn(" onclick=", page)

    def test_a_boards_page_names_all_scripts_that_it_needs_at_once(self):
        """None is found only when another has come: each such step costs a slow line a whole way there and back."""
        page = self.client.get(f"/lessons/{self.own_lessons()[0][0].slug}").text
        named = re.findall(r'<link rel="modulepreload" href="([^"]+)"', page)
        (entry,) = re.findall(r'<script type="module" src="([^"]+)"', page)
        self.assertEqual(len(named), len(set(named)))
        for address in (entry, *named):
            answer = self.client.get(address)
            self.assertEqual(answer.status_code, 200, address)
            self.assertIn("class ", answer.text)
            needed = {urljoin(address, found) for found in re.findall(r'^import [^("]*"([^"]+)"', answer.text, re.MULTILINE)}
            self.assertLessEqual(needed, {entry, *named}, address)

    def test_a_new_lesson_its_title_and_its_file(self):
        answer = self.client.post("/lessons", data={"title": " <b>Beds</b> "}, follow_redirects=False)
        self.assertEqual(answer.status_code, 303)
        address = answer.headers["location"]
        page = self.client.get(address).text
        self.assertIn("&lt;b&gt;Beds&lt;/b&gt;", page)
        self.assertNotIn("<b>Beds", page)
        self.assertEqual(self.client.post(address + "/title", data={"title": "  The  rosette "}).text, "The rosette")
        self.assertEqual(self.client.post(address + "/title", data={"title": ""}).status_code, 422)
        self.assertEqual(self.client.post(address + "/title", data={"title": "x" * 81}).status_code, 422)
        data = self.client.get(address + "/lesson.json").json()
        self.assertEqual((data["title"], data["version"], data["boards"][0]["steps"]), ("The rosette", 1, []))

    def test_a_file_goes_out_and_comes_in_again(self):
        slug = self.own_lessons()[1][0].slug
        content = self.client.get(f"/lessons/{slug}/lesson.json").content
        answer = self.client.post("/lessons/read", files={"file": ("bed.json", content)}, follow_redirects=False)
        self.assertEqual(answer.status_code, 303)
        self.assertEqual(self.client.get(answer.headers["location"] + "/lesson.json").content, content)

    def test_bad_files_are_refused_in_words(self):
        count = len(self.own_lessons())
        good = self.client.get(f"/lessons/{self.own_lessons()[0][0].slug}/lesson.json").json()
        for content, part in (
            (b"not json", "no file of this program"),
            (b"{}", "not a Ruddy Trellis lesson"),
            (b" " * 8_000_001, "too large"),
            (json.dumps({**good, "version": 9}).encode(), "version 9"),
            (b'{"a":' * 5000, "no file of this program"),
        ):
            answer = self.client.post("/lessons/read", files={"file": ("x.json", content)})
            self.assertEqual(answer.status_code, 422)
            self.assertIn(part, answer.text)
        self.assertEqual(len(self.own_lessons()), count)

    def test_what_is_not_there_is_not_found(self):
        for address in (
            "/lessons/nothing",
            "/boards/999/picture.svg",
            "/boards/999/panels/working",
            "/lessons/nothing/lesson.json",
            "/x",
            f"/boards/{10**25}/picture.svg",
            f"/recipes/{10**25}.json",
        ):
            answer = self.client.get(address)
            self.assertEqual(answer.status_code, 404)
            self.assertIn("Nothing that is open to you", answer.text)

    def test_other_sites_cannot_write(self):
        answer = self.client.post("/lessons", data={"title": "x"}, headers={"origin": "http://elsewhere.test"})
        self.assertEqual(answer.status_code, 403)
        self.assertEqual(self.client.post("/lessons", data={"title": "x"}, headers={"sec-fetch-site": "same-site"}).status_code, 403)
        ours = self.client.post("/lessons", data={"title": "x"}, headers={"origin": "http://testserver"}, follow_redirects=False)
        self.assertEqual(ours.status_code, 303)
        self.assertEqual(self.client.post("/lessons/read", content=b"x", headers={"content-length": "99999999"}).status_code, 413)

    def test_panels(self):
        page = self.client.get("/").text
        board = self.lessons.boards(next(lesson for lesson, _ in self.own_lessons() if "arch" in lesson.title).id)[0].id
        working = self.client.get(f"/boards/{board}/panels/working").text
        self.assertIn("<b>R</b> is where c meets e again, other than A", working)
        readings = self.client.get(f"/boards/{board}/panels/readings").text
        self.assertIn("reflex", readings)
        self.assertIn("directed", readings)
        look = self.client.get(f"/boards/{board}/panels/look?ids=s1,s2,nonsense").text
        self.assertIn("2 things selected", look)
        self.assertIn("A is a free point at", self.client.get(f"/boards/{board}/working.txt").text)
        self.assertIn("lesson", page)

    def test_the_schema_is_published(self):
        self.assertIn("midpoint", self.client.get("/lesson.schema.json").text)


class BoardsOfALessonTest(WebTest):
    """Boards are added, duplicated, moved, deleted and brought back; lessons are copied and put away."""

    def setUp(self):
        super().setUp()
        (self.lesson, _), *_ = [pair for pair in self.own_lessons() if "Three taps" in pair[0].title]
        self.address = f"/lessons/{self.lesson.slug}"

    def ids(self):
        return [row.id for row in self.lessons.boards(self.lesson.id)]

    def titles(self):
        return [json.loads(row.document)["title"] for row in self.lessons.boards(self.lesson.id)]

    def post(self, path, **fields):
        return self.client.post(self.address + path, data=fields, follow_redirects=False)

    def test_boards(self):
        first, second = self.ids()
        self.assertEqual(self.post("/boards", after=first).status_code, 303)
        self.assertEqual(self.titles()[1], "Board 3")
        self.post("/boards", copy_of=second)
        self.assertEqual(self.titles()[3], f"{self.titles()[2]} (copy)")
        copy = self.ids()[3]
        self.assertEqual(self.client.get(f"/boards/{copy}/working.txt").text, self.client.get(f"/boards/{second}/working.txt").text)
        self.post(f"/boards/{copy}/move", by=-3)
        self.assertEqual(self.ids()[0], copy)
        order = self.ids()
        answer = self.post(f"/boards/{copy}/away")
        self.assertIn(f"gone={copy}", answer.headers["location"])
        self.assertEqual(self.ids(), order[1:])
        self.assertNotIn(copy, list(self.ids()))
        self.post(f"/boards/{copy}/away", away="false")
        self.assertEqual(self.ids(), order)
        self.assertEqual(self.post("/boards", copy_of=999999).status_code, 404)

    def test_the_last_board_stays(self):
        first, second = self.ids()
        self.post(f"/boards/{second}/away")
        self.assertEqual(self.post(f"/boards/{first}/away").status_code, 422)
        self.assertEqual(self.ids(), [first])
        other = self.new_board()
        self.assertEqual(self.post(f"/boards/{other}/away").status_code, 422, "a board of another lesson is not touched")

    def test_lessons_are_copied_found_and_put_away(self):
        count = len(self.own_lessons())
        copy = self.client.post(self.address + "/copy", follow_redirects=False).headers["location"].split("/")[-1]
        self.assertEqual(len(self.own_lessons()), count + 1)
        self.assertEqual(len(self.lessons.boards(self.lessons.find(copy).id)), 2)
        page = self.client.get("/", params={"find": "three TAPS"}).text
        self.assertEqual(page.count('class="lesson-title"'), 2)
        self.client.post(f"/lessons/{copy}/away")
        self.assertEqual(len(self.own_lessons()), count)
        self.assertIn("Bring back", self.client.get("/").text)
        self.client.post(f"/lessons/{copy}/away", data={"away": "false"})
        self.assertEqual(len(self.own_lessons()), count + 1)


class RecipePagesTest(WebTest):
    def test_a_recipe_is_kept_saved_thrown_away_and_read_again(self):
        board = self.new_board()
        live = self.application.state.live.get(board).board
        for text in ("A=(0,0)", "B=(4,0)", "M is the midpoint of A and B", "k is the circle with centre M through A"):
            perform(live, Add(steps=said(text, live)))
        panel = self.client.get(f"/boards/{board}/panels/recipe", params={"ids": "s4"}).text
        self.assertIn("point M", panel)
        refused = self.client.post(f"/boards/{board}/recipes", data={"name": "9", "results": "s4", "given": ["s1", "s2"]}).text
        self.assertIn("starts with a letter", refused)
        kept = self.client.post(f"/boards/{board}/recipes", data={"name": "ring on a way", "results": "s4", "given": ["s1", "s2"]}).text
        self.assertIn("ring on a way", kept)
        self.assertIn(
            "already",
            self.client.post(f"/boards/{board}/recipes", data={"name": "ring on a way", "results": "s4", "given": ["s1", "s2"]}).text,
        )
        row = self.lessons.recipes(self.teacher.id)[0]
        file = self.client.get(f"/recipes/{row.id}.json")
        self.assertEqual(file.json()["format"], "ruddy-trellis recipe")
        self.client.post(f"/recipes/{row.id}/delete")
        self.assertNotIn("ring on a way", self.client.get("/").text)
        self.assertEqual(self.client.get(f"/recipes/{row.id}.json").status_code, 404)
        self.client.post("/recipes/read", files={"file": ("r.json", file.content)})
        self.assertIn("ring on a way", self.client.get("/").text)
        broken = self.client.post("/recipes/read", files={"file": ("r.json", b'{"format": "x"}')})
        self.assertEqual(broken.status_code, 422)
        self.assertIn("not a Ruddy Trellis recipe", broken.text)


class HelpTest(WebTest):
    def test_how_things_may_be_said_is_found_and_its_examples_are_read(self):
        whole = self.new_client().get("/help").text
        for part in ("the midpoint of …", "<q>bisect angle ABC</q>", "rename A to Fountain", "M = midpoint of AB"):
            self.assertIn(part, whole)
        found = self.client.get("/help?find=gradient").text
        self.assertIn("slope", found)
        self.assertNotIn("incircle", found)
        self.assertIn("Nothing in the help", self.client.get("/help?find=xyzzy+123").text)
        bed = (
            "A = (-4, -3)\nB = (4, -3)\nC = (1, 4)\nABC is the polygon through A, B, C\nD = (6, 2)\np is the line through A and C\n"
            "k is the circle with centre A through B"
        )
        for rule, examples in RULES:
            for example in examples:
                with self.subTest(f"{rule}: {example}"):
                    board = figure(bed).board
                    perform(board, Add(steps=said(example, board)))
                    self.assertIsNotNone(board.values[-1])
