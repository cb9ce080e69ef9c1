import { defineCheck } from '../finding';

/** A loop of links that does not close. Facts: `slack`, metres from the last pin to the first, and `links`. */
export const loopOpen = defineCheck({
  kind: 'loopOpen',
  find({ layout, course }) {
    const { pinned, round } = layout;
    const { rule } = course.laying;
    if (!pinned || !round || rule.kind !== 'pinToPin' || rule.slack === 'shared') return [];
    const { pins, pitch } = pinned;
    const slack = Math.hypot(...[0, 1, 2].map((c) => pins[pins.length - 3 + c] - pins[c]));
    if (slack < pitch * 1e-5) return [];
    const last = layout.placements[layout.placements.length - 1];
    const station = last.station + last.length;
    const at = { from: station, to: layout.reach.to, station };
    return [
      { check: 'loopOpen', at, facts: { slack, links: layout.placements.length }, remedy: { kind: 'shareSlack' } },
    ];
  },
});
