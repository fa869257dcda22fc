// The sentence bar: the running sentence with its chips, the offers for a selection, and typing.

import { hear } from "../page/hear.js";
import { helpLink } from "../page/toast.js";

function word(text, className) {
  const element = document.createElement("span");
  element.textContent = text;
  if (className) element.className = className;
  return element;
}

function button(text, act, className = "go") {
  const element = document.createElement("button");
  element.type = "button";
  const [, words, key] = text.match(/^(.*?)( \((?:Enter|Esc)\))?$/s);
  element.textContent = words;
  if (key) element.append(word(key, "key-hint"));
  element.className = className;
  element.addEventListener("click", act);
  return element;
}

/** Where the help is about a tool. */
export function helpOf(key) {
  return key.startsWith("recipe") ? "/help/about/recipes" : `/help/${key}`;
}

/** A running sentence as it is heard: its words as far as the gap that is asked for, and what that takes. */
export function spoken(chips) {
  const next = chips.findIndex((chip) => chip.next);
  const before = chips.slice(0, next < 0 ? chips.length : next).map((chip) => chip.words?.trim() ?? (chip.had || chip.wants));
  return `${before.filter(Boolean).join(" ")}${next < 0 ? "" : `: ${chips[next].asks}`}`;
}

/** How many offers have a key, and what stands in the field at rest. */
const KEYED = 9;
const MARKS = { "[": -1, "]": 1, PageUp: -1, PageDown: 1 };
const AT_REST = "Say it, or pick a tool";

export class SentenceBar {
  /** @param {object} acts say, complete, consider, offer, stop, hide, another, remove, warn, finish, ask, toBoard; atRest, the words at rest */
  constructor(acts) {
    this.acts = acts;
    this.say = document.getElementById("say");
    this.line = document.getElementById("sentence");
    this.typing = document.getElementById("typing");
    this.typed = /** @type {HTMLInputElement} */ (document.getElementById("typed"));
    this.ways = document.getElementById("ways");
    this.choices = document.getElementById("onward-choices");
    this.doings = document.getElementById("onward-acts");
    this.all = document.getElementById("onward-all");
    this.chosen = -1;
    this.sent = []; // what was said and is not answered
    this.rest();
    this.say.addEventListener("focusout", (event) => {
      if (!this.all.hidden && !this.say.contains(event.relatedTarget)) this.all.hidden = true;
    });
    this.typing.addEventListener("submit", (event) => {
      event.preventDefault();
      this.enter();
    });
    this.typed.addEventListener("input", () => {
      this.right();
      this.complete();
    });
    this.typed.addEventListener("paste", (event) => {
      // A field of one line would run the lines of a text into one another.
      const text = event.clipboardData?.getData("text") ?? "";
      if (!/\S\s*\n\s*\S/.test(text) || this.typing.classList.contains("in-gap")) return;
      event.preventDefault();
      this.send(`${this.typed.value}${text}`);
    });
    this.typed.addEventListener("focus", () => this.complete());
    this.typed.addEventListener("blur", () => setTimeout(() => this.away(), 150));
    this.typed.addEventListener("keydown", (event) => this.key(event));
    this.all.addEventListener("keydown", (event) => this.walk(event));
    new ResizeObserver(([{ contentRect }]) => {
      if (contentRect.width === this.width) return; // what is folded changes its height
      this.width = contentRect.width;
      this.foldOffers();
    }).observe(this.say);
  }

  /**
   * Show the line and what stands under it.
   * @param {HTMLElement[]} parts of the sentence
   * @param {HTMLElement[]} choices that can be pressed next, the likeliest first
   * @param {HTMLElement[]} doings that are always in sight
   * @param {{gap?: number, wants?: string, label?: string}} field before which part the field stands, and what it asks for
   */
  show(parts, choices = [], doings = [], { gap = 1000, wants = AT_REST, label = "Say it" } = {}) {
    if (this.considered) this.acts.consider((this.considered = null));
    this.offers = null;
    this.all.hidden = true;
    for (const [place, part] of parts.entries()) part.style.order = 2 * place;
    this.line.replaceChildren(...parts);
    this.typing.style.order = 2 * gap - 1;
    this.typing.classList.toggle("in-gap", gap < 1000);
    this.typed.placeholder = wants;
    this.typed.setAttribute("aria-label", label);
    this.choices.replaceChildren(...choices);
    this.doings.replaceChildren(...doings);
    if (gap < 1000) this.typing.scrollIntoView({ block: "nearest" });
  }

  /** Other things that lie where the selected one was picked: ``{words, act}``. */
  alsoHere(others) {
    this.others = others;
  }

  /** Nothing is going on. */
  rest() {
    this.offered = 0;
    this.show([], [word(this.acts.atRest ?? "Drag a peg, click things to select them, or say what shall be there.", "soft long")]);
  }

  /** Something else was done: what was near to a refused sentence is offered no longer. */
  done() {
    this.near = null;
    this.rest();
  }

  /** What the pointer is on, in the hand. */
  hover(text) {
    this.show([], [word(text, "long")]);
  }

