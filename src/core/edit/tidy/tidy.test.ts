import type { Vec3 } from '../../math/vec3';
import { pathOf } from '../../testing/curves';
import { compiled, evenTable, tableOf } from '../../testing/runs';
import { buildArcTable } from '../../curve/arc-table';
import { changeKind } from '../change-kind';
import { deviation } from '../deviation';
import { FRAME_STRIDE } from '../../frames/frame-table';
import type { CurveKindName, CurveSpec } from '../../curve/registry';
import { buildPlanMeasure } from '../../shape/plan-measure';
import { TIDIES } from '.';

const ZIGZAG: Vec3[] = [[0, 0, 0], [6, 1, 3], [12, 0, 0], [14, 2, 4], [24, 0, 1]]; // prettier-ignore
const KINDS: readonly CurveKindName[] = ['straight', 'smooth', 'handles', 'mixed'];
const made = (kind: CurveKindName, closed = false) => changeKind(pathOf('smooth', ZIGZAG, closed, 0.5), kind);

describe.each(KINDS)('a path of kind %s', (kind) => {
  it.each([false, true])('keeps its shape when a point is put into every leg (closed: %s)', (closed) => {
    const spec = made(kind, closed);
    const done = TIDIES.subdivide.apply(spec);
    expect(done.points).toHaveLength(closed ? 10 : 9);
    expect(deviation(done, spec)!).toBeLessThan(1e-6);
  });

  it('has its points at even distances when they are evened out', () => {
    const spec = made(kind);
    const done = TIDIES.evenOut.apply(spec);
    expect(done.points).toHaveLength(5);
    if (kind === 'straight') return; // its corners move, and the path with them
    const stations = [...tableOf(compiled(done), 'upright').pointStations];
    const gaps = stations.slice(1).map((s, i) => s - stations[i]);
    for (const gap of gaps) expect(gap / gaps[0]).toBeGreaterThan(0.75); // the new curve bulges a little differently
    expect(done.points[4].position).toEqual(ZIGZAG[4].map((c) => expect.closeTo(c, 9)));
  });

  it('is symmetrical when its first half is mirrored', () => {
    const spec = made(kind);
    const { length } = buildArcTable(compiled(spec));
    const done = TIDIES.mirrorHalf.apply(spec);
    const table = evenTable(compiled(done), 'upright', { intervals: 400 });
    expect(table.length / length).toBeCloseTo(1, 1);
    const place = (i: number) => [0, 1, 2].map((c) => table.frames[i * FRAME_STRIDE + c]);
    // Distances from the middle are the same both ways.
    for (const k of [40, 120, 199]) {
      const off = (i: number) => Math.hypot(...place(i).map((c, j) => c - place(200)[j]));
      expect(off(200 - k) / off(200 + k)).toBeCloseTo(1, 2);
    }
  });
});

describe('roll and gauge of points', () => {
  const along = (...values: [x: number, roll: number | undefined, gauge?: number][]): CurveSpec => ({
    kind: 'straight',
    closed: false,
    points: values.map(([x, roll, gauge]) => ({
      position: [x, 0, 0],
      ...(roll !== undefined && { roll }),
      ...(gauge && { gauge }),
    })),
  });

  it('are said where the points come to lie when those are evened out', () => {
    const { points } = TIDIES.evenOut.apply(along([0, 0, 1], [2, undefined], [10, 1, 4]));
    // Half way between two points a blend is half of both: of roll, and of gauge by its logarithm.
    expect(points[1]).toMatchObject({ roll: expect.closeTo(0.5, 9), gauge: expect.closeTo(2, 9) });
    expect(TIDIES.evenOut.apply(along([0, undefined], [1, undefined], [9, undefined])).points[1]).toEqual({ position: [4.5, 0, 0] }); // prettier-ignore
  });

  it('keep their points when others are left out', () => {
    const thinned = TIDIES.thinOut.apply(along([0, undefined], [1, undefined], [2, 0.4], [3, undefined], [10, undefined])); // prettier-ignore
    expect(thinned.points.map(({ position }) => position[0])).toEqual([0, 2, 10]);
  });

  it('lean the same way on both halves when one is mirrored', () => {
    const { points } = TIDIES.mirrorHalf.apply(along([0, 0.5], [2, 0.1], [10, 0]));
    expect(points.map(({ position, roll }) => [position[0], roll])).toEqual([[0, 0.5], [2, 0.1], [5, undefined], [8, 0.1], [10, 0.5]].map(([x, roll]) => [expect.closeTo(x!, 9), roll])); // prettier-ignore
  });
});

