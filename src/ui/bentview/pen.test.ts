import { pathOf } from '../../core/testing/curves';
import type { Vec3 } from '../../core/math/vec3';
import type { PathView } from '../../engine/path-view';
import { footprintAt, previewPen } from './pen-preview';
import { strokeOn } from './stroke-meaning';
import { penClick } from './pen-click';
import { roundCell } from './round-cell';
import { notches } from './notches';

const box = { min: [0, -0.5, -4] as Vec3, max: [4, 0, 4] as Vec3 };
const asked = { box, up: [0, 1, 0] as Vec3, known: 0 };

describe('previewPen', () => {
  it('says leg and total of straight legs exactly, and the radius of three points on a circle nearly', () => {
    const legs = pathOf('straight', [[0, 0, 0], [3, 0, 4]]); // prettier-ignore
    const preview = previewPen(legs, 'end', [3, 0, 16], asked)!;
    expect(preview.leg).toBeCloseTo(12, 9);
    expect(preview.total).toBeCloseTo(17, 9);
    expect(preview.radius).toBe(0); // a sharp corner
    expect(preview.needed).toBe(4);
    const on = (angle: number): Vec3 => [20 * Math.sin(angle), 0, 20 * Math.cos(angle)];
    const smooth = pathOf('smooth', [on(0), on(0.3)]);
    const bend = previewPen(smooth, 'end', on(0.6), asked)!;
    expect(bend.radius).toBeGreaterThan(10);
    expect(bend.radius).toBeLessThan(22);
  });

  it('looks at the end of a long path only, and adds what is known of the rest', () => {
    const long = pathOf('straight', Array.from({ length: 400 }, (_, i): Vec3 => [i, 0, 0])); // prettier-ignore
    const preview = previewPen(long, 'end', [402, 0, 0], { ...asked, known: 399 })!;
    expect(preview.total).toBeCloseTo(402, 6);
    expect(previewPen(long, 'start', [-1, 0, 0], { ...asked, known: 399 })!.leg).toBeCloseTo(1, 6);
  });

  it('shows what a segment covers, as wide as it is', () => {
    const corners = footprintAt([10, 0, 0], [1, 0, 0], [0, 1, 0], 4, 2);
    expect(corners.map(([x]) => x)).toEqual([10, 6, 6, 10]);
    expect(Math.abs(corners[0][2] - corners[3][2])).toBeCloseTo(4, 12);
  });
});

describe('a click of the pen', () => {
  const path = pathOf('smooth', [[0, 0, 0], [5, 0, 0], [5, 0, 5]]); // prettier-ignore
  it('ends on the point that was drawn last, closes on the other end, and means nothing else', () => {
    expect([0, 1, 2].map((i) => penClick(path, 2, i))).toEqual(['close', undefined, 'end']);
    expect([0, 1, 2].map((i) => penClick(path, 0, i))).toEqual(['end', undefined, 'close']); // drawn on from the start
    expect(penClick({ ...path, points: path.points.slice(0, 2) }, 1, 0)).toBeUndefined();
    expect(penClick({ ...path, closed: true }, 2, 0)).toBeUndefined();
  });
});

describe('a stroke', () => {
  const path = pathOf('straight', [[0, 0, 0], [10, 0, 0]]); // prettier-ignore
  const view = { length: 10, line: Float64Array.of(0, 0, 0, 10, 0, 0), stations: Float64Array.of(0, 10) } as unknown as PathView; // prettier-ignore
  const places = Array.from({ length: 20 }, (_, i): Vec3 => [10 + i / 4, 0, Math.sin(i / 5)]);
  const end = { station: 10, end: 'end' as const };
  const start = { station: 0, end: 'start' as const };

  it('goes on from the end that it begins or ends at', () => {
    for (const [from, to, line] of [
      [end, undefined, places],
      [undefined, end, [...places].reverse()],
    ] as const) {
      // prettier-ignore
      const made = strokeOn(path, view, line, { from, to }, 0.02)!;
      expect(made.points[0].position).toEqual([0, 0, 0]);
      expect(made.points.at(-1)!.position[0]).toBeCloseTo(14.75, 6);
    }
  });

  it('closes from end to end, redraws between two places, and is a path of its own elsewhere', () => {
    expect(strokeOn(path, view, places, { from: end, to: start }, 0.02)!.closed).toBe(true);
    const part = strokeOn(path, view, [[2, 0, 0], [4, 0, 1], [6, 0, 0]], { from: { station: 2 }, to: { station: 6 } }, 0.02)!; // prettier-ignore
    expect(part.points[0].position).toEqual([0, 0, 0]);
    expect(part.points.at(-1)!.position).toEqual([10, 0, 0]);
    expect(strokeOn(path, view, places, { from: undefined, to: undefined }, 0.02)).toBeUndefined();
    expect(strokeOn(path, view, places, { from: { station: 4 }, to: undefined }, 0.02)).toBeUndefined();
  });
});

describe('the wheel and the grid', () => {
  it('counts pixels, lines and pinches as notches, and no more than a few at once', () => {
    const turn = (deltaY: number, deltaMode = 0, ctrlKey = false) => notches({ deltaY, deltaMode, ctrlKey });
    expect(turn(100)).toBe(1);
    expect(turn(-100)).toBe(1);
    expect(turn(3, 1)).toBe(1);
    expect(turn(5)).toBe(0.05); // a trackpad's small step
    expect(turn(5, 0, true)).toBe(0.5); // a pinch
    expect(turn(4000)).toBe(4);
  });

  it('has squares of 1, 2 and 5 times a power of ten', () => {
    expect([0.013, 0.02, 0.9, 3, 7.4, 80].map(roundCell)).toEqual([0.01, 0.02, 1, 2, 5, 100]);
  });
});
