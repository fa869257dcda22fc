// The ruler: marked in the board's unit, drawn along, and points marked off along it.

import { Instrument, made } from "./instrument.js";
import { told } from "./snapping.js";

const HIGH = 52; // pixels
const STRIP = 22;

export class Ruler extends Instrument {
  constructor(tray) {
    super(tray, "ruler");
    this.length = tray.view.port.roundLength(520);
    this.at = this.first(-0.5 * ((this.length * this.port.zoom) / this.port.width), -0.18);
  }

  options() {
    return [this.tray.number("length", this.length, (value) => Object.assign(this, { length: value })), ...this.tray.kinds()];
  }

  parts() {
    const long = this.length * this.port.zoom;
    const body = this.body(made("rect", { class: "laid-body", x: -10, y: 0, width: long + 20, height: HIGH, rx: 5 }));
    const strip = made("rect", { class: "laid-strip", x: -10, y: -STRIP, width: long + 20, height: STRIP + 10 });
    strip.append(made("title", {}, "Draw along the edge; a short press marks a point"));
    const unit = this.view.state.unit ?? "";
    const name = made("text", { x: long - 6, y: HIGH - 10, "text-anchor": "end", class: "laid-name" }, unit || "units");
    const parts = [body, ...marks(long, this.port), name, this.drawAlong(strip, (place) => this.own(place)[0], this.length)];
    if (this.stroke) parts.push(this.line_(this.stroke, 0));
    return [...parts, this.grip(long + 34, HIGH / 2)];
  }

  line_([from, to]) {
    const { zoom } = this.port;
    return made("line", { class: "laid-stroke", x1: from * zoom, y1: 0, x2: to * zoom, y2: 0 });
  }

  /** Let a strip be drawn along: `along` gives how far along it a place is. */
  drawAlong(strip, along, length, finish = (from, to) => this.drawn(from, to)) {
    const kept = (place) => this.mark(Math.min(Math.max(along(place), 0), length));
    return this.held(
      strip,
      (place, start) => {
        this.stroke = [kept(start), kept(place)];
        this.tell(`${told(Math.abs(this.stroke[1] - this.stroke[0]), this.port.zoom)} long`);
      },
      (cancelled, place, start) => {
        this.stroke = null;
        if (!cancelled) finish(kept(start), kept(place));
      },
    );
  }

  /** A place along the edge, at a peg or a mark that is near. */
  mark(along) {
    const peg = this.snapping.point(this.out([along, 0]), 9);
    if (peg) return this.own(peg.shape.at)[0];
    const step = this.port.roundLength(10);
    return Math.round(along / step) * step;
  }

  /** What was drawn becomes steps: a segment or a line, or where the pencil hardly moved a point. */
  drawn(from, to) {
    const steps = [];
    const start = this.end(steps, from);
    if (Math.abs(to - from) * this.port.zoom < 4) {
      if (steps.length) this.make(steps);
      return;
    }
    steps.push({ does: this.tray.kind, fills: { from: start, to: this.end(steps, to) } });
    this.make(steps);
  }

  /** A point so far along the edge: a peg that is there, one at that length from the peg at zero, or a free one. */
  end(steps, along) {
    const place = this.out([along, 0]);
    const peg = this.snapping.point(place, 8);
    if (!peg && this.zero && this.toward && along > 0) {
      steps.push({ does: "point_towards", fills: { distance: Number(along.toPrecision(9)), from: [this.zero], to: [this.toward] } });
      return [`new:${steps.length - 1}`];
    }
    return this.pointAt(steps, place, peg);
  }
}

/** The marks along an edge of so many pixels, longer ones with numbers. */
export function marks(long, port, down = 1) {
  const [fine, named] = [port.roundLength(10), port.roundLength(90)];
  const found = [];
  for (let number = 0; number * fine * port.zoom <= long + 0.5; number++) {
    const at = number * fine;
    const x = at * port.zoom;
    const whole = Math.abs(at / named - Math.round(at / named)) < 1e-6;
    const half = Math.abs((2 * at) / named - Math.round((2 * at) / named)) < 1e-6;
    found.push(made("line", { class: "laid-mark", x1: x, y1: 0, x2: x, y2: down * (whole ? 16 : half ? 11 : 7) }));
    if (whole)
      found.push(made("text", { class: "laid-number", x, y: down > 0 ? 30 : -20, "text-anchor": "middle" }, String(told(at, port.zoom))));
  }
  return found;
}
