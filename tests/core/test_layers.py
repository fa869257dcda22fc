"""Core knows neither store nor web, and store not web."""

import ast
import unittest
from pathlib import Path

import ruddy_trellis

PACKAGE = Path(ruddy_trellis.__file__).parent
FORBIDDEN = {
    "core": {"store", "web", "drawings", "demo", "fastapi", "starlette", "sqlmodel", "sqlalchemy", "jinja2", "markupsafe", "html"},
    "store": {"web", "core", "drawings", "fastapi", "starlette", "jinja2"},
    "drawings": {"web", "store", "fastapi", "sqlmodel"},
}


def imported(path):
    """The names of packages that a file imports, those of our own by their folder."""
    here = path.relative_to(PACKAGE).parts[:-1]
    for node in ast.walk(ast.parse(path.read_text("utf-8"))):
        if isinstance(node, ast.Import):
            yield from (name.name.split(".")[0] for name in node.names)
        elif isinstance(node, ast.ImportFrom):
            if node.level == 0:
                yield node.module.split(".")[0]
            else:
                base = here[: len(here) - node.level + 1]
                full = [*base, *((node.module or "").split(".") if node.module else [])]
                yield from full[:1] or [name.name for name in node.names]


class LayersTest(unittest.TestCase):
    def test_imports_point_downwards(self):
        for layer, forbidden in FORBIDDEN.items():
            files = list((PACKAGE / layer).rglob("*.py"))
            self.assertTrue(files)
            for path in files:
                with self.subTest(path.relative_to(PACKAGE)):
                    self.assertEqual(set(imported(path)) & forbidden, set())

    def test_the_check_sees_imports(self):
        self.assertIn("core", set(imported(PACKAGE / "web" / "live_board.py")))
        self.assertIn("store", set(imported(PACKAGE / "web" / "application.py")))
