// The list of lessons: a chosen file is read at once, and so is one that is dropped on the page. What was done without a line and is not
// saved yet is told.
import { kept } from "./kept.js";

for (const button of document.querySelectorAll(".open-file")) {
  const field = /** @type {HTMLInputElement} */ (button.parentElement.querySelector("input[type=file]"));
  button.addEventListener("click", () => field.click());
  field.addEventListener("change", () => field.form.submit());
}

const field = /** @type {HTMLInputElement} */ (document.getElementById("lesson-file"));
document.addEventListener("dragover", (event) => {
  if (event.dataTransfer.types.includes("Files")) event.preventDefault();
});
document.addEventListener("drop", (event) => {
  if (!event.dataTransfer.files.length) return;
  event.preventDefault();
  field.files = event.dataTransfer.files;
  field.form.submit();
});

const unsent = kept.all("unsent ").map(([, text]) => JSON.parse(text));
const told = document.getElementById("unsent");
told.hidden = !unsent.length;
for (const { at, title, where, edits } of unsent) {
  const line = document.createElement("p");
  const count = `${edits.length} change${edits.length === 1 ? "" : "s"}`;
  line.append(`${count} of ${new Date(at).toLocaleString()} in “${title}” ${edits.length === 1 ? "is" : "are"} not saved yet: `);
  line.append(Object.assign(document.createElement("a"), { href: where, textContent: "open it, and they are" }), ".");
  told.append(line);
}

// Whoever signs out leaves nothing behind in this browser.
document.querySelector("form[action='/sign-out']")?.addEventListener("submit", (event) => {
  if (unsent.length && !confirm("Some of what you did without a line is not saved yet. Sign out all the same, and lose it?"))
    event.preventDefault();
  else kept.forget("unsent ");
});
