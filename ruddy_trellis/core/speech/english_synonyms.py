"""Words of English that mean the same, and such as belong together: what of them the grammar knows by one word."""

from .tables import word_table

#: Several words that are one: they are put together before anything else is looked at.
TOGETHER: dict[str, str] = word_table(
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
excircle << escribed circle
excircles << escribed circles
nine-point-circle << nine point circle | euler circle
euler-line << euler line
nine-point-centre << nine point centre | nine point center
nearest-point << nearest point | closest point
furthest-point << furthest point | farthest point
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
circular-segment << circular segment
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
with << which has | that has | which have | that have
each-other << each other | one another
in-order << in order
goes-through << go through | goes through | passes through | pass through | passes by | goes over | goes by | run through
through << going through | passing through | going over | passing by | running through
antipode of << the other end of the diameter through | other end of the diameter through | diametrically opposite
equidistant from << equidistant from
how big is << how many degrees is
parallel to << in the same direction as | the same way as
centred at << with its centre at | with its center at
with centre << with centre at | with center at | with the centre at | with the middle at | with the centre in | with centre in
in-the-middle << in the middle
midpoint of << in the middle between | exactly between | exactly halfway between | exactly half way between | right between
    | halfway along | half way along | midway along | mid way along | halfway between | half way between | midway between | in the middle of
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
lines << each line | every line
circles << each circle | every circle
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
SAME: dict[str, str] = word_table(
    """
centre << center | middle | centers | centres
centred << centered | centring | centering
radius << rad | radii
diameter << diam | dia | diameters | ø
perpendicular << perp | perps | perpendiculars | ⊥ | ⟂ | normal | orthogonal | perpendicularly
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
quadrilateral << quad | quads | quadrilaterals | quadrangle | tetragon
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
circular-segment << circular-segments
incentre << incenter
circumcentre << circumcenter | circumcenters
orthocentre << orthocenter
centroid << barycentre | barycenter | centroids
excentre << excenter
circumcircle << circumcircles | circumcirc
incircle << incircles | incirc
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
largest << biggest | greatest | widest
smallest << tiniest
longest << longest
join << joining | joins | connecting | connect | connects | linking | link
draw << rule | ruling | locate | draws | drawing | construct | constructing | make | create | build | sketch | describe | strike
    | erect
    | drop | raise | add | insert | give | get | form | complete | mark | take | choose | pick | put | place | plot | graph | select
produce << extend | prolong | lengthen | extended | produced | prolonged
bisect << halve | halving | bisects | bisecting | bisected
measure << measuring | dimension
find << calculate | compute | determine | evaluate | finding
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
goes << go | travel | travels | ranges
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
