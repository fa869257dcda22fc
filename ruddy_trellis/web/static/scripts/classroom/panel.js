// The class beside the board: opening it, who is in, and what all do together.
import { hear } from "../page/hear.js";
import { toast } from "../page/toast.js";
import { classLine } from "./class_line.js";
import { change, pictureOf, stateOf } from "./people.js";

const POINTED_EVERY = 60; // milliseconds
const SEEN_EVERY = 100;
/** How often it is asked again that all look here, and after how many milliseconds each time. */
const LEAD_TRIES = 12;
const LEAD_AGAIN = 500;

const element = (name, attributes = {}) => Object.assign(document.createElement(name), attributes);

export class ClassPanel {
  /**
   * @param {import("../board/board_view.js").BoardView} view
   * @param {{selected: () => string[], lift: (ids: string[]) => void}} acts
   */
  constructor(view, acts) {
    this.view = view;
    this.acts = acts;
    this.root = document.getElementById("class-panel");
    this.opener = document.getElementById("class-button");
    this.board = Number(view.page.dataset.board);
    this.people = [];
    this.pictures = new Map();
    this.line = null;
    this.leading = sessionStorage.getItem("leading") !== null;
    this.seen = "";
    this.theirs = { pegs: [], places: [] }; // what others have made, over the board
    this.tries = 0;
    this.root.addEventListener("click", (event) => this.click(event));
    this.root.addEventListener("change", (event) => this.changed(event));
    this.root.addEventListener("keydown", (event) => {
      if (event.key === "Escape") this.shut();
      event.stopPropagation(); // letters that are typed here are no keys of the board
    });
    view.canvas.addEventListener("pointermove", (event) => this.point(event));
    view.canvas.addEventListener("pointerleave", () => this.leading && this.line?.send("dot", { at: null }));
    setInterval(() => this.tellSeen(), SEEN_EVERY);
  }

  async open() {
    this.root.hidden = false;
    this.opener.setAttribute("aria-expanded", "true");
    document.body.classList.add("with-class");
    await this.load(this.root.dataset.address);
  }

  shut() {
    this.root.hidden = true;
    this.opener.setAttribute("aria-expanded", "false");
    document.body.classList.remove("with-class");
    this.wall();
    this.opener.focus();
  }

  /** The panel as the server has it now. */
  async load(address, method = "GET", fields = {}) {
    const body = method === "POST" ? new URLSearchParams(fields) : undefined;
    const answer = await fetch(address, { method, body }).catch(() => null);
    if (!answer?.ok || answer.redirected)
      return toast(answer ? await answer.text() : "The server cannot be reached, so that was not done.", { refusal: true });
    this.root.innerHTML = await answer.text();
    const part = document.getElementById("class");
    if (part) this.connect(part.dataset.class);
    else this.end();
    this.showKind();
    this.root.querySelector("h2").tabIndex = -1;
    this.root.querySelector("h2").focus();
  }

  connect(id) {
    if (this.id === id && this.line) {
      this.tellPeople();
      this.tellAsked();
      this.tellLeading();
      return;
    }
    this.id = id;
    this.line = classLine(
      `/classes/${id}/line`,
      (open, gone) => {
        if (gone) return this.end();
        if (!open) return;
        this.wall();
        if (this.leading) this.lead(true);
      },
      () => toast("The server cannot be reached, so that was not done.", { refusal: true }),
    );
    const { line } = this;
    line.on("people", (message) => {
      this.told = message;
      this.tellPeople();
    });
    line.on("picture", ({ who, svg }) => {
      this.pictures.set(who, svg);
      const image = this.root.querySelector(`[data-who="${who}"] img`);
      if (image) image.src = pictureOf(svg);
    });
    line.on("led", ({ board }) => {
      this.setLeading(board === this.board && (this.asksToLead || this.leading));
      this.asksToLead = false;
      this.tries = 0;
    });
    line.on("leading", () => this.tellSeen(true));
    line.on("stage", ({ kind }) => {
      if (kind === "put_up") this.setUp(true);
    });
    line.on("stage_over", () => {
      this.setLeading(false);
      this.setUp(false);
    });
    line.on("marks", (message) => this.marks(message));
    line.on("asked", (message) => {
      this.asked = message;
      this.tellAsked();
    });
    line.on("says", ({ words, kind }) => {
      if (this.asksToLead && kind === "refusal" && this.tries < LEAD_TRIES) {
        // After a cut the line of the class may be there before that of the board.
        this.tries += 1;
        setTimeout(() => this.asksToLead && this.lead(true), LEAD_AGAIN);
        return;
      }
      toast(words, { refusal: kind === "refusal" });
      if (this.asksToLead && kind === "refusal") {
        this.asksToLead = false;
        this.setLeading(false);
      }
    });
    line.on("over", () => this.end());
  }

