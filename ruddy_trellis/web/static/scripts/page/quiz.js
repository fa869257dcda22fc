// A quiz on the board: a question at a time in a small window over it, for teachers and students.

import { onEscape } from "./escape.js";

let box = null;
let asked = null;
let last = null; // what was asked last, and how many answers were right so far

/** Ask the first question of a quiz. */
export function openQuiz(view, id) {
  if (!box) build(view);
  if (asked !== id) last = null;
  ask(view, { id });
}

/** Ask on: with an answer to what was asked last, or the same again. */
function ask(view, question) {
  view.line.send("quiz", last ? { ...question, last } : question);
}

function build(view) {
  box = document.createElement("section");
  box.className = "quiz-box";
  box.setAttribute("aria-label", "Quiz");
  // On a small screen it lies over everything, else over the board alone.
  (document.body.classList.contains("with-strip") ? document.body : view.page).append(box);
  view.line.on("quiz", (question) => show(view, question));
  // What is asked about has moved along with what was dragged.
  view.canvas.addEventListener("pointerup", () => setTimeout(() => asked && ask(view, { id: asked }), 150));
  onEscape(box, () => close(view));
}

function show(view, question) {
  const { id, told, asks, names, score } = question;
  const fresh = asked !== id;
  asked = id;
  last = question.last;
  const answer = ([key, name]) => button(name, () => ask(view, { id, answer: key }));
  const told_ = line("p", told, "told");
  told_.setAttribute("role", "status");
  const answers = line("div", "", "claim-acts");
  answers.append(...names.map(answer));
  const foot = line("div", score, "quiz-foot");
  foot.append(button("Enough", () => close(view)));
  box.replaceChildren(told_, line("p", asks, "asks"), answers, foot);
  box.hidden = false;
  if (fresh || told) answers.firstChild.focus({ preventScroll: true });
}

function close(view) {
  asked = last = null;
  box.hidden = true;
  view.line.send("quiz", {});
  view.canvas.focus({ preventScroll: true });
}

function line(name, text, kind) {
  const made = document.createElement(name);
  made.className = kind;
  made.textContent = text;
  return made;
}

function button(text, press) {
  const made = /** @type {HTMLButtonElement} */ (line("button", text, "mini"));
  made.type = "button";
  made.addEventListener("click", press);
  return made;
}
