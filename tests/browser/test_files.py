"""Out on paper, into files, and back, with a real mouse: what is chosen is seen, saved, stopped, brought in and taken back."""

import io
import math
from pathlib import Path

import pypdfium2
from PIL import Image, ImageChops, ImageStat
from playwright.sync_api import expect

from tests.drawings.test_photograph import picture

from .board_page import BoardPage
from .served import BrowserTest

ARCH = (
    '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="60mm" viewBox="0 0 80 60"><path d="M10 50V20A20 20 0 0 1 50 20V50Z"/>'
    '<circle cx="60" cy="40" r="8"/><text>oak</text></svg>'
)
#: Drop a table of two posts on a part of the page.
DROP = """(place) => {
    const dataTransfer = new DataTransfer();
    dataTransfer.items.add(new File(["Oak;1,5;2\\nElm;3;4"], "posts.csv"));
    document.querySelector(place).dispatchEvent(new DragEvent("drop", { dataTransfer, bubbles: true, cancelable: true }));
}"""


class FilesTest(BrowserTest):
    expected = ("422",)

    def setUp(self):
        super().setUp()
        self.b = BoardPage(self.page, self.server.address).open("Three taps, one fountain")

    def files(self, kind=None):
        page = self.page
        page.click("#files")
        page.wait_for_selector("#out-preview[src^=blob]", timeout=15_000)
        if kind:
            page.select_option("#out-form [name=kind]", kind)

    def saved(self):
        with self.page.expect_download(timeout=30_000) as download:
            self.page.click("#out-save")
        return Path(download.value.path()).read_bytes()

    def test_what_is_saved_is_what_is_seen_and_is_remembered(self):
        b, page = self.b, self.page
        self.files("png")
        page.check("#out-form [value=pixels]")
        page.fill("#out-form [name=pixels]", str(round(b.frame["width"])))
        drawn = Image.open(io.BytesIO(self.saved())).convert("RGB")
        self.assertEqual(drawn.width, round(b.frame["width"]))
        page.keyboard.press("Escape")
        expect(page.locator("#taking-out")).not_to_be_visible()
        box = {"x": b.frame["x"] + 120, "y": b.frame["y"] + 60, "width": 560, "height": 440}  # where the figure is
        screen = Image.open(io.BytesIO(page.screenshot(clip=box))).convert("RGB")
        ours = drawn.crop((120, 60, 680, 500))
        apart = ImageStat.Stat(ImageChops.difference(screen, ours)).mean
        self.assertLess(max(apart), 3, "two painters of letters and edges differ a little, and no more")
        blank = ImageStat.Stat(ImageChops.difference(screen, Image.new("RGB", screen.size, "white"))).mean
        self.assertGreater(min(blank), 3 * max(apart))
        self.files()
        self.assertEqual(page.input_value("#out-form [name=kind]"), "png")
        self.assertTrue(page.is_checked("#out-form [value=pixels]"))

    def test_a_frame_is_dragged_and_a_page_is_true_to_scale(self):
        page = self.page
        self.files("pdf")
        page.check("#out-form [value=frame]")
        expect(page.locator("#out-told")).to_contain_text("Drag a frame")
        box = page.locator("#out-preview").bounding_box()
        page.mouse.move(box["x"] + 0.2 * box["width"], box["y"] + 0.2 * box["height"])
        page.mouse.down()
        page.mouse.move(box["x"] + 0.7 * box["width"], box["y"] + 0.8 * box["height"], steps=4)
        page.mouse.up()
        page.select_option("#out-form [name=paper]", "own")
        (leaf,) = pypdfium2.PdfDocument(self.saved())
        (ax, _), (bx, _) = self.b.pixel(0, 0), self.b.pixel(1, 0)
        centimetres = 0.5 * self.b.frame["width"] / (bx - ax)
        self.assertAlmostEqual(leaf.get_width() / 72 * 2.54, centimetres, delta=0.1)

    def test_a_film_is_stopped_and_made(self):
        page = self.page
        self.files("gif")
        page.fill("#out-form [name=wide]", "1600")
        page.fill("#out-form [name=rate]", "30")
        page.click("#out-save")
        page.click("#out-stop")
        expect(page.locator("#out-told")).to_have_text("Stopped.", timeout=15_000)
        page.fill("#out-form [name=wide]", "160")
        page.fill("#out-form [name=rate]", "4")
        film = Image.open(io.BytesIO(self.saved()))
        self.assertGreater(film.n_frames, 4)
        expect(page.locator("#out-told")).to_contain_text("Saved as", timeout=15_000)

    def test_a_drawing_comes_in_as_one_edit_and_a_bad_file_changes_nothing(self):
        b, page = self.b, self.page
        before = len(b.board)
        self.files()
        page.click("#out-in")
        page.wait_for_selector("#bringing-in[open]", timeout=15_000)
        page.set_input_files("#in-file", {"name": "x.svg", "mimeType": "image/svg+xml", "buffer": b"<svg"})
        expect(page.locator("#in-told")).to_contain_text("no SVG", timeout=15_000)
        page.set_input_files("#in-file", {"name": "arch.svg", "mimeType": "image/svg+xml", "buffer": ARCH.encode()})
        expect(page.locator("#in-told")).to_contain_text("Not read: 1 text", timeout=15_000)
        self.assertIn("arc with centre", page.inner_text("#in-working"))
        self.assertEqual(len(b.board), before, "it is only shown")
        page.click("#in-take")
        b.settle()
        new = b.board.steps[before:]
        self.assertEqual({step.makes for step in new}, {"point", "segment", "arc", "circle"})
        circle = next(step for step in new if step.makes == "circle")
        self.assertAlmostEqual(math.sqrt(b.board.value(circle.id)[2]), 0.8)
        page.keyboard.press("Control+z")
        b.settle()
        self.assertEqual(len(b.board), before)

    def test_a_file_dropped_on_the_board_is_shown(self):
        page = self.page
        page.evaluate(DROP, "#drawing")
        expect(page.locator("#in-working li").first).to_have_text("Oak is a free point at (1.5, 2.0)", timeout=15_000)
        page.keyboard.press("Escape")
        page.goto(self.server.address + "/")
        page.evaluate(DROP, "body")
        page.wait_for_selector("#drawing")
        self.assertEqual(page.input_value("#title"), "posts")

    def test_a_photograph_is_put_to_scale_and_traced(self):
        b, page = self.b, self.page
        self.files()
        page.click("#out-in")
        page.wait_for_selector("#bringing-in[open]", timeout=15_000)
        page.set_input_files("#in-file", {"name": "bed.png", "mimeType": "image/png", "buffer": picture()})
        page.wait_for_selector("#photo-scale", timeout=15_000)
        under = b.board.settings.photograph
        (x, y), half = under.at, under.width / 2
        page.click("#photo-scale")
        for end in (x - half, x + half):
            page.mouse.click(*b.pixel(end, y))
        page.fill("#photo-length input", "20")
        page.press("#photo-length input", "Enter")
        b.settle()
        self.assertAlmostEqual(b.board.settings.photograph.width, 20, delta=0.1)
        page.mouse.move(*b.pixel(x, y))
        page.mouse.down()
        page.mouse.move(*b.pixel(x + 1, y + 1), steps=3)
        page.mouse.up()
        b.settle()
        self.assertAlmostEqual(b.board.settings.photograph.at[1], y + 1, delta=0.1)
        page.keyboard.press("Escape")
        expect(page.locator("#photo-scale")).to_be_hidden()
        page.wait_for_timeout(300)
        shot = Image.open(io.BytesIO(page.screenshot())).convert("RGB")
        red, green, _ = shot.getpixel(tuple(map(round, b.pixel(x + 7.3, y - 2.3))))
        self.assertGreater(green, red + 10, "the picture is seen under the figure")
        for _ in range(3):
            page.keyboard.press("Control+z")
            b.settle()
        self.assertIsNone(b.board.settings.photograph)

    def test_a_handout_prints_without_its_choices_and_to_scale(self):
        page = self.page
        board = page.get_attribute("#board", "data-board")
        page.goto(f"{self.server.address}/boards/{board}/handout?figure=none&size=scale&room=2")
        page.fill("[name=asked]", "Where is the fountain?\nWhy there?")
        page.select_option("[name=figure]", "given")
        expect(page.locator(".sheet .asked li")).to_have_count(2)
        self.assertNotIn("FA", page.locator("figure svg").text_content())
        leaves = pypdfium2.PdfDocument(page.pdf(prefer_css_page_size=True))
        text = leaves[0].get_textpage().get_text_bounded()
        self.assertIn("Why there?", text)
        self.assertNotIn("A handout to print", text)
        page.check("[name=answered]")
        expect(page.locator(".answers")).to_contain_text("FA is the length of FA")
        self.assertEqual(len(pypdfium2.PdfDocument(page.pdf(prefer_css_page_size=True))), len(leaves) + 1)
