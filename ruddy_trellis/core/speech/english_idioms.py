"""Idioms of English: ways of writing that are put in other words before a sentence is taken apart, in this order.

Each is a form and what is read for it. What is read has words of ``english`` only, and says no less than what was written.
"""

from __future__ import annotations

import re
from collections.abc import Callable

from .english import NUMBERS, PARTS
from .english_idioms_of_acts import OF_ACTS
from .english_idioms_of_clauses import OF_CLAUSES

#: Polygons by how many sides they have.
_SIDED = {
    **dict.fromkeys(("3", "three"), "triangle"), **dict.fromkeys(("4", "four"), "quadrilateral"),
    **dict.fromkeys(("5", "five"), "pentagon"), **dict.fromkeys(("6", "six"), "hexagon"), **dict.fromkeys(("8", "eight"), "octagon"),
}  # fmt: skip
#: How many times something is taken, in words.
_TIMES = {"twice": "2", "double": "2", "three times": "3", "half": "0.5", "": "1"}


def _times(found: re.Match[str]) -> str:
    """ "AB to D so that BD = 2AB": by which factor B is enlarged from A."""
    times = float(_TIMES.get(found[5], found[5])) + (found[4] != found[1])
    return f"let {found[3]} be the image of {found[2]} under the enlargement from {found[1]} by the factor {times:g}"


def _right_by_its_sides(found: re.Match[str]) -> str:
    """A right-angled triangle by three sides: where they make the right angle, it need not be said."""
    a, b, c = sorted(float(found[number]) for number in (2, 4, 6))
    said = f"{found[2]}{found[3]}, {found[4]}{found[5]} and {found[6]}{found[7]}"
    if abs(a * a + b * b - c * c) > 1e-9 * c * c:
        return found[0]
    return f"{found[1] or 'draw'} a triangle with sides {said}"


#: What is read for a form: words, with what was found in it, or what makes them of it.
_Read = str | Callable[[re.Match[str]], str]

