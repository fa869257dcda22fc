// The hand beside the drawing, in a thread of its own: the same Python as at the server, at a copy of the board.
// Asked: begin, open, look, prompt, take, drag, foresee, adopt, run; without a line leave, do, end; of a thread beside it pack, keep.
// Told: ready, opened, prompted, answers, foreseen, told, cannot, failed; packed, kept.

import { kept } from "./compiled.js";

let starting = null;
let isRemembered = false;
let isFirst = false; // whether this browser had nothing of this core
let going = 0;

self.addEventListener("message", async ({ data: { kind, number, text, places, sources } }) => {
  try {
    if (kind === "begin") starting = begin(places);
    if (kind === "keep") return postMessage({ kind: "kept", done: await keep(places) });
    if (kind === "pack") return postMessage({ kind: "packed", archive: await packed(places, sources) });
    const beside = await starting; // what is asked meanwhile waits its turn
    if (kind === "begin") postMessage({ kind: "ready", remembered: isRemembered, first: isFirst });
    else if (kind === "open") {
      beside.open(text);
      postMessage({ kind: "opened", number });
    } else if (kind === "foresee") postMessage({ kind: "foreseen", number, text: beside.foresee(text) });
    else if (kind === "adopt") beside.adopt(text);
    else if (kind === "look") beside.look(text);
    else if (kind === "prompt") postMessage({ kind: "prompted", number, text: beside.prompt(text) });
    else if (kind === "leave" || kind === "do" || kind === "end" || kind === "run")
      tell(beside, kind, text === undefined ? beside[kind]() : beside[kind](text));
    else if (kind === "drag") {
      const told = beside.drag(text);
      const bytes = told.toJs();
      told.destroy();
      postMessage({ kind: "answers", bytes }, [bytes.buffer]);
    } else postMessage({ kind: "answers", number, text: beside.take(text) });
  } catch (problem) {
    const words = String(problem?.message ?? problem).slice(-2000);
    // A library that is not here.
    postMessage({ kind: words.includes("ModuleNotFoundError") ? "cannot" : "failed", number, words });
  }
});

/** Tell what was answered without a line, or of motions that run here, and go on by and by where there is more to come. */
function tell(beside, kind, text) {
  const told = JSON.parse(text);
  postMessage({ kind: "told", after: kind, told });
  clearTimeout(going);
  if (told.due !== null) going = setTimeout(() => tell(beside, kind === "run" ? "run" : "do", beside.go_on()), told.due * 1000);
}

/** Start the runtime with the core: from its memory as this browser has kept it, which takes less than a second, or anew. Gives what
 *  answers. */
async function begin(places) {
  const [memory, compiled] = await Promise.all([kept("get", memoryOf(places)), kept("get", places.mark)]).catch(() => []);
  const isKept = Boolean(memory?.length && compiled);
  isFirst = !memory && !compiled;
  if (isKept) {
    const beside = await remembered(places, memory, compiled).catch(() => null);
    isRemembered = Boolean(beside);
    if (isRemembered) return beside;
  }
  const python = await anew(places);
  // Not where the core had to be compiled first, after which the memory is much larger.
  if (!memory && compiled) keepMemory(python, places).catch(() => {}); // it is started anew the next time as well
  // What this runtime does not take, though it starts, is not tried again.
  if (isKept) kept("put", memoryOf(places), new Uint8Array(0)).catch(() => {});
  return python.globals.get("beside");
}

/** Start beside the thread that is used, where that had to compile the core, so that the next visit finds memory as well. Gives whether it
 *  will. */
async function keep(places) {
  const [memory, compiled] = await Promise.all([kept("get", memoryOf(places)), kept("get", places.mark)]);
  if (memory || !compiled) return false;
  await keepMemory(await anew(places), places);
  return true;
}

/** Keep the memory of the runtime as it is before any board, name or address was in it. */
async function keepMemory(python, places) {
  await kept("put", memoryOf(places), python.makeMemorySnapshot());
}

/** What answers, from memory that was kept. Throws where this runtime does not take it. */
async function remembered(places, memory, compiled) {
  const python = await started(places, { _loadSnapshot: memory, createPyodideModule: (settings) => roomFor(memory, places, settings) });
  python.FS.writeFile("/core.zip", compiled); // files are no part of its memory
  return python.globals.get("beside");
}

/** The runtime with what answers, started anew. */
async function anew(places) {
  const python = await runs(places, { _makeSnapshot: true });
  python.runPython(`
from ruddy_trellis.near.beside import Beside
beside = Beside()
beside.warm()  # before anything is held here that would wait for it
`);
  return python;
}

const memoryOf = ({ mark }) => `${mark} memory`;

/** The runtime by itself. */
async function started({ runtime, lock }, more) {
  const { loadPyodide } = await import(`${runtime}/pyodide.mjs`);
  return loadPyodide({ indexURL: `${runtime}/`, lockFileContents: lock, ...more });
}

/** The runtime's module with room for memory that is larger than it has at first: it takes what is kept as it is, and does not grow. */
async function roomFor(memory, { runtime }, settings) {
  const { default: create } = await import(`${runtime}/pyodide.asm.mjs`);
  const module = await create(settings);
  const more = memory.length - module.HEAP8.length;
  if (more > 0) module._free(module._malloc(memory.length));
  return module;
}

/** The core compiled, of which only what is in an archive of sources, for a page that carries it along. */
async function packed(places, sources) {
  const python = await runs(places);
  python.FS.writeFile("/wanted.zip", sources);
  python.runPython(`
from ruddy_trellis.near.compiled import packed
with open("/core.zip", "rb") as whole, open("/wanted.zip", "rb") as wanted:
    made = packed(whole.read(), wanted.read())
with open("/packed.zip", "wb") as file:
    file.write(made)
`);
  return python.FS.readFile("/packed.zip");
}

/** The runtime, with the core on its path. */
async function runs(places, more = {}) {
  const { core, mark } = places;
  const [python, compiled] = await Promise.all([started(places, more), kept("get", mark).catch(() => undefined)]);
  if (compiled) python.FS.writeFile("/core.zip", compiled);
  else await compile(python, core, mark);
  python.runPython(`
import sys
sys.path.insert(0, "/core.zip")
`);
  return python;
}

/** Fetch the sources of the core and compile them; what came of it is kept, for it takes seconds. */
async function compile(python, core, mark) {
  const answer = await fetch(core);
  if (!answer.ok) throw new Error(`${core}: ${answer.status}`);
  python.FS.writeFile("/sources.zip", new Uint8Array(await answer.arrayBuffer()));
  python.runPython(`
import sys
sys.path.insert(0, "/sources.zip")
from ruddy_trellis.near.compiled import compiled
with open("/sources.zip", "rb") as sources, open("/core.zip", "wb") as made:
    made.write(compiled(sources.read()))
sys.path.remove("/sources.zip")
for name in [name for name in sys.modules if name.startswith("ruddy_trellis")]:
    del sys.modules[name]
`);
  python.FS.unlink("/sources.zip");
  await kept("put", mark, python.FS.readFile("/core.zip")).catch(() => {});
}
