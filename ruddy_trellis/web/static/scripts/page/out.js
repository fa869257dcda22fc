// The dialog for what goes out: its picture shows what will be there; what is long says how far it is and can be stopped.
import { hear } from "./hear.js";
import { kept } from "./kept.js";
import { saveAs } from "./save_as.js";
import { toast } from "./toast.js";

const dialog = /** @type {HTMLDialogElement} */ (document.getElementById("taking-out"));
const panel = document.getElementById("out-panel");
const STREAMED = new Set(["gif", "apng", "zip"]);
/** What the name of a file ends with, where that is not the kind. */
const ENDINGS = { apng: "png", log: "csv", page: "html" };
/** How much of the height of the window the picture may take. */
const SHARE = 0.52;
/** What cannot be seen in the picture of the dialog. */
const UNSEEN = new Set(["csv", "log", "txt", "json", "zip", "print", "page"]);
let dialogOf = null;

/**
 * Open the dialog.
 * @param {import("../board/board_view.js").BoardView} view
 * @param {(change: object) => void} edit
 */
export async function openOut(view, edit) {
  await window.htmx.ajax("GET", `/boards/${panel.dataset.board}/panels/out`, { target: "#out-panel", swap: "innerHTML" });
  if (!dialogOf) dialog.addEventListener("click", (event) => event.target === dialog && dialog.close());
  if (!dialog.open) dialog.showModal();
  dialogOf = new Out(view);
  document.getElementById("out-in").addEventListener("click", async () => {
    dialog.close();
    (await import("./in.js")).openIn(edit, view);
  });
}

class Out {
  constructor(view) {
    this.view = view;
    this.form = /** @type {HTMLFormElement} */ (document.getElementById("out-form"));
    this.told = document.getElementById("out-told");
    this.box = document.getElementById("out-box");
    this.frame = null;
    this.seen = view.port.view();
    this.recall();
    panel.querySelector(".close-out").addEventListener("click", () => dialog.close());
    this.form.addEventListener("change", () => this.changed());
    this.form.addEventListener("input", (event) => event.target.type === "number" && this.soon());
    this.form.addEventListener("submit", (event) => {
      event.preventDefault();
      this.save();
    });
    document.getElementById("out-copy").addEventListener("click", () => this.copy());
    document.getElementById("out-stop").addEventListener("click", () => this.stop?.abort());
    this.framing(document.getElementById("out-frame"));
    document.getElementById("out-preview").addEventListener("load", ({ target }) => {
      // However large it will be, here it takes the room that there is.
      const { naturalWidth: width, naturalHeight: height } = target;
      const times = Math.min(panel.querySelector(".out-see").clientWidth / width, (SHARE * innerHeight) / height);
      target.width = Math.floor(times * width) - 2; // as an attribute: of a style the policy would complain when the panel is put in anew
    });
    dialog.addEventListener("close", () => this.stop?.abort(), { once: true });
    this.changed();
  }

  get kind() {
    return this.form.elements.kind.value;
  }

  /** What was chosen the last time. */
  recall() {
    const chosen = JSON.parse(kept.read("out") ?? "{}");
    for (const field of this.form.elements) {
      if (!(field.name in chosen) || field.name === "motion") continue;
      if (field.type === "radio") field.checked = field.value === chosen[field.name];
      else if (field.type === "checkbox") field.checked = chosen[field.name];
      else if (field.tagName !== "SELECT" || [...field.options].some(({ value }) => value === chosen[field.name]))
        field.value = chosen[field.name];
    }
  }

  keep() {
    const chosen = {};
    for (const { name, type, value, checked } of this.form.elements)
      if (name && (type !== "radio" || checked)) chosen[name] = type === "checkbox" ? checked : value;
    kept.write("out", JSON.stringify(chosen));
  }

  changed() {
    for (const part of this.form.querySelectorAll("[data-for]")) part.hidden = !part.dataset.for.split(" ").includes(this.kind);
    document.getElementById("out-save").textContent = this.kind === "print" ? "Go to the handout" : "Save";
    this.keep();
    this.look();
  }

