// The first lesson: says what to do, and goes on when the board shows that it is done.
import { hear } from "./hear.js";

const place = document.getElementById("first");
let asking = null;

async function look() {
  const answer = await fetch(`/boards/${place.dataset.board}/first`);
  if (!answer.ok) return;
  const text = await answer.text();
  if (text === place.dataset.shown) return;
  place.dataset.shown = text;
  place.querySelector("div").innerHTML = text;
  place.classList.toggle("at-foot", place.querySelector("[data-side]").dataset.side === "foot");
  hear(place.innerText);
}

/** Soon after the board has changed, and not while it still changes. */
function soon() {
  clearTimeout(asking);
  asking = setTimeout(look, 300);
}

new MutationObserver(soon).observe(document.getElementById("seen"), { childList: true, subtree: true, attributes: true });
new MutationObserver(soon).observe(document.getElementById("saved"), { childList: true, characterData: true });
document.getElementById("first-close").addEventListener("click", () => place.remove());
look();
