import fc from 'fast-check';
import type { Result } from '../math/result';
import { resolveReach, type ReachSpec } from '../shape/reach';
import { unwrap } from '../testing/runs';
import { lay as layOn } from './lay';
import type { Layout } from './layout';
import { plainPath } from './laid-path';
import { LAYING_DEFAULTS } from './laying-spec';
import { LAYING_RULES, layingRule, type LayingRuleName, type RuleSpec } from './registry';
import { summaryOf } from './summary';

interface Given extends ReachSpec {
  readonly rule: RuleSpec;
}

const spec = (kind: LayingRuleName, { from = null, to = null, ...options }: Record<string, unknown> = {}): Given => {
  const five = kind === 'byCount' ? { count: 5, over: 'own' } : {};
  const gap = 'gap' in layingRule({ kind }).defaults ? { gap: 0 } : {};
  return {
    rule: { ...layingRule({ kind }).defaults, ...five, ...gap, ...options } as RuleSpec,
    from: from as number | null,
    to: to as number | null,
  };
};

const lay = (given: Given, natural: number, length: number, closed: boolean): Result<Layout> =>
  layOn(
    { ...LAYING_DEFAULTS, rule: given.rule },
    { bodies: [natural] },
    resolveReach(given, length),
    plainPath(length, closed),
  );

/** With the one stretch and the one gap that all pieces have. */
const even = (layout: Layout) => {
  const { stretch, gap } = summaryOf(layout);
  expect(stretch.greatest).toBeCloseTo(stretch.least, 12);
  expect(gap.greatest).toBeCloseTo(gap.least, 12);
  return { ...layout, stretch: stretch.greatest, gap: gap.greatest };
};

