"""Random acts at a page that works by itself, as somebody does them who tries everything.

``python -m tests.near.acts`` reads boards from its standard input and answers with what went wrong at them, with the stand-ins where they
are first on the path: what runs in the page.
"""

import json
import logging
import random
import sys
from typing import Any

from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.near.by_itself import Page

#: How many acts are done at each board, and how many go by until what was kept is opened anew.
ACTS, REOPENED = 60, 25
_SAID = (
    "M is the midpoint of AB", "k is the circle with centre A through B", "the intersection of AB and CD", "A = (1, 2)", "r = 4",
    "AB = CD", "delete A", "hide C", "the area of ABC", "undo", "P is a point on k", "the locus of M as P runs",
    "e is the ellipse with foci A and B through C", "ABC is isosceles", "the places nearer to A than to B",
    "the reflection of ABC in AB", "nonsense of all sorts", "", "the family of ABC under r 3 times", "a triangle with sides 3, 4 and 5",
    "run", "x is the length of AB / 2", "bisect angle ABC", "fit", "colour AB blue", "what is the length of AB",
)  # fmt: skip


def act(numbers: random.Random, ids: list[str]) -> dict[str, Any]:
    """One of the messages that a student's page sends."""
    at = [round(numbers.uniform(-6, 6), 2), round(numbers.uniform(-5, 5), 2)]
    some = numbers.sample(ids, min(len(ids), numbers.randint(1, 3))) if ids else ["s1"]
    made: list[dict[str, Any]] = [
        {"t": "grab", "ids": some, "at": at}, {"t": "drag", "to": at, "seq": 1}, {"t": "drag", "to": [1e7, -1e7], "seq": 1},
        {"t": "drag", "to": at, "seq": 1, "near": {some[0]: at}},
        {"t": "drop"}, {"t": "say", "text": numbers.choice(_SAID), "take": numbers.random() < 0.5}, {"t": "select", "ids": some},
        {"t": "offer", "number": numbers.randint(0, 8)}, {"t": "tool", "key": numbers.choice([*_TOOLS, None])}, {"t": "back"},
        {"t": "finish"}, {"t": "click", "at": at, "reach": 0.2}, {"t": "hover", "at": at, "reach": 0.2}, {"t": "undo"}, {"t": "redo"},
        {"t": "reset"}, {"t": "play"}, {"t": "pause"}, {"t": "shake"}, {"t": "working"}, {"t": "nudge", "ids": some, "by": at},
        {"t": "lift", "ids": some}, {"t": "edit", "edit": {"kind": "delete", "ids": some}}, {"t": "hint"},
        {"t": "is_right", "reach": 0.1},
        {"t": "quiz", "id": some[0], "last": {"numbers": numbers.sample(range(1, 9), 2), "of": 2}, "answer": "vertical"},
        {"t": "edit", "edit": {"kind": "restyle", "ids": some, "look": {"hidden": numbers.random() < 0.5}}},
        {"t": "ask", "id": some[0]}, {"t": "complete", "text": numbers.choice(_SAID)[:9]},
        {"t": "consider", "text": numbers.choice(_SAID)}, {"t": "gather", "what": "all"},
        {"t": "view", "view": [at[0] - 9, at[1] - 5, at[0] + 9, at[1] + 5]}, {"t": "edit", "edit": {"kind": "tidy"}}, {"t": "renew"},
        {"t": "put", "id": some[0], "text": "(3, 1)"}, {"t": "look_back", "number": 0},
        {"t": "bring_back", "number": numbers.randint(0, 3)},
    ]  # fmt: skip
    # What builds something is done as often as all else together.
    return numbers.choice(made[:12] if numbers.random() < 0.5 else made)


_TOOLS = [one.key for one in CATALOGUE if one.keys]


def faults(data: Any, chance: int) -> list[str]:
    """What goes wrong in random acts at a board as a page that works by itself has it; where nothing does, nothing."""
    numbers, page, found = random.Random(chance), Page(), []
    noted = _Noted()
    logging.getLogger("ruddy_trellis").addHandler(noted)
    text, kept = json.dumps(data), ""
    seen = {item["id"]: item for item in json.loads(page.open(text, kept))["answers"][0]["items"]}
    for number in range(ACTS):
        message = act(numbers, list(seen))
        answers = [page.take(json.dumps(message)), *(page.go_on() for _ in range(numbers.randint(0, 2)))]
        for told in map(json.loads, answers):
            kept = told.get("keep", kept)
            for answer in told["answers"]:
                if answer["t"] == "board":
                    seen = {item["id"]: item for item in answer["items"]}
                elif answer["t"] == "changed":
                    seen |= {item["id"]: item for item in answer["items"]}
                    for id in answer["gone"]:
                        seen.pop(id, None)
        found += [f"{message}: {words}" for words in noted.words]
        noted.words.clear()
        if number % REOPENED == REOPENED - 1:
            # Whoever opens the page again finds what was there.
            for ending in ('{"t": "drop"}', '{"t": "pause"}'):
                kept = json.loads(page.take(ending)).get("keep", kept)
            again = Page()
            seen = {item["id"]: item for item in json.loads(again.open(text, kept))["answers"][0]["items"]}
            if again._itself.board.steps != page._itself.board.steps:
                found.append(f"{message}: what was kept is not what was there")
            page = again
    logging.getLogger("ruddy_trellis").removeHandler(noted)
    return found


class _Noted(logging.Handler):
    """Notes what is logged as an error."""

    def __init__(self) -> None:
        super().__init__(logging.ERROR)
        self.words: list[str] = []

    def emit(self, record: logging.LogRecord) -> None:
        problem = record.exc_info[1] if record.exc_info else None
        self.words.append(f"{record.getMessage()} {problem!r}")


if __name__ == "__main__":
    print(json.dumps([faults(board, number) for number, board in enumerate(json.load(sys.stdin))]))
