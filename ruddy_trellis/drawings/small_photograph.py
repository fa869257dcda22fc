"""The picture under a board, made small for a page that carries it along."""

from io import BytesIO

from .late import images

#: How many dots the longer side has at most, of how many bytes it is, and with which qualities that is tried.
LONGEST, BYTES = 1200, 200_000
_QUALITIES = (82, 70, 55, 40)


def small_photograph(content: bytes, most: int = BYTES) -> bytes:
    """A JPEG no larger than a page may carry.

    Args:
        content: a JPEG.
        most: so many bytes are there for it, if that is less than usual.
    """
    most = min(most, BYTES)
    image = images.open(BytesIO(content))
    if len(content) <= most and max(image.size) <= LONGEST:
        return content
    longest = LONGEST
    while True:
        smaller = image.copy()
        smaller.thumbnail((longest, longest))
        for quality in _QUALITIES:
            out = BytesIO()
            smaller.save(out, "JPEG", quality=quality)
            if out.tell() <= most or longest < 100:
                return out.getvalue()
        longest = longest * 3 // 4
