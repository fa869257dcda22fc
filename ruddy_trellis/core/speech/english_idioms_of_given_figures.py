"""Idioms of English for figures as books give them: triangles, quadrilaterals and circles with what is said of them beside their names.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import OF_A_SORT, POLYGON, SIZE, Idioms

_SHAPES = r"equilateral triangle|isosceles triangle|square|rectangle|rhombus|parallelogram|regular pentagon|regular hexagon|semicircle"


def _equal_sides(corners: str, apex: str) -> str:
    """What is equal in an isosceles triangle with a corner that is its apex: "AB = AC"."""
    one, other = (corner for corner in corners if corner != apex)
    return f"{apex}{one} = {apex}{other}"


def _and(names: str) -> str:
    """ "A, B, C" as "A, B and C"."""
    letters = [letter for letter in names if letter.isupper()]
    return f"{', '.join(letters[:-1])} and {letters[-1]}"


def _of_corner(found: re.Match[str]) -> str:
    """ "the A-bisector": the one that belongs to a corner."""
    what = found[2].lower()
    if what == "bisector":
        return f"the bisector of angle {found[1]}"
    return f"the {what} {'opposite' if what.startswith('exc') else 'from'} {found[1]}"


#: Ways of giving a figure, by how they are read.
OF_GIVEN_FIGURES: Idioms = (
    (
        r"(?i)\b(triangle (?-i:[A-Z]{3})|(?-i:[A-Z]{3}) be an? (?:[a-z-]+ )?triangle) with (?:an? |the |its )?(altitude|median|"
        r"angle bisector) (?-i:([A-Z]{2}))(?![A-Za-z])(?! ?=)(?! of length)",
        r"\1 and draw the \2 \3",
    ),
    (
        r"(?i)^(?:the |a )?(?:triangle )?(?-i:([A-Z]{3})) is (?:an? )?(isosceles|equilateral|scalene|acute|obtuse)(?: "
        r"triangle)?,? (?:with|where|in which|"
        r"such that|and) (?=(?-i:[A-Z]{2}) ?=|angle |∠)",
        r"draw the \2 triangle \1 with ",
    ),
    (
        r"^(?:△|[Tt]riangle )?([A-Z]{3})[:,]? ([a-z]) ?= ?([\d.]+(?: ?[cm]?m)?)[, ]+([a-z]) ?= ?([\d.]+(?: ?[cm]?m)?)[, ]+([a-z]) ?= ?"
        r"([\d.]+(?: ?[cm]?m)?)(?=[ .!]*$)",
        r"triangle \1 with \2 = \3, \4 = \5, \6 = \7",
    ),
    (
        rf"(?i)^let (?-i:([A-Z]{{2}})) be (an?|the) (altitude|median|height|angle bisector) (?:of|in) (?:an?|the) "
        rf"((?:{OF_A_SORT}) triangle) (?-i:([A-Z]{{3}}))(?=[ .!]*$)",
        r"let \5 be a \4 and let \1 be \2 \3",
    ),
    (
        r"(?i)^(?:the |this |our )?(?:diagram|figure|picture|sketch|drawing) (?:below |above |here )?shows (?=(?:an? |the |two |three )?"
        rf"(?:(?:{OF_A_SORT}) )*(?:{POLYGON}|circle|line|segment)s?\b)",
        "draw ",
    ),
    # "Triangle ABC is right-angled at B with AB = 5", "a kite ABCD has AB = AD": what a figure is, by what it has.
    (
        r"(?i)^(?:an? |the )?triangle (?-i:([A-Z]{3})) is (?:a )?(right[- ]angled) at (?-i:([A-Z])),? (?:with|and|where|in which) "
        r"(?=.*(?:=|\bis\b|equals?))",
        r"triangle \1 \2 at \3 with ",
    ),
    (
        rf"(?i)^(?:an? |the )?((?:(?:{OF_A_SORT}) )*(?:{POLYGON}) (?-i:[A-Z]{{3,}})) has "
        r"(?=(?-i:[A-Z]{2}) ?(?:=|∥|⊥|(?:is )?(?:parallel|perpendicular) to)|angle |sides? |diagonals |vertices |corners )",
        r"draw \1 with ",
    ),
    (
        r"(?i)^(?:the )?(?:points )?((?-i:[A-Z]) ?\([^()]*\)(?:,| and|, and).*\)) are the (?:vertices|corners) of an? "
        rf"({POLYGON})(?=[ .!]*$)",
        r"draw the \2 with vertices \1",
    ),
    (
        r"(?i)\b((?:isosceles )?trapez(?:ium|oid)(?: (?-i:[A-Z]{4}))?) with (?:the )?(?:bases|parallel sides) "
        r"(?-i:([A-Z]{2}) and ([A-Z]{2}))",
        r"\1 with \2 parallel to \3",
    ),
    (
        rf"(?i)^(?:an? |the |any )?((?:(?:{OF_A_SORT}) )*(?:{POLYGON}|circle|line|segment)) "
        r"(?-i:([A-Z]{2,12}|[a-z])) is given(?=[ .!]*$)",
        r"draw the \1 \2",
    ),
    (
        r"(?i)^(?:it |there )?is given (?:that )?(?:an? |the )?(?=(?:[a-z-]+ )?(?:triangle|quadrilateral|circle|line|segment|square)\b)",
        "draw the ",
    ),
    (
        r"(?i)^the (hypotenuse|base|side|radius|diameter|height) of an? ((?:[a-z]+[- ])*?(?:triangle|square|rhombus|rectangle|circle)) "
        rf"(?:is|measures|equals|=) ({SIZE})(?: long)?(?:,? and (?:one|a|the|its) (leg|height|base|angle) (?:is|measures|equals|=) "
        r"(\d[\d.]*(?: ?(?:[cm]?m|°|degrees))?)(?: long)?)?(?=[ .!]*$)",
        lambda found: f"draw a {found[2]} with {found[1]} {found[3]}{f' and {found[4]} {found[5]}' if found[4] else ''}",
    ),
    (
        r"(?i)\b(?:a |the )?(semicircle|circle) (?:with|on|of) (?:the |a )?diameter (?-i:([A-Z]{2})) (?:=|of|equal to|of length) "
        rf"({SIZE})(?=[ .!]*$)",
        r"the segment \2 of length \3 and the \1 with diameter \2",
    ),
    (
        r"(?i)\bisosceles triangle (?-i:([A-Z]{3})),? with (?:the |a )?(?:vertex|apex) angle (?:at )?(?-i:([A-Z])) "
        r"(?:measuring|of|equal to|=) ",
        lambda found: f"triangle {found[1]} with {_equal_sides(found[1], found[2])} and angle {found[2]} = ",
    ),
    (
        r"(?i)\b(?:isosceles triangle (?-i:([A-Z]{3}))|triangle (?-i:([A-Z]{3})) isosceles),? with (?:the |its )?(?:apex|top|vertex) "
        r"(?:at |in )?(?-i:([A-Z]))(?=[ .!]*$)",
        lambda found: f"triangle {found[1] or found[2]} with {_equal_sides(found[1] or found[2], found[3])}",
    ),
    (
        r"(?i)\b(isosceles triangle with base \d\S*(?: ?[cm]?m)?),? and (?:with )?base angles (?:of |equal to |both )?(?=\d)",
        r"\1 and an angle of ",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])) (?:is|be) (?:a|any) point (?:on|of|in) (?:the )?(?:side )?(?-i:([A-Z]{2})) of "
        r"(?:a|the) triangle (?-i:([A-Z]{3}))\b",
        r"draw the triangle \3 and let \1 be a point on \2",
    ),
    (r"(?i)\b(a triangle) in which (?=(?-i:[A-Z]{2}) (?:is|bisects)\b)", r"\1 and "),
    (r"(?i)\bequilat\.?(?= |,|$)", "equilateral"),
    (r"^(?:△|Δ) ?([A-Z]{3}),? (equilateral|isosceles|right-angled)(?=,|[ .!]*$)", r"\2 triangle \1"),
    (r"(?i)\b((?:equilateral )?triangle (?-i:[A-Z]{3})|square (?-i:[A-Z]{4})), sides? (?:of )?(?=\d)", r"\1 with side "),
    (r"(?i)^circle: cent(?:re|er) (.+?),? r ?= ?(?=\d)", r"circle with centre \1 and radius "),
    (
        r"(?i)^(?:let )?equilateral triangles (?-i:([A-Z])([A-Z])([A-Z]), ([A-Z])([A-Z])([A-Z]),? (?:and )?([A-Z])([A-Z])([A-Z])) (?:are "
        r"|be )?(?:drawn |constructed |erected |described )?(externally |outwards |outwardly |internally |inwards )?on the sides(?: "
        r"externally| outwards)?(?: of (?:the )?(?:triangle )?(?-i:[A-Z]{3})?)?(?=[ .!]*$)",
        lambda found: " and ".join(
            f"{'draw ' if not n else ''}the equilateral triangle {found[n + 1]}{found[n + 2]}{found[n + 3]} "
            f"{'internally' if (found[10] or '').startswith('in') else 'externally'} on {found[n + 1]}{found[n + 2]}"
            for n in (0, 3, 6)
        ),
    ),
    (
        r"(?i)\b(rectangle|square|triangle|parallelogram|rhombus) with (?:the )?(?:vertex|vertices|corners) (?-i:([A-Z])) ?(\([^()]+\)) "
        r"and (?-i:([A-Z])) ?(\([^()]+\))(?=[ .!]*$)",
        r"\1 on \2\4 with \2 at \3 and \4 at \5",
    ),
    (
        r"(?i)^(?:given:? |draw |let )?(?:the |a )?triangle (?-i:([A-Z]{3})) with (?:its |the )?(angle bisectors|altitudes|medians) "
        r"(?-i:([A-Z]{2}(?:, [A-Z]{2})*,? and [A-Z]{2})) (?:meeting|intersecting|which meet|that meet|meet|concurrent) (?=at\b|in\b)",
        r"draw the triangle \1 and let the \2 \3 meet ",
    ),
    (
        r"(?i)^(.*\b(?-i:([A-Z]{4}))\b.*?),? (?:and )?whose diagonals (?-i:([A-Z]{2} and [A-Z]{2})) (?:meet|intersect|cross) "
        r"(at|in) (?=(?-i:[A-Z])\b)",
        r"\1 and let \3 meet \4 ",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z]{2})) (?:is|be) a diameter( of a circle)?,? (?:and|with) (?:let )?(?-i:([A-Z])) (?:is |be )?"
        r"(?:a |any |another )?(?:other )?(?:point )?(?:on|of) (?:the circle|it)(?=[ .!]*$)",
        lambda found: f"let {found[1]} be a diameter{found[2] or ''} and let {found[3]} be a point on {'it' if found[2] else 'the circle'}",
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
    (
        r"(?i)^(.*\b(?-i:([A-Z]{3,6}))\b.*?),? (?:and )?(?:whose|with its) (diagonals|medians|altitudes|angle bisectors) "
        r"(?:meet|meeting|intersect|intersecting|cross|crossing) (at|in) (?=(?-i:[A-Z])\b)",
        r"\1 and let the \3 of \2 meet \4 ",
    ),
    (
        r"^([A-Z])([A-Z]) and \1([A-Z]) are (?:two )?perpendicular radii (?:of|in) (?:a|the) circle(?=[ .!]*$)",
        r"draw the circle with centre \1 through \2 and let \3 be the image of \2 under the rotation about \1 by 90 degrees and draw the "
        r"segments \1\2 and \1\3",
    ),
    (
        r"(?i)^([A-Z]{3,6}) (?:is a |a )?(rect|rectangle|square|parallelogram|rhombus|kite|trapezium|trapezoid|(?:isosceles |right "
        r")?triangle), (?=(?-i:[A-Z]{2}) ?=)",
        r"draw the \2 \1 with ",
    ),
    (rf"^(?:[Cc]ircle |⊙ ?)([A-Z]),? (?:r|radius) ?=? ?({SIZE})(?=[ .!]*$)", r"draw a circle with centre \1 and radius \2"),
    (r"(?i)(?:△|\btriangle )(?-i:([A-Z]{3})),? right at (?=(?-i:[A-Z]))", r"triangle \1 right-angled at "),
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
    (
        rf"^([A-Z])([A-Z]) ?= ?({SIZE}), ?\2([A-Z]) ?= ?({SIZE}),? (?:and )?(?:\4\1|\1\4) ?= ?({SIZE})(?=[ .!]*$)",
        r"draw the triangle \1\2\4 with \1\2 = \3, \2\4 = \5 and \4\1 = \6",
    ),
    (
        r"(?i)\b(triangle) (?:knowing|given|where|in which) (?:its |the |all )?(?:three )?sides(?: are)?:? ?(?=\d)",
        r"\1 with sides ",
    ),
    (
        r"(?i)^on (?:the )?(?:side |segment )?(?-i:([A-Z]{2})),? (?:but )?(?:on|to|at) (?:the side )?(?:the (?:other|opposite|far) "
        r"side )?(?:opposite |away |from |of |to |as )*(?-i:([A-Z])),? (?:draw|construct|describe|make|build) (an? |the "
        rf")({_SHAPES})((?-i: [A-Z]{{3,6}})?)(?=[ .!]*$)",
        r"draw \3\4\5 on \1 away from \2",
    ),
    (r"(?i)^let (?-i:([a-z])) be (?:the )?((?:inradius|circumradius)\b[^,]*?)(?=[ .!]*$)", r"measure the \2 and call it \1"),
    (
        r"(?i)^(show|prove|check|see|verify) that the (?:midpoints|mid-points)(?: of (?:the )?sides)?(?: of (?-i:[A-Z]{4}))? "
        r"(?:form|make|are the (?:corners|vertices) of|give) ((?:a|an) [a-z]+)(?=[ .!]*$)",
        r"join the midpoints of the sides and prove that it is \2",
    ),
    (
        r"(?i)^((?:draw |construct |sketch |make )?)((?:an? |the )(?:[a-z-]+ )?"
        r"(?:triangle|quadrilateral|pentagon|hexagon|square|rectangle|parallelogram|rhombus|kite|trapezium|trapezoid)),? (?:and )?"
        r"(?:label|name|call|with) (?:its |the )?(?:vertices|corners) (?-i:([A-Z](?:,? (?:and )?[A-Z])+))(?=[ .!]*$)",
        lambda found: f"{found[1]}{found[2]} {''.join(letter for letter in found[3] if letter.isupper())}",
    ),
    (r"(?i)\b(?:the )?(?-i:([A-Z]))-(?:angle )?(bisector|median|altitude|excentre|excenter|excircle)\b", _of_corner),
    (
        r"(?i)\b(?:the )?foot of (?=(?:the )?(?:(?:internal )?(?:angle )?bisector (?:of|from|at)|median from) (?:angle "
        r")?(?-i:[A-Z])\b)(.+?)(?=[ .!]*$|, )",
        r"where \1 meets the opposite side",
    ),
)
