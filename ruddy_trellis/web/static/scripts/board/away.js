// While there is no line to the server a board goes on by the copy beside it: what is done is kept in this browser, and sent later.
import { kept } from "../page/kept.js";
import { saveAs } from "../page/save_as.js";
import { toast } from "../page/toast.js";
import { DONE_AGAIN } from "./line.js";

/** How long the line may be gone until that is said, milliseconds. */
const SAID_AFTER = 1500;
/** How long what was done is waited for to be taken, milliseconds. */
const PATIENCE = 15_000;

export class Away {
  /** @param {import("./board_view.js").BoardView} view */
  constructor(view) {
    this.view = view;
    this.is = false; // whether there is no line, and the copy answers
    this.finishing = false; // whether the line is back, and the copy comes to its end
    this.sending = false; // whether what was done is on its way: what the server shows meanwhile is without it
    this.shown = null; // what it has shown meanwhile
    this.later = []; // the changes that were told since
    this.unsent = [];
    this.newSession();
    // What other windows at this board have left, or still have: what is sent twice is made once.
    const begins = `unsent ${view.path} `;
    this.left = kept.all(begins).map(([name, text]) => ({ name: name.slice(name.indexOf(begins)), edits: JSON.parse(text).edits }));
    view.line.on("taken", (message) => this.taken(message));
    view.line.on("state", ({ state }) => view.takeState(state));
    // Of a panel that was asked for just as the line was cut, or of a dialog.
    document.body.addEventListener("htmx:sendError", () => {
      if (this.is) toast("That comes with the line to the server.", { refusal: true });
    });
    if (view.line.isOpen) this.send();
  }

  /** What is done from here on is kept under a name of its own, and each edit has keys that no other has. */
  newSession() {
    this.session = Math.random().toString(36).slice(2, 12).padEnd(10, "0");
    this.name = `unsent ${this.view.path} ${this.session}`;
  }

  /** What stands in the head strip instead of anything else; null for nothing. */
  get says() {
    const count = this.unsent.length;
    return this.is ? (count ? `Not saved yet: ${count} change${count === 1 ? "" : "s"}` : "No line: go on") : null;
  }

  /** Whether all goes on here where the line is cut now. */
  get could() {
    return !this.is && !!this.view.near?.fresh;
  }

  /** The line has opened, or is cut. Returns whether all is done that there is to do about it. */
  connected(open, gone) {
    if (this.is) {
      if (open && !this.finishing) this.finish();
    } else if (open) setTimeout(() => this.send());
    else if (!gone && this.could && this.view.near.leave()) this.begin();
    return this.is && !gone;
  }

  /** There has been no line since the page is here, and the copy that was kept is: all goes on, with what is not saved yet. */
  startAlone() {
    if (this.is || this.view.line.isOpen || !this.view.near.leave(true)) return;
    this.begin();
    const edits = this.left.flatMap((one) => one.edits);
    if (edits.length) this.view.near.ask("unsent", { edits });
  }

  begin() {
    const { view } = this;
    this.is = true;
    view.holding.isNear = false; // what is held goes on as all else does
    view.line.inside = (kind, content) => view.near.ask(kind, content);
    for (const [kind, content] of view.line.unanswered())
      if (DONE_AGAIN.has(kind))
        view.near.ask(kind, content); // it may have come to the server: it is known again
      else
        toast(`The line was cut. Whether that was ${kind === "undo" ? "undone" : "done again"} is seen when it is back.`, {
          refusal: true,
        });
    view.note("");
    this.timer = setTimeout(
      () => toast("The server cannot be reached. Go on: what you do is kept in this browser, and saved when it is back."),
      SAID_AFTER,
    );
  }

  /** Something was answered here. */
  told({ answers, unsent }) {
    if (!this.is) return; // the server answers again
    for (const answer of answers) if (answer.t !== "taken") this.view.line.deliver(answer);
    if (!unsent) return;
    this.unsent = unsent.map((one, number) => ({ key: `${this.session}-${number}`, ...one }));
    this.keep();
    this.view.note("");
    if (!answers.some(({ t }) => t === "taken")) return;
    for (const { name } of this.left) kept.forget(name); // what was left is done here again, and noted anew
    this.left = [];
  }

  keep() {
    if (!this.unsent.length) return kept.forget(this.name);
    const title = document.querySelector("h1")?.textContent ?? document.title;
    kept.write(this.name, JSON.stringify({ at: Date.now(), title, where: location.href, edits: this.unsent }));
  }

  /** The line is back. */
  async finish() {
    this.sending = this.finishing = true;
    const { file } = await this.view.near.finish();
    this.file = file;
    this.end();
  }

  /** From here on the server answers again, or nobody does: the line is back, or the thread has failed. What was done is sent later. */
  end() {
    if (!this.is) return;
    clearTimeout(this.timer);
    this.is = this.finishing = false;
    this.view.line.inside = null;
    if (this.unsent.length) this.left.push({ name: this.name, edits: this.unsent });
    this.unsent = [];
    this.newSession();
    this.view.away = this.view.cut = false;
    this.view.connected(this.view.line.isOpen, false); // it may have been cut again meanwhile
    if (!this.left.length) this.settled();
  }

  /** Send what is left of a time without a line, one time after another. */
  send() {
    if (!this.left.length || !this.view.line.isOpen) return;
    this.sending = true;
    this.view.note("Saving…");
    this.view.line.send("unsent", { edits: this.left[0].edits });
    // Whatever comes of it, the board is not kept from view for long.
    clearTimeout(this.patience);
    this.patience = setTimeout(() => this.settled(), PATIENCE);
  }

  /** What the server shows while what was done here is on its way waits. Returns whether it does. */
  waits(message) {
    if (this.sending) Object.assign(this, { shown: message, later: [] });
    return this.sending;
  }

  /** A change was told: it is none of what the server has shown before and waits. */
  heard(change) {
    if (this.shown) this.later.push(change);
  }

  settled() {
    const { shown, later } = this;
    this.sending = false;
    this.shown = null;
    this.later = [];
    if (shown) for (const message of [shown, ...later]) this.view.line.deliver(message);
    this.view.note("Saved");
  }

  /** The server has what was done here. */
  taken({ keys, lost }) {
    const count = keys.length;
    clearTimeout(this.patience);
    const sent = this.left.shift();
    if (sent) kept.forget(sent.name);
    this.shown = null; // the board as it is now comes next
    this.sending = false;
    this.view.note("Saved");
    this.send();
    if (!lost.length) return toast(`Connected again: ${count} change${count === 1 ? " is" : "s are"} saved.`);
    const { file } = this;
    toast(`Connected again. Of ${count} changes ${lost.length} could not be kept, since somebody has changed the board: ${lost[0]}`, {
      refusal: true,
      stays: true,
      act: file && { words: "Save the board as you had it", act: () => saveAs(new Blob([JSON.stringify(file)]), "as-I-had-it.json") },
    });
  }
}
