"""A student's page of a shared lesson."""

import json
import sqlite3

from ruddy_trellis.core.lesson.file import BoardData, board_from_data

from .board_page import BoardPage


class StudentPage(BoardPage):
    """Drives a student's copy in one browser page, and reads it where the server keeps it."""

    def __init__(self, page, server):
        super().__init__(page, server.address)
        self.data = server.data

    def visit(self, link):
        self.page.goto(link)
        return self._ready()

    def look_into(self, frame):
        """The page shows the lesson in a frame: be ready to drag in it."""
        return self._ready(frame)

    def _ready(self, inside=None):
        inside = inside or self.page
        inside.locator("#saved:text-is('Saved')").wait_for(state="attached")
        self.page.wait_for_timeout(450)
        self.frame = inside.locator("#drawing").bounding_box()
        self.source = int(inside.locator("#board").get_attribute("data-live").split("/")[-2])
        return self

    def pixel(self, x, y):
        """Where a board position is on the screen: by what the page says that it shows, where it shows another part on small screens."""
        view = self.page.evaluate("window.line?.view")
        if view is None:
            return super().pixel(x, y)
        left, low, right, high = view
        frame = self.frame
        return frame["x"] + (x - left) / (right - left) * frame["width"], frame["y"] + (high - y) / (high - low) * frame["height"]

    @property
    def board(self):
        """The copy as it is kept, or the teacher's board where none is kept yet."""
        with sqlite3.connect(self.data) as connection:
            rows = connection.execute(
                "SELECT document FROM board WHERE copy_of = ? OR id = ? ORDER BY id DESC", (self.source, self.source)
            ).fetchall()
        connection.close()
        return board_from_data(BoardData.model_validate(json.loads(rows[0][0])))
