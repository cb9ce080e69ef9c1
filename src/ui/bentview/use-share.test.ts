import { COARSEST, nextShare } from './use-share';

describe('how fine the next picture in passing is', () => {
  it('is so coarse that it would take the longest that is borne: time goes with the pixels, the square of the share', () => {
    for (const [share, took] of [
      [1, 100],
      [1, 150],
      [0.9, 120],
    ] as const) {
      const next = nextShare(share, took);
      expect((took * next ** 2) / share ** 2).toBeCloseTo(80, 9);
    }
  });

  it('is never coarser than can be read, and never finer than the page', () => {
    expect(nextShare(1, 5000)).toBe(COARSEST);
    expect(nextShare(COARSEST, 5000)).toBe(COARSEST);
    expect(nextShare(0.95, 4)).toBe(1);
  });

  it('stays between quick and slow, and does not swing: what one picture makes finer the next does not make coarser', () => {
    for (let share = COARSEST; share <= 1; share += 0.05) {
      expect(nextShare(share, 50)).toBe(share);
      const took = 29; // quick
      const finer = nextShare(share, took);
      const thenTakes = took * (finer / share) ** 2;
      expect(nextShare(finer, thenTakes)).toBeGreaterThanOrEqual(finer);
    }
  });
});
