"""Students build with a kit: real mouse, touch and keys, on their page of a shared lesson."""

import math

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import BrowserTest, long_walk
from .student_page import StudentPage


class BuildingTest(BrowserTest):
    expected = ("status of 404",)

    def share(self, *lines, kit="Compass and straightedge"):
        """A teacher's lesson with a kit, and its link."""
        teacher = BoardPage(self.open_page(), self.server.address).start("By hand")
        teacher.say(*lines)
        page = teacher.page
        page.click("#share")
        page.click(f".kits >> text={kit}")
        page.click("label:has-text('By link')")
        page.click(".share-now")
        link = page.locator("#share-link").input_value()
        page.keyboard.press("Escape")
        teacher.settle()
        return teacher, link

    def student(self, link, **screen):
        return StudentPage(self.open_page(sign_in=None, **screen), self.server).visit(link)

    def test_the_middle_is_found_with_the_compasses(self):
        _, link = self.share("A = (-3, 0)", "B = (3, 0)", "the segment AB")
        s = self.student(link)
        page = s.page
        expect(page.locator("[data-tool=midpoint]")).to_have_count(0)
        s.tool("cp")
        s.click_point("A")
        s.click_point("B")
        s.tool("cp")
        s.click_point("B")
        s.click_point("A")
        s.tool("ll")
        s.click(0, 3 * 3**0.5)
        s.click(0, -3 * 3**0.5)
        s.tool("px")
        s.click(0, 0)
        made = [step for step in s.board.steps if not s.board.is_given(step.id)]
        self.assertEqual([step.does for step in made], ["circle", "circle", "intersection", "intersection", "line", "intersection"])
        self.assertEqual(s.board.value(made[-1].id), (0, 0))
        s.drag_point("B", (5, 2))
        for now, then in zip(s.board.value(made[-1].id), (1, 1)):
            self.assertAlmostEqual(now, then)
        # What is not in the kit is refused, by words and by keys.
        s.say("the midpoint of AB")
        expect(page.locator("#toast")).to_contain_text("not in the kit of this board")
        page.locator("#typed").fill("")
        s.escape()
        count = len(s.board)
        s.tool("pm")
        self.assertEqual(page.locator("#sentence").inner_text(), "")
        # What is given stays: neither Delete nor the words take it away.
        s.click_point("A")
        page.keyboard.press("Delete")
        s.settle()
        expect(page.locator("#toast")).to_contain_text("given")
        self.assertEqual(len(s.board), count)
        # Its own things go, and come back.
        s.escape()
        for _ in range(3):
            page.click("#undo")
            s.settle()
        page.click("#redo")
        s.settle()
        page.click("#fold")
        expect(page.locator("#lines .given")).to_have_count(3)
        page.click("#reset")
        s.settle()
        self.assertEqual(len(s.board), 3)

    @long_walk
    def test_the_teachers_change_follows_and_is_offered(self):
        teacher, link = self.share("A = (-3, 0)", "B = (3, 0)", "k is the circle with centre A through B", kit="Everything")
        untouched, working = self.student(link), self.student(link)
        working.say("P is a point on k at 60", "M is the midpoint of AB")
        teacher.say("C = (0, 4)")
        expect(untouched.page.locator("#seen")).to_contain_text("C is a free point")
        behind = working.page.locator("#behind")
        expect(behind).to_contain_text("If you take it")
        working.page.click("#behind-later")
        expect(behind).to_be_hidden()
        teacher.say("delete k")
        working.page.reload()
        working._ready()
        expect(behind).to_contain_text("gone, since what it was made from is: point P")
        working.page.click("#behind-take")
        expect(behind).to_be_hidden()
        working.settle()
        self.assertEqual([working.board.name(step.id) for step in working.board.steps], ["A", "B", "C", "M"])
        expect(working.page.locator("#undo")).to_be_disabled()
        working.page.keyboard.press("Control+z")
        expect(working.page.locator("#toast")).to_contain_text("nothing goes back behind it")
        # Another kit holds at once, for both.
        page = teacher.page
        page.click("#share")
        page.click(".kits >> text=Look and drag")
        expect(untouched.page.locator("#typed")).to_have_count(0)
        expect(working.page.locator("#typed")).to_have_count(0)

    def test_the_teacher_tries_it(self):
        teacher, _ = self.share("A = (-3, 0)", "B = (3, 0)", kit="Straightedge only")
        page = teacher.page
        page.click("#share")
        with page.context.expect_page() as opened:
            page.click("text=Try it as a student")
        trial = opened.value
        trial.locator("#saved:text-is('Saved')").wait_for()
        trial.fill("#typed", "the line through A and B")
        trial.keyboard.press("Enter")
        expect(trial.locator("#seen")).to_contain_text("the line through A and B")
        trial.fill("#typed", "the circle with centre A through B")
        trial.keyboard.press("Enter")
        expect(trial.locator("#toast")).to_contain_text("Straightedge only")
        self.assertEqual(len(teacher.board), 2)

    @long_walk
    def test_instruments_of_the_kit(self):
        _, link = self.share("A = (-3, 0)", "B = (0, 0.5)", "C = (2, -1)", kit="A compass that closes")
        s = self.student(link)
        page = s.page
        page.click("#instruments")
        expect(page.locator(".laid-bar [data-name]")).to_have_text(["Ruler", "Compasses"])
        page.click("[data-name=Ruler]")
        page.click("[data-name=Compasses]")

        def drag(start, *way):
            page.mouse.move(*start)
            page.mouse.down()
            for place in way:
                page.mouse.move(*place, steps=6)
            page.mouse.up()
            s.settle()

        def middle(selector, number=0):
            box = page.locator(selector).nth(number).bounding_box()
            return box["x"] + box["width"] / 2, box["y"] + box["height"] / 2

        def needle_to(name):
            box = page.locator(".laid-compasses .laid-needle").bounding_box()
            (tx, ty), (hx, hy) = (box["x"] + box["width"] / 2, box["y"] + box["height"] / 2), middle(".laid-hinge")
            inside, goal = (tx + (hx - tx) * 0.6, ty + (hy - ty) * 0.6), s.pixel(*s.value(name))
            drag(inside, (inside[0] + goal[0] - tx, inside[1] + goal[1] - ty))

        def swing(name):
            (x, y), at = middle(".laid-tip"), s.pixel(*s.value(name))
            reach, start = math.hypot(x - at[0], y - at[1]), math.atan2(y - at[1], x - at[0])
            drag((x, y), *[(at[0] + reach * math.cos(start - turn), at[1] + reach * math.sin(start - turn)) for turn in (0.3, 0.7, 1.1)])

        needle_to("A")
        drag(middle(".laid-compasses .laid-body", 1), s.pixel(*s.value("B")))
        swing("A")
        made = s.board.steps[-1]
        self.assertEqual((made.does, made.fills), ("circle", {"centre": ("s1",), "point": ("s2",)}))
        # Carried to another point the opening is none that this compass has.
        needle_to("C")
        swing("C")
        expect(page.locator("#toast")).to_contain_text("not in the kit of this board")
        self.assertEqual(len(s.board), 4)

    def test_on_a_phone_with_a_finger(self):
        _, link = self.share("A = (-3, 0)", "B = (3, 0)")
        s = self.student(link, viewport={"width": 390, "height": 844}, has_touch=True)
        page = s.page
        page.tap("[data-group=Kit]")
        page.tap("[data-tool=circle]")
        for name in "AB":
            page.touchscreen.tap(*s.pixel(*s.value(name)))
            s.settle()
        self.assertEqual([step.does for step in s.board.steps][2:], ["circle"])
        page.tap("#reset")
        s.settle()
        self.assertEqual(len(s.board), 2)

    def test_a_challenge_is_made_failed_by_eye_and_met(self):
        teacher, link = self.share("A = (-2, 0)", "B = (2, 0)", "the segment AB", "k is the circle with centre A through B")
        teacher.say("l is the circle with centre B through A", "Peak is where k meets l, first crossing")
        page = teacher.page
        teacher.click_point("Peak")
        page.click("#board-acts")
        page.click("text=A challenge for students")
        expect(page.locator("[name=answers]:checked")).to_have_count(1)
        page.fill("[name=task]", "Find a point as far from A as from B, and as far as these are apart.")
        page.fill("[name=hints]", "Where are all points as far from A as B is?")
        page.click("text=second one")
        page.click("text=Make the challenge")
        expect(page.locator("#challenge-panel")).to_contain_text("The challenge stands")
        page.click("#challenging .close-sharing")
        self.assertEqual(len(teacher.board), 3)
        s = self.student(link)
        page = s.page
        self.assertNotIn("Peak", page.content())
        expect(page.locator("#task")).to_contain_text("Find a point as far from A as from B")
        s.say("P = (0, 3.46)")
        page.click("#is-right")
        expect(page.locator("#judged")).to_contain_text("looks right and is not tied")
        page.click("#next-hint")
        expect(page.locator("#hint")).to_contain_text("Where are all points")
        expect(page.locator("#next-hint")).to_be_disabled()
        page.reload()
        s._ready()
        expect(page.locator("#hint")).to_contain_text("Where are all points")
        expect(page.locator("#next-hint")).to_be_disabled()
        page.click("#undo")
        s.settle()
        for first, second in ("AB", "BA"):
            s.tool("cp")
            s.click_point(first)
            s.click_point(second)
        s.tool("px")
        s.click(0, -2 * 3**0.5)  # the other side was ticked as well
        page.click("#is-right")
        expect(page.locator("#judged")).to_contain_text("Right: point")
        expect(page.locator("#judged")).to_contain_text("That is proved: right, always.")
        s.drag_point("B", (3, 1))
        page.click("#is-right")
        expect(page.locator("#judged")).to_contain_text("Right: point")

    def test_what_is_handed_in_is_seen_replayed_and_answered(self):
        teacher, link = self.share("A = (-3, 0)", "B = (3, 0)", "the segment AB", "M is the midpoint of AB")
        page = teacher.page
        teacher.click_point("M")
        page.click("#board-acts")
        page.click("text=A challenge for students")
        page.click("text=Make the challenge")
        expect(page.locator("#challenge-panel")).to_contain_text("The challenge stands")
        s = self.student(link)
        expect(s.page.locator("#hand-in")).to_be_hidden()
        page.goto(f"{self.server.address}/lessons/{teacher.slug}/handed-in")
        page.click("text=Open it for 8 hours")
        s.say("the circle with centre A through B", "the circle with centre B through A", "all crossings of k and c")
        s.say("the line through C and D", "where AB meets p")
        s.page.click("#hand-in")
        s.page.fill("#nickname", "fox")
        s.page.click("text=Hand it in")
        expect(s.page.locator("#handed")).to_contain_text("Handed in as fox, right")
        card = page.locator(".handed-grid > li", has_text="fox")
        expect(card).to_contain_text("right, always: it is proved")
        card.locator("[name=word]").fill("Well found.")
        card.locator("text=Write").click()
        expect(s.page.locator("#handed")).to_contain_text("Well found.")
        # Opened, it is replayed: the working begins anew, and stands whole in the end.
        page.locator(".handed-grid > li", has_text="fox").locator("a").first.click()
        page.locator("#saved:text-is('Saved')").wait_for()
        page.click("#fold")
        expect(page.locator("#lines li")).to_have_count(9)
        page.click("[data-steps='-1']")
        expect(page.locator("#steps-seen")).to_have_text("8 of 9")
        page.click("#replay")
        expect(page.locator("#steps-seen")).not_to_have_text("8 of 9")
        s.page.click("#take-back")
        expect(s.page.locator("#handed")).to_be_hidden()


if __name__ == "__main__":
    import unittest

    unittest.main()
