"""The bank of claims: figures, and for each what is claimed of it and how that should turn out."""

from pathlib import Path

from .tries import IS_WHOLE

#: Of the bank a fixed tenth is tried in the test command, and all of it in the long walks.
SHARE = 1 if IS_WHOLE else 10


def bank():
    """Yield pairs of a figure's sentences and its claims: pairs of a sign ("+" proved, "~" at least standing, "-" failing) and a text."""
    for number, (sentences, claims) in enumerate(whole_bank()):
        yield sentences, [claim for place, claim in enumerate(claims) if (place + 3 * number) % SHARE == 0]


def whole_bank():
    sentences, claims = [], []
    for line in [*Path(__file__).with_name("claims.txt").read_text("utf-8").splitlines(), ""]:
        if line.startswith("#"):
            continue
        if line[:2] in ("+ ", "- ", "~ "):
            claims.append((line[0], line[2:]))
        elif line.strip():
            sentences.append(line)
        elif claims:
            yield "\n".join(sentences), claims
            sentences, claims = [], []
