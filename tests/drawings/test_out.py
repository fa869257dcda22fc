"""What goes out: true to scale, the same in every format, nothing given away, and read by the libraries of each format."""

import io
import math
import re
import shutil
import subprocess
import tempfile
import unittest
import zipfile
from pathlib import Path
from xml.etree import ElementTree

import ezdxf
import pypdfium2
from PIL import Image

from ruddy_trellis.core import Figure
from ruddy_trellis.core.edits import Arrange, Restyle, perform
from ruddy_trellis.core.edits.models import Chalk, Record
from ruddy_trellis.core.lesson.file import board_to_text, lesson_from_json
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.demo import demo_lessons
from ruddy_trellis.drawings.boards import as_opened, items_of, part_of, picture_of_board
from ruddy_trellis.drawings.dxf import dxf_text
from ruddy_trellis.drawings.exporting import board_files, exported, exported_lesson, film_count, film_part, written, zipped
from ruddy_trellis.drawings.film import MOST_PICTURES, film_file
from ruddy_trellis.drawings.paths import as_curves, hatch_lines, mapped
from ruddy_trellis.drawings.png import image_of
from ruddy_trellis.drawings.svg import svg_text
from ruddy_trellis.drawings.tikz import name_as_math, tikz_text, words
from ruddy_trellis.drawings.wanted import Film, Trail, Wanted
from tests.core.figures import figure

SVG = "{http://www.w3.org/2000/svg}"
LINE = "A = (-10, 0)\nB = (10, 0)\nthe segment from A to B\nk is the circle with centre A and radius 3.25"
BARE = {"names": False, "readings": False, "grid": False, "ink_only": True, "ground": "white"}
#: What a line of a drawing for TeX looks like.
PLACE = r"\(-?\d+\.\d{4},-?\d+\.\d{4}\)"
TEX_LINES = [
    re.compile(pattern)
    for pattern in (
        r"%.*", r"\\(documentclass|usepackage|pagestyle|setlength|definecolor|begin|end|noindent)\b.*", r"",
        rf"\\(clip|fill\[\w+\]) {PLACE} rectangle {PLACE};",
        rf"\\(clip|path\[[^\]]+\]) {PLACE}( (-- ({PLACE}|cycle)|\.\. controls {PLACE} and {PLACE} \.\. {PLACE}|{PLACE}))*;",
        rf"\\node\[anchor=base( east| west)?,inner sep=0pt,text=\w+,font=\\fontsize{{[\d.]+}}{{[\d.]+}}\\selectfont\] at {PLACE} {{.*}};",
    )
]  # fmt: skip


def pages_of(content, dots=300):
    """The pages of a PDF as grey images, with their words."""
    document = pypdfium2.PdfDocument(content)
    return [(page.render(scale=dots / 72).to_pil().convert("L"), page.get_textpage().get_text_bounded()) for page in document]


def dark(image, box=None):
    """The box of all that is dark."""
    return image.crop(box).point(lambda grey: 255 if grey < 100 else 0).getbbox()


class ToScaleTest(unittest.TestCase):
    def test_a_centimetre_is_a_centimetre(self):
        f = figure(LINE)
        perform(f.board, Arrange(scale=2.0))
        perform(f.board, Restyle(ids=[f.board.find("A"), f.board.find("B"), f.board.find("k")], look={"hidden": True}))
        ((image, _),) = pages_of(written("pdf", f.board, Wanted(size="scale", **BARE)))
        self.assertEqual([round(side / 300 * 25.4) for side in image.size], [210, 297])
        left, _, right, _ = dark(image)
        self.assertAlmostEqual((right - left) / 300 * 2.54, 10, delta=0.02)

    def test_many_sheets_show_the_whole_once(self):
        f = figure("A = (-20, 0)\nB = (20, 0)\nthe segment from A to B")
        perform(f.board, Restyle(ids=[f.board.find("A"), f.board.find("B")], look={"hidden": True}))
        wanted = Wanted(size="scale", part="frame", frame=(-21, -3, 21, 3), **BARE)
        pages = pages_of(written("pdf", f.board, wanted))
        self.assertEqual(len(pages), 3)
        lengths = []
        for number, (image, text) in enumerate(pages, 1):
            self.assertIn(f"sheet {number} of 3", text)
            millimetre = 300 / 25.4
            inside = [round(part * millimetre) for part in (12, 38, 198, 46)]
            left, _, right, _ = dark(image, inside)
            lengths.append((right - left) / 300 * 2.54)
            self.assertIsNotNone(dark(image, (0, 0, image.width, round(11 * millimetre))), "crop marks stand in the margin")
        self.assertAlmostEqual(sum(lengths), 40, delta=0.05)
        with self.assertRaisesRegex(Refusal, "300 cm"):
            written("pdf", f.board, wanted.model_copy(update={"frame": (-400, -3, 400, 3)}))
        with self.assertRaisesRegex(Refusal, "sheets"):
            written("pdf", f.board, wanted.model_copy(update={"frame": (-140, -140, 140, 140), "paper": "A5"}))

    def test_fonts_are_in_it_and_words_are_found(self):
        f = figure("A_1 = (0, 0)\nB = (4, 1)\nC = (1, 4)\nα is the angle B, A_1, C")
        content = written("pdf", f.board, Wanted())
        self.assertGreaterEqual(content.count(b"/FontFile2"), 2)
        text = pages_of(content, 72)[0][1]
        for part in ("A₁", "α = ", "°"):
            self.assertIn(part, text)


