"""What the help has, and how it is found in a teacher's words."""

import difflib
from dataclasses import dataclass
from functools import cache
from pathlib import Path

from markupsafe import Markup

from ...core.catalogue import CATALOGUE
from ...core.edits.examples import ways_shown
from ...core.hand.orders import ORDERS
from ...core.language.tokens import IDLE, LINKING, tokens
from ...core.late import Late
from ..shelf import shelf

_FOLDER = Path(__file__).parents[1] / "help"
#: The pages about one thing each, in their order, by the names of their files; the keys have a page made from their table.
TOPICS = (
    "sentence-bar",
    "keys",
    "reveals",
    "recipes",
    "sharing",
    "a-class",
    "by-hand",
    "claims",
    "regions",
    "paper-and-files",
    "for-the-technician",
)
_markdown = Late("markdown_it")
#: A word that nothing has is taken for the one that is this much like it; so many pages are found at most.
_ALIKE, _MOST = 0.74, 24
#: What a word counts in the name of a page, in its sentences, in its text.
_IN_NAME, _IN_SENTENCE, _IN_TEXT = 3.0, 1.5, 0.6


@dataclass(frozen=True, eq=False)
class Entry:
    """A page of the help, or an act on the page about all of them.

    Attributes:
        address: of the page. about: what it says, in a line.
        words: what each of its words counts.
    """

    title: str
    address: str
    about: str
    words: dict[str, float]


@cache
def topic(name: str) -> tuple[str, Markup]:
    """The title and the text of a page about one thing, as markup."""
    if name == "keys":
        return "Keys", Markup()
    text = (_FOLDER / f"{name}.md").read_text("utf-8")
    title, _, rest = text.partition("\n")
    return title.removeprefix("# "), Markup(
        _markdown.MarkdownIt("commonmark", {"html": False}).render(rest).replace("<pre>", '<pre tabindex="0">')
    )  # our own files, in which no markup is let through


def _words(text: str) -> list[str]:
    """The words of a text that say something, synonyms by the one that stands for all."""
    return [token.word.removesuffix("s") for token in tokens(text) if token.word not in IDLE | LINKING and len(token.word) > 1]


def _weighed(*texts: tuple[str, float]) -> dict[str, float]:
    """What each word of some texts counts."""
    found: dict[str, float] = {}
    for text, weight in texts:
        for word in _words(text):
            found[word] = max(found.get(word, 0), weight)
    return found


@cache
def entries() -> tuple[Entry, ...]:
    """Everything that can be found."""
    found = []
    for name in TOPICS:
        title, text = topic(name)
        found.append(Entry(title, f"/help/about/{name}", "", _weighed((text.striptags(), _IN_TEXT), (title, _IN_NAME))))
    for group, tools in shelf():
        for tool in tools if group != "Recipes" else ():
            says = f"{tool.sentence_shown} {' '.join(ways_shown(tool.key))} {group}"
            words = _weighed((says, _IN_SENTENCE), (tool.tool, _IN_NAME))
            found.append(Entry(tool.tool, f"/help/{tool.key}", tool.sentence_shown, words))
    for order in ORDERS:
        words = _weighed((order.about, _IN_SENTENCE), (order.shown, _IN_NAME))
        found.append(Entry(order.shown, "/help#acts", order.about, words))
    return tuple(found)


@cache
def _known() -> dict[str, int]:
    """In how many entries each word is."""
    counts: dict[str, int] = {}
    for entry in entries():
        for word in entry.words:
            counts[word] = counts.get(word, 0) + 1
    return counts


def found(text: str) -> list[Entry]:
    """The entries that some words are about, the likeliest first. A word counts more the fewer entries have it."""
    known = _known()
    asked = set()
    for word in dict.fromkeys(_words(text[:400])):
        if word in known:
            asked.add(word)
        elif len(word) > 2:
            asked |= {other for other in known if other.startswith(word)} or set(difflib.get_close_matches(word, known, 1, _ALIKE))
    scores = {entry: sum(entry.words[word] / known[word] ** 0.5 for word in asked & entry.words.keys()) for entry in entries()}
    best = max(scores.values(), default=0)
    ranked = sorted((entry for entry in scores if scores[entry] > 0.25 * best), key=lambda entry: -scores[entry])
    return ranked[:_MOST]


def exists(key: str) -> bool:
    """Whether there is a page about a construction: every one that has a tool."""
    return key in CATALOGUE and CATALOGUE[key].group not in ("", "Recipes")
