"""How tables of words and of clauses are written, whatever the language."""

import re
from typing import TypeAlias

#: What is done, by the name of its function, with the ways to say it.
ClauseTable: TypeAlias = tuple[tuple[str, tuple[str, ...]], ...]


def words(text: str) -> frozenset[str]:
    """The words of a text."""
    return frozenset(text.split())


def word_table(text: str) -> dict[str, str]:
    """A table of words: each line is what the grammar calls them, "<<", and the words, apart by bars. A line that is indented goes on."""
    found: dict[str, str] = {}
    for line in re.sub(r"\n +", " ", text).strip().splitlines():
        one, _, words = line.partition(" << ")
        found.update(dict.fromkeys(words.split(" | "), one))
    return found


def clause_table(text: str) -> ClauseTable:
    """A table of clauses: the name of what is done, and under it, indented, the ways to say it."""
    found: dict[str, list[str]] = {}
    name = ""
    for line in text.strip().splitlines():
        if line.startswith(" "):
            found[name].append(line.strip())
        else:
            name = line.strip()
            found[name] = []
    return tuple((name, tuple(ways)) for name, ways in found.items())
