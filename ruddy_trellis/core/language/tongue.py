"""A language in which the sentences of constructions are said and read: its small words, its numbers, how it refuses.

The words of the constructions themselves stand in the catalogue, a file for each language besides English (``catalogue/german.py``).
"""

import re
from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any

from ..refusal import Refusal


@dataclass(frozen=True)
class Tongue:
    """One language.

    Attributes:
        code: its code as pages name it: "en", "de".
        subject: a pattern of a name, its verb and the rest: "M is the midpoint of AB"; ``is_`` the verb as it is written.
        article: what may stand before a noun and is passed over.
        opening: what asks for a thing and says nothing of it: "draw", "please".
        last: what stands before the last of several.
        options: the words of gaps for words, by the English ones.
        nouns: what may stand before a name in a gap, with the kinds of thing that it has to be.
        wants: for each kind of gap what goes into it, as a refusal says it.
        written: other ways to write a sentence, each with how it is read.
        spoken: whatever else is said: see the languages.
    """

    code: str
    subject: re.Pattern[str]
    is_: str
    article: re.Pattern[str]
    opening: re.Pattern[str]
    last: str
    options: Mapping[str, str] = field(default_factory=dict)
    nouns: Mapping[str, tuple[str, ...]] = field(default_factory=dict)
    wants: Mapping[str, str] = field(default_factory=dict)
    written: tuple[tuple[re.Pattern[str], str], ...] = ()
    spoken: Mapping[str, str] = field(default_factory=dict)

    def plain(self, gap: Any, text: str) -> tuple[str, tuple[str, ...]]:
        """What was said in a gap as English writes it, and the kinds that a noun in it asks for."""
        if self.code == "en":
            return text, ()
        kinds: tuple[str, ...] = ()
        text = self.article.sub("", text.strip(), count=1)
        first, _, rest = text.partition(" ")
        if rest and first in self.nouns:
            kinds, text = self.nouns[first], rest.strip()
        text = re.sub(rf"\s+{self.last}\s+", " and ", text)
        text = re.sub(r"(?<=\d)\s*\|\s*(?=[-−\d])|(?<=\d);\s*", ", ", text)
        if gap.kind.literal == "number" or re.fullmatch(r"[-−]?\d+,\d+(?:\s*[a-zµ°]+)?", text):
            text = re.sub(r"(?<=\d),(?=\d)", ".", text)
        meant = {word: option for option, word in self.options.items()}
        return meant.get(text.lower(), text), kinds

    def refusal(self, gap: Any, text: str) -> Refusal:
        """What is said where something does not go into a gap."""
        wanted = self.wants.get(gap.kind_name, gap.kind.wants)
        return Refusal(self.spoken["does not fit"].format(text=text.strip()[:40], wanted=wanted))