  /** The sentence of a tool: words and its gaps, the field in the one that is asked for. */
  prompt(chips, ways = [], key = "") {
    const parts = [];
    let field = {};
    const label = spoken(chips);
    for (const chip of chips) {
      if ("words" in chip) {
        if (chip.words.trim()) parts.push(word(chip.words.trim(), "words"));
        continue;
      }
      if (!chip.next || chip.had) parts.push(this.gap(chip));
      if (chip.next) field = { gap: parts.length, wants: chip.wants, asks: chip.asks, label };
    }
    const doings = [];
    const asks = field.asks ?? "";
    if (asks.includes("when they are all")) doings.push(button("These are all (Enter)", this.acts.finish, "go main"));
    if (asks.includes("to close")) doings.push(button("Close it (Enter)", this.acts.finish, "go main"));
    doings.push(button("Put it down (Esc)", this.acts.stop), helpLink(helpOf(key)));
    const choices = ways.map((way) => button(way, () => this.send(way), "go way"));
    if (asks) choices.push(word(`${asks[0].toUpperCase()}${asks.slice(1)}.`, "soft long"));
    this.show(parts, choices, doings, field);
  }

  /** A gap of the running sentence: pressed, it is asked for next, and what was in it is let go. */
  gap({ gap, filled, had, asks, wants }) {
    const one = button(had || wants, () => this.acts.ask(gap), `chip${filled ? " filled" : ""}`);
    one.dataset.gap = gap;
    one.setAttribute("aria-label", had ? `${had}: choose another` : asks);
    return one;
  }

  /** What is selected, what it could become, and what would go. */
  selection({ words, warning, offers }, hiddenToo, another) {
    const what = word(words, "chosen long");
    what.title = words;
    this.offered = offers.length;
    const remove = button("Delete", this.acts.remove);
    remove.id = "delete";
    remove.title = warning || "Nothing else goes with it.";
    for (const kind of ["pointerenter", "focus"]) remove.addEventListener(kind, () => this.acts.warn(warning));
    for (const kind of ["pointerleave", "blur"]) remove.addEventListener(kind, () => this.acts.warn(""));
    const more = button("and …", () => {
      const on = more.getAttribute("aria-pressed") !== "true";
      more.setAttribute("aria-pressed", String(on));
      this.acts.another(on);
    });
    more.title = "What is picked next is added (as with Shift)";
    more.setAttribute("aria-pressed", String(another));
    const others = (this.others ?? []).map(({ words: other, act }) => button(`or ${other}`, act, "go or"));
    const hide = button(hiddenToo ? "Show" : "Hide", () => this.acts.hide(!hiddenToo));
    this.show([what], [], [more, ...others, hide, remove], { wants: "Say it, or pick what it becomes" });
    this.offers = offers;
    this.foldOffers();
  }

  offerButton(offer, number) {
    const make = button(offer.sentence, () => this.acts.offer(number));
    make.dataset.offer = offer.does;
    if (number < KEYED) make.dataset.key = number + 1;
    return make;
  }

  /** The offers that have room stand under the line; all of them behind one button. */
  foldOffers() {
    const { offers, choices } = this;
    if (!offers?.length) return;
    choices.replaceChildren(...offers.map((offer, number) => this.offerButton(offer, number)));
    this.doings.querySelector(".all-offers")?.remove();
    const isOver = () => choices.scrollHeight > choices.clientHeight + 2 || choices.scrollWidth > choices.clientWidth + 2;
    if (isOver()) {
      const more = button(`all ${offers.length}`, () => this.showAll(more), "go all-offers");
      more.setAttribute("aria-expanded", "false");
      this.doings.prepend(more);
      while (choices.children.length > 1 && isOver()) choices.lastElementChild.remove();
    }
  }

  showAll(more) {
    this.all.hidden = !this.all.hidden;
    more.setAttribute("aria-expanded", String(!this.all.hidden));
    if (this.all.hidden) return more.focus();
    this.all.replaceChildren(
      ...this.offers.map((offer, number) => {
        const item = document.createElement("li");
        item.append(this.offerButton(offer, number));
        return item;
      }),
    );
    this.all.querySelector("button").focus();
  }

  /** Arrow keys in the open list of offers. */
  walk(event) {
    const every = [...this.all.querySelectorAll("button")];
    const at = every.indexOf(document.activeElement);
    if (event.key === "ArrowDown") every[(at + 1) % every.length].focus();
    else if (event.key === "ArrowUp") every[(at + every.length - 1) % every.length].focus();
    else if (event.key === "Escape") this.showAll(this.doings.querySelector(".all-offers"));
    else return;
    event.preventDefault();
    event.stopPropagation();
  }

  // Typing ---------------------------------------------------------------------------------------------------

  enter() {
    const text = this.chosen >= 0 ? this.list[this.chosen].text : this.typed.value;
    if (this.chosen >= 0) return this.take(this.chosen);
    if (this.near && text === this.nearFor) this.send(this.near[0]);
    else if (text.trim()) this.send(text);
    else this.acts.finish();
  }

