// Somebody in a class: asking for help, following, what is put up, questions, and going.
import { hear } from "../page/hear.js";
import { kept } from "../page/kept.js";
import { toast } from "../page/toast.js";
import { classLine } from "./class_line.js";
import { Shown } from "./shown.js";

const element = (name, attributes = {}) => Object.assign(document.createElement(name), attributes);

export class InClass {
  /** @param {import("../board/board_view.js").BoardView} view of their own copy */
  constructor(view) {
    this.view = view;
    const { class: id, id: board } = view.page.dataset;
    this.id = id;
    this.board = Number(board);
    this.told = document.getElementById("class-told");
    this.card = document.getElementById("question");
    this.stage = document.getElementById("stage");
    this.help = /** @type {HTMLButtonElement} */ (document.getElementById("ask-help"));
    this.question = null;
    this.line = classLine(
      `/class/${id}/line`,
      (open, gone) => {
        if (gone) this.out("You are out of the class.");
        if (open) this.line.send("at", { board: this.board });
      },
      () => toast("The server cannot be reached, so that was not taken in. Trying again…", { refusal: true }),
    );
    this.help.addEventListener("click", () => this.askHelp(this.help.getAttribute("aria-pressed") !== "true"));
    this.listen();
  }

  listen() {
    const { line } = this;
    line.on("you", (message) => this.you(message));
    line.on("out", ({ words }) => this.out(words));
    line.on("helped", () => this.helpIs(false, "Your teacher is coming."));
    line.on("looked", ({ on }) => {
      this.looked = on;
      this.tell();
      this.pointed(null);
    });
    line.on("put_up", () => {
      this.isUp = true;
      this.tell();
    });
    line.on("dot", ({ at, over }) => (over ? this.pointed(at) : this.shown?.point(at)));
    for (const kind of ["stage", "stage_changed", "moved", "frames", "playing"]) line.on(kind, (message) => this.look(message));
    line.on("marks", ({ items }) => this.shown?.mark(items));
    line.on("stage_over", () => this.carryOn());
    line.on("question", (message) => this.ask(message));
    line.on("answered", ({ question, choice, items }) => {
      if (this.question?.id !== question) return;
      this.question.mine = { choice, items };
      this.showMine();
      hear("Your answer is taken. You may change it.");
    });
    line.on("question_closed", ({ id }) => this.question?.id === id && this.close("No more answers are taken."));
    line.on("answers", (message) => this.answers(message));
    line.on("question_over", ({ id }) => this.question?.id === id && this.putAway());
    line.on("says", ({ words, kind }) => toast(words, { refusal: kind === "refusal" }));
    // While the own board is not seen no key does anything to it.
    document.addEventListener(
      "keydown",
      (event) => {
        const own = /** @type {Element} */ (event.target).closest("button, a, input, dialog");
        if (!this.stage.hidden && !own && event.key !== "Tab") event.stopImmediatePropagation();
      },
      { capture: true },
    );
  }

  you({ name, help, looked, apart }) {
    document.getElementById("my-name").textContent = name;
    if (help !== undefined) this.helpIs(help);
    if (looked !== undefined) this.looked = looked;
    if (apart !== undefined) this.isApart = apart;
    this.tell();
  }

  /** What of this page others see, said for as long as it is so. */
  tell() {
    const words = [];
    if (this.isUp) words.push("Your board is put up for everyone, without your name.");
    if (this.looked) words.push("Your teacher is looking at your board.");
    const text = words.join(" ");
    if (this.told.firstChild?.textContent === text) return;
    this.told.replaceChildren(text);
    this.told.hidden = !text && !this.isApart;
    if (this.isApart) this.told.append(this.button("Look at the teacher’s board again", () => this.come()));
  }

  button(words, act, main = false) {
    const button = element("button", { className: main ? "mini main" : "mini", textContent: words });
    button.addEventListener("click", act);
    return button;
  }

  askHelp(on) {
    if (this.line.send("help", { on })) this.helpIs(on, on ? "Your teacher sees that you ask for help." : "");
  }

  helpIs(on, words = "") {
    this.help.setAttribute("aria-pressed", String(on));
    this.help.textContent = on ? "Help asked for" : "Ask for help";
    if (words) toast(words);
  }

