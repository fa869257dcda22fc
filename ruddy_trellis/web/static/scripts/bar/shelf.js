// The shelf: rows of tools, and their two-letter keys.

import { rove } from "../page/roving.js";

export class Shelf {
  /** @param {(key: string | null) => void} onTool */
  constructor(onTool) {
    this.onTool = onTool;
    this.tools = [...document.querySelectorAll("[data-tool]")];
    this.first = "";
    this.blank = [...document.querySelectorAll("[data-icon]")];
    this.foot = document.querySelector("footer");
    for (const tab of document.querySelectorAll("[data-group]"))
      tab.addEventListener("click", () => {
        // Where the rows open over the board, a second press puts them away.
        const again = tab.getAttribute("aria-selected") === "true" && this.foot.classList.contains("open");
        this.foot.classList.toggle("open", !again);
        this.show(tab.dataset.group);
      });
    for (const tool of this.tools) tool.addEventListener("click", () => onTool(tool.dataset.tool || null));
    rove(document.querySelector(".group-names"), "[data-group]");
    for (const row of document.querySelectorAll(".tools")) rove(row, "[data-tool]");
    this.more = document.getElementById("more-tools");
    this.more.addEventListener("click", () => this.turn());
    new ResizeObserver(() => this.offerMore()).observe(this.more.parentElement);
    for (const row of document.querySelectorAll(".tools")) row.addEventListener("scroll", () => this.offerMore());
    this.offerMore();
  }

  /** Rows that were not seen at first get their icons: once, when there is time or when one is shown. */
  async fill() {
    const blank = this.blank.splice(0);
    if (!blank.length) return;
    try {
      const icons = await (await fetch(document.querySelector("[data-icons]").dataset.icons)).json();
      for (const place of blank) place.outerHTML = icons[place.dataset.icon] ?? "";
    } catch {
      this.blank = blank; // the next time a row is shown
    }
  }

  get row() {
    return document.querySelector(".tools:not([hidden])");
  }

  /** Whether the row goes on beyond the edge, and which way the button goes. */
  offerMore() {
    const { scrollLeft, scrollWidth, clientWidth } = this.row;
    this.more.hidden = scrollWidth <= clientWidth + 2;
    this.atEnd = scrollLeft + clientWidth >= scrollWidth - 2;
    this.more.textContent = this.atEnd ? "‹" : "›";
  }

  /** Show the next tools of the row, or after the last the first again. */
  turn() {
    this.row.scrollTo({ left: this.atEnd ? 0 : this.row.scrollLeft + this.row.clientWidth - 140 });
    this.offerMore();
  }

  show(group) {
    this.fill();
    for (const tab of document.querySelectorAll("[data-group]")) tab.setAttribute("aria-selected", String(tab.dataset.group === group));
    for (const row of document.querySelectorAll(".tools")) row.hidden = row.id !== `row-${group}`;
    this.offerMore();
  }

  /** The tool that is in the hand now; null for the hand itself. */
  press(key) {
    this.foot.classList.remove("open");
    for (const tool of this.tools) tool.setAttribute("aria-pressed", String((tool.dataset.tool || null) === key));
    const tool = this.tools.find((one) => key && one.dataset.tool === key);
    const row = tool?.closest(".tools");
    if (row?.hidden) this.show(row.id.slice("row-".length));
    tool?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }

  /** A letter was pressed: the second of two that name a tool takes it. Returns whether it meant anything. */
  letter(letter) {
    const keys = this.first + letter;
    const tool = this.tools.find((one) => one.dataset.keys === keys);
    clearTimeout(this.timer);
    this.first = "";
    this.blank = [...document.querySelectorAll("[data-icon]")];
    if (tool) this.onTool(tool.dataset.tool);
    else if (this.tools.some((one) => one.dataset.keys?.startsWith(letter))) {
      this.first = letter;
      this.timer = setTimeout(() => {
        this.first = "";
        this.blank = [...document.querySelectorAll("[data-icon]")];
      }, 1500);
    } else return false;
    return true;
  }
}
