// A student's page: their own copy of a board, to drag, turn, reveal and start again.
import { BoardView, isPeg } from "../board/board_view.js";
import { Gestures } from "../board/gestures.js";
import { hear } from "./hear.js";
import { kept } from "./kept.js";
import { isKey, showKeys } from "./keys.js";
import { Strip } from "./strip.js";
import { hideToast } from "./toast.js";

const page = document.getElementById("board");
const sentence = document.getElementById("sentence");
const back = /** @type {HTMLButtonElement} */ (document.getElementById("story-back"));
const next = /** @type {HTMLButtonElement} */ (document.getElementById("story-next"));
const HINT_AT_REST = "Click a thing to read what it is.";
let hint = "Drag a peg (◆) and watch what stays true.";

const token = kept.read("copy") ?? page.dataset.fresh;
kept.write("copy", token);
const story = `story ${page.dataset.live}`;

let selected = [];
let strip = null;

const view = new BoardView(page.dataset.live, {
  protocol: `copy.${token}`,
  board() {
    const things = [...drawing.things.values()];
    if (!things.some((item) => drawing.visible(item) && (isPeg(item) || item.shape.dial))) hint = HINT_AT_REST;
    select(selected.filter((id) => drawing.things.has(id)));
  },
  changed: ({ gone }) => select(selected.filter((id) => !gone.includes(id))),
  revealed() {
    tellStory();
    strip?.show();
  },
  tick: () => strip?.show(),
  hidden: () => strip?.words() ?? [],
  figure: () => strip?.figure(),
  fits: true,
});
const { canvas, port, drawing, line, drags, reveals, player } = view;
reveals.restore(JSON.parse(kept.read(story) ?? "[]"));
strip = new Strip(view);
strip.turn();

/** The buttons of the story, and what of it is seen: that is kept for the next visit. */
function tellStory() {
  const { some, more, less } = reveals.progress();
  back.hidden = next.hidden = !some;
  next.disabled = !more;
  back.disabled = !less;
  kept.write(story, JSON.stringify(reveals.seen()));
}

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
    grab: (id, at) => view.grab([id], at),
    drag: (to) => drags.offer({ to }),
    drop: () => view.letGo(),
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

back.addEventListener("click", () => reveals.step(-1));
next.addEventListener("click", () => reveals.step(1));
document.getElementById("reset").addEventListener("click", () => {
  reveals.startAgain();
  drawing.coverAll();
  drawing.clearTrails();
  line.send("reset");
});

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
