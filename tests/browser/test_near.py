"""The hand beside the drawing: with the server far away a drag answers at once, and what it comes to is what the server keeps."""

import json
import time

from playwright.sync_api import expect

from ruddy_trellis.core.board.copying import steps_and_settings
from tests.near.drags import apart, messages, told
from tests.near.test_near import SAMPLED_SHARE, boards, is_sampled

from .board_page import BoardPage
from .served import BrowserTest, long_walk
from .slow_line import SlowLine

#: Notes when each position of a drag was drawn. Whatever draws hands the moved items to the painter.
NOTE_WHAT_IS_DRAWN = """
const post = Worker.prototype.postMessage;
window.drawn = [];
Worker.prototype.postMessage = function (message, ...more) {
  if (message.moved || message.movedText) drawn.push(performance.now());
  return post.call(this, message, ...more);
};
"""
#: Boards and what is asked of their copies, in a thread like that of the page, started until it starts from the memory that this browser
#: has kept. Answers with what is told of each.
DRAG_THERE = """async (boards) => {
  const root = document.getElementById("board");
  const script = document.querySelector("script[type=module]").src.replace("page/teacher.js", "near/worker.js");
  let worker, begun;
  const next = () => new Promise((done) => { worker.onmessage = ({ data }) => done(data); });
  const ask = (message) => { const answer = next(); worker.postMessage(message); return answer; };
  for (let tries = 0; tries < 8 && !begun?.remembered; tries++) {
    worker?.terminate();
    worker = new Worker(script, { type: "module" });
    begun = await ask({ kind: "begin", places: JSON.parse(root.dataset.near) });
    if (begun.kind !== "ready") throw new Error(begun.words);
    await new Promise((done) => setTimeout(done, 1000));
  }
  if (!begun.remembered) throw new Error("Its memory was not kept.");
  const found = [];
  for (const [text, ...messages] of boards) {
    const told = [];
    const opened = await ask({ kind: "open", number: 0, text });
    worker.postMessage({ kind: "look", text: JSON.stringify(JSON.parse(text).settings.view) });
    if (opened.kind !== "opened") told.push(opened.words);
    for (const message of messages) {
      const answer = await ask({ kind: "take", text: message });
      told.push(answer.text ?? answer.words);
    }
    found.push(told);
  }
  worker.terminate();
  return found;
}"""
#: Which of some words stand in the memory that is kept of the runtime.
IN_ITS_MEMORY = """(words) => new Promise((done) => {
  indexedDB.open("ruddy-trellis-near").onsuccess = ({ target: { result } }) => {
    const entries = result.transaction("compiled").objectStore("compiled").openCursor();
    const found = new Set();
    entries.onsuccess = ({ target: { result: entry } }) => {
      if (!entry) return done([...found]);
      const text = new TextDecoder("latin1").decode(entry.value);
      if (entry.key.endsWith(" memory")) for (const word of words) if (text.includes(word)) found.add(word);
      entry.continue();
    };
  };
})"""
#: Notes how long after the pointer's next move these words stand beside it, milliseconds.
WHEN_SAID = """(words) => {
  window.saidAfter = undefined;
  let began;
  addEventListener("pointermove", () => { began ??= performance.now(); }, { capture: true, once: true });
  const looks = setInterval(() => {
    if (began && document.getElementById("pointer-words").textContent.includes(`point ${words}`)) {
      window.saidAfter = performance.now() - began;
      clearInterval(looks);
    }
  }, 5);
}"""
#: Notes when a thing of a name is drawn, counted from Enter.
WHEN_NAMED = """(name) => {
  window.drawnAfter = undefined;
  let began;
  addEventListener("keydown", ({ key }) => { if (key === "Enter") began = performance.now(); }, { capture: true, once: true });
  const looks = setInterval(() => {
    if (!began || !document.querySelector(`li[data-label="${name}"]`)) return;
    window.drawnAfter = performance.now() - began;
    clearInterval(looks);
  }, 5);
}"""
#: How long the runtime may take to start here, milliseconds.
START = 90_000


