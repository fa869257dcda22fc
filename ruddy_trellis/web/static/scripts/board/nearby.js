// What is only asked, and changes nothing, is answered by the copy beside the drawing at once; the server answers too, and has the last
// word where it says something else.

/** What is asked, by the kind of its answer. */
const ANSWERS = { select: "offers", complete: "completions", consider: "considered" };

/** What takes the copy longer than this is left to the server from then on: whoever drags next does not wait for it. Milliseconds. */
const LONG = 120;

export class Nearby {
  /**
   * @param {import("./line.js").Line} line
   * @param {import("./near.js").Near} near
   */
  constructor(line, near) {
    this.near = near;
    // By the kind of the answer: how many the server owes and the copy, when that was asked last, what it has said to the last.
    this.asked = {};
    for (const kind of Object.values(ANSWERS)) {
      const handler = line.handlers.get(kind);
      if (!handler) continue;
      const one = { owed: 0, waits: 0, at: null, said: null, slow: false, handler };
      this.asked[kind] = one;
      line.on(kind, (message) => {
        if (line.inside) return handler(message);
        one.owed = Math.max(0, one.owed - 1);
        // What the server says to something older, or says just as well, was said already.
        if (one.said !== null && (one.owed || JSON.stringify(message) === one.said)) return;
        one.at = null;
        handler(message);
      });
    }
    line.beside.push((kind, content) => this.ask(kind, content));
  }

  ask(kind, content) {
    const one = this.asked[ANSWERS[kind]];
    if (!one) return;
    one.owed += 1;
    one.at = one.said = null;
    if (one.slow || !this.near.fresh) return;
    one.at = performance.now();
    one.waits += 1;
    this.near.take(kind, content);
  }

  /** The copy has answered. Returns whether that was all. */
  answered(message) {
    const one = this.asked[message?.t];
    if (!one) return false;
    one.waits -= 1;
    if (one.waits || one.at === null) return true; // something newer was asked, or the server was quicker
    one.slow = performance.now() - one.at > LONG;
    one.at = null;
    one.said = JSON.stringify(message);
    one.handler(message);
    return true;
  }

  /** The line is another one: what was asked over the old one is not answered. */
  connected() {
    for (const one of Object.values(this.asked)) Object.assign(one, { owed: 0, at: null, said: null, slow: false });
  }
}
