// The core as this browser's runtime has compiled it, and the runtime's memory with the core in it, which take seconds to make: kept by
// the core's mark.

/** What was kept once, by a name that begins with the core's mark; of other cores nothing is kept. */
export function kept(what, name, bytes) {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open("ruddy-trellis-near", 1);
    opening.onupgradeneeded = () => opening.result.createObjectStore("compiled");
    opening.onerror = () => reject(opening.error);
    opening.onsuccess = () => {
      const change = opening.result.transaction("compiled", what === "put" ? "readwrite" : "readonly");
      const store = change.objectStore("compiled");
      if (what === "put") {
        const before = store.getAllKeys();
        before.onsuccess = () => {
          const mark = name.split(" ")[0];
          for (const key of before.result) if (key.split(" ")[0] !== mark) store.delete(key);
          store.put(bytes, name);
        };
        change.oncomplete = () => resolve();
      } else {
        const asking = store.get(name);
        asking.onsuccess = () => resolve(asking.result);
      }
      change.onerror = () => reject(change.error);
    };
  });
}