  /** There is no class any more. */
  end() {
    this.setLeading(false);
    this.line = null;
    this.id = null;
    this.theirs = { pegs: [], places: [] };
    this.view.drawing.showTheirs([]);
    if (!this.root.hidden && document.getElementById("class")) this.load(this.root.dataset.address);
  }

  /** Pictures are wanted while the panel is seen. */
  wall() {
    this.line?.send("wall", { on: !this.root.hidden && !document.hidden, seen: [] });
  }

  // What is pressed -----------------------------------------------------------------------------------------------

  click({ target }) {
    const button = target.closest("button");
    if (!button) return;
    const { do: act, post, door, address } = button.dataset;
    if (post) return void this.load(post, "POST", door ? { door } : {});
    const who = Number(button.closest("[data-who]")?.dataset.who);
    const acts = {
      shut: () => this.shut(),
      close: () => {
        document.getElementById("class-closing").hidden = false;
      },
      "not-yet": () => {
        document.getElementById("class-closing").hidden = true;
      },
      lead: () => this.lead(!this.leading),
      log: () => this.line.send("log_all", { board: this.board }),
      lift: () => this.liftSelected(),
      pegs: () => this.collect(button),
      keep: () => this.line.send("keep_pegs", { keep: true }),
      clear: () => this.line.send("keep_pegs", { keep: false }),
      ask: () => this.ask(),
      asked: () => this.line.send("asked", { do: button.dataset.what }),
      uncover: () => this.uncover([this.asked.about]),
      down: () => this.line.send("put_up", { who: null }),
      up: () => this.line.send("put_up", { who, everyone: true }),
      "up-here": () => this.line.send("put_up", { who, everyone: false }),
      helped: () => this.line.send("helped", { who }),
      remove: () => this.person(who, { remove: "true" }),
      rename: () => this.person(who, { name: button.parentElement.querySelector("input").value }),
    };
    acts[act]?.(address);
  }

  changed({ target }) {
    if (target.id === "ask-kind") this.showKind();
    if (target.id === "pegs-names" || target.id === "pegs-trail") this.collectAgain();
  }

  async person(who, fields) {
    const problem = await change(`/classes/${this.id}/people/${who}`, fields);
    if (problem) toast(problem, { refusal: true });
  }

  // Who is in -----------------------------------------------------------------------------------------------------

  tellPeople() {
    const list = document.getElementById("class-people");
    if (!list || !this.told) return;
    const { people, here, slowed } = this.told;
    document.getElementById("class-count").textContent = String(here);
    const helped = people.filter((one) => one.help).map((one) => one.name);
    const words = [
      helped.length ? `${helped.join(", ")} ask${helped.length === 1 ? "s" : ""} for help.` : "",
      slowed ? "Pictures are slowed." : "",
    ];
    const told = document.getElementById("class-told");
    if (told.textContent !== words.join(" ").trim()) told.textContent = words.join(" ").trim();
    const rows = new Map([...list.children].map((row) => [Number(row.dataset.who), row]));
    for (const [who, row] of rows) if (!people.some((one) => one.who === who)) row.remove();
    for (const one of people) {
      const row = rows.get(one.who) ?? list.appendChild(this.row(one.who));
      const state = stateOf(one);
      row.className = one.help ? "help" : one.here ? "" : "away";
      row.querySelector("summary span").textContent = state ? `${one.name} · ${state}` : one.name;
      row.querySelector("[data-do=helped]").hidden = !one.help;
      const field = row.querySelector("input");
      if (field !== document.activeElement) field.value = one.name;
    }
  }