#: Ways of writing of all else, by how they are read.
_OF_THINGS: tuple[tuple[str, _Read], ...] = (
    (r"(?i)\b(somewhere|anywhere)\s+(?=on\b|in\b|inside|outside|along)", ""),
    (r"(?i)\b(find|draw|make|get|build|construct|mark|put)\s+(?:me|us)\b", r"\1"),
    (
        r"(?i)^(?:use|take|with|using)\s+(?:a |the |your )?(?:pair of\s+)?(?:compass(?:es)?|ruler|straight\s?edge)"
        r"(?: and (?:a |the |your )?(?:pair of\s+)?(?:compass(?:es)?|ruler|straight\s?edge))?[\s,]+(?:only[\s,]+)?(?:to|and)?\s*",
        "",
    ),
    (
        r"(?i)^(?:open|set)\s+(?:the|your)\s+compass(?:es)?\s+to\s+([^,]+?),?\s+and\s+draw\s+an?\s+(circle|arc)\b",
        r"draw a \2 with radius \1",
    ),
    # The point of a line that is nearest to another one is a foot.
    (
        r"\b(?:the )?point (?:on|of) (?:the )?(line [A-Z]{2}|[a-z]) (?:that is )?(?:closest|nearest) to ([A-Z])\b",
        r"the foot from \2 to \1",
    ),
    # What is said of a thing in a clause of its own, as it is said in a part: "whose base is 6", "that has AB as its diameter".
    (
        r"\b(?:(?:that|which) has|with|having) ([A-Z]{2}) as (?:its|a|an|the|one) (diameter|radius|hypotenuse|diagonal)\b",
        r"with \2 \1",
    ),
    (r"\b(?:that|which) has ([A-Z]{2}) as (?:its|a|the) (base|side)\b", r"with \2 \1"),
    (r"(?i)\bwith (?:the |a |its )?right[- ]angle (?:opposite|facing) (?:to )?(?=[A-Z]{2}\b)", "with hypotenuse "),
    (
        r"(?i)\b(?:(and) )?whose (radius|radii|diameter|base|sides?|legs|height|altitude|angles|diagonals?|hypotenuse) "
        r"(?:is|are|measures?|equals?)\b",
        lambda found: f"{found[1] or 'with'} {found[2]}",
    ),
    # Points in general position are never in line.
    (
        r"(?i)\s*,?\s*\b(?:(?:that|which) (?:do|are) )?not (?:(?:all )?(?:lie|lying) )?(?:(?:on|in) (?:a|one|the same) "
        r"(?:straight )?line|collinear|in line)(?=[ .!]*$| and\b)",
        "",
    ),
    (r"(?i)\bnon-?\s?collinear\s+(?=points)", ""),
    (r"(?i)\b(join|connect) (them|the points|these) up\b", r"\1 \2"),
    (r"(?i)(\d\S*(?:\s*[cm]?m\b)?) each\b", r"\1"),
    (r"(?i)(\d\s*(?:°|degrees?)) between (?:them|these)\b", r"\1"),
    (r"(?i)\bwhere[’']s\b", "where is"),
    (r"(?i)^what(?:[’']?s| is) (?:the )?(?=[A-Z]{2} ?[/+*−-] ?)", "what is "),
    (
        r"(?i)^(?:join|connect|link) (?:up )?all (?:of )?the (?:dots|points)(?: up)?,? (?:to make|to form|to get|into) an? ([a-z -]+)$",
        r"draw the \1",
    ),
    (
        r"(?i)\b(?:the )?(?:biggest|largest|greatest) circle (?:that|which) (?:fits|goes|lies|is) (?:inside|in|into) ",
        "the incircle of ",
    ),
    (r"(?i)\b(?:the )?(?:biggest|largest|greatest) circle (?:inside|in) (?=(?:the )?triangle)", "the incircle of "),
    (r"(?i)\bcircle,? (?:with )?(?:the )?same (centre|center|middle),? (?:and )?(?=radius)", r"circle with the same \1 and "),
    (r"(?i),? (?:plz|pls)(?=[ .!]*$)", ""),
    (r"(?i)\b(?:in |with |by )?(?:a )?steps? (?:of |size )?(?=\d)", "in steps of "),
    (
        r",?\s+(?:to get|to give|giving|to obtain|obtaining|to make|getting)\s+(?=(?:the )?(?:point |image )?[A-Z]['′]?\d?\b)",
        " and call it ",
    ),
    (r"(?i)^find (?=(?:a|the|all|two|three) (?:points?|lines?|circles?|square|triangle)\b)", "draw "),
    (r"(?i),? (?:but|and) (?:keep|leave) (?:the|its) (?:points|corners|vertices)(?=[ .!]*$)", ""),
    (
        r"(?i)^(?:extend|produce|prolong) (.+?) and (.+?) (?:until they|to|so that they|till they) meet (?:at|in) ",
        r"let \1 and \2 produced meet at ",
    ),
    (r"(?i)\b(point (on|in|inside|outside) \S+ and) (?:one|another) (?=(?:on|in|inside|outside)\b)", r"\1 a point "),
    (r"(?i)^where (?:can|could|may|might) (?:one|you|we|i|it|he|she|they|people) (?:stand|be|go|sit|lie)\b", "shade the places"),
    (r"\bpoints?, (?=[A-Z]\b)", "points "),
    (r"\bcircles with (?:the |a )?(?:same |common )?cent(?:re|er) (?=[A-Z]\b)", "circles with centre "),
    (r"(?i)\b(?:standing|that stands|which stands|subtended by) (?:on )?(?=(?:the )?(?:arc|chord)\b)", "on "),
    (r"(?i)\b(triangle|quadrilateral|parallelogram) ([A-Z]{3,4}) given(?: that)?\b", r"\1 \2 with"),
    (
        r"^[Ll]et ([A-Z](?:, [A-Z])*,? and [A-Z]) be (?:the )?(?:corners|vertices) of (an? [a-z -]+)",
        lambda found: f"let {''.join(re.findall('[A-Z]', found[1]))} be {found[2]}",
    ),
    (r"(?i)\b(?:that|which) (?:goes|runs|ranges) (?=from\b)", ""),
    (r"\bpoints? ([A-Z]) (?:with|such that|so that|for which) \1([A-Z]) = \1([A-Z])\b", r"points equidistant from \2 and \3"),
    (r"(?i)^inscribe (an? .+?) in (.+?) with (?:one|an?|its) (vertex|corner) at (\w+)", r"draw \1 in \2 with a \3 at \4"),
    (
        r"(?i)\b(square|hexagon|pentagon|octagon|triangle|polygon) with (?:one|an?|its) (vertex|corner) at ([A-Z]) (?:inscribed )?in "
        r"((?:the )?(?:circle )?[a-z]\b|the circle\b|it\b)",
        r"\1 in \4 with a \2 at \3",
    ),
    (r"(?i)\binto (halves|thirds|quarters|fifths)\b", lambda found: f"into {PARTS[found[1].lower()]} equal parts"),
    (r"(?i)^(?:draw|show|colour|color) the part of\b", "shade the part of"),
    (r"(?i)^which (?:places|points) (?:are|lie)\b", "shade the places"),
    (r"(?i)\bthat (?:lies|is|stands) (?=(?:above|below|outside|inside)\b)", ""),
    (
        r"\b(?:triangle |quadrilateral )?([A-Z]{1,4})[’'](?:s )?(incircle|circumcircle|centroid|orthocent(?:re|er)|incent(?:re|er)"
        r"|medians|altitudes|sides|angles|diagonals|cent(?:re|er)|area|perimeter)\b",
        r"the \2 of \1",
    ),
    (r"(?i)\b(?:line|segment) from ([A-Z]) to the midpoint of the opposite side", r"median from \1"),
    (r"(?i)\bof the same (?:size|radius)\b", "with the same radius"),
    (r"(?i)^(?:put|mark|draw|place) (\w+) equally spaced points (?:on|around|round|along) ([^.]+)", r"divide \2 into \1 equal parts"),
    (r"(?i)\band one (leg|side) (?:of )?(?=\d)", r"and \1 "),
    (r"(?i), (side|sides|radius|diameter|height|base) (?=\d)", r" with \1 "),
    (
        r"^[Ll]et ([A-Z](?:, [A-Z])*,? and [A-Z]) be the points (?:where|at which|in which) the (incircle|inscribed circle) "
        r"(?:touches|meets) (?:the |its )?sides\b",
        r"let the \2 touch the sides at \1",
    ),
    (r"(?i)\b(a circle) and one of its (chord|diameter|tangent)s\b", r"\1 and a \2 of it"),
    (r"(?i)\s+in (?:this|that|the given) order\b", ""),
    (r"(?i)\b(triangle|pentagon|hexagon|octagon|polygon) (regular|equilateral|isosceles|right-angled)\b", r"\2 \1"),
    (r"(?i),?\s*\bplease\b\s*,?", " "),
    (r"(?i)(?<!^)\s+on the board(?=\s*(?:,|with|and))", ""),
    (r"(?i),? (\d\S*(?:\s*[cm]?m)?) (?:away )?from it\b", r" at a distance of \1"),
    (
        r"(?i)^((?:measure|find|what is|calculate) .+?) in (?:cm|mm|m|metres|meters|centimetres|centimeters|units|degrees)(?=[ .?!]*$)",
        r"\1",
    ),
    (r"(?i)^which point is\b", "the point"),
    (r"(?i)\b(segment(?: [A-Z]{2})?|line segment(?: [A-Z]{2})?) (?:that|which) is (\d\S*(?:\s*[cm]?m)?) long\b", r"\1 of length \2"),
    (r"(?i)\bpick (?=(?:an?|one|two|three|four|five|six|any|some) )", "mark "),
    (r"(?i)\b(at|is) the origin\b", r"\1 (0, 0)"),
    (r"(?i)^put (?:the )?(?:point )?([A-Z]) at (\([^)]*\)) and ([A-Z]) at (\([^)]*\))", r"put \1 at \2 and put \3 at \4"),
    (
        r"(?i)^put (?:(?:an?|one|two|three|four|five) )(?:(?:more|other) )?(?=points?\b)",
        lambda found: found[0].lower().replace("put", "mark"),
    ),
    (r"(?i)\bmark ((?:one|two|three|four|five|six)) (?:more|other) (?=points?\b)", r"mark \1 "),
    (
        r"(?i)^(?:draw |show )?(?:the |all )?(?:three )?(?:midlines|midsegments|mid-segments)(?: of (?:the )?triangle)?(?=[ .!]*$)",
        "join the midpoints of the sides",
    ),
    (
        r"(?i)\b(inscribed circle|incircle)((?: of \w+)?),? and mark (?:the points )?where it (?:touches|meets) the sides\b",
        r"\1\2 and mark the contacts of the incircle",
    ),
    (
        r"(?i)^(draw (?:an?|the) line through [A-Z]) (?:which|that) (?:meets|makes|cuts|crosses) (\S+) at (?:an angle of )?(?=\d)",
        r"\1 to \2 at ",
    ),
    (r"(?i)\b(?:and )?(?:see|check|test|find out|verify|investigate) (?:whether|if) (\S+) is (?=on\b|in\b|the\b|an?\b)", r"and is \1 "),
    (r"(?i)\b((?:one|two|three|four|\d) (?:thirds?|quarters?|fifths?)) along (?=[A-Z]{2}\b)", r"\1 of the way along "),
    (
        r"(?i)^from ([A-Z]) draw (?:the )?two tangents(?: to (?:the circle|[a-z]))?,? (?:touching|which touch|that touch) "
        r"(?:the circle|it|[a-z]) (?:at|in) ([A-Z]) and ([A-Z])\b",
        r"from \1 draw the two tangents \1\2 and \1\3",
    ),
    (r"(?i)\b(?:see|check|find) where (?=it |they |the )", "mark where "),
    (
        r"^(?:[Pp]roduce|[Ee]xtend|[Pp]rolong) (?:the |line |side |chord )*([A-Z]{2}) to (?:meet|cut|cross) (the tangent at [A-Z]) "
        r"(?:in|at) ([A-Z])\b",
        r"let \1 meet \2 at \3",
    ),
    (r"(?i)\b(?:a |one )?pairs? of (?=(?:parallel|perpendicular|intersecting|concentric|equal)\b|lines|circles|tangents)", "two "),
    (r"(?i)\btwo circles (?:that|which) (?:intersect|cross|meet|cut)(?: each other)?(?=[ .!]*$)", "two intersecting circles"),
    (
        r"(?i)^put (?:the )?(?:point of the compass(?:es)?|compass(?:es)?(?: point| needle)?) (?:on|at|in) ([A-Z]),? and "
        r"(?:draw|make|strike) an? (circle|arc) ",
        r"draw a circle with centre \1 ",
    ),
    (
        r"^(?:[Dd]raw )?(?:the )?(line|segment) ([A-Z])([A-Z]) (?:through|joining|between) the midpoints of (.+?)(?=[ .!]*$)",
        r"let \2 and \3 be the midpoints of \4 and draw the \1 \2\3",
    ),
    (
        r"(?i)\b(\d+|one|two|three|four|five|six) (?:squares?|units?|boxes|steps?) (?:to the )?(right|left|up|down)(?:wards?)?\b",
        lambda found: f"{NUMBERS.get(found[1].lower(), found[1])} {found[2]}",
    ),
    (r"(?i)\b(right|left|up|down) (?:by )?(\d+|one|two|three|four|five|six) (?:squares?|boxes)\b", r"\1 \2"),
    (
        r"(?i)^(?:draw |make |construct |show )?(?:an? |the )?(enlargement|dilation) of (.+?),? (?:with |by |using )?(?:an? )?"
        r"scale factor (?:of )?(\S+?),? (?:and )?(?:with |about |from )?(?:the )?cent(?:re|er)(?: at)? (\S+)$",
        r"enlarge \2 by factor \3 from centre \4",
    ),
    (
        r"^(?:[Cc]opy|[Cc]arry|[Tt]ransfer|[Ss]tep off) (?:the )?(?:length|distance) (?:of )?([A-Z]{2}) (?:on ?to|along|over to) "
        r"(?:the )?ray (?:from )?([A-Z])(?: (?:through|to|towards) )?([A-Z])\b",
        r"the point at \1 from \2 towards \3",
    ),
    (
        r"^(?:[Mm]ark|[Ll]et|[Pp]ut|[Tt]ake|[Cc]hoose|[Ff]ind) (?:a )?(?:the )?(?:point )?([A-Z]) (?:be (?:a |the )?point )?on "
        r"([A-Z])([A-Z]) "
        r"(?:such that|so that|with|where) \2\1 (?:is|=|equals) (?:an? |one )?((?:two |three "
        r")?(?:half|thirds?|quarters?|fifths?)) of \2\3",
        r"let \1 be the point \4 of the way from \2 to \3",
    ),
    (
        r"^(?:[Ee]xtend|[Pp]roduce|[Pp]rolong) (?:the )?(?:line |side |segment )?([A-Z])([A-Z]) (?:past|beyond) \2(?=[ .!]*$)",
        r"draw the ray \1\2",
    ),
    (
        r"^(?:[Ee]xtend|[Pp]roduce|[Pp]rolong) ([A-Z])([A-Z])(?: beyond \2| past \2)? to (?:a )?(?:point )?([A-Z]),? (?:so "
        r"that|such that|with|where) "
        r"(\1|\2)\3 (?:is|=|equals) (\d|twice|double|three times|half|) ?(?:of |\*|×)? ?(?:\1\2|\2\1)(?=[ .!]*$)",
        _times,
    ),
    (r"(?i)\b(?:the )?(?:set|locus) of (?:all )?(?:the )?points (?:which|that) (?:are|lie) ", "the locus of points "),
    (r"(?i)^which (?:one )?is (?:the )?(?:longer|shorter|bigger|larger|greater|smaller)[,:]? (.+?) or ", r"measure \1 and "),
    (r"(?i)^(?:test|check|see|verify|find out|decide) (?:if|whether) ", "check whether "),
    (
        r"(?i)^(?:draw |construct )?(?:the )?(?:two )?tangents from ([A-Z])(?: to (?:the circle|[a-z]))?,? (?:touching|which "
        r"touch|that touch"
        r"|meeting|and let them touch) (?:it|the circle|[a-z]) (?:at|in) ([A-Z]) and ([A-Z])\b",
        r"from \1 draw the two tangents \1\2 and \1\3",
    ),
    (r"(?i)\bangle (?:at|in) the (?:centre|center|circumference|circle) (?=[A-Z]{3}\b)", "angle "),
    (
        r"(?i)^(?:(draw|construct|make) )?(?:an? )?right-?\s?(?:angled )?triangle with (?:the )?sides? ([\d.]+)((?: ?[cm]?m)?),? "
        r"(?:and )?([\d.]+)"
        r"((?: ?[cm]?m)?),? and ([\d.]+)((?: ?[cm]?m)?)(?=[ .!]*$)",
        _right_by_its_sides,
    ),
    (r"(?i)\b(draw|make|construct|mark) a right angle(?=[ .!]*$)", r"\1 an angle of 90 degrees"),
    (r"(?i)\bsemicircle (?:with|of) (?:a )?diameter (?:of )?(\d[\d.]*(?: ?[cm]?m)?)", r"segment of length \1 and a semicircle on it"),
    (
        r"(?i)\bperpendicular to (?:the )?(?:segment |line |side )?([A-Z]{2}) (?:at|through|in) its (?:midpoint|middle|centre|center)",
        r"perpendicular bisector of \1",
    ),
    (
        r"(?i)^(?:slide|put|place|set) (?:a |the )?(?:new )?point ([A-Z]) (?:along|to slide on|to slide along) ",
        r"let \1 be a point on ",
    ),
    (
        r"(?i)\bsmallest circle (?:containing|through|round|around|that contains|which contains) ([A-Z]) and ([A-Z])\b",
        r"circle with diameter \1\2",
    ),
    (r"\bwith (?:the )?(?:same )?radius (?:the same as |equal to |as )([A-Z]{2})\b", r"with radius \1"),
    (r"\b([A-Z]{2}) squared\b", r"\1^2"),
    (r"(?i)\binfinite (?=line)", ""),
    (r"^[Ii]s ([A-Z]) (?:closer|nearer) to ([A-Z]) than (?:to )?([A-Z])(?=[ ?.]*$)", r"is \1\2 less than \1\3"),
    (r"^[Ii]s ([A-Z]) (?:further|farther) (?:away )?from ([A-Z]) than (?:from )?([A-Z])(?=[ ?.]*$)", r"is \1\2 greater than \1\3"),
    (
        r"(?i)^do (.+?) (?:meet|cross|intersect|concur) (?:in|at|through) (?:a|one) (?:single |common )?point(?=[ ?.]*$)",
        r"prove that \1 meet at one point",
    ),
    (
        r"(?i)^(?:move|slide|push|shift) (the (?:triangle|quadrilateral|square|polygon|shape)|triangle [A-Z]{3}) (?=\d|by "
        r"|up|down|left|right)",
        r"translate \1 ",
    ),
    (r"(?i)\b(?:pointing|facing|going|directed) (?=(?:outwards?|inwards?)\b)", ""),
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
        r"^(?:[Dd]raw|[Mm]easure|[Ss]how) the angle subtended by (?:the )?(?:arc |chord |side )?([A-Z])([A-Z]) at (?:the "
        r")?(?:point )?([A-Z])\b",
        r"measure angle \1\3\2",
    ),
    (
        r"(?i)\bline through ([A-Z]) (?:that|which) (?:crosses|meets|cuts|hits) (\S+) at (?:a )?right angles?",
        r"perpendicular to \2 through \1",
    ),
    (r"(?i)^shade everything (?=within|less|more|closer|nearer|further|farther|at (?:least|most)|not)", "shade the places "),
    (
        r"(?i)^where (?:can|could|may|might|should) (?:an?|the|my|our) \w+ (?:stand|be|go|grow|sit|lie|be put|be planted)(?: that "
        r"is| so that it is| if it is| which is)?\b",
        "shade the places",
    ),
    (
        r"(?i)\b(?:draw |make |lay |put )?an? (?:path|fence|rope|wall|string|ladder|hedge|road) from (?=[A-Z] to [A-Z]\b)",
        "draw a segment from ",
    ),
    (
        r"(?i)^(?:draw )?two circles with cent(?:re|er)s ([A-Z]) and ([A-Z]),? (?:each|both) (?:passing|going|which goes|that "
        r"goes) through (?:the )?"
        r"(?:other[’']?s? (?:cent(?:re|er)|one)|cent(?:re|er) of the other(?: one)?)",
        r"draw the circle with centre \1 through \2 and the circle with centre \2 through \1",
    ),
    (r"(?i)\ban angle of (\d+(?:\.\d+)?) ?(°|degrees?) and bisect it\b", r"an angle of \1 degrees and bisect the angle"),
    (r"(?i)\ba (base|height|side|radius|diameter|leg) of (?=\d)", r"\1 "),
    (r"(?i)\brandom (?=triangle|quadrilateral|polygon|point|line|circle)", ""),
    (r"(?i)^two (lines|circles|segments) (\w+ and \w+) (?:meet|intersect|cross) ", r"\1 \2 meet "),
    (r"(?i)\bone angle of (?=\d)", "an angle of "),
    (r"\b(rectangle|triangle|parallelogram) with (?:side|base) ([A-Z]{2}) and (?=height\b)", r"\1 on \2 with "),
    (
        r"(?i)\btwo (circle|line|segment|perpendicular|parallel|tangent|triangle|square)s ?[,:]? one (.+?),? and "
        r"(?:one|another|the other)(?: one)? (?=[a-z])",
        r"a \1 \2 and a \1 ",
    ),
    (
        r"(?i)\b(an?|the) (circle|line|segment|perpendicular|parallel|tangent|triangle|square) ([^,]+?),? "
        r"(?:and|then) (?:one|another)(?: one)? "
        r"(?=(?:around|round|about|through|with|from|at|on|to|of) )",
        r"\1 \2 \3 and a \2 ",
    ),
    (r"(?i)(?<=[\"”“]) near (?=\w)", " beside "),
    (r"(?i) of the (?:board|page|screen|sheet)(?=[ .!]*$)", ""),
    (r"(?i)^where (?:is|are) (?=(?:the )?(?:point|centre|center|incent|circumcent|orthocent|centroid|midpoint|foot)\w*\b)", "mark "),
    (
        r"(?i)^(reflect|rotate|turn|translate|enlarge) (.+?),? (?:and )?then (?=(?:in|about|by|around|through|across|over|from) )",
        r"\1 \2 and \1 the image ",
    ),
    (r"(?i)^compare (.+?) (?:with|to|and) ", r"measure \1 and "),
    (
        r"\b(?:with|that has) ([A-Z]), ?([A-Z]) and ([A-Z]) as (?:three of its|its|three) (corners|vertices)\b",
        r"with corners \1, \2 and \3",
    ),
    (
        r"(?i)^a (triangle|rectangle|square|circle|rhombus|parallelogram|trapezium|kite) has "
        r"(?=(?:an? |the )?(?:sides?|legs|angles|radius|diameter|base|height)\b[^?]+$)",
        r"draw a \1 with ",
    ),
    (
        r"(?i)\b(two parallel lines) and a line (?:crossing|cutting|meeting|that (?:crosses|cuts|meets)) "
        r"(?:them )?(?:both|them)(?: lines)?\b",
        r"\1 and a transversal",
    ),
    (r"(?i)\ball (?:three|four) (corners|vertices|sides|points)\b", r"the \1"),
    (r"(?i)\bequally (?:far|distant) from\b", "equidistant from"),
    (
        r"(?i)\b(?:the )?points? (?:where|at which|in which) the (incircle|inscribed circle) (?:touches|meets) (?:the |its )?sides\b",
        "the contacts of the incircle",
    ),
    (r"(?i)\bthe extension of ([A-Z]{2})\b", r"\1 produced"),
    (r"(?i)\bto (half|double|twice) (?:its|the|their) size\b", r"by a factor of \1"),
    (r"(?i)\bby a factor of (?:double|twice)\b", "by a factor of 2"),
    (r"(?i)\bthe value of (?=(?:the )?(?:angle|length|area|distance|ratio)\b)", "the "),
    (r"(?i)\bfrom (\S+) to (\S+) at right angles(?=[ .!]*$)", r"from \1 perpendicular to \2"),
    (r"(?i)\bbisector of the (?:exterior|external|outer) angle (?:at|of) ", "external bisector of angle "),
    (r"(?i)^where is it\b", "shade the places"),
    (r"(?i)^shade everything (?:in|inside|of) (\S+)", r"shade the part of \1"),
    (r"(?i)\b(?:only )?just (?=touch)", ""),
    # "Construct N with compass and straightedge" asks for the compass work of what is there.
    (
        r"(?i)^(?!(?:draw|construct|make|show|how (?:is|are)) \S+ (?:with|using))(.+?),? (?:using|with) (?:only )?(?:a |your |the )?"
        r"(?:pair of )?(?:compass(?:es)?|ruler|straight\s?edge)(?: and (?:a |the )?(?:pair of )?(?:compass(?:es)?|ruler|"
        r"straight\s?edge))?(?: only)?(?=[ .!]*$)",
        r"\1",
    ),
    (r"(?i)\blet fall (?=an?\b|the\b)", "draw "),
    (r"(?i)\bcircle from ([A-Z]) (?=with radius|of radius|through)", r"circle with centre \1 "),
    (
        r"(?i)^(?:how many degrees (?:has|does|is|are in|are there in)|what size is|which angle is) (?:the )?(?:angle "
        r")?([A-Z]{3}|at [A-Z])(?: have| measure)?(?=[ .?!]*$)",
        r"measure angle \1",
    ),
    (r"(?i)\b(?:an?|one) (quarter|third|fifth|sixth|tenth|eighth) (?=of the way)", r"one \1 "),
    (
        r"(?i)^(?:put|mark|place|plot) (?:a |the )?point (?=(?:one|two|three|half|\d|three-)\b.*of the way\b|halfway\b)",
        "mark the point ",
    ),
    (r"(?i)\bhalf[- ]?way round about\b", "by a half turn about"),
    (r"(?i)\bhalf[- ]?way (?:round|around) (?=the point|point)", "by a half turn about "),
    (r"(?i)\bnormal to (the circle|[a-z]) at (?:the )?(?:point )?([A-Z])\b", r"line through \2 and the centre of \1"),
    (r"(?i)\bsegment (?:with|of|having) a length of ", "segment of length "),
    (r"(?i)\bof (\d[\d.]*(?: ?[cm]?m)?) (diameter|radius)\b", r"of \2 \1"),
    (r"^([A-Z])([A-Z])([A-Z]),? (?:is )?right(?:-angled| angled)? at (\1|\2|\3)(?=[ .!]*$)", r"triangle \1\2\3 right-angled at \4"),
    (
        r"^[Mm]ake (?:it so )?that ([A-Z]) is the symmetric (?:point )?of ([A-Z]) (?:by|about|in|with respect to) ([A-Z])\b",
        r"let \1 be the reflection of \2 in \3",
    ),
    (r"(?i)\bthe symmetric (?:point )?of ([A-Z]) (?:by|about|in|with respect to) ", r"the reflection of \1 in "),
    (
        r"^[Tt]ransfer (?:the )?(?:distance|length) ([A-Z]{2}) to ([A-Z]) and draw (?:the|a) circle",
        r"draw the circle with centre \2 and radius \1",
    ),
    (
        r"(?i)\bline (\d[\d.]*(?: ?[cm]?m)?) (?:away )?from (?:the line )?([A-Z]{2}|[a-z]),? (?:and|which is|that is)? ?parallel to "
        r"(?:it|\2)(?=[ .!]*$)",
        r"parallel to \2 at a distance of \1",
    ),
    (r"(?i),? and (?:it|which) (?:should|must|has to|is to|shall) (?:pass|go) through\b", " passing through"),
    (r"^((?:.* )?)parallelogram with sides ([A-Z])([A-Z]) and \2([A-Z])\b", r"\1parallelogram with corners \3\2\4"),
    (
        r"(?i)\b(?:that|which) is as far (?:away )?from ([A-Z]{1,2}) as (?:it is )?(?:from )?([A-Z]{1,2})\b",
        r"equidistant from \1 and \2",
    ),
    (r"(?i)^what (?:shape|figure) (?:do|will|would) (?:we|you|i) (?:get|have|see) (?:if|when) (?:we|you|i) ", ""),
    (
        r"^(.*)\bline from ([A-Z]) (?:to meet|meeting|that meets) (\S+) at (?:a )?right angles?(?=[ .!]*$)",
        r"\1perpendicular from \2 to \3",
    ),
    (r"(?i)\bupside down (?=about|around)", "by a half turn "),
    (r"(?i)\bthe y[- ]?axis\b", "the line x = 0"),
    (r"(?i)\bthe x[- ]?axis\b", "the line y = 0"),
    (r"(?i)\b(up|down|left|right) by (\d[\d.]*)(?=[ .!]*$)", r"\1 \2"),
    (r"^[Ll]abel (?:the )?(?:segment |side )?([A-Z]{2}) with its length(?=[ .!]*$)", r"measure \1"),
    (r"^(.*)\bsegment ([A-Z])([A-Z]) with an arrow at \3(?=[ .!]*$)", r"\1vector from \2 to \3"),
    (r"(?i)\bon ([A-Z]{2}) as (?:the |its )?hypotenuse\b", r"with hypotenuse \1"),
    (r"(?i)\bright[- ]?angled isosceles (?=triangle)", "isosceles right-angled "),
    (r"(?i)\bon (?:each|every) side of (?=the\b|triangle\b|[A-Z])", "on the sides of "),
    (r"(?i)\bcircles (?:with|on) the sides as (?:their )?diameters?\b", "circles on the sides as diameter"),
    (
        r"^(?:[Dd]raw )?([A-Z])([A-Z]) parallel to ([A-Z]{2}),? with \1 the midpoint of ([A-Z]{2}) and \2 on ([A-Z]{2})(?=[ .!]*$)",
        r"let \1 be the midpoint of \4 and draw the parallel to \3 through \1 meeting \5 at \2",
    ),
    (
        r"^[Ll]et ([A-Z]) be on ([A-Z]{2}) and ([A-Z]) (?:be )?on ([A-Z]{2}) (?:so|such) that \1\3 (?:is parallel to|∥|\|\|) "
        r"([A-Z]{2})(?=[ .!]*$)",
        r"let \1 be a point on \2 and draw the parallel to \5 through \1 meeting \4 at \3",
    ),
    (r"^(.*)\bchord ([A-Z])([A-Z]) and the tangents at its ends(?=[ .!]*$)", r"\1chord \2\3 and the tangents at \2 and \3"),
    (
        r"^[Ll]et ([A-Z]) be the cent(?:re|er) of a circle (?:of|with) radius (\S+?) and (?:let )?([A-Z]) (?:be )?a point "
        r"(?:on|of) (?:it|the circle)(?=[ .!]*$)",
        r"draw a circle with centre \1 and radius \2 and let \3 be a point on it",
    ),
    (
        r"(?i)\bline through \(([-−]?[\d.]+), ?([-−]?[\d.]+)\) with (?:gradient|slope) ([-−]?[\d.]+)(?=[ .!]*$)",
        r"line y = \3 * (x - (\1)) + (\2)",
    ),
    (r"^(?:[Tt]he )?[Pp]oints ([A-Z]\d?(?:, [A-Z]\d?)*,? and [A-Z]\d?) (?=(?:all )?(?:lie|are)\b)", r"\1 "),
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
    (r"(?i)^(?:the )?(midpt|midpoint|perp bisector|perp bisec|perpendicular bisector) ([a-z]{2})(?=[ .!]*$)", r"\1 of \2"),
    (r"(?i)^(?:denote|call|label|name) by ([A-Z]) (?=the\b)", r"let \1 be "),
    (r"(?i)\bon the side of ([A-Z]{2}) (?:away|opposite) from ([A-Z])\b", r"on the other side of \1 from \2"),
    (r"(?i)\b(?:that|which) (?:begins|starts) (?:from|at|in) ", "from "),
    (r"(?i)^how far (is|are) (\S+) away\b", r"how far \1 \2"),
    (r"(?i)^((?:.*\b)?)(?:draw|put|add) in (?=both\b|the\b|all\b|an?\b|two\b|three\b|any\b|some\b|one\b)", r"\1draw "),
    (r"(?i)\b(clockwise|anti-?clockwise|counter-?clockwise) (by|through) (\d[\d.]*) ?(°|degrees?)", r"\2 \3 degrees \1"),
    (r"(?i)^(?:identify|locate) ", "find "),
    (
        r"^[Ll]abel (?=the (?:midpoint|mid-point|middle|halfway "
        r"point|cent(?:re|er)|centroid|circumcent\w+|orthocent\w+|incent\w+|foot|intersection|crossing|point "
        r"of|point that|point which|point dividing|barycent\w+|mirror|image|reflection)\b"
        r"(?:.*(?:\b(?:of|from|to|on|and|line|side|triangle) [A-Z]+|[a-z]|\d))$)",
        "mark ",
    ),
    (r"(?i)\bon to (?=the\b|[A-Z]{2}\b|line\b|side\b)", "to "),
    (r"(?i)^cut in (?:half|two) ", "bisect "),
    (r"(?i)^show (?:me )?(the|a) (?=(?:chord|secant|tangent)\b)", r"draw \1 "),
    (r"(?i)\bthe point ([A-Z] )?(?:which divides|dividing) (?=[A-Z]{2} in\b)", r"the point \1that divides "),
    (r"(?i)^(?:find|mark|locate|get|show|plot|label) the point that divides ", "the point that divides "),
    (r"(?i)\bfind (?=(?:their|the) (?:intersection|crossing|point of intersection)\b.* as [A-Z][ .!]*$)", "mark "),
    (
        r"(?i)^show (?:me )?(the|both|all)(?: the)? (?=(?:(?:two|three) )?(?:diagonals|medians|altitudes|angle bisectors)\b)",
        r"draw \1 ",
    ),
    (r"^[Mm]ove (the \w+|(?:triangle )?[A-Z]{3,}) by (?=(?:the )?vector\b|[A-Z]{2}\b)", r"translate \1 by "),
    (r"(?i)\brectangle (?:of|measuring) (\d\S*(?: ?[cm]?m)?) (?=by|×|x)", r"rectangle \1 "),
    (r"(?i)\bwith length (\d\S*(?: ?[cm]?m)?) and (?:width|breadth) ", r"with sides \1 and "),
    (r"(?i)\btriangle with sides (\d[\d.]*(?: ?[cm]?m)?), (\d[\d.]*(?: ?[cm]?m)?), (?=\d)", r"triangle with sides \1, \2 and "),
    (r"(?i)\ball (?=meet (?:at|in) (?:one|a) )", ""),
    (r"(?i)\band label (where they (?:meet|cross)|their (?:intersection|point of intersection|crossing))(?=[ .!]*$)", r"and mark \1"),
    (r"(?i)\b(of|with|and|a|the|,) (radius|diameter) of (?=\d)", r"\1 \2 "),
    (
        r"(?i)\bregular (?:polygon (?:with|of|having) (\w+) (?:equal )?(?:sides|corners|vertices)|(\w+)[- ]sided polygon)\b",
        lambda found: f"regular {_SIDED.get((found[1] or found[2]).lower(), found[0][8:])}",
    ),
    (r"(?i)\bright(?:-| )?(?:angled )?triangle,? (?=right-angled at)", "triangle "),
    (
        r"\b(?:[Jj]oin|[Cc]onnect|[Dd]raw a (?:line|segment) from) (?:the )?(?:point )?([A-Z]) to the midpoint of the "
        r"(?:opposite|facing) side\b",
        r"draw the median from \1",
    ),
    (
        r"(?i)\b(?:the )?side lengths(?: of)?\b",
        lambda found: "the lengths of the sides" + (" of" if found[0].lower().endswith(" of") else ""),
    ),
    (
        r"(?i)\bcircle concentric (?:with|to) (the circle|[a-z]),? (?:and|with|of) (?:a )?radius (?:of )?(\d[\d.]*(?: ?[cm]?m)?)",
        r"circle of radius \2 with the same centre as \1",
    ),
    (
        r"(?i)\b(from|to|through|about|around|round|at|centre|center|onto|over|across) (?:the )?point (?-i:([A-Z]))(?=[ "
        r",.?!]|$)(?! \()",
        r"\1 \2",
    ),
    (r"(?i)\bradius (?:which is |that is )?equal to ", "radius "),
    (
        r"(?i)\b(?:by |through )?a (quarter|half) turn (clockwise|anti-?clockwise|counter-?clockwise)",
        lambda found: f"by {90 if found[1].lower() == 'quarter' else 180} degrees {found[2]}",
    ),
    (r"(?i)\b(reflection|mirror image|image) of ((?:the )?(?:point )?[A-Z]) (?:over|across) ", r"\1 of \2 in "),
    (r"(?i)\bin the ratio (\d+) to (?=\d)", r"in the ratio \1 : "),
    (r"^[Mm]ove (?:the )?(?:point )?([A-Z]) by (?:the )?(?:vector )?([A-Z]{2})(?=[ .!]*$)", r"translate \1 by the vector \2"),
    (
        r"(?i)\bin the ratio (one|two|three|four|five|six) to (one|two|three|four|five|six)\b",
        lambda found: f"in the ratio {NUMBERS[found[1].lower()]} : {NUMBERS[found[2].lower()]}",
    ),
    (
        r"(?i)^(?:cut|split|divide|partition) (.+?) (?:up )?into (\w+) (?:(?:congruent|equal) )?(?:segments|pieces|parts)(?=[ .!]*$)",
        r"divide \1 into \2 equal parts",
    ),
    (r"(?i)\bray from ([A-Z]) towards? (?=[A-Z]\b)", r"ray from \1 through "),
    (
        r"(?i)\btangent( to (?:the circle|[a-z]))? (?:touching|which touches|that touches)(?: it| the circle)? (?=at\b|in\b)",
        r"tangent\1 ",
    ),
    (r"(?i)^how (?:far|long) is it (?:all the way |right )?(?:around|round) ", "the perimeter of "),
    (r"(?i)\bthe angles (?:in|at) (?:all|every|each) (?:of )?(?:the )?(?:corners?|vertex|vertices)\b", "all the angles"),
    (r"(?i)\b(two parallel lines),? (?:that are )?(?:cut|crossed|met) by a (?:transversal|line|third line)\b", r"\1 and a transversal"),
    (r"^([A-Z]{2}) is (produced|extended|prolonged) (?=to\b|beyond\b)", r"produce \1 "),
    (r"\s*(?:\|\||//)\s*", " parallel to "),
    (r"\s*(?:_\|_|⊥)\s*", " perpendicular to "),
    (r"\s+≅\s+", " is congruent to "),
    (r"\s+~\s+", " is similar to "),
    (r"(?i),?\s*\brespectively\b", ""),
    (r"(?i)\s+in general position", ""),
    (r"(?i)\b(?:the\s+)?outlines? of\s+", ""),
    (r"(?i)\bmeasure of (?=(?:the )?angle|[<∠])", ""),
    (r"(?i)\bthe point ([A-Z]\d?) is the\b", r"\1 is the"),
    (r"<(?=[A-Z]{3}\b)", "angle "),
    (r"(?i)(\d+(?:\.\d+)?\s*(?:cm|mm|m)?)\s+across\b", r"of diameter \1"),
    (r"(?i)\bwith ([A-Z]) (?:in|at) the (?:middle|centre|center)\b", r"with centre \1"),
    (
        r"(?i)\b(triangle|quadrilateral|pentagon|hexagon|octagon|polygon) with (?:all (?:its |the )?sides (?:the same|equal)"
        r"|equal sides)",
        r"regular \1",
    ),
    (r"(?i)\bthat is (\d[\d.]*(?:\s*[cm]?m)?) long and (\d[\d.]*(?:\s*[cm]?m)?) wide", r"\1 by \2"),
    (r"(?i)\bone (?:corner|angle) is (?:a )?(?:square|right)$", "one corner is right"),
    (r"[Øø⌀]\s*(?=\d)", " diameter "),
    (r"\s[-–—]\s(?=[a-z])", ", "),
    (r"(?i)\b(perp|pt|mid|eq|seg|circ|tri|quad|dist|deg|rad|diam|dia|alt|par|approx)\.(?=\s|$)", r"\1"),
    (r"\bw/\s*|\bw\s+(?=[A-Z]{1,2}\s*=)", "with "),
    (r"(?:\bcircle\s+|⊙\s*)?\(([A-Z])([A-Z])([A-Z])\)", r"the circumcircle of \1\2\3"),
    (r"\bcircle\s*\(\s*([A-Z])\s*,\s*([^()]+)\)", r"circle with centre \1 and radius \2"),
    (r"(\bcircle\b[^,]*?)\br\s*=?\s*(?=\d)", r"\1radius "),
    # "a hive must be at least 3 m from AB": what is said of any place that will do.
    (
        r"(?i)^(?:(?:the|a|an)\s+)?[a-z]+(?:\s+[a-z]+)?\s+(?:must|should|has to|have to|needs to)\s+(?:also\s+)?"
        r"(?:be|stand|lie|go|stay)\s+",
        "the places ",
    ),
    (r"(?i)^it\s+must\s+also\s+be\s+", "the places "),
    (r"(?<=[A-Z])\s*:\s*(?=[A-Z]{2}\b)", " : "),
)

#: Ways of writing in their order, by how they are read.
WRITTEN: tuple[tuple[re.Pattern[str], _Read], ...] = tuple(
    (re.compile(form, re.IGNORECASE if form.startswith("(?i)") else 0), read) for form, read in (*OF_CLAUSES, *OF_ACTS, *_OF_THINGS)
)
