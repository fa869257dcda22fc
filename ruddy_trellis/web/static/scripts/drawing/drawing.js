// What is on the board and what lies under the pointer. The painting itself is done by a thread of its own.
//
// A canvas, and not an element for each thing: with two hundred things moving at once, styling, laying out and
// painting their elements held up the page several times as long as everything else in a drag together.
import { cornersOf, placesOf } from "./regions.js";
import { covered, labelHalf, labelPlace, sizes, tagged, useClosed, useSizes, useUncovered, visible } from "./labels.js";
import { outlineOf } from "./outlines.js";

const FILLED = new Set(["polygon", "circle", "sector", "chord_region", "region", "condition"]);
const CATCH = 16; // pixels of width within which a line is under the pointer

/** The drawing of one board. */
export class Drawing {
  /**
   * @param {HTMLCanvasElement} canvas
   * @param {import("./viewport.js").Viewport} port
   * @param {{pens: object, dashes: object, sizes: object, cover: string}} look pens, dash patterns and sizes by name, the colour of covers
   */
  constructor(canvas, port, look) {
    Object.assign(this, { canvas, port });
    this.plainSizes = look.sizes;
    useSizes(look.sizes);
    this.painter = new Worker(new URL("./painter.js", import.meta.url), { type: "module" });
    const offscreen = canvas.transferControlToOffscreen();
    this.painter.postMessage({ canvas: offscreen, look }, [offscreen]);
    this.context = document.createElement("canvas").getContext("2d");
    this.things = new Map();
    this.order = [];
    this.marks = { lit: new Set(), chosen: new Set() };
    this.ghosts = false;
    this.uncovered = new Set();
    this.seen = document.getElementById("seen");
  }

  /** Tell the painter what has changed. */
  paint(change) {
    this.painter.postMessage(change);
    clearTimeout(this.telling);
    this.telling = setTimeout(() => this.tell(), 60);
  }

  // What is on it --------------------------------------------------------------------------------------------

  /** Take the whole display list. */
  show(items) {
    this.things = new Map(items.map((item) => [item.id, item]));
    this.reorder();
  }

  /** Take changed items and the ids of those that are gone. */
  change(items, gone) {
    for (const id of gone) this.things.delete(id);
    for (const item of items) this.things.set(item.id, item);
    this.reorder();
  }

  /**
   * Take new shapes and labels of things that are there. The painter reads what was told of them by itself where
   * there is that, a text or bytes: quicker than handing the items over one by one.
   */
  move(items, told = null) {
    for (const { id, shape, label } of items) {
      const item = this.things.get(id);
      if (!item) continue;
      item.shape = shape;
      item.label = label;
    }
    this.paint(told ? { movedTold: told } : { moved: items });
  }

  reorder() {
    this.order = [...this.things.values()].sort((a, b) => a.layer - b.layer);
    this.paint({ all: this.order });
  }

  /** Draw items faintly: what a click would make. */
  preview(items) {
    this.paint({ faint: items });
  }

  /** Draw what others have made over the board: items without an id. */
  showTheirs(items) {
    this.paint({ theirs: items });
  }

  /** Take the trails away. */
  clearTrails() {
    this.paint({ clearTrails: true });
  }

  /** The trails that are on the board now, as strokes in board units. */
  trails() {
    return new Promise((told) => {
      this.painter.addEventListener("message", ({ data }) => told(data.trails), { once: true });
      this.painter.postMessage({ tellTrails: true });
    });
  }

  /** Hide things for now: behind closed reveals, or of steps yet to come. */
  close(ids) {
    useClosed(ids);
    this.paint({ closed: ids });
    this.tell(); // at once: a replay paints without a pause in which it could be told later
  }

  /** Lift the cover of a value or of words, or put it back. Returns whether there is one. */
  uncover(id) {
    const item = this.things.get(id);
    if (!item?.style.cover) return false;
    if (covered(item) && item.style.teacher_lifts && this.onKept) {
      this.onKept();
      return false;
    }
    if (covered(item)) this.uncovered.add(id);
    else this.uncovered.delete(id);
    this.coversChanged();
    return true;
  }

  /** Covers that were lifted for all. */
  liftForAll(ids) {
    for (const id of ids) this.uncovered.add(id);
    this.coversChanged();
  }

