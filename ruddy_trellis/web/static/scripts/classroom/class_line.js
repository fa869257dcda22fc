// The line of a class: one WebSocket beside that of the board.
import { Line } from "../board/line.js";

/**
 * Open it.
 * @param {string} path
 * @param {(open: boolean, gone: boolean) => void} onState
 * @param {() => void} onMissed told when something could not be sent
 */
export function classLine(path, onState, onMissed) {
  const scheme = location.protocol === "https:" ? "wss" : "ws";
  return new Line(`${scheme}://${location.host}${path}`, onState, onMissed, () => {});
}
