// What is taken up with a button, fetched when it is first used; one thing is in the hand at a time.

/** A button tells that what it is for is under way, where that takes a while. */
export async function underWay(id, coming) {
  const button = document.getElementById(id);
  const timer = setTimeout(() => button.setAttribute("aria-busy", "true"), 300);
  try {
    return await coming;
  } finally {
    clearTimeout(timer);
    button.removeAttribute("aria-busy");
  }
}

const inHand = {};
const PARTS = {
  chalk: () => import("../board/chalk.js").then(({ Chalk }) => Chalk),
  instruments: () => import("../laid/tray.js").then(({ Tray }) => Tray),
};

/** Buttons that take something up, or put it away. */
export function takeUp(view, ...ids) {
  for (const id of ids)
    document.getElementById(id).addEventListener("click", async () => {
      inHand[id] ??= new (await underWay(id, PARTS[id]()))(view);
      const on = !inHand[id].on;
      for (const other of Object.values(inHand)) if (other !== inHand[id] && other.on) other.turn(false);
      inHand[id].turn(on);
    });
}