  row(who) {
    const row = element("li");
    row.dataset.who = String(who);
    const summary = element("summary");
    const image = element("img", { alt: "", width: 96, height: 58 });
    if (this.pictures.has(who)) image.src = pictureOf(this.pictures.get(who));
    summary.append(image, element("span"));
    const button = (act, words) => {
      const one = element("button", { className: "mini", textContent: words });
      one.dataset.do = act;
      return one;
    };
    const acts = element("p", { className: "class-acts" });
    acts.append(button("helped", "Helped"), button("up", "Put up for all"), button("up-here", "On my screens"));
    const naming = element("p", { className: "class-acts" });
    naming.append(element("input", { maxLength: 20, ariaLabel: "Nickname" }), button("rename", "Rename"), button("remove", "Send out"));
    const details = element("details");
    details.append(summary, acts, naming);
    row.append(details);
    return row;
  }

  // Look here -----------------------------------------------------------------------------------------------------

  lead(on) {
    this.asksToLead = on;
    if (this.line.send("lead", { on, board: this.board }) && !on) this.setLeading(false);
  }

  setLeading(on) {
    this.leading = on;
    if (on) sessionStorage.setItem("leading", "1");
    else sessionStorage.removeItem("leading");
    this.view.holding.followed = on;
    this.tellLeading();
  }

  tellLeading() {
    const button = this.root.querySelector("[data-do=lead]");
    if (!button) return;
    button.setAttribute("aria-pressed", String(this.leading));
    button.textContent = this.leading ? "Carry on: everyone to their own board" : "Look here";
    document.body.classList.toggle("leading", this.leading);
  }

  /** Which part of the plane is seen, and what is behind reveals, for those who follow. */
  tellSeen(again = false) {
    if (!this.leading || !this.line) return;
    const content = { view: this.view.port.meant, closed: this.view.reveals.hidden() };
    const text = JSON.stringify(content);
    if (text === this.seen && !again) return;
    if (this.line.send("seen", content)) this.seen = text;
  }

  point(event) {
    if (!this.leading || performance.now() - (this.pointed ?? 0) < POINTED_EVERY) return;
    this.pointed = performance.now();
    this.line?.send("dot", { at: this.view.port.at(event) });
  }

  setUp(on) {
    this.root.querySelector("[data-do=down]")?.remove();
    if (!on) return;
    const button = element("button", { className: "mini main", textContent: "Take down what is put up" });
    button.dataset.do = "down";
    this.root.querySelector("[data-do=lead]")?.after(button);
  }

  // On one board --------------------------------------------------------------------------------------------------

  collect(button) {
    const on = button.getAttribute("aria-pressed") !== "true";
    const { things } = this.view.drawing;
    const selected = this.acts.selected();
    const isCondition = (id) => ["condition", "region"].includes(things.get(id)?.kind);
    const id = selected.find((one) => !isCondition(one));
    if (on && !id) return toast("Select what is collected first: a point, a line, a dial or a reading.", { refusal: true });
    this.collected = on ? { id, condition: selected.find(isCondition) ?? null } : null;
    button.setAttribute("aria-pressed", String(on));
    this.collectAgain();
    if (!on) document.getElementById("pegs-told").textContent = "";
  }

  collectAgain() {
    const checked = (id) => /** @type {HTMLInputElement} */ (document.getElementById(id)).checked;
    const { id = null, condition = null } = this.collected ?? {};
    this.line.send("pegs", { board: this.board, id, condition, names: checked("pegs-names"), trail: checked("pegs-trail") });
  }

  marks({ items, numbers, board, count }) {
    if (board !== null && board !== this.board) return;
    this.show("pegs", items);
    const told = document.getElementById("pegs-told");
    if (!told) return;
    told.textContent = board === null ? "" : `${count} of ${this.told?.people.length ?? 0}`;
    document.getElementById("pegs-numbers").replaceChildren(...(numbers.length ? [rowOf(numbers)] : []));
  }

  // Asking --------------------------------------------------------------------------------------------------------

  get kind() {
    return /** @type {HTMLSelectElement} */ (document.getElementById("ask-kind"))?.value;
  }

  showKind() {
    if (!this.kind) return;
    const about = {
      words: "",
      claim: "Select a claim on the board; covered, it is lifted for all afterwards.",
      place: "Select the point whose place is asked for: hidden, or behind a reveal.",
      may: "Select a question “may it stand there?”: it is made from a point and a region.",
      angles: "Select a quiz about pairs of angles.",
    };
    document.getElementById("ask-about").textContent = about[this.kind];
    document.getElementById("ask-choices-part").hidden = this.kind !== "words";
  }

