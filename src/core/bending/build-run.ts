import { buildRows } from '../layout/fit-registry';
import { partOf, type OnProgress } from '../math/progress';
import type { Vec3 } from '../math/vec3';
import type { Mesh, Part } from '../mesh/mesh';
import type { CoursePlan, PosedPiece } from '../motion/pose-course';
import { bendRows } from './bend-rows';
import { coveredTriangles, fillCoats, hasCoats } from './coats';
import { rowNumbers } from '../segment/pieces/rows';

/** What of a run's mesh does not change while its pieces only move. */
export type Topology = Pick<Mesh, 'uvs' | 'colours' | 'indices' | 'parts'>;

/**
 * Indices by part and texture coordinates of all pieces, one after the other. Of a single piece they are the segment's own
 * arrays: to be read, and copied before they are handed over.
 */
export function buildTopology({ fit, pieces, vertexCount }: CoursePlan): Topology {
  const isCoated = pieces.some(({ form }) => hasCoats(form.mesh));
  if (pieces.length === 1 && !isCoated && !pieces[0].look && !shiftLanes(pieces[0]).length) {
    const { uvs, colours, indices, parts } = pieces[0].form.mesh;
    return { uvs, ...(colours && { colours }), indices, parts };
  }
  const uvs = new Float32Array(vertexCount * 2);
  const hasColours = isCoated || pieces.some(({ form, look }) => form.mesh.colours ?? look);
  const colours = hasColours ? new Float32Array(vertexCount * 4).fill(1) : undefined;
  let indexCount = 0;
  const groups = new Map<string, { part: Omit<Part, 'start' | 'count'>; from: IndexSource[] }>();
  const put = (part: Omit<Part, 'start' | 'count'>, source: IndexSource) => {
    const key = `${part.material}:${part.name}`;
    const group = groups.get(key) ?? { part, from: [] };
    groups.set(key, group);
    group.from.push(source);
    indexCount += source.part.count;
  };
  let base = 0;
  let along = 0;
  for (const piece of pieces) {
    const { form, look } = piece;
    const { mesh } = form;
    uvs.set(mesh.uvs, base * 2);
    if (mesh.colours) colours?.set(mesh.colours, base * 4);
    shiftAlong(uvs, base, mesh, look?.shift ?? 0, along);
    if (look && colours) tint(colours, base, mesh, look.tint);
    shiftByLanes(uvs, base, piece);
    along += form.length;
    for (const part of mesh.parts) put(part, { indices: mesh.indices, base, part });
    if (colours && hasCoats(mesh)) {
      fillCoats(colours, base, piece, fit);
      for (const part of mesh.parts) {
        if (!part.coat) continue;
        const indices = coveredTriangles(mesh, part, colours, base);
        const { material } = part.coat;
        put({ name: `${part.name}, coat`, material, isCoat: true }, { indices, base, part: { start: 0, count: indices.length } }); // prettier-ignore
      }
    }
    base += mesh.positions.length / 3;
  }
  const indices = new Uint32Array(indexCount);
  const parts: Part[] = [];
  let at = 0;
  for (const { part, from } of groups.values()) {
    const start = at;
    for (const source of from) {
      at = appendIndices(indices, at, source);
    }
    const { name, material, isCoat } = part;
    if (at > start) parts.push({ name, material, start, count: at - start, ...(isCoat && { isCoat }) });
  }
  return { uvs, ...(colours && { colours }), indices, parts };
}

/** Lets the texture of the parts that ask for it go on `along` metres from the run's start; shifts that of the others by `shift`. */
function shiftAlong(uvs: Float32Array, base: number, mesh: Mesh, shift: number, along: number): void {
  if (mesh.parts.every(({ runsOn }) => (runsOn ? along : shift) === 0)) return;
  const moved = new Uint8Array(mesh.positions.length / 3);
  for (const { start, count, runsOn } of mesh.parts) {
    const by = runsOn ? along : shift;
    for (let i = start; by !== 0 && i < start + count; i++) {
      const v = mesh.indices[i];
      if (moved[v] === 1) continue;
      moved[v] = 1;
      uvs[(base + v) * 2] += by;
    }
  }
}

const shiftLanes = ({ shape }: PosedPiece) => shape.lanes.filter(({ name }) => name === 'textureShift');

/** Moves texture coordinates along by what the shape's lanes say where each vertex lies in the finished run. */
function shiftByLanes(uvs: Float32Array, base: number, piece: PosedPiece): void {
  const { form, laid } = piece;
  const { positions } = form.mesh;
  for (const { at } of shiftLanes(piece))
    for (let v = 0; v * 3 < positions.length; v++)
      uvs[(base + v) * 2] += at(laid.station + laid.factor * positions[v * 3])[0];
}

function tint(colours: Float32Array, base: number, mesh: Mesh, factors: Vec3): void {
  for (let i = base * 4; i < base * 4 + (mesh.positions.length / 3) * 4; i += 4) {
    for (let c = 0; c < 3; c++) colours[i + c] *= factors[c];
  }
}

interface IndexSource {
  readonly indices: Uint32Array;
  readonly base: number;
  readonly part: Pick<Part, 'start' | 'count'>;
}

/** Copies a part's indices, moved up by the vertices before its piece; returns where the next ones go. */
function appendIndices(out: Uint32Array, at: number, { indices, base, part }: IndexSource): number {
  const end = part.start + part.count;
  if (base === 0) out.set(indices.subarray(part.start, end), at);
  else for (let i = part.start, o = at; i < end; i++, o++) out[o] = indices[i] + base;
  return at + part.count;
}

/** Bends every piece into buffers of three numbers a vertex; allocates nothing of their size. */
export function fillRun(
  outPositions: Float32Array,
  outNormals: Float32Array,
  { fit, pieces }: CoursePlan,
  onProgress?: OnProgress,
): void {
  let base = 0;
  const { length } = pieces;
  const room = new Float64Array(pieces.reduce((most, { form }) => Math.max(most, rowNumbers(form)), 0));
  pieces.forEach(({ form, place, shape }, i) => {
    const rows = buildRows(fit, form, shape, place, room);
    bendRows(outPositions, outNormals, base, form, rows, partOf(onProgress, i / length, (i + 1) / length));
    base += form.mesh.positions.length / 3;
  });
}

/** Bends every piece of a plan into fresh buffers. */
export function bendRun(plan: CoursePlan, onProgress?: OnProgress): Pick<Mesh, 'positions' | 'normals'> {
  const positions = new Float32Array(plan.vertexCount * 3);
  const normals = new Float32Array(plan.vertexCount * 3);
  fillRun(positions, normals, plan, onProgress);
  return { positions, normals };
}

/** The whole mesh of a course, with its materials and images. */
export function buildRunMesh(
  plan: CoursePlan,
  source: Pick<Mesh, 'materials' | 'images'>,
  onProgress?: OnProgress,
): Mesh {
  const { materials, images } = source;
  return { ...bendRun(plan, onProgress), ...buildTopology(plan), materials, images };
}
