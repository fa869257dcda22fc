"""Idioms of English that say what a figure has: its things stand there with what they are, and nothing is said to be drawn.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import POLYGON, SIZE, Idioms

_KINDS = r"convex|cyclic|right-angled|right|isosceles|equilateral|scalene|acute|obtuse|regular|tangential"
_IN_CIRCLE = r"chord|tangent|diameter|radius|radii|secant"

#: Ways of saying what is there, by how they are read.
OF_DECLARING: Idioms = (
    # "ABCD convex quadrilateral, P = AC ∩ BD"
    (
        rf"(?i)^(?-i:([A-Z]{{3,6}}))(?: is|:)? (?:an? )?((?:(?:{_KINDS}) )*(?:{POLYGON})), (?=(?-i:[A-Z]) (?:=|∈|is|on)|"
        rf"(?-i:[A-Z]{{2}}) ∩)",
        r"draw the \2 \1 and let ",
    ),
    (r"\blet ([A-Z]) = ([A-Z]{2}|[a-z]) ∩ ([A-Z]{2}|[a-z])(?=[ .!]*$|,| and\b)", r"let \2 meet \3 at \1"),
    # What a circle has, after "with": "a circle with two chords AB and CD".
    (
        rf"(?i)^((?:draw |construct |make |let there be |given )?an? circle(?: (?-i:[a-z]))?(?: with cent(?:re|er) (?-i:[A-Z])"
        rf"|,? cent(?:re|er) (?-i:[A-Z]))?(?: and radius {SIZE})?),? (?:with|and|having|which has|that has) "
        rf"((?:an?|one|two|three|the|some) )?((?:perpendicular |parallel |equal )?(?:{_IN_CIRCLE})s?)"
        r"((?-i: [A-Z]{2}(?:(?:, [A-Z]{2})*,? and [A-Z]{2})?)?)(?=[ .!]*$)",
        lambda found: (
            f"{found[1]} and {(found[2] or ('' if found[3].lower().endswith(('s', 'ii')) else 'a ')).replace('the ', '')}"
            f"{found[3]}{found[4]}" + ("" if found[4] else " of it")
            if not (found[3].lower() in ("radius", "diameter") and found[4])
            else found[0]
        ),
    ),
    (
        r"(?i)^((?:draw |given |let there be )?an? circle(?: with cent(?:re|er) (?-i:[A-Z]))?) and (?:two )?tangents (?-i:([A-Z]{2}) and "
        r"([A-Z]{2}))(?=[ .!]*$)",
        r"\2 and \3 are tangents to \1",
    ),
    (
        r"(?i)^(?:draw )?(?:the |two )?tangents (?-i:([A-Z]{2}) and ([A-Z]{2})) ((?:to|of) (?:a|the) circle.*|(?:to|of) (?-i:[a-z]))$",
        r"\1 and \2 are tangents \3",
    ),
    (
        r"(?i)^((?:draw |let |two |the )*)((?:perpendicular |equal )?)radii (?-i:([A-Z])([A-Z]) and \3([A-Z])) of a circle(?! with)",
        r"\1\2radii \3\4 and \3\5 of a circle with centre \3",
    ),
    (
        r"^([A-Z])([A-Z]) and \1([A-Z]) are ((?:two )?)radii of a circle(?=[ .!]*$)",
        r"\1\2 and \1\3 are \4radii of a circle with centre \1",
    ),
    # A circle that is spoken of before it is there.
    (
        r"(?i)^(?-i:([A-Z])) is the cent(?:re|er) of (?:the|a) circle,? (?:and|with) (?-i:([A-Z]{2})) (?:is )?(?:a|the|"
        r"any) (diameter|chord|"
        r"radius)(?=[ .!]*$)",
        lambda found: (
            f"{found[2]} is a {found[3]} of a circle with centre {found[1]}"
            if found[3].lower() != "diameter"
            else f"draw a circle with centre {found[1]} and let {found[2]} be a diameter"
        ),
    ),
    (
        r"(?i)^(?-i:([A-Z])([A-Z])) is a tangent (?:from (?-i:\1) )?to (?:a|the) circle,? (?:with )?cent(?:re|er) "
        r"(?-i:([A-Z])),? (?:touching "
        r"it|which it touches|meeting it|touching the circle|and touches it) at (?-i:\2)(?=[ .!]*$)",
        r"draw a circle with centre \3 and draw the tangent \1\2",
    ),
    (
        r"(?i)^two chords (?-i:([A-Z]{2}),? (?:and )?([A-Z]{2})) of (?:a|one|the same) circle,? (?:meet|intersect|cross|"
        r"cut(?: each other)?|"
        r"intersect each other) (?:at|in) (?:a point )?(?=(?-i:[A-Z])\b)",
        r"\1 and \2 are chords of a circle and let \1 meet \2 at ",
    ),
    # Parallels and what crosses them.
    (
        r"(?i)^(?:let )?(?-i:([A-Z]{2}) and ([A-Z]{2})) (?:are|be) (?:two )?parallel lines?,? (?:which are |that are )"
        r"?(?:cut|crossed|met) by "
        r"(?:a transversal|a third line|another line)(?=[ .!]*$)",
        r"\1 and \2 are parallel lines and draw a transversal",
    ),
    (
        r"^([A-Z]{2}) (?:∥|\|\||//|is parallel to) ([A-Z]{2}),? (?:and|with) ([A-Z]{2}|[a-z]) (?:is )?(?:a|the) transversal(?=[ .!]*$)",
        r"\1 and \2 are parallel lines and \3 is a transversal",
    ),
    (
        r"(?i)^((?:draw )?)((?:two )?)parallel lines (?-i:([A-Z]{2}|[a-z]) and ([A-Z]{2}|[a-z])),? (?:are )?(?:cut|"
        r"crossed|met|intersected) by "
        r"(?:a |the )?(?:transversal|line|third line) (?-i:([A-Z]{2}|[a-z]))(?=[ .!]*$)",
        r"\3 and \4 are parallel lines and \5 is a transversal",
    ),
    (
        r"(?i)^((?:draw )?(?:two )?)(?:straight )?lines (?-i:([A-Z]{2}|[a-z]) and ([A-Z]{2}|[a-z])) (?:that are |which are )?"
        r"(parallel|perpendicular)(?: to each other| to one another)?(?=[ .!]*$)",
        r"\1\4 lines \2 and \3",
    ),
    (
        r"(?i)\b(trapezium|trapezoid)((?-i: [A-Z]{4})?) with (?:the |its )?parallel (?:sides|edges) (?-i:([A-Z])([A-Z]) "
        r"and ([A-Z])([A-Z]))",
        lambda found: f"{found[1]}{found[2] or ' ' + ''.join(found.group(3, 4, 5, 6))} with {found[3]}{found[4]} ∥ {found[5]}{found[6]}",
    ),
    # "A line parallel to BC cuts AB at its midpoint", "… cuts AB at P and AC at Q".
    (
        r"(?i)^an? (?:straight )?line (parallel|perpendicular) to (?-i:([A-Z]{2}|[a-z])) (?:cuts|meets|crosses|intersects) (?:side )?"
        r"(?-i:([A-Z]{2}|[a-z])) (?:at|in) its midpoint(?=[ .!]*$)",
        r"draw the \1 to \2 through the midpoint of \3",
    ),
    (
        r"(?i)^an? (?:straight )?line (parallel|perpendicular) to (?-i:([A-Z]{2}|[a-z])) (?:cuts|meets|crosses|intersects) (?:side )?"
        r"(?-i:([A-Z]{2}|[a-z])) (?:at|in) (?-i:([A-Z]))(?:,? and (?:side )?(?-i:([A-Z]{2}|[a-z])) (?:at|in) (?-i:([A-Z])))?(?=[ .!]*$)",
        lambda found: (
            f"let {found[4]} be a point on {found[3]} and draw the {found[1]} to {found[2]} through {found[4]}"
            + (f" meeting {found[5]} at {found[6]}" if found[5] else "")
        ),
    ),
    (
        r"^([A-Z]) ?∈ ?([A-Z]{2}|[a-z]),? (?:with |and )?(?:\1([A-Z])|([A-Z])\1) ?⊥ ?\2(?=[ .!]*$)",
        lambda found: f"let {found[1]} be the foot of the perpendicular from {found[3] or found[4]} to {found[2]}",
    ),
    (
        r"(?i)^(?:let |suppose )?(?-i:([A-Z])) (?:vary|varies|move|moves|run|runs|run round|travel|travels) (?:on|along|"
        r"round|around|over) (?=\S)",
        r"let \1 be a point on ",
    ),
    (
        r"^([A-Z]) ?∈ ?([A-Z])([A-Z]),? (?:with |and )?(?:\2\1 ?: ?\1\3|\2\1 ?/ ?\1\3) ?= ?(\d+) ?[:/] ?(\d+)(?=[ .!]*$)",
        r"let \1 be the point on \2\3 with \2\1 : \1\3 = \4 : \5",
    ),
    (
        r"(?i)^(?:draw |let there be )?(?:two )?circles (?:with|,) cent(?:re|er)s (?-i:([A-Z]) and ([A-Z])),? (?:touch|"
        r"touching|that touch|which touch|are tangent|tangent)"
        r"(?: each other| one another)?( externally)?(?: at (?-i:([A-Z])))?(?=[ .!]*$)",
        lambda found: (
            f"draw the segment {found[1]}{found[2]} and let {found[4] or 'T'} be a point on {found[1]}{found[2]} and "
            f"draw the circle with centre "
            f"{found[1]} through {found[4] or 'T'} and the circle with centre {found[2]} through {found[4] or 'T'}"
        ),
    ),
    (
        rf"(?i)^(?:draw )?(?:two )?circles (?:of|with) radii ({SIZE}) and ({SIZE}),? (?:which |that )?(?:touch|touching|"
        rf"are tangent)(?: each other| one another)?(?: externally)?(?=[ .!]*$)",
        r"draw a circle with radius \1 and draw a circle with radius \2 touching it",
    ),
    (
        r"(?i)^from (?:a|the|any) (?:external )?point (?-i:([A-Z])) (?:outside|external to) (?:a|the) circle,? (?:with )"
        r"?cent(?:re|er) (?-i:([A-Z])),? (?:two )?"
        r"tangents (?-i:([A-Z]{2}),? (?:and )?([A-Z]{2})) are drawn(?: to (?:it|the circle))?(?=[ .!]*$)",
        r"draw a circle with centre \2 and let \1 be a point outside it and draw the tangents \3 and \4",
    ),
    (
        rf"(?i)^in (?:the |an? )((?:(?:{_KINDS}) )+(?:{POLYGON})) (?-i:([A-Z]{{3,6}})),? (?=let\b|the (?:diagonals|medians|altitudes)\b)",
        r"draw the \1 \2 and ",
    ),
    (
        r"(?i)\b(an? )?(?:arbitrary |any )?point (?-i:([A-Z])) and (?:a |any )?line (?-i:([a-z])) not (?:through|"
        r"passing through|containing|going through) "
        r"(?:it|(?-i:\2))",
        r"a line \3 and a point \2 not on it",
    ),
    (
        rf"(?i)^(?:let )?(?-i:([A-Z])) (?:be|is) the ({POLYGON}) with (?:vertices|corners) (?=\()",
        r"draw the \2 with corners ",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z]) and ([A-Z])) (?:are|be|lie)(?: (?:two )?points)? on (?:the )?(?:sides |lines )"
        r"?(?-i:([A-Z]{2}) and ([A-Z]{2}))(?: respectively)?,? (?:such|so) that (?:the line )?"
        r"(?-i:(?:\1\2|\2\1)) (?:is parallel to|∥|\|\||is perpendicular to|⊥) (?-i:([A-Z]{2}|[a-z]))(?=[ .!]*$)",
        lambda found: (
            f"let {found[1]} be a point on {found[3]} and let the {'perpendicular' if re.search('perp|⊥', found[0]) else 'parallel'} to "
            f"{found[5]} through {found[1]} meet {found[4]} at {found[2]}"
        ),
    ),
    (
        r"(?i)^on (?:the )?(?:sides? )?(?-i:([A-Z]{2}(?:, [A-Z]{2})*,? and [A-Z]{2})),? (squares|equilateral triangles|"
        r"semicircles) (?:are |be )?(?:described|drawn|constructed|erected) "
        r"(outwards|outwardly|externally|inwards|inwardly|internally)(?=[ .!]*$)",
        lambda found: f"draw {found[2]} {'internally' if found[3].lower().startswith('in') else 'externally'} on the sides {found[1]}",
    ),
    (
        r"(?i)\b(?-i:([A-Z])) (?:the )?(?:touch[- ]?point|contact point|point of contact|tangency point) (?:of the "
        r"incircle )?(?:on|with) (?:side )?(?=(?-i:[A-Z]{2}))",
        r"\1 the touching point of the incircle on ",
    ),
    (
        r"(?i)^(?:a |the )?(?:straight )?(?:line|segment)? ?(?-i:([A-Z]{2})) is (?:bisected|halved) (?:at|by|in) (?:the "
        r"point )?(?-i:([A-Z]))(?=[ .!]*$)",
        r"let \2 be the midpoint of \1",
    ),
    (r"(?i)\btriangle (?-i:([A-Z]{3})) (?:∠|angle ) ?(?-i:([A-Z])) ?= ?", r"triangle \1 with angle \2 = "),
    (
        r"(?i)^(?:△ ?|triangle )?(?-i:([A-Z]{3})),? right[- ]?(?:angled )?at (?-i:([A-Z])),? (?:and |with )"
        r"?(?-i:([A-Z]{2})) (?:is )?(?:the |an )?(altitude|median|bisector)(?=[ .!]*$)",
        r"draw the triangle \1 right-angled at \2 with \4 \3",
    ),
    (
        r"(?i)^let (?-i:([A-Z]{2}|[a-z]) and ([A-Z]{2}|[a-z])) meet (?:at|in) (?-i:([A-Z])),? (?:and )?(?-i:([A-Z]{2}|"
        r"[a-z]) and ([A-Z]{2}|[a-z])) (?:meet )?(?:at|in) (?-i:([A-Z]))(?=[ .!]*$)",
        r"let \1 and \2 meet at \3 and let \4 and \5 meet at \6",
    ),
    (
        r"(?i)^let the (midpoints of (?-i:[A-Z]{2}(?:, [A-Z]{2})*,? and [A-Z]{2})) be (?-i:([A-Z](?:, [A-Z])*,? and [A-Z]))(?=[ .!]*$)",
        r"\2 are the \1",
    ),
    (
        r"^([a-z]) (∥|\|\||//|⊥) ([a-z])(?=[ .!]*$)",
        lambda found: f"{found[1]} and {found[3]} are {'perpendicular' if found[2] == '⊥' else 'parallel'} lines",
    ),
    (r"^[Ii]n (?:△|Δ) ?(?=[A-Z]{3})", "In triangle "),
    (
        r"(?i)^(?:the |a )?triangle (?-i:([A-Z]{3})) is inscribed in (?:a|the) circle(?: with|,)? (?:of )?cent(?:re|er) "
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"draw the triangle \1 and draw its circumcircle and let \2 be the circumcentre of \1",
    ),
    (
        r"(?i)\b(?-i:([A-Z])([A-Z])([A-Z])) is (?:a|the) diameter of (?:a|the) circle\b(?! with)",
        r"\1\3 is a diameter of a circle with centre \2",
    ),
    (r"(?i)\blet (?-i:([A-Z])([A-Z])) be (?:the|a) diameter (?:through|from) (?-i:(?:\1|\2))(?=[ .!]*$)", r"let \1\2 be a diameter"),
    (r"(?i)\barc (?-i:([A-Z])([A-Z])([A-Z]))(?=[ .!]*$|,| and\b)", r"arc \1\3 containing \2"),
    (
        rf"^([A-Z])([A-Z]) ?= ?({SIZE}), ?(?:∠ ?|angle )\1 ?= ?(\d+(?:\.\d+)?) ?(?:°|degrees)?,? (?:and )?(?:\1([A-Z])|"
        rf"([A-Z])\1) ?= ?({SIZE})(?=[ .!]*$)",
        lambda found: (
            f"draw the triangle {found[1]}{found[2]}{found[5] or found[6]} with {found[1]}{found[2]} = {found[3]}, "
            f"angle {found[1]} = {found[4]} and {found[1]}{found[5] or found[6]} = {found[7]}"
        ),
    ),
)