class SameEverywhereTest(unittest.TestCase):
    def test_the_drawing_in_lines_is_exact_and_says_what_it_shows(self):
        f = figure(LINE)
        wanted = Wanted(part="frame", frame=(-12.3, -5, 11, 4.4))
        root = ElementTree.fromstring(svg_text(picture_of_board(f.board, wanted)))
        x0, y0 = map(float, root.get("data-origin").split())
        zoom = float(root.get("data-unit"))
        (circle,) = list(root.iter(SVG + "circle"))
        back = [(float(circle.get("cx")) - x0) / zoom, (y0 - float(circle.get("cy"))) / zoom, float(circle.get("r")) / zoom]
        for got, true in zip(back, (-10, 0, 3.25)):
            self.assertAlmostEqual(got, true, delta=1e-9)
        titles = [title.text for title in root.iter(SVG + "title")]
        self.assertIn("k is the circle with centre A and radius 3.25", titles)
        self.assertEqual(len({group.get("id") for group in root.iter(SVG + "g")}), len(list(root.iter(SVG + "g"))))
        outlined = ElementTree.fromstring(svg_text(picture_of_board(f.board, wanted), outlines=True))
        self.assertEqual(list(outlined.iter(SVG + "text")), [])
        self.assertIn("A", [path.get("aria-label") for path in outlined.iter(SVG + "path")])

    def test_cutters_get_points_and_circles_on_layers_by_pen(self):
        f = figure(LINE + "\nC = (1, 2)\nD = (0.1, 0.7)\nE = (3, 3)\nthe polygon through C, D, E")
        wanted = Wanted()
        text = dxf_text(items_of(f.board, wanted, part_of(f.board, wanted)), 10)
        document = ezdxf.read(io.StringIO(text))
        self.assertEqual(document.audit().errors, [])
        space = document.modelspace()
        self.assertEqual([point.dxf.location.vec2 for point in space.query("POINT")][3], (1, 7))
        (circle,) = space.query("CIRCLE")
        self.assertEqual((circle.dxf.center.vec2, circle.dxf.radius, circle.dxf.layer), ((-100, 0), 32.5, "ruddy"))
        self.assertEqual(len(space.query("LINE")), 1)
        (polygon,) = space.query("LWPOLYLINE")
        self.assertTrue(polygon.closed)
        self.assertIn("C", [text.dxf.text for text in space.query("TEXT")])

    def test_every_demo_board_in_every_format(self):
        for data in demo_lessons():
            for board in lesson_from_json(data)[1]:
                wanted = as_opened(board)
                picture = picture_of_board(board, wanted)
                ElementTree.fromstring(svg_text(picture))
                text = tikz_text(picture)
                self.assertLess(max(map(len, text.splitlines())), 200)
                self.assertLess(len(text), 400_000)
                for line in re.sub(r"\n(?![\\%\n])", " ", text).splitlines():
                    self.assertTrue(any(pattern.fullmatch(line) for pattern in TEX_LINES), line)
                    self.assertEqual(line.replace("\\{", "").count("{"), line.replace("\\}", "").count("}"), line)
                self.assertEqual(ezdxf.read(io.StringIO(written("dxf", board, wanted).decode())).audit().errors, [])
                to_scale = wanted.model_copy(update={"part": "all", "size": "scale", "paper": "own", "ink_only": True})
                self.assertTrue(written("pdf", board, to_scale).startswith(b"%PDF"))

    def test_in_ink_only_there_is_no_colour_and_pens_are_told_apart(self):
        f = figure(LINE + "\nt is the line through B and A\nC = (0, 3)\nthe polygon through A, B, C")
        image = image_of(picture_of_board(f.board, Wanted(ink_only=True))).convert("RGB")
        self.assertTrue(all(max(colour) - min(colour) < 12 for _, colour in image.getcolors(1 << 20)))
        text = svg_text(picture_of_board(f.board, Wanted(ink_only=True, grid=False)))
        self.assertGreaterEqual(len(set(re.findall(r'stroke-dasharray="([^"]+)"', text))), 2)
        self.assertIn("<pattern", text)

    def test_dots_are_as_many_as_asked_and_clear_is_clear(self):
        f = figure(LINE)
        image = Image.open(io.BytesIO(written("png", f.board, Wanted(pixels=500, ground="clear", grid=False))))
        self.assertEqual((image.width, image.mode, image.getpixel((5, 5))[3]), (500, "RGBA", 0))
        self.assertEqual(image.height, 300)
        solid = Image.open(io.BytesIO(written("png", f.board, Wanted(pixels=500))))
        self.assertEqual(solid.convert("RGB").getpixel((1, 1)), (255, 255, 255))

    def test_a_member_of_a_family_that_is_shrunk_to_nothing_is_left_out(self):
        f = figure(
            LINE + "\nC = (1, 2)\nABC is the polygon through A, B, C\nr is the enlargement from C by the factor 2\n"
            "f is the family of ABC under r, for 0, 1, 2"
        )
        maps = re.findall(r"matrix\(([^)]*)\)", written("svg", f.board, Wanted()).decode())
        self.assertEqual(len(maps), 2)
        for a, b, c, d, *_ in ([float(part) for part in one.split()] for one in maps):
            self.assertGreater(abs(a * d - b * c), 1e-6)

    def test_what_is_hidden_covered_or_closed_is_in_no_file(self):
        f = figure(LINE + "\nC = (1, 4)\nr is the length of AB")
        cover = Restyle(ids=[f.board.find("r")], look={"cover": True})
        perform(f.board, cover)
        perform(f.board, Restyle(ids=[f.board.find("C")], look={"hidden": True}))
        wanted = Wanted(closed=[f.board.find("k")])
        for kind in ("svg", "tex", "dxf"):
            text = written(kind, f.board, wanted).decode()
            self.assertNotIn("20.00", text)
            self.assertNotIn("k is the circle", text)
            self.assertNotIn(">C<", text)
        self.assertNotIn("20.00", pages_of(written("pdf", f.board, wanted), 72)[0][1])
        lifted = written("svg", f.board, wanted.model_copy(update={"lifted": [f.board.find("r")]})).decode()
        self.assertIn("20.00", lifted)

    def test_what_is_covered_is_in_no_table_no_working_and_no_archive(self):
        f = figure(
            LINE + "\nC = (1, 4)\nr is the length of AB\nt is the length of AC\nthe claim that AB = 20\nthe words “it is 20” at (3, 3)\n"
            "z is the reveal of r and t starting hidden at (0, 5)"
        )
        telling = [step.id for step in f.board.steps if step.makes in ("claim", "words")]
        perform(f.board, Restyle(ids=[f.board.find("r"), *telling], look={"cover": True}))
        perform(f.board, Restyle(ids=[f.board.find("C")], look={"hidden": True}))
        perform(f.board, Arrange(log=[f.board.find("r"), f.board.find("t")]))
        perform(f.board, Record())
        closed = as_opened(f.board)
        self.assertEqual(set(closed.closed), {f.board.find("r"), f.board.find("t")})
        table, log = (written(kind, f.board, Wanted()).decode() for kind in ("csv", "log"))
        self.assertIn("r,covered,,", table)
        self.assertIn("covered,11.7", log)
        self.assertEqual(written("csv", f.board, closed).decode().count("length of"), 0)
        lifted = Wanted(lifted=[f.board.find("r"), *telling])
        self.assertIn("r,20.0", written("csv", f.board, lifted).decode())
        self.assertIn("B = 20 at", written("txt", f.board, lifted).decode())
        for ending, content in board_files(board_to_text(f.board), None).items():
            if ending in (".svg", ".txt", ".tex", "-readings.csv", "-log.csv"):
                for word in ("it is 20", "B = 20", "20.00 ", 'id="s5"'):
                    self.assertNotIn(word, content.decode(), ending)
        again = Figure()
        again.say(written("txt", f.board, Wanted()).decode())
        self.assertEqual(len(again.board.steps), len(f.board.steps) - 2)

    def test_chalk_and_trails_go_along_where_they_are_wanted(self):
        f = figure(LINE)
        perform(f.board, Chalk(add=[{"pen": "plum", "width": 6, "points": [0, 0, 1, 1, 2, 0]}]))
        plain = written("svg", f.board, Wanted(chalk=False)).decode()
        self.assertEqual(written("svg", f.board, Wanted()).decode().count("#7A4B7C"), plain.count("#7A4B7C") + 1)
        trail = Trail(pen="leaf", width=3, points=[0, 0, 1, 1, 2, 3])
        self.assertIn('class="trail"', written("svg", f.board, Wanted(trails=[trail])).decode())


