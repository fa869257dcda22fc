// The handout: a choice is shown at once; a button prints.
const form = /** @type {HTMLFormElement} */ (document.getElementById("choices"));
form.addEventListener("change", ({ target }) => target.name !== "asked" && form.requestSubmit());
document.getElementById("print").addEventListener("click", () => window.print());
