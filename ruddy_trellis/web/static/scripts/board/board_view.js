// A live board on the page: what a teacher's page and a student's have in common.
import "../page/focus.js";
import { Drawing } from "../drawing/drawing.js";
import { hear, hearLast } from "../page/hear.js";
import { fitFigure } from "./into_view.js";
import { Holding } from "./holding.js";
import { Line } from "./line.js";
import { Motions } from "./motions.js";
import { Player } from "./player.js";
import { Reveals } from "./reveals.js";
import { toast } from "../page/toast.js";
import { Viewport } from "../drawing/viewport.js";

/** How large a board is on a teacher's page at 1280 × 800, in pixels: what a lesson is set up for. */
const USUAL = { width: 964, height: 604 };

/** When the runtime for the copy beside the drawing is fetched after the board is there, milliseconds. */
const NEAR_AFTER = 3000;

export class BoardView {
  /**
   * @param {string} path of the live board's line
   * @param {object} hooks told what happens, where given: connected, board, changed, state, tick, playing, refused,
   *   revealed, under (what lies under the pointer for the tool, or null where that is not known); asked: help (where the help is about
   *   a refusal), hidden (the ids of more things that are not seen for now), fits (whether a board of another size still shows the same
   *   part of the plane), figure (the part that is shown at first, where it is another one);
   *   protocol: what the line is called, with the secret of a copy
   */
  constructor(path, hooks) {
    this.hooks = hooks;
    this.page = document.getElementById("board");
    this.canvas = /** @type {HTMLCanvasElement} */ (document.getElementById("drawing"));
    this.saved = document.getElementById("saved");
    this.port = new Viewport(this.canvas);
    this.drawing = new Drawing(this.canvas, this.port, JSON.parse(this.page.dataset.look));
    this.port.show(this.page.dataset.view.split(" ").map(Number));
    this.path = path;
    this.photographs = path.replace(/live$/, "photographs/");
    this.state = {};
    this.viewTold = 0;

    const scheme = location.protocol === "https:" ? "wss" : "ws";
    this.line = new Line(
      `${scheme}://${location.host}${path}`,
      (open, gone) => this.connected(open, gone),
      () => this.tellAway("The server cannot be reached, so that was not taken in. Trying again…", true),
      (stalled) => this.stall(stalled),
      hooks.protocol,
    );
    this.prompt = null; // the tool in the hand, with what fills its sentence
    this.near = null; // fetched when the board is there, and so is what goes on without a line
    this.offline = null;
    this.holding = new Holding(this);
    this.player = new Player((items) => {
      this.drawing.move(items);
      this.tick(items);
    });
    this.dials = null; // fetched for the first dial or motion
    this.dialActs = {
      grab: (id) => this.holding.grab([id], [0, 0]),
      turn: (value) => this.holding.drag([value, 0]),
      drop: () => this.holding.letGo(),
      play: (id, on) => this.line.send(on ? "pause" : "play", on ? {} : { ids: [id] }),
    };
    this.reveals = new Reveals(this.port, {
      changed: () => this.closeThings(),
      grab: (id, at) => this.holding.grab([id], at),
      drag: (to) => this.holding.drag(to),
      drop: () => this.holding.letGo(),
      ask: async (id, what) => {
        if (what === "angle_quiz")
          (await import("../page/quiz.js")).openQuiz(this, id); // fetched when it is first asked for
        else this.line.send("ask", { id });
      },
    });
    this.listen();
    this.buttons();
  }

  connected(open, gone) {
    this.motions?.lose();
    this.foreseen?.over();
    if (this.offline?.connected(open, gone)) return;
    this.note(open ? "Saved" : gone ? "Closed" : "Not connected: trying again…");
    if (gone) toast("This lesson is no longer open here. Sign in again, or ask for its new link.", { refusal: true });
    else if (!open && this.line.failures > 1) this.tellAway("The server cannot be reached. Trying again; what was saved is safe.");
    else if (open && this.away)
      toast(
        this.cut
          ? "Connected again: what you dragged was kept where it was when the line was cut."
          : "Connected again: the board is as it was last saved.",
      );
    if (open) this.away = this.cut = false;
    else this.cut ||= this.holding.is;
    this.holding.lose();
    if (open) {
      this.near?.connected();
      if (window.parent === window) setTimeout(() => this.bringNear(), NEAR_AFTER);
      else this.canvas.addEventListener("pointerup", () => this.bringNear(), { once: true }); // a page may have many frames
    }
    this.hooks.connected?.(open);
    if (open) this.tellView(false);
    if (open && this.drawing.uncovered.size) this.lift([...this.drawing.uncovered]);
  }

