"""Random drags at a board, as the messages of a hand, and what they come to: told as JSON, so that two hands can be compared.

``python -m tests.near.drags`` reads boards from its standard input and answers with what the hand says, with the stand-ins where they are
first on the path: what runs in the browser.
"""

import json
import random
import sys
from typing import Any

from ruddy_trellis.near.beside import Beside

#: How many drags a board gets, and how many places each has.
DRAGS, PLACES = 3, 4


def messages(board: str, chance: int) -> list[str]:
    """Random drags of a board.

    Args:
        board: its steps and settings as JSON.
        chance: where the random numbers begin.
    """
    numbers = random.Random(chance)
    steps = [step["id"] for step in json.loads(board)["steps"]]
    asked = []
    for _ in range(DRAGS if steps else 0):
        asked.append({"t": "grab", "ids": [numbers.choice(steps)], "at": [0, 0]})
        asked += [{"t": "drag", "to": [round(numbers.uniform(-6, 6), 3) for _ in "xy"], "seq": seq} for seq in range(PLACES)]
        asked.append({"t": "drop"})
    return [json.dumps(one) for one in asked]


def told(board: str, chance: int) -> list[str]:
    """What a hand beside a drawing says to them."""
    beside = Beside()
    beside.open(board)
    return [beside.take(message) for message in messages(board, chance)]


def apart(one: Any, other: Any, share: float) -> str:
    """Where two answers, read from JSON, are apart by more than a share of the size of their numbers; "" where nowhere."""
    if isinstance(one, (int, float)) and isinstance(other, (int, float)):
        return "" if one == other or abs(one - other) <= share * (1 + abs(one) + abs(other)) else f"{one} and {other}"
    if isinstance(one, dict) and isinstance(other, dict) and one.keys() == other.keys():
        pairs: Any = ((name, one[name], other[name]) for name in one)
    elif isinstance(one, list) and isinstance(other, list) and len(one) == len(other):
        pairs = ((number, *pair) for number, pair in enumerate(zip(one, other)))
    else:
        return "" if one == other else f"{str(one)[:300]} and {str(other)[:300]}"
    return next((f"{name}: {found}" for name, p, q in pairs if (found := apart(p, q, share))), "")


if __name__ == "__main__":
    print(json.dumps([told(board, number) for number, board in enumerate(json.load(sys.stdin))]))
