// A student's own copy of a board: what its page has whether or not it is built on.
import { BoardView } from "../board/board_view.js";
import { hear } from "./hear.js";
import { kept } from "./kept.js";
import { Strip } from "./strip.js";
import { toast } from "./toast.js";

const back = /** @type {HTMLButtonElement} */ (document.getElementById("story-back"));
const forward = /** @type {HTMLButtonElement} */ (document.getElementById("story-next"));
const behind = document.getElementById("behind");

/**
 * Open the copy that this browser holds.
 * @param {object} hooks of the view, as ``BoardView`` has them
 */
export function openCopy(hooks) {
  const page = document.getElementById("board");
  const inClass = "class" in page.dataset; // who is in a class has the class's own secret
  const token = (!inClass && kept.read("copy")) || page.dataset.fresh;
  if (!inClass) kept.write("copy", token);
  const story = `story ${page.dataset.live}`;
  let strip = null;
  let shown = false; // whether the board has been shown
  /** @type {Promise<import("./keeping.js").Keeping> | null} */
  let keeping = null; // fetched when there is something to keep, or to be found
  const keeps = () =>
    (keeping ??=
      page.dataset.keeps === undefined ? null : import("./keeping.js").then(({ Keeping, canKeep }) => canKeep() && new Keeping(view)));
  const view = new BoardView(page.dataset.live, {
    ...hooks,
    protocol: inClass ? undefined : `copy.${token}`,
    state(state) {
      tellBehind(state.behind);
      hooks.state?.(state);
    },
    revealed() {
      const { some, more, less } = view.reveals.progress();
      back.hidden = forward.hidden = !some;
      forward.disabled = !more;
      back.disabled = !less;
      kept.write(story, JSON.stringify(view.reveals.seen())); // what of the story is seen is kept for the next visit
      strip?.show();
    },
    tick(items) {
      strip?.show();
      hooks.tick?.(items);
    },
    board(message) {
      shown = true;
      hooks.board?.(message);
    },
    async connected(open) {
      hooks.connected?.(open);
      if (!open && !shown) (await keeps())?.goOn();
    },
    copied: async (text) => (await keeps())?.keep(text).catch(() => {}), // a browser may not let a page keep anything
    hidden: () => [...(strip?.words() ?? []), ...(hooks.hidden?.() ?? [])],
    figure: () => strip?.figure(),
    fits: true,
  });
  const { line, reveals, drawing } = view;
  reveals.restore(JSON.parse(kept.read(story) ?? "[]"));
  strip = new Strip(view);
  strip.turn();
  drawing.onKept = () => toast("Your teacher lifts this one.");
  line.on("lifted", ({ ids }) => drawing.liftForAll(ids));
  line.on("kit", () => location.reload());
  line.on("behind", (message) => tellBehind(message.behind));
  line.on("renewal", ({ words, taken }) => {
    if (!words) return tellBehind(false);
    if (taken) return toast(words, { undo: null });
    behind.querySelector("p").textContent = `If you take it: ${words[0].toLowerCase()}${words.slice(1)}`;
    hear(behind.textContent);
  });
  document.getElementById("behind-take").addEventListener("click", () => line.send("renew", { take: true }));
  document.getElementById("behind-later").addEventListener("click", () => {
    later = true;
    behind.hidden = true;
  });
  back.addEventListener("click", () => reveals.step(-1));
  forward.addEventListener("click", () => reveals.step(1));
  document.getElementById("reset").addEventListener("click", () => {
    reveals.startAgain();
    drawing.coverAll();
    drawing.clearTrails();
    line.send("reset");
  });

  if (inClass) import("../classroom/student.js").then(({ InClass }) => new InClass(view));

  let told = false;
  let later = false; // whether the student has said so
  /** The teacher has changed the board: it is told once, with what taking that would do. */
  function tellBehind(is) {
    if (is && !told) {
      behind.querySelector("p").textContent = "Your teacher has changed this board.";
      line.send("renew");
    }
    told = is;
    if (!is) later = false;
    behind.hidden = !is || later;
  }

  return view;
}
