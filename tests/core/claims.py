"""The bank of claims: figures, and for each what is claimed of it and how that should turn out."""

from pathlib import Path


def bank():
    """Yield pairs of a figure's sentences and its claims: pairs of a sign ("+" proved, "~" at least standing, "-" failing) and a text."""
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
