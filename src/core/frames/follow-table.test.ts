import { buildArcTable } from '../curve/arc-table';
import { changeKind } from '../edit/change-kind';
import { movePoint } from '../edit/move-point';
import { transformPoints } from '../edit/transform-points';
import type { Curve } from '../curve/curve';
import { followCurve } from '../curve/follow-curve';
import type { CurveSpec } from '../curve/registry';
import type { Vec3 } from '../math/vec3';
import { compiled, shapeOf } from '../testing/runs';
import { ball } from '../testing/surfaces';
import { buildFrameTable } from './build-frame-table';
import { followTable } from './follow-table';
import { fillFrameOn, GAUGE_UP, SHAPE_STRIDE } from '../shape/frame-on';
import type { Shape } from '../shape/shape';
import { UP } from './frame-table';
import type { FrameSpec } from './registry';

const N = 300;
const TOLERANCE = 0.0005;
const path = (change: Partial<CurveSpec> = {}): CurveSpec => ({
  kind: 'smooth',
  closed: false,
  points: Array.from({ length: N }, (_, i) => ({
    position: [i * 2, Math.sin(i * 0.9) * 0.6, 6 * Math.cos(i / 5) + Math.cos(i * 1.7) * 0.4] as Vec3,
  })),
  ...change,
});
const spec = (rule: FrameSpec['rule'], change: Partial<FrameSpec> = {}): FrameSpec => ({
  rule,
  up: [0, 1, 0],
  ...change,
});
const OPTIONS = { surface: ball(5) };
const baseOf = (curve: CurveSpec, frames: FrameSpec) => {
  const arc = buildArcTable(compiled(curve));
  return { arc, table: buildFrameTable(arc, frames, { tolerance: TOLERANCE, ...OPTIONS }) };
};
const nudged = (curve: CurveSpec, i: number, by: Vec3 = [0.1, 0.2, -0.1]) =>
  movePoint(curve, i, curve.points[i].position.map((v, k) => v + by[k]) as unknown as Vec3);

/** Point, velocity and acceleration at many places, at breaks from both sides. */
function expectSame(a: Curve, b: Curve): void {
  const [p, q] = [new Float64Array(3), new Float64Array(3)];
  const us = [...b.breaks, ...Array.from({ length: 400 }, (_, i) => i / 399)];
  for (const u of us) {
    for (const fromLeft of [false, true]) {
      for (const [order, size] of [
        ['pointAt', 1e3],
        ['velocityAt', 1e3],
        ['accelerationAt', 1e6],
      ] as const) {
        // prettier-ignore
        a[order](p, 0, u, fromLeft);
        b[order](q, 0, u, fromLeft);
        for (let c = 0; c < 3; c++)
          if (Math.abs(p[c] - q[c]) > size * 1e-8) throw new Error(`${order} at ${u}: ${p} and ${q}`);
      }
    }
  }
}

