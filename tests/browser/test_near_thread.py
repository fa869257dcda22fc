"""The thread of the hand: how it starts, what it keeps, and that it comes to the same bits as the server."""

import json
import marshal
import random
import time

from playwright.sync_api import expect

from ruddy_trellis.core.board.copying import steps_and_settings
from tests.near.drags import apart, messages, told
from tests.near.test_near import SAMPLED_SHARE, boards, is_sampled

from .served import BrowserTest, long_walk
from .slow_page import START
from .student_page import StudentPage

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
    await new Promise((done) => setTimeout(done, 1000 * (tries + 1)));  // it is kept when the worker has nothing else to do
  }
  if (!begun.remembered) throw new Error("Its memory was not kept.");
  const { unmarshalled } = await import(script.replace("near/worker.js", "drawing/marshalled.js"));
  const found = [];
  for (const [text, ...messages] of boards) {
    const told = [];
    const opened = await ask({ kind: "open", number: 0, text });
    worker.postMessage({ kind: "look", text: JSON.stringify(JSON.parse(text).settings.view) });
    if (opened.kind !== "opened") told.push(opened.words);
    for (const message of messages) {
      const answer = await ask({ kind: JSON.parse(message).t === "drag" ? "drag" : "take", text: message });
      told.push(answer.bytes ? JSON.stringify(unmarshalled(answer.bytes)) : answer.text ?? answer.words);
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


#: What was written by marshal, as JSON.
READ_THERE = """async (values) => {
  const script = document.querySelector("script[type=module]").src;
  const { unmarshalled } = await import(script.replace("page/teacher.js", "drawing/marshalled.js"));
  return values.map((bytes) => {
    try {
      return JSON.stringify(unmarshalled(new Uint8Array(bytes)));
    } catch (problem) {
      return problem.message;
    }
  });
}"""


def values(chance, depth=0):
    """A random value that JSON has, with what is spoken of again where that is so."""
    kinds = ["number", "number", "whole", "long", "text", "letters", "known"] + (["list", "tuple", "object"] if depth < 4 else [])
    match chance.choice(kinds):
        case "number":
            return chance.choice((chance.uniform(-9, 9), 1e300 * chance.random(), 5e-324, 0.1))
        case "whole":
            return chance.randint(-(2**31), 2**31 - 1)
        case "long":
            return chance.choice((-1, 1)) * chance.randint(2**31, 2**53)
        case "text":
            return chance.choice(("at", "points", "α = 66.3°", "𝔸", "", "midpoint of A and B", "é" * 300, "x" * 300))
        case "letters":
            return "".join(map(chr, chance.choices(range(32, 0xD000), k=chance.randint(0, 20))))
        case "known":
            return chance.choice((None, True, False, "shape"))
        case "object":
            return {values(chance, 9).__repr__(): values(chance, depth + 1) for _ in range(chance.randint(0, 4))}
        case kind:
            items = [values(chance, depth + 1) for _ in range(chance.choice((0, 1, 3, 300 if depth == 3 else 2)))]
            items += items[:1]  # the same one again
            return items if kind == "list" else tuple(items)


class ThreadTest(BrowserTest):
    near = True

    def test_what_is_told_as_bytes_is_what_would_be_told_as_text(self):
        self.page.goto(self.server.address + "/")
        self.page.click("text=Any four-sided bed")
        chance = random.Random(11)
        asked = [values(chance) for _ in range(2000)]
        found = self.page.evaluate(READ_THERE, [list(marshal.dumps(value, 4)) for value in asked])
        for value, text in zip(asked, found, strict=True):
            self.assertEqual(json.loads(text), json.loads(json.dumps(value)))
        unknown = self.page.evaluate(READ_THERE, [list(marshal.dumps(value, 4)) for value in (1j, b"bytes", {1})])
        self.assertTrue(all("There is no value of the kind" in words for words in unknown), unknown)

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


#: Notes whether a thread for the hand has started from memory that was kept.
NOTE_THE_START = """
window.Worker = class extends Worker {
  constructor(address, how) {
    super(address, how);
    this.addEventListener("message", ({ data }) => { if (data.kind === "ready") window.remembered = data.remembered; });
  }
};
"""


class FirstVisitTest(BrowserTest):
    near = True

    @long_walk
    def test_after_one_visit_the_next_starts_from_memory_in_which_nothing_of_a_person_is(self):
        page = self.page
        page.add_init_script(NOTE_THE_START)
        page.goto(self.server.address + "/")
        page.click("text=Any four-sided bed")
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        self.assertFalse(page.evaluate("window.remembered"))
        words = ["perpendicular bisector", "Any four-sided bed", "maud.alder", page.url.rsplit("/", 2)[1]]
        until = time.monotonic() + 90
        while time.monotonic() < until and not page.evaluate(IN_ITS_MEMORY, words):
            page.wait_for_timeout(1000)
        self.assertEqual(page.evaluate(IN_ITS_MEMORY, words), words[:1])
        page.reload()
        page.wait_for_selector("#board[data-hand=near]", timeout=START, state="attached")
        self.assertTrue(page.evaluate("window.remembered"))


class FrameTest(BrowserTest):
    near = class_site = True

    def test_in_a_frame_of_another_page_the_hand_comes_once_somebody_takes_hold_there(self):
        page = self.open_page(sign_in=None)
        page.goto(self.server.class_address)
        frame = page.frame_locator("iframe")
        expect(frame.locator("#saved")).to_have_text("Saved")
        page.wait_for_timeout(4000)
        self.assertFalse([worker.url for worker in page.workers if "/near/" in worker.url], "nobody has asked for it yet")
        student = StudentPage(page, self.server).look_into(frame)
        student.drag_point("A", (-5, -2), (-5, -1), drop=False)
        page.mouse.up()
        expect(frame.locator("#board[data-hand=near]")).to_be_attached(timeout=START)
        student.drag_point("A", (-5, -1), (-4, -1), drop=False)
        page.mouse.up()
        expect(frame.locator("#saved")).to_have_text("Saved")
        self.assertEqual(student.value("A"), (-4, -1))
        page.reload()
        expect(frame.locator("#undo")).to_be_enabled()
        self.assertEqual(student.value("A"), (-4, -1))
