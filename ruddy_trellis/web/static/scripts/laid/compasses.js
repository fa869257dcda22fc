// The compasses: opened between two pegs or to a typed length, and arcs drawn with the opening kept.

import { Instrument, made } from "./instrument.js";
import { DEGREE, told, wrapped } from "./snapping.js";

export class Compasses extends Instrument {
  constructor(tray) {
    super(tray, "compasses");
    this.opening = tray.view.port.roundLength(140);
    this.at = this.first(-0.1, 0.1);
    this.opened = null; // the two pegs between which they were opened
  }

  options() {
    return [
      this.tray.number("opening", told(this.opening, this.port.zoom), (value) => {
        this.opening = value;
        this.opened = null;
      }),
    ];
  }

  parts() {
    const wide = this.opening * this.port.zoom;
    const high = Math.max(90, wide * 0.55);
    const needle = this.body(made("path", { class: "laid-body", d: `M0 0L${wide / 2 - 9} ${-high}H${wide / 2 + 5}L4 -6Z` }));
    needle.append(made("title", {}, "Put the needle elsewhere by this"));
    const leg = made("path", { class: "laid-body", d: `M${wide} 0L${wide / 2 + 9} ${-high}H${wide / 2 - 5}L${wide - 4} -6Z` });
    leg.append(made("title", {}, "Open the compasses by this"));
    const tip = made("circle", { class: "laid-tip", cx: wide, cy: 0, r: 14 });
    tip.append(made("title", {}, "Draw by this"));
    const parts = [
      needle,
      this.held(leg, (place) => this.open(place)),
      made("circle", { class: "laid-hinge", cx: wide / 2, cy: -high - 8, r: 12 }),
      made("circle", { class: "laid-needle", cx: 0, cy: 0, r: 4 }),
    ];
    if (this.sweep) parts.unshift(this.arc(wide));
    return [
      ...parts,
      this.held(
        tip,
        (place, start) => this.swing(place, start),
        (cancelled) => this.drawn(cancelled),
      ),
    ];
  }

  /** What was drawn so far, as it lies to the compasses, whose pencil is at its end. */
  arc(wide) {
    const back = -this.sweep;
    const [x, y] = [wide * Math.cos(back), -wide * Math.sin(back)];
    if (Math.abs(this.sweep) > 6.2) return made("circle", { class: "laid-stroke", cx: 0, cy: 0, r: wide });
    const large = Math.abs(this.sweep) > Math.PI ? 1 : 0;
    return made("path", { class: "laid-stroke", d: `M${x} ${y}A${wide} ${wide} 0 ${large} ${this.sweep > 0 ? 0 : 1} ${wide} 0` });
  }

  /** The pencil is put at a place, or on a peg that is near: that is how far they are opened. */
  open(place) {
    const peg = this.snapping.point(place, 14, [this.zero]);
    const [x, y] = peg?.shape.at ?? place;
    const [dx, dy] = [x - this.at[0], y - this.at[1]];
    if (Math.hypot(dx, dy) * this.port.zoom < 20) return;
    this.turn = Math.atan2(dy, dx);
    this.opening = peg ? Math.hypot(dx, dy) : told(Math.hypot(dx, dy), this.port.zoom);
    this.opened = peg && this.zero ? [this.zero, peg.id] : null;
    this.tell();
  }

  tell() {
    const between = this.opened ? ` from ${this.nameOf(this.opened[0])} to ${this.nameOf(this.opened[1])}` : "";
    const at = this.zero ? `needle at ${this.nameOf(this.zero)}, ` : "";
    this.tray.say(`compasses: ${at}opened to ${told(this.opening, this.port.zoom)}${between}`);
    this.tray.setNumber("opening", told(this.opening, this.port.zoom));
  }

  /** The pencil goes round with the pointer. */
  swing([x, y], start) {
    if (this.begun !== start) {
      this.begun = start;
      this.sweep = 0;
      this.from = this.turn;
    }
    const turn = Math.atan2(y - this.at[1], x - this.at[0]);
    const more = wrapped(turn - this.turn);
    this.sweep = Math.min(Math.max(this.sweep + more, -2 * Math.PI), 2 * Math.PI);
    this.turn = this.from + this.sweep;
  }

  press(event) {
    if (event.key === "Enter") {
      Object.assign(this, { sweep: 2 * Math.PI, from: this.turn });
      this.drawn(false);
      return true;
    }
    if (event.key !== "+" && event.key !== "-") return false;
    this.opening = Math.max(this.opening + (event.key === "+" ? 1 : -1) * this.port.roundLength(12), this.port.roundLength(12));
    this.opened = null;
    this.tell();
    return true;
  }

  drawn(cancelled) {
    const { sweep, from } = this;
    this.sweep = 0;
    if (cancelled || Math.abs(sweep) < 3 * DEGREE) return;
    const steps = [];
    const centre = this.pointAt(steps, this.at, this.zero ? { id: this.zero } : undefined);
    const radius = this.opened ?? Number(this.opening.toPrecision(9));
    if (Math.abs(sweep) > 6.2 || this.tray.rounds) {
      const through = this.opened?.[0] === this.zero ? [this.opened[1]] : null;
      steps.push(through ? { does: "circle", fills: { centre, point: through } } : { does: "circle_radius", fills: { centre, radius } });
    } else {
      const [start, stop] = [from, from + sweep].map((turn) => told(turn / DEGREE, 100));
      const [low, high] = sweep > 0 ? [start, stop] : [stop, start];
      steps.push({ does: "drawn_arc", fills: { centre, radius, start: low, stop: high } });
    }
    this.make(steps);
  }
}
