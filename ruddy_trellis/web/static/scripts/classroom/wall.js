// The wall: everybody's board as a small picture; one of them large and live, put up, pointed at.
import { hear } from "../page/hear.js";
import { toast } from "../page/toast.js";
import { classLine } from "./class_line.js";
import { pictureOf, stateOf } from "./people.js";
import { Shown } from "./shown.js";

const page = document.getElementById("main");
const list = document.getElementById("wall");
const dialog = /** @type {HTMLDialogElement} */ (document.getElementById("one"));
const sort = /** @type {HTMLSelectElement} */ (document.getElementById("sort"));
const titles = new Map(JSON.parse(page.dataset.titles));
const pictures = new Map();
const tiles = new Map();
let people = [];
let open = null; // who is looked at
let shown = null;

const line = classLine(
  `/classes/${page.dataset.class}/line`,
  (isOpen, gone) => {
    if (gone) over();
    if (isOpen) {
      want();
      if (open !== null) line.send("look", { who: open });
    }
  },
  () => toast("The server cannot be reached, so that was not done.", { refusal: true }),
);

/** Ask for pictures, of those first who are in sight. */
function want() {
  const seen = [...tiles].filter(([, tile]) => isInSight(tile)).map(([who]) => who);
  line.send("wall", { on: !document.hidden, seen });
}
const isInSight = (tile) => {
  const { top, bottom } = tile.getBoundingClientRect();
  return bottom > 0 && top < innerHeight;
};
let wanting;
for (const kind of ["scroll", "resize"])
  addEventListener(kind, () => {
    clearTimeout(wanting);
    wanting = setTimeout(want, 200);
  });
document.addEventListener("visibilitychange", want);

line.on("people", (message) => {
  people = message.people;
  document.getElementById("told").textContent = `${message.here} in${message.slowed ? " · pictures are slowed" : ""}`;
  layOut();
});
line.on("picture", ({ who, svg }) => {
  pictures.set(who, svg);
  const image = tiles.get(who)?.querySelector("img");
  if (image) image.src = pictureOf(svg);
});
line.on("says", ({ words, kind }) => toast(words, { refusal: kind === "refusal" }));
line.on("over", over);
line.on("stage", ({ kind }) => kind === "put_up" && isUp(true));
line.on("stage_over", () => isUp(false));
for (const kind of ["over_stage", "over_stage_changed", "over_moved", "over_frames", "over_playing"])
  line.on(kind, (message) => message.who === open && shown.take(message));

function over() {
  page.replaceChildren(Object.assign(document.createElement("p"), { className: "nothing", textContent: "The class is over." }));
  dialog.close();
}

const ORDERS = {
  came: () => 0,
  name: (one, other) => one.name.localeCompare(other.name),
  help: (one, other) => other.help - one.help,
  idle: (one, other) => other.idle - one.idle,
};
const sorted = () => [...people].sort(ORDERS[sort.value]);
sort.addEventListener("change", layOut);

/** A tile for each who is in, in the order that is asked for. The one that has the keyboard keeps it. */
function layOut() {
  const focused = document.activeElement;
  for (const who of [...tiles.keys()])
    if (!people.some((one) => one.who === who)) {
      tiles.get(who).remove();
      tiles.delete(who);
    }
  const order = sorted();
  for (const [place, one] of order.entries()) {
    let tile = tiles.get(one.who);
    if (!tile) {
      tile = document.createElement("li");
      const button = document.createElement("button");
      button.append(Object.assign(document.createElement("img"), { alt: "", width: 320, height: 192 }), document.createElement("span"));
      button.addEventListener("click", () => openOne(one.who));
      tile.append(button);
      tiles.set(one.who, tile);
      const svg = pictures.get(one.who);
      if (svg) tile.querySelector("img").src = pictureOf(svg);
    }
    const state = stateOf(one);
    tile.querySelector("span").textContent = [one.name, titles.size > 1 && titles.get(one.board), state].filter(Boolean).join(" · ");
    tile.className = one.help ? "help" : one.here ? (state === "idle" ? "idle" : "") : "away";
    if (list.children[place] !== tile) list.insertBefore(tile, list.children[place] ?? null);
  }
  document.getElementById("nobody").hidden = order.length > 0;
  if (focused !== document.activeElement && tiles.size) focused?.focus?.();
  if (open !== null) tellOne();
  clearTimeout(wanting);
  wanting = setTimeout(want, 200);
}

document.getElementById("size").addEventListener("input", ({ target }) => list.style.setProperty("--tile", `${target.value}px`));
list.addEventListener("keydown", (event) => {
  const way = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -perRow(), ArrowDown: perRow() }[event.key];
  if (!way) return;
  const buttons = [...list.querySelectorAll("button")];
  buttons[Math.max(0, Math.min(buttons.length - 1, buttons.indexOf(document.activeElement) + way))]?.focus();
  event.preventDefault();
});
const perRow = () => Math.max(1, Math.round(list.clientWidth / (list.firstElementChild?.getBoundingClientRect().width || 1)));

// One board ------------------------------------------------------------------------------------------------------

function openOne(who) {
  open = who;
  if (!dialog.open) dialog.showModal();
  shown ??= new Shown(dialog.querySelector("canvas"), JSON.parse(page.dataset.look));
  line.send("look", { who });
  tellOne();
  dialog.querySelector("canvas").focus();
  hear(dialog.querySelector("h2").textContent);
}

function tellOne() {
  const one = people.find((other) => other.who === open);
  if (!one) return dialog.close();
  dialog.querySelector("h2").textContent = one.name;
  document.getElementById("one-told").textContent = [titles.size > 1 && titles.get(one.board), stateOf(one)].filter(Boolean).join(" · ");
  /** @type {HTMLElement} */ (dialog.querySelector("[data-do=helped]")).hidden = !one.help;
}

function step(way) {
  const order = sorted();
  const at = order.findIndex((one) => one.who === open);
  openOne(order[(at + way + order.length) % order.length].who);
}

const ACTS = {
  before: () => step(-1),
  next: () => step(1),
  up: () => line.send("put_up", { who: open, everyone: true }),
  "up-here": () => line.send("put_up", { who: open, everyone: false }),
  helped: () => line.send("helped", { who: open }),
  close: () => dialog.close(),
};
dialog.addEventListener("click", ({ target }) => ACTS[/** @type {HTMLElement} */ (target).dataset.do]?.());
dialog.addEventListener("keydown", (event) => {
  if (event.key === "ArrowLeft" || event.key === "ArrowRight") step(event.key === "ArrowLeft" ? -1 : 1);
  else return;
  event.preventDefault();
});
dialog.addEventListener("close", () => {
  line.send("look", { who: null });
  tiles.get(open)?.querySelector("button")?.focus();
  open = null;
});

/** The pointer over the board that is looked at is a dot on it. */
let pointed = 0;
dialog.querySelector("canvas").addEventListener("pointermove", (event) => {
  if (performance.now() - pointed < 50) return;
  pointed = performance.now();
  shown.port.measure();
  line.send("dot", { at: shown.port.at(event) });
});
dialog.querySelector("canvas").addEventListener("pointerleave", () => line.send("dot", { at: null }));

const bar = document.getElementById("stage-bar");
function isUp(on) {
  bar.hidden = !on;
  bar.querySelector("span").textContent = "A board is put up.";
}
bar.querySelector("button").addEventListener("click", () => line.send("put_up", { who: null }));
