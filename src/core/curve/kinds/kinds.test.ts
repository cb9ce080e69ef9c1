import { Bezier } from 'bezier-js';
import fc from 'fast-check';
import { buildArcTable } from '../arc-table';
import { changeKind } from '../../edit/change-kind';
import { extendPath } from '../../edit/extend';
import { insertAt } from '../../edit/insert-at';
import { deletePoints, movePoint } from '../../edit/move-point';
import { reversePath } from '../../edit/reverse';
import { roundBend } from '../../edit/round-bend';
import { CURVE_KINDS, compileCurve, curveKind, type CurveSpec } from '../registry';
import { FRAME_STRIDE } from '../../frames/frame-table';
import { tightest } from '../../shape/tightest';
import { cubicOf, pathOf } from '../../testing/curves';
import { compiled, evenTable, tableOf, unwrap } from '../../testing/runs';
import type { Vec3 } from '../../math/vec3';

const ZIGZAG: Vec3[] = [
  [0, 0, 0],
  [6, 0.5, 3],
  [11, 1, -2],
  [18, 0, 4],
  [25, 2, 0],
];

const pointAt = (spec: CurveSpec, u: number): number[] => {
  const out = new Float64Array(3);
  compiled(spec).pointAt(out, 0, u);
  return [...out];
};
const lengthOf = (spec: CurveSpec) => buildArcTable(compiled(spec)).length;
/** Points at even shares of arc length. */
const shape = (spec: CurveSpec, n = 40) => {
  const table = evenTable(compiled(spec), 'leastTwist', { intervals: n });
  return Array.from({ length: n + 1 }, (_, i) => [...table.frames.subarray(i * FRAME_STRIDE, i * FRAME_STRIDE + 3)]);
};
const farthest = (a: number[][], b: number[][]) =>
  Math.max(...a.map((p, i) => Math.hypot(...p.map((c, k) => c - b[i][k]))));

/** Kinds whose curves go through their points. */
const THROUGH = CURVE_KINDS.filter(({ group, uses }) => group === 'points' && !uses.weight).map(({ kind }) => kind);

describe('every kind of path through its points', () => {
  describe.each(THROUGH)('%s', (kind) => {
    it.each([false, true])(
      'has ascending breaks and velocities that match differences of points (closed: %s)',
      (closed) => {
        const curve = compiled(pathOf(kind, ZIGZAG, closed, 1));
        const { breaks } = curve;
        expect(breaks[0]).toBe(0);
        expect(breaks[breaks.length - 1]).toBe(1);
        const out = new Float64Array(9);
        for (let i = 0; i + 1 < breaks.length; i++) {
          expect(breaks[i + 1]).toBeGreaterThan(breaks[i]);
          const u = breaks[i] + 0.37 * (breaks[i + 1] - breaks[i]);
          const h = 1e-5 * (breaks[i + 1] - breaks[i]);
          curve.pointAt(out, 0, u - h);
          curve.pointAt(out, 3, u + h);
          curve.velocityAt(out, 6, u);
          for (let c = 0; c < 3; c++) expect(Math.abs((out[3 + c] - out[c]) / (2 * h) - out[6 + c])).toBeLessThan(1e-3);
          curve.velocityAt(out, 0, u - h);
          curve.velocityAt(out, 3, u + h);
          curve.accelerationAt(out, 6, u);
          for (let c = 0; c < 3; c++) expect(Math.abs((out[3 + c] - out[c]) / (2 * h) - out[6 + c])).toBeLessThan(1e-1);
        }
      },
    );

    it.each([false, true])('keeps its shape when points are inserted, and its other points (closed: %s)', (closed) => {
      const spec = changeKind(pathOf('smooth', ZIGZAG, closed, 2), kind);
      let current = spec;
      for (const station of [3, 5, 5.5, 13.3, 20, lengthOf(spec) - 3]) {
        current = insertAt(current, station)!.spec;
        expect(farthest(shape(current), shape(spec))).toBeLessThan(1e-8);
      }
      expect(current.points).toHaveLength(ZIGZAG.length + 6);
      expect(farthest(shape(reversePath(current)), shape(spec).reverse())).toBeLessThan(1e-8);
    });

    it('is the same curve run through the other way when reversed, and itself when reversed twice', () => {
      for (const closed of [false, true]) {
        const spec = changeKind(pathOf('smooth', ZIGZAG, closed, 1), kind);
        const back = reversePath(spec);
        expect(farthest(shape(back), shape(spec).reverse())).toBeLessThan(1e-8);
        expect(reversePath(back)).toEqual(spec);
      }
    });

    it('says how many points it needs', () => {
      const result = compileCurve(
        pathOf(kind, [
          [1, 2, 3],
          [1, 2, 3],
        ]),
      );
      expect(result).toMatchObject({
        ok: false,
        problems: [{ code: 'curve.too-few-points', facts: { needed: 2, given: 1 } }],
      });
    });

    it('passes over doubled points', () => {
      const doubled = pathOf(kind, [ZIGZAG[0], ZIGZAG[1], ZIGZAG[1], ...ZIGZAG.slice(2)], false, 1);
      expect(lengthOf(doubled)).toBeCloseTo(lengthOf(pathOf(kind, ZIGZAG, false, 1)), 12);
    });

    it('gives every point a station in order', () => {
      const table = tableOf(compiled(pathOf(kind, ZIGZAG, false, 1)), 'upright');
      const stations = [...table.pointStations];
      expect(stations[0]).toBe(0);
      expect(stations[4]).toBeCloseTo(table.length, 9);
      expect([...stations].sort((a, b) => a - b)).toEqual(stations);
    });

    it('goes on to a point added at either end', () => {
      const spec = pathOf(kind, ZIGZAG, false, 1);
      const ahead = extendPath(spec, 'end', [30, 0, 0]);
      expect(pointAt(ahead, 1).map((c) => Number(c.toFixed(9)))).toEqual([30, 0, 0]);
      const back = extendPath(spec, 'start', [-5, 0, 0]);
      expect(pointAt(back, 0).map((c) => Number(c.toFixed(9)))).toEqual([-5, 0, 0]);
    });
  });
});

