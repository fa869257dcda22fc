// Draws the display list as SVG. It knows how things look, not what they are.

const SVG = "http://www.w3.org/2000/svg";
const REACH_OF_ARC = 28;
const PUSH = 19;
const inkOf = document.createElement("canvas").getContext("2d");

function make(name, parent, className) {
  const element = document.createElementNS(SVG, name);
  if (className) element.setAttribute("class", className);
  parent?.append(element);
  return element;
}

function set(element, values) {
  for (const [name, value] of Object.entries(values)) element.setAttribute(name, String(value));
}

function widthOf(text) {
  inkOf.font = '16px "Atkinson Hyperlegible"';
  return inkOf.measureText(text).width;
}

/** One thing on the board: its elements, and its last item from the display list. */
class Thing {
  constructor(item, drawing) {
    this.drawing = drawing;
    this.group = make("g", drawing.layer(item.layer), "thing");
    this.group.dataset.id = item.id;
    this.dress(item);
  }

  /** Take a whole item: its style may be new. */
  dress(item) {
    this.item = item;
    const { style } = item;
    this.group.replaceChildren();
    this.label?.remove();
    this.label = null;
    const spot = item.kind === "point";
    const tag = spot ? "path" : item.shape && "radius" in item.shape ? "circle" : item.kind === "circle" ? "circle" : "path";
    this.halo = make(tag, this.group, spot ? "halo spot" : "halo");
    this.line = make(tag, this.group, "line");
    this.catch = make(spot ? "circle" : tag, this.group, spot ? "catch spot" : "catch");
    if (item.kind === "polygon") this.area = make("path", this.group, "catch area");
    const pen = `var(--pen-${style.pen})`;
    if (spot) {
      set(this.line, { stroke: "var(--board)", "stroke-width": 1.5 });
      this.line.style.fill = pen;
      this.bar = style.peg === "sliding" ? make("path", null, "bar") : null;
      if (this.bar) {
        set(this.bar, { stroke: pen, "stroke-width": 0.36 * style.size, "stroke-linecap": "round" });
        this.group.insertBefore(this.bar, this.line);
      }
    } else {
      const dash = this.drawing.dashes[style.pattern];
      set(this.line, {
        stroke: pen,
        "stroke-width": style.width,
        "stroke-dasharray": dash ? dash.split(" ").map((part) => part * style.width).join(" ") : "none",
        "stroke-linecap": dash ? "round" : "butt",
      });
      this.line.style.fillOpacity = style.fill;
      this.line.style.fill = style.fill ? `var(--pen-${style.fill_pen})` : "none";
    }
    this.place();
  }

  /** Take a new shape and label. */
  move({ shape, label }) {
    this.item = { ...this.item, shape, label };
    this.place();
  }

  place() {
    const { shape, style, kind } = this.item;
    const visible = shape !== null && (!style.hidden || this.drawing.ghosts);
    this.group.style.display = visible ? "" : "none";
    this.group.classList.toggle("ghost", style.hidden);
    if (visible) {
      if (kind === "point") this.placePeg(shape, style);
      else if ("radius" in shape) this.placeCircle(shape);
      else this.placePath(shape, kind);
    }
    this.placeLabel(visible);
  }

  placePeg({ at, turn }, { size, peg }) {
    const x = this.drawing.port.px(at[0]);
    const y = this.drawing.port.py(at[1]);
    const ring = (r) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;
    this.line.setAttribute("d", peg === "fixed" ? ring(size) : `M${x} ${y - size}l${size} ${size}-${size} ${size}-${size}-${size}z`);
    this.halo.setAttribute("d", ring(size + 6));
    set(this.catch, { cx: x, cy: y, r: Math.max(14, size + 6) });
    if (this.bar) {
      const angle = (turn * Math.PI) / 180;
      const dx = 1.8 * size * Math.cos(angle);
      const dy = -1.8 * size * Math.sin(angle);
      this.bar.setAttribute("d", `M${x - dx} ${y - dy}L${x + dx} ${y + dy}`);
    }
  }

