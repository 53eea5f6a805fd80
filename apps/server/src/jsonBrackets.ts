const QUOTE = 0x22;
const BACKSLASH = 0x5c;
const OPENING = [0x5b, 0x7b];

/**
 * Counts the lists and objects of JSON text as it comes in: what takes long to read is their number, not their size
 * in bytes, and it is known before anything is read. A list of two objects counts three.
 */
export class JsonBrackets {
  count = 0;
  private quoted = false;
  private escaped = false;

  add(bytes: Uint8Array): void {
    for (const byte of bytes) {
      if (this.escaped) this.escaped = false;
      else if (byte === BACKSLASH) this.escaped = this.quoted;
      else if (byte === QUOTE) this.quoted = !this.quoted;
      else if (!this.quoted && OPENING.includes(byte)) this.count += 1;
    }
  }
}
