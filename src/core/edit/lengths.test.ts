import { buildFrameTable } from '../frames/build-frame-table';
import { tightest } from '../shape/tightest';
import { distance, type Vec3 } from '../math/vec3';
import { pathOf } from '../testing/curves';
import { compiled, tableOf, shapeOf } from '../testing/runs';
import { frameOn, GAUGE_UP } from '../shape/frame-on';
import { buildArcTable } from '../curve/arc-table';
import { CURVE_KINDS, curveKind, type CurveSpec } from '../curve/registry';
import { changeKind } from './change-kind';
import { deviation } from './deviation';
import { endOf, extendAhead, isEndKept, plugIn, straightEnd } from './end-leg';
import { extendPath } from './extend';
import { setLength } from './set-length';
import { drawOn } from './stroke';

const BEND: Vec3[] = [[0, 0, 0], [4, 1, -2], [8, 0, 3], [12, 0.5, 1]]; // prettier-ignore
const lengthOf = (spec: CurveSpec) => buildArcTable(compiled(spec)).length;
const openOf = (kind: CurveSpec['kind']): CurveSpec =>
  pathOf(kind, kind === 'helix' ? BEND.slice(0, 2) : kind === 'arc' ? BEND.slice(0, 3) : BEND, false, 0.4);
const OPEN = CURVE_KINDS.filter(({ alwaysClosed }) => !alwaysClosed).map(({ kind }) => kind);

describe('setLength', () => {
  it.each(OPEN)('makes a path of kind %s longer and shorter, at either end and scaled, to 1e-6', (kind) => {
    const spec = openOf(kind);
    const now = lengthOf(spec);
    for (const manner of ['end', 'start', 'scale'] as const) {
      for (const wanted of [now * 0.4, now * 0.93, now + 0.5, now * 2]) {
        const made = setLength(spec, wanted, manner)!;
        expect(Math.abs(lengthOf(made) / wanted - 1)).toBeLessThan(1e-6);
        if (manner === 'scale') continue;
        const kept = manner === 'end' ? 'start' : 'end';
        expect(distance(endOf(made, kept)!.position, endOf(spec, kept)!.position)).toBeLessThan(now * 2e-5);
      }
    }
  });

  it('grows a straight last leg without a point more, and keeps a circle a circle', () => {
    const legs = openOf('straight');
    expect(setLength(legs, 30, 'end')!.points).toHaveLength(legs.points.length);
    const once = setLength(openOf('smooth'), 30, 'end')!;
    const twice = setLength(once, 40, 'end')!;
    expect(twice.points).toHaveLength(once.points.length);
    expect(lengthOf(twice)).toBeCloseTo(40, 6);
    const circle: CurveSpec = { ...openOf('arc'), closed: true };
    const larger = setLength(circle, 2 * Math.PI * 7, 'scale')!;
    expect(larger.kind).toBe('arc');
    expect(curveKind(larger).figures![0].read(larger)).toBeCloseTo(7, 9); // circumference = 2 pi r
    expect(setLength(circle, 9, 'end')).toBeUndefined();
  });
});

describe('figures of paths of few numbers', () => {
  const put = (spec: CurveSpec, key: string, value: number): CurveSpec => ({
    ...spec,
    ...curveKind(spec)
      .figures!.find((figure) => figure.key === key)!
      .write(spec, value),
  });

  it('sets the radius of a circle about its centre', () => {
    const circle = put({ ...openOf('arc'), closed: true }, 'radius', 2.5);
    expect(lengthOf(circle)).toBeCloseTo(5 * Math.PI, 9);
  });

  it('sets height and pitch of a helix, whose length is known', () => {
    const start = { ...openOf('helix'), numbers: { startRadius: 0.5, endRadius: 0.5, turns: -3 } };
    const spec = put(put(start, 'height', 6), 'pitch', 0.25);
    // A helix of radius r, height h and n turns is sqrt((2 pi r n)^2 + h^2) long.
    expect(lengthOf(spec)).toBeCloseTo(Math.hypot(2 * Math.PI * 0.5 * 24, 6), 6);
    expect(spec.numbers!.turns).toBeCloseTo(-24, 9);
  });

  it('gives a flat spiral its own thickness along the length, and it stays a spiral', () => {
    const flat: CurveSpec = { kind: 'helix', closed: false, points: [{ position: [1, 0, 1] }], numbers: { startRadius: 1, endRadius: 3, turns: 2 } }; // prettier-ignore
    const spec = put(put(flat, 'gauge0', 0.5), 'gauge1', 2);
    const table = buildFrameTable(buildArcTable(compiled(spec)), { rule: 'upright', up: [0, 1, 0] });
    const shape = shapeOf(table, { points: spec.points });
    const gauge = (share: number) => frameOn(shape, share * table.length)[GAUGE_UP];
    expect(gauge(0)).toBeCloseTo(0.5, 6);
    expect(gauge(0.5)).toBeGreaterThan(0.7);
    expect(gauge(1)).toBeCloseTo(2, 6);
    expect(table.length).toBeCloseTo(lengthOf(flat), 9);
    expect(spec.kind).toBe('helix');
  });
});