  /** What is typed is not known to be wrong. */
  right() {
    this.typed.classList.remove("wrong");
    this.typed.removeAttribute("aria-invalid");
  }

  /** Say a sentence. The field is free for the next one at once; what is refused comes back. */
  send(text) {
    if (!this.acts.say(text)) return;
    this.sent.push(text);
    this.clear();
  }

  /** Ask how what is typed may go on. */
  complete() {
    this.asked = true;
    this.acts.complete(this.typed.value);
  }

  /** The field was left a moment ago, and may have been entered again since. */
  away() {
    if (document.activeElement !== this.typed) this.showWays([]);
  }

  clear() {
    this.typed.value = "";
    this.asked = false; // ways that were asked for before and come now would open over an empty field
    this.right();
    this.near = null;
    this.showWays([]);
  }

  /** Words that were not taken stand in the field again. */
  backToWords(text) {
    this.typed.value = text;
    this.typed.focus();
    this.asked = false;
    this.showWays([]);
  }

  /** The line broke: what was on its way comes back into the field, for nobody knows whether it arrived. */
  unanswered() {
    if (!this.typed.value) this.typed.value = this.sent.join(" ");
    this.sent = [];
  }

  /** A key that begins what a gap takes was pressed elsewhere. */
  typeOn(key) {
    this.typed.focus();
    this.typed.value += key;
    this.typed.dispatchEvent(new Event("input"));
  }

  /** What was typed has been taken. */
  taken() {
    this.sent.shift();
  }

  /** What was typed was refused; it comes back, to be put right, unless the next sentence is being typed already. Sentences that are near, or are meant, stand beside it: Enter takes
   *  the first. */
  refused(ways = []) {
    const text = this.sent.shift();
    if (text !== undefined && this.typed.value) return;
    this.typed.value = text ?? this.typed.value;
    this.near = null;
    if (ways.length) {
      this.near = ways;
      this.nearFor = this.typed.value;
      this.show([], [word("Enter for", "soft"), ...ways.map((way) => this.nearButton(way))], [], { wants: this.typed.placeholder });
      hear(`Enter for: ${ways.join("; or: ")}`);
    }
    if (document.activeElement !== this.typed) return;
    this.typed.classList.add("wrong");
    this.typed.setAttribute("aria-invalid", "true");
    this.showWays([]);
    this.typed.select(); // what is typed next takes its place
  }

  /** A sentence to choose: what it is about is lit, and what it would make is drawn, as long as one looks at it. */
  nearButton(way) {
    const one = button(way, () => this.send(way), "go way");
    const consider = (text) => {
      if (this.considered === text) return;
      this.considered = text;
      this.acts.consider(text);
    };
    for (const here of ["pointerenter", "focus"]) one.addEventListener(here, () => consider(way));
    for (const gone of ["pointerleave", "blur"]) one.addEventListener(gone, () => consider(null));
    return one;
  }

  showWays(ways) {
    this.list = ways;
    this.chosen = -1;
    this.ways.hidden = !ways.length;
    this.typed.setAttribute("aria-expanded", String(!!ways.length));
    this.ways.replaceChildren(
      ...ways.map((way, number) => {
        const item = document.createElement("li");
        item.role = "option";
        item.id = `way-${number}`;
        item.textContent = way.shown;
        item.addEventListener("pointerdown", (event) => {
          event.preventDefault();
          this.take(number);
        });
        return item;
      }),
    );
    this.choose(-1);
  }

  completions({ for: text, ways }) {
    if (this.asked && text === this.typed.value && document.activeElement === this.typed) this.showWays(ways);
  }

  choose(number) {
    this.chosen = number;
    for (const [index, item] of [...this.ways.children].entries()) item.setAttribute("aria-selected", String(index === number));
    this.ways.children[number]?.scrollIntoView({ block: "nearest" });
    if (number >= 0) this.typed.setAttribute("aria-activedescendant", `way-${number}`);
    else this.typed.removeAttribute("aria-activedescendant");
  }

  take(number) {
    this.typed.value = this.list[number].text;
    this.typed.focus();
    this.complete();
    this.choose(-1);
  }

  key(event) {
    const many = this.list?.length ?? 0;
    const way = MARKS[event.key];
    if (way && !this.typed.value && this.typing.classList.contains("in-gap")) this.acts.mark(way);
    else if (event.key === "/" && !this.typed.value) {
      // It is the key that leads here, pressed once more.
    } else if (event.key === "ArrowDown" && many) this.choose((this.chosen + 1) % many);
    else if (event.key === "ArrowUp" && many) this.choose((this.chosen <= 0 ? many : this.chosen) - 1);
    else if (event.key === "Tab" && many && !event.shiftKey && this.typed.value) this.take(Math.max(this.chosen, 0));
    else if (event.key === "Escape") {
      event.stopPropagation();
      if (many) this.showWays([]);
      else if (this.typed.value) this.clear();
      else {
        this.acts.toBoard();
        this.acts.stop();
      }
    } else return;
    event.preventDefault();
  }
}
