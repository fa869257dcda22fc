// Who is in a class, on the teacher's pages: states in words, pictures, what is done with somebody.

const IDLE_AFTER = 90; // seconds without anything done

/** What somebody does now, in a word. */
export function stateOf({ here, help, idle, apart }) {
  if (help) return "asks for help";
  if (!here) return "away";
  if (apart) return "carries on alone";
  return idle > IDLE_AFTER ? "idle" : "";
}

/** The address of a picture from its text. */
export const pictureOf = (svg) => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;

/** Send a form of the class. Returns what is wrong, in words; "" where nothing is. */
export async function change(address, fields) {
  const answer = await fetch(address, { method: "POST", body: new URLSearchParams(fields) }).catch(() => null);
  if (answer?.ok) return "";
  return answer ? await answer.text() : "The server cannot be reached, so that was not done.";
}
