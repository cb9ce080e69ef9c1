import { ellipse, helix, pathOf } from '../testing/curves';
import { compiled } from '../testing/runs';
import { buildArcTable, evenPlaces, fillParams } from './arc-table';
import type { Curve } from './curve';
import { soundStretches, stiffenCurve } from './stiffen-curve';

const RING = buildArcTable(ellipse(2, 2));
const at = (curve: Curve, u: number, order: 0 | 1 | 2 = 0, fromLeft = false): number[] => {
  const out = new Float64Array(3);
  if (order === 0) curve.pointAt(out, 0, u);
  else if (order === 1) curve.velocityAt(out, 0, u, fromLeft);
  else curve.accelerationAt(out, 0, u, fromLeft);
  return [...out];
};
const paramOf = (s: number, arc = RING): number => {
  const out = new Float64Array(1);
  fillParams(out, arc, Float64Array.of(s));
  return out[0];
};
const unit = (v: readonly number[]) => v.map((x) => x / Math.hypot(...v));

describe('stiffenCurve', () => {
  const stretch = { from: 3, to: 4 };
  const curve = stiffenCurve(RING, [stretch]);

  it('is straight along the chord of a stretch, and the curve itself beyond what lies beside it', () => {
    const [a, b] = [at(RING.curve, paramOf(3)), at(RING.curve, paramOf(4))];
    for (const share of [0, 0.25, 0.5, 1]) {
      const u = paramOf(3) + share * (paramOf(4) - paramOf(3));
      at(curve, u).forEach((x, c) => expect(x).toBeCloseTo(a[c] + share * (b[c] - a[c]), 9));
    }
    for (const s of [0.5, 0.99, 6.01, 11]) expect(at(curve, paramOf(s))).toEqual(at(RING.curve, paramOf(s)));
  });

  it('has no corner, and no jump of curvature, where its parts meet', () => {
    for (const s of [1, 3, 4, 6]) {
      const u = curve.breaks.find((own) => Math.abs(own - paramOf(s)) < 1e-9)!;
      const [before, after] = [true, false].map((left) => unit(at(curve, u, 1, left)));
      before.forEach((x, c) => expect(x).toBeCloseTo(after[c], 9));
      const bends = [true, false].map((left) => curvature(curve, u, left));
      expect(bends[0]).toBeCloseTo(bends[1], 6);
    }
  });

  it('has derivatives that are its own differences', () => {
    const h = 1e-6;
    for (const s of [2.4, 3.5, 4.6]) {
      const u = paramOf(s);
      const difference = (order: 0 | 1) =>
        at(curve, u + h, order).map((x, c) => (x - at(curve, u - h, order)[c]) / (2 * h));
      difference(0).forEach((x, c) => expect(at(curve, u, 1)[c]).toBeCloseTo(x, 4));
      difference(1).forEach((x, c) => expect(at(curve, u, 2)[c] / 100).toBeCloseTo(x / 100, 2));
    }
  });

  it('goes on as an open path begins and ends where a stretch lies at its end', () => {
    const arc = buildArcTable(helix(2, 0.4, 1));
    const whole = arc.length;
    const open = stiffenCurve(arc, [{ from: 0, to: 1 }, { from: whole - 1, to: whole }]); // prettier-ignore
    const places = evenPlaces(buildArcTable(open), 400);
    const first = unit(at(arc.curve, 0, 1));
    const last = unit(at(arc.curve, 1, 1, true));
    [0, 1, 2].forEach((c) => {
      expect((places[30 + c] - places[c]) / Math.hypot(places[30] - places[0], places[31] - places[1], places[32] - places[2])).toBeCloseTo(first[c], 6); // prettier-ignore
      expect(unit(at(open, 1, 1, true))[c]).toBeCloseTo(last[c], 9);
      expect(places[1200 + c]).toBeCloseTo(at(arc.curve, 1)[c], 9);
    });
  });

  it('takes stretches in any order, those that touch as one, and none that is nothing', () => {
    const asked = [{ from: 5, to: 4 }, { from: 1, to: 2 }, { from: 2, to: 3 }, { from: 8, to: 8 }, { from: 9, to: 99 }]; // prettier-ignore
    expect(soundStretches(asked, 10)).toEqual([{ from: 1, to: 3 }, { from: 4, to: 5 }, { from: 9, to: 10 }]); // prettier-ignore
    expect(stiffenCurve(RING, [])).toBe(RING.curve);
    const straight = buildArcTable(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]]))); // prettier-ignore
    expect(buildArcTable(stiffenCurve(straight, [{ from: 2, to: 5 }])).length).toBeCloseTo(10, 9);
  });
});

/** |v x a| / |v|^3 (any textbook on curves). */
function curvature(curve: Curve, u: number, fromLeft: boolean): number {
  const [v, a] = [at(curve, u, 1, fromLeft), at(curve, u, 2, fromLeft)];
  const c = [v[1] * a[2] - v[2] * a[1], v[2] * a[0] - v[0] * a[2], v[0] * a[1] - v[1] * a[0]];
  return Math.hypot(...c) / Math.hypot(...v) ** 3;
}
