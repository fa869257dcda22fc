// The line to the server: one WebSocket, opened again when it breaks.

/** Messages to and from a live board. */
export class Line {
  /**
   * @param {string} address of the live board
   * @param {(open: boolean) => void} onState told when the line opens or breaks
   */
  constructor(address, onState) {
    this.address = address;
    this.onState = onState;
    this.handlers = new Map();
    this.wait = 250;
    this.open();
  }

  open() {
    const socket = new WebSocket(this.address);
    this.socket = socket;
    socket.onopen = () => {
      this.wait = 250;
      this.onState(true);
    };
    socket.onmessage = (event) => {
      const message = JSON.parse(event.data);
      this.handlers.get(message.t)?.(message, event.data);
    };
    socket.onclose = () => {
      this.onState(false);
      setTimeout(() => this.open(), this.wait);
      this.wait = Math.min(this.wait * 2, 5000);
    };
  }

  /** Call a function for every message of a kind; it gets the message, and its text as it came. */
  on(kind, handler) {
    this.handlers.set(kind, handler);
  }

  /** Send a message. Returns whether the line is open. */
  send(kind, content = {}) {
    if (this.socket.readyState !== WebSocket.OPEN) return false;
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
