"""Idioms of English for what is done with compasses and a straightedge: a centre is taken, a radius is set, an arc is struck.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

from .idiom_parts import SIZE, Idioms

#: Ways of speaking of compasses and straightedge, by how they are read.
OF_COMPASSES: Idioms = (
    (
        r"(?i)\barc,? (?:centred (?:on|at)|centered (?:on|at)|with cent(?:re|er)|about) (?-i:([A-Z])),? from (?-i:([A-Z])) "
        r"(?:to meet|meeting|to|until it (?:meets|hits|reaches)) (?:the )?(?:line |ray |side )?(?-i:(?:\1([A-Z])|([A-Z])\1))(?=[ .!]*$)",
        lambda found: f"arc with centre {found[1]} from {found[2]} to {found[3] or found[4]}",
    ),
    (
        r"(?i)^(?:set|open) (?:the |your |a )?compass(?:es)? to (?-i:([A-Z]{2})),? (?:and )?draw (?:a )?circles? (?:at|from|around|round) "
        r"(?-i:([A-Z])) and (?:a circle |another |another circle |one )?(?:at |from |around |round )?(?-i:([A-Z]))(?=[ .!]*$)",
        r"draw the circle with centre \2 and radius \1 and the circle with centre \3 and radius \1",
    ),
    (
        r"(?i)^with cent(?:re|er)s? (?-i:([A-Z])) and (?-i:([A-Z])),? and (?:the same|equal|any) radi(?:us|i)"
        r"(?: \(?(?:greater|more|larger|longer|bigger) than half (?:of )?(?:the length of )?(?-i:\1\2|\2\1)\)?)?,? draw (?:two )?arcs "
        r"(?:intersecting|meeting|cutting|crossing|to meet|to cut|to intersect|that meet|which meet)(?: each other)? (?:at|in) "
        r"(?-i:([A-Z])) and (?-i:([A-Z]))(?=[ .!]*$)",
        r"draw the circle with centre \1 through \2 and the circle with centre \2 through \1 meeting at \3 and \4",
    ),
    (
        r"(?i)^(?:take|taking|with|using) (?-i:([A-Z])) (?:as|for) (?:the |a )?(?:centre|center),? (?:and|with) "
        r"(?:a )?radius (?:of )?([^,]+?),? (?:draw|describe|make|construct) a(?: circle|n arc)",
        r"draw a circle with centre \1 and radius \2",
    ),
    (
        r"(?i)^(?:use|take|with|using) ([A-Z]) as (?:the |a |its )?cent(?:re|er)(?:,| and)?(?: and)?(?: with)? ([A-Z]{2}|\d\S*(?: "
        r"?[cm]?m)?) as (?:the |a |its )?radius,? (?:to )?(?:draw|make|construct) (?:a|the) circle\b",
        r"draw the circle with centre \1 and radius \2",
    ),
    (
        rf"(?i)^(?:with|keep|keeping) (?:the |your |a )?compass(?:es)? (?:open(?:ed)?|set) (?:to|at) ({SIZE}|[A-Z]{{2}}),? "
        r"(?:draw|make|construct) (?:a|the) (circle|arc) (?:round|around|about|centred on|centred at|with centre) ([A-Z])\b",
        r"draw the \2 with centre \3 and radius \1",
    ),
    (
        r"(?i)^(?:use|take|with|using)\s+(?:a |the |your )?(?:pair of\s+)?(?:compass(?:es)?|ruler|straight\s?edge)"
        r"(?: and (?:a |the |your )?(?:pair of\s+)?(?:compass(?:es)?|ruler|straight\s?edge))?[\s,]+(?:only[\s,]+)?(?:to|and)?\s*",
        "",
    ),
    (
        r"(?i)^(?:open|set)\s+(?:the|your)\s+compass(?:es)?\s+to\s+([^,]+?),?\s+and\s+draw\s+an?\s+(circle|arc)\b",
        r"draw a \2 with radius \1",
    ),
    (
        r"(?i)^put (?:the )?(?:point of the compass(?:es)?|compass(?:es)?(?: point| needle)?) (?:on|at|in) ([A-Z]),? and "
        r"(?:draw|make|strike) an? (circle|arc) ",
        r"draw a circle with centre \1 ",
    ),
    # "Construct N with compass and straightedge" asks for the compass work of what is there.
    (
        r"(?i)^(?!(?:draw|construct|make|show|how (?:is|are)) \S+ (?:with|using))(.+?),? (?:using|with) (?:only )?(?:a |your |the )?"
        r"(?:pair of )?(?:compass(?:es)?|ruler|straight\s?edge)(?: and (?:a |the )?(?:pair of )?(?:compass(?:es)?|ruler|"
        r"straight\s?edge))?(?: only)?(?=[ .!]*$)",
        r"\1",
    ),
    (
        r"^[Tt]ransfer (?:the )?(?:distance|length) ([A-Z]{2}) to ([A-Z]) and draw (?:the|a) circle",
        r"draw the circle with centre \2 and radius \1",
    ),
    (
        r"(?i)^with (?-i:([A-Z])) as (?:the |a )?(?:centre|center),? (?:and )?(?:with )?(\S+(?: [cm]?m)?) as (?:the |a )?radius,? "
        r"(?:draw|describe|make|construct|strike) an? (?:circle|arc)\b",
        r"draw a circle with centre \1 and radius \2",
    ),
    (
        rf"(?i)^(?:swing|strike|sweep|describe) an? (?:arc|circle) (?:of|with) radius (?:of )?({SIZE}|[A-Z]{{2}}) "
        r"(?:from|about|round|around|at|with centre) (?-i:([A-Z]))\b",
        r"draw the circle with centre \2 and radius \1",
    ),
    (
        rf"(?i)^(?:from|about|round|around|at) (?-i:([A-Z])),? (?:swing|strike|sweep|describe|draw) an? (?:arc|circle) (?:of|with) radius "
        rf"(?:of )?({SIZE}|[A-Z]{{2}})(?=[ .!]*$)",
        r"draw the circle with centre \1 and radius \2",
    ),
)
