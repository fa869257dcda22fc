"""Takes the pictures in docs/screenshots from the demo lessons: ``python -m docs.take_screenshots``."""

import tempfile
from pathlib import Path

from playwright.sync_api import sync_playwright

from tests.browser.board_page import BoardPage
from tests.browser.served import ARGUMENTS, CHROMIUM, Server, come_in

EXERCISE = (
    "Let ABC be a triangle. Let D, E and F be the midpoints of BC, CA and AB. "
    "Join AD, BE and CF. They meet at G. Prove that AG = 2 GD. Draw the circle through D, E and F."
)
HERE = Path(__file__).parent / "screenshots"


def main():
    """One picture for each main view."""
    HERE.mkdir(exist_ok=True)
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as playwright:
        server = Server(Path(folder) / "lessons.sqlite", class_site=True)
        browser = playwright.chromium.launch(executable_path=CHROMIUM, args=ARGUMENTS)
        context = browser.new_context(viewport={"width": 1280, "height": 800})
        page = context.new_page()
        take = lambda name: (
            page.wait_for_load_state("networkidle"),
            page.wait_for_timeout(400),
            page.screenshot(path=HERE / f"{name}.png"),
        )
        try:
            page.goto(server.address)
            take("welcome")
            come_in(context, server)
            page.reload()
            take("lessons")
            b = BoardPage(page, server.address).open("Three taps")
            page.click(".tabs a >> nth=1")
            b._ready()
            take("fountain")
            b.open("hive")
            b.open_drawer("where")
            page.click(".reveal button >> text=Where it may stand")
            b.click_point("H")
            page.click("#instruments")
            page.click("[data-name=Compasses]")
            take("where")
            b.open("four-sided bed")
            b.click_point("A")
            b.click_point("B", shift=True)
            b.click_point("C", shift=True)
            b.open_drawer("look")
            take("selection-and-look")
            b.escape()
            b.start("An exercise")
            page.fill("#typed", EXERCISE)
            page.press("#typed", "Enter")
            page.wait_for_selector(".said-list")
            take("sentence")
            b.escape()
            b.open("nine posts")
            b.open_drawer("claims")
            page.wait_for_selector(".verdict-proved >> nth=2")
            take("claims")
            b.open("Build it by hand")
            page.goto(f"{server.address}/lessons/{b.slug}/as-student")
            page.wait_for_selector("#saved:text-is('Saved')", state="attached")
            for text in (
                "the circle with centre Gate through Barn", "the circle with centre Barn through Gate", "all crossings of k and c",
                "the line through A and B", "where q meets p",
            ):  # fmt: skip
                page.fill("#typed", text)
                page.press("#typed", "Enter")
                page.wait_for_timeout(400)
            page.click("#is-right")
            page.click("#fold")
            page.wait_for_selector(".judged.met")
            take("by-hand")
            b.open("rosette")
            take("rosette")
            b.open("string")
            b.open_drawer("motions")
            take("string")
            b.open("pond")
            for _ in range(3):
                page.keyboard.press("PageDown")
            take("pond")
            page.click("#share")
            page.wait_for_selector("#share-link")
            take("share")
            link = page.input_value("#share-link")
            stranger = browser.new_context(viewport={"width": 1280, "height": 800}).new_page()
            stranger.goto(link)
            stranger.wait_for_selector("#saved:text-is('Saved')")
            stranger.click("#story-next")
            stranger.click("#story-next")
            stranger.wait_for_timeout(500)
            stranger.screenshot(path=HERE / "student.png")
            stranger.goto(server.class_address)
            stranger.frame_locator("iframe").locator("#saved:text-is('Saved')").wait_for()
            stranger.wait_for_timeout(500)
            stranger.screenshot(path=HERE / "class-page.png")
            stranger.context.close()
            page.keyboard.press("Escape")
            b.open("nine posts")
            page.click("#present")
            page.wait_for_timeout(300)
            page.keyboard.press("l")
            page.mouse.move(620, 520)
            take("present")
            page.keyboard.press("Escape")
            b.start("A loose end")
            b.say("A=(-6,-3)", "B=(4,-3)", "AB is the segment from A to B", "C=(-1,-2.9)", "D=(-0.9,3)", "CD is the segment from C to D")
            b.escape()
            b.open_drawer("loose")
            page.hover(".loose li button >> nth=0")
            take("loose-ends")
            b.open("hive")
            page.click("#files")
            page.wait_for_selector("#out-preview[src^=blob]")
            take("files")
            page.keyboard.press("Escape")
            board = page.get_attribute("#board", "data-board")
            page.goto(
                f"{server.address}/boards/{board}/handout?chosen=true&size=scale&asked=Where+may+the+hive+stand%3F%0AWhich+wall+is+nearer%3F"
            )
            take("handout")
            page.goto(f"{server.address}/help/perpendicular")
            page.frame_locator("iframe").locator("#saved:text-is('Saved')").wait_for(state="attached")
            take("help")
        finally:
            browser.close()
            server.kill()


if __name__ == "__main__":
    main()
