"""Pictures as PDF: vectors to true scale, with the program's own fonts in it, so that its words can be found."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from io import BytesIO

from .late import pdf_canvas, pdf_fonts, pdf_utils, pdfmetrics
from .letters import FONTS, font_file, left_of, outlines_of, runs, width_of
from .paths import PLAIN, Map, as_curves, bounds_of, hatch_lines
from .primitives import Copies, Hatch, Image, Named, Part, Path, Pen, Picture, Shape, Text
from .sheets import Sheet

#: Points of print in a pixel, and in a millimetre.
_POINT, _MM = 72 / 96, 72 / 25.4


@dataclass(frozen=True)
class Leaf:
    """One page: a picture as a page of its own size, or the part of it that a sheet of paper shows."""

    picture: Picture
    sheet: Sheet | None = None


def pdf_bytes(leaves: Sequence[Leaf], title: str) -> bytes:
    """Pages as a PDF document.

    Args:
        title: of the document, as a reader shows it.
    """
    for names in FONTS.values():
        for name in names:
            if name not in pdfmetrics.getRegisteredFontNames():
                pdfmetrics.registerFont(pdf_fonts.TTFont(name, font_file(name)))
    out = BytesIO()
    canvas = pdf_canvas.Canvas(out, pageCompression=1, invariant=1, initialFontName=FONTS[False][0])
    canvas.setTitle(title)
    canvas.setCreator("Ruddy Trellis")
    for leaf in leaves:
        _page(canvas, leaf)
        canvas.showPage()
    canvas.save()
    return out.getvalue()


def _page(canvas: pdf_canvas.Canvas, leaf: Leaf) -> None:
    picture, sheet = leaf.picture, leaf.sheet
    if sheet is None:
        width, height = picture.width * _POINT, picture.height * _POINT
        canvas.setPageSize((width, height))
        canvas.transform(_POINT, 0, 0, -_POINT, 0, height)
        _Drawing(canvas).picture(picture)
        return
    canvas.setPageSize((sheet.width * _MM, sheet.height * _MM))
    canvas.saveState()
    # In millimetres from the upper left corner of the sheet.
    canvas.transform(_MM, 0, 0, -_MM, 0, sheet.height * _MM)
    canvas.saveState()
    left, top, right, low = sheet.window
    window = canvas.beginPath()
    window.rect(left, top, right - left, low - top)
    canvas.clipPath(window, stroke=0, fill=0)
    times = 25.4 / 96
    canvas.transform(times, 0, 0, times, *sheet.shift)
    _Drawing(canvas).picture(picture)
    canvas.restoreState()
    canvas.setLineWidth(0.15)
    for line in sheet.crop_marks:
        canvas.line(*line)
    drawing = _Drawing(canvas)
    for x, y, words, size in sheet.words:
        drawing.text(Text(x, y, words, size, "#000000", anchor="start"))
    canvas.restoreState()


class _Drawing:
    """Draws parts on a canvas whose unit is the picture's, with y downwards."""

    def __init__(self, canvas: pdf_canvas.Canvas) -> None:
        self.canvas = canvas

    def picture(self, picture: Picture) -> None:
        if picture.ground:
            self.canvas.setFillColor(picture.ground)
            self.canvas.rect(0, 0, picture.width, picture.height, stroke=0, fill=1)
        for part in picture.parts:
            self.part(part)

    def part(self, part: Part, to: Map = PLAIN) -> None:
        match part:
            case Shape():
                self._shape(part, to)
            case Text():
                self.text(part)
            case Named(parts=parts):
                for one in parts:
                    self.part(one, to)
            case Copies(parts, maps):
                for one_map in maps:
                    for one in parts:
                        self.part(one, one_map)
            case Image():
                self._image(part)

    def _path(self, path: Path, to: Map):
        drawn = self.canvas.beginPath()
        for kind, *numbers in as_curves(path, to):
            if kind == "M":
                drawn.moveTo(*numbers)
            elif kind == "L":
                drawn.lineTo(*numbers)
            elif kind == "C":
                drawn.curveTo(*numbers)
            else:
                drawn.close()
        return drawn

    def _use(self, pen: Pen) -> None:
        canvas = self.canvas
        canvas.setStrokeColor(pen.colour)
        canvas.setLineWidth(pen.width)
        canvas.setLineCap(1 if pen.round else 0)
        canvas.setLineJoin(1)
        canvas.setDash(*((list(pen.dash), 0) if pen.dash else ()))

    def _shape(self, shape: Shape, to: Map) -> None:
        canvas = self.canvas
        path = self._path(shape.path, to)
        if shape.hatch:
            self._hatch(shape.path, path, shape.hatch, to)
        if shape.fill:
            canvas.setFillColor(shape.fill)
            canvas.setFillAlpha(shape.opacity)
        if shape.pen:
            self._use(shape.pen)
        if shape.pen or shape.fill:
            canvas.drawPath(path, stroke=int(shape.pen is not None), fill=int(shape.fill is not None))
        canvas.setFillAlpha(1)

    def _hatch(self, path: Path, drawn, hatch: Hatch, to: Map) -> None:
        box = bounds_of(path, to)
        if box is None:
            return
        canvas = self.canvas
        canvas.saveState()
        canvas.clipPath(drawn, stroke=0, fill=0)
        self._use(Pen(hatch.colour, hatch.width))
        canvas.setStrokeAlpha(hatch.opacity)
        for line in hatch_lines(hatch.tile, box):
            canvas.line(*line)
        canvas.restoreState()

    def text(self, text: Text) -> None:
        canvas = self.canvas
        x = left_of(text.x, text.anchor, text.text, text.size, text.bold)
        if text.halo:
            edge = canvas.beginPath()
            for kind, *numbers in outlines_of(text.text, x, text.y, text.size, text.bold):
                {"M": edge.moveTo, "L": edge.lineTo, "C": edge.curveTo, "Z": edge.close}[kind](*numbers)
            self._use(Pen(text.halo, text.size * 0.19))
            canvas.drawPath(edge, stroke=1, fill=0)
        canvas.setFillColor(text.colour)
        for font, piece in runs(text.text, text.bold):
            letters = canvas.beginText()
            letters.setTextTransform(1, 0, 0, -1, x, text.y)  # y goes downwards here, and letters stand upright
            letters.setFont(font, text.size)
            letters.textOut(piece)
            canvas.drawText(letters)
            x += width_of(piece, text.size, text.bold)

    def _image(self, one: Image) -> None:
        canvas = self.canvas
        canvas.saveState()
        canvas.translate(one.x, one.y)
        canvas.rotate(-one.turn)
        canvas.scale(1, -1)
        canvas.setFillAlpha(one.opacity)
        canvas.drawImage(
            pdf_utils.ImageReader(BytesIO(one.content)),
            -one.width / 2,
            -one.height / 2,
            one.width,
            one.height,
            mask="auto",
            preserveAspectRatio=False,
        )
        canvas.restoreState()
