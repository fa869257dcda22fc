"""Idioms of English in questions, and in wishes to know: how large, which of two, whether, where it would be.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

from .idiom_parts import Idioms

#: How it is asked of which sort a shape is; what stands in braces are the nouns of shapes.
SORT_ASKED = (
    r"(?:so |and |now )?(?:what|which) (?:(?:special )?(?:sort|kind|type) of )?(?:special )?(?P<shape>{shapes}|shape|figure|polygon) "
    r"(?:is (?:formed|made|this|that|it|(?:the )?(?:figure|shape|triangle|quadrilateral|polygon))? ?(?P<name>(?-i:[A-Z]{{3,12}}))?"
    r"|(?:do|did|will) (?:you|we|they) (?:get|have|see|obtain|make|form)|results|have (?:you|we) (?:made|got|drawn))"
    r"|what is the (?:special )?name (?:of|for) (?:the|this|that) (?:shape|figure|quadrilateral|triangle|polygon)"
)
#: Ways of asking, by how they are read.
OF_QUESTIONS: Idioms = (
    (
        r"(?i)^is (?:the )?(?:triangle|quadrilateral|shape|figure) "
        r"(?=(?-i:[A-Z]{3,4}) (?:isosceles|equilateral|right|scalene|cyclic|an? ))",
        "is ",
    ),
    (
        r"(?i)^where(?: is|'s|’s)? (?:everywhere|everything|all the places|anywhere) "
        r"(?=within |closer |nearer |at (?:most|least) |less |more )",
        "the places ",
    ),
    (r"(?i)^(?:what is |what’s |what's |how much is )?(?-i:([A-Z]{2}|[a-z])) times (\d[\d.]*)(?=[ ?.!]*$)", r"\1 * \2"),
    (r"(?i)^(?:verify|check|see|find out) (?:if|whether) (?:the points )?(?=.* (?:lie|are)\b)", ""),
    (r"(?i)^how (?:far|long) is it (?:all )?(?:the way )?(?:a)?round(?: it)?(?=[ .?!]*$)", "the perimeter"),
    (
        r"(?i)^where (?:would|does|will|do|should) ([A-Z]) (?:land|go|end up|come|be|get)(?: to)?,? (?:if|when|after) "
        r"(?:we |you |I |it is |it were |it was )?(reflect|rotate|translate|turn|mirror|enlarge)(?:ed|d)? ?(?:it )?",
        r"\2 \1 ",
    ),
    (
        r"(?i)^(?:which|what) line (is|goes|passes|runs) (?=(?:parallel|perpendicular|through|from|tangent))",
        r"draw the line which \1 ",
    ),
    (r"(?i)^(?:I|we) (?:need|want|would like|have) to know (?=the\b)", "measure "),
    (r"(?i)^how (?:many degrees|wide|large) (?:has|does|is) (?:the )?(angle [^?]+?)(?: have| measure)?(?=[ .?!]*$)", r"how big is the \1"),
    (
        r"(?i)^(?:what|which) angle does (?-i:([A-Z])([A-Z])) (?:make|subtend|form) at (?-i:([A-Z]))(?=[.?! ]*$)",
        r"how big is the angle \1\3\2",
    ),
    (r"^([A-Z]{2}) ?= ?\?(?=[ .]*$)", r"the distance \1"),
    (r"(?i)^(measure|calculate|compute|find|tell|show|colour|label|write|mark|join) (?:me|us|for me|for us) (?=\S)", r"\1 "),
    (r"(?i)^(?:the )?(angle .+|length .+|area .+) (?:equals|is|makes|measures) what(?=[ .?!]*$)", r"measure \1"),
    (r"(?i)^if (?:i|we|you) (?=(?:reflect|rotate|turn|translate|enlarge|join|draw|bisect)\b)", ""),
    (r"(?i)^(?:what|which) point is (?=(?:one|two|three|half|\d).*\bof the way\b|halfway\b)", "the point "),
    (r"(?i)^([A-Z]) to (?:the )?(?:line )?([A-Z]{1,2}|[a-z]) distance(?=[ ?.!]*$)", r"the distance from \1 to \2"),
    (r"(?i)^(?:do|can you do) (an? (?:triangle|square|circle|line|polygon|quadrilateral)\b)", r"draw \1"),
    (r"(?i)^which side(?: of (?:the )?(?:triangle|figure|[A-Z]{3,}))? is (?:the )?(?:longest|shortest)(?=[ ?.!]*$)", "measure the sides"),
    (
        r"(?i)^measure (?:the |all |all the )?((?:three|four|five) )?corners(?=(?: of \w+)?[ ?.!]*$)",
        lambda found: f"measure the {found[1] or ''}angles",
    ),
    (
        r"(?i)^add (?:up )?(?:the )?(?:two )?angles (?:at )?([A-Z]|[A-Z]{3}) and (?:at )?([A-Z]|[A-Z]{3})(?=[ ?.!]*$)",
        r"angle \1 + angle \2",
    ),
    (r"(?i)^(?:i|we) (?:would|[’']d) like (?:to )?see ", "draw "),
    (r"(?i)^what(?:[’']?s| is) (?:the )?(?=[A-Z]{2} ?[/+*−-] ?)", "what is "),
    (
        r"(?i)^((?:measure|find|what is|calculate) .+?) in (?:cm|mm|m|metres|meters|centimetres|centimeters|units|degrees)(?=[ .?!]*$)",
        r"\1",
    ),
    (r"(?i)^which point is\b", "the point"),
    (r"(?i)\b(?:and )?(?:see|check|test|find out|verify|investigate) (?:whether|if) (\S+) is (?=on\b|in\b|the\b|an?\b)", r"and is \1 "),
    (r"(?i)\b(?:see|check|find) where (?=it |they |the )", "mark where "),
    (r"(?i)^which (?:one )?is (?:the )?(?:longer|shorter|bigger|larger|greater|smaller)[,:]? (.+?) or ", r"measure \1 and "),
    (r"(?i)^(?:test|check|see|verify|find out|decide) (?:if|whether) ", "check whether "),
    (r"^[Ii]s ([A-Z]) (?:closer|nearer) to ([A-Z]) than (?:to )?([A-Z])(?=[ ?.]*$)", r"is \1\2 less than \1\3"),
    (r"^[Ii]s ([A-Z]) (?:further|farther) (?:away )?from ([A-Z]) than (?:from )?([A-Z])(?=[ ?.]*$)", r"is \1\2 greater than \1\3"),
    (
        r"(?i)^do (.+?) (?:meet|cross|intersect|concur) (?:in|at|through) (?:a|one) (?:single |common )?point(?=[ ?.]*$)",
        r"prove that \1 meet at one point",
    ),
    (r"(?i)^where (?:is|are) (?=(?:the )?(?:point|centre|center|incent|circumcent|orthocent|centroid|midpoint|foot)\w*\b)", "mark "),
    (r"(?i)^compare (.+?) (?:with|to|and) ", r"measure \1 and "),
    (
        r"(?i)^(?:how many degrees (?:has|does|is|are in|are there in)|what size is|which angle is) (?:the )?(?:angle "
        r")?([A-Z]{3}|at [A-Z])(?: have| measure)?(?=[ .?!]*$)",
        r"measure angle \1",
    ),
    (r"(?i)^what (?:shape|figure) (?:do|will|would) (?:we|you|i) (?:get|have|see) (?:if|when) (?:we|you|i) ", ""),
    (r"(?i)^how far (is|are) (\S+) away\b", r"how far \1 \2"),
    (r"(?i)^how (?:far|long) is it (?:all the way |right )?(?:around|round) ", "the perimeter of "),
    (r"(?i)^(?-i:([a-z])) ?= ?(?:the )?(inradius|circumradius)(?=[ .]*$)", r"measure the \2 and call it \1"),
)
