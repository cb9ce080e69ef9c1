import { buildArcTable } from '../curve/arc-table';
import type { CurveSpec } from '../curve/registry';
import { distance, type Vec3 } from '../math/vec3';
import { pathOf } from '../testing/curves';
import { toLine, toPolyline } from '../testing/distances';
import { compiled } from '../testing/runs';
import { bumpPath } from './bump-path';

const LEGS: Vec3[] = [[0, 0, 0], [10, 0, 0], [20, 0, 6]]; // prettier-ignore
/** Many places along a path. */
function places(spec: CurveSpec, count = 400): Vec3[] {
  const curve = compiled(spec);
  const at = new Float64Array(3);
  return Array.from({ length: count + 1 }, (_, i) => {
    curve.pointAt(at, 0, i / count);
    return [at[0], at[1], at[2]];
  });
}
const nearest = (to: Vec3, all: readonly Vec3[]) => Math.min(...all.map((own) => distance(own, to)));

describe('bumpPath', () => {
  it.each(['straight', 'smooth', 'handles', 'mixed'] as const)('moves a path of kind %s by as much at the station, and nothing far from it', (kind) => {
    const spec = pathOf(kind, LEGS);
    const [before, length] = [places(spec), buildArcTable(compiled(spec)).length];
    const moved = bumpPath(spec, 5, 2, [0, 0.5, 0])!;
    const after = places(moved);
    expect(Math.max(...after.map(([, y]) => y))).toBeCloseTo(0.5, 1);
    for (const end of [before[0], before.at(-1)!]) expect(nearest(end, after)).toBeLessThan(1e-6);
    // Beyond the next points on either side it lies where it did.
    const far = after.filter(([x]) => x > 14);
    for (const place of far) expect(nearest(place, before)).toBeLessThan(0.03 * length);
    expect(moved.points.length).toBe(spec.points.length + 3);
  }); // prettier-ignore

  it('leaves straight legs beside it untouched', () => {
    const after = places(bumpPath(pathOf('straight', LEGS), 5, 2, [0, 0.5, 0])!, 4000);
    for (const place of after.filter(([x]) => x < 2.9 || (x > 7.1 && x < 10)))
      expect(toLine(place, LEGS[0], LEGS[1])).toBeLessThan(1e-9);
    expect(toPolyline([5, 0.5, 0], after)).toBeLessThan(0.01);
  });

  it('keeps an open end that is nearer than the way back, and goes round a closed path', () => {
    const near = bumpPath(pathOf('straight', LEGS), 1, 3, [0, 1, 0])!;
    expect(near.points[0].position).toEqual([0, 0, 0]);
    const ring: CurveSpec = { ...pathOf('straight', [[0, 0, 0], [4, 0, 0], [4, 0, 4], [0, 0, 4]]), closed: true }; // prettier-ignore
    const moved = bumpPath(ring, 0.5, 1, [0, 1, 0])!;
    expect(moved.points.length).toBe(7);
    expect(Math.max(...places(moved).map(([, y]) => y))).toBeGreaterThan(0.9);
  });

  it('does not move what goes through no points of its own, or is no curve yet', () => {
    const helix: CurveSpec = { kind: 'helix', closed: false, points: [{ position: [0, 0, 0] }, { position: [0, 2, 0] }], numbers: { turns: 2, startRadius: 1, endRadius: 1 } }; // prettier-ignore
    expect(bumpPath(helix, 1, 1, [0, 1, 0])).toBeUndefined();
    expect(bumpPath(pathOf('controlPolygon', LEGS), 1, 1, [0, 1, 0])).toBeUndefined();
    expect(bumpPath(pathOf('smooth', [LEGS[0]]), 1, 1, [0, 1, 0])).toBeUndefined();
    expect(bumpPath(pathOf('straight', LEGS), 500, 1, [0, 1, 0])).toBeUndefined();
  });
});
