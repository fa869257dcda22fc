"""A page's scripts laid together as one, its style sheets as another: on a slow line every file beyond the sixth waits for one before it.

What stands in ``static`` stays as it is written, many small files; what is sent is made of them when it is first asked for. A bundle has
the depth of the folder of scripts, ``teacher/page/teacher.js`` for ``scripts/page/teacher.js``, so that relative addresses stay true.
"""

import json
import re
from functools import cache
from pathlib import Path

from ..core.display.palette import PENS
from .shelf import icons

STATIC = Path(__file__).parent / "static"
SCRIPTS = STATIC / "scripts"

#: The script that each page begins with, and each thread beside it, which shares nothing with the page. What is fetched later is asked
#: for below the same name, and takes from there what it shares.
PAGES = {
    "teacher": "page/teacher.js", "student": "page/student.js", "building": "page/student_builds.js", "painter": "drawing/painter.js",
}  # fmt: skip
#: The threads, by their scripts.
WORKERS = {"drawing/painter.js": "painter"}
_BOARD = ("base", "board", "bar", "drawer", "page", "small")
#: The style sheets of each page in their order.
SHEETS = {
    "lessons": ("base", "lessons"),
    "handout": ("base", "handout"),
    "board": (*_BOARD, "strip", "class"),
    "student": (*_BOARD, "student", "strip", "class"),
    "class": ("base", "page", "board", "class"),
}
#: On a teacher's board the strip under the figure is for small screens.
_SCREENS = {("board", "strip"): "(max-width: 43.75em), (max-height: 35em)"}

IMPORT = re.compile(r'^import (?:\{([^}]*)\} from )?"(\.[^"]+)";\n', re.MULTILINE)
LATER = re.compile(r'(import\(|new URL\()"(\.\.?/[\w/]+\.js)"')
TOP = re.compile(r"^(export )?(?:async )?(?:function|class|const|let) (\w+|\{[^}]*\}|\[[^\]]*\])", re.MULTILINE)
#: What is written above a function for whoever reads it.
_NOTES = re.compile(r"^ */\*\*(?:(?!\*/).)*\*/\n", re.DOTALL | re.MULTILINE)
_RULE = re.compile(r"([^{}]+)\{((?:[^{}]|\{[^{}]*\})*)\}")


def beside(path, name):
    """The script that another one names by a relative address; both below the folder of scripts."""
    return (SCRIPTS / path).parent.joinpath(name).resolve().relative_to(SCRIPTS.resolve()).as_posix()


def without_notes(path):
    """A script without its notes, in which addresses of scripts stand that are only names of types."""
    return _NOTES.sub("", (SCRIPTS / path).read_text("utf-8"))


@cache
def modules(entry):
    """A script and all that it imports at once, each after what it imports itself, as paths below the folder of scripts.

    Args:
        entry: such as "page/teacher.js".
    """
    found, begun = [], set()

    def visit(path):
        begun.add(path)
        for _, name in IMPORT.findall((SCRIPTS / path).read_text("utf-8")):
            if (other := beside(path, name)) not in begun:
                visit(other)
        found.append(path)

    visit(entry)
    return tuple(found)


def _later(path):
    """What a script fetches later is named from the folder above, which is the same for all; a thread from where it begins."""

    def named(found):
        other = beside(path, found[2])
        return f'{found[1]}"../{f"../{WORKERS[other]}/" if other in WORKERS else ""}{other}"'

    return named


def _body(path):
    """A script without its imports and its notes."""
    return LATER.sub(_later(path), IMPORT.sub("", without_notes(path)))


def _together(entry):
    """A script with all that it imports as one text, and everything that any of them exports.

    Raises:
        ValueError: where two of them call different things by one name.
    """
    owners, exported, parts = {}, [], []
    for path in modules(entry):
        text = _body(path)
        for export, names in TOP.findall(text):
            for name in re.findall(r"\w+", names):
                if owners.setdefault(name, path) != path:
                    raise ValueError(
                        f"{name} is a name in {path} and in {owners[name]}, which come in one script: call one of them otherwise"
                    )
                exported += [name] if export else []
        parts.append(re.sub(r"^export ", "", text, flags=re.MULTILINE))
    return "".join(parts) + f"export {{ {', '.join(exported)} }};\n"


