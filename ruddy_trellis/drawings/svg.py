"""A picture as SVG."""

from base64 import b64encode
from collections.abc import Callable
from html import escape
from math import log10

from ..core.display.extent import Extent
from .letters import left_of, outlines_of, part_of_font, runs, width_of
from .paths import on_circle
from .picture import picture_of_items
from .primitives import Copies, Hatch, Image, Named, Part, Path, Pen, Picture, Shape, Text
from .things import Colours

#: The words' own font, then the one with the signs that it lacks; a part of each goes along in the file.
_OWN = {"words": ("Atkinson Hyperlegible", "normal"), "words-bold": ("Atkinson Hyperlegible", "bold")}
_OWN |= {"signs": ("Trellis Signs", "normal"), "signs-bold": ("Trellis Signs", "bold")}
_FONTS = "Atkinson Hyperlegible, Trellis Signs, sans-serif"


def svg(items, extent: Extent, width: float, height: float, *, dark=False, scale=1.0, labels=True, tags=True, ground=None) -> str:
    """The text of a small SVG picture of a display list: a lesson in a list, the icon of a tool.

    Args:
        extent: the part of the plane to show, fitted into the picture whole.
        width, height: of the picture, pixels.
        dark: with the pens of a dark board.
        scale: of line widths, pegs and words.
        labels: whether names and readings are written; tags: whether readings are.
        ground: the colour of the ground, or None for a clear one.
    """
    colours = Colours(dark, ground=ground)
    drawn = picture_of_items(
        items, extent, width, height, colours=colours, scale=scale, names=labels, readings=labels and tags, words=False
    )
    return svg_text(drawn, is_small=True)


def svg_text(picture: Picture, *, is_small: bool = False, outlines: bool = False, width_mm: float | None = None, prefix: str = "") -> str:
    """The text of a picture as SVG.

    Args:
        is_small: a picture beside words that say what it shows: two decimals, no names for its parts.
        outlines: letters as their outlines, for programs that do not have the font.
        width_mm: how wide it is printed, millimetres; None for its size in pixels.
        prefix: what the names of hatches begin with, where several pictures stand on one page.
    """
    return _Writing(picture, is_small, outlines, prefix).text(width_mm)


#: A map whose area factor is less than this has no inverse that a reader could use.
_FLAT = 1e-12