describe('straight legs', () => {
  it('round corners with true arcs: radius everywhere, tangent at both ends', () => {
    const spec = pathOf(
      'straight',
      [
        [0, 0, 0],
        [10, 0, 0],
        [10, 0, 10],
      ],
      false,
      3,
    );
    const table = tableOf(compiled(spec), 'upright', { intervals: 2000 });
    expect(tightest(table).radius).toBeCloseTo(3, 9);
    expect(table.kinks).toHaveLength(0);
    expect(table.pointStations[1]).toBeCloseTo(7 + (3 * Math.PI) / 4, 9);
  });

  it('split an arc into two that meet where the point was put, exactly', () => {
    const spec = pathOf(
      'straight',
      [
        [0, 0, 0],
        [10, 0, 0],
        [10, 0, 10],
      ],
      false,
      4,
    );
    const { spec: split } = insertAt(spec, 6 + 1.5)!;
    expect(split.points.map(({ radius }) => radius)).toEqual([4, 4, 4, 4]);
    expect(lengthOf(split)).toBeCloseTo(lengthOf(spec), 10);
    expect(farthest(shape(split, 200), shape(spec, 200))).toBeLessThan(1e-9);
  });

  it('reduce radii that do not fit, and say so', () => {
    const spec = pathOf(
      'straight',
      [
        [0, 0, 0],
        [10, 0, 0],
        [10, 0, 4],
        [20, 0, 4],
      ],
      false,
      5,
    );
    const reduced = curveKind(spec).reducedRoundings!(spec);
    expect(reduced).toHaveLength(2);
    for (const { asked, used } of reduced) {
      expect(asked).toBe(5);
      expect(used).toBeCloseTo(2, 9); // two right angles share a leg of 4 m
    }
    expect(tightest(tableOf(compiled(spec), 'upright', { intervals: 4000 })).radius).toBeCloseTo(2, 9);
  });

  it('leave a corner without radius sharp, and the frame table knows where', () => {
    const table = tableOf(
      compiled(
        pathOf('straight', [
          [0, 0, 0],
          [10, 0, 0],
          [10, 0, 10],
        ]),
      ),
      'upright',
    );
    expect(table.kinks).toHaveLength(1);
    expect(table.kinks[0].station).toBeCloseTo(10, 9);
    expect(table.kinks[0].angle).toBeCloseTo(Math.PI / 2, 9);
    expect(tightest(table)).toEqual({ radius: 0, station: table.kinks[0].station });
  });
});

