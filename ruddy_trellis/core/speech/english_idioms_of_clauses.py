"""Idioms of English in which something is said of a thing in a clause of its own ("whose centre is C and which touches AB"), in a verb
that shapes take ("with AB as one side"), or by a noun that stands for a description ("the circumradius").

Each is a form and what is read for it, as in ``english_idioms``, which puts them before its own.
"""

import re
from collections.abc import Callable

_SIZE = r"\d[\d.]*(?: ?[cm]?m)?"
_OF_TRIANGLES = r"in-?circle|circum-?circle|medians?|altitudes?|centroid|in-?cent(?:re|er)|ortho-?cent(?:re|er)|circum-?cent(?:re|er)"
_DEGREES = r"\d[\d.]* ?(?:°|degrees)?"
_MAKE = r"(?:[Dd]raw |[Mm]ake |[Cc]onstruct |[Aa] |[Tt]he )*"
_POLYGON = r"triangle|quadrilateral|square|rectangle|rhombus|kite|trapezium|parallelogram|pentagon|hexagon|octagon"


def _with_parts(found: re.Match[str]) -> str:
    """ "right-angled at B with AB = 3 and BC = 4": what is said besides, in one list."""
    return f"{found[1]} with a right angle at {found[2]}, {found[3]}"


#: Ways of saying what a thing is like, by how they are read.
OF_CLAUSES: tuple[tuple[str, str | Callable[[re.Match[str]], str]], ...] = (
    # A right angle, and others, said after the noun.
    (r"(?i)\btriangle,? (?:which is |that is )?right(?:-| )?angled at (?=[A-Z]\b)", "triangle with a right angle at "),
    (
        rf"^({_MAKE}rhombus (([A-Z]{{2}})[A-Z]{{2}}))(?:,| with) sides? ({_SIZE})(?:,| and)(?: an)? (?:∠|angle )(?:of )?"
        rf"(?:([A-Z]) ?= ?({_DEGREES})|({_DEGREES}) at ([A-Z]))(?=[ .!]*$)",
        lambda found: f"{found[1]} with {found[3]} = {found[4]} and angle {found[5] or found[8]} = {found[6] or found[7]}",
    ),
    (
        rf"^({_MAKE}(?:{_POLYGON}) [A-Z]{{3,6}}), ([A-Z]{{2}} ?= ?{_SIZE}), (?:∠|angle )([A-Z]{{1,3}}) ?= ?({_DEGREES})(?=[ .!]*$)",
        r"\1 with \2 and angle \3 = \4",
    ),
    # Where two things meet.
    (
        r"(?i)\b(intersection|crossing|meeting point) of ((?-i:(?:the )?(?:line|ray|segment|side|median|altitude|bisector|angle bisector|"
        r"perpendicular bisector|perpendicular|parallel|diagonal|circle|chord|tangent)\b[^,]*?)) with (?=(?:the )?(?:line |side |segment |"
        r"circle |ray )?(?-i:[A-Za-z]{1,2})(?=[ .!]*$))",
        r"\1 of \2 and ",
    ),
    # What is asked for by what it would be.
    (
        r"(?i)^where (?:would|does|will|do|should) ([A-Z]) (?:land|go|end up|come|be|get)(?: to)?,? (?:if|when|after) "
        r"(?:we |you |I |it is |it were |it was )?(reflect|rotate|translate|turn|mirror|enlarge)(?:ed|d)? ?(?:it )?",
        r"\2 \1 ",
    ),
    (
        r"(?i)^(?:which|what) line (is|goes|passes|runs) (?=(?:parallel|perpendicular|through|from|tangent))",
        r"draw the line which \1 ",
    ),
    (r"(?i)\b(line|circle|point|ray|segment) what (?=(?:goes|is|passes|touches|runs)\b)", r"\1 which "),
    (r"(?i)^(?:I|we) (?:need|want|would like|have) to know (?=the\b)", "measure "),
    (r"(?i)\bthe distance of (?-i:([A-Z])) (?:and|to) (?=(?-i:[A-Z])\b)", r"the distance from \1 to "),
    (r"(?i)^let ((?-i:[A-Z])) be such that ", r"let \1 be the point such that "),
    (r"(?i)^(extend|produce|continue) ((?-i:[A-Z]{2})) past ", r"\1 \2 beyond "),
    (
        rf"(?i)^(?:mark out|mark off|step off|set off|measure off|measure out) ({_SIZE}) from (?-i:([A-Z])) (?=towards?\b)",
        r"mark the point \1 from \2 ",
    ),
    (
        r"(?i)^copy (?:the )?(?:segment |length |line )?(?-i:([A-Z]{2})) (?:on|onto|along) (?:the )?ray "
        r"(?-i:([A-Z])([A-Z]))(?:,? (?:starting )?(?:at|from) (?-i:\2))?(?=[ .!]*$)",
        r"mark the point on ray \2\3 at the distance \1 from \2",
    ),
    (
        rf"(?i)^offset (?:the )?(?:line )?(\S+) by (?:a distance of )?({_SIZE})(?=[ .!]*$)",
        r"draw a line parallel to \1 at a distance of \2",
    ),
    (r"(?i)^(?:make|draw) a copy of (.+?),? (?:shifted|moved|translated) (?=by\b|\d)", r"translate \1 "),
    (r"^([A-Z]) ?(?:→|->) ?(\1[′'’]) (?:over|in|across) ", r"let \2 be the reflection of \1 in "),
    (r"(?i)^rot (?=\S)", "rotate "),
    (r"(?i)(?<= )abt (?=\S)", "about "),
    (rf"\b({_OF_TRIANGLES}) n (?=(?:the )?(?:{_OF_TRIANGLES})\b)", r"\1 and "),
    # Several things under several names, in order.
    (r"(?i)^(?:the )?points (?=[A-Z]\w*(?:, ?[A-Z]\w*)*,? (?:and )?[A-Z]\w* are the )", ""),
    (r"(?i)^denote by ((?-i:[A-Z])\w*(?:(?:, ?| and )(?-i:[A-Z])\w*)+) the (.+?)(?:,? respectively)?(?=[ .!]*$)", r"\1 are the \2"),
    (r" ?(?:→|->|⟶) ?([A-Z][′'’]?\d?)(?=[ .!]*$)", r", call it \1"),
    # A question about how large something is.
    (r"(?i)^how (?:many degrees|wide|large) (?:has|does|is) (?:the )?(angle [^?]+?)(?: have| measure)?(?=[ .?!]*$)", r"how big is the \1"),
    (
        r"(?i)^(?:what|which) angle does (?-i:([A-Z])([A-Z])) (?:make|subtend|form) at (?-i:([A-Z]))(?=[.?! ]*$)",
        r"how big is the angle \1\3\2",
    ),
    (r"(?i)\bmidpoints of (?:the )?(?:adjacent|consecutive|neighbouring|successive) sides\b", "midpoints of the sides in order"),
    (r"^([A-Z]{2}) ?= ?\?(?=[ .]*$)", r"the distance \1"),
    (r"(?i)\ball (?:of )?the angle (?:measures|sizes)(?=[ .?!]*$)", "all the angles"),
    # What it is for, where the kind of thing says so.
    (
        r"(?i)\b((?-i:an?) (?:point|dot|peg|spot) (?:on|along) .+?) (?:that|which) (?:I |we |you |one )?can (?:be )?"
        r"(?:slide|slid|move|moved|drag|dragged)(?: along it)?(?=[ .!]*$)",
        r"\1",
    ),
    (r"(?i)\bangle in (?=(?-i:[A-Z])\b)", "angle at "),
    # Lines and segments, by what they do.
    (
        r"(?i)\bsegment from ([A-Z]) (?:that is )?(?:as long as|equal to|equal in length to|of the same length as) ([A-Z]{2})\b",
        r"segment from \1 of length \2",
    ),
    (
        r"(?i)\b(?:an? |the )?(?:line )?segment (?:that is )?(?:congruent|equal)(?: in length)? to ([A-Z]{2}) "
        r"with (?:one|an|its) (?:end ?point|end) at ([A-Z])\b",
        r"a segment from \2 of length \1",
    ),
    (r"(?i)\b(runs?|running) (?=through\b)", lambda found: "passing " if found[1].lower().endswith("ing") else "passes "),
    (
        r"(?i)\bline crossing (.+?) at (?:right angles|90 ?(?:°|degrees)) (?:at|through|in) ([A-Z])\b",
        r"line perpendicular to \1 through \2",
    ),
    (
        r"(?i)\b(?:the )?angle (?:which|that) (\S+) and (\S+) (?:make|form|enclose|include)"
        r"(?: together| with (?:each other|one another))?\b",
        r"the angle between \1 and \2",
    ),
    (
        r"(?i)\b(?:line|segment) from ([A-Z]) to ([A-Z]) with (?:an? |the )?(?:little |small |tiny )?arrow(?:head)? at \2\b",
        r"vector from \1 to \2",
    ),
    (r"^((?:[Dd]raw |[Mm]ake |[Aa] |[Tt]he )*[Ss]egment [A-Z]{2}), (\d[\d.]*(?: ?[cm]?m)?)(?: long)?(?=[ .!]*$)", r"\1 of length \2"),
    # A circle, by the compasses.
    (
        r"(?i)^(?:take|taking|with|using) (?-i:([A-Z])) (?:as|for) (?:the |a )?(?:centre|center),? (?:and|with) "
        r"(?:a )?radius (?:of )?([^,]+?),? (?:draw|describe|make|construct) a(?: circle|n arc)",
        r"draw a circle with centre \1 and radius \2",
    ),
    (r"(?i)\bcircle of (?:the )?cent(?:re|er) (?-i:([A-Z]))\b,?", r"circle with centre \1"),
    (r"(?i)\btangent lines?\b(?= (?:from|to|at))", lambda found: "tangents" if found[0].lower().endswith("s") else "tangent"),
    # Where a point is put.
    (
        r"(?i)^(put|place|make|mark) (an? )?(?:small |little )?(?:cross|dot|spot|blob) (?=half ?way|in the middle|at the mid)",
        r"\1 \2point ",
    ),
    (
        r"(?i)\b(?:an? |the )?(?:point|dot|cross) (?:half ?way along|in the middle of|at the mid(?:dle|point) of) (?:the )?"
        r"(?:line |side |segment )?([A-Z]{2})\b",
        r"the midpoint of \1",
    ),
    (r"(?i)\bthe whole (?=triangle|quadrilateral|square|rectangle|polygon|shape|figure)", "the "),
    (r"(?i)^(?:set|mark) out (?=an?\b|the\b)", "draw "),
    # Short forms, and letters that are written otherwise.
    (r"(?i)\bmdpt\b", "midpoint"),
    (r"(?i)\btan (?=lines?\b)", "tangent "),
    (r"(?i)\bbtw\b(?= (?:\S+ )?(?:and|n|&|to|[A-Za-z]\b))", "between"),
    (r"(?<=between )([a-z]\w?) n ([a-z]\w?)(?=[ .?!]*$)", r"\1 and \2"),
    (r"ℓ", "l"),
    (r"(?i)\bone (?=(?:line|circle|point|segment|ray|triangle|square)\b)", "a "),
    (r"(?i)\bpass(es|ing)? in (?=(?-i:[A-Z])\b)", r"pass\1 through "),
    # Who asks, and how.
    (r"(?i)^please to (?=\w)", ""),
    (r"(?i)^(measure|calculate|compute|find|tell|show|colour|label|write|mark|join) (?:me|us|for me|for us) (?=\S)", r"\1 "),
    (
        r"(?i)^let (?:the |a |an )?([a-z-]+ (?:with|on|through|from|to|of|at|in|centred|about) .+) be (?:drawn|constructed|"
        r"made)(?=[ .!]*$)",
        r"draw the \1",
    ),
    (r"(?i)^lay (?:out|down) (?=an?\b|the\b)", "draw "),
    (r"(?i)^give (?:me |us )?(?:three|four|five|six) points (?:that|which) (?:form|make|are the corners of|give) (an? )", r"draw \1"),
    (r"(?i)^(?:the )?(angle .+|length .+|area .+) (?:equals|is|makes|measures) what(?=[ .?!]*$)", r"measure \1"),
    (r"(?i)\bnumber (?=sliders?\b|dials?\b)", ""),
    (r"(?i)\b(variable|moving|movable|running|arbitrary|generic) (?=points?\b)", "any "),
    (r"(?i)\b(?:a|an|the) any (?=points?\b)", "any "),
    (
        r"^(?:[Dd]raw |[Cc]onstruct |[Mm]ake |[Cc]onsider |[Gg]iven |[Ll]et )?(?:a |the )?[Cc]ircle ([A-Z])(?:(,)|(?=[ .!]*$| and\b))",
        lambda found: f"draw a circle with centre {found[1]}{' ;' if found[2] else ''}",
    ),
    # With what it is done, and what is asked besides.
    (
        r"(?i)^(?:use|take|with|using) ([A-Z]) as (?:the |a |its )?cent(?:re|er)(?:,| and)?(?: and)?(?: with)? ([A-Z]{2}|"
        r"\d\S*(?: ?[cm]?m)?) as "
        r"(?:the |a |its )?radius,? (?:to )?(?:draw|make|construct) (?:a|the) circle\b",
        r"draw the circle with centre \1 and radius \2",
    ),
    (
        rf"(?i)^(?:with|keep|keeping) (?:the |your |a )?compass(?:es)? (?:open(?:ed)?|set) (?:to|at) ({_SIZE}|[A-Z]{{2}}),? "
        rf"(?:draw|make|construct) "
        r"(?:a|the) (circle|arc) (?:round|around|about|centred on|centred at|with centre) ([A-Z])\b",
        r"draw the \2 with centre \3 and radius \1",
    ),
    (r"(?i),? (?:and )?where does (?:it|the point|[A-Z]) (?:land|go|end up|end|lie|come)(?=[ ?.!]*$)", ""),
    (r"(?i)^if (?:i|we|you) (?=(?:reflect|rotate|turn|translate|enlarge|join|draw|bisect)\b)", ""),
    (r"(?i)^(?:what|which) point is (?=(?:one|two|three|half|\d).*\bof the way\b|halfway\b)", "the point "),
    (r"(?i)\b(put|draw|make|place) (an? \w+) here\b", r"\1 \2"),
    (r"(?i)^([A-Z]) to (?:the )?(?:line )?([A-Z]{1,2}|[a-z]) distance(?=[ ?.!]*$)", r"the distance from \1 to \2"),
    (r"(?i)^(?:do|can you do) (an? (?:triangle|square|circle|line|polygon|quadrilateral)\b)", r"draw \1"),
    (rf"(?i)\b({_POLYGON}) with (?:the )?(?:points|dots) (?=[A-Z],)", r"\1 with corners "),
    (r"(?i)^label (?:the )?angle (at [A-Z]|[A-Z]{3}) with its (?:size|measure|value)", r"measure the angle \1"),
    (r"(?i)^which side(?: of (?:the )?(?:triangle|figure|[A-Z]{3,}))? is (?:the )?(?:longest|shortest)(?=[ ?.!]*$)", "measure the sides"),
    (r"(?i)\bto the left (?=(?:about|around|round) )", "anticlockwise "),
    (r"(?i)\bto the right (?=(?:about|around|round) )", "clockwise "),
    (
        r"(?i)\b(?:the )?(?:measures? of )?(?:each|every|all the|all) (?:interior |inside |inner )?angles?(?=(?: of the "
        r"(?:triangle|figure))?[ ?.!]*$)",
        "all the angles",
    ),
    (r"(?i)^measure (?:the |all |all the )?(?:three |four |five )?corners(?=( of \w+)?[ ?.!]*$)", "measure all the angles"),
    (
        r"(?i)^add (?:up )?(?:the )?(?:two )?angles (?:at )?([A-Z]|[A-Z]{3}) and (?:at )?([A-Z]|[A-Z]{3})(?=[ ?.!]*$)",
        r"angle \1 + angle \2",
    ),
    (
        r"(?i)^from (?:each|every) (?:corner|vertex),? draw (?:a|the) (?:line|segment) to the (?:middle|midpoint) of the "
        r"(?:opposite|facing) side",
        "draw the medians",
    ),
    (
        r"(?i)\b(?:the |a )?line (?:that|which) (?:cuts|divides|splits|halves|bisects) (?:the )?angle (?:at )?([A-Z]|"
        r"[A-Z]{3})(?: (?:in|into) (?:half|two|halves|two equal parts))?",
        r"the bisector of angle \1",
    ),
    (r"(?i)\bthe inverse of ([A-Z]) (?:with respect to|in|wrt) ([a-z]|the circle)\b", r"the reflection of \1 in \2"),
    (r"(?i)^(draw|make|construct|mark) other (?=circle|line|point|segment|triangle|square)", r"\1 another "),
    (
        r"(?i)\bcircle concentric (?:with|to) (\w+) (?:by|through|via|passing through) ([A-Z])\b",
        r"circle with the same centre as \1 through \2",
    ),
    (r"(?i)\b(?:chord )?(perpendicular|parallel) to ([A-Z]{2}) through its midpoint\b", r"\1 to \2 through the midpoint of \2"),
    (r"(?i)\bthe central angle (?=[A-Z]{3}\b)", "the angle "),
    (
        rf"(?i)\b(?:line )?parallel to ([A-Z]{{2}}|[a-z]|the line),? ({_SIZE}) (?:away|from it|apart)(?: from it)?\b",
        r"parallel to \1 at a distance of \2",
    ),
    (r"(?i)\bto be (?=thicker|thinner|dashed|dotted|red|blue|green|yellow|black|hidden|bigger)", ""),
    (r"(?i)\bformed by the midpoints(?= (?:is|are)\b|[ .!]*$)", "formed by the midpoints of the sides"),
    (r"(?i)\bwith (an? (?:diameter|radius|chord|tangent))(?: drawn(?: in)?)?(?=[ .!]*$)", r"and \1 of it"),
    (r"(?i)\btwo circles (?:that|which) (?:touch|are tangent)(?: each other| externally)?(?=[ .!]*$)", "two touching circles"),
    (
        r"([A-Z])([A-Z])([A-Z])([A-Z]) be (an? (?:convex )?(?:quadrilateral|parallelogram|rectangle|square|rhombus|kite|"
        r"trapezium|trapezoid)) whose diagonals (?:meet|intersect|cross) (?:at|in) ([A-Z])\b",
        r"\1\2\3\4 be \5 and let \1\3 and \2\4 meet at \6",
    ),
    (r"(?i)\b(triangle) of (base|side|height|sides|legs|hypotenuse) (?=\d)", r"\1 with \2 "),
    (
        rf"(?i)\btriangle with (?:the )?angles (?:of )?(\d\S*) and (\d\S*) and (?:the )?side (?:between them )?({_SIZE})(?: "
        rf"between them)?\b",
        r"triangle with side \3 and angles \1 and \2",
    ),
    (
        rf"(?i)\btriangle with (?:one |the )?side ({_SIZE}) and (?:the )?angles (?:of )?(\d\S*) and (\d\S*?) (?:at its ends|on "
        rf"it|next to it)\b",
        r"triangle with side \1 and angles \2 and \3",
    ),
    (
        r"(?i)^where (?:can|could|may) (?:i|we|you|one) \w+ so (?:that )?(?:i[’']?m|i am|it is|it[’']s|we are|we[’']re|you are) ",
        "shade the places ",
    ),
    (r"\b(closer|nearer) to ([A-Z]{1,2}) than ([A-Z]{1,2})\b", r"\1 to \2 than to \3"),
    (r"(?i)^(?:i|we) (?:would|[’']d) like (?:to )?see ", "draw "),
    (r"(?i)^mid of\b", "midpoint of"),
    (r"^[Tt]he point ([A-Z]) (?=divides\b)", r"\1 "),
    # What it has, and what it does.
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
    (r"(?i)\b(and|that|which) goes (?:by|over|through) (?=[A-Z]\b)", r"\1 passes through "),
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
    (rf"(?i)\b((?:regular )?(?:{_POLYGON})) with ([A-Z]{{2}}) (?:as|for) (?:one|a|one of its|its) sides?\b", r"\1 on \2"),
    # What a noun stands for.
    (
        r"(?i)\b(?:the )?circumradius(?: of (?:the )?(?:triangle )?([A-Z]{3}|triangle))?",
        lambda found: "the radius of the circumcircle" + (f" of {found[1]}" if found[1] and found[1].isupper() else ""),
    ),
    (
        r"(?i)\b(?:the )?inradius(?: of (?:the )?(?:triangle )?([A-Z]{3}|triangle))?",
        lambda found: "the radius of the incircle" + (f" of {found[1]}" if found[1] and found[1].isupper() else ""),
    ),
    (r"(?i)\bsurface area of\b|\bsurface of (?=the\b|[A-Z]{3,})", "area of "),
    (r"(?i)\btrapezes?\b", "trapezium"),
    (r"(?i)\bthe ratio from ([A-Z]{2}) to ([A-Z]{2})\b", r"the ratio of \1 to \2"),
    (
        r"(?i)\bthe (?:symmetric|mirror) point (?:of|to) ([A-Z]) (?:to|in|about|over|with respect to|on) (?:the )?(line )?",
        r"the reflection of \1 in \2",
    ),
    (r"(?i)^(the .+?),? (?:call|name) (?:it )?([A-Z])(?=[ .!]*$)", r"let \2 be \1"),
    (r"(?i)\b(?:the )?same vector (?=from|at|starting)", "the vector equal to it "),
    (r"(?i)\b(?:an |the )?included angle of ", "the angle between them "),
    (r"(?i)\bangle between them (\d[\d.]* ?(?:°|degrees?))", r"angle \1 between them"),
    (rf"(?i)\bwith two sides of ({_SIZE}) and ({_SIZE})\b", r"with sides \1 and \2"),
    # A clause that fixes what is drawn.
    (
        r"(?i)^(?:extend|produce|prolong) ([A-Z])([A-Z]) (?:beyond|past|through) (?:\1|\2) to (?:a point )?([A-Z]),? "
        r"(?:making|so that|such that|"
        r"with|so as to make) ((?:\3\1|\1\3|\3\2|\2\3)) (?:equal to|=|equals|is equal to|the same length as) ([A-Z]{2})\b",
        lambda found: f"produce {_outward(found)} to {found[3]} so that {found[4]} = {found[5]}",
    ),
    (
        r"^[Tt]hrough ([A-Z]) draw \1([A-Z]) parallel (?:to )?and equal to ([A-Z])([A-Z])\b",
        r"let \2 be the image of \1 under the translation from \3 to \4 and draw the segment \1\2",
    ),
    (
        r"^[Dd]raw ([A-Z])([A-Z]) parallel (?:to )?and equal to ([A-Z])([A-Z])\b",
        r"let \2 be the image of \1 under the translation from \3 to \4 and draw the segment \1\2",
    ),
    (r"(?i)\bline through ([A-Z]) (?:that|which) (?:halves|bisects) the area of (?:the )?triangle(?: [A-Z]{3})?", r"median from \1"),
    (
        r"(?i)^(?:shift|move|translate|slide) the circle so (?:that )?its cent(?:re|er) (?:is|lies|comes|goes|is at) (?:at |"
        r"to |on )?([A-Z])\b",
        r"translate the circle so that its centre goes to \1",
    ),
    (
        r"(?i)^(?:shift|move|translate|slide) (?:line )?([a-z]|[A-Z]{2}) (?:parallel )?so (?:that )?it (?:passes|goes|runs) "
        r"through ([A-Z])\b",
        r"draw the parallel to \1 through \2",
    ),
    (
        rf"(?i)\btwo parallel lines,? (?:that are |which are )?(?:at a distance of )?({_SIZE}) (?:apart|from each other|away "
        rf"from each other)\b",
        r"a line and the parallel to it at a distance of \1",
    ),
    (
        r"(?i)^from (?:an? (?:external|exterior|outside) point )?([A-Z]) (?:the )?two tangents ([A-Z]{2}) "
        r"and ([A-Z]{2}) are (?:drawn|constructed)(?: to .+?)?(?=[ .!]*$)",
        r"draw the tangents \2 and \3 from \1",
    ),
    (
        r"(?i)^(join|connect) (?:up )?(?:the )?(?:consecutive|successive|neighbouring|adjacent) midpoints(?: of (?:the )?sides)?",
        r"\1 the midpoints of the sides in order",
    ),
    (r"^(\w+) ∩ (\w+) = \{?([A-Z])\}?(?=[ .!]*$)", r"let \1 meet \2 at \3"),
    (r"^\{?([A-Z])\}? = (\w+) ∩ (\w+)(?=[ .!]*$)", r"let \2 meet \3 at \1"),
    (
        r"(?i)\b(triangle [A-Z]{3}),? (?:that is |which is )?right[- ]?(?:angled)? at ([A-Z]),? with (.*=.*)$",
        _with_parts,
    ),
    (
        r"^[Ll]et ([A-Z]{3}) be a triangle,? right[- ]?(?:angled)? at ([A-Z]),? with (.*=.*)$",
        r"let \1 be a triangle with a right angle at \2, \3",
    ),
    (rf"(?i)\btriangle (?:with sides )?({_SIZE}),? ({_SIZE}),? (?:and )?({_SIZE})(?=[ .!]*$)", r"triangle with sides \1, \2 and \3"),
    (r"(?i)^fill (?:in )?(the (?:shape|figure|triangle|polygon)|[A-Z]{3,}) (?:with|in) (?:the colou?r )?(\w+)(?=[ .!]*$)", r"colour \1 \2"),
    (
        r"(?i)^(colour|color|fill|paint|shade|hide|delete|copy|translate|reflect|rotate|enlarge|turn) (?:in )?the (?:shape|figure)\b",
        r"\1 the polygon",
    ),
    (
        r"(?i)\bcircle (?:through|thru|passing through) (\w),? (?:with )?(?:cent(?:re|er)) (\w)(?=[ .!]*$)",
        r"circle with centre \2 through \1",
    ),
    (
        r"(?i)^(make|colour|color) (\S+) (\w+) and (big|bigger|large|larger|thick|thicker|small|smaller|dashed|dotted|thin|"
        r"thinner)(?=[ .!]*$)",
        r"\1 \2 \3 and make \2 \4",
    ),
    (r"(?i)\b(make [A-Z]) (?:big|large)(?=[ .!]*$)", r"\1 bigger"),
    (
        r"^(.*\b)([A-Z]) be (?:the )?(projection|foot|reflection|image) of ([A-Z]) (on|onto|to|in) (\w+),? and ([A-Z]) (?:be "
        r")?its \3 (on|onto|to|in) (\w+)(?=[ .!]*$)",
        r"\1\2 be the \3 of \4 \5 \6 and \7 the \3 of \4 \8 \9",
    ),
    (r"\b(in|on) line (?=[A-Z]{2}\b|[a-z]\b)", r"\1 the line "),
    # Places.
    (r"(?i)^(?:shade|show|draw|find) the set of (?:all )?(?:the )?points\b", "shade the points"),
    (
        r"(?i)^(?:show|shade) where (?:one|you|i|we|it) (?:is|am|are) (?=(?:within|at|less|more|closer|nearer|further)\b)",
        "shade the places ",
    ),
    (r"(?i)^where (?:in|inside|on) (?:the )?[a-z]+ (?:am|is|are) (?:i|one|we|you|it) ", "shade the places "),
    (r"(?i)\b(inside|outside|in) ([A-Z]{3,}) (?:that|which) are (?=nearer|closer|further|within|at|less|more)", r"\1 \2 which are "),
    (r"(?i)\b(inside|outside) ([A-Z]{3,}) (?=nearer|closer|further)", r"\1 \2 which are "),
)


def _outward(found: re.Match[str]) -> str:
    """ "CA beyond A", or beyond C: the side in the order in which it is gone along."""
    beyond = re.search(r"(?:beyond|past|through) ([A-Z])", found[0])
    one, other = found[1], found[2]
    return one + other if beyond is None or beyond[1] == other else other + one
