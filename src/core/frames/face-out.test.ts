import type { Vec3 } from '../math/vec3';
import { pathOf } from '../testing/curves';
import { compiled, tableOf } from '../testing/runs';
import type { CurveSpec } from '../curve/registry';
import { FRAME_STRIDE, UP } from './frame-table';

/** Two wheels of 1 m, 10 m apart, and one between them that presses from outside; in the plane of two directions. */
const belt = (u: Vec3, v: Vec3): CurveSpec => {
  const at = (a: number, b: number): Vec3 => [0, 1, 2].map((c) => a * u[c] + b * v[c]) as unknown as Vec3;
  const spec = pathOf('belt', [at(0, 0), at(5, -1.2), at(10, 0)], true, 1);
  return { ...spec, points: spec.points.map((point, i) => (i === 1 ? { ...point, radius: 0.5, outside: true } : point)) }; // prettier-ignore
};

describe('outside out', () => {
  const planes: [string, Vec3, Vec3][] = [
    ['above', [1, 0, 0], [0, 0, 1]],
    ['the front', [1, 0, 0], [0, 1, 0]],
    ['the side', [0, 0, 1], [0, 1, 0]],
    ['askew', [0.6, 0.48, 0.64], [0, 0.8, -0.6]],
  ];
  it.each(planes)('leaves the middle all round a belt drawn from %s, turns nowhere and closes', (_, u, v) => {
    for (const spec of [belt(u, v), { ...belt(u, v), points: [...belt(u, v).points].reverse() }]) {
      const { frames, stations } = tableOf(compiled(spec), 'faceOut');
      const last = stations.length - 1;
      const read = (i: number, k: number): Vec3 => [frames[i * FRAME_STRIDE + k], frames[i * FRAME_STRIDE + k + 1], frames[i * FRAME_STRIDE + k + 2]]; // prettier-ignore
      const inPlane = (w: Vec3) => [u, v].map((e) => e[0] * w[0] + e[1] * w[1] + e[2] * w[2]);
      for (let i = 0; i <= last; i++) {
        const [a, b] = inPlane(read(i, UP)) as [number, number];
        expect(Math.hypot(a, b)).toBeCloseTo(1, 6); // it lies in the plane of the wheels
        const [x, y] = inPlane(read(i, 0)) as [number, number];
        const isEnd = x < -0.5 || x > 10.5;
        if (isEnd) expect(a * (x - 5) + b * y).toBeGreaterThan(0);
      }
      expect(Math.hypot(...[0, 1, 2].map((c) => read(0, UP)[c] - read(last, UP)[c]))).toBeLessThan(1e-9);
    }
  });

  it('is least twist on a straight path, which goes round nothing', () => {
    const { frames, stations } = tableOf(
      compiled(
        pathOf('straight', [
          [0, 0, 0],
          [5, 0, 0],
        ]),
      ),
      'faceOut',
    );
    for (let i = 0; i < stations.length; i++) expect(frames[i * FRAME_STRIDE + UP + 1]).toBeCloseTo(1, 9);
  });
});
