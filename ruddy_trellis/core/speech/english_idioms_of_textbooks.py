"""Idioms of English as books write it: what is done is said as done, what a thing is stands beside its name.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import SIZE, Idioms

_SHAPES = r"equilateral triangle|isosceles triangle|square|rectangle|rhombus|parallelogram|regular pentagon|regular hexagon|semicircle"


def _equal_sides(corners: str, apex: str) -> str:
    """What is equal in an isosceles triangle with a corner that is its apex: "AB = AC"."""
    one, other = (corner for corner in corners if corner != apex)
    return f"{apex}{one} = {apex}{other}"


def _listed(names: str) -> str:
    """ "AD, BE, CF" as "AD, BE and CF"."""
    found = re.findall("[A-Z]{2}", names)
    return f"{', '.join(found[:-1])} and {found[-1]}"


def _and(names: str) -> str:
    """ "A, B, C" as "A, B and C"."""
    letters = [letter for letter in names if letter.isupper()]
    return f"{', '.join(letters[:-1])} and {letters[-1]}"


#: Ways of writing in books, by how they are read.
OF_TEXTBOOKS: Idioms = (
    (r"^([^=?]*[-+*/·²³(][^=?]*) ?= ?\?(?=[ .]*$)", r"what is \1"),
    (r"(?i)\b(check|verify|see|prove|show) (if|whether|that) the points (?=(?-i:[A-Z],))", r"\1 \2 "),
    (
        rf"(?i)\b(?:a |the )?(semicircle|circle) (?:with|on|of) (?:the |a )?diameter (?-i:([A-Z]{{2}})) (?:=|of|equal to|"
        rf"of length) ({SIZE})"
        r"(?=[ .!]*$)",
        r"the segment \2 of length \3 and the \1 with diameter \2",
    ),
    (
        r"(?i)\bisosceles triangle (?-i:([A-Z]{3})),? with (?:the |a )?(?:vertex|apex) angle (?:at )?(?-i:([A-Z])) "
        r"(?:measuring|of|equal to|=) ",
        lambda found: f"triangle {found[1]} with {_equal_sides(found[1], found[2])} and angle {found[2]} = ",
    ),
    (
        r"(?i)\b(?:isosceles triangle (?-i:([A-Z]{3}))|triangle (?-i:([A-Z]{3})) isosceles),? with (?:the |its )"
        r"?(?:apex|top|vertex) (?:at |in )?"
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        lambda found: f"triangle {found[1] or found[2]} with {_equal_sides(found[1] or found[2], found[3])}",
    ),
    (
        r"(?i)\b(isosceles triangle with base \d\S*(?: ?[cm]?m)?),? and (?:with )?base angles (?:of |equal to |both )?(?=\d)",
        r"\1 and an angle of ",
    ),
    (r"(?i),? (?:so|such) that no three (?:of them )?are (?:collinear|in line)(?=[ .!]*$)", ""),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])) (?:is|be) (?:a|any) point (?:on|of|in) (?:the )?(?:side )?(?-i:([A-Z]{2})) of "
        r"(?:a|the) triangle (?-i:([A-Z]{3}))\b",
        r"draw the triangle \3 and let \1 be a point on \2",
    ),
    (r"(?i)\b(a triangle) in which (?=(?-i:[A-Z]{2}) (?:is|bisects)\b)", r"\1 and "),
    (r"(?i)\bwith (?-i:[A-Z]{2}) ?≠ ?(?-i:[A-Z]{2})(?: and|, and|,) (?=\w)", "with "),
    (
        r"(?i)\btouches (?-i:([A-Z]{2})) at (?-i:([A-Z])), (?-i:([A-Z]{2})) at (?-i:([A-Z])),? and (?-i:([A-Z]{2})) at "
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"touches \1, \3 and \5 at \2, \4 and \6",
    ),
    (r"(?i)\bequilat\.?(?= |,|$)", "equilateral"),
    (r"^(?:△|Δ) ?([A-Z]{3}),? (equilateral|isosceles|right-angled)(?=,|[ .!]*$)", r"\2 triangle \1"),
    (r"(?i)\b((?:equilateral )?triangle (?-i:[A-Z]{3})|square (?-i:[A-Z]{4})), sides? (?:of )?(?=\d)", r"\1 with side "),
    (r"(?i)^circle: cent(?:re|er) (.+?),? r ?= ?(?=\d)", r"circle with centre \1 and radius "),
    (r"(?i)\bsegment (?-i:([A-Z]{2})) (?:congruent|equal)(?: in length)? to (?=(?-i:[A-Z]{2})\b)", r"segment \1 of length "),
    (r"(?i)^(?:a|the) point (?-i:([A-Z])) moves (?:so|such) that ", r"let \1 be a point such that "),
    (r"(?i)\b((?:so|such) that (?:the )?(?:angle|∠) ?(?-i:[A-Z]{3})) ?(?:=|is) ?90 ?(?:°|degrees)?(?=[ .!]*$)", r"\1 is a right angle"),
    (
        r"(?i)^draw (?-i:([A-Z])([A-Z])) (?:at right angles|perpendicular) to (?-i:\1([A-Z])) and equal to (?:it|(?-i:\1\3))(?=[ .!]*$)",
        r"let \2 be the image of \3 under the rotation about \1 by 90 degrees and draw the segment \1\2",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])) (?:be |is |lies )?on (?:the )?line (?-i:([A-Z])([A-Z])),? with (?-i:(\2|\3)) "
        r"between (?-i:(?:[A-Z])) and (?-i:[A-Z])"
        r"(?=[ .!]*$)",
        lambda found: f"let {found[1]} be a point on {found[2]}{found[3]} produced beyond {found[4]}",
    ),
    (
        r"(?i)^(?:draw |find |construct )?the image of (.+?) (?:after|under|by) (?:a |the )?(?:rotation|turn) (?:of|by|through) (?=\d)",
        r"rotate \1 by ",
    ),
    (r"(?i)^(?:draw |find |construct )?the image of (.+?) after (?:a |the )?reflection (?:in|over|across) ", r"reflect \1 in "),
    (r"(?i)^(?:draw |find |construct )?the image of (.+?) after (?:a |the )?translation (?:by|of) ", r"translate \1 by "),
    (
        r"(?i)^let (?-i:([A-Z]{2}) and ([A-Z]{2})) be (produced|extended) to (?-i:([A-Z]) and ([A-Z]))(?:,? respectively)?(?=[ .!]*$)",
        r"produce \1 to \4 and produce \2 to \5",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z]{2}(?:, [A-Z]{2})*,? and [A-Z]{2})) (?:are|be) (?:the )?(altitudes|medians|angle "
        r"bisectors)(?: of (?:the )?triangle"
        r"(?-i: [A-Z]{3})?)?,? and (?-i:([A-Z])) (?:is )?their (?:point of )?(?:intersection|meeting point)(?=[ .!]*$)",
        r"\1 are the \2 and let \3 be their intersection",
    ),
    (r"(?i)^let (the [a-z -]+?(?: of (?-i:[A-Z]{3,4}))?) have (cent(?:re|er)) (?-i:([A-Z]\d?))(?=[ .!]*$)", r"let \3 be the \2 of \1"),
    (
        r"(?i)^(?:let )?(?-i:([A-Z]) and ([A-Z])) (?:be|are) points on (?:the )?(?:sides )?(?-i:([A-Z]{2}) and "
        r"([A-Z]{2}))(?: respectively)?,? "
        r"(?:such|so) that (?-i:([A-Z])\1 = \5\2)(?=[ .!]*$)",
        r"let \1 be a point on \3 and let \2 be a point on \4 such that \5\2 = \5\1",
    ),
    (
        r"^([A-Z]{2}(?:, [A-Z]{2})*,? (?:and )?[A-Z]{2}) (medians|altitudes|angle bisectors), ([A-Z]) = ([A-Z]{2}) ∩ ([A-Z]{2})(?=[ .!]*$)",
        lambda found: f"{_listed(found[1])} are the {found[2]} and let {found[4]} meet {found[5]} at {found[3]}",
    ),
    (
        r"(?i)^(?:let )?equilateral triangles (?-i:([A-Z])([A-Z])([A-Z]), ([A-Z])([A-Z])([A-Z]),? (?:and )?([A-Z])"
        r"([A-Z])([A-Z])) (?:are |be )?"
        r"(?:drawn |constructed |erected |described )?(externally |outwards |outwardly |internally |inwards )?on the "
        r"sides(?: externally| outwards)?"
        r"(?: of (?:the )?(?:triangle )?(?-i:[A-Z]{3})?)?(?=[ .!]*$)",
        lambda found: " and ".join(
            f"{'draw ' if not n else ''}the equilateral triangle {found[n + 1]}{found[n + 2]}{found[n + 3]} "
            f"{'internally' if (found[10] or '').startswith('in') else 'externally'} on {found[n + 1]}{found[n + 2]}"
            for n in (0, 3, 6)
        ),
    ),
    (
        r"(?i)\b(rectangle|square|triangle|parallelogram|rhombus) with (?:the )?(?:vertex|vertices|corners) (?-i:([A-Z])"
        r") ?(\([^()]+\)) and "
        r"(?-i:([A-Z])) ?(\([^()]+\))(?=[ .!]*$)",
        r"\1 on \2\4 with \2 at \3 and \4 at \5",
    ),
    (r"(?i)^to (?=(?:prove|show)\b)", ""),
    (
        r"(?i)^(through|from|at) (?-i:([A-Z])),? (an?|the) (?:straight )?(line|chord|tangent|perpendicular|parallel|ray|"
        r"secant) is drawn (?=\w)",
        r"\1 \2 draw \3 \4 ",
    ),
    (
        r"(?i)^(?:given:? |draw |let )?(?:the |a )?triangle (?-i:([A-Z]{3})) with (?:its |the )?(angle bisectors|altitudes|medians) "
        r"(?-i:([A-Z]{2}(?:, [A-Z]{2})*,? and [A-Z]{2})) (?:meeting|intersecting|which meet|that meet|meet|concurrent) (?=at\b|in\b)",
        r"draw the triangle \1 and let the \2 \3 meet ",
    ),
    (
        r"(?i)^with (?:cent(?:re|er) )?(?-i:([A-Z]))(?: as cent(?:re|er))?,? (?:and any radius,? )?draw an arc "
        r"(?:cutting|meeting|to cut|to meet|"
        r"crossing) (\w+) (?:at|in) "
        r"(?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)",
        r"let \3 be a point on \2 and draw the circle with centre \1 through \3 meeting \2 again at \4",
    ),
    (r"(?i),? in the (?:plane|euclidean plane)\b", ""),
    (r"(?i)\b(angle (?-i:[A-Z]{3})) (?:with|of|having) (?:a )?measure (?:of )?(?=\d)", r"\1 of "),
    (r"(?i)\bright angle (?=(?-i:[A-Z])\b)", "right angle at "),
    (
        r"(?i)^(.*\b(?-i:([A-Z]{4}))\b.*?),? (?:and )?whose diagonals (?-i:([A-Z]{2} and [A-Z]{2})) (?:meet|intersect|cross) "
        r"(at|in) (?=(?-i:[A-Z])\b)",
        r"\1 and let \3 meet \4 ",
    ),
    (r"(?i)\b(a line (?-i:[A-Z]{2}|[a-z]) and (?:a|any) point (?-i:[A-Z])) outside (?:of )?(?:it|the line)\b", r"\1 not on it"),
    (
        r"(?i)^(?-i:([A-Z])([A-Z])) (?:is|be) a diameter,? (?:and|of a circle,? and|with) (?:let )?(?-i:([A-Z])) (?:is |"
        r"be )?(?:a|any|another) "
        r"(?:other )?point (?:on|of) (?:the circle|it)(?=[ .!]*$)",
        r"let \1\2 be a diameter of a circle and let \3 be a point on it",
    ),
    (
        r"(?i)\b(triangle|quadrilateral|rectangle|parallelogram|square) (?:which|that) (?=(?:sides|angles|diagonals|base|"
        r"height) (?:is|are|measure))",
        r"\1 whose ",
    ),
    (
        r"(?i)\bcircle(?: ((?-i:[A-Za-z])))? of (?:the )?cent(?:re|er) (?-i:([A-Z])) and (?=radius|diameter|of radius)",
        lambda found: f"circle {found[1] + ' ' if found[1] else ''}with centre {found[2]} and ",
    ),
    (
        r"^([A-Z](?:, [A-Z])*,? (?:and )?[A-Z]) (?:are )?non[- ]?collinear(?: points)?(?=[ .!]*$)",
        lambda found: f"let {_and(found[1])} be points",
    ),
    (r"(?i) ?(?:∥|\|\|) ?(?:gram|gm|ogram)\b", " is a parallelogram"),
    (
        r"(?i)^rt\.? ?(?:△|triangle )(?-i:([A-Z]{3})),? (?:with )?(?:∠|angle ) ?(?-i:([A-Z])) ?= ?90 ?(?:°|degrees)?(?=[ .!]*$)",
        r"draw the triangle \1 right-angled at \2",
    ),
    (r"(?i)\brt\.? ?(?=△|triangle\b|angled\b)", "right "),
    (rf"^([a-z]) ?\(([A-Z])[,;] ?({SIZE})\)(?=[ .!]*$)", r"let \1 be the circle with centre \2 and radius \3"),
    (
        r"(?i)\b(divides (?:the (?:segment|line) )?(?-i:([A-Z])[A-Z]) in the ratio \d+ ?: ?\d+),? (?:starting )?from (?-i:\2)(?=[ .!]*$)",
        r"\1",
    ),
    (
        r"(?i)\b(?:let )?(?:the )?(?:perpendiculars )?(?-i:([A-Z])([A-Z]),? (?:and )?\1([A-Z])),? (?:be |are )(?:the )"
        r"?(?:perpendiculars |drawn )?"
        r"(?:perpendicular )?(?:from (?-i:\1) )?(?:on|to|onto) (?-i:([A-Z]{2}|[a-z]),? (?:and )?([A-Z]{2}|[a-z]))(?: "
        r"respectively)?(?=[ .!]*$)",
        r"let \2 be the foot of the perpendicular from \1 to \4 and let \3 be the foot of the perpendicular from \1 to \5 and draw the "
        r"segments \1\2 and \1\3",
    ),
    (
        r"(?i)^(?:describe|draw|circumscribe|construct) a circle (?:about|around|round) (?:the )?(?:triangle )?(?-i:([A-Z]{3}))(?=[ .!]*$)",
        r"draw the circumcircle of \1",
    ),
    (r"(?i)\b(?:the )?circle circumscribed (?:to|about|around|round) (?:the )?", "the circumcircle of the "),
    (r"(?i)\b(?:the )?circle inscribed (?:in|into) (?:the )?(?=triangle\b|(?-i:[A-Z]{3}))", "the incircle of the "),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])) (?:be|is) (?:the|a) point (?:such|so) that (?:the )?triangle (?-i:([A-Z]{3})) is equilateral,? and "
        r"(?-i:\1) and (?-i:([A-Z])) are on (?:opposite|different) sides of (?-i:([A-Z]{2}))(?=[ .!]*$)",
        r"draw the equilateral triangle \2 on \4 away from \3",
    ),
    (
        rf"(?i)^(?:draw|construct|describe) on (?:the )?(?:side |segment )?(?-i:([A-Z]{{2}})),? (to the (?:exterior|outside)|outwardly|"
        rf"outwards|externally|to the (?:interior|inside)|inwardly|inwards|internally),? (an?|the) ({_SHAPES})((?-i: "
        rf"[A-Z]{{3,6}})?)(?=[ .!]*$)",
        lambda found: (
            f"draw the {found[4]}{found[5]} {'internally' if 'in' in found[2][:8] and 'ext' not in found[2] else 'externally'} "
            f"on {found[1]}"
        ),
    ),
    (r"(?i)^(?-i:([A-Z]{2})) ?: ?(?-i:([A-Z]{2})) ?= ?\?(?=[ .!]*$)", r"the ratio of \1 to \2"),
    (
        r"(?i)^through (?:each|every) (?:vertex|corner)(?: of the triangle)?,? (?:a line (?:is )?drawn|draw (?:a|the) "
        r"line|draw lines?) parallel "
        r"to the opposite side(?=[ .!]*$)",
        "draw the parallels through the corners to the opposite sides",
    ),
    (
        r"(?i)\bthe symmetric (?:of|to) (the \w+|triangle (?-i:[A-Z]{3})|(?-i:[A-Z]{3,})) (?:with respect to|by|about|in|to) (?:the )?"
        r"(?:point |line )?",
        r"the reflection of \1 in ",
    ),
    (
        r"(?i)\b(?:a |the )?point ((?-i:[A-Z] )?)on (?:the )?(line |segment |side |circle )?(\w+?),? (?:which is |that "
        r"is )?equidistant from "
        r"(?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)",
        lambda found: f"the point {found[1]}where the perpendicular bisector of {found[4]}{found[5]} meets {found[2] or ''}{found[3]}",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])) (?:be|is|lies|lie)(?: (?:a|the) point)? on (?:the circle |circle )?(?-i:([a-z])),? (?:such that|"
        r"so that|with|where) (?:the line )?"
        r"(?-i:(?:([A-Z])\1|\1([A-Z]))) (?:is tangent to|touches|is a tangent to|is a tangent of) (?:(?-i:\2)|the circle|it)(?=[ .!]*$)",
        lambda found: f"draw the tangent {found[3] or found[4]}{found[1]} from {found[3] or found[4]} to {found[2]}",
    ),
    (
        r"(?i)^(?:the )?(?:sides |lines )?(?-i:([A-Z]{2}) and ([A-Z]{2})) (?:are |when )?(?:produced|extended)(?: to)? "
        r"(?:meet|intersect) (?:in|at) "
        r"(?-i:([A-Z]))(?:,? and (?:sides |lines )?(?-i:([A-Z]{2}) and ([A-Z]{2})) (?:meet )?(?:in|at) (?-i:([A-Z])))?(?=[ .!]*$)",
        lambda found: (
            f"let line {found[1]} and line {found[2]} meet at {found[3]}"
            + (f" and let line {found[4]} and line {found[5]} meet at {found[6]}" if found[4] else "")
        ),
    ),
    # A list of names without "and" before what is said of all of them.
    (r"\b((?:[A-Z]['′]?, )+)([A-Z]['′]?) (?=(?:all )?(?:lie|are|be)\b)", lambda found: f"{found[1].rstrip(', ')} and {found[2]} "),
    (r"\b([A-Z]{2}), ([A-Z]{2}) (?=(?:all )?(?:are|be|meet|meets)\b)", r"\1 and \2 "),
    (
        r"(?i)^(.*\b(?-i:([A-Z]{3,6}))\b.*?),? (?:and )?(?:whose|with its) (diagonals|medians|altitudes|angle bisectors) "
        r"(?:meet|meeting|intersect|intersecting|cross|crossing) (at|in) (?=(?-i:[A-Z])\b)",
        r"\1 and let the \3 of \2 meet \4 ",
    ),
    (
        r"^([A-Z]{2}) and ([A-Z]{2}) are (?:two )?((?:chords|diameters|segments|straight lines|lines)(?: (?:of|in) [a-z ]+?)?),? "
        r"(?:which|that|and they) (?:intersect|meet|cut|cross)(?: each other| one another)? (at|in) (?=[A-Z]\b)",
        r"\1 and \2 are \3 and let \1 and \2 meet \4 ",
    ),
    (
        r"^([A-Z])([A-Z]) and \1([A-Z]) are (?:two )?perpendicular radii (?:of|in) (?:a|the) circle(?=[ .!]*$)",
        r"draw the circle with centre \1 through \2 and let \3 be the image of \2 under the rotation about \1 by 90 degrees and draw the "
        r"segments \1\2 and \1\3",
    ),
    (
        r"(?i)^(?:let )?(?-i:(\w\d?) and (\w\d?)) be (?:two )?circles,? (?:which |that )?(?:intersecting|meeting|"
        r"intersect|meet|crossing|cross)"
        r"(?: each other)? (?=at|in)",
        r"two circles \1 and \2 intersect ",
    ),
    (
        r"(?i)^([A-Z]{3,6}) (?:is a |a )?(rect|rectangle|square|parallelogram|rhombus|kite|trapezium|trapezoid|"
        r"(?:isosceles |right )?triangle)"
        r", (?=(?-i:[A-Z]{2}) ?=)",
        r"draw the \2 \1 with ",
    ),
    (rf"^(?:[Cc]ircle |⊙ ?)([A-Z]),? (?:r|radius) ?=? ?({SIZE})(?=[ .!]*$)", r"draw a circle with centre \1 and radius \2"),
    (r"(?i)(?:△|\btriangle )(?-i:([A-Z]{3})),? right at (?=(?-i:[A-Z]))", r"triangle \1 right-angled at "),
    (
        r"(?i)^join (?:the points )?(?-i:([A-Z])(?: (?:and|to) )?([A-Z])),? and (?:produce|extend|prolong) it (?:both "
        r"ways|in both directions|"
        r"on both sides|at both ends)(?=[ .!]*$)",
        r"draw the line \1\2",
    ),
    (r"(?i)\bm ?(?=∠)", ""),
    (r"(?i)^partition ", "divide "),
    (
        r"(?i)\b(point (?-i:[A-Z] )?)within (?=(?:the |a )?(?:triangle|quadrilateral|square|rectangle|circle|polygon|figure)\b)",
        r"\1inside ",
    ),
    (
        r"(?i)\b(?:let )?(?:the )?perpendiculars from (?-i:([A-Z])) (?:to|on) (?-i:([A-Z]{2}),? (?:and )?([A-Z]{2})) "
        r"(?:meet|cut) (?:them|these) "
        r"(?:at|in) (?-i:([A-Z]),? (?:and )?([A-Z]))(?=[ .!]*$)",
        r"let \4 be the foot of the perpendicular from \1 to \2 and let \5 be the foot of the perpendicular from \1 to \3",
    ),
    (
        r"(?i)\b(arc|circle) (?:of|with) radius (\S+(?: ?[cm]?m)?),? (?:with )?(?:and )?cent(?:re|er) (?-i:([A-Z]))\b(?!,)",
        r"\1 with centre \3 and radius \2",
    ),
    (
        r"^([A-Z])([A-Z]) (?:bis|bisects) (?:∠ ?|angle )(?:\1|[A-Z]\1[A-Z]),? (?:with )?\2 (?:∈|on|in) ([A-Z]{2})(?=[ .!]*$)",
        r"let the bisector of angle \1 meet \3 at \2",
    ),
    (r"(?i)\bmids\b", "midpoints"),
    (
        r"(?i)^(?:the )?(median|altitude|side|line|chord|diameter|segment) (?-i:([A-Z]{2})) is (?:produced|extended|"
        r"prolonged) (?=to\b|beyond\b)",
        r"draw the \1 \2 and produce \2 ",
    ),
    (
        r"(?i)\b(?:the )?point (?:on|of) (the circle|(?-i:[a-z])) (?:that is |which is )?(?:diametrically )?opposite (?:to "
        r")?(?=(?-i:[A-Z])\b)",
        r"the antipode of ",
    ),
    (
        r"(?i)^(?:given |draw |construct )?(?:the |a )?triangle (?-i:([A-Z]{3})) with (?:vertices |corners )?"
        r"((?-i:[A-Z]) ?\([^()]+\),? (?-i:[A-Z]) ?\([^()]+\)),? (?:and )?(?=(?-i:[A-Z]) ?\([^()]+\)[ .!]*$)",
        r"draw the triangle with corners \2 and ",
    ),
    (
        r"(?i)\b(?:an? )?30-60-90(?: degrees?)? triangle with hypotenuse (\d+(?:\.\d+)?)((?: ?[cm]?m)?)(?=[ .!]*$)",
        lambda found: f"a right-angled triangle with hypotenuse {found[1]}{found[2]} and leg {float(found[1]) / 2:g}{found[2]}",
    ),
    (
        r"(?i)^on (?-i:([A-Z]{2})) (draw|construct|describe) (an? |the )(rectangle|square|parallelogram|rhombus) "
        r"(?-i:([A-Z]{4})) with (?=(?-i:[A-Z]{2}))",
        r"draw \3\4 \5 with ",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])) (?:be |is |lies )?(?:a |the )?(?:point )?on (?:side |segment )?(?-i:([A-Z])([A-Z])),? "
        r"(?:with|such that|so that|where) (?:∠ ?|angle )(?-i:(?:(?:\2([A-Z])\1|\1([A-Z])\2))) ?= ?(?:∠ ?|angle )"
        r"(?-i:(?:\1(?:\4|\5)\3|\3(?:\4|\5)\1))(?=[ .!]*$)",
        lambda found: (
            f"let {found[1]} be where the bisector of angle {found[2]}{found[4] or found[5]}{found[3]} meets {found[2]}{found[3]}"
        ),
    ),
    (r"\|([A-Z]{2})\|", r"\1"),
    (
        rf"^([A-Z])([A-Z]) ?= ?({SIZE}), ?\2([A-Z]) ?= ?({SIZE}),? (?:and )?(?:\4\1|\1\4) ?= ?({SIZE})(?=[ .!]*$)",
        r"draw the triangle \1\2\4 with \1\2 = \3, \2\4 = \5 and \4\1 = \6",
    ),
    (
        r"(?i)\b(triangle) (?:knowing|given|where|in which) (?:its |the |all )?(?:three )?sides(?: are)?:? ?(?=\d)",
        r"\1 with sides ",
    ),
    (
        r"(?i)^draw (?:the )?rays? (?-i:([A-Z])([A-Z]) and (?:ray )?\1([A-Z])),? (?:so that|such that|with) (?:the )?(?:angle |∠)"
        r"(?-i:(?:\2\1\3|\3\1\2)) (?:is|=|equals|of) ",
        r"draw an angle \2\1\3 of ",
    ),
    (r"(?i)^(?:it is )?given (?:is )?(?:the |an )?angle (?-i:([A-Z]{3})) (?:of|=|is) (?=\d)", r"draw an angle \1 of "),
    (
        r"(?i)\b(?:an? |the )?(\d+(?:\.\d+)?) ?(?:°|degrees?) angle (?:at|from|in) (?-i:([A-Z])),? with (?-i:((?:\2[A-Z])|(?:[A-Z]\2))) "
        r"as (?:one|an|its) (?:arm|side|leg)(?=[ .!]*$)",
        r"an angle of \1 degrees at \2 from \3",
    ),
    (r"(?i)\bwith (?:its )?(?:endpoints|end points|ends)(?: at)? (?-i:([A-Z]) and ([A-Z]))\b", r"from \1 to \2"),
    (
        r"(?i)^(?:draw )?two (circle|arc|line|segment)s with ([^,]+?),? one (.+?),? and (?:one|another|the other) (with .+?)(?=[ .!]*$)",
        r"draw a \1 \3 and \2 and a \1 \4 and \2",
    ),
    (r"(?i)^let (the (?:[a-z-]+ )+(?:of|from|through|at|to|in) [^,]+?) be (?-i:([A-Za-z]['′]?))(?=[ .!]*$)", r"let \2 be \1"),
    (
        r"(?i)^(through|from|at) (?-i:([A-Z])), ((?:the|a) [^,]+), (?=draw\b|a line\b|the |perpendiculars\b)",
        r"let \2 be \3 and \1 \2 ",
    ),
    (
        r"(?i)\bdraw (?-i:([A-Z])([A-Z])) (parallel|perpendicular) to (\S+?),? (?:to meet|meeting|to cut|cutting|which "
        r"meets|and let it meet) "
        r"(?:side |line )?(.+?) (?:at|in) (?-i:\2)(?=[ .!]*$)",
        r"draw the \3 to \4 through \1 meeting \5 at \2",
    ),
    (
        rf"(?i)^on (?:the )?(?:side |segment )?(?-i:([A-Z]{{2}})),? (?:but )?(?:on|to|at) (?:the side )?(?:the (?:other|"
        rf"opposite|far) side )?"
        rf"(?:opposite |away |from |of |to |as )*(?-i:([A-Z])),? (?:draw|construct|describe|make|build) (an? |the )"
        rf"({_SHAPES})((?-i: [A-Z]{{3,6}})?)"
        r"(?=[ .!]*$)",
        r"draw \3\4\5 on \1 away from \2",
    ),
    (r"(?i),? making ((?-i:[A-Z]{2})) (?:equal to|=|as long as) (?=(?-i:[A-Z]{2})\b)", r" so that \1 = "),
    (r"^([A-Z])([A-Z]) = (?:\2([A-Z])|([A-Z])\2), \2 (?:∈|on|in) (?:\1\3|\1\4)(?=[ .!]*$)", r"let \2 be the midpoint of \1\3\4"),
    (
        r"(?i)^let an? perpendicular from (?-i:([A-Z])) meet (\S+) (?:at|in) (?-i:([A-Z]))(?=[ .!]*$)",
        r"let \3 be the foot of the perpendicular from \1 to \2",
    ),
    (r"(?i)^let (?-i:([a-z])) be (?:the )?((?:inradius|circumradius)\b[^,]*?)(?=[ .!]*$)", r"measure the \2 and call it \1"),
    (
        r"(?i)^(show|prove|check|see|verify) that the (?:midpoints|mid-points)(?: of (?:the )?sides)?(?: of "
        r"(?-i:[A-Z]{4}))? (?:form|make|are the "
        r"(?:corners|vertices) of|give) ((?:a|an) [a-z]+)(?=[ .!]*$)",
        r"join the midpoints of the sides and prove that it is \2",
    ),
    (r"(?i)\badjacent (?=sides\b)", ""),
    (r"(?i)\bincluded (?=angle\b)", ""),
    (
        r"(?i)^((?:draw |construct |sketch |make )?)((?:an? |the )(?:[a-z-]+ )?(?:triangle|quadrilateral|pentagon|"
        r"hexagon|square|rectangle|"
        r"parallelogram|rhombus|kite|trapezium|trapezoid)),? (?:and )?(?:label|name|call|with) (?:its |the )?(?:vertices|corners) "
        r"(?-i:([A-Z](?:,? (?:and )?[A-Z])+))(?=[ .!]*$)",
        lambda found: f"{found[1]}{found[2]} {''.join(letter for letter in found[3] if letter.isupper())}",
    ),
    # What is done is said as done: "perpendiculars are drawn from P to the sides", "AB and CD are produced".
    (
        r"(?i)^(?:the )?(perpendiculars?|tangents?|parallels?|altitudes|medians|diagonals|angle bisectors|bisectors|"
        r"(?:two |three )?circles|"
        r"(?:straight )?lines|squares|semicircles|chords?|radii) (?:is|are) (?:drawn|constructed|dropped|described|erected) (?=\S)",
        r"draw the \1 ",
    ),
    (
        r"(?i)^(?:the )?(diagonals|medians|altitudes|angle bisectors|perpendicular bisectors|midpoints)((?: of [^,]+?)?) (?:is|are) "
        r"(?:drawn|constructed|joined|marked)(?=[ .!]*$)",
        r"draw the \1\2",
    ),
    (
        r"^(?:The |the )?(?:sides? |lines? )?((?:[A-Z]{2}, )*[A-Z]{2},? (?:and )?[A-Z]{2}|[A-Z]{2}) (?:is|are) (?:joined|drawn)(?=[ .!]*$)",
        r"join \1",
    ),
    (
        r"^(?:The |the )?(?:sides |lines )?((?:[A-Z]{2}, )*[A-Z]{2},? (?:and )?[A-Z]{2}) (?:is|are) (?:produced|"
        r"extended|prolonged)(?=[ .!]*$)",
        r"draw the lines \1",
    ),
)
