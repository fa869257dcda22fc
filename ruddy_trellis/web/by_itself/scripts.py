"""Scripts as one text that fetches nothing: what is imported later is in it too, and begun when it is asked for."""

import re
from functools import cache

from ..bundling import IMPORT, LATER, TOP, beside, modules, without_notes

#: What no page that works by itself asks for: it has no line, no class and no server.
_WITHOUT = frozenset(("board/near.js", "classroom/student.js"))


def _later(path):
    """The scripts that one asks for later, but for threads."""
    return {beside(path, name) for how, name in LATER.findall(without_notes(path)) if how == "import("} - _WITHOUT


def _all(entry):
    """What is there at once, and what is asked for later with what that needs, as two lists of paths."""
    shared = modules(entry)
    found, waiting = {}, sorted({other for path in shared for other in _later(path)})
    while waiting:
        path = waiting.pop(0)
        if path in found:
            continue
        found[path] = None
        if path not in shared:
            waiting += sorted(
                {
                    *_later(path),
                    *(beside(path, name) for _, name in IMPORT.findall(without_notes(path)) if beside(path, name) not in shared),
                }
            )
    return shared, tuple(found)


def _exported(path):
    return [name for export, names in TOP.findall(without_notes(path)) if export for name in re.findall(r"\w+", names)]


def _body(path):
    """A script without imports and exports, that asks for others by their paths."""

    def later(found):
        other = beside(path, found[2])
        if found[1] == "import(":
            return f'$later("{other}"'
        return f'$thread("{other}"'

    text = LATER.sub(later, IMPORT.sub("", without_notes(path)))
    # From a file no thread can be begun as a module.
    text = re.sub(r'(\$thread\("[^"]*"), import\.meta\.url\), \{ type: "module" \}', r"\1)", text)
    return re.sub(r"^export ", "", text, flags=re.MULTILINE).replace("import.meta.url", '"about:blank"')


def _taken(path, shared):
    """What stands in the place of the imports of a script that is begun later."""
    lines = []
    for names, name in IMPORT.findall(without_notes(path)):
        other, wanted = beside(path, name), [part.strip().split(" as ") for part in (names or "").split(",") if part.strip()]
        if other in shared:
            lines += [f"const {own[1]} = {own[0]};" for own in wanted if len(own) > 1]
        else:
            lines.append(f'const {{ {", ".join(": ".join(one) for one in wanted)} }} = $begun("{other}");')
    return "\n".join(lines)


@cache
def as_one(entry):
    """A script with all that it ever asks for, as one text to run inside a function.

    Args:
        entry: such as "page/student.js".

    Returns:
        The text. A thread is asked of a function ``$thread``, by its script, which gives its address.
    """
    shared, later = _all(entry)
    parts = []
    for path in later:
        if path in shared:
            body = ""
        else:
            body = f"{_taken(path, shared)}\n{_body(path)}"
        parts.append(f'"{path}": () => {{\n{body}return {{ {", ".join(_exported(path))} }};\n}}')
    known = "{\n" + ",\n".join(parts) + "\n}"
    return (
        f"const $scripts = {known};\nconst $had = {{}};\n"
        "const $begun = (path) => ($had[path] ??= $scripts[path]());\n"
        "const $later = async (path) => $begun(path);\n" + "".join(map(_body, shared))
    )
