import { curveKind } from '../../curve/registry';
import { defineCheck } from '../finding';

/** Corner radii that do not fit between their neighbours. Facts: `point` (0 = first), `asked` and `used` radius in metres. */
export const roundingReduced = defineCheck({
  kind: 'roundingReduced',
  find({ path, shape: { table } }) {
    return (curveKind(path).reducedRoundings?.(path) ?? []).map(({ point, asked, used }) => {
      const station = table.pointStations[point];
      return {
        check: 'roundingReduced',
        at: { from: station, to: station, station },
        facts: { point, asked, used },
        remedy: { kind: 'setPointRadius', point, radius: used } as const,
      };
    });
  },
});
