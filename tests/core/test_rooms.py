"""A room uses the rooms written above it in the list, and none below: the shape of the house (docs/architecture.md)."""

import ast
import unittest
from pathlib import Path

import ruddy_trellis

PACKAGE = Path(ruddy_trellis.__file__).parent

#: The rooms from the bottom up. A file that stands in no room of its own is named with its ending left out.
ROOMS = (
    "early",
    "core/refusal", "core/limits", "core/kinds", "core/seen", "core/late",
    "core/arithmetic", "core/formulas", "core/regions", "core/language", "core/display", "core/sampling",
    "core/catalogue", "core/board", "core/edits", "core/kits", "core/speech", "core/pointing", "core/truth", "core/challenge", "core/hand",
    "core/lesson", "core/classroom", "core/figure", "core",
    "near/lone", "near/away", "near/beside", "near/by_itself", "near/compiled", "near/standing_in", "near/shipping", "near",
    "drawings", "incoming", "store", "class_site", "demo", "web/access_log", "web/security", "web/options",
    "web/worker", "web/shelf", "web/near", "web/bundling", "web/rendering", "web/photographs", "web/by_itself",
    "web/people", "web/live", "web/lessons",
    "web/classroom", "web/watching", "web/doors", "web/application",
    "commands", "__main__",
)  # fmt: skip
#: What a room may not take from outside, besides our own rooms above it.
FORBIDDEN = {
    "core": {"fastapi", "starlette", "sqlmodel", "sqlalchemy", "jinja2", "markupsafe", "html"},
    "store": {"fastapi", "starlette", "jinja2"},
    "drawings": {"fastapi", "sqlmodel"},
    "incoming": {"fastapi", "sqlmodel"},
}
#: Rooms that are above others but have no business with them.
APART = {"store": "core", "class_site": "core"}


def room_of(path):
    """The room of a file, given by its path within the package without the ending."""
    return max((room for room in ROOMS if path == room or path.startswith(f"{room}/")), key=len, default=None)


def imported(path):
    """Pairs of what a file imports, our own as a path within the package, and whether that is done inside a function."""
    here = path.relative_to(PACKAGE).parts[:-1]
    tree = ast.parse(path.read_text("utf-8"))
    inner = {
        id(node)
        for function in ast.walk(tree)
        if isinstance(function, (ast.FunctionDef, ast.AsyncFunctionDef))
        for node in ast.walk(function)
    }
    for node in ast.walk(tree):
        if isinstance(node, ast.Import):
            yield from ((name.name.split(".")[0], id(node) in inner) for name in node.names)
        elif isinstance(node, ast.ImportFrom):
            if node.level == 0:
                yield node.module.split(".")[0], id(node) in inner
                continue
            base = [*here[: len(here) - node.level + 1], *(node.module.split(".") if node.module else [])]
            for name in node.names:
                whole = "/".join([*base, name.name])
                is_file = (PACKAGE / f"{whole}.py").exists() or (PACKAGE / whole).is_dir()
                yield whole if is_file else "/".join(base), id(node) in inner


class RoomsTest(unittest.TestCase):
    def test_every_room_uses_only_those_below_it(self):
        for path in PACKAGE.rglob("*.py"):
            name = path.relative_to(PACKAGE).with_suffix("").as_posix().removesuffix("/__init__")
            if "migrations" in name or name in ("__init__", "web"):
                continue
            own = room_of(name)
            self.assertIsNotNone(own, f"{name} stands in no room")
            for other, inner in imported(path):
                with self.subTest(f"{name} uses {other}"):
                    self.assertFalse(inner, "an import inside a function hides what a file uses")
                    room = room_of(other)
                    if room is None:
                        self.assertNotIn(other, FORBIDDEN.get(name.split("/")[0], ()))
                        continue
                    self.assertLessEqual(ROOMS.index(room), ROOMS.index(own))
                    self.assertNotEqual(APART.get(own), room.split("/")[0])

    def test_no_circle_of_files(self):
        uses = {}
        for path in PACKAGE.rglob("*.py"):
            name = path.relative_to(PACKAGE).with_suffix("").as_posix()
            found = (other if (PACKAGE / f"{other}.py").exists() else f"{other}/__init__" for other, _ in imported(path))
            uses[name] = {other for other in found if (PACKAGE / f"{other}.py").exists()} - {name}
        # A file that uses nothing that is left can be taken away; what stays in the end goes round in a circle.
        while free := [name for name, others in uses.items() if not others & set(uses)]:
            for name in free:
                del uses[name]
        self.assertEqual(uses, {})

    def test_the_check_sees_imports(self):
        self.assertIn("core/board", {other for other, _ in imported(PACKAGE / "web" / "live" / "live_board.py")})
        self.assertIn("store", {other for other, _ in imported(PACKAGE / "web" / "application.py")})
        self.assertEqual(room_of("core/board/step"), "core/board")
