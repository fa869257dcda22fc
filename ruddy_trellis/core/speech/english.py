"""The English of the grammar: which words mean the same, which are nouns of the trade, what leads a part of a phrase in.

The stages ask this file for words and know none themselves.
"""

import re


def words(text: str) -> frozenset[str]:
    """The words of a text."""
    return frozenset(text.split())


def _table(text: str) -> dict[str, str]:
    """A table of words: each line is what the grammar calls them, "<<", and the words, apart by bars. A line that is indented goes on."""
    found: dict[str, str] = {}
    for line in re.sub(r"\n +", " ", text).strip().splitlines():
        one, _, words = line.partition(" << ")
        found.update(dict.fromkeys(words.split(" | "), one))
    return found


#: Several words that are one: they are put together before anything else is looked at.
TOGETHER: dict[str, str] = _table(
    """
midpoint << mid point | middle point | halfway point | half way point
midpoints << mid points
segment << line segment
segments << line segments
line << straight line
lines << straight lines
ray << half line
rays << half lines
right-angled << right angled
right-angle << right angle | right angles | square corner
nine-point-circle << nine point circle | euler circle
euler-line << euler line
nine-point-centre << nine point centre | nine point center
centroid << centre of gravity | center of gravity | centre of mass | center of mass
angle-bisector << angle bisector
angle-bisectors << angle bisectors
power of << power of
perpendicular-bisector << middle perpendicular | mid perpendicular | perpendicular bisector | perp bisector | perp bis | perp bisec
    | right bisector
perpendicular-bisectors << perpendicular bisectors | perp bisectors
right-angled triangle << right triangle | right triangles
foot << perpendicular foot
intersection << cut point | cutting point | crossing point | meeting point | point of intersection | intersection point
intersections << points of intersection | intersection points
contact << point of contact | touching point | point of tangency | tangency point
contacts << points of contact | touching points | points of tangency
radical-axis << radical axis
common-tangent << common tangent
common-tangents << common tangents
tangent << tangent line | tangential line
tangents << tangent lines
altitude << altitude line
median << median line
bisector << bisecting line
diagonal << diagonal line
quadrilateral << four sided figure | four sided shape
such-that << so that | such that | for which | in such a way that
and << as well as
in << in terms of | with respect to | in respect of
equal-to << equal to | the same as | same as | the same length as | the same size as | as long as | as big as | as large as | equal
    in length to
factor << scale factor
mirror-line << mirror line | line of reflection | axis of reflection
reflection << mirror image | mirror copy
glide << glide reflection
semicircle << half circle
quarter-turn << quarter turn | a quarter of a turn | quarter of a turn
half-turn << half turn | half a turn
half-turn about << halfway round | half way round | halfway around | half way around | halfway about
midline << middle line | mid line | mid-line | mid segment | mid-segment
full-turn << full turn
. << full stop
beside << next to | close to
at-most << no more than | not more than | no further than | not further than | at most
at-least << no less than | not less than | at least | no nearer than | no closer than
less-than << less than | smaller than | fewer than | closer than | nearer than
shorter-than << shorter than
more-than << more than | greater than | larger than | bigger than | further than | farther than
longer-than << longer than
anticlockwise << counter clockwise | anti clockwise | against the clock
clockwise << in the clock direction | clock wise
calculate << work out | find out
mark << mark off | cut off | lay off | set off
delete << rub out | take away | get rid of | throw away | wipe out
shade << colour in | color in | fill in
join << join up | connect up
as-centre << as centre | as center | as middle point | as midpoint | as the centre | as a centre | as the center | as its centre
as-diameter << as diameter | as the diameter | as a diameter | as its diameter
as-radius << as radius
as-base << as base
perpendicular to << at right angles to | at a right angle to | square to | normal to
opposite << opposite to
in-line << in a straight line | in line | on a straight line | on one line | on the same line | line up
on a line << on a line
concyclic << on one circle | on the same circle
on a circle << on a circle
in-one-point << in one point | at one point | through one point | in a single point | at the same point
at a point << at a point
in a point << in a point
each-other << each other | one another
in-order << in order
through << go through | goes through | going through | passes through | passing through | pass through | passes by | goes over |
    going over | passing by | goes by | running through
antipode of << the other end of the diameter through | other end of the diameter through | diametrically opposite
equidistant from << equidistant from
how big is << how many degrees is
parallel to << in the same direction as | the same way as
centred at << with its centre at | with its center at
with centre << with centre at | with center at | with the centre at | with the middle at | with the centre in | with centre in
in-the-middle << in the middle
midpoint of << exactly between | exactly halfway between | exactly half way between | right between
    | halfway along | half way along | halfway between | half way between | midway between | in the middle of
away-from << away from
from << far from
thanks << thank you
on-the-same-side-of << on the same side of
on-different-sides-of << on different sides of | on opposite sides of | on either side of
let << supposed : | supposed that | suppose that | suppose | assume that | assume | given that | it is given that
on-the-other-side-of << on the other side of | on the opposite side of | on the far side of
on-the-side-of << on the same side as | on the side of
same-radius << same radius
same-centre << same centre | same center
to-and-fro << to and fro
round-and-round << round and round
sides << each side | every side
corners << each corner | each vertex | every corner
circumference of << all the way around | all the way round
bring-to-front << bring to the front
angle of << angle of
side of << side of
units << units
sqrt << square root of
add-up-to << add up to | adds up to
draw << put down | set down
obtuse << obtuse angled
acute << acute angled
antipode of << the other end of the diameter through | other end of the diameter through |
    diametrically opposite to | diametrically opposite
centre-on << with centre on | with its centre on | whose centre is on | whose centre lies on
outside << on the outside of
intersection << common point | point in common | point of concurrency | point of concurrence
them << both of them | the two of them | all of them | all three of them
equidistant << the same distance | equal distances | an equal distance
look-like << look like
in-half << in half | in halves
of-the-way << of the way
must-be << must be
in-general-position << in general position
/ << divided by
to << over to
as-base << as one side | as a side | as side | as its base | as one of its sides
own-length << its own length
corners-of << out of
parallel to << going the same way as
"""
)

