// Paints the board on a canvas of its own thread: however much there is to paint, the page goes on listening.
import { paintGround } from "./grounds.js";
import {
  FONT,
  covered,
  labelHalf,
  labelPlace,
  markPlace,
  nameFont,
  sizes,
  tagged,
  useClosed,
  useSizes,
  useUncovered,
  visible,
  wordsBox,
} from "./labels.js";
import { copiesOf, outlineOf, ring } from "./outlines.js";
import { unmarshalled } from "./marshalled.js";
import { Photograph } from "./photograph.js";
import { paintRegion } from "./regions.js";
import { paintStroke } from "./strokes.js";
import { Port } from "./viewport.js";

let paintDrawn = null; // compasses and straightedge, fetched for the first replay

const FONT_FILES = {
  400: "../../fonts/atkinson-hyperlegible-latin-400-normal.woff2",
  700: "../../fonts/atkinson-hyperlegible-latin-700-normal.woff2",
};

/** Holds a copy of what is on the board, told by the page, and paints it when it has changed. */
class Painter {
  constructor({ canvas, look }) {
    Object.assign(this, { canvas, look });
    useSizes(look.sizes);
    this.context = canvas.getContext("2d", { alpha: false });
    this.port = new Port();
    this.things = new Map();
    this.order = [];
    this.faint = [];
    this.theirs = [];
    this.outlines = new WeakMap();
    this.trails = null; // fetched when something leaves one
    this.photograph = new Photograph(() => this.draw());
    this.stamps = new Map();
    this.marks = { lit: new Set(), chosen: new Set() };
    this.scene = { ghosts: false, ground: "blank", paper: "light", spacing: null, box: null };
    // Words measured with another font would keep its widths, so the first picture waits for the fonts, for a while.
    const fonts = Object.entries(look.fonts ?? FONT_FILES).map(([weight, address]) => {
      const font = new FontFace("Atkinson Hyperlegible", `url(${new URL(address, import.meta.url)})`, { weight });
      self.fonts.add(font);
      return font.load();
    });
    const patience = new Promise((over) => setTimeout(over, 2000));
    Promise.race([Promise.allSettled(fonts), patience]).then(() => {
      this.ready = true;
      this.draw();
    });
  }

  /** Take what the page tells: all things, moved things, faint things, marks, the view, the scene. */
  take({ all, moved, movedTold, faint, theirs, marks, view, scene, clearTrails, closed, uncovered, replay }) {
    if (closed) useClosed(closed);
    if (uncovered) useUncovered(uncovered);
    if (replay !== undefined) this.replay = replay;
    if (replay && !paintDrawn) {
      paintDrawn = () => false; // until the instruments are there a thing is drawn whole
      import("./instruments.js").then((found) => {
        paintDrawn = found.paintDrawn;
      });
    }
    if (!this.trails && all?.some((item) => item.style.trail !== undefined))
      import("./trails.js").then((found) => {
        this.trails ??= new found.Trails();
      });
    if (clearTrails) this.trails?.clear();
    if (all) {
      this.things = new Map(all.map((item) => [item.id, item]));
      this.order = [...this.things.values()].sort((a, b) => a.layer - b.layer);
    }
    for (const { id, shape, label } of moved ?? (movedTold ? itemsIn(movedTold) : [])) {
      const item = this.things.get(id);
      if (!item) continue;
      if (item.style.trail !== undefined) this.trails?.leave(item, shape);
      this.outlines.delete(Object.assign(item, { shape, label }));
    }
    if (faint) this.faint = faint;
    if (theirs) this.theirs = theirs;
    if (marks) this.marks[marks.name] = new Set(marks.ids);
    if (scene) {
      Object.assign(this.scene, scene);
      if (scene.photographs) this.photograph.take(scene.photograph ? scene.photographs + scene.photograph.mark : "");
      if (scene.size) useSizes(this.look.sizes, scene.size, scene.stretch);
      this.outlines = new WeakMap();
    }
    if (view) {
      Object.assign(this.port, view);
      this.outlines = new WeakMap();
    }
    this.draw();
  }

