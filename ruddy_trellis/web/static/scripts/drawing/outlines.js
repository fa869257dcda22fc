// The outline of one item of the display list in pixels, as a path.

import { sizes, wordsBox } from "./labels.js";
import { ringsOf, TURN } from "./regions.js";

/**
 * @param {object} item of the display list, with a shape
 * @param {import("./viewport.js").Viewport} port
 * @returns {Path2D}
 */
export function outlineOf({ shape, style, kind }, port) {
  if (shape.parts) {
    const whole = new Path2D();
    for (const { path } of copiesOf(shape, port)) whole.addPath(path);
    return whole;
  }
  if (kind === "words") {
    const { width, height } = wordsBox({ shape, style });
    const plate = new Path2D();
    plate.rect(...port.kept(shape.at, width, height), width, height);
    return plate;
  }
  if (kind === "point") return peg(shape, style, port);
  if ("rings" in shape) return ringsOf(shape, port);
  if ("arcs" in shape) return arcs(shape, port);
  if ("radius" in shape) return ring(port.px(shape.at[0]), port.py(shape.at[1]), shape.radius * port.zoom);
  if ("sweep" in shape) return arc(shape, port);
  if ("mark" in shape) return mark(shape, port);
  if ("curves" in shape) return curves(shape.curves, port);
  const path = corners(shape.points ?? [], kind === "polygon", port);
  if (shape.arrow) arrowHead(path, shape.points, port);
  return path;
}

/** Strokes from point to point, several of them. */
function curves(runs, port) {
  const path = new Path2D();
  for (const run of runs) strokes(path, run, port);
  return path;
}

/** Arcs of one circle; a sector is closed by its centre, a chord region by its chord. */
function arcs({ at, radius, arcs: parts, closes }, port) {
  const [x, y, reach] = [port.px(at[0]), port.py(at[1]), radius * port.zoom];
  const path = new Path2D();
  for (const [start, turn] of parts) {
    path.moveTo(x + reach * Math.cos(start * TURN), y - reach * Math.sin(start * TURN));
    path.arc(x, y, reach, -start * TURN, -(start + turn) * TURN, true);
  }
  if (closes === "centre") path.lineTo(x, y);
  if (closes) path.closePath();
  return path;
}

/** The head of a vector, as lines that close on themselves: it is stroked and filled. */
function arrowHead(path, [ax, ay, bx, by], port) {
  const [x, y] = [port.px(bx), port.py(by)];
  const [dx, dy] = [x - port.px(ax), y - port.py(ay)];
  const size = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [(dx / size) * sizes.arrow, (dy / size) * sizes.arrow];
  // The tip keeps clear of the peg that may stand at the end.
  const [tx, ty] = [x - 0.5 * ux, y - 0.5 * uy];
  path.moveTo(tx, ty);
  path.lineTo(tx - ux - 0.45 * uy, ty - uy + 0.45 * ux);
  path.lineTo(tx - ux + 0.45 * uy, ty - uy - 0.45 * ux);
  path.closePath();
}

/** Strokes across a segment, or arrows along it. */
function mark({ mark: sort, at, turn, count }, port) {
  const [x, y, reach] = [port.px(at[0]), port.py(at[1]), sizes.stroke];
  const [dx, dy] = [Math.cos(turn * TURN), -Math.sin(turn * TURN)];
  const path = new Path2D();
  for (let number = 0; number < count; number++) {
    const off = (number - (count - 1) / 2) * 0.62 * reach;
    const [px, py] = [x + off * dx, y + off * dy];
    if (sort === "strokes") {
      path.moveTo(px - reach * dy, py + reach * dx);
      path.lineTo(px + reach * dy, py - reach * dx);
    } else {
      const [bx, by] = [px - 0.8 * reach * dx, py - 0.8 * reach * dy];
      path.moveTo(bx - 0.7 * reach * dy, by + 0.7 * reach * dx);
      path.lineTo(px, py);
      path.lineTo(bx + 0.7 * reach * dy, by - 0.7 * reach * dx);
    }
  }
  return path;
}

