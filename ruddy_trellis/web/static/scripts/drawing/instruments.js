// Compasses that open, stand and sweep, and a straightedge that lays itself along a line, for the replay of a working.

const TURN = Math.PI / 180;
const OPENS = 0.28; // the share of the time in which the instrument comes into place

/**
 * Paint one item as far as it is drawn, and the instrument that draws it.
 * @returns {boolean} whether it was one that is drawn by an instrument
 */
export function paintDrawn(context, port, item, progress, useLine) {
  const { shape, style } = item;
  const drawn = Math.max(0, (progress - OPENS) / (1 - OPENS));
  const comes = Math.min(1, progress / OPENS);
  if (shape.radius !== undefined) {
    const [start, turn] = item.kind === "circle" ? [-90, 360] : shape.arcs[0];
    const [x, y, reach] = [port.px(shape.at[0]), port.py(shape.at[1]), shape.radius * port.zoom];
    useLine(style);
    context.beginPath();
    context.arc(x, y, reach, -start * TURN, -(start + turn * drawn) * TURN, true);
    context.stroke();
    context.setLineDash([]);
    compasses(context, x, y, reach * (0.35 + 0.65 * comes), -(start + turn * drawn) * TURN);
    return true;
  }
  if (shape.points?.length === 4) {
    const [ax, ay, bx, by] = shape.points.map((part, place) => (place % 2 ? port.py(part) : port.px(part)));
    straightedge(context, ax, ay, bx, by, comes);
    useLine(style);
    context.beginPath();
    context.moveTo(ax, ay);
    context.lineTo(ax + (bx - ax) * drawn, ay + (by - ay) * drawn);
    context.stroke();
    context.setLineDash([]);
    return true;
  }
  return false;
}

/** A pair of compasses: the needle in the centre, the pencil on the circle, the hinge above them. */
function compasses(context, x, y, reach, angle) {
  const [px, py] = [x + reach * Math.cos(angle), y + reach * Math.sin(angle)];
  const leg = Math.max(reach * 0.62, 74);
  const height = Math.sqrt(Math.max(leg * leg - (reach * reach) / 4, 900));
  const hinge = [(x + px) / 2, (y + py) / 2 - height];
  context.lineCap = "round";
  context.strokeStyle = "#5A6472";
  context.lineWidth = 5;
  stroke(context, [x, y], hinge);
  context.strokeStyle = "#8A6A3B";
  stroke(context, [px, py], hinge);
  context.lineWidth = 2;
  context.strokeStyle = "#2B2A33";
  stroke(context, [x, y], [x + (hinge[0] - x) * 0.16, y + (hinge[1] - y) * 0.16]);
  context.fillStyle = "#5A6472";
  context.beginPath();
  context.arc(...hinge, 8, 0, 2 * Math.PI);
  context.fill();
  stroke(context, hinge, [hinge[0], hinge[1] - 18]);
}

/** A straightedge just below its line, which slides into place. */
function straightedge(context, ax, ay, bx, by, comes) {
  const size = Math.hypot(bx - ax, by - ay) || 1;
  const [ux, uy] = [(bx - ax) / size, (by - ay) / size];
  const away = (1 - comes) * 60;
  const [ox, oy] = [-uy * away, ux * away];
  const wide = 26;
  const long = 30;
  context.globalAlpha = 0.55 * comes + 0.15;
  context.fillStyle = "#E9CF9A";
  context.strokeStyle = "#8A6A3B";
  context.lineWidth = 1.2;
  context.beginPath();
  context.moveTo(ax - ux * long + ox, ay - uy * long + oy);
  context.lineTo(bx + ux * long + ox, by + uy * long + oy);
  context.lineTo(bx + ux * long + ox - uy * wide, by + uy * long + oy + ux * wide);
  context.lineTo(ax - ux * long + ox - uy * wide, ay - uy * long + oy + ux * wide);
  context.closePath();
  context.fill();
  context.stroke();
  context.globalAlpha = 1;
}

function stroke(context, [ax, ay], [bx, by]) {
  context.beginPath();
  context.moveTo(ax, ay);
  context.lineTo(bx, by);
  context.stroke();
}
