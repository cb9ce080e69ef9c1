import type { Mesh } from './mesh';

/** What a mesh says of each of its vertices, and in how many numbers. */
export const ATTRIBUTES = { positions: 3, normals: 3, uvs: 2, colours: 4 } as const;

export type AttributeName = keyof typeof ATTRIBUTES;
export type Attributes = Pick<Mesh, AttributeName>;

const NAMES = Object.keys(ATTRIBUTES) as AttributeName[];

/** Calls back with every attribute that is there. */
export function eachAttribute(
  of: Attributes,
  call: (values: Float32Array, size: number, name: AttributeName) => void,
): void {
  for (const name of NAMES) {
    const values = of[name];
    if (values) call(values, ATTRIBUTES[name], name);
  }
}

/** The attributes that are there, each made anew. */
function mapAttributes(
  of: Attributes,
  change: (values: Float32Array, size: number, name: AttributeName) => Float32Array,
): Attributes {
  const made: [AttributeName, Float32Array][] = [];
  eachAttribute(of, (values, size, name) => made.push([name, change(values, size, name)]));
  return Object.fromEntries(made) as unknown as Attributes; // with all that were there
}

/** The vertices at places `from`, in that order: new vertex i is old vertex from[i]. */
export const gatherVertices = (of: Attributes, from: ArrayLike<number>): Attributes =>
  mapAttributes(of, (values, size) => {
    const out = new Float32Array(from.length * size);
    for (let i = 0, o = 0; i < from.length; i++)
      for (let c = 0, at = from[i] * size; c < size; c++) out[o++] = values[at + c]!;
    return out;
  });

/** Numbers per vertex that lies between two: these, and the share of the way from the first to the second. */
export const BETWEEN_STRIDE = 3;

/** The vertices with those of `between` behind them, see {@link BETWEEN_STRIDE}; normals are not of unit length any more. */
export const withVerticesBetween = (of: Attributes, between: ArrayLike<number>): Attributes =>
  mapAttributes(of, (values, size) => {
    const out = new Float32Array(values.length + (between.length / BETWEEN_STRIDE) * size);
    out.set(values);
    for (let i = 0, o = values.length; i < between.length; i += BETWEEN_STRIDE) {
      const [p, q, t] = [between[i] * size, between[i + 1] * size, between[i + 2]];
      for (let c = 0; c < size; c++) out[o++] = values[p + c] + (values[q + c] - values[p + c]) * t;
    }
    return out;
  });
