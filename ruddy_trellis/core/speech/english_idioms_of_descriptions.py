"""Idioms of English for what is described by what it has, does or is for: "a square one side of which is AB".

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import POLYGON, SIZE, Idioms

_THING = rf"(?:{POLYGON}|point|line|segment|ray|circle|arc|polygon|angle|chord|tangent)"
#: What a share of a thing is called, as a divisor.
_SHARES = {"halves": 2, "thirds": 3, "quarters": 4, "fifths": 5, "sixths": 6, "eighths": 8, "tenths": 10, "hundredths": 100}
#: How much larger something is to be.
_TIMES = {"half": "1/2", "twice": "2", "double": "2", "three times": "3", "four times": "4", "one and a half times": "1.5"}

#: How many times as much.
_SO_MANY = r"half|twice|double|(?:three|four|five|\d[\d.]*) times"


def _factor(words: str) -> str:
    """ "three times" as a number."""
    return _TIMES.get(words.lower()) or words.split(maxsplit=1)[0]


def _rhombus(found: re.Match[str]) -> str:
    """ "ABCD is a rhombus with side 5 and angle A = 60°" """
    names = found[1] or found[2]
    side, corner, degrees = (found[3], found[4], found[5]) if found[3] else (found[8], found[6], found[7])
    return f"rhombus {names} with angle {corner} = {degrees}° and {names[:2]} = {side}" if names else found[0]


def _share(found: re.Match[str]) -> str:
    """ "r tenths of the way" """
    return f"{found[1]}/{_SHARES[found[2].lower()]} of the way"


def _resized(found: re.Match[str]) -> str:
    """ "make a copy of it half as big about D" """
    return f"enlarge {found[1]} by {_TIMES[found[2].lower()]} from {found[3]}"


#: Descriptions in many words, by how they are read.
OF_DESCRIPTIONS: Idioms = (
    # What something has.
    (r"(?i)\b(?:that|which) (?:has|have) (?=(?:the point )?(?-i:[A-Z])\b|(?-i:[A-Z]{2})\b)", "with "),
    (r"(?i)\b(?:with|having) (?:the point )?(?-i:([A-Z])) (?:in|at|for|as) (?:the|its|a) (?:middle|centre|center)\b", r"with centre \1"),
    (
        r"(?i)\brhombus (?:with|having|on) (?:the segment )?(?-i:([A-Z]{2})) (?:as|for) (?:a |one |one of its )?side (?:and|with) (?=an? )",
        r"rhombus on \1 with ",
    ),
    (r"(?i)\b(?:one side of which is|one of whose sides is|whose one side is|one side being) (?=(?-i:[A-Z]{2})\b)", "with side "),
    (
        r"(?i)\b(?:with|having) (?-i:([A-Z])) and (?-i:([A-Z])) (?:as|for) (?:two (?:of (?:its|the) )?|its two )(?:corners|vertices)"
        r"(?=[ .!]*$)",
        r"with corners \1 and \2",
    ),
    (r"(?i)\btriangle with (?:two )?(?:corners|vertices)(?: at)? (?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)", r"triangle on \1\2"),
    (r"(?i)\b(having|with) (?-i:([A-Z]{2})) for (?:a |its |one |the )?(diagonal|side|base|hypotenuse|diameter|radius)\b", r"\1 \2 as \3"),
    (
        rf"(?i)\b((?:an? |the )?(?:inscribed )?(?:{POLYGON})(?: inscribed in \S+)?) (?:having|with) (?-i:([A-Z])) (?:as|for) (?:a|one|"
        rf"one of "
        r"its) (?:corners?|vertex|vertices)(?=[ .!]*$)",
        r"\1 with a corner at \2",
    ),
    (
        rf"(?i)\b(?:isosceles )?triangle((?-i: [A-Z]{{3}})?) (?:with|having|has|whose|of which) (?:the |its )?(?:two )?(?:equal "
        rf")?(?:sides|legs)"
        rf"(?: of equal length)?(?: (?:of|are|both|being|length|each|equal to))* ({SIZE})(?: each| long)*,? (?:and|with) (?:an? |the "
        rf")?(?:angle"
        r"(?: of| is| =)? (\d[\d.]*) ?(?:°|degrees?) between (?:them|these|the (?:two |equal )*(?:sides|legs))|angle between (?:them|"
        r"these|the (?:two |equal )*(?:sides|legs))(?: of| is| being| =| equal to)* (\d[\d.]*) ?(?:°|degrees?)?)(?=[ .!]*$)",
        lambda found: (
            f"triangle{found[1]} with sides {found[2]} and {found[2]} and an angle of {found[3] or found[4]} degrees between them"
        ),
    ),
    # How large it is to be, where that is left open.
    (
        rf"(?i)\b({_THING}(?: (?:around|about|on|through|from) \S+?)?),? (?:as (?:big|large|small|long) as you (?:like|want|wish)|of any "
        r"(?:size|length|radius)(?: you like)?|any size(?: you like)?|of whatever size)(?=[ ,.!]*$)",
        r"\1",
    ),
    (rf"(?i)\b(?:a|one more|yet another) (?:second|third|fourth|further|separate) (?={_THING}\b)(?!\w+ of intersection)", "another "),
    # Where it is.
    (
        r"(?i)\b(?:that are |which are |that is |which is |lying )?(?:(?:just )?as (?:far|near|close) (?:away )?(?:from|to) "
        r"(?-i:([A-Z]{1,2})) "
        r"as (?:from|to)|(?:equally|just as|the same distance) (?:far|near|close) (?:away )?(?:from|to) (?-i:([A-Z]{1,2})) and(?: from)?) "
        r"(?=(?-i:[A-Z]{1,2})\b)",
        lambda found: f"that are equidistant from {found[1] or found[2]} and ",
    ),
    (
        r"(?i)\bpoints?,? (?:that is |which is )?(?:equidistant|equally (?:far|distant)|the same distance|equally far away|as far) from "
        r"(?:all "
        r"|each of |all of )?(?:the |its )?(?:three )?sides(?: of (?:the|this) triangle)?(?=[ .!?]*$)",
        "incentre of the triangle",
    ),
    (
        r"(?i)\bpoints?,? (?:that is |which is )?(?:equidistant|equally (?:far|distant)|the same distance|equally far away|as far) from "
        r"(?:all "
        r"|each of |all of )?(?:the |its )?(?:three )?(?:corners|vertices)(?: of (?:the|this) triangle)?(?=[ .!?]*$)",
        "circumcentre of the triangle",
    ),
    (
        r"(?i)\b(?:draw |construct |find |show )?(?:the )?(?:locus|path) of (?:a|the) (?:moving )?point (?:which|that) (?:is always|"
        r"moves? (?:so|such) that "
        r"(?:it|its distance from (?=\S+ is)|it is)(?: is)?(?: always)?|moves? (?:and )?(?:always )?(?:stays|keeps|remains)|always "
        r"(?:stays|is|remains))(?: always)? (?=\S)",
        "the locus of the points that are ",
    ),
    (
        r"(?i)\b(?:a |the |one )?points? (?:that|which|who) (?:can (?:move|slide|run|travel|be dragged|be moved)|moves|slides|runs|"
        r"travels|is free to move)"
        r"(?: freely| around)* (?:on|along|around|round|about) (?=(?:(?:the )?(?:circle|line|segment|arc) )?\w+\b)",
        "a point on ",
    ),
    (
        r"(?i)\b(?:lines?|parallels?) through (?:each|every|the|all(?: the)?) (?:corners?|vertex|vertices)(?: of the triangle)?,? "
        r"(?:that (?:is|are) )?parallel to (?:its|the|their) opposite sides?\b",
        "parallels to the sides through the opposite corners",
    ),
    (r"(?i)\ba (?=parallels to the sides)", "the "),
    # What it does.
    (
        r"(?i)\b(line through (?-i:[A-Z])),? (?:that |which )?(?:cut|cutting|cuts|meet|meeting|meets|crossing|crosses|making|makes) "
        r"(?:the line )?(?-i:([A-Z]{2}|[a-z])) at (?:an angle of )?(?=\d)(\d[\d.]*) ?(?:°|degrees)(?=[ .!]*$)",
        r"\1 at \3° to \2",
    ),
    (
        r"(?i)\b(the |a )?translation (?:which|that) (?:takes|carries|moves|maps|sends|brings) (?-i:([A-Z])) (?:to|onto|into|on to) "
        r"(?-i:([A-Z]))\b",
        r"the translation by the vector \2\3",
    ),
    (
        r"(?i)\b(triangle|quadrilateral) (?:formed|made) by (?:the points )?(?-i:([A-Z])), (?-i:([A-Z]))((?-i:, [A-Z])?),? and "
        r"(?-i:([A-Z]))\b",
        lambda found: f"{found[1]} {found[2]}{found[3]}{(found[4] or '')[-1:]}{found[5]}",
    ),
    (
        r"(?i)\b(?-i:([A-Z])) divides (?:the (?:side|segment|line) )?(?-i:([A-Z]{2})) (?:so that|such that|in such a way that) "
        r"(?=(?-i:[A-Z]{2}) "
        r"?=)",
        r"\1 is on \2 and ",
    ),
    (r"(?i)\binternally in the ratio\b", "in the ratio"),
    (r"(?i)\b(in the ratio (?:of )?\d[\d.]* ?(?::|to) ?\d[\d.]*) internally\b", r"\1"),
    (
        r"(?i)^(where (?:do|does|will|would) .+? (?:meet|cross|intersect)),? (?:if|when|once) (?:they are |both are |you |it is )?(?:both "
        r")?(?:extended|produced|extend them|made longer)(?: far enough)?(?=[ ?.!]*$)",
        r"\1",
    ),
    (
        r"(?i)\b(?:second|other) (?:point|place) (?:in|at|where) (?:which |where )?(.+?) (?:meets|cuts|crosses|intersects|hits) (.+?)(?=[ "
        r".!?]*$)",
        r"second intersection of \1 and \2",
    ),
    (
        r"(?i)\b(touching|touches|tangent to) ((?:the )?(?:circle |line )?(?-i:[A-Za-z]{1,2})) (at (?-i:[A-Z]) )?from (?:the )?(out|"
        r"in)side\b",
        lambda found: (
            f"{found[1]} {found[2]} {found[4].lower()}ernally {found[3] or ''}".replace("outernally", "externally")
            .replace("inernally", "internally")
            .strip()
        ),
    ),
    (r"(?i)\b(?:an? |the )?right angle (?:named |called )?(?-i:([A-Z]{3}))(?=[ .!]*$)", r"angle \1 of 90 degrees"),
    (
        r"(?i)^(?:given|take|draw|consider|let) (?:an? |the )?((?:acute |obtuse )?angle (?-i:[A-Z]{3}))(?: be given)?,? (?:and )?(?:draw "
        r"|construct )?(?:its|the) bisector(?=[ .!]*$)",
        r"draw an \1 and bisect it",
    ),
    (
        r"(?i)^(?:draw |construct |drop )?(?:the |two )?perpendiculars from (?-i:([A-Z])) (?:to|on|onto) (?-i:([A-Z]{2})) and (?:to |on |"
        r"onto )?(?-i:([A-Z]{2})),? (?:(?:that |which )?(?:meeting|meet|cutting|cut) (?:them|these|these lines|the lines)|with feet|"
        r"their feet(?: being)?) (?:in |at )?(?:the points )?(?-i:([A-Z])) and (?-i:([A-Z]))(?: respectively)?(?=[ .!]*$)",
        r"draw the perpendicular from \1 to \2 meeting \2 at \4 and the perpendicular from \1 to \3 meeting \3 at \5",
    ),
    (
        r"(?i)^(?:draw |take |let )?(?:two )?(?:straight |different )?lines (?-i:([a-z])) and (?-i:([a-z])),? (?:that |which )?(?:meet|"
        r"meeting|cross|crossing|intersect|intersecting|through|both through)(?: each other)?(?: at| in)? (?:a |the )?(?:point "
        r")?(?-i:([A-Z]))(?=[ .!]*$)",
        r"\1 is a line through \3 and \2 is a line through \3",
    ),
    (r"(?i)\b(points? (?:named )?(?-i:[A-Z](?:,? (?:and )?[A-Z])+)) in (?:this |that |the given )?order (?=on\b|round\b|around\b)", r"\1 "),
    (r"(?i)\b(midpoints of (?:two|three|both)) of (?:its|the) sides\b", r"\1 sides"),
    (
        r"(?i)^(?:the )?(?:point )?(?-i:([A-Z])) (?:is|lies) (?:a point |any point )?on (?:the )?side (?-i:([A-Z]{2})) of (?:a|the) "
        r"(square|rhombus|rectangle|parallelogram|triangle|quadrilateral|trapezium) (?-i:([A-Z]{3,4}))(?=[ .!]*$)",
        r"\1 is a point on the side \2 of \3 \4",
    ),
    (
        r"(?i)^(?:a |the )?point (?-i:([A-Z])) moves (?:in such a way |so )?that (?:it is (?:always )?|it (?:always )?stays (?:always )?|"
        r"its distance is always )(\d\S*(?: ?[cm]?m)?) (?:away )?from (?:a |the )?(?:fixed )?(?:point )?(?-i:([A-Z]))(?=[ .!]*$)",
        r"\1 is a point on the circle with centre \3 and radius \2",
    ),
    (r"(?i)\bthe ratio of (?:its|the) (area|perimeter) to (?:that|the \1) of (?=\S)", r"the ratio of its \1 to the \1 of "),
    (r"(?i)\bthe ratio of the (area|perimeter) of (.+?) to that of (?=\S)", r"the ratio of the \1 of \2 to the \1 of "),
    (r"(?i)\b(prove|show|check) that the midpoints of its sides\b", r"\1 that the midpoints of the sides"),
    (
        r"(?i)\b(?:(?-i:([A-Z]{4})) is a )?rhombus(?-i: ([A-Z]{4}))? with (?:sides? (?:of )?(\d\S*(?: ?[cm]?m)?) and (?:an )?angle "
        r"(?-i:([A-Z]|[A-Z]{3})) ?(?:=|of|is) ?(\d[\d.]*) ?(?:°|degrees?)?|(?:an )?angle (?-i:([A-Z]|[A-Z]{3})) ?(?:=|of|is) ?(\d[\d.]*) "
        r"?(?:°|degrees?)? and sides? (?:of )?(\d\S*(?: ?[cm]?m)?))(?=[ .!]*$)",
        _rhombus,
    ),
    (r"(?i)^from (?-i:([A-Z])),? (?:the )?perpendiculars are (?:drawn|dropped) (?=to\b|on\b)", r"draw the perpendiculars from \1 "),
    (r"(?i)^(?:from )?(.+?) (?:a |the )(perpendicular|parallel|tangent|line) is (?:drawn|dropped) (?=to\b)", r"from \1 draw the \2 "),
    # What is made of it.
    (
        r"(?i)^(?:make|draw|create|construct) a (?:copy|version|picture) of (it|the \w+|\S+?)(?:,| that is|,? which is)? (half|twice|"
        r"double|three times|four "
        r"times|one and a half times) (?:as (?:big|large)|the size)(?: of it)? (?:about|around|from|with centre) (?:the )?(?:point |centre "
        r")?(?-i:([A-Z]))(?=[ .!]*$)",
        _resized,
    ),
    (
        rf"(?i)\bthe ({POLYGON}|figure|shape|polygon|circle|segment|line)['’]s (mirror image|reflection|image|translation|rotation) "
        rf"(?=in\b|"
        r"under\b|about\b|by\b|across\b|over\b)",
        r"the \2 of the \1 ",
    ),
    (
        r"(?i)^(?:cut|split|divide) (?:the |this )?triangle(?: in two| into two(?: parts)?| in half)? along (?=(?:the|its) (?:median|"
        r"altitude|bisector)\b)",
        "draw ",
    ),
    (r"(?i)\b(an? )?angle of (\d[\d.]*) ?(?:°|degrees) (?:with|and) its bisector(?=[ .!]*$)", r"angle of \2° and bisect the angle"),
    (r"(?i)\b(?:make|draw) (?-i:([A-Z]{2})) longer (?:on|at|in) both (?:sides|ends|directions|ways)(?=[ .!]*$)", r"draw the line \1"),
    (
        r"(?i)\b(?:extend|produce|continue) (?:the segment |the side )?(?-i:([A-Z]{2})) (?:on|at|in|to) both (?:sides|ends|directions|"
        r"ways)(?=[ .!]*$)",
        r"draw the line \1",
    ),
    # Numbers that are made of others.
    (
        rf"(?i)(\b(?:with|and|where|in which|such that)|,) (?-i:([A-Z]{{2}})) (?:is )?(?:being )?({_SO_MANY}) (?:(?:as long as|the "
        rf"length of) )?"
        r"(?=(?-i:[A-Z]{2})\b)",
        lambda found: f"{found[1]} {found[2]} = {_factor(found[3])} * ",
    ),
    (
        rf"(?i)\b(segment|line segment|line)((?-i: [A-Z]{{2}})?)( from (?-i:[A-Z]))?,? (?:that is |which is )?({_SO_MANY}) as long as "
        r"(?:the segment |the line |the side )?(?-i:([A-Z]{2}))( (?:from|starting at|beginning at) (?-i:[A-Z]))?(?=[ .!]*$)",
        r"segment\2\3\6 of length \4 \5",
    ),
    (
        rf"(?i)\b(circle(?: (?:with centre|around|about|centred at|centred on) (?-i:[A-Z]))?)(?: with|,| that is| which is| and)* "
        rf"({_SO_MANY}) "
        r"(?:as (?:big|large|wide)|the size|the radius) (?:as|of) (?=(?:the circle |circle )?(?-i:[a-z])(?=[ .!]*$))",
        r"\1 with radius \2 the radius of ",
    ),
    (rf"(?i)\b(radius|diameter) ({_SO_MANY}) that of (?=\S)", r"\1 \2 the \1 of "),
    (r"(?i)\b(rhombus .+? and )sides (?:of |are |being )?(?=\d\S*(?: ?[cm]?m)?[ .!]*$)", r"\1side "),
    (rf"(?i)\b(?-i:([a-z])) ({'|'.join(_SHARES)}) of the way\b", _share),
    (r"(?i)\bpoint(?: on (?-i:[A-Z]{2}))? at (?-i:([a-z]/\d+)) of the way\b", r"point \1 of the way"),
    (r"(?i)\b(\d[\d.]*) times (?-i:([a-z])) (?=degrees\b|°)", r"\1*\2 "),
    # Manners that say nothing of what is drawn.
    (r"(?i)(?:,? (?:very |nice and )?(?:clearly|neatly|carefully|accurately|lightly|in pencil|with a ruler|freehand))(?=[ .!]*$)", ""),
    (r"(?i)^((?:move|push|shift|slide|nudge|drag) .+?) straight (?=(?:up|down|left|right|across)\b)", r"\1 "),
    (r"(?i)^reset (?=(?-i:[a-z])\b)", "set "),
    (
        r"(?i)^(?:do not|don['’]?t) (?:show|display|draw|print) (?=(?:the |any )?(?:name|label|names|labels|grid|axes|circle|line|point|"
        r"value)s?\b|(?-i:[A-Za-z])\b)",
        "hide ",
    ),
    (
        r"(?i)^(?:let |make )?(?-i:([A-Z])) (?:should |must |to )?(?:leave|leaves|draw|draws) a (?:trail|trace|track)(?: behind(?: "
        r"it)?)?(?: (?:when|as|while) (?:it|(?-i:[A-Z])) (?:moves|is moved|is dragged))?(?=[ .!]*$)",
        r"trail \1",
    ),
    (
        r"(?i)^leave a (?:trail|trace|track)(?: behind)? (?:when|as|while|for|of) (?:the point )?(?-i:([A-Z]))(?: (?:moves|is moved|is "
        r"dragged))?(?=[ .!]*$)",
        r"trail \1",
    ),
)