  /** An answer is overdue: without the server the copy goes on, where there is one; else nothing is called saved until it comes. */
  stall(stalled) {
    if (stalled && this.offline?.could) this.line.giveUp();
    else if (stalled) {
      this.noted = this.saved.textContent;
      this.note("Slow line: waiting…");
      this.tellAway("The server has not answered for three seconds. What you do now is not saved until it does.");
    } else if (this.saved.textContent === "Slow line: waiting…") {
      this.note(this.noted);
      if (this.away) toast("The server answers again.");
      this.away = false;
    }
  }

  /** The server cannot be reached: said once, and again to those who do something meanwhile. */
  tellAway(words, again = false) {
    if (!this.away || again) toast(words, { refusal: true, stays: true });
    this.away = true;
  }

  /** What the server tells of the board. */
  listen() {
    const { line } = this;
    this.drawing.onCovers = (ids) => this.lift(ids);
    line.on("board", (message) => {
      if (this.offline?.waits(message)) return;
      this.foreseen?.over();
      this.changedElsewhere();
      this.drawing.show(message.items);
      this.showDials();
      this.takeState(message.state);
      if (this.hooks.figure?.()) this.resized();
      this.drawing.redraw();
      this.hooks.board?.(message);
    });
    line.on("changed", (message) => {
      this.offline?.heard(message);
      const isForeseen = this.foreseen?.isSo(message);
      this.hearVerdicts(message.items);
      if (!isForeseen) {
        this.foreseen?.over();
        this.changedElsewhere();
        this.drawing.change(message.items, message.gone);
        this.showDials();
      }
      this.takeState(message.state);
      this.note("Saved");
      this.hooks.changed?.(message);
    });
    line.on("moved", ({ items, seq, held, seen }, text) => {
      if (seq === undefined && !seen) this.near?.stale(); // somebody else moves something; of another view nothing has changed
      // What is held near is further on already; the last place of a drag is told by the server as well.
      if (seq !== undefined && this.holding.isPast(seq, held)) return;
      this.drawing.move(items, text);
      this.tick(items);
      if (seq !== undefined && held && items.length) this.note("Moving…");
    });
    line.on("near", ({ steps }, text) => {
      this.near?.open(steps && text);
      if (steps) this.hooks.copied?.(text);
    });
    line.on("did", ({ once }) => this.foreseen?.over(once));
    line.on("ahead", ({ items }) => this.drawing.preview(items));
    line.on("heard", ({ words, last }) => (last ? hearLast(words) : hear(words)));
    line.on("kept", () => this.note("Saved"));
    line.on("stuck", ({ words, lights }) => {
      if (this.holding.isNear) this.tellView(false); // the server shows everything where it is
      this.holding.isNear = false;
      toast(words, { refusal: true });
      this.drawing.markOnly("lit", lights);
    });
    line.on("says", ({ kind, words, undo, ways }) => {
      const help = kind === "refusal" ? this.hooks.help?.(words) : "";
      toast(words, { refusal: kind === "refusal", undo: undo ? () => line.send("undo") : null, help });
      if (kind === "refusal") {
        this.hooks.refused?.(ways);
        this.note("Saved"); // nothing has changed, so what is kept is what is shown
      }
    });
    line.on("company", ({ others }) => this.holding.company(others));
    this.motions = new Motions(this);
  }

  /** What has come to be known of a claim that is seen. */
  hearVerdicts(items) {
    for (const { id, shape, style } of items) {
      const { verdict } = shape ?? {};
      const known = this.drawing.things.get(id)?.shape?.verdict;
      const isSeen = !style?.hidden && !this.reveals.hidden().includes(id);
      if (verdict && verdict !== "trying" && verdict !== known && isSeen) hear(shape.words);
    }
  }

