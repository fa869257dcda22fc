// The protractor: read either way round, and a line drawn at an angle through the peg at its centre.

import { Instrument, made } from "./instrument.js";
import { DEGREE } from "./snapping.js";

const REACH = 150; // pixels

export class Protractor extends Instrument {
  constructor(tray) {
    super(tray, "protractor");
    this.at = this.first(0.2, -0.05);
    this.over = false; // turned over: it counts clockwise
  }

  options() {
    return [
      this.tray.button("Turn over", "Count the other way round", () => this.tray.redraw(() => Object.assign(this, { over: !this.over }))),
    ];
  }

  parts() {
    const up = this.over ? 1 : -1; // the side on which it lies, in pixels
    const rim = (angle, reach) => [reach * Math.cos(angle * DEGREE), up * reach * Math.sin(angle * DEGREE)];
    const body = this.body(
      made("path", { class: "laid-body", d: `M${-REACH} 0A${REACH} ${REACH} 0 0 ${this.over ? 0 : 1} ${REACH} 0V${-up * 14}H${-REACH}Z` }),
    );
    const parts = [body];
    for (let angle = 0; angle <= 180; angle += 5) {
      const [[ax, ay], [bx, by]] = [rim(angle, REACH), rim(angle, REACH - (angle % 10 ? 8 : 14))];
      parts.push(made("line", { class: "laid-mark", x1: ax, y1: ay, x2: bx, y2: by }));
      if (angle % 30) continue;
      const [x, y] = rim(angle, REACH - 26);
      parts.push(made("text", { class: "laid-number", x, y: y + 5, "text-anchor": "middle" }, String(angle)));
      const [ox, oy] = rim(angle, REACH - 46);
      parts.push(made("text", { class: "laid-other", x: ox, y: oy + 4, "text-anchor": "middle" }, String(180 - angle)));
    }
    parts.push(made("path", { class: "laid-mark", d: "M-7 0H7M0 -7V7" }));
    const edge = made("path", {
      class: "laid-strip",
      d: `M${-REACH - 16} 0A${REACH + 16} ${REACH + 16} 0 0 ${this.over ? 0 : 1} ${REACH + 16} 0H${REACH - 4}A${REACH - 4} ${REACH - 4} 0 0 ${this.over ? 1 : 0} ${-REACH + 4} 0Z`,
    });
    edge.append(made("title", {}, "Press at an angle to draw the line"));
    edge.addEventListener("pointermove", (event) => this.read(this.angle(this.place(event))));
    parts.push(
      this.held(
        edge,
        (place) => this.aim(this.angle(place)),
        (cancelled) => this.drawn(cancelled),
      ),
    );
    if (this.aimed !== undefined) {
      const [x, y] = rim(this.aimed, REACH * 1.5);
      parts.push(made("line", { class: "laid-stroke", x1: 0, y1: 0, x2: x, y2: y }));
    }
    return [...parts, this.grip(REACH + 34, 0)];
  }

  /** The angle of a place as it is read: whole degrees, or exactly that of a peg that lies so. */
  angle(place) {
    const [along, beside] = this.own(place);
    const raw = Math.min(Math.max(Math.atan2(this.over ? -beside : beside, along) / DEGREE, 0), 180);
    return Math.round(raw);
  }

  read(angle) {
    this.tell(`${angle}°${this.through(angle)}`);
  }

  /** The pegs that are seen at an angle, in words. */
  through(angle) {
    const near = this.snapping.points().filter(({ id, shape }) => {
      const [along, beside] = this.own(shape.at);
      if (id === this.zero || Math.hypot(along, beside) * this.port.zoom < 24) return false;
      return Math.abs(Math.atan2(this.over ? -beside : beside, along) / DEGREE - angle) < 1;
    });
    if (!near.length) return "";
    const [along, beside] = this.own(near[0].shape.at);
    return `, ${this.nameOf(near[0].id)} at ${(Math.atan2(this.over ? -beside : beside, along) / DEGREE).toFixed(1)}°`;
  }

  aim(angle) {
    this.aimed = angle;
    this.read(angle);
  }

  /** The line at that angle becomes a step; where no pegs are at its centre and along its base, they are made. */
  drawn(cancelled) {
    const angle = this.aimed;
    this.aimed = undefined;
    if (cancelled) return;
    const steps = [];
    const centre = this.pointAt(steps, this.at);
    const base =
      this.line && !this.square
        ? [this.line]
        : [...centre, ...(this.toward ? [this.toward] : this.pointAt(steps, this.out([REACH / this.port.zoom, 0])))];
    steps.push({ does: "at_angle", fills: { point: centre, angle: this.over ? -angle : angle, base } });
    this.make(steps);
  }
}
