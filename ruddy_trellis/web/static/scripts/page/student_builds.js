// A student's page on which something is built, with the kit that the teacher gives.
import { Building } from "./building.js";
import { openCopy } from "./copy.js";

let replay = null; // fetched when it is first asked for
const view = openCopy({
  connected(open) {
    hand.connected();
    if (open) task?.then(({ ask }) => ask());
  },
  board() {
    hand.shown();
    tellWorking();
  },
  changed(message) {
    hand.changed(message);
    tellWorking();
  },
  state: () => hand.tellEmpty(),
  help: (words) => hand.help(words),
  under: (message) => hand.under(message),
  refused: (ways) => hand.bar.refused(ways),
  hidden: () => replay?.hidden() ?? [],
});
const { line, drawing, reveals } = view;
const hand = new Building(view, {
  atRest: document.querySelector("footer").dataset.kit,
  changed: markLines,
  press(id) {
    if (drawing.things.get(id)?.kind !== "reveal") return false;
    reveals.press(id);
    return true;
  },
});

// The working: each thing as a sentence, what is given first ------------------------------------------------------

const drawer = document.getElementById("drawer");
const fold = document.getElementById("fold");
const lines = document.getElementById("lines");
let asking = null;

fold.addEventListener("click", () => {
  const folded = drawer.classList.toggle("folded");
  fold.textContent = folded ? "«" : "»";
  fold.setAttribute("aria-expanded", String(!folded));
  tellWorking();
});

/** Ask for the working when it is looked at, once for several changes in a row. */
function tellWorking() {
  clearTimeout(asking);
  if (!drawer.classList.contains("folded")) asking = setTimeout(() => line.send("working"), 60);
}

line.on("working", ({ lines: told }) => {
  lines.replaceChildren(...told.map(row));
  markLines();
});

function row({ id, words, given, hidden }) {
  const item = document.createElement("li");
  const thing = document.createElement("button");
  thing.className = `row-thing whole${hidden ? " is-hidden" : ""}`;
  thing.dataset.id = id;
  thing.textContent = words;
  thing.addEventListener("click", (event) => hand.choose(id, event.shiftKey));
  for (const here of ["pointerenter", "focus"]) thing.addEventListener(here, () => drawing.markOnly("lit", [id]));
  for (const gone of ["pointerleave", "blur"]) thing.addEventListener(gone, () => drawing.markOnly("lit", []));
  item.append(thing);
  if (given) item.append(Object.assign(document.createElement("i"), { className: "given", textContent: "given" }));
  if (hidden) {
    const show = Object.assign(document.createElement("button"), { className: "unhide", textContent: "show" });
    show.addEventListener("click", () => hand.edit({ kind: "restyle", ids: [id], look: { hidden: false } }));
    item.append(show);
  }
  return item;
}

function markLines() {
  for (const thing of lines?.querySelectorAll(".row-thing") ?? [])
    thing.classList.toggle("chosen", hand.selected.includes(thing.dataset.id));
}

const seen = document.getElementById("steps-seen");
const tellSteps = (now, count) => {
  seen.textContent = now === count ? "all steps" : `${now} of ${count}`;
};
const goThrough = async (way) => {
  replay ??= new (await import("./replay.js")).Replay(view, tellSteps);
  way();
};
document.getElementById("replay").addEventListener("click", () => goThrough(() => (replay.playing ? replay.stop() : replay.play())));
for (const button of document.querySelectorAll("[data-steps]"))
  button.addEventListener("click", () => goThrough(() => replay.step(Number(button.dataset.steps))));

// Instruments of the kit
document
  .getElementById("instruments")
  ?.addEventListener("click", () => import("./in_hand.js").then(({ take }) => take(view, "instruments")));

// The task of a challenge -----------------------------------------------------------------------------------------

// only such a board has one
const task = document.getElementById("task") && import("./task.js").then(({ openTask }) => openTask(view));
