// Chalk: strokes as smooth lines, thicker where they were pressed harder.

/** Paint a stroke in a colour. */
export function paintStroke(context, port, { shape: { points, presses }, style }, colour) {
  context.strokeStyle = colour;
  context.lineCap = context.lineJoin = "round";
  context.setLineDash([]);
  const places = [];
  for (let i = 0; i < points.length; i += 2) places.push([port.px(points[i]), port.py(points[i + 1])]);
  if (places.length === 1) places.push([places[0][0] + 0.1, places[0][1]]);
  if (!presses.length) {
    context.lineWidth = style.width;
    context.stroke(smooth(places));
    return;
  }
  for (let i = 1; i < places.length; i++) {
    context.lineWidth = style.width * (0.4 + 1.2 * presses[Math.min(i, presses.length - 1)]);
    const from = i > 1 ? between(places[i - 2], places[i - 1]) : places[0];
    const path = new Path2D();
    path.moveTo(...from);
    path.quadraticCurveTo(...places[i - 1], ...(i < places.length - 1 ? between(places[i - 1], places[i]) : places[i]));
    context.stroke(path);
  }
}

/** A way that bends at the places instead of breaking there: through the middles between them. */
function smooth(places) {
  const path = new Path2D();
  path.moveTo(...places[0]);
  for (let i = 1; i < places.length - 1; i++) path.quadraticCurveTo(...places[i], ...between(places[i], places[i + 1]));
  path.lineTo(...places.at(-1));
  return path;
}

function between([ax, ay], [bx, by]) {
  return [(ax + bx) / 2, (ay + by) / 2];
}
