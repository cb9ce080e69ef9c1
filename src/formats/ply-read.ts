import type { OnProgress } from '../core/math/progress';
import { fail, type Result } from '../core/math/result';
import { PLAIN_MATERIAL, type Mesh } from '../core/mesh/mesh';
import { fixMesh } from './fix-mesh';
import { MAX_TRIANGLES, type NamedBytes } from './format';
import { parsePlyHeader, SIZES, type PlyElement, type PlyProperty } from './ply-header';

/** Gives the next number of the body; undefined when the body ends early or holds no number. */
type Next = () => number | undefined;

const ENTRIES_PER_STEP = 50_000;
/** How much of reading is the vertices. */
const VERTICES_SHARE = 0.5;

/** How numbers of one type are read from a body, one after another whatever their types. */
type Source = (type: PlyProperty['type']) => Next;

/**
 * Reads a PLY (G. Turk, The PLY polygon file format, 1994): ASCII, or binary in either byte order. Vertices with x, y, z and, where
 * given, nx, ny, nz, s or u, t or v, and red, green, blue, alpha; faces as polygons of any size.
 * Problems: `ply.header` with its line, `ply.counts`, `file.truncated`, `ply.face`, and those of `fixMesh`.
 */
export function readPly({ name, bytes }: NamedBytes, onProgress: OnProgress = () => {}): Result<Mesh> {
  const header = parsePlyHeader(bytes);
  if (!header.ok) return header;
  const { format, elements, bodyStart } = header.value;
  const body = bytes.subarray(bodyStart);
  for (const { name: element, count, properties } of elements) {
    // The least that a well-formed body needs: a byte a number, and a separator in ASCII.
    const least =
      count * properties.reduce((sum, { type, list }) => sum + (format === 'ascii' ? 2 : SIZES[list ?? type]), 0);
    // A body that is merely cut off is told as such; counts beyond all measure are not even given memory.
    const isEmpty = properties.length === 0 && count > body.length;
    if (isEmpty || least > 4 * body.length + 64)
      return fail('ply.counts', { file: name, element, count, bytes: body.length });
    if (least > body.length + 1)
      return fail('file.truncated', { file: name, bytes: bytes.length, needed: bodyStart + least });
  }
  const source = format === 'ascii' ? asciiSource(body) : binarySource(body, format === 'little');
  const truncated = () => fail('file.truncated', { file: name, bytes: bytes.length, needed: bytes.length + 1 });
  let vertices: Vertices | undefined;
  const indices = new Corners();
  for (const element of elements) {
    const readers = element.properties.map(({ type, list }) => ({ length: list && source(list), next: source(type) }));
    if (element.name === 'vertex') {
      const missing = ['x', 'y', 'z'].find((axis) => !element.properties.some((p) => p.name === axis && !p.list));
      if (missing) return fail('ply.no-places', { file: name, missing });
      vertices = new Vertices(element);
      for (let v = 0; v < element.count; v++) {
        if (v % ENTRIES_PER_STEP === 0) onProgress((v / element.count) * VERTICES_SHARE);
        for (let p = 0; p < element.properties.length; p++) {
          const { length, next } = readers[p];
          if (length) {
            const count = length() ?? 0;
            for (let k = 0; k < count; k++) if (next() === undefined) return truncated();
            continue;
          }
          const x = next();
          if (x === undefined) return truncated();
          vertices.put(v, p, x);
        }
      }
      continue;
    }
    const faceLists = element.properties.map(
      ({ name: property }) => element.name === 'face' && /^vertex_ind(ex|ices)$/.test(property),
    );
    for (let f = 0; f < element.count; f++) {
      if (f % ENTRIES_PER_STEP === 0) onProgress(VERTICES_SHARE + (f / element.count) * (1 - VERTICES_SHARE));
      for (let p = 0; p < readers.length; p++) {
        const { length, next } = readers[p];
        const count = length ? length() : 1;
        if (count === undefined) return truncated();
        const isFace = faceLists[p];
        if (isFace && !(Number.isInteger(count) && count >= 3))
          return fail('ply.face', { file: name, face: f, corners: count });
        if (count > body.length) return fail('ply.face', { file: name, face: f, corners: count });
        let [first, before] = [0, 0];
        for (let k = 0; k < count; k++) {
          const x = next();
          if (x === undefined) return truncated();
          if (!isFace) continue;
          if (!(x >= 0 && Number.isInteger(x)))
            return fail('mesh.index-out-of-range', { index: x, vertices: vertices?.count ?? 0 });
          if (k === 0) first = x;
          if (k > 1) indices.push(first, before, x);
          before = x;
        }
        if (indices.length > MAX_TRIANGLES * 3)
          return fail('mesh.too-large', { triangles: indices.length / 3, most: MAX_TRIANGLES });
      }
    }
  }
  return fixMesh({
    ...(vertices ?? new Vertices({ name: 'vertex', count: 0, properties: [] })).build(),
    indices: indices.build(),
    parts: [{ name: 'Mesh', material: 0, start: 0, count: indices.length }],
    materials: [{ ...PLAIN_MATERIAL, ...(vertices?.hasColours && { colour: [1, 1, 1, 1] as const }) }],
    images: [],
  });
}

