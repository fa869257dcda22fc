// The list of lessons: a chosen file is read at once, and so is one that is dropped on the page.
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

// What was done without a line and is not saved yet is told, and not left behind by whoever signs out.
if (Object.keys(window.localStorage ?? {}).some((name) => name.startsWith("ruddy-trellis unsent "))) import("./unsent.js");
