"""Idioms of English for triangles and other polygons: what they have, what is inscribed, their corners, sides and angles.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .english_amounts import NUMBERS
from .idiom_parts import POLYGON, SIZE, Idioms

#: Words before the sizes of sides.
_WITH_SIDES = r"(?:with|having|whose) (?:the |its )?sides (?:are |of |being )?"
#: Polygons by how many sides they have.
_SIDED = {
    **dict.fromkeys(("3", "three"), "triangle"), **dict.fromkeys(("4", "four"), "quadrilateral"),
    **dict.fromkeys(("5", "five"), "pentagon"), **dict.fromkeys(("6", "six"), "hexagon"), **dict.fromkeys(("8", "eight"), "octagon"),
}  # fmt: skip
_STAND_ON_SIDES = "(?:squares?|semicircles?|rectangles?|(?:equilateral|isosceles|right-angled) triangles?|rhombus(?:es)?)"
_DEGREES = r"\d[\d.]* ?(?:°|degrees)?"
_MAKE = r"(?:[Dd]raw |[Mm]ake |[Cc]onstruct |[Aa] |[Tt]he )*"


def _with_parts(found: re.Match[str]) -> str:
    """ "right-angled at B with AB = 3 and BC = 4": what is said besides, in one list."""
    return f"{found[1]} with a right angle at {found[2]}, {found[3]}"


def _right_by_its_sides(found: re.Match[str]) -> str:
    """A right-angled triangle by three sides: where they make the right angle, it need not be said."""
    a, b, c = sorted(float(found[number]) for number in (2, 4, 6))
    said = f"{found[2]}{found[3]}, {found[4]}{found[5]} and {found[6]}{found[7]}"
    if abs(a * a + b * b - c * c) > 1e-9 * c * c:
        return found[0]
    return f"{found[1] or 'draw'} a triangle with sides {said}"


#: Ways of saying shapes, by how they are read.
OF_SHAPES: Idioms = (
    (r"(?i)\b(?:an? |any )?(pentagon|hexagon|heptagon|octagon) (?:that|which) is not regular\b", r"an irregular \1"),
    (r"(?i)\bany (?=(?:pentagon|hexagon|heptagon|octagon)\b(?! (?-i:[A-Z]{3})))", "an irregular "),
    (
        r"(?i)\b(square|triangle|rectangle|quadrilateral|(?:regular )?(?:pentagon|hexagon|octagon)) with (?:its |all its |the "
        r")?(?:vertices|corners) on (?=(?:an?|the) circle\b|circle (?-i:[a-z])\b)",
        r"\1 inscribed in ",
    ),
    (
        r"(?i)\btriangle (?:whose (?:vertices|corners) are|with (?:vertices|corners) (?:at|in)|formed by|with) the feet of the "
        r"(?:three )?altitudes\b",
        "orthic triangle",
    ),
    (
        r"(?i)\b(?:split|cut|divide) ((?:the |a )?(?:quadrilateral|square|rectangle|parallelogram|rhombus|trapezium|kite)(?-i: "
        r"[A-Z]{4})?|(?-i:[A-Z]{4})) into two triangles(?=[ .!]*$)",
        r"draw a diagonal of \1",
    ),
    (
        r"(?i)^quadrilateral (?-i:([A-Z]{4})) is an? (kite|rhombus|square|rectangle|parallelogram|trapezium|trapezoid) (?=with\b)",
        r"\1 is a \2 ",
    ),
    (rf"(?i)\b({POLYGON}) ((?:with|of) .+?),? and (?:call|name|label) it (?-i:([A-Z]{{3,12}}))(?=[ .!]*$)", r"\1 \3 \2"),
    (r"(?i)\b(?:(?:which|that) has|with|having) the sides (?=\d)", "with sides "),
    (r"(?i)\bone angle (?:of )?(?=\d)", "an angle of "),
    (rf"(?i)\b(base (?:of )?{SIZE}), (?=(?:a |and )?(?:the )?height\b)", r"\1 and "),
    (r"(?i)\b(angle (?-i:([A-Z]{3}))\b.*?),? and bisect it(?=[ .!]*$)", r"\1 and bisect angle \2"),
    (r"(?i)\bright isosceles (?=triangle\b)", "right-angled isosceles "),
    (
        rf"(?i)\btriangle with (?:one|a) side (?:of )?({SIZE}) between angles of (\d[\d.]*)(?: ?°| degrees)? and "
        r"(\d[\d.]*)(?: ?°| degrees)?(?=[ .!]*$)",
        r"triangle with side \1 and angles \2 and \3",
    ),
    (
        r"(?i)\b(\d[\d.]*)(?:-| )?degrees?(?:-| )angle (?:with|at) (?:its |the |a )?(?:vertex|corner) (?=(?-i:[A-Z])\b)",
        r"angle of \1 degrees at ",
    ),
    (
        r"(?i)\binscribe an? (\w+) in (the circle|(?-i:[a-z])) with (?-i:([A-Z])) as (?:one|a) (?:vertex|corner)",
        r"inscribe a \1 in \2 with one corner at \3",
    ),
    (
        r"(?i)\b(triangle(?: (?-i:[A-Z]{3}))?),? (?:with|where|in which) (?:the )?(angle (?-i:[A-Z]{1,3})) (?:is |being )?(acute|obtuse)\b",
        lambda found: f"{found[1]} with {found[2]} {'less' if found[3].lower() == 'acute' else 'greater'} than 90",
    ),
    (
        r"(?i)\b(triangle(?: (?-i:[A-Z]{3}))?),? with an (acute|obtuse) angle at (?-i:([A-Z]))\b",
        lambda found: f"{found[1]} with angle {found[3]} {'less' if found[2].lower() == 'acute' else 'greater'} than 90",
    ),
    (r"(?i)\b(with|having|and) right[- ]angles (?:at|in) (?-i:([A-Z]) and ([A-Z]))\b", r"\1 angle \2 = 90 and angle \3 = 90"),
    (
        r"(?i)\btriangle (?:from|out of|using|between|on) (?:the )?(?:three )?(?:points |dots |corners )?"
        r"(?-i:([A-Z]),? ([A-Z]),? (?:and )?([A-Z]))(?=[ .!]*$)",
        r"triangle \1\2\3",
    ),
    (
        r"(?i)\b(an? |the )?triangle((?-i: [A-Z]{3})?) (?:with|having|that has|which has) (?:an? |one )?right angle(?=[ .!]*$)",
        r"a right-angled triangle\2",
    ),
    (
        r"(?i)\bperpendiculars (?-i:([A-Z])([A-Z]), \1([A-Z])(?:,| and|, and) \1([A-Z]))(?: are)?(?: drawn| dropped)? (?:to|on|onto) the "
        r"(?:three )?sides(?=[ .!]*$)",
        r"let \2, \3 and \4 be the feet of the perpendiculars from \1 to the sides",
    ),
    (r"(?i)\btriangle,? (?:which is |that is )?right(?:-| )?angled at (?=[A-Z]\b)", "triangle with a right angle at "),
    (
        rf"^({_MAKE}rhombus (([A-Z]{{2}})[A-Z]{{2}}))(?:,| with) sides? ({SIZE})(?:,| and)(?: an)? (?:∠|angle )(?:of )?"
        rf"(?:([A-Z]) ?= ?({_DEGREES})|({_DEGREES}) at ([A-Z]))(?=[ .!]*$)",
        lambda found: f"{found[1]} with {found[3]} = {found[4]} and angle {found[5] or found[8]} = {found[6] or found[7]}",
    ),
    (
        rf"^({_MAKE}(?:{POLYGON}) [A-Z]{{3,6}}), ([A-Z]{{2}} ?= ?{SIZE}), (?:∠|angle )([A-Z]{{1,3}}) ?= ?({_DEGREES})(?=[ .!]*$)",
        r"\1 with \2 and angle \3 = \4",
    ),
    (r"(?i)\bmidpoints of (?:the )?(?:adjacent|consecutive|neighbouring|successive) sides\b", "midpoints of the sides in order"),
    (r"(?i)\ball (?:of )?the angle (?:measures|sizes)(?=[ .?!]*$)", "all the angles"),
    (r"(?i)\bangle in (?=(?-i:[A-Z])\b)", "angle at "),
    (
        r"(?i)\bline crossing (.+?) at (?:right angles|90 ?(?:°|degrees)) (?:at|through|in) ([A-Z])\b",
        r"line perpendicular to \1 through \2",
    ),
    (
        r"(?i)\b(?:the )?angle (?:which|that) (\S+) and (\S+) (?:make|form|enclose|include)"
        r"(?: together| with (?:each other|one another))?\b",
        r"the angle between \1 and \2",
    ),
    (
        r"(?i)\b(?:an? |the )?(?:point|dot|cross) (?:half ?way along|in the middle of|at the mid(?:dle|point) of) (?:the )?"
        r"(?:line |side |segment )?([A-Z]{2})\b",
        r"the midpoint of \1",
    ),
    (r"(?i)\bthe whole (?=triangle|quadrilateral|square|rectangle|polygon|shape|figure)", "the "),
    (r"(?i)^give (?:me |us )?(?:three|four|five|six) points (?:that|which) (?:form|make|are the corners of|give) (an? )", r"draw \1"),
    (rf"(?i)\b({POLYGON}) with (?:the )?(?:points|dots) (?=[A-Z],)", r"\1 with corners "),
    (r"(?i)^label (?:the )?angle (at [A-Z]|[A-Z]{3}) with its (?:size|measure|value)", r"measure the angle \1"),
    (
        r"(?i)\b(?:the )?(?:measures? of )?(?:each|every|all the|all) (?:interior |inside |inner )?angles?(?=(?: of the "
        r"(?:triangle|figure))?[ ?.!]*$)",
        "all the angles",
    ),
    (
        r"(?i)^from (?:each|every) (?:corner|vertex),? draw (?:a|the) (?:line|segment) to the (?:middle|midpoint) of the "
        r"(?:opposite|facing) side",
        "draw the medians",
    ),
    (
        r"(?i)\b(?:the |a )?line (?:that|which) (?:cuts|divides|splits|halves|bisects) (?:the )?angle (?:at )?([A-Z]|"
        r"[A-Z]{3})(?: (?:in|into) (?:half|two|halves|two equal parts))?",
        r"the bisector of angle \1",
    ),
    (r"(?i)\bthe central angle (?=[A-Z]{3}\b)", "the angle "),
    (r"(?i)\bformed by the midpoints(?= (?:is|are)\b|[ .!]*$)", "formed by the midpoints of the sides"),
    (
        r"([A-Z])([A-Z])([A-Z])([A-Z]) be (an? (?:convex )?(?:quadrilateral|parallelogram|rectangle|square|rhombus|kite|"
        r"trapezium|trapezoid)) whose diagonals (?:meet|intersect|cross) (?:at|in) ([A-Z])\b",
        r"\1\2\3\4 be \5 and let \1\3 and \2\4 meet at \6",
    ),
    (r"(?i)\b(triangle) of (base|side|height|sides|legs|hypotenuse) (?=\d)", r"\1 with \2 "),
    (
        rf"(?i)\btriangle with (?:the )?angles (?:of )?(\d\S*) and (\d\S*) and (?:the )?side (?:between them )?({SIZE})(?: "
        rf"between them)?\b",
        r"triangle with side \3 and angles \1 and \2",
    ),
    (
        rf"(?i)\btriangle with (?:one |the )?side ({SIZE}) and (?:the )?angles (?:of )?(\d\S*) and (\d\S*?) (?:at its ends|on "
        rf"it|next to it)\b",
        r"triangle with side \1 and angles \2 and \3",
    ),
    (rf"(?i)\b((?:regular )?(?:{POLYGON})) with ([A-Z]{{2}}) (?:as|for) (?:one|a|one of its|its) sides?\b", r"\1 on \2"),
    (r"(?i)\btrapezes?\b", "trapezium"),
    (r"(?i)\b(?:an |the )?included angle of ", "the angle between them "),
    (r"(?i)\bangle between them (\d[\d.]* ?(?:°|degrees?))", r"angle \1 between them"),
    (rf"(?i)\bwith two sides of ({SIZE}) and ({SIZE})\b", r"with sides \1 and \2"),
    (r"(?i)\bline through ([A-Z]) (?:that|which) (?:halves|bisects) the area of (?:the )?triangle(?: [A-Z]{3})?", r"median from \1"),
    (
        r"(?i)^(join|connect) (?:up )?(?:the )?(?:consecutive|successive|neighbouring|adjacent) midpoints(?: of (?:the )?sides)?",
        r"\1 the midpoints of the sides in order",
    ),
    (
        r"(?i)\b(triangle [A-Z]{3}),? (?:that is |which is )?right[- ]?(?:angled)? at ([A-Z]),? with (.*=.*)$",
        _with_parts,
    ),
    (
        r"^[Ll]et ([A-Z]{3}) be a triangle,? right[- ]?(?:angled)? at ([A-Z]),? with (.*=.*)$",
        r"let \1 be a triangle with a right angle at \2, \3",
    ),
    (
        rf"(?i)\btriangle (?:{_WITH_SIDES})?({SIZE}),? ({SIZE}),? (?:and )?({SIZE})(?=[ .!]*$)",
        r"triangle with sides \1, \2 and \3",
    ),
    (r"(?i)^fill (?:in )?(the (?:shape|figure|triangle|polygon)|[A-Z]{3,}) (?:with|in) (?:the colou?r )?(\w+)(?=[ .!]*$)", r"colour \1 \2"),
    (r"(?i)\b(inside|outside|in) ([A-Z]{3,}) (?:that|which) are (?=nearer|closer|further|within|at|less|more)", r"\1 \2 which are "),
    (r"(?i)\b(inside|outside) ([A-Z]{3,}) (?=nearer|closer|further)", r"\1 \2 which are "),
    (r"(?i)\b(somewhere|anywhere)\s+(?=on\b|in\b|inside|outside|along)", ""),
    (r"\b(?:that|which) has ([A-Z]{2}) as (?:its|a|the) (base|side)\b", r"with \2 \1"),
    (r"(?i)\bwith (?:the |a |its )?right[- ]angle (?:opposite|facing) (?:to )?(?=[A-Z]{2}\b)", "with hypotenuse "),
    (r"(?i),? (?:but|and) (?:keep|leave) (?:the|its) (?:points|corners|vertices)(?=[ .!]*$)", ""),
    (r"(?i)\b(point (on|in|inside|outside) \S+ and) (?:one|another) (?=(?:on|in|inside|outside)\b)", r"\1 a point "),
    (r"(?i)\b(triangle|quadrilateral|parallelogram) ([A-Z]{3,4}) given(?: that)?\b", r"\1 \2 with"),
    (
        r"^[Ll]et ([A-Z](?:, [A-Z])*,? and [A-Z]) be (?:the )?(?:corners|vertices) of (an? [a-z -]+)",
        lambda found: f"let {''.join(re.findall('[A-Z]', found[1]))} be {found[2]}",
    ),
    (r"(?i)\bthat (?:lies|is|stands) (?=(?:above|below|outside|inside)\b)", ""),
    (r"(?i)\b(?:line|segment) from ([A-Z]) to the (?:midpoint|middle|centre|center) of the opposite side", r"median from \1"),
    (r"(?i)\band one (leg|side) (?:of )?(?=\d)", r"and \1 "),
    (r"(?i)\b(triangle|pentagon|hexagon|octagon|polygon) (regular|equilateral|isosceles|right-angled)\b", r"\2 \1"),
    (
        r"(?i)^(?:draw |show )?(?:the |all )?(?:three )?(?:midlines|midsegments|mid-segments)(?: of (?:the )?triangle)?(?=[ .!]*$)",
        "join the midpoints of the sides",
    ),
    (
        r"(?i)^(draw (?:an?|the) line through [A-Z]) (?:which|that) (?:meets|makes|cuts|crosses) (\S+) at (?:an angle of )?(?=\d)",
        r"\1 to \2 at ",
    ),
    (
        r"(?i)\b(\d+|one|two|three|four|five|six) (?:squares?|units?|boxes|steps?) (?:to the )?(right|left|up|down)(?:wards?)?\b",
        lambda found: f"{NUMBERS.get(found[1].lower(), found[1])} {found[2]}",
    ),
    (r"(?i)\b(right|left|up|down) (?:by )?(\d+|one|two|three|four|five|six) (?:squares?|boxes)\b", r"\1 \2"),
    (
        r"^(?:[Ee]xtend|[Pp]roduce|[Pp]rolong) (?:the )?(?:line |side |segment )?([A-Z])([A-Z]) (?:past|beyond) \2(?=[ .!]*$)",
        r"draw the ray \1\2",
    ),
    (
        r"(?i)^(?:(draw|construct|make) )?(?:an? )?right-?\s?(?:angled )?triangle with (?:the )?sides? ([\d.]+)((?: ?[cm]?m)?),? "
        r"(?:and )?([\d.]+)"
        r"((?: ?[cm]?m)?),? and ([\d.]+)((?: ?[cm]?m)?)(?=[ .!]*$)",
        _right_by_its_sides,
    ),
    (r"(?i)\b(draw|make|construct|mark) a right angle(?=[ .!]*$)", r"\1 an angle of 90 degrees"),
    (
        r"(?i)^(?:move|slide|push|shift) (the (?:triangle|quadrilateral|square|polygon|shape)|triangle [A-Z]{3}) (?=\d|by "
        r"|up|down|left|right)",
        r"translate \1 ",
    ),
    (
        r"(?i)\bline through ([A-Z]) (?:that|which) (?:crosses|meets|cuts|hits) (\S+) at (?:a )?right angles?",
        r"perpendicular to \2 through \1",
    ),
    (r"(?i)\ban angle of (\d+(?:\.\d+)?) ?(°|degrees?) and bisect it\b", r"an angle of \1 degrees and bisect the angle"),
    (r"(?i)\bone angle of (?=\d)", "an angle of "),
    (r"\b(rectangle|triangle|parallelogram) with (?:side|base) ([A-Z]{2}) and (?=height\b)", r"\1 on \2 with "),
    (r"(?i)(?<=[\"”“]) near (?=\w)", " beside "),
    (
        r"\b(?:with|that has) ([A-Z]), ?([A-Z]) and ([A-Z]) as (?:three of its|its|three) (corners|vertices)\b",
        r"with corners \1, \2 and \3",
    ),
    (r"(?i)\ball (three|four) (corners|vertices|sides|points)\b", r"the \1 \2"),
    (r"(?i)\bthe value of (?=(?:the )?(?:angle|length|area|distance|ratio)\b)", "the "),
    (r"(?i)\bfrom (\S+) to (\S+) at right angles(?=[ .!]*$)", r"from \1 perpendicular to \2"),
    (r"(?i)\bbisector of the (?:exterior|external|outer) angle (?:at|of) ", "external bisector of angle "),
    (r"^([A-Z])([A-Z])([A-Z]),? (?:is )?right(?:-angled| angled)? at (\1|\2|\3)(?=[ .!]*$)", r"triangle \1\2\3 right-angled at \4"),
    (r"^((?:.* )?)parallelogram with sides ([A-Z])([A-Z]) and \2([A-Z])\b", r"\1parallelogram with corners \3\2\4"),
    (
        r"^(.*)\bline from ([A-Z]) (?:to meet|meeting|that meets) (\S+) at (?:a )?right angles?(?=[ .!]*$)",
        r"\1perpendicular from \2 to \3",
    ),
    (r"(?i)\bupside down (?=about|around)", "by a half turn "),
    (r"^[Ll]abel (?:the )?(?:segment |side )?([A-Z]{2}) with its length(?=[ .!]*$)", r"measure \1"),
    (r"(?i)\bon ([A-Z]{2}) as (?:the |its )?hypotenuse\b", r"with hypotenuse \1"),
    (r"(?i)\bright[- ]?angled isosceles (?=triangle)", "isosceles right-angled "),
    (r"(?i)\bon (?:each|every) side of (?=the\b|triangle\b|[A-Z])", "on the sides of "),
    (r"(?i)\bon the side of ([A-Z]{2}) (?:away|opposite) from ([A-Z])\b", r"on the other side of \1 from \2"),
    (r"(?i)\bon to (?=the\b|[A-Z]{2}\b|line\b|side\b)", "to "),
    (
        r"(?i)^show (?:me )?(the|both|all)(?: the)? (?=(?:(?:two|three) )?(?:diagonals|medians|altitudes|angle bisectors)\b)",
        r"draw \1 ",
    ),
    (r"^[Mm]ove (the \w+|(?:triangle )?[A-Z]{3,}) by (?=(?:the )?vector\b|[A-Z]{2}\b)", r"translate \1 by "),
    (r"(?i)\brectangle (?:of|measuring) (\d\S*(?: ?[cm]?m)?) (?=by|×|x)", r"rectangle \1 "),
    (r"(?i)\bwith length (\d\S*(?: ?[cm]?m)?) and (?:width|breadth) ", r"with sides \1 and "),
    (
        rf"(?i)\btriangle {_WITH_SIDES}(\d[\d.]*(?: ?[cm]?m)?), (\d[\d.]*(?: ?[cm]?m)?), (?=\d)",
        r"triangle with sides \1, \2 and ",
    ),
    (
        r"(?i)\bregular (?:polygon (?:with|of|having) (\w+) (?:equal )?(?:sides|corners|vertices)|(\w+)[- ]sided polygon)\b",
        lambda found: f"regular {_SIDED.get((found[1] or found[2]).lower(), found[0][8:])}",
    ),
    (r"(?i)\bright(?:-| )?(?:angled )?triangle,? (?=right-angled at)", "triangle "),
    (
        r"\b(?:[Jj]oin|[Cc]onnect|[Dd]raw a (?:line|segment) from) (?:the )?(?:point )?([A-Z]) to the midpoint of the "
        r"(?:opposite|facing) side\b",
        r"draw the median from \1",
    ),
    (
        r"(?i)\b(?:the )?side lengths(?: of)?\b",
        lambda found: "the lengths of the sides" + (" of" if found[0].lower().endswith(" of") else ""),
    ),
    (r"(?i)\bthe angles (?:in|at) (?:all|every|each) (?:of )?(?:the )?(?:corners?|vertex|vertices)\b", "all the angles"),
    (
        r"(?i)\b(triangle|quadrilateral|pentagon|hexagon|octagon|polygon) with (?:all (?:its |the )?sides (?:the same|equal)"
        r"|equal sides)",
        r"regular \1",
    ),
    (r"(?i)\bone (?:corner|angle) is (?:a )?(?:square|right)$", "one corner is right"),
    (
        r"(?i)\b(right(?:-angled| angled)? triangle) with (?:a |the )?hypotenuse (?:of )?(\d[\d.]*(?: ?[kcm]?m)?) and "
        r"(?:one |a |the )?(?:leg|side|cathetus) (?:of )?(?=\d)",
        r"\1 with hypotenuse \2 and leg ",
    ),
    (
        rf"(?i)^((?:draw |construct |make )?)(?:the |a |an )?({POLYGON})"
        r"((?-i: [A-Z]{3,8})?), regular,? (?:with |of )?sides? (?:of )?(?=\d)",
        r"\1a regular \2\3 with side ",
    ),
    (
        r"(?i)\b(a parallelogram|a rhombus) with angles (?:of )?(\d+)(?: ?°| degrees)? and \d+(?: ?°| degrees)?(?=[ .!]*$)",
        r"\1 with an angle of \2 degrees",
    ),
    (
        r"(?i)\b(?:an? )?(\d+)[-–—](\d+)[-–—](\d+)(?:[- ]degrees?)? triangle\b",
        lambda found: (
            f"a triangle with {'angles' if sum(map(int, found.groups())) == 180 else 'sides'} {found[1]}, {found[2]} and {found[3]}"
        ),
    ),
    (r"(?i)\b(?:that|which) has (?-i:([A-Z]{2})) (?:as|for) (?:one of its sides|a side|one side|its side)\b", r"with side \1"),
    (r"(?i)^((?:draw |show )?)(?:the )?lines? from (?:corner|vertex) to (?:corner|vertex)(?=[ .!]*$)", r"\1the diagonals"),
    (
        r"(?i)^(?:make )?(?:a )?copy (?:of )?(the \w+|[A-Z]{3,}) (?=\d\S*(?: ?[cm]?m)? (?:to "
        r"the|up|down|left|right|above|below|higher|lower))",
        r"translate \1 ",
    ),
    (r"(?i)^(?:draw |construct |make )?(?:an? |the )?angle (?-i:([A-Z]{3})) (?:measuring|equal to) (?=\d)", r"draw an angle \1 of "),
    (r"(?i)^draw (?:the )?angle (?-i:([A-Z]{3})) of (?=\d)", r"draw an angle \1 of "),
    (r"(?i)\b((?:show|prove|see|check) that (?:they|the \w+)) (?:all )?meet(?=[ .!]*$)", r"\1 meet in a point"),
    (r"(?i)\b(?-i:([A-Z])) (lies|is) on the same side of (\S+) as (?-i:([A-Z]))\b", r"\1 and \4 lie on the same side of \3"),
    (r"(?i)\banother line (?:that|which) (?:never|does not|doesn[’']t) (?:meets?|cross(?:es)?) ([a-z]|[A-Z]{2})\b", r"a parallel to \1"),
    (r"(?i)^in the (?:figure|diagram|picture|drawing)(?: below| above)?,? ", ""),
    (r"(?i)^(?:the )?triangle (?-i:([A-Z]{3})), (?=(?:∠|angle |<)|(?-i:[A-Z]{2}) ?=)", r"draw the triangle \1 with "),
    (r"^(?:△|Δ) ?([A-Z]{3})[,:] (?=(?:∠|angle |<)|[A-Z]{2} ?=)", r"draw the triangle \1 with "),
    (
        r"(?i)^(?:find|mark|put|place|construct|draw|locate) (?:a |the )?point (?-i:([A-Z])) (?:so that|such "
        r"that|so) (?:the )?(?:triangle )?"
        r"(?-i:([A-Z]{3})) is (?:an? )?(equilateral|isosceles)(?: triangle)?(?=[ .!]*$)",
        r"draw the \3 triangle \2",
    ),
    (r"(?i)\b(?:constructed|erected|built|described|drawn) (?=(?:externally|internally|outwards|inwards) on\b)", ""),
    (
        rf"(?i)\b({_STAND_ON_SIDES}) (inside|outside) (?=on (?:the |each |all )?(?:sides?\b|(?-i:[A-Z]{{2}})\b))",
        lambda found: f"{found[1]} {'internally' if found[2].lower() == 'inside' else 'externally'} ",
    ),
    (
        rf"(?i)\b({_STAND_ON_SIDES} on (?:the |each |all )?(?:sides?\b|(?-i:[A-Z]{{2}})\b).*?),? (?:the |its )?(in|out)"
        r"(?:side|terior)(?=[ .!]*$)",
        lambda found: f"{found[1]} {'internally' if found[2].lower() == 'in' else 'externally'}",
    ),
    (
        r"(?i)^let (?-i:([A-Z]{3,8})) be (?:a|the) (square|rectangle|rhombus|parallelogram|(?:equilateral|isosceles) triangle|"
        r"(?:regular )?(?:pentagon|hexagon)) (?=(?:externally |internally |outwards |inwards )?on (?-i:[A-Z]{2})\b)",
        r"draw the \2 \1 ",
    ),
    (
        r"(?i)\bdo (?:the )?(.+?) (?:all )?(?:pass|go|run) through (?:the same|one|a single|a common|a)(?: single| "
        r"common)? point(?=[ ?.!]*$)",
        r"prove that the \1 meet at one point",
    ),
    (r"(?i)\b(?:an? |the )?(?:shape|polygon|figure) with (?:three|3) equal sides\b", "an equilateral triangle"),
    (r"(?i)\b(?:an? |the )?(?:shape|polygon|figure) with (?:five|5) equal sides\b", "a regular pentagon"),
    (r"(?i)\b(?:an? |the )?(?:shape|polygon|figure) with (?:six|6) equal sides\b", "a regular hexagon"),
    (
        r"(?i)^(?:draw |construct )?(?:the |three )*parallels to the (?:three )?sides through the opposite (?:corners|vertices)(?=[ .!]*$)",
        "the parallels through the corners to the opposite sides",
    ),
    (
        r"(?i)^(?:let )?(?:the )?points? (?-i:([A-Z]) and ([A-Z])) (?:lie|be|are) on (?:the )?(?:sides "
        r")?(?-i:([A-Z]{2}) and ([A-Z]{2})) of (?:the )?"
        r"triangle (?-i:([A-Z]{3})) (?:so|such) that (?-i:\1\2) (?:is parallel to|∥|\|\|) (?-i:([A-Z]{2}))(?=[ .!]*$)",
        r"draw triangle \5 and let \1 be a point on \3 and draw the parallel to \6 through \1 meeting \4 at \2",
    ),
)
