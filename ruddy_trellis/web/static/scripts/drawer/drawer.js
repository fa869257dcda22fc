// The drawer: panels made by the server, put in by htmx, and what is pressed in them.

import { rove } from "../page/roving.js";

/** Panels about what is selected. */
const FOLLOWING = new Set(["look", "recipe", "where"]);

export class Drawer {
  /**
   * @param {string} boardId
   * @param {object} acts edit, choose, light, selected, words
   */
  constructor(boardId, acts) {
    this.boardId = boardId;
    this.acts = acts;
    this.name = "working";
    this.plot = { across: 0, up: 1 };
    this.copied = null;
    this.aheadOf = null; // the button whose edit is shown ahead
    this.pairOf = null; // the row whose two angles are drawn
    this.why = null; // the claim of which it is told why it is so
    this.root = document.getElementById("drawer");
    this.panel = document.getElementById("panel");
    for (const tab of this.root.querySelectorAll("[data-panel]")) tab.addEventListener("click", () => this.open(tab.dataset.panel));
    rove(this.root.querySelector(".drawer-names"), "[data-panel]");
    document.getElementById("fold").addEventListener("click", () => this.fold());
    if (matchMedia("(max-width: 56.25em), (max-height: 35em)").matches) this.fold(); // there it lies over the board
    this.panel.addEventListener("click", (event) => this.click(event));
    this.panel.addEventListener("change", (event) => this.changed(event));
    // A name, a place, a number that is typed and done with Enter: then the board has the keys again.
    this.panel.addEventListener("keydown", (event) => {
      if (event.key === "Enter" && event.target.matches("input") && !event.target.form)
        setTimeout(() => document.getElementById("drawing").focus({ preventScroll: true }));
    });
    this.panel.addEventListener("submit", (event) => this.submit(event));
    for (const kind of ["pointerover", "focusin"]) this.panel.addEventListener(kind, (event) => this.pointed(event.target));
    // A line of a reason that was chosen stays lit.
    this.panel.addEventListener("pointerleave", () => this.pointed(document.activeElement.closest(".reason-line")));
    this.panel.addEventListener("focusout", () => this.pointed(null));
    document.body.addEventListener("htmx:afterSwap", () => {
      this.toWhatWasMade();
      this.mark();
      this.running(this.now ?? []);
      this.pair(null);
      this.reasonShown();
    });
  }

  /** A reason that is told is told in steps or under covers by a script of its own, fetched when the first is. */
  async reasonShown() {
    if (!this.reason && !this.panel.querySelector("#reason-way")) return;
    if (!this.reason) {
      const { Reason } = await import("./reason.js");
      this.reason ??= new Reason(this.panel);
    }
    this.reason.shown();
  }

  /** A working that has grown is seen where it has. */
  toWhatWasMade() {
    const rows = this.name === "working" ? this.panel.querySelectorAll(".working > li") : [];
    if (rows.length > this.rows) rows[rows.length - 1].scrollIntoView({ block: "nearest" });
    this.rows = rows.length;
  }

  fold() {
    const folded = this.root.classList.toggle("folded");
    const button = document.getElementById("fold");
    button.textContent = folded ? "«" : "»";
    button.setAttribute("aria-expanded", String(!folded));
  }

  open(name) {
    this.name = name;
    if (name === "angles") this.angleLines = this.acts.selected().join(",");
    if (this.root.classList.contains("folded")) this.fold();
    for (const tab of this.root.querySelectorAll("[data-panel]")) tab.setAttribute("aria-selected", String(tab.dataset.panel === name));
    this.panel.setAttribute("aria-labelledby", `tab-${name}`);
    this.refresh();
  }

  /** Ask for the panel again, once things have settled; not while someone types in it. */
  refresh() {
    clearTimeout(this.waiting);
    this.waiting = setTimeout(() => {
      const field = document.activeElement;
      if (this.panel.contains(field) && field.matches("input") && field.value !== field.defaultValue) return;
      if (!window.htmx) return this.refresh(); // it is still on its way
      if (this.acts.away()) return this.panel.replaceChildren("There is no line to the server: this panel comes with it.");
      this.ask();
    }, 60);
  }

