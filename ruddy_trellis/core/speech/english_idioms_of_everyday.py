"""Idioms of English as it is spoken in a classroom: by children, by a tutor, by dictation.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import POLYGON, Idioms

_SHAPES = f"{POLYGON}|polygon|circle"
#: Words before a shape that say nothing of it.
_ANY = r"big|large|huge|little|tiny|nice|simple|basic|ordinary|normal|plain|any old|good"
#: Shapes by how many sides they have.
_SIDED = {
    "three": "triangle", "four": "quadrilateral", "five": "pentagon", "six": "hexagon", "seven": "regular heptagon",
    "eight": "octagon", "3": "triangle", "4": "quadrilateral", "5": "pentagon", "6": "hexagon", "8": "octagon",
}  # fmt: skip

#: What is done to things, as it is said of them.
_DONE = {
    "turned": "turn", "rotated": "rotate", "reflected": "reflect", "mirrored": "reflect", "moved": "move", "shifted": "move",
    "translated": "translate", "enlarged": "enlarge", "shaded": "shade", "coloured": "colour", "colored": "colour", "drawn": "draw",
    "constructed": "construct", "marked": "mark", "measured": "measure", "joined": "join", "hidden": "hide", "bisected": "bisect",
    "extended": "extend", "produced": "produce", "labelled": "label", "labeled": "label",
}  # fmt: skip


def _traced(found: re.Match[str]) -> str:
    """A trail of what is not there yet: it is drawn first."""
    return f"draw {found[2]} and {found[1].lower()} it"


#: Everyday ways of asking for things, by how they are read.
OF_EVERYDAY: Idioms = (
    (
        r"(?i)^(?:split|cut|divide|share) ((?:the )?angle \S+) into (\w+) equal (?:angles|parts|"
        r"pieces)(?=[ .!]*$)",
        r"divide \1 into \2 equal parts",
    ),
    (
        r"(?i)\b(divide|split|cut|share) (.+? into \w+) equal (?:lengths|bits|pieces|segments|sections|lots)(?=[ .!]*$)",
        r"divide \2 equal parts",
    ),
    (
        r"(?i)^(?:add|total|sum) (?:up )?(?:all )?(?:of )?(?:the )?((?:three|four|five|six) )?(?:interior |inner )?angles(?: (?:of|in) "
        r"(.+?))?(?: together| up)?(?=[ .!?]*$)",
        lambda found: f"the sum of the {found[1] or ''}angles{f' of {found[2]}' if found[2] else ''}",
    ),
    (
        r"(?i)^give (?-i:([A-Za-z])) (?:a (?:different|new|another)|another) name,? ?(?:say|such as|:|for example) "
        r"?(?-i:([A-Za-z]))(?=[ .!]*$)",
        r"rename \1 to \2",
    ),
    (r"(?i)^give (?-i:([A-Za-z])) the (?:new )?name (?-i:([A-Za-z]))(?=[ .!]*$)", r"rename \1 to \2"),
    (r"(?i)^(?:show|display|tell|what is)(?: me| us)? the value of (.+?) squared(?=[ .!?]*$)", r"what is \1²"),
    (r"(?i)^(?:show|display)(?: me| us)? the value of (?=\S)", "what is "),
    (r"(?i)\b(?:by|through) an angle of (?=\d*[a-z]\b)", "by "),
    (r"(?i)^where does (.+?) hit (.+?) (?:for the|the) second time(?=[ .?!]*$)", r"where does \1 meet \2 again"),
    (r"(?i)^(?:u[mh]+|er+m?|hmm+|well|right|okay|ok)[ ,]+(?=so\b|can\b|could\b|i\b|we\b|please\b|draw\b|make\b)", ""),
    (r"(?i),? please(?=, )", ""),
    (
        r"(?i)^((?:an? |the |i want an? |we need an? |draw an? )?(?:line )?segment)(,? .*?)?,? (?:and )?(?:call|name|label) (?:the|its) "
        r"(?:two )?(?:ends?|end points|endpoints) (?-i:([A-Z])) and (?-i:([A-Z]))(?=[ .!]*$)",
        r"\1 \3\4\2",
    ),
    (r"(?i)^so (?=can |could |please |draw |make |i |we )", ""),
    (r"(?i)\b(have|get|do|draw|make) like (?=an? |the )", r"\1 "),
    (
        r"(?i)^(?:say|read)(?: out| aloud| to me| me)* (?=the (?:coordinates?|length|size|area|perimeter|distance|radius|angle)\b)",
        "measure ",
    ),
    (rf"(?i)\b((?:{_ANY}) )?((?:{_SHAPES})) in the middle(?: of (?:the )?(?:board|screen|page|paper))?(?=[ .!]*$)", r"\2"),
    (
        r"(?i)\b(circle) (?:with|and) an inscribed ((?:equilateral )?triangle|square|regular \w+|pentagon|hexagon)\b",
        r"\1 and a \2 inscribed in it",
    ),
    (
        r"(?i)^(?:put|add|stick) (?:a |the )?(?:label|sign|caption) (?:that says|saying|reading) [\"“]?([\w ]+?)[\"”]? "
        r"(?=on |beside |next to )",
        r'write "\1" ',
    ),
    (r"(?i)\bthe (?-i:([A-Z]))(?=[ ,.!?]*$| and the (?-i:[A-Z])\b)", r"\1"),
    (r"(?i)^join (?:up )?(?:the )?opposite (?:corners|vertices)(?= of|[ .!]*$)", "draw the diagonals"),
    (r"(?i)\b(?:these|those) (?=(?:two |three |four )?(?:points|lines|circles|segments)\b)", "the "),
    (r"(?i)\b(?:the )?side (?:straight )?(?:across|opposite)(?: from (?:it|there))?(?=[ ,.!]*$)", "the opposite side"),
    (r"(?i)^(hide|delete|remove|erase) (?:everything|all)(?: else)? (?:but|except(?: for)?|apart from) (?=\S)", r"\1 everything except "),
    (r"(?i)^(?:pop|put|stick|place|set|get) (an? (?!\d)[a-z -]+?|the [a-z -]+?|two [a-z -]+?) down(?=[ .!]*$|,)", r"draw \1"),
    (r"(?i)\b(?:really|actually|truly|indeed) (?=\w)", ""),
    (
        r"(?i)^(?:i want |we want |have |get )?(?-i:([A-Z])) and (?-i:([A-Z])) (?:to be )?(?:joined|connected|linked) (?:up )?(?:by|with) "
        r"(an? [a-z, -]*(?:line|segment))(?=[ .!]*$)",
        r"join \1 and \2 with \3",
    ),
    (
        r"(?i)^(?:join|connect|link) (?-i:([A-Z])) (?:and|to|with) (?-i:([A-Z])) (?:by|with) an? (?:straight )?"
        r"((?:dashed|dotted|thick|thin|bold|red|blue|green|black|brown|orange|purple)(?:,? and |, | )?\w*) (?:straight "
        r")?(?:line|segment)(?=[ .!]*$)",
        lambda found: f"draw the segment {found[1]}{found[2]} and make it {' and '.join(re.findall('(?!and)[a-z]+', found[3]))}",
    ),
    (r"(?i)^dimension (?-i:([A-Z]|[a-z])) ?(?:to|-|–|from|and) ?(?-i:([A-Z]|[a-z]))(?=[ .!]*$)", r"measure the distance from \1 to \2"),
    (r"(?i)^(?:leave|put|show) a (?:trail|trace) (?:behind|of|after) (?=\S+[ .!]*$)", "trail "),
    (
        r"(?i)^how much (?:longer|bigger|greater|larger|more) is (\S+|(?:the )?angle \S+) than (\S+|(?:the )?angle \S+?)(?=[ ?.!]*$)",
        r"what is \1 - \2",
    ),
    (r"(?i),? how much is (?:it|that)(?=[ ?.!]*$)", ""),
    (r"(?i)^(?:put|keep|make|hold) (?:the )?(?:point )?(?-i:([A-Z])) (?:fixed|still|in place)(?=[ .!]*$)", r"lock \1"),
    (r"(?i)^make (?:invisible|hidden) (?=\S)", "hide "),
    (r"(?i)^make visible (?=\S)", "show "),
    (
        r"(?i)^(move|push|shift|nudge) a (?=(?:\d+|one|two|three|four|five|six|seven|eight|nine|ten)\b.*\b(?:left|right|up|down)\b)",
        r"\1 A ",
    ),
    (r"(?i)\bwith (?:integer|whole|whole number) values (?=from\b)", ""),
    (r"(?i)\b(?:colou?r|paint) (it|them|the \w+|(?-i:[A-Z]{3,})) in(?=[ .!]*$)", r"shade \1"),
    (
        r"(?i)\b(?:straight )?(?:line|segment) with (?:a |two )?(?:dots?|points?) (?:at|on) (?:each|both|its|either) ends?(?=[ .!]*$)",
        "segment",
    ),
    (
        r"(?i),? (?:it )?(?:doesn[’']t|does not|needn[’']t|need not) (?:have|need) to be (?:regular|exact|perfect|equal|"
        r"special)(?=[ .!]*$)",
        "",
    ),
    (r"(?i)\bfixed (?=points?\b|lines?\b|circles?\b)", ""),
    (r"(?i)\bcircle by them\b", "circle through them"),
    (r"(?i)^it is (?=an? )", ""),
    (r"(?i)^(from|through|at|on) ((?-i:[A-Z]{1,2})),? (?:I|we|you|one) (?=draws?\b|constructs?\b)", r"\1 \2 "),
    (r"(?i)\bthe (triangle|circle|square|rectangle|quadrilateral|parallelogram|polygon)[’']s (?=\w)", r"the \1 "),
    (
        r"(?i)^((?:.* )?)(?:put |draw |show )?the (triangle|circle|square|quadrilateral) (centroid|incent(?:re|er)|circumcent"
        r"(?:re|er)|orthocent(?:re|er)|cent(?:re|er)|incircle|circumcircle|area|perimeter|medians|altitudes)(?: in| on)?(?=[ .!?]*$)",
        r"\1the \3 of the \2",
    ),
    (r"(?i)\bline from (?-i:([A-Z])) straight (?:down )?to (?=(?-i:[A-Z]{2}|[a-z])\b)", r"perpendicular from \1 to "),
    (r"(?i)\bparallel line to\b", "parallel to"),
    (r"(?i)^(translate|move|shift) (.+?) with (?=the vector\b|(?-i:[A-Z]{2})\b)", r"\1 \2 by "),
    (r"(?i)\bdropped (?=from\b|on\b|onto\b|to\b)", ""),
    (r"(?i)\bon top of (?=(?-i:[A-Z]{2})\b)", "above "),
    (r"(?i)\btwo circles (?:of )?the same size(?=[ .!]*$)", "two equal circles"),
    (
        r"(?i)\bpoints? (?:of|on) (the circle|the line|(?-i:[a-z]|[A-Z]{2})) (?:which|that) (?:are|is|lie|lies) (?:at )?(?:a |the )?"
        r"(?:distance (?:of )?)?(\d\S*(?: ?[cm]?m)?) (?:away )?from (?-i:([A-Z]))(?=[ .!]*$)",
        r"points where \1 meets the circle with centre \3 and radius \2",
    ),
    (r"(?i)\bthe (?:little|tiny|smaller|inner) (?=triangle|square|circle|quadrilateral|rectangle)", "the small "),
    (r"(?i)^(?:oops|whoops|hmm+|er+m?|um+|ah|oh|ok(?:ay)?|well|no),? (?=\w)", ""),
    (r"(?i)^(?:gimme|lemme have|lemme see) ", ""),
    (r"(?i)^start off with ", ""),
    (r"(?i)\b(and|then|,) (?:we|I|you) (?=(?:draw|take|join|construct|mark|make|bisect|put|choose|reflect|rotate|measure)\b)", r"\1 "),
    (r"(?i)^(?:that|this) (?=undo\b)|(?<=^undo) that(?=[ .!]*$)", ""),
    (r"(?i)\b(?:that|this) (?=(?:angle|side|corner) (?:at|of)\b)", "the "),
    (r"(?i)^what (?:happens|would happen) to (\S+) (?:if|when) (?:I|we|you) (reflect|rotate|translate|enlarge|turn|move) it\b", r"\2 \1"),
    (r"(?i)\band has (?=(?-i:[A-Z]) (?:in|at|as) (?:the|its) (?:middle|cent(?:re|er)))", "with "),
    (r"(?i)^make (?-i:([A-Z])) move (?=up|down|left|right)", r"move \1 "),
    (rf"(?i)\b({POLYGON}) (?:which|that) has (?=(?:all|two|three|four|equal)\b)", r"\1 with "),
    (
        rf"(?i)\b((?:an? |the )?)({POLYGON}|polygon|shape) (?:where|in which|with|whose|that has|so that) (?:all )?"
        r"(?:of )?(?:the |its )?(?:three |four )?sides (?:are )?(?:all )?(?:the same|equal|the same length|of equal length)(?=[ ?.!]*$)",
        lambda found: "a rhombus" if found[2].lower() == "quadrilateral" else f"{found[1]}regular {found[2]}",
    ),
    (
        r"(?i)\bcircle with a line (?:going |passing |which goes |that goes )?through (?:the|its) (?:middle|cent(?:re|er))\b",
        "circle and a line through its centre",
    ),
    (r"(?i)\bwith (?:the|its) (?:top|vertex|corner|point) (?:in|at) (?=(?-i:[A-Z])\b)", "at "),
    (r"(?i)\b(?:the )?same distance from (?-i:([A-Z])) as (?:it is )?(?:from )?(?=(?-i:[A-Z])\b)", r"equidistant from \1 and "),
    (r"(?i)\b(?:to be )?(?:at )?(?:that|which) are equidistant\b", "equidistant"),
    (r"(?i)^(?:let[’']?s |let us |we )?note (?:by )?(?-i:([A-Z])) (?=the\b)", r"let \1 be "),
    (
        r"(?i)\bcircle (?:to touch|touching|that touches|which touches) (?:all )?(?:the |its )?(?:three )?sides(?: of the "
        r"triangle)?(?=[ .!]*$)",
        "the incircle",
    ),
    (r"(?i)\b(?:draw|make|construct) an? the\b", "draw the"),
    (r"(?i)^((?:the )?altitude from (?-i:[A-Z])),? (?:with |and )?(?:its |the )?foot (?-i:([A-Z]))(?=[ .!]*$)", r"\2 is the foot of \1"),
    (r"(?i)^(?:and )?(?:how|what) about (?=an?\b|the\b|some\b|two\b)", "draw "),
    (r"(?i)^(?:stick|pop|put|whack|pick out) (the [a-z -]+?|an? [a-z -]+?) (?:on|in|up)(?=[ .!]*$)", r"draw \1"),
    (r"(?i)^show (?:me |us )?what (an? .+?) (?:looks? like|is)(?=[ ?.!]*$)", r"draw \1"),
    (
        r"(?i)\btriangle with two (?:sides (?:the same|equal|of (?:the same|equal) length|that are (?:the same|equal))|equal sides)\b",
        "isosceles triangle",
    ),
    (
        r"(?i)(?<!is )\btriangle((?-i: [A-Z]{3}| [a-z] [a-z] [a-z])) (equilateral|isosceles|right-angled|scalene)(?=[ .!]*$)",
        r"\2 triangle\1",
    ),
    (r"(?i)^(?:draw |show |put on )?(?:a |the )?coordinate (grid)(?=[ .!]*$)", r"show the \1"),
    (
        r"(?i)^(?:draw )?(?:straight )?lines from (?-i:([A-Z])) to (?-i:([A-Z])) and (?:from )?(?-i:([A-Z])) to (?-i:([A-Z]))(?=[ .!]*$)",
        r"join \1 to \2 and \3 to \4",
    ),
    (r"(?i)\b(line|circle|ray) by (?=(?-i:[A-Z])\b)", r"\1 through "),
    (
        r"(?i)\bcircle (?:which|that) (?:passes|goes) (?:from|through|by) (?-i:([A-Z])) and (?:which |that )?has (?:its |the |a )?cent"
        r"(?:re|er) (?:in|at|on) (?-i:([A-Z]))\b",
        r"circle with centre \2 through \1",
    ),
    (r"(?i)\btangents? (?:at|on) (the circle|circle (?-i:[a-z]))(?=[ .!]*$)", r"tangents to \1"),
    (
        r"(?i)^(?:draw )?(?:around |round )(?:all )?(?:the )?(?:three )?(?:points|corners) (?:with )?a circle(?=[ .!]*$)",
        "draw the circumcircle",
    ),
    (r"(?i)\bcircle on (?=(?-i:[A-Z]) (?:going|passing|which|that|with|through)\b)", "circle about "),
    (
        rf"(?i)(?<!the )\b(?:(an?) )?(?:{_ANY}) (?=(?:{_SHAPES}|right|isosceles|equilateral|scalene|acute|obtuse|regular)\b)",
        lambda found: "a " if found[1] else "",
    ),
    (r"(?i)^(?:pop|stick|bung|chuck|whack|shove|throw) (?:on |in |up )?(?=an?\b|the\b|some\b|two\b|three\b|points?\b|circle\b)", "draw "),
    (r"(?i)\b(tangent|radius|diameter|chord|perpendicular|parallel) on (?=at\b)", r"\1 "),
    (
        rf"(?i)\b(?:an? )?(?:shape|figure|polygon) (?:with|having|that has|which has) ({'|'.join(_SIDED)}) (?:straight )?"
        r"(?:sides|corners|edges|vertices|angles)(?=[ .!]*$)",
        lambda found: "a " + _SIDED[found[1].lower()],
    ),
    (r"(?i)\btwo lines (?:that|which) (?:cross|intersect|meet|cut)(?: each other| one another)?(?=[ .!]*$)", "two intersecting lines"),
    (
        r"(?i)\btwo lines (?:that|which) (?:never|do not|don[’']t) (?:cross|intersect|meet|touch)(?: each other| one another)?(?=[ .!]*$)",
        "two parallel lines",
    ),
    (r"(?i)\btwo (?:crossing|overlapping) (?=lines|circles)", "two intersecting "),
    (r"(?i)\b(?:that|which) goes on (?:and on |for ?ever|without end)+(?=[ .!]*$)", ""),
    (r"(?i)\b(how big is|measure|what size is|find|what is) (?:the )?corner (?:at )?(?=(?-i:[A-Z])\b)", r"\1 the angle at "),
    (
        r"(?i)^trace (?=(?:an?|the) (?:straight )?(?:height|altitude|line|circle|segment|perpendicular|parallel|bisector|median|"
        r"tangent|diagonal|radius|ray)\b)",
        "draw ",
    ),
    (
        r"(?i)^(shade|colou?r|fill|paint|hatch)(?: in)? (?:the )?(?:inside|interior) of (?:the )?(\w+)(?: in)?(?= \w+|[ .!]*$)",
        r"\1 the \2",
    ),
    (
        r"(?i)^(shade|fill|hatch)(?: in)? (the \w+|[A-Z]{3,}) (?:in |with )(?=(?:red|green|blue|yellow|orange|purple|"
        r"pink|grey|gray|brown)\b)",
        r"colour \2 ",
    ),
    (r"(?i)\bin the interior of ", "inside "),
    (r"(?i)\bin the exterior of ", "outside "),
    (
        r"(?i)\b(?:which|what) point is (?:at )?(?:the same distance|equally far|as far) (?:away )?from all (three|four)?"
        r"(?: of (?:them|the (?:points|corners|vertices)))?(?: points| corners| vertices)?(?=[ ?.!]*$)",
        lambda found: f"the point equidistant from the {f'{found[1]} ' if found[1] else ''}corners",
    ),
    (r"(?i)^([a-z]) (?:should|must|ought to|shall|has to) (?:be|equal) (?=-?\d)", r"\1 is "),
    (r"(?i)\bin the right line\b", "in line"),
    (r"(?i)\ba right line\b", "a line"),
    (
        r"(?i)^(?:the )?(?:point )?(?-i:([A-Z])) (?:is )?(?:moving|moves|running|runs|travelling|travels|going|goes) (?:round |around )?"
        r"(on|along|around|round) (?=(?:the )?\w+[ .!]*$)",
        r"make \1 move along ",
    ),
    (r"(?i)\bpoint (?:moving|that moves|which moves|running|sliding|that slides) (?:on|along|around|round) ", "point on "),
    (r"(?i)^(divide .+ into \w+ (?:equal )?parts?),? (?:starting|beginning|from) (?:from |at |with )?(?-i:[A-Z])(?=[ .!]*$)", r"\1"),
    (
        r"(?i)\b(?:an? |the )?triangle (?:made )?(?:with|from|out of) (?-i:([A-Z]),? (?:and )?([A-Z])),? and (?:a|one) "
        r"(?:new|third|further) (?:point|corner|vertex)\b",
        r"a triangle on \1\2",
    ),
    (r"(?i)\b(?:mediatrix|mediatrice)\b", "perpendicular bisector"),
    (r"(?i)\b(?:axial )?symmetry (?:of|with|about) (?:the )?axis (?=\w)", "reflection in "),
    (r"(?i)\bimage of (\S+) (?:by|under|in|through) the (?=reflection\b)", r"image of \1 under the "),
    (r"(?i)^(extend|produce|prolong) ((?-i:[A-Z]{2})) after ", r"\1 \2 beyond "),
    (r"(?i)^((?:extend|produce|prolong) (?-i:[A-Z]{2}) beyond (?-i:[A-Z])) (?:of|for) (?=\d)", r"\1 by "),
    (
        r"(?i)^((?-i:.*\bperpendicular from ([A-Z]) (?:to|on|onto) ([A-Z]{2}))),? (?:with |and )?(?:its |the )?foot "
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"\4 is the foot of the perpendicular from \2 to \3",
    ),
    (r"(?i)\b(and|then) (?:show|tell|give) (?:me|us) (?=where\b|the\b)", r"\1 mark "),
    (
        r"(?i)^how (?:big|large) is (the (?:triangle|quadrilateral|square|rectangle|parallelogram|polygon|circle|pentagon|hexagon)|"
        r"(?-i:[A-Z]{3,6}))(?=[ ?.!]*$)",
        r"what is the area of \1",
    ),
    (r"(?i)^((?:join|connect|link) .+?) (?:up|together)(?=[ .!]*$)", r"\1"),
    (rf"(?i)^((?:join|connect|link) .+?) (?:up )?into (?=(?:an? |one )?(?:{POLYGON})\b)", r"\1 to "),
    (r"(?i)\b(out|in)wardly\b", lambda found: "externally" if found[1].lower() == "out" else "internally"),
    (r"(?i)^join (?:all )?(?:the )?midpoints(?=[ .!]*$)", "join the midpoints of the sides"),
    (r"(?i)\b(perpendicular|altitude|height|line) from (\S+) (?:straight )?(?:down|across|over) (?=to\b|on\b|onto\b)", r"\1 from \2 "),
    (r"(?i)\bin (?=the same distance\b|equal distance)", "at "),
    (r"(?i)\b(line (?:parallel|perpendicular) to .+?),? to (?:meet|cut|cross|intersect) ", r"\1 meeting "),
    (r"(?i)\b(circle(?: with)? cent(?:re|er) (?-i:[A-Z])),? to touch ", r"\1 touching "),
    (r"(?i)^((?:join|connect|link) .+?),? (?:one after (?:the other|another)|in order|in turn)(?=[ .!]*$)", r"\1"),
    (r"(?i)^(?:find|determine|sketch|plot|describe|construct|what is|show me|show) (?=the locus of\b)", ""),
    (r"(?i)^(?:the )?(diameter|radius) (?=(?:through|thru|parallel to|perpendicular to) \S)", r"draw the \1 "),
    (
        r"(?i)^(?:draw )?circles (?:at|on|round|around|about|cent(?:re|er)ed (?:at|on)) "
        r"(?-i:([A-Za-z](?:,? [A-Za-z])*,? and [A-Za-z])),? (?:with )?(?:of )?radius (?=\S)",
        r"circles with centres \1 and radius ",
    ),
    (r"(?i)\bthree[- ]point (?=arc|circle)", ""),
    (
        r"(?i)^(?-i:([A-Z])) (?:with|so that|such that) (?-i:([A-Z]{4})) (?:is )?(?:a |an )?(parallelogram)(?=[ .!]*$)",
        r"let \1 be such that \2 is a \3",
    ),
    (
        r"(?i)\bline (?:which |that )?(?:goes |going |runs )?through (?-i:([A-Z])) and (?:carries|goes|keeps|runs)(?: "
        r"going)? on (?:past|beyond|after) (?=(?-i:[A-Z])\b)",
        r"line through \1 and ",
    ),
    (
        r"(?i)^with (?-i:([A-Z]) and ([A-Z])) as cent(?:re|er)s and (?:a |the )?radius (\S+(?: ?[cm]?m)?),? draw (?:two "
        r"|the )?(circles|arcs),? (?:and let them meet|meeting|to "
        r"meet|that meet|which meet|intersecting|cutting(?: each other)?|and let them intersect) (?=at\b|in\b)",
        r"draw two circles with centres \1 and \2 and radius \3 meeting ",
    ),
    (
        rf"(?i)^((?:draw |make |sketch )?(?:any |an? )(?:[a-z-]+ )?(?:{_SHAPES})),? (?:and )?(?:label|call|name) it "
        rf"(?-i:([A-Z]{{3,6}}))(?=[ .!]*$)",
        r"\1 \2",
    ),
    (
        r"(?i)^(an?|the|two|three) ([a-z -]+?) (?:is|are) (?:drawn|constructed|described) (?=with\b|through\b|on\b|from\b|about\b)",
        lambda found: f"draw {found[1].lower()} {found[2]} ",
    ),
    (r"(?i)^(?:create |put |plot |mark |draw )?(?:a |the )?(?:point (?:at |on )?)?(?:the )?origin(?=[ .!]*$)", "draw the point (0, 0)"),
    (r"(?i)^let(?:[’'′]s| us) (?:have|get|see|put in|add|do|look at|bring in) (?=the\b|an?\b|some\b|two\b|three\b|all\b|both\b)", "draw "),
    (r"(?i)^let me have (?=an?\b|the\b|some\b|two\b|three\b)", "draw "),
    (r"(?i)^define (?-i:([A-Za-z])) (?:as|to be) ", r"let \1 be "),
    (r"(?i)^(mark|find|draw|show|measure|construct|label|compare|hide|delete),? please,? ", r"\1 "),
    (
        r"(?i)^(mark|put|name|label) the (?:middle|midpoint|centre|center) of (?:the )?(?:side |segment |line )"
        r"?(?-i:([A-Z]{2})) (?:with|as|by) (?=(?-i:[A-Z])\b)",
        r"let the midpoint of \2 be ",
    ),
    (
        r"(?i)^(?:draw )?from (?:every|each) (?:corner|vertex),? (?:draw )?(?:the |a )?(?:line|segment) to the "
        r"(?:middle|midpoint|centre|center) of the opposite side(?=[ .!]*$)",
        "draw the medians",
    ),
    (r"(?i)\bangle by (?=(?-i:[A-Z])\b)", "angle at "),
    (r"(?i)\b(?:the )?cent(?:re|er)[- ]?line of (?=(?-i:[A-Z]{2})\b)", "the perpendicular bisector of "),
    (r"(?i)^(?:can|could|would) (?:you|we) (?:please )?(?:show|tell|give) (?:me |us )?(.+?) in degrees(?=[ ?.!]*$)", r"measure \1"),
    (r"(?i)\b(secant|tangent|transversal) line (?=(?-i:[A-Z]{2})\b)", r"line "),
    (
        r"(?i)^let (?-i:[a-z]) be the (reflection|rotation|translation|enlargement|half turn) (.+?) and apply it to "
        r"(?-i:([A-Z]{1,4}))(?=[ .!]*$)",
        r"the image of \3 under the \1 \2",
    ),
    (r"(?i)^fix (?:a |the )?point (?-i:([A-Z])) on (?=\S)", r"let \1 be a point on "),
    (r"(?i)^which is (?=the (?:radius|diameter|area|perimeter|circumference|length|height|angle)\b)", "what is "),
    (r"(?i)\ba straight (?=(?:which|that|through|from|parallel|perpendicular)\b)", "a line "),
    (r"(?i)\b(line) across the (?:middle|cent(?:re|er)) of (?=(?:the )?circle\b)", r"\1 through the centre of "),
    (
        r"(?i)^(?:how long is|what is the length of|find the length of|measure|measure the length of|the length of|"
        r"length of) (?:the |a )?tangent (?:drawn )?from (?-i:([A-Z]))"
        r"(?: to (?:the circle|(?-i:[a-z])))?(?=[ ?.!]*$)",
        r"measure the distance from \1 to the contact of the tangent from \1",
    ),
    (
        r"(?i)^put (?:the )?point (?-i:([A-Z])) (?:in|at|on) (?:the )?(?:coordinates|position|place) (-?[\d.]+)(?: and |"
        r", ?)(-?[\d.]+)(?=[ .!]*$)",
        r"\1 = (\2, \3)",
    ),
    (
        r"(?i)\b(lines|segments|chords) (?:which|that) are (parallel|perpendicular|equal)(?: to (?:each other|one another))?(?=[ .!]*$)",
        lambda found: f"{found[2]} {found[1]}",
    ),
    (
        r"(?i)^(?:draw |make )?(?:a |another )?copy of (?:the |this )?(?:shape|figure|polygon|quadrilateral|triangle) (?=\d)",
        "translate the polygon ",
    ),
    (r"(?i)\b(?:distinct|different) (?=points?\b|lines?\b|circles?\b)", ""),
    (r"(?i)\b(?:construction|auxiliary|helper|guide) (?=lines?\b|circles?\b)", ""),
    (
        r"(?i)\bcircle (?:which|that) has (?:its |the |a )?cent(?:re|er) (?:in|at|on) (?-i:([A-Z])),? and (?:which |"
        r"that )?(?:touches|is tangent to) ",
        r"circle with centre \1 touching ",
    ),
    (r"(?i)\b(?:the |a )?circle inside (?:the |a )?triangle,? (?:that|which) touches (?:all )?(?:the |its |three )*sides", "the incircle"),
    (r"(?i)\bsquare corner\b", "right angle"),
    # What has to be done to a thing, said of the thing: "the triangle must be turned 60 degrees".
    (
        rf"(?i)^(.+?) (?:must|should|has to|have to|needs? to|is to|are to|ought to|shall) be ({'|'.join(_DONE)})\b ?(.*?)(?=[ .!]*$)",
        lambda found: f"{_DONE[found[2].lower()]} {found[1]} {found[3]}".rstrip(),
    ),
    # Where and with what it is drawn, which says nothing of it.
    (
        r"(?i),? (?:on|in) (?:the|this|our|your) (?:page|sheet|screen|blackboard|whiteboard|exercise book|notebook)(?=[ ,.!]|$)",
        "",
    ),
    (r"(?i),? (?:with|using) (?:a|the|your|my) (?:ruler|pencil|set square|protractor)(?=[ .!]*$)", ""),
    (
        r"(?i)^(?:an?|the) (?:path|fence|road|pipe|ditch|line|wall) (?:runs|goes|leads|is laid) from (?-i:([A-Z])) (?:at right "
        r"angles|perpendicular|square) to (?:the )?(?-i:([A-Z]{2}|[a-z]))(?=[ .!]*$)",
        r"draw the perpendicular from \1 to \2",
    ),
    (
        r"(?i)^where (?:could|can|must|should|might|may) (?:i|we|you|one|somebody|a (?:child|person|tap|tree|bench)) "
        r"(?:stand|be|sit|stay|go)(?: so as)?,? (?:to be )?(?:at )?(?:the same distance|equally far|just as far|equidistant) from "
        r"(?-i:([A-Z])) (?:and|as from) (?-i:([A-Z]))(?=[ ?.!]*$)",
        r"draw the perpendicular bisector of \1\2",
    ),
    (
        r"(?i)^how much (?:further|farther|longer|more) is it from (?-i:([A-Z])) to (?-i:([A-Z])) than from (?-i:([A-Z])) to (?-i:([A-Z]))"
        r"(?=[ ?.!]*$)",
        r"what is \1\2 - \3\4",
    ),
    (r"(?i)^(trace|trail) (?=(?:the|a) (?:midpoint|centroid|circumcentre|incentre|orthocentre|foot|image)\b)(.+?)(?=[ .!]*$)", _traced),
    (r"(?i)^(?:tell|give|show) (?:me|us) (?=all\b)", ""),
    (r"(?i)\ball (three|four|five|six) (?=(?:angles|sides|corners|medians|altitudes|heights|bisectors)\b)", r"the \1 "),
    (r"(?i)^how far is it from (.+?) (?:until|till|up to|as far as) (?=\S)", r"how far is it from \1 to "),
    (r"(?i)^(?:(?:we|i|let us|let[’']?s) )?(?:begin|start)(?: off)? with (?=\S)", "draw "),
    (r"(?i)^rule (?=(?:a|the|one)? ?(?:straight )?line (?=\d))(?:a |the |one )?(?:straight )?line ", "draw a segment "),
    (r"(?i)^rule (?=(?:a|the|one|two) )", "draw "),
    (r"(?i)\band (?:find|mark|show) its middle(?=[ .!]*$)", "and its midpoint"),
    (r"(?i)^(?:peg|set|lay|mark) out (?=(?:a|an|the|one|two|three)\b)", "draw "),
    (
        r"(?i)^(?:lay|run|stretch|put) (?:a|the) (?:hose|rope|string|wire|pipe|cord|cable|chain) (?=(?:from|between)\b)",
        "draw the segment ",
    ),
    (
        r"(?i)^how many square (?:met(?:re|er)s|centimet(?:re|er)s|cm|m) (?:is|has|does|are (?:in|inside)|big is) (.+?)(?: have| cover| "
        r"measure)?(?=[ ?.!]*$)",
        r"what is the area of \1",
    ),
    (r"(?i)\bthe (?:bed|garden|lawn|plot)(?=[ ?.!]*$)", "the polygon"),
    (r"(?i)^(diameter|radius|circumference)(?= ?\?$)", r"what is the \1"),
    (r"(?i)^(?:label|show|mark|write|give) (?:the |all )?(?:side lengths|lengths of (?:the |all )?sides)(?=[ .!]*$)", "measure the sides"),
    (r"(?i)^(?:colou?r|fill|shade|paint) the inside (?=(?:in )?\w+[ .!]*$)", "fill the polygon "),
    (r"(?i)^how much (?:measures|is) (?=(?:the )?angle\b)", "what is "),
    (r"(?i)\bangle (?:in|at) (?:the )?corner (?=(?-i:[A-Z])\b)", "angle at "),
)
