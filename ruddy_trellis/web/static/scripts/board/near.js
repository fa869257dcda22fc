// What is held moves beside the drawing at once, whatever the network; the server hears of it ten times a second, and keeps it.

import { unmarshalled } from "../drawing/marshalled.js";
import { fetchLater } from "./later.js";
import { Nearby } from "./nearby.js";

/** How long the copy waits after a change before it is made anew, and how long the runtime may take to start, milliseconds. */
const SETTLED = 400;
const QUIET = 5000;
const PATIENCE = 60_000;
/** How long after the first visit of a browser its memory is made for the next one, milliseconds. */
const KEEPS_AFTER = 15_000;

/** A copy of the board in a thread of its own. Until it is there, and where it fails, everything goes over the line. */
export class Near {
  /**
   * @param {{runtime: string, core: string, mark: string}} places where it is fetched from
   * @param {import("./line.js").Line} line
   * @param {{ask: () => boolean, moved: (message: object, told: Uint8Array) => void,
   *   under: (message: object) => void, ended: (words: string) => void, told: (told: object) => void, alone: () => void,
   *   foreseen: (once: string, found: object) => void, ran: (answer: object) => void}} acts ask the server for the steps of the board;
   *   what is told of moved items; what lies under the pointer; told once where there is no copy any more, and why; what is answered while
   *   there is no line; told once a copy that was kept is there, where there was no line from the first; what the copy foresees of an
   *   act; what is told of motions that run here
   */
  constructor(places, line, acts) {
    this.acts = acts;
    this.nearby = new Nearby(line, this);
    this.ready = false;
    this.fresh = false; // whether the copy is as the board is
    this.asking = false;
    this.alone = null; // the copy that was kept, where there has been no line yet
    this.away = false; // whether the copy answers everything, since there is no line
    this.runs = false; // whether motions run here
    this.changes = 0; // how many changes of the board were heard of
    this.hasTool = false; // whether the copy has the tool that is in the hand
    this.prompts = 0; // how many prompts were heard of
    this.newest = null; // where what is held is to be, while another place is reckoned
    this.place = null; // the place that is reckoned
    this.reached = null; // the last place that was, with where what has to be followed has come to
    this.busy = false;
    this.worker = new Worker(new URL("../near/worker.js", import.meta.url), { type: "module" });
    this.worker.onmessage = ({ data }) => this.told(data);
    this.worker.onerror = () => this.end("The thread could not be started.");
    this.patience = setTimeout(() => this.end("The runtime took too long."), PATIENCE);
    this.places = places;
    this.worker.postMessage({ kind: "begin", places });
  }

  /** What the thread tells. */
  told({ kind, number, text, bytes, words, after, told, first }) {
    if (kind === "foreseen") return this.acts.foreseen(number, JSON.parse(text));
    if (kind === "failed") return this.end(words);
    if (kind === "told") {
      if (after === "end") this.finished?.(told);
      if (after !== "run" || this.away) return this.acts.told(told);
      for (const answer of told.answers) this.ran(answer);
      return;
    }
    if (kind === "cannot") return this.cannot();
    if (kind === "ready") {
      clearTimeout(this.patience);
      this.ready = true;
      fetchLater();
      if (first && !(navigator.deviceMemory < 4)) this.keeping = setTimeout(() => this.keep(), KEEPS_AFTER);
      if (this.alone) this.openAlone(this.alone);
      else this.renew();
    } else if (kind === "opened") {
      this.know(number === this.changes);
      if (this.alone) this.acts.alone();
      this.alone = null;
    } else if (kind === "prompted") this.hasTool = number === this.prompts && text === "true";
    else this.answered(bytes ? unmarshalled(bytes) : JSON.parse(text), bytes);
  }

  /** The core had to be compiled, so nothing was kept of the memory: it is made once more beside this, for the next visit. */
  keep() {
    if (document.hidden || this.away) return;
    const worker = new Worker(new URL("../near/worker.js", import.meta.url), { type: "module" });
    worker.onmessage = worker.onerror = () => worker.terminate();
    worker.postMessage({ kind: "keep", places: this.places });
  }

  /** The board has changed: the copy is none until it is made anew, once things have settled. */
  stale() {
    this.changes += 1;
    this.know(false);
    this.renewSoon(SETTLED);
  }

  renewSoon(after) {
    clearTimeout(this.settling);
    this.settling = setTimeout(() => this.renew(), after);
  }

  /** Something on this board is the server's: so is all of it, until it is another one. */
  cannot() {
    this.busy = false;
    this.know(false);
    this.acts.under(null);
  }