  /** Ask for the panel, one at a time. Where the line is cut just now, it is asked for again with whatever comes over it next. */
  async ask() {
    this.again = this.asking;
    if (this.asking) return;
    this.asking = true;
    const address = `/boards/${this.boardId}/panels/${this.name}${this.query()}`;
    await window.htmx.ajax("GET", address, { target: "#panel", swap: "innerHTML" }).catch(() => {});
    this.asking = false;
    if (this.again) this.refresh();
  }

  /** What a panel has to know besides its board. */
  query() {
    if (FOLLOWING.has(this.name)) return `?ids=${this.acts.selected().join(",")}`;
    if (this.name === "loose") return `?reach=${this.acts.reach()}`;
    if (this.name === "angles") return `?ids=${this.angleLines}`;
    if (this.name === "claims") {
      const notice = this.noticing === undefined ? "" : `notice=true&ids=${this.noticing}`;
      const anew = this.anew ? "&anew=true" : "";
      this.anew = false;
      return `?ties=${this.resting ?? ""}&why=${this.why ?? ""}${anew}&${notice}`;
    }
    return this.name === "log" ? `?${new URLSearchParams(this.plot)}` : "";
  }

  /** The selection has changed. */
  selectionChanged() {
    this.mark();
    if (FOLLOWING.has(this.name)) this.refresh();
  }

  mark() {
    const chosen = new Set(this.acts.selected());
    for (const row of this.panel.querySelectorAll(".row-thing")) row.classList.toggle("chosen", chosen.has(row.dataset.id));
  }

  /** New values while something is dragged. */
  tick(items) {
    if (this.name !== "readings") return;
    for (const { id, label, shape } of items) {
      const place = this.panel.querySelector(`[data-reading="${id}"]`);
      if (place) place.textContent = shape ? label.text.slice(label.text.indexOf("=")) : "= –";
    }
  }

  /** Light what a row is about, and show what its button would move. */
  pointed(element) {
    const row = element?.closest?.("[data-id], [data-lights]");
    this.acts.light(row ? (row.dataset.lights ?? row.dataset.id).split(" ") : []);
    const button = element?.closest?.("[data-ahead]") ?? null;
    if (button !== this.aheadOf) this.acts.ahead(button ? JSON.parse(button.dataset.edit) : null);
    this.aheadOf = button;
    this.pair(element?.closest?.("[data-pair]") ?? null);
  }

  /** Draw the two angles that a row is about. */
  pair(row) {
    if (row === this.pairOf) return;
    this.pairOf = row;
    const { pair, lines } = row?.dataset ?? {};
    this.acts.send({ t: "pair", lines: lines?.split(" ") ?? [], angles: pair?.split(" ").map(Number) ?? [] });
  }

  /** How many steps of the working are seen now. */
  stepped(seen, count) {
    this.seen = seen < count ? seen : null;
    const words = this.panel.querySelector("#steps-seen");
    if (words) words.textContent = this.seen === null ? "all steps" : `${seen} of ${count} steps`;
    const ids = [...this.panel.querySelectorAll(".working [data-id]")];
    for (const [place, row] of ids.entries()) row.classList.toggle("to-come", this.seen !== null && place >= seen);
  }

  /** Which motions run. */
  running(ids) {
    this.now = new Set(ids);
    for (const row of this.panel.querySelectorAll("[data-motion]")) row.classList.toggle("running", this.now.has(row.dataset.motion));
  }

  /** A reading as a formula, in the frame of two chosen points, with what was named last. */
  asFormula(id) {
    this.called = this.panel.querySelector("[name=called]")?.value ?? this.called ?? "";
    const query = new URLSearchParams({ frame: this.acts.selected().join(","), called: this.called });
    const target = `#formula-${id}`;
    window.htmx.ajax("GET", `/boards/${this.boardId}/panels/readings/${id}/formula?${query}`, { target, swap: "innerHTML" });
  }

