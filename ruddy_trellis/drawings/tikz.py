"""A picture as LaTeX, drawn by TikZ: a document that compiles with plain packages, from which the picture can be copied."""

import re
import unicodedata

from .paths import PLAIN, Map, as_curves, bounds_of, hatch_lines
from .primitives import Copies, Hatch, Image, Named, Part, Path, Pen, Picture, Shape, Text

#: Centimetres in a pixel, points of TeX in a pixel.
_CM, _POINT = 2.54 / 96, 72.27 / 96
#: Signs that TeX says by commands of mathematics.
_SIGNS = {
    "°": r"^{\circ}", "²": "^{2}", "³": "^{3}", "⁴": "^{4}", "−": "-", "×": r"\times", "·": r"\cdot", "√": r"\surd", "½": r"\tfrac{1}{2}",
    "¼": r"\tfrac{1}{4}", "¾": r"\tfrac{3}{4}", "⅓": r"\tfrac{1}{3}", "⅔": r"\tfrac{2}{3}", "∠": r"\angle", "∥": r"\parallel",
    "⊥": r"\perp", "≅": r"\cong", "~": r"\sim", "≤": r"\le", "≥": r"\ge", "≠": r"\ne", "≈": r"\approx", "→": r"\to", "∞": r"\infty",
    "●": r"\bullet", "○": r"\circ", "◉": r"\odot", "△": r"\triangle", "±": r"\pm", "′": "'", "″": "''", "∈": r"\in", "÷": r"\div",
}  # fmt: skip
_GREEK = {
    letter: "\\"
    + {"ε": "varepsilon", "φ": "varphi"}.get(letter, unicodedata.name(letter).rsplit(" ", 1)[1].lower().replace("lamda", "lambda"))
    for letter in "αβγδεζηθικλμνξπρστυφχψω"
} | {letter: "\\" + unicodedata.name(letter).rsplit(" ", 1)[1].capitalize().replace("Lamda", "Lambda") for letter in "ΓΔΘΛΞΠΣΦΨΩ"}
_LOW = {low: str(number) for number, low in enumerate("₀₁₂₃₄₅₆₇₈₉")}
_ESCAPED = {"\\": r"\textbackslash{}", "~": r"\textasciitilde{}", "^": r"\textasciicircum{}", **{sign: "\\" + sign for sign in "{}$&#%_"}}


def tikz_text(picture: Picture) -> str:
    """The text of a LaTeX document with one picture."""
    return _Writing(picture).text()


def name_as_math(name: str) -> str:
    r"""A name as mathematics: A₁′ is ``$A_{1}'$``, α is ``$\alpha$``."""
    match = re.fullmatch(r"([A-Za-zα-ωΑ-Ω])([₀-₉]*)(′*)", name)
    if not match:
        return words(name)
    letter, low, primes = match.groups()
    low = "".join(_LOW[sign] for sign in low)
    return f"${_GREEK.get(letter, letter)}{f'_{{{low}}}' if low else ''}{chr(39) * len(primes)}$"


def words(text: str) -> str:
    """Words as TeX takes them: its own signs escaped, those of mathematics as commands."""
    out = []
    for sign in text:
        if sign in _SIGNS and sign != "~":
            out.append(f"${_SIGNS[sign]}$")
        elif sign in _GREEK:
            out.append(f"${_GREEK[sign]}$")
        elif sign in _LOW:
            out.append(f"$_{{{_LOW[sign]}}}$")
        elif sign in _ESCAPED:
            out.append(_ESCAPED[sign])
        elif sign in "–—“”‘’…":
            out.append({"–": "--", "—": "---", "“": "``", "”": "''", "‘": "`", "’": "'", "…": r"\dots{}"}[sign])
        elif ord(sign) < 0x180 and unicodedata.category(sign)[0] != "C":
            out.append(sign)
        else:
            out.append("?")  # a sign that plain packages have no letter for
    return "".join(out).replace("$$", "")


#: A line has at most so many letters: readers of TeX have an end to theirs.
_LONGEST = 180


def _broken(lines: list[str]) -> str:
    """Lines as a text, long ones broken where a space is; a comment goes on as one."""
    made = []
    for line in lines:
        more = "% " if line.startswith("%") else ""
        while len(line) > _LONGEST and (at := line.rfind(" ", len(more) + 1, _LONGEST)) > 0:
            made.append(line[:at])
            line = more + line[at + 1 :]
        made.append(line)
    return "\n".join([*made, ""])


