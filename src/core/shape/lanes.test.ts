import { helix, pathOf } from '../testing/curves';
import { compiled, shapeOf, tableOf } from '../testing/runs';
import { keyAt, withKey, withMovedKeys, withoutKeys } from './edit-lane';
import { frameOn, GAUGE_UP, GAUGE_SIDE } from './frame-on';
import { compileLane, type LaneSpec } from './lane-spec';
import { PROFILES, profileKeys, UNIT_REACH, withKeysOver } from './profile-registry';
import { shapeSpecSchema } from './shape-spec';
import { evenedRoll, twistFigures } from './twist-evenness';

const LINE = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright'); // prettier-ignore
const lane = (...keys: readonly (readonly [number, number])[]): LaneSpec => ({
  blend: 'straight',
  keys: keys.map(([station, value]) => ({ station, value })),
});

describe('keys of a lane', () => {
  it('are put, replaced, taken away and moved, those that are moved in front of those that lie there', () => {
    const own = withKey(lane([0, 1], [4, 2]), { station: 2, value: 5 });
    expect(own.keys.map(({ station }) => station)).toEqual([0, 2, 4]);
    expect(keyAt(withKey(own, { station: 2, value: 7 }), 2)?.value).toBe(7);
    expect(withoutKeys(own, [0, 4])?.keys).toEqual([{ station: 2, value: 5 }]);
    expect(withoutKeys(own, [0, 2, 4])).toBeUndefined();
    const moved = withMovedKeys(own, [0, 2], { by: 2, most: 10, value: (v) => v + 1 });
    expect(moved.lane.keys).toEqual([{ station: 2, value: 2 }, { station: 4, value: 6 }]); // prettier-ignore
    expect(moved.places).toEqual([2, 4]);
  });

  it('stop together at the start and the end', () => {
    const own = lane([1, 0], [3, 0]);
    expect(withMovedKeys(own, [1, 3], { by: -5, most: 4 }).places).toEqual([0, 2]);
    expect(withMovedKeys(own, [1, 3], { by: 5, most: 4 }).places).toEqual([2, 4]);
  });

  it('go with the reach where they are shares of it', () => {
    const spec: LaneSpec = { ...lane([0, 0], [1, 2]), along: 'reach' };
    expect(compileLane(spec, { from: 2, to: 6 }).at(4)[0]).toBeCloseTo(1, 12);
    expect(compileLane(spec, { from: 2, to: 10 }).at(4)[0]).toBeCloseTo(0.5, 12);
  });

  it('make a cone of a straight gauge', () => {
    const shape = shapeOf(LINE, { lanes: { gaugeUp: lane([0, 1], [10, 0.01]) } });
    expect(frameOn(shape, 5)[GAUGE_UP]).toBeCloseTo(0.505, 12);
  });
});

describe.each(PROFILES.map((profile) => [profile.kind, profile] as const))('the profile %s', (_, profile) => {
  const keys = profileKeys(profile.defaults);

  it('has keys in order on the reach, above zero, that a project takes', () => {
    expect(profile.schema.safeParse(profile.defaults).success).toBe(true);
    keys.forEach(({ station, value }, i) => {
      expect(station).toBeGreaterThanOrEqual(i > 0 ? keys[i - 1].station + 1e-9 : 0);
      expect(station).toBeLessThanOrEqual(1);
      expect(value).toBeGreaterThan(0);
    });
    const own = withKeysOver(undefined, keys, profile.blend);
    const spec = { frames: { rule: 'upright', up: [0, 1, 0] }, roll: 0, turns: 0, gauge: 1, lanes: { gaugeUp: own } };
    expect(shapeSpecSchema.safeParse(spec).success).toBe(true);
  });

  it('is laid over a lane that was there: times what that is, and nothing else of it changes', () => {
    const before: LaneSpec = { blend: 'straight', along: 'reach', keys: [{ station: 0, value: 2 }, { station: 1, value: 2 }] }; // prettier-ignore
    const after = compileLane(withKeysOver(before, keys, profile.blend), UNIT_REACH);
    for (const { station, value } of keys) expect(after.at(station)[0]).toBeCloseTo(2 * value, 9);
    for (const s of [0, 1])
      if (s < keys[0].station || s > keys.at(-1)!.station) expect(after.at(s)[0]).toBeCloseTo(2, 9);
  });
});

