import { pathOf } from '../../testing/curves';
import {
  bentRun,
  compiled,
  jobOf,
  laidRun,
  prepared,
  shapeOf,
  tableOf,
  unwrap,
  type JobChange,
} from '../../testing/runs';
import { makeSegmentMesh } from '../../segment/registry';
import type { Vec3 } from '../../math/vec3';
import { laidPathOf, plainPath } from '../laid-path';
import { lay } from '../lay';
import { LAYING_DEFAULTS, type LayingSpec } from '../laying-spec';
import type { RuleSpec } from '../registry';
import { risersOf } from './from-rise';

const level = (rule: RuleSpec, length: number, natural: number, more: Partial<LayingSpec> = {}, closed = false) =>
  unwrap(
    lay(
      { ...LAYING_DEFAULTS, rule, ...more },
      { bodies: [natural] },
      { from: 0, to: length },
      plainPath(length, closed),
    ),
  );

describe('no opening wider than', () => {
  // References g04 to g06: the 4 inch sphere of IRC R312.1.3, recomputed by brute force.
  it.each([
    [3466, 32, 26, 97.55555555556],
    [1420, 32, 10, 100],
    [2000, 20, 16, 98.82352941176],
  ])('stands balusters of %i mm clear width, %i mm wide: %i, with %f mm between', (width, size, count, gap) => {
    const rule = { kind: 'clearOpening', opening: 100, ends: 'whole' } as const;
    const { placements, before, remainder } = level(rule, width, size);
    expect(placements).toHaveLength(count);
    for (const p of placements.slice(0, -1)) expect(p.gap).toBeCloseTo(gap, 9);
    expect(before).toBeCloseTo(gap, 9);
    expect(remainder).toBeCloseTo(gap, 9);
  });

  it('has half an opening or a piece at the ends when that is asked for', () => {
    const half = level({ kind: 'clearOpening', opening: 0.1, ends: 'half' }, 1, 0.05);
    expect(half.placements).toHaveLength(7);
    expect(half.before).toBeCloseTo((1 - 7 * 0.05) / 14, 12);
    const piece = level({ kind: 'clearOpening', opening: 0.1, ends: 'piece' }, 1, 0.05);
    expect(piece.placements).toHaveLength(8);
    expect([piece.before, piece.remainder]).toEqual([0, 0]);
  });
});

describe('dashes', () => {
  // References h201 to h203: MUTCD 2009, section 3A.06, 10 ft segment and 30 ft gap.
  it.each([
    [100, 3.048, 9.144, 9, 2.464, 26.848],
    [1000, 10, 30, 25, 10, 250],
    [1010, 10, 30, 26, 10, 260],
  ])('of a line of %f: %f on and %f off are %i, the last %f long', (length, on, off, count, last, painted) => {
    const { placements } = level({ kind: 'dashes', on, off, first: 'dash' }, length, on);
    expect(placements).toHaveLength(count);
    expect(placements.at(-1)!.length).toBeCloseTo(last, 9);
    expect(placements.reduce((sum, p) => sum + p.length, 0)).toBeCloseTo(painted, 9);
    const { cutAt } = placements.at(-1)!;
    if (last < on) expect(cutAt).toBeCloseTo(last, 9);
    else expect(cutAt).toBeUndefined();
  });

  it('are cut where the reach ends, by a true cut', () => {
    const line = tableOf(compiled(pathOf('straight', [[0, 0, 0], [8, 0, 0]])), 'upright'); // prettier-ignore
    const paint = prepared(makeSegmentMesh({ kind: 'plank', length: 1, width: 0.12, thickness: 0.01 }));
    const { mesh } = bentRun(paint, line, jobOf({ laying: { kind: 'dashes', on: 3, off: 3.5 } }));
    const xs = mesh.positions.filter((_, i) => i % 3 === 0);
    expect(Math.max(...xs)).toBeCloseTo(8, 6);
    expect(xs.some((x) => Math.abs(x - 6.5) < 1e-6) && xs.every((x) => x < 3.001 || x > 6.499)).toBe(true);
  });
});

