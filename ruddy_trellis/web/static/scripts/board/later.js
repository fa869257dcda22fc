// What a page asks for later.

/** Fetch it while there is a line: there may be none when it is asked for. */
export async function fetchLater() {
  const low = { priority: "low" };
  const list = new URL("../later.json", import.meta.url);
  try {
    const names = await (await fetch(list, low)).json();
    await Promise.all(names.map(async (name) => (await fetch(new URL(name, list), low)).arrayBuffer()));
  } catch {
    // It is fetched when it is asked for.
  }
}
