"""What a browser fetches to run the hand: the runtime, packed as it lies in ``runtime``, and the core, packed from the files that the
server itself runs."""

import ast
import gzip
import io
import json
import zipfile
from functools import cache
from hashlib import sha256
from pathlib import Path

_HERE = Path(__file__).parent
_RUNTIME, _STANDING_IN = _HERE / "runtime", _HERE / "standing_in"
_PACKAGE = _HERE.parent
#: What of ``near`` runs in the browser.
_BESIDE = ("__init__.py", "lone.py", "away.py", "beside.py", "by_itself.py", "compiled.py")
#: A time that is the same at every start, so that the archive is too.
_THEN = (2026, 1, 1, 0, 0, 0)

#: What the runtime asks of a list of packages, of which there are none: which build it is.
LOCK = json.dumps({"info": {"abi_version": "2026_0", "arch": "wasm32", "platform": "emscripten_5_0_3", "python": "3.14.2"}, "packages": {}})


def runtime_version() -> str:
    """The version of the runtime."""
    return (_RUNTIME / "version.txt").read_text("utf-8").strip()


@cache
def runtime_file(name: str) -> bytes | None:
    """A file of the runtime, packed by gzip; None where there is no such file."""
    path = _RUNTIME / f"{name}.gz"
    return path.read_bytes() if name.replace(".", "").replace("_", "").isalnum() and path.is_file() else None


def weight() -> int:
    """How many bytes the runtime and the core have, packed."""
    return sum(path.stat().st_size for path in _RUNTIME.glob("*.gz")) + len(core_packed())


@cache
def core_archive() -> bytes:
    """The core and what runs it in the browser, as one archive of sources, not packed; the same bytes for the same files."""
    files = {path.relative_to(_PACKAGE.parent).as_posix(): path for path in (_PACKAGE / "core").rglob("*.py")}
    return _archive(files | {f"ruddy_trellis/near/{name}": _HERE / name for name in _BESIDE}, zipfile.ZIP_STORED)


@cache
def core_packed() -> bytes:
    """The same as it goes over the line: packed as one, which is a fifth less than file by file."""
    return gzip.compress(core_archive(), 9, mtime=0)


@cache
def lone_archive() -> bytes:
    """The same for a page that works by itself: of the core what its hand uses, and nothing that proves or gives reasons."""
    found: dict[str, Path] = {}
    waiting = [_HERE / "by_itself.py"]
    while waiting:
        path = waiting.pop()
        name = path.relative_to(_PACKAGE.parent).as_posix()
        if name in found or not path.is_file():
            continue
        found[name] = path
        waiting += [folder / "__init__.py" for folder in path.parents if _PACKAGE in folder.parents]
        waiting += _imported(path)
    return _archive(found, zipfile.ZIP_DEFLATED)


def _imported(path: Path) -> list[Path]:
    """The files that a file of ours imports of ours, and some that are not there."""
    found = []
    for node in ast.walk(ast.parse(path.read_text("utf-8"))):
        if isinstance(node, ast.ImportFrom) and node.level:
            base = path.parents[node.level - 1].joinpath(*(node.module or "").split("."))
            each = [base, *(base / one.name for one in node.names)]
            found += [one.with_suffix(".py") for one in each] + [one / "__init__.py" for one in each]
    return found


def _archive(files: dict[str, Path], packed: int) -> bytes:
    files = files | {path.relative_to(_STANDING_IN).as_posix(): path for path in _STANDING_IN.rglob("*.py")}
    kept = io.BytesIO()
    with zipfile.ZipFile(kept, "w", packed, compresslevel=9) as archive:
        archive.writestr(zipfile.ZipInfo("ruddy_trellis/__init__.py", _THEN), "")
        for name, path in sorted(files.items()):
            archive.writestr(zipfile.ZipInfo(name, _THEN), path.read_bytes(), packed, 9)
    return kept.getvalue()


@cache
def core_mark() -> str:
    """A mark of the core's archive: another one for other files."""
    return sha256(core_archive()).hexdigest()[:16]
