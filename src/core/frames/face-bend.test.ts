import fc from 'fast-check';
import type { Vec3 } from '../math/vec3';
import { helix, pathOf } from '../testing/curves';
import { compiled, evenTable, tableOf } from '../testing/runs';
import { ball, cube } from '../testing/surfaces';
import { CURVATURE, FRAME_STRIDE, TWIST, UP, type FrameTable } from './frame-table';

const at = (table: FrameTable, i: number, field: number) => [
  ...table.frames.subarray(i * FRAME_STRIDE + field, i * FRAME_STRIDE + field + 3),
];
const dot = (a: number[], b: number[]) => a.reduce((sum, x, k) => sum + x * b[k], 0);

/** The cosine of the angle from up to the inside of the bend at a sample. */
function facing(table: FrameTable, i: number): number {
  const bend = at(table, i, CURVATURE);
  return dot(at(table, i, UP), bend) / Math.hypot(...bend);
}

/** A closed path whose first point hardly bends. */
const SEAM: [number, number, number][] = [[-50, 2, 0], [5, -28, 34], [49, -27, 1], [34, -46, 50], [2, 50, -50], [31, -24, -1], [-50, 48, -45]]; // prettier-ignore

describe('face the bend', () => {
  // Frenet frame of a helix: the normal looks to the axis, and turns against least twist by the torsion c / (r² + c²), for r = 1 and a pitch
  // of 2 it is 0.2890254822222362 (do Carmo, Differential Geometry of Curves and Surfaces, 1976, 1-5; recomputed).
  it('is the principal normal of a helix, and turns by its torsion', () => {
    const table = evenTable(helix(1, 1 / Math.PI, 3), 'faceBend', { intervals: 3000 });
    for (const i of [0, 700, 1500, 3000]) expect(facing(table, i)).toBeCloseTo(1, 6);
    expect(Math.abs(table.frames[1500 * FRAME_STRIDE + TWIST])).toBeCloseTo(0.2890254822222362, 4);
  });

  it('looks inwards all round a belt, its straights too', () => {
    const table = evenTable(compiled(pathOf('belt', [[0, 0, 0], [10, 0, 0]], true, 1)), 'faceBend', { intervals: 1000 }); // prettier-ignore
    const middle = [5, 0, 0];
    for (let i = 0; i <= 1000; i += 25) {
      const place = at(table, i, 0);
      expect(
        dot(
          at(table, i, UP),
          middle.map((c, k) => c - place[k]),
        ),
      ).toBeGreaterThan(0.9);
    }
    expect(dot(at(table, 0, UP), at(table, 1000, UP))).toBeCloseTo(1, 12);
  });

  it('turns over between opposite bends, little by little, and faces both', () => {
    const points: Vec3[] = [[0, 0, 0], [8, 0, 5], [16, 0, 0], [24, 0, -5], [32, 0, 0]]; // prettier-ignore
    const table = evenTable(compiled(pathOf('smooth', points)), 'faceBend', { intervals: 2000 });
    expect(facing(table, 500)).toBeGreaterThan(0.95);
    expect(facing(table, 1500)).toBeGreaterThan(0.95);
  });

  it.each([
    { name: 'face the bend', rule: 'faceBend' },
    { name: 'least twist', rule: 'leastTwist' },
    { name: 'upright', rule: 'upright' },
    { name: 'on a ball', rule: 'sitOnGuide', surface: ball(20) },
    { name: 'on a cube', rule: 'sitOnGuide', surface: cube(20) },
  ] as const)('$name: never flips on random paths', ({ rule, ...on }) => {
    const coordinate = fc.integer({ min: -50, max: 50 });
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.tuple(coordinate, coordinate, coordinate), { minLength: 3, maxLength: 8, selector: String }),
        fc.boolean(),
        (points, closed) => {
          const table = evenTable(compiled(pathOf('smooth', points, closed)), rule, { intervals: 1500, ...on });
          // From one sample to the next, up turns by what forward turns and by no more than a small step besides.
          let most = 0;
          for (let i = 0; i < 1500; i++) {
            const turned = Math.acos(Math.min(1, dot(at(table, i, UP), at(table, i + 1, UP))));
            const forced = Math.acos(Math.min(1, dot(at(table, i, 3), at(table, i + 1, 3))));
            most = Math.max(most, turned - forced);
          }
          expect(most).toBeLessThan(0.15);
        },
      ),
      { numRuns: 12, seed: 5, endOnFailure: true, examples: [[SEAM, true]] },
    );
  });

  it('stays as it was set on a straight path', () => {
    const table = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'faceBend'); // prettier-ignore
    for (const i of [0, 1]) expect(at(table, i, UP)[1]).toBeCloseTo(1, 9);
  });
});
