// The set square: two edges at a right angle, drawn along; along a line, its other edge draws the perpendicular.

import { made } from "./instrument.js";
import { marks, Ruler } from "./ruler.js";

const STRIP = 20;

export class SetSquare extends Ruler {
  constructor(tray) {
    super(tray);
    this.name = "set square";
    this.group.setAttribute("class", "laid laid-square");
    this.group.setAttribute("aria-label", "set square; arrows move it, [ and ] turn it");
    this.length = tray.view.port.roundLength(260);
    this.at = this.first(-0.3, 0);
  }

  options() {
    return this.tray.kinds();
  }

  parts() {
    const long = this.length * this.port.zoom;
    const body = this.body(made("path", { class: "laid-body", d: `M0 0H${long}L0 ${-long}Z` }));
    const flat = made("rect", { class: "laid-strip", x: 0, y: -4, width: long, height: STRIP });
    const upright = made("rect", { class: "laid-strip", x: -STRIP, y: -long, width: STRIP + 4, height: long });
    const corner = made("path", { class: "laid-mark", d: "M14 0V-14H0", fill: "none" });
    const parts = [
      body,
      ...marks(long, this.port, -1),
      corner,
      this.drawAlong(flat, (place) => this.lying(false, this.own(place)[0]), this.length),
      this.drawAlong(
        upright,
        (place) => this.lying(true, this.own(place)[1]),
        this.length,
        (from, to) => this.upright(from, to),
      ),
    ];
    if (this.stroke) parts.push(this.line_(this.stroke));
    return [...parts, this.grip(long + 26, 0)];
  }

  line_([from, to]) {
    const { zoom } = this.port;
    return this.standing ? made("line", { class: "laid-stroke", x1: 0, y1: -from * zoom, x2: 0, y2: -to * zoom }) : super.line_([from, to]);
  }

  /** It is turned along lines before it is turned towards pegs: it is there to draw what is square to them. */
  head(turn, free = false) {
    const line = free ? null : this.snapping.line(turn);
    if (!line) return super.head(turn, free);
    Object.assign(this, { toward: null, line: line.item.id, square: line.square, turn: line.turn });
    this.tell();
  }

  /** Note along which edge is drawn. */
  lying(standing, along) {
    this.standing = standing;
    return along;
  }

  mark(along) {
    const step = this.port.roundLength(10);
    return Math.round(along / step) * step;
  }

  /** Drawn along the upright edge: the perpendicular to the line on which it lies, through a peg on that edge, if there is one. */
  upright(from, to) {
    if (Math.abs(to - from) * this.port.zoom < 4) return;
    const peg = this.snapping.points().find(({ shape }) => {
      const [along, up] = this.own(shape.at);
      return Math.abs(along) * this.port.zoom < 9 && up > -0.1 * this.length && up < this.length;
    });
    if (this.line && peg) {
      this.make([{ does: this.square ? "parallel" : "perpendicular", fills: { base: [this.line], point: [peg.id] } }]);
      return;
    }
    const steps = [];
    const ends = [from, to].map((up) => this.pointAt(steps, this.out([0, up])));
    steps.push({ does: this.tray.kind, fills: { from: ends[0], to: ends[1] } });
    this.make(steps);
  }
}