/**
 * The copies of a family: for each of its parts one outline with all its copies in it.
 * @returns {{style: object, kind: string, path: Path2D}[]}
 */
export function copiesOf({ parts, maps }, port) {
  const places = matrices(maps, port);
  return parts.flatMap((part) => {
    if (part.shape.parts) return copiesOf(part.shape, port).map((copy) => ({ ...copy, path: spread(copy.path, places) }));
    if (part.kind === "point") return [{ ...part, path: dots(part, maps, port) }];
    return [{ ...part, path: spread(outlineOf(part, port), places) }];
  });
}

/** One path with copies of another, each moved by a matrix. */
function spread(path, places) {
  const all = new Path2D();
  for (const place of places) all.addPath(path, place);
  return all;
}

/** Maps of the plane, six numbers each, as matrices of pixels (whose second axis points down). */
function matrices(maps, port) {
  const [zoom, tx, ty] = [port.zoom, port.px(0), port.py(0)];
  const all = [];
  for (let i = 0; i < maps.length; i += 6) {
    const [a, b, c, d, e, f] = maps.slice(i, i + 6);
    all.push(new DOMMatrix([a, -c, -b, d, tx - a * tx + b * ty + e * zoom, ty + c * tx - d * ty - f * zoom]));
  }
  return all;
}

/** Points keep their size, however they are mapped. */
function dots({ shape, style }, maps, port) {
  const all = new Path2D();
  const [x, y] = shape.at;
  for (let i = 0; i < maps.length; i += 6) {
    const [a, b, c, d, e, f] = maps.slice(i, i + 6);
    all.addPath(ring(port.px(a * x + b * y + e), port.py(c * x + d * y + f), 0.6 * style.size * sizes.times));
  }
  return all;
}

/** A full circle. */
export function ring(x, y, radius) {
  const path = new Path2D();
  path.arc(x, y, radius, 0, 2 * Math.PI);
  return path;
}

/** A diamond for a peg that moves, with a bar along its path where it slides; a dot for one that does not. */
function peg({ at, turn }, { size: plain, peg: sort }, port) {
  const size = plain * sizes.times;
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
  // Round the same way as the diamond, so that the two fill as one.
  path.moveTo(x - c * long - s * thin, y - s * long + c * thin);
  path.lineTo(x - c * long + s * thin, y - s * long - c * thin);
  path.lineTo(x + c * long + s * thin, y + s * long - c * thin);
  path.lineTo(x + c * long - s * thin, y + s * long + c * thin);
  path.closePath();
}

function corners(points, closed, port) {
  const path = new Path2D();
  strokes(path, points, port);
  if (closed) path.closePath();
  return path;
}

function strokes(path, points, port) {
  for (let i = 0; i < points.length; i += 2) {
    if (i) path.lineTo(port.px(points[i]), port.py(points[i + 1]));
    else path.moveTo(port.px(points[i]), port.py(points[i + 1]));
  }
}

/** The arc of an angle, or the square of a right one. */
function arc({ at, start, sweep, right, count = 1 }, port) {
  const x = port.px(at[0]);
  const y = port.py(at[1]);
  const path = new Path2D();
  if (right) {
    const corner = (angle) => [sizes.square * Math.cos(angle * TURN), -sizes.square * Math.sin(angle * TURN)];
    const [[ax, ay], [bx, by]] = [corner(start), corner(start + sweep)];
    path.moveTo(x + ax, y + ay);
    path.lineTo(x + ax + bx, y + ay + by);
    path.lineTo(x + bx, y + by);
    return path;
  }
  for (let number = 0; number < count; number++) {
    const reach = sizes.arc * (1 + 0.22 * number);
    path.moveTo(x + reach * Math.cos(start * TURN), y - reach * Math.sin(start * TURN));
    path.arc(x, y, reach, -start * TURN, -(start + sweep) * TURN, sweep > 0);
  }
  return path;
}
