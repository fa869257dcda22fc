// Motions that run: beside the drawing where the copy is as the board is, else at the server.
import { hear } from "../page/hear.js";

export class Motions {
  /** @param {import("./board_view.js").BoardView} view */
  constructor(view) {
    this.view = view;
    this.ids = []; // of those that run
    this.areFar = false; // whether they run at the server
    const { line } = view;
    line.on("frames", (batch) => view.player.take(batch));
    line.on("playing", ({ ids, near }) => this.told(ids, near));
    line.on("ran", ({ edit }) => {
      line.send("edit", { edit });
      view.note("Saving…");
      view.tellView(false); // whatever has come of it is shown
    });
  }

  /** Whether any runs. */
  get run() {
    return this.ids.length > 0;
  }

  /** Which run now is told: from beside the drawing, or by the server. */
  told(ids, isNear) {
    const { view } = this;
    if (isNear && this.areFar) return;
    if (!isNear && view.near?.runs) {
      view.near.run("pause"); // what was said, or runs at the server now, stops what runs here
      if (!ids.length) return; // that is told from there, with where it has stopped: nothing is saved before
    }
    this.areFar = !isNear && ids.length > 0;
    this.ids = ids;
    if (this.run !== view.player.on) hear(this.run ? "Running" : "Stopped");
    view.player.begin(this.run);
    view.dials?.run(ids, view.drawing.things.values());
    view.hooks.playing?.(ids);
    view.note(this.run ? "Running…" : "Saved");
  }

  /** Something is about to be sent: motions begin and stop beside the drawing, and questions are answered there, as long as the copy is as
   *  the board is. Returns whether it is. */
  takes(kind, content) {
    const { near, holding } = this.view;
    const begins = near.fresh && (kind === "ask" || kind === "quiz" || (kind === "play" && !this.run && !holding.is));
    if (!begins && !(near.runs && (kind === "play" || kind === "pause"))) return false;
    near.run(kind, content);
    return true;
  }

  /** The line is another one: nothing runs at the server. */
  lose() {
    this.areFar = false;
  }
}
