// Where names and tags stand, how large they are, and what is seen at all: for painting and for the pointer alike.

const PUSH = 19; // pixels from a thing to its name
const FONT = '"Atkinson Hyperlegible", sans-serif';
export const NAME_FONT = `bold 21px ${FONT}`;
export const TAG_FONT = `16px ${FONT}`;

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
  return label.offset ?? [PUSH * label.push[0], -PUSH * label.push[1]];
}

/** The middle of a label, in pixels. */
export function labelPlace(item, port) {
  const [dx, dy] = labelOffset(item);
  return [port.px(item.label.at[0]) + dx, port.py(item.label.at[1]) + dy];
}

/** Half the width and half the height of a label, in pixels. */
export function labelHalf({ kind, label }, context) {
  context.font = kind === "number" ? TAG_FONT : NAME_FONT;
  const width = context.measureText(label.text).width;
  return kind === "number" ? [width / 2 + 9, 14] : [Math.max(width / 2, 8), 12];
}
