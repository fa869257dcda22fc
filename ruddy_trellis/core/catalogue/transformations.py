"""Transformations as things of their own, the images they make, and families of images."""

from ..formulas import transformations as formulas
from ..kinds import (
    AFFINITY,
    ARC,
    CHORD_REGION,
    CIRCLE,
    CONIC,
    FAMILY,
    INVERSION,
    LINE,
    MAPS,
    POINT,
    POLYGON,
    RAY,
    SECTOR,
    SEGMENT,
    SIMILARITY,
    VECTOR,
    word,
)
from ..refusal import Refusal
from ..sampling.families import check_values, family_plan
from .construction import Construction, Part
from .telling import free_corner

_BED = "A is a free point at (0, 0)\nB is a free point at (1.6, 0)\nC is a free point at (1.2, 1)\nABC is the polygon through A, B, C\n"
_MIRROR = _BED + "D is a free point at (2.4, -0.6)\nE is a free point at (2.2, 1.8)\np is the line through D and E\n"
_CENTRE = _BED + "D is a free point at (2.4, 0.4)\n"
_VECTOR = _BED + "D is a free point at (0, 1.6)\nE is a free point at (2.2, 2.2)\nu is the vector from D to E\n"
_SHOWN = "the images of ABC under t"


def _map(key, sentence, makes, formula, tool, keys, likely, example, undefined="what it is made from is not there", **more):
    """A transformation; its picture shows a bed and its image."""
    return Construction(
        key=key,
        sentence=sentence,
        makes=makes,
        formula=formula,
        group=more.pop("group", "Transform"),
        tool=tool,
        keys=keys,
        likely=likely,
        undefined=undefined,
        example=example,
        **more,
    )


