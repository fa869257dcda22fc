// The focus stays where a person works: when what had it goes away or is shut, what stands for it gets it.

let lastFocused = null;
let home = null; // where it stood: the nearest thing with an id that stays

document.addEventListener("focusin", ({ target }) => {
  lastFocused = target;
  home = target.parentElement?.closest("[id]");
});

/** What says of a button or a field which one it is, whatever else about it changes. */
function sign(element) {
  const { dataset, name, value, type } = element;
  const own = Object.entries(dataset).filter(([key]) => !["edit", "copied", "ahead"].includes(key));
  return JSON.stringify([
    element.tagName,
    element.id,
    own,
    name,
    type === "radio" ? value : "",
    own.length || element.id ? "" : element.textContent,
  ]);
}

/** What has the focus next, now that the last one cannot have it. */
function standIn() {
  const places = [home?.isConnected ? home : null, document.querySelector("dialog[open]"), document.getElementById("panel")];
  for (const place of places) {
    if (!place?.contains(document.getElementById(home?.id))) continue;
    const same = [...place.querySelectorAll("button, input, select, a, textarea")].find(
      (one) => can(one) && sign(one) === sign(lastFocused),
    );
    if (same) return same;
  }
  if (home?.isConnected && shown(home)) {
    const near = home.matches("[tabindex], canvas") ? home : [...home.querySelectorAll("button, input, a")].find(can);
    if (near) return near;
  }
  return document.getElementById("drawing") ?? document.querySelector("main");
}

function shown(element) {
  return element.getClientRects().length > 0;
}

function can(element) {
  return shown(element) && !element.disabled && element.tabIndex >= -1;
}

function mend() {
  if (!lastFocused || (document.activeElement && document.activeElement !== document.body)) return;
  if (lastFocused.isConnected && shown(lastFocused) && !lastFocused.disabled) return; // a person clicked beside everything
  standIn()?.focus({ preventScroll: true });
}

let looking = false;
new MutationObserver(() => {
  if (looking || document.activeElement !== document.body || !lastFocused) return;
  looking = true;
  // What replaces it may come in a moment.
  setTimeout(() => {
    looking = false;
    mend();
  }, 30);
}).observe(document.body, { childList: true, subtree: true, attributes: true, attributeFilter: ["hidden", "disabled", "class"] });
