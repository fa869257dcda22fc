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
