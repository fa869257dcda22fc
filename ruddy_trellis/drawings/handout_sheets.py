"""A sheet of a handout: a board's figure to scale or as wide as there is room, its questions, its working, its answers."""

from types import SimpleNamespace
from typing import Any

from ..core.kinds import CLAIM
from ..core.language.printing import sentence
from ..core.lesson.file import board_from_store
from ..core.lesson.handout import answers, given, questions, told
from ..core.refusal import Refusal
from ..core.truth.reasons.telling import told_reason
from ..core.truth.verdicts import STANDS, first_verdict
from .boards import as_opened, centimetres, picture_of_board, under
from .svg import svg_text
from .wanted import Wanted

#: What of a sheet can be printed on, millimetres; as wide is a figure that is not to scale, of one, two or four on a sheet.
_WIDE, _HIGH, _FITTED = 180, 250, {1: 175, 2: 130, 4: 84}
_MM = 25.4 / 96
#: On paper lines and letters are this much finer than on the screen.
_FINER = 1.35
#: Of so many claims the reasons are looked for, and for how long each, in seconds.
_CLAIMS, _SECONDS = 4, 4.0


def sheet_of(document: str, number: int, chosen: dict[str, Any], photographs: dict[str, bytes], asked: list[str] | None) -> dict[str, Any]:
    """The parts of a sheet, the drawings among them as SVG.

    Args:
        document: the text that is kept of the board; ``number`` its place among the sheets.
        chosen: what was chosen (see ``web.lessons.handout``).
        photographs: pictures under boards, by their marks.
        asked: the questions, or None for what the board asks.
    """
    return _Sheet(board_from_store(document), number, SimpleNamespace(**chosen), photographs).told(asked)


class _Sheet:
    """What stands on the handout of one board."""

    def __init__(self, board, number, chosen, photographs):
        self.board, self.number, self.chosen = board, number, chosen
        self.photograph = under(board, photographs)
        self.asks, self.says = questions(board), told(board)

    def told(self, asked):
        """Its parts for the page. ``asked`` are the questions, or None for what the board asks."""
        board, chosen = self.board, self.chosen
        drawn, why = self._figure()
        to_scale = drawn is not None and chosen.size == "scale" and not why
        return {
            "title": board.settings.title,
            "drawn": drawn,
            "told": why,
            "says": [text for id, text in self.says.items() if id not in as_opened(board).closed],
            "asked": [text for text in (self.asks.values() if asked is None else asked) if text.strip()],
            "working": [sentence(board, step.id) for step in board.steps] if chosen.working else [],
            "whole": self._whole() if chosen.answered else None,
            "answers": answers(board) if chosen.answered else [],
            "reasons": self._reasons(),
            "gaps": chosen.reasons,
            "scale": f"1 cm is {1 / centimetres(board.settings):.6g} {board.settings.unit or 'units'}" if to_scale else "",
        }

    def _reasons(self):
        """The reasons for the claims that hold, in words; of so many claims at most, as each takes its time."""
        if self.chosen.reasons == "none":
            return []
        claims = [step.id for step in self.board.steps if step.makes == CLAIM][:_CLAIMS]
        known = [id for id in claims if first_verdict(self.board, id).verdict == STANDS]
        return [told for id in known if (told := told_reason(self.board, id, self.chosen.words, _SECONDS)) is not None]

    @property
    def _look(self):
        # What stands beside the figure is not written on it as well.
        closed = [*as_opened(self.board).closed, *self.asks, *self.says]
        return Wanted(closed=closed, ink_only=self.chosen.ink_only, grid=self.chosen.grid, ground="white")

    def _figure(self):
        """The figure as markup, and in words why it is not to scale where it should be."""
        look, chosen = self._look, self.chosen
        if chosen.figure == "none":
            return None, ""
        if chosen.figure == "given":
            begun = given(self.board)
            look = look.model_copy(update={"closed": [step.id for step in self.board.steps if step.id not in begun], "readings": False})
        if chosen.size == "fitted":
            return self._fitted(look, int(chosen.a_sheet)), ""
        try:
            picture = picture_of_board(self.board, look.model_copy(update={"size": "scale", "part": "all"}), self.photograph)
        except Refusal as refusal:
            return self._fitted(look, int(chosen.a_sheet)), refusal.sentence
        if picture.width * _MM <= _WIDE and picture.height * _MM <= _HIGH:
            return self._markup(picture, picture.width * _MM, "sheet"), ""
        why = "At its scale the figure is larger than this sheet. “Pages (PDF)” under Paper and files puts it on several."
        return self._fitted(look.model_copy(update={"part": "all"}), int(chosen.a_sheet)), why

    def _whole(self):
        """The figure with everything shown and every cover lifted, for the answers."""
        lifted = [step.id for step in self.board.steps]
        return self._fitted(self._look.model_copy(update={"closed": [*self.asks, *self.says], "lifted": lifted}), 2, "answers")

    def _fitted(self, look, a_sheet, prefix="sheet"):
        wide = _FITTED[a_sheet]
        look = look.model_copy(update={"wide": wide / _MM * _FINER})
        return self._markup(picture_of_board(self.board, look, self.photograph), wide, prefix)

    def _markup(self, picture, width_mm, prefix):
        return svg_text(picture, is_small=True, width_mm=width_mm, prefix=f"{prefix}{self.number}-")
