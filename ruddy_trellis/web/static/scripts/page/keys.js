// The list of keys, and whether single letters, digits and signs are keys wherever the focus is.
import { kept } from "./kept.js";

const dialog = /** @type {HTMLDialogElement} */ (document.getElementById("keys"));
const letters = /** @type {HTMLInputElement} */ (document.getElementById("letters"));
letters.checked = kept.read("letters") === "yes";
letters.addEventListener("change", () => kept.write("letters", letters.checked ? "yes" : "no"));
document.getElementById("keys-button").addEventListener("click", () => dialog.showModal());
document.getElementById("keys-close").addEventListener("click", () => dialog.close());

export function showKeys() {
  dialog.showModal();
}

// Who clicks a button goes on at the board; who walks to it by Tab is there.
let byPointer = false;
let lastUsed = "key";
addEventListener(
  "pointerdown",
  () => {
    lastUsed = "pointer";
    byPointer = true;
  },
  true,
);
addEventListener(
  "keydown",
  ({ key }) => {
    if (key === "Tab") lastUsed = "key";
  },
  true,
);
addEventListener("focusin", () => {
  byPointer = lastUsed === "pointer";
});

/** Whether a key is one for the page: a sign that writes is one on the board, or everywhere if a person wants it; "/" leads to the
 *  sentence from anywhere. */
export function isKey(event) {
  const presented = document.body.classList.contains("presenting"); // there is nothing but the board
  const onBoard = event.target.id === "drawing" || event.target === document.body || presented;
  return onBoard || byPointer || letters.checked || event.key.length !== 1 || event.key === "/" || event.ctrlKey || event.metaKey;
}
