// One stop of the Tab key for a row of buttons; the arrow keys go on inside it.

/**
 * @param {HTMLElement} row
 * @param {string} selector of its buttons
 */
export function rove(row, selector) {
  const buttons = () => [...row.querySelectorAll(selector)];
  const hold = (button) => {
    for (const other of buttons()) other.tabIndex = other === button ? 0 : -1;
  };
  hold(row.querySelector(`${selector}[aria-selected=true]`) ?? buttons()[0]);
  row.addEventListener("focusin", (event) => buttons().includes(event.target) && hold(event.target));
  row.addEventListener("click", (event) => {
    const button = event.target.closest(selector);
    if (button) hold(button);
  });
  row.addEventListener("keydown", (event) => {
    const all = buttons();
    const at = all.indexOf(document.activeElement);
    if (at < 0) return;
    const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: all.length - 1 }[event.key];
    if (to === undefined) return;
    all[(to + all.length) % all.length].focus();
    event.preventDefault();
    event.stopPropagation();
  });
}
