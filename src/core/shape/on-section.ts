import { levelLane, type Lane, type LaneName } from './lane';
import { laneOfRun, type ShapeLane } from './shape-lane';
import type { Shape } from './shape';

/** The run beside its path by a place of its section as that is made, metres up and sideways: where it is thicker, farther. */
export const onSection = (shape: Shape, up: number, side: number): Shape => ({
  ...shape,
  lanes: [
    ...shape.lanes,
    laneOfRun('offsetUp', timesLanes(shape.lanes, 'gaugeUp', up)),
    laneOfRun('offsetSide', timesLanes(shape.lanes, 'gaugeSide', side)),
  ],
});

/** So many metres times what all lanes of a name come to, with its slope by the product rule. */
function timesLanes(lanes: readonly ShapeLane[], name: LaneName, metres: number): Lane {
  const own = lanes.filter((lane) => lane.name === name);
  if (own.length === 0) return levelLane(metres);
  return {
    places: own.flatMap(({ places }) => places).sort((a, b) => a - b),
    at(station) {
      let [value, slope] = [metres, 0];
      for (const lane of own) {
        const [factor, perMetre] = lane.at(station);
        [value, slope] = [value * factor, slope * factor + value * perMetre];
      }
      return [value, slope];
    },
  };
}
