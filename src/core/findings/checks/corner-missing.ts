import { fitOf } from '../../layout/fit-registry';
import { firstAfter } from '../../math/first-after';
import { CREASE_ANGLE } from '../../math/tolerance';
import { defineCheck } from '../finding';

/** The numbers of pieces that begin before a station and next to it. */
const around = (starts: Float64Array, station: number): number[] => {
  const next = firstAfter(starts, station);
  return [next - 2, next - 1, next].filter((i) => i >= 0 && i < starts.length);
};

/** Stiff pieces that lie across a sharp corner, where nothing parts the course. Facts: `angle`, radians, and `count` of such corners. */
export const cornerMissing = defineCheck({
  kind: 'cornerMissing',
  find({ layout, course, shape }) {
    if (fitOf(course.fit).follows || course.fit.kind === 'pinned') return [];
    const starts = Float64Array.from(layout.placements, ({ station }) => station);
    const across = shape.table.kinks.filter(
      ({ station, angle }) =>
        angle > CREASE_ANGLE &&
        around(starts, station).some((i) => {
          const { station: start, factor, natural } = layout.placements[i];
          const long = factor * natural;
          // A piece that stands on the corner with its middle belongs there.
          const off = Math.abs(start + long / 2 - station);
          return off < long * 0.49 && off > long * 0.05;
        }),
    );
    if (across.length === 0) return [];
    const { station, angle } = across.reduce((a, b) => (b.angle > a.angle ? b : a));
    const at = { from: station, to: station, station };
    return [{ check: 'cornerMissing', at, facts: { angle, count: across.length }, remedy: { kind: 'partAtCorners' } }];
  },
});