  async copyText(text, words) {
    try {
      await navigator.clipboard.writeText(text);
      this.acts.words(words);
    } catch {
      this.acts.words("This browser does not let pages copy.");
    }
  }

  /** Show what a claim rests on. */
  rests(id) {
    this.resting = id;
    this.open("claims");
  }

  /** Ask why a claim is so; the same button again puts the answer away. */
  askWhy(button) {
    const { why, anew } = button.dataset;
    this.why = this.why === why && !anew ? null : why;
    this.anew = Boolean(anew);
    if (this.why) {
      button.textContent = "Looking for a reason…";
      button.setAttribute("aria-busy", "true");
    }
    this.refresh();
  }

  /** Ask what might be true of what is selected, or of the whole board; or no longer. */
  notice() {
    this.noticing = this.noticing === undefined ? this.acts.selected().join(",") : undefined;
    this.refresh();
  }

  targets(element) {
    return element.dataset.on ? element.dataset.on.split(" ") : this.acts.selected();
  }

  click(event) {
    const element = event.target.closest("button");
    if (!element) return;
    const { dataset } = element;
    if (dataset.id) this.pick(dataset.id, event);
    else if (dataset.edit) this.acts.edit(JSON.parse(dataset.edit));
    else if (dataset.ties) {
      this.resting = this.resting === dataset.ties ? null : dataset.ties;
      this.refresh();
    } else if (dataset.why) this.askWhy(element);
    else if (dataset.formula) this.asFormula(dataset.formula);
    else if (dataset.copy) this.copyText(dataset.copy, dataset.copied ?? "The formula is copied.");
    else if (dataset.say) this.acts.send({ t: "say", text: dataset.say });
    else if (element.id === "notice") this.notice();
    else if (dataset.send) this.acts.send(JSON.parse(dataset.send));
    else if (dataset.gather) this.acts.send({ t: "gather", what: dataset.gather, ids: this.acts.selected() });
    else if (dataset.tie) this.acts.send({ t: "tool", key: "intersection", retie: dataset.tie });
    else if (dataset.remake) this.acts.send({ t: "tool", key: dataset.does, retie: dataset.remake });
    else if (dataset.log) this.toggleLog(dataset.log);
    else if (dataset.show) this.acts.edit({ kind: "restyle", ids: dataset.show.split(" "), look: { hidden: false } });
    else if (dataset.look)
      this.acts.edit({ kind: "restyle", ids: this.targets(element), look: { [dataset.look]: JSON.parse(dataset.value) } });
    else if (dataset.choose)
      for (const id of this.targets(element)) this.acts.edit({ kind: "choose", id, gap: dataset.choose, word: dataset.word || null });
    else if (dataset.arrange)
      this.acts.edit({
        kind: "arrange",
        [dataset.arrange]: ["decimals", "size"].includes(dataset.arrange) ? Number(dataset.value) : dataset.value,
      });
    else if (element.id === "snap") this.acts.snap(element.getAttribute("aria-pressed") !== "true");
    else if ("back" in dataset) this.lookBack(element);
    else if (element.id === "paste-working") this.acts.paste();
    else if (dataset.panelOpen) this.open(dataset.panelOpen);
    else if (element.id === "reload-shelf") location.reload();
    else if (dataset.steps) this.acts.step(Number(dataset.steps));
    else if (element.id === "replay") this.acts.replay();
    else if (element.id === "see-all") this.acts.seeAll();
    else if (element.id === "clear-trails") this.acts.clearTrails();
    else if (element.id === "life-size") this.acts.lifeSize();
    else if (element.id === "fit-photograph") this.acts.fitPhotograph();
    else if (element.id === "look-again") this.refresh();
    else if (element.id === "copy-look") this.copyLook(JSON.parse(dataset.copied));
    else if (element.id === "give-look") this.giveLook();
    else if (element.id === "board-look") this.acts.boardLook(this.acts.selected()[0]);
    else if (element.id === "delete-selected") this.acts.remove();
    else if (element.id === "copy-working") this.copy();
  }

