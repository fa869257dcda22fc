"""Figures that a sentence speaks of before they are there: "the bisector of angle A of triangle ABC", "triangle ABC is right-angled at A".

They are drawn first, and then the sentence is read.
"""

import re
from dataclasses import dataclass

from .idiom_parts import OF_A_SORT, POLYGON

_FACT = r"(?:(?-i:[A-Z]{2}) ?= ?[^,;.]+?|(?:the )?(?:angle|∠) ?(?-i:[A-Z]{1,3}) ?= ?\d[\d.]* ?(?:°|degrees)?)"
_SPOKEN_OF = re.compile(
    rf"(?i)\b(?P<to>of|in|to|on|inside|about|outside|through) (?:an? |the |any |some )?(?P<sorts>(?:(?:{OF_A_SORT}) )*)(?P<kind>{POLYGON}) "
    rf"(?P<names>(?-i:[A-Z]{{3,8}}))\b(?: (?:with|in which|where|such that|whose) (?P<facts>{_FACT}(?:(?:,| and) {_FACT})*)(?=[ .!]*$))?"
)
_DECLARED = re.compile(
    rf"(?i)(?:the |let )?(?P<kind>{POLYGON}) (?P<names>(?-i:[A-Z]{{3,8}})) (?:is|be) (?:an? )?(?P<sort>{OF_A_SORT}|right angled)(?: "
    rf"(?P=kind))?"
    r"(?:,? (?:(?:right-angled )?(?:at|in) (?P<at>(?-i:[A-Z]))|(?:and |with |in which |where )?(?P<rest>(?:with |and )?(?:(?-i:[A-Z]{2})|"
    r"angle|∠)[^;]*)))?"
    r"[ .!]*"
)
_HAVING = re.compile(
    rf"(?i)(?:the |let )?(?P<kind>{POLYGON}) (?P<names>(?-i:[A-Z]{{3,8}})) (?:has|have) (?P<rest>(?:an? |its )?(?:right angle|sides?|"
    rf"angle|(?-i:[A-Z]{{2}})) ?[^;]*)"
)
_IN_A_CIRCLE = re.compile(
    r"(?i)in (?:an?|any|the) (?P<circle>circle(?: (?-i:[a-z])\b)?(?:,? (?:with |whose )?(?:cent(?:re|er)|cent(?:re|er) is) (?-i:[A-Z]))?"
    r"(?:,? (?:and|of|with) (?:a )?radius (?:of )?\d\S*(?: ?[cm]?m)?)?),? (?P<rest>.+)"
)
_LONGEST = re.compile(r"\bhypotenuse ([A-Z]{2})\b")
#: What asks or claims: what is missing there is made by no such sentence.
_ASKS = re.compile(
    r"(?i)\s*(?:prove|show|check|verify|claim|then|hence|thus|therefore|is|are|does|do|find|measure|what|how|which|where|why|calculate|"
    r"compute|"
    r"compare|see|test|hide|delete|remove|colour|color|label)\b"
)


@dataclass(frozen=True)
class First:
    """What is drawn first, with the corners that are new, and what is read after it; "" for nothing."""

    drawn: str
    corners: str
    rest: str


def figure_first(text: str) -> First | None:
    """The figure that a sentence speaks of besides what it draws, or that it says to be of a sort; None where there is none, or where the
    sentence asks or claims something."""
    if _ASKS.match(text):
        return None
    text = text.strip()
    if (found := _DECLARED.fullmatch(text)) is not None:
        told = (
            f" with the right angle at {found['at']}"
            if found["at"]
            else f" with {found['rest'].removeprefix('with ')}"
            if found["rest"]
            else ""
        )
        return First(f"draw the {found['sort']} {found['kind'].lower()} {found['names']}{told}", found["names"], "")
    if (found := _HAVING.fullmatch(text)) is not None:
        return First(f"draw the {found['kind'].lower()} {found['names']} with {found['rest']}", found["names"], "")
    if (found := _IN_A_CIRCLE.fullmatch(text)) is not None and not _ASKS.match(found["rest"]):
        return First(f"draw a {found['circle']}", "", found["rest"])
    if (found := _SPOKEN_OF.search(text)) is not None:
        told = f" with {found['facts']}" if found["facts"] else ""
        if "right" in found["sorts"].lower() and not told and (longest := _LONGEST.search(text)) and set(longest[1]) < set(found["names"]):
            (corner,) = set(found["names"]) - set(longest[1])
            told = f" with the right angle at {corner}"
        drawn = f"draw the {found['sorts']}{found['kind']} {found['names']}{told}"
        rest = f"{text[: found.start()]}{found['to']} {found['kind']} {found['names']}{text[found.end() :]}"
        return First(drawn, found["names"], rest)
    return None
