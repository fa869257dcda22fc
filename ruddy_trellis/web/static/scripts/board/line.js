// The line to the server: one WebSocket, opened again when it breaks.

// What is told anew, or is worth nothing later. All else is an act of a person, who has to hear that it was not taken in.
const FLEETING = new Set(["view", "hover", "lift", "ahead", "complete", "select", "drag", "drop"]);

/** Messages to and from a live board. */
export class Line {
  /**
   * @param {string} address of the live board
   * @param {(open: boolean, gone: boolean) => void} onState told when the line opens or breaks, and whether for good
   * @param {() => void} onMissed told when an act could not be sent
   * @param {string} [protocol] what the line is called, where it has to be
   */
  constructor(address, onState, onMissed, protocol) {
    this.address = address;
    this.protocol = protocol;
    this.onState = onState;
    this.onMissed = onMissed;
    this.handlers = new Map();
    this.wait = 250;
    this.failures = 0;
    this.open();
  }

  open() {
    const socket = new WebSocket(this.address, this.protocol ? [this.protocol] : []);
    this.socket = socket;
    socket.onopen = () => {
      this.wait = 250;
      this.failures = 0;
      this.onState(true, false);
    };
    socket.onmessage = (event) => {
      const message = JSON.parse(event.data);
      this.handlers.get(message.t)?.(message, event.data);
    };
    socket.onclose = async () => {
      this.failures += 1;
      const gone = this.failures > 1 && (await this.isGone());
      this.onState(false, gone);
      if (gone) return;
      setTimeout(() => this.open(), this.wait);
      this.wait = Math.min(this.wait * 2, 5000);
    };
  }

  /** Whether the page itself is no longer there for this browser: then the line will not open again. */
  async isGone() {
    try {
      return [401, 404].includes((await fetch(location.href)).status);
    } catch {
      return false; // the server is away for a while
    }
  }

  /** Call a function for every message of a kind; it gets the message, and its text as it came. */
  on(kind, handler) {
    this.handlers.set(kind, handler);
  }

  /** Send a message. Returns whether the line is open. */
  send(kind, content = {}) {
    if (this.socket.readyState !== WebSocket.OPEN) {
      if (!FLEETING.has(kind)) this.onMissed();
      return false;
    }
    this.socket.send(JSON.stringify({ t: kind, ...content }));
    return true;
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
