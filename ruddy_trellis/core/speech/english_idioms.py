"""Idioms of English: ways of writing that are put in other words before a sentence is taken apart, in this order.

Each is a form and what is read for it. What is read has words of ``english`` only, and says no less than what was written.
"""

from __future__ import annotations

import re
from collections.abc import Callable

from .english import PARTS

#: Ways of writing, by how they are read.
WRITTEN: tuple[tuple[re.Pattern[str], str | Callable[[re.Match[str]], str]], ...] = tuple(
    (re.compile(form, re.IGNORECASE if form.startswith("(?i)") else 0), read)
    for form, read in (
        (r"(?i)\b(somewhere|anywhere)\s+(?=on\b|in\b|inside|outside|along)", ""),
        (r"(?i)\b(find|draw|make|get|build|construct|mark|put)\s+(?:me|us)\b", r"\1"),
        (
            r"(?i)^(?:use|take|with|using)\s+(?:a|the|your)\s+(?:pair of\s+)?(?:compass(?:es)?|ruler|straight\s?edge)[\s,]+(?:to|and)?\s*",
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
        (r"(?i)^inscribe (an? .+?) in (.+?) (with one (?:vertex|corner) at \w+)", r"draw \1 \3 in \2"),
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
        (r"(?i)^give (\S+) the name (\S+)", r"rename \1 to \2"),
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
        (r"(?i)^undo (?:the |my |that )?last (?:step|thing|act|action|one)(?=[ .!]*$)", "undo"),
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
        (r"(?i)\bjust (?=touch)", ""),
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
)
