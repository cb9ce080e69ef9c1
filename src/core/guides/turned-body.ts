import type { GuideMesh } from './guide-body';

/** Sides of a round body: chords of a 1 m radius stay within half a millimetre. */
const SIDES = 96;

/** A corner of an outline: distance from the axis and height along it; sharp = the faces on both sides keep normals of their own. */
export interface OutlineCorner {
  readonly r: number;
  readonly y: number;
  readonly sharp?: boolean;
}

/** A body turned about the y axis, its outline from the bottom up with the outside to the right. */
export function turnedBody(outline: readonly OutlineCorner[]): Pick<GuideMesh, 'positions' | 'normals' | 'indices'> {
  const positions: number[] = [];
  const normals: number[] = [];
  const indices: number[] = [];
  const normalOf = (i: number): readonly [number, number] => {
    const [a, b] = [outline[i], outline[i + 1]];
    const l = Math.hypot(b.r - a.r, b.y - a.y) || 1;
    return [(b.y - a.y) / l, (a.r - b.r) / l];
  };
  const smooth = (i: number, own: number): readonly [number, number] => {
    const other = own === i ? i - 1 : i;
    if (outline[i].sharp || other < 0 || other + 1 >= outline.length) return normalOf(own);
    const [a, b] = [normalOf(own), normalOf(other)];
    const l = Math.hypot(a[0] + b[0], a[1] + b[1]) || 1;
    return [(a[0] + b[0]) / l, (a[1] + b[1]) / l];
  };
  for (let i = 0; i + 1 < outline.length; i++) {
    const base = positions.length / 3;
    const ends = [
      [outline[i], smooth(i, i)],
      [outline[i + 1], smooth(i + 1, i)],
    ] as const;
    for (let k = 0; k <= SIDES; k++) {
      const angle = (2 * Math.PI * (k % SIDES)) / SIDES;
      const [c, s] = [Math.cos(angle), Math.sin(angle)];
      for (const [{ r, y }, [nr, ny]] of ends) {
        positions.push(r * c, y, r * s);
        normals.push(nr * c, ny, nr * s);
      }
    }
    for (let k = 0; k < SIDES; k++) {
      const [a, b, c, d] = [base + 2 * k, base + 2 * k + 1, base + 2 * k + 2, base + 2 * k + 3];
      if (ends[0][0].r > 0) indices.push(a, b, c);
      if (ends[1][0].r > 0) indices.push(b, d, c);
    }
  }
  return {
    positions: Float32Array.from(positions),
    normals: Float32Array.from(normals),
    indices: Uint32Array.from(indices),
  };
}
