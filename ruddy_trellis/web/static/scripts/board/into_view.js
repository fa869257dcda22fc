// Bringing a figure into view: all of it, or what somebody has just made.
import { reachOf } from "../drawing/drawing.js";

/** How much more of the plane is shown for what somebody has just made, at most; and of what all has to be seen. */
const GROWS_BY = 3;
/** A smaller part of what is seen than this is a speck. */
const SPECK = 1 / 40;
const SEEN_WHOLE = new Set(["point", "segment", "vector", "polygon", "sector", "arc"]);

/** Show the whole figure, clear of what lies over the board. */
export function fitFigure(view) {
  const { drawing, port } = view;
  const bounds = drawing.bounds();
  if (!bounds) return;
  port.measure();
  const [left, low, right, high] = bounds;
  const edges = coveredEdges(view);
  const { width, height } = port;
  const zoom = Math.min((width - edges.left - edges.right) / (right - left), (height - edges.top - edges.bottom) / (high - low));
  port.show([left - edges.left / zoom, low - edges.bottom / zoom, right + edges.right / zoom, high + edges.top / zoom]);
  view.viewChanged();
}

/** How much of what is seen a reach takes, across or up. */
const partOf = (seen, reach) => Math.max((reach[2] - reach[0]) / (seen[2] - seen[0]), (reach[3] - reach[1]) / (seen[3] - seen[1]));

/**
 * Somebody has made things and may not see them: a little more of the plane is shown, up to three times as much, and is not kept; and
 * what is a speck ("AB = 5 cm", where a board is of some metres) is shown by itself where nothing else is there.
 * Gives what is to be said of what is further out, and what shows it; null where all of it is seen.
 */
export function showMade(view, ids) {
  const { drawing, port, state } = view;
  const seen = port.view();
  const apart = ([left, low, right, high]) => left > seen[2] || right < seen[0] || low > seen[3] || high < seen[1];
  const made = ids.map((id) => drawing.things.get(id)).filter((item) => item && drawing.visible(item));
  const all = reachOf(made);
  const part = all ? partOf(seen, all) : 0;
  if (part && part < SPECK) return showSpeck(view, all);
  // Of what is large a part is enough.
  const reach = reachOf(made.filter((item) => SEEN_WHOLE.has(item.kind) || apart(reachOf([item]) ?? seen)));
  if (!reach) return null;
  const wanted = seen.map((end, place) => (place < 2 ? Math.min(end, reach[place]) : Math.max(end, reach[place])));
  if (wanted.every((end, place) => end === seen[place])) return null;
  const [wide, high] = [wanted[2] - wanted[0], wanted[3] - wanted[1]];
  const show = (around) => {
    const room = 0.06 * Math.max(wide, high);
    port.show(wanted.map((end, place) => (!around && end === seen[place] ? end : end + (place < 2 ? -room : room))));
    view.redraw();
    view.tellView(false);
  };
  if (Math.max(wide / (seen[2] - seen[0]), high / (seen[3] - seen[1])) > GROWS_BY) {
    const far = Math.max(...wanted.map((end, place) => Math.abs(end - seen[place])));
    return { words: `That reaches ${Number(far.toPrecision(2))} ${state.unit || "units"} beyond what is seen.`, show: () => show(true) };
  }
  show(false);
  return null;
}

/** Show what is very small, or say how small it is and what shows it, where what is there besides would be lost. */
function showSpeck(view, reach) {
  const { drawing, port, state } = view;
  const size = Math.max(reach[2] - reach[0], reach[3] - reach[1]);
  const show = () => {
    port.show(reach.map((end, place) => end + (place < 2 ? -size / 2 : size / 2)));
    view.redraw();
    view.tellView(false);
  };
  const whole = reachOf(drawing.order.filter((item) => drawing.visible(item))) ?? reach;
  if (partOf(port.view(), whole) >= SPECK) {
    return { words: `That is small here: ${Number(size.toPrecision(2))} ${state.unit || "units"} across.`, show };
  }
  show();
  return null;
}

/** How far what lies over the board reaches in from each edge, in pixels, at most a third of the board. */
function coveredEdges({ page, port }) {
  const edges = { left: 0, right: 0, top: 0, bottom: 0 };
  const { left, top, width, height } = port;
  for (const element of page.querySelectorAll(":scope > .zoom, .board-tools, .first, .dials > *, .chalk-bar")) {
    const box = element.getBoundingClientRect();
    if (!box.width || !box.height) continue;
    const reach = { left: box.right - left, right: left + width - box.left, top: box.bottom - top, bottom: top + height - box.top };
    // It is kept clear of at the edge from which that takes the least.
    const [edge, far] = Object.entries(reach).sort((one, other) => one[1] - other[1])[0];
    edges[edge] = Math.max(edges[edge], Math.min(far, (edge === "left" || edge === "right" ? width : height) / 3));
  }
  return edges;
}
