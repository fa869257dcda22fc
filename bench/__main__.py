"""Measures everything and prints the table: ``python -m bench``. ``--write`` puts it into docs/measured.md, and what a teacher or an
engineer asks first into the README. With names of modules, only those are measured, and only their rows written."""

import re
import sys
from pathlib import Path

from . import browser, classes, core, files, floods, near, starting, students, thousand, worst

ROOT = Path(__file__).parent.parent
MODULES = {
    "core": core,
    "files": files,
    "browser": browser,
    "near": near,
    "students": students,
    "classes": classes,
    "thousand": thousand,
    "worst": worst,
    "floods": floods,
    "starting": starting,
}
_TABLE = re.compile(r"(?<=<!-- measured -->\n).*?(?=<!-- /measured -->)", re.DOTALL)
#: How the rows begin that stand in the README.
_ASKED = (
    "recomputing a 200-step board", "the same figure in SymPy", "10,000 shaken copies", "locus of 1,000", "reading a sentence",
    "a first verdict", "claims: every kind", "a reason for", "a region of five",
    "Is it right?", "40 hand in at once", "a 200-step board as PDF", "drag on a 200-step board, 5 steps",
    "drag beside the drawing at 300 ms of network, 5 steps", "select to offers", "1000 students",
    "a sentence on a 200-step board at 300 ms",
    "the hand in the browser", "a page that works by itself", "first visit",
    "motion of three", "opening a board page", "page weight", "40 students dragging at 20 positions a second each, 5 steps",
    "a teacher's drag to the last of", "saving and dragging beside 150 sign-ins", "starting the program",
)  # fmt: skip


def main():
    """Run the benchmarks."""
    asked = [MODULES[name] for name in sys.argv[1:] if name in MODULES] or list(MODULES.values())
    lines = []
    for module in asked:
        for what, reach, measured in module.rows():
            lines.append(f"| {what} | {reach} | {measured} |")
            print(lines[-1], flush=True)
    if "--write" in sys.argv:
        whole = len(asked) == len(MODULES)
        _write(ROOT / "docs" / "measured.md", lines, whole)
        _write(ROOT / "README.md", [line for line in lines if line.startswith(tuple(f"| {begins}" for begins in _ASKED))], whole)


def _write(path, lines, whole):
    """Put rows into the table of a file, each in the place of the one about the same, or after the row before it.

    Args:
        whole: whether nothing else stays in the table.
    """
    text = path.read_text("utf-8")
    about = lambda line: line.split(" | ")[0]
    rows = [] if whole else _TABLE.search(text)[0].splitlines()[2:]
    last = len(rows) - 1
    for line in lines:
        there = next((place for place, row in enumerate(rows) if about(row) == about(line)), None)
        if there is None:
            last += 1
            rows.insert(last, line)
        else:
            rows[there], last = line, there
    table = ["| what | reach | measured |", "|---|---|---|", *rows]
    path.write_text(_TABLE.sub(lambda _: "\n".join(table) + "\n", text), "utf-8")


if __name__ == "__main__":
    main()
