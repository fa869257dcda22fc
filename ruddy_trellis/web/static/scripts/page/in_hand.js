// What is taken up with a button; one thing is in the hand at a time.

const inHand = {};
const PARTS = {
  chalk: () => import("../board/chalk.js").then(({ Chalk }) => Chalk),
  instruments: () => import("../laid/tray.js").then(({ Tray }) => Tray),
};

/** Take something up, or put it away. */
export async function take(view, id) {
  inHand[id] ??= new (await PARTS[id]())(view);
  const on = !inHand[id].on;
  for (const other of Object.values(inHand)) if (other !== inHand[id] && other.on) other.turn(false);
  inHand[id].turn(on);
}
