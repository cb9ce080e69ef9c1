import { buildArcTable } from '../curve/arc-table';
import { changeKind } from '../curve/edit/change-kind';
import { movePoint } from '../curve/edit/move-point';
import { transformPoints } from '../curve/edit/transform-points';
import type { Curve } from '../curve/curve';
import { followCurve } from '../curve/follow-curve';
import type { CurveSpec } from '../curve/registry';
import type { Vec3 } from '../math/vec3';
import { compiled } from '../testing/runs';
import { buildFrameTable } from './build-frame-table';
import { followTable, frameBase } from './follow-table';
import { FRAME_STRIDE, UP } from './frame-table';
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
const baseOf = (curve: CurveSpec, frames: FrameSpec) => {
  const arc = buildArcTable(compiled(curve));
  return frameBase(arc, buildFrameTable(arc, frames, { tolerance: TOLERANCE }), frames);
};
const nudged = (curve: CurveSpec, i: number, by: Vec3 = [0.1, 0.2, -0.1]) =>
  movePoint(curve, i, curve.points[i]!.position.map((v, k) => v + by[k]!) as unknown as Vec3);

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
          if (Math.abs(p[c]! - q[c]!) > size * 1e-8) throw new Error(`${order} at ${u}: ${p} and ${q}`);
      }
    }
  }
}

describe('the frame table of an edited path', () => {
  const edits: [string, (curve: CurveSpec) => CurveSpec][] = [
    ['one point in the middle', (curve) => nudged(curve, 150)],
    ['the last point', (curve) => nudged(curve, N - 1)],
    ['twenty points together', (curve) => transformPoints(curve, Array.from({ length: 20 }, (_, k) => 60 + k), { kind: 'move', by: [0, 0.2, 0.1] })], // prettier-ignore
  ];
  it.each(edits.flatMap(([name, edit]) => (['upright', 'leastTwist'] as const).map((rule) => ({ name, edit, rule }))))(
    'is what building it anew gives, to within its tolerance: $name, $rule',
    ({ edit, rule }) => {
      const before = path();
      const base = baseOf(before, spec(rule));
      const edited = edit(before);
      const curve = compiled(edited);
      const part = followCurve(before, base.arc.curve, edited)!;
      expectSame(part.curve, curve);
      const followed = followTable(base, part.curve, part.touched)!;
      const anew = buildFrameTable(buildArcTable(curve), spec(rule), { intervals: base.table.intervals });
      expect(followed.arc.length).toBeCloseTo(anew.length, 9);
      expect(followed.table.planLength).toBeCloseTo(anew.planLength, 6);
      anew.pointStations.forEach((s, i) => expect(Math.abs(followed.table.pointStations[i]! - s)).toBeLessThan(1e-8));
      let [place, up] = [0, 0];
      for (let i = 0; i <= anew.intervals; i++) {
        const at = i * FRAME_STRIDE;
        const off = (k: number) =>
          Math.hypot(...[0, 1, 2].map((c) => anew.frames[at + k + c]! - followed.table.frames[at + k + c]!));
        place = Math.max(place, off(0));
        up = Math.max(up, off(UP));
      }
      expect(place).toBeLessThan(TOLERANCE);
      expect(up).toBeLessThan(0.01);
    },
  );

  it('is built anew where it could be another one', () => {
    const curve = compiled(nudged(path(), 150));
    const plain = path();
    expect(followTable(baseOf(plain, spec('faceBend')), curve)).toBeUndefined();
    expect(followTable(baseOf(plain, spec('leastTwist', { ends: { start: 0, end: 1 } })), curve)).toBeUndefined();
    expect(followTable(baseOf(plain, spec('leastTwist')), compiled(nudged(plain, 0)))).toBeUndefined();
    expect(followTable(baseOf(plain, spec('upright')), compiled(nudged(plain, 150, [0, 9, 0])))).toBeUndefined(); // too sharp for the samples
    const closed = path({ closed: true });
    expect(followTable(baseOf(closed, spec('leastTwist')), compiled(nudged(closed, 9)))).toBeUndefined();
    const corners = path({ kind: 'straight' });
    expect(followTable(baseOf(corners, spec('leastTwist')), compiled(nudged(corners, 9)))).toBeUndefined();
    const fewer = { ...plain, points: plain.points.slice(1) };
    expect(followTable(baseOf(plain, spec('leastTwist')), compiled(fewer))).toBeUndefined();
    const handles = changeKind(plain, 'handles');
    const broken = handles.points.map((point, i) => (i === 150 ? { ...point, handleOut: [0, 1, 0] as Vec3, broken: true as const } : point)); // prettier-ignore
    const cornered = compiled({ ...handles, points: broken });
    expect(followTable(baseOf(handles, spec('upright')), cornered)).toBeUndefined();
    const all = transformPoints(plain, plain.points.map((_, i) => i), { kind: 'scale', about: [0, 0, 0], by: [1, 2, 1] }); // prettier-ignore
    expect(followTable(baseOf(plain, spec('leastTwist')), compiled(all))).toBeUndefined();
  });
});