describe('ends of every kind', () => {
  it.each(OPEN)('are made straight, longer and plugged in: %s', (kind) => {
    const spec = openOf(kind);
    const mouth = { position: [14, 2, 0] as Vec3, direction: [0, 1, 0] as Vec3 };
    const plugged = endOf(plugIn(spec, 'end', mouth)!, 'end')!;
    expect(distance(plugged.position, mouth.position)).toBeLessThan(1e-9);
    expect(distance(plugged.direction, [0, -1, 0])).toBeLessThan(1e-6);
    const level = endOf(straightEnd(spec, 'start', 'level', 0.3)!, 'start')!;
    expect(Math.abs(level.direction[1])).toBeLessThan(1e-9);
    const longer = extendAhead(spec, 'end', 2)!;
    // A control polygon does not go through its last control.
    if (kind !== 'controlPolygon') expect(Math.abs(lengthOf(longer) / (lengthOf(spec) + 2) - 1)).toBeLessThan(1e-4);
  });
});

describe('going on drawing', () => {
  it('leaves a path with handles the way it arrives', () => {
    const smooth = changeKind(openOf('smooth'), 'handles');
    for (const end of ['start', 'end'] as const) {
      const longer = extendPath(smooth, end, end === 'end' ? [15, 0, 6] : [-3, 0, 4]);
      const table = buildFrameTable(buildArcTable(compiled(longer)), { rule: 'leastTwist', up: [0, 1, 0] });
      expect(table.kinks).toEqual([]);
      expect(tightest(table).radius).toBeGreaterThan(0.3);
    }
  });

  it('a stroke from an end goes on smoothly and changes nothing that was there; from end to end it closes', () => {
    const spec = openOf('smooth');
    const stroke = Array.from({ length: 40 }, (_, i): Vec3 => [12 + i * 0.2, 0.5, 1 + Math.sin(i / 6) * 2]);
    const longer = drawOn(spec, 'end', stroke, 0.02)!;
    const table = tableOf(compiled(longer), 'upright');
    expect(table.kinks).toEqual([]);
    const old = lengthOf(spec);
    expect(table.length).toBeGreaterThan(old + 8);
    expect(deviation(setLength(longer, old, 'end')!, spec)).toBeLessThan(1e-6);
    const home = Array.from({ length: 60 }, (_, i): Vec3 => [12 - i * 0.2, 0.5 - i / 120, 1 + 6 * Math.sin((i / 59) * Math.PI)]); // prettier-ignore
    const closed = drawOn(spec, 'end', home, 0.05, true)!;
    expect(compiled(closed).closed).toBe(true);
    expect(tableOf(compiled(closed), 'upright').kinks).toEqual([]);
    expect(drawOn(closed, 'end', stroke, 0.02)).toBeUndefined();
  });
});

it('roundings of straight legs begin as tight as the curve was there, where they fit', () => {
  // A polygon of 12 points on a circle of 10 m has room for 9 cos(15 deg) m with 0.45 of a leg for a tangent.
  const at = (i: number): Vec3 => [10 * Math.cos((i * Math.PI) / 6), 0, 10 * Math.sin((i * Math.PI) / 6)];
  const points = Array.from({ length: 12 }, (_, i) => ({ position: at(i) }));
  const round: CurveSpec = { kind: 'smooth', closed: true, points };
  const legs = changeKind(round, 'straight');
  const curve = compiled(round);
  const place = (u: number): Vec3 => {
    const p = new Float64Array(3);
    curve.pointAt(p, 0, u);
    return [p[0], p[1], p[2]];
  };
  // The circle through three places of the curve, abc / (4 area), just behind point 1.
  const [a, b, c] = [1 / 12, 1 / 12 + 5e-4, 1 / 12 + 1e-3].map(place) as [Vec3, Vec3, Vec3];
  const area = Math.abs((b[0] - a[0]) * (c[2] - a[2]) - (c[0] - a[0]) * (b[2] - a[2])) / 2;
  const own = (distance(a, b) * distance(b, c) * distance(a, c)) / (4 * area);
  const wanted = Math.min(own, 9 * Math.cos(Math.PI / 12));
  for (const { radius } of legs.points) expect(Math.abs(radius! / wanted - 1)).toBeLessThan(0.01);
  expect(tableOf(compiled(legs), 'upright').kinks).toEqual([]);
});

describe('an end that is kept straight', () => {
  const kept = () => straightEnd(openOf('smooth'), 'start', 'level', 1)!;

  it('stays kept where it is cut within its leg, and is none where that is cut away', () => {
    const spec = kept();
    const total = lengthOf(spec);
    const shorter = setLength(spec, total - 0.4, 'start')!;
    expect(isEndKept(shorter, 'start')).toBe(true);
    expect(distance(shorter.points[0].position, shorter.points[1].position)).toBeCloseTo(0.6, 6);
    expect(Math.abs(endOf(shorter, 'start')!.direction[1])).toBeLessThan(1e-9);
    expect(isEndKept(setLength(spec, total - 1.5, 'start')!, 'start')).toBe(false);
  });

  it('is none any more where the path goes on from it', () => {
    const on = [extendPath(kept(), 'start', [-3, 0, 0]), drawOn(kept(), 'start', [[0, 0, 0], [-1, 0, 1], [-2, 0, 1]], 0.01)!]; // prettier-ignore
    for (const spec of on) expect(isEndKept(spec, 'start')).toBe(false);
  });
});

it('a path of 20,000 points becomes straight legs in no time that grows with its square', () => {
  const points = Array.from({ length: 20_000 }, (_, i) => ({ position: [i, 0, Math.sin(i)] as Vec3 }));
  const begun = performance.now();
  const legs = changeKind({ kind: 'smooth', closed: false, points }, 'straight');
  expect(performance.now() - begun).toBeLessThan(5000); // once for each point it took minutes
  expect(legs.points.every(({ radius }) => radius !== undefined)).toBe(true);
});
