// What a page has on which something is built: the running sentence, the shelf, the selection, and the keys for them.
import { ARROWS } from "../board/board_view.js";
import { Gestures } from "../board/gestures.js";
import { labelOffset } from "../drawing/labels.js";
import { Latest } from "../board/line.js";
import { showMade } from "../board/into_view.js";
import { SentenceBar, helpOf, spoken } from "../bar/sentence_bar.js";
import { Shelf } from "../bar/shelf.js";
import { hear } from "./hear.js";
import { isKey, showKeys } from "./keys.js";
import { hideToast, toast } from "./toast.js";

const pin = /** @type {HTMLInputElement} */ (document.getElementById("pin"));
const pointerWords = document.getElementById("pointer-words");
const choices = () => import("../bar/choices.js"); // fetched when they are first shown

export class Building {
  /**
   * @param {import("../board/board_view.js").BoardView} view whose hooks call this back: ``connected``, ``shown``, ``changed``
   * @param {object} host what differs from page to page, where given: changed (the selection), said, looksOnly (whether nothing is selected
   *   now), ways (what else can be done with one thing: its item gives what stands first in its menu), key (takes a key before all
   *   others), atRest (what the bar says then), does (what the server asks the page to do)
   */
  constructor(view, host = {}) {
    this.view = view;
    this.host = host;
    this.selected = [];
    this.tool = null;
    this.typing = ""; // the signs with which something begins that the running sentence takes
    this.another = false; // whether the next thing that is picked is added to the selection
    this.heardOf = ""; // the selection that was told of last
    this.marked = null; // what Enter gives to the running sentence
    this.markedLast = null;
    this.atLabelStart = null;
    this.pendingItems = []; // the new points of the running sentence, or all that a list of sentences would make
    this.listing = false; // whether such a list is looked at
    this.completes = new Latest((content) => this.view.line.send("complete", content));
    this.hovers = new Latest((content) => {
      if (!view.near?.hovers) return view.line.send("hover", content);
      view.near.take("hover", content);
      return true;
    });
    this.bar = this.makeBar();
    this.shelf = new Shelf((key) => this.takeTool(key));
    this.gestures = new Gestures(view, this.gestureActs());
    this.listen();
    this.keys();
    pin.addEventListener("change", () => {
      if (this.tool) this.takeTool(this.tool);
    });
    document.getElementById("tidy").addEventListener("click", () => this.edit({ kind: "tidy" }));
  }

  // What the view tells ------------------------------------------------------------------------------------------

  connected() {
    this.hovers.clear();
    this.completes.clear();
    this.bar.unanswered();
    setTimeout(() => this.shelf.fill(), 1500); // what is not seen comes when the board is there
  }

  /** The whole board was shown. */
  shown() {
    this.select(this.selected.filter((id) => this.view.drawing.things.has(id)));
  }

  changed({ gone }) {
    if (gone.length) this.selected = this.selected.filter((id) => !gone.includes(id));
    if (this.selected.length || gone.length) this.select(this.selected);
    else if (this.bar.near && !this.tool) this.bar.done();
  }

  /** What a click would take here; null where that is not known any more. */
  under(message) {
    if (!message) return this.hovers.clear();
    const { words, fits, lights, items } = message;
    const { drawing } = this.view;
    this.hovers.landed();
    if (!this.tool) return;
    drawing.markOnly("lit", lights);
    drawing.preview(fits && items.length ? items : this.pendingItems);
    speak(words, fits);
  }

  /** Where the help is about a refusal. */
  help(words) {
    return this.tool ? helpOf(this.tool) : `/help?find=${encodeURIComponent((this.bar.sent[0] ?? words).slice(0, 200))}`;
  }

  tellEmpty() {
    const { state } = this.view;
    document.getElementById("empty").hidden = state.steps !== 0 || !!this.tool || this.listing || !!state.photograph;
  }

  // The server speaks --------------------------------------------------------------------------------------------

