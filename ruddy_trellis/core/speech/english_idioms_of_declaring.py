"""Idioms of English that say what a figure has: its things stand there with what they are, and nothing is said to be drawn.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import OF_A_SORT, POLYGON, SIZE, Idioms

_WAY = r"(?: externally| internally| from outside| from inside)?"
_IN_CIRCLE = r"chord|tangent|diameter|radius|radii|secant"


def _circle_that_has(found: re.Match[str]) -> str:
    """A circle, and then what it has; its centre is what its radii have in common."""
    circle, centre, radius, many, what, names = found.groups("")
    if what.lower() in ("radius", "diameter") and names:
        return found[0]
    pairs = re.findall("[A-Z]{2}", names)
    shared = set(pairs[0]).intersection(*pairs) if pairs and what.lower().endswith("radii") else set()
    if len(shared) == 1 and not centre:
        centre = f" with centre {shared.pop()}"
    if not many and not what.lower().endswith(("s", "ii")):
        many = "a "
    return f"{circle}{centre}{radius} and {many.replace('the ', '')}{what}{names}{'' if names else ' of it'}"


def _touching_circles(found: re.Match[str]) -> str:
    """Circles that touch: what they are called, their centres, from which side, and where."""
    names, centres, before, place, after = found.groups("")
    with_centres = f" with centres {centres[-7:]}" if centres else ""
    return f"draw two touching circles{names}{before or after}{with_centres}{_through(place)}"


def _through(place: str) -> str:
    """ "at T" as what both circles go through."""
    return f" through {place[-1]}" if place else ""


def _triangle_of_facts(found: re.Match[str]) -> str:
    """Sizes of sides and angles of three points are those of a triangle, where there are three of them, or an angle is among them."""
    letters = "".join(dict.fromkeys(re.findall("[A-Z]", re.sub("angle", "", found[1]))))
    sides = re.findall(r"\b[A-Z]{2}(?= ?=)", found[1])
    count = found[1].count("=")
    if count == 3 and len(letters) == 2 and len(sides) == 1:
        # "BC = 5, ∠B = 40°, ∠C = 60°": the third corner is the one that is missing.
        letters += (
            next((letter for letter in "ABC" if letter not in letters), "") if set(letters) <= set("ABC") else chr(ord(max(letters)) + 1)
        )
    if len(letters) != 3 or not sides or (count < 3 and len(sides) == count):
        return found[0]
    said = re.sub(r"∠ ?", "angle ", found[1])
    return f"draw the triangle {letters} with {said}"


def _marked_off(found: re.Match[str]) -> str:
    """A length that is marked off on a line from one of its ends: its other end is new."""
    start, end = (found[2], found[3]) if found[2] in found[1] else (found[3], found[2])
    return f"mark the point {end} on {found[1]} with {start}{end} = "


#: Ways of saying what is there, by how they are read.
OF_DECLARING: Idioms = (
    # "ABCD convex quadrilateral, P = AC ∩ BD"
    (
        rf"(?i)^(?-i:([A-Z]{{3,6}}))(?: is|:)? (?:an? )?((?:(?:{OF_A_SORT}) )*(?:{POLYGON})), (?=(?-i:[A-Z]) (?:=|∈|is|on)|"
        rf"(?-i:[A-Z]{{2}}) ∩)",
        r"draw the \2 \1 and let ",
    ),
    (r"\blet ([A-Z]) = ([A-Z]{2}|[a-z]) ∩ ([A-Z]{2}|[a-z])(?=[ .!]*$|,| and\b)", r"let \2 meet \3 at \1"),
    # What a circle has, after "with": "a circle with two chords AB and CD".
    (
        rf"(?i)^((?:draw |construct |make |let there be |given )?(?:an? )?circle(?: (?-i:[a-z]))?)((?: with cent(?:re|er) (?-i:[A-Z])"
        rf"|,? cent(?:re|er) (?-i:[A-Z]))?)((?: and radius {SIZE})?),? (?:with|and|having|which has|that has) "
        rf"((?:an?|one|two|three|the|some) )?((?:perpendicular |parallel |equal )?(?:{_IN_CIRCLE})s?)"
        r"((?-i: [A-Z]{2}(?:(?:, [A-Z]{2})*,? and [A-Z]{2})?)?)(?=[ .!]*$)",
        _circle_that_has,
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
        r"(?i)^(?-i:([A-Z])) is the cent(?:re|er) of (?:the|a) circle,? (?:and|with) (?-i:([A-Z]{2})) (?:is )?(?:a|the|any) "
        r"(diameter|chord|radius)(?=[ .!]*$)",
        lambda found: (
            f"{found[2]} is a {found[3]} of a circle with centre {found[1]}"
            if found[3].lower() != "diameter"
            else f"draw a circle with centre {found[1]} and let {found[2]} be a diameter"
        ),
    ),
    (
        r"(?i)^(?-i:([A-Z])([A-Z])) is a tangent (?:from (?-i:\1) )?to (?:a|the) circle,? (?:with )?cent(?:re|er) (?-i:([A-Z])),? "
        r"(?:touching it|which it touches|meeting it|touching the circle|and touches it) at (?-i:\2)(?=[ .!]*$)",
        r"draw a circle with centre \3 and draw the tangent \1\2",
    ),
    (
        r"(?i)^two chords (?-i:([A-Z]{2}),? (?:and )?([A-Z]{2})) of (?:a|one|the same) circle,? (?:meet|intersect|cross|cut(?: each "
        r"other)?|intersect each other) (?:at|in) (?:a point )?(?=(?-i:[A-Z])\b)",
        r"\1 and \2 are chords of a circle and let \1 meet \2 at ",
    ),
    # Parallels and what crosses them.
    (
        r"(?i)^(?:let )?(?-i:([A-Z]{2}) and ([A-Z]{2})) (?:are|be) (?:two )?parallel lines?,? (?:which are |that are )?"
        r"(?:cut|crossed|met) by (?:a transversal|a third line|another line)(?=[ .!]*$)",
        r"\1 and \2 are parallel lines and draw a transversal",
    ),
    (
        r"^([A-Z]{2}) (?:∥|\|\||//|is parallel to) ([A-Z]{2}),? (?:and|with) ([A-Z]{2}|[a-z]) (?:is )?(?:a|the) transversal(?=[ .!]*$)",
        r"\1 and \2 are parallel lines and \3 is a transversal",
    ),
    (
        r"(?i)^((?:draw )?)((?:two )?)parallel lines (?-i:([A-Z]{2}|[a-z]) and ([A-Z]{2}|[a-z])),? (?:are )?"
        r"(?:cut|crossed|met|intersected) by (?:a |the )?(?:transversal|line|third line) (?-i:([A-Z]{2}|[a-z]))(?=[ .!]*$)",
        r"\3 and \4 are parallel lines and \5 is a transversal",
    ),
    (
        r"(?i)^((?:draw )?(?:two )?)(?:straight )?lines (?-i:([A-Z]{2}|[a-z]) and ([A-Z]{2}|[a-z])) (?:that are |which are )?"
        r"(parallel|perpendicular)(?: to each other| to one another)?(?=[ .!]*$)",
        r"\1\4 lines \2 and \3",
    ),
    (
        r"(?i)^(?:the )?((?:straight )?lines|segments|line segments|rays|chords|diameters|vectors) "
        r"(?-i:([A-Z]{2}|[a-z]) and ([A-Z]{2}|[a-z])) are (parallel|perpendicular|equal)"
        r"(?: to each other| to one another| in length)?(?=[ .!]*$)",
        r"\2 and \3 are \4 \1",
    ),
    (
        r"(?i)\b(the|an?|draw|construct) tangent to (the circle|(?-i:[a-z])) at (?-i:([A-Z]))(?=[ .!]*$)",
        r"\1 tangent at \3 to \2",
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
        rf"(?i)^(?:draw |construct |let there be |let |given )?(?:the |two )?circles((?: (?-i:[a-z] and [a-z]))?)((?:(?: with|,|,? having) "
        r"cent(?:re|er)s (?-i:[A-Z] and [A-Z]))?),? (?:(?:which |that )?(?:touch|touching|are tangent|tangent))(?: to)?"
        rf"(?: each other| one another)?({_WAY}),?((?: (?:at|in) (?:the point |a point )?(?-i:[A-Z]))?)({_WAY})(?=[ .!]*$)",
        _touching_circles,
    ),
    (
        rf"(?i)^(?:draw |construct |let there be |given )?two (?:touching|tangent) circles({_WAY})((?: (?:at|in) (?-i:[A-Z]))?)(?=[ .!]*$)",
        lambda found: f"draw two touching circles{found[1]}{_through(found[2])}",
    ),
    (
        rf"(?i)^(?:draw )?(?:two )?circles (?:of|with) radii ({SIZE}) and ({SIZE}),? (?:which |that )?(?:touch|touching|"
        rf"are tangent)(?: each other| one another)?(?: externally)?(?=[ .!]*$)",
        r"draw a circle with radius \1 and draw a circle with radius \2 touching it",
    ),
    (
        r"(?i)^from (?:a|the|any) (?:external )?point (?-i:([A-Z])) (?:outside|external to) (?:a|the) circle,? (?:with )?cent(?:re|er) "
        r"(?-i:([A-Z])),? (?:two )?tangents (?-i:([A-Z]{2}),? (?:and )?([A-Z]{2})) are drawn(?: to (?:it|the circle))?(?=[ .!]*$)",
        r"draw a circle with centre \2 and let \1 be a point outside it and draw the tangents \3 and \4",
    ),
    (
        r"(?i)\b(an? )?(?:arbitrary |any )?point (?-i:([A-Z])) and (?:a |any )?line (?-i:([a-z])) not (?:through|passing "
        r"through|containing|going through) (?:it|(?-i:\2))",
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
        r"(?i)^let (?-i:([A-Z]{3})) be (acute|obtuse|isosceles|equilateral|scalene|right-angled)(?= with\b|,|[ .!]*$)",
        r"let \1 be a \2 triangle",
    ),
    (rf"(?i)\b((?:{POLYGON})), (?-i:([A-Z]{{3,6}})),? (?=(?:with|where|in which|such that|having)\b)", r"\1 \2 "),
    (r"(?i)\b(?-i:([A-Z]{2})) (?:is )?(?:the same|as long) as (?-i:([A-Z]{2}))(?=[ ,.!]|$)", r"\1 = \2"),
    (r"(?i)\bright (trapezium|trapezoid)((?-i: [A-Z]{4})?)(?= with (?:the )?right angles?\b)", r"\1\2"),
    # What is said of three points: "AB = 4, AC = 3, ∠A = 90°".
    (
        rf"^((?:[A-Z]{{2}} ?= ?{SIZE}|(?:∠ ?|angle )[A-Z]{{1,3}} ?= ?\d[\d.]* ?°?)(?:(?:,|;| and|, and) "
        rf"(?:[A-Z]{{2}} ?= ?{SIZE}|(?:∠ ?|angle )[A-Z]{{1,3}} ?= ?\d[\d.]* ?°?)){{1,2}})(?=[ .!]*$)",
        _triangle_of_facts,
    ),
    (
        r"(?i)\brhombus((?-i: [A-Z]{4})?) (?:whose|with) (?:the )?diagonals (?-i:([A-Z]{2}) and ([A-Z]{2})) (?:are|of|being|=) "
        rf"({SIZE}) and ({SIZE})",
        r"rhombus\1 with \2 = \4 and \3 = \5",
    ),
    (r"\b([A-Z]) = ([A-Z]{2}|[a-z]) ∩ ([A-Z]{2}|[a-z])(?=,? where\b)", r"let \2 meet \3 at \1"),
    (r"^([a-z]) ⊥ ([A-Z]{2}|[a-z]), ([A-Z]) ∈ \1(?=[ .!]*$)", r"let \1 be the perpendicular to \2 through \3"),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])(?:,| and) ([A-Z])) (?:are|be) points on (?-i:([A-Z]{2}) and ([A-Z]{2}))(?: respectively)?,? "
        r"(?:with|such that|so that) (?-i:([A-Z])\1 ?= ?(\5\2|\2\5))(?=[ .!]*$)",
        r"let \1 be a point on \3 and let \2 be the point on \4 with \5\2 = \5\1",
    ),
    (
        r"(?i)^on (?-i:([A-Z]{2})),? (?:mark|cut|set|measure) off (?:the )?(?:segment |length )?(?-i:([A-Z])([A-Z])) (?:equal to|=) (?=\S)",
        _marked_off,
    ),
)