describe('lay', () => {
  it('fills 128.40 m with 32 pieces of 4 m, each 0.31 % long', () => {
    const { placements, stretch } = even(unwrap(lay(spec('fillStretch'), 4, 128.4, false)));
    expect(placements).toHaveLength(32);
    expect(stretch).toBeCloseTo(1.003125, 12);
  });

  it('evens the gaps: 9 pieces of 1 m on 10 m leave eight gaps of 125 mm', () => {
    const { placements, gap, stretch } = even(unwrap(lay(spec('fillGaps', { gap: 0.1 }), 1, 10, false)));
    expect(placements).toHaveLength(9);
    expect(gap).toBeCloseTo(1 / 8, 12);
    expect(stretch).toBe(1);
  });

  it.each([
    { over: 'stretch' as const, length: 2.5, gap: 0, remainder: 0 },
    { over: 'gaps' as const, length: 2, gap: 2 / 3, remainder: 0 },
    { over: 'own' as const, length: 2, gap: 0, remainder: 2 },
  ])('lays four pieces of 2 m on 10 m: $over', ({ gap, remainder, length, over }) => {
    const laid = even(unwrap(lay(spec('byCount', { count: 4, over }), 2, 10, false)));
    expect(laid.placements).toHaveLength(4);
    expect(laid.placements[3].station + laid.placements[3].length).toBeCloseTo(10 - remainder, 12);
    expect(laid.placements[0].length).toBeCloseTo(length, 12);
    expect(laid.gap).toBeCloseTo(gap, 12);
    expect(laid.remainder).toBeCloseTo(remainder, 12);
  });

  it.each([
    { lies: 'reach' as const, station: 1, length: 9 },
    { lies: 'start' as const, station: 1, length: 2 },
    { lies: 'middle' as const, station: 4.5, length: 2 },
    { lies: 'end' as const, station: 8, length: 2 },
  ])('lays one piece of 2 m on the last 9 of 10 m: $lies', ({ lies, station, length }) => {
    const { placements, remainder } = unwrap(lay(spec('onePiece', { lies, from: 1 }), 2, 10, false));
    expect(placements).toHaveLength(1);
    expect(placements[0].station).toBeCloseTo(station, 12);
    expect(placements[0].length).toBeCloseTo(length, 12);
    expect(remainder).toBeCloseTo(10 - station - length, 9);
  });

  it('puts a gap behind the last piece too when the reach goes once round', () => {
    const { placements, gap } = even(unwrap(lay(spec('fillGaps', { gap: 0.1 }), 1, 10, true)));
    expect(placements).toHaveLength(9);
    expect(gap).toBeCloseTo(1 / 9, 12);
    expect(placements[8].gap).toBeCloseTo(1 / 9, 12);
  });

  // Natural lengths are 32-bit numbers: a tenth of a metre is 0.10000000149.
  it('loses no piece that fits exactly, and lets them touch: 1,000 of them', () => {
    let lost = 0;
    for (let k = 1; k <= 1000; k++) {
      const natural = Math.fround(0.01 * k);
      const count = 1 + ((k * 7) % 300);
      const { placements, gap, remainder } = even(unwrap(lay(spec('fillGaps'), natural, 0.01 * k * count, false)));
      if (placements.length !== count || gap !== 0 || remainder !== 0) lost++;
    }
    expect(lost).toBe(0);
    expect(unwrap(lay(spec('fillGaps'), Math.fround(0.1), 10, false)).placements).toHaveLength(100);
    expect(unwrap(lay(spec('fillGaps'), Math.fround(0.1), 9.9999, false)).placements).toHaveLength(99);
  });

  it('says what is left or over by count', () => {
    expect(unwrap(lay(spec('byCount', { count: 3 }), 4, 16, false)).remainder).toBe(4);
    expect(unwrap(lay(spec('byCount', { count: 5 }), 4, 16, false)).remainder).toBe(-4);
    expect(unwrap(lay(spec('byCount', { count: 4 }), 4, 16, false)).remainder).toBe(0);
  });

  it('keeps to the reach', () => {
    const { placements, reach } = unwrap(lay(spec('fillStretch', { from: 3, to: 11 }), 2, 20, false));
    expect(reach).toEqual({ from: 3, to: 11 });
    expect(placements[0].station).toBe(3);
    expect(placements[3].station + placements[3].length).toBeCloseTo(11, 12);
  });

  it.each([
    [spec('fillStretch', { from: 5, to: 5 }), 'laying.no-reach'],
    [spec('fillStretch', { gap: -4 }), 'laying.pitch'],
  ])('refuses what cannot be laid: %j', (given, code) => {
    expect(lay(given, 4, 100, false)).toMatchObject({ ok: false, problems: [{ code }] });
  });

  it('refuses more pieces than a run may have, and says how many it would be', () => {
    const result = lay(spec('fillStretch'), 0.0005, 100, false);
    expect(result).toMatchObject({
      ok: false,
      problems: [{ code: 'laying.too-many', facts: { pieces: 200_000, most: 100_000 } }],
    });
  });

  const inputs = fc.record({
    natural: fc.double({ min: 0.2, max: 50, noNaN: true }),
    path: fc.double({ min: 0.5, max: 500, noNaN: true }),
    gap: fc.double({ min: 0, max: 20, noNaN: true }),
    closed: fc.boolean(),
  });

  it.each(LAYING_RULES.flatMap(({ kind, isPlaced }) => (isPlaced ? [] : [kind])))(
    'never lets pieces overlap when the gap is not negative (%s)',
    (rule) => {
      fc.assert(
        fc.property(inputs, ({ natural, path, gap, closed }) => {
          const result = lay(spec(rule, { gap }), natural, path, closed);
          if (!result.ok) return;
          const { placements } = result.value;
          const clear = placements.slice(1).map((p, i) => p.station - placements[i].station - placements[i].length);
          expect(Math.min(0, ...clear)).toBeGreaterThanOrEqual(-(path + natural) * 1e-12);
          expect(Math.max(0, ...clear.map((c, i) => Math.abs(c - placements[i].gap)))).toBeLessThan(path * 1e-9);
        }),
        { numRuns: 300, seed: 3 },
      );
    },
  );

  it.each(LAYING_RULES.map(({ kind }) => kind))('sums to the reach: lengths, gaps and remainder (%s)', (rule) => {
    fc.assert(
      fc.property(inputs, ({ natural, path, gap, closed }) => {
        const result = lay(spec(rule, { gap }), natural, path, closed);
        if (!result.ok) return;
        const { placements, before, remainder } = result.value;
        const sum = placements.reduce((total, p) => total + p.length + p.gap, 0);
        expect(Math.abs(before + sum + remainder - path)).toBeLessThan(path * 1e-8 + sum * 1e-9);
        if (rule === 'fillStretch' || rule === 'onePiece') expect(remainder).toBe(0);
      }),
      { numRuns: 300, seed: 5 },
    );
  });
});

