import { cross } from '../math/vec3';
import { fail, ok, type Result } from '../math/result';
import { boxMiddle, boxOf, boxSize, type Box } from '../mesh/box';
import type { Mesh } from '../mesh/mesh';
import { reorderVertices } from '../mesh/reorder';
import { orderByX } from '../mesh/sort-by-x';
import { axisVector, findAxes, type ChosenAxes } from './find-axes';
import { endsMatch } from './open-ends';
import { findRows } from './rows';
import type { PrepareSpec } from './segment-spec';

/** A segment in segment space: +x forward from 0 to its natural length, vertices sorted along x. */
export interface PreparedSegment {
  readonly mesh: Mesh;
  /** Natural length, metres. */
  readonly length: number;
  /** The box in segment space. */
  readonly box: Box;
  /** First vertex of each row, and the vertex count at the end; vertices of a row share their x. */
  readonly rows: Uint32Array;
  readonly axes: ChosenAxes;
  /** Pieces that touch cover each other's flat ends, so that those faces are never seen. */
  readonly endsMatch: boolean;
  /** The mesh's own box in metres, before it was turned and moved. */
  readonly sourceBox: Box;
}

/**
 * Turns, scales and moves a mesh into segment space and sorts it along x.
 * Problems: `segment.empty`, `segment.flat` (no length along forward).
 */
export function prepareSegment(mesh: Mesh, spec: PrepareSpec): Result<PreparedSegment> {
  if (mesh.indices.length === 0) return fail('segment.empty');
  const raw = boxOf(mesh.positions);
  const axes = findAxes(boxSize(raw), spec);
  const f = axisVector(axes.forward);
  const u = axisVector(axes.up);
  const turn = [f, u, cross(f, u)] as const;
  const { positions, normals } = mesh;
  const turned = new Float32Array(positions.length);
  const turnedNormals = new Float32Array(positions.length);
  for (let i = 0; i < positions.length; i += 3) {
    for (let c = 0; c < 3; c++) {
      const [a, b, d] = turn[c]!;
      turned[i + c] = (a * positions[i]! + b * positions[i + 1]! + d * positions[i + 2]!) * spec.unit;
      turnedNormals[i + c] = a * normals[i]! + b * normals[i + 1]! + d * normals[i + 2]!;
    }
  }
  const box = boxOf(turned);
  const size = boxSize(box);
  if (!(size[0] > 0)) return fail('segment.flat', { axis: axes.forward });
  const middle = boxMiddle(box);
  const dy = spec.centre === 'own' ? 0 : spec.centre === 'middle' ? middle[1] : box.min[1];
  const dz = spec.centre === 'own' ? 0 : middle[2];
  for (let i = 0; i < turned.length; i += 3) {
    turned[i]! -= box.min[0];
    turned[i + 1]! -= dy;
    turned[i + 2]! -= dz;
  }
  const sorted = reorderVertices({ ...mesh, positions: turned, normals: turnedNormals }, orderByX(turned));
  const min = raw.min.map((v) => v * spec.unit) as [number, number, number];
  const max = raw.max.map((v) => v * spec.unit) as [number, number, number];
  const rows = findRows(sorted.positions, size[0]);
  return ok({
    mesh: sorted,
    length: size[0],
    box: boxOf(sorted.positions),
    rows,
    endsMatch: endsMatch(sorted, rows),
    axes,
    sourceBox: { min, max },
  });
}

/** Greatest distance of the segment's surface from the path, square to it, metres. */
export function halfWidth({ min, max }: Box): number {
  return Math.hypot(Math.max(Math.abs(min[1]), Math.abs(max[1])), Math.max(Math.abs(min[2]), Math.abs(max[2])));
}
