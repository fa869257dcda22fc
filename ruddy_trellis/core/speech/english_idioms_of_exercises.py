"""Idioms of English in exercises and in old books: what is given, what is to be constructed, and what is done with what was drawn before.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import Idioms


def _chord_by_an_angle(found: re.Match[str]) -> str:
    """A chord by its angle at the centre, or by that between it and a radius: the triangle on it is isosceles."""
    one, other, centre, angle = found[1], found[2], found[3], float(found[5])
    turn = angle if found[4][1] == centre else 180 - 2 * angle
    return (
        f"draw a circle with centre {centre} and let {one} be a point on the circle and let {other} be the image of {one} under "
        f"the rotation "
        f"by {turn:g} degrees about {centre} and draw the chord {one}{other}"
    )


def _each_of_one(found: re.Match[str]) -> str:
    """ "let O be the circumcentre and H the orthocentre of ABC": each of them with what it is of."""
    parts = re.findall(r"([A-Z]) (?:be )?the (\w+)", found[1])
    return " and ".join(f"let {name} be the {what} of {found[2]}" for name, what in parts)


def _two_on_one_side(found: re.Match[str]) -> str:
    """Two equilateral triangles on parts of a segment: the base of each is what it has of the segment, and of the other triangle."""
    one, other, segment = found[1], found[2], found[3]
    bases = ["".join(letter for letter in name if letter in segment or letter in rest) for name, rest in ((one, other), (other, one))]
    tops = ["".join(letter for letter in name if letter not in base) for name, base in zip((one, other), bases)]
    if any(len(base) != 2 or len(top) != 1 for base, top in zip(bases, tops)):
        return found[0]
    return (
        f"draw the equilateral triangle {bases[0]}{tops[0]} on {bases[0]} and draw the equilateral triangle {bases[1]}{tops[1]} "
        f"on {bases[1]} "
        f"on the same side of {segment} as {tops[0]}"
    )


#: A part of something, or how many times it, as a number.
_SHARE = {
    "one quarter": "1/4", "a quarter": "1/4", "one third": "1/3", "a third": "1/3", "half": "1/2", "one half": "1/2", "two thirds": "2/3",
    "three quarters": "3/4", "a sixth": "1/6", "one sixth": "1/6", "twice": "2", "double": "2", "three times": "3", "four times": "4",
}  # fmt: skip
#: Ways of writing in exercises, by how they are read.
OF_EXERCISES: Idioms = (
    (
        r"(?i)^((?:prove|show|check|verify|then|hence)(?: that)?,? )(?:the )?((?:area|length|perimeter|radius|angle|∠|"
        r"distance)\b.+?|(?-i:[A-Z]{2})) is (?:equal to |exactly )?"
        r"(one quarter|a quarter|one third|a third|half|one half|two thirds|three quarters|a sixth|one sixth|twice|double|three "
        r"times|four times) "
        r"(?:of |as (?:large|big|long) as )?(?:the )?(?!product|sum|difference)(.+?)(?=[ .!?]*$)",
        lambda found: f"{found[1]}{found[2]} = {_SHARE[found[3].lower()]} * {found[4]}",
    ),
    (r"(?i)\bhalf (?:of )?(?:the )?(?=(?:angle (?-i:[A-Z]{1,3})|∠ ?(?-i:[A-Z]{1,3}))(?=[ .!?]*$))", "1/2 * "),
    (
        r"(?i)\b((?:intersect|meet|cross) (?:at|in) (?:the point )?(?-i:([A-Z]))) inside (?:the circle|"
        r"it)(?=[ .!]*$)",
        r"\1 and let \2 be inside the circle",
    ),
    (
        r"(?i)\b(?:triangles |quadrilaterals |the triangles )?(?-i:([A-Z]{3,4}) and ([A-Z]{3,4})) have (?:equal|the same) (area|"
        r"perimeter)s?(?=[ .!?]*$)",
        r"the \3 of \1 = the \3 of \2",
    ),
    (
        r"(?i)^(?:let )?equilateral triangles (?-i:([A-Z]{3}) and ([A-Z]{3})) (?:are |be )?(?:drawn|constructed|erected|"
        r"described) on the same side of (?-i:([A-Z]{2}))(?=[ .!]*$)",
        _two_on_one_side,
    ),
    (r"(?i)\bby construction(?=[ .!]*$)", ""),
    (r"(?i)^compare the two (?=\w+[ .!]*$)", "measure the two "),
    (r"(?i),? (?:so|such) that they (?:are|do) not (?:all )?(?:lie )?(?:in|on) (?:a|one) (?:straight )?line(?=[ .!]*$)", ""),
    (r"(?i)\b((?:two|three|four|five) points) (?-i:([A-Z](?:, [A-Z])*), ([A-Z]))(?=[ .!]*$)", r"\1 \2 and \3"),
    (
        r"(?i)\b(?:obtuse|acute)(?:-angled)? triangle (?-i:([A-Z]{3})),? with (?:the|its) (obtuse|acute) angle at "
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"triangle \1 with angle \3 \2",
    ),
    (
        r"(?i)^let (?-i:([A-Z]{2}, [A-Z]{2},? and [A-Z]{2})) be (?:the )?(altitudes|medians|angle bisectors) of (?:an?|the) "
        r"((?:[a-z-]+ )?triangle) (?-i:([A-Z]{3}))"
        r"(?:,? with (orthocentre|orthocenter|centroid|incentre|incenter) (?-i:([A-Z])))?(?=[ .!]*$)",
        lambda found: (
            f"let {found[4]} be a {found[3]} and let {found[1]} be the {found[2]}"
            + (f" and let {found[6]} be the {found[5]}" if found[5] else "")
        ),
    ),
    (r"(?i)\b(is|are) (?:taken|chosen|selected) (?=(?:on|in|inside|outside) )", r"\1 "),
    (r"(?i)^(?-i:([A-Z]{2})) is another (altitude|median|diameter|chord|radius|angle bisector)(?=[ .!]*$)", r"draw the \2 \1"),
    (
        r"(?i)^(?-i:([A-Z]{2})) is (?:an|the|a) (altitude|median|angle bisector) (?:of|in) (?:a |the |an )?triangle "
        r"(?-i:([A-Z]{3}))(?=[ .!]*$)",
        r"draw the triangle \3 and draw the \2 \1",
    ),
    (
        r"(?i)^(?-i:([A-Z]{2})) (?:is |when )?(?:produced|extended) (?:meets|cuts|crosses) (.+?) (at|in) "
        r"(?=(?-i:[A-Z])(?![A-Za-z]))",
        r"line \1 meets \2 \3 ",
    ),
    (
        r"(?i)^on (?:side |the side |line )?(?-i:([A-Z]{2})),? (?:mark|take|choose|put|place|plot) (?:a |the )?(?:point "
        r")?(?-i:([A-Z])),? (?:at )?(\d\S*(?: ?[cm]?m)?) from (?-i:([A-Z]))(?=[ .!]*$)",
        r"let \2 be a point on \1 with \4\2 = \3",
    ),
    (
        r"(?i)^let (?-i:([A-Z])) be the cent(?:re|er) and (?-i:([A-Z]{2})) (?:be )?a (diameter|chord|radius) of (?:a|the) "
        r"circle(?=[ .!]*$)",
        r"draw a circle with centre \1 and let \2 be a \3 of it",
    ),
    (
        r"(?i)^(let (?-i:[A-Z]{3,4}) be an? [a-z -]+?),? and (?-i:([A-Z])) a point (?=(?:on|in|inside|outside|of) )",
        r"\1 and let \2 be a point ",
    ),
    (
        r"(?i)^let (?-i:([A-Z])) be (?:a|the) point (?:such|so) that (?:the )?(?:triangle )?(?-i:([A-Z])([A-Z])\1) is an "
        r"equilateral triangle(?: (inside|outside)(?: the \w+| it| (?-i:[A-Z]{3,}))?)?"
        r"(?=[ .!]*$)",
        lambda found: (
            f"draw the equilateral triangle {found[2]}{found[3]}{found[1]} "
            f"{'internally ' if found[4] == 'inside' else 'externally ' if found[4] else ''}on {found[2]}{found[3]}"
        ),
    ),
    (
        r"(?i)^(?:the )?sides (?-i:([A-Z]{2}) and ([A-Z]{2})) of (?:a |the |an )?(quadrilateral|triangle|trapezium) "
        r"(?-i:([A-Z]{3,4})) are (?:equal|of equal length|the same length)(?=[ .!]*$)",
        r"draw the \3 \4 with \1 = \2",
    ),
    (
        r"(?i)^an? line through (?-i:([A-Z])) (meets|cuts|crosses|intersects) (.+?) (at|in) (?-i:([A-Z]) and ([A-Z])),? (?:and "
        r")?another(?: line)?(?: (?:meets|cuts|crosses) it)? (?:at|in) (?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)",
        r"a line through \1 \2 \3 \4 \5 and \6 and another line through \1 \2 \3 \4 \7 and \8",
    ),
    (
        r"(?i)^(?:a|the) (chord|side|diameter) (?-i:([A-Z]{2})) of (a circle.*?|the circle|(?-i:[a-z])) is (?:produced|extended) (?=to\b)",
        r"let \2 be a \1 of \3 and produce \2 ",
    ),
    (r"(?i)^(?-i:([A-Z]{2})) is (?:produced|extended|prolonged) (?=to\b|beyond\b)", r"produce \1 "),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])([A-Z])) (?:is|be) a chord of (?:a|the) circle,? (?:with )?cent(?:re|er) (?-i:([A-Z])),? "
        r"(?:with|such that|so that) "
        r"(?:∠|angle )(?-i:(\1\3\2|\2\3\1|\3\1\2|\2\1\3|\3\2\1|\1\2\3)) ?= ?(\d[\d.]*) ?(?:°|degrees?)?(?=[ .!]*$)",
        _chord_by_an_angle,
    ),
    (
        r"(?i)\blet (?:(?:one |a |the )?side )?(?-i:([A-Z]{2})) be (?:produced|extended|prolonged) to (?=(?-i:[A-Z])(?![A-Za-z]))",
        r"produce \1 to ",
    ),
    (
        r"(?i)^(?:draw )?(?:a |the )?triangle (?:has|with|having) (?:two )?sides (?:of )?(\S+(?: ?[cm]?m)?) and (\S+(?: "
        r"?[cm]?m)?),? (?:with|and) (?:an angle of )?(\d[\d.]*) ?(?:°|degrees?) between them(?=[ .!]*$)",
        r"draw a triangle with sides \1 and \2 and an angle of \3 degrees between them",
    ),
    (
        r"(?i)^(?:draw |construct )?(?:a |the )?triangle (?:given|from) two angles and the (?:included side|side between "
        r"them):? (\d[\d.]*) ?(?:°|degrees?),? (?:and )?(\d[\d.]*) ?(?:°|degrees?),? (?:and )?(\d\S*?(?: ?[cm]?m)?)(?=[ .!]*$)",
        r"draw a triangle with a side of \3 between angles of \1 and \2 degrees",
    ),
    (
        r"(?i)^(?:the )?points? (?-i:([A-Z]) and ([A-Z])) are (\d\S*(?: ?[cm]?m| units?)?) "
        r"apart(?=[ .!]*$)",
        r"draw two points \1 and \2, \3 apart",
    ),
    (
        r"(?i)^(?:find|mark|construct|locate) (?:the |a )?(?:point )?(?-i:([A-Z])) (?:so|such) that (?=(?-i:[A-Z]{4}) "
        r"is an?\b)",
        r"let \1 be a point such that ",
    ),
    (
        r"(?i)\b(?:a |the )?(horizontal|vertical) (?:line|segment) (?-i:([A-Z]{2})),? (\d\S*(?: "
        r"?[cm]?m)?) long\b",
        r"the \1 segment \2 of length \3",
    ),
    (
        r"(?i)^draw (?:a |the )?(?:straight )?line (\d\S*(?: ?[cm]?m)?) long,? and (?:label|call|name|mark) its ends "
        r"(?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)",
        r"draw the segment \2\3 of length \1",
    ),
    (r"(?i)^the arms (?=(?:meet|cross|intersect)\b)", "let them "),
    (
        r"(?i)^measure ((?:the )?(?:angle|length|side|distance|segment) \S+),? and ((?:the )?(?:angle|length|side|distance|"
        r"segment) \S+),? and add (?:them|these|the two)(?: together| up)?(?=[ .!]*$)",
        r"find the sum of \1 and \2",
    ),
    (
        r"(?i)^(?:the )?(?:(?:line )?segments? |lines? )?(?-i:([A-Z]{2})) and (?:(?:line )?(?:segment |line "
        r"))?(?-i:([A-Z])([A-Z])) bisect (?:each other|one another) at (?:the point |a point )?"
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"draw the segment \1 and let \4 be the midpoint of \1 and let \2 be a point and let \3 be the image of \2 under the "
        r"half-turn about \4 and draw the segment \2\3",
    ),
    (
        r"(?i)^(?:the |a )?circle (?-i:([A-Z])) has (?:a|the) (chord|diameter|radius) "
        r"(?-i:([A-Z]{2}))(?=[ .!]*$)",
        r"draw the circle with centre \1 and let \3 be a \2 of it",
    ),
    (
        r"(?i)^(?:a |the )?line (?-i:([a-z])) (?:intersects|cuts|crosses|meets) (?:the )?(?:two )?parallel lines (?-i:([a-z]) "
        r"and ([a-z]))(?=[ .!]*$)",
        r"\2 and \3 are parallel lines and \1 is a transversal",
    ),
    (
        r"(?i)^(?:the |a )?(quadrilateral|triangle|pentagon|hexagon|square|rectangle) (?-i:([A-Z]{3,6})) is inscribed in (a "
        r"circle|the circle|circle (?-i:[a-z]))(?=[ .!]*$)",
        r"draw the \1 \2 inscribed in \3",
    ),
    (
        r"(?i)^(?:a |the )?right[- ](?:angled )?triangle (?-i:([A-Z]{3})) has (?:its|a|the) right angle at (?-i:([A-Z]))(?:,| "
        r"and|, and| with)? (?=(?-i:[A-Z]{2}) ?=|angle|∠)",
        r"draw the triangle \1 right-angled at \2 with ",
    ),
    (
        r"(?i)^(?:two )?tangents (?-i:([A-Z])([A-Z]) and \1([A-Z])) are drawn (?:from (?:an |a |the )?(?:external |outside "
        r")?point (?-i:\1) )?to a circle"
        r"(?: (?:with|of) cent(?:re|er) (?-i:([A-Z])))?(?: from (?:an |a |the )?(?:external |outside )?point (?-i:\1))?(?=[ .!]*$)",
        lambda found: (
            f"draw a circle{f' with centre {found[4]}' if found[4] else ''} and let {found[1]} be a point outside it and draw the tangents "
            f"{found[1]}{found[2]} and {found[1]}{found[3]} from {found[1]} to it"
        ),
    ),
    (r"(?i)^let (?-i:([A-Z]{2})) be (?:the|a) (?:given )?(?:finite )?(?:straight line|segment)(?=[ .!]*$)", r"draw the segment \1"),
    (
        r"(?i)^(?:again,? )?with cent(?:re|er) (?-i:([A-Z])) and (?:distance|interval|radius) (?-i:(?:\1([A-Z])|([A-Z])\1)),? "
        r"(?:let (?:the|a) circle(?: (?-i:[A-Z]+))? be (?:described|drawn)|"
        r"(?:describe|draw) (?:the|a) circle(?: (?-i:[A-Z]{3}))?)(?=[ .!]*$)",
        lambda found: f"draw the circle with centre {found[1]} through {found[2] or found[3]}",
    ),
    (
        r"(?i)^from (?:the point )?(?-i:([A-Z])),? (?:in which|where|at which) the circles (?:cut|meet|intersect)(?: one "
        r"another| each other)?,? (?:to the points (?-i:[A-Z], [A-Z]) )?"
        r"let (?:there be joined )?(?-i:([A-Z]{2})(?:,| and) ([A-Z]{2}))(?: be joined)?(?=[ .!]*$)",
        r"let \1 be an intersection of the circles and join \2 and join \3",
    ),
    (r"(?i)\b(?:the )?exterior angle (?=(?-i:[A-Z]{3})\b)", "the angle "),
    (
        r"(?i)\b(?:right[- ]angled )?triangle,? (?:having|with) (?:the )?angle (?-i:([A-Z]{3})) "
        r"right(?=[ .!]*$)",
        r"triangle with angle \1 = 90 degrees",
    ),
    (
        r"(?i)^squares are (?:built|erected|put|placed|drawn|constructed|described) (?:outwards|outwardly|externally|on the "
        r"outside) on (?:(?:its|the|all|all the|all its) )sides(?=[ .!]*$)",
        "draw squares outside on the sides",
    ),
    (
        r"(?i)\b(?-i:([A-Z]{2}) and ([A-Z]{2})) are (perpendicular|parallel) and (?:of equal length|equal(?: in length)?|of the "
        r"same length|congruent)(?=[ .!?]*$)",
        r"\1 is \3 to \2 and \1 = \2",
    ),
    (
        r"(?i)^(?:a |the )?point (?-i:([A-Z])) (?:lies|is) (inside|outside) (?:of )?(?:an? |the )?(?=(?:equilateral|isosceles|"
        r"acute|right-angled|regular|square|rectangle|parallelogram)\b)",
        r"let \1 be a point \2 the ",
    ),
    (
        r"(?i)^they (?:meet|cross|intersect|cut (?:each other|one another)) (?:in|at) (?:the |two )*points?,? (?-i:([A-Z]) and "
        r"([A-Z]))(?=[ .!]*$)",
        r"let them meet at \1 and \2",
    ),
    (
        r"(?i)^let (?:them|these|the tangents) touch (?:it |the circle )?(?:at|in) (?-i:([A-Z]) and "
        r"([A-Z]))(?=[ .!]*$)",
        r"let \1 and \2 be the points of contact",
    ),
    (
        r"(?i)^fold (?:it|(?:the )?(?:\w+ )?(?-i:[A-Z]{3,})|the \w+) (?:along|over|about) (?:the )?(?:diagonal |line |segment |"
        r"side )?(?-i:([A-Z]{2})),? (?:so |such )?that (?:the )?(?:point |corner |vertex )?"
        r"(?-i:([A-Z])) (?:lands|falls|comes|goes) (?:on|to|at|down on) (?-i:([A-Z][′']?))(?=[ .!]*$)",
        r"let \3 be the reflection of \2 in \1",
    ),
    (
        r"(?i)^(translate .+? (?:so|such) that (?-i:[A-Z])) (?:lands (?:on|at)|falls on|comes to|moves to|ends up "
        r"(?:on|at)) ",
        r"\1 goes to ",
    ),
    (r"(?i)\b(an?) given (?=(?:circle|triangle|line|point|segment|angle|square|rectangle|polygon|ray)\b)", r"\1 "),
    (r"(?i)^(?:to )?bisect (?:the |an? )?(?:given )?angle (?-i:([A-Z]{3}))(?=[ .!]*$)", r"bisect the angle \1"),
    (
        r"(?i)\bisosceles triangle (?:having|with) (?:each of the|both) (?:angles at the base|base angles) (?:double of|double|twice) "
        r"(?:the remaining one|the third(?: angle| one)?|the angle at the (?:vertex|apex|top)|the (?:vertex|apex) angle)(?=[ .!]*$)",
        "triangle with angles 36, 72 and 72 degrees",
    ),
    (
        r"(?i)\b(?:let )?(?-i:([A-Z]) and ([A-Z])) be (?:two )?points on (?:(the same side)|(?:different sides|opposite sides|"
        r"either side|the two sides)) of "
        r"(?:the )?(?:line )?(?-i:([a-z]|[A-Z]{2}))(?=[ .!]*$)",
        lambda found: (
            f"let {found[1]} be a point not on {found[4]} and let {found[2]} be a point on the "
            + (f"same side of {found[4]} as {found[1]}" if found[3] else f"other side of {found[4]} from {found[1]}")
        ),
    ),
    (
        r"(?i)^(?:let )?(?:the )?(altitudes|medians|angle bisectors) (?-i:([A-Z]{2}(?:, [A-Z]{2})*,? and [A-Z]{2}))"
        r"(?: of (?:the |a )?(?:triangle )?(?-i:([A-Z]{3})))? (?:meet|intersect|concur|are concurrent|cross|pass through|go "
        r"through)(?: at| in)? "
        r"(?:the point |a point )?(?-i:([A-Z]))(?=[ .!]*$)",
        lambda found: (
            (f"draw the triangle {found[3]} and let {found[2]} be" if found[3] else f"{found[2]} are")
            + f" the {found[1]} and let {found[4]} be their intersection"
        ),
    ),
    (
        r"(?i)\b(?:let )?(?-i:([A-Z])([A-Z]), ([A-Z])\2,? (?:and )?([A-Z])\2) (?:meet|cut|intersect) (?:the )?(?:opposite )?sides"
        r"(?: (?-i:(?:\3\4|\4\3), (?:\4\1|\1\4),? and (?:\1\3|\3\1)))?(?: respectively)? (?:at|in) "
        r"(?-i:([A-Z]), ([A-Z]),? (?:and )?([A-Z]))(?: respectively)?(?=[ .!]*$)",
        r"let \1\2 meet \3\4 at \5 and let \3\2 meet \4\1 at \6 and let \4\2 meet \1\3 at \7",
    ),
    (
        r"(?i)^(?:let )?equilateral triangles (?-i:([A-Z])([A-Z])([A-Z]),? and ([A-Z])([A-Z])([A-Z])) (?:are |be )?(?:drawn |"
        r"constructed |erected |"
        r"described )?(outside|outwards|externally|inside|inwards|internally)(?: (?:it|the triangle|(?:triangle "
        r")?(?-i:[A-Z]{3})))?(?=[ .!]*$)",
        lambda found: " and ".join(
            f"{'draw ' if not n else ''}the equilateral triangle {found[n + 1]}{found[n + 2]}{found[n + 3]} "
            f"{'internally' if found[7].lower().startswith('in') else 'externally'} on {found[n + 1]}{found[n + 2]}"
            for n in (0, 3)
        ),
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])([A-Z]) and \1([A-Z])) (?:are|be) (?:the )?(?:two )?tangents from (?-i:\1)"
        r"(?: to (?:the circle|(?-i:[a-z])))?,? "
        r"(?:touching|which touch|that touch) (the circle|it|(?-i:[a-z])) (?:at|in) (?-i:\2 and \3)(?=[ .!]*$)",
        r"\1\2 and \1\3 are tangents from \1 to \4",
    ),
    (
        r"(?i)^(?:draw )?(?:a|the) line (?-i:([a-z])) and (?:two )?points (?-i:([A-Z]) and ([A-Z])) on the same side of (?:it|"
        r"(?-i:\1))(?=[ .!]*$)",
        r"draw the line \1 and a point \2 not on \1 and let \3 be a point on the same side of \1 as \2",
    ),
    (
        r"(?i)^the (?:vertices|corners) of (?:an? |the )?(triangle|quadrilateral|rectangle|square|parallelogram) are (?:the "
        r"points )?(?=(?-i:[A-Z]) ?\()",
        r"draw the \1 with vertices ",
    ),
    (
        r"(?i)^they (?:all )?(?:go through|meet in|meet at|pass through|cross at|cross in) (?:one|a single|the same|a) "
        r"point(?:,|:|;| and)? (?:call it|called|namely) (?=(?-i:[A-Z])\b)",
        "let them meet at ",
    ),
    (r"(?i)^finish (?:off )?(?:with|by drawing) ", "draw "),
    (
        r"(?i)^(?:drop|draw) (?:the )?perpendiculars (?-i:([A-Z])([A-Z])) (?:to|on|onto) (?-i:([A-Z]{2}|[a-z])),? and "
        r"(?-i:\1([A-Z])) (?:to|on|onto) (?-i:([A-Z]{2}|[a-z]))(?=[ .!]*$)",
        r"let \2 be the foot of the perpendicular from \1 to \3 and let \4 be the foot of the perpendicular from \1 to \5 and draw the "
        r"segments \1\2 and \1\4",
    ),
    (
        r"(?i)^which (?:two )?sides (?:of (?:triangle )?(?-i:([A-Z]{3,})) )?are (?:equal|the same length|equally long|of equal "
        r"length)(?=[ .?!]*$)",
        lambda found: f"measure the sides{f' of {found[1]}' if found[1] else ''}",
    ),
    (r"(?i)^(measure the (?:distances|lengths) from .+?),? and (?=from (?-i:[A-Z])\b)", r"\1 and measure the distances "),
    # As the old books have it: "on a given finite straight line AB to construct …", "in a given circle to inscribe …".
    (r"(?i)\b(?:given )?finite (?:straight )?line\b", "segment"),
    (r"(?i)\brectilineal ", ""),
    (r"(?i)\b(?:equilateral and equiangular|equiangular and equilateral) (?=[a-z]+gon\b)", "regular "),
    (
        r"(?i)^((?:on|in|about|from|through|at|upon) (?:an? |the )?(?:given )?[^,]+?),? to (construct|draw|describe|inscribe|circumscribe|"
        r"erect) (?=an?\b|the\b)",
        r"\1 \2 ",
    ),
    (
        r"(?i)^about (an? (?:given )?(?:circle|triangle|square)(?-i: [A-Z]+)?),? (?:circumscribe|describe) (?=an?\b)(.+?)(?=[ .!]*$)",
        r"circumscribe \2 about \1",
    ),
    (r"(?i)^to (?=(?:bisect|trisect|construct|draw|describe|inscribe|erect)\b)", ""),
    (
        r"^[Ll]et ([A-Z]{2})(?:,| and) ([A-Z]{2}) be (?=two (?:chords|diameters|segments|straight lines|lines)\b)",
        r"\1 and \2 are ",
    ),
    (r"(?i)\binterior point (?:of|in) ", "point inside "),
    (r"(?i)\bexterior point (?:of|to) ", "point outside "),
    (
        r"(?i)^let ((?-i:[A-Z]) be the \w+(?:(?:,|,? and) (?-i:[A-Z]) (?:be )?the \w+)+) of ((?:the )?triangle(?: "
        r"(?-i:[A-Z]{3}))?|(?-i:[A-Z]{3}))\b",
        _each_of_one,
    ),
    (
        r"(?i)^(?:the )?(?:points )?(?-i:([A-Z]), ([A-Z]),? and ([A-Z])) (?:are|lie) (?:collinear|in line|on a line),? with "
        r"(?-i:(\1|\2|\3)) "
        r"between (?-i:([A-Z]) and ([A-Z]))(?:,| and| with|, with) (?-i:(\5\4|\4\5)) ?= ?([^\s,]+)(?:,| and|, and) "
        r"(?-i:(?:\4\6|\6\4)) ?= ?(\S+?)(?=[ .!]*$)",
        r"draw the segment \5\4 of length \8 and produce \5\4 beyond \4 by \9 to \6",
    ),
    (
        r"(?i)^(?:let )?(?:the )?(?:points )?(?-i:([A-Z]) and ([A-Z])) (?:be |are |lie )(?:points )?on (?:the )?(?:sides )?(?-i:([A-Z]{2}) "
        r"and ([A-Z]{2}))(?: respectively)?,? (?:with|such that|so that) (?=(?-i:(?:\1\2|\2\1)) (?:parallel|perpendicular)\b)",
        r"\1 is on \3 and \2 is on \4 with ",
    ),
    (r"(?i)\bbisectors of (?:the )?(?:exterior|external) angles (?:at|of) ", "external bisectors of angles "),
    (
        r"(?i)^(?:(?:the|two|a pair of) )*(parallel )?(?:straight )?lines (?-i:([a-z]) and ([a-z])) (?:are (parallel) and )?(?:are )?"
        r"(?:cut|crossed|intersected) by (?:a |the )?(?:transversal|line) (?-i:([a-z]))(?=[ .!]*$)",
        lambda found: (
            f"{found[2]} and {found[3]} are two parallel lines and {found[5]} is a transversal" if found[1] or found[4] else found[0]
        ),
    ),
    (
        r"(?i)\b(?:(?:a |the )?pair of |two )?tangents to (an? .+?|the circle|it|(?-i:[a-z])),? (?:(?:which|that) are "
        r")?(?:inclined to (?:each other|one another)|making"
        r"|which make|that make) (?:at )?an angle of (\d[\d.]*) ?(?:°|degrees?)(?: (?:with|to) (?:each other|one another))?(?=[ .!]*$)",
        r"\1 and two tangents to it at an angle of \2 degrees",
    ),
    (
        r"(?i)^((?:draw|construct|make) )(?:the )?angles of (\d[\d.]*) ?(?:°|degrees?)?(?:,| and) (\d[\d.]*) ?(°|degrees?)(?=[ .!]*$)",
        r"\1an angle of \2\4 and an angle of \3\4",
    ),
    (r"(?i)\b(an angle of \d[\d.]* ?(?:°|degrees?)) at the (?:initial|starting|end) point of (?:a |the )?(?:given )?ray(?=[ .!]*$)", r"\1"),
    (r"(?i)\b(angle (?-i:[A-Z]{1,3})) is right(?=[ .!?]*$)", r"\1 is a right angle"),
    (
        r"(?i)^draw (the|a) ((?:tangent|line|parallel|perpendicular|bisector|perpendicular bisector|angle bisector)\b[^,]*?),? "
        r"and (?:extend|"
        r"produce|continue|prolong) it (?:until it meets|to meet|to cut|so that it meets|till it meets) (.+?) (?:at|in) "
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"draw \1 \2 meeting \3 at \4",
    ),
    (r"(?i)\btaking (?-i:([A-Z])) as cent(?:re|er)\b", r"with \1 as centre"),
    (r"(?i)^((?:with (?-i:[A-Z]) as centre,? )draw [^,]+?),? and (with (?-i:[A-Z]) as centre,? draw )another ", r"\1 and \2a "),
    (
        r"(?i)\btangents to each circle from the cent(?:re|er) of the other(?: (?:circle|one))?(?=[ .!]*$)",
        "tangents from the centre of the second circle to the first circle and draw the tangents from the centre of the first circle "
        "to the second circle",
    ),
    (r"(?i)\b(the first (circle|line|triangle)\b.*?\band (?:to )?the second)(?! (?:circle|line|triangle|one))", r"\1 \2"),
)
