"""Claims in the browser: typed, from a selection, from what was noticed; their verdicts; a student who predicts first."""

import re

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import BrowserTest, long_walk


class ClaimsTest(BrowserTest):
    def setUp(self):
        super().setUp()
        self.b = BoardPage(self.page, self.server.address)

    def verdicts(self):
        return self.page.locator("#panel .verdict")

    def test_three_centres_a_claim_that_fails_and_what_was_noticed(self):
        b = self.b.start("Centres")
        b.say("A = (-4, -2)", "B = (3, -1)", "C = (0, 3)", "O is the circumcentre of ABC", "G is the centroid of ABC")
        b.say("H is the orthocentre of ABC", "are O, G and H in line?", "AB = AC")
        b.open_drawer("claims")
        expect(self.verdicts().nth(0)).to_contain_text("proved")
        expect(self.verdicts().nth(1)).to_contain_text("fails")
        expect(self.page.locator("#panel .conditions").first).to_have_text("where A, B and C are not in line")
        before = b.working()
        seen = self.page.locator("#seen li", has_text="AB = AC")
        expect(seen).to_contain_text("fails")
        self.page.click("text=Show where it fails")
        self.page.wait_for_timeout(800)
        self.assertEqual(b.working(), before, "it is only shown")
        b.drag_point("A", (-3, -3))  # meanwhile the figure is where it was
        self.page.click("text=What does it rest on? >> nth=0")
        expect(self.page.locator(".ties li")).to_have_count(3)
        self.page.click("#notice")
        expect(self.page.locator(".noticed")).to_contain_text("Nothing was noticed")
        self.page.click("[aria-label='Delete the claim that O, G and H are in line']")
        b.settle()
        self.page.click("[aria-label^='Claim that'] >> nth=0")
        b.settle()
        self.assertEqual(b.working()[-1].split(" at ")[0].split(" is ")[1], "the claim that O, G and H are in line")
        expect(self.verdicts().nth(1)).to_contain_text("proved")
        b.reload()
        b.open_drawer("claims")
        expect(self.verdicts().nth(1)).to_contain_text("proved")

    @long_walk
    def test_what_shape_it_is_always_and_just_now(self):
        b = self.b.start("Shapes")
        b.say("A = (-4, -2)", "B = (4, -2)", "C = (4, 3)", "D = (-4, 3)", "K is the midpoint of AB", "L is the midpoint of BC")
        b.say("M is the midpoint of CD", "N is the midpoint of DA", "KLMN is the polygon through K, L, M, N")
        b.open_drawer("claims")
        shapes = self.page.locator(".shapes")
        expect(shapes).to_contain_text("always a parallelogram")
        expect(shapes).to_contain_text("just now a kite, a rhombus")
        b.drag_point("C", (3.2, 4))
        expect(shapes).not_to_contain_text("a rhombus")
        self.page.click("text=claim “a parallelogram”")
        expect(self.verdicts().first).to_contain_text("proved")

    def test_a_reading_in_what_the_teacher_names(self):
        b = self.b.start("Named")
        b.say("A = (0, 0)", "B = (5, 0)", "C = (1, 4)", "triangle ABC", "k is the circle through A, B and C", "r is the radius of k")
        b.open_drawer("readings")
        self.page.click("[aria-label='r as a formula']")
        field = self.page.locator("#panel [name=called]")
        field.fill("call AB = c, the angle at C = γ, angle BAC = ψ")
        field.press("Enter")
        exact = self.page.locator("#panel .exact")
        expect(exact).to_contain_text("sin")
        expect(self.page.locator("#panel .conditions")).to_contain_text("AB = c; the angle at C = γ")
        field.fill("call AB = (c")
        field.press("Enter")
        expect(self.page.locator("#panel .conditions")).to_contain_text("names nothing")
        self.assertEqual(field.input_value(), "call AB = (c", "what was typed is not lost")
        field.fill("AB = c, angle at C = γ, angle at A = ψ")
        field.press("Enter")
        self.page.click("text=Put it on the board")
        b.settle()
        self.assertIn("the words “r = c / (2 sin γ)”", b.working()[-1])
        b.say("P is a point on k at 20", "M is the midpoint of P and A", "q is the locus of M as P runs")
        b.open_drawer("working")
        self.page.click("#panel .row-thing >> text=q is the locus")
        b.open_drawer("look")
        self.page.locator("#panel").get_by_text("as a formula").click()
        expect(exact).to_contain_text("=0")

    @long_walk
    def test_nobody_has_to_wait_for_a_proof(self):
        b = self.b.start("Long")
        b.say("A = (-4, -2)", "B = (5, -1)", "C = (0, 4)", "D = (3, 3)", "E is the incentre of ABC", "F is the incentre of BCD")
        b.open_drawer("claims")
        b.say("AE*BE*CE*sqrt(AF*BF) = sqrt(BF*AF)*CE*BE*AE")
        self.page.get_by_text("Stop looking").click()
        expect(self.verdicts().first).to_contain_text("the search for a proof was stopped")
        b.say("AE = EA")  # meanwhile others are proved
        expect(self.verdicts().nth(1)).to_contain_text("proved")
        self.page.get_by_text("Look for a proof again").click()
        expect(self.verdicts().first).to_contain_text("a proof is looked for")
        b.say("AF = FA + BF")  # the first verdict of another claim does not wait for it
        expect(self.verdicts().nth(2)).to_contain_text("fails")
        expect(self.verdicts().first).to_contain_text(re.compile("took too long|within 5 seconds"))

    @long_walk
    def test_from_a_selection(self):
        b = self.b.start("Chosen")
        b.say("A = (-4, -2)", "B = (4, -2)", "M is the midpoint of AB", "C = (0, 2)")
        b.escape()
        b.click_point("A")
        b.click_point("M", shift=True)
        b.click_point("B", shift=True)
        b.take_offer("the claim that A, M and B are in line")
        b.open_drawer("claims")
        expect(self.verdicts().first).to_contain_text("proved")

    def test_a_student_predicts_then_lifts_the_cover_and_drags(self):
        self.page.goto(f"{self.server.address}/gallery?find=middle bed")
        link = self.server.address + self.page.locator(".lesson").first.get_attribute("href")
        page = self.page
        page.goto(link)
        page.wait_for_selector("#saved:text-is('Saved')", state="attached")
        seen = page.locator("#seen")
        expect(seen).to_contain_text("A covered claim")
        expect(seen).not_to_contain_text("parallelogram")
        page.focus("#drawing")
        for _ in range(30):
            page.keyboard.press("]")
            page.wait_for_timeout(60)
            if "covered claim" in page.locator("#heard").inner_text():
                break
        page.keyboard.press("Enter")
        one = page.locator("#seen li", has_text="KLMN")
        expect(one.last).to_contain_text(re.compile("● proved|× fails"))
        expect(page.locator("#seen li", has_text="A covered claim")).to_have_count(2)

    def test_angle_pairs_and_the_quiz(self):
        b = self.b.start("Angles")
        b.say("A = (-6, -2)", "B = (4, -1)", "C = (-5, 2)", "p is the line through A and B", "q is the parallel to p through C")
        b.say("D = (-3, -4)", "E = (1, 4)", "t is the line through D and E")
        b.escape()
        b.click(3, -1.1)
        b.click(-7, 1.8, shift=True)
        b.click(0.5, 3, shift=True)
        b.open_drawer("claims")
        self.page.click("text=Angle pairs")
        expect(self.page.locator(".pairs").first).to_contain_text("because the lines are parallel")
        self.page.select_option("[name=words]", "1")
        expect(self.page.locator("#panel .panel-title", has_text="co-interior")).to_be_visible()
        self.page.click("text=Put a quiz on the board")
        b.settle()
        b.reload()  # a line that is opened from here on knows the words
        b.settle()
        self.page.click("text=Angle pairs: ask me")
        box = self.page.locator(".quiz-box")
        for count in (1, 2):
            box.get_by_text("vertically opposite", exact=True).click()
            expect(box).to_contain_text(f"of {count} right")
        expect(box.locator(".told")).to_contain_text("angles")
        box.get_by_text("Enough").click()
        expect(box).to_be_hidden()

    def test_a_student_works_on_the_quiz(self):
        self.page.goto(f"{self.server.address}/gallery?find=leaning arch")
        page = self.page
        page.goto(self.server.address + page.locator(".lesson").first.get_attribute("href"))
        page.wait_for_selector("#saved:text-is('Saved')", state="attached")
        page.click("text=Angle pairs: ask me")
        box = page.locator(".quiz-box")
        right = 0
        for count in range(1, 9):
            asked = box.locator(".asks")
            one, other = map(int, re.findall(r"\d", asked.inner_text()))
            vertical = abs(one - other) == 2 and (one > 4) == (other > 4)
            box.get_by_text("vertical", exact=True).click()
            right += vertical
            expect(box.locator(".quiz-foot")).to_contain_text(f"{right} of {count} right")
            expect(box.locator(".told")).to_contain_text("Right" if vertical else "No")
        page.keyboard.press("Escape")
        expect(box).to_be_hidden()
