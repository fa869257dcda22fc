// Why a claim is so, in the drawer: its lines all at once, one after another, or with a part of each under a cover.

/** What is covered in each way of telling. */
const COVERED = { reasons: ".step .line-because", statements: ".step .line-says" };

export class Reason {
  /** @param {HTMLElement} panel the drawer's */
  constructor(panel) {
    this.panel = panel;
    this.way = panel.querySelector("#reason-way")?.value ?? ""; // it may have been chosen before this was here
    this.seen = 0; // of steps, while they come one after another
    this.lines = ""; // what was told, to know it again
    panel.addEventListener("change", (event) => {
      if (event.target.id === "reason-way") this.tell(event.target.value);
    });
    panel.addEventListener("click", ({ target }) => (target.id === "next-reason" ? this.next() : this.lift(target)));
    panel.addEventListener("keydown", (event) => this.key(event));
  }

  /** The panel was put in anew: what was open and uncovered stays so, as long as it is the same reason. */
  shown() {
    const select = this.panel.querySelector("#reason-way");
    if (!select) {
      this.lines = "";
      return;
    }
    const lines = this.panel.querySelector(".reason").textContent;
    const isSame = lines === this.lines;
    this.lines = lines;
    const { seen, way } = this;
    const lifted = this.lifted;
    select.value = way;
    this.tell(way);
    if (!isSame) return;
    for (let step = 0; step < seen; step++) this.next(false);
    for (const place of lifted ?? []) this.uncover(this.panel.querySelectorAll(COVERED[way])[place], place);
  }

  tell(way) {
    this.way = way;
    this.seen = 0;
    this.lifted = new Set();
    const steps = this.steps();
    for (const step of steps) step.hidden = way === "steps";
    this.panel.querySelector(".reason-end").hidden = way === "steps";
    this.panel.querySelector("#next-reason").hidden = way !== "steps";
    for (const part of this.panel.querySelectorAll(".line-says, .line-because")) this.bare(part);
    for (const part of way in COVERED ? this.panel.querySelectorAll(COVERED[way]) : []) {
      part.classList.add("under-cover");
      part.setAttribute("role", "button");
      part.setAttribute("tabindex", "0");
      part.setAttribute("aria-label", way === "reasons" ? "Covered: the reason" : "Covered: the statement");
    }
  }

  steps() {
    return [...this.panel.querySelectorAll("#reason-steps > li")];
  }

  bare(part) {
    part.classList.remove("under-cover");
    for (const name of ["role", "tabindex", "aria-label"]) part.removeAttribute(name);
  }

  uncover(part, place) {
    if (!part) return;
    this.lifted.add(place);
    this.bare(part);
  }

  lift(element) {
    const part = element.closest(".under-cover");
    if (!part) return;
    this.uncover(part, [...this.panel.querySelectorAll(COVERED[this.way])].indexOf(part));
    part.closest(".reason-line").focus();
  }

  /** The next line, lit. */
  next(focus = true) {
    const steps = this.steps();
    const step = steps[this.seen];
    if (!step) return;
    this.seen += 1;
    step.hidden = false;
    if (this.seen === steps.length) {
      this.panel.querySelector(".reason-end").hidden = false;
      this.panel.querySelector("#next-reason").hidden = true;
    }
    if (focus) step.focus();
  }

  /** Up and down from line to line; Enter lifts a cover, and brings the next line. */
  key(event) {
    const line = event.target.closest(".reason-line");
    if (!line) return;
    const lines = [...this.panel.querySelectorAll(".reason-line:not([hidden])")];
    const to = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (to) {
      lines[lines.indexOf(line) + to]?.focus();
      event.preventDefault();
    } else if (event.key === "Enter" || event.key === " ") {
      const covered = event.target.matches(".under-cover") ? event.target : line.querySelector(".under-cover");
      if (covered) this.lift(covered);
      else if (this.way === "steps" && lines.at(-1) === line) this.next();
      event.preventDefault();
    }
  }
}