_MAKERS = (
    _map(
        "translation",
        "the translation from {from:point} to {to:point}",
        SIMILARITY,
        formulas.translation,
        "translation",
        "tt",
        80,
        _VECTOR.replace("u is the vector from D to E\n", "") + "t is the translation from D to E",
    ),
    _map(
        "translation_along",
        "the translation along {vector:ended}",
        SIMILARITY,
        formulas.translation_along,
        "along a vector",
        "tv",
        56,
        _VECTOR + "t is the translation along u",
    ),
    _map(
        "translation_by",
        "the translation by {x:number} across and {y:number} up",
        SIMILARITY,
        formulas.translation_by,
        "by numbers",
        "tn",
        98,
        _BED + "t is the translation by 2 across and 1 up",
    ),
    _map(
        "rotation",
        "the rotation about {centre:point} by {angle:number} degrees",
        SIMILARITY,
        formulas.rotation,
        "rotation",
        "tr",
        81,
        _CENTRE + "t is the rotation about D by 60 degrees",
    ),
    _map(
        "rotation_by_corner",
        "the rotation about {centre:point} by the angle {corner:corner}",
        SIMILARITY,
        formulas.rotation_by_corner,
        "by an angle",
        "ta",
        82,
        _CENTRE + "t is the rotation about D by the angle BAC",
        undefined="an arm of its angle has no length",
        distinct=False,
    ),
    _map(
        "reflection",
        "the reflection in {mirror:straight}",
        SIMILARITY,
        formulas.reflection,
        "reflection",
        "tm",
        57,
        _MIRROR + "t is the reflection in p",
    ),
    _map(
        "point_reflection",
        "the reflection in the point {centre:point}",
        SIMILARITY,
        formulas.point_reflection,
        "in a point",
        "tp",
        83,
        _CENTRE + "t is the reflection in the point D",
    ),
    _map(
        "circle_reflection",
        "the reflection in the circle {circle:circle}",
        INVERSION,
        lambda m, circle: circle,
        "in a circle",
        "tc",
        84,
        _CENTRE + "k is the circle with centre D and radius 1.2\nt is the reflection in the circle k",
    ),
    _map(
        "enlargement",
        "the enlargement from {centre:point} by the factor {factor:number}",
        SIMILARITY,
        formulas.enlargement,
        "enlargement",
        "te",
        85,
        _CENTRE.replace("(2.4, 0.4)", "(-0.6, -0.4)") + "t is the enlargement from D by the factor 1.8",
    ),
    _map(
        "shear",
        "the shear along {line:straight} with the factor {factor:number}",
        AFFINITY,
        formulas.shear,
        "shear",
        "ts",
        87,
        _BED + "p is the line through A and B\nt is the shear along p with the factor 0.8",
    ),
    _map(
        "stretch",
        "the stretch from {line:straight} by the factor {factor:number}",
        AFFINITY,
        formulas.stretch,
        "stretch",
        "tx",
        88,
        _BED + "p is the line through A and B\nt is the stretch from p by the factor 1.8",
    ),
    _map(
        "glide_reflection",
        "the glide reflection in {mirror:straight} along {vector:ended}",
        SIMILARITY,
        formulas.glide_reflection,
        "glide reflection",
        "tg",
        58,
        _VECTOR + "p is the line through D and E\nt is the glide reflection in p along u",
    ),
    _map(
        "composition",
        "the composition of {first:similarity} and then {then:similarity}",
        SIMILARITY,
        formulas.composition,
        "one after another",
        "tb",
        5,
        _MIRROR + "r is the reflection in p\ns is the rotation about D by 60 degrees\nt is the composition of r and then s",
        distinct=False,
    ),
    _map(
        "composition_affine",
        "the composition of {first:map} and then {then:map}",
        AFFINITY,
        formulas.composition,
        "one after another, any",
        "t1",
        6,
        _BED + "p is the line through A and B\nr is the shear along p with the factor 0.5\nt is the composition of r and then r",
        distinct=False,
        group="",
    ),
    _map(
        "inverse",
        "the inverse of {map:similarity}",
        SIMILARITY,
        formulas.inverse,
        "undone",
        "ti",
        7,
        _CENTRE + "r is the rotation about D by 60 degrees\nt is the inverse of r",
        undefined="it cannot be undone",
    ),
    _map(
        "inverse_affine",
        "the inverse of {map:affinity}",
        AFFINITY,
        formulas.inverse,
        "undone, any",
        "t2",
        8,
        _BED + "p is the line through A and B\nr is the shear along p with the factor 0.5\nt is the inverse of r",
        undefined="it cannot be undone",
        group="",
    ),
    _map(
        "repeated",
        "the transformation {map:similarity} done {times:number} times",
        SIMILARITY,
        formulas.repeated,
        "done again",
        "tw",
        9,
        _CENTRE + "r is the rotation about D by 60 degrees\nt is the transformation r done 2 times",
        undefined="it cannot be undone",
    ),
    _map(
        "between",
        "the transformation that takes {polygon:polygon} to {image:polygon}",
        SIMILARITY,
        formulas.between,
        "which one?",
        "tq",
        30,
        _BED
        + "D is a free point at (3, 0)\nE is a free point at (3, 1.6)\nF is a free point at (2, 1.2)\nDEF is the polygon through D, E, F\n"
        "t is the transformation that takes ABC to DEF",
        undefined="no similarity takes the one to the other, corner by corner",
    ),
)


def _image(makes, of, by, formula, key=None, choose=None, undefined="what it is the image of is not there"):
    """The image of one thing. All share one sentence; which is meant follows from what fills its gaps."""
    key = key or f"image_{of}"
    examples = {
        "segment": "AB is the segment from A to B\n",
        "vector": "u is the vector from A to B\n",
        "ray": "u is the ray from A through B\n",
        "line": "u is the line through A and B\n",
        "circle": "u is the circle with centre A through B\n",
        "arc": "u is the arc with centre A from B to C\n",
        "sector": "u is the sector with centre A from B to C\n",
        "chord_region": "u is the chord region with centre A from B to C\n",
        "conic": "u is the ellipse with foci A and B through C\n",
        "straight": "u is the line through A and B\n",
    }
    names = {"segment": "AB", "point": "A", "polygon": "ABC"}
    map_text = {
        "similarity": "t is the rotation about D by 60 degrees\n",
        "map": "t is the rotation about D by 60 degrees\n",
        "anymap": "t is the rotation about D by 60 degrees\n",
        "affinity": "p is the line through A and B\nt is the shear along p with the factor 0.6\n",
        "inversion": "c is the circle with centre D and radius 1.4\nt is the reflection in the circle c\n",
    }[by]
    return Construction(
        key=key,
        sentence=f"the image of {{of:only_{of}}} under {{by:{by}}}",
        makes=makes,
        formula=formula,
        choose=choose,
        group="",
        tool=f"image of a {word(of)}",
        keys=f"i{key}",
        named_after="of",
        name_suffix="′",
        likely=2,
        undefined=undefined,
        example=_BED + "D is a free point at (2.4, 0.9)\n" + examples.get(of, "") + map_text + f"the image of {names.get(of, 'u')} under t",
    )