function binarySource(body: Uint8Array, little: boolean): Source {
  const view = new DataView(body.buffer, body.byteOffset, body.byteLength);
  let at = 0;
  const read = {
    i1: () => view.getInt8(at),
    u1: () => view.getUint8(at),
    i2: () => view.getInt16(at, little),
    u2: () => view.getUint16(at, little),
    i4: () => view.getInt32(at, little),
    u4: () => view.getUint32(at, little),
    f4: () => view.getFloat32(at, little),
    f8: () => view.getFloat64(at, little),
  };
  return (type) => {
    const [get, size] = [read[type], SIZES[type]];
    return () => {
      if (at + size > view.byteLength) return undefined;
      const x = get();
      at += size;
      return x;
    };
  };
}

function asciiSource(body: Uint8Array): Source {
  let at = 0;
  const isSpace = (c: number) => c === 32 || (c >= 9 && c <= 13);
  const next = () => {
    while (at < body.length && isSpace(body[at])) at++;
    const start = at;
    while (at < body.length && !isSpace(body[at])) at++;
    if (at === start) return undefined;
    return Number(String.fromCharCode(...body.subarray(start, Math.min(at, start + 64))));
  };
  return () => next;
}

/** The triangles' corners, their number not known before. */
class Corners {
  length = 0;
  #all = new Uint32Array(3072);

  push(a: number, b: number, c: number): void {
    if (this.length + 3 > this.#all.length) {
      const wider = new Uint32Array(this.#all.length * 2);
      wider.set(this.#all);
      this.#all = wider;
    }
    this.#all[this.length++] = a;
    this.#all[this.length++] = b;
    this.#all[this.length++] = c;
  }

  build = (): Uint32Array => this.#all.slice(0, this.length);
}

/** Gathers what is known of the vertices. */
class Vertices {
  readonly count: number;
  readonly hasColours: boolean;
  readonly #places: readonly {
    readonly to: Float32Array | undefined;
    readonly at: number;
    readonly stride: number;
    readonly scale: number;
  }[];
  readonly #positions: Float32Array;
  readonly #normals: Float32Array | undefined;
  readonly #uvs: Float32Array;
  readonly #colours: Float32Array | undefined;

  constructor({ count, properties }: PlyElement) {
    const has = (name: string) => properties.some((p) => p.name === name);
    this.count = count;
    this.hasColours = has('red') && has('green') && has('blue');
    this.#positions = new Float32Array(count * 3);
    this.#normals = has('nx') && has('ny') && has('nz') ? new Float32Array(count * 3) : undefined;
    this.#uvs = new Float32Array(count * 2);
    this.#colours = this.hasColours ? new Float32Array(count * 4).fill(1) : undefined;
    const targets = new Map<string, readonly [Float32Array | undefined, number, number]>(
      Object.entries({
        x: [this.#positions, 0, 3],
        y: [this.#positions, 1, 3],
        z: [this.#positions, 2, 3],
        nx: [this.#normals, 0, 3],
        ny: [this.#normals, 1, 3],
        nz: [this.#normals, 2, 3],
        s: [this.#uvs, 0, 2],
        u: [this.#uvs, 0, 2],
        t: [this.#uvs, 1, 2],
        v: [this.#uvs, 1, 2],
        red: [this.#colours, 0, 4],
        green: [this.#colours, 1, 4],
        blue: [this.#colours, 2, 4],
        alpha: [this.#colours, 3, 4],
      }),
    );
    this.#places = properties.map(({ name, type, list }) => {
      const [to, at, stride] = list ? [undefined, 0, 0] : (targets.get(name) ?? [undefined, 0, 0]);
      const isColour = to !== undefined && to === this.#colours;
      return { to, at, stride, scale: isColour ? (type === 'u1' ? 255 : type === 'u2' ? 65_535 : 1) : 1 };
    });
  }

  put(vertex: number, property: number, value: number): void {
    const { to, at, stride, scale } = this.#places[property];
    if (to) to[vertex * stride + at] = value / scale;
  }

  build() {
    // Image rows run down in the mesh's texture coordinates and up in the file's.
    for (let i = 1; i < this.#uvs.length; i += 2) this.#uvs[i] = 1 - this.#uvs[i];
    const colours = this.#colours;
    if (colours) for (let i = 0; i < colours.length; i++) if (i % 4 < 3) colours[i] = toLinear(colours[i]);
    return { positions: this.#positions, normals: this.#normals, uvs: this.#uvs, ...(colours && { colours }) };
  }
}

/** sRGB 0 to 1 as linear light (IEC 61966-2-1). */
const toLinear = (c: number): number => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
