// The page for the projector: how many are in, and a board that is put up. No names arrive here.
import { classLine } from "./class_line.js";
import { Shown } from "./shown.js";

const page = document.getElementById("main");
const stage = document.getElementById("stage");
let shown = null;

const line = classLine(
  `/classes/${page.dataset.class}/line`,
  (_, gone) => gone && over(),
  () => {},
);
line.on("people", ({ here, door, code }) => {
  document.getElementById("count").textContent = String(here);
  document.getElementById("code").textContent = door ? code : "The door is shut.";
});
line.on("stage", (message) => {
  if (message.kind !== "put_up") return;
  stage.hidden = false;
  shown ??= new Shown(stage.querySelector("canvas"), JSON.parse(page.dataset.look));
  shown.take(message);
});
for (const kind of ["stage_changed", "moved"]) line.on(kind, (message) => !stage.hidden && shown.take(message));
line.on("stage_over", () => {
  stage.hidden = true;
});
line.on("over", over);

function over() {
  page.replaceChildren(Object.assign(document.createElement("h1"), { textContent: "The class is over." }));
}
