"""A file of any kind that can come in, from bytes to a working: in the forms in which it can go to another process and back."""

from collections.abc import Collection

from ..core.refusal import Refusal
from .as_sentences import sentences
from .dxf import read_dxf
from .found import Found
from .points_csv import decoded, read_points
from .svg import read_svg

#: What a file is, by the ending of its name.
ENDINGS = {"csv": "points", "tsv": "points", "svg": "svg", "dxf": "dxf", "txt": "working", "text": "working"}
_PICTURES = {"png", "jpg", "jpeg"}
TAKEN = "a lesson or a working of this program, points as CSV, drawings as SVG or DXF, pictures as PNG or JPEG"


def kind_of(name: str, content: bytes) -> str:
    """What a file is, by what is in it, then by its name: "lesson", "points", "svg", "dxf", "picture" or "working". Raises Refusal."""
    ending = name.rpartition(".")[2].lower()
    start = content[:1000].lstrip(b"\xef\xbb\xbf \t\r\n")
    if content.startswith((b"\x89PNG\r\n", b"\xff\xd8\xff")):
        return "picture"
    if ending in _PICTURES:
        raise Refusal("That file is called a picture, but there is no PNG or JPEG in it.")
    if start.startswith(b"{"):
        return "lesson"
    if start.startswith(b"<"):
        return "svg"
    if ending in ENDINGS:
        return ENDINGS[ending]
    if start[:12].split()[:2] == [b"0", b"SECTION"]:
        return "dxf"
    raise Refusal(f"That is none of the files that can come in: {TAKEN}.")


def working_of(kind: str, content: bytes, taken: Collection[str], per_centimetre: float, middle: tuple[float, float]) -> tuple[str, str]:
    """The working that a file of points, a drawing or a text becomes.

    Args:
        kind: as ``kind_of`` says.
        taken: the names that the board has already.
        per_centimetre: how many board units a centimetre is.
        middle: where what has no place of its own is put: the middle of what is seen.

    Returns:
        The working, and in words what could not be read, or nothing.

    Raises:
        Refusal: saying what cannot be read.
    """
    if kind == "working":
        text = decoded(content)
        if not text.strip():
            raise Refusal("There is nothing in that file.")
        return text, ""
    found: Found = read_points(content) if kind == "points" else {"svg": read_svg, "dxf": read_dxf}[kind](content, per_centimetre)
    if not found.is_placed:
        left, low, right, high = found.box()
        found = found.moved(middle[0] - (left + right) / 2, middle[1] - (low + high) / 2)
        found.check()
    return "\n".join(sentences(found, taken)), found.what_was_left()
