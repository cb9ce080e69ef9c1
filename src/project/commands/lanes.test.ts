import { bumped } from '../../core/shape/edit-lane';
import { compileLane } from '../../core/shape/lane-spec';
import { causeway } from '../samples';
import { areGaugesOne, deleteLaneKeys, editLane, laneOf, moveLaneKeys, putLaneKey, setLane } from './lanes';

const ID = 'causeway';
const run = (project: ReturnType<typeof causeway>) => project.runs.find(({ id }) => id === ID)!;

describe('lanes of a run', () => {
  it('begin with the ends of the reach as they were, and go with it', () => {
    const project = putLaneKey(causeway(), ID, 'gauge', { station: 0.5, value: 2 });
    expect(laneOf(run(project), 'gaugeSide')).toEqual(laneOf(run(project), 'gaugeUp'));
    expect(laneOf(run(project), 'gauge')).toEqual({
      blend: 'smooth',
      along: 'reach',
      keys: [{ station: 0, value: 1 }, { station: 0.5, value: 2 }, { station: 1, value: 1 }], // prettier-ignore
    });
    expect(laneOf(run(putLaneKey(causeway(), ID, 'roll', { station: 0, value: 1 })), 'roll')?.keys).toHaveLength(2);
  });

  it('are both gauges as one until they differ', () => {
    const both = putLaneKey(causeway(), ID, 'gauge', { station: 0.5, value: 2 });
    expect(areGaugesOne(run(both))).toBe(true);
    const apart = putLaneKey(both, ID, 'gaugeSide', { station: 0.5, value: 3 });
    expect(areGaugesOne(run(apart))).toBe(false);
    expect(areGaugesOne(run(setLane(apart, ID, 'gauge', laneOf(run(apart), 'gaugeSide'))))).toBe(true);
  });

  it('have their keys moved and deleted together, and are gone with the last', () => {
    const project = putLaneKey(causeway(), ID, 'roll', { station: 0.5, value: 1 });
    const places = [{ lane: 'roll', station: 0.5 }] as const;
    const moved = moveLaneKeys(project, ID, places, () => ({ by: 0.2, most: 1, value: (value) => value * 2 }));
    expect(moved.places).toEqual([{ lane: 'roll', station: 0.7 }]);
    expect(laneOf(run(moved.project), 'roll')?.keys[1]).toEqual({ station: 0.7, value: 2 });
    const all = laneOf(run(project), 'roll')!.keys.map(({ station }) => ({ lane: 'roll' as const, station }));
    const gone = deleteLaneKeys(project, ID, all);
    expect(run(gone).shape.lanes).toBeUndefined();
    expect(editLane(gone, 'nobody', 'roll', () => undefined)).toBe(gone);
  });
});

describe('a bump', () => {
  const reach = { from: 2, to: 12 };

  it('is so much at its place, and nothing beyond what lies around it', () => {
    const made = bumped(undefined, 0, 0.5, { station: 7, over: 1, reach })!;
    const { at } = compileLane(made, reach);
    expect(at(7)[0]).toBeCloseTo(0.5, 12);
    for (const station of [2, 5.9, 8.1, 12]) expect(at(station)[0]).toBeCloseTo(0, 12);
  });

  it('is added to a lane, or times it, however that counts', () => {
    const lane = { blend: 'straight' as const, keys: [{ station: 2, value: 2 }, { station: 12, value: 2 }] }; // prettier-ignore
    const made = bumped(lane, 1, 0.5, { station: 7, over: 2, reach })!;
    const { at } = compileLane(made, reach);
    expect([at(3)[0], at(7)[0], at(11)[0]]).toEqual([2, 1, 2]);
    expect(bumped(lane, 1, 1, { station: 7, over: 2, reach })).toBe(lane);
  });
});
