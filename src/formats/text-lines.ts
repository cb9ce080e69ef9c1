/** Characters of a line at the most, for readers that take lines apart. */
export const LONGEST_LINE = 16 * 1024 * 1024;
/** Bytes that are decoded at a time. */
const STRETCH = 0x100000;

/** Lines of a file in UTF-8, decoded in stretches so that large files need no second copy as text; where `joined`, a backslash joins lines. */
export class Lines {
  number = 0;
  readonly #bytes: Uint8Array;
  readonly #decoder = new TextDecoder();
  #at = 0;
  #ready: string[] = [];
  #place = 0;
  /** Pieces of a line that goes on. */
  #rest: string[] = [];

  readonly #isJoined: boolean;

  constructor(bytes: Uint8Array, { joined = true } = {}) {
    this.#bytes = bytes;
    this.#isJoined = joined;
  }

  /** Nothing comes after the line that was given last. */
  get isOver(): boolean {
    return this.#place >= this.#ready.length && this.#at >= this.#bytes.length && this.#rest.length === 0;
  }

  /** How much of the file has been read, 0 to 1. */
  get share(): number {
    return this.#at / this.#bytes.length;
  }

  next(): string | undefined {
    const line = this.#raw();
    if (!this.#isJoined || !line?.endsWith('\\')) return line;
    const parts: string[] = [];
    let part: string | undefined = line;
    for (; part?.endsWith('\\'); part = this.#raw()) parts.push(part.slice(0, -1));
    return [...parts, part ?? ''].join(' ');
  }

  #raw(): string | undefined {
    while (this.#place >= this.#ready.length) {
      this.#ready = [];
      this.#place = 0;
      if (this.#at >= this.#bytes.length) {
        if (this.#rest.length === 0) return undefined;
        this.#ready = [this.#rest.join('')];
        this.#rest = [];
        continue;
      }
      const end = Math.min(this.#at + STRETCH, this.#bytes.length);
      const isLast = end === this.#bytes.length;
      const lines = this.#decoder.decode(this.#bytes.subarray(this.#at, end), { stream: !isLast }).split('\n');
      this.#at = end;
      this.#rest.push(lines[0]);
      if (lines.length === 1) continue;
      lines[0] = this.#rest.join('');
      this.#rest = [lines.pop()!].filter(Boolean);
      this.#ready = lines;
    }
    this.number++;
    return this.#ready[this.#place++].replace(/\r$/, '');
  }
}
