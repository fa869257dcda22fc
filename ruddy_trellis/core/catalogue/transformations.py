"""Transformations as things of their own, the images they make, and families of images."""

from ..formulas import transformations as formulas
from ..kinds import (
    AFFINITY,
    FAMILY,
    INVERSION,
    POINT,
    SEGMENT,
    SIMILARITY,
    with_article,
    word,
)
from ..refusal import Refusal
from ..sampling.families import check_values, family_plan
from .construction import Construction, Part
from .images import image_key
from .places import free_corner

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


def _check_corners(fills, board):
    polygon, image = (fills[gap][0] for gap in ("polygon", "image"))
    counts = [len(board.value(id) or ()) for id in (polygon, image)]
    if all(counts) and counts[0] != counts[1]:
        here, there = (f"{board.name(id)} has {count} corners" for id, count in zip((polygon, image), counts))
        raise Refusal(f"{here} and {there}, so no transformation takes one to the other.")


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
        also=(
            "translation [{=}] {from+to}",
            "translation [{=}] (from|taking) {from} (to|onto) {to}",
            "translation by vector {from+to}",
        ),
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
        also=("translation [{=}] (along|by) [vector] {vector}",),
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
        also=(
            "translation [{=}] by ( {x} , {y} )",
            "translation [{=}] {x} across [and] {y} up",
            "translation [{=}] [by] {x} right [and] {y} up",
            "translation by {x} , {y}",
        ),
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
        also=(
            "rotation [{=}] about {centre} [by|through|of] {angle} [degrees]",
            "rotation [{=}] [of|by|through] {angle} [degrees] about {centre}",
            "turn [of|by|through] {angle} [degrees] about {centre}",
            "turn about {centre} [by|through] {angle} [degrees]",
            "quarter turn about {centre} <angle=90>",
            "half turn about {centre} <angle=180>",
        ),
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
        also=(
            "rotation [{=}] about {centre} by angle {corner}",
            "turn about {centre} by angle {corner}",
        ),
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
        also=(
            "reflection [{=}] (in|across|about|over|on) {mirror}",
            "reflect (in|across|about|over|on) {mirror}",
        ),
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
        also=(
            "(point reflection|reflection) [{=}] (in|about|through|at) [point] {centre}",
            "half turn [{=}] about {centre}",
            "central symmetry about {centre}",
        ),
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
        also=(
            "(inversion|circle inversion) [{=}] (in|about) {circle}",
            "reflection [{=}] in circle {circle}",
        ),
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
        also=(
            "enlargement [{=}] (from|about|centred at|at) {centre} [by|with|,] [scale] [factor] {factor}",
            "enlargement [{=}] [with] centre {centre} [and|,] [scale] factor {factor}",
            "enlargement [{=}] [with|by|of] [scale] factor {factor} (from|about|centre|and centre|centred at) {centre}",
            "enlarge by [factor|scale factor] {factor} (from|about|centre) {centre}",
            "enlarge from {centre} by [factor] {factor}",
        ),
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
        also=("shear [{=}] along {line} [with|by] [factor] {factor}",),
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
        also=("stretch [{=}] from {line} [with|by] [factor] {factor}",),
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
        also=("glide [reflection] [{=}] (in|along) {mirror} [and] along {vector}",),
    ),
    _map(
        "composition",
        "the composition of {first:similarity} and then {then:similarity}",
        SIMILARITY,
        formulas.composition,
        "one, then another",
        "tb",
        5,
        _MIRROR + "r is the reflection in p\ns is the rotation about D by 60 degrees\nt is the composition of r and then s",
        distinct=False,
        also=(
            "{first} [and] then {then}",
            "{first} followed by {then}",
        ),
    ),
    _map(
        "composition_affine",
        "the composition of {first:map} and then {then:map}",
        AFFINITY,
        formulas.composition,
        "one, then another, any",
        "",
        6,
        _BED + "p is the line through A and B\nr is the shear along p with the factor 0.5\nt is the composition of r and then r",
        distinct=False,
    ),
    _map(
        "inverse",
        "the inverse of {map:similarity}",
        SIMILARITY,
        formulas.inverse,
        "inverse",
        "ti",
        7,
        _CENTRE + "r is the rotation about D by 60 degrees\nt is the inverse of r",
        undefined="it cannot be undone",
        also=(
            "inverse of {map}",
            "undo of {map}",
            "inverse {map}",
            "{map} backwards",
        ),
    ),
    _map(
        "inverse_affine",
        "the inverse of {map:affinity}",
        AFFINITY,
        formulas.inverse,
        "inverse, any",
        "",
        8,
        _BED + "p is the line through A and B\nr is the shear along p with the factor 0.5\nt is the inverse of r",
        undefined="it cannot be undone",
    ),
    _map(
        "repeated",
        "the transformation {map:similarity} done {times:number} times",
        SIMILARITY,
        formulas.repeated,
        "repeated",
        "tw",
        9,
        _CENTRE + "r is the rotation about D by 60 degrees\nt is the transformation r done 2 times",
        undefined="it cannot be undone",
        also=(
            "{map} done {times} times",
            "{map} {times} times",
            "{map} repeated {times} times",
        ),
    ),
    _map(
        "between",
        "the transformation that takes {polygon:polygon} to {image:polygon}",
        SIMILARITY,
        formulas.between,
        "which transformation?",
        "tq",
        30,
        _BED
        + "D is a free point at (3, 0)\nE is a free point at (3, 1.6)\nF is a free point at (2, 1.2)\nDEF is the polygon through D, E, F\n"
        "t is the transformation that takes ABC to DEF",
        undefined="no similarity takes the one to the other, corner by corner",
        check=_check_corners,
        also=(
            "transformation (taking|takes|from) {polygon} (to|onto) {image}",
            "which transformation takes {polygon} to {image}",
            "what takes {polygon} to {image}",
            "which one takes {polygon} to {image}",
        ),
    ),
)


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
            parts.append(Part(step.does, made, like=id))
        elif key := image_key(step.makes, by_kind):
            parts.append(Part(key, {"of": (id,), "by": (by,)}))
        else:
            raise Refusal(
                f"{board.name(id)} is {with_article(word(step.makes))}, and {board.name(by)} makes no image of such a thing here."
            )
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
        also=(
            "images [of] {of} under {by}",
            "apply {by} to {of}",
            "(move|map|take|carry) {of} by {by}",
            "turn {of} [by|through] {by/rotation.angle} [degrees] about {by/rotation.centre}",
            "turn {of} about {by/rotation.centre} [by|through] {by/rotation.angle} [degrees]",
            "reflect {of} (in|across|about|over|on|at) {by/reflection.mirror}",
            "(reflection|reflect image|image) of {of} in {by/reflection.mirror}",
            "reflect {of} (in|through|about) point {by/point_reflection.centre}",
            "reflect {of} in circle {by/circle_reflection.circle}",
            "invert {of} in {by/circle_reflection.circle}",
            "enlarge {of} by [factor|scale factor] {by/enlargement.factor} (from|about|centre) {by/enlargement.centre}",
            "enlarge {of} (from|about|centre) {by/enlargement.centre} [by] [factor|scale factor] {by/enlargement.factor}",
            "translate {of} (by|along) [vector] {by/translation_along.vector}",
            "translate {of} from {by/translation.from} to {by/translation.to}",
            "translate {of} by {by/translation_by.x} across [and] {by/translation_by.y} up",
            "translate {of} by ( {by/translation_by.x} , {by/translation_by.y} )",
            "(turn|rotation of) {of} half turn about {by/point_reflection.centre}",
            "rotation of {of} about {by/rotation.centre} by {by/rotation.angle} [degrees]",
        ),
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
        also=(
            "{of} under {by} [,] {values}",
            "repeat {of} under {by} {values}",
            "family of {of} under {by} {values}",
        ),
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
        also=(
            "working of {image}",
            "show workings of {image}",
        ),
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
)
