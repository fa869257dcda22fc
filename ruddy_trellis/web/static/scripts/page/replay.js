// The working step by step: how many steps are seen, and the drawing of each by compasses and straightedge.

const LASTS = { point: 500, segment: 1500, vector: 1500, ray: 1600, line: 1600, circle: 2300, arc: 2000, polygon: 900 };

export class Replay {
  /** @param {import("../board/board_view.js").BoardView} view
   *  @param {(seen: number, count: number) => void} tell how many steps are seen */
  constructor(view, tell) {
    this.view = view;
    this.tell = tell;
    this.seen = null; // how many steps are seen; null for all
    this.timer = null;
  }

  get count() {
    return this.view.drawing.things.size;
  }

  order() {
    return [...this.view.drawing.things.keys()];
  }

  /** What is drawn for a step; "" for what is not seen. */
  kind(id) {
    const item = this.view.drawing.things.get(id);
    return item?.shape && !item.style.hidden && !this.view.reveals.hidden().includes(id) ? item.kind : "";
  }

  /** See so many steps; all of them ends the stepping. */
  go(seen) {
    this.seen = seen === null || seen >= this.count ? null : Math.max(0, seen);
    this.view.closeThings();
    this.tell(this.seen ?? this.count, this.count);
  }

  step(way) {
    this.stop();
    this.go((this.seen ?? this.count) + way);
  }

  /** The ids of steps that are not seen yet. */
  hidden() {
    return this.seen === null ? [] : this.order().slice(this.seen);
  }

  get playing() {
    return this.timer !== null;
  }

  play() {
    this.stop();
    if (this.seen === null) this.go(0);
    this.next();
  }

  next() {
    const at = this.seen;
    const ids = this.order();
    if (at === null || at >= ids.length) return this.stop();
    const kind = this.kind(ids[at]);
    const reduced = matchMedia("(prefers-reduced-motion: reduce)").matches;
    const lasts = reduced || kind === "" ? 250 : (LASTS[kind] ?? 600);
    this.go(at + 1);
    const start = performance.now();
    const frame = (now) => {
      const progress = Math.min(1, (now - start) / lasts);
      this.view.drawing.drawnBy(progress < 1 ? ids[at] : null, progress);
      if (progress < 1) this.timer = requestAnimationFrame(frame);
      else if (this.seen === null) this.stop();
      else this.timer = requestAnimationFrame(() => this.next());
    };
    this.timer = requestAnimationFrame(frame);
  }

  stop() {
    if (this.timer !== null) cancelAnimationFrame(this.timer);
    this.timer = null;
    this.view.drawing.drawnBy(null, 1);
  }
}
