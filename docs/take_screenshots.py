"""Takes the pictures in docs/screenshots from the demo lessons: ``python -m docs.take_screenshots``."""

import tempfile
from pathlib import Path

from playwright.sync_api import sync_playwright

from tests.browser.board_page import BoardPage
from tests.browser.served import ARGUMENTS, CHROMIUM, Server, come_in

EXERCISE = (
    "ABC is a triangle. AB = 5 m and AC = 4 m. Let D, E and F be the midpoints of BC, CA and AB. "
    "Join AD, BE and CF. They meet at G. Prove that AG = 2 GD. Explain why."
)
HERE = Path(__file__).parent / "screenshots"


def a_class(b, browser, take):
    """A class whose fountains are all on one board, and its wall."""
    page = b.open("Three taps").page
    page.click("#class-button")
    page.click("text=Open for a class")
    code = page.inner_text(".class-sign").replace(" ", "")
    steps = (
        "ArrowDown ArrowLeft",
        "ArrowLeft ArrowUp",
        "ArrowLeft ArrowLeft",
        "ArrowUp ArrowRight",
        "ArrowDown ArrowRight",
        "ArrowDown ArrowDown",
    )
    contexts = [browser.new_context(viewport={"width": 800, "height": 560}) for _ in steps]
    for context, name, keys in zip(contexts, ("fox", "owl", "hen", "rat", "bee", "wren"), steps):
        somebody = context.new_page()
        somebody.goto(f"{b.address}/in#{code}")
        somebody.fill("#name", name)
        somebody.click(".come-in button >> nth=0")
        somebody.click("text=To the board")
        somebody.locator("#saved:text-is('Saved')").wait_for(state="attached")
        somebody.focus("#drawing")
        while not somebody.inner_text("#sentence").startswith("F is"):
            somebody.keyboard.press("]")
        for number in range(9):
            somebody.keyboard.press(f"Shift+{keys.split()[0]}" if number == 8 else keys.split()[number % 2])
        if name == "owl":
            somebody.click("#ask-help")
    page.bring_to_front()
    page.click("#panel .row-thing b:text-is('F')")
    page.click("[data-do=pegs]")
    page.locator("#pegs-told:text-is('6 of 6')").wait_for()
    take("class")
    page.goto(b.address + page.get_attribute("text=The wall", "href"))
    page.locator(".wall-boards img[src^='data:image/svg']").nth(5).wait_for()
    page.wait_for_timeout(1500)
    take("wall")
    for context in contexts:
        context.close()


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
            page.click("text=Why? >> nth=0")
            page.hover("#reason-steps > li:has-text('similar') >> nth=-1")
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
            a_class(b, browser, take)
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