#: A point as it is named.
_POINT = r"([A-Z]\d?['′]?)"
ENGLISH = Tongue(
    code="en",
    subject=re.compile(r"\s*(?P<name>\S.*?)\s*(?P<verb>\bis\b|=)\s*(?P<rest>.*)", re.DOTALL),
    is_="is",
    article=re.compile(r"(?:the|an?)\s+", re.IGNORECASE),
    opening=re.compile(r"(?!)"),
    last="and",
    spoken={"free": "is a free point", "free ones": "are free points"},
)
GERMAN = Tongue(
    code="de",
    subject=re.compile(r"\s*(?P<name>\S.*?)\s*(?P<verb>\bist\b|\bsei\b|\bsind\b|\bseien\b|=)\s*(?P<rest>.*)", re.DOTALL),
    is_="ist",
    article=re.compile(r"(?:de[rnms]|die|das|eine[rnms]?|ein)\s+", re.IGNORECASE),
    opening=re.compile(
        r"(?:bitte|nun|jetzt|dann|danach|und|(?:zeichne|konstruiere|zeige?|bilde|errichte|fälle|markiere|nimm|wähle|setze|ziehe?|trage|messe|miss"
        r"|bestimme|berechne|gib|verbinde)(?:\s+(?:mir|uns|bitte))*)[\s,]+",
        re.IGNORECASE,
    ),
    last="und",
    options={
        "first": "erster", "second": "zweiter", "third": "dritter", "fourth": "vierter", "reflex": "überstumpfe", "directed": "gerichtete",
    },
    nouns={
        **dict.fromkeys(("Punkt", "Punkte", "Punkten", "Punktes", "Ecke", "Ecken"), ("point",)),
        **dict.fromkeys(("Strecke", "Strecken", "Seite", "Sehne"), ("segment", "two")),
        **dict.fromkeys(("Gerade", "Geraden", "Linie"), ("line", "two")),
        **dict.fromkeys(("Kreis", "Kreises", "Kreise"), ("circle",)),
        **dict.fromkeys(("Winkel", "Winkels"), ("three",)),
        **dict.fromkeys(("Dreieck", "Dreiecks", "Dreiecke"), ("polygon", "three")),
        **dict.fromkeys(("Viereck", "Vierecks", "Vieleck", "Vielecks", "Rechteck", "Quadrat"), ("polygon", "three", "many")),
    },
    written=(
        (re.compile(rf"^(?:die |den |der |eine |einen )?(Strecke|Seite) {_POINT}{_POINT}$"), r"Strecke von \2 nach \3"),
        (re.compile(rf"^(?:die |den |der |eine |einen )?(Gerade|Linie) {_POINT}{_POINT}$"), r"Gerade durch \2 und \3"),
        (re.compile(rf"^(?:die |den |der |eine |einen )?(Strahl|Halbgerade) {_POINT}{_POINT}$"), r"Strahl von \2 durch \3"),
        (re.compile(rf"^{_POINT} (?:mit|und) {_POINT}(?: verbinden)?$"), r"Strecke von \1 nach \2"),
        (re.compile(rf"^{_POINT}{_POINT} halbieren$"), r"Mittelpunkt von \1\2"),
    ),
    wants={
        "point": "gebraucht wird ein Punkt",
        "span": "gebraucht werden zwei Punkte oder eine Strecke",
        "straight": "gebraucht wird eine Gerade, ein Strahl, eine Strecke oder eine Seite",
        "corner": "gebraucht werden drei Punkte, der Scheitel in der Mitte",
        "triangle": "gebraucht werden drei Punkte",
        "corners": "gebraucht werden mindestens drei Punkte",
        "curved": "gebraucht wird ein Kreis oder ein Kegelschnitt",
        "length": "gebraucht wird eine Länge, eine Strecke oder zwei Punkte",
        "path": "gebraucht wird eine Gerade, ein Kreis oder eine Kurve",
        "ride": "gebraucht wird eine Gerade, ein Kreis, ein Vieleck oder eine Kurve",
        "extended": "gebraucht wird ein Vieleck, ein Kreis oder ein Gebiet",
        "coordinates": "gebraucht werden Koordinaten, etwa (2 | 3)",
        "crossing": "gebraucht wird erster oder zweiter",
        "place": "gebraucht wird eine Zahl",
        "turn": "gebraucht wird überstumpfe oder gerichtete",
        "branch": "gebraucht werden Koordinaten",
    },
    spoken={
        "no sentence": "Das ist hier kein Satz. Es geht etwa so: „M ist der Mittelpunkt von AB“ oder „der Kreis um A durch B“.",
        "does not fit": "„{text}“ passt dort nicht: {wanted}.",
        "not so": "So geht „{tool}“ nicht: Die Dinge darin passen nicht zueinander.",
        "there": "{name} gibt es schon.",
        "free": "ist ein freier Punkt",
        "free ones": "sind freie Punkte",
        "absent": "zur Zeit nicht da",
    },
)  # fmt: skip
TONGUES = {tongue.code: tongue for tongue in (ENGLISH, GERMAN)}
