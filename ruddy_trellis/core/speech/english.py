"""The English of the grammar: which words mean the same, which are nouns of the trade, what leads a part of a phrase in.

The stages ask this file for words and know none themselves.
"""

import re

from .tables import word_table, words

#: Nouns that can head a description, and whether the plural was said, are found by these words as they come out of ``SAME``.
HEADS = words(
    """
    point midpoint segment side line ray vector chord secant circle arc semicircle sector circular-segment triangle quadrilateral square
    rectangle rhombus kite trapezium parallelogram polygon hexagon pentagon heptagon octagon nonagon decagon dodecagon
    angle bisector perpendicular-bisector angle-bisector
    median midline altitude diagonal foot tangent common-tangent incentre circumcentre orthocentre centroid excentre circumcircle incircle
    excircle nine-point-circle nine-point-centre euler-line perpendicular parallel perimeter right-angle corner intersection contact
    image reflection rotation translation enlargement slope length distance area dial ratio radius diameter centre antipode polar
    nearest-point furthest-point
    pole power equation parabola ellipse hyperbola focus directrix radical-axis size sum product difference coordinates base
    mirror-line locus region places arm hypotenuse factor transversal stretch shear axis
    """
)
#: What may stand before a noun and says which or what sort.
ADJECTIVES = words(
    """
    first last third fourth fifth shortest perpendicular major minor medial orthic pedal equilateral isosceles right-angled scalene acute
    obtuse regular cyclic convex external internal perpendicular parallel horizontal vertical second other concentric of-one-size free new
    opposite common right left upper lower inscribe circumscribe in-line meets touches general arbitrary irregular directed reflex small
    largest smallest longest
    """
)
#: Nouns for what a thing has.
ATTRIBUTES = words("angle side height base radius diameter hypotenuse right-angle diagonal")
#: Those of them that are directions.
DIRECTIONS = words("perpendicular parallel horizontal vertical")
#: Determiners; those that say that a new thing is meant, that a thing is there, and how many.
NEW_ONES, OLD_ONES, ALL_ONES = (
    frozenset(("a", "an", "any", "some", "another", "new")),
    frozenset(("the", "its", "same", "it")),
    frozenset(("all", "both")),
)
#: What leads a part of a description in, longest first, and what that part is to the thing described.
ROLES: tuple[tuple[str, str], ...] = tuple(
    word_table(
        """
centre << from centre | with centre | and centre | centre at | centred at | centred on | centred in | centred | centre
corner_at << with one corner at | with a corner at | with one of its corner at | starting at corner
between << join | between | formed by | made by | bounded by
bisects << bisect | that bisect | which bisect | and bisect
at << making an angle of | which makes an angle of | that makes an angle of | making angle of | at an angle of | inclined at | at
in << across | in | inscribe in | that is inscribe in | which is inscribe in
over << over
right_at << right-angled at | right-angled in | with the right-angle at | with a right-angle at | with right-angle at | with a
    right-angle in | with the right-angle in
by << by an angle of | by
factor << by a factor of | by the factor | by factor | by factor of | with factor | by a factor | with a factor of | with the factor
by_angle << by the angle
same_centre_as << with the same-centre as
same_radius_as << with the same-radius as
radius << and radius equal-to | with radius equal-to | and radius | with radius | with the radius | with a radius of | of radius |
    radius | radius of | with radius of | whose radius is
diameter << with diameter | with diameter equal-to | of diameter | and diameter | on diameter | on the diameter | with the diameter
    | diameter equal-to | diameter | with a diameter of | on as diameter
perpendicular << perpendicular to | that is perpendicular to | perpendicular on | perpendicular | which is perpendicular to
parallel << parallel to | parallel with | that is parallel to | which is parallel to | which is parallel with | parallel
tangent << tangent to | that is tangent to | which is tangent to | which touches | that touches | touches | tangential to
through << through | which is through | that is through | and through | goes-through | and goes-through | which goes-through
    | that goes-through | and which goes-through | and that goes-through | drawn through | containing | which contains | that contains
from << drawn from | starting at | starting from | that starts at | that starts in | with origin | with endpoint | with start | from
to << drawn to | and goes to | going to | and ends at | and to | to
of << of | for
on << on
inside << inside | that is inside | inside of
outside << outside | outside of
about << about | circumscribe about | circumscribe to | that is circumscribe about | which is circumscribe about
under << under
with << with
above << above
below << below | beneath
opposite << opposite
along << along
towards << towards
base << and base | with base | with the base | and the base
as_base << as-base
as_diameter << as-diameter
as_centre << as-centre
corners << with corner at | with corner | with corners | with the corner
without << not containing | that does not contain | which does not contain | without
off << not on | that is not on | which is not on | off
closer << closer to | that is closer to | which is closer to | that closer to | that is closer | closer
further << further from | that is further from | which is further from | further
other_than << other than | different from | apart from | that is not | which is not
away << away-from
same_side_of << on-the-same-side-of
other_side_of << on-the-other-side-of
side_with << on-the-side-of
same_side_as << as
where << where
such_that << such-that
focus << with focus
directrix << and directrix | with directrix
foci << with foci
side << side | and side | with side | of side | of side length | with side length
sides << with sides | and sides | with sides of | with sides of length | with sides equal-to
length << of length | with length | length
size << of size
angles << with angle | and angle | with the angle | with angle of | and angle of | with angle equal-to
centre_on << centre-on
hypotenuse << with hypotenuse | and hypotenuse
diagonals << with diagonal | with diagonal of | with diagonal of length
area << with area | with area of | with area equal-to | and area | and area of | of area | whose area is
perimeter << with perimeter | with perimeter of | with perimeter equal-to | and perimeter | and perimeter of | of perimeter |
    whose perimeter is
diagonals << and diagonal | and diagonal of | whose diagonal is
height << whose altitude is | of altitude | and height | with altitude | and altitude | and the altitude
and << and
is << that is | which is
centre << whose centre is | and whose centre is | whose centre is at
radius << and whose radius is | whose radius is
through << whose perimeter goes-through
corners << corners-of
equidistant << equidistant from | that is equidistant from | which is equidistant from
factor << and ratio | with ratio | and factor | of ratio
"""
    ).items()
)

