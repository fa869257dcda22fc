"""Idioms of English for what is compared and reckoned as it is spoken: "is C closer to A or to B", "what fraction of AB is AC", "AB squared
plus BC squared".

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import math
import re

from .idiom_parts import COUNTED, OF_A_SORT, POLYGON, SIZE, Idioms

#: A length or an angle by its letters, as a part of forms.
_SIZE_OF = r"(?:(?-i:[A-Z]{2})|angle (?-i:[A-Z]{1,3})|(?-i:[a-z]))(?:\^\d)?"
#: Nouns of readings, as parts of forms.
_READS = "equation|length|area|perimeter|circumference|radius|diameter|size|coordinates|slope|gradient|measure"
#: Signs by the words that say them; "squared" has become one before.
_SIGNS = {"plus": "+", "minus": "-", "times": "*", "divided by": "/", "over": "/"}

#: Which part of a circle is meant, by how it is said.
_PART_OF_A_CIRCLE = {"minor": "minor ", "smaller": "minor ", "major": "major ", "larger": "major "}


def _sign(word: re.Match[str]) -> str:
    return f" {_SIGNS[word[1].lower()]} "


def _reckoned(found: re.Match[str]) -> str:
    """A sum that is spoken, in signs."""
    said = re.sub(r"(?i) (plus|minus|times|divided by|over) ", _sign, re.sub(" (?:equals|is equal to) ", " = ", found[2]))
    return f"{found[1] or ''}{said}"


#: How circles touch; parts of a length, as factors of it.
_TOUCHING = {"externally": "externally ", "internally": "internally "}
_SHARE = {"half": "1/2 ", "a third": "1/3 ", "a quarter": "1/4 ", "twice": "2 ", "double": "2 ", "": ""}
#: What stands in a yard.
_STANDING = "lamp|tree|post|well|pole|fountain|statue|seat|bench|shop"


def _chord_and_distance(found: re.Match[str]) -> str:
    """A circle by the length of a chord and how far this is from the centre: half the chord, that distance and the radius make a
    right-angled triangle."""
    centre, a, b, length, distance = found.groups()
    (long, unit), (far, other) = ((float(one.rstrip(" cm")), one.lstrip("0123456789. ")) for one in (length, distance))
    if unit != other:
        return found[0]
    radius = f"{math.hypot(long / 2, far):.12g} {unit}".strip()
    return f"draw the circle with centre {centre} and radius {radius}. Draw a chord {a}{b} of length {length}"


def _by_diagonals(found: re.Match[str]) -> str:
    """A quadrilateral whose diagonals bisect each other, at right angles or not, made from these."""
    a, b, c, d = found.groups()[:4]
    if found[5] or found[6]:
        return (
            f"draw the segment {a}{c}. {b} is a point on the perpendicular bisector of {a}{c}. {d} is the reflection of {b} in {a}{c}. "
            + (f"Draw the quadrilateral {a}{b}{c}{d}")
        )
    return (
        f"draw the segment {a}{c}. {b} is a point. {d} is the image of {b} under the half-turn about the midpoint of {a}{c}. "
        f"Draw the quadrilateral {a}{b}{c}{d}"
    )


def _is_diameter(found: re.Match[str]) -> str:
    """That a segment is a diameter: the centre lies on it, and both of its ends on the circle."""
    lead, ends, circle = found[1], found[2], found[3] or "the circle"
    return f"{lead}the centre of {circle} lies on {ends}. " + ". ".join(f"{lead}{end} lies on {circle}" for end in ends)


def _rectangle_on(found: re.Match[str]) -> str:
    """A rectangle on a side with the side beside it; a diagonal is none, by the order of its corners."""
    base = found[2]
    ring = found[1].split()[-1] if " " in found[1] else base + "".join(chr(ord(max(base)) + more) for more in (1, 2))
    sides = [{ring[place - 1], ring[place]} for place in range(4)]
    is_beside = {*base} in sides and {*found[3]} in sides and len({*base, *found[3]}) == 3
    return f"{found[1]} on {base} with height {found[4]}" if is_beside else found[0]


def _each_equilateral(found: re.Match[str]) -> str:
    """Equilateral triangles on the sides: each on the side of its first two corners."""
    way = "internally" if found[2].lower().startswith("in") else "externally"
    return ". ".join(f"Draw the equilateral triangle {name} {way} on {name[:2]}" for name in re.findall("[A-Z]{3}", found[1]))


#: What is compared and reckoned, by how it is read.
OF_COMPARING: Idioms = (
    (
        rf"(?i)^((?:compute|calculate|work out|find|what is|what’s|what's|show that|prove that|check that|is) )?"
        rf"((?:{_SIZE_OF})(?: (?:plus|minus|times|divided by|over|equals|is equal to|[-+*/=]) (?:{_SIZE_OF}|\d+))+)(?=[ .?!]*$)",
        _reckoned,
    ),
    (
        r"(?i)^(?:is|does) (?-i:([A-Z])) (?:closer|nearer|lie closer|lie nearer) to (?-i:([A-Z])) or (?:to )?(?-i:([A-Z]))(?=[ .?!]*$)",
        r"measure \1\2 and \1\3",
    ),
    (
        r"(?i)^is (?-i:([A-Z])) (?:further|farther) (?:away )?from (?-i:([A-Z])) or (?:from )?(?-i:([A-Z]))(?=[ .?!]*$)",
        r"measure \1\2 and \1\3",
    ),
    (
        r"(?i)^(?:what|which) (?:fraction|part) of (?:the length of )?(?-i:([A-Z]{2})) is (?:the length of )?(?-i:([A-Z]{2}))(?=[ .?!]*$)",
        r"\2 / \1",
    ),
    (
        r"(?i)^how many times (?:as (?:long|large|big) as )?(?-i:([A-Z]{2})) is (?-i:([A-Z]{2}))(?=[ .?!]*$)",
        r"\2 / \1",
    ),
    (
        r"(?i)^(?:which|what) (?:one )?(?:of (?:the|its) (?:three |four |five )?angles|angle)(?: of (it|the \w+|(?-i:[A-Z]{3,6})))? is "
        r"(?:the )?"
        r"(largest|biggest|greatest|smallest)(?=[ .?!]*$)",
        lambda found: f"the {'smallest' if found[2].lower() == 'smallest' else 'largest'} angle{f' of {found[1]}' if found[1] else ''}",
    ),
    (
        r"(?i)^(is|does) (?-i:([A-Z])) ((?:lie )?)(inside|outside|above|below|in|on) or (?!\4\b)(?:inside|outside|above|below|not|in|"
        r"on)(?: of)? "
        r"(?=\S)",
        r"\1 \2 \3\4 ",
    ),
    (
        r"(?i)^(?:test|check|see|verify|find out|decide|determine|investigate|ask) (?:if|whether)(?: or not)? (?=\S)",
        "check that ",
    ),
    (r"(?i)\b(add up to|sum to|(?:sum|total)(?: of .+?)? is|make|equals?|is equal to|=) two right angles(?=[ .?!]*$)", r"\1 180 degrees"),
    (
        r"(?i)^is there (?:a|one) circle (?:that goes |which goes |passing |going )?through (?:all )?(?:its |the )?(?:four )?(?:corners|"
        r"vertices)(?: of (?:the )?(?:quadrilateral )?(?-i:([A-Z]{4})))?(?=[ .?!]*$)",
        lambda found: f"is {found[1] or 'the quadrilateral'} cyclic",
    ),
    # Places that are nearest.
    (
        r"(?i)\b(?:the )?(?:point|place|spot|position)((?-i: [A-Z])?) (on|of) (?:the )?(?:side |line |segment |wall |edge |fence |path )?"
        r"(?-i:([A-Z]{2})) (?:that is |which is |that lies )?(?:the )?(?:closest|nearest) to (?:the )?(?:point )?(?-i:([A-Z]))"
        r"(?=[ .?!]*$)",
        r"the foot\1 of the perpendicular from \4 to \3",
    ),
    # Shapes with what they have after commas.
    (
        rf"(?i)\b((?:[a-z-]+ )*(?:{POLYGON})(?-i: [A-Z]{{3,6}})?), ((?:hypotenuse|base|height|side|sides|leg|one leg|one side)(?: of)? "
        rf"{SIZE})(?:,? (?:and )?(?:one |the other |an? )?(leg|side|height|base)(?: of)? ({SIZE}))?(?=[ .!]*$)",
        lambda found: f"{found[1]} with {re.sub('(?i)^one ', '', found[2])}" + (f" and {found[3].lower()} {found[4]}" if found[3] else ""),
    ),
    (
        rf"(?i)^((?:draw |make |construct )?(?:an? |the )?(?:[a-z-]+ )*?(?:{POLYGON})) ((?:with |of )?(?:sides? )?\d[^,;]*?),? (?:called|"
        rf"named|"
        r"lettered) (?-i:([A-Z]{3,6}))(?=[ .!]*$)",
        r"\1 \3 \2",
    ),
    (
        r"(?i)^(?:draw |construct |describe )?(?:an? |the )?semicircle (?:on|over|with diameter) (?:the )?(?:segment |diameter "
        r")?(?-i:([A-Z]{2})) "
        r"?= ?(\d\S*(?: ?[cm]?m)?)(?=[ .!]*$)",
        r"draw the segment \1 of length \2. Draw the semicircle on \1",
    ),
    (
        r"(?i)\b(?:an? )?angle of (\d[\d.]*) ?(?:°|degrees),? (?:with|having|whose) (?:its |a |the )?(?:vertex|corner)(?: is| at)? "
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"an angle of \1° at \2",
    ),
    (
        r"(?i)\b(lines|chords|circles|segments|rays) through (?:one|a single|the same|a common) (?:point )?(?=(?-i:[A-Z])(?![A-Za-z]))",
        r"\1 through ",
    ),
    (r"(?i)(?<=that )both(?: of (?:them|these))? (?=(?:pass|go|run|lie|are|meet|touch|cut)\b)", "they "),
    (r"(?i)(?<=that )both (?=(?:circles|lines)\b)", "the "),
    (
        rf"(?i)^(find|measure|calculate|work out|determine|give|state) (the ({_READS}) of [^,;]+?),? and (the ({_READS}) of [^,;]+?)(?=[ "
        rf".!]*$)",
        lambda found: found[0] if found[3].lower() == found[5].lower() else f"{found[1]} {found[2]}. {found[1]} {found[4]}",
    ),
    # Parts of circles.
    (
        r"(?i)\b((?:minor|major|smaller|larger|circular) )segment(?: (?:of (?:the |a )?circle|of (?-i:[a-z])))?(?: (?:cut off|made|formed) "
        r"by(?: the chord)?| on(?: the)?(?: chord)?| by(?: the chord)?)? (?-i:([A-Z]{2}))\b",
        lambda found: f"{_PART_OF_A_CIRCLE.get(found[1].strip().lower(), '')}circular-segment {found[2]}",
    ),
    (
        r"(?i)\bsegment(?: of (?:the |a )?(?:circle|(?-i:[a-z])))? (?:that is |which is )?cut off(?: (?:the circle|(?-i:[a-z])))? by "
        r"(?:the )?"
        r"(?:chord )?(?-i:([A-Z]{2}))\b",
        r"circular-segment \1",
    ),
    (
        r"(?i)\b(?:a |the )?quarter[- ](?:circle|arc) (?:is drawn |drawn )?(?:with|about|around|centred at) (?:the )?(?:centre |center )?"
        r"(?-i:([A-Z])),? (?:through|from|joining) (?-i:([A-Z])) (?:and|to) (?-i:([A-Z]))\b",
        r"the arc with centre \1 from \2 to \3",
    ),
    (
        r"(?i)\b(?:draw )?(?:an?|another|the) circle with the same (?:centre|center)((?: as (?:(?-i:[a-z])|the circle))?),? (?:but|and) "
        r"(half|twice|double|(?:three|four|\d) times|a third of|a quarter of) (?:its|the|of its|of the) radius(?=[ .!]*$)",
        lambda found: (
            f"draw a circle with the same centre{found[1] or ' as the circle'} and radius {found[2]} the radius of "
            f"{(found[1] or ' as the circle').removeprefix(' as ')}"
        ),
    ),
    (
        r"(?i)\bcircle(?: which is| that is)?(?=(?: concentric with \S+) (?:and|which|that) (?:passes|passing|goes|going) through)"
        r"(?: concentric with (\S+)) (?:and|which|that) (?:passes|passing|goes|going) (?=through)",
        r"circle concentric with \1 ",
    ),
    # Requests with what is to be seen.
    (
        r"(?i)^(draw|show) (?:the |a )?(radius|segment|line|side|chord|diameter|altitude|median) (?-i:([A-Z]{2})) as an? (dashed|dotted|"
        r"thick|"
        r"thin|red|blue|green|black) (?:segment|line)(?=[ .!]*$)",
        r"draw the segment \3 and make it \4",
    ),
    (
        r"(?i)^from (?:a |the )?(?:point )?(?-i:([A-Z])),? (?:a point )?(inside|outside) (the \w+|(?-i:[A-Z]{3,6}|[a-z])),? (?=draw|join)",
        r"\1 is a point \2 \3. Then ",
    ),
    (
        r"(?i)\bfold (?:the point )?(?-i:([A-Z])) (?:over )?(?:in|on|onto|over|along|about) (?:the )?(?:line |side )?(?=(?-i:[A-Z]{2}|"
        r"[a-z])\b)",
        r"reflect \1 in ",
    ),
    (
        r"(?i)^(?:mark|put|place) (?:a |the )?(?:point )?(?-i:([A-Z])) on (?:the )?(?:side |segment )?(?-i:([A-Z]{2})),? "
        rf"({SIZE}) (?:away )?from (?-i:([A-Z]))(?=[ .!]*$)",
        r"let \1 be a point on \2 with \4\1 = \3",
    ),
    (
        r"(?i)^(draw|drop|construct) (?:the )?perpendiculars from (?-i:([A-Z])) (?:to|on|onto) (?-i:([A-Z]{2}|[a-z])) and from "
        r"(?-i:([A-Z])) "
        r"(?:to|on|onto) (?-i:([A-Z]{2}|[a-z]))(?=[ .!]*$)",
        r"draw the perpendicular from \2 to \3. Draw the perpendicular from \4 to \5",
    ),
    (
        r"(?i)^(?:put|draw) (?:a|the) circle (?:a)?round (?:the )?((?:triangle|square|rectangle|hexagon|quadrilateral)(?-i: [A-Z]{3,6})?|"
        r"it)"
        r"(?:,? (?:so that it|so it|that|which|to) (?:touch(?:es|ing)?|goes? through|pass(?:es)? through|meets?) (?:all )?(?:(?:of "
        r")?(?:its|"
        r"the) )?(?:three |four |six )?(?:corners|vertices))?(?=[ .!]*$)",
        r"draw the circumcircle of \1",
    ),
    (
        r"(?i)^(?:put|draw) (?:a|the) circle inside (?:the )?((?:triangle|square|rhombus|hexagon|quadrilateral)(?-i: [A-Z]{3,6})?|it),? "
        r"(?:so that it|so it|that|which|to)?(?: ?touch(?:es|ing)?) (?:all )?(?:(?:of )?(?:its|the) )?(?:three |four |six )?sides(?=[ "
        r".!]*$)",
        r"draw the incircle of \1",
    ),
    (
        r"(?i)\bsquares on (?:all )?(?:of )?(?:its |the )?(three|four)? ?sides,? (?:on the )?(outside|outwards|inside|inwards|"
        r"externally)(?=[ "
        r".!]*$)",
        lambda found: (
            f"squares {'inside' if found[2].lower().startswith('in') else 'outside'} on the "
            f"{'three ' if (found[1] or '').lower() == 'three' else ''}sides"
        ),
    ),
    (
        r"(?i)^(?:mark |draw |plot )?four points(?: in (?:a row|line|a line))?,? (?-i:([A-Z]), ([A-Z]), ([A-Z]),? (?:and )?([A-Z])),? "
        r"(?:in (?:a "
        r"row|line|a line),? )?(?:equally spaced|evenly spaced|equal distances apart|at equal distances)(?=[ .!]*$)",
        r"draw the segment \1\4. Divide \1\4 into 3 equal parts at \2 and \3",
    ),
    (
        rf"(?i)^(?:an?|the) ((?:{OF_A_SORT}|equilateral) )?((?:{POLYGON})) (?-i:([A-Z]{{3,8}})) is inscribed in (an? circle(?: with "
        rf"(?:centre|"
        rf"center) (?-i:[A-Z]))?(?:,? (?:and|of|with) (?:a )?radius (?:of )?{SIZE})?|the circle|(?:circle )?(?-i:[a-z]))(?=[ .!]*$)",
        lambda found: f"draw the {found[1] or ''}{found[2]} {found[3]} inscribed in {found[4]}",
    ),
    (
        r"(?i)^(?:in |let )?(?:an? |the )?quadrilateral (?-i:([A-Z])([A-Z])([A-Z])([A-Z])),? (?:the |its |has )?diagonals(?: (?-i:\1\3 and "
        r"\2\4|\2\4 and \1\3))? (?:(are perpendicular(?: to each other)? and |are at right angles and )?bisect (?:each other|one another)|"
        r"(bisect (?:each other|one another) at right angles))(?=[ .!]*$)",
        _by_diagonals,
    ),
    (
        r"(?i)^(?:on|upon) (?:its|the) (?:three |two )?sides(?: of (?:the )?(?:triangle )?(?-i:[A-Z]{3}))?,? equilateral triangles "
        r"(?-i:([A-Z]{3}(?:, [A-Z]{3})*,? and [A-Z]{3})) are (?:drawn|constructed|erected|built) (outwards|externally|inwards|internally|"
        r"outside|inside)(?=[ .!]*$)",
        _each_equilateral,
    ),
    (
        r"(?i)^(.+ (?:at|in) (?-i:([A-Z]) and ([A-Z]))),? (?:with |where )?(?-i:(\2|\3)) (?:is |being |lies |lying )?between (?-i:([A-Z])) "
        r"and (?-i:([A-Z]))(?=[ .!]*$)",
        r"\1. Suppose that \4 is between \5 and \6",
    ),
    (
        rf"(?i)\btwo ((?:equal )?)circles((?:,? (?:of|with) (?:radius|radii) (?:of )?{SIZE}(?: and {SIZE})?)?),? (?:that |which )?(?:touch|"
        r"touching|are tangent to|tangent to)(?: (?:each other|one another))?( externally| internally)?(?=[ .!]*$)",
        lambda found: f"two {_TOUCHING.get((found[3] or '').strip().lower(), '')}touching {found[1]}circles{found[2]}",
    ),
    (
        r"(?i)\b(?:draw |construct )?two circles,? one (?:centred (?:at|on|in)|with (?:centre|center)|about|around) (?-i:([A-Z])),? "
        r"(?:and )?"
        r"(?:one|the other) (?:centred (?:at|on|in)|with (?:centre|center)|about|around|at) (?-i:([A-Z])),? (?:and )?both (?:with|of) "
        r"(radius "
        rf"(?:of )?(?:(?-i:[A-Z]{{2}})|{SIZE}))(?=[ .!]*$)",
        r"draw the circle with centre \1 and \3. Draw the circle with centre \2 and \3",
    ),
    (
        r"(?i)^(?:extend|produce|prolong|continue) (?-i:([A-Z])([A-Z])) by (half|a third|a quarter|twice|double|(?=its (?:own )?length)) "
        r"?(?:of )?"
        r"its (?:own )?length to (?-i:([A-Z]))(?=[ .!]*$)",
        lambda found: (
            f"produce {found[1]}{found[2]} to {found[4]} so that {found[2]}{found[4]} = "
            f"{_SHARE[(found[3] or '').lower()]}{found[1]}{found[2]}"
        ),
    ),
    (
        r"(?i)^(?:mark|find|draw|construct) (?:the )?(?:two )?points (?-i:([A-Z])) and (?-i:([A-Z])) (?:that|which) trisect "
        r"(?-i:([A-Z]{2}))(?=[ .!]*$)",
        r"divide \3 into 3 equal parts at \1 and \2",
    ),
    (
        r"(?i)^((?:rotate|turn|reflect|translate|enlarge|mirror) (?-i:[A-Z]) [^.;]+?),? and (?:call|name|label) (?:the (?:result|image|new "
        r"point)|it|what you get) (?-i:([A-Z]['′]?))(?=[ .!]*$)",
        r"\1 to get \2",
    ),
    (r"(?i)\b(?:the )?(?:triangle[’']s )(centroid|incentre|circumcentre|orthocentre|incircle|circumcircle)\b", r"the \1"),
    (r"(?i)\b(?:the )?((?:triangle|quadrilateral)[’']s )?(?:centre|center) of (?:gravity|mass)\b", "the centroid"),
    (
        r"(?i)\b(?-i:([A-Z])), the (incentre|incenter|circumcentre|circumcenter|centroid|orthocentre|orthocenter)(?: of (?:the "
        r")?(?:triangle "
        r")?(?-i:([A-Z]{3})))?,?(?= to\b| on\b| and\b|[ .!]*$)",
        lambda found: f"the {found[2]} {found[1]}{f' of {found[3]}' if found[3] else ''}",
    ),
    (
        r"(?i)\btriangle (?:whose|with its|with) (?:vertices|corners) (?:are |at |in )?the midpoints of (?:its|the) (?:three )?sides(?: of "
        r"(?:the )?(?:triangle )?(?-i:([A-Z]{3})))?(?=[ .!]*$)",
        lambda found: f"medial triangle{f' of {found[1]}' if found[1] else ''}",
    ),
    (
        r"(?i)\bbetween the (median|altitude|bisector|angle bisector) and the (median|altitude|bisector|angle bisector) (from|at|of|"
        r"through) "
        r"(?-i:([A-Z]))(?=[ .!?]*$)",
        r"between the \1 \3 \4 and the \2 \3 \4",
    ),
    (
        r"(?i)^(show|prove|check|verify) that (.+?) for (?:any |every |each |all )?(?:point )?(?-i:([A-Z])) on (the (?:major|minor) arc "
        r"(?-i:[A-Z]{2})|(?:the )?(?:side |segment |line |circle )?(?-i:[A-Z]{2}|[a-z])|the circle)(?=[ .!]*$)",
        r"\3 is a point on \4. \1 that \2",
    ),
    (r"(?i)\bmark both points where (?=it\b|they\b|the\b|(?-i:[A-Z]))", "mark where "),
    (
        r"(?i)^(?:an? |the )?triangle ((?-i:[A-Z]{3} )?)has (?:its )?(?:vertices|corners) (?:at )?(?=(?-i:[A-Z]) ?\()",
        r"draw the triangle \1with vertices ",
    ),
    (
        rf"(?i)^the sides of (?:an? |the )?triangle ((?-i:[A-Z]{{3}} )?)are (?=(?:{SIZE}),? (?:{SIZE}),? (?:and )?(?:{SIZE})(?:[ .!]*$))",
        r"draw the triangle \1with sides ",
    ),
    (
        r"(?i)^in (?:an? |the )circle with (?:centre|center) (?-i:([A-Z])),? (?:the|a) chord (?-i:([A-Z])([A-Z])) "
        rf"(?:is|has length) ({SIZE})(?: long)?,? and (?:is|lies)(?: at a distance of)? ({SIZE}) (?:away )?from (?:(?-i:\1)|the "
        rf"cent(?:re|er))"
        r"(?=[ .!]*$)",
        _chord_and_distance,
    ),
    (
        r"(?i)^(?:let )?(?:the )?(?:two )?chords (?-i:([A-Z]{2}) and ([A-Z]{2})) (?:of (an? circle(?: with (?:centre|center) "
        r"(?-i:[A-Z]))?|the "
        r"circle) )?(?:meet|cross|intersect|cut (?:each other|one another)) (?:at right angles|perpendicularly) (?:at|in) (?-i:([A-Z]))"
        r"(?=[ .!]*$)",
        lambda found: (
            (f"draw {found[3]}. " if (found[3] or "").lower().startswith("a") else "")
            + f"{found[1]} and {found[2]} are two perpendicular chords meeting at {found[4]}"
        ),
    ),
    (
        r"(?i)^let (?-i:([A-Z])) be the (?:centre|center) of (?:the|a) ((?:regular )?(?:hexagon|pentagon|octagon|square|rectangle|"
        r"parallelogram|polygon)) (?-i:([A-Z]{4,8}))(?=[ .!]*$)",
        r"draw the \2 \3. \1 is its centre",
    ),
    (
        r"(?i)\bdraw (?:the )?(altitude|median) (?-i:([A-Z])([A-Z])) of (?:the )?triangle (?-i:([A-Z]{3}))(?=[ .!]*$)",
        lambda found: f"draw the triangle {found[4]}. Draw the {found[1]} {found[2]}{found[3]}" if found[2] in found[4] else found[0],
    ),
    (
        r"(?i)^(?:draw |construct )?(two|three|four|five) (?:different |straight )*lines through (?:the )?(?:point )?(?-i:([A-Z]))(?=[ "
        r".!]*$)",
        lambda found: ". ".join([f"draw a line through {found[2]}"] * COUNTED[found[1].lower()]),
    ),
    (
        r"(?i)^((?:prove|show|check|verify) that )(?-i:([A-Z]{2})) is a diameter(?: of (the circle|(?-i:[a-z])))?(?=[ .!]*$)",
        _is_diameter,
    ),
    (r"(?i)\b(isosceles triangle (?:on|with) (?:base )?(?-i:[A-Z]{2}),? (?:and|with) )(?:two )?equal sides (?:of )?(?=\d)", r"\1legs "),
    (
        r"(?i)\btriangle((?-i: [A-Z]{3})?) with a right angle and (?:an? )?(?:angle of )?(\d[\d.]*) ?(?:°|degrees?)(?:[- ]angle)?(?=[ "
        r".!]*$)",
        r"triangle\1 with angles 90 and \2 degrees",
    ),
    (
        r"(?i)^(?:the points )?((?-i:[A-Z] ?\([^()]+\)(?:,? (?:and )?[A-Z] ?\([^()]+\)){2,5})) (?:form|make|are the (?:corners|vertices) "
        r"of) (?:an? |the )?"
        rf"({POLYGON})(?=[ .!]*$)",
        r"draw the \2 with vertices \1",
    ),
    (
        r"(?i)^(?:draw |construct )?two circles with (?:centres|centers) (?-i:([A-Z])) and (?-i:([A-Z])),? (?:each )?(?:passing |going "
        r")?through (?:each "
        r"other[’']s (?:centres?|centers?)|the other[’']s (?:centre|center)|the (?:centre|center) of the other(?: one)?)(?=[ .!]*$)",
        r"draw the circle with centre \1 through \2. Draw the circle with centre \2 through \1",
    ),
    (
        r"(?i)^(?:draw |construct )?an? circle(?: (?-i:([a-z])))? with an? (chord|diameter|radius|tangent)(?=(?: and .+)?[ .!]*$)",
        lambda found: f"draw a circle{f' {found[1]}' if found[1] else ''} and a {found[2]} of it",
    ),
    (
        r"(?i)^(?:draw )?an? (line|secant) through (?-i:([A-Z])) (?:that|which) (cuts|meets|crosses) (.+?) (?:in|at) (?:the )?(?:two "
        r")?points "
        r"(?-i:([A-Z])) and (?-i:([A-Z]))(?=[ .!]*$)",
        r"a \1 through \2 \3 \4 at \5 and \6",
    ),
    (rf"(?i)^(?:an?|the) ((?:regular )?(?:{POLYGON})) has (?=sides? (?:of )?(?:length )?\d)", r"draw a \1 with "),
    (r"(?i)\b(that )its four (?:corners|vertices) lie on (?:a|one) circle(?=[ .!]*$)", r"\1it is cyclic"),
    (
        r"(?i)\b(?:the |a )?point((?-i: [A-Z])?) (?:(?:such|so) that|for which|with) (?-i:([A-Z])([A-Z]) ?= ?\2([A-Z]) ?= "
        r"?\2([A-Z]))(?=[ .!]*$)",
        lambda found: (
            f"the point {found[2]} equidistant from {found[3]}, {found[4]} and {found[5]}"
            if found[1].strip() in ("", found[2])
            else found[0]
        ),
    ),
    (
        rf"(?i)\b(rectangle(?-i: [A-Z]{{4}})?) (?:with (?:a |one )?side|on) (?-i:([A-Z]{{2}}))(?: and|,| with) (?-i:([A-Z]{{2}})) ?= "
        rf"?({SIZE})"
        r"(?=[ .!]*$)",
        _rectangle_on,
    ),
    (
        r"(?i)\b(rhombus(?-i: [A-Z]{4})?) (?:with (?:a |one )?side|on) (?-i:([A-Z]{2}))(?: and|,| with) (?:the )?angle (?-i:([A-Z])) ?= ?"
        r"(\d[\d.]*) ?(?:°|degrees)(?=[ .!]*$)",
        lambda found: f"{found[1]} on {found[2]} with an angle of {found[4]}° at {found[3]}" if found[3] in found[2] else found[0],
    ),
    # In the yard.
    (
        rf"(?i)^(?:an?|the) (?:{_STANDING}) (?:stands|is|lies|is placed|is planted|is put) (?:exactly )?(?:midway|half ?way) between "
        rf"(?-i:([A-Z])) "
        r"and (?-i:([A-Z]))(?=[ .!]*$)",
        r"draw the midpoint of \1\2",
    ),
    (rf"(?i)^(?:mark|call|label) (?:the (?:{_STANDING})) (?:as |by |with )?(?=(?-i:[A-Z])[ .!]*$)", "call it "),
    (
        r"(?i)^(?:the|a) gardener (?:wants|needs|makes|lays|plans|digs) (?:to (?:lay|make|dig) )?an? (?=(?:path|hedge|fence|row) from )",
        "draw a ",
    ),
)
