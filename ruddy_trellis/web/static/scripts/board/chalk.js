// Chalk: drawing freely over the board. While it is on, nothing underneath is picked or moved.

import { kept } from "../page/kept.js";
import { onEscape } from "../page/escape.js";
import { paintStroke } from "../drawing/strokes.js";

const WIDTHS = [
  ["fine", 3],
  ["even", 6],
  ["broad", 12],
];
/** How near the rubber comes to a stroke that it takes, and how far apart the places of a stroke are at least, in pixels. */
const RUBBER = 12;
const APART = 2;

export class Chalk {
  /** @param {import("./board_view.js").BoardView} view */
  constructor(view) {
    this.view = view;
    this.pen = kept.read("chalk pen") ?? "ruddy";
    this.width = Number(kept.read("chalk width") ?? 6);
    this.keep = true;
    this.rubbing = false;
    this.pens = JSON.parse(view.page.dataset.look).pens;
    this.fleeting = []; // the ids of what only the lesson sees
    this.sheet = document.createElement("canvas");
    this.sheet.className = "chalk-sheet";
    this.sheet.setAttribute("aria-hidden", "true");
    this.bar = document.createElement("div");
    this.bar.className = "chalk-bar";
    this.bar.setAttribute("role", "toolbar");
    this.bar.setAttribute("aria-label", "Chalk");
    this.build();
    view.page.append(this.sheet, this.bar);
    for (const kind of ["pointerdown", "pointermove", "pointerup", "pointercancel"])
      this.sheet.addEventListener(kind, (event) => this[kind](event));
    onEscape(this.bar, () => this.turn(false));
    view.line.on("scribbled", ({ items, gone }) => {
      view.drawing.change(items, gone);
      this.fleeting = [...this.fleeting.filter((id) => !gone.includes(id)), ...items.map(({ id }) => id)];
    });
  }

  turn(on) {
    this.on = on;
    this.sheet.hidden = this.bar.hidden = !on;
    document.getElementById("chalk").setAttribute("aria-pressed", String(on));
    if (on) this.bar.querySelector("button").focus({ preventScroll: true });
    else this.view.canvas.focus({ preventScroll: true });
  }

  build() {
    const pens = Object.keys(this.pens);
    const drops = pens.map((pen) => this.button(`<span class="pen-drop pen-${pen}"></span>`, `${pen} chalk`, () => this.choose({ pen })));
    const line = (width) => `<svg width="24" height="16" aria-hidden="true"><path d="M4 8H20" stroke-width="${width}"/></svg>`;
    const widths = WIDTHS.map(([name, width]) => this.button(line(width), `${name} strokes`, () => this.choose({ width })));
    for (const [place, pen] of pens.entries()) drops[place].dataset.pen = pen;
    for (const [place, [, width]] of WIDTHS.entries()) widths[place].dataset.width = width;
    const keep = document.createElement("label");
    keep.innerHTML = '<input type="checkbox" checked> keep it';
    keep.title = "With the board; otherwise only this lesson sees it";
    keep.addEventListener("change", (event) => {
      this.keep = event.target.checked;
    });
    this.rubber = this.button("Rubber", "Rub out strokes one by one", () => this.choose({ rubbing: !this.rubbing }));
    const undo = this.button("Undo", "Take the last stroke back", () => this.undo());
    const wipe = this.button("Wipe all", "Rub out all chalk on this board", () => this.wipe(this.strokes().map(({ id }) => id)));
    const done = this.button("Done", "Put the chalk down (Escape)", () => this.turn(false));
    this.bar.append(...drops, ...widths, this.rubber, undo, wipe, keep, done);
    this.choose({});
  }

  button(inner, title, act) {
    const made = document.createElement("button");
    made.type = "button";
    made.className = "mini";
    made.innerHTML = inner;
    made.title = title;
    if (inner.startsWith("<")) made.setAttribute("aria-label", title);
    made.addEventListener("click", act);
    return made;
  }

  choose({ pen = this.pen, width = this.width, rubbing = false }) {
    Object.assign(this, { pen, width, rubbing });
    kept.write("chalk pen", pen);
    kept.write("chalk width", String(width));
    for (const button of this.bar.querySelectorAll("button"))
      if (button.dataset.pen || button.dataset.width)
        button.setAttribute("aria-pressed", String(button.dataset.pen === pen || Number(button.dataset.width) === width));
    this.rubber.setAttribute("aria-pressed", String(rubbing));
    this.sheet.classList.toggle("rubbing", rubbing);
  }

  /** All strokes on the board. */
  strokes() {
    return [...this.view.drawing.things.values()].filter((item) => item.kind === "chalk");
  }

