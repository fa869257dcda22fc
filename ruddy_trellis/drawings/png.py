"""A picture in pixels: PNG, or an image for other formats. It is the PDF of the picture, painted."""

from __future__ import annotations

from io import BytesIO
from math import sqrt

from .late import images, pypdfium2
from .pdf import Leaf, pdf_bytes
from .primitives import Picture

#: More pixels than so many are not made; pictures are made smaller instead.
MOST_PIXELS = 40_000_000


def image_of(picture: Picture, times: float = 1.0) -> images.Image:
    """A picture as an image, so many times as large as its pixels are many; clear where its ground is clear."""
    times = min(times, sqrt(MOST_PIXELS / (picture.width * picture.height)))
    document = pypdfium2.PdfDocument(pdf_bytes([Leaf(picture)], picture.about))
    try:
        page = document[0]
        # A page of so many points has 4/3 as many pixels.
        drawn = page.render(scale=times * 96 / 72, fill_color=(255, 255, 255, 255 if picture.ground else 0), may_draw_forms=False)
        image = drawn.to_pil()
        # What is not quite a whole number of points gets a row of pixels more.
        return image.crop(
            (0, 0, min(image.width, max(1, round(picture.width * times))), min(image.height, max(1, round(picture.height * times))))
        )
    finally:
        document.close()


def png_bytes(picture: Picture, times: float = 1.0) -> bytes:
    """A picture as PNG; it says how large it is on paper."""
    out = BytesIO()
    image_of(picture, times).save(out, "PNG", optimize=False, dpi=(96 * times, 96 * times))
    return out.getvalue()
