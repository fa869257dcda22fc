// A page that works by itself opens twice as quickly with the core compiled: this browser, which has the runtime, puts that in.

const BEGIN = '<script type="text/plain" id="core">';
const END = "</script>";

/** How long that may take, milliseconds: where the core is not compiled yet it is now. */
const PATIENCE = 45_000;

/**
 * The page with the compiled core in the place of its sources; as it was where that cannot be had.
 * @param {Blob} content the page
 * @param {string} [places] where the runtime is fetched from, as JSON
 */
export async function quickened(content, places) {
  if (!places || !window.WebAssembly || !window.CompressionStream) return content;
  const text = await content.text();
  const from = text.indexOf(BEGIN) + BEGIN.length;
  const to = text.indexOf(END, from);
  const sources = Uint8Array.from(atob(text.slice(from, to)), (letter) => letter.charCodeAt(0));
  const archive = await compiled(JSON.parse(places), sources);
  if (!archive) return content;
  const packed = await new Response(new Blob([archive]).stream().pipeThrough(new CompressionStream("gzip"))).arrayBuffer();
  return new Blob([text.slice(0, from), base64(new Uint8Array(packed)), text.slice(to)], { type: "text/html" });
}

/** An archive of sources as the runtime compiles it; null where that cannot be had. */
async function compiled(places, sources) {
  const worker = new Worker(new URL("../near/worker.js", import.meta.url), { type: "module" });
  const { archive } = await new Promise((done) => {
    worker.onmessage = ({ data }) => done(data);
    worker.onerror = () => done({});
    setTimeout(() => done({}), PATIENCE);
    worker.postMessage({ kind: "pack", places, sources });
  });
  worker.terminate();
  return archive ?? null;
}

function base64(bytes) {
  const pieces = [];
  for (let at = 0; at < bytes.length; at += 30_000) pieces.push(btoa(String.fromCharCode(...bytes.subarray(at, at + 30_000))));
  return pieces.join("");
}
