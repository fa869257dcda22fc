"""A motion, or the replay of a working, as moving pictures: GIF and APNG."""

from __future__ import annotations

from collections.abc import Sequence
from io import BytesIO
from math import ceil
from typing import Any

from ..core.board import Board
from ..core.display import Extent
from ..core.kinds import MOTION
from ..core.refusal import Refusal
from ..core.sampling.motions import Course, course
from .boards import part_of, picture_of_board
from .late import images
from .png import image_of
from .wanted import Film, Wanted

#: How many pictures a film has at most, how many pixels they have together, and how many colours a GIF.
MOST_PICTURES, _MOST_PIXELS, _COLOURS = 600, 160_000_000, 128
#: In the replay a step takes so many seconds.
_STEP = 0.9


def settled_film(board: Board, film: Film) -> Film:
    """A film with what it shows: where nobody said, the first motion of the board, or its working where it has none."""
    if film.motion is not None:
        return film
    return film.model_copy(update={"motion": next((step.id for step in board.steps if step.makes == MOTION), "")})


def pictures_of_film(board: Board, film: Film) -> int:
    """How many pictures a film has. Raises Refusal where its motion is none, or where it has nothing to show."""
    lasts = len(_steps(board)) * _STEP + 1 if not film.motion else _lasts(_course(board, film))
    count = ceil(min(lasts / film.speed, film.seconds) * film.rate)
    if count > MOST_PICTURES:
        raise Refusal(
            f"That would be {count} pictures; a film has at most {MOST_PICTURES}. Make it shorter, or take fewer pictures a second."
        )
    return max(count, 2)


def film_pictures(board: Board, wanted: Wanted, film: Film, first: int, count: int, photograph: bytes | None = None) -> list[bytes]:
    """Some of the pictures of a film, as PNG.

    Args:
        first, count: which of them, from 0.
    """
    wanted = wanted.model_copy(update={"frame": _box(part_of(board, wanted)), "part": "frame", "size": "pixels"})
    times = wanted.pixels / wanted.wide
    running = _course(board, film) if film.motion else None
    board, many = board.copy(), pictures_of_film(board, film)
    made: list[bytes] = []
    shown = None  # how many steps the last picture of a replay shows: the next one is often the same
    for number in range(first, first + count):
        moment = number / film.rate * film.speed
        if running:
            board.move({running.driver: (running.place(moment),)})
            made.append(_drawn(board, wanted, times, many, photograph))
            continue
        seen = int(moment / _STEP) + 1
        closed = [*wanted.closed, *_steps(board)[seen:]]
        made.append(made[-1] if seen == shown else _drawn(board, wanted.model_copy(update={"closed": closed}), times, many, photograph))
        shown = seen
    return made


def _drawn(board: Board, wanted: Wanted, times: float, many: int, photograph: bytes | None) -> bytes:
    """One of many pictures."""
    image, out = image_of(picture_of_board(board, wanted, photograph), times), BytesIO()
    if image.width * image.height * many > _MOST_PIXELS:
        raise Refusal("That film would be too large. Make its pictures smaller, or fewer.")
    image.save(out, "PNG", compress_level=1)
    return out.getvalue()


def film_file(pictures: Sequence[bytes], film: Film, kind: str) -> bytes:
    """Pictures put together.

    Args:
        pictures: as PNG, in order.
        kind: "gif" or "apng".
    """
    drawn: list[images.Image] = [images.open(BytesIO(one)) for one in pictures]
    out, lasts = BytesIO(), 1000 / film.rate
    more: dict[str, Any] = {"save_all": True, "append_images": drawn[1:], "loop": film.loops}
    if kind == "gif":
        # A GIF counts in hundredths of a second; the part that is lost would add up, so it goes to the next picture.
        ends = [round(lasts * (number + 1) / 10) * 10 for number in range(len(drawn))]
        more["duration"] = [end - start for start, end in zip([0, *ends], ends)]
        is_clear = drawn[0].mode == "RGBA"
        if not is_clear:
            drawn = _in_one_palette(drawn)
            more["append_images"] = drawn[1:]
        drawn[0].save(out, "GIF", disposal=2 if is_clear else 1, optimize=False, **more)
    else:
        drawn[0].save(out, "PNG", duration=lasts, **more)
    return out.getvalue()


def _in_one_palette(drawn: list[images.Image]) -> list[images.Image]:
    """Images in the colours that some of them, from the first to the last, have together."""
    chosen = drawn[:: max(1, len(drawn) // 6)] + drawn[-1:]
    strip = images.new("RGB", (drawn[0].width, drawn[0].height * len(chosen)))
    for number, image in enumerate(chosen):
        strip.paste(image, (0, number * image.height))
    palette = strip.quantize(_COLOURS, method=images.Quantize.FASTOCTREE)
    return [image.quantize(palette=palette, dither=images.Dither.NONE) for image in drawn]


def _box(extent: Extent):
    return extent.left, extent.low, extent.right, extent.high


def _course(board: Board, film: Film) -> Course:
    motion = film.motion or ""
    if motion not in board or board.kind_of(motion) != MOTION or board.value(motion) is None:
        raise Refusal("That motion is no longer on the board. Choose another, or the replay.")
    return course(board, motion, from_start=True)


def _lasts(running: Course) -> float:
    """How many seconds until the motion is where it began."""
    return running.seconds * (2 if running.way == "to and fro" else 1)


def _steps(board: Board) -> list[str]:
    """The ids of what the replay shows, in order."""
    return [step.id for step in board.steps if not step.look.hidden]
