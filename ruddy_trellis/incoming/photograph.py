"""Pictures in pixels that come in, to lie under a figure: written anew, so that nothing but the picture is kept."""

import hashlib
import io
from dataclasses import replace

from ..core.lesson.arriving import arrived_lesson, photographs_in
from ..core.lesson.file import board_from_store, board_to_text
from ..core.refusal import Refusal
from .late import image_acts, images

#: A picture of more dots than this is not opened; one wider or higher than that is made smaller.
_MOST_DOTS, _LONGEST = 60_000_000, 1600
_QUALITY = 82


def arrived_photograph(content: bytes) -> tuple[str, bytes, float]:
    """A PNG or JPEG as it is kept.

    Returns:
        Its mark (SHA-256), the bytes of a JPEG, and its height as a share of its width.

    Raises:
        Refusal: where it is none, is broken, or has too many dots.
    """
    try:
        with images.open(io.BytesIO(content), formats=("PNG", "JPEG")) as opened:
            if opened.width * opened.height > _MOST_DOTS:
                raise Refusal(f"That picture has more than {_MOST_DOTS // 1_000_000} million dots. Make it smaller first.")
            is_ours = opened.format == "JPEG" and max(opened.size) <= _LONGEST and not opened.getexif()
            image = image_acts.exif_transpose(opened)
            image.load()
    except (OSError, ValueError, SyntaxError, images.DecompressionBombError, MemoryError, OverflowError):
        raise Refusal("That picture cannot be read. Save it as PNG or JPEG.") from None
    tall = image.height / image.width
    if not 0.01 <= tall <= 100:
        raise Refusal("That picture is a thin strip. Cut it to what is to be traced.")
    if image.mode != "RGB":
        ground = images.new("RGBA", image.size, "white")
        ground.alpha_composite(image.convert("RGBA"))
        image = ground.convert("RGB")
        is_ours = False
    image.thumbnail((_LONGEST, _LONGEST))
    out = io.BytesIO()
    image.info.clear()  # nothing of where and when it was taken
    # What was written here before is written with the same tables, so that it does not lose more each time.
    image.save(out, "JPEG", quality=_QUALITY, **({"qtables": opened.quantization} if is_ours and hasattr(opened, "quantization") else {}))
    written = out.getvalue()
    return hashlib.sha256(written).hexdigest(), written, tall


def arrived_with_photographs(content: bytes) -> tuple[str, list[str], dict[str, bytes]]:
    """A lesson in a file with the pictures under its boards.

    Returns:
        Its title, the text that is kept of each board, and the pictures as they are kept, by their marks. A picture that cannot be
        read is left out.

    Raises:
        Refusal: where the lesson cannot be read.
    """
    title, documents = arrived_lesson(content)
    known: dict[str, str] = {}
    kept: dict[str, bytes] = {}
    for mark, one in photographs_in(content).items():
        try:
            known[mark], written, _ = arrived_photograph(one)
        except Refusal:
            continue
        kept[known[mark]] = written
    return title, [_with_marks(document, known) for document in documents], kept


def _with_marks(document: str, known: dict[str, str]) -> str:
    """A board whose picture has the mark that it has here, or none where it was left out."""
    if '"photograph":' not in document:
        return document  # a large lesson is not read a second time for what it has not
    board = board_from_store(document)
    picture = board.settings.photograph
    if picture is None:
        return document
    mark = known.get(picture.mark)
    board.settings = board.settings.with_(photograph=replace(picture, mark=mark) if mark else None)
    return board_to_text(board)
