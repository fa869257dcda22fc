"""The core's tests in a thread of Chromium, with the runtime and the stand-ins that a page has."""

import gzip
import io
import json
import sysconfig
import threading
import zipfile
from collections.abc import Iterator, Sequence
from functools import partial
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from pathlib import Path
from typing import Any

from playwright.sync_api import sync_playwright

from ruddy_trellis.near import shipping

from .not_there import NOT_THERE

HERE = Path(__file__).parent
TESTS = HERE.parent
#: All tests of the core.
MODULES = [f"tests.core.{path.stem}" for path in sorted((TESTS / "core").glob("test_*.py"))]
#: Of the program, besides the core, what its tests read.
_BESIDES = ("demo/**/*", "drawings/**/*.py", "web/help/*.md")
#: Folders of the standard library that no test asks for.
_LEFT_OUT = ("test", "idlelib", "tkinter", "lib2to3", "turtledemo", "site-packages", "ensurepip", "pydoc_data", "config-")
#: How long a module may take, milliseconds.
LIMIT = 400_000

_TYPES = {"html": "text/html", "js": "text/javascript", "mjs": "text/javascript", "wasm": "application/wasm", "zip": "application/zip"}


def archive() -> bytes:
    """The core with what stands in for libraries, its tests, and what these need of the program."""
    kept = io.BytesIO(shipping.core_archive())
    program = Path(shipping.__file__).parent.parent
    with zipfile.ZipFile(kept, "a", zipfile.ZIP_DEFLATED) as made:
        for path in (TESTS / "__init__.py", *sorted(TESTS.glob("core/*")), *sorted(TESTS.glob("bank/*"))):
            if path.is_file():
                made.write(path, path.relative_to(TESTS.parent).as_posix())
        for path in (path for pattern in _BESIDES for path in sorted(program.glob(pattern))):
            if path.is_file() and "__pycache__" not in path.parts:
                made.write(path, path.relative_to(program.parent).as_posix())
        for path in sorted((HERE / "standing_in").rglob("*.py")):
            made.write(path, path.relative_to(HERE / "standing_in").as_posix())
    return kept.getvalue()


def library() -> bytes:
    """The standard library of this interpreter, for what the runtime's own, which is trimmed, has not."""
    kept = io.BytesIO()
    root = Path(sysconfig.get_paths()["stdlib"])
    with zipfile.ZipFile(kept, "w", zipfile.ZIP_DEFLATED) as made:
        for path in sorted(root.rglob("*.py")):
            name = path.relative_to(root).as_posix()
            if not name.startswith(_LEFT_OUT) and "/test" not in name:
                made.write(path, name)
    return kept.getvalue()


class _Handler(BaseHTTPRequestHandler):
    """Hands out the page, its thread, the runtime and the archive."""

    def __init__(self, files: dict[str, bytes], *more: Any) -> None:
        self.files = files
        super().__init__(*more)

    def do_GET(self) -> None:
        name = self.path.lstrip("/") or "run.html"
        content = self.files.get(name)
        if content is None and (packed := shipping.runtime_file(name)) is not None:
            content = self.files[name] = gzip.decompress(packed)
        self.send_response(200 if content is not None else 404)
        self.send_header("Content-Type", _TYPES.get(name.rsplit(".", 1)[-1], "application/octet-stream"))
        self.send_header("Content-Length", str(len(content or b"")))
        self.end_headers()
        self.wfile.write(content or b"")

    def log_message(self, format: str, *args: Any) -> None:
        """Nothing is told of what is handed out."""


def run(names: Sequence[str]) -> Iterator[dict[str, Any]]:
    """Run modules of tests, each in a thread of its own.

    Yields:
        ``name``, ``passed``, ``failed`` (tests with what went wrong) and ``absent`` (tests with why they are left out), ``seconds``.
    """
    files = {
        "run.html": b"<!doctype html><title>Tests</title>",
        "run.js": (HERE / "run.js").read_bytes(),
        "run.py": (HERE / "run_there.py").read_bytes(),
        "core.zip": archive(),
        "library.zip": library(),
        "lock.json": shipping.LOCK.encode(),
    }
    server = ThreadingHTTPServer(("127.0.0.1", 0), partial(_Handler, files))
    threading.Thread(target=server.serve_forever, daemon=True).start()
    try:
        with sync_playwright() as playwright:
            browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=["--no-sandbox"])
            page = browser.new_page()
            page.goto(f"http://127.0.0.1:{server.server_port}/")
            page.set_default_timeout(LIMIT)
            for name in names:
                told = page.evaluate(
                    """([name, limit, reasons]) => new Promise((done, fail) => {
                        const thread = new Worker("run.js", { type: "module" });
                        const end = (does, what) => { thread.terminate(); does(what); };
                        thread.onmessage = ({ data }) => end(done, data);
                        thread.onerror = ({ message }) => end(fail, new Error(message));
                        setTimeout(() => end(fail, new Error("It took too long.")), limit);
                        thread.postMessage([name, reasons]);
                    })""",
                    [name, LIMIT, json.dumps(NOT_THERE)],
                )
                yield {"name": name, **json.loads(told)}
    finally:
        server.shutdown()