class ForTexTest(unittest.TestCase):
    def test_names_are_mathematics_and_signs_are_escaped(self):
        for name, tex in (("A", "$A$"), ("A₁₂′", "$A_{12}'$"), ("α", r"$\alpha$"), ("Φ", r"$\Phi$"), ("pond 2", "pond 2")):
            self.assertEqual(name_as_math(name), tex)
        self.assertEqual(words("50% of {x} & $5_#"), r"50\% of \{x\} \& \$5\_\#")
        self.assertEqual(words("30° ∠ABC = 2√3 m²"), r"30$^{\circ}$ $\angle$ABC = 2$\surd$3 m$^{2}$")
        self.assertEqual(words("\\end 🐝"), r"\textbackslash{}end ?")

    def test_a_document_compiles_where_there_is_a_tex(self):
        f = figure("A_1 = (0, 0)\nB = (4, 1)\nC = (1, 4)\nk is the circle through A_1, B and C\nα is the angle B, A_1, C")
        text = tikz_text(picture_of_board(f.board, Wanted(part="all", size="scale")))
        self.assertIn("$A_{1}$", text)
        self.assertIn(r"\alpha", text.replace("$", ""))
        if tex := shutil.which("pdflatex"):
            with tempfile.TemporaryDirectory() as folder:
                Path(folder, "figure.tex").write_text(text, "utf-8")
                done = subprocess.run([tex, "-interaction=batchmode", "figure.tex"], cwd=folder, timeout=120, check=False)
                self.assertEqual(done.returncode, 0)


