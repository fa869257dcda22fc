"""A page whose hand is in the browser, behind a line to a server far away, and a script that notes in it what is seen when."""

from contextlib import contextmanager

from .board_page import BoardPage
from .served import BrowserTest
from .slow_line import SlowLine

#: Notes when each position of a drag was drawn. Whatever draws hands the moved items to the painter.
NOTE_WHAT_IS_DRAWN = """
const post = Worker.prototype.postMessage;
window.drawn = [];
Worker.prototype.postMessage = function (message, ...more) {
  if (message.moved || message.movedTold) drawn.push(performance.now());
  return post.call(this, message, ...more);
};
"""
#: Whether a script has come.
IS_FETCHED = "(name) => performance.getEntriesByType('resource').some((entry) => entry.name.endsWith(name) && entry.responseEnd)"
#: How long the runtime may take to start here, milliseconds.
START = 90_000


class SlowLineTest(BrowserTest):
    """A page whose hand is in the browser, behind a line to a server far away."""

    near = True
    #: What a browser says of a line that is cut.
    expected = ("ERR_SOCKET_NOT_CONNECTED", "ERR_EMPTY_RESPONSE")
    #: There and back, seconds: far more than anything takes here, even where much else is done beside it.
    far = 0.5

    def setUp(self):
        super().setUp()
        self.line = SlowLine(self.server.port, self.far)
        self.addCleanup(self.line.close)
        self.page.add_init_script(NOTE_WHAT_IS_DRAWN)

    def opened(self, *sentences):
        b = BoardPage(self.page, self.line.address).start("Beside a slow line")
        for sentence in sentences:
            b.say(sentence)
        b.address = self.server.address  # what is kept is asked of the server itself
        self.page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        return b

    @contextmanager
    def held(self):
        """Nothing goes through the line: what is seen meanwhile was made beside the drawing, however busy the machine is."""
        self.line.hold()
        try:
            yield
        finally:
            self.line.let_go()

    def cut(self):
        """Cut the line, once the copy is as the board is."""
        self.page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        self.line.cut()
        self.page.wait_for_selector("#saved:text('No line')", state="attached")

    def not_saved(self, count):
        self.page.wait_for_selector(f"#saved:text-is('Not saved yet: {count} change{'s' * (count != 1)}')", state="attached")

    def mend(self, b, words):
        self.line.mend()
        self.page.locator("#toast", has_text=words).wait_for()
        self.page.wait_for_selector("#saved:text-is('Saved')", state="attached")
        b.settle()
