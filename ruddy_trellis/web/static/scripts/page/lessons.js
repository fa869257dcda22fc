// The list of lessons: a chosen file is read at once.
for (const button of document.querySelectorAll(".open-file")) {
  const field = /** @type {HTMLInputElement} */ (button.parentElement.querySelector("input[type=file]"));
  button.addEventListener("click", () => field.click());
  field.addEventListener("change", () => field.form.submit());
}
