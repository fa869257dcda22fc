// The ground of the board: blank, a square or a triangular lattice, or axes with numbers.
import { FONT } from "./labels.js";

const SLANT = Math.sqrt(3);

/**
 * @param {OffscreenCanvasRenderingContext2D} context
 * @param {import("./viewport.js").Port} port
 * @param {{ground: string, spacing: number | null}} scene
 * @param {string[]} colours of fine lines, of every fifth line, of axes
 */
export function paintGround(context, port, { ground, spacing }, colours) {
  if (ground === "blank") return;
  let step = spacing ?? port.roundLength(64);
  while (step * port.zoom < 7) step *= 5;
  context.lineWidth = 1;
  if (ground === "triangles") triangles(context, port, step, colours);
  else squares(context, port, step, colours);
  if (ground === "axes") axes(context, port, step, colours[2]);
}

function squares(context, port, step, colours) {
  const [left, low, right, high] = port.view();
  for (const strong of [false, true]) {
    context.strokeStyle = colours[+strong];
    context.beginPath();
    for (const i of steps(left, right, step)) {
      if ((i % 5 === 0) !== strong) continue;
      const x = Math.round(port.px(i * step)) + 0.5;
      context.moveTo(x, 0);
      context.lineTo(x, port.height);
    }
    for (const i of steps(low, high, step)) {
      if ((i % 5 === 0) !== strong) continue;
      const y = Math.round(port.py(i * step)) + 0.5;
      context.moveTo(0, y);
      context.lineTo(port.width, y);
    }
    context.stroke();
  }
}

/** Lines that run level, and 60 degrees up and down, so that they make triangles of equal sides. */
function triangles(context, port, step, colours) {
  const [left, low, right, high] = port.view();
  const rise = (step * SLANT) / 2;
  context.strokeStyle = colours[1];
  context.beginPath();
  for (const i of steps(low, high, rise)) {
    const y = Math.round(port.py(i * rise)) + 0.5;
    context.moveTo(0, y);
    context.lineTo(port.width, y);
  }
  for (const way of [1, -1]) {
    const foot = (x, y) => x - (way * y) / SLANT;
    const [first, last] = [Math.min(foot(left, low), foot(left, high)), Math.max(foot(right, low), foot(right, high))];
    for (const i of steps(first, last, step)) {
      context.moveTo(port.px(i * step + (way * low) / SLANT), port.py(low));
      context.lineTo(port.px(i * step + (way * high) / SLANT), port.py(high));
    }
  }
  context.stroke();
}

function axes(context, port, step, colour) {
  const [x0, y0] = [port.px(0), port.py(0)];
  context.strokeStyle = context.fillStyle = colour;
  context.lineWidth = 1.6;
  context.beginPath();
  context.moveTo(0, y0);
  context.lineTo(port.width, y0);
  context.moveTo(x0, 0);
  context.lineTo(x0, port.height);
  context.stroke();
  const every = step * Math.max(1, Math.ceil(46 / (step * port.zoom)));
  const [left, low, right, high] = port.view();
  const inside = (place, most) => Math.min(Math.max(place, 4), most);
  const text = (number) => String(Number(number.toPrecision(6))).replace("-", "−");
  context.font = `15px ${FONT}`;
  context.textAlign = "center";
  context.textBaseline = "top";
  for (const i of steps(left, right, every)) if (i) context.fillText(text(i * every), port.px(i * every), inside(y0 + 5, port.height - 22));
  context.textAlign = "right";
  context.textBaseline = "middle";
  for (const i of steps(low, high, every))
    if (i) context.fillText(text(i * every), Math.max(inside(x0 - 6, port.width - 8), 34), port.py(i * every));
}

/** The whole numbers whose multiples of a step lie between two places. */
function* steps(from, to, step) {
  for (let i = Math.ceil(from / step); i * step <= to; i++) yield i;
}
