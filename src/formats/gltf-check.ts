import { z } from 'zod';
import { fail, type Result } from '../core/math/result';
import { MAX_TRIANGLES } from './format';

const whole = z.number().int().min(0);
const vector = (size: number) => z.array(z.number()).length(size).optional();
const list = <T extends z.ZodRawShape>(shape: T) => z.array(z.looseObject(shape)).optional();

/** Numbers of an element by its type (glTF 2.0, section 3.6.2.2), and bytes of a component. */
const SIZES = { SCALAR: 1, VEC2: 2, VEC3: 3, VEC4: 4, MAT2: 4, MAT3: 9, MAT4: 16 } as const;
const BYTES = { 5120: 1, 5121: 1, 5122: 2, 5123: 2, 5125: 4, 5126: 4 } as const;

/** What of a glTF has to be as the specification says before anything is made of it. */
const schema = z.looseObject({
  buffers: list({ byteLength: whole, uri: z.string().optional() }),
  bufferViews: list({ buffer: whole, byteOffset: whole.optional(), byteLength: whole, byteStride: whole.optional() }),
  accessors: list({
    count: whole,
    type: z.enum(Object.keys(SIZES) as (keyof typeof SIZES)[]),
    componentType: z.literal([5120, 5121, 5122, 5123, 5125, 5126]),
    bufferView: whole.optional(),
    byteOffset: whole.optional(),
    sparse: z.looseObject({ count: whole }).optional(),
  }),
  meshes: list({
    name: z.string().optional(),
    primitives: z.array(
      z.looseObject({
        attributes: z.record(z.string(), whole),
        indices: whole.optional(),
        mode: whole.max(6).optional(),
        material: whole.optional(),
      }),
    ),
  }),
  nodes: list({
    name: z.string().optional(),
    mesh: whole.optional(),
    children: z.array(whole).optional(),
    matrix: vector(16),
    translation: vector(3),
    rotation: vector(4),
    scale: vector(3),
  }),
  scenes: list({ nodes: z.array(whole).optional() }),
  scene: whole.optional(),
  images: list({ uri: z.string().optional(), bufferView: whole.optional(), mimeType: z.string().optional() }),
  materials: list({
    name: z.string().optional(),
    pbrMetallicRoughness: z
      .looseObject({
        baseColorFactor: vector(4),
        roughnessFactor: z.number().optional(),
        metallicFactor: z.number().optional(),
      })
      .optional(),
    emissiveFactor: vector(3),
    alphaMode: z.string().optional(),
  }),
});

type Gltf = z.infer<typeof schema>;
type Wrong = string | undefined;

/** Primitives that nodes show, all together, at the most. */
const MOST_PIECES = 50_000;
/** Nodes below each other at the most. */
const DEEPEST = 256;
const ELEMENTS: Readonly<Record<string, readonly string[]>> = {
  POSITION: ['VEC3'],
  NORMAL: ['VEC3'],
  TEXCOORD_0: ['VEC2'],
  COLOR_0: ['VEC3', 'VEC4'],
};

/**
 * Whether a glTF's counts, references and nesting are sound, and can be held by `bytes` of data and the limits; looked at before
 * anything is made of them. Problems: `gltf.broken` with `reason`, `mesh.too-large`; undefined where all is well.
 */
export function checkGltf(
  file: string,
  json: unknown,
  bytes: number,
): Extract<Result<never>, { ok: false }> | undefined {
  const parsed = schema.safeParse(json);
  if (!parsed.success) {
    const { path, message } = parsed.error.issues[0];
    return fail('gltf.broken', { file, reason: `${path.join('.') || 'it'}: ${message}` });
  }
  const gltf = parsed.data;
  const reason = wrongData(gltf, bytes) ?? wrongNodes(gltf) ?? wrongPrimitives(gltf);
  if (reason) return fail('gltf.broken', { file, reason });
  const { corners, pieces } = sumsOf(gltf);
  if (pieces > MOST_PIECES)
    return fail('gltf.broken', { file, reason: `its nodes show ${pieces} pieces, and ${MOST_PIECES} is the most` });
  return corners > MAX_TRIANGLES * 3
    ? fail('mesh.too-large', { triangles: Math.floor(corners / 3), most: MAX_TRIANGLES })
    : undefined;
}

