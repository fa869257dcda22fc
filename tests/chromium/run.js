// A thread in which a module of the core's tests is run with the runtime of a page.

self.addEventListener("message", async ({ data: [name, reasons] }) => {
  try {
    const { loadPyodide } = await import("./pyodide.mjs");
    const lock = await (await fetch("lock.json")).text();
    const python = await loadPyodide({ indexURL: new URL(".", import.meta.url).href, lockFileContents: lock });
    const fetched = async (what) => (await fetch(what)).arrayBuffer();
    python.FS.writeFile("/library.zip", new Uint8Array(await fetched("library.zip")));
    python.unpackArchive(await fetched("core.zip"), "zip", { extractDir: "/core" });
    python.runPython(`
import sys
sys.path.insert(0, "/core")
sys.path.append("/library.zip")
`);
    python.runPython(await (await fetch("run.py")).text());
    postMessage(python.globals.get("told")(name, reasons));
  } catch (problem) {
    postMessage(JSON.stringify({ passed: 0, failed: [["", String(problem)]], absent: [], seconds: 0 }));
  }
});
