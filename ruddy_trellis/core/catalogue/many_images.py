"""Images of many things at once, and families of images."""

from ..kinds import FAMILY, INVERSION, POINT, with_article, word
from ..refusal import Refusal
from ..sampling.families import check_values, family_plan
from .construction import Construction, Part
from .example_figures import CENTRE
from .images import image_key

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


MANY_IMAGES = (
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
        example=CENTRE + "t is the rotation about D by 60 degrees\n" + "the images of ABC under t",
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
        example=CENTRE + "t is the rotation about D by 45 degrees\nu is the family of ABC under t, 7 times",
    ),
)
