"""What is sent in one piece is what the single files say, and nothing in it is lost or meant twice."""

import re
import tempfile
import unittest
from pathlib import Path
from unittest import mock

from ruddy_trellis.web import bundling
from tests.web.served import WebTest


class ScriptsTest(unittest.TestCase):
    def test_each_page_comes_as_one_script_with_all_that_it_needs(self):
        exported = re.compile(r"^export (?:async )?(?:function|class|const|let) (\w+)", re.MULTILINE)
        for page, entry in bundling.PAGES.items():
            with self.subTest(page):
                text = bundling.script(page, entry)
                self.assertNotRegex(text, r"(?m)^import ")
                for path in bundling.modules(entry):
                    for name in exported.findall((bundling.SCRIPTS / path).read_text("utf-8")):
                        self.assertRegex(text, rf"(?m)^(?:async )?(?:function|class|const|let) {name}\b")
                        self.assertRegex(text.splitlines()[-1], rf"\b{name}\b")

    def test_nothing_but_notes_is_left_out(self):
        for path in bundling.SCRIPTS.rglob("*.js"):
            text = bundling.without_notes(path.relative_to(bundling.SCRIPTS).as_posix())
            is_note = False
            for line in path.read_text("utf-8").splitlines():
                begins = line.lstrip().startswith("/**")
                is_note = is_note or begins
                if not is_note or (begins and not line.endswith("*/") and "*/" in line):
                    self.assertIn(line, text, path.name)
                    is_note = is_note and "*/" not in line
                elif "*/" in line:
                    is_note = False

    def test_what_comes_later_shares_what_the_page_has(self):
        """A second copy of a module would have a state of its own."""
        for page, entry in bundling.PAGES.items():
            shared = bundling.modules(entry)
            for path in bundling.SCRIPTS.rglob("*.js"):
                name = path.relative_to(bundling.SCRIPTS).as_posix()
                if name in bundling.WORKERS or name == entry:
                    continue
                text = bundling.script(page, name)
                for address in re.findall(r'(?m)^import .*"(\..+)";', text):
                    self.assertTrue(address == f"../{entry}" or address.removeprefix("../") not in shared, (page, name, address))

    def test_what_is_fetched_later_is_there(self):
        for page, entry in bundling.PAGES.items():
            found = re.findall(r'(?:import\(|new URL\()"\.\./([^"]+\.js)"', bundling.script(page, entry))
            self.assertTrue(found)
            for address in found:
                where = address.removeprefix("../") if address.startswith("../") else f"{page}/{address}"
                self.assertIsNotNone(bundling.asked(where), address)

    def test_a_thread_has_nothing_of_the_page(self):
        for path, name in bundling.WORKERS.items():
            self.assertEqual(bundling.PAGES[name], path)
            for text in (
                bundling.script(name, path),
                bundling.script(name, "drawing/trails.js"),
                bundling.script(name, "drawing/instruments.js"),
            ):
                self.assertNotRegex(text, r"\bdocument\.(?!createElement)|page/\w+\.js")
            self.assertIn(f'new URL("../../{name}/{path}"', bundling.script("teacher", bundling.PAGES["teacher"]))

    def test_two_things_of_one_name_are_told_apart(self):
        with tempfile.TemporaryDirectory() as folder:
            room = Path(folder) / "page"
            room.mkdir()
            (room / "teacher.js").write_text('import { here } from "./other.js";\nconst last = 1;\nhere(last);\n')
            (room / "other.js").write_text("const last = 2;\nexport function here() {\n  return last;\n}\n")
            bundling.modules.cache_clear()
            self.addCleanup(bundling.modules.cache_clear)
            with mock.patch.object(bundling, "SCRIPTS", Path(folder)), self.assertRaisesRegex(ValueError, "last is a name in"):
                bundling._together("page/teacher.js")

    def test_only_scripts_are_sent(self):
        for page, path in (("teacher", "page/none.js"), ("nobody", "page/teacher.js"), ("teacher", "../web/doors.js"), ("teacher", "")):
            self.assertIsNone(bundling.script(page, path))
        for address in ("sheets/none.css", "sheets", "teacher/page", "fonts/LICENSE"):
            self.assertIsNone(bundling.asked(address))


class SheetsTest(WebTest):
    def test_rules_about_what_is_on_the_pages_are_all_kept(self):
        general = (bundling.STATIC / "vendor" / "bootstrap.min.css").read_text("utf-8")
        lesson = self.client.post("/lessons", data={"title": "New"}, follow_redirects=False).headers["location"]
        used = set()
        for address in ("/", "/gallery", "/help", lesson, "/account"):
            for names in re.findall(r'class="([^"]+)"', self.client.get(address).text):
                used |= set(names.split())
        sheet = bundling.sheet("lessons")
        ours = {name for name in used if re.search(rf"\.{name}\b(?!-)", general)}
        self.assertGreater(len(ours), 3)
        for name in ours:
            self.assertRegex(sheet, rf"\.{name}\b(?!-)")
        self.assertLess(len(sheet), len(general) / 4)

    def test_braces_and_order(self):
        for name, parts in bundling.SHEETS.items():
            text = bundling.sheet(name)
            self.assertEqual(text.count("{"), text.count("}"), name)
            self.assertIn("--pen-ruddy", text)
            places = []
            for part in parts:
                own = (bundling.STATIC / "styles" / f"{part}.css").read_text("utf-8")
                last = own.rstrip().removesuffix("}").rstrip().splitlines()[-1]
                places.append(text.index(last, places[-1] if places else 0))
            self.assertEqual(places, sorted(places))

    def test_a_sheet_is_sent_to_be_kept(self):
        page = self.client.get("/").text
        address = re.search(r'href="(/static/\d+/sheets/lessons\.css)"', page)[1]
        answer = self.client.get(address)
        self.assertEqual(answer.headers["content-type"].split(";")[0], "text/css")
        self.assertIn("immutable", answer.headers["cache-control"])
        self.assertEqual(self.client.get(address.replace("lessons.css", "none.css")).status_code, 404)
