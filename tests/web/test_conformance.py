"""Every page and panel conforms to the standard in how its elements stand in one another."""

from .conformance import Conformance
from .served import WebTest


class ConformanceTest(WebTest):
    def test_faults_are_seen(self):
        for faulty in (
            "<span><form></form></span>", "<ul><p></p></ul>", "<p><div></div></p>", "<a href='/'><button>x</button></a>", "<div>",
            "<b id=x></b><b id=x></b>", "<label for=x>y</label>", "<div></p></div>", "<img src=x>",
        ):  # fmt: skip
            self.assertTrue(Conformance(faulty).faults, faulty)
        self.assertEqual(Conformance("<ul><li><a href='/'><span>x</span></a><div><form></form></div></li></ul>").faults, [])

    def test_all_pages_and_panels(self):
        lesson, board = self.own_lessons()[0]
        shared = self.lessons.gallery()[0][0].share_key
        pages = [
            "/", "/gallery", "/account", "/help", "/help?find=midpoint", "/help/midpoint", "/help/about/keys", "/help/about/claims",
            "/help/about/for-the-technician", "/nothing", "/?page=0", f"/lessons/{lesson.slug}", f"/open/{shared}", f"/embed/{shared}",
            f"/boards/{board}/handout", "/embed/help/midpoint",
        ]  # fmt: skip
        panels = ["working", "readings", "log", "motions", "history", "claims", "where", "loose", "look", "out", "angles", "recipe"]
        addresses = [*pages, *(f"/boards/{one}/panels/{panel}" for _, one in self.own_lessons()[:6] for panel in panels)]
        stranger = self.new_client()
        checked = 0
        for client, asked in ((self.client, addresses), (stranger, ["/", "/sign-in", "/register", "/gallery", f"/open/{shared}"])):
            for address in asked:
                answer = client.get(address, headers={"accept": "text/html"})
                if "html" not in answer.headers.get("content-type", ""):
                    continue
                with self.subTest(address):
                    self.assertEqual(Conformance(answer.text).faults, [])
                    checked += 1
        self.assertGreater(checked, 60)
