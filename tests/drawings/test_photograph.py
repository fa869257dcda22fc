"""A picture under a figure: written anew, put to scale by two places and a length, kept with its lesson, in every drawing."""

import io
import json
import unittest

from PIL import Image

from ruddy_trellis.core.board import Photograph
from ruddy_trellis.core.edits import Arrange, perform
from ruddy_trellis.core.edits.models import FitPhotograph
from ruddy_trellis.core.lesson.file import board_from_store, board_to_text, lesson_to_json
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.drawings.exporting import written
from ruddy_trellis.drawings.wanted import Wanted
from ruddy_trellis.incoming.photograph import arrived_photograph, arrived_with_photographs
from tests.core.figures import figure


def picture(size=(400, 200), kind="PNG", mode="RGB", colour="#3F6B4F", **more):
    out = io.BytesIO()
    Image.new(mode, size, colour).save(out, kind, **more)
    return out.getvalue()


def traced(**more):
    """A board with a picture under it, 8 wide and 4 high, and the picture's file."""
    mark, content, tall = arrived_photograph(picture())
    board = figure("A = (0, 0)").board
    perform(board, Arrange(photograph={"mark": mark, "at": (1, 2), "width": 8, "tall": tall, **more}))
    return board, content


class ArrivingTest(unittest.TestCase):
    def test_what_is_kept_is_a_picture_and_nothing_else(self):
        exif = Image.Exif()
        exif[0x010E] = "where the hive stands"
        exif[0x0112] = 6  # taken upright
        for content, tall in (
            (picture(), 0.5), (picture(kind="JPEG"), 0.5), (picture(kind="JPEG", exif=exif), 2), (picture((3000, 1500)), 0.5),
            (picture(mode="RGBA", colour="#3F6B4F80"), 0.5), (picture(mode="L", colour=90), 0.5),
        ):  # fmt: skip
            mark, kept, got = arrived_photograph(content + b"<script>alert(1)</script>")
            with Image.open(io.BytesIO(kept)) as image:
                self.assertEqual((image.format, image.mode, len(image.getexif())), ("JPEG", "RGB", 0))
                self.assertLessEqual(max(image.size), 1600)
                self.assertAlmostEqual(image.height / image.width, tall)
            self.assertNotIn(b"script", kept)
            self.assertNotIn(b"hive", kept)
            self.assertAlmostEqual(got, tall)
            self.assertRegex(mark, "^[0-9a-f]{64}$")

    def test_what_is_no_picture_costs_a_sentence(self):
        good = picture()
        bomb = picture((9000, 9000), mode="1", colour=0)
        for content in (
            b"",
            good[:60],
            b"\x89PNG\r\n\x1a\n" + b"\0" * 99,
            b"\xff\xd8\xff\xe0",
            picture(kind="GIF"),
            picture((1, 900)),
            bomb,
        ):
            with self.subTest(content[:12]), self.assertRaises(Refusal):
                arrived_photograph(content)

    def test_a_lesson_file_brings_its_pictures_along(self):
        board, content = traced()
        mark = board.settings.photograph.mark
        data = json.dumps(lesson_to_json("T", [board], {mark: content})).encode()
        title, (text,), kept = arrived_with_photographs(data)
        again = board_from_store(text).settings.photograph
        self.assertEqual((title, list(kept)), ("T", [again.mark]))
        self.assertEqual((again.at, again.width, again.tall), ((1, 2), 8, 0.5))
        for broken in ("no base64 §", "AAAA"):
            data = json.dumps({**lesson_to_json("T", [board]), "photographs": {mark: broken}}).encode()
            _, (text,), kept = arrived_with_photographs(data)
            self.assertEqual((board_from_store(text).settings.photograph, kept), (None, {}))


class FittingTest(unittest.TestCase):
    def test_two_places_are_a_length_apart_and_the_first_stays(self):
        board, _ = traced()
        patch = perform(board, FitPhotograph(first=(-1, 1), second=(2, 5), length=10))
        self.assertEqual(board.settings.photograph, Photograph(board.settings.photograph.mark, (3, 3), 16, 0.5))
        self.assertEqual(board_from_store(board_to_text(board)).settings, board.settings)
        patch.reversed().apply(board)
        self.assertEqual(board.settings.photograph.width, 8)
        perform(board, Arrange(photograph=None))
        self.assertIsNone(board.settings.photograph)

    def test_what_cannot_be_fitted_changes_nothing(self):
        board, _ = traced()
        before = board.settings
        for first, second, length in (((1, 1), (1, 1), 3), ((0, 0), (1e-8, 0), 1e6), ((1e6, 0), (1e6, 1e-3), 1e6)):
            with self.assertRaises(Refusal):
                perform(board, FitPhotograph(first=first, second=second, length=length))
        self.assertEqual(board.settings, before)
        with self.assertRaisesRegex(Refusal, "no picture"):
            perform(figure("").board, FitPhotograph(first=(0, 0), second=(1, 0), length=1))

    def test_it_lies_under_the_figure_in_every_drawing(self):
        board, content = traced(fade=1, turn=90)
        for kind in ("png", "pdf", "svg", "tex", "dxf"):
            self.assertTrue(written(kind, board, Wanted(pixels=480), content))
        image = Image.open(io.BytesIO(written("png", board, Wanted(pixels=2000, grid=False), content))).convert("RGB")
        green = lambda x, y: image.getpixel((round(1000 + 100 * x), round(600 - 100 * y)))
        near = lambda colour: max(abs(a - b) for a, b in zip(colour, (0x3F, 0x6B, 0x4F))) < 8
        # A quarter turn: now it is 4 wide and 8 high, about (1, 2).
        self.assertTrue(near(green(2.8, 5.8)))
        self.assertTrue(near(green(-0.8, -1.8)))
        self.assertFalse(near(green(4, 2)))
        self.assertIn("data:image/jpeg", written("svg", board, Wanted(), content).decode())
        self.assertNotIn("data:image", written("svg", board, Wanted(photograph=False), content).decode())
