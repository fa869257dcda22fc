"""Idioms of English for what is laid out on the ground: ponds and lawns are circles, paths and hedges are straight, and what is set
somewhere, whatever it is, stands at a point.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from . import english
from .idiom_parts import Idioms

_SET = r"put|place|plant|set|stand|install|fix|mount|build|dig|drive|fit"
_ROUND = r"(?:round |circular )?(?:pond|pool|lawn|fountain|flower bed|basin|rose bed)"
_LONG = r"(?:straight )?(?:path|hose|fence|wall|hedge|rope|string|wire|pipe|cable|row|ditch|edging|plank|beam|washing line)"
#: Nouns and adjectives that the grammar has: what they head is no thing of the garden.
_KNOWN = frozenset(english.HEADS) | english.ADJECTIVES


def _stands(found: re.Match[str]) -> str:
    """ "put a sprinkler halfway between T and H": whatever stands there, it is a point."""
    words = re.findall(r"[a-z]+", found[2].lower())
    return found[0] if any(word in _KNOWN or word.removesuffix("s") in _KNOWN for word in words) else f"draw a point {found[3]}"


#: Ways of speaking of what is laid out on the ground, by how they are read.
OF_GARDENS: Idioms = (
    (r"(?i)\bstraight across (?=to\b)", ""),
    (r"(?i)^(?:put|build|make) (?=an? (?:straight )?(?:path|fence|hedge|wall|track) (?:from|between)\b)", "lay "),
    (
        rf"(?i)^(?:{_SET}|draw|mark) two (?:trees|posts|pegs|poles|stones|stakes|bushes|lamps|taps|bins|sticks) (?=(?-i:[A-Z]) "
        rf"and (?-i:[A-Z])\b)",
        "draw two points ",
    ),
    (
        r"(?i)^how (?:many (?:metres|meters|m)|much) (?:of )?(?:fence|fencing|edging|hedge|rope|wire|wall|border) "
        r"(?:goes|go|runs|run|is needed to go|are needed to go|do we need to go|would go|will go) (?:all the way )?a?round (?:the )?"
        r"(?:bed|garden|lawn|plot|field|outside|edge)?(?: (?-i:([A-Z]{3,})))?(?=[ ?.!]*$)",
        lambda found: f"the perimeter{f' of {found[1]}' if found[1] else ''}",
    ),
    (
        rf"(?i)^(?:{_SET}|mark|find) an? (?:[a-z]+) (?:the same distance|as far|equally far) from (?-i:([A-Z])) (?:as|and) "
        rf"(?:from )?(?-i:([A-Z])) "
        r"on (?:the )?(?:side |edge |line )?(?-i:([A-Z]{2}))(?=[ .!]*$)",
        r"draw the point on \3 equidistant from \1 and \2",
    ),
    (
        r"(?i)^(?:draw |lay |mark )?(?:the |a )?(?:shortest |straight )*(?:path|track|pipe|ditch) from (?-i:([A-Z])) (?:that|"
        r"which) (?:reaches|meets|hits|"
        r"joins) (?:side )?(?-i:([A-Z]{2})) at (?:a )?right angles?(?=[ .!]*$)",
        r"draw the perpendicular from \1 to \2",
    ),
    (rf"(?i)^(?:{_SET}|draw|lay out|make) an? {_ROUND}(?= (?:of|with|about|around|round|at)\b)", "draw a circle"),
    (
        rf"(?i)^(?:{_SET}|draw|lay|lay out|stretch|run|make|pull|peg|tie|string) an? {_LONG}(?= (?:straight )?(?:from|between)\b)",
        "draw a segment",
    ),
    (
        r"(?i)^(?:the |a |an |my |our )?(?:hose|sprinkler|rope|lamp|light|tap|goat|dog|crane|mower)"
        r"(?: (?:is )?(?:tied|pegged|standing|fixed|put))? (?:at|to|in) (?-i:([A-Z])) "
        r"(?:reaches|waters|sprays|lights up|lights|covers|can reach|can water)(?: as far as| up to| out to)? (?=\d)",
        r"draw a circle with centre \1 and radius ",
    ),
    (
        r"(?i)^(?:the |a |an |my |our )?(?:hose|sprinkler|rope|lamp|light|tap|goat|dog|crane|mower) (?:stands|is|is tied|is pegged|is put) "
        r"(?:midway|halfway|half way|in the middle) between (?-i:([A-Z])) and (?-i:([A-Z])) and "
        r"(?:reaches|waters|sprays|lights up|lights|covers|can reach|can water)(?: as far as| up to| out to)? (?=\d)",
        r"draw a circle with centre the midpoint of \1\2 and radius ",
    ),
    (r"(?i)^(draw a segment) straight (?=from (?-i:[A-Z]) to )", r"\1 "),
    (
        r"(?i)^(?:how long is|what is the length of|measure) (?:the |a )?(?:fence|wall|hedge|edging|border|rope|path)(?: that goes)? "
        r"(?:right |all )*(?:the way )?(?:a?round)(?: (?:the )?(?:outside|edge|bed|garden|lawn|plot))?(?: of it)?(?=[ ?.!]*$)",
        "the perimeter",
    ),
    (
        rf"(?i)^({_SET}) an? ((?:[a-z]+ ){{0,2}}?[a-z]+) (?=(?:halfway|midway|half way|at|in the "
        r"middle|on|where|between|inside|outside|exactly|equally)\b)"
        r"(.+)$",
        _stands,
    ),
)
