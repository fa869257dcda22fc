"""Idioms of English for images: what is reflected, turned, moved and enlarged, and copies of it.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import Idioms


def _turned(found: re.Match[str]) -> str:
    """ "the image of C after a half turn": by how many degrees it is rotated."""
    return f"rotate {found[1]} by {180 if found[2].lower() == 'half' else 90} degrees"


#: Ways of saying images, by how they are read.
OF_IMAGES: Idioms = (
    (
        r"(?i)^(translate|reflect|rotate|enlarge|shift|slide|dilate|turn|invert) (?-i:([A-Z]['′]?(?:, [A-Z]['′]?)*,? "
        r"and [A-Z]['′]?)) (?=\w)",
        r"\1 the points \2 ",
    ),
    (r"(?i)^(?:make|draw) a copy of (.+?),? (?:shifted|moved|translated) (?=by\b|\d)", r"translate \1 "),
    (
        r"(?i)\bthe (?:symmetric|mirror) point (?:of|to) ([A-Z]) (?:to|in|about|over|with respect to|on) (?:the )?(line )?",
        r"the reflection of \1 in \2",
    ),
    (
        r"(?i)^(?:shift|move|translate|slide) (?:line )?([a-z]|[A-Z]{2}) (?:parallel )?so (?:that )?it (?:passes|goes|runs) "
        r"through ([A-Z])\b",
        r"draw the parallel to \1 through \2",
    ),
    (
        r"(?i)^(reflect|rotate|turn|translate|enlarge) (.+?),? (?:and )?then (?=(?:in|about|by|around|through|across|over|from) )",
        r"\1 \2 and \1 the image ",
    ),
    (
        r"^[Mm]ake (?:it so )?that ([A-Z]) is the symmetric (?:point )?of ([A-Z]) (?:by|about|in|with respect to) ([A-Z])\b",
        r"let \1 be the reflection of \2 in \3",
    ),
    (r"(?i)\bthe symmetric (?:point )?of ([A-Z]) (?:by|about|in|with respect to) ", r"the reflection of \1 in "),
    (
        r"(?i)\b(?:by |through )?a (quarter|half) turn (clockwise|anti-?clockwise|counter-?clockwise)",
        lambda found: f"by {90 if found[1].lower() == 'quarter' else 180} degrees {found[2]}",
    ),
    (r"(?i)\b(reflection|mirror image|image) of ((?:the )?(?:point )?[A-Z]) (?:over|across) ", r"\1 of \2 in "),
    (
        r"(?i)^(?:a |the )?(\d[\d.]*) ?(?:°|degrees?|deg) ?(clockwise |anti-?clockwise |counter-?clockwise )?(?:turn|rotation) of (.+?) "
        r"(?=(?:about|around|round) (?-i:[A-Z])\b)",
        lambda found: f"rotate {found[3]} by {found[1]} degrees {found[2] or ''}",
    ),
    (
        r"(?i)^(?:draw |find |mark |construct )?(?:an? |the )?image of (.+?) (?:after|by) (?:a|the) (half|quarter) turn\b",
        _turned,
    ),
)
