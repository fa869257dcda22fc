// The list of lessons: a chosen file is read at once.
for (const field of document.querySelectorAll("input[type=file]")) {
  field.addEventListener("change", () => field.form.submit());
  field.addEventListener("keydown", (event) => {
    if (event.key !== "Enter") return; // the space bar opens it by itself
    event.preventDefault();
    field.click();
  });
}
