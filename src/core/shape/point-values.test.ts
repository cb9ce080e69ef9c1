import fc from 'fast-check';
import { monotoneCubic } from '../math/monotone-cubic';
import { normalize, type Vec3 } from '../math/vec3';
import { volume } from '../mesh/measure';
import { makeSegmentMesh } from '../segment/registry';
import type { CurveSpec } from '../curve/registry';
import { curveFrom, helix, pathOf } from '../testing/curves';
import { bentRun, compiled, evenShape, jobOf, prepared, evenTable, tableOf } from '../testing/runs';
import { GAUGE_UP, SHAPE_STRIDE, SLOPE } from './frame-on';
import { ball } from '../testing/surfaces';
import { buildArcTable } from '../curve/arc-table';
import { changeKind } from '../edit/change-kind';
import { reversePath } from '../edit/reverse';
import { transformPoints } from '../edit/transform-points';
import { angleFromUp } from '../frames/double-reflection';
import { buildFrameTable } from '../frames/build-frame-table';
import { FRAME_STRIDE, TWIST, UP, type FrameTable } from '../frames/frame-table';
import { FRAME_RULES } from '../frames/registry';

const upAt = (table: Pick<FrameTable, 'frames'>, i: number, stride = FRAME_STRIDE): Vec3 => {
  const at = i * stride + UP;
  return [table.frames[at], table.frames[at + 1], table.frames[at + 2]];
};

describe('values of points, blended along the path', () => {
  const straight: CurveSpec = {
    kind: 'straight',
    closed: false,
    points: [
      { position: [0, 0, 0], gauge: 1, roll: 0 },
      { position: [2, 0, 0] },
      { position: [5, 0, 0], gauge: 2, roll: Math.PI / 2 },
      { position: [6, 0, 0], gauge: 0.5 },
    ],
  };
  const { points } = straight;

  it('are what the points say, at their stations', () => {
    const table = evenShape(compiled(straight), 'upright', { intervals: 600, points });
    const gaugeAt = (s: number) => table.frames[Math.round(s * 100) * SHAPE_STRIDE + GAUGE_UP];
    expect(gaugeAt(0)).toBeCloseTo(1, 12);
    expect(gaugeAt(5)).toBeCloseTo(2, 12);
    expect(gaugeAt(6)).toBeCloseTo(0.5, 12);
    expect(upAt(table, 0, SHAPE_STRIDE)[1]).toBeCloseTo(1, 12);
    expect(upAt(table, 500, SHAPE_STRIDE)[2]).toBeCloseTo(1, 12); // up turned by 90° about +x, right-handed, is +z
    expect(upAt(table, 600, SHAPE_STRIDE)[2]).toBeCloseTo(1, 12); // level beyond the last one that says something
  });

  it('have slopes that are their own differences, and twist that is that of the roll', () => {
    const table = evenShape(compiled(straight), 'upright', { intervals: 6000, points });
    const f = table.frames;
    for (const i of [700, 2500, 4100, 5400]) {
      const at = i * SHAPE_STRIDE;
      const rise = (f[at + SHAPE_STRIDE + GAUGE_UP] - f[at - SHAPE_STRIDE + GAUGE_UP]) / (2 * table.step);
      expect(f[at + GAUGE_UP + SLOPE]).toBeCloseTo(rise, 5);
    }
    const turned = Array.from({ length: 5000 }, (_, i) => f[i * SHAPE_STRIDE + TWIST] * table.step);
    expect(turned.reduce((a, b) => a + b, 0)).toBeCloseTo(Math.PI / 2, 3);
  });

  // A body of sections A g(s)² has the volume of their integral (Cavalieri's principle); its mesh stays within the bend's tolerance.
  it('give a tube the volume of its sections, and normals square to its surface', () => {
    const segment = prepared(makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.2, sides: 48 }));
    const table = evenShape(compiled(straight), 'upright', { intervals: 4000, points });
    const own = tableOf(compiled(straight), 'upright', { tolerance: 1e-5 });
    const { mesh } = bentRun(segment, own, jobOf({ bending: { tolerance: 1e-5 } }), { points });
    let sum = 0;
    for (let i = 0; i < 4000; i++) sum += table.frames[i * SHAPE_STRIDE + GAUGE_UP] ** 2 * table.step;
    const section = 24 * 0.04 * Math.sin((2 * Math.PI) / 48);
    expect(volume(mesh) / (section * sum)).toBeCloseTo(1, 3);
    const at = (of: Float32Array, v: number): Vec3 => [of[v * 3], of[v * 3 + 1], of[v * 3 + 2]];
    let worst = 0;
    for (let i = 0; i < mesh.indices.length; i += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => mesh.indices[i + k]) as [number, number, number];
      const [p, q, r] = [a, b, c].map((v) => at(mesh.positions, v)) as [Vec3, Vec3, Vec3];
      if (Math.abs(p[0] - q[0]) + Math.abs(q[0] - r[0]) < 1e-6) continue; // the flat ends
      const u = normalize([q[0] - p[0], q[1] - p[1], q[2] - p[2]]);
      const n = at(mesh.normals, a);
      // Along the tube's length only: round it the facets are 7.5° wide.
      if (Math.abs(u[0]) > 0.9) worst = Math.max(worst, Math.abs(u[0] * n[0] + u[1] * n[1] + u[2] * n[2]));
    }
    expect(worst).toBeLessThan(0.05);
  });

  it('never swing beyond their neighbours', () => {
    const value = fc.integer({ min: -100, max: 100 });
    fc.assert(
      fc.property(fc.array(value, { minLength: 2, maxLength: 8 }), fc.boolean(), (values, round) => {
        const curve = monotoneCubic(
          values.map((_, i) => i),
          values,
          round ? values.length : undefined,
        );
        for (let i = 0; i + 1 < values.length; i++) {
          const [low, high] = [Math.min(values[i], values[i + 1]), Math.max(values[i], values[i + 1])];
          for (const t of [0, 0.2, 0.5, 0.9]) {
            const [v] = curve(i + t);
            expect(v).toBeGreaterThanOrEqual(low - 1e-9);
            expect(v).toBeLessThanOrEqual(high + 1e-9);
          }
        }
      }),
    );
  });
});