it('ends at the tip that was asked for, the pointed one as a cone', () => {
  const keys = profileKeys({ kind: 'pointed', end: 'end', over: 0.4, tip: 0.02 });
  const shape = shapeOf(LINE, {
    lanes: { gaugeUp: withKeysOver(undefined, keys, 'straight'), gaugeSide: lane([0, 1]) },
  });
  expect(frameOn(shape, 10)[GAUGE_UP]).toBeCloseTo(0.02, 9);
  expect(frameOn(shape, 8)[GAUGE_UP]).toBeCloseTo(0.51, 9);
  expect([frameOn(shape, 5)[GAUGE_UP], frameOn(shape, 10)[GAUGE_SIDE]]).toEqual([1, 1]);
});

describe('evenness of twist', () => {
  // Bishop 1975, There is more than one way to frame a curve: Frenet frames turn against least twist by the torsion, for a helix c / (a^2 + c^2).
  it('is that of the closed form for a helix that stays upright', () => {
    const [radius, rise, turns] = [2, 0.5, 3];
    const table = tableOf(helix(radius, rise, turns), 'upright', { tolerance: 1e-7 }, [0, 0, 1]);
    const { least, greatest, mean, deviation } = twistFigures(shapeOf(table));
    const torsion = rise / (radius * radius + rise * rise);
    for (const rate of [least, greatest, mean]) expect(Math.abs(rate)).toBeCloseTo(torsion, 5);
    expect(deviation).toBeLessThan(1e-5);
    const turned = twistFigures(shapeOf(table, { turns: 2 }));
    expect(turned.mean - mean).toBeCloseTo((4 * Math.PI) / table.length, 6);
  });

  it('is made even by keys, both ends as they were', () => {
    const table = tableOf(compiled(pathOf('smooth', [[0, 0, 0], [3, 1, 0], [5, 0, 3], [8, 2, 2]])), 'upright'); // prettier-ignore
    const roll = lane([0, 0], [2, 2], [table.length, 1]);
    const before = shapeOf(table, { lanes: { roll } });
    const after = shapeOf(table, { lanes: { roll: evenedRoll(before, roll) } });
    const [was, is] = [twistFigures(before), twistFigures(after)];
    expect(is.mean).toBeCloseTo(was.mean, 2);
    expect(is.deviation).toBeLessThan(was.deviation / 20);
    for (const s of [0, table.length])
      frameOn(after, s).forEach((value, i) => i < 12 && expect(value).toBeCloseTo(frameOn(before, s)[i], 6));
  });
});

// Reference n01: the RPN 14 data of F. N. Fritsch & R. E. Carlson (SIAM J. Numer. Anal. 17, 1980), by the weighted harmonic mean of Fritsch & Butland 1984.
it('goes smoothly from key to key as the published monotone curve does, but for its level ends', () => {
  const x = [7.99, 8.09, 8.19, 8.7, 9.2, 10, 12, 15, 20];
  const y = [0, 2.76429e-5, 0.0437498, 0.169183, 0.469428, 0.94374, 0.998636, 0.999919, 0.999994];
  const spec: LaneSpec = { blend: 'smooth', keys: x.map((station, i) => ({ station, value: y[i] })) };
  const { at } = compileLane(spec, UNIT_REACH);
  const slopes = [0.0005525086818681, 0.3358768346084, 0.349449167686, 0.5969582389268, 0.06032184552297, 0.0009003953827693, 3.142468363044e-5]; // prettier-ignore
  slopes.forEach((slope, i) => expect(at(x[i + 1])[1]).toBeCloseTo(slope, 10));
  const values: Record<number, number> = { 8.14: 0.01769716737592, 8.4: 0.09666880560767, 9: 0.3375343268462, 9.6: 0.7602476393404, 11: 0.9860433625351 }; // prettier-ignore
  for (const [place, value] of Object.entries(values)) expect(at(Number(place))[0]).toBeCloseTo(value, 10);
});
