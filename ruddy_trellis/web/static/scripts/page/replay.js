// The working step by step: how many steps are seen, and the drawing of each by compasses and straightedge.

const LASTS = { point: 500, segment: 1500, vector: 1500, ray: 1600, line: 1600, circle: 2300, arc: 2000, polygon: 900 };

export class Replay {
  /** @param {object} acts order (ids in order), changed, draw (id, progress or null) */
  constructor(acts) {
    this.acts = acts;
    this.seen = null; // how many steps are seen; null for all
    this.timer = null;
  }

  get count() {
    return this.acts.order().length;
  }

  /** See so many steps; all of them ends the stepping. */
  go(seen) {
    this.seen = seen === null || seen >= this.count ? null : Math.max(0, seen);
    this.acts.changed(this.seen ?? this.count, this.count);
  }

  step(way) {
    this.stop();
    this.go((this.seen ?? this.count) + way);
  }

  /** The ids of steps that are not seen yet. */
  hidden() {
    return this.seen === null ? [] : this.acts.order().slice(this.seen);
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
    const ids = this.acts.order();
    if (at === null || at >= ids.length) return this.stop();
    const kind = this.acts.kind(ids[at]);
    const reduced = matchMedia("(prefers-reduced-motion: reduce)").matches;
    const lasts = reduced || kind === "" ? 250 : (LASTS[kind] ?? 600);
    this.go(at + 1);
    const start = performance.now();
    const frame = (now) => {
      const progress = Math.min(1, (now - start) / lasts);
      this.acts.draw(progress < 1 ? ids[at] : null, progress);
      if (progress < 1) this.timer = requestAnimationFrame(frame);
      else if (this.seen === null) this.stop();
      else this.timer = requestAnimationFrame(() => this.next());
    };
    this.timer = requestAnimationFrame(frame);
  }

  stop() {
    if (this.timer !== null) cancelAnimationFrame(this.timer);
    this.timer = null;
    this.acts.draw(null, 1);
  }
}