  listen() {
    const { line, drawing, port } = this.view;
    line.on("prompt", (prompt) => {
      this.view.prompted(prompt);
      this.prompted(prompt);
    });
    line.on("under", (message) => this.under(message));
    line.on("which", async ({ at, reach, ways }) => {
      const { showChoices } = await choices();
      const place = { x: port.px(at[0]), y: port.py(at[1]) };
      const acts = ways.map(({ id, words }) => ({ words, light: id, act: () => line.send("click", { at, reach, id }) }));
      showChoices(place, "Which one?", acts, (id) => drawing.markOnly("lit", id ? [id] : []));
    });
    line.on("considered", ({ lights, items }) => {
      if (this.listing && !this.bar.considered) this.pendingItems = items; // drawn as long as the list is looked at
      drawing.markOnly("lit", this.bar.considered ? lights : []);
      drawing.preview(this.bar.considered ? items : this.pendingItems);
    });
    line.on("gathered", ({ ids }) => this.select(ids));
    line.on("show", (message) => {
      port.show(message.view);
      this.view.viewChanged();
    });
    line.on("offers", (offer) => {
      if (this.tool || !this.selected.length) return;
      const hidden = this.selected.every((id) => drawing.things.get(id)?.style.hidden);
      const what = this.selected.join(" ");
      if (what !== this.heardOf) hear(offer.offers.length ? `${offer.words}. 1 makes ${offer.offers[0].sentence}` : offer.words);
      this.heardOf = what; // a sentence that was said meanwhile does not tell of the old selection again
      this.bar.selection(offer, hidden, this.another);
    });
    line.on("do", ({ what, id }) => {
      if (what === "fit") this.view.fit();
      else if (what === "zoom in") this.view.zoom(1.25);
      else if (what === "zoom out") this.view.zoom(0.8);
      else if (what === "reveal") this.view.reveals.step(1);
      else this.host.does?.(what, id);
    });
    line.on("completions", (ways) => {
      this.bar.completions(ways);
      this.completes.landed();
    });
    line.on("said", () => {
      this.bar.taken();
      this.host.said?.();
      hideToast();
    });
    line.on("outcome", ({ words, made }) => {
      const further = made && showMade(this.view, made);
      toast(
        further ? `${words.replace(/\.?$/, ".")} ${further.words}` : words,
        further ? { act: { words: "Show it", act: further.show } } : {},
      );
    });
    line.on("sentences", async (found) => {
      this.bar.taken();
      hideToast();
      this.list ??= this.fetchList();
      (await this.list).show(found);
    });
  }

  async fetchList() {
    const { line, drawing } = this.view;
    const { SaidList } = await import("../bar/said_list.js");
    return new SaidList({
      say: (text, take) => line.send("say", { text, take }),
      consider: (text) => {
        this.listing = !!text;
        this.tellEmpty();
        if (text) line.send("consider", { text });
        else drawing.preview((this.pendingItems = []));
      },
      back: (text) => this.bar.backToWords(text),
      done: () => this.bar.backToWords(""),
    });
  }

  prompted({ tool: key, chips, ways, typed, pinned, pending }) {
    const { canvas, drawing } = this.view;
    if (this.tool !== key) this.markedLast = null;
    this.tool = key;
    this.marked = null;
    this.typing = typed;
    this.gestures.toolMode = !!key;
    canvas.classList.toggle("tool-mode", !!key);
    pin.checked = pinned;
    this.shelf.press(key);
    drawing.preview(pending);
    drawing.markOnly("lit", []);
    this.pendingItems = pending;
    if (key) {
      this.bar.prompt(chips, ways, key);
      hear(spoken(chips));
      if (this.selected.length) this.select([]);
    } else {
      speak(null);
      if (this.selected.length) this.select(this.selected);
      else this.bar.rest();
    }
    this.tellEmpty();
  }

  // The person acts ----------------------------------------------------------------------------------------------

  edit(change) {
    if (this.view.line.send("edit", { edit: change })) this.view.note("Saving…");
  }

  select(ids) {
    this.selected = ids;
    this.view.drawing.markOnly("chosen", ids);
    this.host.changed?.();
    if (this.tool) return;
    if (ids.length) this.view.line.send("select", { ids });
    else {
      this.heardOf = "";
      this.another = false;
      this.bar.rest();
    }
  }

  choose(id, withShift, here = []) {
    const { drawing } = this.view;
    const adding = withShift || this.another;
    if (id && here.length) drawing.uncover(id);
    if (this.host.looksOnly?.()) return;
    const others = adding ? [] : here.filter((other) => other !== id && this.sameSort(id, other));
    this.bar.alsoHere(
      others.slice(0, 3).map((other) => ({ words: drawing.things.get(other).says, act: () => this.choose(other, false, here) })),
    );
    const { selected } = this;
    if (id === null) this.select(adding ? selected : []);
    else if (adding) this.select(selected.includes(id) ? selected.filter((other) => other !== id) : [...selected, id]);
    else this.select(selected.length === 1 && selected[0] === id ? [] : [id]);
  }

  /** Whether two things under the pointer could be meant for one another: two pegs, or two that are none. */
  sameSort(id, other) {
    const { things } = this.view.drawing;
    return (things.get(id)?.kind === "point") === (things.get(other)?.kind === "point");
  }