  /** The buttons that every board has. */
  buttons() {
    document.getElementById("undo").addEventListener("click", () => this.line.send("undo"));
    document.getElementById("redo").addEventListener("click", () => this.line.send("redo"));
    document.getElementById("zoom-in").addEventListener("click", () => this.zoom(1.25));
    document.getElementById("zoom-out").addEventListener("click", () => this.zoom(0.8));
    document.getElementById("fit").addEventListener("click", () => this.fit());
    new ResizeObserver(() => this.resized()).observe(this.canvas);
  }

  /** The board has another size: where the page says so, the same part of the plane is shown in it. */
  resized() {
    this.port.measure();
    if (this.hooks.fits) {
      this.port.show((!this.moved && this.hooks.figure?.()) || this.port.meant);
      this.showBoard();
      this.tellView(false);
    }
    this.redraw();
  }

  /** The board's own settings; where it always shows the same part, its words shrink with it in a small frame. */
  showBoard() {
    const { width, height } = this.port;
    const stretch = this.hooks.fits ? Math.min(width / USUAL.width, height / USUAL.height) : 1;
    const share = Math.max(0.62, Math.min(stretch * 1.07, 1));
    this.page.style.setProperty("--share", share);
    const photographs = this.page.dataset.photographs ?? new URL(this.photographs, location.href).href;
    if (this.state.size) this.drawing.showBoard({ ...this.state, size: this.state.size * share, stretch, photographs });
  }

  note(asked) {
    const words = this.offline?.says ?? asked;
    // Writing the same words again would lay out the head strip for every position of a drag.
    if (this.saved.textContent === words) return;
    this.saved.textContent = words;
    this.saved.classList.toggle("at-rest", words === "Saved");
  }

  takeState(now) {
    this.state = now;
    document.getElementById("undo").disabled = !now.undo;
    document.getElementById("redo").disabled = !now.redo;
    this.showBoard();
    this.page.classList.toggle("dark", now.paper === "dark");
    this.drawScale();
    this.hooks.state?.(now);
  }

  /** New values of readings and dials. */
  tick(items) {
    this.hooks.tick?.(items);
    for (const { id } of items) {
      const item = this.drawing.things.get(id);
      if (item?.shape?.dial) this.dials?.tell(item);
      if (item?.kind === "reveal") this.reveals.place();
    }
  }

  showDials() {
    this.layDials();
    this.reveals.show(this.drawing.things.values());
  }

  async layDials() {
    const some = [...this.drawing.things.values()].some((item) => item.shape?.dial || item.kind === "motion");
    if (some && !this.dials) {
      const { Dials } = await import("./dials.js");
      this.dials ??= new Dials(this.dialActs);
    }
    this.dials?.show(this.drawing.things.values(), this.drawing.ghosts);
    if (this.motions.run) this.dials?.run(this.motions.ids, this.drawing.things.values());
  }

  /** What is not seen for now: behind closed reveals, or as the page says. */
  closeThings() {
    this.drawing.close([...new Set([...this.reveals.hidden(), ...(this.hooks.hidden?.() ?? [])])]);
    this.hooks.revealed?.();
  }

  /** Light what lies under the pointer. Returns it, or undefined. */
  pointAt(event) {
    const { drawing, port, canvas } = this;
    port.measure();
    const [id] = drawing.under(event.clientX - port.left, event.clientY - port.top);
    const item = drawing.things.get(id);
    drawing.markOnly("lit", id ? [id] : []);
    canvas.classList.toggle("over", !!id);
    canvas.classList.toggle("movable", isPeg(item));
    return item;
  }

  // The copy beside the drawing -----------------------------------------------------------------------------------

  /** The covers of these things are lifted, for this person. */
  lift(ids) {
    this.line.send("lift", { ids });
    this.near?.take("lift", { ids });
  }

  /** The board is another one: the copy beside the drawing is behind. */
  changedElsewhere() {
    this.holding.forget();
    this.near?.stale();
  }

