"""Measures everything and prints the table: ``python -m bench``. ``--write`` puts it into docs/measured.md, and what a teacher or an
engineer asks first into the README. With names of modules, only those are measured and nothing is written."""

import re
import sys
from pathlib import Path

from . import browser, core, files, floods, starting, students, worst

ROOT = Path(__file__).parent.parent
MODULES = {"core": core, "files": files, "browser": browser, "students": students, "worst": worst, "floods": floods, "starting": starting}
_TABLE = re.compile(r"(?<=<!-- measured -->\n).*?(?=<!-- /measured -->)", re.DOTALL)
#: How the rows begin that stand in the README.
_ASKED = (
    "recomputing a 200-step board", "the same figure in SymPy", "10,000 shaken copies", "locus of 1,000", "reading a sentence",
    "a first verdict", "claims: every kind", "a region of five",
    "Is it right?", "40 hand in at once", "a 200-step board as PDF", "drag on a 200-step board, 5 steps",
    "motion of three", "opening a board page", "page weight", "40 students dragging at 20 positions a second each, 5 steps",
    "saving and dragging beside 150 sign-ins", "starting the program",
)  # fmt: skip


def main():
    """Run the benchmarks."""
    asked = [MODULES[name] for name in sys.argv[1:] if name in MODULES] or list(MODULES.values())
    head = ["| what | reach | measured |", "|---|---|---|"]
    lines = []
    for module in asked:
        for what, reach, measured in module.rows():
            lines.append(f"| {what} | {reach} | {measured} |")
            print(lines[-1], flush=True)
    if "--write" in sys.argv and len(asked) == len(MODULES):
        _write(ROOT / "docs" / "measured.md", [*head, *lines])
        _write(ROOT / "README.md", [*head, *(line for line in lines if line.startswith(tuple(f"| {begins}" for begins in _ASKED)))])


def _write(path, lines):
    path.write_text(_TABLE.sub(lambda _: "\n".join(lines) + "\n", path.read_text("utf-8")), "utf-8")


if __name__ == "__main__":
    main()
