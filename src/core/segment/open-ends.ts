import type { Mesh, Part } from '../mesh/mesh';
import { usedVertices } from '../mesh/used-vertices';
import type { PreparedSegment } from './prepared-segment';
import { findRows } from './rows';

export type SegmentEnd = 'start' | 'end';

/** A mesh sorted along x, and its rows. */
type Rowed = Pick<PreparedSegment, 'mesh' | 'rows'>;

/**
 * Whether pieces that touch cover each other's flat ends: the end of the one and the start of the other are closed by faces across x with the same
 * corners. Such faces are never seen where pieces meet.
 */
export function endsMatch(before: Rowed, after = before): boolean {
  const grid = Math.min(lengthOf(before), lengthOf(after)) * 1e-4;
  const [end, start] = [flatCorners(before, 'end', grid), flatCorners(after, 'start', grid)];
  return start.size > 0 && start.size === end.size && [...start].every((corner) => end.has(corner));
}

const lengthOf = ({ mesh: { positions } }: Rowed): number => positions[positions.length - 3] - positions[0];

/** The segment without the faces that lie wholly in its first or last row. */
export function openEnds(segment: PreparedSegment, ends: readonly SegmentEnd[]): PreparedSegment {
  if (ends.length === 0) return segment;
  const mesh = withoutEnds(segment.mesh, segment.rows, ends);
  return { ...segment, mesh, rows: findRows(mesh.positions, segment.length) };
}

/** A mesh sorted along x without the faces that lie wholly in its first or last row. */
export function withoutEnds(mesh: Mesh, rows: Uint32Array, ends: readonly SegmentEnd[]): Mesh {
  const isFlat = ends.map((end) => flatTest(mesh, rows, end));
  const kept = new Uint32Array(mesh.indices.length);
  const parts: Part[] = [];
  let at = 0;
  for (const part of mesh.parts) {
    const start = at;
    for (let i = part.start; i < part.start + part.count; i += 3) {
      if (isFlat.some((test) => test(i))) continue;
      for (let k = 0; k < 3; k++) kept[at++] = mesh.indices[i + k]!;
    }
    if (at > start) parts.push({ ...part, start, count: at - start });
  }
  return usedVertices({ ...mesh, indices: kept.slice(0, at), parts });
}

/** Tells whether the triangle whose corners start at `indices[i]` lies wholly in the row at that end. */
function flatTest({ indices }: Mesh, rows: Uint32Array, end: SegmentEnd): (i: number) => boolean {
  const [first, last] = end === 'start' ? [0, rows[1]] : [rows[rows.length - 2], rows[rows.length - 1]];
  const isIn = (v: number) => v >= first && v < last;
  return (i) => isIn(indices[i]) && isIn(indices[i + 1]) && isIn(indices[i + 2]);
}

/** The corners of the flat faces at an end, to so many metres. */
function flatCorners({ mesh, rows }: Rowed, end: SegmentEnd, grid: number): Set<string> {
  const { positions, indices } = mesh;
  const isFlat = flatTest(mesh, rows, end);
  const corners = new Set<string>();
  for (let i = 0; i < indices.length; i += 3) {
    if (!isFlat(i)) continue;
    for (let k = 0; k < 3; k++) {
      const v = indices[i + k] * 3;
      corners.add(`${Math.round(positions[v + 1] / grid)},${Math.round(positions[v + 2] / grid)}`);
    }
  }
  return corners;
}
