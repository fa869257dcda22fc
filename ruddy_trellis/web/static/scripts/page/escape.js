/** Let Escape in an element do one thing, and nothing else on the page. */
export function onEscape(element, act) {
  element.addEventListener("keydown", (event) => {
    if (event.key !== "Escape") return;
    event.stopPropagation();
    act();
  });
}
