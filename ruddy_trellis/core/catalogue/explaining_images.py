"""What is put beside the image of a point for a class: how it comes about, and a peg to predict it with."""

from ..kinds import POINT, SEGMENT
from ..refusal import Refusal
from .construction import Construction, Part
from .example_figures import MIRROR
from .places import free_corner


def _explanation(kinds, fills, board):
    """What shows how an image comes about, as ordinary steps: to the image, to the mirror, from the centre."""
    (id,) = fills["image"]
    step = board.step(id)
    if step.does != "image_point":
        raise Refusal(f"{board.name(id)} is not the image of a point. Images of points can be explained, many at once too.")
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


EXPLAINING_IMAGES = (
    Construction(
        key="explanation",
        sentence="the explanation of {image:point}",
        also=(
            "[show] (working|workings) of {image}",
            "explain {image}",
            "how {image} (comes about|is made)",
        ),
        makes=SEGMENT,
        formula=None,
        expands=_explanation,
        group="Transform",
        tool="explain",
        keys="wk",
        likely=25,
        example=MIRROR + "t is the reflection in p\nA′ is the image of A under t\nthe explanation of A′",
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
        example=MIRROR + "t is the reflection in p\nA′ is the image of A under t\na prediction of A′",
    ),
)
