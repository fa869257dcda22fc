"""Idioms of English as it is typed in haste: words cut short that other idioms have in full, so these come before all of them.

Each is a form and what is read for it, as in ``english_idioms``, which says in which order.
"""

from .idiom_parts import POLYGON, SIZE, Idioms

#: Words cut short, by how they are read.
OF_SHORT_FORMS: Idioms = (
    (r"(?i)\b(?:iso|isos|isosc)\b\.?", "isosceles"),
    (r"(?i)\btri\b\.?", "triangle"),
    (r"(?i)\b(?-i:([a-z]|[A-Z]{2})) (squared|cubed)\b", lambda found: f"{found[1]}^{2 if found[2].lower() == 'squared' else 3}"),
    (r"(?i) s\.?t\.? (?=(?-i:[A-Z]))", " such that "),
    (r"(?i)^mid (?!of\b)(?=[a-z]{2}\b)", "midpoint of "),
    (rf"(?i)\breg\b\.? (?={POLYGON})", "regular "),
    (r"(?i)^perim(?:eter)?\.?(?=[ ?.!]*$)", "the perimeter"),
    (r"(?i)\bisn[’'′]?t\b", "is not"),
    (r"(?i)\bthat[’'′]s\b", "that is"),
    (r"(?i)\bsemi-circle", "semicircle"),
    (rf"(?i)\b(circle (?-i:[a-z])) ?(\([-\d., ]+\)),? r(?:adius)? ?=? ?(?={SIZE})", r"\1 with centre \2 and radius "),
    (r"(?i)^len(?:gth)?\.? (?=[a-z]{2}[ .!?]*$)", "length of "),
    (r"(?i)\bsqr?\b\.?(?= \d)", "square"),
    (r"(?i)^para (?=[a-z]{4}[ .!?]*$)", "parallelogram "),
)