  soon() {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.changed(), 400);
  }

  /** What the server is asked for. */
  async asked() {
    const { elements } = this.form;
    const { view, kind } = this;
    const is = (name) => elements[name].checked;
    const number = (name) => Number(elements[name].value) || undefined;
    const film = kind === "gif" || kind === "apng";
    const wanted = {
      part: elements.part.value,
      view: this.seen,
      wide: view.port.width,
      frame: this.frame,
      size: film ? "pixels" : elements.size.value,
      pixels: film ? number("wide") : number("pixels"),
      paper: elements.paper.value,
      landscape: is("landscape"),
      ground: elements.ground.value,
      closed: [...new Set([...view.reveals.hidden(), ...(view.hooks.hidden?.() ?? [])])],
      lifted: [...view.drawing.uncovered],
      trails: is("trails") && !film && kind !== "dxf" ? await view.drawing.trails() : [],
    };
    for (const name of ["ink_only", "grid", "names", "readings", "chalk", "photograph", "outlines"]) wanted[name] = is(name);
    if (!film) return { wanted, judges: elements.judges?.checked ?? false };
    const about = Object.fromEntries(["rate", "speed", "seconds"].map((name) => [name, number(name)]));
    return { wanted, film: { ...about, motion: elements.motion.value, loops: Number(elements.loops.value) } };
  }

  async post(address, body, signal) {
    const answer = await fetch(address, {
      method: "POST",
      body: JSON.stringify(body),
      signal,
      headers: { "content-type": "application/json" },
    });
    if (answer.ok) return answer;
    throw new Error(answer.status === 422 ? await answer.text() : "That could not be done. Try again.");
  }

  /** Show what will go out. */
  async look() {
    const image = document.getElementById("out-preview");
    document.getElementById("out-frame").hidden = UNSEEN.has(this.kind);
    if (UNSEEN.has(this.kind)) return this.tellOfLook("");
    const number = (this.looks = (this.looks ?? 0) + 1);
    if (image.hidden) this.tellOfLook("The picture is being drawn…");
    try {
      const asked = await this.asked();
      const framing = asked.wanted.part === "frame";
      // While a frame is chosen, all that is seen is there to drag it over.
      const answer = await this.post(this.out("preview"), { wanted: { ...asked.wanted, part: framing ? "view" : asked.wanted.part } });
      const drawn = await answer.blob();
      if (number !== this.looks) return;
      URL.revokeObjectURL(image.src);
      image.src = URL.createObjectURL(drawn);
      image.hidden = false;
      this.showFrame(framing);
      this.tellOfLook(framing && !this.frame ? "Drag a frame over the picture." : "");
    } catch (error) {
      this.tellOfLook(error.message);
    }
  }

  out(kind) {
    const every = { pdf: "every", page: "each" }[kind];
    return kind === "zip" || this.form.elements[every]?.checked
      ? `/lessons/${panel.dataset.lesson}/out/${kind}`
      : `/boards/${panel.dataset.board}/out/${kind}`;
  }

  tell(words) {
    this.toldOfLook = false;
    this.told.textContent = words;
  }

  /** What there is to say of the picture; what was said of a file that is made, or was, is not wiped away by it. */
  tellOfLook(words) {
    if (!words && !this.toldOfLook) return;
    this.tell(words);
    this.toldOfLook = true;
  }

  /** A frame is dragged over the picture. */
  framing(place) {
    let from = null;
    const at = (event) => {
      const { left, top, width, height } = document.getElementById("out-preview").getBoundingClientRect();
      const inside = (share) => Math.min(Math.max(share, 0), 1);
      const [x, y] = [inside((event.clientX - left) / width), inside((event.clientY - top) / height)];
      const [west, south, east, north] = this.seen;
      return [west + x * (east - west), north - y * (north - south)];
    };
    place.addEventListener("pointerdown", (event) => {
      if (this.form.elements.part.value !== "frame") return;
      event.preventDefault();
      place.setPointerCapture(event.pointerId);
      from = at(event);
    });
    place.addEventListener("pointermove", (event) => {
      if (!from) return;
      const to = at(event);
      this.frame = [Math.min(from[0], to[0]), Math.min(from[1], to[1]), Math.max(from[0], to[0]), Math.max(from[1], to[1])];
      this.showFrame(true);
    });
    place.addEventListener("lostpointercapture", () => {
      from = null;
      this.tellOfLook("");
    });
  }

  showFrame(on) {
    this.box.hidden = !on || !this.frame;
    if (this.box.hidden) return;
    const [west, south, east, north] = this.seen;
    const [left, low, right, high] = this.frame;
    const part = (value, whole) => `${(100 * value) / whole}%`;
    Object.assign(this.box.style, {
      left: part(left - west, east - west),
      top: part(north - high, north - south),
      width: part(right - left, east - west),
      height: part(high - low, north - south),
    });
  }

  async save() {
    const { kind } = this;
    if (kind === "print") return void window.open(`/boards/${panel.dataset.board}/handout`, "_blank");
    if (kind === "json") return void (location.href = `/lessons/${panel.dataset.lesson}/lesson.json`);
    await this.working(async (signal) => {
      const answer = await this.post(this.out(kind), await this.asked(), signal);
      const name = `${document.getElementById("title").value.replace(/[^\w]+/g, "-") || "lesson"}.${ENDINGS[kind] ?? kind}`;
      let content = STREAMED.has(kind) ? await this.followed(answer) : await answer.blob();
      if (kind === "page") content = await (await import("./by_itself.js")).quickened(content, this.view.page.dataset.near);
      saveAs(content, name);
      return `Saved as ${name}${kind === "page" ? `: ${(content.size / 1e6).toFixed(1)} MB` : ""}.`;
    });
  }

  copy() {
    return this.working(async (signal) => {
      const answer = await this.post(this.out("png"), await this.asked(), signal);
      await navigator.clipboard.write([new ClipboardItem({ "image/png": await answer.blob() })]);
      return "Copied: put it into a page or a slide.";
    });
  }

  /** Do long work: it can be stopped, and what came of it is told. */
  async working(work) {
    this.stop?.abort();
    const stop = (this.stop = new AbortController());
    const [button, bar] = [document.getElementById("out-stop"), document.getElementById("out-progress")];
    button.hidden = bar.hidden = false;
    bar.removeAttribute("value");
    this.tell("Being made…");
    let words;
    try {
      words = await work(stop.signal);
    } catch (error) {
      words = stop.signal.aborted ? "Stopped." : error.message;
    }
    if (this.stop !== stop) return;
    this.stop = null;
    button.hidden = bar.hidden = true;
    this.tell(words);
    hear(words);
    if (!dialog.open) toast(words);
  }

  /** The file at the end of an answer that says line by line how far it is. */
  async followed(answer) {
    const reader = answer.body.getReader();
    let bytes = new Uint8Array();
    for (;;) {
      const end = bytes.indexOf(10);
      if (end < 0) {
        const { value, done } = await reader.read();
        if (done) throw new Error("The line broke. Try again.");
        bytes = joined([bytes, value]);
        continue;
      }
      const [first, ...rest] = new TextDecoder().decode(bytes.subarray(0, end)).split(" ");
      bytes = bytes.subarray(end + 1);
      if (first === "no") throw new Error(rest.join(" "));
      if (first !== "file") {
        Object.assign(document.getElementById("out-progress"), { value: Number(first), max: Number(rest[0]) });
        this.tell(first === rest[0] ? "Putting it together…" : `${first} of ${rest[0]}`);
        continue;
      }
      const pieces = [bytes];
      for (let part = await reader.read(); !part.done; part = await reader.read()) pieces.push(part.value);
      const whole = new Blob(pieces);
      if (whole.size !== Number(rest[0])) throw new Error("The line broke. Try again.");
      return whole;
    }
  }
}

function joined(pieces) {
  const all = new Uint8Array(pieces.reduce((size, piece) => size + piece.length, 0));
  let at = 0;
  for (const piece of pieces) {
    all.set(piece, at);
    at += piece.length;
  }
  return all;
}
