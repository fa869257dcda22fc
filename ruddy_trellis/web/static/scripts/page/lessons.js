// The list of lessons: a chosen file is read at once.
const file = /** @type {HTMLInputElement} */ (document.getElementById("lesson-file"));
file.addEventListener("change", () => file.form.submit());
file.closest("label").addEventListener("keydown", (event) => {
  if (event.key === "Enter" || event.key === " ") file.click();
});
for (const field of document.querySelectorAll(".file-now")) field.addEventListener("change", () => field.form.submit());
