"""Idioms of English for images: what is reflected, turned, moved and enlarged, and copies of it.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import Idioms

#: How far turns go, by what they begin with, degrees.
_TURNS = {"quar": 90, "half": 180, "thre": 270, "full": 360}


def _degrees(turn: str) -> str:
    """How far "a half" turn goes, and others."""
    return f"{_TURNS[turn[:4].lower()]} degrees"


def _turned(found: re.Match[str]) -> str:
    """ "the image of C after a half turn": by how many degrees it is rotated."""
    return f"rotate {found[1]} by {_degrees(found[2])}"


#: The corners of a shape; what is done to it, and the transformation that does it.
_CORNERS = r"(?-i:(?:[A-Z]\d?[′']*){3,6})"
_NOUNS = {
    "reflect": "reflection", "mirror": "reflection", "rotate": "rotation", "turn": "rotation", "translate": "translation",
    "enlarge": "enlargement",
}  # fmt: skip

#: The verbs of transformations that are said as things.
_VERB_OF = {
    "enlargement": "enlarge", "dilation": "enlarge", "rotation": "rotate", "reflection": "reflect", "translation": "translate",
}  # fmt: skip


def _turned_to(found: re.Match[str]) -> str:
    """Which way is turned to the left."""
    return f"{found[1]} {'anticlockwise' if found[2].lower() == 'left' else 'clockwise'}"


#: Ways of saying images, by how they are read.
OF_IMAGES: Idioms = (
    (r"(?i)^(?:graph|draw|plot|sketch|show|find|construct|give) its image (?=(?:after|under|by)\b)", "draw the image of it "),
    (
        r"(?i)^(?:(?:graph|draw|plot|sketch|show|find|construct) )?(?:the )?image of (.+?) (?:after|under|by) (?:an? |the "
        r")?(\d[\d.]*) ?(?:°|degrees?) "
        r"(clockwise|counter-?clockwise|anticlockwise) (?:rotation|turn) (?=about\b|around\b)",
        r"rotate \1 by \2 degrees \3 ",
    ),
    (
        rf"(?i)^({'|'.join(_NOUNS)}) (?:the )?((?:triangle |quadrilateral |shape |figure )?{_CORNERS}) "
        r"((?:in|about|around|round|by|along|from|through|with|over|across) .+?),? "
        r"(?:and (?:call|label|name) (?:the|its) image|(?:so as )?to (?:get|give|obtain|form)|giving|obtaining|onto) (?:the )?"
        rf"(?:triangle )?({_CORNERS})(?=[ .!]*$)",
        lambda found: f"let {found[4]} be the image of {found[2]} under the {_NOUNS[found[1].lower()]} {found[3]}",
    ),
    (
        r"(?i)\b(image of .+?) (?:under|after|by|in) (?:a|the) (half|quarter)[- ]turn (?=(?:about|around|round)\b)",
        lambda found: f"{found[1]} under the rotation by {_degrees(found[2])} ",
    ),
    (
        r"(?i)\b(image of .+?) (?:after|by) (?:an?|the) (?=(?:translation|rotation|reflection|enlargement)\b)",
        r"\1 under the ",
    ),
    (r"(?i)\b(?:the )?x[- ]?axis\b", "the horizontal axis"),
    (r"(?i)\b(?:the )?y[- ]?axis\b", "the vertical axis"),
    (
        r"(?i)^(reflect .+?) and then (?:reflect )?(?:the result|the image|that|it|this)(?: again)? (?=(?:in|about|over|across) )",
        r"\1 and then ",
    ),
    (r"(?i)^reflect (\S+) first in (\S+),? and then in (?=\S)", r"reflect \1 in \2 and then in "),
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
        r"(?i)\b(?:by|through) a (quarter|half|three[- ]quarters?|full)(?: of a)? turn(?=[ .!]*$| (?:about|around|round)\b)",
        lambda found: f"by {_degrees(found[1])}",
    ),
    (
        r"(?i)\b(?:by |through )?a (quarter|half) turn (clockwise|anti-?clockwise|counter-?clockwise)",
        lambda found: f"by {_degrees(found[1])} {found[2]}",
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
    # What a thing becomes: "the triangle after an enlargement by 3 with centre C".
    (
        r"(?i)^(?:see |show |draw |find )?(.+?) after (?:an? |the )?(enlargement|dilation|rotation|reflection|translation) "
        r"(?=(?:by|of|in|about|around|with|from|through|over)\b)(?:of (?=\d))?",
        lambda found: f"{_VERB_OF[found[2].lower()]} {found[1]} ",
    ),
    (r"(?i)\b(\d[\d.]* ?(?:°|degrees?)) to (?:the )?(left|right)\b", _turned_to),
    (
        r"(?i)^(?:reflect|mirror) (?:the )?(?:point )?(?-i:([A-Z])) (?:in|over|across|about) (.+?),? and (?:label|call|name) (?:the |its "
        r"|it)?(?:new |image |mirror )?(?:vertex|point|image|corner)?(?: point)? ?(?-i:([A-Z]['′’]?))(?=[ .!]*$)",
        r"let \3 be the reflection of \1 in \2",
    ),
    # The image of a corner of a shape is named after it in any case.
    (
        r"(?i)\b((?:triangle|shape|figure|polygon|quadrilateral|(?-i:[A-Z]{3,6}))\b.*?),? and (?:label|call|name) (?:the |its )?(?:new "
        r"|image )?(?:vertex|point|image|corner)(?: point)? (?-i:[A-Z])['′’](?=[ .!]*$)",
        r"\1",
    ),
)