class NearTest(BrowserTest):
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

    def test_a_drag_answers_at_once_and_the_server_keeps_what_was_seen(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the circle through A, B and C", "the length of AB")
        page = self.page
        page.mouse.move(*b.pixel(4, 0))
        page.mouse.down()
        places = [b.pixel(4 + step / 12, step / 12) for step in range(1, 25)]
        page.evaluate("drawn.length = 0")
        began = page.evaluate("performance.now()")
        for place in places:
            page.mouse.move(*place)
            page.wait_for_timeout(16)
        took = page.evaluate("performance.now()") - began
        drawn = page.evaluate("drawn.length")
        # Over the line alone there would be one position for each time there and back.
        self.assertGreater(drawn, 3 * took / 1000 / self.far, f"{drawn} positions in {took:.0f} ms")
        page.mouse.up()
        b.settle()
        self.assertEqual([round(part, 6) for part in b.value("B")], [6, 2])
        self.assertIn("6.32", " ".join(b.tags()))
        # With a tool in the hand the pointer says at once what a click would take, the second gap as well as the first.
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        page.keyboard.press("Escape")
        page.click("[data-tool=midpoint]")
        b.settle()
        for words, place in (("A", (0, 0)), ("C", (1, 3))):
            spot = b.pixel(*place)
            page.mouse.move(*b.pixel(-3, -2))
            page.wait_for_timeout(900)
            page.evaluate(WHEN_SAID, words)
            page.mouse.move(*spot)
            page.wait_for_timeout(700)
            self.assertLess(page.evaluate("window.saidAfter ?? 1e6"), 1000 * self.far, words)
            page.mouse.down()
            page.mouse.up()
            b.settle()
        self.assertIn("is the midpoint of AC", "\n".join(b.working()))

    def test_of_a_drag_at_which_nobody_else_looks_the_server_hears_little(self):
        self.line.delay = 0.0
        b = self.opened("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB")
        page = self.page
        page.evaluate("""() => {
            window.told = 0;
            const send = WebSocket.prototype.send;
            WebSocket.prototype.send = function (text) { told += text.startsWith('{"t":"drag"'); return send.call(this, text); };
        }""")

        def told_in_a_drag(x):
            page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
            page.mouse.move(*b.pixel(x, 0))
            page.mouse.down()
            page.evaluate("told = 0")
            for step in range(60):
                page.mouse.move(*b.pixel(x + step / 60, step / 40))
                page.wait_for_timeout(25)
            told = page.evaluate("told")
            for step in range(3):
                page.mouse.move(*b.pixel(x, -step / 10))
            page.mouse.move(*b.pixel(x, 0))
            page.mouse.up()
            b.settle()
            return told

        self.assertLessEqual(told_in_a_drag(4), 2)
        self.assertEqual([round(part, 6) for part in b.value("B")], [4, 0], "where it was let go")
        other = page.context.new_page()
        other.goto(page.url)
        expect(other.locator("#saved")).to_have_text("Saved", timeout=30_000)
        page.wait_for_timeout(1500)
        self.assertGreaterEqual(told_in_a_drag(4), 5)

    @long_walk
    def test_what_is_only_asked_is_answered_at_once_and_the_server_has_the_last_word(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the polygon through A, B and C")
        page = self.page
        page.keyboard.press("Escape")
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        page.wait_for_timeout(3000)
        when = """(wanted) => {
          const began = performance.now();
          window.after = undefined;
          const looks = setInterval(() => {
            const offered = document.getElementById("onward-choices").innerText;
            if (offered !== wanted) { window.after = performance.now() - began; clearInterval(looks); }
          }, 4);
        }"""
        for name in "ABC":
            page.mouse.move(*b.pixel(*b.value(name)))
            page.wait_for_timeout(100)
            page.evaluate(when, page.inner_text("#onward-choices"))
            page.mouse.down()
            page.mouse.up()
            page.wait_for_function("() => window.after !== undefined")
            self.assertLess(page.evaluate("window.after"), 700 * self.far, name)
            self.assertTrue(page.locator("#onward-choices button").count(), name)
        offered = page.inner_text("#onward-choices")
        b.settle()
        self.assertEqual(page.inner_text("#onward-choices"), offered, "the server says the same")
        page.fill("#typed", "the midp")
        page.wait_for_selector("#ways li", timeout=int(700 * self.far))
        b.settle()
        self.assertIn("midpoint", page.inner_text("#ways"))
        page.keyboard.press("Escape")
        # The offer that was shown by the copy is taken by the server.
        page.keyboard.press("Escape")
        b.click_point("A")
        b.click_point("B", shift=True)
        first = page.inner_text("#onward-choices button")
        page.keyboard.press("1")
        b.settle()
        self.assertEqual(len(b.board.steps), 5, first)

    def test_what_is_done_is_drawn_at_once_and_the_server_has_the_last_word(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)")
        page = self.page
        self.line.delay = 1.0  # so far that a busy machine answers sooner
        page.evaluate(WHEN_NAMED, "M")
        page.fill("#typed", "M is the midpoint of AB")
        page.press("#typed", "Enter")
        page.wait_for_function("() => window.drawnAfter")
        self.assertLess(page.evaluate("drawnAfter"), 1800)
        b.settle()
        self.assertEqual(b.board.steps[-1].name, "M")
        # The same with a tool and the mouse: the second click completes the sentence.
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        page.keyboard.press("Escape")
        page.click("[data-tool=midpoint]")
        page.wait_for_timeout(2500)
        b.click_point("B")
        page.wait_for_timeout(2500)
        page.mouse.click(*b.pixel(2, 0))
        clicked = page.evaluate("performance.now()")
        page.wait_for_selector('li[data-label="C"]', state="attached")
        self.assertLess(page.evaluate("performance.now()") - clicked, 1800)
        b.settle()
        self.assertEqual(b.value("C"), (3, 0))
        page.keyboard.press("Escape")
        # Somebody else was quicker: what was foreseen goes again.
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        other = self.page.context.new_page()
        other.goto(page.url.replace(self.line.address, self.server.address))
        other.wait_for_selector("#saved:text-is('Saved')", state="attached")
        page.evaluate(WHEN_NAMED, "N")
        page.fill("#typed", "N is the midpoint of AM")
        other.fill("#typed", "delete C")
        other.press("#typed", "Enter")
        page.press("#typed", "Enter")
        page.wait_for_function("() => window.drawnAfter")
        other.fill("#typed", "delete A")
        other.press("#typed", "Enter")
        page.wait_for_timeout(5000)
        b.settle()
        self.assertEqual(sorted(b.names()), sorted(step.name for step in b.board.steps))

    @long_walk
    def test_what_was_foreseen_and_is_refused_goes_from_the_drawing(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB")
        page = self.page
        other = page.context.new_page()
        other.goto(page.url.replace(self.line.address, self.server.address))
        other.wait_for_selector("#saved:text-is('Saved')", state="attached")
        other.fill("#typed", "delete M")
        self.line.hold()
        page.evaluate(WHEN_NAMED, "N")
        page.fill("#typed", "N is the midpoint of AM")
        page.press("#typed", "Enter")
        page.wait_for_function("() => window.drawnAfter")
        self.assertEqual(page.inner_text("#saved"), "Saving…")
        other.press("#typed", "Enter")
        other.wait_for_selector('li[data-label="M"]', state="detached")
        self.line.let_go()
        page.wait_for_selector('li[data-label="N"]', state="detached")
        page.locator("#toast", has_text="M is not there").wait_for()
        b.settle()
        self.assertEqual(sorted(b.names()), ["A", "B"])

    def test_a_line_that_does_not_answer_is_taken_for_cut(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)")
        page = self.page
        self.line.hold()
        page.fill("#typed", "M is the midpoint of AB")
        page.press("#typed", "Enter")
        self.not_saved(1)  # it is done here, and again at the server: once, though it may come there by the first way as well
        page.fill("#typed", "N is the midpoint of MB")
        page.press("#typed", "Enter")
        self.not_saved(2)
        self.line.let_go()
        page.locator("#toast", has_text="2 changes are saved").wait_for()
        b.settle()
        self.assertEqual(sorted(step.name for step in b.board.steps), ["A", "B", "M", "N"])
        self.assertEqual(b.board.value(b.board.find("N")), (3, 0))

    @long_walk
    def test_what_two_windows_of_one_browser_have_left_is_all_sent(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)")
        address = self.page.url
        other = self.page.context.new_page()
        other.goto(address)
        other.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        self.cut()
        other.wait_for_selector("#saved:text('No line')", state="attached")
        for window, words in ((self.page, "M is the midpoint of AB"), (other, "N = (1, 5)"), (other, "O is the midpoint of NB")):
            window.fill("#typed", words)
            window.press("#typed", "Enter")
            window.wait_for_function("(name) => document.getElementById('seen').textContent.includes(name)", arg=f"{words[0]} is")
        self.not_saved(1)
        other.wait_for_selector("#saved:text-is('Not saved yet: 2 changes')", state="attached")
        for window in (self.page, other):
            window.close()
        self.line.mend()
        self.page = b.page.context.new_page()
        self.page.goto(address)
        last = BoardPage(self.page, self.server.address)
        self.page.locator("#toast", has_text="saved").wait_for()
        self.page.wait_for_timeout(2000)
        last._ready()
        self.assertEqual(sorted(step.name for step in last.board.steps), ["A", "B", "M", "N", "O"])
        board = last.board
        self.assertEqual(board.value(board.find("O")), (2.5, 2.5))
        self.assertEqual(self.page.evaluate("Object.keys(localStorage).filter((name) => name.includes('unsent'))"), [])

    def test_both_hands_come_to_the_same_bits(self):
        page = self.page
        page.goto(self.server.address + "/")
        page.click("text=Any four-sided bed")
        page.wait_for_selector("#board[data-near]", state="attached")
        texts = [json.dumps(steps_and_settings(board)) for board in boards()]
        here = [told(text, number) for number, text in enumerate(texts)]
        there = page.evaluate(DRAG_THERE, [[text, *messages(text, number)] for number, text in enumerate(texts)])
        found = []
        for number, (board, one, other) in enumerate(zip(boards(), here, there, strict=True)):
            share = SAMPLED_SHARE if is_sampled(board) else 0.0
            different = apart(list(map(json.loads, one)), list(map(json.loads, other)), share)
            found += [f"board {number}: {different}"] if different else []
        self.assertFalse(found, f"{len(found)} boards are apart")
        # What is kept of its memory is as it was before anything of a person or a board was in it.
        words = ["perpendicular bisector", "Any four-sided bed", "maud.alder", page.url.rsplit("/", 2)[1], "Orchard"]
        self.assertEqual(page.evaluate(IN_ITS_MEMORY, words), words[:1])

    @long_walk
    def test_undo_and_a_drag_after_it(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "the segment from A to B")
        b.drag_point("B", (2, 2))
        self.assertEqual([round(part, 6) for part in b.value("B")], [2, 2])
        self.page.click("#undo")
        b.settle()
        self.assertEqual(b.value("B"), (4, 0))
        self.page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        b.drag_point("B", (1, -2))
        self.assertEqual([round(part, 6) for part in b.value("B")], [1, -2])

    @long_walk
    def test_a_change_from_another_window_in_the_middle_of_a_drag(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "the midpoint M of AB")
        page = self.page
        other = page.context.new_page()
        second = BoardPage(other, self.server.address)
        other.goto(page.url.replace(self.line.address, self.server.address))
        second._ready()
        page.bring_to_front()
        page.mouse.move(*b.pixel(4, 0))
        page.mouse.down()
        page.mouse.move(*b.pixel(4, 1), steps=4)
        other.evaluate("line.socket.send(JSON.stringify({t: 'say', text: 'Z = (-3, -3)'}))")
        time.sleep(2 * self.far)
        page.mouse.move(*b.pixel(5, 2), steps=6)
        time.sleep(3 * self.far)
        page.mouse.move(*b.pixel(6, 2), steps=3)
        page.mouse.up()
        b.settle()
        self.assertEqual([round(part, 6) for part in b.value("B")], [6, 2])
        self.assertEqual([round(part, 6) for part in b.value("M")], [3, 1])
        self.assertEqual(b.value("Z"), (-3, -3))

    @long_walk
    def test_the_line_is_cut_while_something_is_held(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "the segment from A to B")
        page = self.page
        page.mouse.move(*b.pixel(4, 0))
        page.mouse.down()
        page.mouse.move(*b.pixel(5, 1), steps=4)
        page.wait_for_timeout(1000)
        self.line.cut()
        page.mouse.move(*b.pixel(6, 2), steps=4)
        page.mouse.up()
        page.wait_for_selector("#saved:text('Not saved yet: 1 change')", state="attached")
        self.line.mend()
        page.wait_for_selector("#saved:text-is('Saved')", state="attached")
        b.settle()
        self.assertEqual([round(part, 6) for part in b.value("B")], [6, 2], "what was held went on")

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

    def test_without_a_line_one_goes_on_and_nothing_is_lost(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "C = (1, 3)", "the polygon through A, B and C", "d is the length of AB")
        page = self.page
        self.cut()
        page.click("#present")  # what shows it is fetched when it is first asked for
        expect(page.locator("#toast")).to_contain_text("when the line is back")
        b.drag((4, 0), (6, 2), drop=False)
        page.mouse.up()
        self.not_saved(1)
        page.fill("#typed", "M is the midpoint of AB")
        page.press("#typed", "Enter")
        self.not_saved(2)
        page.keyboard.press("Escape")
        page.click("[data-group=Lines]")
        page.click("[data-tool=segment]")
        for place in ((1, 3), (3, 1)):
            page.mouse.move(*b.pixel(*place), steps=2)
            page.mouse.down()
            page.mouse.up()
        self.not_saved(3)
        page.keyboard.press("Escape")
        page.focus("#drawing")
        page.keyboard.press("Control+z")
        self.not_saved(2)
        page.keyboard.press("Control+y")
        self.not_saved(3)
        for _ in range(3):
            page.keyboard.press("Control+z")
        page.wait_for_selector("#saved:text-is('No line: go on')", state="attached")
        page.keyboard.press("Control+z")
        self.page.locator("#toast", has_text="Without the line only what is not saved yet can be undone").wait_for()
        for count in (1, 2, 3):
            page.keyboard.press("Control+y")
            self.not_saved(count)
        self.assertEqual(b.value("B"), (4, 0), "the server knows nothing of it")
        self.mend(b, "3 changes are saved")
        self.assertEqual([round(part, 6) for part in b.value("B")], [6, 2])
        self.assertEqual([round(part, 6) for part in b.value("M")], [3, 1])
        self.assertEqual(b.board.steps[-1].does, "segment")
        # All of it can be undone as ever, and it goes on over the line.
        page.keyboard.press("Control+z")
        b.settle()
        self.assertEqual(b.board.steps[-1].does, "midpoint")
        b.say("N is the midpoint of BC")
        self.assertEqual(b.board.steps[-1].name, "N")

    @long_walk
    def test_what_was_left_is_sent_by_the_next_page_after_what_others_did(self):
        b = self.opened("A = (0, 0)", "B = (4, 0)", "N is the midpoint of AB")
        page = self.page
        self.cut()
        page.fill("#typed", "k is the circle with centre N through A")
        page.press("#typed", "Enter")
        self.not_saved(1)
        address = page.url
        page.close()
        other = self.open_page()
        second = BoardPage(other, self.server.address)
        other.goto(address.replace(self.line.address, self.server.address))
        second._ready()
        second.say("Z = (-3, -3)")
        other.goto(self.server.address + "/")
        self.page = self.page.context.new_page()
        self.page.goto(self.server.address + "/")
        self.assertTrue(self.page.is_hidden("#unsent"), "another address keeps what is its own")
        self.line.mend()
        self.page.goto(self.line.address + "/")
        self.page.locator("#unsent", has_text="1 change of").wait_for()
        b = BoardPage(self.page, self.line.address)
        self.page.goto(address)
        self.page.locator("#toast", has_text="1 change is saved").wait_for()
        b.address = self.server.address
        b._ready()
        self.assertEqual([step.name for step in b.board.steps][-2:], ["Z", "k"])
        self.assertIn("k is the circle with centre N through A", b.working()[-1])
        self.page.goto(self.line.address + "/")
        self.page.locator("h1", has_text="Lessons").wait_for()
        self.assertTrue(self.page.is_hidden("#unsent"))
