// Dials and the buttons of motions, laid over a corner of the board.

export class Dials {
  /** @param {object} acts grab, turn, drop, play */
  constructor(acts) {
    this.acts = acts;
    this.box = document.getElementById("dials");
    this.rows = new Map();
    this.running = new Set();
  }

  /** Show the dials and motions among these items. */
  show(items, ghosts) {
    const wanted = [...items].filter((item) => (item.shape?.dial || item.kind === "motion") && (!item.style.hidden || ghosts));
    const ids = new Set(wanted.map((item) => item.id));
    for (const [id, row] of this.rows) {
      if (!ids.has(id)) {
        row.remove();
        this.rows.delete(id);
      }
    }
    for (const item of wanted) {
      if (!this.rows.has(item.id)) this.add(item);
      this.tell(item);
    }
    this.box.hidden = !wanted.length;
  }

  add(item) {
    const row = document.createElement("div");
    row.className = item.kind === "motion" ? "motion" : "dial";
    row.dataset.id = item.id;
    this.rows.set(item.id, row);
    this.box.append(row);
    if (item.kind === "motion") {
      const button = document.createElement("button");
      button.addEventListener("click", () => this.acts.play(item.id, this.running.has(item.id)));
      row.append(button);
      return;
    }
    const name = document.createElement("label");
    name.htmlFor = `dial-${item.id}`;
    const input = document.createElement("input");
    Object.assign(input, { type: "range", id: name.htmlFor });
    const held = () => {
      if (!row.held) this.acts.grab(item.id);
      row.held = true;
    };
    input.addEventListener("input", () => {
      held();
      this.acts.turn(Number(input.value));
    });
    const drop = () => {
      if (row.held) this.acts.drop();
      row.held = false;
    };
    input.addEventListener("change", drop);
    input.addEventListener(
      "wheel",
      (event) => {
        event.preventDefault();
        if (input.disabled) return;
        input.value = Number(input.value) + (event.deltaY < 0 ? 1 : -1) * Number(input.step);
        held();
        this.acts.turn(Number(input.value));
        clearTimeout(row.resting);
        row.resting = setTimeout(drop, 300);
      },
      { passive: false },
    );
    const says = document.createElement("span");
    says.className = "dial-value";
    row.append(name, input, says);
  }

  /** What a dial says now. */
  tell(item) {
    const row = this.rows.get(item.id);
    if (!row) return;
    if (item.kind === "motion") {
      const on = this.running.has(item.id);
      const button = row.querySelector("button");
      button.textContent = `${on ? "❚❚" : "▶"} ${item.sentence.replace(/^.*? is the motion of /, "").split(",")[0]}`;
      button.title = item.sentence;
      button.setAttribute("aria-pressed", String(on));
      return;
    }
    const [least, most, step, value] = item.shape.dial;
    const input = row.querySelector("input");
    const text = item.label?.text ?? "";
    row.querySelector("label").textContent = text.split(" = ")[0];
    row.querySelector(".dial-value").textContent = text.split(" = ")[1] ?? "";
    Object.assign(input, { min: least, max: most, step, disabled: !!item.shape.locked });
    // While motions run, what is heard of a dial is where it stops.
    if (!this.running.size || row.held) input.setAttribute("aria-valuetext", text);
    if (!row.held) input.value = value;
  }

  /** Which motions run. */
  run(ids, items) {
    this.running = new Set(ids);
    for (const item of items) if (this.rows.has(item.id)) this.tell(item);
  }
}
