import { fail, ok, type Result } from '../core/math/result';

/** Bytes of each scalar type. */
export const SIZES = { i1: 1, u1: 1, i2: 2, u2: 2, i4: 4, u4: 4, f4: 4, f8: 8 } as const;

export interface PlyProperty {
  readonly name: string;
  readonly type: keyof typeof SIZES;
  /** Type of the length where the property is a list. */
  readonly list?: keyof typeof SIZES;
}

export interface PlyElement {
  readonly name: string;
  readonly count: number;
  readonly properties: readonly PlyProperty[];
}

export interface PlyHeader {
  readonly format: 'ascii' | 'little' | 'big';
  readonly elements: readonly PlyElement[];
  /** Bytes before the body. */
  readonly bodyStart: number;
}

const TYPES: ReadonlyMap<string, PlyProperty['type']> = new Map(
  Object.entries({
    char: 'i1',
    int8: 'i1',
    uchar: 'u1',
    uint8: 'u1',
    short: 'i2',
    int16: 'i2',
    ushort: 'u2',
    uint16: 'u2',
    int: 'i4',
    int32: 'i4',
    uint: 'u4',
    uint32: 'u4',
    float: 'f4',
    float32: 'f4',
    double: 'f8',
    float64: 'f8',
  } as const),
);
const FORMATS = { ascii: 'ascii', binary_little_endian: 'little', binary_big_endian: 'big' } as const;
const MAX_HEADER = 64 * 1024;

/** Problems: `ply.header` with `line` and `text`. */
export function parsePlyHeader(bytes: Uint8Array): Result<PlyHeader> {
  const text = new TextDecoder('latin1').decode(bytes.subarray(0, MAX_HEADER));
  const end = /(^|\n)end_header[ \t]*\r?\n/.exec(text);
  if (!end) return fail('ply.header', { line: text.split('\n').length, text: 'no end_header' });
  const bodyStart = end.index + end[0].length;
  let format: PlyHeader['format'] | undefined;
  const elements: { name: string; count: number; properties: PlyProperty[] }[] = [];
  const lines = text.slice(0, bodyStart).split(/\r?\n/);
  for (const [i, line] of lines.entries()) {
    const [key, ...rest] = line.trim().split(/\s+/);
    const wrong = () => fail('ply.header', { line: i + 1, text: line.slice(0, 80) });
    if (key === 'format') {
      if (!Object.hasOwn(FORMATS, rest[0] ?? '')) return wrong();
      format = FORMATS[rest[0] as keyof typeof FORMATS];
    } else if (key === 'element') {
      const count = Number(rest[1]);
      if (!rest[0] || !Number.isSafeInteger(count) || count < 0) return wrong();
      elements.push({ name: rest[0], count, properties: [] });
    } else if (key === 'property') {
      const isList = rest[0] === 'list';
      const typeAt = (i: number) => TYPES.get(rest[i] ?? '');
      const [list, type] = isList ? [typeAt(1), typeAt(2)] : [undefined, typeAt(0)];
      const name = rest.at(-1);
      const element = elements.at(-1);
      if (!type || !name || !element || (isList && !list)) return wrong();
      element.properties.push({ name, type, ...(list && { list }) });
    }
  }
  if (!format) return fail('ply.header', { line: 2, text: 'no format' });
  return ok({ format, elements, bodyStart });
}
