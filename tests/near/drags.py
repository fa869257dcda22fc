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


def told(board: str, chance: int) -> list[str]:
    """What a hand beside a drawing says to random drags of a board.

    Args:
        board: its steps and settings as JSON.
        chance: where the random numbers begin.
    """
    numbers, beside = random.Random(chance), Beside()
    beside.open(board)
    steps = [step["id"] for step in json.loads(board)["steps"]]
    answers = []
    for _ in range(DRAGS if steps else 0):
        answers.append(beside.take(json.dumps({"t": "grab", "ids": [numbers.choice(steps)], "at": [0, 0]})))
        for seq in range(PLACES):
            to = [round(numbers.uniform(-6, 6), 3) for _ in "xy"]
            answers.append(beside.take(json.dumps({"t": "drag", "to": to, "seq": seq})))
        answers.append(beside.take('{"t": "drop"}'))
    return answers


if __name__ == "__main__":
    print(json.dumps([told(board, number) for number, board in enumerate(json.load(sys.stdin))]))
