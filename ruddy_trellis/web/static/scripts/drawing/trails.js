// What moving things leave behind: the places of points joined up, and the former places of lines and circles.
import { outlineOf } from "./outlines.js";

const MOST = 900;
const MOST_NUMBERS = 4000; // in what is told of trails
const APART = 2.5; // pixels between two places that a trail keeps

export class Trails {
  constructor() {
    this.left = new Map();
  }

  clear() {
    this.left.clear();
  }

  /** A thing goes from where it is to another shape. */
  leave(item, shape) {
    if (!item.shape || !shape) return;
    const trail = this.left.get(item.id) ?? { places: [] };
    this.left.set(item.id, Object.assign(trail, { style: item.style, kind: item.kind, seconds: item.style.trail }));
    trail.places.push({ shape: item.shape, time: performance.now() });
    if (trail.places.length > MOST) trail.places.shift();
  }

  /** What is left now, as strokes in board units: the pen, the width, the places. The last of it, where it is much. */
  told() {
    const strokes = [];
    for (const { places, style, kind } of this.left.values()) {
      const flat = (shape) => shape.points ?? (shape.radius ? roundPlaces(shape) : shape.at);
      const runs = kind === "point" ? [places.flatMap(({ shape }) => shape.at)] : places.map(({ shape }) => flat(shape));
      for (const run of runs)
        if (run.length > 3)
          strokes.push({ pen: style.pen, width: kind === "point" ? 3 : 1, points: run.map((part) => Number(part.toFixed(4))) });
    }
    let room = MOST_NUMBERS;
    return strokes.reverse().filter(({ points }) => (room -= points.length) >= 0);
  }

  /** Paint all trails. Returns whether one is still fading. */
  paint(context, port, useLine) {
    const now = performance.now();
    let fading = false;
    for (const [id, trail] of this.left) {
      if (trail.seconds) {
        while (trail.places.length && now - trail.places[0].time > trail.seconds * 1000) trail.places.shift();
        fading ||= trail.places.length > 0;
      }
      if (!trail.places.length) this.left.delete(id);
      else this.paintOne(context, port, useLine, trail, now);
    }
    context.globalAlpha = 1;
    return fading;
  }

  paintOne(context, port, useLine, { places, style, kind, seconds }, now) {
    const strength = ({ time }) => (seconds ? Math.max(0.06, 1 - (now - time) / (seconds * 1000)) : 0.8);
    const point = kind === "point";
    useLine(point ? { ...style, width: 3, pattern: "solid" } : { ...style, width: 1, pattern: "solid" });
    let last = null;
    for (const place of places) {
      if (point) {
        const here = [port.px(place.shape.at[0]), port.py(place.shape.at[1])];
        const step = last ? Math.hypot(here[0] - last[0], here[1] - last[1]) : 0;
        if (last && step < APART) continue;
        if (last && step < 160) {
          context.globalAlpha = strength(place);
          context.beginPath();
          context.moveTo(...last);
          context.lineTo(...here);
          context.stroke();
        }
        last = here;
      } else {
        context.globalAlpha = 0.45 * strength(place);
        context.stroke(outlineOf({ shape: place.shape, style, kind }, port));
      }
    }
    context.setLineDash([]);
  }
}

/** Places round a circle. */
function roundPlaces({ at, radius }) {
  const turn = (number) => (number * Math.PI) / 24;
  return Array.from({ length: 49 }, (_, number) => [
    at[0] + radius * Math.cos(turn(number)),
    at[1] + radius * Math.sin(turn(number)),
  ]).flat();
}
