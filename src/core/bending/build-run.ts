import type { FrameTable } from '../frames/frame-table';
import { partOf, type OnProgress } from '../math/progress';
import type { Vec3 } from '../math/vec3';
import type { Mesh, Part } from '../mesh/mesh';
import { bendPiece } from './bend-piece';
import type { RunPlan } from './plan-run';

/** What of a run's mesh does not change while its pieces only move. */
export type Topology = Pick<Mesh, 'uvs' | 'colours' | 'indices' | 'parts'>;

/**
 * Indices by part and texture coordinates of all pieces, one after the other. Of a single piece they are the segment's own
 * arrays: to be read, and copied before they are handed over.
 */
export function buildTopology({ pieces, vertexCount }: RunPlan): Topology {
  if (pieces.length === 1 && !pieces[0]!.look) {
    const { uvs, colours, indices, parts } = pieces[0]!.segment.mesh;
    return { uvs, ...(colours && { colours }), indices, parts };
  }
  const uvs = new Float32Array(vertexCount * 2);
  const hasColours = pieces.some(({ segment, look }) => segment.mesh.colours ?? look);
  const colours = hasColours ? new Float32Array(vertexCount * 4).fill(1) : undefined;
  const groups = new Map<string, { part: Part; from: IndexSource[] }>();
  let base = 0;
  let indexCount = 0;
  let along = 0;
  for (const { segment, look } of pieces) {
    const { mesh } = segment;
    uvs.set(mesh.uvs, base * 2);
    if (mesh.colours) colours?.set(mesh.colours, base * 4);
    shiftAlong(uvs, base, mesh, look?.shift ?? 0, along);
    if (look && colours) tint(colours, base, mesh, look.tint);
    along += segment.length;
    for (const part of mesh.parts) {
      const key = `${part.material}:${part.name}`;
      let group = groups.get(key);
      if (!group) groups.set(key, (group = { part, from: [] }));
      group.from.push({ indices: mesh.indices, base, part });
      indexCount += part.count;
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
    parts.push({ name: part.name, material: part.material, start, count: at - start });
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
      const v = mesh.indices[i]!;
      if (moved[v] === 1) continue;
      moved[v] = 1;
      uvs[(base + v) * 2]! += by;
    }
  }
}

function tint(colours: Float32Array, base: number, mesh: Mesh, factors: Vec3): void {
  for (let i = base * 4; i < base * 4 + (mesh.positions.length / 3) * 4; i += 4) {
    for (let c = 0; c < 3; c++) colours[i + c]! *= factors[c]!;
  }
}

interface IndexSource {
  readonly indices: Uint32Array;
  readonly base: number;
  readonly part: Part;
}

/** Copies a part's indices, moved up by the vertices before its piece; returns where the next ones go. */
function appendIndices(out: Uint32Array, at: number, { indices, base, part }: IndexSource): number {
  const end = part.start + part.count;
  if (base === 0) out.set(indices.subarray(part.start, end), at);
  else for (let i = part.start, o = at; i < end; i++, o++) out[o] = indices[i]! + base;
  return at + part.count;
}

/** Bends every piece into buffers of three numbers a vertex; allocates nothing of their size. */
export function fillRun(
  outPositions: Float32Array,
  outNormals: Float32Array,
  plan: RunPlan,
  table: FrameTable,
  onProgress?: OnProgress,
): void {
  let base = 0;
  const { length } = plan.pieces;
  plan.pieces.forEach(({ segment, bend }, i) => {
    bendPiece(outPositions, outNormals, base, segment, table, bend, partOf(onProgress, i / length, (i + 1) / length));
    base += segment.mesh.positions.length / 3;
  });
}

/** Bends every piece of a plan into fresh buffers. */
export function bendRun(
  plan: RunPlan,
  table: FrameTable,
  onProgress?: OnProgress,
): Pick<Mesh, 'positions' | 'normals'> {
  const positions = new Float32Array(plan.vertexCount * 3);
  const normals = new Float32Array(plan.vertexCount * 3);
  fillRun(positions, normals, plan, table, onProgress);
  return { positions, normals };
}

/** The whole mesh of a run, with the materials and images of `source`. */
export function buildRunMesh(plan: RunPlan, table: FrameTable, source: Mesh, onProgress?: OnProgress): Mesh {
  const { materials, images } = source;
  return { ...bendRun(plan, table, onProgress), ...buildTopology(plan), materials, images };
}