  /** Whether the copy is as the board is: told to the page as well, for whoever looks for what runs where. */
  know(fresh) {
    this.fresh = fresh;
    document.getElementById("board").dataset.hand = fresh ? "near" : "far";
  }

  renew() {
    if (!this.ready || this.asking || this.away || this.alone) return;
    this.asked = this.changes;
    this.asking = this.acts.ask();
  }

  /** The line is another one: what was asked is not answered any more. */
  connected() {
    this.nearby.connected();
    this.asking = false;
    this.stale();
  }

  /** There has been no line yet: the copy is as it was kept. */
  openAlone(text) {
    this.alone = text;
    if (this.ready) this.worker?.postMessage({ kind: "open", number: this.changes, text });
  }

  /** Motions run here, or what is asked is answered here. */
  run(kind, content) {
    this.worker?.postMessage({ kind: "run", text: JSON.stringify({ t: kind, ...content }) });
  }

  /** Something has come of that. */
  ran(answer) {
    if (answer.t === "playing") this.runs = answer.ids.length > 0;
    this.acts.ran({ ...answer, near: true });
  }

  /**
   * The line is gone. Returns whether the copy answers everything from here on: what it lacks it cannot.
   * @param {boolean} [whole] whether the whole board is to be told first
   */
  leave(whole) {
    if (!this.fresh) return false;
    this.away = true;
    this.know(false); // what is asked now is asked as of a server
    this.worker.postMessage({ kind: "leave", text: whole ? "whole" : undefined });
    return true;
  }

  /** Something is asked while there is no line. */
  ask(kind, content) {
    this.worker?.postMessage({ kind: "do", text: JSON.stringify({ t: kind, ...content }) });
  }

  /** The line is back. Gives what the server does not know of, and the board as a file. */
  finish() {
    return new Promise((done) => {
      this.away = false;
      this.finished = done;
      this.worker.postMessage({ kind: "end" });
    });
  }

  /** The server's answer: the board as it is now, by all that came before it; nothing where it keeps something back. */
  open(text) {
    this.asking = false;
    if (!text || this.fresh) return;
    if (this.asked !== this.changes) return this.renewSoon(SETTLED); // something has changed meanwhile
    this.worker?.postMessage({ kind: "open", number: this.changes, text });
  }

  /** The tool in the hand, and how its sentence is filled, as the server has it. */
  prompt(told) {
    this.hasTool = false;
    this.prompts += 1;
    this.worker?.postMessage({ kind: "prompt", number: this.prompts, text: JSON.stringify(told) });
  }

  /** Whether the copy can say what lies under the pointer for that tool: it is as the board is. */
  get hovers() {
    return this.fresh && this.hasTool;
  }

  look(view) {
    this.worker?.postMessage({ kind: "look", text: JSON.stringify(view) });
  }

  take(kind, content = {}) {
    this.worker?.postMessage({ kind: "take", text: JSON.stringify({ t: kind, ...content }) });
  }

  /** What comes of an act that was sent is asked of the copy. */
  foresee(once, message) {
    this.worker?.postMessage({ kind: "foresee", number: once, text: JSON.stringify(message) });
  }

  /** It is so, and the copy is as the board is: with that act done. What is kept of it elsewhere is fetched when there is time. */
  adopt(once) {
    this.worker?.postMessage({ kind: "adopt", text: once });
    this.renewSoon(QUIET);
  }

  /** What is held goes on: of places that come faster than they are reckoned the newest counts. */
  drag(to) {
    if (this.busy) this.newest = to;
    else {
      this.busy = true;
      this.place = to;
      this.worker?.postMessage({ kind: "drag", text: JSON.stringify({ t: "drag", to, seq: 0 }) });
    }
  }

  answered(answers, bytes) {
    if (this.nearby.answered(answers[0])) return;
    const under = answers.find((answer) => answer.t === "under");
    if (under || !answers.length) return this.acts.under(under ?? null);
    const moved = answers.find((answer) => answer.t === "moved");
    if (!moved) return;
    this.busy = false;
    this.reached = moved.near ? { to: this.place, near: moved.near } : null;
    const { newest } = this;
    this.newest = null;
    if (newest) this.drag(newest);
    this.acts.moved(moved, bytes);
  }

  end(words) {
    clearTimeout(this.patience);
    clearTimeout(this.settling);
    clearTimeout(this.keeping);
    this.worker?.terminate();
    this.worker = null;
    this.ready = false;
    this.know(false);
    if (this.runs) this.ran({ t: "playing", ids: [] });
    this.acts.ended(words);
  }
}
