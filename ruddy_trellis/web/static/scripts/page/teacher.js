// A board page: puts the parts together.
import { hideChoices, showChoices } from "../bar/choices.js";
import { ARROWS, BoardView } from "../board/board_view.js";
import { Drawer } from "../drawer/drawer.js";
import { Gestures } from "../board/gestures.js";
import { labelOffset } from "../drawing/labels.js";
import { hear } from "./hear.js";
import { Latest } from "../board/line.js";
import { SentenceBar, helpOf, spoken } from "../bar/sentence_bar.js";
import { Shelf } from "../bar/shelf.js";
import { isKey, showKeys } from "./keys.js";
import { hideToast, toast } from "./toast.js";

const pin = /** @type {HTMLInputElement} */ (document.getElementById("pin"));
const pointerWords = document.getElementById("pointer-words");

let selected = [];
let tool = null;
let typing = ""; // the signs with which something begins that the running sentence takes
let another = false; // whether the next thing that is picked is added to the selection
let heardOf = ""; // the selection that was told of last
let marked = null; // what Enter gives to the running sentence
let markedLast = null;
let atLabelStart = null;
let pendingItems = []; // the new points of the running sentence, or all that a list of sentences would make
let listing = false; // whether such a list is looked at

// Fetched when they are first used.
let strip = null;
let replay = null;
let present = null;
const boardId = document.getElementById("board").dataset.board;
const view = new BoardView(`/boards/${boardId}/live`, {
  connected() {
    hovers.clear();
    bar.unanswered();
  },
  board({ back }) {
    if (back !== undefined) view.note(back === null ? "Saved" : "An earlier state");
    select(selected.filter((id) => drawing.things.has(id)));
    if (back === undefined || back === null) drawer.refresh();
  },
  changed({ gone }) {
    if (gone.length) selected = selected.filter((id) => !gone.includes(id));
    if (selected.length || gone.length) select(selected);
    else if (bar.near && !tool) bar.done();
    drawer.refresh();
  },
  state: pageIsEmpty,
  tick(items) {
    drawer.tick(items);
    strip?.show();
  },
  revealed: () => strip?.show(),
  playing: (ids) => drawer.running(ids),
  help: (words) => (tool ? helpOf(tool) : `/help?find=${encodeURIComponent((bar.sent[0] ?? words).slice(0, 200))}`),
  refused: (ways) => bar.refused(ways),
  hidden: () => [...(replay?.hidden() ?? []), ...(strip?.words() ?? [])],
});
const { canvas, port, drawing, line, drags, reveals, player } = view;
const hovers = new Latest((content) => line.send("hover", content));

const stepping = {
  order: () => [...drawing.things.keys()],
  kind: (id) => {
    const item = drawing.things.get(id);
    return item?.shape && !item.style.hidden && !reveals.hidden().includes(id) ? item.kind : "";
  },
  changed(seen, count) {
    view.closeThings();
    drawer.stepped(seen, count);
  },
  draw: (id, progress) => drawing.drawnBy(id, progress),
};

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
  return () => (coming ??= load());
}

