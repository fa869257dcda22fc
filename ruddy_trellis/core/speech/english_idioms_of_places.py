"""Idioms of English for places that are asked for by what holds there.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

from .idiom_parts import Idioms

#: Ways of asking for places, by how they are read.
OF_PLACES: Idioms = (
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
