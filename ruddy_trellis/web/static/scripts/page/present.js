// Presenting: the board alone, large, with keys for going on and back, and a dot of light to point with.

export class Present {
  /** @param {object} acts step (way), board (way), fitted */
  constructor(acts) {
    this.acts = acts;
    this.dot = document.getElementById("laser");
    document.getElementById("present-stop").addEventListener("click", () => this.turn(false));
    document.getElementById("present-next").addEventListener("click", () => acts.step(1));
    document.getElementById("present-back").addEventListener("click", () => acts.step(-1));
    document.addEventListener("pointermove", (event) => this.point(event));
  }

  get on() {
    return document.body.classList.contains("presenting");
  }

  turn(on) {
    document.body.classList.toggle("presenting", on);
    document.getElementById("present-bar").hidden = !on;
    if (!on) this.dot.hidden = true;
    document.getElementById(on ? "drawing" : "present").focus();
    this.acts.fitted();
  }

  point({ clientX, clientY }) {
    if (!this.dot.hidden) this.dot.style.transform = `translate(${clientX}px, ${clientY}px)`;
  }

  /** A key while presenting. Returns whether it meant something here: a field, and Enter on a button, keep their own. */
  key({ key, target }) {
    if (!this.on || (key !== "Escape" && target.matches("input, select, textarea"))) return false;
    if (key === "Enter" && target.matches("button, a")) return false;
    if (key === "Escape") this.turn(false);
    else if (["PageDown", "ArrowRight", "ArrowDown", "Enter"].includes(key)) this.acts.step(1);
    else if (["PageUp", "ArrowLeft", "ArrowUp"].includes(key)) this.acts.step(-1);
    else if (key === "l") this.dot.hidden = !this.dot.hidden;
    else if (key === "c") document.getElementById("chalk").click();
    else if (key === "[" || key === "]") this.acts.board(key === "]" ? 1 : -1);
    else return false;
    return true;
  }
}