/** Only the sides of a section ask for it. */
const NO_BOX = { min: [0, 0, 0], max: [0, 0, 0] } as const;

describe('from the rise', () => {
  const stair = (rise: number, run: number) => tableOf(compiled(pathOf('straight', [[0, 0, 0], [run, rise, 0]])), 'upright'); // prettier-ignore
  const laidOn = (rise: number, run: number, change: Partial<Extract<RuleSpec, { kind: 'fromRise' }>>) => {
    const table = stair(rise, run);
    const rule = { kind: 'fromRise', highest: 196.85, top: 'piece', gap: 0, ...change } as const;
    const path = laidPathOf(shapeOf(table), 'plan', NO_BOX);
    return unwrap(lay({ ...LAYING_DEFAULTS, rule }, { bodies: [254] }, { from: 0, to: table.length }, path));
  };

  // References g01 to g03: risers by IRC R311.7.5; g02 is the edge case of 14 risers of exactly 196.85 mm.
  it.each([
    [2800, 196.85, 15],
    [2755.9, 196.85, 14],
    [2800, 180, 16],
  ])('a rise of %f with risers of %f at most has %i', (rise, highest, risers) => {
    expect(risersOf(rise, highest)).toBe(risers);
    const { placements } = laidOn(rise, risers * 254, { highest });
    expect(placements).toHaveLength(risers);
    placements.forEach((p, i) => {
      expect(p.stretch).toBeCloseTo(1, 9);
      expect(p.station).toBeCloseTo((Math.hypot(rise, risers * 254) * i) / risers, 6);
    });
    // The floor is the last tread: one tread fewer, and a run of 3556 mm for the first of them.
    expect(laidOn(rise, risers * 254, { highest, top: 'floor' }).placements).toHaveLength(risers - 1);
  });

  it('has equal risers where the slope changes, and longer pieces where it is gentle', () => {
    const places: Vec3[] = [[0, 0, 0], [1, 0.8, 0], [3, 0.8, 0], [4, 1.6, 0]]; // prettier-ignore
    const table = tableOf(compiled(pathOf('straight', places)), 'upright', { tolerance: 1e-6 });
    const path = laidPathOf(shapeOf(table), 'plan', NO_BOX);
    const rule = { kind: 'fromRise', highest: 0.2, top: 'piece', gap: 0 } as const;
    const laid = unwrap(lay({ ...LAYING_DEFAULTS, rule }, { bodies: [0.25] }, { from: 0, to: table.length }, path));
    expect(laid.placements).toHaveLength(8);
    const heights = laid.placements.map(({ station }) => path.heightAt(station));
    heights.forEach((y, i) => expect(y).toBeCloseTo(0.2 * i, 9));
    const goings = laid.placements.map(({ stretch }) => stretch * 0.25);
    expect(goings.filter((going) => Math.abs(going - 0.25) < 1e-9)).toHaveLength(7);
    expect(Math.max(...goings)).toBeCloseTo(2.25, 9); // the landing
  });

  it('is refused on a level path', () => {
    const bar = prepared(makeSegmentMesh({ kind: 'plank', length: 0.3, width: 1, thickness: 0.05 }));
    const { laid } = laidRun({ segment: bar, table: stair(0, 4), job: jobOf({ laying: { kind: 'fromRise' } }) });
    expect(laid).toMatchObject({ ok: false, problems: [{ code: 'laying.no-rise' }] });
  });
});