#: What leads to a formula.
RECKON = re.compile(
    r"(?:what is the ratio(?: of)?|the ratio(?: of)?|what is|what's|calculate|compute|find|evaluate|work out|the value of|measure)\s+",
    re.IGNORECASE,
)
#: What leads to an equation that is to be drawn.
DRAW_EQUATION = re.compile(
    r"(?:draw|sketch|plot|graph|show)\s+(?:the\s+)?(?:(?:graph|line|curve|parabola|circle)\s+)?(?:of\s+|with(?:\s+the)?\s+equation\s+)?"
    r"(?=[^,;]*=)(?=[-\dxy(])",
    re.IGNORECASE,
)
#: What is put in other words before all else, so that the sentences of the catalogue have it as well: lines with names of their own.
FIRST_READ = (
    *((re.compile(rf"\b(?:the )?{one}[- ]?axis\b", re.IGNORECASE), f"the line {other} = 0") for one, other in (("x", "y"), ("y", "x"))),
    *(
        (re.compile(rf"\b(at \d[\d.]* ?(?:°|degrees) (?:to|with) )the {way}\b", re.IGNORECASE), rf"\1the line {one} = 0")
        for way, one in (("horizontal", "y"), ("vertical", "x"))
    ),
    (re.compile(r"^((?:reflect|mirror|flip) .+?) (?:over|across|about|through) (?=the line [xy] = 0[ .]*$)", re.IGNORECASE), r"\1 in "),
    (re.compile(r"^where does (.+?) (?:meet|cross|cut) (?=the line [xy] = 0[ ?.]*$)", re.IGNORECASE), r"where \1 meets "),
)
#: What leads to a claim, and to what is supposed.
CLAIM = re.compile(r"(?:(?:prove|show|check|claim|then|hence|so)(?:\s+that|\s*:)?|is\s+it\s+(?:true|so)\s+that|is|are)\s+", re.IGNORECASE)
SUPPOSE = re.compile(r"(?:let|(?:suppose|assume)d?(?:\s+that|\s*:)?|(?:it\s+is\s+)?given\s+that)\s+", re.IGNORECASE)

#: Which one it is of points that are counted as they are made.
ORDINALS = words("second third fourth fifth")
#: The signs of what compares two numbers.
COMPARED = {"shorter-than": "<", "less-than": "<", "longer-than": ">", "more-than": ">", "at-most": "≤", "at-least": "≥"}

