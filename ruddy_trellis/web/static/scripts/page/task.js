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
  let hints = 0;
  ask.addEventListener("click", () => {
    ask.setAttribute("aria-busy", "true");
    line.send("is_right", { reach: LOOKS / port.zoom });
  });
  line.on("judged", ({ verdict, words, conditions: asked, taken, moves, where: known }) => {
    ask.removeAttribute("aria-busy");
    told.hidden = false;
    told.textContent = moves ? `${words} ${moves[0].toUpperCase()}${moves.slice(1)}.` : words;
    told.className = `judged ${verdict.startsWith("right") ? "met" : "unmet"}`;
    conditions.hidden = asked.length < 2;
    conditions.replaceChildren(
      ...asked.map(({ words: one, met }) =>
        Object.assign(document.createElement("li"), { textContent: `${met ? "met" : "not met"}: ${one}` }),
      ),
    );
    where.hidden = !known;
    drawing.markOnly("lit", taken);
  });
  line.on("hint", ({ words, left }) => {
    hint.hidden = false;
    hint.textContent = words;
    hints += 1;
    if (!left) more.disabled = true;
  });
  where.addEventListener("click", () => {
    toast("So it is in this position; your work stays as it is.");
    line.send("show_where");
  });
  more?.addEventListener("click", () => line.send("hint", { number: hints }));
}
