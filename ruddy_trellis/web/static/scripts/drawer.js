// The drawer: panels made by the server, put in by htmx, and what is pressed in them.

export class Drawer {
  /**
   * @param {string} boardId
   * @param {object} acts edit, choose, light, selected, words
   */
  constructor(boardId, acts) {
    this.boardId = boardId;
    this.acts = acts;
    this.name = "working";
    this.root = document.getElementById("drawer");
    this.panel = document.getElementById("panel");
    for (const tab of this.root.querySelectorAll("[data-panel]")) tab.addEventListener("click", () => this.open(tab.dataset.panel));
    document.getElementById("fold").addEventListener("click", () => this.fold());
    this.panel.addEventListener("click", (event) => this.click(event));
    this.panel.addEventListener("change", (event) => this.changed(event));
    this.panel.addEventListener("submit", (event) => this.submit(event));
    this.panel.addEventListener("pointerover", (event) => this.acts.light(event.target.closest?.("[data-id]")?.dataset.id));
    this.panel.addEventListener("pointerleave", () => this.acts.light());
    document.body.addEventListener("htmx:afterSwap", () => this.mark());
  }

  fold() {
    const folded = this.root.classList.toggle("folded");
    const button = document.getElementById("fold");
    button.textContent = folded ? "«" : "»";
    button.setAttribute("aria-expanded", String(!folded));
  }

  open(name) {
    this.name = name;
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
      const ids = this.name === "look" ? `?ids=${this.acts.selected().join(",")}` : "";
      window.htmx.ajax("GET", `/boards/${this.boardId}/panels/${this.name}${ids}`, { target: "#panel", swap: "innerHTML" });
    }, 60);
  }

  /** The selection has changed. */
  selectionChanged() {
    this.mark();
    if (this.name === "look") this.refresh();
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

  targets(element) {
    return element.dataset.on ? [element.dataset.on] : this.acts.selected();
  }

  click(event) {
    const element = event.target.closest("button");
    if (!element) return;
    const { dataset } = element;
    if (dataset.id) this.acts.choose(dataset.id, event.shiftKey);
    else if (dataset.show) this.acts.edit({ kind: "restyle", ids: dataset.show.split(" "), look: { hidden: false } });
    else if (dataset.look) this.acts.edit({ kind: "restyle", ids: this.targets(element), look: { [dataset.look]: JSON.parse(dataset.value) } });
    else if (dataset.choose) this.acts.edit({ kind: "choose", id: dataset.on, gap: dataset.choose, word: dataset.word || null });
    else if (dataset.arrange) this.acts.edit({ kind: "arrange", [dataset.arrange]: dataset.arrange === "decimals" ? Number(dataset.value) : dataset.value });
    else if (element.id === "delete-selected") this.acts.remove();
    else if (element.id === "copy-working") this.copy();
  }

  changed(event) {
    const { dataset, value } = event.target;
    if (dataset.look) this.acts.edit({ kind: "restyle", ids: this.targets(event.target), look: { [dataset.look]: value === "" ? null : Number(value) } });
    else if (dataset.rename) this.acts.edit({ kind: "rename", id: dataset.rename, name: value });
    else if (dataset.place) this.acts.place(dataset.place, value);
    else return;
    event.target.defaultValue = value;
    this.refresh();
  }

  submit(event) {
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