#: Openings and endings that ask for something and say nothing about it; taken off in any number.
_OPENINGS = (
    # "ok now, please"
    r"(?:ok(?:ay)?|right(?!\s+(?:angle|triangle|isosceles))|everyone|everybody|class|folks|children|alright|all right"
    r"|so|now|next|then|and|also|please to|please|first(?:ly|\s+thing|\s+of\s+all|\s+off)?"
    r"|second(?:ly)?|finally|again|well|hello|hi|good|afterwards|after that"
    r"|hence|therefore|thus|lastly)(?=[\s,])[\s,]*",
    # "can you please"
    r"(?:can|could|would|will|shall|may|might)\s+(?:you|we|i|one)\s+(?:please\s+)?(?:also\s+)?(?:have|get(?!\s+rid)|see|now\s+)?\s*",
    # "I would like to have"
    r"(?:i|we|you)(?:['’]d| would|['’]ll| will)?\s+(?:want|need|wish|have|like|love|shall|should|must|can|please)(?:\s+like)?"
    r"(?:\s+(?:to\s+have|to\s+see|to|you\s+to))?\s+",
    r"(?:let['’]?s|let us|lets|let me(?=\s+see))\s+(?:see|have|start\s+with|begin\s+with|get|now|look\s+at)?\s*",
    r"(?:i|we)\s+(?=draw|construct|make|join|take|choose|bisect|mark|let|now|measure|reflect|rotate|connect|produce)",
    r"what\s+(?:happens\s+)?if\s+(?:i|we)\s+",
    r"(?:start|begin)\s+(?:with|from)\s+",
    # "here is a puzzle: …"
    r"here\s+(?:is|comes)\s+(?:a|another|the)\s+(?:puzzle|problem|question|exercise|challenge|task)(?:\s+for\s+you)?\s*:\s*",
    r"(?:here\s+is|there\s+is|this\s+is)\s+",
    r"consider\s+",
    r"given(?:\s+(?:is|are|be))?\s*:?\s+(?!that\b)",
    r"let\s+be\s+given\s+",
    r"let\s+there\s+be\s+(?:given\s+)?",
    r"(?:show|tell)\s+(?:me|us)\s+",
    r"give\s+(?:me|us)\s+",
    r"(?:to\s+construct|required|construction|task)\s*:\s*",
    r"do\s+you\s+see\s+",
    # "3. "
    r"\d+\s*[.)]\s+(?=[A-Za-z])",
)
OPENING = re.compile(f"(?:{'|'.join(_OPENINGS)})", re.IGNORECASE)
ENDING = re.compile(
    r"(?:[\s,]+(?:please|pls|plz|first|(?:anywhere|wherever|somewhere)(?:\s+(?:you|they|we)\s+(?:like|want))?|thanks|thank\s+you|now|for\s+me|for\s+us|again\s+please|"
    r"if\s+you\s+see\s+it|if\s+you\s+can|from\s+now\s+on"
    r"|for\s+the\s+class|too|as\s+well|on\s+the\s+board))+$",
    re.IGNORECASE,
)

#: The words for pens: their own names, and the usual names of colours.
PENS: dict[str, str] = {
    "ink": "ink", "ruddy": "ruddy", "leaf": "leaf", "straw": "straw", "sky": "sky", "plum": "plum", "slate": "slate",
    "black": "ink", "red": "ruddy", "brown": "ruddy", "green": "leaf", "yellow": "straw", "orange": "straw", "blue": "sky",
    "purple": "plum", "violet": "plum", "pink": "plum", "grey": "slate", "gray": "slate",
}  # fmt: skip
#: Words of the clauses, besides nouns and what leads parts in.
VERBS = words(
    """
    own-length whose let draw join meets touches produce bisect measure find turn reflect enlarge stretch shear translate divide trisect
    inscribe circumscribe prove show call delete hide colour shade trail run set move is = lies what how where does which long far big
    large many apart goes-through lock unlock rename dashed dotted thick thicker thin thinner bold again itself it them same each-other
    has have such-that concurrent in-line concyclic congruent similar cyclic cover undo redo there apply invert off image cut contains
    add up stay constant always equidistant whether if that drawn respectively name number equal-to into parts label names in-half
    of-the-way size goes running ranging condition conditions hold holds apart makes making equidistant exactly always beyond everywhere
    outline required comma than times time add-up-to look-like produce letter position everything except but names text words write
    beside centre angle equally far degrees steps step right up down left trail stop fit squares or drag increase decrease labels part
    as when while once to-and-fro round-and-round supplementary complementary path present reveal all both not no out bigger larger
    smaller circumference quickly stand must dash thicken thin
    """
)
#: Words that say nothing where they stand, between the parts of a clause; the list is short, closed, and tested.
IDLE = words("the a an also then just exactly that")
#: Ways on the board, as they are across and up.
WAYS: dict[str, tuple[int, int]] = {"up": (0, 1), "down": (0, -1), "right": (1, 0), "left": (-1, 0), "across": (1, 0)}