@cache
def fetched_later(page):
    """The scripts that a page and its threads may fetch after the first, as addresses below the page's own.

    Args:
        page: a key of ``PAGES``.
    """
    at_once = set(modules(PAGES[page]))
    found, waiting = set(), list(at_once)
    while waiting:
        path = waiting.pop()
        text = without_notes(path)
        for _, name in (*IMPORT.findall(text), *LATER.findall(text)):
            other = beside(path, name)
            if other not in at_once | found:
                found.add(other)
                waiting += [] if other in WORKERS else [other]
    own = [path for path in found if path not in WORKERS]
    return sorted([*own, *(f"../{WORKERS[path]}/{one}" for path in found - set(own) for one in (path, *fetched_later(WORKERS[path])))])


@cache
def script(page, path):
    """What is sent for a script of a page.

    Args:
        page: a key of ``PAGES``.
        path: a script below the folder of scripts.

    Returns:
        The text, or None where there is no such script.
    """
    if page not in PAGES or not re.fullmatch(r"\w+/\w+\.js", path) or not (SCRIPTS / path).is_file():
        return None
    entry = PAGES[page]
    if path == entry:
        return _together(path)
    shared = modules(entry)

    def source(found):
        other = beside(path, found[2])
        return found[0].replace(found[2], f"../{entry if other in shared else other}")

    def later(found):
        return _later(path)(found) if beside(path, found[2]) in WORKERS else found[0]

    return LATER.sub(later, IMPORT.sub(source, (SCRIPTS / path).read_text("utf-8")))


@cache
def _words():
    """Every word that could be a class, in what makes pages."""
    web = Path(__file__).parent
    files = [*web.rglob("*.html"), *web.rglob("*.py"), *SCRIPTS.rglob("*.js"), STATIC / "vendor" / "htmx.min.js"]
    return {word for path in files for word in re.findall(r"[\w-]+", path.read_text("utf-8"))}


def _used(text):
    """The rules of a style sheet that could be about something on our pages: those whose classes are all words there."""

    def kept(selector):
        return all(name in _words() for name in re.findall(r"\.([A-Za-z][\w-]*)", selector))

    rules = []
    for head, body in _RULE.findall(text):
        if head.startswith("@"):
            inner = _used(body) if "{" in body and not head.startswith("@keyframes") else body
            rules += [f"{head}{{{inner}}}"] if inner else []
        elif selectors := [one for one in re.split(r",(?![^()]*\))", head) if kept(one)]:
            rules.append(f"{','.join(selectors)}{{{body}}}")
    return "".join(rules)


def _pens():
    """The pens as style rules, from the palette that every drawing uses."""
    light, dark = ("".join(f"--pen-{name}:{colours[place]};" for name, colours in PENS.items()) for place in (0, 1))
    return f":root{{{light}}}.dark{{{dark}}}"


@cache
def sheet(name):
    """The style sheet of a page: what of the general one is used on our pages, and our own in their order.

    Args:
        name: a key of ``SHEETS``.

    Returns:
        The text, or None where there is no such sheet.
    """
    if name not in SHEETS:
        return None
    general = re.sub(r"/\*.*?\*/|^@charset[^;]*;", "", (STATIC / "vendor" / "bootstrap.min.css").read_text("utf-8"), flags=re.DOTALL)
    parts = [_used(general), _pens()]
    for part in SHEETS[name]:
        text = re.sub(r"/\*.*?\*/\n?", "", (STATIC / "styles" / f"{part}.css").read_text("utf-8"), flags=re.DOTALL)
        screens = _SCREENS.get((name, part))
        parts.append(f"@media {screens} {{\n{text}}}\n" if screens else text)
    return "\n".join(parts)


def asked(address):
    """What is sent for an address below that of the static files: a bundle, or None where it is that of a file or of nothing."""
    if address == "icons.json":
        return icons()
    folder, _, rest = address.partition("/")
    if rest == "later.json":
        return json.dumps(fetched_later(folder)) if folder in PAGES else None
    return sheet(rest.removesuffix(".css")) if folder == "sheets" else script(folder, rest)