describe('matched ends', () => {
  it('stand as asked, and what lies between is spread evenly', () => {
    const rolls = { start: 0.3, end: -0.8 };
    const arc = buildArcTable(helix(2, 0.5, 1.3));
    const free = buildFrameTable(arc, { rule: 'leastTwist', up: [0, 1, 0] }, { intervals: 2000 });
    const table = buildFrameTable(arc, { rule: 'leastTwist', up: [0, 1, 0], ends: rolls }, { intervals: 2000 });
    // From the frame's up to upright is as far as the roll, the other way.
    for (const [i, roll] of [
      [0, rolls.start],
      [2000, rolls.end],
    ] as const)
      expect(angleFromUp(table.frames, i, ...across(table, i, [0, 1, 0]))).toBeCloseTo(-roll, 9);
    const added = Array.from(
      { length: 2001 },
      (_, i) => table.frames[i * FRAME_STRIDE + TWIST] - free.frames[i * FRAME_STRIDE + TWIST],
    );
    for (const twist of added) expect(twist).toBeCloseTo(table.endTwist, 3);
  });
});

function across(table: FrameTable, i: number, v: Vec3): Vec3 {
  const at = i * FRAME_STRIDE + 3;
  const f: Vec3 = [table.frames[at], table.frames[at + 1], table.frames[at + 2]];
  const along = v[0] * f[0] + v[1] * f[1] + v[2] * f[2];
  return [v[0] - along * f[0], v[1] - along * f[1], v[2] - along * f[2]];
}

/** A ball about the origin. */
it.each([
  ['reversed', (spec: CurveSpec) => reversePath(spec), (u: Vec3): Vec3 => u, true],
  ['mirrored', (spec: CurveSpec) => transformPoints(spec, [0, 1, 2, 3], { kind: 'scale', about: [0, 0, 0], by: [1, 1, -1] }), ([x, y, z]: Vec3): Vec3 => [x, y, -z], false], // prettier-ignore
] as const)('a path with rolls leans as it did when it is %s', (_, change, carried, isBack) => {
  const plain = pathOf('smooth', [[0, 0, 0], [8, 1, 4], [15, 0, -2], [24, 0, 0]]); // prettier-ignore
  const spec: CurveSpec = { ...plain, points: plain.points.map((point, i) => ({ ...point, roll: [0.3, -0.5, 0.8, 0][i] })) }; // prettier-ignore
  const table = (path: CurveSpec) => evenShape(compiled(path), 'upright', { intervals: 600, points: path.points });
  const [before, after] = [table(spec), table(change(spec))];
  for (let i = 0; i <= 600; i += 50) {
    const wanted = carried(upAt(before, i, SHAPE_STRIDE));
    upAt(after, isBack ? 600 - i : i, SHAPE_STRIDE).forEach((v, c) => expect(v).toBeCloseTo(wanted[c], 4));
  }
});

