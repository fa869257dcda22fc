"""Signs, short forms and letters that stand for words.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

from .idiom_parts import SIZE, Idioms

_OF_TRIANGLES = r"in-?circle|circum-?circle|medians?|altitudes?|centroid|in-?cent(?:re|er)|ortho-?cent(?:re|er)|circum-?cent(?:re|er)"

#: Signs and short forms, by how they are read.
OF_SIGNS: Idioms = (
    (r"^([A-Z]{2}) (?:is )?tang?(?:ent)? (?:to )?(?=[a-z]\b)", r"\1 is a tangent to "),
    (r"(?<=[A-Z]) ?∈ ?(?=[A-Z]{2}\b|[a-z]\b)", " is on "),
    (r"^([A-Z]) ?(?:→|->|↦) ?(\1[′'’]) (?:over|in|across) ", r"let \2 be the reflection of \1 in "),
    (r"(?i)^rot (?=\S)", "rotate "),
    (r"(?i)(?<= )abt (?=\S)", "about "),
    (rf"\b({_OF_TRIANGLES}) n (?=(?:the )?(?:{_OF_TRIANGLES})\b)", r"\1 and "),
    (r" ?(?:→|->|⟶|↦) ?([A-Z][′'’]?\d?)(?=[ .!]*$)", r", call it \1"),
    (r"(?i)\bmdpt\b", "midpoint"),
    (r"(?i)\bbtw\b(?= (?:\S+ )?(?:and|n|&|to|[A-Za-z]\b))", "between"),
    (r"(?<=between )([a-z]\w?) n ([a-z]\w?)(?=[ .?!]*$)", r"\1 and \2"),
    (r"ℓ", "l"),
    (r"(?i)\btwo circles (?:that|which) (?:touch|are tangent)(?: each other| externally)?(?=[ .!]*$)", "two touching circles"),
    (r"(?i)^mid of\b", "midpoint of"),
    (
        rf"(?i)\btwo parallel lines,? (?:that are |which are )?(?:at a distance of )?({SIZE}) (?:apart|from each other|away "
        rf"from each other)\b",
        r"a line and the parallel to it at a distance of \1",
    ),
    (
        r"^(\w+) ∩ (\w+) = \{? ?([A-Z])(?:, ?([A-Z]))? ?\}?(?=[ .!]*$)",
        lambda found: f"let {found[1]} meet {found[2]} at {found[3]}{f' and {found[4]}' if found[4] else ''}",
    ),
    (
        r"^([A-Z]) = (\w+) ∩ (\w+),? (?:and )?([A-Z]) = (\w+) ∩ (\w+)(?=[ .!]*$)",
        r"let \2 and \3 meet at \1 and let \5 and \6 meet at \4",
    ),
    (r"(?:^|(?<= and let ))\{?([A-Z])\}? = (\w+) ∩ (\w+)(?=[ .!]*$|,)", r"let \2 meet \3 at \1"),
    (r"(?i),? (?:plz|pls)(?=[ .!]*$)", ""),
    (r"(?i)\btwo circles (?:that|which) (?:intersect|cross|meet|cut|overlap)(?: each other)?(?=[ .!]*$)", "two intersecting circles"),
    (
        r"(?i)\btwo (circle|line|segment|perpendicular|parallel|tangent|triangle|square)s ?[,:]? one (.+?),? and "
        r"(?:one|another|the other)(?: one)? (?=[a-z])",
        r"a \1 \2 and a \1 ",
    ),
    (
        r"^[Ll]et ([A-Z]) be on ([A-Z]{2}) and ([A-Z]) (?:be )?on ([A-Z]{2}) (?:so|such) that \1\3 (?:is parallel to|∥|\|\|) "
        r"([A-Z]{2})(?=[ .!]*$)",
        r"let \1 be a point on \2 and draw the parallel to \5 through \1 meeting \4 at \3",
    ),
    (r"(?i)^(?:the )?(midpt|midpoint|perp bisector|perp bisec|perpendicular bisector) ([a-z]{2})(?=[ .!]*$)", r"\1 of \2"),
    (r"^([A-Z]{4})\s*▱|▱\s*([A-Z]{4})$", lambda found: f"parallelogram {found[1] or found[2]}"),
    (r"\s*(?:\|\||//)\s*", " parallel to "),
    (r"\s*(?:_\|_|⊥|⟂)\s*", " perpendicular to "),
    (r"\s+≅\s+", " is congruent to "),
    (r"\s+~\s+", " is similar to "),
    (r"(?i)\bmeasure of (?=(?:the )?angle|[<∠])", ""),
    (r"<(?=[A-Z]{3}\b)", "angle "),
    (r"[Øø⌀]\s*(?=\d)", " diameter "),
    (r"\s[-–—]\s(?=[a-z])", ", "),
    (r"(?i)\b(perp|pt|mid|eq|seg|circ|tri|quad|dist|deg|rad|diam|dia|alt|par|approx)\.(?=\s|$)", r"\1"),
    (r"\bw/\s*|\bw\s+(?=[A-Z]{1,2}\s*=)", "with "),
    (r"(?:\bcircle|⊙)\s*\(\s*([A-Z])\s*,\s*([^()]+)\)", r"circle with centre \1 and radius \2"),
    (r"(\bcircle\b[^,]*?)\br\s*=?\s*(?=\d)", r"\1radius "),
    (r"(?<=[A-Z])\s*:\s*(?=[A-Z]{2}\b)", " : "),
    (r"(?<=\b[A-Z]{2}) (?=[A-Z]{2}\b)", ", "),
    (r"(?i)^(join|measure|draw) (?-i:([a-z]{2}) ([a-z]{2}))(?=[ .!]*$)", r"\1 \2, \3"),
    (r"^(angle .+?) plus (?=(?:the )?angle\b)", r"\1 + "),
    (r"^([A-Z]['′’]?) = ([a-z])\(([A-Z])\)(?=[ .!]*$)", r"let \1 be the image of \3 under \2"),
    (r"(?<= and )([A-Z]['′’]?) = ([a-z])\(([A-Z])\)(?=[ .!]*$)", r"let \1 be the image of \3 under \2"),
)
