"""Idioms of English for what is asked for in a roundabout way: "slide it so that A lands on C", "on it, mark the point R".

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import COUNTED, OF_A_SORT, POLYGON, SIZE, Idioms

#: Parts of a whole that something is made smaller to.
_PARTS = {"half": "1/2", "a half": "1/2", "one half": "1/2", "a third": "1/3", "one third": "1/3", "a quarter": "1/4", "one quarter": "1/4",
          "two thirds": "2/3", "three quarters": "3/4", "a fifth": "1/5", "a tenth": "1/10"}  # fmt: skip
#: Polygons by how many sides they have.
_GONS = {"7": "heptagon", "9": "nonagon", "10": "decagon", "12": "dodecagon"}
_SO_MANY = r"half|twice|double|(?:three|four|five|\d[\d.]*) times"
_IT = r"it|them|the \w+|(?-i:[A-Z]{1,4})|(?:triangle|quadrilateral|square|polygon) (?-i:[A-Z]{3,6})"


def _smaller(found: re.Match[str]) -> str:
    """ "shrink it to a third about P" """
    return f"enlarge {found[1]} by {_PARTS[found[2].lower()]} from {found[3]}"


def _beyond(found: re.Match[str]) -> str:
    """ "extend AC beyond C to D with CD = 2" """
    ends = found[1] if found[1][1] == found[2] else found[1][::-1]
    return f"produce {ends} to {found[3]} so that {found[4]}"


def _count(word: str | None) -> int:
    """How many a word says; 0 for one that says nothing of it."""
    return int(word) if word and word.isdigit() else COUNTED.get((word or "").lower(), 0)


def _around(found: re.Match[str]) -> str:
    """ "a square around k, touching it on all four sides", where it has so many"""
    has = {"triangle": 3, "square": 4, "rhombus": 4, "hexagon": 6}.get(found[1].lower(), 0)
    return f"{found[1]} circumscribed about {found[2]}" if _count(found[3]) in (0, has) else found[0]


def _of_corners(found: re.Match[str]) -> str:
    """ "four points A, B, C, D so that ABCD is a kite", where they are so many, and its corners"""
    named = re.findall("[A-Z]", found[2])
    is_so = set(named) == set(found[3]) and _count(found[1]) in (0, len(named))
    return f"draw {found[4]} {found[5]} {found[3]}" if is_so else found[0]


def _dividing(found: re.Match[str]) -> str:
    """ "the two points that divide AB into three equal parts", of which there is one less than parts"""
    return f"divide {found[2]}" if _count(found[1]) in (0, _count(found[3]) - 1) else found[0]


def _two_on_two(found: re.Match[str]) -> str:
    """ "the points E and F lie on BC and CD such that BE = CF" """
    return f"{found[1]} is a point on {found[3]} and {found[2]} is a point on {found[4]} such that {found[5]}"


#: Requests in many words, by how they are read.
OF_REQUESTS: Idioms = (
    # What leads in.
    (r"(?i)^i want (?:that )?you (?:to )?(?=make|draw|construct|put|mark|measure)", ""),
    (r"(?i)^(?:step|part|question|exercise|task|construction|activity) (?:\d+|(?-i:[A-H]))\s?[:.)]\s*", ""),
    (r"(?i)^on (?:the|your) (?:diagram|drawing|figure|board|sketch),? (?=\w)", ""),
    (
        r"(?i)^using (?:a |your )?(?:ruler and (?:a )?(?:pair of )?compass(?:es)?|compass(?:es)? and (?:ruler|straightedge)|straightedge "
        r"and compass(?:es)?)(?: only| alone)?,? ",
        "",
    ),
    (
        r"(?i)^on (it|this line|that line|the line|(?-i:[A-Z]{2})),? (mark|take|choose|draw) (?:the |a )?point ((?-i:[A-Z])) (?=with|"
        r"such that|so that|at|for which|where|that)",
        r"\2 the point \3 on \1 ",
    ),
    # Points.
    (
        r"(?i)^given ((?:two |three |four )?)points (?-i:([A-Z](?:, [A-Z])*,? and [A-Z])),? (find|draw|construct|mark) ",
        r"\2 are \1points. \3 ",
    ),
    (
        r"(?i)\b(find|mark|construct) the point (?-i:([A-Z])) (such that|so that) ([^,;]+),? and the point (?-i:([A-Z])) (such that|so "
        r"that) ([^,;]+)$",
        r"\1 the point \2 \3 \4. \1 the point \5 \6 \7",
    ),
    (
        r"(?i)^(?:mark|find|draw|show) the (?:(\w+) )?points (?:that|which) divide (.+? into (\w+) (?:equal )?parts)(?=[ .!]*$)",
        _dividing,
    ),
    (
        r"(?i)^(?:draw |find )?the (?:set|locus) of (?:all )?(?:the )?points (?-i:([A-Z])) (?:with|such that|for which|so that) (?:the "
        r")?angle (?-i:([A-Z])\1([A-Z])) (?:= 90 ?(?:°|degrees)?|is (?:a right angle|90 ?(?:°|degrees)))(?=[ .!]*$)",
        r"draw the circle with diameter \2\3",
    ),
    # Lines.
    (
        r"(?i)^(?:extend|produce|continue) (?-i:([A-Z]{2})) (?:beyond|past) (?-i:([A-Z])) to (?-i:([A-Z])) (?:with|so that|such that|"
        r"where) "
        r"((?-i:[A-Z]{2}) ?= ?[^,;]+)$",
        _beyond,
    ),
    (
        rf"(?i)^an? (chord (?-i:[A-Z]{{2}})) (?:is|lies|is drawn) (?:at a distance of )?({SIZE}) (?:away )?from (?=the cent|(?-i:[A-Z])\b)",
        r"draw the \1 \2 from ",
    ),
    (r"(?i)^an? (chord|line|secant) (?-i:([A-Z]{2})) (?:passes|goes|is drawn) through (?=(?-i:[A-Z])\b)", r"draw the \1 \2 through "),
    (
        r"(?i)\b(?:draw |there are |let )?two (chords|radii|lines|tangents) (?-i:([A-Z]{2})) and (?-i:([A-Z]{2})) (?:are|be) (equal|"
        r"parallel)(?=[ .!]*$)",
        r"\2 and \3 are two \4 \1",
    ),
    (
        r"(?i)^from an? (?:external|outside|exterior) point (?-i:([A-Z])),? tangents (?-i:(\1[A-Z])) and (?-i:(\1[A-Z])) are drawn to "
        r"(an? circle[^.;]*?|"
        r"(?:the circle )?(?-i:[a-z]))(?=[ .!]*$)",
        r"\1 is a point outside \4. Draw the tangents \2 and \3 to the circle",
    ),
    (r"(?i)^((?:reflect|rotate|turn|translate|enlarge|mirror) (?-i:[A-Z]) .+?) (?:on)?to (?=(?-i:[A-Z])['′][ .!]*$)", r"\1 to get "),
    (
        r"(?i)^(draw|construct) (?:an? |the )?((?:[a-z-]+ )?(?:triangle|quadrilateral|square|rectangle) (?-i:[A-Z]{3,4})) and its (image|"
        r"reflection) (?=in\b|under\b|about\b)",
        r"\1 the \2. Draw its \3 ",
    ),
    (
        r"(?i)\bthe circles (with cent(?:re|er) (?-i:[A-Z]) through (?-i:[A-Z])) and (?=with cent|cent)(?:with )?(cent(?:re|er) "
        r"(?-i:[A-Z]) through (?-i:[A-Z]))(?=[ .!]*$)",
        r"the circle \1 and the circle with \2",
    ),
    (
        r"(?i)^(?:let )?(?:the )?line (?-i:([a-z])) (?:be|is) (?:given by|described by|the line with equation|defined by) (?:the "
        r"equation )?(?=\S*[xy])",
        r"\1 is the line ",
    ),
    (
        r"(?i)\bangle (?:at|in|under) which (the diagonals|the medians|the altitudes|(?-i:[a-zA-Z]{1,2}) and (?-i:[a-zA-Z]{1,2})) "
        r"(?:cross|meet|intersect)(?=[ .!?]*$)",
        r"angle between \1",
    ),
    (
        r"(?i)^(?:mark|label|call|name) (the (?:midpoint|centre|center|centroid|incentre|circumcentre|orthocentre|foot|intersection) "
        r".+?) as (?-i:([A-Z]))(?= and |[ .!]*$)",
        r"let \2 be \1",
    ),
    (
        r"(?i)\bline making (?:an angle of )?(\d[\d.]*) ?(?:°|degrees) (?:with|to) (?-i:([A-Z]{2}|[a-z])) at (?-i:([A-Z]))(?=[ .!]*$)",
        r"line through \3 at \1° to \2",
    ),
    (
        r"(?i)^draw (?:the )?(line|segment) (?-i:([A-Z]{2})),? (?:(dashed|dotted|thick|thin)|in (red|blue|green|black|brown|orange|"
        r"purple))(?:,? and (?:in )?(red|blue|green|black|brown|orange|purple|dashed|dotted|thick|thin))?(?=[ .!]*$)",
        lambda found: f"draw the {found[1]} {found[2]} and make it {found[3] or found[4]}{f' and {found[5]}' if found[5] else ''}",
    ),
    (
        r"(?i)^(?:the )?(?:two )?points (?-i:([A-Z])) and (?-i:([A-Z])) (?:lie|are|are taken|are chosen|are marked) on (?:the "
        r")?(?:sides? |segments? )?(?-i:([A-Z]{2})) and "
        r"(?:on )?(?-i:([A-Z]{2}))(?: respectively)?,? (?:such that|so that|with) ([^,;]+)$",
        _two_on_two,
    ),
    (r"(?i)\b(?:put|place|mark|make) one (?=(?:point|dot|line|circle|triangle|square)\b)", "draw a "),
    (
        r"(?i)\b(?:an? |the )?point ((?-i:(?:[A-Z] )?))(?:which|that) is (?:right |exactly )?(?:in|at) the middle of (?-i:([A-Z])) and "
        r"(?-i:([A-Z]))\b",
        r"the midpoint \1of \2\3",
    ),
    (
        r"(?i)\b(?:find|mark|show|draw|where is) (?:the |a )?(?:place|spot|position) (?:that|which) is (?=equidistant|equally|the same "
        r"distance|as far)",
        "find the point that is ",
    ),
    # Lines.
    (
        r"(?i)^from (?:a |the )?point (?-i:([A-Z])) outside (?:a |the )(circle(?: with cent(?:re|er) (?-i:[A-Z])|(?-i: [a-z])\b)?),? "
        r"(?:two )?(?:secants|lines) (?-i:\1([A-Z])([A-Z])) and (?-i:\1([A-Z])([A-Z])) are drawn(?: to the circle)?"
        r"(?=[ .!]*$)",
        r"\1 is a point outside a \2. A line through \1 meets the circle at \3 and \4. Another line through \1 meets the circle at \5 "
        r"and \6",
    ),
    (r"(?i)\b(?:mediator|mediatrix|mediating)(?: line)?(?= of\b)", "perpendicular bisector"),
    (
        r"(?i)\b(?:the |a )?line (?:which|that) (?:cuts|divides|splits|bisects) (?:the segment )?(?-i:([A-Z]{2})) (?:in half |in two |"
        r"into two (?:equal parts|halves) )?(?:at right angles|perpendicularly|and is perpendicular to it)(?=[ .!]*$)",
        r"the perpendicular bisector of \1",
    ),
    (
        r"(?i)\bline (parallel to (?-i:[A-Z]{2}|[a-z])),? (?:half ?way|midway|in the middle) between (?-i:([A-Z])) and (?-i:([A-Z]))(?=[ "
        r".!]*$)",
        r"line \1 through the midpoint of \2\3",
    ),
    (
        r"(?i)^(?:construct|draw|find) (?:all|both)(?: the)? lines through (?-i:([A-Z])) (?:that are |which are )?(?:tangent to|"
        r"touching) ",
        r"draw the tangents from \1 to ",
    ),
    (r"(?i)\ba (?:variable|moving|movable|arbitrary) line through\b", "a line through"),
    (
        r"(?i)^(?:draw |make )?(?:the |a )?(?:path|track|way) from (?-i:([A-Z])) to (?-i:([A-Z]))(?=[ .!]*$| and\b|,)",
        r"draw the segment \1\2",
    ),
    (
        r"(?i)^(?:peg out|set out|mark out|stake out) a right angle at (?-i:([A-Z])) (?:from|to|off) (?-i:(\1[A-Z]|[A-Z]\1))(?=[ .!]*$)",
        r"draw the perpendicular to \2 at \1",
    ),
    (
        r"(?i)^(?:make|draw) a copy of (?:the )?segment (?-i:([A-Z]{2})),? (?:starting|beginning|that starts|that begins) (?:at|from|in) "
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"draw a segment from \2 of length \1",
    ),
    (r"(?i)^(?:mark|show|indicate) (the |an? )?angle (.+?) (?:with|by) an? (?:small |little )?arc(?=[ .!]*$)", r"mark \1angle \2"),
    (r"(?i)\bthree of (?:its|the) diameters\b", "three diameters"),
    (
        r"(?i)\b((?:obtuse |acute )?angle) (?:formed|made) by (?=the (?:medians|altitudes|bisectors|diagonals|lines|tangents)\b)",
        r"\1 between ",
    ),
    # With compasses.
    (
        r"(?i)^(?:use|take|using|taking) (?-i:([A-Z])) as (?:the |a )?(?:centre|center)(?: of a circle)?,? (?:and )?(?:then )?(?:to "
        r")?(?:draw|describe|make) (an?|the) (arc|circle) ",
        r"draw \2 \3 with centre \1 ",
    ),
    (
        r"(?i)^with (?-i:([A-Z])) as (?:the |a )?(?:centre|center),? (?:draw|describe|make) (an?|the) (arc|circle) ",
        r"draw \2 \3 with centre \1 ",
    ),
    (
        r"(?i)^(?:place|put|set) (?:the |your )?(?:compass(?:es)?(?: point)?|point of (?:the|your) compass(?:es)?) (?:on|at|in) "
        r"(?-i:([A-Z])),? and (?:draw|describe|make) (an?|the) (arc|circle) ",
        r"draw \2 \3 with centre \1 ",
    ),
    (
        r"(?i)^(?:draw |make )?(?:two |the )?arcs (?:with|of) radius (\S+(?: ?[cm]?m)?) (?:from|about|around|with centres) (?-i:([A-Z])) "
        r"and (?:from )?(?-i:([A-Z])),? and (mark|find|label) (?:the points? )?where they (?:cross|meet|intersect)(?=[ .!]*$)",
        r"draw the circle with centre \2 and radius \1. Draw the circle with centre \3 and radius \1. Mark where they meet",
    ),
    # Shapes.
    (
        r"(?i)^(?:they|these lines|the (?:three )?lines|the three \w+) (?:form|make|enclose) (?:a |the )?(triangle)((?-i: "
        r"[A-Z]{3})?)(?=[ .!]*$)",
        r"draw the \1\2 formed by them",
    ),
    (
        rf"(?i)\b(circle) ({_SO_MANY}) (?:the size of|as (?:big|large) as) (?:the circle |circle )?(?-i:([a-z])) (?:with|having|and) the "
        rf"same (?:centre|center)(?=[ .!]*$)",
        r"\1 with the same centre as \3 and radius \2 the radius of \3",
    ),
    (rf"(?i)\b({POLYGON}) given (?:its|the|a|one) (diagonal|side|height|base|hypotenuse)(?: of| is)? (?=\d)", r"\1 with \2 "),
    (
        rf"(?i)^(?:draw |mark |take )?(?:(four|three|five) )?points (?-i:([A-Z](?:, [A-Z])*,? (?:and )?[A-Z])) (?:so|such) that "
        rf"(?-i:([A-Z]{{3,5}})) is (an?) ((?:[a-z-]+ )?(?:{POLYGON}))(?=[ .!]*$)",
        _of_corners,
    ),
    (
        r"(?i)^(?:divide|split|cut|separate) .+? in(?:to)? two (?:triangles|parts|pieces) by (drawing|joining) ",
        lambda found: "draw " if found[1].lower() == "drawing" else "join ",
    ),
    (
        r"(?i)\b(triangle|square|rectangle)((?-i: [A-Z]{3,4})?) with an? (?=(?:circumcircle|incircle|circumscribed circle|inscribed "
        r"circle)\b)",
        r"\1\2 and its ",
    ),
    (
        r"(?i)^for (?:a|any|each|every) point (?-i:([A-Z])) on ([a-z]|(?-i:[A-Z]{2})|the \w+),? (?=(?:construct|draw|let|mark)\b)",
        r"\1 is a point on \2. Then ",
    ),
    (
        r"(?i)^an? (?:circle|circle (?-i:[a-z])) has (?:its )?(?:centre|center) (?-i:([A-Z])) and (?:a )?radius (?:of )?(?=\d)",
        r"draw a circle with centre \1 and radius ",
    ),
    (r"(?i)^an? point (?-i:([A-Z])) (?:lies|is|is taken|is chosen) on (?=the |side |segment |(?-i:[A-Z]))", r"\1 is a point on "),
    (
        r"(?i)\b(?:a )?quarter[- ]circle (?:of|with) (?:a )?radius (?:of )?(\d\S*(?: ?[cm]?m)?)(?=[ .!]*$)",
        r"an arc with radius \1 by 90 degrees",
    ),
    (r"(?i)\b(divided? .+?) in(?:to)? (\w+) (?:same|equal-sized|identical) parts(?=[ .!]*$)", r"\1 into \2 equal parts"),
    (r"(?i)\b(?:a )?(?:regular )?(7|9|10|12)-gon\b", lambda found: f"a regular {_GONS[found[1]]}"),
    (
        rf"(?i)^(?:let )?(?-i:([A-Z])), (?-i:([A-Z])),?(?-i: ([A-Z]),?)? and (?-i:([A-Z])) (?:are|be) (?:the )?(?:vertices|corners) of "
        rf"(an?|the) ((?:(?:{OF_A_SORT}|equilateral) )*(?:{POLYGON}))\b",
        lambda found: f"draw {found[5]} {found[6]} {found[1]}{found[2]}{found[3] or ''}{found[4]}",
    ),
    (
        rf"(?i)\b((?:equilateral |regular |isosceles )?(?:{POLYGON}) (?-i:[A-Z]{{3,4}})) (inside|outside) (?:it|the (?:{POLYGON}|figure|"
        rf"shape)|(?:the )?(?:{POLYGON}) (?-i:[A-Z]{{3,4}}))(?=[ .!]*$)",
        lambda found: f"{found[1]} {'internally' if found[2].lower() == 'inside' else 'externally'}",
    ),
    (
        rf"(?i)\b((?:equilateral |regular |isosceles )?(?:{POLYGON})((?-i: [A-Z]{{3,6}})?)) with (?:all )?(?:its|the) (?:vertices|"
        rf"corners) on (?:the circle|it)(?=[ .!]*$)",
        r"\1 inscribed in the circle",
    ),
    (
        r"(?i)\b(square|triangle|polygon|rhombus|hexagon) (?:around|about|outside) (?-i:([a-z])),? (?:touching it|that touches it|"
        r"touching the circle)(?: on all (?:its )?(?:(\w+) )?sides)?(?=[ .!]*$)",
        _around,
    ),
    (
        r"(?i)^(?:draw |make )?a concentric circle,? ((?:half|twice|double|\w+ times) as (?:large|big))(?=[ .!]*$)",
        r"draw a circle with the same centre as the circle and \1 as the circle",
    ),
    (
        r"(?i)^(translate|move|shift|slide) (?-i:([a-z])) (?:so that|until) its (?:centre|center) (?:moves|goes|comes|is|lies|lands) "
        r"(?:to|at|on|in) (?-i:([A-Z]))(?=[ .!]*$)",
        r"translate \2 by the vector from its centre to \3",
    ),
    (r"(?i)^hide (the circle|circle (?-i:[a-z])|(?-i:[a-z])) but (?:keep|leave|not) (?:its|the) (?:centre|center)(?=[ .!]*$)", r"hide \1"),
    (
        r"(?i)^(?:draw )?(?:the )?two tangents to a circle from an? (?:outside |external )?point (?:outside |outside it "
        r")?(?-i:([A-Z]))(?: outside it)?(?=[ .!]*$)",
        r"draw a circle. \1 is a point outside it. Draw the tangents from \1 to it",
    ),
    (
        r"(?i)^(?:draw )?two lines (?:that |which )?(?:cross|meet|intersect|crossing|meeting)(?: each other)? at (?:an angle of "
        r")?(\d[\d.]*) ?(?:°|degrees)(?=[ .!]*$)",
        r"draw a line. Draw a line at \1° to it through a point on it",
    ),
    (r"(?i)\barc (?-i:([A-Z]{2})),? (?:less|smaller|shorter) than (?:a|the) semicircle\b", r"minor arc \1"),
    (r"(?i)\barc (?-i:([A-Z]{2})),? (?:more|greater|larger|longer) than (?:a|the) semicircle\b", r"major arc \1"),
    (
        rf"(?i)\b({POLYGON}) (?:from|out of|using) (?:the )?(?:points |corners )?(?=(?-i:[A-Z])(?:, (?-i:[A-Z]))+,? and (?-i:[A-Z])\b)",
        r"\1 with corners ",
    ),
    (
        r"(?i)\b(?:a )?(?:quadrilateral|four-sided figure|four-sided shape) with (?:exactly |just |only )?(?:one|a) pair of parallel "
        r"sides(?=[ .!]*$)",
        "a trapezium",
    ),
    (
        r"(?i)\b(?:draw )?two triangles (?:that|which|who) (?:share|have in common) (?:the |a common |one )?side "
        r"(?-i:([A-Z])([A-Z]))(?=[ .!]*$)",
        r"draw a triangle on \1\2 and another triangle on \1\2",
    ),
    (
        r"(?i)\b(circle) with an? ((?:equilateral )?triangle|square|regular \w+) (?:drawn |inscribed |inside |placed )+(?:it|in it|"
        r"inside it)?(?=[ .!]*$)",
        r"\1 and a \2 inscribed in it",
    ),
    (
        rf"(?i)\b(parallelogram|rectangle|triangle|rhombus)((?-i: [A-Z]{{3,4}})?) with sides of ({SIZE}) and ({SIZE})(?= and an? )",
        r"\1\2 with sides \3 and \4",
    ),
    (r"(?i)^cut (?:off )?(?:the )?corner (?:at )?(?-i:([A-Z]))(?: off)? by (?:joining|drawing) ", "join "),
    # Moving things.
    (
        r"(?i)^(?:copy|repeat|slide|shift) (it|the \w+|(?-i:[A-Z]{3,6})) along (?:the )?(?:vector |arrow )(?=(?-i:[A-Z]{2}\b))",
        r"translate \1 by the vector ",
    ),
    (
        rf"(?i)^(?:slide|move|shift|translate|push) ({_IT}) (?:so that|such that|until) (?:the )?(?:corner |point |vertex "
        rf")?(?-i:([A-Z])) (?:lands|falls|comes|goes|is|moves|gets|ends up) "
        r"(?:on|onto|to|at|in) (?:the )?(?:point )?(?-i:([A-Z]))(?=[ .!]*$)",
        r"translate \1 by the vector \2\3",
    ),
    (
        rf"(?i)^(?:shrink|reduce|scale|scale down) ({_IT}) (?:to|by a factor of|down to) "
        rf"({'|'.join(sorted(_PARTS, key=len, reverse=True))})(?: of its size| the size)? (?:about|from|towards?|around|with centre) "
        r"(.+?)(?=[ .!]*$)",
        _smaller,
    ),
    (r"(?i)\bthe (?:crossing|meeting point|crossing point) of (its|the) (diagonals|medians|altitudes)\b", r"where \1 \2 meet"),
    (
        r"(?i)^(?:draw |construct |make )?the enlargement of (.+?) with (?:the )?(?:centre|center) (?-i:([A-Z])) and (?:a )?(?:scale "
        r")?factor (?:of )?([-−]?\d\S*)(?=[ .!]*$)",
        r"enlarge \1 from \2 by \3",
    ),
    (r"(?i)^((?:flip|reflect|turn|rotate|move|slide|translate|mirror|shade|colour|color) )the (?:tile|piece|card|template)\b", r"\1it"),
    # Readings and claims.
    (
        r"(?i)^(what (?:shape|figure|sort of shape|kind of shape|quadrilateral) do they) (?:enclose|make|surround|bound)(?=[ ?.!]*$)",
        r"\1 form",
    ),
    (
        r"(?i)^what angle does (?:the line )?(?-i:([A-Z]{2}|[a-z])) make with the (?:horizontal|x[- ]axis)(?=[ ?.!]*$)",
        r"the angle between \1 and the line y = 0",
    ),
    (r"(?i)^measure (.+?),? and (?:then )?(?:add them(?: up| together)?|find their sum)(?=[ .!]*$)", r"measure \1. What is their sum"),
    (
        r"(?i)^(fill|shade|colour|color) (?-i:([A-Z]{3,6})|the \w+) (\w+) and make its (?:border|outline|sides) (thin|thick|bold|dashed|"
        r"dotted)(?=[ .!]*$)",
        lambda found: f"{found[1]} {found[2]} {found[3]}. Make {found[2]} {found[4]}" if found[2] else found[0],
    ),
    (r"(?i)^how much (?:does (.+?) measure|measures? (.+?))(?=[ ?.!]*$)", lambda found: f"measure {found[1] or found[2]}"),
    (r"(?i)^(?:measure|find|tell me|work out|what is) how far (?-i:([A-Z])) is from (?=\S)", r"measure the distance from \1 to "),
    (
        r"(?i)\b(they|the (?:three |four |five )?\w+s|(?-i:[A-Z]{2}(?:, [A-Z]{2})+,? and [A-Z]{2})) (?:all )?(?:pass|go|run) through "
        r"(?:one|a single|the same|a common|one and the same|one common) point"
        r"(?=[ .!]*$)",
        r"\1 are concurrent",
    ),
    (
        r"(?i)\b(they|the (?:three |four |five )?\w+s|(?-i:[A-Z]{2}(?:, [A-Z]{2})+,? and [A-Z]{2})) (?:all )?(?:meet|cross|intersect) "
        r"(?:in|at) (?:one|a single|the same|a common|one and the same|one common) point"
        r"(?=[ .!]*$)",
        r"\1 are concurrent",
    ),
    (r"(?i)\bwhere (?:the|these|those) (?:two )?loci (?=meet|cross|intersect)", "where they "),
    (
        r"(?i)\b(?:region|area|part|points) (inside|of|within) (?:the )?(triangle|quadrilateral|square|rectangle|polygon)((?-i: "
        r"[A-Z]{3,4})?) (?:in which|where|for which) (?:the |all )?points are (?=nearer|closer|less|more|at)",
        r"points inside \2\3 that are ",
    ),
    # Dials.
    (r"(?i)\b(?:set up|put in|insert) (?=an? (?:new )?(?:slider|dial)\b)", "draw "),
    (
        r"(?i)\b(slider|dial) for an angle(?: (?:that|which) (?:runs|goes|ranges))? from (\d+) ?(?:°|degrees)? to (\d+) ?(?:°|degrees)?",
        r"\1 from \2° to \3°",
    ),
    (r"(?i)\b(slider|dial)((?-i: [a-z])?) (?:that|which) (?:runs|goes|ranges|moves) (?=from\b|between\b)", r"\1\2 "),
    # Gardens.
    (
        r"(?i)^(?:put|place|set|stand|install) (?:a |the )?(sprinkler|lamp|light|tap|mower|goat) (?:at|in) (?-i:([A-Z])) (?:that|which) "
        r"(?=(?:reaches|waters|sprays|lights up|lights|covers|can reach|can water)\b)",
        r"the \1 at \2 ",
    ),
)
