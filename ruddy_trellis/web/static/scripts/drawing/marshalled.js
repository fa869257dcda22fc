// Values as Python's marshal writes them (its fourth version): numbers are as they are in memory, so that neither side turns them into text.

const letters = new TextDecoder();

/** Reads one value after the other from bytes. */
class Reader {
  constructor(bytes) {
    this.bytes = bytes;
    this.numbers = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    this.place = 0;
    this.shared = []; // what may be spoken of again, by its number
  }

  whole() {
    this.place += 4;
    return this.numbers.getInt32(this.place - 4, true);
  }

  text(length) {
    this.place += length;
    const { bytes, place } = this;
    if (length > 12) return letters.decode(bytes.subarray(place - length, place));
    let text = "";
    for (let at = place - length; at < place; at++) {
      if (bytes[at] > 127) return letters.decode(bytes.subarray(place - length, place));
      text += String.fromCharCode(bytes[at]);
    }
    return text;
  }

  list(length, list) {
    for (let number = 0; number < length; number++) list.push(this.value());
    return list;
  }

  object(object) {
    while (this.bytes[this.place] !== 48) object[this.value()] = this.value(); // "0" ends it
    this.place += 1;
    return object;
  }

  /** A whole number that is longer than 32 bits, in digits of fifteen. */
  long() {
    const count = this.whole();
    let value = 0;
    for (let digit = 0; digit < Math.abs(count); digit++) {
      value += this.numbers.getUint16(this.place, true) * 2 ** (15 * digit);
      this.place += 2;
    }
    return Math.sign(count) * value;
  }

  value() {
    const mark = this.bytes[this.place++];
    const kind = String.fromCharCode(mark & 127);
    if (kind === "r") return this.shared[this.whole()];
    const number = mark > 127 ? this.shared.push(undefined) - 1 : -1;
    const value = this.plain(kind, number);
    if (number >= 0) this.shared[number] = value;
    return value;
  }

  plain(kind, number) {
    const begun = (empty) => {
      if (number >= 0) this.shared[number] = empty;
      return empty;
    };
    switch (kind) {
      case "g":
        this.place += 8;
        return this.numbers.getFloat64(this.place - 8, true);
      case "i":
        return this.whole();
      case "l":
        return this.long();
      case "z":
      case "Z":
        return this.text(this.bytes[this.place++]);
      case "a":
      case "A":
      case "u":
      case "t":
        return this.text(this.whole());
      case ")":
        return this.list(this.bytes[this.place++], []);
      case "(":
        return this.list(this.whole(), []);
      case "[":
        return this.list(this.whole(), begun([]));
      case "{":
        return this.object(begun({}));
      case "N":
        return null;
      case "T":
        return true;
      case "F":
        return false;
      default:
        throw new TypeError(`There is no value of the kind ${kind}.`);
    }
  }
}

/** The value in bytes: lists and tuples as arrays, dictionaries as objects. Throws a TypeError for what JSON has not. */
export function unmarshalled(bytes) {
  return new Reader(bytes).value();
}
