"""The bank, run: what of it is read as meant, what otherwise, what is refused; by part, and the third that is put aside.

``python -m tests.bank.run`` prints the counts; with ``--show PART`` also what fails in the two thirds that may be looked at.
"""

import sys
import time
from collections import Counter
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

from ruddy_trellis.core.board import Board
from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.language.printing import sentence
from ruddy_trellis.core.speech.hearing import heard

from .boards import BOARDS
from .judge import MEANT, OTHERWISE, REFUSED, judged, said_on
from .seen import Seen

_HERE = Path(__file__).parent


@dataclass(frozen=True)
class Line:
    """Something said on a board, with its check.

    Attributes:
        number: where it stands in its file; every third is put aside.
    """

    number: int
    voice: str
    board: str
    part: str
    text: str
    check: str

    @property
    def is_aside(self) -> bool:
        return self.number % 3 == 2


def utterances() -> Iterator[Line]:
    """What is said in a sentence: in the bank that was written first, and in the later one."""
    board, part, number = "", "", 0
    for line in (
        line
        for name in (
            "said.txt",
            "said_later.txt",
            "said_once_more.txt",
            "said_by_more.txt",
            "said_to_a_class.txt",
            "said_at_the_desk.txt",
            "said_at_the_board.txt",
            "said_in_the_yard.txt",
            "said_in_the_field.txt",
            "said_in_the_hall.txt",
            "said_in_rows.txt",
            "said_in_books.txt",
            "said_by_twelve.txt",
            "said_at_first_sight.txt",
        )
        for line in (_HERE / name).read_text("utf-8").splitlines()
    ):
        if line.startswith("@"):
            board, part = line[1:].split()
        elif line and not line.startswith("#"):
            said, _, check = line.partition(" => ")
            voice, _, text = said.partition(": ")
            yield Line(number, voice, board, part, text.strip(), check.strip())
            number += 1


def paragraphs() -> Iterator[Line]:
    """What is said in several sentences."""
    blocks = [
        block for name in ("paragraphs.txt", "paragraphs_later.txt") for block in (_HERE / name).read_text("utf-8").split("\n=== ")[1:]
    ]
    for number, block in enumerate(blocks):
        head, _, rest = block.partition("\n")
        text, _, check = rest.partition("\n=> ")
        yield Line(number, *head.split(), "paragraph", text.strip(), check.strip())


def tried(line: Line) -> tuple[str, Seen]:
    """How a line of the bank ends, and the board after it."""
    seen = said_on(BOARDS[line.board]().board, line.text)
    if seen.is_refused and line.check.startswith("refused()"):
        same = len(seen.board) == len(seen.before)
        return (MEANT if same else OTHERWISE), seen
    return judged(seen, line.check), seen


def says(board_name: str, text: str) -> list[str]:
    """The sentences of what a text makes on a board of the bank, helpers that are hidden left out."""
    board = BOARDS[board_name]().board
    known = {step.id for step in board.steps}
    perform(board, heard(text, board).edit)
    return [sentence(board, step.id) for step in board.steps if step.id not in known and not step.look.hidden]


def why(seen: Seen) -> str:
    """What was answered, shortly."""
    for one in seen.answers:
        if one["t"] == "sentences":
            return "\n      ".join(
                f"{line['text'][:90]} => {'; '.join(line['sentences'])}{'!! ' + line['problem'] if line['problem'] else ''}"
                for line in one["lines"]
            )
        if one.get("kind") == "refusal":
            return f"refused: {one['words']} | {one.get('ways', '')}"
    board: Board = seen.board
    return "made: " + "; ".join(sentence(board, step.id) for step in board.steps if step.id not in seen.before)


def main(arguments: list[str]) -> None:
    """Run the whole bank and print what came of it."""
    shown = arguments[arguments.index("--show") + 1] if "--show" in arguments else ""
    counts: Counter[tuple[str, bool, str]] = Counter()
    slowest = (0.0, "")
    for line in (*utterances(), *paragraphs()):
        start = time.process_time()
        how, seen = tried(line)
        slowest = max(slowest, (time.process_time() - start, line.text[:50]))
        counts[line.part, line.is_aside, how] += 1
        if not line.is_aside and how != MEANT and line.part == shown:
            print(f"[{how}] {line.board}/{line.voice}: {line.text}\n      {why(seen)}")
    for part in dict.fromkeys(part for part, _, _ in counts):
        for aside in (False, True):
            total = sum(counts[part, aside, how] for how in (MEANT, OTHERWISE, REFUSED))
            told = ", ".join(f"{how} {counts[part, aside, how]}" for how in (MEANT, OTHERWISE, REFUSED))
            print(f"{part:10} {'aside' if aside else 'open ':5} {told} of {total}")
    for aside in (False, True):
        for kind in ("said", "paragraph"):
            found = Counter()
            for (part, is_aside, how), count in counts.items():
                if is_aside == aside and (part == "paragraph") == (kind == "paragraph"):
                    found[how] += count
            total = sum(found.values())
            share, which = f"{100 * found[MEANT] / total:.0f}%", "aside" if aside else "open "
            print(f"{kind:10} {which} {found[MEANT]} of {total}: {share}, otherwise {found[OTHERWISE]}")
    print(f"slowest {slowest[0]:.2f} s: {slowest[1]}")


if __name__ == "__main__":
    main(sys.argv[1:])