class MovingTest(unittest.TestCase):
    def setUp(self):
        self.f = figure("O = (0, 0)\nk is the circle with centre O and radius 3\nP is a point on k at 0\nOP is the segment from O to P")
        self.f.say("m is the motion of P, to and fro in 2 seconds")
        self.text = board_to_text(self.f.board)
        self.motion = self.f.board.find("m")

    def test_a_motion_comes_back_to_where_it_began(self):
        film = Film(motion=self.motion, rate=5, loops=3)
        count = film_count(self.text, film)
        self.assertEqual(count, 20)
        pictures = film_part(self.text, Wanted(pixels=200), film, 0, 12, None) + film_part(self.text, Wanted(pixels=200), film, 12, 8, None)
        self.assertEqual(len(pictures), 20)
        self.assertEqual(len(set(pictures[:10])), 10, "there it is somewhere else each time")
        self.assertEqual([pictures[n] for n in (12, 15, 19)], [pictures[n] for n in (8, 5, 1)])
        for kind in ("gif", "apng"):
            moving = Image.open(io.BytesIO(film_file(pictures, film, kind)))
            self.assertEqual((moving.n_frames, moving.width, moving.info["loop"]), (20, 200, 3))
            self.assertEqual(moving.info["duration"], 200)

    def test_what_nobody_asked_for_otherwise_is_the_first_motion(self):
        self.assertEqual(film_count(self.text, Film(rate=5)), film_count(self.text, Film(motion=self.motion, rate=5)))
        still = board_to_text(figure(LINE).board)
        self.assertEqual(film_count(still, Film(rate=5)), film_count(still, Film(motion="", rate=5)))

    def test_the_replay_shows_a_step_more_each_time(self):
        film = Film(motion="", rate=2, seconds=60)
        pictures = film_part(self.text, Wanted(pixels=480, names=False), film, 0, film_count(self.text, film), None)
        inks = [sum(grey < 200 for grey in Image.open(io.BytesIO(one)).convert("L").get_flattened_data()) for one in pictures]
        self.assertEqual(inks, sorted(inks))
        self.assertGreaterEqual(len(set(inks)), 4)

    def test_films_have_bounds(self):
        with self.assertRaisesRegex(Refusal, str(MOST_PICTURES)):
            film_count(self.text, Film(motion=self.motion, rate=30, speed=0.1, seconds=60))
        with self.assertRaisesRegex(Refusal, "no longer on the board"):
            film_count(self.text, Film(motion="s999"))


