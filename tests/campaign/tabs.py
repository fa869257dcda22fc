"""Several tabs at one board, all in a rush: in the end all show the same, which is what is kept and what the history gives."""

import json
import random
import tempfile
import threading
import time
from pathlib import Path

from ruddy_trellis.core.lesson.file import board_from_store, board_to_json
from ruddy_trellis.store import Database, Lessons
from tests.browser.served import Server
from tests.web.replaying import replayed

from .visitor import Visitor, messages

TABS, ACTS = 3, 40
SENTENCES = ("the midpoint of {a} and {b}", "the segment from {a} to {b}", "the circle with centre {a} through {b}", "X{n} = ({n}, 1)")


def an_act(chance, number):
    """A message such as a person in a hurry sends."""
    id = f"s{chance.randint(1, 12)}"
    return chance.choice(
        (
            {"t": "say", "text": chance.choice(SENTENCES).format(a=chance.choice("ABC"), b=chance.choice("ABC"), n=number)},
            {"t": "edit", "edit": {"kind": "restyle", "ids": [id], "look": {"pen": chance.choice(("leaf", "sky", "plum"))}}},
            {"t": "edit", "edit": {"kind": "delete", "ids": [f"s{chance.randint(4, 30)}"]}},
            {"t": "grab", "ids": [id], "at": [0, 0]},
            {"t": "drag", "to": [chance.uniform(-9, 9), chance.uniform(-5, 5)], "seq": number},
            {"t": "drag", "to": [chance.uniform(-9, 9), chance.uniform(-5, 5)], "seq": number},
            {"t": "drop"},
            {"t": "undo"},
            {"t": "redo"},
            {"t": "nudge", "ids": [id], "by": [0.1, 0]},
        )
    )


def tab(visitor, chance, shown, everyone):
    """One tab does what it does, lets go, waits until everyone has been answered, and hears the rest. ``shown`` gets what it
    shows in the end."""
    things = {}
    with visitor.line() as line:

        def hear(seconds):
            for message in messages(line, seconds):
                if message["t"] == "board":
                    things.clear()
                for item in message.get("items", ()) if message["t"] in ("board", "changed", "moved") else ():
                    things.setdefault(item["id"], {}).update(item)
                for id in message.get("gone", ()):
                    things.pop(id, None)
                if message.get("for") == "the end":
                    return True
            return False

        for number in range(ACTS):
            line.send(json.dumps(an_act(chance, number)))
            if chance.random() < 0.3:
                time.sleep(chance.uniform(0, 0.02))
        line.send(json.dumps({"t": "drop"}))
        line.send(json.dumps({"t": "complete", "text": "the end"}))
        assert hear(30), "a line died"
        everyone.wait(60)
        hear(1)
    shown.append({id: item["shape"] for id, item in things.items()})


def one_round(server, chance):
    visitor, shown = Visitor(server), []
    with visitor.line() as line:
        for text in ("A = (0, 0)", "B = (4, 0)", "C = (1, 3)"):
            line.send(json.dumps({"t": "say", "text": text}))
            next(message for message in messages(line, 10) if message["t"] == "changed")
    everyone = threading.Barrier(TABS)
    tabs = [threading.Thread(target=tab, args=(visitor, random.Random(chance.random()), shown, everyone)) for _ in range(TABS)]
    for one in tabs:
        one.start()
    for one in tabs:
        one.join()
    assert len(shown) == TABS, "a line died"
    database = Database(server.data)
    row, grown = replayed(Lessons(database), int(visitor.board))
    database.engine.dispose()
    kept = board_from_store(row.document)
    assert board_to_json(grown)["steps"] == board_to_json(kept)["steps"], "the history gives another board"
    assert visitor.lesson()["boards"][0]["steps"] == board_to_json(kept)["steps"], "what is served is not what is kept"
    for one in shown:
        assert set(one) == {step.id for step in kept.steps}, "a tab shows other things"
        assert one == shown[0], "two tabs show something else"
    return TABS * ACTS


def campaign(seconds: float, chance: random.Random) -> str:
    """Go on until the time is over. Returns what was done."""
    with tempfile.TemporaryDirectory() as folder:
        server = Server(Path(folder) / "lessons.sqlite")
        try:
            end, rounds, acts = time.monotonic() + seconds, 0, 0
            while time.monotonic() < end:
                acts += one_round(server, chance)
                rounds += 1
        finally:
            server.kill()
    return f"{rounds} rounds of {TABS} tabs, {acts:,} acts: all tabs, the store and the history agree"
