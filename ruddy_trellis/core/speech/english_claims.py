"""Claims and questions in English, written as clauses are (see ``english_clauses``)."""

from .tables import ClauseTable, clause_table

#: What is claimed or asked, by the name of its function in ``claims``.
CLAIMS: ClauseTable = clause_table(
    """
parallel
    {x} is parallel to {y}
    {x} is parallel [to each-other]
    {x} is parallel (line|segment|chord|side)
    is {x} parallel to {y}
    is {x} parallel
    is {x} parallel (line|segment|chord|side)
    is {x1} and {y} parallel
    {x} parallel {y}
perpendicular
    {x} is perpendicular to {y}
    {x} is perpendicular [to each-other]
    {x} is perpendicular (line|segment|chord|side|diameter)
    is {x} perpendicular to {y}
    is {x} perpendicular
    is {x} perpendicular (line|segment|chord|side|diameter)
    {x} meets {y} at right-angle
    {x} is at right-angle to {y}
    {x} meets at right-angle
    does {x} meets [{y}] at right-angle
right
    {x} is [a|the] right-angle
    is {x} [a|the] right-angle
    {x} is right-angled at {y}
    is {x} right-angled at {y}
in_line
    {x} in-line
    {x} is in-line
    {x} lies in-line
    is {x} in-line
    {x} (lies|is) on [a|one|the same] line
    is {x} on [a|one|the same] line
    does {x} (lies|in-line) [on] [a|one|the same] [line]
    does {x} lies in-line
    does {x} in-line
concyclic
    {x} concyclic
    {x} is concyclic
    is {x} concyclic
    {x} (lies|is) on [a|one|the same] circle
    does {x} lies on [a|one|the same] circle
    {x} lies concyclic
    does {x} lies concyclic
concurrent
    {x} is concurrent
    is {x} concurrent
    {x} concurrent
    {x} (meets|is) (in-one-point|at a point|in a point)
    does {x} (meets|concurrent) [in-one-point|at a point]
    {x} goes-through in-one-point
    does {x} goes-through in-one-point
    {x} (in-one-point)
    does {x} in-one-point
on
    {x} (lies|is) on {y}
    does {x} lies on {y}
    is {x} on {y}
    does {y} goes-through {x}
    {y} goes-through {x}
    does {y} goes-through {x} too
    does it goes-through {x}
    {y} contains {x}
inside
    {x} (lies|is) (inside|within|in) {y}
    is {x} (inside|within|in) {y}
    does {x} lies (inside|within|in) {y}
outside
    {x} (lies|is) outside [of] {y}
    is {x} outside [of] {y}
    does {x} lies outside [of] {y}
within_length
    is {x} (within|at-most|less-than) {v} (of|from|away-from) {y}
    {x} is (within|at-most|less-than) {v} (of|from|away-from) {y}
further_than
    is {x} (at-least|more-than) {v} (of|from|away-from) {y}
    {x} is (at-least|more-than) {v} (of|from|away-from) {y}
midpoint
    {x} is the midpoint of {y}
    is {x} the midpoint of {y}
    {x} bisect {y}
    does {x} bisect {y}
    {x} is halfway between {y}
is_perpendicular_bisector
    is {x} the perpendicular-bisector of {y}
    {x} is the perpendicular-bisector of {y}
same_distance
    {x} is equidistant from {y}
    is {x} equidistant from {y}
    {x} is equally far from {y}
    is {x} equally far from {y}
shape
    {x} is {w}
    is {x} {w}
    {x} is always {w}
congruent
    {x} is congruent [to {y}]
    is {x} congruent [to {y}]
    is {x} and {y} congruent
    {x} and {y} is congruent
similar
    {x} is similar [to {y}]
    is {x} similar [to {y}]
    {x} and {y} is similar
tangent
    {x} is tangent to {y}
    is {x} tangent to {y}
    {x} touches {y}
    does {x} touches {y}
equal
    {x} (is equal-to|=|equal-to) {y}
    {x} is =
    {x} is of-one-size (line|segment|chord)
    is {x} of-one-size (line|segment|chord)
    is {x} (equal-to|=) {y}
    is {x} =
    is {x} the equal-to {y}
    {x} is the equal-to {y}
    {x1} and {y} is =
    {x} = {y} {z}
    {x} add-up-to {y}
    does {x} add-up-to {y}
    {x} is {k} {y}
    {x} is {v}
    is {x} {k} {y}
    is {x} {v}
    {x} = {k} {y}
    {x} is the =
    {x} is the same
    is {x} the same
    is {x} the same (length|size)
    is {x} = in (length|size)
    {x} is the same (length|size)
    {x} is = in (length|size)
    is {x} congruent
add_to
    {x} is (supplementary|complementary)
    is {x} (supplementary|complementary)
    {x} is (supplementary|complementary) to {y}
    is {x} (supplementary|complementary) to {y}
bisect_one_another
    {x} bisect each-other
    does {x} bisect each-other
is_named
    {x} is the {y}
    is {x} the {y}
product
    {x} * {y} = {z} * {w2}
above
    {x} (lies|is) above {y}
    is {x} above {y}
    does {x} lies above {y}
below
    {x} (lies|is) (below|under|beneath) {y}
    is {x} (below|under|beneath) {y}
    does {x} lies (below|under|beneath) {y}
one_side
    {x} (lies|is) on-the-same-side-of {y}
    is {x} on-the-same-side-of {y}
    does {x} lies on-the-same-side-of {y}
different_sides
    {x} (lies|is) on-different-sides-of {y}
    is {x} on-different-sides-of {y}
    does {x} lies on-different-sides-of {y}
between
    {x} (lies|is) between {y}
    is {x} between {y}
    does {x} lies between {y}
longer
    {x} [is] (longer-than|more-than|shorter-than|less-than|at-most|at-least) {y}
    is {x} (longer-than|more-than|shorter-than|less-than|at-most|at-least) {y}
"""
)

#: Words for what a shape may be, as the claims of the catalogue call them.
PROPERTIES: dict[str, str] = {
    "kite": "a kite", "rhombus": "a rhombus", "square": "a square", "rectangle": "a rectangle", "parallelogram": "a parallelogram",
    "trapezium": "a trapezium", "isosceles": "isosceles", "equilateral": "equilateral", "right-angled": "right-angled", "cyclic": "cyclic",
    "regular": "regular", "acute": "acute", "obtuse": "obtuse", "scalene": "scalene", "convex": "convex",
}  # fmt: skip
