// Where names and tags stand, how large they are, and what is seen at all: for painting and for the pointer alike.

export const FONT = '"Atkinson Hyperlegible", sans-serif';

/** The sizes that every drawing uses, in pixels; they come from the server's palette. */
export let sizes = {};
export let nameFont = FONT;
export let tagFont = FONT;

/** Take the sizes of the palette, so many times as large. */
export function useSizes(given, times = 1) {
  sizes = Object.fromEntries(Object.entries(given).map(([name, size]) => [name, size * times]));
  sizes.times = times;
  nameFont = `bold ${sizes.name}px ${FONT}`;
  tagFont = `${sizes.tag}px ${FONT}`;
}

/** Whether a thing is seen: it has a value now and is not hidden, or hidden things are shown as ghosts. */
export function visible(item, ghosts) {
  return item.shape !== null && (!item.style.hidden || ghosts);
}

/** Whether its name or tag is written. */
export function tagged(item) {
  return item.label && (item.kind === "number" ? item.style.tag : item.style.label);
}

/** From its thing to the middle of a label, in pixels. */
export function labelOffset({ label }) {
  return label.offset ?? [sizes.push * label.push[0], -sizes.push * label.push[1]];
}

/** The middle of a label, in pixels. */
export function labelPlace(item, port) {
  const [dx, dy] = labelOffset(item);
  return [port.px(item.label.at[0]) + dx, port.py(item.label.at[1]) + dy];
}

/** Half the width and half the height of a label, in pixels. */
export function labelHalf({ kind, label }, context) {
  context.font = kind === "number" ? tagFont : nameFont;
  const width = context.measureText(label.text).width;
  return kind === "number" ? [width / 2 + 9, 14 * sizes.times] : [Math.max(width / 2, 8), 12 * sizes.times];
}