def _point_image(kinds, words):
    return formulas.inverted_point if kinds["by"] == INVERSION else formulas.image_of_point


_GONE = "its image goes through the centre of that circle, or it is not there"
IMAGES = (
    _image(POINT, "point", "anymap", None, choose=_point_image),
    _image(SEGMENT, "segment", "map", formulas.image_of_straight),
    _image(VECTOR, "vector", "map", formulas.image_of_straight),
    _image(RAY, "ray", "map", formulas.image_of_straight),
    _image(LINE, "line", "map", formulas.image_of_straight),
    _image(POLYGON, "polygon", "map", formulas.image_of_polygon),
    _image(CIRCLE, "circle", "similarity", formulas.image_of_circle),
    _image(ARC, "arc", "similarity", formulas.image_of_arc),
    _image(SECTOR, "sector", "similarity", formulas.image_of_arc),
    _image(CHORD_REGION, "chord_region", "similarity", formulas.image_of_arc),
    _image(CONIC, "conic", "similarity", formulas.image_of_conic),
    _image(CONIC, "circle", "affinity", formulas.bent_circle, key="bent_circle"),
    _image(CONIC, "conic", "affinity", formulas.bent_conic, key="bent_conic"),
    _image(CIRCLE, "straight", "inversion", formulas.inverted_line, key="inverted_line", undefined=_GONE),
    _image(CIRCLE, "circle", "inversion", formulas.inverted_circle, key="inverted_circle", undefined=_GONE),
)


def _image_key(kind, by):
    """The construction for the image of a thing of a kind, or None where that transformation has none for it."""
    keys = {
        SIMILARITY: f"image_{kind}",
        AFFINITY: {CIRCLE: "bent_circle", CONIC: "bent_conic"}.get(kind, f"image_{kind}"),
        INVERSION: {
            POINT: "image_point",
            LINE: "inverted_line",
            SEGMENT: "inverted_line",
            RAY: "inverted_line",
            CIRCLE: "inverted_circle",
        }.get(kind),
    }
    found = next((image for image in IMAGES if image.key == keys[by]), None)
    return found.key if found and by in found.gap_by_name["by"].kind.single else None


#: Made from points alone: the image is the same thing made from their images.
_FROM_POINTS = {"segment": ("from", "to"), "vector": ("from", "to"), "ray": ("from", "to"), "line": ("from", "to"), "polygon": ("corners",)}


def _images(kinds, fills, board):
    """The images of things: corners and ends first, each once, then what stands on them."""
    (by,) = fills["by"]
    by_kind = board.kind_of(by)
    there = {step.fills["of"][0]: (step.id,) for step in board.steps if step.does == "image_point" and step.fills["by"] == (by,)}
    parts = []

    def image_point(id):
        if id not in there:
            there[id] = (f"made:{len(parts)}",)
            parts.append(Part("image_point", {"of": (id,), "by": (by,)}))
        return there[id]

    for id in fills["of"]:
        step = board.step(id)
        if step.makes == POINT:
            image_point(id)
        elif step.does in _FROM_POINTS and by_kind != INVERSION:
            made = {gap: sum((image_point(point) for point in step.fills[gap]), ()) for gap in _FROM_POINTS[step.does]}
            parts.append(Part(step.does, made))
        elif key := _image_key(step.makes, by_kind):
            parts.append(Part(key, {"of": (id,), "by": (by,)}))
        else:
            raise Refusal(f"{board.name(id)} is a {word(step.makes)}, and {board.name(by)} makes no image of such a thing here.")
    if not parts:
        raise Refusal("All of these images are there already.")
    return parts