class WholeLessonTest(unittest.TestCase):
    def test_everything_in_one_file_with_a_page_about_it(self):
        f = figure(LINE + "\nr is the length of AB", unit="m")
        perform(f.board, Arrange(title="Beds & <paths>", log=[f.board.find("r")], rows=[[20.0]]))
        text = board_to_text(f.board)
        archive = zipfile.ZipFile(io.BytesIO(zipped("The <garden>", b"{}", [("Beds & <paths>", board_files(text, None))])))
        names = {f"board-1{end}" for end in (".svg", ".png", ".pdf", ".tex", ".dxf", ".txt", "-readings.csv", "-log.csv")}
        self.assertEqual(set(archive.namelist()), names | {"lesson.json", "index.html"})
        index = archive.read("index.html").decode()
        self.assertIn("The &lt;garden&gt;", index)
        self.assertIn("Beds &amp; &lt;paths&gt;", index)
        self.assertEqual(set(re.findall(r'href="([^"]+)"', index)) - {"lesson.json"}, names)
        self.assertIn("r,20.0,,m", archive.read("board-1-readings.csv").decode())
        self.assertEqual(archive.read("board-1-log.csv").decode().split(), ["r", "(m)", "20.0"])
        self.assertEqual(len(pages_of(exported_lesson([text, text], Wanted(), "x", {}), 72)), 2)

    def test_a_frame_without_a_size_is_refused(self):
        with self.assertRaisesRegex(Refusal, "width and a height"):
            exported("svg", board_to_text(figure(LINE).board), Wanted(part="frame", frame=(1, 1, 1, 5)))
        empty = figure("").board
        self.assertIn("<svg", written("svg", empty, Wanted(part="all")).decode())


class PathsTest(unittest.TestCase):
    def test_arcs_as_curves_keep_to_their_circle(self):
        for start, sweep in ((0, 360), (20, 250), (-10, -77)):
            path = as_curves((("M", 0, 0), ("A", 3, -2, 5, start, sweep)))
            at = None
            for kind, *numbers in path:
                if kind == "C":
                    for share in (0.25, 0.5, 0.8):
                        x, y = (bezier(share, at[axis], *numbers[axis::2]) for axis in (0, 1))
                        self.assertAlmostEqual(((x - 3) ** 2 + (y + 2) ** 2) ** 0.5, 5, delta=5 * 5e-6)
                    at = numbers[4:]
                else:
                    at = (3 + 5 * cos_sin(start)[0], -2 - 5 * cos_sin(start)[1])

    def test_hatches_cross_the_whole_box(self):
        for tile in ("M0 10L10 0", "M0 0L10 10", "M0 5L10 5", "M5 0L5 10"):
            lines = hatch_lines(tile, (3, 7, 63, 47))
            self.assertGreaterEqual(len(lines), 4)
            for ax, _ay, bx, _by in lines:
                self.assertTrue(max(ax, bx) >= 3 and min(ax, bx) <= 63)
        self.assertEqual(mapped((0, 1, -1, 0, 5, 6), 2, 3), (2, 8))


def bezier(share, a, b, c, d):
    rest = 1 - share
    return rest**3 * a + 3 * rest**2 * share * b + 3 * rest * share**2 * c + share**3 * d


def cos_sin(degrees):
    return math.cos(math.radians(degrees)), math.sin(math.radians(degrees))
