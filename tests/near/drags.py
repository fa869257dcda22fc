"""Random drags at a board, as the messages of a hand, and what they come to: told as JSON, so that two hands can be compared.

``python -m tests.near.drags`` reads boards from its standard input and answers with what the hand says, with the stand-ins where they are
first on the path: what runs in the browser.
"""

import json
import random
import sys

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


if __name__ == "__main__":
    print(json.dumps([told(board, number) for number, board in enumerate(json.load(sys.stdin))]))
