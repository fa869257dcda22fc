"""The image of one thing under a transformation. All share one sentence; which is meant follows from what fills its gaps."""

from collections.abc import Callable

from ..formulas import transformations as formulas
from ..kinds import (
    ARC,
    CHORD_REGION,
    CIRCLE,
    CONIC,
    INVERSION,
    LINE,
    POINT,
    POLYGON,
    RAY,
    SECTOR,
    SEGMENT,
    VECTOR,
    word,
)  # fmt: skip
from .construction import Construction

_BED = "A is a free point at (0, 0)\nB is a free point at (1.6, 0)\nC is a free point at (1.2, 1)\n"
#: For the picture of an image: how the thing is made, and what it is called there.
_THINGS = {
    POINT: ("", "A"),
    SEGMENT: ("AB is the segment from A to B\n", "AB"),
    VECTOR: ("u is the vector from A to B\n", "u"),
    RAY: ("u is the ray from A through B\n", "u"),
    LINE: ("u is the line through A and B\n", "u"),
    POLYGON: ("ABC is the polygon through A, B, C\n", "ABC"),
    CIRCLE: ("u is the circle with centre A through B\n", "u"),
    ARC: ("u is the arc with centre A from B to C\n", "u"),
    SECTOR: ("u is the sector with centre A from B to C\n", "u"),
    CHORD_REGION: ("u is the chord region with centre A from B to C\n", "u"),
    CONIC: ("u is the ellipse with foci A and B through C\n", "u"),
}
#: The same for the transformation, by the kind of gap that takes it.
_TURN = "t is the rotation about D by 60 degrees\n"
_MAPS = {
    "similarity": _TURN,
    "map": _TURN,
    "anymap": _TURN,
    "affinity": "p is the line through A and B\nt is the shear along p with the factor 0.6\n",
    "inversion": "c is the circle with centre D and radius 1.4\nt is the reflection in the circle c\n",
}
_GONE = "its image goes through the centre of that circle, or it is not there"
_LOST = "what it is the image of is not there"


def _point(kinds: dict, words: dict) -> Callable:
    return formulas.inverted_point if kinds["by"] == INVERSION else formulas.image_of_point


#: What an image is: its key, what it makes, of what, under what, by which formula, and why it may have no value.
_TABLE = (
    ("image_point", POINT, POINT, "anymap", None, _LOST),
    ("image_segment", SEGMENT, SEGMENT, "map", formulas.image_of_straight, _LOST),
    ("image_vector", VECTOR, VECTOR, "map", formulas.image_of_straight, _LOST),
    ("image_ray", RAY, RAY, "map", formulas.image_of_straight, _LOST),
    ("image_line", LINE, LINE, "map", formulas.image_of_straight, _LOST),
    ("image_polygon", POLYGON, POLYGON, "map", formulas.image_of_polygon, _LOST),
    ("image_circle", CIRCLE, CIRCLE, "similarity", formulas.image_of_circle, _LOST),
    ("image_arc", ARC, ARC, "similarity", formulas.image_of_arc, _LOST),
    ("image_sector", SECTOR, SECTOR, "similarity", formulas.image_of_arc, _LOST),
    ("image_chord_region", CHORD_REGION, CHORD_REGION, "similarity", formulas.image_of_arc, _LOST),
    ("image_conic", CONIC, CONIC, "similarity", formulas.image_of_conic, _LOST),
    ("bent_circle", CONIC, CIRCLE, "affinity", formulas.bent_circle, _LOST),
    ("bent_conic", CONIC, CONIC, "affinity", formulas.bent_conic, _LOST),
    ("inverted_line", CIRCLE, LINE, "inversion", formulas.inverted_line, _GONE),
    ("inverted_segment", ARC, SEGMENT, "inversion", formulas.inverted_straight, _GONE),
    ("inverted_vector", ARC, VECTOR, "inversion", formulas.inverted_straight, _GONE),
    ("inverted_ray", ARC, RAY, "inversion", formulas.inverted_straight, _GONE),
    ("inverted_circle", CIRCLE, CIRCLE, "inversion", formulas.inverted_circle, _GONE),
)


def _image(key: str, makes: str, of: str, by: str, formula: Callable | None, undefined: str) -> Construction:
    making, called = _THINGS[of]
    return Construction(
        key=key,
        sentence=f"the image of {{of:only_{of}}} under {{by:{by}}}",
        makes=makes,
        formula=formula,
        choose=None if formula else _point,
        tool=f"image of {word(of)}",
        named_after="of",
        name_suffix="′",
        looks_like="of",
        also=("image [{=}] [of] {of} under {by}", "{of} under {by}"),
        # Which focus of a bent circle or conic is the first depends on how the figure is turned.
        needs=("direction",) if key.startswith("bent_") else (),
        likely=2,
        undefined=undefined,
        example=f"{_BED}D is a free point at (2.4, 0.9)\n{making}{_MAPS[by]}the image of {called} under t",
    )


IMAGES = tuple(_image(*row) for row in _TABLE)


def image_key(kind: str, by_kind: str) -> str | None:
    """The construction for the image of a thing of a kind under a transformation of a kind; None where there is none.

    A shear makes another thing of a circle than a rotation does, so the narrowest gap that takes the transformation counts.
    """
    fitting = [
        image for image in IMAGES if image.gap_by_name["of"].kind.single == (kind,) and by_kind in image.gap_by_name["by"].kind.single
    ]
    return min(fitting, key=lambda image: len(image.gap_by_name["by"].kind.single)).key if fitting else None