describe('thin out', () => {
  it('leaves out what lies on the line between its neighbours, and nothing else', () => {
    const bend: Vec3[] = [[0, 0, 0], [1, 0, 0.001], [2, 0, 0], [5, 0, 0], [5, 0, 5], [5, 0.001, 7], [5, 0, 10]]; // prettier-ignore
    const done = TIDIES.thinOut.apply(pathOf('straight', bend));
    expect(done.points.map(({ position }) => position)).toEqual([bend[0], bend[3], bend[6]]);
    const spec = pathOf('straight', ZIGZAG);
    expect(TIDIES.thinOut.apply(spec)).toBe(spec);
  });

  it('thins 20,000 points of a circle to a few within the tolerance', () => {
    const round = Array.from({ length: 20_000 }, (_, i): Vec3 => {
      const a = (1.5 * Math.PI * i) / 20_000;
      return [10 * Math.cos(a), 0, 10 * Math.sin(a)];
    });
    const { points } = TIDIES.thinOut.apply(pathOf('straight', round));
    expect(points.length).toBeLessThan(60);
    // Sagitta of the chord between neighbours, elementary.
    points.slice(1).forEach(({ position: [x, , z] }, i) => {
      const [px, , pz] = points[i].position;
      expect(10 - Math.hypot((x + px) / 2, (z + pz) / 2)).toBeLessThan(20 / 500 + 1e-9);
    });
  });
});

it('calming leaves ends and straight lines alone and shortens a zigzag', () => {
  const spec = made('smooth');
  const done = TIDIES.calm.apply(spec);
  expect([done.points[0], done.points[4]]).toEqual([spec.points[0], spec.points[4]]);
  expect(buildArcTable(compiled(done)).length).toBeLessThan(buildArcTable(compiled(spec)).length);
  const line = pathOf('straight', [[0, 0, 0], [2, 0, 0], [4, 0, 0]]); // prettier-ignore
  expect(TIDIES.calm.apply(line).points.map(({ position }) => position)).toEqual(
    line.points.map(({ position }) => position),
  );
});

describe('a path that climbs evenly', () => {
  it.each(['smooth', 'handles', 'mixed', 'straight'] as const)(
    'has its points on one slope as seen from above (%s)',
    (kind) => {
      const spec = made(kind);
      const [first, last] = [spec.points[0], spec.points.at(-1)!];
      const done = TIDIES.climb.apply(spec);
      expect(done.points[0].position).toEqual(first.position);
      last.position.forEach((v, c) => expect(done.points.at(-1)!.position[c]).toBeCloseTo(v, 9));
      const table = tableOf(compiled(done), 'upright', { tolerance: 1e-6 });
      const plan = buildPlanMeasure(table);
      const slope = (last.position[1] - first.position[1]) / plan.placeOf(table.length);
      // Legs between points are curves of their own kind: near to the slope, at the points on it.
      const { pointStations } = table;
      done.points.forEach(({ position: [x, y, z] }, i) => {
        expect([x, z]).toEqual([spec.points[i].position[0], spec.points[i].position[2]]);
        expect(y - first.position[1]).toBeCloseTo(slope * plan.placeOf(pointStations[i]), 2);
      });
    },
  );

  it('is the same one where it is closed or has no points of its own', () => {
    const closed = made('smooth', true);
    expect(TIDIES.climb.apply(closed)).toBe(closed);
  });
});
