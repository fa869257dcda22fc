// The core as this browser's runtime has compiled it, which takes seconds: kept by its mark.

/** What was compiled once, by its mark; of others nothing is kept. */
export function kept(what, mark, bytes) {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open("ruddy-trellis-near", 1);
    opening.onupgradeneeded = () => opening.result.createObjectStore("compiled");
    opening.onerror = () => reject(opening.error);
    opening.onsuccess = () => {
      const change = opening.result.transaction("compiled", what === "put" ? "readwrite" : "readonly");
      const store = change.objectStore("compiled");
      if (what === "put") {
        store.clear();
        store.put(bytes, mark);
        change.oncomplete = () => resolve();
      } else {
        const asking = store.get(mark);
        asking.onsuccess = () => resolve(asking.result);
      }
      change.onerror = () => reject(change.error);
    };
  });
}