  /** The teacher points at something on this board. */
  pointed(at) {
    this.dot ??= this.view.canvas.parentElement.appendChild(element("div", { className: "laser over", hidden: true }));
    const { port, canvas } = this.view;
    this.dot.hidden = !at;
    if (at) this.dot.style.transform = `translate(${canvas.offsetLeft + port.px(at[0])}px, ${canvas.offsetTop + port.py(at[1])}px)`;
  }

  // Together ------------------------------------------------------------------------------------------------------

  /** What all look at lies over the own board, which is as it was. */
  look(message) {
    if (message.t !== "stage" && this.stage.hidden) return;
    this.shown ??= new Shown(this.stage.querySelector("canvas"), JSON.parse(this.view.page.dataset.look));
    if (message.t === "stage") {
      const photographs = new URL(`/class/${this.id}/${message.board}/photographs/`, location.href).href;
      message.scene.photographs = photographs;
      const fresh = this.stage.hidden || this.kind !== message.kind;
      this.kind = message.kind;
      this.isUp = message.kind === "put_up" && message.mine;
      this.stage.hidden = false;
      this.tell();
      if (fresh) {
        document.body.classList.add("following"); // what is done to the own board would not be seen
        const up = this.isUp ? "Your board is put up for all, without your name." : "A board of the class, put up for all.";
        const words = message.kind === "lead" ? "All look at the teacher’s board." : up;
        this.stage.querySelector(".stage-words").replaceChildren(
          `${words} `,
          this.button("Carry on by myself", () => this.leave()),
        );
        this.setAside(true);
      }
      this.shown.take(message);
      if (fresh) hear(`${this.stage.querySelector(".stage-words").firstChild.textContent} ${this.shown.words()}`);
      return;
    }
    this.shown.take(message);
  }

  leave() {
    this.line.send("apart", { on: true });
    this.hideStage();
    this.isApart = true;
    this.told.replaceChildren();
    this.tell();
  }

  come() {
    this.isApart = false;
    this.line.send("apart", { on: false });
    this.told.replaceChildren();
    this.tell();
  }

  /** Each is back at their own copy. */
  carryOn() {
    const was = !this.stage.hidden;
    this.isApart = this.isUp = false;
    this.hideStage();
    this.told.replaceChildren();
    this.tell();
    if (was) toast("Back at your own board, as it was.");
  }

  /** What belongs to the own board is out of reach while it is not seen, for the keyboard and for the ear as well. */
  setAside(on) {
    const stays = new Set([this.stage, this.card, this.told, document.getElementById("toast"), document.getElementById("heard")]);
    for (const part of this.stage.parentElement.children)
      if (!stays.has(part) && part.tagName !== "H1") /** @type {HTMLElement} */ (part).inert = on;
  }

  hideStage() {
    this.stage.hidden = true;
    document.body.classList.remove("following");
    this.shown?.mark([]);
    this.shown?.point(null);
    this.setAside(false);
  }

  // Questions -----------------------------------------------------------------------------------------------------

  ask(message) {
    this.question = message;
    this.taking = message.state === "open";
    const { words, choices, kind, board, items } = message;
    const fold = this.button("Fold", () => this.fold(!this.card.classList.contains("folded")));
    const parts = [fold, element("p", { className: "question-words", textContent: words })];
    if (board !== this.board && kind !== "words")
      parts.push(Object.assign(element("a", { href: `/class/${this.id}?board=${board}`, textContent: "To the board that it is about" })));
    if (kind === "place") parts.push(this.placeAnswer());
    else {
      const row = element("p", { className: "question-choices" });
      for (const [choice, text] of choices.entries()) {
        const button = this.button(text, () => this.taking && this.line.send("answer", { question: message.id, choice }));
        button.dataset.choice = String(choice);
        row.append(button);
      }
      parts.push(row);
    }
    parts.push(element("p", { className: "more question-told" }));
    this.card.replaceChildren(...parts);
    this.card.hidden = false;
    this.fold(false);
    if (board === this.board) this.view.drawing.showTheirs(items);
    this.showMine();
    if (!this.taking) this.close("No more answers are taken.");
    hear(`A question to the class: ${words}`);
  }

