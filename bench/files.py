"""What goes out and comes in, in the process that does it."""

import asyncio

from ruddy_trellis.core.lesson.file import board_to_text
from ruddy_trellis.drawings.exporting import exported, film_part
from ruddy_trellis.drawings.film import film_file
from ruddy_trellis.drawings.wanted import Film, Wanted
from ruddy_trellis.incoming.reading import working_of
from ruddy_trellis.web.worker import WRITER

from .core import timed
from .figures import rosette, wreath

_REACH = {"svg": "≤ 100 ms", "png": "≤ 1 s", "pdf": "≤ 1 s", "tex": "≤ 1 s", "dxf": "≤ 1 s"}


def rows():
    """The rows of the table about files."""
    with asyncio.Runner() as runner:
        do = lambda *work: runner.run(WRITER.do(*work))
        text = board_to_text(wreath().board)
        do(exported, "svg", text, Wanted())  # the process is there
        for kind, reach in _REACH.items():
            usual, slow = timed(lambda kind=kind: do(exported, kind, text, Wanted()), 25)
            yield f"a 200-step board as {kind.upper()}, in a worker", reach, f"{usual:.0f} ms median, {slow:.0f} ms p95"
        small = board_to_text(rosette().board)
        usual, _ = timed(lambda: do(film_part, small, Wanted(pixels=640), Film(seconds=4), 0, 10, None), 5)
        pictures = do(film_part, small, Wanted(pixels=640), Film(seconds=4), 0, 60, None)
        joined, _ = timed(lambda: do(film_file, pictures, Film(), "gif"), 3)
        yield "ten pictures of a film; sixty joined as GIF", "told as it goes, stopped at a click", f"{usual:.0f} ms; {joined:.0f} ms"
        for kind in ("svg", "dxf"):
            content = do(exported, kind, text, Wanted())
            usual, slow = timed(lambda kind=kind, content=content: do(working_of, kind, content, set(), 1.0, (0, 0)), 15)
            yield f"a 200-step board read back from {kind.upper()}", "–", f"{usual:.0f} ms median, {slow:.0f} ms p95"
    WRITER.close()