describe('a smooth path', () => {
  const spec = pathOf('smooth', ZIGZAG);
  const inserted = insertAt(spec, 9)!;

  it('smooths itself again around a point that moves after it was put in', () => {
    const { position } = inserted.spec.points[inserted.point];
    const plain = pathOf('smooth', [...ZIGZAG.slice(0, 2), position, ...ZIGZAG.slice(2)]);
    const moved = movePoint(inserted.spec, inserted.point, position);
    expect(farthest(shape(moved), shape(plain))).toBeLessThan(1e-12);
    expect(farthest(shape(moved), shape(spec))).toBeGreaterThan(0.01);
  });

  it('is what it was when the point is deleted', () => {
    expect(farthest(shape(deletePoints(inserted.spec, [inserted.point])), shape(spec))).toBeLessThan(1e-12);
  });

  it('keeps its shape where a point is put in beside doubled ones', () => {
    const doubled = pathOf('smooth', [ZIGZAG[0], ZIGZAG[1], ZIGZAG[1], ...ZIGZAG.slice(2)]);
    expect(farthest(shape(insertAt(doubled, 9)!.spec), shape(spec))).toBeLessThan(1e-8);
  });
});

describe('handles', () => {
  it('are split like bezier-js splits', () => {
    const points: [Vec3, Vec3, Vec3, Vec3] = [
      [0, 0, 0],
      [1, 2, 0],
      [3, -2, 0],
      [5, 1, 0],
    ];
    const [, middle] = curveKind({ kind: 'handles' }).insert(cubicOf(points), 0, 0.3).points;
    const { left, right } = new Bezier(points.map(([x, y]) => ({ x, y }))).split(0.3);
    const near = (a: readonly number[], b: { x: number; y: number }) => {
      expect(a[0]).toBeCloseTo(b.x, 12);
      expect(a[1]).toBeCloseTo(b.y, 12);
    };
    const at = middle.position;
    near(at, left.points[3]);
    near(
      at.map((c, k) => c + middle.handleIn![k]),
      left.points[2],
    );
    near(
      at.map((c, k) => c + middle.handleOut![k]),
      right.points[1],
    );
  });

  it('come out of a smooth path as the same curve', () => {
    for (const closed of [false, true]) {
      const spec = pathOf('smooth', ZIGZAG, closed);
      const changed = changeKind(spec, 'handles');
      expect(changed.kind).toBe('handles');
      expect(farthest(shape(changed), shape(spec))).toBeLessThan(1e-9);
    }
  });
});

describe('roundBend', () => {
  it.each(THROUGH)('opens a sharp bend of a %s path to the radius asked for', (kind) => {
    const spec = changeKind(
      pathOf(
        'smooth',
        [
          [0, 0, 0],
          [12, 0, 0],
          [15, 0, 2],
          [13, 0, 7],
          [0, 0, 9],
        ],
        false,
        0,
      ),
      kind,
    );
    const before = tightest(tableOf(compiled(spec), 'upright'));
    expect(before.radius).toBeLessThan(2.4);
    const opened = roundBend(spec, before.station, 3)!;
    expect(opened).toBeDefined();
    expect(tightest(tableOf(compiled(opened), 'upright')).radius).toBeGreaterThanOrEqual(3 * 0.999);
    expect(opened.points[0].position).toEqual(spec.points[0].position);
    expect(opened.points[4].position).toEqual(spec.points[4].position);
  });
});

it('any path through random points compiles, and its chord is never longer than its arc', () => {
  const coordinate = fc.integer({ min: -100_000, max: 100_000 }).map((mm) => mm / 1000);
  fc.assert(
    fc.property(
      fc.array(fc.tuple(coordinate, coordinate, coordinate), { minLength: 2, maxLength: 9 }),
      fc.constantFrom(...CURVE_KINDS.map(({ kind }) => kind)),
      fc.boolean(),
      (positions, kind, closed) => {
        const result = compileCurve(pathOf(kind, positions, closed, 3));
        if (!result.ok) return;
        const { length } = buildArcTable(unwrap(result));
        const [a, b] = [new Float64Array(3), new Float64Array(3)];
        unwrap(result).pointAt(a, 0, 0);
        unwrap(result).pointAt(b, 0, 1);
        expect(length).toBeGreaterThanOrEqual(Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]) * (1 - 1e-9));
      },
    ),
    { numRuns: 240, seed: 7 },
  );
});