  /** Fetch what runs the hand beside the drawing, once the page has nothing else to do. Where the server is gone just then, it is fetched
   *  when that is back. */
  async bringNear() {
    if (!this.offline) {
      const { Away } = await import("./away.js").catch(() => ({}));
      if (!Away) return;
      this.offline ??= new Away(this);
    }
    const { near } = this.page.dataset;
    if (!near || this.near || !window.WebAssembly || navigator.deviceMemory < 2 || navigator.connection?.saveData) return;
    const [{ Near }, { Foreseen }] = await Promise.all([import("./near.js"), import("./foreseen.js")]).catch(() => [{}, {}]);
    if (this.near || !Near) return;
    this.foreseen = new Foreseen(this);
    this.line.beside.push((kind, content) => this.foreseen.sent(kind, content));
    this.near = new Near(JSON.parse(near), this.line, {
      ask: () => this.line.send("near"),
      moved: (message, told) => {
        this.holding.isNear &&= message.held; // what the copy lacks it cannot hold
        if (!this.holding.isNear) return;
        this.drawing.move(message.items, told);
        this.tick(message.items);
        this.note("Moving…");
      },
      under: (message) => this.hooks.under?.(message),
      told: (told) => this.offline.told(told),
      ran: (answer) => this.line.deliver(answer),
      alone: () => this.offline.startAlone(),
      foreseen: (once, found) => this.foreseen.told(once, found),
      ended: (words) => {
        this.holding.isNear = false;
        this.offline.end();
        this.hooks.under?.(null);
        // Of an error its kind, which is the beginning of its last line.
        const kind = words.trim().split("\n").pop().split(":")[0];
        this.line.send("far", { words: kind.replace(/[^A-Za-z ]/g, "").slice(0, 80) });
      },
    });
    this.line.instead = (kind, content) => this.motions.takes(kind, content);
    this.near.look(this.port.view());
    this.near.prompt(this.prompt);
  }

  /** The tool in the hand is another one, or its sentence filled otherwise. */
  prompted({ told }) {
    this.prompt = told;
    this.near?.prompt(told);
  }

  // The view ------------------------------------------------------------------------------------------------------

  viewChanged() {
    this.moved = true; // from here on what is shown is what the person chose
    this.redraw();
    clearTimeout(this.viewTimer);
    // Lines are cut a little outside the view, so the server hears of a moving view now and then, and keeps the last.
    if (performance.now() - this.viewTold > 100) this.tellView(false);
    this.viewTimer = setTimeout(() => this.tellView(true), 250);
  }

  tellView(keep) {
    this.viewTold = performance.now();
    this.line.send("view", { view: this.port.view(), meant: this.port.meant, keep });
    this.near?.look(this.port.view());
  }

  redraw() {
    this.drawing.redraw();
    this.reveals.place();
    this.drawScale();
  }

  /** The window has another size, and shows the part that was meant to be seen before. */
  refit() {
    this.port.measure();
    this.port.showAgain();
    this.redraw();
    this.tellView(false);
  }

  drawScale() {
    const length = this.port.roundLength(150);
    const { unit, scale } = this.state;
    const shown = Number(length.toPrecision(3));
    const onPaper = scale ? ` · 1 cm is ${Number(scale.toPrecision(6))} ${unit}` : "";
    document.getElementById("scale-words").textContent = (unit ? `${shown} ${unit}` : `${shown}`) + onPaper;
    document.getElementById("scale-bar").style.width = `${length * this.port.zoom}px`;
  }

  zoom(times) {
    this.port.zoomAt([this.port.x, this.port.y], times);
    this.viewChanged();
  }

  fit() {
    fitFigure(this);
  }

  /** Nudge what is selected by an arrow key, or where nothing is, move the view. Returns whether it was one. */
  nudge(event, ids) {
    const way = ARROWS[event.key];
    if (!way || (!ids.length && event.target !== this.canvas)) return false;
    if (!ids.length) {
      const size = event.shiftKey ? 240 : 60;
      this.port.pan(-way[0] * size, way[1] * size);
      this.viewChanged();
      return true;
    }
    const size = this.port.roundLength(20) * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
    this.line.send("nudge", { ids, by: way.map((part) => part * size), unseen: this.reveals.hidden() });
    return true;
  }
}

/** Whether an item is a point that can be dragged. */
export function isPeg(item) {
  return ["free", "sliding"].includes(item?.style.peg);
}

export const ARROWS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
