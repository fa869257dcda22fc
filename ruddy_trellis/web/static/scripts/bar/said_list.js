// What a paragraph is read as: each sentence beside the words that it came from, to be put right and taken as one.

import { hear } from "../page/hear.js";

function element(tag, className, ...inside) {
  const made = document.createElement(tag);
  if (className) made.className = className;
  made.append(...inside);
  return made;
}

function button(text, act, className = "go") {
  const made = element("button", className, text);
  made.type = "button";
  made.addEventListener("click", act);
  return made;
}

export class SaidList {
  /** @param {object} acts say, consider, back, done */
  constructor(acts) {
    this.acts = acts;
    this.place = element("section", "said-list");
    this.place.setAttribute("aria-label", "What was said, and what it is read as");
    this.place.hidden = true;
    document.getElementById("say").prepend(this.place);
    this.place.addEventListener("keydown", (event) => {
      if (event.key !== "Escape") return;
      event.stopPropagation();
      this.backToWords();
    });
  }

  /** Show what a paragraph is read as: ``{text, lines: [{text, sentences, problem, ways, guesses, remark}], takes}``. */
  show({ text, lines, takes }) {
    this.lines = lines;
    this.text = text;
    const unread = lines.filter((line) => line.problem).length;
    const head = `${lines.length} sentences, ${unread ? `${lines.length - unread} of them read` : "all read"}.`;
    const list = element("ol", "", ...lines.map((line, number) => this.item(line, number)));
    const take = button(unread ? "Make what was read" : "Make all of it", () => this.take(), "go main");
    take.disabled = !takes;
    const foot = element(
      "p",
      "said-acts",
      take,
      button("Back to the words", () => this.backToWords()),
    );
    this.place.replaceChildren(element("h2", "", head), list, foot);
    this.place.hidden = false;
    this.acts.consider(text);
    (this.place.querySelector("input") ?? take).focus();
    hear(`${head} ${unread ? "The first that was not read is in the field." : "Enter makes it."}`);
  }

  item({ text, sentences, problem, ways, guesses, remark }, number) {
    if (!problem) {
      const read = element("div", "read", ...sentences.map((sentence) => element("p", "", sentence)));
      if (remark) read.append(element("p", "soft", remark));
      if (guesses.length) read.append(element("p", "soft", `Read as: ${guesses.join("; ")}.`));
      return element("li", "", element("div", "typed-words", text), read);
    }
    const field = element("input", "");
    field.value = text;
    field.setAttribute("aria-label", `Sentence ${number + 1}, not read: ${problem}`);
    field.addEventListener("keydown", (event) => {
      if (event.key !== "Enter") return;
      event.preventDefault();
      this.change(number, field.value);
    });
    const near = ways.map((way) => button(way, () => this.change(number, way), "go way"));
    return element("li", "unread", element("div", "typed-words", field), element("div", "read", element("p", "", problem), ...near));
  }

  /** Say a sentence otherwise; without words it is left out. */
  change(number, words) {
    const texts = this.lines.map((line, place) => (place === number ? words.trim() : line.text)).filter(Boolean);
    this.close();
    this.acts.say(texts.join("\n"), false);
  }

  take() {
    const read = this.lines.filter((line) => !line.problem).map((line) => line.text);
    this.close();
    this.acts.say(read.join("\n"), true);
    this.acts.done();
  }

  backToWords() {
    this.close();
    this.acts.back(this.lines.map((line) => line.text).join(" "));
  }

  close() {
    this.place.hidden = true;
    this.acts.consider(null);
  }
}
