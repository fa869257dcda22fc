// A small list of choices in words beside the pointer: which of several things is meant, or what to do with one.

const box = document.getElementById("choices");
let back = null;

/**
 * @param {{x: number, y: number}} place in pixels of the board
 * @param {string} title
 * @param {{words: string, act: () => void, light?: string}[]} ways
 * @param {(id?: string) => void} light lights a thing on hover
 */
export function showChoices({ x, y }, title, ways, light = () => {}) {
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
  box.querySelector("button")?.focus({ preventScroll: true });
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
