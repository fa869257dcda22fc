// The list of lessons: a chosen file is read at once.
for (const field of document.querySelectorAll("input[type=file]")) {
  field.addEventListener("change", () => field.form.submit());
  field.closest("label").addEventListener("keydown", (event) => {
    if (event.key !== "Enter" && event.key !== " ") return;
    event.preventDefault();
    field.click();
  });
}
