import { randomInt, randomLcg } from 'd3-random';
import { glbOf } from './good-files';

type Random = () => number;

/** Numbers and words that readers should not believe. */
const ODD = ['', '-1', '0', '1e9', '5e7', '9e15', '-9e15', '1e999', 'NaN', '-', '1,5', '0x10', '1.5', '4294967295', 'null', 'constructor', '__proto__', '\u0000', '🪢', '9'.repeat(400)]; // prettier-ignore
const ODD_VALUES: readonly unknown[] = [
  null,
  -1,
  0,
  1.5,
  1e9,
  5e7,
  9e15,
  '',
  'x',
  '%',
  'data:,',
  true,
  [],
  {},
  [[]],
  [null],
  'constructor',
];

type Damage = (bytes: Uint8Array, random: Random) => Uint8Array;

const whole = (random: Random, below: number): number => randomInt.source(random)(Math.max(below, 1))();
const latin = (bytes: Uint8Array): string => new TextDecoder('latin1').decode(bytes);
const bytesOf = (text: string): Uint8Array => Uint8Array.from(text, (c) => c.charCodeAt(0) & 255);
const stretch = (bytes: Uint8Array, random: Random): [number, number] => {
  const at = whole(random, bytes.length);
  return [at, Math.min(bytes.length, at + 1 + whole(random, 1 + Math.floor(bytes.length / 8)))];
};

const cut: Damage = (bytes, random) => bytes.slice(0, whole(random, bytes.length));
const flip: Damage = (bytes, random) => {
  const out = bytes.slice();
  for (let k = whole(random, 8); k >= 0; k--) out[whole(random, out.length)] = whole(random, 256);
  return out;
};
const remove: Damage = (bytes, random) => {
  const [from, to] = stretch(bytes, random);
  return Uint8Array.from([...bytes.subarray(0, from), ...bytes.subarray(to)]);
};
const repeat: Damage = (bytes, random) => {
  const [from, to] = stretch(bytes, random);
  const times = 1 + whole(random, 20);
  return Uint8Array.from([
    ...bytes.subarray(0, to),
    ...Array.from({ length: times }, () => [...bytes.subarray(from, to)]).flat(),
    ...bytes.subarray(to),
  ]);
};
const move: Damage = (bytes, random) => {
  const [from, to] = stretch(bytes, random);
  const rest = [...bytes.subarray(0, from), ...bytes.subarray(to)];
  rest.splice(whole(random, rest.length), 0, ...bytes.subarray(from, to));
  return Uint8Array.from(rest);
};
/** Another word or number in the place of one. */
const oddWord: Damage = (bytes, random) => {
  const words = [...latin(bytes).matchAll(/[-+\w.]+/g)];
  const word = words[whole(random, words.length)];
  if (!word) return bytes;
  const text = latin(bytes);
  const odd = latin(new TextEncoder().encode(ODD[whole(random, ODD.length)]));
  return bytesOf(text.slice(0, word.index) + odd + text.slice(word.index + word[0].length));
};
const oddLine: Damage = (bytes, random) => {
  const rows = latin(bytes).split('\n');
  const [a, b] = [whole(random, rows.length), whole(random, rows.length)];
  [rows[a], rows[b]] = [rows[b], rows[a]];
  if (random() < 0.5) rows.splice(whole(random, rows.length), 1);
  return bytesOf(rows.join(random() < 0.2 ? '\r\n' : random() < 0.2 ? '\r' : '\n'));
};
/** As UTF-16 with its mark, whole or with half a letter too many. */
const wide: Damage = (bytes, random) => {
  const text = latin(bytes);
  const out = new Uint8Array(2 + text.length * 2 + (random() < 0.3 ? 1 : 0));
  out.set([0xff, 0xfe]);
  for (let i = 0; i < text.length; i++) out[2 + i * 2] = text.charCodeAt(i);
  return out;
};

/** A value of a JSON text replaced, taken away or nested; a GLB's JSON in sound wrapping. */
const oddJson: Damage = (bytes, random) => {
  const isGlb = bytes.length >= 20 && latin(bytes.subarray(0, 4)) === 'glTF';
  const length = isGlb ? new DataView(bytes.buffer, bytes.byteOffset).getUint32(12, true) : 0;
  try {
    const json = JSON.parse(latin(isGlb ? bytes.subarray(20, 20 + length) : bytes)) as object;
    for (let k = whole(random, 3); k >= 0; k--) spoil(json, random);
    return isGlb ? glbOf(json, bytes.slice(28 + length)) : bytesOf(JSON.stringify(json));
  } catch {
    return flip(bytes, random);
  }
};

function spoil(json: object, random: Random): void {
  let at = json as Record<string, unknown>;
  for (;;) {
    const keys = Object.keys(at);
    const key = keys[whole(random, keys.length)];
    if (key === undefined) return;
    const value = at[key];
    if (typeof value === 'object' && value !== null && random() < 0.75) {
      at = value as Record<string, unknown>;
      continue;
    }
    if (random() < 0.2) delete at[key];
    else at[key] = ODD_VALUES[whole(random, ODD_VALUES.length)];
    return;
  }
}

const DAMAGES: readonly Damage[] = [cut, flip, remove, repeat, move, oddWord, oddWord, oddLine, wide, oddJson, oddJson];

/** A damaged copy, the same for the same seed. */
export function damaged(bytes: Uint8Array, seed: number): Uint8Array {
  const random = randomLcg(seed / 0x100000);
  for (let k = 0; k < 5; k++) random(); // the first numbers of near seeds are alike
  let out = bytes;
  for (let k = whole(random, 3); k >= 0; k--) out = DAMAGES[whole(random, DAMAGES.length)](out, random);
  return out;
}