class _Writing:
    def __init__(self, picture: Picture) -> None:
        self.picture = picture
        self.colours: dict[str, str] = {}

    def text(self) -> str:
        lines = [line for part in self.picture.parts for line in self.part(part, PLAIN)]
        ground = []
        if self.picture.ground and self.picture.ground.upper() != "#FFFFFF":
            ground = [
                f"\\fill[{self.colour(self.picture.ground)}] {self.at(0, 0)} rectangle {self.at(self.picture.width, self.picture.height)};"
            ]
        colours = [f"\\definecolor{{{name}}}{{HTML}}{{{code[1:].upper()}}}" for code, name in self.colours.items()]
        size = f"{_CM * self.picture.width:.4f}cm", f"{_CM * self.picture.height:.4f}cm"
        window = f"\\clip {self.at(0, 0)} rectangle {self.at(self.picture.width, self.picture.height)};"
        return _broken([
            r"\documentclass{article}",
            # A page as large as the picture; for other documents the picture alone is taken, between its begin and its end.
            f"% The picture is {size[0]} wide and {size[1]} high.",
            f"\\usepackage[paperwidth={size[0]},paperheight={size[1]},margin=0pt]{{geometry}}",
            r"\usepackage[T1]{fontenc}",
            r"\usepackage[utf8]{inputenc}",
            r"\usepackage{tikz}",
            r"\pagestyle{empty}",
            r"\setlength{\topskip}{0pt}",
            *colours,
            r"\begin{document}",
            f"% {words(self.picture.about)}",
            r"\noindent\begin{tikzpicture}[x=1cm,y=1cm,line join=round]",
            window, *ground, *lines,
            r"\end{tikzpicture}",
            r"\end{document}",
        ])  # fmt: skip

    def colour(self, code: str) -> str:
        return self.colours.setdefault(code, f"trellis{chr(97 + len(self.colours) // 26)}{chr(97 + len(self.colours) % 26)}")

    def at(self, x: float, y: float) -> str:
        """A place in centimetres from the lower left corner, upwards; a thousandth of a millimetre is what ink can show."""
        return f"({_CM * x:.4f},{_CM * (self.picture.height - y):.4f})"

    def part(self, part: Part, to: Map) -> list[str]:
        match part:
            case Shape():
                return self._shape(part, to)
            case Text():
                return [self._text(part)]
            case Named(parts=parts, title=title):
                inside = [line for one in parts for line in self.part(one, to)]
                return [f"% {words(title)}", *inside] if title else inside
            case Copies(parts, maps):
                return [line for one_map in maps for one in parts for line in self.part(one, one_map)]
            case Image():
                return ["% A photograph lies here on the board; TeX would need it as a file."]

    def _path(self, path: Path, to: Map) -> str:
        drawn = []
        for kind, *numbers in as_curves(path, to):
            if kind == "Z":
                drawn.append("-- cycle")
                continue
            places = [self.at(*pair) for pair in zip(numbers[::2], numbers[1::2])]
            drawn.append({"M": "{}", "L": "-- {}", "C": ".. controls {} and {} .. {}"}[kind].format(*places))
        return " ".join(drawn)

    def _pen(self, pen: Pen) -> str:
        dashes = "".join(f" {way} {part * _POINT:.2f}pt" for way, part in zip(("on", "off") * len(pen.dash), pen.dash))
        more = (f",dash pattern={dashes.strip()}" if dashes else "") + (",line cap=round" if pen.round else "")
        return f"draw={self.colour(pen.colour)},line width={pen.width * _POINT:.2f}pt{more}"

    def _shape(self, shape: Shape, to: Map) -> list[str]:
        path = self._path(shape.path, to)
        lines = self._hatch(shape, path, shape.hatch, to) if shape.hatch else []
        looks = [self._pen(shape.pen)] if shape.pen else []
        if shape.fill:
            looks.append(f"fill={self.colour(shape.fill)},fill opacity={shape.opacity:.2f}")
        return [*lines, f"\\path[{','.join(looks)}] {path};"] if looks else lines

    def _hatch(self, shape: Shape, path: str, hatch: Hatch, to: Map) -> list[str]:
        box = bounds_of(shape.path, to)
        if box is None:
            return []
        # Of a hatch that fills far more than what is seen, only that.
        box = max(box[0], 0), max(box[1], 0), min(box[2], self.picture.width), min(box[3], self.picture.height)
        if not (box[0] < box[2] and box[1] < box[3]):
            return []
        pen = f"{self._pen(Pen(hatch.colour, hatch.width))},draw opacity={hatch.opacity:.2f}"
        lines = " ".join(f"{self.at(ax, ay)} -- {self.at(bx, by)}" for ax, ay, bx, by in hatch_lines(hatch.tile, box))
        return [r"\begin{scope}", f"\\clip {path};", f"\\path[{pen}] {lines};", r"\end{scope}"] if lines else []

    def _text(self, text: Text) -> str:
        anchor = {"start": "base west", "middle": "base", "end": "base east"}[text.anchor]
        size = text.size * _POINT
        says = name_as_math(text.text) if text.is_name else words(text.text)
        font = f"font=\\fontsize{{{size:.1f}}}{{{1.2 * size:.1f}}}\\selectfont"
        return f"\\node[anchor={anchor},inner sep=0pt,text={self.colour(text.colour)},{font}] at {self.at(text.x, text.y)} {{{says}}};"
