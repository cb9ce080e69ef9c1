import type { MeshBuilder } from '../../mesh/mesh-builder';
import { addGrid, type Wear } from './grid';
import type { Placed } from './plate';

export interface Leaf {
  /** Metres along the stem, and away from its middle. */
  readonly x: number;
  readonly foot: number;
  /** Round the stem, radians. */
  readonly angle: number;
  readonly size: number;
  /** Angle from the stem's direction, radians. */
  readonly lean: number;
  /** Half its width at the widest, as a share of its length. */
  readonly wide?: number;
  /** Radians by which it droops from row to row. */
  readonly droop?: number;
}

const ROWS = 5;

/** An oval leaf folded along its middle and drooping to its tip: an open sheet. `place` puts (along the stem, two directions across) where they belong. */
export function addLeaf(builder: MeshBuilder, wear: Wear, leaf: Leaf, place: Placed = (a, b, c) => [a, b, c]): void {
  const { x, foot, angle, size, lean, wide = 0.3, droop = 0.16 } = leaf;
  const [ca, sa] = [Math.cos(angle), Math.sin(angle)];
  const rows: number[][] = [];
  let [along, out] = [x, foot * 0.8];
  let bend = lean;
  for (let k = 0; k <= ROWS; k++) {
    const share = k / ROWS;
    const half = size * wide * Math.sin(Math.PI * share ** 0.8) + size * 0.012;
    const fold = half * 0.25;
    // Across the leaf: round the stem; its upper side looks along the stem and away from it.
    const [nx, no] = [Math.sin(bend), -Math.cos(bend)];
    rows.push(
      [-1, 0, 1].map((side) => {
        const r = out + (side === 0 ? -fold * no : 0);
        const px = along + (side === 0 ? -fold * nx : 0);
        const [y, z] = [r * ca - side * half * sa, r * sa + side * half * ca];
        const tilt = side * 0.24;
        const n = [nx, no * ca - tilt * sa, no * sa + tilt * ca];
        const l = Math.hypot(n[0], n[1], n[2]);
        return builder.vertex(place(px, y, z), place(n[0] / l, n[1] / l, n[2] / l), [0.5 + side * 0.5, share]);
      }),
    );
    along += (size / ROWS) * Math.cos(bend);
    out += (size / ROWS) * Math.sin(bend);
    bend += droop;
  }
  addGrid(builder, wear, rows.map((row) => row.toReversed())); // prettier-ignore
}
