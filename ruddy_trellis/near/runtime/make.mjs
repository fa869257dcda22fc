// Makes the packed runtime anew: `node make.mjs FOLDER`, where FOLDER is the unpacked npm package `pyodide` of the version below.
// The standard library is cut to what the core imports, and compiled by the runtime itself; everything is packed as it is sent.
import { execFileSync } from "node:child_process";
import fs from "node:fs";
import os from "node:os";
import path from "node:path";
import { pathToFileURL } from "node:url";
import zlib from "node:zlib";

const [from] = process.argv.slice(2);
const here = import.meta.dirname;
const root = path.resolve(here, "../../..");
const source = path.resolve(from);
const { version } = JSON.parse(fs.readFileSync(path.join(source, "package.json"), "utf8"));

// The core as the server packs it, to see what it imports.
const core = path.join(os.tmpdir(), "core-for-runtime.zip");
execFileSync(path.join(root, ".venv/bin/python"), ["-c", `
from ruddy_trellis.near.shipping import core_archive
open("${core}", "wb").write(core_archive())`], { cwd: root });

const { loadPyodide } = await import(pathToFileURL(path.join(source, "pyodide.mjs")).href);
const python = await loadPyodide({ indexURL: `${source}/` });
python.FS.writeFile("/core.zip", fs.readFileSync(core));
python.runPython(`
import importlib.util, io, marshal, sys, zipfile
sys.path.insert(0, "/core.zip")
import json, warnings, traceback, zipimport, encodings.utf_8, encodings.ascii, encodings.latin_1, encodings.idna
import ruddy_trellis.near.beside
import ruddy_trellis.near.compiled
archive = next(place for place in sys.path if place.endswith(".zip") and "core" not in place)
kept = io.BytesIO()
with zipfile.ZipFile(archive) as whole, zipfile.ZipFile(kept, "w", zipfile.ZIP_DEFLATED, compresslevel=9) as cut:
    names = set(whole.namelist())
    for name in sorted(sys.modules):
        base = name.replace(".", "/")
        for path in (f"{base}.py", f"{base}/__init__.py"):
            if path in names:
                code = compile(whole.read(path), path, "exec", optimize=2, dont_inherit=True)
                data = importlib.util.MAGIC_NUMBER + bytes(12) + marshal.dumps(code)
                cut.writestr(zipfile.ZipInfo(path + "c", (2026, 1, 1, 0, 0, 0)), data, zipfile.ZIP_DEFLATED, 9)
open("/library.zip", "wb").write(kept.getvalue())
`);
const library = python.FS.readFile("/library.zip");
const packed = { "python_stdlib.zip": library, "pyodide.asm.wasm": fs.readFileSync(path.join(source, "pyodide.asm.wasm")) };
for (const name of ["pyodide.mjs", "pyodide.asm.mjs"])
  packed[name] = Buffer.from(fs.readFileSync(path.join(source, name), "utf8").replace(/\n?\/\/# sourceMappingURL=.*\n?/, "\n"));
for (const [name, bytes] of Object.entries(packed)) {
  const file = path.join(here, `${name}.gz`);
  fs.writeFileSync(file, zlib.gzipSync(bytes, { level: 9 }));
  console.log(name, bytes.length, fs.statSync(file).size);
}
fs.writeFileSync(path.join(here, "version.txt"), `${version}\n`);
process.exit(0);
