"""Idioms of English for points: where they are, how far from what, in which ratio they divide, on what they slide.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .english_amounts import NUMBERS, PARTS
from .idiom_parts import SIZE, Idioms

#: How many times as far something is.
_FAR = {"twice": 2, "three times": 3, "four times": 4}


def _laid_off(found: re.Match[str]) -> str:
    """ "lay off 3 cm from A along AB": the point at that distance from the end that is named, else from the first."""
    one, other = found[3], found[4]
    start = found[2] or found[5] or one
    if start not in (one, other):
        return found[0]
    end = other if start == one else one
    if found[1].isupper():
        return f"mark the point on ray {start}{end} at the distance {found[1]} from {start}"
    return f"mark the point {found[1]} from {start} towards {end}"


#: Ways of saying points, by how they are read.
OF_POINTS: Idioms = (
    (r"(?i)\b(?:somewhere|anywhere) (?=(?:on|off|not|inside|outside|above|below|between|in|along)\b)", ""),
    (
        r"(?i)\b(point|spot|place) (?:that is |which is )?where (?:it|you|one|they|we|i) (?:is|are|am|would be|will be|lies) "
        r"(?=equally far|equidistant|as far|the same distance|at the same distance|nearer|closer|further|within|at|\d)",
        r"\1 ",
    ),
    (r"(?i)\b(mark|find|show|put|plot) (the|a) spot\b", r"\1 \2 point"),
    (r"(?i)\b(?:that|which) (?:is |lies )?(?:at )?(?:the same|an equal|equal) distances? (?:away )?(?:from|to) ", "equidistant from "),
    (r"^(?:[Ll]et )?([A-Z]) ∈ (\S+?)(?=[ .!]*$)", r"let \1 be a point on \2"),
    (
        r"(?i)^(?:put |mark |draw |place )?(\w+) points? (?:evenly|equally|regularly)(?: (?:spaced|spread|placed|distributed))? "
        r"(?:on|around|round|along) ([^.]+)",
        r"divide \2 into \1 equal parts",
    ),
    (
        r"(?i),? (?:with )?no three (?:of them )?(?:are |being |lie |lying )?(?:(?:in|on) (?:a|one|the same) (?:straight )?line|"
        r"collinear|in line)(?=[ .!]*$)",
        "",
    ),
    (r"(?i)\bthe distance of (?-i:([A-Z])) (?:and|to) (?=(?-i:[A-Z])\b)", r"the distance from \1 to "),
    (r"(?i)^let ((?-i:[A-Z])) be such that ", r"let \1 be the point such that "),
    (
        rf"(?i)^(?:mark out|mark off|step off|set off|measure off|measure out) ({SIZE}) from (?-i:([A-Z])) (?=towards?\b)",
        r"mark the point \1 from \2 ",
    ),
    (r"(?i)^(?:the )?points (?=[A-Z]\w*(?:, ?[A-Z]\w*)*,? (?:and )?[A-Z]\w* are the )", ""),
    (
        r"(?i)\b((?-i:an?) (?:point|dot|peg|spot) (?:on|along) .+?) (?:that|which) (?:I |we |you |one )?can (?:be )?"
        r"(?:slide|slid|move|moved|drag|dragged)(?: along it)?(?=[ .!]*$)",
        r"\1",
    ),
    (
        r"(?i)^(put|place|make|mark) (an? )?(?:small |little )?(?:cross|dot|spot|blob) (?=half ?way|in the middle|at the mid)",
        r"\1 \2point ",
    ),
    (r"(?i)\b(variable|moving|movable|running|arbitrary|generic) (?=points?\b)", "any "),
    (r"(?i)\b(?:a|an|the) any (?=points?\b)", "any "),
    (r"(?i)\b(put|draw|make|place) (an? \w+) here\b", r"\1 \2"),
    (r"^[Tt]he point ([A-Z]) (?=divides\b)", r"\1 "),
    # Points in general position are never in line.
    (
        r"(?i)\s*,?\s*\b(?:(?:that|which) (?:do|are) )?not (?:(?:all )?(?:lie|lying) )?(?:(?:on|in) (?:a|one|the same) "
        r"(?:straight )?line|collinear|in line)(?=[ .!]*$| and\b)",
        "",
    ),
    (r"(?i)\bnon-?\s?collinear\s+(?=points)", ""),
    (r"\bpoints?, (?=[A-Z]\b)", "points "),
    (r"\bpoints? ([A-Z]) (?:with|such that|so that|for which) \1([A-Z]) = \1([A-Z])\b", r"points equidistant from \2 and \3"),
    (r"(?i)\binto (halves|thirds|quarters|fifths)\b", lambda found: f"into {PARTS[found[1].lower()]} equal parts"),
    (
        r"(?i)^(?:put|mark|draw|place) (\w+) (?:equally|evenly|regularly) spaced points (?:on|around|round|along) ([^.]+)",
        r"divide \2 into \1 equal parts",
    ),
    (r"(?i)^put (?:the )?(?:point )?([A-Z]) at (\([^)]*\)) and ([A-Z]) at (\([^)]*\))", r"put \1 at \2 and put \3 at \4"),
    (
        r"(?i)^put (?:(?:an?|one|two|three|four|five) )(?:(?:more|other) )?(?=points?\b)",
        lambda found: found[0].lower().replace("put", "mark"),
    ),
    (r"(?i)\bmark ((?:one|two|three|four|five|six)) (?:more|other) (?=points?\b)", r"mark \1 "),
    (r"(?i)\b((?:one|two|three|four|\d) (?:thirds?|quarters?|fifths?)) along (?=[A-Z]{2}\b)", r"\1 of the way along "),
    (
        r"^(?:[Cc]opy|[Cc]arry|[Tt]ransfer|[Ss]tep off) (?:the )?(?:length|distance) (?:of )?([A-Z]{2}) (?:on ?to|along|over to) "
        r"(?:the )?ray (?:from )?([A-Z])(?: (?:through|to|towards) )?([A-Z])\b",
        r"the point at \1 from \2 towards \3",
    ),
    (
        r"^(?:[Mm]ark|[Ll]et|[Pp]ut|[Tt]ake|[Cc]hoose|[Ff]ind) (?:a )?(?:the )?(?:point )?([A-Z]) (?:be (?:a |the )?point )?on "
        r"([A-Z])([A-Z]) (?:such that|so that|with|where) \2\1 (?:is|=|equals) (?:an? |one )?((?:two |three )?"
        r"(?:half|thirds?|quarters?|fifths?)) of \2\3",
        r"let \1 be the point \4 of the way from \2 to \3",
    ),
    (r"(?i)\b(?:the )?(?:set|locus) of (?:all )?(?:the )?points (?:which|that) (?:are|lie) ", "the locus of points "),
    (
        r"(?i)^(?:slide|put|place|set) (?:a |the )?(?:new )?point ([A-Z]) (?:along|to slide on|to slide along) ",
        r"let \1 be a point on ",
    ),
    (r"(?i)\bequally (?:far|distant) from\b", "equidistant from"),
    (r"(?i)\b(?:an?|one) (quarter|third|fifth|sixth|tenth|eighth) (?=of the way)", r"one \1 "),
    (
        r"(?i)^(?:put|mark|place|plot) (?:a |the )?point (?=(?:one|two|three|half|\d|three-)\b.*of the way\b|halfway\b)",
        "mark the point ",
    ),
    (
        r"(?i)\b(?:that|which) is as far (?:away )?from ([A-Z]{1,2}) as (?:it is )?(?:from )?([A-Z]{1,2})\b",
        r"equidistant from \1 and \2",
    ),
    (r"^(?:[Tt]he )?[Pp]oints ([A-Z]\d?(?:, [A-Z]\d?)*,? and [A-Z]\d?) (?=(?:all )?(?:lie|are)\b)", r"\1 "),
    (r"(?i)\bthe point ([A-Z] )?(?:which divides|dividing) (?=[A-Z]{2} (?:internally )?in\b)", r"the point \1that divides "),
    (r"(?i)^(?:find|mark|locate|get|show|plot|label) the point (?:that|which) divides ", "the point that divides "),
    (
        r"(?i)^(?:take|let|mark|put) (?-i:([A-Z])) (?:be |lie )?on (?-i:([A-Z])([A-Z])) (?:produced|extended)(?: beyond (?-i:\3))?,? "
        r"(?:so that|such that|with) (?-i:\2\1 = (\d+) ?\2\3|(?:\3\1|\1\3) = (?:\2\3|\3\2))(?=[ .!]*$)",
        lambda found: f"let {found[1]} be the image of {found[3]} under the enlargement from {found[2]} by the factor {found[4] or 2}",
    ),
    (
        r"(?i)^(?:divide|split|cut) (?-i:([A-Z]{2})) into (\w+) equal parts (?:at|by|with)(?: the points)? "
        r"(?-i:([A-Z](?:, [A-Z])*,? and [A-Z]))(?=[ .!]*$)",
        r"the points \3 divide \1 into \2 equal parts",
    ),
    (
        r"(?-i:([A-Z]{2})) is (?:trisected|divided into three equal parts) (?:at|by) "
        r"(?-i:([A-Z])) and (?-i:([A-Z]))(?=[ .!]*$)",
        r"\2 and \3 trisect \1",
    ),
    (
        r"(?i)\b(?:the |a )?point (?:on|of) ((?:the )?(?:circle|line)(?: (?-i:[a-z]|[A-Z]{2}))?|(?-i:[a-z]|[A-Z]{2})) "
        r"(?:(?:that|which) "
        r"(?:is|lies) |lying )?(?:the )?(nearest|closest|furthest|farthest|most far) (?:to|from) (?=(?-i:[A-Z])\b)",
        lambda found: f"the {'nearest' if found[2].lower() in ('nearest', 'closest') else 'furthest'} point on {found[1]} to ",
    ),
    (r"(?i)\b(divides? (?-i:[A-Z]{2})) internally (?=in the ratio\b)", r"\1 "),
    (r"(?i)\bin the ratio (\d+) to (?=\d)", r"in the ratio \1 : "),
    (
        r"(?i)\bin the ratio (one|two|three|four|five|six) to (one|two|three|four|five|six)\b",
        lambda found: f"in the ratio {NUMBERS[found[1].lower()]} : {NUMBERS[found[2].lower()]}",
    ),
    (
        r"(?i)^(?:cut|split|divide|partition) (.+?) (?:up )?into (\w+) (?:(?:congruent|equal) )?(?:segments|pieces|parts)(?=[ .!]*$)",
        r"divide \1 into \2 equal parts",
    ),
    (r"(?i)\bthe point ([A-Z]\d?) is the\b", r"\1 is the"),
    (
        rf"(?i)\b(?:a |the )?point ((?-i:[A-Z] )?)on (?:the )?(?:segment |line |side )?(?-i:([A-Z])([A-Z])) (?:(?:that|which) is |lying )?"
        rf"({SIZE}) (?:away )?from (?-i:(\2|\3))(?=[ .!]*$)",
        lambda found: f"the point {found[1]}{found[4]} from {found[5]} towards {found[3] if found[5] == found[2] else found[2]}",
    ),
    (
        rf"(?i)^(?:lay|mark|measure|step|set|cut) off ({SIZE}|(?-i:[A-Z]{{2}})) (?:from (?-i:([A-Z])) )?"
        rf"(?:along|on) (?:the )?(?:ray |line |segment )?"
        rf"(?-i:([A-Z])([A-Z]))(?: (?:from|starting (?:at|from)) (?-i:([A-Z])))?(?=[ .!]*$)",
        _laid_off,
    ),
    (
        r"(?i)^(?:produce|extend|prolong) (?:the )?(?:line |segment |side )?(?-i:([A-Z])([A-Z])) (?:by )?its own length,? to (?:a )?"
        r"(?:point )?(?-i:([A-Z]))(?=[ .!]*$)",
        r"let \3 be the image of \2 under the enlargement from \1 by the factor 2",
    ),
    (
        r"(?i)\b(?:the )?(?:locus|set) of (?:all )?(?:the )?points (?:at )?(?:the same|an equal|equal) distances? (?:away )?from ",
        "the points equidistant from ",
    ),
    (
        r"(?i)\bdivid(?:ing|es) (?-i:([A-Z]{2})) externally in the ratio (\d[\d.]*) ?: ?(\d[\d.]*)",
        r"divides \1 in the ratio \2 : −\3",
    ),
    (
        r"(?i)^divide (?-i:([A-Z]{2})) externally (?:at (?-i:([A-Z])) )?in the ratio (\d[\d.]*) ?: ?(\d[\d.]*)",
        lambda found: (
            (f"let {found[2]} be " if found[2] else "") + f"the point that divides {found[1]} in the ratio {found[3]} : −{found[4]}"
        ),
    ),
    (
        r"(?i)\b(?:a |the )?point((?-i: [A-Z])?) on (?:the )?(?:segment |line |side )?(?-i:([A-Z])([A-Z])),? (?:which is |that is |lying )?"
        r"(twice|three times|four times) as far from (?-i:(\2|\3)) as (?:it is )?from (?-i:(\2|\3))(?=[ .!]*$)",
        lambda found: f"the point{found[1]} that divides {found[5]}{found[6]} in the ratio {_FAR[found[4].lower()]} : 1",
    ),
    (r"\b([A-Z]) (?:midpt|mid-?point|midpoint|mid)(?: of)? ([A-Z]{2})\b(?=,| and\b|[ .!]*$)", r"let \1 be the midpoint of \2"),
    (r"(?i)^(?:find |draw |mark |construct )?(?-i:([A-Z])\(([A-Z])\))(?=[ .!]*$)", r"draw the image of \2 under \1"),
    (
        r"(?i)^(?:(?:suppose|assume|let) )?(?:the )?(?:points )?(?-i:([A-Z]) and ([A-Z])) (?:lie|are|be)(?: points)? on "
        r"(?:the )?(?:sides )?(?-i:([A-Z]{2}) and ([A-Z]{2}))(?:,? respectively)?,? (?:so|such|chosen so) that (?=(?-i:\1\2|\2\1)\b)",
        r"let \1 be on \3 and \2 on \4 such that ",
    ),
    (
        r"(?i)\b(?:the )?point((?-i: [A-Z])?),? (one (?:half|third|quarter|fifth)|(?:two|three|four) (?:thirds|quarters|fifths)|half|a "
        r"third|a quarter) "
        r"(?:of the way )?along (?:the )?(?:segment |side )?(?-i:([A-Z])([A-Z]))(?: from (?-i:(\3|\4)))?(?=[ .!]*$)",
        lambda found: (
            f"the point{found[1]} {found[2]} of the way from {found[5] or found[3]} to {found[3] if found[5] == found[4] else found[4]}"
        ),
    ),
    (
        rf"(?i)^(mark|find|draw|construct|take) (?:a |the )?point (?-i:([A-Z])) (?:that is|which is|lying) ({SIZE}) (?:away )?from "
        rf"(?-i:([A-Z])) and "
        rf"({SIZE}) (?:away )?from (?-i:([A-Z]))(?=[ .!]*$)",
        r"\1 the point \2 so that \4\2 = \3 and \6\2 = \5",
    ),
    (
        r"(?i)^(?:mark |draw |take )?(?:three )?(?:collinear )?points (?-i:([A-Z]), ([A-Z]),? (?:and )?([A-Z]))(?: (?:on|in) a "
        r"(?:straight )?line)?,? "
        r"with (?-i:(\1|\2|\3)) between (?-i:(\1|\2|\3)) and (?-i:(\1|\2|\3))(?=[ .!]*$)",
        r"\5 and \6 are two points. \4 is a point between \5 and \6",
    ),
    (
        r"(?i)^on (?:the )?(?:side )?(?-i:([A-Z]{2})),? (?:take|mark|choose) (?:the |a )?point (?-i:([A-Z])) with ([^,;]+?),? and on "
        r"(?:the )?(?:side )?"
        r"(?-i:([A-Z]{2})),? (?:take |mark |choose )?(?:the |a )?point (?-i:([A-Z])) with ([^,;]+?)(?=[ .!]*$)",
        r"on \1 take the point \2 with \3. On \4 take the point \5 with \6",
    ),
    (
        r"(?i)\bangle (?-i:([A-Z]{1,3})) ?= ?angle (?-i:([A-Z]{1,3})) ?= ?(\d[\d.]*) ?(?:°|degrees)",
        r"angle \1 = \3° and angle \2 = \3°",
    ),
    (r"(?i)\bhalf-?way (?:pt|point|dot) (?:of|between) ", "midpoint of "),
)
