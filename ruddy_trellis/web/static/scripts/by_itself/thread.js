// The thread of a page that works by itself: the hand of whoever opened it, at a board that is in the page.
// Asked: begin, open, text. Told: ready, answers and what is to be kept, failed. What starts the runtime stands before this.

let starting = null;
let going = 0;

self.addEventListener("message", async ({ data: { begin, open, kept, text } }) => {
  try {
    if (begin) {
      starting = started(begin);
      await starting;
      return postMessage({ ready: true });
    }
    const page = await starting; // what is asked meanwhile waits its turn
    tell(page, open ? page.open(open, kept) : page.take(text));
  } catch (problem) {
    postMessage({ failed: String(problem?.message ?? problem).slice(-2000) });
  }
});

/** Tell what was answered, and go on by and by where there is more to come. */
function tell(page, text) {
  const { answers, due, keep } = JSON.parse(text);
  postMessage({ answers, keep });
  clearTimeout(going);
  if (due !== null) going = setTimeout(() => tell(page, page.go_on()), due * 1000);
}

/** A file as it was before it was packed. */
async function unpacked(bytes) {
  return new Uint8Array(await new Response(new Blob([bytes]).stream().pipeThrough(new DecompressionStream("gzip"))).arrayBuffer());
}

async function started({ wasm, library, core, lock }) {
  const files = { "pyodide.asm.wasm": await unpacked(wasm), "python_stdlib.zip": await unpacked(library) };
  // Nothing is fetched: what the runtime asks for is here already.
  self.fetch = async (address) =>
    new Response(files[String(address).split("/").pop()], { headers: { "content-type": "application/wasm" } });
  const python = await loadPyodide({
    indexURL: "https://nowhere.invalid/",
    createPyodideModule,
    lockFileContents: lock,
  });
  // Compiled it is packed, as sources it is not.
  const [first, second] = new Uint8Array(core, 0, 2);
  python.FS.writeFile("/core.zip", first === 0x1f && second === 0x8b ? await unpacked(core) : new Uint8Array(core));
  return python.runPython(`
import sys
sys.path.insert(0, "/core.zip")
from ruddy_trellis.near.by_itself import Page
Page()
`);
}
