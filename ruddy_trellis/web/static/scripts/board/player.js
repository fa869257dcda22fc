// Plays the pictures of motions that the server has made ahead, each at its moment.

export class Player {
  /** @param {(items: object[]) => void} show */
  constructor(show) {
    this.show = show;
    this.on = false;
    this.frames = new Map();
  }

  /** Motions start, or all have stopped. */
  begin(on) {
    this.on = on;
    this.frames.clear();
    this.start = null;
    this.shown = -1;
    if (on) this.ask();
  }

  /** Take pictures; those that were made before for the same moments are out of date. */
  take({ from, rate, now, frames }) {
    if (!this.on) return;
    this.rate = rate;
    // The clock of the pictures runs a little behind, so that there is always one to show.
    this.start ??= performance.now() - (now / rate) * 1000 + 40;
    for (const number of this.frames.keys()) if (number >= from) this.frames.delete(number);
    for (const [place, items] of frames.entries()) this.frames.set(from + place, items);
  }

  ask() {
    requestAnimationFrame((time) => {
      if (!this.on) return;
      this.step(time);
      this.ask();
    });
  }

  step(time) {
    if (this.start === null) return;
    const until = Math.floor(((time - this.start) * this.rate) / 1000);
    const latest = new Map();
    for (let number = this.shown + 1; number <= until; number++) {
      for (const item of this.frames.get(number) ?? []) latest.set(item.id, item);
      if (this.frames.delete(number)) this.shown = number;
    }
    if (latest.size) this.show([...latest.values()]);
  }
}
