// What an instrument that lies on the board keeps to: pegs, the directions of lines, whole marks.

/** How near a peg, and how nearly a direction, is kept to: pixels and degrees. */
const NEAR = 12;
const TURN = 3;
const WHOLE = 15;

export class Snapping {
  /** @param {import("../board/board_view.js").BoardView} view */
  constructor(view) {
    this.view = view;
  }

  get seen() {
    const { drawing } = this.view;
    return [...drawing.things.values()].filter((item) => drawing.visible(item));
  }

  /** The points that are seen. */
  points() {
    return this.seen.filter((item) => item.kind === "point" && item.shape?.at);
  }

  /** The point nearest to a place in board units, within reach; null for none. */
  point([x, y], reach = NEAR, but = []) {
    const far = ({ shape }) => Math.hypot(shape.at[0] - x, shape.at[1] - y) * this.view.port.zoom;
    const near = this.points().filter((item) => !but.includes(item.id) && far(item) <= reach);
    return near.sort((a, b) => far(a) - far(b))[0] ?? null;
  }

  /** The point that lies in a direction from a place, nearly: the angle to it, in radians, and the point; null for none. */
  toward([x, y], turn, but = []) {
    let best = null;
    for (const item of this.points()) {
      if (but.includes(item.id)) continue;
      const [dx, dy] = [item.shape.at[0] - x, item.shape.at[1] - y];
      const away = Math.hypot(dx, dy) * this.view.port.zoom;
      if (away < 2 * NEAR) continue;
      const off = Math.abs(wrapped(Math.atan2(dy, dx) - turn)) * away;
      if (off <= NEAR && (!best || off < best.off)) best = { off, item, turn: Math.atan2(dy, dx) };
    }
    return best;
  }

  /** The straight thing that has a direction, nearly, or is square to it; null for none. */
  line(turn) {
    let best = null;
    for (const item of this.seen) {
      if (!["line", "ray", "segment", "vector"].includes(item.kind) || !item.shape?.points) continue;
      const [ax, ay, bx, by] = item.shape.points;
      const way = Math.atan2(by - ay, bx - ax);
      for (const quarter of [0, 1, 2, 3]) {
        const own = way + (quarter * Math.PI) / 2;
        const off = Math.abs(wrapped(own - turn));
        if (off <= TURN * DEGREE && (!best || off < best.off)) best = { off, item, turn: own, square: quarter % 2 === 1 };
      }
    }
    return best;
  }

  /** A direction at whole steps of degrees, where it is nearly one. */
  whole(turn) {
    const step = WHOLE * DEGREE;
    const near = Math.round(turn / step) * step;
    return Math.abs(near - turn) <= TURN * DEGREE * 0.5 ? near : turn;
  }
}

export const DEGREE = Math.PI / 180;

/** An angle between -π and π. */
export function wrapped(angle) {
  return Math.atan2(Math.sin(angle), Math.cos(angle));
}

/** A number with no more digits than a pixel can tell. */
export function told(number, zoom) {
  const digits = Math.max(0, Math.ceil(Math.log10(zoom)));
  return Number(number.toFixed(digits));
}