  undo() {
    const last = this.fleeting.at(-1);
    if (last) this.wipe([last]);
    else this.view.line.send("undo");
  }

  wipe(ids) {
    const fleeting = ids.filter((id) => this.fleeting.includes(id));
    const others = ids.filter((id) => !fleeting.includes(id)).map((id) => id.replace("chalk:", ""));
    if (fleeting.length) this.view.line.send("scribble", { wipe: fleeting });
    if (others.length) this.view.line.send("edit", { edit: { kind: "chalk", wipe: others } });
  }

  // Drawing -------------------------------------------------------------------------------------------------------

  pointerdown(event) {
    if (event.button || this.held !== undefined) return;
    event.preventDefault();
    this.held = event.pointerId;
    this.sheet.setPointerCapture(event.pointerId);
    this.view.port.measure();
    const ratio = devicePixelRatio;
    const { width, height } = this.view.port;
    Object.assign(this.sheet, { width: width * ratio, height: height * ratio });
    this.context = this.sheet.getContext("2d");
    this.context.setTransform(ratio, 0, 0, ratio, 0, 0);
    this.places = [];
    this.presses = [];
    this.rubbed = new Set();
    this.pointermove(event);
  }

  pointermove(event) {
    if (event.pointerId !== this.held) return;
    const moves = event.getCoalescedEvents?.() ?? [];
    for (const move of moves.length ? moves : [event]) {
      if (this.rubbing) this.rub(move);
      else this.add(move);
    }
    if (!this.rubbing) this.paint();
  }

  add(move) {
    const [x, y] = [move.clientX - this.view.port.left, move.clientY - this.view.port.top];
    const last = this.places.at(-1);
    if (last && Math.hypot(x - last[0], y - last[1]) < APART) return;
    if (this.places.length >= 1500) return;
    this.places.push([x, y]);
    // A mouse tells 0.5 all the time, a finger often 0 or 1: only a pen is pressed.
    if (move.pointerType === "pen") this.presses.push(Math.round(move.pressure * 100) / 100);
  }

  paint() {
    this.context.clearRect(0, 0, this.sheet.width, this.sheet.height);
    const colour = this.pens[this.pen][+(this.view.state.paper === "dark")];
    const shape = { points: this.places.flat(), presses: this.presses };
    paintStroke(this.context, { px: (x) => x, py: (y) => y }, { shape, style: { width: this.width } }, colour);
  }

  /** Take what lies under the rubber. */
  rub(move) {
    const { port, drawing } = this.view;
    const [x, y] = [move.clientX - port.left, move.clientY - port.top];
    for (const { id, shape, style } of this.strokes()) {
      if (this.rubbed.has(id) || !touches(shape.points, x, y, RUBBER + style.width / 2, port)) continue;
      this.rubbed.add(id);
      drawing.change([], [id]); // gone at once; the board's own word follows
    }
  }

  pointerup(event) {
    if (event.pointerId !== this.held) return;
    this.held = undefined;
    if (this.rubbing) return this.rubbed.size && this.wipe([...this.rubbed]);
    const { port, line } = this.view;
    const digits = 10 ** Math.max(0, Math.ceil(Math.log10(port.zoom)) + 1);
    const round = (part) => Math.round(part * digits) / digits;
    const points = this.places.flatMap(([x, y]) => [
      round(port.x + (x - port.width / 2) / port.zoom),
      round(port.y - (y - port.height / 2) / port.zoom),
    ]);
    const stroke = { pen: this.pen, width: this.width, points, presses: this.presses };
    if (this.keep) line.send("edit", { edit: { kind: "chalk", add: [stroke] } });
    else line.send("scribble", { stroke, name: `s${Date.now().toString(36)}` });
    setTimeout(() => this.held === undefined && this.context.clearRect(0, 0, this.sheet.width, this.sheet.height), 250);
  }

  pointercancel(event) {
    if (event.pointerId !== this.held) return;
    this.held = undefined;
    this.context.clearRect(0, 0, this.sheet.width, this.sheet.height);
  }
}

/** Whether a stroke comes so near to a place in pixels. */
function touches(points, x, y, reach, port) {
  for (let i = 0; i < points.length; i += 2) {
    const [ax, ay] = [port.px(points[i]), port.py(points[i + 1])];
    const next = i + 2 < points.length ? i + 2 : i;
    const [ux, uy] = [port.px(points[next]) - ax, port.py(points[next + 1]) - ay];
    const size = ux * ux + uy * uy;
    const share = size ? Math.min(Math.max(((x - ax) * ux + (y - ay) * uy) / size, 0), 1) : 0;
    if (Math.hypot(ax + share * ux - x, ay + share * uy - y) <= reach) return true;
  }
  return false;
}
