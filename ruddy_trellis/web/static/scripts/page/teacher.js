// A teacher's board page: puts the parts together.
import { BoardView } from "../board/board_view.js";
import { Drawer } from "../drawer/drawer.js";
import { Building } from "./building.js";
import { toast } from "./toast.js";

// Fetched when they are first used.
let strip = null;
let replay = null;
let present = null;
const boardId = document.getElementById("board").dataset.board;
const view = new BoardView(`/boards/${boardId}/live`, {
  connected: () => hand.connected(),
  board({ back }) {
    if (back !== undefined) view.note(back === null ? "Saved" : "An earlier state");
    hand.shown();
    if (back === undefined || back === null) drawer.refresh();
  },
  changed(message) {
    hand.changed(message);
    drawer.refresh();
  },
  state: () => hand.tellEmpty(),
  tick(items) {
    drawer.tick(items);
    strip?.show();
  },
  revealed: () => strip?.show(),
  playing: (ids) => drawer.running(ids),
  help: (words) => hand.help(words),
  under: (message) => hand.under(message),
  refused: (ways) => hand.bar.refused(ways),
  hidden: () => [...(replay?.hidden() ?? []), ...(strip?.words() ?? [])],
});
const { port, drawing, line, reveals } = view;

const hand = new Building(view, {
  changed: () => drawer.selectionChanged(),
  said: () => drawer.calculated(),
  looksOnly: () => present?.on,
  ways: () => [{ words: "Change its look or name", act: () => drawer.open("look") }],
  does(what, id) {
    if (what === "present") presentIt();
    else if (what === "rests") drawer.rests(id);
  },
  key(event) {
    if (turning) turning.then(() => present.key(event)); // a key may be quicker than what it is for
    return turning || present?.key(event);
  },
});
const edit = (change) => hand.edit(change);

/** A button tells that what it is for is under way, where that takes a while. */
async function underWay(id, coming) {
  const button = document.getElementById(id);
  const timer = setTimeout(() => button.setAttribute("aria-busy", "true"), 300);
  try {
    return await coming;
  } finally {
    clearTimeout(timer);
    button.removeAttribute("aria-busy");
  }
}

/** A part that is fetched when it is first used, once however often it is asked for meanwhile. */
function fetched(load) {
  let coming;
  return () =>
    (coming ??= load().catch((problem) => {
      coming = undefined; // it is tried again when it is asked for again
      throw problem;
    }));
}

const fetchReplay = fetched(async () => {
  replay = new (await import("./replay.js")).Replay(view, (seen, count) => drawer.stepped(seen, count));
});
/** Go through the working step by step. */
const goThrough = (way) => fetchReplay().then(way);

const SMALL = matchMedia("(max-width: 43.75em), (max-height: 35em)");
const fetchStrip = fetched(async () => {
  strip = new (await import("./strip.js")).Strip(view);
  strip.turn();
});
const onSmallScreens = () => SMALL.matches && fetchStrip();
SMALL.addEventListener("change", onSmallScreens);
onSmallScreens();

const fetchPresent = fetched(async () => {
  present = new (await import("./present.js")).Present(presenting);
});
let turning = null; // what is under way until the board is presented
function presentIt() {
  turning = fetchPresent()
    .finally(() => {
      turning = null;
    })
    .then(() => present.turn(true));
}
document.getElementById("present").addEventListener("click", presentIt);
if (new URLSearchParams(location.search).has("present")) presentIt();

const presenting = {
  step: (way) => reveals.step(way),
  board(way) {
    const tabs = [...document.querySelectorAll(".tabs a")];
    const next = tabs[tabs.findIndex((tab) => tab.classList.contains("on")) + way];
    if (next) location.href = `${next.href}&present`;
  },
  fitted: () => requestAnimationFrame(() => view.refit()),
};

