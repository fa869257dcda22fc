"""Idioms of English for what belongs to a circle: tangents and where they touch, chords, diameters, arcs, angles in it.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import SIZE, Idioms


def _touching_point(found: re.Match[str]) -> str:
    """ "D is the point where the incircle touches BC": what touches what, and where."""
    before = found[1] if re.search(r"\blet $|^$", found[1], re.IGNORECASE) is None else found[1][: -len("let ")]
    return f"{before}let {found[3]} touch {found[4]} at {found[2]}"


#: Ways of saying what belongs to a circle, by how they are read.
OF_TANGENTS: Idioms = (
    (
        r"(?i)^(?:mark |label |let )?(?:the )?points (?-i:([A-Z], [A-Z],? and [A-Z])),? (?:where|in which|at which) (the incircle|the "
        r"circle|it|(?-i:[a-z])) "
        r"touches (?:the )?(?:sides )?(?-i:([A-Z]{2}, [A-Z]{2},? and [A-Z]{2}))(?: respectively)?(?=[ .!]*$)",
        r"\2 touches \3 at \1",
    ),
    (
        r"(?i)\b(a|one|any) (?:straight )?line (?:that |which )?(?:touches|touching|is tangent to|tangent to) "
        r"(?=(?:it|the circle|(?-i:[a-z]))(?=[ .,!]*$))",
        r"\1 tangent to ",
    ),
    (
        r"(?i)^(?:draw )?(?:an? )?chord (of (?:length )?\d\S*(?: ?[cm]?m)?) (?:is drawn |drawn )?in(?:side)? a (circle (?:of|with) (?:a "
        r")?(?:radius|diameter) "
        r"(?:of )?\d\S*(?: ?[cm]?m)?)(?=[ .!]*$)",
        r"draw a \2 and draw a chord \1 in it",
    ),
    (
        r"(?i)\b(?:two (?:of its )?)?radii (?-i:([A-Z])([A-Z]) and (\1[A-Z])) (?:(?:which|that) are )?(?:at right angles|perpendicular)"
        r"(?: to (?:each other|one another))?(?=[ .!]*$)",
        r"perpendicular radii \1\2 and \3",
    ),
    (
        r"(?i)\b((?:the |both )?tangents from (?-i:[A-Z])(?: to (?:the circle|(?-i:[a-z])))?),? and (?:call|label|name|mark) (?:the "
        r")?(?:points "
        r"(?:where|in which|at which) they touch(?: the circle| it)?|(?:the |their )?(?:touching|contact|tangent) points|(?:the |their )?"
        r"points of (?:contact|tangency|touching)) (?-i:([A-Z])) and (?-i:([A-Z]))(?=[ .!]*$)",
        r"\1 touching the circle at \2 and \3",
    ),
    (
        r"^((?:.* )?)([A-Z]) (?:be |is )?the point (?:where|at which|in which) ((?:the )?[a-z -]+?|[a-z]) (?:touches|is tangent to|meets) "
        r"((?:the )?(?:side |line )?\w+)(?=[ .!]*$)",
        _touching_point,
    ),
    (
        r"(?i)^((?:let |draw |suppose )?(?-i:.*\b([A-Z]{3})\b.*?)),? (?:with|whose|and its|and let its) (?:an |the |its "
        r")?(incircle|inscribed circle) (?:touching|touches|touch|tangent to|meeting|meets) (.+) at (?=(?-i:[A-Z]))",
        r"\1 and let the \3 of \2 touch \4 at ",
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
        r"(?i)\b(midpoint|mid-point|middle) of (?:the )?(?:(minor|major) )?arc (?-i:([A-Z]{2})) of the circumcircle"
        r"(?: of (?:triangle )?(?-i:[A-Z]{3}))?(?= not| that| which| cont|[ .!]*$)",
        lambda found: f"{found[1]} of the {found[2] + ' ' if found[2] else ''}arc {found[3]}",
    ),
    (r"(?i)\btangent lines?\b(?= (?:from|to|at))", lambda found: "tangents" if found[0].lower().endswith("s") else "tangent"),
    (r"(?i)\btan (?=lines?\b)", "tangent "),
    (r"(?i)\bwith (an? (?:diameter|radius|chord|tangent))(?: drawn(?: in)?)?(?=[ .!]*$)", r"and \1 of it"),
    (
        r"(?i)^from (?:an? (?:external|exterior|outside) point )?([A-Z]) (?:the )?two tangents ([A-Z]{2}) "
        r"and ([A-Z]{2}) are (?:drawn|constructed)(?: to .+?)?(?=[ .!]*$)",
        r"draw the tangents \2 and \3 from \1",
    ),
    (
        r"\b(?:(?:that|which) has|with|having) ([A-Z]{2}) as (?:(?:its|a|an|the|one) )?(diameter|radius|hypotenuse|diagonal)\b",
        r"with \2 \1",
    ),
    (r"(?i)\b(?:standing|that stands|which stands|subtended by) (?:on )?(?=(?:the )?(?:arc|chord)\b)", "on "),
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
    (
        r"(?i)^(?:draw |construct )?(?:the )?(?:two )?tangents from ([A-Z])(?: to (?:the circle|[a-z]))?,? (?:touching|which touch|that "
        r"touch|meeting|and let them touch) (?:it|the circle|[a-z]) (?:at|in) ([A-Z]) and ([A-Z])\b",
        r"from \1 draw the two tangents \1\2 and \1\3",
    ),
    (r"(?i)\bangle (?:at|in) the (?:centre|center|circumference|circle) (?=[A-Z]{3}\b)", "angle "),
    (
        r"(?i)\bthe point (?:that is |which is )?(?:diametrically )?opposite (?:to )?([A-Z])(?: on (?:the circle|it|[a-z]))?(?=[ "
        r".!]*$)",
        r"the antipode of \1",
    ),
    (
        r"^(?:[Dd]raw|[Mm]easure|[Ss]how) the angle subtended by (?:the )?(?:arc |chord )?([A-Z])([A-Z]) at (?:a |the )?(?:point "
        r")?([A-Z]) (?:of|on) (the circle|[a-z])\b",
        r"let \3 be a point on \4 and measure angle \1\3\2",
    ),
    (
        r"(?i)^(?:(?:draw|measure|show|find|what is) )?(?:the )?angle (?:(?:which is |that is )?subtended by )?(?:the )?(?:arc |chord "
        r"|side |segment )?(?-i:([A-Z])([A-Z])) (?:subtends )?at (?:the )?(?:point )?(?-i:([A-Z]))\b",
        r"measure angle \1\3\2",
    ),
    (
        r"(?i)\b(?:the )?points? (?:where|at which|in which) the (incircle|inscribed circle) (?:touches|meets) (?:the |its )?sides\b",
        "the contacts of the incircle",
    ),
    (r"(?i)\bnormal at (?:the )?(?:point )?(?-i:([A-Z]))(?=[ .!]*$)", r"normal to the circle at \1"),
    (r"(?i)\bnormal to (the circle|[a-z]) at (?:the )?(?:point )?([A-Z])\b", r"line through \2 and the centre of \1"),
    (r"^(.*)\bchord ([A-Z])([A-Z]) and the tangents at its ends(?=[ .!]*$)", r"\1chord \2\3 and the tangents at \2 and \3"),
    (r"(?i)^show (?:me )?(the|a) (?=(?:chord|secant|tangent|radius to|diameter through)\b)", r"draw \1 "),
    (
        r"(?i)\btangent( to (?:the circle|[a-z]))? (?:touching|which touches|that touches)(?: it| the circle)? (?=at\b|in\b)",
        r"tangent\1 ",
    ),
    (
        r"(?i)\b(circle with cent(?:re|er) (?-i:[A-Z])(?: and radius [^,;]+?)?) and (?:a |the |one |any |its )?chord (?-i:([A-Z]{2}))"
        r"(?=[ .!]*$)",
        r"\1 and draw the chord \2",
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
    (
        r"(?i)^(?:the |draw the |mark the )?other end (?:point )?of the diameter (?:from|through|at|starting at) (?-i:([A-Z]))\b",
        r"the antipode of \1",
    ),
    (
        rf"(?i)^(?:let )?(?-i:([A-Z]{{2}})) (?:is|be) (?:a|the) chord of (the circle|(?:circle )?(?-i:[a-z])),? (?:of length )?"
        rf"(?:(?:which|that) is )?({SIZE})(?: long)?(?=[ .!]*$)",
        r"draw the chord \1 of length \3 of \2",
    ),
    (r"(?i)\bfrom (?:the|an) (?:external|exterior|outside) point (?=(?-i:[A-Z])\b.*\btangents?\b)", "from "),
    (
        r"(?i)\b(?:the |a )?diameter (?:through|from|at) (?-i:([A-Z])),? and (?:call|label|name|mark) (?:its|the) other end(?: ?point)? "
        r"(?-i:([A-Z]))\b",
        r"the diameter \1\2",
    ),
    (
        r"(?i)^(?:draw |construct |take )?(a (?:secant|line) (?:from|through) (?-i:[A-Z])),? (?:that|which|to) "
        r"(?:meets?|cuts?|crosses|cross|intersects?) (?=.+ (?:at|in) (?-i:[A-Z] and [A-Z])[ .!]*$)",
        r"\1 meets ",
    ),
    (
        r"(?i)\b(tangents from (?-i:[A-Z])(?: to (?:the circle|(?-i:[a-z])))?),? and (?:join|connect) (?:the |their )?(?:points of "
        r"(?:contact|tangency)|(?:touching|contact|tangent) points)(?=[ .!]*$)",
        r"\1 and mark the touching points and join them",
    ),
    (r"(?i)\b(?:central|inscribed) angle (?=(?-i:[A-Z]{3})\b)", "angle "),
    (r"(?i)\bradius (?:which |that )?(?:goes |drawn |running )?to (?=(?-i:[A-Z])\b)", "radius through "),
)
