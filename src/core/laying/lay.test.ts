import fc from 'fast-check';
import { jobOf, unwrap } from '../testing/runs';
import { lay } from './lay';
import { LAYING_RULES, type LayingRuleName, type LayingSpec } from './registry';

const spec = (rule: LayingRuleName, change: Partial<LayingSpec> = {}): LayingSpec => ({
  ...jobOf().laying,
  ...{ rule, count: 5 },
  ...change,
});

describe('lay', () => {
  it('fills 128.40 m with 32 pieces of 4 m, each 0.31 % long', () => {
    const { placements, stretch } = unwrap(lay(spec('fillStretch'), 4, 128.4, false));
    expect(placements).toHaveLength(32);
    expect(stretch).toBeCloseTo(1.003125, 12);
  });

  it('evens the gaps: 9 pieces of 1 m on 10 m leave eight gaps of 125 mm', () => {
    const { placements, gap, stretch } = unwrap(lay(spec('fillGaps', { gap: 0.1 }), 1, 10, false));
    expect(placements).toHaveLength(9);
    expect(gap).toBeCloseTo(1 / 8, 12);
    expect(stretch).toBe(1);
  });

  it.each([
    { countFit: 'stretch' as const, length: 2.5, gap: 0, remainder: 0 },
    { countFit: 'gaps' as const, length: 2, gap: 2 / 3, remainder: 0 },
    { countFit: 'own' as const, length: 2, gap: 0, remainder: 2 },
  ])('lays four pieces of 2 m on 10 m: $countFit', ({ gap, remainder, length, countFit }) => {
    const laid = unwrap(lay(spec('byCount', { count: 4, countFit }), 2, 10, false));
    expect(laid.placements).toHaveLength(4);
    expect(laid.placements[3]!.station + laid.placements[3]!.length).toBeCloseTo(10 - remainder, 12);
    expect(laid.placements[0]!.length).toBeCloseTo(length, 12);
    expect(laid.gap).toBeCloseTo(gap, 12);
    expect(laid.remainder).toBeCloseTo(remainder, 12);
  });

  it.each([
    { oneFit: 'reach' as const, station: 1, length: 9 },
    { oneFit: 'start' as const, station: 1, length: 2 },
    { oneFit: 'middle' as const, station: 4.5, length: 2 },
    { oneFit: 'end' as const, station: 8, length: 2 },
  ])('lays one piece of 2 m on the last 9 of 10 m: $oneFit', ({ oneFit, station, length }) => {
    const { placements, remainder } = unwrap(lay(spec('onePiece', { oneFit, from: 1 }), 2, 10, false));
    expect(placements).toHaveLength(1);
    expect(placements[0]!.station).toBeCloseTo(station, 12);
    expect(placements[0]!.length).toBeCloseTo(length, 12);
    expect(remainder).toBeCloseTo(10 - station - length, 9);
  });

  it('puts a gap behind the last piece too when the reach goes once round', () => {
    const { placements, gap } = unwrap(lay(spec('fillGaps', { gap: 0.1 }), 1, 10, true));
    expect(placements).toHaveLength(9);
    expect(gap).toBeCloseTo(1 / 9, 12);
    expect(placements[8]!.gap).toBeCloseTo(1 / 9, 12);
  });

  // Natural lengths are 32-bit numbers: a tenth of a metre is 0.10000000149.
  it('loses no piece that fits exactly, and lets them touch: 1,000 of them', () => {
    let lost = 0;
    for (let k = 1; k <= 1000; k++) {
      const natural = Math.fround(0.01 * k);
      const count = 1 + ((k * 7) % 300);
      const { placements, gap, remainder } = unwrap(lay(spec('fillGaps'), natural, 0.01 * k * count, false));
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
    expect(placements[0]!.station).toBe(3);
    expect(placements[3]!.station + placements[3]!.length).toBeCloseTo(11, 12);
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

  it.each(LAYING_RULES.map(({ kind }) => kind))(
    'never lets pieces overlap when the gap is not negative (%s)',
    (rule) => {
      fc.assert(
        fc.property(inputs, ({ natural, path, gap, closed }) => {
          const result = lay(spec(rule, { gap }), natural, path, closed);
          if (!result.ok) return;
          const { placements } = result.value;
          const clear = placements.slice(1).map((p, i) => p.station - placements[i]!.station - placements[i]!.length);
          expect(Math.min(0, ...clear)).toBeGreaterThanOrEqual(-path * 1e-12);
          expect(Math.max(0, ...clear.map((c, i) => Math.abs(c - placements[i]!.gap)))).toBeLessThan(path * 1e-9);
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
        const { placements, remainder } = result.value;
        const sum = placements.reduce((total, p) => total + p.length + p.gap, 0);
        expect(Math.abs(sum + remainder - path)).toBeLessThan(path * 1e-8 + sum * 1e-9);
        if (rule === 'fillStretch' || rule === 'onePiece') expect(remainder).toBe(0);
      }),
      { numRuns: 300, seed: 5 },
    );
  });
});