describe('the frame table of an edited path', () => {
  const closed = (): CurveSpec => ({
    kind: 'smooth',
    closed: true,
    points: Array.from({ length: N }, (_, i) => {
      const [angle, radius] = [(i / N) * 2 * Math.PI, 60 + Math.sin(i * 0.9)];
      return { position: [radius * Math.cos(angle), Math.sin(i / 3), radius * Math.sin(angle)] as Vec3 };
    }),
  });
  /** With a corner before the touched place, one in it and one after it. */
  const cornered = (): CurveSpec => {
    const handles = changeKind(path(), 'handles');
    const points = handles.points.map((point, i) => ([40, 150, 260].includes(i) ? { ...point, handleOut: [0.2, 0.6, 0] as Vec3, broken: true as const } : point)); // prettier-ignore
    return { ...handles, points };
  };
  const valued = (): CurveSpec => {
    const plain = path();
    const values = new Map([[20, { roll: 0.5 }], [149, { roll: -0.4, gauge: 2 }], [200, { gauge: 0.5 }]]); // prettier-ignore
    return { ...plain, points: plain.points.map((point, i) => ({ ...point, ...values.get(i) })) };
  };
  const twenty = (curve: CurveSpec) => transformPoints(curve, Array.from({ length: 20 }, (_, k) => 60 + k), { kind: 'move', by: [0, 0.2, 0.1] }); // prettier-ignore
  const one = (curve: CurveSpec) => nudged(curve, 150);
  const ends = { start: 0.2, end: 1 };

  it.each([
    {
      name: 'one point in the middle',
      of: path,
      edit: one,
      rules: ['upright', 'leastTwist', 'faceBend', 'sitOnGuide'],
    },
    { name: 'the first point', of: path, edit: (curve: CurveSpec) => nudged(curve, 0), rules: ['leastTwist'] },
    { name: 'the last point', of: path, edit: (curve: CurveSpec) => nudged(curve, N - 1), rules: ['upright', 'leastTwist'] }, // prettier-ignore
    { name: 'twenty points together', of: path, edit: twenty, rules: ['upright', 'leastTwist'] },
    { name: 'one of a round', of: closed, edit: one, rules: ['upright', 'leastTwist', 'faceBend'] },
    { name: 'one beside corners', of: cornered, edit: one, rules: ['upright', 'leastTwist'] },
    { name: 'one with roll and gauge', of: valued, edit: one, rules: ['upright', 'leastTwist'] },
    { name: 'a corner between straight legs', of: () => path({ kind: 'straight' }), edit: one, rules: ['leastTwist'] },
    { name: 'matched ends', of: path, edit: one, rules: ['leastTwist'], ends },
  ] as const)('is what building it anew gives, to within its tolerance: $name', ({ of, edit, rules, ...change }) => {
    for (const rule of rules) {
      const before = of();
      const frames = spec(rule, 'ends' in change ? { ends: change.ends } : {});
      const base = baseOf(before, frames);
      const edited = edit(before);
      const curve = compiled(edited);
      const part = followCurve(before, base.arc.curve, edited);
      if (part) expectSame(part.curve, curve);
      else expect(before.kind).toBe('straight');
      const table = followTable(base, part?.curve ?? curve, frames, { known: part?.touched, ...OPTIONS })!;
      const anew = buildFrameTable(buildArcTable(curve), frames, { tolerance: TOLERANCE, ...OPTIONS });
      expect(table.length).toBeCloseTo(anew.length, 8);
      expect(table.planLength).toBeCloseTo(anew.planLength, 6);
      const angles = anew.kinks.map(({ angle }) => expect.closeTo(angle, 6) as number);
      expect(table.kinks.map(({ angle }) => angle)).toEqual(angles);
      anew.pointStations.forEach((s, i) => expect(Math.abs(table.pointStations[i] - s)).toBeLessThan(1e-8));
      const most = { place: 0, up: 0, gauge: 0 };
      const [was, is] = [anew, table].map((made) => shapeOf(made, { points: edited.points })) as [Shape, Shape];
      const [a, b] = [new Float64Array(SHAPE_STRIDE), new Float64Array(SHAPE_STRIDE)];
      const off = (k: number) => Math.hypot(a[k] - b[k], a[k + 1] - b[k + 1], a[k + 2] - b[k + 2]);
      for (let i = 0; i <= 5000; i++) {
        const station = (anew.length * (i + 0.31)) / 5001;
        fillFrameOn(a, 0, was, station);
        fillFrameOn(b, 0, is, station);
        most.place = Math.max(most.place, off(0));
        most.up = Math.max(most.up, off(UP));
        most.gauge = Math.max(most.gauge, Math.abs(a[GAUGE_UP] - b[GAUGE_UP]));
      }
      expect(most.place).toBeLessThan(TOLERANCE / 5);
      expect(most.up).toBeLessThan(rule === 'faceBend' ? 0.06 : 1e-3);
      expect(most.gauge).toBeLessThan(1e-4);
    }
  });

  it('is built anew where it could be another one', () => {
    const plain = path();
    const frames = spec('upright');
    const base = baseOf(plain, frames);
    expect(followTable(base, compiled(nudged(plain, 150, [0, 9, 0])), frames)).toBeDefined(); // however sharp it becomes
    expect(followTable(base, compiled({ ...plain, points: plain.points.slice(1) }), frames)).toBeUndefined();
    const all = transformPoints(plain, plain.points.map((_, i) => i), { kind: 'scale', about: [0, 0, 0], by: [1, 2, 1] }); // prettier-ignore
    expect(followTable(base, compiled(all), frames)).toBeUndefined();
    const round = closed();
    const seam = nudged(round, 1);
    const part = followCurve(round, compiled(round), seam);
    expect(part).toBeUndefined();
  });
});
