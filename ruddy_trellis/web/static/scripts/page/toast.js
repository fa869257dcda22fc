// A line of words over the foot of the board, with Undo where it helps.

import { hear } from "./hear.js";

let timer;

/** A link to a page of the help, which opens beside the board. */
export function helpLink(address) {
  return Object.assign(document.createElement("a"), { href: address, target: "_blank", textContent: "Help", className: "help-link" });
}

/** Show words; with `undo`, a button that takes the last edit back, with `act` one of its own words; with `help`, a link there; those that
 *  stay are there until the next ones. */
export function toast(words, { refusal = false, undo = null, act = null, stays = false, help = "" } = {}) {
  const place = document.getElementById("toast");
  const text = document.createElement("span");
  text.textContent = words;
  place.replaceChildren(text);
  hear(words);
  const does = undo ? { words: "Undo", act: undo } : act;
  if (does) {
    const button = document.createElement("button");
    button.textContent = does.words;
    button.addEventListener("click", () => {
      hideToast();
      does.act();
    });
    place.append(button);
  }
  if (help) place.append(helpLink(help));
  place.className = `toast-line${refusal ? " refusal" : ""}`;
  place.hidden = true;
  requestAnimationFrame(() => {
    place.hidden = false;
  });
  clearTimeout(timer);
  // In the foot, over the sentence, what was said stands until the next thing is done.
  if (!stays && !place.closest("footer")) timer = setTimeout(hideToast, undo ? 9000 : 3500 + 45 * words.length);
}

export function hideToast() {
  clearTimeout(timer);
  document.getElementById("toast").hidden = true;
}

// A part of the page that is fetched when it is first asked for, and the server is gone: in Chromium's, Firefox's and Safari's words.
const UNFETCHED = /dynamically imported module|Importing a module script failed/;
addEventListener("unhandledrejection", (event) => {
  if (!UNFETCHED.test(event.reason?.message ?? "")) return;
  event.preventDefault();
  toast("That part of the page is not here yet, and the server cannot be reached. Try it again when the line is back.", { refusal: true });
});
