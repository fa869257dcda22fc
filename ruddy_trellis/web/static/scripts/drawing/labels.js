// Where names and tags stand, how large they are, and what is seen at all: for painting and for the pointer alike.

export const FONT = '"Atkinson Hyperlegible", sans-serif';

/** The sizes that every drawing uses, in pixels; they come from the server's palette. */
export let sizes = {};
export let nameFont = FONT;
export let tagFont = FONT;

/** Take the sizes of the palette, so many times as large; what a person dragged off stands so many times as far off. */
export function useSizes(given, times = 1, stretch = 1) {
  sizes = Object.fromEntries(Object.entries(given).map(([name, size]) => [name, size * times]));
  sizes.times = times;
  sizes.stretch = stretch;
  nameFont = `bold ${sizes.name}px ${FONT}`;
  tagFont = `${sizes.tag}px ${FONT}`;
}

let closed = new Set();
let uncovered = new Set();

/** Take which things are not seen for now: behind a closed reveal, or made by a step that is yet to come. */
export function useClosed(ids) {
  closed = new Set(ids);
}

/** Take which covers have been lifted. */
export function useUncovered(ids) {
  uncovered = new Set(ids);
}

/** Whether a cover lies on a value, a mark or words. */
export function covered(item) {
  return !!item.style.cover && !uncovered.has(item.id);
}

/** Whether a thing is seen: it has a value now, is not behind a reveal, and is not hidden or is shown as a ghost. */
export function visible(item, ghosts) {
  return item.shape !== null && !closed.has(item.id) && (!item.style.hidden || ghosts);
}

const ruler = new OffscreenCanvas(1, 1).getContext("2d");
const WIDE = 34; // letters, after which words go on in the next line

/** Words in lines, with the size of the letters and of the whole. */
export function wordsBox({ shape, style }) {
  const size = style.size * sizes.times;
  const lines = [""];
  for (const word of shape.words.split(" ")) {
    const line = lines.at(-1);
    if (line && line.length + word.length > WIDE) lines.push(word);
    else lines[lines.length - 1] = line ? `${line} ${word}` : word;
  }
  ruler.font = `${size}px ${FONT}`;
  // Under a cover there is a question mark, and room enough to press it.
  const least = shape.words === "?" ? 7 * size : 0;
  const width = Math.max(least, ...lines.map((line) => ruler.measureText(line).width)) + size;
  return { lines, size, width, height: lines.length * size * 1.3 + size * 0.5 };
}

/** Whether its name or tag is written. */
export function tagged(item) {
  return item.label && (item.kind === "number" ? item.style.tag : item.style.label);
}

/** From its thing to the middle of a label, in pixels. */
export function labelOffset({ label }) {
  return label.offset?.map((part) => part * sizes.stretch) ?? [sizes.push * label.push[0], -sizes.push * label.push[1]];
}

/** The middle of a label, in pixels. */
export function labelPlace(item, port) {
  const [dx, dy] = labelOffset(item);
  return [port.px(item.label.at[0]) + dx, port.py(item.label.at[1]) + dy];
}

/** Where a mark stands, in pixels: that of an angle in the middle of its arc. */
export function markPlace({ at, start, sweep }, port) {
  const middle = ((start + sweep / 2) * Math.PI) / 180;
  const [dx, dy] = sweep === undefined ? [0, 0] : [sizes.arc * Math.cos(middle), -sizes.arc * Math.sin(middle)];
  return [port.px(at[0]) + dx, port.py(at[1]) + dy];
}

/** Half the width and half the height of a label, in pixels. */
export function labelHalf({ kind, label }, context) {
  context.font = kind === "number" ? tagFont : nameFont;
  const lines = label.text.split("\n");
  const width = Math.max(...lines.map((line) => context.measureText(line).width));
  return kind === "number" ? [width / 2 + 9, 14 * sizes.times] : [Math.max(width / 2, 8), 12 * lines.length * sizes.times];
}