  /** Paint in the next frame, once however much is told until then. */
  draw() {
    if (!this.ready) return;
    this.frame ??= requestAnimationFrame(() => {
      this.frame = null;
      this.paint();
    });
  }

  paint() {
    const { canvas, port, context } = this;
    const { ratio } = port;
    const [width, height] = [Math.round(port.width * ratio), Math.round(port.height * ratio)];
    if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height });
    context.setTransform(ratio, 0, 0, ratio, 0, 0);
    context.fillStyle = this.paper;
    context.fillRect(0, 0, port.width, port.height);
    this.photograph.paint(context, port, this.scene.photograph);
    paintGround(context, port, this.scene, this.look.lattices[+this.dark]);
    // Pegs go over tags, so that what can be taken hold of is never covered; names go over all.
    const seen = this.order.filter((item) => visible(item, this.scene.ghosts));
    const isPeg = (item) => item.kind === "point";
    if (this.trails?.paint(context, port, (style) => this.useLine(style))) this.draw();
    for (const item of seen) if (!isPeg(item) && item.kind !== "chalk") this.paintItem(item);
    for (const item of seen) if (item.kind === "number" && tagged(item)) this.paintLabel(item);
    for (const item of seen) if (isPeg(item)) this.paintItem(item);
    for (const item of seen) if (item.kind !== "number" && tagged(item)) this.paintLabel(item);
    for (const item of seen) if (item.kind === "chalk") this.paintItem(item); // what a person writes goes over everything
    for (const item of this.faint) {
      if (!item.shape) continue;
      context.globalAlpha = item.style.firm ? 1 : 0.55;
      this.paintItem(item);
      if (tagged(item)) this.paintLabel(item);
    }
    context.globalAlpha = 1;
    for (const item of this.theirs) {
      this.paintItem(item);
      if (tagged(item)) this.paintLabel(item);
    }
    if (this.scene.box) this.paintBox();
  }

  /** The colour of the board. */
  get paper() {
    return this.look.grounds[+this.dark];
  }

  get dark() {
    return this.scene.paper === "dark";
  }

  /** The colour of a pen on this board. */
  pen(name) {
    return this.look.pens[name][+this.dark];
  }

  paintWords(item) {
    const { context, port } = this;
    const { lines, size, width, height } = wordsBox(item);
    const [x, y] = port.kept(item.shape.at, width, height);
    const before = context.globalAlpha;
    if (item.style.hidden) context.globalAlpha = 0.28;
    const marked = this.marks.chosen.has(item.id) ? this.pen("ruddy") : this.marks.lit.has(item.id) ? this.look.cover : null;
    context.beginPath();
    context.roundRect(x, y, width, height, 9);
    context.fillStyle = covered(item) ? this.look.cover : this.paper;
    if (item.style.fill || covered(item)) context.fill();
    context.strokeStyle = marked ?? this.pen(item.style.pen);
    context.lineWidth = marked ? 2.5 : 1.4;
    if (marked || item.style.fill) context.stroke();
    context.font = `${size}px ${FONT}`;
    context.textBaseline = "top";
    context.textAlign = covered(item) ? "center" : "left";
    context.fillStyle = covered(item) ? "#2B2A33" : this.pen(item.style.pen);
    if (covered(item)) context.fillText("?", x + width / 2, y + height / 2 - size / 2);
    else for (const [row, line] of lines.entries()) context.fillText(line, x + size / 2, y + size * (0.35 + 1.3 * row));
    context.globalAlpha = before;
  }

  /** The cover of a mark. */
  paintCover(item) {
    const { context } = this;
    const [x, y] = markPlace(item.shape, this.port);
    const half = sizes.tag * 0.8;
    context.beginPath();
    context.roundRect(x - half, y - half, 2 * half, 2 * half, 7);
    context.fillStyle = this.look.cover;
    context.fill();
    const marked = this.marks.chosen.has(item.id) ? "ruddy" : this.marks.lit.has(item.id) ? "ink" : null;
    if (marked) {
      context.strokeStyle = this.pen(marked);
      context.lineWidth = 2.5;
      context.stroke();
    }
    Object.assign(context, { font: `${sizes.tag}px ${FONT}`, textAlign: "center", textBaseline: "middle", fillStyle: "#2B2A33" });
    context.fillText("?", x, y + 1);
  }

  outline(item) {
    let outline = this.outlines.get(item);
    if (!outline) this.outlines.set(item, (outline = outlineOf(item, this.port)));
    return outline;
  }

  paintItem(item) {
    const { context } = this;
    const { style, kind } = item;
    if (kind === "words") return this.paintWords(item);
    if (kind === "chalk") return paintStroke(context, this.port, item, this.pen(style.pen));
    if (kind === "mark" && covered(item)) return this.paintCover(item);
    if (this.replay?.id === item.id && paintDrawn?.(context, this.port, item, this.replay.progress, (look) => this.useLine(look))) return;
    const outline = this.outline(item);
    const faint = context.globalAlpha;
    if (style.hidden) context.globalAlpha = 0.28;
    this.paintHalo(item, outline);
    if (item.shape.parts) {
      for (const copy of copiesOf(item.shape, this.port)) this.paintCopies(copy);
    } else if (item.shape.rings) {
      const colour = (name) => this.pen(name);
      paintRegion(context, this.port, item, outline, colour, (look) => this.useLine(look));
    } else if (kind === "point") {
      context.lineWidth = 3;
      context.strokeStyle = this.paper;
      context.stroke(outline);
      context.fillStyle = this.pen(style.pen);
      context.fill(outline);
    } else {
      this.fillIn(style, outline);
      this.useLine(item.shape.doubt ? { ...style, pen: "ruddy", pattern: "dotted" } : style);
      context.stroke(outline);
      context.setLineDash([]);
      if (item.shape.arrow) {
        context.fillStyle = this.pen(style.pen);
        context.fill(outline);
      }
    }
    context.globalAlpha = faint;
  }

  fillIn({ fill, fill_pen: pen }, outline) {
    if (!fill) return;
    const { context } = this;
    const before = context.globalAlpha;
    context.globalAlpha = before * fill;
    context.fillStyle = this.pen(pen);
    context.fill(outline);
    context.globalAlpha = before;
  }

  /** All copies of one part of a family, in one stroke. */
  paintCopies({ style, kind, path }) {
    const { context } = this;
    if (style.hidden) return;
    if (kind === "point") {
      context.fillStyle = this.pen(style.pen);
      context.fill(path);
      return;
    }
    this.fillIn(style, path);
    this.useLine(style);
    context.stroke(path);
    context.setLineDash([]);
  }

  useLine({ pen, width, pattern }) {
    const { context } = this;
    const dash = this.look.dashes[pattern];
    context.strokeStyle = this.pen(pen);
    context.lineWidth = width * sizes.times;
    context.lineJoin = "round";
    context.lineCap = pattern === "dotted" ? "round" : "butt";
    context.setLineDash(dash ? dash.split(" ").map((part) => part * width * sizes.times) : []);
  }

  /** The ring or glow round what is selected or under the pointer. */
  paintHalo(item, outline) {
    const chosen = this.marks.chosen.has(item.id);
    if (!chosen && !this.marks.lit.has(item.id)) return;
    const { context, port } = this;
    const before = context.globalAlpha;
    context.strokeStyle = chosen ? this.pen("ruddy") : this.look.cover;
    context.lineCap = "round";
    if (item.kind === "point") {
      context.lineWidth = chosen ? 3.5 : 5;
      context.stroke(ring(port.px(item.shape.at[0]), port.py(item.shape.at[1]), item.style.size * sizes.times + 6));
    } else {
      context.globalAlpha = before * (chosen ? 0.45 : 0.55);
      context.lineWidth = item.style.width + (chosen ? 5 : 6);
      context.stroke(outline);
      context.globalAlpha = before;
    }
  }

  paintLabel(item) {
    const { context } = this;
    const before = context.globalAlpha;
    if (item.style.hidden) context.globalAlpha = 0.28;
    this.writeLabel(item);
    context.globalAlpha = before;
  }

  writeLabel(item) {
    const { context } = this;
    const [x, y] = labelPlace(item, this.port);
    const [halfWidth, halfHeight] = labelHalf(item, context);
    context.textAlign = "center";
    context.textBaseline = "middle";
    if (item.kind === "number") {
      const plain = this.dark ? "#4A4F5C" : "#E6DCCB";
      const marked = this.marks.chosen.has(item.id) ? this.pen("ruddy") : this.marks.lit.has(item.id) ? this.look.cover : plain;
      context.beginPath();
      context.roundRect(x - halfWidth, y - halfHeight, 2 * halfWidth, 2 * halfHeight, 7);
      context.fillStyle = covered(item) ? this.look.cover : this.paper;
      context.fill();
      context.strokeStyle = marked;
      context.lineWidth = marked === plain ? 1 : 2.5;
      context.stroke();
      context.fillStyle = covered(item) ? "#2B2A33" : this.pen(item.style.pen);
      context.fillText(covered(item) ? "?" : item.label.text, x, y + 1);
    } else {
      const stamp = this.stamp(item.label.text);
      const [width, height] = [stamp.width / this.port.ratio, stamp.height / this.port.ratio];
      context.drawImage(stamp, Math.round(x - width / 2), Math.round(y - height / 2), width, height);
    }
  }

  /** A name with its light edge, painted once and kept: outlining letters anew is the dearest part of a frame. */
  stamp(text) {
    const { ratio } = this.port;
    const key = `${ratio} ${nameFont} ${this.dark} ${text}`;
    let stamp = this.stamps.get(key);
    if (stamp) return stamp;
    this.context.font = nameFont;
    const lines = text.split("\n");
    const width = Math.max(...lines.map((line) => this.context.measureText(line).width)) + 10;
    const high = sizes.name * 1.1;
    const height = sizes.name * 1.62 + high * (lines.length - 1);
    stamp = new OffscreenCanvas(Math.ceil(width * ratio), Math.ceil(height * ratio));
    const context = stamp.getContext("2d");
    context.scale(ratio, ratio);
    Object.assign(context, { font: nameFont, textAlign: "center", textBaseline: "middle", lineJoin: "round", lineWidth: 4 });
    context.strokeStyle = this.paper;
    context.fillStyle = this.pen("ink");
    const top = (height - high * (lines.length - 1)) / 2;
    for (const [number, line] of lines.entries()) context.strokeText(line, width / 2, top + number * high);
    for (const [number, line] of lines.entries()) context.fillText(line, width / 2, top + number * high + 1);
    if (this.stamps.size > 2000) this.stamps.clear();
    this.stamps.set(key, stamp);
    return stamp;
  }

  paintBox() {
    const { context } = this;
    const { left, top, right, bottom } = this.scene.box;
    context.fillStyle = "#A63D2F14";
    context.fillRect(left, top, right - left, bottom - top);
    context.strokeStyle = "#A63D2F";
    context.lineWidth = 1;
    context.setLineDash([5, 4]);
    context.strokeRect(left, top, right - left, bottom - top);
    context.setLineDash([]);
  }
}

/** The moved items in what was told of them: the text of one answer, or the bytes of a list of answers. */
function itemsIn(told) {
  if (typeof told === "string") return JSON.parse(told).items;
  return unmarshalled(told).find(({ t }) => t === "moved").items;
}

let painter;
self.onmessage = ({ data }) => {
  if (data.tellTrails) self.postMessage({ trails: painter.trails?.told() ?? [] });
  else if (data.canvas) painter = new Painter(data);
  else painter.take(data);
};
