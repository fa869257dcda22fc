"""A line for every request, in the form that tools for web servers read, without what must stay secret."""

import logging
import re
from datetime import datetime
from logging.handlers import RotatingFileHandler
from pathlib import Path

_LOG = logging.getLogger("ruddy_trellis.access")
#: How large a log grows before it is put aside, in bytes, and how many of those are kept.
_SIZE, _KEPT = 10_000_000, 5
#: Whoever has a lesson's name in an address can open it: of those names only the beginning is noted.
_SECRET = re.compile(r"^(/(?:open|embed|lessons)/[^/]{4})[^/]+")


def keep_logs(folder):
    """Keep the logs of requests and of errors in files of a folder, which is made where it is missing."""
    Path(folder).mkdir(parents=True, exist_ok=True)
    access = RotatingFileHandler(Path(folder) / "access.log", maxBytes=_SIZE, backupCount=_KEPT, encoding="utf-8")
    access.setFormatter(logging.Formatter("%(message)s"))
    _LOG.addHandler(access)
    _LOG.setLevel(logging.INFO)
    _LOG.propagate = False
    errors = RotatingFileHandler(Path(folder) / "error.log", maxBytes=_SIZE, backupCount=_KEPT, encoding="utf-8")
    errors.setFormatter(logging.Formatter("%(asctime)s %(levelname)s %(name)s: %(message)s"))
    errors.setLevel(logging.WARNING)
    logging.getLogger().addHandler(errors)


class AccessLog:
    """Notes who asked for what, when, and how it was answered; for a line, when it is opened."""

    def __init__(self, app):
        self._app = app

    async def __call__(self, scope, receive, send):
        if scope["type"] not in ("http", "websocket") or not _LOG.handlers:
            await self._app(scope, receive, send)
            return
        asked = datetime.now().astimezone()
        if scope["type"] == "websocket":
            _LOG.info(entry(scope, asked, 101, 0))
            await self._app(scope, receive, send)
            return
        sent = {"status": 500, "size": 0}

        async def noted_send(message):
            if message["type"] == "http.response.start":
                sent["status"] = message["status"]
            elif message["type"] == "http.response.body":
                sent["size"] += len(message.get("body", b""))
            await send(message)

        try:
            await self._app(scope, receive, noted_send)
        finally:
            _LOG.info(entry(scope, asked, sent["status"], sent["size"]))


def without_secrets(path):
    """An address of ours without the name by which whoever reads it could open a lesson."""
    return _SECRET.sub(r"\1…", path)


def entry(scope, asked, status, size):
    """One line of the log, in the common log format; of an address neither what is asked in it nor the secret part."""
    host = scope["client"][0] if scope.get("client") else "-"
    path = without_secrets(scope["path"]).replace('"', "%22").replace("\n", "%0A").replace("\r", "%0D")
    what = f"{scope.get('method', 'LINE')} {path} HTTP/{scope.get('http_version', '1.1')}"
    return f'{host} - - [{asked:%d/%b/%Y:%H:%M:%S %z}] "{what}" {status} {size}'