function wrongData({ buffers = [], bufferViews = [], accessors = [] }: Gltf, bytes: number): Wrong {
  const held = buffers.reduce((sum, { byteLength }) => sum + byteLength, 0);
  if (held > bytes) return `its buffers are to hold ${held} bytes, and ${bytes} are there`;
  for (const [i, { buffer, byteOffset = 0, byteLength }] of bufferViews.entries())
    if (byteOffset + byteLength > (buffers[buffer]?.byteLength ?? 0)) return `buffer view ${i} goes past its buffer`;
  for (const [i, { count, type, componentType, bufferView, byteOffset = 0 }] of accessors.entries()) {
    const size = SIZES[type] * BYTES[componentType];
    if (bufferView === undefined) {
      if (count * size > bytes) return `accessor ${i} names ${count} elements without data`;
      continue;
    }
    const view = bufferViews[bufferView];
    const needed = count === 0 ? 0 : byteOffset + (count - 1) * (view?.byteStride || size) + size;
    if (needed > (view?.byteLength ?? 0)) return `accessor ${i} goes past its buffer view`;
  }
  return undefined;
}

function wrongNodes({ nodes = [], meshes = [], scenes = [] }: Gltf): Wrong {
  const parents = new Int32Array(nodes.length).fill(-1);
  for (const [i, { children = [], mesh }] of nodes.entries()) {
    if (mesh !== undefined && mesh >= meshes.length) return `node ${i} has a mesh that is not there`;
    for (const child of children) {
      if (child >= nodes.length) return `node ${i} has a child that is not there`;
      if (parents[child] !== -1) return `node ${child} has two parents`;
      parents[child] = i;
    }
  }
  for (let i = 0; i < nodes.length; i++)
    for (let [at, deep] = [parents[i], 0]; at !== -1; at = parents[at]!)
      if (++deep > DEEPEST) return `node ${i} lies more than ${DEEPEST} nodes deep`;
  const isMissing = scenes.some(({ nodes: roots = [] }) => roots.some((root) => root >= nodes.length));
  return isMissing ? 'a scene has a node that is not there' : undefined;
}

function wrongPrimitives({ meshes = [], accessors = [] }: Gltf): Wrong {
  for (const { name, primitives } of meshes)
    for (const { attributes, indices } of primitives) {
      const of = name ? ` of ${name}` : '';
      const position = accessors[attributes.POSITION ?? -1];
      for (const [key, at] of Object.entries(attributes)) {
        const accessor = accessors[at];
        if (!accessor) return `${key}${of} is not there`;
        if (Object.hasOwn(ELEMENTS, key) && !ELEMENTS[key].includes(accessor.type))
          return `${key}${of} is ${accessor.type}, not ${ELEMENTS[key].join(' or ')}`;
        if (accessor.count !== position?.count && position)
          return `${key}${of} has ${accessor.count} entries for ${position.count} vertices`;
      }
      if (indices !== undefined && accessors[indices]?.type !== 'SCALAR') return `the indices${of} are not numbers`;
    }
  return undefined;
}

/** Primitives, and their corners of triangles or vertices, whichever are more, as often as nodes show them. */
function sumsOf({ nodes = [], meshes = [], accessors = [] }: Gltf): { pieces: number; corners: number } {
  let [pieces, corners, vertices] = [0, 0, 0];
  for (const { mesh } of nodes)
    for (const { attributes, indices, mode = 4 } of meshes[mesh ?? -1]?.primitives ?? []) {
      const count = accessors[attributes.POSITION ?? -1]?.count ?? 0;
      const listed = indices === undefined ? count : accessors[indices].count;
      corners += mode > 4 ? Math.max(0, listed - 2) * 3 : listed;
      vertices += count;
      pieces++;
    }
  return { pieces, corners: Math.max(corners, vertices) };
}
