// What was handed in: looked at again every few seconds, unless the teacher is writing there.
const grid = document.getElementById("grid");
const EVERY = 4000;

setInterval(async () => {
  if (document.hidden || grid.contains(document.activeElement) || grid.querySelector("details[open]")) return;
  const answer = await fetch(grid.dataset.address).catch(() => null);
  const text = answer?.ok && !answer.redirected ? await answer.text() : null;
  if (text !== null && text !== grid.last) grid.innerHTML = grid.last = text;
}, EVERY);
