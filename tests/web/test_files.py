"""Files out of a lesson and into it, by real requests."""

import io
import json
import zipfile

from ruddy_trellis.drawings.exporting import KINDS
from tests.drawings.test_photograph import picture

from .served import Line, WebTest


class FilesTest(WebTest):
    def setUp(self):
        super().setUp()
        self.lesson, self.board = next(row for row in self.own_lessons() if "rosette" in row[0].title)

    def out(self, kind, client=None, **asked):
        return (client or self.client).post(f"/boards/{self.board}/out/{kind}", content=json.dumps(asked))

    def bring(self, name, content, board=None):
        return self.client.post(f"/boards/{board or self.board}/in", files={"file": (name, content)})

    def test_every_kind_is_what_it_says(self):
        begins = {"svg": b"<svg", "png": b"\x89PNG", "pdf": b"%PDF", "tex": b"\\documentclass", "csv": b"name,value"}
        for kind, start in begins.items():
            answer = self.out(kind, wanted={"pixels": 300})
            self.assertEqual(answer.status_code, 200, kind)
            self.assertEqual(answer.headers["content-type"], KINDS[kind])
            self.assertTrue(answer.content.startswith(start), kind)
            self.assertIn(f'.{kind}"', answer.headers["content-disposition"])
        self.assertIn(b"ENTITIES", self.out("dxf").content)
        self.assertNotIn(b"<text", self.out("preview").content)
        whole = self.client.post(f"/lessons/{self.lesson.slug}/out/pdf", content="{}")
        self.assertTrue(whole.content.startswith(b"%PDF"))

    def streamed(self, answer):
        """The lines before the file, and the file."""
        head, found, rest = answer.content.partition(b"file ")
        self.assertTrue(found, answer.content[:200])
        size, _, content = rest.partition(b"\n")
        self.assertEqual(int(size), len(content))
        return head.decode().splitlines(), content

    def test_long_work_tells_how_far_it_is(self):
        motion = next(step.id for step in self.application.state.live.get(self.board).board.steps if step.makes == "motion")
        film = {"motion": motion, "rate": 5, "seconds": 4}
        lines, content = self.streamed(self.out("gif", wanted={"pixels": 120}, film=film))
        self.assertTrue(content.startswith(b"GIF89a"))
        self.assertEqual(lines, ["0 20", "10 20", "20 20"])
        lines, content = self.streamed(self.client.post(f"/lessons/{self.lesson.slug}/out/zip"))
        self.assertIn("index.html", zipfile.ZipFile(io.BytesIO(content)).namelist())
        refused = self.out("gif", film={"motion": "s999"})
        self.assertEqual(refused.content, b"no That motion is no longer on the board. Choose another, or the replay.\n")

    def test_what_cannot_be_wanted_is_refused_in_words(self):
        for asked, words in (
            ({"wanted": {"pixels": 10**9}}, "The width goes from 40 to 8,000 dots."),
            ({"wanted": {"frame": [0, 0, 0, 1], "part": "frame"}}, "width and a height"),
            ({"wanted": {"view": [0, 0, 1]}}, "wanted.view"),
            ({"nonsense": 1}, "nonsense"),
        ):
            answer = self.out("svg", **asked)
            self.assertEqual((answer.status_code, words in answer.text), (422, True), answer.text)
        self.assertEqual(self.client.post(f"/boards/{self.board}/out/svg", content=b"\xff").status_code, 422)
        self.assertEqual(self.out("exe").status_code, 404)

    def test_nothing_goes_out_or_in_for_others(self):
        other = self.new_client("tobias.quince")
        for client in (other, self.new_client()):
            for kind in ("svg", "preview", "gif"):
                self.assertEqual(self.out(kind, client).status_code, 404)
            self.assertIn(client.post(f"/lessons/{self.lesson.slug}/out/zip").status_code, (404,))
            self.assertEqual(client.post(f"/boards/{self.board}/in", files={"file": ("a.csv", b"1,2")}).status_code, 404)

    def test_a_file_is_shown_first_and_changes_nothing_by_itself(self):
        before = self.client.get(f"/lessons/{self.lesson.slug}/lesson.json").content
        found = self.bring("posts.csv", b"name;x;y\nOak;1,5;2\nElm;3;4").json()
        self.assertEqual((found["kind"], found["steps"], found["unread"]), ("points", 2, ""))
        self.assertIn("Oak is a free point at (1.5, 2.0)", found["text"])
        self.assertIn("<svg", found["picture"])
        self.assertEqual(self.bring("x.json", before).json(), {"kind": "lesson"})
        for name, content in (("x.csv", b"a\nb"), ("x.svg", b"<svg"), ("x.dxf", b"0"), ("x.exe", b"MZ"), ("w.txt", b"what is this")):
            answer = self.bring(name, content)
            self.assertEqual(answer.status_code, 422, name)
            self.assertNotIn("Traceback", answer.text)
        self.assertEqual(self.client.get(f"/lessons/{self.lesson.slug}/lesson.json").content, before)

    def test_a_picture_is_as_private_as_its_lesson_and_goes_where_it_goes(self):
        found = self.bring("bed.png", picture()).json()
        self.assertEqual((found["kind"], found["tall"]), ("picture", 0.5))
        lesson = self.application.state.lessons
        with self.client.websocket_connect(f"/boards/{self.board}/live") as socket:
            line = Line(socket)
            line.until("board")
            under = {"mark": found["mark"], "tall": found["tall"], "at": [0, 0], "width": 8}
            line.send("edit", edit={"kind": "arrange", "photograph": under})
            self.assertEqual(line.until("changed")["state"]["photograph"]["mark"], found["mark"])
        own = f"/boards/{self.board}/photographs/{found['mark']}"
        self.assertEqual(self.client.get(own).headers["content-type"], "image/jpeg")
        for client in (self.new_client("tobias.quince"), self.new_client()):
            self.assertEqual(client.get(own).status_code, 404)
        shared = lambda: self.new_client().get(f"/open/{self.lesson.share_key}/{self.board}/photographs/{found['mark']}").status_code
        lesson.share(self.lesson.slug, "private")
        self.assertEqual(shared(), 404)
        lesson.share(self.lesson.slug, "link")
        self.assertEqual(shared(), 200)
        self.assertEqual(self.client.get(own[:-1] + "x").status_code, 404)
        # It goes along with a copy, a file, a drawing; and away with the account.
        copy = self.client.post(f"/lessons/{self.lesson.slug}/copy", follow_redirects=False).headers["location"]
        self.assertIn(found["mark"], self.client.get(f"{copy}/lesson.json").json()["photographs"])
        self.assertIn(b"data:image/jpeg", self.out("svg").content)
        room = lesson.room_of(self.teacher.id)
        self.bring("other.png", picture(colour="#A63D2F"))
        self.assertGreater(lesson.room_of(self.teacher.id), room)
        lessons = self.application.state.teachers.delete(self.teacher.id)
        self.assertTrue(all(lesson.photographs.of(id, [found["mark"]]) == {} for id in lessons))

    def test_a_handout_asks_and_tells_beside_the_figure_and_answers_apart(self):
        def sheet(title, **chosen):
            board = next(board for lesson, board in self.own_lessons() if title in lesson.title)
            return self.client.get(f"/boards/{board}/handout", params=chosen).text

        hive = sheet("hive")
        self.assertIn("<p>The hive: at least 4.5 m", hive)
        self.assertEqual(hive.count("at least 4.5 m"), 1, "the words stand beside the figure and not on it")
        posts = sheet("nine posts", chosen="true", asked="Which curve?\n\nWhy?", figure="given", room=2)
        self.assertEqual(posts.count("<li>"), 2)
        self.assertEqual(posts.count("<i></i>"), 4)
        figure = posts.split("<figure")[1].split("</figure>")[0]
        self.assertEqual([name for name in "ABCHKO" if f">{name}<" in figure], ["A", "B", "C"])
        answered = sheet("nine posts", answered="true")
        self.assertIn('<th scope="row">O, G and H are in line</th><td>○ stands', answered)
        self.assertIn("OH is the distance from O to H", answered)
        every = sheet("Seven beds", chosen="true", boards="all", a_sheet=4, working="true")
        self.assertEqual(every.count('<section class="sheet">'), 3)
        names = [part.split('"')[0] for part in every.split('<pattern id="')[1:]]
        self.assertEqual(len(names), len(set(names)), "hatches of several figures on a page are told apart")
        self.assertEqual(self.client.get(f"/boards/{self.board}/handout?room=99").status_code, 422)

    def test_a_drawing_becomes_a_lesson_of_its_own(self):
        svg = b'<svg xmlns="http://www.w3.org/2000/svg"><circle cx="50" cy="50" r="96"/></svg>'
        answer = self.client.post("/lessons/read", files={"file": ("the_round-bed.svg", svg)}, follow_redirects=False)
        self.assertEqual(answer.status_code, 303)
        lesson = self.client.get(answer.headers["location"] + "/lesson.json").json()
        self.assertEqual(lesson["title"], "the round bed")
        self.assertEqual([step["does"] for step in lesson["boards"][0]["steps"]], ["free_point", "circle_radius"])
        answer = self.client.post("/lessons/read", files={"file": ("x.svg", b"<svg")})
        self.assertEqual((answer.status_code, "no SVG" in answer.text), (422, True))
