"""Idioms of English that say circles: by centre, radius and what they go through, about one another, of triangles.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import SIZE, Idioms


def _about_its_centre(found: re.Match[str]) -> str:
    """ "a circle half the size with the same centre": by which factor the circle is enlarged from its centre."""
    return f"enlarge the circle from the centre of the circle by the factor {'0.5' if found[1].lower() == 'half' else '2'}"


_TIMES_AS_LARGE = {"twice": "2", "double": "2", "half": "1/2", "three times": "3"}
#: Ways of saying circles, by how they are read.
OF_ROUNDS: Idioms = (
    (
        r"(?i)\btwo ((?:intersecting |overlapping |different )*)circles (?:with|of) cent(?:res|ers) (?-i:([A-Z])) and (?-i:([A-Z]))(?: "
        r"and| with|, with) "
        r"(?:equal radi(?:i|us)|the same radius|radii of equal length|one radius)(?=[ .!]*$)",
        r"two \1equal circles with centres \2 and \3",
    ),
    (r"(?i)\btwo circles of (?:equal|the same) (?:radius|size) with cent(?:res|ers)\b", "two equal circles with centres"),
    (
        r"(?i)\bcircle with (?:its |the )?cent(?:re|er) where (.+?) (?:cross|meet|intersect),? (?:and )?(?:with )?(?:a )?radius "
        r"(?:of )?",
        r"circle with centre at the intersection of \1 and radius ",
    ),
    (
        r"(?i)^(?:draw )?two equal circles,? each (?:passing through|through|going through) the cent(?:re|er) of the "
        r"other(?=[ .!]*$)",
        "draw a circle and draw the circle with centre a point on it through its centre",
    ),
    (
        r"(?i)\b(?:an? |the )?circle (of .+? )(?:about|around|round) each(?: of (?:them|these)| point| of the points)?(?=[ .!]*$)",
        r"circles \1about them",
    ),
    (
        r"(?i)\bchord through (?-i:([A-Z])),? (?:cutting|meeting|crossing) (.+?) (at|in) (?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)",
        r"line through \1 meeting \2 \3 \4 and \5 and the segment \4\5",
    ),
    (
        r"(?i)^(?:draw )?the circle again with (twice|double|half|three times) (?:the|its) radius(?=[ .!]*$)",
        lambda found: f"enlarge the circle from its centre by the factor {_TIMES_AS_LARGE[found[1].lower()]}",
    ),
    (
        r"(?i)^(?:draw )?an?(?:other| second)? circle touches (?:this one|the circle|it|(?-i:([a-z]))) (externally|internally|from outside|"
        r"from inside) at (?-i:([A-Z])) and has (?:a )?radius (\S+?(?: ?[cm]?m)?)(?=[ .!]*$)",
        lambda found: (
            f"draw a circle of radius {found[4]} touching {found[1] or 'the circle'} "
            f"{'externally' if 'out' in found[2] or 'ext' in found[2] else 'internally'} at {found[3]}"
        ),
    ),
    (
        r"(?i)\b(circle) (?:round|around|about|through) all (?:of )?(?:the )?(three|3|four|4)(?: points)?(?=[ .!]*$)",
        r"\1 through the \2 points",
    ),
    # "Make a circle, A is the centre, B is on the circle."
    (
        r"(?i)\b(a circle)[,:;]? (?:with |where |and )?(?:the )?(?-i:([A-Z])) (?:is|as|being) (?:the |its )?cent(?:re|er),? (?:and )?"
        r"(?-i:([A-Z])) (?:is |lies |being )?on (?:it|the circle)(?=[ .!]*$)",
        r"\1 with centre \2 through \3",
    ),
    (
        r"(?i)\b(?:the |a )?unit circle(?: (?:with (?:its )?cent(?:re|er)|cent(?:re|er)ed) (?:at|in) (?:the origin|\(0, ?0\)))?(?=[ .!]*$)",
        "a circle with centre (0,0) and radius 1",
    ),
    (r"(?i)\b(?:are|lie) on (?:one and )?the same circle(?=[ .!]*$)", "lie on a circle"),
    (
        r"(?i)\b(circle) concentric (?:with|to) (the circle|(?-i:[a-z])) (?:of|with) (radius|diameter) (?=\d)",
        r"\1 with the same centre as \2 and \3 ",
    ),
    (
        r"(?i)\b(circle) of (radius|diameter) (\S+(?: [cm]?m)?) concentric (?:with|to) (the circle|(?-i:[a-z]))(?=[ .!]*$)",
        r"\1 with the same centre as \4 and \2 \3",
    ),
    (r"(?i)\bcircular (?:bed|pond|lawn|path|patch|pool)\b", "circle"),
    (r"(?i)\bthe circle (?:(?:that|which) is )?inside (?:and|that|which) touches (?:all )?(?:the )?(?:three )?sides\b", "the incircle"),
    (
        r"(?i)\btwo circles with centres (?-i:([A-Z]) and ([A-Z])) (?:that|which) (?:each )?(?:pass|go) through "
        r"each other(?:'s|s'?)? centres\b",
        r"the circle with centre \1 through \2 and the circle with centre \2 through \1",
    ),
    (
        r"(?i),? (?:and )?(?:whose|its) radius (?:changes|varies|grows|goes) with (?:the (?:dial|slider|number) )?(?-i:([a-z]))(?=[ .!]*$)",
        r" and radius \1",
    ),
    (
        r"(?i)^(?:draw |construct |find )?(?:the |a )?circle (?:that |which )?(?:touches|touching|tangent to) (?:side |the side )?"
        r"(?-i:[A-Z]{2}) and (?:the )?(?:extensions?|continuations?|prolongations?) of (?:the )?(?:sides )?(?-i:([A-Z])([A-Z])) and "
        r"(?-i:(?:\1[A-Z]|[A-Z]\1|(\2)[A-Z]|[A-Z](\2)))(?=[ .!]*$)",
        lambda found: f"draw the excircle opposite {found[3] or found[4] or found[1]}",
    ),
    (
        r"(?i),? (?:and )?(?:whose |with |that have |(?:which )?have )?(?:their |the )?cent(?:re|er)s (?:that are |which are |are |being )?"
        rf"({SIZE}) (?:apart|from (?:each other|one another))",
        r", \1 apart",
    ),
    (
        rf"(?i)\b(two circles (?:of|with) radi(?:us|i) {SIZE}(?: and {SIZE})?),? (?:and |with )?(?:a |the )?distance "
        rf"(?:between (?:the|their) cent(?:re|er)s )?(?:of )?({SIZE})(?: between (?:the|their) cent(?:re|er)s)?",
        r"\1, \2 apart",
    ),
    (
        r"(?i)^(?:let |suppose )?(?-i:([A-Z]{3})) (?:has|have) (?:an? |the )?"
        r"((?:circum|in|ortho|ex)cent(?:re|er)|centroid|(?:in|circum)circle) ((?-i:\w))(?=[ .!]*$)",
        r"let \3 be the \2 of \1",
    ),
    (
        r"(?i)^(?:let |suppose )?(?:the )?triangle (?-i:([A-Z]{3})) (?:has|have) (?=(?:an? |the )?"
        r"(?:(?:circum|in|ortho|ex)cent(?:re|er)|centroid|(?:in|circum)circle) (?-i:\w)(?=[ .!]*$))",
        r"draw the triangle \1 with ",
    ),
    (r"(?i)\b(?:that|which) (?:just |only )?reaches (?=(?-i:[A-Z])\b)", "through "),
    (
        r"(?i)^squares (?-i:([A-Z]{4})) and (?-i:([A-Z]{4}))(?: are)?(?: drawn| constructed| built| erected| described)? "
        r"((?:externally |outwards |outwardly |internally |inwards )?)on (?:the )?(?:sides )?(?-i:([A-Z]{2})) and (?-i:([A-Z]{2}))"
        r"(?: of (?:the )?(?:triangle )?(?-i:[A-Z]{3})?)?(?=[ .!]*$)",
        r"draw the square \1 \3on \4 and the square \2 \3on \5",
    ),
    (
        r"(?i)\b(?:that|which) (?:I|we|you|one|they) can (?:make|drag|change|resize|move)(?: it)?(?: (?:bigger|smaller|larger))?"
        r"(?: (?:and|or) (?:bigger|smaller|larger))?(?=[ .!]*$)",
        "",
    ),
    (r"(?i),? (?:of |in )?any size(?=[ .!]*$)", ""),
    (r"(?i)\b(?:one|an) angle right\b", "a right angle"),
    (
        r"(?i)^(?:draw |make |construct )?(?:another |an? )(?:concentric )?circle with (?:the )?same cent(?:re|er) and (half|twice|double) "
        r"(?:the |its )?radius(?=[ .!]*$)",
        _about_its_centre,
    ),
    (
        r"(?i)\b(intersection|crossing|meeting point) of ((?-i:(?:the )?(?:line|ray|segment|side|median|altitude|bisector|angle bisector|"
        r"perpendicular bisector|perpendicular|parallel|diagonal|circle|chord|tangent)\b[^,]*?)) with (?=(?:the )?(?:line |side |segment |"
        r"circle |ray )?(?-i:[A-Za-z]{1,2})(?=[ .!]*$))",
        r"\1 of \2 and ",
    ),
    (r"(?i)\b(line|circle|point|ray|segment) what (?=(?:goes|is|passes|touches|runs)\b)", r"\1 which "),
    (r"(?i)\bwho (?=(?:touches|passes|goes|is|are|meets|cuts|crosses|runs|has|have)\b)", "which "),
    (r"(?i)\bcircle of (?:the )?cent(?:re|er) (?-i:([A-Z]))\b,?", r"circle with centre \1"),
    (r"\bcircle o (?=(?:with |of )?rad)", "circle with centre O "),
    (r"(?i)\bone (?=(?:line|circle|point|segment|ray|triangle|square)\b)", "a "),
    (
        r"^(?:[Dd]raw |[Cc]onstruct |[Mm]ake |[Cc]onsider |[Gg]iven |[Ll]et )?(?:a |the )?[Cc]ircle ([A-Z])(?:(,)|(?=[ .!]*$| and\b))",
        lambda found: f"draw a circle with centre {found[1]}{' ;' if found[2] else ''}",
    ),
    (r"(?i)\bthe inverse of ([A-Z]) (?:with respect to|in|wrt) ([a-z]|the circle)\b", r"the reflection of \1 in \2"),
    (r"(?i)^(draw|make|construct|mark) other (?=circle|line|point|segment|triangle|square)", r"\1 another "),
    (
        r"(?i)\bcircle concentric (?:with|to) (\w+) (?:by|through|via|passing through) ([A-Z])\b",
        r"circle with the same centre as \1 through \2",
    ),
    (r"(?i)\b(?:chord )?(perpendicular|parallel) to ([A-Z]{2}) through its midpoint\b", r"\1 to \2 through the midpoint of \2"),
    (r"(?i)\b(?:whose|with its|and whose) (cent(?:re|er)|focus|directrix) (?:is|lies|is at|lies at|at) (?=\S)", r"with \1 "),
    (
        r"(?i)\b(circle|parabola|ellipse|hyperbola) (?:that|which) has (?:the |as )?"
        r"(?=(?:cent(?:re|er)|radius|diameter|focus|foci|focuses|directrix)\b)",
        r"\1 with ",
    ),
    (
        r"(?i)\b(circle|semicircle|half[- ]circle|ellipse|parabola|hyperbola) (?:that|which) has (\S+(?: and \S+)?) (?:for|as) (?:its |a "
        r"|the )?(diameter|cent(?:re|er)|radius|focus|foci|directrix)\b",
        r"\1 with \3 \2",
    ),
    (r"(?i)\b(?:the )?focuses\b", "foci"),
    (r"(?i)\band (?:that|which) (touches|passes through|goes through|is tangent to) ", r"\1 "),
    (
        r"(?i)\b(circle (?:with|about|around|round|centred at|centred on) [^.\n]*?),? (?:(?:that|which) )?(?:is )?(?:touching|"
        r"touches|tangent to) ",
        r"\1 touching ",
    ),
    (r"(?i)\b(circle) (?:around|round) (?:the )?point ([A-Z])\b", r"\1 about \2"),
    (
        r"(?i)(?<!cribe a )\bcircle (around|round|about) the triangle(?: (?:that|which) (?:goes|passes) through (?:its|the|all its|all "
        r"the) (?:corners|vertices))?",
        "circumcircle of the triangle",
    ),
    (
        r"(?i)\b(?:the )?circumradius(?: of (?:the )?(?:triangle )?([A-Z]{3}|triangle))?",
        lambda found: "the radius of the circumcircle" + (f" of {found[1]}" if found[1] and found[1].isupper() else ""),
    ),
    (
        r"(?i)\b(?:the )?inradius(?: of (?:the )?(?:triangle )?([A-Z]{3}|triangle))?",
        lambda found: "the radius of the incircle" + (f" of {found[1]}" if found[1] and found[1].isupper() else ""),
    ),
    (
        r"(?i)^(?:shift|move|translate|slide) the circle so (?:that )?its cent(?:re|er) (?:is|lies|comes|goes|is at) (?:at |"
        r"to |on )?([A-Z])\b",
        r"translate the circle so that its centre goes to \1",
    ),
    (
        r"(?i)\bcircle (?:through|thru|passing through) (\w),? (?:with )?(?:cent(?:re|er)) (\w)(?=[ .!]*$)",
        r"circle with centre \2 through \1",
    ),
    (
        r"(?i)\b(?:(and) )?whose (radius|radii|diameter|base|sides?|legs|height|altitude|angles|diagonals?|hypotenuse) "
        r"(?:is|are|measures?|equals?)\b",
        lambda found: f"{found[1] or 'with'} {found[2]}",
    ),
    (
        r"(?i)\b(?:the )?(?:biggest|largest|greatest) circle (?:that|which) (?:fits|goes|lies|is) (?:inside|in|into) ",
        "the incircle of ",
    ),
    (r"(?i)\b(?:the )?(?:biggest|largest|greatest) circle (?:inside|in) (?=(?:the )?triangle)", "the incircle of "),
    (r"(?i)\bcircle,? (?:with )?(?:the )?same (centre|center|middle),? (?:and )?(?=radius)", r"circle with the same \1 and "),
    (r"(?i)^find (?=(?:a|the|all|two|three) (?:points?|lines?|circles?|square|triangle)\b)", "draw "),
    (r"\bcircles with (?:the |a )?(?:same |common )?cent(?:re|er) (?=[A-Z]\b)", "circles with centre "),
    (
        r"(?i)\b(square|hexagon|pentagon|octagon|triangle|polygon) with (?:one|an?|its) (vertex|corner) at ([A-Z]) (?:inscribed )?in "
        r"((?:the )?(?:circle )?[a-z]\b|the circle\b|it\b)",
        r"\1 in \4 with a \2 at \3",
    ),
    (
        r"\b(?:triangle |quadrilateral )?([A-Z]{1,4})[’'](?:s )?(incircle|circumcircle|centroid|orthocent(?:re|er)|incent(?:re|er)"
        r"|medians|altitudes|sides|angles|diagonals|cent(?:re|er)|area|perimeter)\b",
        r"the \2 of \1",
    ),
    (r"(?i)\bof the same (?:size|radius)\b", "with the same radius"),
    (r"(?i), (side|sides|radius|diameter|height|base) (?=\d)", r" with \1 "),
    (r"(?i)\b(?:a |one )?pairs? of (?=(?:parallel|perpendicular|intersecting|concentric|equal)\b|lines|circles|tangents)", "two "),
    (
        r"(?i)^(?:draw |make |construct |show )?(?:an? |the )?(enlargement|dilation) of (.+?),? (?:with |by |using )?(?:an? )?"
        r"scale factor (?:of )?(\S+?),? (?:and )?(?:with |about |from )?(?:the )?cent(?:re|er)(?: at)? (\S+)$",
        r"enlarge \2 by factor \3 from centre \4",
    ),
    (r"(?i)\bsemicircle (?:with|of) (?:a )?diameter (?:of )?(\d[\d.]*(?: ?[cm]?m)?)", r"segment of length \1 and a semicircle on it"),
    (
        r"(?i)\bsmallest circle (?:containing|through|round|around|that contains|which contains) ([A-Z]) and ([A-Z])\b",
        r"circle with diameter \1\2",
    ),
    (r"\bwith (?:the )?(?:same )?radius (?:the same as |equal to |as )([A-Z]{2})\b", r"with radius \1"),
    (
        r"(?i)^(?:draw )?two circles with cent(?:re|er)s ([A-Z]) and ([A-Z]),? (?:each|both) (?:passing|going|which goes|that goes) "
        r"through (?:the )?(?:other[’']?s? (?:cent(?:re|er)|one)|cent(?:re|er) of the other(?: one)?)",
        r"draw the circle with centre \1 through \2 and the circle with centre \2 through \1",
    ),
    (r"(?i)\ba (base|height|side|radius|diameter|leg) of (?=\d)", r"\1 "),
    (r"(?i)\brandom (?=triangle|quadrilateral|polygon|point|line|circle)", ""),
    (r"(?i)^two (lines|circles|segments) (\w+ and \w+) (?:meet|intersect|cross) ", r"\1 \2 meet "),
    (
        r"(?i)\b(an?|the) (circle|line|segment|perpendicular|parallel|tangent|triangle|square) ([^,]+?),? (?:and|then) (?:one|another)(?: "
        r"one)? (?=(?:around|round|about|through|with|from|at|on|to|of) )",
        r"\1 \2 \3 and a \2 ",
    ),
    (
        r"(?i)^a (triangle|rectangle|square|circle|rhombus|parallelogram|trapezium|kite) has "
        r"(?=(?:an? |the )?(?:sides?|legs|angles|radius|diameter|base|height)\b[^?]+$)",
        r"draw a \1 with ",
    ),
    (r"(?i)\bcircle from ([A-Z]) (?=with radius|of radius|through)", r"circle with centre \1 "),
    (r"(?i)\bof (\d[\d.]*(?: ?[cm]?m)?) (diameter|radius)\b", r"of \2 \1"),
    (r"(?i)\bcircles (?:with|on) the sides as (?:their )?diameters?\b", "circles on the sides as diameter"),
    (
        r"^[Ll]et ([A-Z]) be the cent(?:re|er) of a circle (?:of|with) radius (\S+?) and (?:let )?([A-Z]) (?:be )?a point "
        r"(?:on|of) (?:it|the circle)(?=[ .!]*$)",
        r"draw a circle with centre \1 and radius \2 and let \3 be a point on it",
    ),
    (
        r"^[Ll]abel (?=the (?:midpoint|mid-point|middle|halfway "
        r"point|cent(?:re|er)|centroid|circumcent\w+|orthocent\w+|incent\w+|foot|intersection|crossing|point "
        r"of|point that|point which|point dividing|barycent\w+|mirror|image|reflection)\b"
        r"(?:.*(?:\b(?:of|from|to|on|and|line|side|triangle) [A-Z]+|[a-z]|\d))$)",
        "mark ",
    ),
    (r"(?i)\b(of|with|and|a|the|,) (radius|diameter) of (?=\d)", r"\1 \2 "),
    (
        r"(?i)\bcircle concentric (?:with|to) (the circle|[a-z]),? (?:and|with|of) (?:a )?radius (?:of )?(\d[\d.]*(?: ?[cm]?m)?)",
        r"circle of radius \2 with the same centre as \1",
    ),
    (r"(?i)\bradius (?:which is |that is )?equal to ", "radius "),
    (r"(?i)(\d+(?:\.\d+)?\s*(?:cm|mm|m)?)\s+across\b", r"of diameter \1"),
    (r"(?:\bcircle\s+|⊙\s*)?\(([A-Z])([A-Z])([A-Z])\)", r"the circumcircle of \1\2\3"),
    (r"(?i)\b(inscribed in \S+),? (?:starting|beginning) (?:at|from|with) (?-i:([A-Z]))\b", r"\1 with a corner at \2"),
    (
        r"(?i)\b(?:the |an? )?unit circle\b(?:,? (?:with (?:its )?cent(?:re|er) (?:at|in)|cent(?:re|er)ed (?:at|on|in)|about|at) "
        r"(?:the origin|\(0, 0\)|O\b))?",
        "the circle with centre (0, 0) and radius 1",
    ),
    (
        r"(?i)\b(?:big |large )?circle (?:round|around|about|through) (?:all )?(?:of )?the ((?:three )?points)\b",
        r"circle through the \1",
    ),
    (r"(?i)\bthe (?-i:([A-Z]))-(ex-?cent(?:re|er)|ex-?circle)\b", r"the \2 opposite \1"),
    (r"(?i)\bthe (?-i:([A-Z]))-(altitude|median)\b", r"the \2 from \1"),
    (r"(?i)\bthe inversion (?:in|with respect to|wrt|about|through) (?=(?:the circle )?\w)", "the reflection in "),
    (
        r"(?i)^(?:draw |make |construct )?(?:an? |the )?(?:concentric )?circle (?:of |with |which is |that is )?(half|twice|double) "
        r"(?:the |its )?(?:size|radius|as (?:big|large))(?:,? (?:with|and|having|about) the same cent(?:re|er))(?=[ .!]*$)",
        _about_its_centre,
    ),
    (
        r"(?i)^(?:draw |make |construct )?(?:an? |the )?concentric circle (?:of |with |which is |that is )?(half|twice|double) "
        r"(?:the |its )?(?:size|radius)(?=[ .!]*$)",
        _about_its_centre,
    ),
    (
        r"(?i)\bcircle with (?:the |a )?cent(?:re|er) (?:in|at|on) (?-i:([A-Z])) and (?:which|that|what) (?=(?:goes|passes|touches)\b)",
        r"circle with centre \1 which ",
    ),
    (
        r"(?i)^inscribe in (the circle|(?-i:[a-z])) (an? .+?)(?: with (?:an? |one )?(?:vertex|corner) (?:at )?(?-i:([A-Z])))?(?=[ .!]*$)",
        lambda found: f"draw {found[2]} in {found[1]}" + (f" with a corner at {found[3]}" if found[3] else ""),
    ),
    (
        r"(?i)\bcircle with (?:centre|center) (?-i:([A-Z])) and (?:the )?(?:same )?radius (?:of|as) (the circle|(?-i:[a-z]))(?=[ .!]*$)",
        r"circle with centre \1 with the same radius as \2",
    ),
    (
        r"(?i)\b(?:an? |the )?(?:other |another )?circle with (?:the )?same radius(?: as (the "
        r"circle|(?-i:[a-z])))? and (?:with )?(?:the )?cent(?:re|er) "
        r"(?:at )?(?-i:([A-Z]))\b",
        lambda found: f"a circle with centre {found[2]} with the same radius" + (f" as {found[1]}" if found[1] else ""),
    ),
    (
        r"(?i)\bcircle with (?:centre|center) (?-i:([A-Z])) and (?:the )?same radius(?=[ .!]*$| as\b)",
        r"circle with centre \1 with the same radius",
    ),
    (
        r"(?i)\b(?:another|a second|one more) circle (?:of )?the same size((?: as (?-i:[a-z]))?)(?: beside it| next to it)?(?=[ .!]*$)",
        r"a circle with the same radius\1",
    ),
    (
        r"(?i)^(?:a |one )?(?:(?:big|large|small|little) )?circle and (?:a |another |one )?(?:(?:big|large|small|little) )?circle "
        r"(?:in|with|about|around|having) (?:the |one )?same (?:middle|cent(?:re|er))(?=[ .!]*$)",
        "draw two concentric circles",
    ),
    (
        r"(?i)\bpoints (?:that |which )?(?:are )?(?:exactly )?((?-i:[a-z])|\d[\d.]*(?: ?[cm]?m)?) away from (?=(?-i:[A-Z])\b)",
        r"points at a distance of \1 from ",
    ),
)
