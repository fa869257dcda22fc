"""The page: its boards, what runs them, how it looks, in one text."""

import json
import re
from base64 import b64encode
from functools import cache
from gzip import compress, decompress
from hashlib import sha256
from typing import Any, NamedTuple

from ...core.board import Board
from ...core.challenge import Challenge
from ...core.challenge.answer_key import answer_key
from ...core.hand import Alone, StudentHand
from ...core.kits import kit_of
from ...core.lesson.student_copy import student_copy
from ...drawings.small_photograph import small_photograph
from ...near.by_itself import board_there, page_data
from ...near.shipping import LOCK, lone_archive, runtime_file, weight
from ..bundling import SCRIPTS, STATIC, sheet
from ..rendering import drawing_look, templates
from ..shelf import kit_shelf
from .scripts import as_one

#: What the page may do: run its own scripts and the runtime in threads made of them, and ask nothing of anybody.
POLICY = (
    "default-src 'none'; script-src 'unsafe-inline' blob: 'wasm-unsafe-eval'; worker-src blob:; style-src 'unsafe-inline'; "
    "img-src data: blob:; font-src data:; connect-src data:; base-uri 'none'; form-action 'none'"
)
#: How many bytes pictures have in all at most.
_PICTURES = 3_000_000
_DATA, _SCRIPT = "application/json", "text/plain"


class Given(NamedTuple):
    """A board that goes out.

    Attributes:
        board: the teacher's.
        challenge: the one beside it, or None.
        solution: of that, where the page shall tell what is right; else None.
        recipes: those of its kit as JSON, by key.
        photograph: the bytes of the picture under it, or None.
    """

    board: Board
    challenge: Challenge | None
    solution: Board | None
    recipes: dict[str, Any]
    photograph: bytes | None


def by_itself(title, boards, angle_words=0):
    """The page as a text.

    Args:
        title: of the lesson.
        angle_words: what pairs of angles are called where its teacher teaches.
        boards: each as ``Given``.

    Raises:
        Refusal: where an answer cannot be told in a page.
    """
    each = _PICTURES // max(sum(one.photograph is not None for one in boards), 1)
    titles = [(number, one.board.settings.title) for number, one in enumerate(boards, 1)]
    made = [_board(title, titles, number, one, each, angle_words) for number, one in enumerate(boards, 1)]
    text = _json({"title": title, "boards": made, "mark": sha256(_json(made).encode()).hexdigest()[:16]})
    entries = sorted({"page/student_builds.js" if " builds" in one["classes"] else "page/student.js" for one in made})
    return templates.get_template("by_itself.html").render(
        title=title, policy=POLICY, sheet=_sheet(), parts=[("file", _DATA, text), *_parts()], script=_script(tuple(entries))
    )


def weighs():
    """About how many bytes a page has without pictures, told without making one: nearly all are the runtime's and the core's, as text."""
    return weight() * 4 // 3


def _json(value):
    """JSON that ends no script it stands in."""
    return json.dumps(value, separators=(",", ":"), default=list).replace("<", "\\u003c")


def _board(title, titles, number, given, room, angle_words):
    board, challenge, solution, recipes, photograph = given
    copy, kit = student_copy(board), kit_of(board.settings)
    key = answer_key(challenge, solution, copy) if challenge and solution and kit.builds else None
    data = page_data(copy, list(challenge.hints) if challenge else [], recipes, angle_words, key)
    made = templates.get_template("student.html").render(
        base="by_itself_board.html", itself=True, lesson={"title": title}, board=board, live={"id": number}, titles=titles, way="itself",
        kit=kit, shelf=kit_shelf(kit), student=True, look=drawing_look(), line="/board", fresh="",
        challenge=challenge if kit.builds else None, judges=key is not None,
    )  # fmt: skip
    classes, _, page = made.strip().partition("\n")
    return {
        "title": board.settings.title, "classes": classes, "page": page, "data": data, "first": _first(copy, data),
        "photograph": f"data:image/jpeg;base64,{_base64(small_photograph(photograph, room))}" if photograph else None,
    }  # fmt: skip


def _first(copy, data):
    """What the page is told first, with what it can draw."""
    alone = Alone(board_there(data), StudentHand)
    alone.board.verdicts = copy.verdicts
    return alone.hand.welcome()


def _base64(content):
    return b64encode(content).decode()


@cache
def _parts():
    """What is the same in every page: for each part an id, a kind and a content."""
    fonts = {weight: f"data:font/woff2;base64,{_base64(_font(weight))}" for weight in (400, 700)}
    return (
        ("fonts", _DATA, json.dumps(fonts)),
        ("lock", _DATA, LOCK),
        ("starts", _SCRIPT, _base64(compress(_starts().encode(), 9, mtime=0))),
        ("thread", _SCRIPT, _in_page((SCRIPTS / "by_itself" / "thread.js").read_text("utf-8"))),
        ("painter", _SCRIPT, _in_page(as_one("drawing/painter.js"))),
        ("wasm", _SCRIPT, _base64(_runtime("pyodide.asm.wasm"))),
        ("library", _SCRIPT, _base64(_runtime("python_stdlib.zip"))),
        ("core", _SCRIPT, _base64(lone_archive())),
    )


def _runtime(name):
    packed = runtime_file(name)
    assert packed is not None, f"{name} belongs to the program"
    return packed


def _font(weight):
    return (STATIC / "fonts" / f"atkinson-hyperlegible-latin-{weight}-normal.woff2").read_bytes()


def _in_page(script):
    """A script that ends no script it stands in."""
    return re.sub(r"</(?=script)|<!(?=--)", lambda found: found[0][0] + "\\" + found[0][1:], script, flags=re.IGNORECASE)


def _starts():
    """What starts the runtime, which is written as two modules, as one script that is none: from a file no thread is begun as a
    module."""
    starter = decompress(_runtime("pyodide.mjs")).decode()
    starter = re.sub(r"export\{(\w+) as loadPyodide,.*?\};?", r"return \1;", starter)
    machine = decompress(_runtime("pyodide.asm.mjs")).decode().replace("import.meta.url", '"https://nowhere.invalid/"')
    machine = re.sub(r"export default (\w+);?", r"return \1;", machine)
    return f"const createPyodideModule = (() => {{\n{machine}\n}})();\nconst loadPyodide = (() => {{\n{starter}\n}})();\n"


@cache
def _sheet():
    """The style sheet of a student's page, but for the fonts, which are in the page once."""
    return re.sub(r"@font-face\s*\{[^}]*\}", "", sheet("student"))


@cache
def _script(entries):
    """The script of the page, for boards to look at, to build on, or both."""
    builds = {True: "page/student_builds.js", False: "page/student.js"}
    begun = "\n".join(
        f'if (board.classes.includes("builds") === {str(is_so).lower()}) (($thread) => {{\n{as_one(entry)}\n}})(threadOf);'
        for is_so, entry in builds.items()
        if entry in entries
    )
    return _in_page((SCRIPTS / "by_itself" / "page.js").read_text("utf-8") + begun)