  /** The question makes room for the board under it, or is there again. */
  fold(on) {
    const button = this.card.firstElementChild;
    this.card.classList.toggle("folded", on);
    button.textContent = on ? "The question" : "Fold";
    button.setAttribute("aria-expanded", String(!on));
  }

  /** A place is tapped on the board, or typed. */
  placeAnswer() {
    const row = element("form", { className: "question-choices" });
    const tap = this.button("Tap it on the board", () => this.tapping(true));
    tap.type = "button";
    const fields = ["x", "y"].map((name) =>
      element("input", { name, inputMode: "decimal", size: 4, autocomplete: "off", ariaLabel: name }),
    );
    row.append(
      tap,
      element("span", { className: "more", textContent: "or type" }),
      ...fields,
      this.button("Answer", () => {}),
    );
    row.addEventListener("submit", (event) => {
      event.preventDefault();
      const at = fields.map((field) => Number(field.value.replace(",", ".")));
      if (at.every(Number.isFinite) && fields.every((field) => field.value.trim())) this.answerAt(at);
      else toast("Type two numbers.", { refusal: true });
    });
    return row;
  }

  tapping(on) {
    this.glass ??= this.view.canvas.parentElement.appendChild(element("div", { className: "glass", hidden: true }));
    this.glass.hidden = !on;
    if (this.question) this.fold(on);
    this.glass.onpointerdown = (event) => {
      this.view.port.measure();
      this.answerAt(this.view.port.at(event));
      this.tapping(false);
    };
    if (on) hear("Tap the place on the board.");
  }

  answerAt(at) {
    if (this.taking) this.line.send("answer", { question: this.question.id, at });
  }

  showMine() {
    const { mine, board } = this.question;
    for (const button of this.card.querySelectorAll("[data-choice]"))
      button.setAttribute("aria-pressed", String(mine?.choice === Number(button.dataset.choice)));
    if (mine?.items.length && board === this.board) this.view.drawing.showTheirs(mine.items);
    this.card.querySelector(".question-told").textContent = mine ? "Answered. You may change it." : "";
  }

  close(words) {
    this.taking = false;
    this.tapping(false);
    this.card.querySelector(".question-told").textContent = words;
    for (const button of this.card.querySelectorAll("[data-choice], form button, input")) button.disabled = true;
  }

  /** What the others answered, without whose it is. */
  answers({ id, counts, items }) {
    if (this.question?.id !== id) return;
    this.close("");
    const most = Math.max(1, ...counts);
    for (const button of this.card.querySelectorAll("[data-choice]")) {
      const count = counts[Number(button.dataset.choice)];
      button.textContent = `${this.question.choices[Number(button.dataset.choice)]}: ${count}`;
      button.classList.toggle("most", count === most);
    }
    this.card.querySelector(".question-told").textContent = items.length
      ? `${items.length} answers, all on the board.`
      : "So it was answered.";
    this.card.querySelector(".question-told").after(this.button("Put it away", () => this.putAway()));
    if (items.length && this.question.board === this.board) this.view.drawing.showTheirs(items);
    hear(this.card.textContent);
  }

  putAway() {
    this.question = null;
    this.card.hidden = true;
    this.tapping(false);
    this.view.drawing.showTheirs([]);
  }

  // Going ---------------------------------------------------------------------------------------------------------

  /** The class is over, or somebody was sent out: the browser forgets them. */
  async out(words) {
    if (this.isOut) return;
    this.isOut = true;
    kept.forget("/class/");
    await fetch(`/class/${this.id}/done`, { method: "POST", redirect: "manual" }).catch(() => {});
    const main = element("main", { className: "lessons coming-in", tabIndex: -1 });
    main.append(
      element("h1", { textContent: words }),
      element("p", { textContent: "This device has forgotten your nickname, your place in the class and what it kept of your board." }),
      Object.assign(element("a", { href: "/in", className: "btn btn-quiet", textContent: "Come into a class" })),
    );
    document.body.className = "";
    document.body.replaceChildren(main);
    main.focus();
  }
}
