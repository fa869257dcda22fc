// Life size: how many pixels a centimetre of this screen has is found once with a bank card or a ruler, and kept by the browser.

import { kept } from "./kept.js";
import { toast } from "./toast.js";

/** The width of a bank card in centimetres (ISO/IEC 7810, ID-1), and of the bar. */
const CARD = 8.56;
const BAR = 10;
/** How many pixels a centimetre is taken for at first: 96 to an inch. */
const USUAL = 96 / 2.54;

/** Show the board in the size that its scale says, after asking how large this screen is. */
export function lifeSize(view) {
  const { scale, unit } = view.state;
  if (!scale) {
    toast(`Say first what 1 cm on paper stands for${unit ? `, in ${unit}` : ""}: under Look, beside the unit.`, { refusal: true });
    return;
  }
  const dialog = document.createElement("dialog");
  dialog.className = "life-size";
  dialog.innerHTML = `<form method="dialog"><h2>Life size</h2>
    <p>Hold a bank card to the glass, or a ruler, and drag until the card or the bar is as large.</p>
    <div class="life-card"></div><div class="life-bar">10 cm</div>
    <label>Larger or smaller <input type="range" min="18" max="90" step="0.1"></label>
    <p><button class="btn btn-main" value="yes">Show it at this size</button> <button class="btn btn-quiet" value="">Cancel</button></p></form>`;
  const [card, bar, range] = [".life-card", ".life-bar", "input"].map((part) => dialog.querySelector(part));
  range.value = kept.read("pixels of a centimetre") ?? USUAL;
  const fit = () => {
    card.style.width = `${CARD * range.value}px`;
    card.style.height = `${5.398 * range.value}px`;
    bar.style.width = `${BAR * range.value}px`;
  };
  range.addEventListener("input", fit);
  fit();
  dialog.addEventListener("close", () => {
    dialog.remove();
    if (dialog.returnValue !== "yes") return;
    kept.write("pixels of a centimetre", range.value);
    view.port.zoomAt([view.port.x, view.port.y], range.value / scale / view.port.zoom);
    view.viewChanged();
    toast(`1 cm of the glass is ${Number(scale.toPrecision(6))} ${unit}.`);
  });
  document.body.append(dialog);
  dialog.showModal();
}
