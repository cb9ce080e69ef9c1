import { defineCheck } from '../finding';

/** An end that is to meet a guide which the path neither passes through nor points at. Facts: none. */
export const endUnmet = defineCheck({
  kind: 'endUnmet',
  find: ({ unmet, shape: { reach } }) =>
    unmet.map((end) => {
      const station = end === 'start' ? reach.from : reach.to;
      return { check: 'endUnmet' as const, at: { from: station, to: station, station }, facts: {} };
    }),
});
