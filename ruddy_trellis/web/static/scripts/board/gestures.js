// What the pointer does on the board: drag, click, box, pan, pinch, hover.

const CLICK_SLACK = 5;
const REACH = 9; // pixels within which a thing counts as under the pointer
const TOUCH_REACH = 16;
const RESTING = 550; // milliseconds after which a resting finger asks for the menu

export class Gestures {
  /**
   * @param {object} parts canvas, port, drawing
   * @param {object} acts what to do: hover, click, grab, drag, drop, choose, box, labelMoved, viewChanged, leave;
   *   menu, where there is one
   */
  constructor({ canvas, port, drawing }, acts) {
    Object.assign(this, { canvas, port, drawing, acts });
    this.toolMode = false;
    this.space = false;
    this.pointers = new Map();
    this.doing = null;
    canvas.addEventListener("pointerdown", (event) => this.down(event));
    canvas.addEventListener("pointermove", (event) => this.moved(event));
    canvas.addEventListener("pointerup", (event) => this.up(event));
    canvas.addEventListener("pointercancel", (event) => this.up(event, true));
    canvas.addEventListener("lostpointercapture", (event) => this.up(event, true));
    canvas.addEventListener("pointerleave", () => this.doing || this.acts.leave());
    canvas.addEventListener("wheel", (event) => this.wheel(event), { passive: false });
    canvas.addEventListener("contextmenu", (event) => {
      event.preventDefault();
      if (this.acts.menu && event.pointerType !== "touch") this.menu(event);
    });
  }

  reach(event) {
    return (event.pointerType === "touch" ? TOUCH_REACH : REACH) / this.port.zoom;
  }

  down(event) {
    this.port.measure();
    this.drawing.finger = event.pointerType === "touch"; // a finger reaches further than a pointer
    this.canvas.setPointerCapture(event.pointerId);
    this.pointers.set(event.pointerId, event);
    if (this.pointers.size === 2) return this.startPinch();
    if (this.pointers.size > 2) return;
    const start = { x: event.clientX, y: event.clientY, event };
    if (event.button === 1 || this.space) this.doing = { kind: "pan", ...start };
    else if (event.button !== 0) return;
    else if (this.toolMode) this.doing = { kind: "click", ...start };
    else this.doing = this.startInHand(event, start);
    if (this.doing.kind === "pan") this.canvas.classList.add("panning");
    event.preventDefault();
    this.canvas.focus({ preventScroll: true });
  }

  /** The menu of what lies here: by the right button, or a finger that rests on it. */
  menu(event) {
    this.port.measure();
    const place = [event.clientX - this.port.left, event.clientY - this.port.top];
    const [id] = this.drawing.under(...place);
    if (id && !this.toolMode) this.acts.menu(id, { x: place[0], y: place[1] }, event.pointerType === "touch");
  }

  startInHand(event, start) {
    if (this.acts.menu && event.pointerType === "touch") {
      const rested = (due) => {
        if (this.doing?.going !== undefined || this.pointers.size !== 1) return;
        // Of a page that was held up, moves of the finger may still wait to be heard.
        if (performance.now() - due > RESTING / 4) return this.rest(rested, RESTING / 4);
        this.doing = { kind: "rested", ...start };
        this.menu(event);
      };
      this.rest(rested, RESTING);
    }
    const place = [event.clientX - this.port.left, event.clientY - this.port.top];
    const [id] = this.drawing.under(...place);
    if (!id) return { kind: "box", ...start };
    return { kind: id === this.drawing.labelUnder(...place) ? "label" : "thing", id, ...start };
  }

  /** Do something when a finger has rested for so many milliseconds more; it is told when that was due. */
  rest(rested, wait) {
    const due = performance.now() + wait;
    this.resting = setTimeout(() => rested(due), wait);
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
        this.canvas.classList.add("moving");
      }
      this.acts.drag(this.port.at(event));
    } else if (doing.kind === "label") {
      this.acts.labelMoved(doing.id, event.clientX - doing.x, event.clientY - doing.y, false);
    } else if (doing.kind === "box") {
      this.acts.box(this.boxOf(doing, event), false, event.shiftKey);
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
    clearTimeout(this.resting);
    if (!this.pointers.delete(event.pointerId)) return;
    const { doing } = this;
    if (this.pointers.size) return;
    this.doing = null;
    this.canvas.classList.remove("moving", "panning");
    if (!doing) return;
    if (doing.grabbed) this.acts.drop();
    else if (doing.kind === "label" && doing.going) this.acts.labelMoved(doing.id, event.clientX - doing.x, event.clientY - doing.y, true);
    else if (doing.kind === "box" && doing.going) this.acts.box(this.boxOf(doing, event), true, event.shiftKey);
    else if (cancelled || ["pan", "pinch", "rested"].includes(doing.kind)) return;
    else if (doing.kind === "click") {
      const label = this.drawing.labelUnder(event.clientX - this.port.left, event.clientY - this.port.top);
      this.acts.click(this.port.at(event), this.reach(event), label);
    } else {
      const here = this.drawing.under(event.clientX - this.port.left, event.clientY - this.port.top);
      this.acts.choose(doing.kind === "box" ? null : doing.id, event.shiftKey, here);
    }
  }

  /** Let go of everything, as Escape does. */
  stop() {
    if (this.doing?.grabbed) this.acts.drop();
    else if (this.doing?.kind === "box") this.acts.box(null, true, false);
    this.doing = null;
    this.canvas.classList.remove("moving", "panning");
  }

  /** The box between two places, in pixels of the drawing. */
  boxOf(start, event) {
    const { left, top } = this.port;
    return {
      left: Math.min(start.x, event.clientX) - left,
      right: Math.max(start.x, event.clientX) - left,
      top: Math.min(start.y, event.clientY) - top,
      bottom: Math.max(start.y, event.clientY) - top,
    };
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
