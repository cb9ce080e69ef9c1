import earcut from 'earcut';
import type { MeshBuilder } from '../../mesh/mesh-builder';
import type { Wear } from './grid';

export type FlatPoint = readonly [a: number, b: number];

/** Puts a plate's own directions a, b and c (its thickness) into segment space; a, b, c right-handed. */
export type Placed = (a: number, b: number, c: number) => readonly [number, number, number];

export const PLACES = {
  /** Outline in x and y, thickness along z. */
  side: (a, b, c) => [a, b, c],
  /** Outline in x and -z, thickness upwards. */
  flat: (a, b, c) => [a, c, -b],
  /** Outline in z and y seen from the front, thickness backwards along x. */
  across: (a, b, c) => [-c, b, a],
} as const satisfies Record<string, Placed>;

export interface Plate extends Wear {
  /** Runs counter-clockwise; holes clockwise. Corners in metres. */
  readonly outline: readonly FlatPoint[];
  readonly holes?: readonly (readonly FlatPoint[])[];
  readonly from: number;
  readonly to: number;
  /** Width of the bevel round the outer edge, metres. */
  readonly bevel?: number;
  /** Neighbouring walls that turn less than this share their normals, radians; for outlines with round parts. */
  readonly roundBelow?: number;
  readonly place: Placed;
}

/** A flat outline with a thickness and bevelled edges; holes keep sharp ones. Closed. Texture in metres. */
export function addPlate(builder: MeshBuilder, plate: Plate): void {
  const { holes = [], from, to, bevel = 0, place, part, material } = plate;
  const outline = withoutStraight(plate.outline);
  const roundBelow = plate.roundBelow ?? 0.6;
  const inner = bevel > 0 ? inset(outline, bevel) : outline;
  const o = place(0, 0, 0);
  const turn = (a: number, b: number, c: number) => {
    const p = place(a, b, c);
    return [p[0] - o[0], p[1] - o[1], p[2] - o[2]] as const;
  };
  const vertex = (p: FlatPoint, c: number, n: readonly [number, number, number], u: number, v: number) =>
    builder.vertex(place(p[0], p[1], c), turn(...n), [u, v]);
  // (1) The two faces.
  for (const [c, up] of [
    [from, -1],
    [to, 1],
  ] as const) {
    const rings = [inner, ...holes];
    const ids = rings.flat().map((p) => vertex(p, c, [0, 0, up], p[0], p[1] * up));
    const starts = holes.map((_, h) => rings.slice(0, h + 1).reduce((sum, ring) => sum + ring.length, 0));
    const triangles = earcut(rings.flat(2), starts);
    for (let i = 0; i < triangles.length; i += 3) {
      const [x, y, z] = [triangles[i], triangles[i + 1], triangles[i + 2]];
      const [p, q, r] = [x, y, z].map((k) => rings.flat()[k]) as [FlatPoint, FlatPoint, FlatPoint];
      const area = (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
      if (area > 0 === up > 0) builder.triangle(part, material, ids[x], ids[y], ids[z]);
      else builder.triangle(part, material, ids[x], ids[z], ids[y]);
    }
  }
  // (2) The walls, and the bevels between them and the faces.
  const slope = Math.SQRT1_2;
  const bands =
    bevel > 0
      ? ([
          [inner, from, outline, from + bevel, -slope],
          [outline, from + bevel, outline, to - bevel, 0],
          [outline, to - bevel, inner, to, slope],
        ] as const)
      : ([[outline, from, outline, to, 0]] as const);
  for (const [low, c0, high, c1, tilt] of bands) wall(outline, low, c0, high, c1, tilt);
  for (const hole of holes) wall(hole, hole, from, hole, to, 0);

  function wall(
    shape: readonly FlatPoint[],
    low: readonly FlatPoint[],
    c0: number,
    high: readonly FlatPoint[],
    c1: number,
    tilt: number,
  ): void {
    const normals = shape.map((p, i) => outward(p, shape[(i + 1) % shape.length]));
    const flat = Math.sqrt(1 - tilt * tilt);
    let run = 0;
    shape.forEach((p, i) => {
      const j = (i + 1) % shape.length;
      const at = (k: number, other: number) => {
        const [n, m] = [normals[k], normals[other]];
        const isRound = n[0] * m[0] + n[1] * m[1] > Math.cos(roundBelow);
        const [x, y] = isRound ? [n[0] + m[0], n[1] + m[1]] : n;
        const l = Math.hypot(x, y) || 1;
        return [(x / l) * flat, (y / l) * flat, tilt] as const;
      };
      const [ni, nj] = [at(i, (i + shape.length - 1) % shape.length), at(i, j)];
      const end = run + Math.hypot(shape[j][0] - p[0], shape[j][1] - p[1]);
      const a = vertex(low[i], c0, ni, run, c0);
      const b = vertex(low[j], c0, nj, end, c0);
      const c = vertex(high[j], c1, nj, end, c1);
      const d = vertex(high[i], c1, ni, run, c1);
      builder.triangle(part, material, a, b, c);
      builder.triangle(part, material, a, c, d);
      run = end;
    });
  }
}

/** A bevelled box between two corners, in segment space. */
export function addBlock(
  builder: MeshBuilder,
  wear: Wear,
  [x0, y0, z0]: readonly [number, number, number],
  [x1, y1, z1]: readonly [number, number, number],
  bevel = 0,
): void {
  const outline: FlatPoint[] = [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
  const b = Math.min(bevel, (x1 - x0) / 3, (y1 - y0) / 3, (z1 - z0) / 3);
  addPlate(builder, { ...wear, outline, from: z0, to: z1, bevel: b, place: PLACES.side });
}

/** Points of an arc about a middle, from one angle to another, both included. */
export function arcPoints([a, b]: FlatPoint, radius: number, from: number, to: number, steps: number): FlatPoint[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / steps;
    return [a + radius * Math.cos(angle), b + radius * Math.sin(angle)] as const;
  });
}

/** The outline without corners that lie on a straight line: the faces would skip them and leave the walls' edges open. */
function withoutStraight(outline: readonly FlatPoint[]): readonly FlatPoint[] {
  return outline.filter((p, i) => {
    const before = outward(outline[(i + outline.length - 1) % outline.length], p);
    const after = outward(p, outline[(i + 1) % outline.length]);
    return Math.abs(before[0] * after[1] - before[1] * after[0]) > 1e-9;
  });
}

/** Unit normal of an edge, to the right of its direction: out of a counter-clockwise outline. */
function outward([ax, ay]: FlatPoint, [bx, by]: FlatPoint): FlatPoint {
  const l = Math.hypot(bx - ax, by - ay) || 1;
  return [(by - ay) / l, (ax - bx) / l];
}

/** The outline moved inwards by `by`, corner by corner along the mitre. */
function inset(outline: readonly FlatPoint[], by: number): FlatPoint[] {
  return outline.map((p, i) => {
    const before = outward(outline[(i + outline.length - 1) % outline.length], p);
    const after = outward(p, outline[(i + 1) % outline.length]);
    const [mx, my] = [before[0] + after[0], before[1] + after[1]];
    const k = (2 * by) / Math.max(mx * mx + my * my, 0.1);
    return [p[0] - mx * k, p[1] - my * k];
  });
}
