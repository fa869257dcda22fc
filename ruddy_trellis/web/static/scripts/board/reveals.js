// Reveals: buttons on the board that show things together, pressed by anyone and put elsewhere by their handle.

import { hear } from "../page/hear.js";

export class Reveals {
  /**
   * @param {import("../drawing/viewport.js").Viewport} port
   * @param {object} acts changed, grab, drag, drop
   */
  constructor(port, acts) {
    Object.assign(this, { port, acts });
    this.box = document.getElementById("reveals");
    this.rows = new Map();
    this.open = new Map();
  }

  /** Show the buttons of the reveals among these items. */
  show(items) {
    const found = [...items].filter((item) => item.kind === "reveal" && item.shape && !item.style.hidden);
    const ids = new Set(found.map((item) => item.id));
    for (const [id, row] of this.rows) {
      if (ids.has(id)) continue;
      row.remove();
      this.rows.delete(id);
    }
    this.items = found;
    for (const item of found) {
      if (!this.rows.has(item.id)) this.add(item.id);
      if (!this.open.has(item.id) || this.starts.get(item.id) !== item.shape.shown) this.open.set(item.id, item.shape.shown);
      this.starts.set(item.id, item.shape.shown);
      this.tell(item);
    }
    this.acts.changed();
    this.place();
  }

  starts = new Map();

  add(id) {
    const row = document.createElement("div");
    row.className = "reveal";
    row.dataset.id = id;
    const handle = document.createElement("span");
    handle.className = "reveal-handle";
    handle.title = "Drag the button by this";
    handle.textContent = "⠿";
    handle.addEventListener("pointerdown", (event) => this.hold(event, id));
    const button = document.createElement("button");
    button.addEventListener("click", () => this.press(id));
    row.append(handle, button);
    this.rows.set(id, row);
    this.box.append(row);
  }

  hold(event, id) {
    event.preventDefault();
    const handle = event.target;
    handle.setPointerCapture(event.pointerId);
    this.port.measure();
    this.acts.grab(id, this.port.at(event));
    const move = (moved) => this.acts.drag(this.port.at(moved));
    handle.addEventListener("pointermove", move);
    handle.addEventListener(
      "lostpointercapture",
      () => {
        handle.removeEventListener("pointermove", move);
        this.acts.drop();
      },
      { once: true },
    );
  }

  press(id) {
    const { asks } = this.items.find((item) => item.id === id).shape;
    if (asks) return this.acts.ask(id, asks);
    this.open.set(id, !this.open.get(id));
    this.tell(this.items.find((item) => item.id === id));
    this.place(); // an open one is written bold, which is wider
    this.acts.changed();
  }

  tell(item) {
    const button = this.rows.get(item.id).querySelector("button");
    const on = this.open.get(item.id);
    button.textContent = item.shape.says;
    if (item.shape.asks) return;
    button.textContent = `${on ? "◉" : "○"} ${item.shape.says}`;
    button.setAttribute("aria-pressed", String(on));
  }

  /** Put every button where it belongs in the present view. */
  place() {
    for (const item of this.items ?? []) {
      const row = this.rows.get(item.id);
      const [x, y] = this.port.kept(item.shape.at, row.offsetWidth, row.offsetHeight);
      row.style.transform = `translate(${x}px, ${y}px)`;
    }
  }

  /** The ids of things that a closed reveal hides. */
  hidden() {
    return (this.items ?? []).filter((item) => !this.open.get(item.id)).flatMap((item) => item.shape.reveals);
  }

  /** The reveals alone, without other buttons. */
  story() {
    return (this.items ?? []).filter(({ shape }) => !shape.asks);
  }

  /** Whether there is any story, more of it to come, and less of it to go back to. */
  progress() {
    const open = this.story().map((item) => this.open.get(item.id));
    return { some: open.length > 0, more: open.includes(false), less: open.includes(true) };
  }

  /** Which reveals are open and which were so at first: triples that `restore` takes. */
  seen() {
    return [...this.starts].map(([id, start]) => [id, start, this.open.get(id)]);
  }

  /** Take up where an earlier visit ended. */
  restore(triples) {
    for (const [id, start, open] of triples) {
      this.starts.set(id, start);
      this.open.set(id, open);
    }
  }

  /** Every reveal is as the teacher set it. */
  startAgain() {
    for (const item of this.items ?? []) {
      this.open.set(item.id, item.shape.shown);
      this.tell(item);
    }
    this.acts.changed();
  }

  /** Tell the story on by one reveal, or back by one. Returns whether there was one. */
  step(way) {
    const items = this.story();
    const next = way > 0 ? items.find((item) => !this.open.get(item.id)) : items.findLast((item) => this.open.get(item.id));
    if (!next) return false;
    this.press(next.id);
    hear(`${next.shape.says}: ${way > 0 ? "shown" : "hidden again"}`);
    return true;
  }
}
