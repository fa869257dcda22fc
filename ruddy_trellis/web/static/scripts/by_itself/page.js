// A page that works by itself: shows one of its boards, with a thread in the place of a server. It is laid together with the
// scripts of a student's page, which find it as they find any other.

const file = JSON.parse(document.getElementById("file").textContent);
const number = Math.min(Math.max(Number(location.hash.slice(1)) || 1, 1), file.boards.length);
const board = file.boards[number - 1];
const name = `ruddy-trellis by itself ${file.mark} ${number}`;

/** What this browser kept of the board, where it keeps anything. */
function kept() {
  try {
    return localStorage.getItem(name) ?? "";
  } catch {
    return "";
  }
}

/** Keep the board as it is; "" keeps nothing. */
function keep(text) {
  try {
    if (text) localStorage.setItem(name, text);
    else localStorage.removeItem(name);
  } catch {
    // Then it lasts as long as the page.
  }
}

/** The bytes of a part of the page. */
function bytes(id) {
  const packed = document.getElementById(id).textContent;
  if (Uint8Array.fromBase64) return Uint8Array.fromBase64(packed);
  const text = atob(packed);
  const found = new Uint8Array(text.length);
  for (let place = 0; place < text.length; place++) found[place] = text.charCodeAt(place);
  return found;
}

const text = (id) => document.getElementById(id).textContent;
const address = (script) => URL.createObjectURL(new Blob([script], { type: "text/javascript" }));

/** What stands for the line to a server: what is sent goes to the thread. */
class Inside {
  constructor(thread, left) {
    Object.assign(this, { thread, left, readyState: WebSocket.OPEN, ready: false });
    thread.onmessage = ({ data }) => this.told(data);
    thread.onerror = () => this.told({ failed: "" });
  }

  send(message) {
    // Until the thread is there it cannot say that it is: what was sent meanwhile waits.
    if (!this.ready && message === '{"t":"here"}') setTimeout(() => this.tell({ t: "here", number: 0 }));
    else this.thread.postMessage({ text: message });
  }

  told({ ready, answers, keep: now, failed }) {
    if (failed !== undefined) {
      wake.textContent = "Here the board can only be looked at: this browser does not run what moves it.";
      return;
    }
    if (ready) {
      this.ready = true;
      wake.hidden = true;
      document.body.dataset.ready = "";
    }
    // The first answers are in the page already, but where the board was left otherwise.
    if (answers && !this.opened && !this.left) this.opened = true;
    else for (const answer of answers ?? []) this.tell(answer);
    if (now !== undefined) keep(now);
  }

  tell(answer) {
    const event = { data: JSON.stringify(answer) };
    this.onmessage?.(event);
  }
}

// The thread reads its script while the page is laid out.
const starts = await new Response(new Blob([bytes("starts")]).stream().pipeThrough(new DecompressionStream("gzip"))).text();
const thread = new Worker(address(`self.importScripts = undefined;\n${starts}\n${text("thread")}`));

document.title = board.title === file.title ? file.title : `${board.title} · ${file.title}`;
document.body.className = board.classes;
document.getElementById("page").outerHTML = board.page;
const root = document.getElementById("board");
const fonts = JSON.parse(text("fonts"));
for (const [weight, source] of Object.entries(fonts))
  document.fonts.add(new FontFace("Atkinson Hyperlegible", `url(${source})`, { weight }));
root.dataset.look = JSON.stringify({ ...JSON.parse(root.dataset.look), fonts });
if (board.photograph) root.dataset.photographs = `${board.photograph}#`;
const wake = document.createElement("p");
wake.className = "waking";
wake.setAttribute("role", "status");
wake.textContent = "Getting ready to be moved…";
root.append(wake);

const left = kept();
const inside = new Inside(thread, left);
const parts = { wasm: bytes("wasm").buffer, library: bytes("library").buffer, core: bytes("core").buffer };
thread.postMessage({ begin: { ...parts, lock: text("lock") } }, Object.values(parts));
thread.postMessage({ open: JSON.stringify(board.data), kept: left });
window.early = {
  address: `${location.protocol === "https:" ? "wss" : "ws"}://${location.host}${root.dataset.live}`,
  socket: inside,
  events: left ? [] : board.first.map((answer) => ({ data: JSON.stringify(answer) })),
};
addEventListener("hashchange", () => location.reload());
window.threadOf = () => address(`(() => {\n${text("painter")}\n})();`);