  /** What can be done with one thing, beside the pointer. */
  async menu(id, place, fingerIsDown) {
    if (!this.selected.includes(id)) this.select([id]);
    const { style, says, kind } = this.view.drawing.things.get(id);
    const ids = [...this.selected]; // the menu stays about what its title says, whatever is selected meanwhile
    const restyle = (look) => this.edit({ kind: "restyle", ids, look });
    const ways = [
      { words: style.hidden ? "Show" : "Hide", act: () => restyle({ hidden: !style.hidden }) },
      { words: "Delete", act: () => this.edit({ kind: "delete", ids }) },
    ];
    if (kind !== "number")
      ways.unshift({ words: style.label ? "Take its label away" : "Show its label", act: () => restyle({ label: !style.label }) });
    ways.unshift(...(this.host.ways?.(ids) ?? []));
    const { showChoices } = await choices();
    const isDown = fingerIsDown && this.gestures.pointers.size > 0; // it may have been lifted meanwhile
    showChoices(place, ids.length > 1 ? `${ids.length} things` : says, ways, undefined, isDown);
  }

  /** Select the next or the one before of the things that are seen; with a tool in the hand, mark it for the running sentence. */
  walk(step, adding = false) {
    const { drawing } = this.view;
    const next = drawing.next(this.tool ? this.markedLast : this.selected.at(-1), step);
    if (next === null) return;
    if (this.tool) {
      this.marked = this.markedLast = next;
      drawing.markOnly("lit", [next]);
      return hear(`${drawing.things.get(next).says}. Enter takes it`);
    }
    this.bar.alsoHere([]);
    this.select(adding ? [...new Set([...this.selected, next])] : [next]);
  }

  takeTool(key) {
    hideToast();
    this.gestures.toolMode = !!key; // at once: a click may be quicker than the sentence of the tool
    this.view.line.send("tool", { key, pinned: pin.checked && !!key });
  }

  /** Enter: what is marked goes into the running sentence; without such a thing the sentence is done, if it can be. */
  finish() {
    const { line, drawing, port } = this.view;
    const item = drawing.things.get(this.marked);
    this.marked = null;
    if (!item?.shape) return line.send("finish");
    const { at, points = [0, 0] } = item.shape;
    line.send("click", { at: (at ?? points).slice(0, 2), reach: 1 / port.zoom, id: item.id });
  }

  remove() {
    if (this.selected.length) this.edit({ kind: "delete", ids: this.selected });
  }

  stop() {
    if (!document.getElementById("choices").hidden) return choices().then(({ hideChoices }) => hideChoices());
    this.gestures.stop();
    hideToast();
    if (this.view.player.on && !this.tool) return this.view.line.send("pause");
    if (this.tool) this.takeTool(null);
    else this.select([]);
  }

  /** The board has the keys again. */
  toBoard() {
    this.view.canvas.focus({ preventScroll: true });
  }

  makeBar() {
    const { line, drawing } = this.view;
    return new SentenceBar({
      atRest: this.host.atRest,
      say: (text) => {
        this.completes.clear(); // how it might have gone on is of no use any more, and whatever is asked first waits for it
        return line.send("say", { text });
      },
      complete: (text) => this.completes.offer({ text: text.slice(0, 500) }),
      consider: (text) => {
        if (text) return line.send("consider", { text });
        drawing.markOnly("lit", []);
        drawing.preview(this.pendingItems);
      },
      offer: (number) => line.send("offer", { number }),
      stop: () => this.stop(),
      toBoard: () => this.toBoard(),
      finish: () => this.finish(),
      mark: (step) => this.walk(step),
      ask: (name) => line.send("gap", { name }),
      another: (on) => {
        this.another = on;
      },
      hide: (hidden) => this.edit({ kind: "restyle", ids: this.selected, look: { hidden } }),
      remove: () => this.remove(),
      warn: (words) => (words ? toast(words) : hideToast()),
    });
  }