  /** A row was picked: it is selected, or in the Calculate field its name is put in. */
  pick(id, event) {
    const field = this.panel.querySelector("#formula");
    if (!field || !field.value) return this.acts.choose(id, event.shiftKey);
    const name = this.panel.querySelector(`[data-id="${id}"] [data-name]`)?.dataset.name;
    field.setRangeText(name, field.selectionStart, field.selectionEnd, "end");
    field.focus();
  }

  /** Look at an earlier state; the same button again shows the present. */
  lookBack(element) {
    const off = element.dataset.back === "" || element.getAttribute("aria-pressed") === "true";
    for (const other of this.panel.querySelectorAll("[data-back][aria-pressed]")) other.setAttribute("aria-pressed", "false");
    if (!off) element.setAttribute("aria-pressed", "true");
    this.acts.send({ t: "look_back", number: off ? null : Number(element.dataset.back) });
  }

  toggleLog(id) {
    const chosen = [...this.panel.querySelectorAll("[data-log][aria-pressed=true]")].map((one) => one.dataset.log);
    this.acts.edit({ kind: "arrange", log: chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id] });
  }

  copyLook(look) {
    this.copied = look;
    this.acts.words("The look is copied. Select other things and give it to them.");
  }

  giveLook() {
    if (this.copied) this.acts.edit({ kind: "restyle", ids: this.acts.selected(), look: this.copied });
    else this.acts.words("No look is copied yet: select one thing and copy its look.");
  }

  changed(event) {
    const { dataset, value } = event.target;
    if (dataset.plot) {
      this.plot[dataset.plot] = value;
      this.refresh();
      return;
    }
    if (dataset.lookText) this.acts.edit({ kind: "restyle", ids: this.targets(event.target), look: { [dataset.lookText]: value || null } });
    else if (dataset.nice) this.acts.edit({ kind: "arrange", nice: value ? [dataset.nice, Number(value)] : null });
    else if (dataset.arrangeNumber) this.typedNumber(dataset.arrangeNumber, value);
    else if ("range" in dataset) this.typedRange(value);
    else if (dataset.look)
      this.acts.edit({ kind: "restyle", ids: this.targets(event.target), look: { [dataset.look]: value === "" ? null : Number(value) } });
    else if (dataset.rename) this.acts.edit({ kind: "rename", id: dataset.rename, name: value });
    else if (dataset.place) this.acts.place(dataset.place, value);
    else return;
    event.target.defaultValue = value;
    this.refresh();
  }

  typedNumber(name, text) {
    const number = Number(text.replace(",", "."));
    if (text.trim() && !(number > 0)) this.acts.refuse(`“${text}” does not fit. A number above zero does, or nothing.`);
    else this.acts.edit({ kind: "arrange", [name]: text.trim() ? number : null });
  }

  typedRange(text) {
    const view = text
      .replaceAll("−", "-")
      .split(/[,;]\s*|\s+/)
      .filter(Boolean)
      .map(Number);
    if (view.length === 4 && view.every(Number.isFinite)) this.acts.send({ t: "range", view });
    else this.acts.refuse("Type four numbers: left, foot, right, top, such as −10, −6, 10, 6.");
  }

  submit(event) {
    if (event.target.id !== "calculate") return;
    event.preventDefault();
    const field = event.target.querySelector("input");
    if (field.value.trim()) this.acts.calculate(field.value);
  }

  /** A calculation was taken: its field is free again. */
  calculated() {
    const field = this.panel.querySelector("#formula");
    if (field) field.value = "";
  }

  async copy() {
    const answer = await fetch(`/boards/${this.boardId}/working.txt`);
    try {
      await navigator.clipboard.writeText(await answer.text());
      this.acts.words("The working is copied: a sentence a line.");
    } catch {
      this.acts.words("This browser does not let pages copy. The working stands at the address of this board, as working.txt.");
    }
  }
}
