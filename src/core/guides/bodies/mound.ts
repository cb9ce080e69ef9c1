import { seededRow } from '../../math/random';
import { normalizeAll, smoothNormals } from '../../mesh/smooth-normals';
import { defineGuideBody } from '../guide-body';

/** Spokes round it, and rings from its middle to its foot. */
const SPOKES = 96;
const RINGS = 18;
/** Between an ellipse (2) and a rectangle. */
const SQUARENESS = 3;
/** How far its foot wanders in and out, of its size. */
const WANDER = 0.07;

export const mound = defineGuideBody({
  kind: 'mound',
  label: 'Mound',
  hint: 'Ground that rises to a level top: a bank, a shore, an island',
  fields: [
    { key: 'x', label: 'Length (x)', initial: 12 },
    { key: 'y', label: 'Height (y)', initial: 1 },
    { key: 'z', label: 'Depth (z)', initial: 8 },
    { key: 'bank', label: 'Width of its bank', initial: 2.5 },
    { key: 'rough', label: 'Uneven by', initial: 0.06 },
    { key: 'seed', label: 'Another one', initial: 3, isCount: true },
  ],
  build(size) {
    const [x, height, z, bank, rough] = [size('x') / 2, size('y'), size('z') / 2, size('bank'), size('rough')];
    const value = seededRow(Math.round(size('seed')));
    /** Smooth, periodic over a turn: sums of a few waves of their own phases. */
    const wander = (turn: number) =>
      [2, 3, 5, 8].reduce((sum, n, i) => sum + Math.sin(n * turn + 6.283 * value(i)) / (i + 1.5), 0) / 1.6;
    const bump = (px: number, pz: number) =>
      Math.sin(px * 0.9 + 6 * value(11)) * Math.sin(pz * 1.1 + 6 * value(12)) * 0.6 +
      Math.sin(px * 2.3 + pz * 1.7 + 6 * value(13)) * 0.4;
    const out = (turn: number) => {
      const [c, s] = [Math.abs(Math.cos(turn)) / x, Math.abs(Math.sin(turn)) / z];
      return (c ** SQUARENESS + s ** SQUARENESS) ** (-1 / SQUARENESS) * (1 + WANDER * wander(turn));
    };
    const positions: number[] = [0, height + rough * bump(0, 0), 0];
    for (let ring = 1; ring <= RINGS; ring++)
      for (let k = 0; k < SPOKES; k++) {
        const turn = (2 * Math.PI * k) / SPOKES;
        const most = out(turn);
        const r = (most * ring) / RINGS;
        const [px, pz] = [r * Math.cos(turn), r * Math.sin(turn)];
        const t = Math.min(Math.max((most - r) / Math.min(bank, most), 0), 1);
        const rise = t * t * (3 - 2 * t);
        positions.push(px, rise * (height + rough * bump(px, pz)), pz);
      }
    const indices: number[] = [];
    const at = (ring: number, k: number) => (ring === 0 ? 0 : 1 + (ring - 1) * SPOKES + (k % SPOKES));
    for (let ring = 0; ring < RINGS; ring++)
      for (let k = 0; k < SPOKES; k++) {
        if (ring > 0) indices.push(at(ring, k), at(ring, k + 1), at(ring + 1, k));
        indices.push(at(ring, k + 1), at(ring + 1, k + 1), at(ring + 1, k));
      }
    const smooth = smoothNormals(Float32Array.from(positions), Uint32Array.from(indices));
    normalizeAll(smooth);
    const normals = [...smooth];
    // Its underside, at its foot.
    const foot = positions.length / 3;
    positions.push(0, 0, 0);
    normals.push(0, -1, 0);
    for (let k = 0; k < SPOKES; k++) {
      const from = at(RINGS, k) * 3;
      positions.push(positions[from], 0, positions[from + 2]);
      normals.push(0, -1, 0);
    }
    for (let k = 0; k < SPOKES; k++) indices.push(foot, foot + 1 + k, foot + 1 + ((k + 1) % SPOKES));
    return {
      positions: Float32Array.from(positions),
      normals: Float32Array.from(normals),
      indices: Uint32Array.from(indices),
    };
  },
});