describe('lay, with margins and an order of segments', () => {
  const inputs = fc.record({
    path: fc.double({ min: 5, max: 500, noNaN: true }),
    bodies: fc.array(fc.double({ min: 0.3, max: 4, noNaN: true }), { minLength: 3, maxLength: 3 }),
    first: fc.double({ min: -1, max: 2, noNaN: true }),
    last: fc.double({ min: -1, max: 2, noNaN: true }),
    head: fc.double({ min: 0, max: 0.5, noNaN: true }),
    gap: fc.double({ min: 0, max: 2, noNaN: true }),
    order: fc.constantFrom('A', 'A A B', 'B C', 'C A B B'),
  });

  it.each(LAYING_RULES.map(({ kind }) => kind))(
    'adds up to the reach: margins, head, lengths, gaps and rest (%s)',
    (kind) => {
      fc.assert(
        fc.property(inputs, ({ path, bodies, first, last, head, gap, order }) => {
          const { rule } = spec(kind, { gap });
          const margins = { first, last, head: 0, tail: 0 };
          const job = { ...LAYING_DEFAULTS, rule, margins, pattern: { kind: 'sequence', order } } as const;
          const laid = layOn(job, { head, bodies }, { from: 0, to: path }, plainPath(path, false));
          if (!laid.ok) return;
          const { placements, before, remainder } = laid.value;
          const sum = placements.reduce((total, piece) => total + piece.length + piece.gap, 0);
          expect(Math.abs(first + before + sum + remainder + last - path)).toBeLessThan(
            path * 1e-8 + Math.abs(sum) * 1e-9,
          );
          const letters = order.replaceAll(' ', '');
          const body = placements.filter((piece) => piece.kind === 'body');
          body.forEach((piece, i) => expect(piece.body).toBe('ABC'.indexOf(letters[i % letters.length])));
        }),
        { numRuns: 150, seed: 11 },
      );
    },
  );

  it('lays what fits exactly: 400 orders that come out even lose no piece', () => {
    let lost = 0;
    for (let k = 1; k <= 400; k++) {
      const bodies = [0.1 * k, 0.07 * k].map(Math.fround);
      const job = { ...LAYING_DEFAULTS, rule: { kind: 'fillGaps', gap: 0 }, pattern: { kind: 'sequence', order: 'A B' } } as const; // prettier-ignore
      const rounds = 1 + (k % 40);
      const length = rounds * 0.17 * k;
      const laid = unwrap(layOn(job, { bodies }, { from: 0, to: length }, plainPath(length, false)));
      if (laid.placements.length !== 2 * rounds || laid.remainder !== 0) lost++;
    }
    expect(lost).toBe(0);
  });
});

describe('closer at the ends', () => {
  const stationsOf = (options: object, closed = false) =>
    unwrap(lay(spec('closerAtTheEnds', { gap: 0.9, ends: 0.5, ...options }), 0.1, 30, closed)).placements.map(
      ({ station }) => station,
    );
  const spacings = (stations: readonly number[]) => stations.slice(1).map((s, i) => s - stations[i]);

  it('has a spacing at the ends that is the share of the greatest, evenly on both sides', () => {
    const stations = stationsOf({});
    expect(stations[0]).toBe(0);
    expect(stations.at(-1)! + 0.1).toBeCloseTo(30, 9);
    const apart = spacings(stations);
    // Half a sine wave over the run has 2/pi of its height on average: 1 m in the middle makes 0.818 m, and 29.9 m of it 37.
    expect(apart).toHaveLength(37);
    expect(apart[0] / apart[18]).toBeCloseTo(0.5, 12);
    apart.forEach((d, i) => expect(d).toBeCloseTo(apart[36 - i], 9));
  });

  it('is even where the share is the whole', () => {
    const apart = spacings(stationsOf({ ends: 1 }));
    expect(Math.max(...apart) - Math.min(...apart)).toBeLessThan(1e-9);
  });

  it('leaves out pieces that would overlap', () => {
    const apart = spacings(stationsOf({ gap: 0, ends: 0.1 }));
    expect(Math.min(...apart)).toBeGreaterThanOrEqual(0.1 - 1e-9);
    expect(apart[0] / Math.max(...apart)).toBeCloseTo(0.1, 2);
  });
});