#: Words that mean the same, each by the one that the grammar uses. What is not here and nowhere else in this file is no word of it.
SAME: dict[str, str] = _table(
    """
centre << center | middle | centers | centres
centred << centered | centring | centering
radius << rad | radii
diameter << diam | dia | diameters | ø
perpendicular << perp | perps | perpendiculars | ⊥ | normal | orthogonal | perpendicularly
parallel << ∥ | ‖ | parallels | paralel | par
midpoint << midpt | midpts | midpoints | midp
point << pt | pts | spot | spots | points | dot | dots | peg | pegs
segment << seg | segs | segments | edge | edges | interval
side << sides | legs | leg
line << lines | ln
ray << rays
vector << vectors | arrow | arrows
chord << chords
secant << secants
circle << circ | circles | ⊙
arc << arcs
semicircle << semicircles
sector << sectors
triangle << tri | triangles | △ | ∆
quadrilateral << quad | quads | quadrilaterals | quadrangle
square << sq | squares | sqs
rectangle << rect | rectangles | oblong
rhombus << rhombuses | rhombi
kite << kites
trapezium << trapezoid | trapezoids | trapeziums | trapezia
parallelogram << parallelograms
polygon << polygons
hexagon << hexagons
pentagon << pentagons
equilateral << eq | equalateral | equilat
isosceles << isos | isoceles
angle << ∠ | ∡ | ang | angles
bisector << bisectors
median << medians
midline << midlines | midsegment | midsegments
altitude << altitudes | alt | alts | heights | height
perpendicular-bisector << perpendicular-bisectors | mediator | mediators
angle-bisector << angle-bisectors
diagonal << diagonals
foot << feet | projection | projections
tangent << tangents
common-tangent << common-tangents
incentre << incenter
circumcentre << circumcenter | circumcenters
orthocentre << orthocenter
centroid << barycentre | barycenter | centroids
excentre << excenter
circumcircle << circumcircles
incircle << incircles
excircle << excircles
perimeter << circumference
corner << vertex | vertices | corners
intersection << intersections | crossing | crossings
contact << contacts
image << images
reflection << reflections
enlargement << homothety | dilation | dilatation | scaling
slope << gradient | steepness
length << lengths | magnitude
distance << distances | dist
area << areas
dial << slider | sliders | dials | parameter
ratio << ratios
meets << meet | cut | cuts | cross | crosses | intersect | intersects | hit | hits | intersecting | cutting | meeting | ∩
touches << touch | touching
about << around | round
through << thru | thro | thro' | thro’ | via | trough
on << onto | upon
between << btwn | betw
towards << toward
with << w | having
join << joining | joins | connecting | connect | connects | linking | link
draw << rule | ruling | locate | draws | drawing | construct | constructing | make | create | build | sketch | describe | strike
    | erect
    | drop | raise | add | insert | give | get | form | complete | mark | take | choose | pick | put | place | plot | graph | select
produce << extend | prolong | lengthen | extended | produced | prolonged
bisect << halve | halving | bisects | bisecting | bisected
measure << find | calculate | compute | determine | measuring | evaluate | dimension
turn << rotate | rotated | turned | rotating | spin
reflect << reflected | mirror | mirrored | flip | reflecting
enlarge << shrink | magnify | enlarged | scale | scaled | dilate | dilated
stretch << stretched | stretches
shear << sheared | shears
translate << translated | shift | shifted | slide | slid
divide << divides | dividing | split | splits
trisect << trisecting
inscribe << inscribed
circumscribe << circumscribed
prove << claim | proof | verify | check | deduce | confirm | demonstrate
call << called | named | name | labelled | labeled | label | denote | denoted | denoting | labelling | calling
delete << erase | remove | del | deleting
colour << color | paint | colouring
shade << hatch | fill | shading
trail << trace
run << animate | animation | play | start | runs
obtuse << obtuse-angled
acute << acute-angled
parts << pieces | piece
under << after
up << upwards | upward
down << downwards | downward
lock << fix | freeze
set << change
move << moves | moving | vary | varies | varying
goes << go | travel | travels
is << are | be | am | becomes | being
= << equals | := | equal
does << do
lies << lie | lying | sits | sit
in-line << collinear | colinear
concurrent << concur | copunctal
similar << similiar
congruent << ≅
degrees << deg | degree | ° | º
m << metre | metres | meter | meters
cm << centimetre | centimetres | centimeter | centimeters | cms
mm << millimetre | millimetres | millimeter | millimeters | mms
units << unit
anticlockwise << counterclockwise | ccw | acw
clockwise << cw
external << externally | exterior | outer | outward | outwards
internal << internally | interior | inner | inward | inwards
within << in-between
closer << nearer | nearest | closest
further << farther | furthest | farthest
upper << top | topmost | highest
lower << bottom | bottommost | lowest
left << leftmost | left-hand
right << rightmost | right-hand
antipode << antipodal
triple << thrice
double << twice
all << every | each
and << nor | & | but
- << −
* << × | ·
/ << ÷
less-than << <
more-than << >
at-most << ≤
at-least << ≥
opposite << opposing
its << their
them << these | those | they
it << this
hold << holds
condition << conditions
in << wrt
what << whats | what's | what’s
cyclic << cyc
locus << loci
beyond << past
"""
)

