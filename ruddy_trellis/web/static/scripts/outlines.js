// The outline of one item of the display list in pixels, as a path.

import { sizes } from "./labels.js";

const TURN = Math.PI / 180;

/**
 * @param {object} item of the display list, with a shape
 * @param {import("./viewport.js").Viewport} port
 * @returns {Path2D}
 */
export function outlineOf({ shape, style, kind }, port) {
  if (kind === "point") return peg(shape, style, port);
  if ("radius" in shape) return ring(port.px(shape.at[0]), port.py(shape.at[1]), shape.radius * port.zoom);
  if ("sweep" in shape) return arc(shape, port);
  return corners(shape.points ?? [], kind === "polygon", port);
}

/** A full circle. */
export function ring(x, y, radius) {
  const path = new Path2D();
  path.arc(x, y, radius, 0, 2 * Math.PI);
  return path;
}

/** A diamond for a peg that moves, with a bar along its path where it slides; a dot for one that does not. */
function peg({ at, turn }, { size, peg: sort }, port) {
  const x = port.px(at[0]);
  const y = port.py(at[1]);
  if (sort === "fixed") return ring(x, y, size);
  const path = new Path2D();
  diamond(path, x, y, size);
  if (sort === "sliding") bar(path, x, y, size, turn * TURN);
  return path;
}

function diamond(path, x, y, size) {
  path.moveTo(x, y - size);
  path.lineTo(x + size, y);
  path.lineTo(x, y + size);
  path.lineTo(x - size, y);
  path.closePath();
}

/** Two short arms that stick out of the diamond along the path. */
function bar(path, x, y, size, angle) {
  const [c, s] = [Math.cos(angle), -Math.sin(angle)];
  const [long, thin] = [1.9 * size, 0.2 * size];
  path.moveTo(x + c * long - s * thin, y + s * long + c * thin);
  path.lineTo(x + c * long + s * thin, y + s * long - c * thin);
  path.lineTo(x - c * long + s * thin, y - s * long - c * thin);
  path.lineTo(x - c * long - s * thin, y - s * long + c * thin);
  path.closePath();
}

function corners(points, closed, port) {
  const path = new Path2D();
  for (let i = 0; i < points.length; i += 2) {
    if (i) path.lineTo(port.px(points[i]), port.py(points[i + 1]));
    else path.moveTo(port.px(points[i]), port.py(points[i + 1]));
  }
  if (closed) path.closePath();
  return path;
}

/** The arc of an angle, or the square of a right one. */
function arc({ at, start, sweep, right }, port) {
  const x = port.px(at[0]);
  const y = port.py(at[1]);
  const path = new Path2D();
  if (right) {
    const corner = (angle) => [sizes.square * Math.cos(angle * TURN), -sizes.square * Math.sin(angle * TURN)];
    const [[ax, ay], [bx, by]] = [corner(start), corner(start + sweep)];
    path.moveTo(x + ax, y + ay);
    path.lineTo(x + ax + bx, y + ay + by);
    path.lineTo(x + bx, y + by);
  } else path.arc(x, y, sizes.arc, -start * TURN, -(start + sweep) * TURN, sweep > 0);
  return path;
}