  ask() {
    const words = /** @type {HTMLTextAreaElement} */ (document.getElementById("ask-words"));
    const lines = /** @type {HTMLTextAreaElement} */ (document.getElementById("ask-choices")).value
      .split("\n")
      .map((text) => text.trim())
      .filter(Boolean);
    const right = lines.findIndex((text) => text.startsWith("*"));
    const choices = this.kind === "words" ? lines.map((text) => text.replace(/^\*\s*/, "")) : [];
    const { most } = /** @type {HTMLElement} */ (document.getElementById("ask-choices")).dataset;
    if (choices.length > Number(most)) return toast(`There are at most ${most} answers to choose among.`, { refusal: true });
    this.line.send("ask", {
      board: this.board,
      what: this.kind,
      id: this.acts.selected()[0] ?? "",
      words: words.value,
      choices,
      right: right < 0 ? null : right,
    });
  }

  tellAsked() {
    const box = document.getElementById("asked");
    if (!box || !this.asked) return;
    const { state, words, count, of, choices = [], counts = [], told = "", right, about, items = [] } = this.asked;
    box.hidden = !state;
    this.show("places", items);
    if (!state) return;
    const parts = [element("p", { className: "question-words", textContent: words })];
    const act = (what, text, main = false) => {
      const button = element("button", { className: main ? "mini main" : "mini", textContent: text });
      button.dataset.do = what === "uncover" ? what : "asked";
      button.dataset.what = what;
      return button;
    };
    const acts = element("p", { className: "class-acts" });
    if (state === "open") {
      parts.push(element("p", { className: "asked-count", textContent: `${count} of ${of} have answered` }));
      acts.append(act("close", "Take no more, and look", true));
    } else {
      for (const [place, text] of choices.entries()) {
        const row = element("p", { className: "asked-choice" });
        const bar = element("meter", { min: 0, max: Math.max(1, ...counts), value: counts[place] });
        row.append(element("b", { textContent: String(counts[place]) }), bar, ` ${text}${right === place ? " ✓" : ""}`);
        parts.push(row);
      }
      parts.push(element("p", { className: "more", textContent: told }));
      if (state === "closed") acts.append(act("show", "Show it to all", true));
      if (this.view.drawing.things.get(about)?.style.cover) acts.append(act("uncover", "Lift the cover for all"));
    }
    acts.append(act("away", "Put it away"));
    box.replaceChildren(...parts, acts);
    if (state === "closed") hear(`${words} ${told}`);
  }

  liftSelected() {
    const ids = this.acts.selected().filter((id) => this.view.drawing.things.get(id)?.style.cover);
    if (ids.length) this.uncover(ids);
    else toast("Select what lies under a cover.", { refusal: true });
  }

  /** Marks of one kind over the board, beside those of the other. */
  show(kind, items) {
    this.theirs[kind] = items;
    this.view.drawing.showTheirs([...this.theirs.pegs, ...this.theirs.places]);
  }

  uncover(ids) {
    this.line.send("uncover", { board: this.board, ids });
    this.acts.lift(ids);
  }
}

/** Numbers as dots in a row. */
function rowOf(numbers) {
  const [least, greatest] = [numbers[0], numbers.at(-1)];
  const span = greatest - least || 1;
  const draw = (name, attributes) => {
    const one = document.createElementNS("http://www.w3.org/2000/svg", name);
    for (const [key, value] of Object.entries(attributes)) one.setAttribute(key, String(value));
    return one;
  };
  const svg = draw("svg", {
    viewBox: "0 0 260 46",
    width: 260,
    height: 46,
    role: "img",
    "aria-label": numbers.map((one) => round(one)).join(", "),
  });
  svg.append(draw("line", { x1: 8, y1: 30, x2: 252, y2: 30, stroke: "#5A6472" }));
  const heights = new Map();
  for (const number of numbers) {
    const x = Math.round(10 + (240 * (number - least)) / span);
    const over = heights.get(Math.round(x / 6)) ?? 0;
    heights.set(Math.round(x / 6), over + 1);
    svg.append(draw("circle", { cx: x, cy: 26 - 5 * Math.min(over, 4), r: 3, fill: "#7A4B7C" }));
  }
  for (const [x, number, anchor] of [
    [8, least, "start"],
    [252, greatest, "end"],
  ]) {
    const text = draw("text", { x, y: 44, "text-anchor": anchor, "font-size": 12 });
    text.textContent = round(number);
    svg.append(text);
  }
  return svg;
}

const round = (number) => String(Number(number.toPrecision(4)));
