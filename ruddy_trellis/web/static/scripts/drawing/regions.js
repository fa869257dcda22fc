// Regions and conditions: rings of straight, round and bent pieces, hatched, whole where the edge counts and dashed where not.

export const TURN = Math.PI / 180;
/** How wide the tile of a hatch is, in pixels. */
const TILE = 10;

/** The whole way round a region, as a path. */
export function ringsOf({ rings }, port) {
  const path = new Path2D();
  for (const { start, pieces } of rings) {
    path.moveTo(port.px(start[0]), port.py(start[1]));
    for (const [piece] of pieces) follow(path, piece, port);
    path.closePath();
  }
  return path;
}

/** The pieces of its edge that are drawn in one way: "whole" or "dashed". */
function edgesOf({ rings }, port, way) {
  const path = new Path2D();
  for (const { start, pieces } of rings) {
    let at = start;
    for (const [piece, drawn] of pieces) {
      if (drawn === way) {
        path.moveTo(port.px(at[0]), port.py(at[1]));
        follow(path, piece, port);
      }
      at = endOf(piece);
    }
  }
  return path;
}

function follow(path, [sort, ...numbers], port) {
  if (sort === "line") path.lineTo(port.px(numbers[0]), port.py(numbers[1]));
  else if (sort === "curve") for (const [x, y] of numbers) path.lineTo(port.px(x), port.py(y));
  else {
    const [x, y, radius, start, sweep] = numbers;
    path.arc(port.px(x), port.py(y), radius * port.zoom, -start * TURN, -(start + sweep) * TURN, sweep > 0);
  }
}

function endOf([sort, ...numbers]) {
  if (sort === "line") return numbers;
  if (sort === "curve") return numbers.at(-1);
  const [x, y, radius, start, sweep] = numbers;
  return [x + radius * Math.cos((start + sweep) * TURN), y + radius * Math.sin((start + sweep) * TURN)];
}

/** Where its edge has corners, for a view that holds them; where an edge goes on for ever is no corner. */
export function cornersOf({ rings }) {
  const bounded = (pieces, place) => pieces[place][1] !== "none" && pieces[(place + 1) % pieces.length][1] !== "none";
  return rings.flatMap(({ pieces }) => pieces.filter((_, place) => bounded(pieces, place)).map(([piece]) => endOf(piece)));
}

/** Where the pieces of a ring end. */
export function placesOf({ pieces }) {
  return pieces.map(([piece]) => endOf(piece));
}

const tiles = new Map();

/** A pattern of a tile across which a path is drawn, once more at either side, so that the strokes of neighbouring tiles meet. */
function hatch(context, path, colour) {
  const key = `${path} ${colour}`;
  if (!tiles.has(key)) {
    const tile = new OffscreenCanvas(TILE, TILE);
    const pen = tile.getContext("2d");
    pen.strokeStyle = colour;
    pen.lineWidth = 1.4;
    for (const off of [-TILE, 0, TILE]) {
      pen.setTransform(1, 0, 0, 1, off, 0);
      pen.stroke(new Path2D(path));
    }
    tiles.set(key, context.createPattern(tile, "repeat"));
  }
  return tiles.get(key);
}

/** Paint a region: `outline` is its rings; `colour` gives the colour of a pen, `useLine` takes a look. */
export function paintRegion(context, port, { shape, style }, outline, colour, useLine) {
  const before = context.globalAlpha;
  if (style.fill) {
    context.globalAlpha = before * style.fill * 0.6;
    context.fillStyle = colour(style.fill_pen);
    context.fill(outline);
    context.globalAlpha = before * Math.min(style.fill + 0.3, 1);
    context.fillStyle = hatch(context, shape.hatch, colour(style.fill_pen));
    context.fill(outline);
    context.globalAlpha = before;
  }
  for (const [way, pattern] of [
    ["whole", style.pattern],
    ["dashed", "dashed"],
  ]) {
    useLine({ ...style, pattern });
    context.stroke(edgesOf(shape, port, way));
  }
  context.setLineDash([]);
}
