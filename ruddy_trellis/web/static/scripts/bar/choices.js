// A small list of choices in words beside the pointer: which of several things is meant, or what to do with one.

const box = document.getElementById("choices");
let back = null;
/** How far a finger covers what is round it, in pixels. */
const FINGER = 44;

/**
 * @param {{x: number, y: number}} place in pixels of the board
 * @param {string} title
 * @param {{words: string, act: () => void, light?: string}[]} ways
 * @param {(id?: string) => void} light lights a thing on hover
 * @param {boolean} fingerIsDown whether a finger rests there: the list keeps clear of it, and its lift presses nothing
 */
export function showChoices({ x, y }, title, ways, light = () => {}, fingerIsDown = false) {
  back = document.activeElement;
  const lead = document.createElement("p");
  lead.textContent = title;
  box.replaceChildren(
    lead,
    ...ways.map(({ words, act, light: id }) => {
      const button = document.createElement("button");
      button.role = "menuitem";
      button.textContent = words;
      button.addEventListener("click", () => {
        hideChoices();
        act();
      });
      for (const kind of ["pointerenter", "focus"]) button.addEventListener(kind, () => light(id));
      return button;
    }),
  );
  box.hidden = false;
  const { clientWidth, clientHeight } = box.parentElement;
  box.style.left = `${Math.max(4, Math.min(x + 8, clientWidth - box.offsetWidth - 8))}px`;
  box.style.top = `${Math.max(4, Math.min(y + 8, clientHeight - box.offsetHeight - 8))}px`;
  if (fingerIsDown) keepClear(x, y);
  else box.querySelector("button")?.focus({ preventScroll: true });
}

/** Stand beside a finger, and take nothing until it has been lifted. */
function keepClear(x, y) {
  const { clientWidth, clientHeight } = box.parentElement;
  const { offsetWidth: width, offsetHeight: height } = box;
  const above = y - FINGER - height;
  const left = x > clientWidth / 2 ? x - FINGER - width : x + FINGER;
  if (left >= 4 && left + width <= clientWidth - 4) {
    box.style.left = `${left}px`;
    box.style.top = `${Math.max(4, Math.min(y - height / 2, clientHeight - height - 8))}px`;
  } else box.style.top = `${above >= 4 ? above : Math.min(y + FINGER, Math.max(4, clientHeight - height - 8))}px`;
  box.inert = true;
  const lifted = () => {
    removeEventListener("pointerup", lifted, true);
    removeEventListener("pointercancel", lifted, true);
    // What a browser makes of the lift for a mouse comes just after it.
    setTimeout(() => {
      box.inert = false;
      if (!box.hidden) box.querySelector("button")?.focus({ preventScroll: true });
    }, 80);
  };
  addEventListener("pointerup", lifted, true);
  addEventListener("pointercancel", lifted, true);
}

/** Put the list away. Returns whether there was one. */
export function hideChoices() {
  if (box.hidden) return false;
  box.hidden = true;
  back?.focus?.({ preventScroll: true });
  return true;
}

box.addEventListener("keydown", (event) => {
  const buttons = [...box.querySelectorAll("button")];
  const at = buttons.indexOf(document.activeElement);
  if (event.key === "ArrowDown") buttons[(at + 1) % buttons.length].focus();
  else if (event.key === "ArrowUp") buttons[(at + buttons.length - 1) % buttons.length].focus();
  else if (event.key === "Escape") hideChoices();
  else return;
  event.preventDefault();
  event.stopPropagation();
});

// A press elsewhere puts the list away, and is otherwise as any other.
document.addEventListener(
  "pointerdown",
  (event) => {
    if (box.hidden || box.contains(event.target)) return;
    back = null; // what was pressed has the focus now
    hideChoices();
  },
  { capture: true },
);
