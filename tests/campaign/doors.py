"""Nonsense through every door: messages on lines, forms, files and addresses. Nothing is answered with a fault of ours, no line
dies but by what is too large, and every board still opens."""

import json
import random
import string
import tempfile
import time
import urllib.error
import urllib.request
from contextlib import suppress
from pathlib import Path

from websockets.exceptions import ConnectionClosed

from ruddy_trellis.commands import look_through
from ruddy_trellis.core.hand.messages import _MESSAGE
from tests.browser.served import Server

from .visitor import Visitor, messages

FAULT = "fault is on our side"
#: The kinds of messages with their fields, from the one place that says them.
KINDS = {
    model["properties"]["t"]["const"]: [name for name in model["properties"] if name != "t"]
    for model in _MESSAGE.json_schema()["$defs"].values()
    if "const" in model.get("properties", {}).get("t", {})
}
WORDS = (
    "the circle with centre A through B", "A = (1, 2)", "h = AB / 0", "y = x^2", "the midpoint of", "“{AB}”", "²", "A" * 300, "is", "",
    "the polygon through A, B, C", "new:²", "\u202e", "p: x = y", "the family of AB under t, 9 times", "the locus of P when A moves",
)  # fmt: skip
ADDRESSES = (
    "/", "/gallery", "/account", "/sign-in", "/register", "/lessons/{slug}", "/lessons/{slug}/lesson.json", "/lessons/{slug}/share",
    "/boards/{board}/picture.svg", "/boards/{board}/working.txt", "/boards/{board}/log.csv", "/boards/{board}/panels/{panel}",
    "/open/{any}", "/embed/{any}", "/recipes/{any}.json", "/oembed", "/lesson.schema.json", "/static/{any}", "/lessons/{slug}/{any}",
    "/boards/{board}/panels/readings/s1/formula", "/help", "/help/{any}", "/help/about/{any}", "/embed/help/{any}",
    "/boards/{board}/handout", "/boards/{board}/photographs/{any}", "/boards/{board}/first", "/boards/{board}/panels/out",
    "/boards/{board}/challenge", "/lessons/{slug}/as-student", "/lessons/{slug}/handed-in", "/lessons/{slug}/handed-in/grid",
    "/lessons/{slug}/handed-in.csv", "/lessons/{slug}/handed-in/all.svg", "/hand-ins/{any}", "/hand-ins/{any}/picture.svg",
)  # fmt: skip
FORMS = (
    "/sign-in", "/sign-in/demo", "/lessons", "/lessons/{slug}/title", "/lessons/{slug}/copy", "/lessons/{slug}/boards",
    "/lessons/{slug}/share", "/boards/{board}/recipes", "/lessons/{slug}/boards/{any}/move", "/recipes/{any}/delete", "/lessons/read",
    "/recipes/read", "/account/angle-words", "/boards/{board}/panels/angles", "/boards/{board}/in", "/boards/{board}/out/svg",
    "/boards/{board}/out/gif", "/boards/{board}/out/preview", "/lessons/{slug}/out/pdf", "/lessons/{slug}/out/zip", "/first-lesson",
    "/boards/{board}/challenge", "/boards/{board}/challenge/back", "/lessons/{slug}/handed-in/open", "/lessons/{slug}/handed-in/names",
    "/hand-ins/{any}/word",
)  # fmt: skip
PANELS = ("working", "readings", "log", "motions", "look", "loose", "claims", "where", "angles", "history", "recipe", "nothing")


def a_value(chance, depth=0):
    """A value such as nobody expects."""
    if depth < 3 and chance.random() < 0.35:
        many = range(chance.randint(0, 3))
        if chance.random() < 0.5:
            return [a_value(chance, depth + 1) for _ in many]
        return {
            chance.choice(("kind", "ids", "look", "steps", "does", "fills", "text", "name", "at", "of")): a_value(chance, depth + 1)
            for _ in many
        }
    return chance.choice(
        (
            None, True, 0, -1, 1e-320, 1e308, 10**30, 2.5, f"s{chance.randint(1, 9)}", f"s{chance.randint(1, 9)}", chance.choice(WORDS),
            "".join(chance.choices(string.printable, k=12)), [f"s{chance.randint(1, 9)}"], [chance.uniform(-9, 9), chance.uniform(-5, 5)],
            {"kind": chance.choice(("add", "move", "rename", "restyle", "choose", "retie", "paste", "record", "delete", "tidy", "arrange",
                                     "chalk", "fit_photograph")),
             "ids": [f"s{chance.randint(1, 9)}"], "id": "s2", "text": chance.choice(WORDS),
             "look": {"width": chance.choice((1, 1e9, "x"))}},
        )
    )  # fmt: skip


