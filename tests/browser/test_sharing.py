"""Sharing in the browser: signing in, frames in a class page, a tablet, private lessons."""

from playwright.sync_api import expect

from .board_page import BoardPage
from .served import BrowserTest
from .student_page import StudentPage


class SharingTest(BrowserTest):
    class_site = True
    expected = ("status of 404", "status of 422", "frame-ancestors")

    def test_register_make_a_lesson_sign_out_and_in_again(self):
        page = self.open_page(sign_in=None)
        page.goto(self.server.address)
        page.click("text=Make an account")
        page.fill("#name", "Robin Alder")
        page.fill("#password", "a gate of oak")
        page.click("button:text-is('Make the account')")
        sign_in = page.locator("main p b").inner_text()
        expect(page.locator("[role=status]")).to_contain_text(f"Your sign-in is {sign_in}")
        b = BoardPage(page, self.server.address).start("My first bed")
        b.say("A=(0,0)")
        address = page.url
        page.goto(self.server.address)
        page.click("text=Sign out")
        page.goto(address)
        expect(page.locator("h1")).to_have_text("Not found")
        page.click("main >> text=sign in")
        page.fill("#sign-in", sign_in)
        page.fill("#password", "not this one")
        page.keyboard.press("Enter")
        expect(page.locator("[role=alert]")).to_contain_text("do not go together")
        self.assertEqual(page.input_value("#sign-in"), sign_in, "what was typed is kept")
        page.fill("#password", "a gate of oak")
        page.keyboard.press("Enter")
        b._ready()
        self.assertEqual(b.working(), ["A is a free point at (0, 0)"])

    def test_a_class_page_shows_a_lesson_that_works_and_only_embed_pages_can_be_framed(self):
        page = self.open_page(sign_in=None)
        page.goto(self.server.class_address)
        frame = page.frame_locator("iframe")
        expect(frame.locator("#saved")).to_have_text("Saved")
        expect(frame.locator(".reveal button[aria-pressed=true]")).to_have_count(0)
        frame.locator("#story-next").click()
        expect(frame.locator(".reveal button[aria-pressed=true]")).to_have_count(1)
        # The corner A of the bed is dragged inside the frame, and is where it was left after a reload.
        s = StudentPage(page, self.server).look_into(frame)
        s.drag_point("A", (-5, -2), (-5, -1), drop=False)
        page.mouse.up()
        expect(frame.locator("#undo")).to_be_enabled()
        self.assertEqual(s.value("A"), (-5, -1))
        page.reload()
        expect(frame.locator("#undo")).to_be_enabled()
        expect(frame.locator(".reveal button[aria-pressed=true]")).to_have_count(1)
        # Any other page of ours shows nothing in a frame.
        link = page.input_value("#lesson")
        page.evaluate("address => document.querySelector('iframe').src = address", link)
        page.wait_for_timeout(700)
        self.assertNotIn("/open/", page.frames[1].url)
        page.goto(f"{self.server.class_address}/?lesson={link}x")
        expect(page.locator("[role=alert]")).to_contain_text("No lesson that is open to others")


class TabletTest(BrowserTest):
    screen = {"viewport": {"width": 820, "height": 1100}, "has_touch": True}

    def test_a_finger_that_rests_before_it_drags(self):
        page = self.open_page(sign_in=None)
        page.goto(self.server.address + "/gallery")
        page.tap(".lesson:has-text('Sliding the corner')")
        s = StudentPage(page, self.server)._ready()
        touch = page.context.new_cdp_session(page)

        def finger(kind, *place):
            touch.send("Input.dispatchTouchEvent", {"type": kind, "touchPoints": [{"x": place[0], "y": place[1]}] if place else []})
            page.wait_for_timeout(40)

        x, y = s.pixel(*s.value("B"))
        before, apex = s.value("B")[0], s.value("C")
        finger("touchStart", x + 9, y + 7)
        page.wait_for_timeout(800)
        for step in range(1, 9):
            finger("touchMove", x + 9 + 10 * step, y + 7)
        finger("touchEnd")
        s.settle()
        self.assertGreater(s.value("B")[0], before + 0.5)
        self.assertEqual(s.value("C"), apex)
        page.tap("#undo")
        s.settle()
        self.assertEqual(s.value("B")[0], before)
