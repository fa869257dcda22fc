"""Files met by readers that nobody here wrote: TeX, an SVG library, a PDF library. ``make walks`` installs them."""

import subprocess
import tempfile
import unittest
from pathlib import Path

from PIL import Image

from ruddy_trellis.core.lesson.file import lesson_from_json
from ruddy_trellis.demo import demo_lessons
from ruddy_trellis.drawings.boards import as_opened, picture_of_board
from ruddy_trellis.drawings.exporting import written
from ruddy_trellis.drawings.svg import svg_text
from ruddy_trellis.drawings.tikz import tikz_text

from ..core.tries import IS_WHOLE


@unittest.skipUnless(IS_WHOLE, "a long walk: make walks")
class ReadersTest(unittest.TestCase):
    def run_in(self, folder, *command):
        done = subprocess.run(command, cwd=folder, capture_output=True, text=True, timeout=120, check=False)
        self.assertEqual(done.returncode, 0, done.stdout[-2000:] + done.stderr[-2000:])
        return done.stdout

    def test_every_demo_board_is_taken_as_it_is(self):
        with tempfile.TemporaryDirectory() as folder:
            for data in demo_lessons():
                for board in lesson_from_json(data)[1]:
                    with self.subTest(board.settings.title):
                        wanted = as_opened(board)
                        picture = picture_of_board(board, wanted)
                        for name, content in (
                            ("board.tex", tikz_text(picture).encode()), ("board.svg", svg_text(picture).encode()),
                            ("exported.pdf", written("pdf", board, wanted)),
                        ):  # fmt: skip
                            Path(folder, name).write_bytes(content)
                        self.run_in(folder, "pdflatex", "-interaction=batchmode", "board.tex")
                        told = self.run_in(folder, "pdfinfo", "board.pdf")
                        self.assertIn("Pages:           1\n", told)
                        size = [float(word) for word in told.split("Page size:")[1].split("pts")[0].split() if word != "x"]
                        self.assertAlmostEqual(size[0], picture.width * 0.75, delta=1)
                        self.assertAlmostEqual(size[1], picture.height * 0.75, delta=1)
                        self.run_in(folder, "rsvg-convert", "board.svg", "-o", "board.png")
                        with Image.open(Path(folder, "board.png")) as image:
                            self.assertEqual(image.width, round(picture.width))
                        fonts = self.run_in(folder, "pdffonts", "exported.pdf").splitlines()[2:]
                        self.assertTrue(all(row.split()[-5] == "yes" for row in fonts), "every font is in the file")