  placeCircle({ at, radius }) {
    const place = { cx: this.drawing.port.px(at[0]), cy: this.drawing.port.py(at[1]), r: radius * this.drawing.port.zoom };
    for (const element of [this.halo, this.line, this.catch]) set(element, place);
  }

  placePath(shape, kind) {
    const path = "sweep" in shape ? this.arcPath(shape) : this.cornersPath(shape.points ?? [], kind === "polygon");
    for (const element of [this.halo, this.line, this.catch, this.area]) element?.setAttribute("d", path);
  }

  cornersPath(points, closed) {
    const { port } = this.drawing;
    let path = "";
    for (let i = 0; i < points.length; i += 2) path += `${i ? "L" : "M"}${port.px(points[i])} ${port.py(points[i + 1])}`;
    return path + (closed ? "Z" : "");
  }

  arcPath({ at, start, sweep, right }) {
    const x = this.drawing.port.px(at[0]);
    const y = this.drawing.port.py(at[1]);
    const end = (reach, degrees) => {
      const angle = (degrees * Math.PI) / 180;
      return [x + reach * Math.cos(angle), y - reach * Math.sin(angle)];
    };
    if (right) {
      const [a, b] = [end(18, start), end(18, start + sweep)];
      return `M${a}L${a[0] + b[0] - x} ${a[1] + b[1] - y}L${b}`;
    }
    const [a, b] = [end(REACH_OF_ARC, start), end(REACH_OF_ARC, start + sweep)];
    return `M${a}A${REACH_OF_ARC} ${REACH_OF_ARC} 0 ${Math.abs(sweep) > 180 ? 1 : 0} ${sweep < 0 ? 1 : 0} ${b}`;
  }

  placeLabel(visible) {
    const { label, style, kind, id } = this.item;
    const reading = kind === "number";
    if (!visible || !label || !(reading ? style.tag : style.label)) {
      if (this.label) this.label.style.display = "none";
      return;
    }
    if (!this.label) {
      this.label = make("g", this.drawing.labels, reading ? "tag" : "name");
      this.label.dataset.label = id;
      if (reading) this.plate = make("rect", this.label);
      this.words = make("text", this.label);
      if (reading) this.words.style.fill = `var(--pen-${style.pen})`;
      this.label.classList.toggle("ghost", style.hidden);
    }
    this.label.style.display = "";
    const [dx, dy] = label.offset ?? [PUSH * label.push[0], -PUSH * label.push[1]];
    const x = this.drawing.port.px(label.at[0]) + dx;
    const y = this.drawing.port.py(label.at[1]) + dy;
    this.label.setAttribute("transform", `translate(${x} ${y})`);
    if (this.words.textContent !== label.text) {
      this.words.textContent = label.text;
      if (reading) {
        const width = widthOf(label.text) + 18;
        set(this.plate, { x: -width / 2, y: -14, width, height: 28, rx: 7 });
      }
    }
  }

  mark(name, on) {
    this.group.classList.toggle(name, on);
    if (this.item.kind === "number") this.label?.classList.toggle(name, on);
  }

  remove() {
    this.group.remove();
    this.label?.remove();
  }
}

/** The drawing of one board. */
export class Drawing {
  constructor(svg, port, dashes) {
    this.svg = svg;
    this.port = port;
    this.dashes = dashes;
    this.ghosts = false;
    this.groundKind = "blank";
    this.things = new Map();
    this.marks = { lit: new Set(), chosen: new Set() };
    this.ground = svg.querySelector("#ground");
    this.labels = svg.querySelector("#labels");
    this.faint = { layer: () => svg.querySelector("#faint"), port, dashes, ghosts: true, labels: svg.querySelector("#faint") };
    this.faintThings = [];
    this.layers = [0, 1, 2, 3, 4].map(() => make("g", svg.querySelector("#things")));
  }

  layer(number) {
    return this.layers[number];
  }

  /** Take the whole display list. */
  show(items) {
    for (const thing of this.things.values()) thing.remove();
    this.things.clear();
    this.change(items, []);
  }