def a_message(chance):
    kind = chance.choice(list(KINDS))
    content = {name: a_value(chance) for name in KINDS[kind] if chance.random() < 0.9}
    if "text" in content and chance.random() < 0.7:
        content["text"] = chance.choice(WORDS)
    if "at" in content:
        content["at"] = [chance.uniform(-9, 9), chance.uniform(-5, 5)]
    text = json.dumps({"t": kind, **content})
    return text if chance.random() < 0.95 else text[: chance.randint(0, len(text))]


def through_lines(visitor, chance, count):
    """Send messages down one line, and see that it lives and was never answered by a fault."""
    with visitor.line() as line:
        for _ in range(count):
            line.send(a_message(chance) if chance.random() < 0.98 else bytes(chance.randrange(256) for _ in range(40)))
        line.send(json.dumps({"t": "pause"}))
        line.send(json.dumps({"t": "complete", "text": "the end"}))
        for message in messages(line, 20):
            assert FAULT not in message.get("words", ""), message
            if message["t"] == "completions" and message["for"] == "the end":
                return
    raise AssertionError("the line died")


def through_addresses(visitor, chance, count):
    """Ask for addresses and send forms, with parameters of all sorts."""
    for _ in range(count):
        fill = {
            "slug": visitor.slug,
            "board": visitor.board,
            "panel": chance.choice(PANELS),
            "any": chance.choice(("1", "x", "9" * 25, "..", "%00")),
        }
        body = None
        kind = "application/x-www-form-urlencoded"
        if chance.random() < 0.5:
            address = chance.choice(ADDRESSES) + chance.choice(
                (
                    "",
                    "?board=9",
                    "?find=%25",
                    "?page=3",
                    "?ids=s1,s2",
                    "?across=99&up=-4",
                    "?url=x",
                    "?frame=s1,s2&called=AB=a",
                    "?called=%E2%88%A0",
                )
            )
        else:
            address = chance.choice(FORMS)
            body = "&".join(
                f"{name}={chance.choice(('', '1', '-7', 'x', '%FF', 's1', '9' * 30))}"
                for name in (
                    "title",
                    "shared",
                    "by",
                    "results",
                    "words",
                    "task",
                    "given",
                    "answers",
                    "claims",
                    "sought",
                    "kit",
                    "name",
                    "word",
                )
            ).encode()
            if address.endswith("read"):
                content = json.dumps(a_value(chance)).encode()
                body = b'--m\r\nContent-Disposition: form-data; name="file"; filename="f"\r\n\r\n' + content + b"\r\n--m--\r\n"
                kind = "multipart/form-data; boundary=m"
        request = urllib.request.Request(visitor.server.address + address.format(**fill), body, {"Content-Type": kind})
        try:
            with visitor.browser.open(request, timeout=30) as answer:
                answer.read()
        except urllib.error.HTTPError as error:
            assert error.code < 500, (address, error.code)
        except TimeoutError:
            assert address == "/sign-in", address  # after many wrong tries it waits on purpose


def campaign(seconds: float, chance: random.Random) -> str:
    """Go on until the time is over. Returns what was done."""
    with tempfile.TemporaryDirectory() as folder:
        server = Server(Path(folder) / "lessons.sqlite")
        try:
            end, sent, asked = time.monotonic() + seconds, 0, 0
            while time.monotonic() < end:
                visitor = Visitor(server)
                with visitor.line() as line, suppress(ConnectionClosed):
                    for text in (
                        "A = (0, 0)",
                        "B = (4, 0)",
                        "C = (1, 3)",
                        "the segment from A to B",
                        "t is the rotation about A by 60 degrees",
                    ):
                        line.send(json.dumps({"t": "say", "text": text}))
                for _ in range(4):
                    through_lines(visitor, chance, 80)
                    through_addresses(visitor, chance, 25)
                    sent, asked = sent + 80, asked + 25
        finally:
            server.kill()
        words, well = look_through(str(server.data))
        assert well, words
    return f"{sent:,} messages and {asked:,} requests; {words}"
