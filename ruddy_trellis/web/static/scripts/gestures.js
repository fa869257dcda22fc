// What the pointer does on the board: drag, click, box, pan, pinch, hover.

const CLICK_SLACK = 5;
const REACH = 9; // pixels within which a thing counts as under the pointer
const TOUCH_REACH = 16;

export class Gestures {
  /**
   * @param {object} parts svg, port, drawing
   * @param {object} acts what to do: hover, click, grab, drag, drop, choose, box, labelMoved, viewChanged, leave
   */
  constructor({ svg, port, drawing }, acts) {
    Object.assign(this, { svg, port, drawing, acts });
    this.toolMode = false;
    this.space = false;
    this.pointers = new Map();
    this.doing = null;
    svg.addEventListener("pointerdown", (event) => this.down(event));
    svg.addEventListener("pointermove", (event) => this.moved(event));
    svg.addEventListener("pointerup", (event) => this.up(event));
    svg.addEventListener("pointercancel", (event) => this.up(event, true));
    svg.addEventListener("lostpointercapture", (event) => this.up(event, true));
    svg.addEventListener("pointerleave", () => this.doing || this.acts.leave());
    svg.addEventListener("wheel", (event) => this.wheel(event), { passive: false });
    svg.addEventListener("contextmenu", (event) => event.preventDefault());
  }

  reach(event) {
    return (event.pointerType === "touch" ? TOUCH_REACH : REACH) / this.port.zoom;
  }

  down(event) {
    this.port.measure();
    this.svg.setPointerCapture(event.pointerId);
    this.pointers.set(event.pointerId, event);
    if (this.pointers.size === 2) return this.startPinch();
    if (this.pointers.size > 2) return;
    const start = { x: event.clientX, y: event.clientY, event };
    if (event.button === 1 || this.space) this.doing = { kind: "pan", ...start };
    else if (event.button !== 0) return;
    else if (this.toolMode) this.doing = { kind: "click", ...start };
    else this.doing = this.startInHand(event, start);
    if (this.doing.kind === "pan") this.svg.classList.add("panning");
    event.preventDefault();
    this.svg.focus({ preventScroll: true });
  }

  startInHand(event, start) {
    const [id] = this.drawing.under(event);
    if (!id) return { kind: "box", ...start };
    const label = this.drawing.labelUnder(event);
    return label ? { kind: "label", id: label, ...start } : { kind: "thing", id, ...start };
  }

  startPinch() {
    if (this.doing?.grabbed) this.acts.drop();
    const [a, b] = this.pointers.values();
    this.doing = { kind: "pinch", x: (a.clientX + b.clientX) / 2, y: (a.clientY + b.clientY) / 2, far: distance(a, b) };
  }

  moved(event) {
    if (this.pointers.has(event.pointerId)) this.pointers.set(event.pointerId, event);
    const { doing } = this;
    if (!doing) {
      this.acts.hover(event);
      return;
    }
    if (doing.kind === "pinch") return this.pinch(doing);
    const far = Math.hypot(event.clientX - doing.x, event.clientY - doing.y);
    if (doing.kind === "pan") return this.pan(doing, event);
    if (!doing.going && far < CLICK_SLACK) return;
    if (doing.kind === "click" && !doing.going) return this.acts.hover(event);
    this.go(doing, event);
  }

  /** A drag is under way. */
  go(doing, event) {
    if (doing.kind === "thing") {
      if (!doing.going) {
        doing.grabbed = true;
        this.acts.grab(doing.id, this.port.at(doing.event));
        this.svg.classList.add("moving");
      }
      this.acts.drag(this.port.at(event));
    } else if (doing.kind === "label") {
      this.acts.labelMoved(doing.id, event.clientX - doing.x, event.clientY - doing.y, false);
    } else if (doing.kind === "box") {
      this.acts.box(boxOf(doing, event), false, event.shiftKey);
    }
    doing.going = true;
  }

  pan(doing, event) {
    this.port.pan(event.clientX - doing.x, event.clientY - doing.y);
    doing.x = event.clientX;
    doing.y = event.clientY;
    this.acts.viewChanged();
  }

  pinch(doing) {
    const [a, b] = this.pointers.values();
    if (!b) return;
    const x = (a.clientX + b.clientX) / 2;
    const y = (a.clientY + b.clientY) / 2;
    const far = distance(a, b);
    this.port.pan(x - doing.x, y - doing.y);
    this.port.zoomAt(this.port.at({ clientX: x, clientY: y }), far / Math.max(doing.far, 1));
    Object.assign(doing, { x, y, far });
    this.acts.viewChanged();
  }

  up(event, cancelled = false) {
    if (!this.pointers.delete(event.pointerId)) return;
    const { doing } = this;
    if (this.pointers.size) return;
    this.doing = null;
    this.svg.classList.remove("moving", "panning");
    if (!doing) return;
    if (doing.grabbed) this.acts.drop();
    else if (doing.kind === "label" && doing.going) this.acts.labelMoved(doing.id, event.clientX - doing.x, event.clientY - doing.y, true);
    else if (doing.kind === "box" && doing.going) this.acts.box(boxOf(doing, event), true, event.shiftKey);
    else if (cancelled || doing.kind === "pan" || doing.kind === "pinch") return;
    else if (doing.kind === "click") this.acts.click(this.port.at(event), this.reach(event));
    else this.acts.choose(doing.kind === "box" ? null : doing.id, event.shiftKey);
  }

  /** Let go of everything, as Escape does. */
  stop() {
    if (this.doing?.grabbed) this.acts.drop();
    else if (this.doing?.kind === "box") this.acts.box(null, true, false);
    this.doing = null;
    this.svg.classList.remove("moving", "panning");
  }

  wheel(event) {
    event.preventDefault();
    this.port.measure();
    this.port.zoomAt(this.port.at(event), Math.exp(-event.deltaY * (event.ctrlKey ? 0.01 : 0.0015)));
    this.acts.viewChanged();
  }
}

function distance(a, b) {
  return Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY);
}

function boxOf(start, event) {
  return {
    left: Math.min(start.x, event.clientX),
    right: Math.max(start.x, event.clientX),
    top: Math.min(start.y, event.clientY),
    bottom: Math.max(start.y, event.clientY),
  };
}
