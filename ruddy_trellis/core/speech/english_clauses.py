"""The clauses of English: verbs with what goes with them. ``{x}`` is any phrase, ``{x1}`` one that is no list, ``{n}`` a name or names,
``{r}`` parts of a description that stand before their verb, ``{facts}`` facts about a shape, ``{claim}`` a claim, ``{rest}`` anything.

``(a|b)`` is one or the other, ``[a]`` may be left out, ``a+`` is said in the plural. Words are those that ``english`` maps others to.
"""

from .tables import ClauseTable, clause_table

#: What is done, by the name of its function in ``verbs``; the order is that in which they are tried.
CLAUSES: ClauseTable = clause_table(
    """
step_dial
    (increase|decrease) {n} by {v}
    (increase|decrease) [the] dial by {v}
set_dial
    set {n} (to|at|=|equal-to) {v}
    set [the] dial (to|at) {v}
    draw {n} (=|to is|is|equal-to) {v}
    turn {n} (up to|down to|to|up|down) {v}
    {n} = {v}
    {n} is {v}
    let {n} (=|is) {v}
sized
    [draw] {n} = {v}
    let {n} (=|is) {v}
    draw {n} {v} long
    [draw] {n} of length {v}
angled
    {y} (=|is) {v}
    let {y} (=|is) {v}
move_point
    (move|draw|set|drag) {n} (to|at|on|in) [position|point] {place}
    {n} = {place}
    {n} (is|lies) at {place}
    {n} is {place}
    let {n} is {place}
    move {n} {rest}
    (move|draw|set) {n} on the position {place}
    (move|set|drag) {n} {place}
define
    draw {n} {y}
    draw {n} , {y}
    let {n} (is|=) {y}
    let {n} call {y}
    let {n} , {y}
    {n} = {y}
    {n} : {y}
    {n} is {y}
    call {y} by {n}
    (call|let) {n} [is] {y}
    {n} , {y}
    {n} {y}
    {y} is {n}
    let {n} is {y} [,] (with|where|such-that|in which) {facts}
    {n} is {y} [,] (with|where|such-that|in which) {facts}
    let {n} is {y} [,] {facts}
    {n} is {y} , {facts}
so_drawn
    {n} [is] (perpendicular|parallel) [to] {y}
    {n} bisect {x}
    let {n} bisect {x}
lies_so
    [let] {n} [is|lies] (inside|outside|above|below) [of] {y}
    [with] {n} on {y}
    {n} lies on {y}
    [let|with] {n} (lies|is) on {y}
    draw {n} on {y}
name
    [draw] call {y} [as|is] {n}
    call {y} with [the] [letter] {n}
    {y} call {n}
    draw {y} call {n}
    [draw] {y} call it [as] {n}
    {y} : {n}
    {y} , {n}
    draw {y} : {n}
    draw {y} as {n}
    draw {n} as {y}
    draw {n} is {y}
    draw {n} = {y}
    call [the] {n} {y}
    call it [as] {n}
    [draw] {y} {n}
meets
    [let] {x} meets [at|in] {n}
    [let] {x} meets {y} [again] (at|in) [the] [point] {n}
    [let] {x} meets {y} at {n} again
    [let] {x} meets (at|in) [the] [point] {n}
    let {x} is concurrent at {n}
    [let] {x} [to] meets {y} [again] for the second time at {n}
    [let] {x} and {y} meets (at|in) [the] [point] {n}
    [let] {x} touches {y} (at|in) [the] [point] {n}
    [let] {x} touches {y} {n}
    {x} and {y} touches at {n}
    (which|it|to|) meets {y} [again] (at|in) [the] [point] {n}
    (and|which|it|to) meets {y} [again]
    [let] {x} meets {y} [again] (at|in) {n} and {z} [again] (at|in) {n2}
    (which|it|to|that|) meets {y} (at|in) {n} and {z} (at|in) {n2}
    (which|it|that|) meets (at|in) {n} inside {z}
    meets (at|in) {n}
    {x} meets {y} again
    (which|it|to|) touches {y} (at|in) [the] [point] {n}
runs
    (let|draw) {x1} (move|run|goes|turn|trail) [to-and-fro|round-and-round|once] [about|along|on|through|in] [{y}]
    (let|draw) {n} (move|run|goes) from {v} to {w}
    (move|run) {x1} (about|along|on) {y}
    run {x1}
dial_ends
    {n} (goes|run|running|move) from {v} to {w}
    let {n} running from {v} to {w}
traced
    (trail|draw|show) [the] [locus|trail|path] [of] {x1} (as|when|while) {y1} (move|run|goes|turn) [about|along|on] [{z}]
    what is the (locus|path|trail) of {x1} (as|when|while) {y1} (move|run|goes|turn) [about|along|on] [{z}]
    [the] (locus|path) of {x1} (as|when|while) {y1} (move|run|goes|turn) [about|along|on] [{z}]
    what is the (locus|path) of {x1}
    [draw] [the] locus of {x1}
locus
    [draw] [the] (locus|set|places|point+) [of] [all] [the] [point] [that|which|it] [is] equidistant from {x}
    [draw] the point [that|which] [is] equidistant from {x}
    [draw] [all] [the] (locus|set|places|point+) [of] [all] [the] [point] [that|which|it] [is] [exactly] {v} (from|away-from) {x}
    [draw] [the] (locus|set|places) [of] [all] [the] [point] at [a] distance [of] {v} from {x}
where_meet
    where (does|is) {x} meets [{y}] [again]
    where [does] {x} meets {y} [again]
    draw where {x} meets [{y}]
    where is {y}
    where (does|is) {x} meets {y}
    where is {x} concurrent
join
    join {x} (to|with) {y}
    join {x}
    join {x} in-order
    join {x} (to|to draw|as|in) [a|an] {z}
    join {x} with [a] (line|segment)
    draw join {x}
    draw {x} (to|and) {y} join
    join {x} (to|and) {y} with [a] (line|segment)
produce
    produce {x1} [beyond {z}] by own-length to [a] [point] {n}
    produce {x1} [(beyond|through|over) {z}] to [a] [point] {n}
    produce {x1} [beyond {z}] to [a] [point] {n} such-that {fact}
    produce {x1} [beyond {z}] by {v} [to {n}]
    produce {x1} to meets {y} [again] at {n}
    produce {x1} to meets {y} at {n}
    produce {x1} [beyond {z}] meets {y} [again] (at|in) [the] [point] {n}
    produce {x1} [beyond {z}] by {y} to {n}
    produce {x1}
    let {x1} and {y} [produce] meets (at|in) {n}
    let {x1} produce meets {y} produce at {n}
fraction
    [draw] [a|the] [point] {v} of-the-way (along|on) {x1} [,] closer [to] {z}
    [draw] [a|the] [point] {v} of-the-way from {x1} to {y1}
    [draw] [a|the] [point] {v} of-the-way (along|on) {x}
    [let] {n} is [a|the] [point] {v} of-the-way from {x1} to {y1}
    [let] {n} is [a|the] [point] {v} of-the-way along {x}
    [draw] [a|the] [point] {n} {v} of-the-way from {x1} to {y1}
    [draw] [a|the] [point] {n} {v} of-the-way along {x}
bisect
    (meets|divide|bisect) {x} in-half
    divide {x} (in|into) two [=] [part|parts|angle]
    bisect {x} (at|in) {n}
    bisect {x}
    {x} bisect
    draw {x} bisect
divide
    [draw] [a|the] [point] divide {x} [in] [the] [ratio] {v} : {w}
    (divide|meets) {x} (in|into|to) {v} [=] (parts|part|segment)
    {n} divide {x} (in|into|to) {v} [=] (parts|part|segment)
    trisect {x} (at|in) {n}
    trisect {x}
    [let] {n} trisect {x}
    divide {x} [internal] (in|by) [the] ratio [of] {v} : {w} [(at|in) {n}]
    divide {x} in {v} : {w}
    divide {x} external in [the] ratio {v} : {w}
    {n} divide {x} [internal] in [the] ratio [of] {v} : {w}
    {n} divide {x} external in [the] ratio [of] {v} : {w}
    let {n} divide {x} [internal] in [the] ratio {v} : {w}
    let {n} divide {x} external in [the] ratio {v} : {w}
point_by_ratio
    [draw] [a|the] [point] {n} (on|of|in) {x1} (with|where|such-that) {k} : {m} = {v} : {w}
    on {x1} draw [a|the] [point] {n} (with|where|such-that) {k} : {m} = {v} : {w}
    let {n} is [the|a] point (on|of) {x1} divide it [internal] in [the] ratio {v} : {w}
    let {n} is [the|a] point (on|of) {x1} (with|where|such-that) {k} : {m} = {v} : {w}
    {n} [is] [the|a] [point] (on|of|in) {x1} (with|where|such-that) {k} : {m} = {v} : {w}
    let {n} is [the|a] point (on|of|in) {x1} divide it [internal] in [the] ratio {v} : {w}
point_by_length
    [draw] [a|the] [point] {n} (on|of|in) {x1} (with|where|such-that) {fact}
    [draw] [a|the] point {n} (with|where|such-that) {fact}
    [let] {n} [is|lies] [the|a] [point] (on|of|in) {x1} (with|where|such-that|and|,) {fact}
    draw [a] point {n} (on|of|in) {x1} (with|where|such-that) {fact}
    [draw] [a|the] [point] {n} (inside|outside|above|below) {x1} (with|where|such-that) {fact}
    [let] {n} is [a|the] [point] (inside|outside|above|below) {x1} (with|where|such-that) {fact}
    (on|of|in) {x1} draw [a|the] [point] {n} (with|where|such-that) {fact}
    [let] {n} [is] [a] point (with|where|such-that) {fact}
    draw [a] [point] {n} (with|where|such-that) {fact}
    [let] {n} (with|where|such-that) {fact}
    along {x1} draw [a|the] [point] {n} (with|where|such-that) {fact}
    [let] {n} is [a] point such-that {fact}
    draw [a] point {n} such-that {fact}
transform
    translate {x1} such-that {y1} goes to {z}
    (reflect|turn|enlarge|stretch|shear|translate|invert) {x1} {r}
    draw (reflect|turn|enlarge|stretch|shear|translate) {x1} {r}
    (turn|enlarge) {x1} {v} [clockwise|anticlockwise] {r}
    (turn|enlarge) {x1} {v} {r} [clockwise|anticlockwise]
    (reflect|turn|enlarge|stretch|shear|translate) {x} {r}
    (turn|enlarge) {x} {v} [clockwise|anticlockwise] {r}
    (turn|enlarge) {x1} a {v} [clockwise|anticlockwise] {r}
    reflect {x}
    apply {y} to {x}
    apply to {x} {y}
    turn {x1} [clockwise|anticlockwise] {r}
    turn {x1} [clockwise|anticlockwise] [a] {v} {r}
    turn {x1} {r} [clockwise|anticlockwise] [by|through] {v}
    (enlarge|reflect|stretch|shear) {x1} {r} by {v}
    {x1} {r} turn
    (enlarge|stretch|shear) {x1} {r} by [the|a] factor [of] {v}
    (enlarge|stretch|shear) {x1} by [the|a] factor [of] {v} {r}
    translate {x1} {v} right {w} up
    (enlarge|stretch|shear) {x1} {r} with [a|the] factor [of] {v}
    (enlarge|stretch|shear) {x1} with centre {z} (and|,|by) [a] (factor|ratio) [of] {v}
    translate {x1} [by] {steps}
    translate {x1} by [the] vector {place}
    translate {x1} by {place}
    (enlarge|stretch|shear) {x1} {r} , factor {v}
    (enlarge|stretch|shear) {x1} by factor {v} {r}
    draw {x1} {v} time bigger {r}
    draw {x1} bigger {v} time {r}
inscribe
    inscribe {x1} (in|inside|into) {y}
    draw {x1} inscribe in {y}
circumscribe
    circumscribe {x1} (about|on|to) {y}
    circumscribe {y}
shade
    show [the|all] (places|region|area|point+) {cond}
    [shade|draw|colour] [the|all] everywhere {cond}
    [shade|draw|colour] [the|all] (places|region|area|point+|part|set|locus|everywhere|outside|inside) {cond}
    shade {cond}
    shade {x} [in] {c}
    shade {x}
    [shade] everywhere [that] [is] {cond}
    shade [the|all] (part|places|region|area) of {y} {cond}
    shade [the] region where {ref} hold
    shade [the] [region] where (all|both) [of] [the|them] [condition] hold
    draw [the|all] (places|region|point+|area) {cond}
    draw [the] (places|locus|set|region) of [all] point {cond}
    [the] (set|locus|region) of [all] point {cond}
    [the] (set|locus|region) of [all] point of {y} {cond}
condition
    {s} must [also] [is|stand|lies] {cond}
    {s} (is|stand|lies) {cond} (must|should)
    {s} should [also] [is|stand] {cond}
style
    draw {x} in {c}
    draw {x} {look} and {c}
    draw {x} {c} and {look}
    colour {x} [in] {c}
    draw {x} {c}
    {x} [is] in {c}
    draw {x} [is] {look}
    draw {x} (a|an) {look} line
    (dash|thicken|thin) {x}
    draw {x} {look} and {look2}
    show {x} in {c}
    trail {x} in {c}
    draw {x} (a|an) {look} {look2} line
    trail [the] outline in {c}
    colour {x} {c} and hide {h}
hide
    hide [all] [the] (names|call|labels)
    hide [the] (names|call|labels) of {x}
    hide {x}
    hide {x} and {y}
    (hide|delete) everything except {x}
    hide all
show
    show {x} again
    show {x}
delete
    delete (everything|all)
    delete {x}
rename
    rename {x} (to|as|into|in) {n}
    call {x} {q}
    rename {x} {n}
lock
    lock {x}
unlock
    unlock {x}
label_on
    call {x}
    show [the] names of {x}
    call {x}
trail
    trail {x}
    draw {x} trail
    show [the] trail of {x}
cover
    cover {x}
    cover up {x}
write
    (write|draw) [the] [words|text] {q}
    (write|draw) [the] [words|text] {q} at {place}
    (write|draw) [the] [words|text] {q} (on|at|in|beside) the (upper|lower|left|right)
    (write|draw) [the] [words|text] {q} (beside|at|on|above|below|under|inside) {x1}
dial
    draw [a|an] [new] [angle] dial [call] {n} [going] [ranging] from {v} to {w} [in steps of {k}]
    draw [a|an] [new] [angle] dial [call] {n} [that|which] goes (from|between) {v} (to|and) {w} [in steps of {k}]
    [a|an] [new] [angle] dial [call] {n} [going] [ranging] (from|between) {v} (to|and) {w} [in steps of {k}]
    let {n} is [a|an] [new] dial [going] [ranging] [running] (from|between) {v} (to|and) {w} [in steps of {k}]
    draw [a|an] dial for [the] [angle|length|number] {n} (from|between) {v} (to|and) {w} [in steps of {k}]
    draw [a] dial (from|between) {v} (to|and) {w} [in steps of {k}]
    [a] dial (from|between) {v} (to|and) {w} [in steps of {k}]
    {n} is a dial from {v} to {w} [in steps of {k}]
    draw a dial {n} (between|from) {v} (and|to) {w}
measure
    {m} / {k}
    (measure|find) {m}
    what is {m}
    [how] far is it from {x1} to {y1}
    how far is {x1} from {y1}
    how far [apart] is {x}
    how far apart is {x}
    how long is {x}
    how (big|large) is {x}
    how many degrees is {x}
    what size has {m}
    which size has {m}
    what does {m} measure
    how much is {m}
    {m}
    {m} is required
    show [the] {m}
    draw {m} and (measure|find) it
    {m} =
    what size is {m}
    what angle (does|is) {x} (makes|draw|between) [with {y}]
    (what|which) angle is between {x}
    how long is it from {x1} to {y1}
    what size is {x}
    (measure|find) it
    write [down] [the] {m}
    how big is {x} inside
    how far is it from {x1} to {y1}
    how far from {x1} to {y1}
    how long is {x} in {u}
    how far is it {m}
    what does {x} add-up-to
    write [the] {m} beside it
    how long is the line from {x1} to {y1} [in] [cm]
    is {m} required
    draw {m}
    how (long|big|large) {x} is
    how far {x1} is from {y1}
    what {m} is
    what {m}
    how many {u} is it from {x1} to {y1}
    (measure|find) how long {x} is
conclude
    (prove|show) [that] {claim}
    then {claim}
    is it (true|so) that {claim}
    {claim}
    prove : {claim}
suppose
    let {claim}
draw
    draw {x} [,] (with|where|such-that|in which) {facts}
    {x} [,] (with|where|such-that|in which) {facts}
    draw {x}
    {r} draw {x}
    {r} , draw {x}
    {x}
    let {x}
    let {x} is {y}
    draw {x} [,] {facts}
    {x} [,] {facts}
    draw {r} {x}
    {x} , {r}
    let {x} is given
    {r} {x}
    draw {x} {r}
    show {x}
    draw {x} in which {facts}
    draw {x} is {y}
    {r} draw {x} {facts}
    {r} draw {x} (with|where|such-that) {facts}
"""
)

#: Looks by their words: parts of a look and their values.
LOOKS: dict[str, tuple[str, object]] = {
    "dashed": ("pattern", "dashed"), "dotted": ("pattern", "dotted"), "solid": ("pattern", "solid"),
    "thick": ("width", 3.4), "thicker": ("width", 3.4), "bold": ("width", 3.4), "thin": ("width", 1.2), "thinner": ("width", 1.2),
    "bigger": ("size", 9.0), "larger": ("size", 9.0), "smaller": ("size", 4.0),
    "invisible": ("hidden", True), "visible": ("hidden", False),
}  # fmt: skip
