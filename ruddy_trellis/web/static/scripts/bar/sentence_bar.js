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
  element.textContent = text;
  element.className = className;
  element.addEventListener("click", act);
  return element;
}

/** Where the help is about a tool. */
export function helpOf(key) {
  return key.startsWith("recipe") ? "/help/about/recipes" : `/help/${key}`;
}

export class SentenceBar {
  /** @param {object} acts say, complete, consider, offer, stop, hide, another, remove, warn, finish */
  constructor(acts) {
    this.acts = acts;
    this.line = document.getElementById("sentence");
    this.typed = /** @type {HTMLInputElement} */ (document.getElementById("typed"));
    this.ways = document.getElementById("ways");
    this.chosen = -1;
    this.sent = []; // what was said and is not answered
    this.rest();
    this.line.addEventListener("focusout", (event) => {
      const list = this.line.querySelector(".ways");
      if (list && !this.line.contains(event.relatedTarget)) list.hidden = true;
    });
    document.getElementById("typing").addEventListener("submit", (event) => {
      event.preventDefault();
      this.enter();
    });
    this.typed.addEventListener("input", () => {
      this.typed.classList.remove("wrong");
      this.complete();
    });
    this.typed.addEventListener("focus", () => this.complete());
    this.typed.addEventListener("blur", () => setTimeout(() => this.showWays([]), 150));
    this.typed.addEventListener("keydown", (event) => this.key(event));
  }

  show(...parts) {
    if (this.considered) this.acts.consider((this.considered = null));
    this.line.replaceChildren(...parts);
  }

  /** Other things that lie where the selected one was picked: ``{words, act}``. */
  alsoHere(others) {
    this.others = others;
  }

  /** Nothing is going on. */
  rest() {
    this.offered = 0;
    this.show(word("Hand: drag a peg, click things to select them, or pick a tool.", "soft"));
    this.typed.placeholder = "or type a sentence";
  }

  /** What the pointer is on, in the hand. */
  hover(text) {
    this.show(word(text, "long"));
  }

  /** The sentence of a tool. */
  prompt(chips, ways = [], key = "") {
    const parts = chips.map((chip) =>
      "words" in chip ? word(chip.words.trim()) : word(chip.shown, `chip${chip.filled ? " filled" : ""}${chip.next ? " next" : ""}`),
    );
    parts.push(...ways.map((way) => button(way, () => this.send(way), "go way")));
    if (chips.some((chip) => chip.shown?.includes("when they are all"))) parts.push(button("These are all (Enter)", this.acts.finish));
    if (chips.some((chip) => chip.shown?.includes("to close"))) parts.push(button("Close it (Enter)", this.acts.finish));
    parts.push(button("Put it down (Esc)", this.acts.stop), helpLink(helpOf(key)));
    this.show(...parts);
    const next = chips.find((chip) => chip.next);
    this.typed.placeholder = next ? `or type it: ${next.shown.replace(/^.*\+ /, "")}` : "or type a sentence";
  }

  /** What is selected, what it could become, and what would go. */
  selection({ words, warning, offers }, hiddenToo, another) {
    const what = word(words, "chip filled long");
    what.title = words;
    const row = word("", "offers");
    this.offered = offers.length;
    row.append(...offers.map((offer, number) => this.offerButton(offer, number)));
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
    this.show(
      what,
      more,
      ...others,
      row,
      button(hiddenToo ? "Show" : "Hide", () => this.acts.hide(!hiddenToo)),
      remove,
    );
    this.foldOffers(row, offers);
  }

  offerButton(offer, number) {
    const make = button(offer.sentence, () => this.acts.offer(number));
    make.dataset.offer = offer.does;
    if (number < 9) make.dataset.key = number + 1;
    return make;
  }

  /** Offers that do not fit in the line stand in a list behind one button. */
  foldOffers(row, offers) {
    if (row.scrollWidth <= row.clientWidth) return;
    const more = button("more ▴", () => {
      list.hidden = !list.hidden;
      more.setAttribute("aria-expanded", String(!list.hidden));
      if (!list.hidden) list.querySelector("button").focus();
    });
    more.classList.add("more");
    more.setAttribute("aria-expanded", "false");
    const list = document.createElement("ul");
    list.className = "ways";
    list.hidden = true;
    list.addEventListener("keydown", (event) => this.walk(event, list, more));
    row.after(more, list);
    const kept = [...row.children];
    while (kept.length > 1 && row.scrollWidth > row.clientWidth) kept.pop().remove();
    const left = offers.slice(kept.length);
    list.append(
      ...left.map((offer, place) => {
        const item = document.createElement("li");
        item.append(this.offerButton(offer, kept.length + place));
        return item;
      }),
    );
  }

  /** Arrow keys in the open list of offers. */
  walk(event, list, more) {
    const all = [...list.querySelectorAll("button")];
    const at = all.indexOf(document.activeElement);
    if (event.key === "ArrowDown") all[(at + 1) % all.length].focus();
    else if (event.key === "ArrowUp") all[(at + all.length - 1) % all.length].focus();
    else if (event.key === "Escape") {
      more.click();
      more.focus();
    } else return;
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

  clear() {
    this.typed.value = "";
    this.asked = false; // ways that were asked for before and come now would open over an empty field
    this.typed.classList.remove("wrong");
    this.near = null;
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
  refused(place, ways = []) {
    const text = this.sent.shift();
    if (text !== undefined && this.typed.value) return;
    this.typed.value = text ?? this.typed.value;
    this.near = null;
    if (ways.length) {
      this.near = ways;
      this.nearFor = this.typed.value;
      this.show(word("Enter for", "soft"), ...ways.map((way) => this.nearButton(way)));
      hear(`Enter for: ${ways.join("; or: ")}`);
    }
    if (document.activeElement !== this.typed) return;
    this.typed.classList.add("wrong");
    this.showWays([]);
    if (place !== null && place !== undefined) {
      const shift = this.typed.value.indexOf("=") + 1;
      const lead = this.typed.value.slice(shift).length - this.typed.value.slice(shift).trimStart().length;
      this.typed.setSelectionRange(shift + lead + place, shift + lead + place + 1);
    }
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
    if (event.key === "ArrowDown" && many) this.choose((this.chosen + 1) % many);
    else if (event.key === "ArrowUp" && many) this.choose((this.chosen <= 0 ? many : this.chosen) - 1);
    else if (event.key === "Tab" && many && !event.shiftKey && this.typed.value) this.take(Math.max(this.chosen, 0));
    else if (event.key === "Escape") {
      event.stopPropagation();
      if (many) this.showWays([]);
      else if (this.typed.value) this.clear();
      else {
        this.typed.blur();
        this.acts.stop();
      }
    } else return;
    event.preventDefault();
  }
}