const drawer = new Drawer(boardId, {
  edit,
  choose: (...what) => hand.choose(...what),
  remove: () => hand.remove(),
  selected: () => hand.selected,
  light: (ids) => drawing.markOnly("lit", ids),
  send: ({ t, ...content }) => line.send(t, content),
  ahead: (change) => line.send("ahead", { edit: change }),
  reach: () => 10 / port.zoom,
  away: () => view.offline?.is,
  refuse: (words) => toast(words, { refusal: true }),
  snap: (snap) => edit({ kind: "arrange", snap, ...(snap && !view.state.spacing ? { spacing: port.roundLength(64) } : {}) }),
  paste() {
    pasting.returnValue = "";
    pasting.showModal();
  },
  clearTrails: () => drawing.clearTrails(),
  fitPhotograph: async () => (await import("./photograph.js")).fitPhotograph(view, edit),
  lifeSize: async () => (await import("./life_size.js")).lifeSize(view),
  step: (way) => goThrough(() => replay.step(way)),
  replay: () => goThrough(() => (replay.playing ? replay.stop() : replay.play())),
  seeAll() {
    replay?.stop();
    replay?.go(null);
  },
  boardLook(id) {
    line.send("board_look", { id });
  },
  words: (words) => toast(words),
  calculate: (text) => line.send("say", { text: text.includes("=") || / is /.test(text) ? text : `the value of ${text}` }),
  place: (id, text) => line.send("put", { id, text, unseen: view.reveals.hidden() }),
});

// Buttons -------------------------------------------------------------------------------------------------------

const pasting = /** @type {HTMLDialogElement} */ (document.getElementById("pasting"));
pasting.addEventListener("close", () => {
  const field = document.getElementById("pasted");
  const text = field.value.trim();
  const isWorking = text.split("\n").every((line) => !line.trim() || / is (?:the|an?|all|both|where|whether) /.test(line));
  if (pasting.returnValue === "add" && text && isWorking) edit({ kind: "paste", text });
  else if (pasting.returnValue === "add" && text)
    hand.bar.send(text); // said in other words: it is shown what it is read as
  else field.value = "";
});
document.getElementById("share").addEventListener("click", async () => {
  const { openSharing } = await underWay("share", import("./sharing.js")); // fetched when it is first asked for
  await underWay(
    "share",
    openSharing((id, kept) => edit({ kind: "restyle", ids: [id], look: { teacher_only: kept } }), edit),
  );
});
for (const kind of ["dragover", "drop"])
  document.addEventListener(kind, async (event) => {
    if (!event.dataTransfer?.types.includes("Files")) return;
    event.preventDefault();
    if (kind === "drop") (await import("./in.js")).openIn(edit, view, event.dataTransfer.files[0]);
  });
const fetchClass = fetched(async () => {
  const { ClassPanel } = await import("../classroom/panel.js");
  return new ClassPanel(view, { selected: () => hand.selected, lift: (ids) => drawing.liftForAll(ids) });
});
document.getElementById("class-button").addEventListener("click", async () => {
  const panel = await underWay("class-button", fetchClass());
  sessionStorage.setItem("class", panel.root.hidden ? "open" : "shut");
  if (!panel.root.hidden) panel.shut();
  else await underWay("class-button", panel.open());
});
const inClass = "open" in document.getElementById("class-panel").dataset;
if (inClass && (sessionStorage.getItem("class") === "open" || sessionStorage.getItem("leading")))
  fetchClass().then((panel) => panel.open());
document.getElementById("files").addEventListener("click", async () => {
  const { openOut } = await underWay("files", import("./out.js"));
  await underWay("files", openOut(view, edit));
});
const boards = (act) => import("./boards.js").then((found) => found[act]((title) => edit({ kind: "arrange", title }), hand.selected));
document.getElementById("board-acts").addEventListener("click", () => boards("boardActs"));
if (document.getElementById("board-form").dataset.gone) boards("tellGone");
document.getElementById("ghosts").addEventListener("change", (event) => {
  drawing.showGhosts(event.target.checked);
  view.showDials();
});

const title = /** @type {HTMLInputElement} */ (document.getElementById("title"));
title.addEventListener("change", async () => {
  const answer = await fetch(title.dataset.address, { method: "POST", body: new URLSearchParams({ title: title.value }) });
  const text = await answer.text();
  if (answer.ok) title.defaultValue = title.value = text;
  else {
    toast(text, { refusal: true });
    title.value = title.defaultValue;
  }
});
title.addEventListener("keydown", (event) => {
  if (event.key === "Escape") title.value = title.defaultValue; // what was typed is let go
  if (event.key === "Enter" || event.key === "Escape") hand.toBoard();
});

for (const id of ["chalk", "instruments"])
  document.getElementById(id).addEventListener("click", () =>
    underWay(
      id,
      import("./in_hand.js").then(({ take }) => take(view, id)),
    ),
  );
