import type { Vec3 } from '../math/vec3';
import { tightest } from '../shape/tightest';
import { pathOf } from '../testing/curves';
import { compiled, evenShape, tableOf } from '../testing/runs';
import { changeKind } from '../edit/change-kind';
import { roundBend } from '../edit/round-bend';
import { CURVE_KINDS, compileCurve, type CurveSpec } from './registry';
import { TIDIES } from '../edit/tidy';
import { GAUGE_UP as GAUGE, SHAPE_STRIDE } from '../shape/frame-on';

const RING: Vec3[] = [[0, 0, 0], [8, 1, -3], [14, 0, 2], [12, 0.5, 9], [3, 1, 8]]; // prettier-ignore
/** Of every kind that closes, one that does. */
const closedOf = (kind: CurveSpec['kind']): CurveSpec =>
  pathOf(kind, kind === 'belt' ? RING.map(([x, , z]): Vec3 => [x, 0, z]) : RING, true, kind === 'belt' ? 0.5 : 0.8);
const CLOSING = CURVE_KINDS.map(({ kind }) => kind).filter((kind) => {
  const compiledCurve = compileCurve(closedOf(kind));
  return compiledCurve.ok && compiledCurve.value.closed;
});
const turned = (spec: CurveSpec, by: number): CurveSpec => ({ ...spec, points: [...spec.points.slice(by), ...spec.points.slice(0, by)] }); // prettier-ignore
const POINTS = ['straight', 'smooth', 'handles', 'mixed'] as const;
const frameAt = (spec: CurveSpec, n = 400) =>
  evenShape(compiled(spec), 'upright', { intervals: n, points: spec.points });

it('most kinds close', () => expect(CLOSING.length).toBeGreaterThanOrEqual(6));

describe.each(CLOSING)('a closed path of kind %s', (kind) => {
  it('ends where it begins', () => {
    const curve = compiled(closedOf(kind));
    const [a, b] = [new Float64Array(3), new Float64Array(3)];
    curve.pointAt(a, 0, 0);
    curve.pointAt(b, 0, 1);
    a.forEach((v, c) => expect(b[c]).toBeCloseTo(v, 9));
  });

  it('is the same wherever it begins, but for its stations', () => {
    const spec = closedOf(kind);
    if (kind === 'arc') return; // told by the order of its points
    const [from, to] = [tableOf(compiled(spec), 'upright'), tableOf(compiled(turned(spec, 2)), 'upright')];
    expect(to.length).toBeCloseTo(from.length, 6);
    expect(to.kinks.length).toBe(from.kinks.length);
    const angles = (table: typeof from) => table.kinks.map(({ angle }) => angle).sort();
    angles(to).forEach((angle, i) => expect(angle).toBeCloseTo(angles(from)[i], 6));
    const shift = from.pointStations[2] - to.pointStations[0];
    const [a, b] = [frameAt(spec), frameAt(turned(spec, 2), 4000)];
    for (let i = 3; i < 400; i += 13) {
      const s = (from.length * i) / 400 - shift;
      const k = Math.round((((s % from.length) + from.length) % from.length) / b.step);
      for (let c = 0; c < 3; c++)
        expect(Math.abs(a.frames[i * SHAPE_STRIDE + c] - b.frames[k * SHAPE_STRIDE + c])).toBeLessThan(b.step);
    }
  });
});

describe('the seam of a closed path', () => {
  it('is found where it is a corner', () => {
    const square = pathOf('straight', [[0, 0, 0], [10, 0, 0], [10, 0, 10], [0, 0, 10]], true); // prettier-ignore
    const table = tableOf(compiled(square), 'upright');
    expect(table.kinks.map(({ station }) => station)).toEqual([0, 10, 20, 30].map((s) => expect.closeTo(s, 9)));
    for (const { angle } of table.kinks) expect(angle).toBeCloseTo(Math.PI / 2, 9);
    expect(tightest(table, 0, 5)).toEqual({ radius: 0, station: 0 });
  });

  /** With roll and gauge at the first point, and a corner there where the kind has any. */
  const valued = (kind: (typeof POINTS)[number]): CurveSpec => {
    const spec = changeKind(pathOf('smooth', RING, true, 0), kind);
    const corner =
      kind === 'handles' ? { handleOut: [0, 0, 3] as Vec3, handleIn: [-2, 0, 0] as Vec3, broken: true as const } : {};
    return {
      ...spec,
      points: spec.points.map((p, i) =>
        i === 0 ? { ...p, ...corner, roll: 0.9, gauge: 2 } : i === 2 ? { ...p, roll: 0, gauge: 1 } : p,
      ),
    };
  };

  it.each(POINTS)('keeps roll, gauge and its corner through every way of tidying up: %s', (kind) => {
    const spec = valued(kind);
    const before = frameAt(spec);
    expect(before.frames[GAUGE]).toBeCloseTo(2, 9);
    const angleOf = (table: typeof before) => table.kinks.find(({ station }) => station === 0)?.angle ?? 0;
    for (const [name, tidy] of Object.entries(TIDIES)) {
      if (name === 'mirrorHalf' || name === 'calm') continue; // these mean another path
      const after = frameAt(tidy.apply(spec));
      const said = (what: string, off: number, most: number) => {
        if (!(off <= most)) throw new Error(`${name}: ${what} off by ${off}`);
      };
      said('gauge at the seam', Math.abs(after.frames[GAUGE] - 2), 0.02);
      said('gauge at its end', Math.abs(after.frames[400 * SHAPE_STRIDE + GAUGE] - 2), 0.02);
      for (let c = 6; c < 9; c++) said('up at the seam', Math.abs(after.frames[c] - before.frames[c]), kind === 'straight' || name === 'evenOut' ? 0.45 : 0.03); // prettier-ignore
      if (kind === 'handles') said('corner', Math.abs(angleOf(after) - angleOf(before)), 1e-6);
    }
  });

  it('keeps its roll and gauge when another bend is opened', () => {
    const spec = valued('smooth');
    const table = tableOf(compiled(spec), 'upright');
    const { station, radius } = tightest(table);
    const opened = roundBend(spec, station, radius * 1.05);
    expect(opened).toBeDefined();
    expect(opened!.points[0]).toMatchObject({ roll: 0.9, gauge: 2 });
    expect(frameAt(opened!).frames[GAUGE]).toBeCloseTo(2, 9);
  });
});
