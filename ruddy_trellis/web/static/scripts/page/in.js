// Files that come in: what they would make is shown, and put on the board as one edit.
import { hear } from "./hear.js";

const dialog = /** @type {HTMLDialogElement} */ (document.getElementById("bringing-in"));
const field = /** @type {HTMLInputElement} */ (document.getElementById("in-file"));
const seen = document.getElementById("in-seen");
const MOST_SHOWN = 60; // sentences of the working
let found = null;
let edit = null;

/**
 * Open the dialog, with a file or to choose one.
 * @param {(change: object) => void} change makes an edit
 * @param {File} [file]
 */
export function openIn(change, file) {
  if (!edit) setUp();
  edit = change;
  seen.hidden = true;
  found = null;
  tell("");
  if (!dialog.open) dialog.showModal();
  if (file) read(file);
}

function setUp() {
  document.getElementById("in-close").addEventListener("click", () => dialog.close());
  document.getElementById("in-choose").addEventListener("click", () => field.click());
  field.addEventListener("change", () => {
    if (field.files.length) read(field.files[0]);
    field.value = "";
  });
  dialog.addEventListener("click", (event) => event.target === dialog && dialog.close());
  document.getElementById("in-take").addEventListener("click", () => {
    edit({ kind: "paste", text: found.text });
    dialog.close();
  });
}

function tell(words) {
  document.getElementById("in-told").textContent = words;
  if (words) hear(words);
}

async function send(address, file) {
  const body = new FormData();
  body.append("file", file);
  const answer = await fetch(address, { method: "POST", body });
  if (answer.ok) return answer;
  if (![413, 422].includes(answer.status)) throw new Error("That could not be done. Try again.");
  const text = await answer.text();
  const problem = new DOMParser().parseFromString(text, "text/html").querySelector(".problem");
  throw new Error(problem?.textContent ?? text);
}

async function read(file) {
  seen.hidden = true;
  tell(`Reading ${file.name}…`);
  try {
    const answer = await send(`/boards/${document.getElementById("board").dataset.board}/in`, file);
    found = await answer.json();
    if (found.kind === "lesson") return await asLesson(file);
    show(file);
  } catch (error) {
    tell(error.message);
  }
}

/** A lesson stays a lesson: it is opened as one of its own. */
async function asLesson(file) {
  const answer = await send("/lessons/read", file);
  location.href = answer.url;
}

function show(file) {
  const lines = found.text.split("\n").filter((line) => line.trim());
  const items = lines.slice(0, MOST_SHOWN).map((line) => {
    const item = document.createElement("li");
    item.textContent = line;
    return item;
  });
  if (lines.length > MOST_SHOWN)
    items.push(Object.assign(document.createElement("p"), { textContent: `… ${lines.length - MOST_SHOWN} more` }));
  document.getElementById("in-working").replaceChildren(...items);
  const image = /** @type {HTMLImageElement} */ (document.getElementById("in-preview"));
  URL.revokeObjectURL(image.src);
  image.src = URL.createObjectURL(new Blob([found.picture], { type: "image/svg+xml" }));
  seen.hidden = false;
  const many = `${found.steps} step${found.steps === 1 ? "" : "s"}`;
  tell(`${file.name}: ${many} for this board.${found.unread ? ` Not read: ${found.unread}.` : ""}`);
  document.getElementById("in-take").focus();
}