  /** Take changed items and the ids of those that are gone. */
  change(items, gone) {
    for (const id of gone) {
      this.things.get(id)?.remove();
      this.things.delete(id);
    }
    for (const item of items) {
      const thing = this.things.get(item.id);
      if (thing) thing.dress(item);
      else this.things.set(item.id, new Thing(item, this));
    }
    this.remark();
  }

  /** Take new shapes and labels of things that are there. */
  move(items) {
    for (const item of items) this.things.get(item.id)?.move(item);
  }

  /** Draw items faintly: what a click would make. */
  preview(items) {
    for (const thing of this.faintThings) thing.remove();
    this.faintThings = items.map((item) => new Thing({ ...item, style: { ...item.style, label: false, tag: item.kind === "number" } }, this.faint));
  }

  /** Everything again, after the view or the ground has changed. */
  redraw() {
    this.drawGround();
    for (const thing of [...this.things.values(), ...this.faintThings]) thing.place();
  }

  drawGround() {
    this.ground.replaceChildren();
    if (this.groundKind !== "grid") return;
    const { port } = this;
    const step = port.roundLength(64);
    const [left, low, right, high] = port.view();
    const line = (index, path) => {
      const element = make("path", this.ground, index % 5 === 0 ? "grid-line strong" : "grid-line");
      element.setAttribute("d", path);
    };
    for (let i = Math.ceil(left / step); i * step <= right; i++) line(i, `M${Math.round(port.px(i * step)) + 0.5} 0V${port.height}`);
    for (let i = Math.ceil(low / step); i * step <= high; i++) line(i, `M0 ${Math.round(port.py(i * step)) + 0.5}H${port.width}`);
  }

  /** Give a mark ("lit" or "chosen") to exactly these things. */
  markOnly(name, ids) {
    const now = new Set(ids);
    for (const id of this.marks[name]) if (!now.has(id)) this.things.get(id)?.mark(name, false);
    for (const id of now) this.things.get(id)?.mark(name, true);
    this.marks[name] = now;
  }

  remark() {
    for (const [name, ids] of Object.entries(this.marks)) for (const id of ids) this.things.get(id)?.mark(name, true);
  }

  /** The ids of things under a pointer event, the topmost first. */
  under(event) {
    const ids = [];
    for (const element of document.elementsFromPoint(event.clientX, event.clientY)) {
      const id = element.closest?.(".thing, [data-label]");
      if (id && this.svg.contains(id)) ids.push(id.dataset.id ?? id.dataset.label);
    }
    return [...new Set(ids)].filter((id) => this.things.has(id));
  }

  /** The label under a pointer event: the id of its thing, or null. */
  labelUnder(event) {
    return document.elementFromPoint(event.clientX, event.clientY)?.closest?.("[data-label]")?.dataset.label ?? null;
  }

  /** The ids of visible things that lie in a box of pixels whole. */
  enclosed(box) {
    const found = [];
    for (const [id, thing] of this.things) {
      if (thing.group.style.display === "none" || thing.item.kind === "number") continue;
      const { left, top, right, bottom } = thing.line.getBoundingClientRect();
      if (left >= box.left && right <= box.right && top >= box.top && bottom <= box.bottom) found.push(id);
    }
    return found;
  }

  /** The part of the plane that the visible things take up, with room around; null for an empty board. */
  bounds() {
    let [left, low, right, high] = [Infinity, Infinity, -Infinity, -Infinity];
    const take = (x, y) => {
      left = Math.min(left, x);
      right = Math.max(right, x);
      low = Math.min(low, y);
      high = Math.max(high, y);
    };
    for (const { item } of this.things.values()) {
      if (!item.shape || item.style.hidden || item.kind === "line" || item.kind === "ray") continue;
      const { at, radius = 0, points = [] } = item.shape;
      if (at) {
        take(at[0] - radius, at[1] - radius);
        take(at[0] + radius, at[1] + radius);
      }
      for (let i = 0; i < points.length; i += 2) take(points[i], points[i + 1]);
    }
    if (left > right) return null;
    const room = Math.max(right - left, high - low, 1) * 0.12;
    return [left - room, low - room, right + room, high + room];
  }
}