#: Nouns that can head a description, and whether the plural was said, are found by these words as they come out of ``SAME``.
HEADS = words(
    """
    point midpoint segment side line ray vector chord secant circle arc semicircle sector triangle quadrilateral square rectangle
    rhombus kite trapezium parallelogram polygon hexagon pentagon octagon angle bisector perpendicular-bisector angle-bisector
    median midline altitude diagonal foot tangent common-tangent incentre circumcentre orthocentre centroid excentre circumcircle incircle
    excircle nine-point-circle nine-point-centre euler-line perpendicular parallel perimeter right-angle corner intersection contact
    image reflection rotation translation enlargement slope length distance area dial ratio radius diameter centre antipode polar
    pole power equation parabola ellipse hyperbola focus directrix radical-axis size sum product difference coordinates base
    mirror-line locus region places arm hypotenuse factor transversal stretch shear
    """
)
#: What may stand before a noun and says which or what sort.
ADJECTIVES = words(
    """
    third fourth fifth shortest perpendicular major minor medial orthic pedal equilateral isosceles right-angled scalene acute
    obtuse regular cyclic convex external internal perpendicular parallel horizontal vertical second other concentric equal free new
    opposite common right left upper lower inscribe circumscribe in-line meets touches general arbitrary directed reflex small
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
NUMBERS: dict[str, int] = {
    "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8, "nine": 9, "ten": 10, "eleven": 11,
    "twelve": 12,
}  # fmt: skip
TENS: dict[str, int] = {
    "zero": 0, "thirteen": 13, "fifteen": 15, "twenty": 20, "thirty": 30, "forty": 40, "forty-five": 45, "fifty": 50, "sixty": 60,
    "seventy": 70, "eighty": 80, "ninety": 90, "hundred": 100,
}  # fmt: skip
#: Words for amounts that are no digits.
AMOUNTS: dict[str, float] = {
    **NUMBERS,
    **TENS,
    "half": 0.5,
    "quarter": 0.25,
    "third": 1 / 3,
    "quarter-turn": 90,
    "half-turn": 180,
    "full-turn": 360,
    "right-angle": 90,
}
MULTIPLES: dict[str, float] = {"double": 2, "triple": 3, "half": 0.5}
UNITS = frozenset(("mm", "cm", "m", "km", "degrees", "units"))

#: Parts of a whole, by how many of them make it.
PARTS: dict[str, int] = {
    "half": 2,
    "halves": 2,
    "third": 3,
    "thirds": 3,
    "quarter": 4,
    "quarters": 4,
    "fifth": 5,
    "fifths": 5,
    "sixth": 6,
    "eighth": 8,
    "tenth": 10,
}

#: What leads a part of a description in, longest first, and what that part is to the thing described.
ROLES: tuple[tuple[str, str], ...] = tuple(
    _table(
        """
centre << from centre | with centre | centre at | centred at | centred on | centred in | centred | centre
corner_at << with one corner at | with a corner at | with one of its corner at | starting at corner
between << join | between | formed by | made by | bounded by
bisects << bisect | that bisect | which bisect
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
through << through | and through | which through | that through | and which through | drawn through | containing | which contains
from << drawn from | starting at | starting from | that starts at | that starts in | with origin | with endpoint | with start | from
to << drawn to | and goes to | going to | and ends at | and to | to
of << of | for
on << on
inside << inside | that is inside | inside of
outside << outside | outside of
about << about
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
height << and height | with altitude | and altitude | and the altitude
and << and
is << that is | which is
centre << whose centre is | and whose centre is | whose centre is at
radius << and whose radius is | whose radius is
through << whose perimeter through
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
    r"|so|now|next|then|and|also|please|first(?:ly)?|second(?:ly)?|finally|again|well|hello|hi|good|afterwards|after that"
    r"|hence|therefore|thus|lastly)(?=[\s,])[\s,]*",
    # "can you please"
    r"(?:can|could|would|will|shall|may|might)\s+(?:you|we|i|one)\s+(?:please\s+)?(?:also\s+)?(?:have|get(?!\s+rid)|see|now\s+)?\s*",
    # "I would like to have"
    r"(?:i|we|you)(?:['’]d| would|['’]ll| will)?\s+(?:want|need|wish|have|like|love|shall|should|must|can|please)(?:\s+like)?"
    r"(?:\s+(?:to\s+have|to\s+see|to|you\s+to))?\s+",
    r"(?:let['’]?s|let us|lets)\s+(?:see|have|start\s+with|begin\s+with|get|now|look\s+at)?\s*",
    r"(?:i|we)\s+(?=draw|construct|make|join|take|choose|bisect|mark|let|now|measure|reflect|rotate|connect|produce)",
    r"what\s+(?:happens\s+)?if\s+(?:i|we)\s+",
    r"(?:start|begin)\s+(?:with|from)\s+",
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
    r"(?:[\s,]+(?:please|pls|plz|first|anywhere|thanks|thank\s+you|now|for\s+me|for\s+us|again\s+please|if\s+you\s+see\s+it|if\s+you\s+can|from\s+now\s+on"
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
    own-length whose let draw join meets touches produce bisect measure turn reflect enlarge stretch shear translate divide trisect inscribe
    circumscribe prove show call delete hide colour shade trail run set move is = lies what how where does which long far big large
    many apart lock unlock rename dashed dotted thick thicker thin thinner bold again itself it them same each-other has have
    such-that concurrent in-line concyclic congruent similar cyclic cover undo redo there apply invert off image cut contains add up
    stay constant always equidistant whether if that drawn respectively name number equal-to into parts label names in-half
    of-the-way size goes running ranging condition conditions hold holds apart makes making equidistant exactly always beyond
    everywhere outline required comma than times time add-up-to look-like produce letter position everything except but names text
    words write beside centre angle equally far degrees steps step right up down left trail stop fit squares
    or drag increase decrease labels part as when while once to-and-fro round-and-round supplementary complementary path
    present reveal all both not no out bigger larger smaller circumference quickly stand must dash thicken thin
    """
)
#: Words that say nothing where they stand, between the parts of a clause; the list is short, closed, and tested.
IDLE = words("the a an also then just exactly that")
#: Ways on the board, as they are across and up.
WAYS: dict[str, tuple[int, int]] = {"up": (0, 1), "down": (0, -1), "right": (1, 0), "left": (-1, 0), "across": (1, 0)}
