"""Idioms of English for places that are asked for by what holds there.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import Idioms


def _compared(found: re.Match[str]) -> str:
    """ "points P such that PT < PH": to which of two they are closer."""
    is_closer = found[3] in "<≤"
    return f"points {'closer to' if is_closer else 'further from'} {found[2]} than {'to' if is_closer else 'from'} {found[4]}"


#: The name of a point, and how far something is.
_NAME = r"(?-i:([A-Z]\d?[′']*))(?![\w′'])"
_FAR = r"((?:more|less|further|nearer|closer) than|within|at least|at most) (\d\S*(?: ?[ck]?m\b)?)"
#: What is told of two points is told of each of them, and not of the segment between them.
OF_TWO_POINTS: Idioms = (
    (rf"(?i)\b{_FAR} (from|of) (?:both )?{_NAME} and (?:from |of )?{_NAME}", r"\1 \2 \3 \4 and \1 \2 \3 \5"),
    (
        rf"(?i)\b(nearer|closer) to {_NAME} than (?:to )?(?:both |either )?{_NAME} (?:and|or|nor) (?:to )?{_NAME}",
        r"\1 to \2 than to \3 and \1 to \2 than to \4",
    ),
    (
        rf"(?i)\bfurther (?:away )?from {_NAME} than (?:from )?(?:both |either )?{_NAME} (?:and|or|nor) (?:from )?{_NAME}",
        r"further from \1 than from \2 and further from \1 than from \3",
    ),
)
#: Ways of asking for places, by how they are read.
OF_PLACES: Idioms = (
    (
        r"(?i)\b(on the (?:opposite|other) side of (?:the )?(?:line |segment |side )?(?-i:[A-Z]{2}|[a-z])) (?:to|than|as) "
        r"(?=(?-i:[A-Z])\b)",
        r"\1 from ",
    ),
    (
        r"(?i)^(?:choose |take |mark |draw |let )?(?:two )?(?:points )?(?-i:([A-Z])) and (?-i:([A-Z])) (?:are |be )?(?:two )?(?:points "
        r")?(on (?:the circle|it|(?-i:[a-z]))) (?:lying )?"
        r"on (?:different|opposite|either|both) sides of (?:the )?(?:line |diameter |chord |segment )?(?-i:([A-Z]{2}))(?=[ .!]*$)",
        r"\1 is a point \3. \2 is a point \3 on the other side of \4 from \1",
    ),
    (
        r"(?i)^which (?:parts?|places|points|spots|bits?) of (?:the )?(?:bed|garden|plot|lawn|patch|field|yard|figure|shape) "
        r"(?:is|are|lie) (?=(?:further|closer|nearer|within|more|less|at)\b)",
        "shade the part of the polygon ",
    ),
    (
        r"(?i)^(shade|draw|show|colou?r) the (?:region|part|area) of (?:all )?(?:the )?points (?=(?:less|more|within|closer|"
        r"nearer|further|at)\b)",
        r"\1 the points ",
    ),
    (
        r"(?i)\b((?:within|less than|at most|closer than) \d\S*(?: ?[cm]?m)? (?:of|from) (?-i:[A-Z]{1,2})),? (?=(?:inside|"
        r"outside|in) (?:the |"
        r"(?-i:[A-Z]{3,})))",
        r"\1 and ",
    ),
    *OF_TWO_POINTS,
    (r"(?i)^show (?:me )?(?:all )?(?:the )?(?:points|places) (?:exactly )?(?=\d)", "draw the points "),
    (r"(?i)\bboth (?=(?:within|less|more|closer|nearer|further|inside|at least|at most)\b)", ""),
    (
        r"(?i)\b(?:set of )?(?:all )?(?:the )?points (?-i:([A-Z])) (?:such that|so that|with|where|for which) (?-i:\1([A-Z])) ?([<>≤≥]) "
        r"?(?-i:\1([A-Z]))(?=[ .!]*$)",
        _compared,
    ),
    (
        r"(?i)^(?:find|shade|show|draw|colou?r) the (?:region|zone|area|part|set|places|points)(?: of (?:all )?(?:the )?points)? "
        r"(?:whose|where the|where its) distance (?:from|to) (?-i:([A-Z]{1,2})) is between (\d\S*(?: ?[cm]?m)?) and "
        r"(\d\S*(?: ?[cm]?m)?)(?=[ .!]*$)",
        r"shade the places more than \2 from \1 and less than \3 from \1",
    ),
    (
        r"(?i)^(?:find|shade|show|draw|colou?r) the (?:region|zone|area|part|set|places|points)(?: of (?:all )?(?:the )?points)? "
        r"(?:whose|where the|where its) distance (?:from|to) (?-i:([A-Z]{1,2})) is (bigger|greater|more|larger|less|smaller) than "
        r"(\d\S*(?: ?[cm]?m)?)(?=[ .!]*$)",
        lambda found: f"shade the places {'less' if found[2].lower() in ('less', 'smaller') else 'more'} than {found[3]} from {found[1]}",
    ),
    (
        r"(?i)^(?:so )?where can (?:I|we|you|one) (?:stand|be|go|sit) if (?:I|we|you|one) (?:have to|must|need to|"
        r"should|want to|am to|are to) be ",
        "shade the places ",
    ),
    (r"(?i)^(?:shade |colou?r )?everything (?=(?:within|closer|nearer|further|less|more|at)\b)", "shade the places "),
    (r"(?i)\b(part|bit) of (?:the )?(?:bed|garden|plot|lawn|patch|field|yard|figure|shape)(?![\w ]* (?-i:[A-Z]{3}))", r"\1 of the polygon"),
    (
        r"(?i)^(?:what|which) (?:part|bit) of (the polygon|(?-i:[A-Z]{3,})) (?:is|lies) "
        r"(?=(?:more|less|further|nearer|closer|within|at least|at most)\b)",
        r"shade the part of \1 ",
    ),
    (
        r"(?i)^where (?:can|could|may) (?:i|we|you|one) \w+ so (?:that )?(?:i[’']?m|i am|it is|it[’']s|we are|we[’']re|you are) ",
        "shade the places ",
    ),
    (
        r"(?i)^(colour|color|fill|paint|shade|hide|delete|copy|translate|reflect|rotate|enlarge|turn) (?:in )?the (?:shape|figure)\b",
        r"\1 the polygon",
    ),
    (r"(?i)^(?:shade|show|draw|find) the set of (?:all )?(?:the )?points\b", "shade the points"),
    (
        r"(?i)^(?:show|shade) where (?:one|you|i|we|it) (?:is|am|are) (?=(?:within|at|less|more|closer|nearer|further)\b)",
        "shade the places ",
    ),
    (r"(?i)^where (?:in|inside|on) (?:the )?[a-z]+ (?:am|is|are) (?:i|one|we|you|it) ", "shade the places "),
    (r"(?i)^where (?:can|could|may|might) (?:one|you|we|i|it|he|she|they|people) (?:stand|be|go|sit|lie)\b", "shade the places"),
    (r"(?i)^(?:draw|show|colour|color) the part of\b", "shade the part of"),
    (r"(?i)^which (?:places|points) (?:are|lie)\b", "shade the places"),
    (r"(?i)^shade everything (?=within|less|more|closer|nearer|further|farther|at (?:least|most)|not)", "shade the places "),
    (
        r"(?i)^where (?:can|could|may|might|should) (?:an?|the|my|our) \w+ (?:stand|be|go|grow|sit|lie|be put|be planted)(?: that "
        r"is| so that it is| if it is| which is)?\b",
        "shade the places",
    ),
    (r"(?i)^where is it\b", "shade the places"),
    (r"(?i)^shade everything (?:in|inside|of) (\S+)", r"shade the part of \1"),
    # "a hive must be at least 3 m from AB": what is said of any place that will do.
    (
        r"(?i)^(?:(?:the|a|an)\s+)?[a-z]+(?:\s+[a-z]+)?\s+(?:must|should|has to|have to|needs to)\s+(?:also\s+)?"
        r"(?:be|stand|lie|go|stay)\s+",
        "the places ",
    ),
    (r"(?i)^it\s+must\s+also\s+be\s+", "the places "),
    (r"(?i)^(?:let|take|call) (?-i:([A-Z])) (?:be |as |at )?the origin(?=[ .!]*$)", r"\1 = (0, 0)"),
)
