// What a person hears who does not see the board: said once, shortly, by a region of its own.

let telling;
let words = [];
let again = false;

let later;

/** Say words once nothing of the kind has come for a while: of many that tell how far something has moved, the last. */
export function hearLast(text) {
  clearTimeout(later);
  later = setTimeout(() => hear(text), 400);
}

/** Say words. What comes within a moment is said together; the same words twice are said twice. */
export function hear(text) {
  if (!text || words.includes(text)) return;
  words.push(text);
  clearTimeout(telling);
  telling = setTimeout(() => {
    again = !again;
    document.getElementById("heard").textContent = words.map((part) => part.replace(/[.…]+$/, "")).join(". ") + (again ? "." : ".\u00a0");
    words = [];
  }, 100);
}
