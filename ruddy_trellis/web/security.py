"""What every answer carries, and which requests are turned away."""

import logging

from starlette.responses import PlainTextResponse

from .access_log import without_secrets

_LOG = logging.getLogger(__name__)
_POLICY = (
    "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data: blob:; font-src 'self'; "
    "connect-src 'self'; frame-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors {}"
)
_HEADERS = [(b"x-content-type-options", b"nosniff"), (b"referrer-policy", b"same-origin")]
#: How much may be sent: in a form with a file, and in any other request.
_FILE_LIMIT, _FORM_LIMIT = 9_000_000, 65_536


def _body_limit(headers):
    return _FILE_LIMIT if headers.get("content-type", "").lower().startswith("multipart/form-data") else _FORM_LIMIT


def policy(path):
    """The Content-Security-Policy for an address: other pages may frame what is made for that, and nothing else. Scripts and styles are
    many and small, so theirs is short; the thread that runs the hand may compile its runtime."""
    if path.endswith("/near/worker.js"):
        return "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'; frame-ancestors 'none'"
    if path.startswith("/static/"):
        return "default-src 'self'; frame-ancestors 'none'"
    return _POLICY.format("*" if path.startswith("/embed/") else "'none'")


def same_origin(headers):
    """Whether a request comes from a page of ours, as far as its headers say."""
    origin = headers.get("origin")
    ours = origin is None or origin in (f"{scheme}://{headers.get('host')}" for scheme in ("http", "https"))
    return ours and headers.get("sec-fetch-site", "none") in ("same-origin", "none")


class Guard:
    """Adds the security headers, refuses writes from other sites and bodies that are too large."""

    def __init__(self, app):
        self._app = app

    async def __call__(self, scope, receive, send):
        if scope["type"] != "http":
            await self._app(scope, receive, send)
            return
        headers = {name.decode("latin-1"): value.decode("latin-1") for name, value in scope["headers"]}

        # What may be asked for may be asked about: the same answer, without what is in it.
        bare = scope["method"] == "HEAD"
        if bare:
            scope = {**scope, "method": "GET"}
        started = False

        async def guarded_send(message):
            nonlocal started
            if bare and message["type"] == "http.response.body":
                message = {**message, "body": b""}
            if message["type"] == "http.response.start":
                started = True
                more = [*_HEADERS, (b"content-security-policy", policy(scope["path"]).encode())]
                if not any(name == b"cache-control" for name, _ in message["headers"]):
                    more.append((b"cache-control", b"no-store"))  # what is a teacher's own is not to be found after signing out
                message = {**message, "headers": [*message["headers"], *more]}
            await send(message)

        answer = None
        if scope["method"] not in ("GET", "HEAD") and not same_origin(headers):
            answer = PlainTextResponse("This request comes from another site.", 403)
        elif not headers.get("content-length", "0").isdigit() or int(headers.get("content-length", "0")) > _body_limit(headers):
            answer = PlainTextResponse("That is too large: a file has at most 8 MB, a form 64 kB.", 413)
        elif "transfer-encoding" in headers and scope["method"] == "POST":
            answer = PlainTextResponse("Send the length of the file with it.", 411)
        elif "charset" in headers.get("content-type", "").lower() and "utf-8" not in headers["content-type"].lower():
            answer = PlainTextResponse("Send text as UTF-8.", 415)
        try:
            await (answer or self._app)(scope, receive, guarded_send)
        except OverflowError:
            await PlainTextResponse("Not found", 404)(scope, receive, guarded_send)  # a number that no id can be
        except Exception:
            # A fault of ours: noted, and answered with the same headers as all else.
            _LOG.exception("%s %s could not be answered", scope["method"], without_secrets(scope["path"]))
            if not started:
                await PlainTextResponse("That could not be done. The fault is on our side and has been noted.", 500)(
                    scope, receive, guarded_send
                )
