"""A board page as a person meets it: clicks and keys by the names of things and by board positions."""

import json
import math

from ruddy_trellis.core.display import Extent, display
from ruddy_trellis.core.display.palette import SIZES
from ruddy_trellis.core.language.printing import working_text
from ruddy_trellis.core.lesson.file import lesson_from_json
from ruddy_trellis.core.pointing.picking import crossing_near, look_under

#: What the page itself knows of its line: when something went or came last, and when something came that changes what is drawn or listed.
NOTE_THE_LINE = """
if (!window.line) {
  window.line = {last: performance.now(), changed: performance.now(), asked: 1e6, answered: 1e6};
  // Nothing is drawn or listed later for these.
  const unseen = new Set(["prompt", "heard", "said", "stuck", "under", "completions", "offers", "frames", "here"]);
  const send = WebSocket.prototype.send;
  WebSocket.prototype.send = function (text) {
    if (!this.url.endsWith("/live")) return send.call(this, text);  // that of a class
    if (!text.startsWith('{"t":"here"')) line.last = performance.now();
    if (text.startsWith('{"t":"view"')) line.view = JSON.parse(text).view;
    line.socket = this;
    return send.call(this, text);
  };
  window.WebSocket = class extends WebSocket {
    constructor(...where) {
      super(...where);
      if (!this.url.endsWith("/live")) return;
      this.addEventListener("message", ({data}) => {
        const {t, number} = JSON.parse(data);
        if (t === "here") line.answered = Math.max(line.answered, number);
        else if (t !== "frames") line.last = performance.now();
        if (!unseen.has(t)) line.changed = line.last;
      });
    }
  };
}
"""

#: What the mouse or a key did has reached the page when it has painted once more. Then, at most for 20 seconds: the server has answered
#: all that was sent, nothing goes or comes for 40 ms, and nothing has changed for 100 (the panel is asked for again, and the list of
#: what is seen is told, 60 ms later).
SETTLED = """async () => {
  const later = (time) => new Promise((done) => setTimeout(done, time));
  await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
  if (!window.line) return later(300);  // the board is in a frame of this page
  const began = performance.now();
  let asked = 0;
  while (performance.now() - began < 20_000) {
    const open = line.socket?.readyState === WebSocket.OPEN;
    if (open && asked <= line.last) {
      const number = ++line.asked;
      asked = performance.now();
      line.socket.send(JSON.stringify({t: "here", number}));
      while (line.answered < number && performance.now() - asked < 10_000) await later(4);
    }
    await later(15);
    const now = performance.now();
    const quiet = now - Math.max(line.last, began) > 40 && now - line.changed > 100 && (asked > line.last || !open);
    if (quiet && !document.querySelector(".htmx-request")) return;
  }
}"""


READ_LINE = """() => {
  const parts = [...document.getElementById("sentence").children, document.getElementById("typing")];
  parts.sort((a, b) => a.style.order - b.style.order);
  const field = document.getElementById("typed");
  const read = parts.map((part) => (part.id === "typing" ? field.value || field.placeholder : part.innerText));
  return [...read, document.getElementById("onward-choices").innerText, document.getElementById("onward-acts").innerText].join(" ");
}"""