it.each(['handles', 'smooth', 'mixed'] as const)(
  'a hanging line leans and thickens as it did when it becomes %s',
  (kind) => {
    const plain: CurveSpec = { ...pathOf('hanging', [[0, 5, 0], [10, 4, 0], [20, 6, 0]]), numbers: { slack: 0.1 } }; // prettier-ignore
    const spec = { ...plain, points: plain.points.map((point, i) => ({ ...point, roll: [0, 0.6, 0.2][i], gauge: [1, 2, 1][i] })) }; // prettier-ignore
    const table = (path: CurveSpec) => evenShape(compiled(path), 'upright', { intervals: 400, points: path.points });
    const [before, after] = [table(spec), table(changeKind(spec, kind))];
    for (let i = 0; i <= 400; i += 25) {
      upAt(after, i, SHAPE_STRIDE).forEach((v, c) =>
        expect(Math.abs(v - upAt(before, i, SHAPE_STRIDE)[c])).toBeLessThan(0.03),
      );
      expect(after.frames[i * SHAPE_STRIDE + GAUGE_UP] / before.frames[i * SHAPE_STRIDE + GAUGE_UP]).toBeCloseTo(1, 1);
    }
  },
);

const BALL = ball();

// Lk = Tw + Wr is whole for any closed frame field: G. Calugareanu 1959/1961; J. H. White, Amer. J. Math. 91, 1969. Writhes: Klenin &
// Langowski, Biopolymers 54, 2000 (method 1a), recomputed.
describe('frames of closed paths', () => {
  const knot = (p: number, q: number, R: number, r: number, sign: number) => {
    const w = 2 * Math.PI;
    const point = (u: number): Vec3 => {
      const ring = R + r * Math.cos(q * w * u);
      return [ring * Math.cos(p * w * u), ring * Math.sin(p * w * u), sign * r * Math.sin(q * w * u)];
    };
    const h = 1e-4;
    const difference = (u: number, order: 1 | 2): Vec3 => {
      const [a, b, c] = [point(u - h), point(u), point(u + h)];
      return [0, 1, 2].map((k) =>
        order === 1 ? (c[k] - a[k]) / (2 * h) : (a[k] - 2 * b[k] + c[k]) / (h * h),
      ) as unknown as Vec3;
    };
    return curveFrom(
      point,
      (u) => difference(u, 1),
      (u) => difference(u, 2),
      true,
    );
  };
  const curves = [
    { name: 'left-handed trefoil', curve: knot(2, 3, 2, 1, 1), writhe: -3.518239231038 },
    { name: 'right-handed knot 2, 5', curve: knot(2, 5, 2, 0.8, -1), writhe: 6.432629780487 },
  ];
  it.each(curves.flatMap((c) => FRAME_RULES.map(({ kind }) => ({ ...c, rule: kind }))))(
    'link a whole number of times: $name, $rule',
    ({ curve, writhe, rule }) => {
      const table = evenTable(curve, rule, { intervals: 6000, surface: BALL }, [0, 0, 1]);
      let twist = 0;
      for (let i = 0; i < table.intervals; i++) twist += table.frames[i * FRAME_STRIDE + TWIST] * table.step;
      const link = twist / (2 * Math.PI) + writhe;
      expect(Math.abs(link - Math.round(link))).toBeLessThan(2e-3);
    },
  );
});

describe('sit on a guide', () => {
  it('has up away from the guide, as far as that lies across the path', () => {
    const path = pathOf('smooth', [[1.2, 0, 0], [0, 0.2, 1.2], [-1.2, 0.4, 0], [0, 0.6, -1.2]]); // prettier-ignore
    const table = evenTable(compiled(path), 'sitOnGuide', { intervals: 800, surface: BALL });
    for (let i = 0; i <= 800; i += 100) {
      const place = [...table.frames.subarray(i * FRAME_STRIDE, i * FRAME_STRIDE + 3)] as unknown as Vec3;
      const wanted = normalize(across(table, i, place));
      const up = upAt(table, i);
      expect(up[0] * wanted[0] + up[1] * wanted[1] + up[2] * wanted[2]).toBeGreaterThan(0.999);
    }
  });
});

describe('matched ends across half a turn', () => {
  // The shorter way round is never more than half a turn, whatever the rolls (elementary).
  it.each([
    [0, 3],
    [3, -3],
    [0, Math.PI * 0.99],
    [-3, 3.1],
    [9, -4],
    [0.2, 100],
  ])('from %d to %d turn by half a turn at the most', (start, end) => {
    // prettier-ignore
    const arc = buildArcTable(helix(2, 0.5, 1.3));
    const spec = { rule: 'upright', up: [0, 0, 1], ends: { start, end } } as const;
    const table = buildFrameTable(arc, { ...spec, up: [...spec.up] }, { tolerance: 1e-5 });
    expect(Math.abs(table.endTwist * table.length)).toBeLessThanOrEqual(Math.PI + 1e-9);
    const last = table.stations.length - 1;
    for (const [i, roll] of [
      [0, start],
      [last, end],
    ] as const) {
      // prettier-ignore
      const off = angleFromUp(table.frames, i, ...across(table, i, [0, 0, 1])) + roll;
      expect(Math.abs(off - 2 * Math.PI * Math.round(off / (2 * Math.PI)))).toBeLessThan(1e-6);
    }
  });
});
