import { helix } from '../testing/curves';
import { keyed } from '../testing/lanes';
import { shapeOf, tableOf } from '../testing/runs';
import { frameOn, GAUGE_SIDE, GAUGE_UP, OFFSET_SIDE, OFFSET_UP, SLOPE } from './frame-on';
import { onSection } from './on-section';

const TABLE = tableOf(helix(4, 0.6, 1), 'upright');
const LANES = { gaugeUp: keyed([0, 1], [8, 0.4], [20, 1.7]), gaugeSide: keyed([0, 0.5], [20, 1]) };

describe('onSection', () => {
  const own = onSection(shapeOf(TABLE, { gauge: 1.5, lanes: LANES }), 0.3, -0.2);

  it('lies where that place of the section does, however thick the run is', () => {
    for (let s = 0.1; s < 24; s += 0.37) {
      const frame = frameOn(own, s);
      expect(frame[OFFSET_UP]).toBeCloseTo(0.3 * frame[GAUGE_UP], 12);
      expect(frame[OFFSET_SIDE]).toBeCloseTo(-0.2 * frame[GAUGE_SIDE], 12);
    }
  });

  it('tells how fast it moves away, by differences', () => {
    const step = 1e-5;
    for (const s of [1.3, 5.2, 7.9, 12.4, 19.1]) {
      const [before, here, after] = [s - step, s, s + step].map((at) => frameOn(own, at)) as [Float64Array, Float64Array, Float64Array]; // prettier-ignore
      for (const k of [OFFSET_UP, OFFSET_SIDE])
        expect(here[k + SLOPE]).toBeCloseTo((after[k] - before[k]) / (2 * step), 6);
    }
  });

  it('is a plain distance where nothing is said of thickness, and has no more places to be looked at', () => {
    const plain = shapeOf(TABLE);
    const beside = onSection(plain, 0.3, 0.1);
    expect(frameOn(beside, 7)[OFFSET_UP]).toBe(0.3);
    expect(frameOn(beside, 7)[OFFSET_UP + SLOPE]).toBe(0);
    expect(beside.lanes.flatMap(({ places }) => places)).toEqual([]);
    expect(plain.lanes).toEqual([]); // what it was made from is as it was
  });
});
