// The tray of instruments: which of them lie on the board, what they draw, what they say.

import { Compasses } from "./compasses.js";
import { made } from "./instrument.js";
import { onEscape } from "../page/escape.js";
import { Protractor } from "./protractor.js";
import { Ruler } from "./ruler.js";
import { SetSquare } from "./square.js";

const KINDS = { Ruler, "Set square": SetSquare, Protractor, Compasses };

export class Tray {
  /** @param {import("../board/board_view.js").BoardView} view */
  constructor(view) {
    this.view = view;
    this.kind = "segment"; // what is drawn along an edge
    this.laid = new Map();
    this.sheet = made("svg", { class: "laid-sheet" });
    this.bar = document.createElement("div");
    this.bar.className = "chalk-bar laid-bar";
    this.bar.setAttribute("role", "toolbar");
    this.bar.setAttribute("aria-label", "Instruments");
    this.more = document.createElement("span");
    this.words = document.createElement("span");
    this.words.className = "laid-words";
    this.words.setAttribute("role", "status");
    const { kinds: has, rounds } = document.getElementById("instruments").dataset;
    this.rounds = rounds !== undefined; // arcs of typed degrees are not in the kit: the compasses go all the way round
    // those of a kit; all of them where there is none
    this.names = has ? has.split(", ") : Object.keys(KINDS);
    const buttons = this.names.map((name) => this.button(name, `Lay the ${name.toLowerCase()} on the board`, () => this.toggle(name)));
    this.bar.append(
      ...buttons,
      this.more,
      this.button("Done", "Put the instruments away (Escape)", () => this.turn(false)),
      this.words,
    );
    for (const [place, name] of this.names.entries()) buttons[place].dataset.name = name;
    onEscape(this.bar, () => this.turn(false));
    onEscape(this.sheet, () => this.turn(false));
    view.page.append(this.sheet, this.bar);
  }

  turn(on) {
    this.on = on;
    this.bar.hidden = !on;
    this.sheet.toggleAttribute("hidden", !on);
    document.getElementById("instruments").setAttribute("aria-pressed", String(on));
    if (!on) {
      this.view.canvas.focus({ preventScroll: true });
      return;
    }
    if (!this.laid.size) this.toggle(this.names[0]);
    this.bar.querySelector("button").focus({ preventScroll: true });
    this.follow();
  }

  /** Draw them anew whenever the view has changed. */
  follow() {
    if (!this.on) return;
    const { x, y, zoom, width, height } = this.view.port;
    const key = [x, y, zoom, width, height].join();
    if (key !== this.drawnFor) this.redraw();
    this.drawnFor = key;
    requestAnimationFrame(() => this.follow());
  }

  redraw(change = () => {}) {
    change();
    for (const one of this.laid.values()) one.draw();
  }

  toggle(name) {
    const there = this.laid.get(name);
    there?.lift();
    if (there) this.laid.delete(name);
    else this.laid.set(name, new KINDS[name](this));
    for (const button of this.bar.querySelectorAll("[data-name]"))
      button.setAttribute("aria-pressed", String(this.laid.has(button.dataset.name)));
    const last = [...this.laid.values()].at(-1);
    this.more.replaceChildren(...(last?.options() ?? []));
    last?.tell();
    this.redraw();
  }

  button(text, title, act) {
    const button = document.createElement("button");
    Object.assign(button, { type: "button", className: "mini", textContent: text, title });
    button.addEventListener("click", act);
    return button;
  }

  /** A field for a length. */
  number(name, value, take) {
    const label = document.createElement("label");
    label.textContent = `${name} `;
    const field = document.createElement("input");
    Object.assign(field, { className: "form-control", value, inputMode: "decimal", autocomplete: "off" });
    field.dataset.number = name;
    field.addEventListener("change", () => {
      const number = Number(field.value.replace(",", "."));
      if (number > 0 && number < 1e6) this.redraw(() => take(number));
      else this.say(`“${field.value}” does not fit: a number above zero does.`);
    });
    label.append(field);
    return label;
  }

  setNumber(name, value) {
    const field = this.bar.querySelector(`[data-number="${name}"]`);
    if (field && field !== document.activeElement) field.value = value;
  }

  /** The choice of what is drawn along an edge. */
  kinds() {
    const buttons = ["segment", "line"].map((kind) =>
      this.button(kind, `Draw a ${kind} along an edge`, () => {
        this.kind = kind;
        for (const one of buttons) one.setAttribute("aria-pressed", String(one.textContent === kind));
      }),
    );
    for (const one of buttons) one.setAttribute("aria-pressed", String(one.textContent === this.kind));
    return buttons;
  }

  say(words) {
    this.words.textContent = words;
  }
}
