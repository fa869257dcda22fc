// What was done without a line and is not saved yet, told on the list of lessons.
import { kept } from "./kept.js";

const unsent = kept.all("unsent ").map(([, text]) => JSON.parse(text));
const place = document.getElementById("unsent");
place.hidden = !unsent.length;
for (const { at, title, where, edits } of unsent) {
  const line = document.createElement("p");
  const count = `${edits.length} change${edits.length === 1 ? "" : "s"}`;
  line.append(`${count} of ${new Date(at).toLocaleString()} in “${title}” ${edits.length === 1 ? "is" : "are"} not saved yet: `);
  line.append(Object.assign(document.createElement("a"), { href: where, textContent: "open it, and they are" }), ".");
  place.append(line);
}

// Whoever signs out leaves nothing behind in this browser.
document.querySelector("form[action='/sign-out']")?.addEventListener("submit", (event) => {
  if (unsent.length && !confirm("Some of what you did without a line is not saved yet. Sign out all the same, and lose it?"))
    event.preventDefault();
  else kept.forget("unsent ");
});
