"""A class in real pages: a teacher, five students, a line that is cut, two children one after another on one tablet."""

from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import expect

from .board_page import BoardPage
from .served import BrowserTest
from .test_everyone import RULES

NAMES = ("fox", "owl", "hen", "rat", "bee")


class ClassTest(BrowserTest):
    """One class, walked through from the code to its end."""

    def setUp(self):
        super().setUp()
        self.board = BoardPage(self.page, self.server.address).open("Three taps")
        self.page.click("#class-button")
        self.page.click("text=Open for a class")
        self.code = self.page.inner_text(".class-sign")
        there = f"{self.server.address}/classes/{self.page.get_attribute('#class', 'data-class')}/close"
        self.addCleanup(self.page.context.request.post, there)

    def come_in(self, name, context=None, **size):
        """A student's page, in a browser of their own."""
        context = context or self.browser.new_context(viewport={"width": 900, "height": 640, **size})
        context.set_default_timeout(15_000)
        self.addCleanup(context.close)
        page = context.new_page()
        page.goto(f"{self.server.address}/in#{self.code.replace(' ', '')}")
        page.fill("#name", name)
        page.click(".come-in button >> nth=0")
        expect(page.locator("h1")).to_have_text(f"You are in, {name}.")
        self.assertEqual(len(page.inner_text(".return-word").replace(" ", "")), 12)
        page.click("text=To the board")
        page.locator("#saved:text-is('Saved')").wait_for(state="attached")
        return page

    def names(self, page):
        """The points that a page shows in its own board, with their places in words of the working."""
        return page.locator("#seen li[data-kind=point]").all_inner_texts()

    def pick(self, name):
        """Select a thing by its name in the working."""
        self.page.click(f"#panel .row-thing b:text-is('{name}')")

    def test_a_class_from_the_code_to_its_end(self):
        students = [self.come_in(name, **({"width": 390, "height": 844} if name == "fox" else {})) for name in NAMES]
        fox, owl, *_ = students
        teacher = self.page
        teacher.bring_to_front()
        expect(teacher.locator("#class-count")).to_have_text("5")

        # Help is asked for, seen and given.
        owl.click("#ask-help")
        expect(teacher.locator("#class-told")).to_have_text("owl asks for help.")
        teacher.click("#class-people li.help summary")
        teacher.click("#class-people li.help [data-do=helped]")
        expect(owl.locator("#ask-help")).to_have_text("Ask for help")

        # Follow: a drag, another line cut in the middle of it, and each is back at their own as it was.
        teacher.click("[data-do=lead]")
        for page in students:
            expect(page.locator("#stage")).to_be_visible()
        fox.context.set_offline(True)
        self.pick("F")
        teacher.focus("#drawing")
        teacher.keyboard.press("ArrowLeft")
        fox.keyboard.press("ArrowLeft")  # nothing is done to a board that is not seen
        fox.context.set_offline(False)
        expect(fox.locator("#stage")).to_be_visible()
        owl.click("text=Carry on by myself")
        expect(owl.locator("#stage")).to_be_hidden()
        owl.click("text=Look at the teacher’s board again")
        expect(owl.locator("#stage")).to_be_visible()
        # Another board of the lesson is followed.
        teacher.click(".tabs a >> nth=1")
        expect(teacher.locator("[data-do=lead]")).to_have_attribute("aria-pressed", "true")
        teacher.click(".tabs a >> nth=0")
        expect(teacher.locator("[data-do=lead]")).to_have_attribute("aria-pressed", "true")
        teacher.click("[data-do=lead]")
        for page in students:
            expect(page.locator("#stage")).to_be_hidden()

        # Pegs of all on one board, by keys.
        for number, page in enumerate(students):
            page.bring_to_front()
            page.focus("#drawing")
            for _ in range(20):
                if page.inner_text("#sentence").startswith("F is"):
                    break
                page.keyboard.press("]")
            for _ in range(number + 1):
                page.keyboard.press("ArrowDown")
        teacher.bring_to_front()
        self.pick("F")
        teacher.click("[data-do=pegs]")
        expect(teacher.locator("#pegs-told")).to_have_text("5 of 5")
        teacher.click("[data-do=pegs]")

        # A question is asked, answered, counted, shown.
        teacher.fill("#ask-words", "Where is F when it is equally far from all?")
        teacher.fill("#ask-choices", "* where the bisectors meet\nin the middle of AB")
        teacher.click("[data-do=ask]")
        for number, page in enumerate(students):
            page.click(f"[data-choice='{number % 2}']")
        expect(teacher.locator(".asked-count")).to_have_text("5 of 5 have answered")
        teacher.click("[data-what=close]")
        expect(teacher.locator("#asked")).to_contain_text("3 of 5 right")
        teacher.click("[data-what=show]")
        expect(owl.locator("[data-choice='1']")).to_have_text("in the middle of AB: 2")
        teacher.click("[data-what=away]")
        expect(owl.locator("#question")).to_be_hidden()

        # One is put up for all, without a name.
        teacher.locator("#class-people summary").first.click()
        teacher.locator("#class-people [data-do=up]").first.click()
        expect(fox.locator(".stage-words")).to_contain_text("Your board is put up for all")
        expect(owl.locator(".stage-words")).to_contain_text("A board of the class")
        self.assertNotIn("fox", owl.content())
        teacher.click("[data-do=down]")
        expect(owl.locator("#stage")).to_be_hidden()

        # It is closed: everybody is told, and the browsers have forgotten them.
        teacher.click("[data-do=close]")
        teacher.click("text=Close it now")
        for page in students:
            expect(page.locator("h1")).to_have_text("The class is over.")
        owl.goto(f"{self.server.address}/in")
        expect(owl.locator("text=Carry on as")).to_have_count(0)
        self.assertFalse(owl.evaluate("Object.keys(localStorage).filter((name) => name.includes('/class/')).length"))

    def test_two_children_one_after_another_on_one_tablet(self):
        context = self.browser.new_context(viewport={"width": 844, "height": 390}, has_touch=True)
        first = self.come_in("fox", context)
        first.tap("text=I am done")
        expect(first.locator("h1")).to_have_text("You are out of the class.")
        second = self.come_in("owl", context)
        second.goto(f"{self.server.address}/in")
        expect(second.locator("body")).to_contain_text("Carry on as owl")
        self.assertNotIn("fox", second.content())
        second.tap("text=Somebody else")
        expect(second.locator("h1")).to_have_text("You are out of the class.")
        self.assertNotIn("owl", second.inner_text("body"))

    def test_a_restart_of_the_server_does_not_end_it(self):
        fox = self.come_in("fox")
        self.page.bring_to_front()
        self.page.click("[data-do=lead]")
        expect(fox.locator("#stage")).to_be_visible()
        fox.click("text=Carry on by myself")
        self.server.kill()
        self.server.start()
        # The teacher's page leads on; who had broken off looks again with the others, and may break off again.
        expect(self.page.locator("#class-count")).to_have_text("1", timeout=15_000)
        expect(fox.locator("#stage")).to_be_visible(timeout=15_000)
        expect(self.page.locator("[data-do=lead]")).to_have_attribute("aria-pressed", "true")
        fox.click("text=Carry on by myself")
        fox.click("#ask-help")
        expect(self.page.locator("#class-told")).to_have_text("fox asks for help.", timeout=15_000)

    def test_a_claim_under_a_cover_that_only_the_teacher_lifts(self):
        board = self.board.start("Covered")
        board.say("A=(-3,-1)", "B=(3,-1)", "M is the midpoint of AB", "claim: AM = MB")
        self.page.click("#class-button")
        self.page.click("text=Open for a class")
        self.code = self.page.inner_text(".class-sign")
        board._ready()
        claim = self.page.locator("#panel .row-thing").last
        claim.click()
        self.page.click("#tab-look")
        self.page.click("text=covered until pressed")
        self.page.click("text=the teacher lifts it, in a class")
        fox = self.come_in("fox")
        words = fox.locator("#seen li[data-kind=words]")
        expect(words).to_have_text("A covered claim: the teacher lifts it")
        self.assertNotIn("AM", fox.locator("#seen").inner_text())
        self.page.bring_to_front()
        self.page.select_option("#ask-kind", "claim")
        self.page.click("[data-do=ask]")
        fox.click("[data-choice='0']")
        self.page.click("[data-what=close]")
        expect(self.page.locator("#asked")).to_contain_text("1 of 1 right")
        self.page.click("text=Lift the cover for all")
        expect(words).to_contain_text("AM")

    def fine(self, page, state, exclude=()):
        """Nothing is found that keeps anybody out."""
        context = {"exclude": [[one] for one in exclude]} if exclude else None
        found = Axe().run(page, context=context, options=RULES).response["violations"]
        with self.subTest(state):
            self.assertEqual([(one["id"], one["nodes"][0]["target"]) for one in found], [])

    def test_nothing_keeps_anybody_out(self):
        fox = self.come_in("fox", self.browser.new_context(viewport={"width": 390, "height": 844}))
        teacher = self.page
        teacher.bring_to_front()
        teacher.fill("#ask-words", "Why?")
        teacher.fill("#ask-choices", "because\nit seems so")
        teacher.click("[data-do=ask]")
        expect(fox.locator("#question")).to_be_visible()
        self.fine(fox, "a question on a telephone")
        fox.click("#question button >> nth=0")
        expect(fox.locator("[data-choice='0']")).to_be_hidden()
        fox.click("#question button >> nth=0")
        fox.click("[data-choice='0']")
        teacher.click("[data-what=close]")
        teacher.locator("#class-people summary").click()
        self.fine(teacher, "the class beside the board", ["footer", "#drawer"])
        teacher.click("[data-do=lead]")
        expect(fox.locator("#stage")).to_be_visible()
        self.fine(fox, "following")
        for name in ("The wall", "For the projector"):
            other = teacher.context.new_page()
            other.goto(self.server.address + teacher.get_attribute(f"text={name}", "href"))
            other.wait_for_timeout(800)
            self.fine(other, name)
            if name == "The wall":
                other.click(".wall-boards button")
                self.fine(other, "one board")
            other.close()
        fox.goto(f"{self.server.address}/in")
        self.fine(fox, "coming in")

    def test_the_wall_by_keys(self):
        fox = self.come_in("fox")
        self.come_in("owl")
        wall = self.page.context.new_page()
        self.addCleanup(wall.close)
        wall.goto(self.server.address + self.page.get_attribute("text=The wall", "href"))
        expect(wall.locator(".wall-boards li")).to_have_count(2)
        wall.locator(".wall-boards img[src^='data:image/svg']").nth(1).wait_for()
        wall.focus(".wall-boards button >> nth=0")
        wall.keyboard.press("ArrowRight")
        wall.keyboard.press("Enter")
        expect(wall.locator("#one h2")).to_have_text("owl")
        wall.keyboard.press("ArrowLeft")
        expect(wall.locator("#one h2")).to_have_text("fox")
        expect(fox.locator("#class-told")).to_contain_text("Your teacher is looking at your board.")
        wall.hover("#one canvas")
        expect(fox.locator(".laser.over")).to_be_visible()
        wall.keyboard.press("Escape")
        expect(fox.locator("#class-told")).to_be_hidden()
