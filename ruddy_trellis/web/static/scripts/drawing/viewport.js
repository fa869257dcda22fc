// Which part of the plane is seen, and the way between board units and pixels.

const MARGIN = 8; // pixels between a plate and the edge of the board

/** A view as numbers alone. */
export class Port {
  x = 0; // the board position in the middle of the drawing
  y = 0;
  zoom = 50; // pixels to a board unit
  width = 1;
  height = 1;
  ratio = 1; // screen dots to a pixel

  /** Board units to pixels. */
  px(x) {
    return this.width / 2 + (x - this.x) * this.zoom;
  }
  py(y) {
    return this.height / 2 - (y - this.y) * this.zoom;
  }

  /**
   * The upper left corner of a plate in pixels: at its board position, but moved in from the right and from below as far
   * as it takes to be seen whole. Past the edge the plate follows its position out, so that it never jumps.
   */
  kept([x, y], width, height) {
    const inward = (start, size, room) => start - (size < room ? Math.min(Math.max(start + size - room, 0), size) : 0);
    return [inward(this.px(x), width + MARGIN, this.width), inward(this.py(y), height + MARGIN, this.height)];
  }

  /** The part of the plane that is seen. */
  view() {
    const x = this.width / 2 / this.zoom;
    const y = this.height / 2 / this.zoom;
    return [this.x - x, this.y - y, this.x + x, this.y + y];
  }

  /** A round length of about so many pixels: 1, 2 or 5 times a power of ten. */
  roundLength(pixels) {
    const rough = pixels / this.zoom;
    const power = 10 ** Math.floor(Math.log10(rough));
    return [5, 2, 1].map((times) => times * power).find((length) => length <= rough) ?? power;
  }
}

/** A zoom that some board has: from a park on a screen to a thousandth of a unit. */
const within = (zoom) => Math.min(Math.max(zoom, 0.01), 20000);

/** The view of an element on the page. */
export class Viewport extends Port {
  /** @param {HTMLElement} element the drawing */
  constructor(element) {
    super();
    this.element = element;
    this.meant = this.view(); // the part that shall be seen, whatever the size of the window shows besides
    this.measure();
  }

  measure() {
    const box = this.element.getBoundingClientRect();
    this.left = box.left;
    this.top = box.top;
    this.width = Math.max(box.width, 1);
    this.height = Math.max(box.height, 1);
  }

  /** The board position under a pointer event, to the decimal that a pixel can tell. */
  at(event) {
    const decimal = 10 ** Math.ceil(Math.log10(this.zoom));
    const round = (length) => Math.round(length * decimal) / decimal;
    return [
      round(this.x + (event.clientX - this.left - this.width / 2) / this.zoom),
      round(this.y - (event.clientY - this.top - this.height / 2) / this.zoom),
    ];
  }

  /** Show a part of the plane whole: least x, least y, greatest x, greatest y. */
  show([left, low, right, high]) {
    this.meant = [left, low, right, high];
    this.x = (left + right) / 2;
    this.y = (low + high) / 2;
    this.zoom = within(Math.min(this.width / Math.max(right - left, 1e-6), this.height / Math.max(high - low, 1e-6)));
  }

  /** The same part again, in a window of another size. */
  showAgain() {
    this.show(this.meant);
  }

  pan(dx, dy) {
    const [right, up] = [-dx / this.zoom, dy / this.zoom];
    this.x += right;
    this.y += up;
    this.meant = this.meant.map((end, place) => end + (place % 2 ? up : right));
  }

  /** Zoom so that the board position stays where it is on the screen. */
  zoomAt([x, y], times) {
    const zoom = within(this.zoom * times);
    const real = zoom / this.zoom;
    this.zoom = zoom;
    this.meant = this.meant.map((end, place) => (place % 2 ? y + (end - y) / real : x + (end - x) / real));
    this.x = x - (x - this.x) / real;
    this.y = y - (y - this.y) / real;
  }
}