describe('places that are given', () => {
  const bent = tableOf(compiled(pathOf('straight', [[0, 0, 0], [3, 0, 0], [3, 0, 5]])), 'upright'); // prettier-ignore
  const post = prepared(makeSegmentMesh({ kind: 'plank', length: 0.2, width: 0.2, thickness: 0.1 }));
  const stationsOf = (laying: JobChange['laying'] & object) =>
    unwrap(laidRun({ segment: post, table: bent, job: jobOf({ laying }) }).laid).layout.placements.map((p) => p.station + p.length / 2); // prettier-ignore

  it('are those of the path points, or those between', () => {
    stationsOf({ kind: 'atPoints' }).forEach((s, i) => expect(s).toBeCloseTo([0, 3, 8][i], 9));
    expect(stationsOf({ kind: 'atPoints', which: 'between' })).toHaveLength(1);
  });

  it('has one at every point of a closed path, also at its seam', () => {
    const square = tableOf(compiled(pathOf('straight', [[0, 0, 0], [3, 0, 0], [3, 0, 3], [0, 0, 3]], true)), 'upright'); // prettier-ignore
    const { laid } = laidRun({ segment: post, table: square, job: jobOf({ laying: { kind: 'atPoints' } }) });
    const middles = unwrap(laid).layout.placements.map((p) => p.station + p.length / 2);
    expect(middles).toHaveLength(4);
    middles.forEach((s, i) => expect(s).toBeCloseTo(i * 3, 9));
  });

  it('are typed stations in any order, those beyond the reach left out', () => {
    stationsOf({ kind: 'atStations', stations: [4, 1, 20] }).forEach((s, i) => expect(s).toBeCloseTo([1, 4][i], 9));
    const { laid } = laidRun({
      segment: post,
      table: bent,
      job: jobOf({ laying: { kind: 'atStations', stations: [] } }),
    });
    expect(laid).toMatchObject({ ok: false, problems: [{ code: 'laying.none' }] });
  });
});

