// What is shared by link goes on after it is loaded again without a line: the page, its files and the copy of the board are kept in this
// browser. On plain http there is nothing that keeps them.

const NAME = "shared by link";

export class Keeping {
  /** @param {import("../board/board_view.js").BoardView} view */
  constructor(view) {
    this.view = view;
    this.address = `${view.path}/copy`;
    this.isKept = false;
  }

  /** The copy of the board is as it is now. The page itself is kept once. */
  async keep(text) {
    const cache = await caches.open(NAME);
    await cache.put(this.address, new Response(text));
    if (this.isKept) return;
    this.isKept = true;
    await navigator.serviceWorker.register("/open/keeper.js");
    const { active } = await navigator.serviceWorker.ready;
    const files = performance
      .getEntriesByType("resource")
      .map(({ name }) => name)
      .filter((name) => name.startsWith(location.origin) && /\/static\/|\/photographs\//.test(name));
    const [version] = import.meta.url.match(/\/static\/[^/]+\//);
    const later = new URL("../later.json", import.meta.url);
    for (const name of await (await fetch(later)).json()) files.push(new URL(name, later).href);
    active.postMessage({ page: location.href.split("#")[0], files: [...new Set(files)], version });
  }

  /** There is no line, and nothing is shown yet: go on with the copy that was kept, where there is one. */
  async goOn() {
    const kept = await (await caches.open(NAME)).match(this.address);
    if (!kept || this.view.line.isOpen) return;
    const text = await kept.text();
    await this.view.bringNear();
    this.view.near?.openAlone(text);
  }
}

/** Whether this browser can keep pages here. */
export function canKeep() {
  return "serviceWorker" in navigator && "caches" in window;
}
