"""A class in the test's own process: its teacher, and people who come in."""

import re

from ruddy_trellis.web.classroom import coming_in

from ..web.served import Line, WebTest, wait_until

coming_in._TAKES = 0.0


class Somebody:
    """Somebody who has come in: a browser of their own, with its lines."""

    def __init__(self, case, code, name):
        self.case, self.client = case, case.new_client()
        answer = self.client.post("/in", data={"code": code, "name": name}, follow_redirects=False)
        assert answer.status_code == 303, answer.text
        self.welcome = self.client.get(answer.headers["location"]).text
        self.class_id = int(answer.headers["location"].split("/")[2])
        self.line = None

    def word(self):
        """The word for coming back that they were told."""
        return re.search(r'class="return-word">([^<]*)<', self.welcome)[1]

    def open_line(self, board=None):
        """Open the line of the class, and say which board is open."""
        self.line = Line(self.case.enterContext(self.client.websocket_connect(f"/class/{self.class_id}/line")))
        if board is not None:
            self.line.send("at", board=board)
        return self.line

    def open_board(self, board):
        """Open the line to their own copy of a board."""
        line = Line(self.case.enterContext(self.client.websocket_connect(f"/class/{self.class_id}/{board}/live")))
        line.first = line.until("board")
        return line


class ClassTest(WebTest):
    """A lesson with one board of two pegs and their midpoint, open for a class."""

    def setUp(self):
        super().setUp()
        self.board = self.new_board()
        self.lesson, _ = next(pair for pair in self.own_lessons() if pair[1] == self.board)
        self.desk = Line(self.enterContext(self.client.websocket_connect(f"/boards/{self.board}/live")))
        for text in ("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB"):
            self.desk.say(text)
        self.open_class()

    def open_class(self):
        page = self.client.post(f"/lessons/{self.lesson.slug}/class").text
        self.class_id = int(re.search(r'data-class="(\d+)"', page)[1])
        self.code = re.search(r'class="class-sign"[^>]*>([^<]*)<', page)[1]
        self.room = self.application.state.live_classes.get(self.class_id)

    def page(self):
        """A line of a page of the teacher's."""
        return Line(self.enterContext(self.client.websocket_connect(f"/classes/{self.class_id}/line")))

    def somebody(self, name="fox"):
        return Somebody(self, self.code, name)


__all__ = ["ClassTest", "Somebody", "wait_until"]
