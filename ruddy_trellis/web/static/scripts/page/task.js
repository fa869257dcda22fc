// The task of a challenge on a student's page: is it right, and a hint.
import { toast } from "./toast.js";

const told = document.getElementById("judged");
const conditions = document.getElementById("conditions");
const hint = document.getElementById("hint");
const where = document.getElementById("show-where");
const ask = document.getElementById("is-right");
const more = document.getElementById("next-hint");
/** How near to the answer something is that looks right, in pixels. */
const LOOKS = 2;

/** @param {import("../board/board_view.js").BoardView} view */
export function openTask({ line, drawing, port }) {
  let asked = null;
  ask.addEventListener("click", () => {
    asked = null;
    ask.setAttribute("aria-busy", "true");
    line.send("is_right", { reach: LOOKS / port.zoom });
  });
  line.on("judged", ({ verdict, words, conditions: wanted, taken, moves, where: known }) => {
    ask.removeAttribute("aria-busy");
    told.hidden = false;
    told.textContent = moves ? `${words} ${moves[0].toUpperCase()}${moves.slice(1)}.` : words;
    told.className = `judged ${verdict.startsWith("right") ? "met" : "unmet"}`;
    conditions.hidden = wanted.length < 2;
    conditions.replaceChildren(
      ...wanted.map(({ words: one, met }) =>
        Object.assign(document.createElement("li"), { textContent: `${met ? "met" : "not met"}: ${one}` }),
      ),
    );
    where.hidden = !known;
    drawing.markOnly("lit", taken);
    asked = verdict === "right" ? taken.join() : null;
  });
  line.on("always", ({ taken }) => {
    if (taken.join() !== asked) return;
    told.textContent += " That is proved: right, always.";
  });
  line.on("hint", ({ words, number, left }) => {
    hint.hidden = false;
    hint.textContent = number > 1 ? `${number}. ${words}` : words;
    /** @type {HTMLButtonElement} */ (more).disabled = !left;
  });
  where.addEventListener("click", () => {
    toast("So it is in this position; your work stays as it is.");
    line.send("show_where");
  });
  more?.addEventListener("click", () => line.send("hint"));
  openHanding(line);
  return {
    /** Ask for what was told before, and whether something can be handed in: whenever the line is there. */
    ask() {
      if (more) line.send("hint", { again: true });
      line.send("handed_in");
    },
  };
}

/** Handing in, where the teacher has opened it. */
function openHanding(line) {
  const give = document.getElementById("hand-in");
  const form = /** @type {HTMLFormElement} */ (document.getElementById("handing"));
  const name = /** @type {HTMLInputElement} */ (document.getElementById("nickname"));
  const handed = document.getElementById("handed");
  const back = document.getElementById("take-back");
  const show = (on) => {
    form.hidden = !on;
    if (on) name.focus();
  };
  give.addEventListener("click", () => show(form.hidden));
  document.getElementById("handing-not").addEventListener("click", () => show(false));
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    show(false);
    line.send("hand_in", { name: name.value });
  });
  back.addEventListener("click", () => line.send("handed_in", { take_back: true }));
  line.on("ask_handed_in", () => line.send("handed_in"));
  line.on("handed_in", (found) => {
    give.hidden = !found.open;
    if (!found.open) form.hidden = true;
    back.hidden = handed.hidden = !found.name;
    if (!found.name) return;
    name.value = found.name;
    const verdict = found.verdict ? `, ${found.verdict}` : "";
    handed.textContent = `Handed in as ${found.name}${verdict}.${found.word ? ` Your teacher writes: “${found.word}”` : ""}`;
  });
}
