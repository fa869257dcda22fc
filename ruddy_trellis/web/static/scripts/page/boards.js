// The boards of a lesson: add, duplicate, rename, move, delete.
import { showChoices } from "../bar/choices.js";
import { toast } from "./toast.js";

const form = /** @type {HTMLFormElement} */ (document.getElementById("board-form"));
const { lesson, board, boards, gone } = form.dataset;

/** Send a form with these fields; the page goes where the answer says. */
function send(path, fields) {
  form.action = `/lessons/${lesson}/boards${path}`;
  form.replaceChildren(
    ...Object.entries(fields).map(([name, value]) => Object.assign(document.createElement("input"), { type: "hidden", name, value })),
  );
  form.submit();
}

/**
 * Ask what is to be done with this board.
 * @param {(title: string) => void} rename
 * @param {string[]} selected what is selected on the board
 */
export function boardActs(rename, selected) {
  const { left } = document.getElementById("board-acts").getBoundingClientRect();
  const tab = document.getElementById("this-board");
  const ways = [
    { words: "Rename this board", act: () => startRenaming(tab, rename) },
    { words: "A challenge for students…", act: async () => (await import("./challenge.js")).openChallenge(board, selected) },
    { words: "Duplicate this board", act: () => send("", { copy_of: board }) },
    { words: "Add a blank board", act: () => send("", { after: board }) },
  ];
  if (boards > 1) {
    ways.push(
      { words: "Move it to the left", act: () => send(`/${board}/move`, { by: -1 }) },
      { words: "Move it to the right", act: () => send(`/${board}/move`, { by: 1 }) },
      { words: "Delete this board", act: () => send(`/${board}/away`, { away: true }) },
    );
  }
  showChoices({ x: left - 8, y: -4 }, "Boards of this lesson", ways);
}

/** The board that was here is deleted; it can be had back. */
export function tellGone() {
  toast("The board is deleted.", { undo: () => send(`/${gone}/away`, { away: false }) });
}

/** The tab becomes a field for its name. */
function startRenaming(tab, rename) {
  const field = document.createElement("input");
  Object.assign(field, { className: "tab-field", value: tab.textContent, maxLength: 80 });
  field.setAttribute("aria-label", "Name of this board");
  const done = (keep) => {
    if (keep && field.value.trim() && field.value !== tab.textContent) rename((tab.textContent = field.value.trim()));
    field.replaceWith(tab);
  };
  field.addEventListener("keydown", (event) => {
    if (event.key === "Enter") field.blur();
    else if (event.key === "Escape") {
      field.value = tab.textContent;
      field.blur();
    }
    event.stopPropagation();
  });
  field.addEventListener("blur", () => done(true), { once: true });
  tab.replaceWith(field);
  field.select();
  field.focus();
}
