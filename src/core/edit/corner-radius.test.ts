import { buildArcTable } from '../curve/arc-table';
import { pathOf } from '../testing/curves';
import { compiled } from '../testing/runs';
import { withCornerRadius } from './corner-radius';

const BENT = pathOf('straight', [[0, 0, 0], [10, 0, 0], [10, 0, 10], [20, 0, 10]]); // prettier-ignore
const lengthOf = (spec: typeof BENT) => buildArcTable(compiled(spec)).length;

describe('withCornerRadius', () => {
  // A quarter of a circle in the stead of two tangents: pi r / 2 - 2 r each (elementary geometry).
  it('rounds the corners that say nothing of themselves, and leaves those that do', () => {
    const saved = Math.PI / 2 - 2;
    expect(lengthOf(withCornerRadius(BENT, 2))).toBeCloseTo(30 + 2 * 2 * saved, 9);
    const own = { ...BENT, points: BENT.points.map((point, i) => (i === 1 ? { ...point, radius: 0 } : point)) };
    expect(lengthOf(withCornerRadius(own, 2))).toBeCloseTo(30 + 2 * saved, 9);
  });

  it('leaves paths as they are that have no corners', () => {
    const smooth = { ...BENT, kind: 'smooth' as const };
    expect(withCornerRadius(smooth, 2)).toBe(smooth);
    expect(withCornerRadius(BENT, 0)).toBe(BENT);
    const belt = { ...BENT, kind: 'belt' as const, closed: true };
    expect(withCornerRadius(belt, 2)).toBe(belt);
  });
});
