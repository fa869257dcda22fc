// What all instruments have in common: they lie on the board, are moved, turned, and say what they keep to.

import { DEGREE, Snapping, told } from "./snapping.js";

const SVG = "http://www.w3.org/2000/svg";

/** Make an element of a drawing. */
export function made(name, given = {}, text = "") {
  const element = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(given)) element.setAttribute(key, value);
  if (text) element.textContent = text;
  return element;
}

export class Instrument {
  /**
   * @param {import("./tray.js").Tray} tray
   * @param {string} name
   */
  constructor(tray, name) {
    this.tray = tray;
    this.view = tray.view;
    this.port = tray.view.port;
    this.snapping = new Snapping(tray.view);
    this.name = name;
    this.turn = 0; // radians, anticlockwise
    this.at = this.first(); // where its zero lies, board units
    this.zero = null; // the point on which that lies
    this.toward = null; // the point, and
    this.line = null; // the straight thing, along which it is turned
    this.group = made("g", {
      class: `laid laid-${name}`,
      tabindex: 0,
      role: "group",
      "aria-label": `${name}; arrows move it, [ and ] turn it`,
    });
    this.group.addEventListener("keydown", (event) => this.key(event));
    tray.sheet.append(this.group);
  }

  /** Where it lies when it is taken out: a share of the view from the middle. */
  first(right = 0, up = 0) {
    const { x, y, width, height, zoom } = this.port;
    return [x + (right * width) / zoom, y + (up * height) / zoom];
  }

  lift() {
    this.group.remove();
  }

  /** Draw it where it lies. */
  draw() {
    this.group.setAttribute(
      "transform",
      `translate(${this.port.px(this.at[0])} ${this.port.py(this.at[1])}) rotate(${-this.turn / DEGREE})`,
    );
    this.group.replaceChildren(...this.parts());
  }

  /** Let an element be dragged: `moved` gets the place of the pointer in board units; `done` follows. */
  held(element, moved, done = () => {}) {
    element.addEventListener("pointerdown", (event) => {
      if (event.button) return;
      event.preventDefault();
      event.stopPropagation();
      this.port.measure();
      const sheet = this.tray.sheet; // what is drawn anew while it moves cannot hold the pointer
      sheet.setPointerCapture(event.pointerId);
      const start = this.place(event);
      const move = (again) => again.pointerId === event.pointerId && this.tray.redraw(() => moved(this.place(again), start, again));
      const stop = (again) => {
        if (again.pointerId !== event.pointerId) return;
        sheet.removeEventListener("pointermove", move);
        for (const kind of ["pointerup", "pointercancel"]) sheet.removeEventListener(kind, stop);
        this.tray.redraw(() => done(again.type === "pointercancel", this.place(again), start));
      };
      sheet.addEventListener("pointermove", move);
      for (const kind of ["pointerup", "pointercancel"]) sheet.addEventListener(kind, stop);
      moved(start, start, event);
      this.tray.redraw();
    });
    return element;
  }

  /** The place of a pointer in board units. */
  place({ clientX, clientY }) {
    const { port } = this;
    return [port.x + (clientX - port.left - port.width / 2) / port.zoom, port.y - (clientY - port.top - port.height / 2) / port.zoom];
  }

  /** A place as it lies to the instrument: so far along it, so far beside it to the left, board units. */
  own([x, y]) {
    const [dx, dy, c, s] = [x - this.at[0], y - this.at[1], Math.cos(this.turn), Math.sin(this.turn)];
    return [dx * c + dy * s, dy * c - dx * s];
  }

  /** The reverse of `own`. */
  out([along, beside]) {
    const [c, s] = [Math.cos(this.turn), Math.sin(this.turn)];
    return [this.at[0] + along * c - beside * s, this.at[1] + along * s + beside * c];
  }

  /** A body that moves the whole, its zero kept to pegs. */
  body(element) {
    let off = [0, 0];
    let begun = null;
    return this.held(element, ([x, y], start) => {
      if (begun !== start) {
        begun = start;
        off = [this.at[0] - x, this.at[1] - y];
      }
      this.lay([x + off[0], y + off[1]]);
    });
  }

  /** Lay its zero at a place, on a peg that is near. */
  lay(place) {
    const peg = this.snapping.point(place);
    this.zero = peg?.id ?? null;
    this.at = peg ? [...peg.shape.at] : place;
    this.toward = this.line = null;
    this.tell();
  }

  /** Turn it so, or to a peg or a line that is near. */
  head(turn, free = false) {
    const peg = free ? null : this.snapping.toward(this.at, turn, [this.zero]);
    const line = free || peg ? null : this.snapping.line(turn);
    this.toward = peg?.item.id ?? null;
    this.line = line?.item.id ?? null;
    this.square = line?.square ?? false;
    this.turn = peg?.turn ?? line?.turn ?? (free ? turn : this.snapping.whole(turn));
    this.tell();
  }

  /** A handle to turn it by. */
  grip(x, y) {
    const grip = made("circle", { class: "laid-grip", cx: x, cy: y, r: 13 });
    grip.append(made("title", {}, "Turn it by this"));
    const off = Math.atan2(-y, x);
    return this.held(grip, ([px, py], _, event) => this.head(Math.atan2(py - this.at[1], px - this.at[0]) - off, event.altKey));
  }

  nameOf(id) {
    return this.view.drawing.things.get(id)?.label?.text ?? this.view.drawing.things.get(id)?.says ?? "";
  }

  /** Say what it keeps to. */
  tell(more = "") {
    const parts = [];
    if (this.zero) parts.push(`at ${this.nameOf(this.zero)}`);
    if (this.toward) parts.push(`towards ${this.nameOf(this.toward)}`);
    else if (this.line) parts.push(`${this.square ? "square to" : "along"} ${this.nameOf(this.line)}`);
    else parts.push(`turned by ${told(this.turn / DEGREE, 10)}°`);
    this.tray.say(`${this.name}: ${[...parts, ...(more ? [more] : [])].join(", ")}`);
  }

  key(event) {
    const ways = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
    const step = this.port.roundLength(12) * (event.shiftKey ? 10 : 1);
    if (ways[event.key]) this.lay(ways[event.key].map((part, axis) => this.at[axis] + part * step * (this.zero ? 3 : 1)));
    else if (event.key === "[" || event.key === "]")
      this.head(this.turn + (event.key === "]" ? -1 : 1) * (event.shiftKey ? 1 : 5) * DEGREE, true);
    else if (!this.press?.(event)) return;
    event.preventDefault();
    event.stopPropagation();
    this.tray.redraw();
  }

  /** The fill for a point at a place: the id of a peg that is there, else a new one, which is put first among the steps. */
  pointAt(steps, place, peg = this.snapping.point(place, 8)) {
    if (peg) return [peg.id];
    steps.push({ does: "free_point", fills: { at: place.map((part) => told(part, this.port.zoom)) } });
    return [`new:${steps.length - 1}`];
  }

  /** Make steps, as one edit. */
  make(steps) {
    this.view.line.send("edit", { edit: { kind: "add", steps } });
  }
}