  coversChanged() {
    useUncovered(this.uncovered);
    this.paint({ uncovered: [...this.uncovered] });
    this.onCovers?.([...this.uncovered]);
  }

  /** Put every cover back. */
  coverAll() {
    this.uncovered.clear();
    this.coversChanged();
  }

  /** Draw one thing as far as its instrument has come; null for none. */
  drawnBy(id, progress) {
    this.paint({ replay: id ? { id, progress } : null });
  }

  /** Give a mark ("lit" or "chosen") to exactly these things. */
  markOnly(name, ids) {
    if (!ids.length && !this.marks[name].size) return;
    this.marks[name] = new Set(ids);
    this.paint({ marks: { name, ids } });
  }

  /** Show a box of pixels, or none. */
  showBox(box) {
    this.paint({ scene: { box } });
  }

  /** Show hidden things as ghosts, or not. */
  showGhosts(ghosts) {
    this.ghosts = ghosts;
    this.paint({ scene: { ghosts } });
  }

  /** Set how the board looks as a whole: its ground, its paper, the spacing of its lattice, the size of everything, the
   *  picture under it and where pictures are. */
  showBoard({ ground, paper, spacing, size, stretch = 1, photograph, photographs }) {
    useSizes(this.plainSizes, size, stretch);
    this.paint({ scene: { ground, paper, spacing, size, stretch, photograph, photographs } });
  }

  /** The view has changed. */
  redraw() {
    const { x, y, zoom, width, height } = this.port;
    this.paint({ view: { x, y, zoom, width, height, ratio: window.devicePixelRatio || 1 } });
  }

  visible(item) {
    return visible(item, this.ghosts);
  }

  /** The id of the next thing that is seen, or of the one before; null where nothing is. */
  next(id, step) {
    const seen = [...this.things.values()].filter((item) => this.visible(item)).map((item) => item.id);
    const at = seen.indexOf(id);
    return seen[(at < 0 && step < 0 ? seen.length - 1 : at + step + seen.length) % seen.length] ?? null;
  }

  // What is under the pointer --------------------------------------------------------------------------------

  /** The ids of things at a place in pixels: labels before things, pegs before lines; of pegs the nearest first; of all
   *  else what has its edge here goes before what is filled here, the smallest first, and then what is drawn on top. */
  under(x, y) {
    const labelled = this.labelUnder(x, y);
    const found = [...this.order]
      .reverse()
      .filter((item) => item.id !== labelled && item.kind !== "chalk" && this.visible(item) && this.catches(item, x, y));
    const pegs = found.filter((item) => item.kind === "point").sort((a, b) => this.away(a, x, y) - this.away(b, x, y));
    const others = found.filter((item) => item.kind !== "point");
    const room = new Map(others.map((item) => [item, this.onEdge(item, x, y) ? 0 : roomIn(item.shape)]));
    others.sort((a, b) => room.get(a) - room.get(b));
    return [...(labelled ? [labelled] : []), ...[...pegs, ...others].map((item) => item.id)];
  }

  /** Whether a place is on the edge of what is filled, or on a thing that is nothing but edge. */
  onEdge(item, x, y) {
    this.context.lineWidth = CATCH;
    return !FILLED.has(item.kind) || this.context.isPointInStroke(outlineOf(item, this.port), x, y);
  }

  /** How far a point is from a place, in pixels. */
  away({ shape }, x, y) {
    return Math.hypot(this.port.px(shape.at[0]) - x, this.port.py(shape.at[1]) - y);
  }

  catches(item, x, y) {
    const { context, port } = this;
    if (item.kind === "point") return this.away(item, x, y) <= Math.max(this.finger ? 22 : 14, item.style.size * sizes.times + 6);
    const outline = outlineOf(item, port);
    context.lineWidth = CATCH;
    if (item.kind === "words") return context.isPointInPath(outline, x, y);
    return context.isPointInStroke(outline, x, y) || (FILLED.has(item.kind) && item.style.fill > 0 && context.isPointInPath(outline, x, y));
  }

  /** The id of the thing whose name or tag is at a place in pixels, or null; pegs go before names. */
  labelUnder(x, y) {
    let found = null;
    for (const item of this.order) {
      if (!this.visible(item)) continue;
      if (item.kind === "point" && this.catches(item, x, y)) return null;
      if (!tagged(item)) continue;
      const [atX, atY] = labelPlace(item, this.port);
      const [halfWidth, halfHeight] = labelHalf(item, this.context);
      if (Math.abs(atX - x) <= halfWidth && Math.abs(atY - y) <= halfHeight) found = item.id;
    }
    return found;
  }