describe('what is laid beside the rule', () => {
  it('keeps margins free at both ends', () => {
    const laid = level({ kind: 'fillStretch', gap: 0 }, 10, 1, {
      margins: { first: 1.5, last: 0.5, head: 0, tail: 0 },
    });
    expect(laid.placements[0].station).toBe(1.5);
    expect(laid.placements.at(-1)!.station + laid.placements.at(-1)!.length).toBeCloseTo(9.5, 12);
    const over = { ...LAYING_DEFAULTS, rule: { kind: 'fillStretch', gap: 0 }, margins: { first: 6, last: 5, head: 0, tail: 0 } } as const; // prettier-ignore
    expect(lay(over, { bodies: [1] }, { from: 0, to: 10 }, plainPath(10, false))).toMatchObject({
      problems: [{ code: 'laying.no-room', facts: { needed: 11, reach: 10 } }],
    });
  });

  it('puts head and tail at the ends with room before the body', () => {
    const job = { ...LAYING_DEFAULTS, rule: { kind: 'fillStretch', gap: 0 }, margins: { first: 1, last: 0, head: 0.25, tail: 0.5 } } as const; // prettier-ignore
    const laid = unwrap(lay(job, { head: 2, bodies: [1], tail: 1 }, { from: 0, to: 20 }, plainPath(20, false)));
    expect(laid.placements.map(({ kind }) => kind).filter((kind) => kind !== 'body')).toEqual(['head', 'tail']);
    expect(laid.placements[0]).toMatchObject({ kind: 'head', station: 1, length: 2 });
    expect(laid.placements[1].station).toBeCloseTo(3.25, 12);
    expect(laid.placements.at(-1)).toMatchObject({ kind: 'tail', station: 19, length: 1 });
    const body = laid.placements.at(-2)!;
    expect(body.station + body.length).toBeCloseTo(18.5, 12);
  });

  it('parts a course at the path points and leaves room beside what stands there', () => {
    const path = { ...plainPath(12, false), pointStations: [0, 4, 9, 12] };
    const job = { ...LAYING_DEFAULTS, rule: { kind: 'onePiece', lies: 'reach' }, joints: { at: 'points', angle: 0.5, clear: 0.1 } } as const; // prettier-ignore
    const { placements } = unwrap(lay(job, { bodies: [2], joint: 0.2 }, { from: 0, to: 12 }, path));
    expect(placements.map(({ kind }) => kind)).toEqual(['body', 'post', 'body', 'post', 'body']);
    const spans = placements.map(({ station, length }) => [station, station + length]);
    const expected = [[0, 3.8], [3.9, 4.1], [4.2, 8.8], [8.9, 9.1], [9.2, 12]]; // prettier-ignore
    spans.forEach((span, i) => span.forEach((at, k) => expect(at).toBeCloseTo(expected[i][k], 12)));
    const long = lay(job, { bodies: [2], joint: 6 }, { from: 0, to: 12 }, path);
    expect(long).toMatchObject({
      problems: [{ code: 'laying.short-leg', facts: { station: 4, leg: 5, needed: expect.closeTo(6.2, 9) as number } }],
    });
  });

  it('repeats an order of segments, and fills with their own lengths', () => {
    const job = { ...LAYING_DEFAULTS, rule: { kind: 'fillGaps', gap: 0 }, pattern: { kind: 'sequence', order: 'A A B' } } as const; // prettier-ignore
    const { placements } = unwrap(lay(job, { bodies: [1, 3] }, { from: 0, to: 12 }, plainPath(12, false)));
    expect(placements.map(({ body }) => body)).toEqual([0, 0, 1, 0, 0, 1, 0, 0]);
    expect(placements.map(({ natural }) => natural)).toEqual([1, 1, 3, 1, 1, 3, 1, 1]);
    expect(placements.reduce((sum, p) => sum + p.length + p.gap, 0)).toBeCloseTo(12, 12);
    expect(lay(job, { bodies: [1] }, { from: 0, to: 12 }, plainPath(12, false))).toMatchObject({
      problems: [{ code: 'laying.no-segment', facts: { body: 1, bodies: 1 } }],
    });
  });

  it('mixes by weights, the same for the same seed', () => {
    const mixed = (seed: number, weights = [3, 1]) =>
      unwrap(lay({ ...LAYING_DEFAULTS, rule: { kind: 'byCount', count: 4000, over: 'own', gap: 0 }, pattern: { kind: 'mixture', weights, seed } }, { bodies: [1, 1] }, { from: 0, to: 4000 }, plainPath(4000, false))).placements.map(({ body }) => body); // prettier-ignore
    expect(mixed(5)).toEqual(mixed(5));
    expect(mixed(5)).not.toEqual(mixed(6));
    // Of 4,000 draws a quarter, within five standard deviations (the binomial's).
    const seldom = mixed(5).filter((body) => body === 1).length;
    expect(Math.abs(seldom - 1000)).toBeLessThan(5 * Math.sqrt(4000 * 0.25 * 0.75));
    expect(mixed(5, [0, 2]).every((body) => body === 1)).toBe(true);
  });

  it('turns or mirrors every so many, hides one, moves one and puts another in its place', () => {
    const everyOther = { every: 2, turn: Math.PI / 2, mirrored: true };
    const pieces = [{ piece: 1, hidden: true }, { piece: 2, along: 0.1, up: 0.2 }, { piece: 3, body: 1 }] as const; // prettier-ignore
    const job = { ...LAYING_DEFAULTS, rule: { kind: 'byCount', count: 4, over: 'own', gap: 0 }, everyOther, pieces } as const; // prettier-ignore
    const { placements } = unwrap(lay(job, { bodies: [1, 2] }, { from: 0, to: 4 }, plainPath(4, false)));
    expect(placements.map(({ turn }) => turn)).toEqual([0, Math.PI / 2, 0, Math.PI / 2]);
    expect(placements.map(({ mirrored }) => mirrored)).toEqual([false, true, false, true]);
    expect(placements.map(({ hidden }) => hidden)).toEqual([false, true, false, false]);
    expect(placements[2]).toMatchObject({ station: 2.1, up: 0.2 });
    expect(placements[3]).toMatchObject({ body: 1, natural: 2, stretch: 0.5 });
  });
});
