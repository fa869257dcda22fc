// On a small screen the words and buttons of a board stand in a strip beside the figure, and the figure has the rest.

const SMALL = matchMedia("(max-width: 43.75em), (max-height: 35em)");
const BESIDE = new Set(["words", "reveal", "motion", "number"]);

export class Strip {
  /** @param {import("../board/board_view.js").BoardView} view */
  constructor(view) {
    this.view = view;
    this.box = document.getElementById("strip");
    SMALL.addEventListener("change", () => this.turn());
    this.box.addEventListener("click", ({ target }) => {
      if (target.dataset.cover) view.drawing.uncover(target.dataset.cover);
      this.show();
    });
  }

  turn() {
    document.body.classList.toggle("with-strip", SMALL.matches);
    this.view.closeThings();
    this.view.resized();
  }

  get things() {
    return [...this.view.drawing.things.values()].filter((item) => item.kind === "words" && item.shape && !item.style.hidden);
  }

  /** The ids of words that stand in the strip and not on the board. */
  words() {
    return SMALL.matches ? this.things.map(({ id }) => id) : [];
  }

  /** The words that are to be seen now. */
  show() {
    const behind = new Set(this.view.reveals.hidden());
    const parts = this.words()
      .filter((id) => !behind.has(id))
      .map((id) => this.view.drawing.things.get(id));
    const says = parts.map(({ id, shape }) => [id, shape.words]);
    const key = JSON.stringify(says);
    if (key === this.shown) return;
    this.shown = key;
    this.box.replaceChildren(...says.map(([id, words]) => this.line(id, words)));
  }

  line(id, words) {
    const line = document.createElement("p");
    if (words !== "?") line.textContent = words;
    else {
      const button = document.createElement("button");
      Object.assign(button, { textContent: "?", title: "Lift the cover" });
      button.dataset.cover = id;
      line.append(button);
    }
    return line;
  }

  /** The part of the plane that the figure takes up, as far as it is in the view that the teacher chose; null where the
   *  whole of that view is shown. */
  figure() {
    if (!SMALL.matches) return null;
    const [left, low, right, high] = this.view.page.dataset.view.split(" ").map(Number);
    const found = this.view.drawing.boundsOf((item) => item.shape && !item.style.hidden && !BESIDE.has(item.kind));
    if (!found) return null;
    const cut = [Math.max(left, found[0]), Math.max(low, found[1]), Math.min(right, found[2]), Math.min(high, found[3])];
    return cut[2] - cut[0] > 0.1 && cut[3] - cut[1] > 0.1 ? cut : null;
  }
}
