"""Idioms of English for straight things: through what they go, how long they are, what they make; and words that stand about them.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import POLYGON, SIZE, Idioms

#: How many times something is taken, in words.
_TIMES = {"twice": "2", "double": "2", "three times": "3", "half": "0.5", "": "1"}


def _outward(found: re.Match[str]) -> str:
    """ "CA beyond A", or beyond C: the side in the order in which it is gone along."""
    beyond = re.search(r"(?:beyond|past|through) ([A-Z])", found[0])
    one, other = found[1], found[2]
    return one + other if beyond is None or beyond[1] == other else other + one


def _times(found: re.Match[str]) -> str:
    """ "AB to D so that BD = 2AB": by which factor B is enlarged from A."""
    times = float(_TIMES.get(found[5], found[5])) + (found[4] != found[1])
    return f"let {found[3]} be the image of {found[2]} under the enlargement from {found[1]} by the factor {times:g}"


#: Ways of saying straight things, by how they are read.
OF_LINES: Idioms = (
    (
        r"(?i)^(?:draw |construct )?((?:a|another|any) line through (?-i:[A-Z])) (?:meeting|cutting|crossing|to meet|to cut|"
        r"that meets|which meets|that cuts|which cuts) (the circle|it|(?-i:[a-z])) (at|in) (?=(?-i:[A-Z]) and (?-i:[A-Z])[ .!]*$)",
        r"\1 meets \2 \3 ",
    ),
    (
        r"(?i)\blines through (?:the|all) (?:vertices|corners)(?: of the triangle)? (?:which are |that are )?parallel to the "
        r"opposite sides\b",
        "parallels through the corners to the opposite sides",
    ),
    (
        r"(?i)^(?:draw )?(?:the|a) line (?:through (?-i:([A-Z])) )?(?:that|which) (?:cuts|divides|splits|halves|bisects) (?:the "
        r"area of )?the triangle(?: into two (?:equal parts|parts of equal area|parts of the same area|equal areas))?(?: "
        r"through (?-i:([A-Z])))?(?=[ .!]*$)",
        lambda found: f"draw the median from {found[1] or found[2]}" if found[1] or found[2] else found[0],
    ),
    (r"(?i)\bmark where it (?:leaves|exits|comes out of) (?=(?:the )?circle|(?-i:[a-z])\b)", "mark where it meets again "),
    (
        r"(?i)^(?:draw )?(?:two )?(?:straight )?lines (?:crossing|meeting|intersecting|that cross|that meet|which meet|which "
        r"cross) (?:each other )?at (?:an angle of )?(\d[\d.]*) ?(?:°|degrees?)(?=[ .!]*$)",
        r"draw a line and draw a point on it and draw the line through that point at \1 degrees to the line",
    ),
    (r"(?i)\b(?:the )?resultant of (?=(?:the )?(?:two )?vectors)", "the sum of "),
    (
        r"(?i)^add (?:the )?vector (?-i:([A-Z]{2}|[a-z])) to (?:the )?vector (?-i:([A-Z]{2}|[a-z]))(?=[ .!]*$)",
        r"draw the sum of the vectors \2 and \1",
    ),
    (r"(?i)^add (?:up )?(?:the )?(?:two )?vectors (?=\S)", "draw the sum of the vectors "),
    (
        r"(?i)^(?:draw |construct )?(?:a|the) (?:line )?(parallel|perpendicular) to (?:the )?(line )?(?-i:([a-z]|[A-Z]{2})) through "
        r"(?:a |the )?(?:point )?(?-i:([A-Z])) (?:not on|off) (?:line )?(?-i:\3|it)(?=[ .!]*$)",
        r"let \4 be a point not on the line \3 and draw the \1 to \3 through \4",
    ),
    (r"(?i)^(the (?:middle|midpoint|centre|center|foot|crossing|intersection)\b[^,]*?) (?:marked|drawn in|put in)(?=[ .!]*$)", r"mark \1"),
    (r"(?i)\b(are|is) (\S+(?: and \S+)?) at right angles(?: to (?:each other|one another))?(?=[ .?!]*$)", r"\1 \2 perpendicular"),
    (
        r"(?i)^where (.+? and \S+) (?:cross|meet|intersect),? (?:measure|find) the (acute|obtuse|smaller|larger)? ?angle(?: between them)?"
        r"(?=[ .!]*$)",
        lambda found: f"measure the {f'{found[2]} ' if found[2] else ''}angle between {found[1]}",
    ),
    (
        r"(?i)^(?:drop|draw|construct) (?:the )?perpendiculars from (?-i:([A-Z])) (?:to|on|onto) (.+?)(?:;|,| and|, and) "
        r"(?:call|label|name) (?:the|"
        r"their) feet (?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)",
        r"draw the perpendiculars from \1 to \2 and let \3 and \4 be the feet of the perpendiculars from \1 to \2",
    ),
    (r"(?i)\b(?:cuts|cutting|divides|splits) (?-i:([A-Z]{2})) in(?:to)? (?:half|halves|two equal parts)", r"bisects \1"),
    (r"(?i)^((?:draw|construct|make) )?parallel lines (?=.*\bapart\b)", r"\1two parallel lines "),
    (
        r"(?i)\b((?:point of )?intersection|meeting point) of (?-i:([A-Z]{2})) and (?-i:([A-Z]{2})),? "
        r"(?:both )?(?:produced|extended)(?=[ .!]*$)",
        r"\1 of the lines \2 and \3",
    ),
    (
        r"(?i)\b(meets?|cuts?|intersects?) (?-i:([A-Z]{2})) again (?:at|in) (?-i:([A-Z])),? and "
        r"(?-i:([A-Z]{2})) again (?:at|in) (?-i:([A-Z]))(?=[ .!]*$)",
        r"\1 \2 and \4 again at \3 and \5",
    ),
    (
        r"(?i)^(?:draw |construct )?two parallel lines and (?:a|any) (?:transversal|line) (?:that |which )?(?:cut|cross|meet|intersect)"
        r"(?:s|ing|es|ting)? them (?:at|in) (?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)",
        r"draw a line through \1 and draw the parallel to it through \2 and draw the line through \1 and \2",
    ),
    (
        rf"(?i)^(?:draw |construct )?(?-i:([A-Z])([A-Z])) perpendicular to (?:the )?(?:line |segment )?(?-i:([A-Z]{{2}})),? "
        rf"(?:with|so that|such that|where) (?-i:\1\2|\2\1) = ({SIZE})(?=[ .!]*$)",
        r"draw the segment \1\2 of length \4 perpendicular to \3",
    ),
    (
        r"(?i)\bline (?:with|of|whose) (?:slope|gradient) ([-−]?\d[\d.]*) and (?:a )?y[- ]intercept (?:of )?([-−]?)(?=\d)",
        lambda found: f"line y = {found[1]}x {'−' if found[2] else '+'} ",
    ),
    (
        r"(?i)\bperpendicular (?:of|to) (?-i:([A-Z]{2})) (?:in|at|through) (?:its|the) (?:middle|midpoint|centre|center)\b",
        r"perpendicular bisector of \1",
    ),
    (r"(?i)\bline (?=perpendicular bisector of\b)", ""),
    (
        r"(?i)\b(?:lines|segments) from (?:each|every) (?:corner|vertex) to the (?:midpoint|middle|centre|center) of the opposite side\b",
        "the medians",
    ),
    (
        r"(?i)\bray (?-i:([A-Z])([A-Z])) (?:making|that makes|which makes|at) an angle of (\d[\d.]*)(?: ?°| degrees?)? (?:with|to) "
        r"(?-i:(\1[A-Z]|[A-Z]\1)\b)",
        lambda found: f"angle {found[2]}{found[1]}{found[4].replace(found[1], '')} of {found[3]} degrees",
    ),
    (r"(?i)\bon ?to (?=(?-i:[a-z])\b)", "onto "),
    (
        r"(?i)^(?:from (?-i:([A-Z])),? )?(?:draw |drop )?(?:the )?perpendiculars (?-i:([A-Z])([A-Z]) and \2([A-Z])) (?:from (?-i:\2) )?"
        r"(?:on)?to (?:the )?(?:lines |sides )?([A-Za-z]+) and ([A-Za-z]+)(?=[ .!]*$)",
        lambda found: (
            found[0]
            if found[1] not in (None, found[2])
            else f"draw the perpendicular {found[2]}{found[3]} from {found[2]} to {found[5]} and "
            f"draw the perpendicular {found[2]}{found[4]} from {found[2]} to {found[6]}"
        ),
    ),
    (
        r"(?i)\b(?:midsegment|midline|mid-?segment) (?:that joins|joining|which joins|from|between) (?=the midpoints of\b)",
        "segment joining ",
    ),
    (
        rf"(?i)^(extend|produce|continue|lengthen) (?:the )?(?:line |segment |side )?(?-i:([A-Z]{{2}})) by ({SIZE}) "
        r"(?:past|beyond|over|through) "
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"\1 \2 beyond \4 by \3",
    ),
    (r"(?i)\bwith (?-i:([A-Z]{2})) as (?:one|an|the first|its) (?:arm|side)\b", r"with arm \1"),
    (
        r"(?i)\bdraw (?-i:([A-Z])([A-Z])) perpendicular to (\S+?),? (?:meeting|to meet|cutting|to cut) (?:it|\3) "
        r"(?:at|in) (?-i:\2)(?=[ .!]*$)",
        r"draw \1\2 perpendicular to \3",
    ),
    (
        r"^([A-Z])([A-Z]) ?(?:⊥|⟂|perpendicular to|perp\.? to|perp) ?([A-Z]{2}),? (?:and |with )?\2 (?:∈|on|in|is on|lies on) "
        r"(?:line )?\3(?=[ .!]*$)",
        r"draw \1\2 perpendicular to \3",
    ),
    (r"(?i)\b(?:to|so as to) (?:meet|cut|cross) (?=\S+(?: produced)? (?:at|in) (?-i:[A-Z])(?=[ .!]*$))", "meeting "),
    (
        r"^([A-Z]{2}) and ([A-Z]{2})(?:,)? (?:when |are )?(?:produced|extended|prolonged),? (?:to )?meet (?:at|in) ",
        r"let line \1 and line \2 meet at ",
    ),
    (r"(?i)\b(from|of|with|through) (?-i:([A-Z]) ([A-Z]),? and (?=[A-Z]\b))", r"\1 \2, \3 and "),
    (
        r"(?i)^through (?:the (?:three )?(?:corners|vertices)|(?-i:[A-Z], [A-Z],? and [A-Z])) draw (?:the )?"
        r"(?:lines )?parallels? to the opposite sides(?=[ .!]*$)",
        "draw the parallels through the corners to the opposite sides",
    ),
    (
        r"(?i)\bray (?:starting )?(?:from|at) (?-i:([A-Z])) (?:pointing |going )?away from (?-i:([A-Z]))(?=[ .!]*$)",
        r"ray from \1 through the reflection of \2 in \1",
    ),
    (r"(?i)\bcapitals? ((?-i:(?:[a-z] ){0,7}[a-z]))\b(?!['’])", lambda found: found[1].replace(" ", "").upper()),
    (r"(?i)\bsegment (?:which is |that is )?long of (?=\d)", "segment of length "),
    (r"(?i)\b(slider|dial) for (?:an? |the )?(?:angle|number|value|length|radius|size) (?=(?:from|between)\b)", r"\1 "),
    (r"(?i)^(extend|produce|continue) ((?-i:[A-Z]{2})) past ", r"\1 \2 beyond "),
    (
        r"(?i)^copy (?:the )?(?:segment |length |line )?(?-i:([A-Z]{2})) (?:on|onto|along) (?:the )?ray "
        r"(?-i:([A-Z])([A-Z]))(?:,? (?:starting )?(?:at|from) (?-i:\2))?(?=[ .!]*$)",
        r"mark the point on ray \2\3 at the distance \1 from \2",
    ),
    (
        rf"(?i)^offset (?:the )?(?:line |segment |side )?(\S+) by (?:a distance of )?({SIZE}|(?-i:[a-z]))(?=[ .!]*$)",
        r"draw a line parallel to \1 at a distance of \2",
    ),
    (r"(?i)^denote by ((?-i:[A-Z])\w*(?:(?:, ?| and )(?-i:[A-Z])\w*)+) the (.+?)(?:,? respectively)?(?=[ .!]*$)", r"\1 are the \2"),
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
        r"(?i)\b(?:line|segment) from ([A-Z]) to ([A-Z]) with (?:an? |the )?(?:little |small |tiny )?arrow(?:head)? at \2\b",
        r"vector from \1 to \2",
    ),
    (r"^((?:[Dd]raw |[Mm]ake |[Aa] |[Tt]he )*[Ss]egment [A-Z]{2}), (\d[\d.]*(?: ?[cm]?m)?)(?: long)?(?=[ .!]*$)", r"\1 of length \2"),
    (r"(?i)^(?:set|mark) out (?=an?\b|the\b)", "draw "),
    (r"(?i)\bpass(es|ing)? in (?=(?-i:[A-Z])\b)", r"pass\1 through "),
    (r"(?i)^please to (?=\w)", ""),
    (
        r"(?i)^let (?:the |a |an )?([a-z-]+ (?:with|on|through|from|to|of|at|in|centred|about) .+) be (?:drawn|constructed|"
        r"made)(?=[ .!]*$)",
        r"draw the \1",
    ),
    (r"(?i)^lay (?:out|down) (?=an?\b|the\b)", "draw "),
    (r"(?i)\bnumber (?=sliders?\b|dials?\b)", ""),
    (r"(?i),? (?:and )?where does (?:it|the point|[A-Z]) (?:land|go|end up|end|lie|come)(?=[ ?.!]*$)", ""),
    (r"(?i)\bto the left (?=(?:about|around|round) )", "anticlockwise "),
    (r"(?i)\bto the right (?=(?:about|around|round) )", "clockwise "),
    (
        rf"(?i)\b(?:line )?parallel to ([A-Z]{{2}}|[a-z]|the line),? ({SIZE}) (?:away|from it|apart)(?: from it)?\b",
        r"parallel to \1 at a distance of \2",
    ),
    (r"(?i)\bto be (?=thicker|thinner|dashed|dotted|red|blue|green|yellow|black|hidden|bigger)", ""),
    (r"\b(closer|nearer) to ([A-Z]{1,2}) than ([A-Z]{1,2})\b", r"\1 to \2 than to \3"),
    (r"(?i)\b(and|that|which) goes (?:by|over|through) (?=[A-Z]\b)", r"\1 passes through "),
    (r"(?i)\bsurface area of\b|\bsurface of (?=the\b|[A-Z]{3,})", "area of "),
    (r"(?i)\bthe ratio from ([A-Z]{2}) to ([A-Z]{2})\b", r"the ratio of \1 to \2"),
    (r"(?i)^(the .+?),? (?:call|name) (?:it )?([A-Z])(?=[ .!]*$)", r"let \2 be \1"),
    (r"(?i)\b(?:the )?same vector (?=from|at|starting)", "the vector equal to it "),
    (
        r"(?i)^(?:extend|produce|prolong) ([A-Z])([A-Z]) (?:beyond|past|through) (?:\1|\2) to (?:a point )?([A-Z]),? (?:making|so "
        r"that|such that|with|so as to make) ((?:\3\1|\1\3|\3\2|\2\3)) (?:equal to|=|equals|is equal to|the same length as) ([A-Z]{2})\b",
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
    (r"(?i)\b(find|draw|make|get|build|construct|mark|put)\s+(?:me|us)\b", r"\1"),
    (r"(?i)\b(join|connect) (them|the points|these) up\b", r"\1 \2"),
    (r"(?i)(\d\S*(?:\s*[cm]?m\b)?) each\b", r"\1"),
    # Of an isosceles triangle it has to be said which of its angles that is.
    (r"(?i)(\d\s*(?:°|degrees?)) between (?:them|these)\b", lambda found: found[0] if "isosceles" in found.string.lower() else found[1]),
    (r"(?i)\bwhere[’']s\b", "where is"),
    (
        r"(?i)^(?:join|connect|link) (?:up )?all (?:of )?the (?:dots|points)(?: up)?,? (?:to make|to form|to get|into) an? ([a-z -]+)$",
        r"draw the \1",
    ),
    (r"(?i)\b(?:in |with |by )?(?:a )?steps? (?:of |size )?(?=\d)", "in steps of "),
    (
        r",?\s+(?:to get|to give|giving|to obtain|obtaining|to make|getting)\s+(?=(?:the )?(?:point |image )?[A-Z]['′]?\d?\b)",
        " and call it ",
    ),
    (
        r"(?i)^(?:extend|produce|prolong) (.+?) and (.+?) (?:until they|to|so that they|till they) meet (?:at|in) ",
        r"let \1 and \2 produced meet at ",
    ),
    (r"(?i)\b(?:that|which) (?:goes|runs|ranges) (?=from\b)", ""),
    (r"(?i)^inscribe (an? .+?) in (.+?) with (?:one|an?|its) (vertex|corner) at (\w+)", r"draw \1 in \2 with a \3 at \4"),
    (r"(?i)\s+in (?:this|that|the given) order\b", ""),
    (r"(?i),?\s*\bplease\b\s*,?", " "),
    (r"(?i)(?<!^)\s+on the board(?=\s*(?:,|with|and))", ""),
    (r"(?i)\b(parallel\b.*?),? (?:at a distance of )?(\d\S*(?:\s*[cm]?m)?) (?:away )?from it\b", r"\1 at a distance of \2"),
    (r"(?i)\b(segment(?: [A-Z]{2})?|line segment(?: [A-Z]{2})?) (?:that|which) is (\d\S*(?:\s*[cm]?m)?) long\b", r"\1 of length \2"),
    (r"(?i)\bpick (?=(?:an?|one|two|three|four|five|six|any|some) )", "mark "),
    (r"(?i)\b(at|is|about|around|round|from|through|to|and|with|on|cent(?:re|er)|of) the origin\b", r"\1 (0, 0)"),
    (
        r"^(?:[Dd]raw )?(?:the )?(line|segment) ([A-Z])([A-Z]) (?:through|joining|between) the midpoints of (.+?)(?=[ .!]*$)",
        r"let \2 and \3 be the midpoints of \4 and draw the \1 \2\3",
    ),
    (
        r"^(?:[Ee]xtend|[Pp]roduce|[Pp]rolong) ([A-Z])([A-Z])(?: beyond \2| past \2)? to (?:a )?(?:point )?([A-Z]),? (?:so that|such "
        r"that|with|where) (\1|\2)\3 (?:is|=|equals) (\d|twice|double|three times|half|) ?(?:of |\*|×)? ?(?:\1\2|\2\1)(?=[ .!]*$)",
        _times,
    ),
    (
        r"(?i)\bperpendicular to (?:the )?(?:segment |line |side )?([A-Z]{2}) (?:at|through|in) its (?:midpoint|middle|centre|center)",
        r"perpendicular bisector of \1",
    ),
    (r"(?i)\binfinite (?=line)", ""),
    (r"(?i)\b(?:pointing|facing|going|directed) (?=(?:outwards?|inwards?)\b)", ""),
    (
        r"(?i)\b(?:draw |make |lay |put )?an? (?:path|fence|rope|wall|string|ladder|hedge|road) from (?=[A-Z] to [A-Z]\b)",
        "draw a segment from ",
    ),
    (r"(?i) of the (?:board|page|screen|sheet)(?=[ .!]*$)", ""),
    (
        r"(?i)\b(two parallel lines(?: (?-i:[A-Z]{2}|[a-z]) and (?-i:[A-Z]{2}|[a-z]))?) and a line (?:crossing|cutting|meeting|that "
        r"(?:crosses|cuts|meets)) (?:them )?(?:both|them)(?: lines)?\b",
        r"\1 and a transversal",
    ),
    (r"(?i)\bthe extension of ([A-Z]{2})\b", r"\1 produced"),
    (r"(?i)\bto (half|double|twice) (?:its|the|their) size\b", r"by a factor of \1"),
    (r"(?i)\bby a factor of (?:double|twice)\b", "by a factor of 2"),
    (r"(?i)\b(?:only )?just (?=touch)", ""),
    (r"(?i)\blet fall (?=an?\b|the\b)", "draw "),
    (r"(?i)\bhalf[- ]?way round about\b", "by a half turn about"),
    (r"(?i)\bhalf[- ]?way (?:round|around) (?=the point|point)", "by a half turn about "),
    (r"(?i)\bsegment (?:with|of|having) a length of ", "segment of length "),
    (
        r"(?i)\bline (\d[\d.]*(?: ?[cm]?m)?) (?:away )?from (?:the line )?([A-Z]{2}|[a-z]),? (?:and|which is|that is)? ?parallel to "
        r"(?:it|\2)(?=[ .!]*$)",
        r"parallel to \2 at a distance of \1",
    ),
    (r"(?i),? and (?:it|which) (?:should|must|has to|is to|shall) (?:pass|go) through\b", " passing through"),
    (r"(?i)\b(up|down|left|right) by (\d[\d.]*)(?=[ .!]*$)", r"\1 \2"),
    (r"^(.*)\bsegment ([A-Z])([A-Z]) with an arrow at \3(?=[ .!]*$)", r"\1vector from \2 to \3"),
    (
        r"^(?:[Dd]raw )?([A-Z])([A-Z]) parallel to ([A-Z]{2}),? with \1 the midpoint of ([A-Z]{2}) and \2 on ([A-Z]{2})(?=[ .!]*$)",
        r"let \1 be the midpoint of \4 and draw the parallel to \3 through \1 meeting \5 at \2",
    ),
    (
        r"(?i)\b(?:a |the )?line through (?:the point )?\( ?([-−]?[\d.]+), ?([-−]?[\d.]+) ?\) (?:with|of|having) (?:a )?(?:gradient|slope) "
        r"(?:of )?([-−]?[\d.]+)(?=[ .!]*$)",
        r"the line y = \3 * (x - (\1)) + (\2)",
    ),
    (r"(?i)^(connect|join|link) (.+?),? (?:with|by|using) an? (?:straight )?(?:line segment|segment|line)(?=[ .!]*$)", r"join \2"),
    (
        r"(?i)\bline through ([A-Z]) (?:that|which) (?:bisects|halves|cuts in half) ([A-Z]{2})\b",
        r"line through \1 and the midpoint of \2",
    ),
    (
        r"(?i)\bline through ([A-Z]) (?:that|which) (?:never|does not|doesn[’']t) (?:meets?|cross(?:es)?|touch(?:es)?) "
        r"([a-z]|[A-Z]{2})\b",
        r"parallel to \2 through \1",
    ),
    (r"(?i)^(?:denote|call|label|name) by ([A-Z]) (?=the\b)", r"let \1 be "),
    (r"(?i)\b(?:that|which) (?:begins|starts) (?:from|at|in) ", "from "),
    (r"(?i)^((?:.*\b)?)(?:draw|put|add) in (?=both\b|the\b|all\b|an?\b|two\b|three\b|any\b|some\b|one\b)", r"\1draw "),
    (r"(?i)\b(clockwise|anti-?clockwise|counter-?clockwise) (by|through) (\d[\d.]*) ?(°|degrees?)", r"\2 \3 degrees \1"),
    (r"(?i)^(?:identify|locate) ", "find "),
    (r"(?i)^cut in (?:half|two) ", "bisect "),
    (r"(?i)\bfind (?=(?:their|the) (?:intersection|crossing|point of intersection)\b.* as [A-Z][ .!]*$)", "mark "),
    (r"(?i)\ball (?=meet (?:at|in) (?:one|a) )", ""),
    (r"(?i)\band label (where they (?:meet|cross)|their (?:intersection|point of intersection|crossing))(?=[ .!]*$)", r"and mark \1"),
    (
        r"(?i)\b(from|to|through|about|around|round|at|centre|center|onto|over|across) (?:the )?point (?-i:([A-Z]))(?=[ "
        r",.?!]|$)(?! \()",
        r"\1 \2",
    ),
    (r"^[Mm]ove (?:the )?(?:point )?([A-Z]) by (?:the )?(?:vector )?([A-Z]{2})(?=[ .!]*$)", r"translate \1 by the vector \2"),
    (r"(?i)\bray from ([A-Z]) towards? (?=[A-Z]\b)", r"ray from \1 through "),
    (r"(?i)\b(two parallel lines),? (?:that are )?(?:cut|crossed|met) by a (?:transversal|line|third line)\b", r"\1 and a transversal"),
    (r"^([A-Z]{2}) is (produced|extended|prolonged) (?=to\b|beyond\b)", r"produce \1 "),
    (r"(?i),?\s*\brespectively\b", ""),
    (r"(?i)\s+in general position", ""),
    (r"(?i)\b(?:the\s+)?outlines? of\s+", ""),
    (r"(?i)\bwith ([A-Z]) (?:in|at) the (?:middle|centre|center)\b", r"with centre \1"),
    (r"(?i)\bthat is (\d[\d.]*(?:\s*[cm]?m)?) long and (\d[\d.]*(?:\s*[cm]?m)?) wide", r"\1 by \2"),
    (r"(?i)\ba line (\d[\d.]*(?: ?[kcm]?m)?) long\b", r"a segment of length \1"),
    (
        r"(?i)\btwo lines? (?:crossing|meeting|intersecting|which cross|that cross|which meet|that meet) at right angles\b",
        "two perpendicular lines",
    ),
    (
        r"(?i)^(?:extend|produce|prolong|continue) (?:the )?(?:lines? |sides? )?(?-i:([A-Z]{2})) and (?-i:([A-Z]{2})) "
        r"(?:until|till|so that|to where) they (?:meet|cross|intersect)(?=[ .!]*$)",
        r"where line \1 meets line \2",
    ),
    (
        r"(?i)\b(?:the )?(?:angle )?bisector (?:at|from|of angle|of the angle at) (?-i:([A-Z])) (?:until|till|to where) it "
        r"(?:hits|meets|reaches|cuts|touches) (?:the )?(?:side |line )?(?-i:([A-Z]{2}))(?=[ .!]*$)",
        r"where the bisector of angle \1 meets \2",
    ),
    (
        r"(?i)^through (?-i:([A-Z])) draw (?:a|the) line (?:making|which makes|that makes) equal angles with "
        r"(?-i:\1([A-Z]) and \1([A-Z]))(?=[ .!]*$)",
        r"draw the bisector of angle \2\1\3",
    ),
    (
        r"(?i)\b(?:a |the )?line through (?-i:([A-Z])) (?:making|which makes|that makes) equal angles with "
        r"(?-i:\1([A-Z]) and \1([A-Z]))(?=[ .!]*$)",
        r"the bisector of angle \2\1\3",
    ),
    (r"(?i)\bhis (?=(?:midpoint|middle|cent(?:re|er)|ends?|corners|sides|radius|diameter|length|area)\b)", "its "),
    (r"(?i)\bperpendicular with (?=[A-Z]{1,2}\b|the\b)", "perpendicular to "),
    (
        r"(?i)\bline (?:(?:that|which) (?:goes|comes|starts|passes) )?(?:from|through|by) (?-i:([A-Z])),? and (?:(?:that|which) )?is "
        r"(perpendicular|parallel) to ",
        r"\2 through \1 to ",
    ),
    (
        r"(?i)\b(?:the )?(?:angle )?bisector (?:at|from|of angle|of the angle at) (?-i:([A-Z])) (?:to meet|meeting|to cut|cutting|to) "
        r"(?:the )?(?:side |line )?(?-i:([A-Z]{2})) (?:at|in) (?-i:([A-Z]))(?=[ .!]*$)",
        r"the bisector of angle \1 meeting \2 at \3",
    ),
    (
        r"(?i)^(?:draw |construct )?(?:a|any) (?:line )?parallel to (?-i:([A-Z]{2}))(?:,)? (?:(?:which|that) "
        r"(?:cuts|meets|crosses)|cutting|meeting|crossing|to (?:cut|meet|cross)) (?-i:([A-Z]{2})) (?:at|in) (?-i:([A-Z])) and "
        r"(?-i:([A-Z]{2})) (?:at|in) (?-i:([A-Z]))(?=[ .!]*$)",
        r"let \3 be a point on \2 and draw the parallel to \1 through \3 meeting \4 at \5",
    ),
    (
        r"(?i)^((?:draw |construct )?(?:the )?(?:lines? )?)(parallel|perpendicular)s? to ((?-i:\w{1,2})) and to (?=(?-i:\w{1,2})\b)",
        r"\1\2s to \3 and ",
    ),
    (
        r"(?i)^(through (?-i:[A-Z]) draw (?:the )?)lines (parallel|perpendicular) to (\S+) and (?:to )?(\S+?)(?=[ .!]*$)",
        r"\1\2 to \3 and \1\2 to \4",
    ),
    # Beyond its second end, which is supposed.
    (
        r"\b(meets?|cuts?|crosses|cross|meeting|cutting|crossing) ([A-Z])([A-Z]) (?:produced|extended|prolonged) (at|in) (?:the point )?"
        r"([A-Z])(?=[ .!]*$)",
        r"\1 line \2\3 \4 \5 and let \3 be between \2 and \5",
    ),
    (r"\b(meets?|cuts?|crosses|cross|meeting|cutting|crossing) ([A-Z]{2}) (?:produced|extended|prolonged)\b", r"\1 line \2"),
    (r"(?i)\binternal (?=(?:angle )?bisectors?\b)", ""),
    (r"(?i)\bbisectrix\b", "bisector"),
    (r"(?i)\bbisecting lines of ", "bisectors of "),
    (r"(?i)^segment ((?-i:[a-z]{2}|[A-Z]{2})) length(?=[ ?.!]*$)", lambda found: f"the length of {found[1].upper()}"),
    (r"(?i)^how close is (?-i:([A-Z])) to ", r"how far is \1 from "),
    (
        r"(?i)\bbisector of angle (?-i:([A-Z]{1,3})) meets? (?-i:([A-Z]{2})) at (?-i:([A-Z])) and the circumcircle again at (?-i:([A-Z]))",
        r"bisector of angle \1 meet \2 at \3 and the circumcircle at \4",
    ),
    (
        r"(?i)^(?:through|from) (?-i:([A-Z])),? (?:draw|construct) (?:a|the) (?:straight )?line (?:that|which) (?:halves|bisects|divides "
        r"into (?:two )?equal parts|cuts in half) (?:the )?(?:area|triangle)((?: of (?:the )?(?:triangle )?(?-i:[A-Z]{3}))?)(?=[ .!]*$)",
        r"draw the median from \1\2",
    ),
    (
        rf"(?i)^(?:cut|split|slice) (?:the )?(?:shape|figure|{POLYGON})(?-i: [A-Z]{{3,6}})? (?:along|at) (?=(?-i:[A-Z]{{2}})[ .!]*$)",
        "draw the segment ",
    ),
    (r"(?i)^(?:draw|construct) (?:a|one) right angle (?=at (?-i:[A-Z])[ .!]*$)", "draw an angle of 90 degrees "),
)
