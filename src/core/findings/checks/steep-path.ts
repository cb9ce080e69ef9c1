import { defineCheck } from '../finding';

/** Where an upright run climbs along its own up direction and had to be carried over. Facts: `length` in metres. */
export const steepPath = defineCheck({
  kind: 'steepPath',
  find({ shape: { table } }) {
    return table.steep.map(([from, to]) => ({
      check: 'steepPath',
      at: { from, to, station: (from + to) / 2 },
      facts: { length: to - from },
      remedy: { kind: 'setFrameRule', rule: 'leastTwist' } as const,
    }));
  },
});