  gestureActs() {
    const { view } = this;
    const { line, drawing, port } = view;
    return {
      hover: (event) => {
        if (this.tool) {
          port.measure();
          movePointerWords(event, port);
          this.hovers.offer({ at: port.at(event), reach: this.gestures.reach(event) });
          return;
        }
        const item = view.pointAt(event);
        if (this.selected.length) return;
        if (item) this.bar.hover(item.given ? `${item.sentence} (given)` : item.sentence);
        else this.bar.rest();
      },
      leave: () => {
        drawing.markOnly("lit", []);
        speak(null);
        drawing.preview(this.pendingItems);
        if (!this.tool && !this.selected.length) this.bar.rest();
      },
      click: (at, reach, label) =>
        line.send("click", { at, reach, ...(drawing.things.get(label)?.kind === "number" ? { id: label } : {}) }),
      menu: (...what) => this.menu(...what),
      grab: (id, at) => {
        const { selected } = this;
        view.holding.grab(selected.includes(id) ? [id, ...selected.filter((other) => other !== id)] : [id], at);
      },
      drag: (to) => view.holding.drag(to),
      drop: () => view.holding.letGo(),
      choose: (...what) => this.choose(...what),
      box: (box, done, adding) => {
        drawing.showBox(done ? null : box);
        if (!done || !box) return;
        const found = drawing.enclosed(box);
        this.select(adding ? [...new Set([...this.selected, ...found])] : found);
      },
      labelMoved: (id, dx, dy, done) => {
        const item = drawing.things.get(id);
        this.atLabelStart ??= labelOffset(item);
        const offset = [this.atLabelStart[0] + dx, this.atLabelStart[1] + dy];
        drawing.move([{ id, shape: item.shape, label: { ...item.label, offset } }]);
        if (done) {
          this.atLabelStart = null;
          this.edit({ kind: "restyle", ids: [id], look: { label_offset: offset } });
        }
      },
      viewChanged: () => view.viewChanged(),
    };
  }

  // Keys ---------------------------------------------------------------------------------------------------------

  keys() {
    document.addEventListener("keydown", (event) => {
      if (document.querySelector("dialog[open]") || !isKey(event)) return;
      if (this.host.key?.(event) || this.key(event)) event.preventDefault();
    });
    document.addEventListener("keyup", (event) => {
      if (event.key === " ") this.gestures.space = false;
    });
  }

  /** Do what a key stands for. Returns whether it meant anything. */
  key(event) {
    const { view, selected, tool } = this;
    const { line, canvas, reveals } = view;
    const writing = event.target.matches?.("input:not([type=checkbox]):not([type=range]), textarea, select");
    const command = event.ctrlKey || event.metaKey;
    if (command && !writing && event.key.toLowerCase() === "z") line.send(event.shiftKey ? "redo" : "undo");
    else if (command && !writing && event.key.toLowerCase() === "y") line.send("redo");
    else if (command || writing || (event.altKey && !ARROWS[event.key])) return false;
    else if (event.key === "Escape") this.stop();
    else if (tool && event.key.length === 1 && this.typing.includes(event.key)) this.bar.typeOn(event.key);
    else if (event.key === "Delete" && !tool) this.remove();
    else if (event.key === "Backspace") {
      // On a button that has the focus it is no key of the board's: it would delete what nobody looks at.
      if (event.target !== canvas && event.target !== document.body) return false;
      if (tool) line.send("back");
      else this.remove();
    } else if (event.key === "?") showKeys();
    else if (event.key === "[" || event.key === "]") this.walk(event.key === "]" ? 1 : -1, false);
    else if (event.key === "{" || event.key === "}") this.walk(event.key === "}" ? 1 : -1, true);
    else if (event.key === "+" || event.key === "-") view.zoom(event.key === "+" ? 1.25 : 0.8);
    else if (event.key === "0") view.fit();
    else if (event.key === "PageDown" || event.key === "PageUp") {
      const way = event.key === "PageDown" ? 1 : -1;
      if (tool) this.walk(way);
      else reveals.step(way);
    } else if (event.key === ".") line.send(view.player.on ? "pause" : "play");
    else if (event.key === "=") this.edit({ kind: "record" });
    else if (/^[1-9]$/.test(event.key) && selected.length && event.key <= this.bar.offered)
      line.send("offer", { number: Number(event.key) - 1 });
    else if (event.key === "/") document.getElementById("typed").focus();
    else if (event.key === "Enter" && !tool && event.target === canvas && selected.length === 1) this.press(selected[0]);
    else if (event.key === "Enter" && tool && !event.target.matches("button, a")) this.finish();
    else if (event.key === " " && event.target === canvas) this.gestures.space = true;
    else if (event.target.matches("[role=tab], input") || !view.nudge(event, selected)) {
      if (!/^[a-z]$/.test(event.key) || !this.shelf.letter(event.key)) return false;
    }
    return true;
  }

  /** Enter on a thing: its cover is lifted, or what it does is done. */
  press(id) {
    if (!this.host.press?.(id)) this.view.drawing.uncover(id);
  }
}

/** Words beside the pointer. */
function speak(words, fits = true) {
  pointerWords.hidden = !words;
  if (!words) return;
  pointerWords.textContent = words;
  pointerWords.classList.toggle("no", !fits);
}

function movePointerWords(event, port) {
  const right = event.clientX - port.left > port.width * 0.66;
  const low = event.clientY - port.top > port.height - 60;
  pointerWords.style.transform = `translate(${event.clientX - port.left + (right ? -14 : 18)}px, ${event.clientY - port.top + (low ? -40 : 20)}px)${right ? " translateX(-100%)" : ""}`;
}
