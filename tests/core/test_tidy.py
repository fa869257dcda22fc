"""The code is formatted, linted and typed; scripts and styles too."""

import subprocess
import sys
import unittest
from pathlib import Path

ROOT = Path(__file__).parent.parent.parent
TOOLS = Path(sys.executable).parent
#: The longest line that people are asked to read; what is shipped from others is as it is.
LONGEST = 140


class TidyTest(unittest.TestCase):
    def run_tool(self, *words):
        done = subprocess.run([str(TOOLS / words[0]), *words[1:]], cwd=ROOT, capture_output=True, text=True, check=False)
        self.assertEqual(done.returncode, 0, done.stdout + done.stderr)

    def test_format(self):
        self.run_tool("ruff", "format", "--check", ".")

    def test_lint(self):
        self.run_tool("ruff", "check", ".")

    def test_types(self):
        self.run_tool("mypy")

    def test_what_other_commands_run_can_be_loaded(self):
        """Benchmarks, campaigns and pictures are run by nobody every day: what they take from the tests has to be there."""
        folders = (ROOT / "bench", ROOT / "tests" / "campaign", ROOT / "tests" / "chromium")
        paths = [path for folder in folders for path in sorted(folder.glob("*.py"))]
        names = [".".join(path.relative_to(ROOT).with_suffix("").parts) for path in [*paths, *sorted((ROOT / "docs").glob("*.py"))]]
        self.assertIn("bench.near", names)
        wanted = ", ".join(name.removesuffix(".__init__") for name in names if not name.endswith("run_there"))
        done = subprocess.run([sys.executable, "-c", f"import {wanted}"], cwd=ROOT, capture_output=True, text=True, check=False)
        self.assertEqual(done.returncode, 0, done.stderr)

    def test_scripts_and_styles(self):
        self.run_tool("biome", "ci", "ruddy_trellis")

    def test_lines_of_templates(self):
        for path in (ROOT / "ruddy_trellis").rglob("*.html"):
            for number, line in enumerate(path.read_text("utf-8").splitlines(), 1):
                with self.subTest(f"{path.name}:{number}"):
                    self.assertLessEqual(len(line), LONGEST)