const fetchReplay = fetched(async () => {
  replay = new (await import("./replay.js")).Replay(stepping);
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
  turning = fetchPresent().then(() => {
    turning = null;
    present.turn(true);
  });
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

// The server speaks ---------------------------------------------------------------------------------------------

line.on("prompt", ({ tool: key, chips, ways, typed, pinned, pending }) => {
  if (tool !== key) markedLast = null;
  tool = key;
  marked = null;
  typing = typed;
  gestures.toolMode = !!key;
  canvas.classList.toggle("tool-mode", !!key);
  pin.checked = pinned;
  shelf.press(key);
  drawing.preview(pending);
  drawing.markOnly("lit", []);
  pendingItems = pending;
  if (key) {
    bar.prompt(chips, ways, key);
    hear(spoken(chips));
    if (selected.length) select([]);
  } else {
    speak(null);
    if (selected.length) select(selected);
    else bar.rest();
  }
  pageIsEmpty();
});
line.on("under", ({ words, fits, lights, items }) => {
  hovers.landed();
  if (!tool) return;
  drawing.markOnly("lit", lights);
  drawing.preview(fits && items.length ? items : pendingItems);
  speak(words, fits);
});

line.on("which", ({ at, reach, ways }) => {
  const place = { x: port.px(at[0]), y: port.py(at[1]) };
  const acts = ways.map(({ id, words }) => ({ words, light: id, act: () => line.send("click", { at, reach, id }) }));
  showChoices(place, "Which one?", acts, (id) => drawing.markOnly("lit", id ? [id] : []));
});

line.on("considered", ({ lights, items }) => {
  if (listing && !bar.considered) pendingItems = items; // drawn as long as the list is looked at
  drawing.markOnly("lit", bar.considered ? lights : []);
  drawing.preview(bar.considered ? items : pendingItems);
});

line.on("gathered", ({ ids }) => select(ids));
line.on("show", (message) => {
  port.show(message.view);
  view.viewChanged();
});

line.on("offers", (offer) => {
  if (tool || !selected.length) return;
  const hidden = selected.every((id) => drawing.things.get(id)?.style.hidden);
  const what = selected.join(" ");
  if (what !== heardOf) hear(offer.offers.length ? `${offer.words}. 1 makes ${offer.offers[0].sentence}` : offer.words);
  heardOf = what; // a sentence that was said meanwhile does not tell of the old selection again
  bar.selection(offer, hidden, another);
});

line.on("do", ({ what, id }) => {
  if (what === "fit") view.fit();
  else if (what === "zoom in") view.zoom(1.25);
  else if (what === "zoom out") view.zoom(0.8);
  else if (what === "present") presentIt();
  else if (what === "reveal") reveals.step(1);
  else if (what === "rests") drawer.rests(id);
});

line.on("completions", (ways) => bar.completions(ways));

line.on("said", () => {
  bar.taken();
  drawer.calculated();
  hideToast();
});
line.on("outcome", ({ words }) => toast(words));
const fetchSaidList = fetched(async () => {
  const { SaidList } = await import("../bar/said_list.js");
  return new SaidList({
    say: (text, take) => line.send("say", { text, take }),
    consider(text) {
      listing = !!text;
      pageIsEmpty();
      if (text) line.send("consider", { text });
      else drawing.preview((pendingItems = []));
    },
    back: (text) => bar.backToWords(text),
    done: () => bar.backToWords(""),
  });
});
line.on("sentences", async (found) => {
  bar.taken();
  hideToast();
  (await fetchSaidList()).show(found);
});

function pageIsEmpty() {
  document.getElementById("empty").hidden = view.state.steps !== 0 || !!tool || listing || !!view.state.photograph;
}

// The person acts -----------------------------------------------------------------------------------------------

function edit(change) {
  if (line.send("edit", { edit: change })) view.note("Saving…");
}

function select(ids) {
  selected = ids;
  drawing.markOnly("chosen", ids);
  drawer.selectionChanged();
  if (tool) return;
  if (ids.length) line.send("select", { ids });
  else {
    heardOf = "";
    another = false;
    bar.rest();
  }
}

function choose(id, withShift, here = []) {
  const adding = withShift || another;
  if (id && here.length) drawing.uncover(id);
  if (present?.on) return;
  const others = adding ? [] : here.filter((other) => other !== id && sameSort(id, other));
  bar.alsoHere(others.slice(0, 3).map((other) => ({ words: drawing.things.get(other).says, act: () => choose(other, false, here) })));
  if (id === null) select(adding ? selected : []);
  else if (adding) select(selected.includes(id) ? selected.filter((other) => other !== id) : [...selected, id]);
  else select(selected.length === 1 && selected[0] === id ? [] : [id]);
}

/** Whether two things under the pointer could be meant for one another: two pegs, or two that are none. */
function sameSort(id, other) {
  return (drawing.things.get(id)?.kind === "point") === (drawing.things.get(other)?.kind === "point");
}

/** What can be done with one thing, beside the pointer. */
function menu(id, place, fingerIsDown) {
  if (!selected.includes(id)) select([id]);
  const { style, says, kind } = drawing.things.get(id);
  const ids = [...selected]; // the menu stays about what its title says, whatever is selected meanwhile
  const restyle = (look) => edit({ kind: "restyle", ids, look });
  const ways = [
    { words: "Change its look or name", act: () => drawer.open("look") },
    { words: style.hidden ? "Show" : "Hide", act: () => restyle({ hidden: !style.hidden }) },
    { words: "Delete", act: () => edit({ kind: "delete", ids }) },
  ];
  if (kind !== "number")
    ways.splice(1, 0, { words: style.label ? "Take its label away" : "Show its label", act: () => restyle({ label: !style.label }) });
  showChoices(place, ids.length > 1 ? `${ids.length} things` : says, ways, undefined, fingerIsDown);
}

/** Select the next or the one before of the things that are seen; with a tool in the hand, mark it for the running sentence. */
function walk(step, adding = false) {
  const next = drawing.next(tool ? markedLast : selected.at(-1), step);
  if (next === null) return;
  if (tool) {
    marked = markedLast = next;
    drawing.markOnly("lit", [next]);
    return hear(`${drawing.things.get(next).says}. Enter takes it`);
  }
  bar.alsoHere([]);
  select(adding ? [...new Set([...selected, next])] : [next]);
}

function takeTool(key) {
  hideToast();
  gestures.toolMode = !!key; // at once: a click may be quicker than the sentence of the tool
  line.send("tool", { key, pinned: pin.checked && !!key });
}

/** Enter: what is marked goes into the running sentence; without such a thing the sentence is done, if it can be. */
function finish() {
  const item = drawing.things.get(marked);
  marked = null;
  if (!item?.shape) return line.send("finish");
  const { at, points = [0, 0] } = item.shape;
  line.send("click", { at: (at ?? points).slice(0, 2), reach: 1 / port.zoom, id: item.id });
}

function remove() {
  if (selected.length) edit({ kind: "delete", ids: selected });
}

function stop() {
  if (hideChoices()) return;
  gestures.stop();
  hideToast();
  if (player.on && !tool) return line.send("pause");
  if (tool) takeTool(null);
  else select([]);
}

/** The board has the keys again. */
function toBoard() {
  canvas.focus({ preventScroll: true });
}

/** Words beside the pointer. */
function speak(words, fits = true) {
  pointerWords.hidden = !words;
  if (!words) return;
  pointerWords.textContent = words;
  pointerWords.classList.toggle("no", !fits);
}

function movePointerWords(event) {
  const right = event.clientX - port.left > port.width * 0.66;
  const low = event.clientY - port.top > port.height - 60;
  pointerWords.style.transform = `translate(${event.clientX - port.left + (right ? -14 : 18)}px, ${event.clientY - port.top + (low ? -40 : 20)}px)${right ? " translateX(-100%)" : ""}`;
}

const bar = new SentenceBar({
  say: (text) => line.send("say", { text }),
  complete: (text) => line.send("complete", { text: text.slice(0, 500) }),
  consider: (text) => {
    if (text) return line.send("consider", { text });
    drawing.markOnly("lit", []);
    drawing.preview(pendingItems);
  },
  offer: (number) => line.send("offer", { number }),
  stop,
  toBoard,
  finish,
  mark: walk,
  ask: (name) => line.send("gap", { name }),
  another(on) {
    another = on;
  },
  hide: (hidden) => edit({ kind: "restyle", ids: selected, look: { hidden } }),
  remove,
  warn: (words) => (words ? toast(words) : hideToast()),
});

const drawer = new Drawer(boardId, {
  edit,
  choose,
  remove,
  selected: () => selected,
  light: (ids) => drawing.markOnly("lit", ids),
  send: ({ t, ...content }) => line.send(t, content),
  ahead: (change) => line.send("ahead", { edit: change }),
  reach: () => 10 / port.zoom,
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

const shelf = new Shelf(takeTool);

const gestures = new Gestures(
  { canvas, port, drawing },
  {
    hover(event) {
      if (tool) {
        port.measure();
        movePointerWords(event);
        hovers.offer({ at: port.at(event), reach: gestures.reach(event) });
        return;
      }
      const item = view.pointAt(event);
      if (selected.length) return;
      if (item) bar.hover(item.sentence);
      else bar.rest();
    },
    leave() {
      drawing.markOnly("lit", []);
      speak(null);
      drawing.preview(pendingItems);
      if (!tool && !selected.length) bar.rest();
    },
    click: (at, reach, label) => line.send("click", { at, reach, ...(drawing.things.get(label)?.kind === "number" ? { id: label } : {}) }),
    menu,
    grab: (id, at) => view.grab(selected.includes(id) ? [id, ...selected.filter((other) => other !== id)] : [id], at),
    drag: (to) => drags.offer({ to }),
    drop: () => view.letGo(),
    choose,
    box(box, done, adding) {
      drawing.showBox(done ? null : box);
      if (!done || !box) return;
      const found = drawing.enclosed(box);
      select(adding ? [...new Set([...selected, ...found])] : found);
    },
    labelMoved(id, dx, dy, done) {
      const item = drawing.things.get(id);
      atLabelStart ??= labelOffset(item);
      const offset = [atLabelStart[0] + dx, atLabelStart[1] + dy];
      drawing.move([{ id, shape: item.shape, label: { ...item.label, offset } }]);
      if (done) {
        atLabelStart = null;
        edit({ kind: "restyle", ids: [id], look: { label_offset: offset } });
      }
    },
    viewChanged: () => view.viewChanged(),
  },
);

// Buttons and keys ----------------------------------------------------------------------------------------------

const pasting = /** @type {HTMLDialogElement} */ (document.getElementById("pasting"));
pasting.addEventListener("close", () => {
  const field = document.getElementById("pasted");
  const text = field.value.trim();
  const isWorking = text.split("\n").every((line) => !line.trim() || / is (?:the|an?|all|both|where|whether) /.test(line));
  if (pasting.returnValue === "add" && text && isWorking) edit({ kind: "paste", text });
  else if (pasting.returnValue === "add" && text)
    bar.send(text); // said in other words: it is shown what it is read as
  else field.value = "";
});
document.getElementById("share").addEventListener("click", async () => {
  const { openSharing } = await underWay("share", import("./sharing.js")); // fetched when it is first asked for
  await underWay(
    "share",
    openSharing((id, kept) => edit({ kind: "restyle", ids: [id], look: { teacher_only: kept } })),
  );
});
for (const kind of ["dragover", "drop"])
  document.addEventListener(kind, async (event) => {
    if (!event.dataTransfer?.types.includes("Files")) return;
    event.preventDefault();
    if (kind === "drop") (await import("./in.js")).openIn(edit, view, event.dataTransfer.files[0]);
  });
document.getElementById("files").addEventListener("click", async () => {
  const { openOut } = await underWay("files", import("./out.js"));
  await underWay("files", openOut(view, edit));
});
const boards = (act) => import("./boards.js").then((found) => found[act]((title) => edit({ kind: "arrange", title })));
document.getElementById("board-acts").addEventListener("click", () => boards("boardActs"));
if (document.getElementById("board-form").dataset.gone) boards("tellGone");
document.getElementById("tidy").addEventListener("click", () => edit({ kind: "tidy" }));
document.getElementById("ghosts").addEventListener("change", (event) => {
  drawing.showGhosts(event.target.checked);
  view.showDials();
});
pin.addEventListener("change", () => {
  if (tool) takeTool(tool);
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
  if (event.key === "Enter" || event.key === "Escape") toBoard();
});

document.addEventListener("keydown", (event) => {
  if (document.querySelector("dialog[open]") || !isKey(event)) return;
  if (turning) turning.then(() => present.key(event)); // a key may be quicker than what it is for
  if (turning || present?.key(event)) {
    event.preventDefault();
    return;
  }
  const writing = event.target.matches?.("input:not([type=checkbox]):not([type=range]), textarea, select");
  const command = event.ctrlKey || event.metaKey;
  if (command && !writing && event.key.toLowerCase() === "z") line.send(event.shiftKey ? "redo" : "undo");
  else if (command && !writing && event.key.toLowerCase() === "y") line.send("redo");
  else if (command || writing || (event.altKey && !ARROWS[event.key])) return;
  else if (event.key === "Escape") stop();
  else if (tool && event.key.length === 1 && typing.includes(event.key)) bar.typeOn(event.key);
  else if (event.key === "Delete" && !tool) remove();
  else if (event.key === "Backspace") {
    // On a button that has the focus it is no key of the board's: it would delete what nobody looks at.
    if (event.target !== canvas && event.target !== document.body) return;
    if (tool) line.send("back");
    else remove();
  } else if (event.key === "?") showKeys();
  else if (event.key === "[" || event.key === "]") walk(event.key === "]" ? 1 : -1, false);
  else if (event.key === "{" || event.key === "}") walk(event.key === "}" ? 1 : -1, true);
  else if (event.key === "+" || event.key === "-") view.zoom(event.key === "+" ? 1.25 : 0.8);
  else if (event.key === "0") view.fit();
  else if (event.key === "PageDown" || event.key === "PageUp")
    (tool ? walk : (way) => reveals.step(way))(event.key === "PageDown" ? 1 : -1);
  else if (event.key === ".") line.send(player.on ? "pause" : "play");
  else if (event.key === "=") edit({ kind: "record" });
  else if (/^[1-9]$/.test(event.key) && selected.length && event.key <= bar.offered) line.send("offer", { number: Number(event.key) - 1 });
  else if (event.key === "/") document.getElementById("typed").focus();
  else if (event.key === "Enter" && !tool && event.target === canvas && selected.length === 1) drawing.uncover(selected[0]);
  else if (event.key === "Enter" && tool && !event.target.matches("button, a")) finish();
  else if (event.key === " " && event.target === canvas) gestures.space = true;
  else if (event.target.matches("[role=tab], input") || !view.nudge(event, selected)) {
    if (!/^[a-z]$/.test(event.key) || !shelf.letter(event.key)) return;
  }
  event.preventDefault();
});
document.addEventListener("keyup", (event) => {
  if (event.key === " ") gestures.space = false;
});

// Chalk and instruments are fetched when they are first taken up; one of them is in the hand.
const inHand = {};
for (const [id, file, name] of [
  ["chalk", "../board/chalk.js", "Chalk"],
  ["instruments", "../laid/tray.js", "Tray"],
])
  document.getElementById(id).addEventListener("click", async () => {
    inHand[id] ??= new (await underWay(id, import(file)))[name](view);
    const on = !inHand[id].on;
    for (const other of Object.values(inHand)) if (other !== inHand[id] && other.on) other.turn(false);
    inHand[id].turn(on);
  });
