// What a person does is drawn as the copy beside the drawing foresees it, where the server is far. What the server says takes its place;
// where it says the same, the copy is as the board is, and goes on at once.

/** Acts of which most is seen at once. */
const FORESEEN = new Set(["say", "click", "offer", "edit", "finish", "put", "nudge", "undo", "redo"]);
/** Where the server answers as soon as this, nothing is foreseen. Milliseconds. */
const NEAR_ENOUGH = 80;
/** Where the copy takes as long as this, and half as long as the server, twice on end, so many acts are left to the server. */
const LONG = 400;
const LEFT = 5;

export class Foreseen {
  /** @param {import("./board_view.js").BoardView} view */
  constructor(view) {
    this.view = view;
    this.act = null; // what was sent and is foreseen, one at a time, since the copy does not know of it
    this.slow = this.left = 0;
    this.noted = false;
  }

  /** An act is on its way to the server. */
  sent(kind, content) {
    const { near, line, holding, motions } = this.view;
    const isAlone = line.known.size === 1 && !this.act; // what else is on its way may change what this one does
    if (!FORESEEN.has(kind) || !isAlone || line.took < NEAR_ENOUGH || !near?.fresh || holding.is || motions.run) return;
    if (this.left > 0) this.left -= 1;
    else {
      this.act = { kind, once: content.once, at: performance.now(), changed: null, back: null };
      near.foresee(content.once, { t: kind, ...content });
    }
  }

  /** What the copy foresees: shown, unless the server was quicker. */
  told(once, { changed, back, prompt }) {
    const { act, view } = this;
    if (act?.once !== once) return;
    this.slow = performance.now() - act.at > Math.max(LONG, view.line.took / 2) ? this.slow + 1 : 0;
    if (this.slow > 1) this.left = LEFT;
    if (prompt) view.line.deliver(prompt);
    if (!changed) return;
    Object.assign(act, { changed, back });
    this.show(changed);
    view.note("Saving…");
  }

  /** The server tells of a change. Returns whether all of it is as it was foreseen. */
  isSo(changed) {
    const { act, view } = this;
    if (!act?.changed || view.holding.is) return false;
    if (said(act.changed) !== said(changed)) {
      // Where nobody else is at the board both come to the same: that they do not is a fault of ours, and is noted once.
      if (view.holding.others || this.noted) return false;
      this.noted = true;
      view.line.send("far", { words: `Foreseen otherwise than done ${act.kind}` });
      return false;
    }
    this.act = null;
    view.near.adopt(act.once);
    return true;
  }

  /** The server tells of the board, or has answered all of an act: what was foreseen of it goes. */
  over(once) {
    const { act } = this;
    if (!act || (once && act.once !== once)) return;
    this.act = null;
    if (!act.back) return;
    this.show(act.back);
    this.view.note("Saved");
  }

  show({ items, gone }) {
    this.view.drawing.change(items, gone);
    this.view.showDials();
  }
}

function said({ items, gone }) {
  return JSON.stringify([items, gone]);
}
