// What this browser keeps, where it keeps anything: in some frames it may not.

export const kept = {
  read(name) {
    try {
      return localStorage.getItem(`ruddy-trellis ${name}`);
    } catch {
      return null;
    }
  },
  /** What is kept under names that begin so, by the whole names. */
  all(part) {
    try {
      const begins = `ruddy-trellis ${part}`;
      const names = Object.keys(localStorage).filter((name) => name.startsWith(begins));
      return names.map((name) => [name, localStorage.getItem(name)]);
    } catch {
      return [];
    }
  },
  /** All goes in whose name there is this. */
  forget(part) {
    try {
      for (const name of Object.keys(localStorage)) if (name.includes(part)) localStorage.removeItem(name);
    } catch {
      // Then nothing was kept.
    }
  },
  write(name, value) {
    try {
      localStorage.setItem(`ruddy-trellis ${name}`, value);
    } catch {
      // Then it lasts as long as the page.
    }
  },
};
