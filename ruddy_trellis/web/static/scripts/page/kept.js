// What this browser keeps, where it keeps anything: in some frames it may not.

export const kept = {
  read(name) {
    try {
      return localStorage.getItem(`ruddy-trellis ${name}`);
    } catch {
      return null;
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
