"""Idioms of English that say how large things are: lengths with one unit for several, words for numbers, sides one after the other.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .english_amounts import NUMBERS, PARTS
from .idiom_parts import POLYGON, SIZE, Idioms

_COUNTED = "|".join(NUMBERS)
#: How many times as large.
_TIMES = {"twice": "2", "double": "2", "half": "0.5", "three times": "3"}


def _listed(words: list[str]) -> str:
    return f"{', '.join(words[:-1])} and {words[-1]}"


def _enlarged(found: re.Match[str]) -> str:
    """ "make ABC three times as big from P": the factor; as small, one by it."""
    times = _TIMES.get(found[2].lower(), found[2].split()[0])
    factor = f"1/{times}" if found[3].lower() == "as small" else times
    return f"enlarge {found[1]} by scale factor {factor}{f' from {found[4]}' if found[4] else ''}"


def _of_one_unit(found: re.Match[str]) -> str:
    """ "50, 60 and 70 mm": the unit after the last of several numbers is that of all."""
    return re.sub(r"\d+(?:\.\d+)?", lambda number: f"{number[0]} {found[2]}", found[1])


def _triangle_of_three(found: re.Match[str]) -> str:
    """ "a 3, 4, 5 triangle": by its sides, unless they are its angles."""
    sizes = [float(re.match(r"[\d.]+", found[number])[0]) for number in (1, 2, 3)]  # type: ignore[index]
    return found[0] if sum(sizes) == 180 else f"draw a triangle with sides {found[1]}, {found[2]} and {found[3]}"


#: Ways of saying sizes, by how they are read.
OF_SIZES: Idioms = (
    (r"(?i)(?<== )(?:one|a) (half|third|quarter|fifth) of (?=(?-i:[A-Z]{2})\b)", lambda found: f"1/{PARTS[found[1].lower()]} "),
    (r"^([A-Z]{2}) = ([A-Z]{2}) = (\d[\d.]*(?: ?[cm]?m)?)(?=,|;| and )", r"\1 = \3, \2 = \3"),
    (
        rf"(?i)\bisosceles (triangle(?: (?-i:[A-Z]{{3}}))?),? (?:with|whose) (?:equal )?(?:legs|sides) (?:of |are |both )?({SIZE}),? "
        r"(?:and|with) "
        r"(?:an? |the |its )?(?:apex|vertex|top) angle (?:of |is |= ?|equal to )?(\d[\d.]*)(?: ?°| degrees?)?",
        r"\1 with sides \2 and \2 and an angle of \3 degrees",
    ),
    (
        r"(?i)\b(isosceles\b.*?) (?:an? |the |its )?(?:apex|vertex|top) angle (?:of |is |= ?|equal to )?(\d+(?:\.\d+)?)(?: ?°| "
        r"degrees?)?(?![\d.])",
        lambda found: f"{found[1]} angles {(180 - float(found[2])) / 2:g} and {(180 - float(found[2])) / 2:g}",
    ),
    (r"(?i)\b(and|with) (?:one|a) diagonal (?:of |equal to )?(?=\d)", r"\1 diagonal "),
    (r"(?i)\bparallel sides (?:of )?(?=\d)", "sides "),
    (
        r"(?i)\b(area (?:of |equal to |is )?\d[\d.]*) ?(?:(?:sq(?:uare)?\.? "
        r"?)(cm|mm|m|centimet(?:re|er)s?|millimet(?:re|er)s?|met(?:re|er)s?)"
        r"|(cm|mm|m)(?:²|\^2|2)|sq(?:uare)?\.? ?units?)(?![a-z])",
        lambda found: f"{found[1]} {found[2] or found[3] or ''}".rstrip(),
    ),
    (r"(?i)\b(\d+(?:\.\d+)?) ?[x×] ?(?=\d+(?:\.\d+)?(?: ?[cm]?m\b| (?:rectangle|square|box|grid)\b|[ .!]*$))", r"\1 by "),
    (
        r"(?i)(?<![\d.(] )(?<![(\d.])\b(\d+(?:\.\d+)?(?:(?:,? and |, | by )\d+(?:\.\d+)?)+) ?(mm|cm|km|m|millimet(?:re|"
        r"er)s?|centimet(?:re|er)s?)\b",
        _of_one_unit,
    ),
    (
        rf"(?i)\b(sides|radii|angles|lengths|legs) ((?:{_COUNTED})(?:,? (?:and )?(?:{_COUNTED}))+)(?= (?:cm|mm|m|cent|"
        rf"met|mill|degrees)|[ .!]*$)",
        lambda found: (
            f"{found[1]} "
            + _listed([str(NUMBERS[word.lower()]) for word in re.findall(r"[a-z]+", found[2], re.IGNORECASE) if word.lower() in NUMBERS])
        ),
    ),
    (rf"(?i)\b(?:an? |the )?(?:straight )?line (?:that|which) is ({SIZE}) long\b", r"a segment of length \1"),
    (r"(?i)\b(an?|the) corner of (?=\d+ ?(?:°|degrees?))", r"\1n angle of "),
    (r"(?i)\bshorter sides (?=\d)", "legs "),
    (r"(?i)\b(isosceles\b.*?) (?:with|whose) (?:two )?(?:legs|equal sides) (?:of|are)(?: (?:a )?length)?(?: of)? (?=\d)", r"\1 with legs "),
    (r"(?i)\bbase angles (?:of |both |each )*(\d[\d.]*(?: ?°| degrees)?) and (?=\d)", r"angles \1 and "),
    (r"(?i)\bbase angles? (?:of |both |each |equal to )*(\d[\d.]*(?: ?°| degrees)?)", r"angles \1 and \1"),
    (
        rf"(?i)\b(?:that is |which is )?(?:about |roughly |around )?({SIZE}) across(?=[ .!]*$)",
        r"with diameter \1",
    ),
    (
        r"(?i)\b(semicircle|half[- ]circle) (?:of|with) (?:a )?radius (?:of )?(\d+(?:\.\d+)?)((?: ?[cm]?m)?)(?=[ .!]*$)",
        lambda found: f"segment of length {2 * float(found[2]):g}{found[3]} and a semicircle on it",
    ),
    (r"(?i)\b(square|equilateral triangle|rhombus|regular \w+) of (\d\S*(?: ?[cm]?m)?) side(?=[ .!]*$)", r"\1 with side \2"),
    (
        r"(?i)\b(an?|the) (\d+)[- ]?(?:°|degrees?) angle (?:with|at) (?:its |the )?(?:vertex|corner) (?:at )?(?-i:([A-Z])),? (?:and|with) "
        r"(?:one|a) (?:side|arm) (?:along )?(?-i:([A-Z]{2}))(?=[ .!]*$)",
        r"an angle of \2 degrees at \3 from \4",
    ),
    (r"(?i)\b(with|and) (?:an?|one) (\d+(?:\.\d+)?)[- ]?(?:degrees?|°) angle\b", r"\1 an angle of \2 degrees"),
    (
        rf"(?i)\b(?:an? |the )?point (?-i:(?:([A-Z]) )?)({SIZE}) (?:up |along |away |out |down )?from (?-i:([A-Z])) "
        r"(?:along|on|up|down|towards) (?:the )?(?:side |line )?(?-i:(\3[A-Z]|[A-Z]\3))(?=[ .!]*$)",
        lambda found: f"the point {found[1] + ' ' if found[1] else ''}on {found[4]} {found[2]} from {found[3]}",
    ),
    (
        rf"(?i)\b(rectangle(?: (?-i:[A-Z]{{4}}))?),? (?:that is |which is )?({SIZE}) (?:long|wide|high|tall|across)(?: and|,| by)? "
        rf"({SIZE}) (?:wide|long|high|tall|across|deep|broad)",
        r"\1 with sides \2 and \3",
    ),
    (
        rf"(?i)^(?:draw |construct |make )?(?:an? |the )?arc (?:of|with) radius ({SIZE}),? (?:through|of|with|and|spanning|turning "
        r"through) (?:an angle of |an angle |angle )?(\d+(?:\.\d+)?) ?(?:degrees|°)(?=[ .!]*$)",
        r"an arc with radius \1 by \2 degrees",
    ),
    (rf"(?i)\b({POLYGON}) with all (?:its |the |three |four )*sides (?:of |equal to |being )?({SIZE})", r"regular \1 with side \2"),
    (r"(?i)\b(isosceles triangle) base (\d\S*(?: ?[cm]?m)?),? (?:and )?(?:equal )?(?:sides|legs) (?=\d)", r"\1 with base \2 and sides "),
    (
        r"(?i)^((?:draw|construct|make|sketch) )?(?:an? |the )(\d+(?:\.\d+)?)[- ](?:degrees?|°) angle(?=[ .!]*$)",
        r"draw an angle of \2 degrees",
    ),
    (
        r"(?i)\btriangle (?:where|in which|with|whose) two (?:of its |of the )?sides (?:are |of |being )?(?:both )"
        r"?(\d\S*(?: ?[cm]?m)?),? (?:and|with) (?:the |an )"
        r"angle (?:between them|between the two) (?:is |of |being )?(\d+(?:\.\d+)?) ?(?:°|degrees)?(?=[ .!]*$)",
        r"triangle with sides \1 and \1 and an angle of \2",
    ),
    (
        rf"(?i)\b(?:isosceles )?triangle with two sides (?:of |equal to |that are )?({SIZE}),? (?:and )?(?:the )?(?:one|the "
        rf"third|third|the other)(?: side)?(?: of| equal to| is)? ({SIZE})(?=[ .!]*$)",
        r"triangle with sides \1, \1 and \2",
    ),
    (r"(?i)\bin (?:the |a )?distance (?:of )?(?=\d)", "at a distance of "),
    (
        rf"(?i)\b(rectangle|parallelogram),? (?:where |with |whose )?one side (?:is |of |being )?({SIZE}),? and (?:the |an )?other "
        rf"(?:side )?(?:is |of |being )?({SIZE})(?=[ .!]*$)",
        r"\1 with sides \2 and \3",
    ),
    (
        r"(?i)^make (.+?) (twice|double|half|three times|\d+ times) (as big|as large|as small|the size|its size|(?<!half )bigger)"
        r"(?:,? (?:from|about|with cent(?:re|er)) (?-i:([A-Z])))?(?=[ .!]*$)",
        _enlarged,
    ),
    (
        rf"(?i)\b(parallelogram|rhombus|triangle)((?-i: [A-Z]{{3,4}})?) with (?:one|a) side (?:of )?({SIZE})(?: long)?,? (?:and |, )?"
        rf"(?:the other|another|one)(?: side)?(?: of)? ({SIZE})(?: long)?,? (?:and|with) (?:an angle of )?(\d[\d.]*) ?(?:°|degrees) "
        r"between (?:them|the two|these)(?=[ .!]*$)",
        r"\1\2 with sides \3 and \4 and an angle of \5 degrees",
    ),
    (
        r"(?i)^(?:make |draw )?(?:a |the )?square with all (?:its )?sides (?:of )?(?:length )?(\d\S*(?: ?[cm]?m)?),? and (?:call|name) it "
        r"(?-i:([A-Z]{4}))(?=[ .!]*$)",
        r"draw the square \2 with side \1",
    ),
    (rf"(?i)\b(triangle|parallelogram)((?-i: [A-Z]{{3,4}})?),? base (?={SIZE},? (?:and )?height\b)", r"\1\2 with base "),
    (rf"(?i)\b(with base {SIZE}),? height (?=\d)", r"\1 and height "),
    (
        rf"(?i)\b(rectangle)((?-i: [A-Z]{{4}})?) (?:which|that|with)?(?: has| having)? ?(?:the |a )?length (?:of )?({SIZE}) and (?:the |a "
        rf")?(?:width|breadth) (?:of )?({SIZE})",
        r"\1\2 with sides \3 and \4",
    ),
    (
        rf"(?i)^(?:draw |make |construct )?(?:a |the )?({SIZE})[ ,:/–-]+({SIZE})[ ,:/–-]+({SIZE}) triangle(?=[ .!]*$)",
        _triangle_of_three,
    ),
)
