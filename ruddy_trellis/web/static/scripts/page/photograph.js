// The bar for the picture under the figure: move it, scale it by two clicks and a length, turn it, fade it.
import { onEscape } from "./escape.js";
import { hear } from "./hear.js";

let bar = null;

/**
 * Open the bar.
 * @param {import("../board/board_view.js").BoardView} view
 * @param {(change: object) => void} edit
 */
export function fitPhotograph(view, edit) {
  bar ??= new Fitting(view, edit);
  bar.turn(true);
}

class Fitting {
  constructor(view, edit) {
    Object.assign(this, { view, edit });
    this.sheet = document.createElement("div");
    this.sheet.className = "chalk-sheet";
    this.bar = document.createElement("div");
    this.bar.className = "chalk-bar";
    this.bar.setAttribute("role", "toolbar");
    this.bar.setAttribute("aria-label", "The picture under the figure");
    this.bar.innerHTML = `<button class="mini" id="photo-scale" aria-pressed="false">Scale: click two places</button>
      <label id="photo-length" hidden>They are <input class="form-control" inputmode="decimal" aria-label="How far apart they are"> <span></span>
      apart</label><label>turned <input class="form-control" id="photo-turn" type="number" step="0.5" min="-360" max="360"> °</label>
      <label>faint <input id="photo-fade" type="range" min="0.05" max="1" step="0.05"> strong</label>
      <button class="mini" id="photo-away">Take it away</button><button class="mini" id="photo-done">Done</button><span class="laid-words"></span>`;
    view.page.append(this.sheet, this.bar);
    const on = (id, kind, act) => this.bar.querySelector(id).addEventListener(kind, act);
    on("#photo-scale", "click", () => this.scale(!this.scaling));
    on("#photo-length input", "change", ({ target }) => this.fit(target.value));
    on("#photo-turn", "change", ({ target }) => this.put({ turn: Number(target.value) || 0 }));
    on("#photo-fade", "input", ({ target }) => this.show({ fade: Number(target.value) }));
    on("#photo-fade", "change", ({ target }) => this.put({ fade: Number(target.value) }));
    on("#photo-away", "click", () => {
      this.edit({ kind: "arrange", photograph: null });
      this.turn(false);
    });
    on("#photo-done", "click", () => this.turn(false));
    onEscape(this.bar, () => (this.scaling ? this.scale(false) : this.turn(false)));
    this.sheet.addEventListener("pointerdown", (event) => this.down(event));
    this.sheet.addEventListener("pointermove", (event) => this.moved(event));
    this.sheet.addEventListener("lostpointercapture", () => this.up());
    this.sheet.addEventListener("wheel", (event) => this.view.canvas.dispatchEvent(new WheelEvent("wheel", event)));
  }

  get now() {
    return this.view.state.photograph;
  }

  turn(on) {
    this.sheet.hidden = this.bar.hidden = !on;
    if (!on) return this.view.canvas.focus({ preventScroll: true });
    this.bar.querySelector("#photo-turn").value = String(Math.round(this.now.turn * 100) / 100);
    this.bar.querySelector("#photo-fade").value = String(this.now.fade);
    this.bar.querySelector("#photo-length span").textContent = this.view.state.unit;
    this.scale(false);
    this.bar.querySelector("button").focus({ preventScroll: true });
  }

  tell(words) {
    this.bar.querySelector(".laid-words").textContent = words;
    hear(words);
  }

  /** Begin or end scaling: two clicks, then a length. */
  scale(on) {
    this.scaling = on;
    this.places = [];
    for (const mark of this.sheet.querySelectorAll("i")) mark.remove();
    this.bar.querySelector("#photo-scale").setAttribute("aria-pressed", String(on));
    this.bar.querySelector("#photo-length").hidden = true;
    this.tell(on ? "Click one end of a length that you know." : "Drag the picture to where it belongs.");
  }

  down(event) {
    if (event.button) return;
    event.preventDefault();
    this.view.port.measure();
    if (!this.scaling) {
      this.sheet.setPointerCapture(event.pointerId);
      this.from = this.view.port.at(event);
      return;
    }
    if (this.places.length === 2) this.scale(true);
    this.places.push(this.view.port.at(event));
    const mark = document.createElement("i");
    Object.assign(mark.style, { left: `${event.clientX - this.view.port.left}px`, top: `${event.clientY - this.view.port.top}px` });
    this.sheet.append(mark);
    if (this.places.length === 1) return this.tell("Now its other end.");
    this.bar.querySelector("#photo-length").hidden = false;
    const field = this.bar.querySelector("#photo-length input");
    field.value = "";
    field.focus();
    this.tell("How far apart are they? Enter makes it so.");
  }

  moved(event) {
    if (!this.from) return;
    const [x, y] = this.view.port.at(event);
    this.to = [this.now.at[0] + x - this.from[0], this.now.at[1] + y - this.from[1]];
    this.show({ at: this.to });
  }

  up() {
    if (this.to) this.put({ at: this.to });
    this.from = this.to = null;
  }

  fit(text) {
    const length = Number(text.replace(",", ".").replace(this.view.state.unit, ""));
    if (!(length > 0)) return this.tell("A length above zero, such as 4.5.");
    const [first, second] = this.places;
    this.edit({ kind: "fit_photograph", first, second, length });
    this.scale(false);
    this.bar.querySelector("#photo-scale").focus({ preventScroll: true });
    this.tell("Scaled. What you measure on it is now true.");
  }

  /** Show the picture otherwise before it is kept so. */
  show(part) {
    this.view.drawing.paint({ scene: { photograph: { ...this.now, ...part } } });
  }

  put(part) {
    this.edit({ kind: "arrange", photograph: { ...this.now, ...part } });
  }
}
