"""Idioms of English as books write it: what is done is said as done, what a thing is stands beside its name.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

import re

from .idiom_parts import Idioms


def _listed(names: str) -> str:
    """ "AD, BE, CF" as "AD, BE and CF"."""
    found = re.findall("[A-Z]{2}", names)
    return f"{', '.join(found[:-1])} and {found[-1]}"


def _chord_by_its_angle(found: re.Match[str]) -> str:
    """A chord that is seen from the centre under an angle: one of its ends turned about the centre is the other."""
    centre = found[4] or "its centre"
    turned = f"let {found[2]} be the image of {found[1]} under the rotation by {found[3]} degrees about {centre}"
    return f"let {found[1]} be a point on the circle and {turned} and draw the chord {found[1]}{found[2]}"


def _as_asked(found: re.Match[str]) -> str:
    """What is said to be drawn or joined, as it is asked for."""
    return f"{'draw' if found[2].lower() == 'drawn' else 'join'} {found[1]}"


#: Ways of writing in books, by how they are read.
OF_TEXTBOOKS: Idioms = (
    (
        r"(?i)^let (?:the )?angle (?-i:([A-Z]{3}|[A-Z])) be bisected by (?:the )?(?:straight )?line (?-i:([A-Z]{2})),? meeting "
        r"(?-i:([A-Z]{2})) (?:in|at) (?-i:([A-Z]))(?=[ .!]*$)",
        r"let the bisector of angle \1 meet \3 at \4",
    ),
    (
        r"(?i)^about (?:the )?(triangle |square |polygon )?(?-i:([A-Z]{3,})) (?:describe|draw|circumscribe) a circle(?=[ .!]*$)",
        r"draw a circle about \2",
    ),
    (r"(?i)^in (?:the )?(triangle )(?-i:([A-Z]{3})) (?:inscribe|draw|describe) a circle(?=[ .!]*$)", r"draw the incircle of \2"),
    (r"(?i)^from (?-i:([A-Z])),? draw (?=(?-i:\1[A-Z]) (?:at right angles|perpendicular) to )", "draw "),
    (r"(?i)^cut off from (?-i:([A-Z]{2})) (?:a part |a length )?(?-i:([A-Z])([A-Z])) equal to ", r"\3 is on \1 such that \2\3 = "),
    (r"(?i)\b(where (?-i:[A-Z]{2}) and (?-i:[A-Z]{2}) meet),? (?:when|if) (?:they are |both are )?(?:produced|extended)(?=[ .!]*$)", r"\1"),
    (
        r"(?i)^draw (?:the )?(?:line |segment )?(?-i:([A-Z])([A-Z])) (parallel|perpendicular) to (?-i:([A-Z]{2}|[a-z])),? "
        r"(?:with|where|such "
        r"that|so that) (?-i:(\1|\2)) (?:is |lies )?on (?:side )?(?-i:([A-Z]{2}|[a-z]))(?:,? and | and )(?-i:(\1|\2)) (?:is |lies )?on "
        r"(?:side )?(?-i:([A-Z]{2}|[a-z]))(?=[ .!]*$)",
        r"let \5 be a point on \6 and let \7 be a point on \8 with \1\2 \3 to \4 and draw the segment \1\2",
    ),
    (r"^([^=?]*[-+*/·²³(][^=?]*) ?= ?\?(?=[ .]*$)", r"what is \1"),
    (r"(?i)\b(check|verify|see|prove|show) (if|whether|that) the points (?=(?-i:[A-Z],))", r"\1 \2 "),
    (r"(?i),? (?:so|such) that no three (?:of them )?are (?:collinear|in line)(?=[ .!]*$)", ""),
    (r"(?i)\bwith (?-i:[A-Z]{2}) ?≠ ?(?-i:[A-Z]{2})(?: and|, and|,) (?=\w)", "with "),
    (
        r"(?i)\btouches (?-i:([A-Z]{2})) at (?-i:([A-Z])), (?-i:([A-Z]{2})) at (?-i:([A-Z])),? and (?-i:([A-Z]{2})) at "
        r"(?-i:([A-Z]))(?=[ .!]*$)",
        r"touches \1, \3 and \5 at \2, \4 and \6",
    ),
    (r"(?i)\bsegment (?-i:([A-Z]{2})) (?:congruent|equal)(?: in length)? to (?=(?-i:[A-Z]{2})\b)", r"segment \1 of length "),
    (r"(?i)^(?:a|the) point (?-i:([A-Z])) moves (?:so|such) that ", r"let \1 be a point such that "),
    (r"(?i)\b((?:so|such) that (?:the )?(?:angle|∠) ?(?-i:[A-Z]{3})) ?(?:=|is) ?90 ?(?:°|degrees)?(?=[ .!]*$)", r"\1 is a right angle"),
    (
        r"(?i)^draw (?-i:([A-Z])([A-Z])) (?:at right angles|perpendicular) to (?-i:\1([A-Z])) and equal to (?:it|(?-i:\1\3))(?=[ .!]*$)",
        r"let \2 be the image of \3 under the rotation about \1 by 90 degrees and draw the segment \1\2",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])) (?:be |is |lies )?on (?:the )?line (?-i:([A-Z])([A-Z])),? with (?-i:(\2|\3)) between (?-i:"
        r"(?:[A-Z])) and (?-i:[A-Z])(?=[ .!]*$)",
        lambda found: f"let {found[1]} be a point on {found[2]}{found[3]} produced beyond {found[4]}",
    ),
    (
        r"(?i)^(?:draw |find |construct )?the image of (.+?) (?:after|under|by) (?:a |the )?(?:rotation|turn) (?:of|by|through) (?=\d)",
        r"rotate \1 by ",
    ),
    (r"(?i)^(?:draw |find |construct )?the image of (.+?) after (?:a |the )?reflection (?:in|over|across) ", r"reflect \1 in "),
    (r"(?i)^(?:draw |find |construct )?the image of (.+?) after (?:a |the )?translation (?:by|of) ", r"translate \1 by "),
    (
        r"(?i)^let (?-i:([A-Z]{2}) and ([A-Z]{2})) be (produced|extended) to (?-i:([A-Z]) and ([A-Z]))(?:,? respectively)?(?=[ .!]*$)",
        r"produce \1 to \4 and produce \2 to \5",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z]{2}(?:, [A-Z]{2})*,? and [A-Z]{2})) (?:are|be) (?:the )?(altitudes|medians|angle bisectors)(?: of "
        r"(?:the )?triangle(?-i: [A-Z]{3})?)?,? and (?-i:([A-Z])) (?:is )?their (?:point of )?(?:intersection|meeting point)(?=[ .!]*$)",
        r"\1 are the \2 and let \3 be their intersection",
    ),
    (r"(?i)^let (the [a-z -]+?(?: of (?-i:[A-Z]{3,4}))?) have (cent(?:re|er)) (?-i:([A-Z]\d?))(?=[ .!]*$)", r"let \3 be the \2 of \1"),
    (
        r"(?i)^(?:let )?(?-i:([A-Z]) and ([A-Z])) (?:be|are) points on (?:the )?(?:sides )?(?-i:([A-Z]{2}) and ([A-Z]{2}))(?: "
        r"respectively)?,? (?:such|so) that (?-i:([A-Z])\1 = \5\2)(?=[ .!]*$)",
        r"let \1 be a point on \3 and let \2 be a point on \4 such that \5\2 = \5\1",
    ),
    (
        r"^([A-Z]{2}(?:, [A-Z]{2})*,? (?:and )?[A-Z]{2}) (medians|altitudes|angle bisectors), ([A-Z]) = ([A-Z]{2}) ∩ ([A-Z]{2})(?=[ .!]*$)",
        lambda found: f"{_listed(found[1])} are the {found[2]} and let {found[4]} meet {found[5]} at {found[3]}",
    ),
    (r"(?i)^to (?=(?:prove|show)\b)", ""),
    (
        r"(?i)^(through|from|at) (?-i:([A-Z])),? (an?|the) (?:straight )?(line|chord|tangent|perpendicular|parallel|ray|"
        r"secant) is drawn (?=\w)",
        r"\1 \2 draw \3 \4 ",
    ),
    (
        r"(?i)^with (?:cent(?:re|er) )?(?-i:([A-Z]))(?: as cent(?:re|er))?,? (?:and any radius,? )?draw an arc (?:cutting|meeting|to "
        r"cut|to meet|crossing) (\w+) (?:at|in) (?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)",
        r"let \3 be a point on \2 and draw the circle with centre \1 through \3 meeting \2 again at \4",
    ),
    (r"(?i),? in the (?:plane|euclidean plane)\b", ""),
    (r"(?i)\b(angle (?-i:[A-Z]{3})) (?:with|of|having) (?:a )?measure (?:of )?(?=\d)", r"\1 of "),
    (r"(?i)\bright angle (?=(?-i:[A-Z])\b)", "right angle at "),
    (r"(?i)\b(a line (?-i:[A-Z]{2}|[a-z]) and (?:a|any) point (?-i:[A-Z])) outside (?:of )?(?:it|the line)\b", r"\1 not on it"),
    (
        r"(?i)\b(divides (?:the (?:segment|line) )?(?-i:([A-Z])[A-Z]) in the ratio \d+ ?: ?\d+),? (?:starting )?from (?-i:\2)(?=[ .!]*$)",
        r"\1",
    ),
    (
        r"(?i)\b(?:let )?(?:the )?(?:perpendiculars )?(?-i:([A-Z])([A-Z]),? (?:and )?\1([A-Z])),? (?:be |are )(?:the )?(?:perpendiculars "
        r"|drawn )?(?:perpendicular )?(?:from (?-i:\1) )?(?:on|to|onto) (?-i:([A-Z]{2}|[a-z]),? (?:and )?([A-Z]{2}|[a-z]))(?: "
        r"respectively)?(?=[ .!]*$)",
        r"let \2 be the foot of the perpendicular from \1 to \4 and let \3 be the foot of the perpendicular from \1 to \5 and draw the "
        r"segments \1\2 and \1\3",
    ),
    (r"(?i)^(?-i:([A-Z]{2})) ?: ?(?-i:([A-Z]{2})) ?= ?\?(?=[ .!]*$)", r"the ratio of \1 to \2"),
    (
        r"(?i)^through (?:each|every) (?:vertex|corner)(?: of the triangle)?,? (?:a line (?:is )?drawn|draw (?:a|the) line|draw lines?) "
        r"parallel to the opposite side(?=[ .!]*$)",
        "draw the parallels through the corners to the opposite sides",
    ),
    (
        r"(?i)\bthe symmetric (?:of|to) (the \w+|triangle (?-i:[A-Z]{3})|(?-i:[A-Z]{3,})) (?:with respect to|by|about|in|to) (?:the )?"
        r"(?:point |line )?",
        r"the reflection of \1 in ",
    ),
    (
        r"(?i)\b(?:a |the )?point ((?-i:[A-Z] )?)on (?:the )?(line |segment |side |circle )?(\w+?),? (?:which is |that is )?equidistant "
        r"from (?-i:([A-Z]) and ([A-Z]))(?=[ .!]*$)",
        lambda found: f"the point {found[1]}where the perpendicular bisector of {found[4]}{found[5]} meets {found[2] or ''}{found[3]}",
    ),
    (
        r"(?i)^(?:let )?(?-i:([A-Z])) (?:be|is|lies|lie)(?: (?:a|the) point)? on (?:the circle |circle )?(?-i:([a-z])),? (?:such that|so "
        r"that|with|where) (?:the line )?(?-i:(?:([A-Z])\1|\1([A-Z]))) (?:is tangent to|touches|is a tangent to|is a tangent of) "
        r"(?:(?-i:\2)|the circle|it)(?=[ .!]*$)",
        lambda found: f"draw the tangent {found[3] or found[4]}{found[1]} from {found[3] or found[4]} to {found[2]}",
    ),
    (
        r"(?i)^(?:the )?(?:sides |lines |chords )?(?-i:([A-Z]{2}) and ([A-Z]{2})) (?:are |when )?(?:produced|extended)(?: to)? "
        r"(?:meet|intersect) "
        r"(?:in|at) (?-i:([A-Z]))(?:,? and (?:sides |lines )?(?-i:([A-Z]{2}) and ([A-Z]{2})) (?:meet )?(?:in|at) (?-i:([A-Z])))?(?=[ "
        r".!]*$)",
        lambda found: (
            f"let line {found[1]} and line {found[2]} meet at {found[3]}"
            + (f" and let line {found[4]} and line {found[5]} meet at {found[6]}" if found[4] else "")
        ),
    ),
    # A list of names without "and" before what is said of all of them.
    (r"\b((?:[A-Z]['′]?, )+)([A-Z]['′]?) (?=(?:all )?(?:lie|are|be)\b)", lambda found: f"{found[1].rstrip(', ')} and {found[2]} "),
    (r"\b([A-Z]{2}), ([A-Z]{2}) (?=(?:all )?(?:are|be|meet|meets)\b)", r"\1 and \2 "),
    (
        r"^([A-Z]{2}) and ([A-Z]{2}) are (?:two )?((?:chords|diameters|segments|straight lines|lines)(?: (?:of|in) [a-z ]+?)?),? "
        r"(?:which|that|and they) (?:intersect|meet|cut|cross)(?: each other| one another)? (at|in) (?:the point )?(?=[A-Z]\b)",
        r"\1 and \2 are \3 and let \1 and \2 meet \4 ",
    ),
    (
        r"(?i)^(?:let )?(?-i:(\w\d?) and (\w\d?)) be (?:two )?circles,? (?:which |that )?"
        r"(?:intersecting|meeting|intersect|meet|crossing|cross)(?: each other)? (?=at|in)",
        r"two circles \1 and \2 intersect ",
    ),
    (
        r"(?i)^join (?:the points )?(?-i:([A-Z])(?: (?:and|to) )?([A-Z])),? and (?:produce|extend|prolong) it (?:both ways|in both "
        r"directions|on both sides|at both ends)(?=[ .!]*$)",
        r"draw the line \1\2",
    ),
    (r"(?i)\bm ?(?=∠)", ""),
    (r"(?i)^partition ", "divide "),
    (
        r"(?i)\b(point (?-i:[A-Z] )?)within (?=(?:the |a )?(?:triangle|quadrilateral|square|rectangle|circle|polygon|figure)\b)",
        r"\1inside ",
    ),
    (
        r"(?i)\b(?:let )?(?:the )?perpendiculars from (?-i:([A-Z])) (?:to|on) (?-i:([A-Z]{2}),? (?:and )?([A-Z]{2})) (?:meet|cut) "
        r"(?:them|these) (?:at|in) (?-i:([A-Z]),? (?:and )?([A-Z]))(?=[ .!]*$)",
        r"let \4 be the foot of the perpendicular from \1 to \2 and let \5 be the foot of the perpendicular from \1 to \3",
    ),
    (
        r"(?i)\b(arc|circle) (?:of|with) radius (\S+(?: ?[cm]?m)?),? (?:with )?(?:and )?cent(?:re|er) (?-i:([A-Z]))\b(?!,)",
        r"\1 with centre \3 and radius \2",
    ),
    (
        r"^([A-Z])([A-Z]) (?:bis|bisects) (?:∠ ?|angle )(?:\1|[A-Z]\1[A-Z]),? (?:with )?\2 (?:∈|on|in) ([A-Z]{2})(?=[ .!]*$)",
        r"let the bisector of angle \1 meet \3 at \2",
    ),
    (r"(?i)\bmids\b", "midpoints"),
    (
        r"(?i)^(?:the )?(median|altitude|side|line|chord|diameter|segment) (?-i:([A-Z]{2})) is (?:produced|extended|"
        r"prolonged) (?=to\b|beyond\b)",
        r"draw the \1 \2 and produce \2 ",
    ),
    (
        r"(?i)\b(?:the )?point (?:on|of) (the circle|(?-i:[a-z])) (?:that is |which is )?(?:diametrically )?opposite (?:to "
        r")?(?=(?-i:[A-Z])\b)",
        r"the antipode of ",
    ),
    (r"\|([A-Z]{2})\|", r"\1"),
    (
        r"(?i)^draw (?:the )?rays? (?-i:([A-Z])([A-Z]) and (?:ray )?\1([A-Z])),? (?:so that|such that|with) (?:the )?(?:angle |∠)"
        r"(?-i:(?:\2\1\3|\3\1\2)) (?:is|=|equals|of|measures|measuring) ",
        r"draw an angle \2\1\3 of ",
    ),
    (r"(?i)^(?:it is )?given (?:is )?(?:the |an )?angle (?-i:([A-Z]{3})) (?:of|=|is) (?=\d)", r"draw an angle \1 of "),
    (
        r"(?i)\b(?:an? |the )?(\d+(?:\.\d+)?) ?(?:°|degrees?) angle (?:at|from|in) (?-i:([A-Z])),? with (?-i:((?:\2[A-Z])|(?:[A-Z]\2))) "
        r"as (?:one|an|its) (?:arm|side|leg)(?=[ .!]*$)",
        r"an angle of \1 degrees at \2 from \3",
    ),
    (r"(?i)\bwith (?:its )?(?:endpoints|end points|ends)(?: at)? (?-i:([A-Z]) and ([A-Z]))\b", r"from \1 to \2"),
    (
        r"(?i)^(?:draw )?two (circle|arc|line|segment)s with ([^,]+?),? one (.+?),? and (?:one|another|the other) (with .+?)(?=[ .!]*$)",
        r"draw a \1 \3 and \2 and a \1 \4 and \2",
    ),
    (r"(?i)^let (the (?:[a-z-]+ )+(?:of|from|through|at|to|in) [^,]+?) be (?-i:([A-Za-z]['′]?))(?=[ .!]*$)", r"let \2 be \1"),
    (
        r"(?i)^(through|from|at) (?-i:([A-Z])), ((?:the|a) [^,]+), (?=draw\b|a line\b|the |perpendiculars\b)",
        r"let \2 be \3 and \1 \2 ",
    ),
    (
        r"(?i)\bdraw (?-i:([A-Z])([A-Z])) (parallel|perpendicular) to (\S+?),? (?:to meet|meeting|to cut|cutting|which meets|and let it "
        r"meet) (?:side |line )?(.+?) (?:at|in) (?-i:\2)(?=[ .!]*$)",
        r"draw the \3 to \4 through \1 meeting \5 at \2",
    ),
    (r"(?i),? making ((?-i:[A-Z]{2})) (?:equal to|=|as long as) (?=(?-i:[A-Z]{2})\b)", r" so that \1 = "),
    (r"^([A-Z])([A-Z]) = (?:\2([A-Z])|([A-Z])\2), \2 (?:∈|on|in) (?:\1\3|\1\4)(?=[ .!]*$)", r"let \2 be the midpoint of \1\3\4"),
    (
        r"(?i)^let an? perpendicular from (?-i:([A-Z])) meet (\S+) (?:at|in) (?-i:([A-Z]))(?=[ .!]*$)",
        r"let \3 be the foot of the perpendicular from \1 to \2",
    ),
    (r"(?i)\badjacent (?=sides\b)", ""),
    (r"(?i)\bincluded (?=angle\b)", ""),
    # What is done is said as done: "perpendiculars are drawn from P to the sides", "AB and CD are produced".
    (r"(?i)^(the .+?|.*\bmidpoints of .+?) (?:is |are )?(drawn|joined)(?=[ .!]*$)", _as_asked),
    (
        r"(?i)^(?:the )?(perpendiculars?|tangents?|parallels?|altitudes|medians|diagonals|angle bisectors|bisectors|(?:two |three "
        r")?circles|(?:straight )?lines|squares|semicircles|chords?|radii) (?:is|are) (?:drawn|constructed|dropped|described|erected) "
        r"(?=\S)",
        r"draw the \1 ",
    ),
    (
        r"(?i)^(?:the )?(diagonals|medians|altitudes|angle bisectors|perpendicular bisectors|midpoints)((?: of [^,]+?)?) (?:is|are) "
        r"(?:drawn|constructed|joined|marked)(?=[ .!]*$)",
        r"draw the \1\2",
    ),
    (
        r"^(?:The |the )?(?:sides? |lines? )?((?:[A-Z]{2}, )*[A-Z]{2},? (?:and )?[A-Z]{2}|[A-Z]{2}) (?:is|are) (?:joined|drawn)(?=[ .!]*$)",
        r"join \1",
    ),
    (
        r"^(?:The |the )?(?:sides |lines )?((?:[A-Z]{2}, )*[A-Z]{2},? (?:and )?[A-Z]{2}) (?:is|are) (?:produced|"
        r"extended|prolonged)(?=[ .!]*$)",
        r"draw the lines \1",
    ),
    (
        r"(?i)^two chords (?-i:([A-Z]{2}) and ([A-Z]{2})) of (?:a|the|one) circle,? (?:are |when )?(?:produced|extended),? (?:to )?meet"
        r"(?: each other)?(?: outside(?: the circle| it)?)? (?:at|in) (?-i:([A-Z]))(?: outside(?: the circle| it)?)?(?=[ .!]*$)",
        r"\1 and \2 are chords of a circle and let \1 meet \2 at \3",
    ),
    (
        r"(?i)^on (?-i:([A-Z]{2})) as (?:a |its )?diameter,? (?:a |the )?circle is (?:drawn|described),? (?:cutting|meeting|crossing|"
        r"intersecting) (?=\S)",
        r"draw the circle with diameter \1 meeting ",
    ),
    (
        r"(?i)^(?:a |the )?chord (?-i:([A-Z])([A-Z])) subtends (?:an angle of |an angle )?(\d[\d.]*) ?(?:°|degrees?)? at "
        r"(?:the centre (?:of the circle )?)?(?-i:([A-Z]))?(?=[ .!]*$)",
        _chord_by_its_angle,
    ),
    (
        r"(?i)^(?:the )?(?:points )?(?-i:([A-Z]),? (?:and )?([A-Z])(?:,? and ([A-Z]))?) (?:lie|are)(?: (?:two |three )?points)? "
        r"on (?:a|the) circle (?:with )?(?:cent(?:re|er)) "
        r"(?-i:([A-Z])),? (?:such that|so that|with|and) (?:∠|angle )(?-i:\1\4\2) ?= ?(\d[\d.]*) ?(?:°|degrees?)?(?=[ .!]*$)",
        lambda found: (
            f"draw a circle with centre {found[4]} and let {found[1]} be a point on the circle and let {found[2]} be the image of "
            f"{found[1]} under the rotation by {found[5]} degrees about {found[4]}"
            + (f" and let {found[3]} be a point on the circle" if found[3] else "")
        ),
    ),
)
