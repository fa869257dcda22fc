// A board that is only looked at, on a canvas of its own: what is followed, what is put up, what is looked at over a shoulder.
import { Player } from "../board/player.js";
import { Viewport } from "../drawing/viewport.js";

/** How large a board is on a teacher's page, in pixels: as far as this one is smaller, its words are. */
const USUAL = { width: 964, height: 604 };

export class Shown {
  /**
   * @param {HTMLCanvasElement} canvas
   * @param {object} look pens, dash patterns and sizes by name, as a drawing has them
   */
  constructor(canvas, look) {
    this.canvas = canvas;
    this.port = new Viewport(canvas);
    this.painter = new Worker(new URL("../drawing/painter.js", import.meta.url), { type: "module" });
    const offscreen = canvas.transferControlToOffscreen();
    this.painter.postMessage({ canvas: offscreen, look }, [offscreen]);
    this.items = new Map();
    this.scene = null;
    this.player = new Player((items) => this.move(items));
    this.dot = document.createElement("div");
    this.dot.className = "laser";
    this.dot.hidden = true;
    canvas.after(this.dot);
    new ResizeObserver(() => this.fit()).observe(canvas);
  }

  /** Take a message of a board that is shown. */
  take(message) {
    const { items, gone, scene } = message;
    switch (message.t.replace("over_", "")) {
      case "stage":
        this.items = new Map(items.map((item) => [item.id, item]));
        this.scene = scene;
        if (message.dot !== undefined) this.point(message.dot);
        this.mark([]);
        break;
      case "stage_changed":
        for (const id of gone) this.items.delete(id);
        for (const item of items) this.items.set(item.id, item);
        this.scene = scene;
        break;
      case "moved":
        return this.move(items);
      case "frames":
        return this.player.take(message);
      case "playing":
        return this.player.begin(message.on);
    }
    this.painter.postMessage({ all: [...this.items.values()] });
    this.fit();
  }

  move(items) {
    for (const { id, shape, label } of items) Object.assign(this.items.get(id) ?? {}, { shape, label });
    this.painter.postMessage({ moved: items });
  }

  /** Everybody's marks on it. */
  mark(items) {
    this.painter.postMessage({ theirs: items });
  }

  /** The part that is seen where it is, whole. */
  fit() {
    if (!this.scene || !this.canvas.getClientRects().length) return;
    this.port.measure();
    this.port.show(this.scene.view);
    const { x, y, zoom, width, height } = this.port;
    const stretch = Math.min(width / USUAL.width, height / USUAL.height);
    const size = this.scene.size * Math.max(0.5, Math.min(stretch * 1.07, 1));
    this.painter.postMessage({
      scene: { ...this.scene, size, stretch },
      view: { x, y, zoom, width, height, ratio: devicePixelRatio || 1 },
    });
    if (this.at) this.point(this.at);
  }

  /** A dot of light at a place of the board; none at null. */
  point(at) {
    this.at = at;
    this.dot.hidden = !at;
    if (at)
      this.dot.style.transform = `translate(${this.canvas.offsetLeft + this.port.px(at[0])}px, ${this.canvas.offsetTop + this.port.py(at[1])}px)`;
  }

  /** The names and values that are seen, for those who do not see them. */
  words() {
    return [...this.items.values()]
      .filter((item) => item.shape && item.label?.text && item.style.label !== false)
      .map((item) => (item.style.cover ? "a covered value" : item.label.text.replace("\n", " ")))
      .join(", ");
  }
}
