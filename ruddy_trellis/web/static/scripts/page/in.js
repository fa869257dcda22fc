// Files that come in: what they would make is shown, and put on the board as one edit.
import { hear } from "./hear.js";

const dialog = /** @type {HTMLDialogElement} */ (document.getElementById("bringing-in"));
const field = /** @type {HTMLInputElement} */ (document.getElementById("in-file"));
const seen = document.getElementById("in-seen");
const MOST_SHOWN = 60; // sentences of the working
let found = null;
let edit = null;
let board = null;
/** A photograph is sent no larger than this, dots; the server makes it smaller still. */
const LONGEST = 2000;
/** How much of the board a picture takes up at first. */
const SHARE = 0.6;

/**
 * Open the dialog, with a file or to choose one.
 * @param {(change: object) => void} change makes an edit
 * @param {import("../board/board_view.js").BoardView} view
 * @param {File} [file]
 */
export function openIn(change, view, file) {
  if (!edit) setUp();
  edit = change;
  board = view;
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
    const sent = await smaller(file);
    const answer = await send(`/boards/${document.getElementById("board").dataset.board}/in`, sent);
    found = await answer.json();
    if (found.kind === "lesson") return await asLesson(file);
    if (found.kind === "picture") return await underFigure();
    show(file);
  } catch (error) {
    tell(error.message);
  }
}

/** A photograph as large as a board has use for: those of a telephone are too large to be sent. */
async function smaller(file) {
  if (!/^image\/(png|jpeg)$/.test(file.type) || file.size < 1_000_000) return file;
  try {
    const image = await createImageBitmap(file, { imageOrientation: "from-image" });
    const times = Math.min(1, LONGEST / Math.max(image.width, image.height));
    const canvas = new OffscreenCanvas(Math.round(image.width * times), Math.round(image.height * times));
    canvas.getContext("2d").drawImage(image, 0, 0, canvas.width, canvas.height);
    return new File([await canvas.convertToBlob({ type: "image/jpeg", quality: 0.9 })], file.name, { type: "image/jpeg" });
  } catch {
    return file; // the server says what is wrong with it
  }
}

/** A picture lies under the figure, in the middle of what is seen; then it is put to scale. */
async function underFigure() {
  const [left, low, right, high] = board.port.view();
  const width = SHARE * Math.min(right - left, (high - low) / found.tall);
  const at = [(left + right) / 2, (low + high) / 2];
  edit({ kind: "arrange", photograph: { mark: found.mark, tall: found.tall, at, width } });
  dialog.close();
  const { fitPhotograph } = await import("./photograph.js");
  for (let tries = 0; tries < 60 && board.state.photograph?.mark !== found.mark; tries++) await new Promise((on) => setTimeout(on, 50));
  if (board.state.photograph) fitPhotograph(board, edit);
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