  /** The ids of visible things that lie whole in a box of pixels. */
  enclosed({ left, top, right, bottom }) {
    const { port } = this;
    const inside = (x, y) => port.px(x) >= left && port.px(x) <= right && port.py(y) >= top && port.py(y) <= bottom;
    return [...this.things.values()]
      .filter(
        (item) =>
          this.visible(item) &&
          item.kind !== "number" &&
          extremes(item.shape).length &&
          extremes(item.shape).every(([x, y]) => inside(x, y)),
      )
      .map((item) => item.id);
  }

  /** The part of the plane that the visible things take up, with room around; null for an empty board. */
  bounds() {
    return this.boundsOf((item) => this.visible(item));
  }

  /** The same for the things for which `wanted` holds. */
  boundsOf(wanted) {
    const reach = reachOf(this.order.filter(wanted));
    if (!reach) return null;
    const [left, low, right, high] = reach;
    const room = Math.max(right - left, high - low, 1) * 0.12;
    return [left - room, low - room, right + room, high + room];
  }

  // For those who do not see it ------------------------------------------------------------------------------

  /** Say in words what is on the board now. */
  tell() {
    const seen = this.order.filter((item) => item.kind !== "chalk" && this.visible(item));
    this.seen.replaceChildren(
      ...seen.map((item) => {
        const line = document.createElement("li");
        line.dataset.id = item.id;
        line.dataset.kind = item.kind;
        line.className = Object.keys(this.marks)
          .filter((name) => this.marks[name].has(item.id))
          .join(" ");
        if (tagged(item)) line.dataset.label = covered(item) ? "?" : item.label.text.replace("\n", " ");
        if (item.shape.doubt) line.dataset.doubt = "";
        const doubt = item.shape.doubt ? ": the figure does not agree now" : "";
        const says =
          item.kind === "number" ? (item.label?.text ?? item.sentence) : item.kind === "words" ? item.shape.words : item.sentence;
        line.textContent = covered(item) ? item.sentence.replace(/^a/, "A") : says + doubt;
        return line;
      }),
    );
  }
}

/** How far items reach, but for what has no ends; null where there are none. */
export function reachOf(items) {
  const places = items.filter((item) => !["line", "ray", "chalk"].includes(item.kind)).flatMap((item) => extremes(item.shape));
  if (!places.length) return null;
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

/** The board positions that say how far a shape reaches. */
function extremes({ at, radius = 0, points = [], curves = [], parts, maps, rings }) {
  if (rings) return cornersOf({ rings });
  if (parts) return parts.flatMap((part) => extremes(part.shape).flatMap((place) => mapped(place, maps)));
  const places = [];
  for (const curve of curves) for (let i = 0; i < curve.length; i += 2) places.push([curve[i], curve[i + 1]]);
  if (at) places.push([at[0] - radius, at[1] - radius], [at[0] + radius, at[1] + radius]);
  for (let i = 0; i < points.length; i += 2) places.push([points[i], points[i + 1]]);
  return places;
}

/** How much room the inside of a shape has, in board units squared. */
function roomIn({ radius, points, rings }) {
  if (radius && !points) return Math.PI * radius * radius;
  const places = rings ? rings.map(placesOf) : [pairs(points ?? [])];
  return places.reduce((sum, ring) => sum + Math.abs(twice(ring)) / 2, 0);
}

const pairs = (numbers) => Array.from({ length: numbers.length / 2 }, (_, place) => [numbers[2 * place], numbers[2 * place + 1]]);

/** Twice the area within a ring of places, with a sign for the way round. */
const twice = (ring) =>
  ring.reduce((sum, [x, y], place) => sum + x * ring[(place + 1) % ring.length][1] - y * ring[(place + 1) % ring.length][0], 0);

/** Where the copies of a place are. */
function mapped([x, y], maps) {
  const all = [];
  for (let i = 0; i < maps.length; i += 6)
    all.push([maps[i] * x + maps[i + 1] * y + maps[i + 4], maps[i + 2] * x + maps[i + 3] * y + maps[i + 5]]);
  return all;
}
