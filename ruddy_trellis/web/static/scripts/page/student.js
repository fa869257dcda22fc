// A student's page on which nothing is built: their own copy of a board, to drag, turn, reveal and start again.
import { isPeg } from "../board/board_view.js";
import { Gestures } from "../board/gestures.js";
import { openCopy } from "./copy.js";
import { hear } from "./hear.js";
import { isKey, showKeys } from "./keys.js";
import { hideToast } from "./toast.js";

const sentence = document.getElementById("sentence");
const HINT_AT_REST = "Click a thing to read what it is.";
let hint = "Drag a peg (◆) and watch what stays true.";
let selected = [];

const view = openCopy({
  board() {
    const things = [...drawing.things.values()];
    if (!things.some((item) => drawing.visible(item) && (isPeg(item) || item.shape.dial))) hint = HINT_AT_REST;
    select(selected.filter((id) => drawing.things.has(id)));
  },
  changed: ({ gone }) => select(selected.filter((id) => !gone.includes(id))),
});
const { canvas, port, drawing, line, reveals, player } = view;

function say(words) {
  sentence.textContent = words || hint;
}

/** What is said of a thing: of a button what it says, of a reading its value. */
function saidOf({ kind, shape, sentence, label }) {
  if (kind === "reveal" && shape) return `${shape.says}, button: press Enter`;
  return kind === "number" && label && label.text !== "?" ? `${sentence}: ${label.text.split(" = ").pop()}` : sentence;
}

function select(ids) {
  selected = ids;
  drawing.markOnly("chosen", ids);
  const words = ids.map((id) => saidOf(drawing.things.get(id))).join("; ");
  say(words);
  hear(words);
}

/** Enter on a thing: a button is pressed, a cover lifted, and what lies under it said. */
function press(id) {
  if (drawing.things.get(id)?.kind === "reveal") reveals.press(id);
  else if (drawing.uncover(id)) setTimeout(() => select([id]), 150); // once it is there
}

/** Select the next or the one before of the things that are seen. */
function walk(step) {
  const next = drawing.next(selected.at(-1), step);
  if (next !== null) select([next]);
}

const gestures = new Gestures(
  { canvas, port, drawing },
  {
    hover(event) {
      const item = view.pointAt(event);
      if (!selected.length) say(item?.sentence);
    },
    leave() {
      drawing.markOnly("lit", []);
      if (!selected.length) say("");
    },
    grab: (id, at) => view.holding.grab([id], at),
    drag: (to) => view.holding.drag(to),
    drop: () => view.holding.letGo(),
    choose(id) {
      if (id) drawing.uncover(id);
      select(id && selected[0] !== id ? [id] : []);
    },
    click() {},
    box() {},
    labelMoved() {},
    viewChanged: () => view.viewChanged(),
  },
);

document.addEventListener("keydown", (event) => {
  const command = event.ctrlKey || event.metaKey;
  if (event.target.matches?.("input:not([type=range])") || document.querySelector("dialog[open]") || !isKey(event)) return;
  if (command && event.key.toLowerCase() === "z") line.send(event.shiftKey ? "redo" : "undo");
  else if (command && event.key.toLowerCase() === "y") line.send("redo");
  else if (command) return;
  else if (event.key === "Escape") {
    gestures.stop();
    hideToast();
    select([]);
  } else if (event.key === "?") showKeys();
  else if (event.key === "[" || event.key === "]") walk(event.key === "]" ? 1 : -1);
  else if (event.key === "PageDown" || event.key === "PageUp") reveals.step(event.key === "PageDown" ? 1 : -1);
  else if (event.key === ".") line.send(player.on ? "pause" : "play");
  else if (event.key === "+" || event.key === "-") view.zoom(event.key === "+" ? 1.25 : 0.8);
  else if (event.key === "0") view.fit();
  else if (event.key === " " && event.target === canvas) gestures.space = true;
  else if (event.key === "Enter" && event.target === canvas && selected.length) press(selected[0]);
  else if (event.target.matches("input") || !view.nudge(event, selected)) return;
  event.preventDefault();
});
document.addEventListener("keyup", (event) => {
  if (event.key === " ") gestures.space = false;
});