def _workings(kinds, fills, board):
    """What shows how an image comes about, as ordinary steps: to the image, to the mirror, from the centre."""
    (id,) = fills["image"]
    step = board.step(id)
    if step.does != "image_point":
        raise Refusal(f"{board.name(id)} is not the image of a point. The workings are shown for points, one by one or many at once.")
    of, by = step.fills["of"], board.step(step.fills["by"][0])
    if by.does in ("reflection", "glide_reflection"):
        mirror = by.fills["mirror"]
        yield Part("segment", {"from": of, "to": (id,)})
        if by.does == "reflection":
            used = {other.fills.get("strokes") for other in board.steps if other.does == "equal_length"}
            strokes = next((word for word in ("once", "twice", "thrice") if word not in used), "thrice")
            yield Part("foot", {"point": of, "base": mirror})
            yield Part("equal_length", {"span": of + ("made:1",), "strokes": strokes})
            yield Part("equal_length", {"span": ("made:1", id), "strokes": strokes})
            on = next((other for other in _points_of(board, mirror) if board.value(other) is not None), None)
            if on:
                yield Part("right_angle_mark", {"corner": (of[0], "made:1", on)})
    elif centre := by.fills.get("centre"):
        if by.does == "enlargement":
            yield Part("ray", {"from": centre, "to": of})
            yield Part("segment", {"from": centre, "to": (id,)})
        else:
            yield Part("segment", {"from": centre, "to": of})
            yield Part("segment", {"from": centre, "to": (id,)})
            yield Part("arc", {"centre": centre, "from": of, "to": (id,)})
    else:
        yield Part("vector", {"from": of, "to": (id,)})


def _prediction(kinds, fills, board):
    """A peg to put where the image is thought to be, the image behind a reveal, and how far off, under a cover."""
    (id,) = fills["image"]
    if board.step(id).does != "image_point" or board.value(id) is None:
        raise Refusal(f"{board.name(id)} is not the image of a point that is there now; only such can be predicted.")
    left, low, right, high = board.settings.view
    yield Part("free_point", {"at": (round((left + right) / 2, 2), round(low + 0.12 * (high - low), 2))})
    yield Part("distance", {"from": ("made:0",), "to": (id,)}, cover=True)
    yield Part("reveal", {"things": (id,), "start": "hidden", "at": free_corner(board)})


def _points_of(board, ids):
    """The points that a mirror is drawn through."""
    return ids if len(ids) == 2 else sorted(board.incidence.get(ids[0], ()))


TRANSFORMATIONS = (
    Construction(
        key="images",
        sentence="the images of {of:things} under {by:anymap}",
        makes=POINT,
        formula=None,
        expands=_images,
        group="Transform",
        tool="image",
        keys="im",
        likely=1,
        example=_CENTRE + "t is the rotation about D by 60 degrees\n" + _SHOWN,
    ),
    Construction(
        key="family",
        sentence="the family of {of:repeatable} under {by:map}, {values:values}",
        makes=FAMILY,
        formula=None,
        planner=family_plan,
        group="Transform",
        tool="family",
        keys="fa",
        likely=3,
        check=check_values,
        distinct=False,
        undefined="its transformation has no value now",
        example=_CENTRE + "t is the rotation about D by 45 degrees\nu is the family of ABC under t, 7 times",
    ),
    *_MAKERS,
    Construction(
        key="workings",
        sentence="the workings of {image:point}",
        makes=SEGMENT,
        formula=None,
        expands=_workings,
        group="Transform",
        tool="workings",
        keys="wk",
        likely=25,
        example=_MIRROR + "t is the reflection in p\nA′ is the image of A under t\nthe workings of A′",
    ),
    Construction(
        key="prediction",
        sentence="a prediction of {image:point}",
        makes=POINT,
        formula=None,
        expands=_prediction,
        group="Transform",
        tool="predict",
        keys="yp",
        likely=26,
        example=_MIRROR + "t is the reflection in p\nA′ is the image of A under t\na prediction of A′",
    ),
    *IMAGES,
)
assert all(image.gap_by_name["by"].kind.single and set(image.gap_by_name["by"].kind.single) <= set(MAPS) for image in IMAGES)
