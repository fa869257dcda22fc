"""Boards as files of every kind, from text to bytes: in the forms in which they can go to another process and back."""

import io
import zipfile
from collections.abc import Mapping, Sequence
from html import escape

from ..core.board import Board
from ..core.language.printing import working_text
from ..core.lesson.file import board_from_store
from ..core.refusal import Refusal
from .boards import as_opened, centimetres, items_of, part_of, picture_of_board, under, without_covered
from .dxf import dxf_text
from .film import film_pictures, pictures_of_film, settled_film
from .pdf import Leaf, pdf_bytes
from .png import png_bytes
from .sheets import MOST, sheets_for
from .svg import svg_text
from .tables import log_csv, readings_csv
from .tikz import tikz_text
from .wanted import Film, Wanted

#: What a board can be written as: what the browser is told that it is.
KINDS = {
    "svg": "image/svg+xml", "png": "image/png", "pdf": "application/pdf", "tex": "application/x-tex", "dxf": "image/vnd.dxf",
    "csv": "text/csv; charset=utf-8", "log": "text/csv; charset=utf-8", "txt": "text/plain; charset=utf-8",
    "gif": "image/gif", "apng": "image/png",
}  # fmt: skip
#: What the name of a file ends with, where that is not the kind.
ENDINGS = {"apng": "png", "log": "csv"}
_TEN_MM = 10


def exported(kind: str, document: str, wanted: Wanted, photograph: bytes | None = None) -> bytes:
    """A board as a file.

    Args:
        kind: one of ``KINDS`` but for films.
        document: the text that is kept of the board; ``photograph`` the file of the picture that lies under it.

    Raises:
        Refusal: where what is wanted cannot be drawn.
    """
    return written(kind, board_from_store(document), wanted, photograph)


def written(kind: str, board: Board, wanted: Wanted, photograph: bytes | None = None) -> bytes:
    """As ``exported``, of a board."""
    if kind == "pdf":
        return pdf_bytes(_few(_leaves(board, wanted, photograph)), board.settings.title)
    if kind == "dxf":
        items = items_of(board, wanted, part_of(board, wanted))
        return dxf_text(items, _TEN_MM * centimetres(board.settings), wanted.names).encode()
    if kind == "csv":
        return readings_csv(board, wanted.lifted, wanted.closed).encode()
    if kind == "log":
        return log_csv(board, wanted.lifted).encode()
    if kind == "txt":
        return working_text(without_covered(board, wanted.lifted)).encode()
    picture = picture_of_board(board, wanted, photograph)
    if kind == "png":
        times = wanted.pixels / picture.width if wanted.size == "pixels" else 300 / 96  # 300 dots an inch, as printers have
        return png_bytes(picture, times)
    if kind == "tex":
        return tikz_text(picture).encode()
    width_mm = picture.width * 25.4 / 96 if wanted.size == "scale" else None
    return svg_text(picture, outlines=wanted.outlines, width_mm=width_mm).encode()


def _leaves(board: Board, wanted: Wanted, photograph: bytes | None) -> list[Leaf]:
    """The pages of a board: one of its own size, or to scale on as many sheets as it takes."""
    picture = picture_of_board(board, wanted, photograph)
    if wanted.size == "pixels" or wanted.paper == "own":
        return [Leaf(picture)]
    return [Leaf(picture, sheet) for sheet in sheets_for(picture, wanted.paper, wanted.landscape, board.settings.title)]


def _few(leaves: list[Leaf]) -> list[Leaf]:
    if len(leaves) > MOST:
        raise Refusal(f"That would be {len(leaves)} sheets; at most {MOST} are made. Choose a smaller part or larger paper.")
    return leaves


def exported_lesson(documents: Sequence[str], wanted: Wanted, title: str, photographs: Mapping[str, bytes]) -> bytes:
    """All boards of a lesson as one PDF, each as it is when it is opened."""
    leaves: list[Leaf] = []
    for document in documents:
        board = board_from_store(document)
        own = {"view": None, "part": "all" if wanted.part == "all" else "view", "lifted": [], "closed": as_opened(board).closed}
        leaves = _few(leaves + _leaves(board, wanted.model_copy(update=own), under(board, photographs)))
    return pdf_bytes(leaves, title)


def film_count(document: str, film: Film) -> int:
    """How many pictures a film of a board has. Raises Refusal where it has none."""
    board = board_from_store(document)
    return pictures_of_film(board, settled_film(board, film))


def film_part(document: str, wanted: Wanted, film: Film, first: int, count: int, photograph: bytes | None) -> list[bytes]:
    """Some pictures of a film."""
    board = board_from_store(document)
    return film_pictures(board, wanted, settled_film(board, film), first, count, photograph)


def board_files(document: str, photograph: bytes | None) -> dict[str, bytes]:
    """Everything that a board can be written as, by the names that files end with."""
    board = board_from_store(document)
    screen = as_opened(board)
    to_scale = screen.model_copy(update={"size": "scale", "part": "view", "paper": "own"})
    files = {".svg": written("svg", board, screen.model_copy(update={"outlines": True}), photograph)}
    files[".png"] = written("png", board, screen, photograph)
    files[".txt"] = written("txt", board, screen)
    for kind in ("pdf", "tex", "dxf"):
        try:
            files[f".{kind}"] = written(kind, board, to_scale, photograph)
        except Refusal:  # larger than any paper at its scale: then it is as large as it looks
            files[f".{kind}"] = written(kind, board, screen, photograph)
    if any(step.is_reading for step in board.steps):
        files["-readings.csv"] = written("csv", board, screen)
    if board.settings.log and board.settings.rows:
        files["-log.csv"] = written("log", board, screen)
    return files


def zipped(title: str, lesson: bytes, boards: Sequence[tuple[str, dict[str, bytes]]]) -> bytes:
    """A lesson with everything: its own file, the files of its boards, and a plain page that lists and shows them.

    Args:
        lesson: the lesson in the open format.
        boards: for each board its title and what ``board_files`` gives.
    """
    out = io.BytesIO()
    rows = []
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as archive:
        archive.writestr("lesson.json", lesson)
        for number, (name, files) in enumerate(boards, 1):
            links = []
            for ending, content in files.items():
                file = f"board-{number}{ending}"
                archive.writestr(file, content)
                links.append(f'<li><a href="{file}">{file}</a></li>')
            working = escape(files[".txt"].decode())
            rows.append(
                f'<section><h2>{escape(name)}</h2><img src="board-{number}.svg" alt=""><ul>{"".join(links)}</ul>'
                f"<details><summary>The working</summary><pre>{working}</pre></details></section>"
            )
        archive.writestr("index.html", _INDEX.format(title=escape(title), boards="".join(rows)))
    return out.getvalue()


_INDEX = """<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>{title}</title><meta name="viewport" content="width=device-width">
<style>body {{ font: 1.1rem/1.5 sans-serif; max-width: 60rem; margin: 2rem auto; padding: 0 1rem; color: #2b2a33 }}
img {{ max-width: 100%; border: 1px solid #dfd1b8 }} pre {{ white-space: pre-wrap }}</style></head>
<body><h1>{title}</h1><p>The lesson itself is <a href="lesson.json">lesson.json</a>: Ruddy Trellis opens it again.</p>{boards}</body></html>
"""
