"""Idioms of English for dials: where they stand, from where to where they go, what hangs on them.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

from .idiom_parts import Idioms

#: How far the steps of a dial are apart that goes "by twos".
_BY = {"ones": "1", "twos": "2", "fives": "5", "tens": "10", "halves": "0.5", "tenths": "0.1"}
#: Ways of speaking of dials, by how they are read.
OF_DIALS: Idioms = (
    (
        r"(?i)^(?:put|turn|push|bring|take|slide|drag|move) (?:the )?(?:dial )?(?-i:([a-z])) (?:(?:up|down|back|along) )?(?:to|at|on) "
        r"(?=(?:[-−]\s?)?\d)",
        r"set \1 to ",
    ),
    (
        r"(?i)^(?:change|set|make) (?:the )?(?:range|ends|limits) of (?:the )?(?:dial )?(?-i:([a-z])) (?:to|from|be) "
        r"(?:from )?(\S+) (?:to|and|up to) (?=\S+[ .!]*$)",
        r"\1 goes from \2 to ",
    ),
    (
        r"(?i)\b(?:whose|with|its|the) radius (?:is |being )?(?:controlled|given|set|driven|changed) by (?:the )?(?:dial )?"
        r"(?=(?-i:[a-z])\b)",
        "with radius ",
    ),
    (r"(?i)\b(slider|dial) for (?:the |a )?[a-z]+ (?=(?-i:[a-z]) from\b)", r"\1 "),
    (
        r"(?i)^(?:make|turn|put) (?:the )?(?:dial )?(?-i:([a-z])) (?:up |down )?(?:a (?:little )?bit |a little |somewhat |slightly )?"
        r"(?:bigger|smaller|larger|greater|less|more|up|down),? (?:say|perhaps|maybe|for example)(?: to)?,? (-?\d+(?:\.\d+)?)(?=[ .!]*$)",
        r"set \1 to \2",
    ),
    (
        r"(?i)^(?:let|make) (?:the )?(?:point |dial )?(?-i:([A-Z]|[a-z])) (?:run|go|move|travel|slide)(?: (?:around|round|along|on|up and "
        r"down|to and fro|back and forth)(?: (?:the circle|it|(?-i:[a-z])))?)? (?:on its own|by itself|automatically)(?=[ .!]*$)",
        r"make \1 move",
    ),
    (
        r"(?i)\b(?:dial|slider) (?-i:([a-z])) (?:going |running )?from (-?\d+) to (-?\d+) by "
        r"(ones|twos|fives|tens|halves|tenths)(?=[ .!]*$)",
        lambda found: f"dial {found[1]} from {found[2]} to {found[3]} in steps of {_BY[found[4].lower()]}",
    ),
)
