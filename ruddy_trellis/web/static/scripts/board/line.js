// The line to the server: one WebSocket, opened again when it breaks.

// What is told anew, or is worth nothing later. All else is an act of a person, who has to hear that it was not taken in.
const FLEETING = new Set(["view", "hover", "lift", "ahead", "complete", "select", "drag", "drop", "at", "wall", "seen", "dot", "look"]);

/** Acts that are done again at the copy where the line was cut before they were answered: what comes of them is made once. */
export const DONE_AGAIN = new Set([
  "say",
  "click",
  "tool",
  "back",
  "gap",
  "finish",
  "put",
  "offer",
  "edit",
  "loosen",
  "board_look",
  "nudge",
]);
/** Acts that are known by a name, so that it is heard when they are answered. */
const NAMED = new Set([...DONE_AGAIN, "undo", "redo"]);
const page = Math.random().toString(36).slice(2, 12).padEnd(10, "0");
let acts = 0;

/** When the server is asked whether it is there, after something was sent and nothing came; and when that is said, milliseconds. */
const ASKED_AFTER = 1000;
const STALLED_AFTER = 3000;
/** How long a line may take to open, and a page to tell that it is there, milliseconds. */
const OPENS_WITHIN = 8000;

/** Messages to and from a live board. */
export class Line {
  /**
   * @param {string} address of the live board
   * @param {(open: boolean, gone: boolean) => void} onState told when the line opens or breaks, and whether for good
   * @param {() => void} onMissed told when an act could not be sent
   * @param {(stalled: boolean) => void} onStall told when an answer is overdue, and when it has come
   * @param {string} [protocol] what the line is called, where it has to be
   */
  constructor(address, onState, onMissed, onStall, protocol) {
    this.address = address;
    this.protocol = protocol;
    this.onState = onState;
    this.onMissed = onMissed;
    this.onStall = onStall;
    this.stalled = false;
    this.sent = this.asked = 0;
    this.handlers = new Map();
    this.inside = null; // what answers while there is no line, where something does
    this.known = new Map(); // acts that were sent and are not answered, by what they are known by
    this.instead = null; // answers some of what is sent: told what it is, whether it does
    this.beside = []; // hear what is sent, and may answer sooner
    this.heard = null; // the number of the last change that was told
    this.took = 0; // how long the server took for the last act, milliseconds
    this.wait = 250;
    this.failures = 0;
    this.open();
  }

  open() {
    const early = this.early();
    const socket = early?.socket ?? new WebSocket(this.address, this.protocol ? [this.protocol] : []);
    this.socket = socket;
    this.opening = setTimeout(() => this.giveUp(), OPENS_WITHIN);
    socket.onopen = () => {
      clearTimeout(this.opening);
      this.wait = 250;
      this.failures = 0;
      this.known.clear();
      this.onState(true, false);
    };
    socket.onmessage = (event) => {
      const message = JSON.parse(event.data);
      this.answered(message.t === "here");
      this.heard = message.state?.number ?? this.heard;
      if (message.t === "did") {
        this.took = performance.now() - (this.known.get(message.once)?.[2] ?? 0);
        this.known.delete(message.once);
      }
      this.handlers.get(message.t)?.(message, event.data);
    };
    socket.onclose = async () => {
      clearTimeout(this.opening);
      this.asked = this.sent;
      this.answered(true);
      this.failures += 1;
      const gone = this.failures > 1 && (await this.isGone());
      this.onState(false, gone);
      if (gone) return;
      setTimeout(() => this.open(), this.wait);
      this.wait = Math.min(this.wait * 2, 5000);
    };
    // Whoever makes the line has to have it before anything is told.
    if (early?.socket.readyState === WebSocket.OPEN)
      queueMicrotask(() => {
        socket.onopen();
        for (const event of early.events) socket.onmessage(event);
      });
  }

  /** The line is there, or is to be, and nothing comes: it is taken for cut, and another one is opened. */
  giveUp() {
    const { socket } = this;
    const { onclose } = socket;
    socket.onopen = socket.onmessage = socket.onclose = null;
    socket.close();
    onclose?.();
  }

  /** The socket that was opened before the script was here, once; null where there is none, or it has closed again. */
  early() {
    const early = window.early;
    window.early = null;
    return early?.address === this.address && early.socket.readyState <= WebSocket.OPEN ? early : null;
  }

  /** Whether the page itself is no longer there for this browser: then the line will not open again. */
  async isGone() {
    try {
      return [401, 404].includes((await fetch(location.href, { signal: AbortSignal.timeout(OPENS_WITHIN) })).status);
    } catch {
      return false; // the server is away for a while
    }
  }

  /** Call a function for every message of a kind; it gets the message, and its text as it came. */
  on(kind, handler) {
    this.handlers.set(kind, handler);
  }

  get isOpen() {
    return this.socket.readyState === WebSocket.OPEN;
  }

  /** Something was answered that did not come over the line. */
  deliver(message) {
    this.handlers.get(message.t)?.(message);
  }

  /** Send a message. Returns whether somebody answers. */
  send(kind, content = {}) {
    if (this.inside) {
      this.inside(kind, content);
      return true;
    }
    if (this.instead?.(kind, content)) return true;
    if (!this.isOpen) {
      if (!FLEETING.has(kind)) this.onMissed();
      return false;
    }
    if (kind === "undo" || kind === "redo") content = { heard: this.heard }; // what came after it is not meant
    const act = NAMED.has(kind) ? { ...content, once: `${page}-${++acts}` } : content;
    if (act !== content) this.known.set(act.once, [kind, act, performance.now()]);
    this.socket.send(JSON.stringify({ t: kind, ...act }));
    for (const hear of this.beside) hear(kind, act);
    this.sent += 1;
    this.overdue ??= setTimeout(() => this.askWhetherThere(), ASKED_AFTER);
    return true;
  }

  /** What was sent and is not answered, in order; from here on it is somebody else's. */
  unanswered() {
    const acts = [...this.known.values()];
    this.known.clear();
    return acts;
  }

  /** Nothing has come since something was sent: not all is answered, but this is. */
  askWhetherThere() {
    this.asked = this.sent;
    if (this.socket.readyState === WebSocket.OPEN) this.socket.send('{"t":"here"}');
    if (this.stalled) return;
    this.overdue = setTimeout(() => {
      this.stalled = true;
      this.onStall(true);
    }, STALLED_AFTER - ASKED_AFTER);
  }

  /**
   * Something has come, or the line is known to be cut. After a stall only that all has been answered ends it.
   * @param {boolean} isHere whether it is the answer to that question
   */
  answered(isHere) {
    clearTimeout(this.overdue);
    this.overdue = undefined;
    if (!this.stalled || !isHere) return;
    if (this.asked < this.sent) return this.askWhetherThere();
    this.stalled = false;
    this.onStall(false);
  }
}

/** Sends the newest of a quick run of messages, one in flight at a time: what is stale is never sent. */
export class Latest {
  /** @param {(content: object) => boolean} send */
  constructor(send) {
    this.send = send;
    this.flying = false;
    this.next = null;
  }

  offer(content) {
    if (this.flying) this.next = content;
    else this.flying = this.send(content);
  }

  /** The answer has come. */
  landed() {
    this.flying = false;
    if (this.next) {
      const next = this.next;
      this.next = null;
      this.offer(next);
    }
  }

  clear() {
    this.flying = false;
    this.next = null;
  }
}
