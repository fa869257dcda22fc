// The dialog for making a challenge of a board: made by the server, put in by htmx.
import { hear } from "./hear.js";

const dialog = /** @type {HTMLDialogElement} */ (document.getElementById("challenging"));
const panel = document.getElementById("challenge-panel");
let ready = false;

/**
 * Open the dialog.
 * @param {string} board the number of the board
 * @param {string[]} selected what is the answer, as it is proposed
 */
export async function openChallenge(board, selected) {
  if (!ready) {
    panel.addEventListener("click", (event) => event.target.closest(".close-sharing") && dialog.close());
    panel.addEventListener("htmx:afterSwap", () => hear(panel.querySelector("[role=alert], .task-told")?.textContent ?? ""));
    dialog.addEventListener("click", (event) => event.target === dialog && dialog.close());
  }
  ready = true;
  await window.htmx.ajax("GET", `/boards/${board}/challenge?ids=${selected.join(",")}`, { target: "#challenge-panel", swap: "innerHTML" });
  if (!dialog.open) dialog.showModal();
}
