// What is held on the page: it moves beside the drawing where there is a copy of the board, and at the server.
import { Latest } from "./line.js";

/** How often the server hears of what is held near, milliseconds. */
const TOLD_EVERY = 100;
const TOLD_FOLLOWED = 40; // while others follow
const TOLD_ALONE = 2000; // while nobody else looks: so that it is seen that somebody works there

export class Holding {
  /** @param {import("./board_view.js").BoardView} view */
  constructor(view) {
    this.view = view;
    this.is = false; // whether something is held
    this.isNear = false; // whether it moves beside the drawing
    this.followed = false; // whether others look at this board, live
    this.others = true; // whether anybody else has it open, or looks at it
    this.sequence = 0;
    this.last = 0; // the number of the last place of a drag that was held near
    this.to = null; // where it is, and the server has not heard so yet
    this.drags = new Latest((content) => this.view.line.send("drag", { ...content, seq: ++this.sequence }));
  }

  grab(ids, at) {
    const { near, motions, line } = this.view;
    this.is = true;
    this.drags.clear();
    this.isNear = !!near?.fresh && (!motions.run || near.runs);
    if (this.isNear) {
      near.reached = null;
      near.take("grab", { ids, at });
    }
    line.send("grab", { ids, at });
  }

  /** What is held goes to another place: beside the drawing at once where there is a copy, and at the server. */
  drag(to) {
    this.isNear &&= this.view.near.fresh;
    if (!this.isNear) {
      this.to = null; // what was still to be told is past
      return this.drags.offer({ to });
    }
    this.view.near.drag(to);
    this.to = to;
    this.telling ??= setTimeout(() => this.tell(), this.followed ? TOLD_FOLLOWED : this.others ? TOLD_EVERY : TOLD_ALONE);
  }

  /** The server hears where what is held is by now. */
  tell() {
    this.telling = undefined;
    if (!this.is || !this.to) return;
    const reached = this.reached();
    this.drags.offer(reached ?? { to: this.to });
    if (!reached || reached.to === this.to) this.to = null;
  }

  /** Where what is held has been reckoned to be, with where what has to be followed was then: the server, which sees fewer places, would
   *  follow it otherwise. Nothing where nothing has to be followed. */
  reached() {
    return this.isNear ? this.view.near.reached : null;
  }

  /** Others have come to look, or all of them have gone. */
  company(others) {
    this.others = others;
    if (!others || this.telling === undefined) return;
    clearTimeout(this.telling);
    this.tell();
  }

  /** What is held is let go where it is now. */
  letGo() {
    const { near, line, reveals } = this.view;
    this.is = false;
    clearTimeout(this.telling);
    this.telling = undefined;
    const to = this.to ?? this.drags.next?.to;
    this.to = null;
    const reached = this.reached();
    if (reached) line.send("drag", { ...reached, seq: ++this.sequence });
    if (to) line.send("drag", { to, seq: ++this.sequence });
    if (this.isNear) {
      near.newest = null;
      near.take("drop");
      near.stale();
      this.last = this.sequence;
    }
    this.isNear = false;
    this.drags.clear();
    line.send("drop", { unseen: reveals.hidden() });
  }

  /** The server tells of a place of a drag. Returns whether what is held is further on already. */
  isPast(seq, held) {
    this.drags.landed();
    if (!held) this.isNear = false;
    return this.isNear || seq < this.last;
  }

  /** The board is another one: what is held is where the server has it. */
  forget() {
    this.isNear = false;
    this.last = 0;
  }

  /** The line is another one: nothing is held. */
  lose() {
    this.is = false;
    this.others = true; // until it is told
    this.drags.clear();
    this.forget();
  }
}
