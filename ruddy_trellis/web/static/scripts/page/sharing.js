// The dialog for sharing a lesson: made by the server, put in by htmx.
import { hear } from "./hear.js";
import { toast } from "./toast.js";

let ready = false;

/**
 * Open the dialog.
 * @param {(id: string, kept: boolean) => void} keep keep a peg from students, or leave it to them
 * @param {(change: object) => void} edit change the board
 */
export async function openSharing(keep, edit) {
  const dialog = /** @type {HTMLDialogElement} */ (document.getElementById("sharing"));
  const panel = document.getElementById("sharing-panel");
  if (!ready) setUp(dialog, panel, keep, edit);
  ready = true;
  await window.htmx.ajax("GET", panel.dataset.address, { target: "#sharing-panel", swap: "innerHTML" });
  if (!dialog.open) dialog.showModal();
}

/** What others see is changed by a button, and not by walking through the choices. */
function confirm(chosen) {
  const button = /** @type {HTMLButtonElement} */ (chosen.form.querySelector(".share-now"));
  button.hidden = chosen.defaultChecked;
  button.textContent = chosen.dataset.act;
}

/** The kit of the board, as it is ticked. */
function kitOf(panel, target) {
  if (target.name === "kit") panel.querySelector(".kit-tools").hidden = target.value !== "chosen";
  if ("kitGroup" in target.dataset)
    for (const one of target.closest("details").querySelectorAll("[data-kit-tool]")) one.checked = target.checked;
  const ticked = [...panel.querySelectorAll("[data-kit-tool]:checked")].map((one) => one.dataset.kitTool);
  for (const row of panel.querySelectorAll(".kit-tools details")) {
    const all = [...row.querySelectorAll("[data-kit-tool]")];
    const some = all.filter((one) => one.checked).length;
    row.querySelector(".more").textContent = `${some} of ${all.length}`;
    Object.assign(row.querySelector("[data-kit-group]"), { checked: some === all.length, indeterminate: some > 0 && some < all.length });
  }
  return { kind: "arrange", kit: panel.querySelector("[name=kit]:checked").value, kit_tools: ticked };
}

function setUp(dialog, panel, keep, edit) {
  panel.addEventListener("click", async (event) => {
    const button = event.target.closest("button");
    if (!button) return;
    if (button.classList.contains("close-sharing")) dialog.close();
    if (!button.dataset.copies) return;
    const field = /** @type {HTMLInputElement} */ (document.getElementById(button.dataset.copies));
    field.select();
    try {
      await navigator.clipboard.writeText(field.value);
      button.textContent = "Copied";
    } catch {
      button.textContent = "Press Ctrl C";
    }
  });
  panel.addEventListener("change", ({ target }) => {
    if (target.dataset.student) keep(target.dataset.student, !target.checked);
    else if (target.name === "shared") confirm(target);
    else if (target.closest(".kits")) edit(kitOf(panel, target));
  });
  panel.addEventListener("htmx:afterSwap", () => {
    const chosen = panel.querySelector("[name=shared]:checked");
    if (ready && chosen) hear(chosen.closest("label").innerText);
  });
  dialog.addEventListener("click", (event) => event.target === dialog && dialog.close());
  document.body.addEventListener("htmx:responseError", (event) => {
    if (panel.contains(event.target)) toast("That could not be done. Open Share again.", { refusal: true });
  });
}
