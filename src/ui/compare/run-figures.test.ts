import { compareFigures, type RunFigures } from './run-figures';

const figures: RunFigures = { length: 12, pieces: 4, stretch: 0.0031, twist: 0.1, triangles: 1200 };

describe('compareFigures', () => {
  it('tells what changed, and what is the same to the last digit that is shown', () => {
    const rows = compareFigures(figures, { ...figures, length: 12.5, stretch: 0.00310001 });
    expect(rows.map(({ isSame }) => isSame)).toEqual([false, true, true, true, true]);
    expect([rows[0].a, rows[0].b]).toEqual(['12.00 m', '12.50 m']);
    expect(rows[2].a).toBe('+0.31 %');
  });

  it('tells of a run that one of the two states has not', () => {
    const [length] = compareFigures(undefined, figures);
    expect([length.a, length.isSame]).toEqual(['not there', false]);
  });
});