class _Writing:
    def __init__(self, picture: Picture, is_small: bool, outlines: bool, prefix: str) -> None:
        self.prefix, self.picture, self.is_small, self.outlines = prefix, picture, is_small, outlines
        self._count = 0
        self._keep = ""
        #: Which letters stand in the picture, by the fonts that have them.
        self._letters: dict[str, set[str]] = {}
        # As many decimals as keep a place of the board to a thousand millionth of itself.
        decimals = 2 if is_small else 12 - max(0, int(log10(max(picture.width, picture.height, 1))))
        self.number: Callable[[float], str] = lambda number: f"{number:.{decimals}f}".rstrip("0").rstrip(".")

    def text(self, width_mm: float | None) -> str:
        n, picture = self.number, self.picture
        width, height = n(picture.width), n(picture.height)
        size = f'width="{width}" height="{height}"'
        if width_mm is not None:
            size = f'width="{n(width_mm)}mm" height="{n(width_mm * picture.height / picture.width)}mm"'
        says, title = 'aria-hidden="true"', ""
        if not self.is_small:
            x0, y0, zoom = picture.board
            says = f'role="img" data-origin="{x0!r} {y0!r}" data-unit="{zoom!r}"'
            title = f"<title>{escape(picture.about)}</title>"
        ground = f'<rect width="{width}" height="{height}" fill="{picture.ground}"/>' if picture.ground else ""
        parts = "".join(self.part(part) for part in picture.parts)
        return (
            f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width} {height}" {size} font-family="{_FONTS}" {says}>'
            f"{title}{self._fonts()}{ground}{parts}</svg>"
        )

    def _fonts(self) -> str:
        """The parts of fonts that its words need."""
        faces = [
            f"@font-face{{font-family:'{_OWN[name][0]}';font-weight:{_OWN[name][1]};"
            f"src:url(data:font/ttf;base64,{b64encode(part_of_font(name, ''.join(sorted(letters)))).decode()})}}"
            for name, letters in sorted(self._letters.items())
        ]
        return f"<style>{''.join(faces)}</style>" if faces else ""

    def part(self, part: Part) -> str:
        match part:
            case Shape():
                return self._shape(part)
            case Text():
                return self._text(part)
            case Copies(parts, maps):
                return self._copies(parts, maps)
            case Image():
                return self._image(part)
            case Named():
                return self._group(part)

    def _group(self, named: Named) -> str:
        inside = "".join(self.part(part) for part in named.parts)
        if self.is_small:
            return inside
        title = f"<title>{escape(named.title)}</title>" if named.title else ""
        at = f' data-at="{named.at[0]!r} {named.at[1]!r}"' if named.at else ""
        return f'<g id="{escape(named.id)}" class="{named.kind}"{at}>{title}{inside}</g>'

    def _stroke(self, pen: Pen | None) -> str:
        if pen is None:
            return ""
        dashes = f' stroke-dasharray="{" ".join(f"{part:.1f}" for part in pen.dash)}"' if pen.dash else ""
        ends = ' stroke-linecap="round"' if pen.round else ""
        return f' stroke="{pen.colour}" stroke-width="{pen.width:.2f}" stroke-linejoin="round"{dashes}{ends}{self._keep}'

    def _shape(self, shape: Shape) -> str:
        hatch = self._hatch(shape.path, shape.hatch) if shape.hatch else ""
        fill = f' fill="{shape.fill}"' if shape.fill else ' fill="none"'
        if shape.fill and shape.opacity < 1:
            fill += f' fill-opacity="{shape.opacity:.2f}"'
        if shape.pen is None and not shape.fill:
            return hatch
        drawn = f"{fill}{self._stroke(shape.pen)}/>"
        if len(shape.path) == 1 and shape.path[0][0] == "O":
            _, x, y, radius = shape.path[0]
            return f'{hatch}<circle cx="{self.number(x)}" cy="{self.number(y)}" r="{self.number(radius)}"{drawn}'
        return f'{hatch}<path d="{self._path(shape.path)}"{drawn}'

    def _hatch(self, path: Path, hatch: Hatch) -> str:
        self._count += 1
        name = f"{self.prefix}hatch{self._count}"
        return (
            f'<defs><pattern id="{name}" width="10" height="10" patternUnits="userSpaceOnUse"><path d="{hatch.tile}" '
            f'stroke="{hatch.colour}" stroke-width="{hatch.width}"/></pattern></defs>'
            f'<path d="{self._path(path)}" fill="url(#{name})" fill-opacity="{hatch.opacity:.2f}"/>'
        )

    def _path(self, path: Path) -> str:
        n, drawn = self.number, []
        for kind, *numbers in path:
            if kind in ("M", "L"):
                drawn.append(f"{kind}{n(numbers[0])} {n(numbers[1])}")
            elif kind == "Z":
                drawn.append("Z")
            else:
                x, y, radius, start, sweep = numbers if kind == "A" else (*numbers, 0.0, 360.0)
                if kind == "O":
                    drawn.append(f"M{n(x + radius)} {n(y)}")
                # What goes all round is drawn in two halves: an arc does not end where it begins.
                for share in (0.5, 1.0) if abs(sweep) > 180 else (1.0,):
                    end = on_circle(x, y, radius, start + share * sweep)
                    drawn.append(f"A{n(radius)} {n(radius)} 0 0 {int(sweep < 0)} {n(end[0])} {n(end[1])}")
        return "".join(drawn)

    def _text(self, text: Text) -> str:
        halo = (
            f' stroke="{text.halo}" stroke-width="{text.size * 0.19:.1f}" stroke-linejoin="round" paint-order="stroke"' if text.halo else ""
        )
        if self.outlines:
            left = left_of(text.x, text.anchor, text.text, text.size, text.bold)
            letters = outlines_of(text.text, left, text.y, text.size, text.bold)
            path = "".join(kind + " ".join(f"{number:.2f}" for number in numbers) for kind, *numbers in letters)
            return f'<path d="{path}" aria-label="{escape(text.text)}" fill="{text.colour}"{halo}/>'
        fits = ""
        if not self.is_small:
            for name, piece in runs(text.text, text.bold):
                self._letters.setdefault(name, set()).update(piece)
            # A reader that takes another font all the same keeps to the room that there is.
            wide = width_of(text.text, text.size, text.bold)
            fits = f' textLength="{wide:.1f}" lengthAdjust="spacingAndGlyphs"' if wide and len(text.text) > 1 else ""
        weight, anchor = ' font-weight="bold"' if text.bold else "", f' text-anchor="{text.anchor}"' if text.anchor != "start" else ""
        return (
            f'<text x="{text.x:.1f}" y="{text.y:.1f}" font-size="{text.size:.1f}"{weight}{anchor}{fits} fill="{text.colour}"{halo}>'
            f"{escape(text.text)}</text>"
        )

    def _copies(self, parts: tuple[Part, ...], maps: tuple[tuple[float, ...], ...]) -> str:
        """The parts once, and a use of them for every map; strokes keep their widths."""
        self._count += 1
        name, self._keep = f"{self.prefix}family{self._count}", ' vector-effect="non-scaling-stroke"'
        once = "".join(self.part(part) for part in parts)
        self._keep = ""
        written = "{:.6g}" if self.is_small else "{:.15g}"
        # A member that is shrunk to a point or a line shows nothing, and readers refuse the whole picture for its sake.
        shown = [one for one in maps if abs(one[0] * one[3] - one[1] * one[2]) > _FLAT]
        uses = [f'<use href="#{name}" transform="matrix({" ".join(written.format(number) for number in one)})"/>' for one in shown]
        return f'<defs><g id="{name}">{once}</g></defs>{"".join(uses)}'

    def _image(self, one: Image) -> str:
        kind = "png" if one.content.startswith(b"\x89PNG") else "jpeg"
        n = self.number
        turned = f' transform="rotate({-one.turn:.4f} {n(one.x)} {n(one.y)})"' if one.turn else ""
        return (
            f'<image x="{n(one.x - one.width / 2)}" y="{n(one.y - one.height / 2)}" width="{n(one.width)}" height="{n(one.height)}"'
            f'{turned} opacity="{one.opacity:.2f}" preserveAspectRatio="none" '
            f'href="data:image/{kind};base64,{b64encode(one.content).decode()}"/>'
        )
