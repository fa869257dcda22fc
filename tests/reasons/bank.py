"""The bank of statements: figures by theme, and for each what is true of it, by the theorem that it is, and near misses."""

from pathlib import Path

from ruddy_trellis.core.edits import Add, perform
from ruddy_trellis.core.edits.saying import claim_said
from ruddy_trellis.core.truth.reasons.finding import Found, reason

from ..core.claims import SHARE
from ..core.figures import figure

#: Of the bank each so many-th statement is tried in the test command, and all of it in the long walks.
EACH = 1 if SHARE == 1 else 8


FILES = ("statements.txt", "further_statements.txt")


def statements(files=FILES):
    """Yield for each statement its theme, the sentences of its figure, whether it is true, and what it says."""
    theme, sentences, said = "", [], []
    lines = [line for file in files for line in [*Path(__file__).with_name(file).read_text("utf-8").splitlines(), ""]]
    for line in lines:
        if line.startswith("#"):
            continue
        if line.startswith("== "):
            theme = line[3:]
        elif line.startswith("? "):
            said.append((True, line.split(": ", 1)[1]))
        elif line.startswith("! "):
            said.append((False, line[2:]))
        elif line.strip():
            sentences.append(line)
        elif said:
            for is_true, text in said:
                yield theme, "\n".join(sentences), is_true, text
            sentences, said = [], []


def claimed(sentences, text):
    """A board with a figure and a claim on it, and the id of the claim."""
    board = figure(sentences).board
    perform(board, Add(steps=claim_said(text, board)))
    return board, board.steps[-1].id


def reasoned(sentences, text) -> Found:
    """The reason for a claim about a figure that there is one for."""
    found = reason(*claimed(sentences, text))
    assert found is not None, f"no reason for {text}"
    return found
