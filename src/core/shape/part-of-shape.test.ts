import { reversePath } from '../edit/reverse';
import { splitAt } from '../edit/split';
import { SIDE, UP } from '../frames/frame-table';
import { pathOf } from '../testing/curves';
import { compiled, tableOf } from '../testing/runs';
import { frameOn, GAUGE_SIDE, GAUGE_UP, OFFSET_SIDE, OFFSET_UP } from './frame-on';
import { partOfShape, reversedShape } from './part-of-shape';
import { buildShape } from './shape';
import type { LaneSpec } from './lane-spec';
import type { ShapeSpec } from './shape-spec';

const PATH = pathOf('handles', [[0, 0, 0], [4, 0, 1], [7, 1, 4], [8, 1, 9]]); // prettier-ignore
const tableOfPath = (spec: typeof PATH) => tableOf(compiled(spec), 'upright', { tolerance: 1e-7 });
const whole = tableOfPath(PATH);
const L = whole.length;
const REACH = { from: 1, to: L - 0.5 };

const lane = (blend: LaneSpec['blend'], along: LaneSpec['along'], ...keys: readonly (readonly [number, number])[]): LaneSpec => ({
  blend,
  ...(along && { along }),
  keys: keys.map(([station, value]) => ({ station, value })),
}); // prettier-ignore

const spec = (blend: LaneSpec['blend']): ShapeSpec => ({
  frames: { rule: 'upright', up: [0, 1, 0] },
  roll: 0.3,
  turns: 0.5,
  gauge: 1.2,
  stiff: [{ from: 2, to: 3 }, { from: 6, to: 7 }], // prettier-ignore
  lanes: {
    roll: lane(blend, 'reach', [0, 0], [0.3, 0.8], [1, -0.2]),
    gaugeUp: lane(blend, undefined, [1, 1], [5, 2], [L, 0.5]),
    gaugeSide: lane(blend, 'reach', [0.1, 1], [0.9, 2]),
    offsetUp: lane(blend, undefined, [2, 0], [8, 0.4]),
    offsetSide: lane(blend, 'reach', [0, -0.2], [1, 0.7]),
  },
});

/** What of a frame lies in space: up, gauges, and the offset in the world. */
function lies(frame: Float64Array): number[] {
  const offset = [0, 1, 2].map((c) => frame[OFFSET_UP] * frame[UP + c] + frame[OFFSET_SIDE] * frame[SIDE + c]);
  return [...frame.slice(0, 3), ...frame.slice(UP, UP + 3), frame[GAUGE_UP], frame[GAUGE_SIDE], ...offset];
}
const near = (a: number[], b: number[], digits: number) => a.forEach((x, i) => expect(x).toBeCloseTo(b[i], digits));

describe('reversedShape', () => {
  it.each(['straight', 'smooth', 'steady'] as const)(
    'lies and leans as it did, seen from the other end (%s)',
    (blend) => {
      const shape = spec(blend);
      const before = buildShape(whole, shape, { reach: REACH });
      const turned = reversedShape(shape, L);
      const after = buildShape(tableOfPath(reversePath(PATH)), turned, {
        reach: { from: L - REACH.to, to: L - REACH.from },
      });
      for (let s = REACH.from + 0.013; s < REACH.to; s += 0.37)
        near(lies(frameOn(after, L - s)), lies(frameOn(before, s)), 5);
      expect(turned.stiff).toEqual([{ from: L - 7, to: L - 6 }, { from: L - 3, to: L - 2 }]); // prettier-ignore
    },
  );

  it('is the shape itself when it is turned round twice', () => {
    const shape = spec('smooth');
    const again = reversedShape(reversedShape(shape, L), L);
    expect(again.roll).toBeCloseTo(shape.roll, 12);
    again.lanes!.roll!.keys.forEach(({ station, value }, i) => {
      expect(station).toBeCloseTo(shape.lanes!.roll!.keys[i].station, 12);
      expect(value).toBe(shape.lanes!.roll!.keys[i].value);
    });
  });

  it('leaves a shape that says nothing along its length', () => {
    const plain = { frames: { rule: 'upright', up: [0, 1, 0] }, roll: 0, turns: 0, gauge: 1 } as const;
    expect(reversedShape(plain, 10)).toEqual(plain);
  });
});

describe('partOfShape', () => {
  const cutAt = whole.pointStations[2];
  const [first, second] = splitAt(PATH, 2)!;

  it.each(['straight', 'steady'] as const)('lies on either part of a cut path as on the whole (%s)', (blend) => {
    const shape = spec(blend);
    const before = buildShape(whole, shape, { reach: REACH });
    const parts = [
      { path: first, part: { from: REACH.from, to: cutAt }, start: 0 },
      { path: second, part: { from: cutAt, to: REACH.to }, start: cutAt },
    ];
    for (const { path, part, start } of parts) {
      const own = partOfShape(shape, REACH, part, start);
      const after = buildShape(tableOfPath(path), own, { reach: { from: part.from - start, to: part.to - start } }); // prettier-ignore
      for (let s = part.from + 0.011; s < part.to; s += 0.31) near(lies(frameOn(after, s - start)), lies(frameOn(before, s)), 5); // prettier-ignore
    }
  });

  it('has the stiff zones that lie in it, and those that are cut up to the cut', () => {
    const shape = { ...spec('straight'), stiff: [{ from: cutAt - 1, to: cutAt + 1 }] };
    expect(partOfShape(shape, REACH, { from: REACH.from, to: cutAt }, 0).stiff).toEqual([
      { from: cutAt - 1, to: cutAt },
    ]);
    expect(partOfShape(shape, REACH, { from: cutAt, to: REACH.to }, cutAt).stiff).toEqual([{ from: 0, to: 1 }]);
    const aside = { ...shape, stiff: [{ from: 1, to: 2 }] };
    expect(partOfShape(aside, REACH, { from: cutAt, to: REACH.to }, cutAt).stiff).toBeUndefined();
  });
});