class BoardPage:
    """Drives one board in one browser page."""

    def __init__(self, page, address):
        self.page, self.address = page, address
        self._read = self._board = None
        page.add_init_script(NOTE_THE_LINE)

    def start(self, title="A new bed"):
        """Make a new lesson from the list of lessons."""
        self.page.goto(self.address + "/")
        self.page.fill("#new-title", title)
        self.page.click("text=Start the lesson")
        return self._ready()

    def open(self, title):
        """Open a lesson of the list."""
        self.page.goto(self.address + "/")
        self.page.click(f".lesson:has-text('{title}')")
        return self._ready()

    def reload(self):
        self.page.reload()
        return self._ready()

    def _ready(self):
        self.page.wait_for_selector("#saved:text-is('Saved')", state="attached")
        self.page.wait_for_timeout(450)  # the view is told and kept
        self.slug = self.page.url.split("/lessons/")[1].split("?")[0]
        self.frame = self.page.locator("#drawing").bounding_box()
        return self

    # What the server has ------------------------------------------------------------------------------------

    @property
    def board(self):
        """The board as it is kept."""
        text = self.page.context.request.get(f"{self.address}/lessons/{self.slug}/lesson.json").text()
        if text != self._read:
            self._read, self._board = text, lesson_from_json(json.loads(text))[1][0]
        return self._board

    def working(self):
        return working_text(self.board).splitlines()

    def value(self, name):
        board = self.board
        return board.value(board.find(name))

    def reading(self, name):
        board = self.board
        return next(board.value(id) for id in board.ids_named(name) if board.step(id).is_reading)

    # Where things are ---------------------------------------------------------------------------------------

    def pixel(self, x, y):
        """Where a board position is on the screen."""
        left, low, right, high = self.board.settings.view
        frame = self.frame
        zoom = min(frame["width"] / (right - left), frame["height"] / (high - low))
        middle = frame["x"] + frame["width"] / 2, frame["y"] + frame["height"] / 2
        return middle[0] + (x - (left + right) / 2) * zoom, middle[1] - (y - (low + high) / 2) * zoom

    # What a person does -------------------------------------------------------------------------------------

    def settle(self):
        """Wait for what an act brings about: answers over the line, and a panel that is asked for anew."""
        self.page.evaluate(SETTLED)

    def move(self, x, y):
        self.page.mouse.move(*self.pixel(x, y), steps=3)
        self.settle()

    def click(self, x, y, shift=False):
        """Move to a board position and click there."""
        self.move(x, y)
        if shift:
            self.page.keyboard.down("Shift")
        self.page.mouse.down()
        self.page.mouse.up()
        if shift:
            self.page.keyboard.up("Shift")
        self.settle()

    def mark_crossing(self, first, second, near):
        """Put a point where two things meet, the nearest to a place, with the crossing tool."""
        board = self.board
        at = crossing_near(board, (board.find(first),), (board.find(second),), near).at
        self.tool("px")
        self.click(*at)

    def click_point(self, name, **how):
        self.click(*self.value(name)[:2], **how)

    def tool(self, keys):
        """Take a tool by its two letters."""
        self.page.keyboard.press(keys[0])
        self.page.keyboard.press(keys[1])
        self.settle()

    def escape(self):
        self.page.keyboard.press("Escape")
        self.settle()

    def drag(self, start, *stops, drop=True):
        """Press at a board position, move through others, let go."""
        self.page.mouse.move(*self.pixel(*start))
        self.page.mouse.down()
        for stop in stops:
            self.page.mouse.move(*self.pixel(*stop), steps=4)
            self.settle()
        if drop:
            self.page.mouse.up()
            self.page.wait_for_selector("#saved:text-is('Saved')")
            self.settle()

    def drag_point(self, name, *stops, **how):
        self.drag(self.value(name), *stops, **how)

    def say(self, *sentences):
        """Type sentences into the sentence bar."""
        for sentence in sentences:
            self.page.fill("#typed", sentence)
            self.page.press("#typed", "Enter")
            self.settle()

    def take_offer(self, words):
        offer = self.page.locator(f"#say button:visible:text-is('{words}')")
        if not offer.is_visible():
            self.page.click(".all-offers")
        offer.click()
        self.settle()

    def open_drawer(self, name):
        with self.page.expect_response(lambda answer: f"/panels/{name}" in answer.url):
            self.page.click(f"[data-panel={name}]")
        self.settle()

    # What a person sees -------------------------------------------------------------------------------------

    def toast(self):
        # The words stay there when they are no longer shown: a slow machine is not in time to see them.
        toast = self.page.locator("#toast span")
        return toast.text_content() if toast.count() else ""

    def pointer_words(self):
        words = self.page.locator("#pointer-words")
        return words.inner_text() if words.is_visible() else ""

    def sentence(self):
        """The line as it is read: its words and gaps, what the field asks for, and what stands under it."""
        return " ".join(self.page.evaluate(READ_LINE).split())

    def tags(self):
        """The texts of the readings that are seen on the board."""
        return self._seen("li[data-kind=number][data-label]", "e.dataset.label")

    def visible_things(self):
        return self._seen("li", "e.dataset.id")

    def names(self):
        """The names that are written on the board."""
        return self._seen("li:not([data-kind=number])[data-label]", "e.dataset.label")

    def lit(self):
        """The ids of what is lit."""
        return self._seen("li.lit", "e.dataset.id")

    def _seen(self, selector, what):
        return self.page.evaluate(f"[...document.querySelectorAll('#seen {selector}')].map(e => {what})")

    def label_pixel(self, name):
        """Where the name of a thing is written on the screen."""
        board = self.board
        (item,) = display(board, Extent(*board.settings.view), [board.find(name)])
        if item["label"] is None:
            return -1000, -1000
        x, y = self.pixel(*item["label"]["at"])
        dx, dy = item["label"]["offset"] or (SIZES["push"] * item["label"]["push"][0], -SIZES["push"] * item["label"]["push"][1])
        return x + dx, y + dy

    def pixel_free_place(self, on):
        """A board position on a line that is under nothing else, well inside the view."""
        board = self.board
        px, py, dx, dy = board.value(board.find(on))[:4]
        left, low, right, high = board.settings.view
        size = (dx * dx + dy * dy) ** 0.5
        for number in range(-60, 61):
            x, y = px + number * 0.2 * dx / size, py + number * 0.2 * dy / size
            if left + 1 < x < right - 1 and low + 1 < y < high - 1:
                at = look_under(board, (x, y), 0.6)
                if (
                    at.paths == ((board.find(on),),)
                    and not at.points
                    and all(
                        math.dist(self.pixel(x, y), self.label_pixel(board.name(step.id))) > 40
                        for step in board.steps
                        if board.value(step.id)
                    )
                ):
                    return x, y
        raise AssertionError(f"{on} is covered everywhere")
