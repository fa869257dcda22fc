"""The letters of what goes out: which font has a sign, how wide words are, and how letters are drawn."""

from functools import lru_cache
from io import BytesIO
from pathlib import Path
from typing import Any

from .late import font_files, font_parts, font_pens

_FOLDER = Path(__file__).parent / "fonts"
#: Plain and bold: first the program's own letters, then the signs that they lack.
FONTS = {False: ("words", "signs"), True: ("words-bold", "signs-bold")}


def font_file(name: str) -> Path:
    """Where a font is."""
    return _FOLDER / f"{name}.ttf"


@lru_cache
def _font(name: str) -> tuple[Any, Any, float]:
    font = font_files.TTFont(font_file(name))
    return font.getGlyphSet(), font.getBestCmap(), font["head"].unitsPerEm


@lru_cache(maxsize=4096)
def font_of(letter: str, bold: bool) -> str:
    """The font that has a letter; the first where none has."""
    return next((name for name in FONTS[bold] if ord(letter) in _font(name)[1]), FONTS[bold][0])


def runs(text: str, bold: bool = False) -> list[tuple[str, str]]:
    """A text in pieces of one font each: pairs of a font and a piece."""
    pieces: list[tuple[str, str]] = []
    for letter in text:
        name = font_of(letter, bold)
        if pieces and pieces[-1][0] == name:
            pieces[-1] = (name, pieces[-1][1] + letter)
        else:
            pieces.append((name, letter))
    return pieces


@lru_cache(maxsize=4096)
def _advance(letter: str, bold: bool) -> float:
    glyphs, cmap, units = _font(font_of(letter, bold))
    return glyphs[cmap.get(ord(letter), ".notdef")].width / units


def left_of(x: float, anchor: str, text: str, size: float, bold: bool = False) -> float:
    """Where a line begins that stands at a place by its start, its middle or its end."""
    return x - {"start": 0, "middle": 0.5, "end": 1}[anchor] * width_of(text, size, bold)


def width_of(text: str, size: float, bold: bool = False) -> float:
    """How wide a line of words is, in the unit of its size."""
    return size * sum(_advance(letter, bold) for letter in text)


@lru_cache(maxsize=64)
def part_of_font(name: str, letters: str) -> bytes:
    """A font with some letters only, as a file: it goes along with a picture, for readers that do not have the font."""
    options = font_parts.Options(layout_features=["kern"], name_IDs=[1, 2], hinting=False, notdef_outline=True, recommended_glyphs=True)
    made = font_parts.Subsetter(options)
    made.populate(text=letters)
    font = font_files.TTFont(font_file(name), recalcTimestamp=False)
    made.subset(font)
    out = BytesIO()
    font.save(out)
    return out.getvalue()


@lru_cache
def _curves() -> Any:
    """The class of what gathers outlines as commands of straight strokes and cubic curves; made when it is first used, for its
    library is."""

    class Curves(font_pens.BasePen):
        def __init__(self, glyphs: Any, times: float, x: float, y: float) -> None:
            super().__init__(glyphs)
            self.commands: list[tuple] = []
            self._place = lambda at: (x + times * at[0], y - times * at[1])

        def _moveTo(self, at):
            self.commands.append(("M", *self._place(at)))

        def _lineTo(self, at):
            self.commands.append(("L", *self._place(at)))

        def _curveToOne(self, first, second, end):
            self.commands.append(("C", *self._place(first), *self._place(second), *self._place(end)))

        def _closePath(self):
            self.commands.append(("Z",))

    return Curves


def outlines_of(text: str, x: float, y: float, size: float, bold: bool = False) -> list[tuple]:
    """The letters of a line as ``("M", x, y)``, ``("L", x, y)``, ``("C", …six numbers)``, ``("Z",)``, from (x, y) at the left end of
    its base line."""
    commands = []
    for letter in text:
        glyphs, cmap, units = _font(font_of(letter, bold))
        pen = _curves()(glyphs, size / units, x, y)
        glyphs[cmap.get(ord(letter), ".notdef")].draw(pen)
        commands += pen.commands
        x += size * _advance(letter, bold)
    return commands
