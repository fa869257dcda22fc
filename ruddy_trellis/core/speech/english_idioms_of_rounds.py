"""Idioms of English for circles, arcs, conics, and what touches or crosses them; and for what is done with compasses.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import SIZE, Idioms


def _touching_point(found: re.Match[str]) -> str:
    """ "D is the point where the incircle touches BC": what touches what, and where."""
    before = found[1] if re.search(r"\blet $|^$", found[1], re.IGNORECASE) is None else found[1][: -len("let ")]
    return f"{before}let {found[3]} touch {found[4]} at {found[2]}"


def _about_its_centre(found: re.Match[str]) -> str:
    """ "a circle half the size with the same centre": by which factor the circle is enlarged from its centre."""
    return f"enlarge the circle from the centre of the circle by the factor {'0.5' if found[1].lower() == 'half' else '2'}"


#: Ways of saying what is round, by how they are read.
OF_ROUNDS: Idioms = (
    (
        r"^((?:.* )?)([A-Z]) (?:be |is )?the point (?:where|at which|in which) ((?:the )?[a-z -]+?|[a-z]) (?:touches|is tangent to|meets) "
        r"((?:the )?(?:side |line )?\w+)(?=[ .!]*$)",
        _touching_point,
    ),
    (
        r"(?i)^((?:let |draw |suppose )?(?-i:.*\b([A-Z]{3})\b.*?)),? (?:with|whose|and its|and let its) (?:an |the |its )?"
        r"(incircle|inscribed circle) "
        r"(?:touching|touches|touch|tangent to|meeting|meets) (.+) at (?=(?-i:[A-Z]))",
        r"\1 and let the \3 of \2 touch \4 at ",
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
    (
        r"(?i)\barc,? (?:centred (?:on|at)|centered (?:on|at)|with cent(?:re|er)|about) (?-i:([A-Z])),? from (?-i:([A-Z])) "
        r"(?:to meet|meeting|to|until it (?:meets|hits|reaches)) (?:the )?(?:line |ray |side )?(?-i:(?:\1([A-Z])|([A-Z])\1))(?=[ .!]*$)",
        lambda found: f"arc with centre {found[1]} from {found[2]} to {found[3] or found[4]}",
    ),
    (r"(?i)\b(?:that|which) (?:just |only )?reaches (?=(?-i:[A-Z])\b)", "through "),
    (
        r"(?i)^squares (?-i:([A-Z]{4})) and (?-i:([A-Z]{4}))(?: are)?(?: drawn| constructed| built| erected| described)? "
        r"((?:externally |outwards |outwardly |internally |inwards )?)on (?:the )?(?:sides )?(?-i:([A-Z]{2})) and (?-i:([A-Z]{2}))"
        r"(?: of (?:the )?(?:triangle )?(?-i:[A-Z]{3})?)?(?=[ .!]*$)",
        r"draw the square \1 \3on \4 and the square \2 \3on \5",
    ),
    (
        r"^([A-Z])([A-Z]) is (?:a|the) tangent (?:to (?:the circle|[a-z]) )?from \1,? (?:and )?(?:touching|touches|meeting|meets) "
        r"(?:it|the circle|[a-z]) (?:at|in) \2(?=[ .!]*$)",
        r"\1\2 is a tangent to the circle",
    ),
    (
        r"(?i)\btangent from (?-i:([A-Z]))(?: to (?:the circle|[a-z]))?,? (?:touching|that touches|which touches|to touch) "
        r"(the circle|it|[a-z]) (?:at|in) (?-i:([A-Z]))(?=[ .!]*$)",
        lambda found: f"tangent {found[1]}{found[3]} from {found[1]} to {found[2] if found[2] != 'it' else 'the circle'}",
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
        r"(?i)^(?:set|open) (?:the |your |a )?compass(?:es)? to (?-i:([A-Z]{2})),? (?:and )?draw (?:a )?circles? (?:at|from|around|round) "
        r"(?-i:([A-Z])) and (?:a circle |another |another circle |one )?(?:at |from |around |round )?(?-i:([A-Z]))(?=[ .!]*$)",
        r"draw the circle with centre \2 and radius \1 and the circle with centre \3 and radius \1",
    ),
    (
        r"(?i)^with cent(?:re|er)s? (?-i:([A-Z])) and (?-i:([A-Z])),? and (?:the same|equal|any) radi(?:us|i)"
        r"(?: \(?(?:greater|more|larger|longer|bigger) than half (?:of )?(?:the length of )?(?-i:\1\2|\2\1)\)?)?,? draw (?:two )?arcs "
        r"(?:intersecting|meeting|cutting|crossing|to meet|to cut|to intersect|that meet|which meet)(?: each other)? (?:at|in) "
        r"(?-i:([A-Z])) and (?-i:([A-Z]))(?=[ .!]*$)",
        r"draw the circle with centre \1 through \2 and the circle with centre \2 through \1 meeting at \3 and \4",
    ),
    (
        r"(?i)\b(midpoint|mid-point|middle) of (?:the )?(?:(minor|major) )?arc (?-i:([A-Z]{2})) of the circumcircle"
        r"(?: of (?:triangle )?(?-i:[A-Z]{3}))?(?= not| that| which| cont|[ .!]*$)",
        lambda found: f"{found[1]} of the {found[2] + ' ' if found[2] else ''}arc {found[3]}",
    ),
    (
        r"(?i)\b(intersection|crossing|meeting point) of ((?-i:(?:the )?(?:line|ray|segment|side|median|altitude|bisector|angle bisector|"
        r"perpendicular bisector|perpendicular|parallel|diagonal|circle|chord|tangent)\b[^,]*?)) with (?=(?:the )?(?:line |side |segment |"
        r"circle |ray )?(?-i:[A-Za-z]{1,2})(?=[ .!]*$))",
        r"\1 of \2 and ",
    ),
    (r"(?i)\b(line|circle|point|ray|segment) what (?=(?:goes|is|passes|touches|runs)\b)", r"\1 which "),
    (r"(?i)\bwho (?=(?:touches|passes|goes|is|are|meets|cuts|crosses|runs|has|have)\b)", "which "),
    (
        r"(?i)^(?:take|taking|with|using) (?-i:([A-Z])) (?:as|for) (?:the |a )?(?:centre|center),? (?:and|with) "
        r"(?:a )?radius (?:of )?([^,]+?),? (?:draw|describe|make|construct) a(?: circle|n arc)",
        r"draw a circle with centre \1 and radius \2",
    ),
    (r"(?i)\bcircle of (?:the )?cent(?:re|er) (?-i:([A-Z]))\b,?", r"circle with centre \1"),
    (r"(?i)\btangent lines?\b(?= (?:from|to|at))", lambda found: "tangents" if found[0].lower().endswith("s") else "tangent"),
    (r"(?i)\btan (?=lines?\b)", "tangent "),
    (r"\bcircle o (?=(?:with |of )?rad)", "circle with centre O "),
    (r"(?i)\bone (?=(?:line|circle|point|segment|ray|triangle|square)\b)", "a "),
    (
        r"^(?:[Dd]raw |[Cc]onstruct |[Mm]ake |[Cc]onsider |[Gg]iven |[Ll]et )?(?:a |the )?[Cc]ircle ([A-Z])(?:(,)|(?=[ .!]*$| and\b))",
        lambda found: f"draw a circle with centre {found[1]}{' ;' if found[2] else ''}",
    ),
    (
        r"(?i)^(?:use|take|with|using) ([A-Z]) as (?:the |a |its )?cent(?:re|er)(?:,| and)?(?: and)?(?: with)? ([A-Z]{2}|"
        r"\d\S*(?: ?[cm]?m)?) as "
        r"(?:the |a |its )?radius,? (?:to )?(?:draw|make|construct) (?:a|the) circle\b",
        r"draw the circle with centre \1 and radius \2",
    ),
    (
        rf"(?i)^(?:with|keep|keeping) (?:the |your |a )?compass(?:es)? (?:open(?:ed)?|set) (?:to|at) ({SIZE}|[A-Z]{{2}}),? "
        rf"(?:draw|make|construct) "
        r"(?:a|the) (circle|arc) (?:round|around|about|centred on|centred at|with centre) ([A-Z])\b",
        r"draw the \2 with centre \3 and radius \1",
    ),
    (r"(?i)\bthe inverse of ([A-Z]) (?:with respect to|in|wrt) ([a-z]|the circle)\b", r"the reflection of \1 in \2"),
    (r"(?i)^(draw|make|construct|mark) other (?=circle|line|point|segment|triangle|square)", r"\1 another "),
    (
        r"(?i)\bcircle concentric (?:with|to) (\w+) (?:by|through|via|passing through) ([A-Z])\b",
        r"circle with the same centre as \1 through \2",
    ),
    (r"(?i)\b(?:chord )?(perpendicular|parallel) to ([A-Z]{2}) through its midpoint\b", r"\1 to \2 through the midpoint of \2"),
    (r"(?i)\bwith (an? (?:diameter|radius|chord|tangent))(?: drawn(?: in)?)?(?=[ .!]*$)", r"and \1 of it"),
    (r"(?i)\b(?:whose|with its|and whose) (cent(?:re|er)|focus|directrix) (?:is|lies|is at|lies at|at) (?=\S)", r"with \1 "),
    (
        r"(?i)\b(circle|parabola|ellipse|hyperbola) (?:that|which) has (?:the |as )?"
        r"(?=(?:cent(?:re|er)|radius|diameter|focus|foci|focuses|directrix)\b)",
        r"\1 with ",
    ),
    (
        r"(?i)\b(circle|semicircle|half[- ]circle|ellipse|parabola|hyperbola) (?:that|which) has (\S+(?: and \S+)?) (?:for|"
        r"as) (?:its |a |the )?"
        r"(diameter|cent(?:re|er)|radius|focus|foci|directrix)\b",
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
        r"(?i)^from (?:an? (?:external|exterior|outside) point )?([A-Z]) (?:the )?two tangents ([A-Z]{2}) "
        r"and ([A-Z]{2}) are (?:drawn|constructed)(?: to .+?)?(?=[ .!]*$)",
        r"draw the tangents \2 and \3 from \1",
    ),
    (
        r"(?i)\bcircle (?:through|thru|passing through) (\w),? (?:with )?(?:cent(?:re|er)) (\w)(?=[ .!]*$)",
        r"circle with centre \2 through \1",
    ),
    (
        r"(?i)^(?:use|take|with|using)\s+(?:a |the |your )?(?:pair of\s+)?(?:compass(?:es)?|ruler|straight\s?edge)"
        r"(?: and (?:a |the |your )?(?:pair of\s+)?(?:compass(?:es)?|ruler|straight\s?edge))?[\s,]+(?:only[\s,]+)?(?:to|and)?\s*",
        "",
    ),
    (
        r"(?i)^(?:open|set)\s+(?:the|your)\s+compass(?:es)?\s+to\s+([^,]+?),?\s+and\s+draw\s+an?\s+(circle|arc)\b",
        r"draw a \2 with radius \1",
    ),
    (
        r"\b(?:(?:that|which) has|with|having) ([A-Z]{2}) as (?:(?:its|a|an|the|one) )?(diameter|radius|hypotenuse|diagonal)\b",
        r"with \2 \1",
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
    (r"(?i)\b(?:standing|that stands|which stands|subtended by) (?:on )?(?=(?:the )?(?:arc|chord)\b)", "on "),
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
    (
        r"^[Ll]et ([A-Z](?:, [A-Z])*,? and [A-Z]) be the points (?:where|at which|in which) the (incircle|inscribed circle) "
        r"(?:touches|meets) (?:the |its )?sides\b",
        r"let the \2 touch the sides at \1",
    ),
    (r"(?i)\b(a circle) and one of its (chord|diameter|tangent)s\b", r"\1 and a \2 of it"),
    (
        r"(?i)\b(inscribed circle|incircle)((?: of \w+)?),? and mark (?:the points )?where it (?:touches|meets) the sides\b",
        r"\1\2 and mark the contacts of the incircle",
    ),
    (
        r"(?i)^from ([A-Z]) draw (?:the )?two tangents(?: to (?:the circle|[a-z]))?,? (?:touching|which touch|that touch) "
        r"(?:the circle|it|[a-z]) (?:at|in) ([A-Z]) and ([A-Z])\b",
        r"from \1 draw the two tangents \1\2 and \1\3",
    ),
    (
        r"^(?:[Pp]roduce|[Ee]xtend|[Pp]rolong) (?:the |line |side |chord )*([A-Z]{2}) to (?:meet|cut|cross) (the tangent at [A-Z]) "
        r"(?:in|at) ([A-Z])\b",
        r"let \1 meet \2 at \3",
    ),
    (r"(?i)\b(?:a |one )?pairs? of (?=(?:parallel|perpendicular|intersecting|concentric|equal)\b|lines|circles|tangents)", "two "),
    (
        r"(?i)^put (?:the )?(?:point of the compass(?:es)?|compass(?:es)?(?: point| needle)?) (?:on|at|in) ([A-Z]),? and "
        r"(?:draw|make|strike) an? (circle|arc) ",
        r"draw a circle with centre \1 ",
    ),
    (
        r"(?i)^(?:draw |make |construct |show )?(?:an? |the )?(enlargement|dilation) of (.+?),? (?:with |by |using )?(?:an? )?"
        r"scale factor (?:of )?(\S+?),? (?:and )?(?:with |about |from )?(?:the )?cent(?:re|er)(?: at)? (\S+)$",
        r"enlarge \2 by factor \3 from centre \4",
    ),
    (
        r"(?i)^(?:draw |construct )?(?:the )?(?:two )?tangents from ([A-Z])(?: to (?:the circle|[a-z]))?,? (?:touching|which "
        r"touch|that touch"
        r"|meeting|and let them touch) (?:it|the circle|[a-z]) (?:at|in) ([A-Z]) and ([A-Z])\b",
        r"from \1 draw the two tangents \1\2 and \1\3",
    ),
    (r"(?i)\bangle (?:at|in) the (?:centre|center|circumference|circle) (?=[A-Z]{3}\b)", "angle "),
    (r"(?i)\bsemicircle (?:with|of) (?:a )?diameter (?:of )?(\d[\d.]*(?: ?[cm]?m)?)", r"segment of length \1 and a semicircle on it"),
    (
        r"(?i)\bsmallest circle (?:containing|through|round|around|that contains|which contains) ([A-Z]) and ([A-Z])\b",
        r"circle with diameter \1\2",
    ),
    (r"\bwith (?:the )?(?:same )?radius (?:the same as |equal to |as )([A-Z]{2})\b", r"with radius \1"),
    (
        r"(?i)\bthe point (?:that is |which is )?(?:diametrically )?opposite (?:to )?([A-Z])(?: on (?:the circle|it|[a-z]))?(?=[ "
        r".!]*$)",
        r"the antipode of \1",
    ),
    (
        r"^(?:[Dd]raw|[Mm]easure|[Ss]how) the angle subtended by (?:the )?(?:arc |chord )?([A-Z])([A-Z]) at (?:a |the )?(?:point "
        r")?([A-Z]) "
        r"(?:of|on) (the circle|[a-z])\b",
        r"let \3 be a point on \4 and measure angle \1\3\2",
    ),
    (
        r"(?i)^(?:(?:draw|measure|show|find|what is) )?(?:the )?angle (?:(?:which is |that is )?subtended by )?(?:the )?"
        r"(?:arc |chord |side |segment )?"
        r"(?-i:([A-Z])([A-Z])) (?:subtends )?at (?:the )?(?:point )?(?-i:([A-Z]))\b",
        r"measure angle \1\3\2",
    ),
    (
        r"(?i)^(?:draw )?two circles with cent(?:re|er)s ([A-Z]) and ([A-Z]),? (?:each|both) (?:passing|going|which goes|that "
        r"goes) through (?:the )?"
        r"(?:other[’']?s? (?:cent(?:re|er)|one)|cent(?:re|er) of the other(?: one)?)",
        r"draw the circle with centre \1 through \2 and the circle with centre \2 through \1",
    ),
    (r"(?i)\ba (base|height|side|radius|diameter|leg) of (?=\d)", r"\1 "),
    (r"(?i)\brandom (?=triangle|quadrilateral|polygon|point|line|circle)", ""),
    (r"(?i)^two (lines|circles|segments) (\w+ and \w+) (?:meet|intersect|cross) ", r"\1 \2 meet "),
    (
        r"(?i)\b(an?|the) (circle|line|segment|perpendicular|parallel|tangent|triangle|square) ([^,]+?),? "
        r"(?:and|then) (?:one|another)(?: one)? "
        r"(?=(?:around|round|about|through|with|from|at|on|to|of) )",
        r"\1 \2 \3 and a \2 ",
    ),
    (
        r"(?i)^a (triangle|rectangle|square|circle|rhombus|parallelogram|trapezium|kite) has "
        r"(?=(?:an? |the )?(?:sides?|legs|angles|radius|diameter|base|height)\b[^?]+$)",
        r"draw a \1 with ",
    ),
    (
        r"(?i)\b(?:the )?points? (?:where|at which|in which) the (incircle|inscribed circle) (?:touches|meets) (?:the |its )?sides\b",
        "the contacts of the incircle",
    ),
    # "Construct N with compass and straightedge" asks for the compass work of what is there.
    (
        r"(?i)^(?!(?:draw|construct|make|show|how (?:is|are)) \S+ (?:with|using))(.+?),? (?:using|with) (?:only )?(?:a |your |the )?"
        r"(?:pair of )?(?:compass(?:es)?|ruler|straight\s?edge)(?: and (?:a |the )?(?:pair of )?(?:compass(?:es)?|ruler|"
        r"straight\s?edge))?(?: only)?(?=[ .!]*$)",
        r"\1",
    ),
    (r"(?i)\bcircle from ([A-Z]) (?=with radius|of radius|through)", r"circle with centre \1 "),
    (r"(?i)\bnormal at (?:the )?(?:point )?(?-i:([A-Z]))(?=[ .!]*$)", r"normal to the circle at \1"),
    (r"(?i)\bnormal to (the circle|[a-z]) at (?:the )?(?:point )?([A-Z])\b", r"line through \2 and the centre of \1"),
    (r"(?i)\bof (\d[\d.]*(?: ?[cm]?m)?) (diameter|radius)\b", r"of \2 \1"),
    (
        r"^[Tt]ransfer (?:the )?(?:distance|length) ([A-Z]{2}) to ([A-Z]) and draw (?:the|a) circle",
        r"draw the circle with centre \2 and radius \1",
    ),
    (r"(?i)\bcircles (?:with|on) the sides as (?:their )?diameters?\b", "circles on the sides as diameter"),
    (r"^(.*)\bchord ([A-Z])([A-Z]) and the tangents at its ends(?=[ .!]*$)", r"\1chord \2\3 and the tangents at \2 and \3"),
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
    (r"(?i)^show (?:me )?(the|a) (?=(?:chord|secant|tangent|radius to|diameter through)\b)", r"draw \1 "),
    (r"(?i)\b(of|with|and|a|the|,) (radius|diameter) of (?=\d)", r"\1 \2 "),
    (
        r"(?i)\bcircle concentric (?:with|to) (the circle|[a-z]),? (?:and|with|of) (?:a )?radius (?:of )?(\d[\d.]*(?: ?[cm]?m)?)",
        r"circle of radius \2 with the same centre as \1",
    ),
    (r"(?i)\bradius (?:which is |that is )?equal to ", "radius "),
    (
        r"(?i)\btangent( to (?:the circle|[a-z]))? (?:touching|which touches|that touches)(?: it| the circle)? (?=at\b|in\b)",
        r"tangent\1 ",
    ),
    (r"(?i)(\d+(?:\.\d+)?\s*(?:cm|mm|m)?)\s+across\b", r"of diameter \1"),
    (r"(?:\bcircle\s+|⊙\s*)?\(([A-Z])([A-Z])([A-Z])\)", r"the circumcircle of \1\2\3"),
    (
        r"(?i)\b(circle with cent(?:re|er) (?-i:[A-Z])(?: and radius [^,;]+?)?) and (?:a |the |one |any |its )?chord (?-i:([A-Z]{2}))"
        r"(?=[ .!]*$)",
        r"\1 and draw the chord \2",
    ),
    (r"(?i)\b(inscribed in \S+),? (?:starting|beginning) (?:at|from|with) (?-i:([A-Z]))\b", r"\1 with a corner at \2"),
    (r"(?i)\b(?:the )?unit circle\b", "the circle with centre (0, 0) and radius 1"),
    (
        r"(?i)^with (?-i:([A-Z])) as (?:the |a )?(?:centre|center),? (?:and )?(?:with )?(\S+(?: [cm]?m)?) as (?:the |a )?radius,? "
        r"(?:draw|describe|make|construct|strike) an? (?:circle|arc)\b",
        r"draw a circle with centre \1 and radius \2",
    ),
    (
        rf"(?i)^(?:swing|strike|sweep|describe) an? (?:arc|circle) (?:of|with) radius (?:of )?({SIZE}|[A-Z]{{2}}) "
        r"(?:from|about|round|around|at|with centre) (?-i:([A-Z]))\b",
        r"draw the circle with centre \2 and radius \1",
    ),
    (
        rf"(?i)^(?:from|about|round|around|at) (?-i:([A-Z])),? (?:swing|strike|sweep|describe|draw) an? (?:arc|circle) (?:of|with) radius "
        rf"(?:of )?({SIZE}|[A-Z]{{2}})(?=[ .!]*$)",
        r"draw the circle with centre \1 and radius \2",
    ),
    (
        r"(?i)\b(?:big |large )?circle (?:round|around|about|through) (?:all )?(?:of )?the ((?:three )?points)\b",
        r"circle through the \1",
    ),
    (
        r"(?i)\b(in-?circle|inscribed circle)((?: of \w+)?),? (?:and|then) mark (?:the point )?where it (?:touches|meets) "
        r"(?:the |side |the side )*(?-i:([A-Z]{2}))(?=[ .!]*$)",
        r"\1\2 and mark the foot of the perpendicular from its centre to \3",
    ),
    (
        r"(?i)^let (?-i:([A-Z]), ([A-Z]),? (?:and )?([A-Z])) be the (?:points of (?:tangency|contact)|touching points|contact points|"
        r"tangency points) of the (?:in-?circle|inscribed circle)(?: of (?:the )?(?:triangle )?(?-i:[A-Z]{3}))? (?:with|on|to) (?:the )?"
        r"(?:sides )?(?-i:([A-Z]{2}), ([A-Z]{2}),? (?:and )?([A-Z]{2}))(?:,? respectively)?(?=[ .!]*$)",
        r"draw the incircle and let \1 be the foot of the perpendicular from its centre to \4 and let \2 be the foot of the perpendicular "
        r"from its centre to \5 and let \3 be the foot of the perpendicular from its centre to \6",
    ),
    (r"(?i)\bthe (?-i:([A-Z]))-(ex-?cent(?:re|er)|ex-?circle)\b", r"the \2 opposite \1"),
    (r"(?i)\bthe (?-i:([A-Z]))-(altitude|median)\b", r"the \2 from \1"),
    (r"(?i)\bthe inversion (?:in|with respect to|wrt|about|through) (?=(?:the circle )?\w)", "the reflection in "),
    (
        r"(?i)^(?:the |draw the |mark the )?other end (?:point )?of the diameter (?:from|through|at|starting at) (?-i:([A-Z]))\b",
        r"the antipode of \1",
    ),
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
        rf"(?i)^(?:let )?(?-i:([A-Z]{{2}})) (?:is|be) (?:a|the) chord of (the circle|(?:circle )?(?-i:[a-z])),? (?:of length )?"
        rf"(?:(?:which|that) is )?({SIZE})(?: long)?(?=[ .!]*$)",
        r"draw the chord \1 of length \3 of \2",
    ),
    (
        r"(?i)\bcircle with (?:the |a )?cent(?:re|er) (?:in|at|on) (?-i:([A-Z])) and (?:which|that|what) (?=(?:goes|passes|touches)\b)",
        r"circle with centre \1 which ",
    ),
    (r"(?i)\b(?:central|inscribed) angle (?=(?-i:[A-Z]{3})\b)", "angle "),
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
)
