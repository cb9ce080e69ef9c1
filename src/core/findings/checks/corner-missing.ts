import { fitOf } from '../../layout/fit-registry';
import { CREASE_ANGLE } from '../../math/tolerance';
import { defineCheck } from '../finding';

/** Stiff pieces that lie across a sharp corner, where nothing parts the course. Facts: `angle`, radians, and `count` of such corners. */
export const cornerMissing = defineCheck({
  kind: 'cornerMissing',
  find({ layout, course, shape }) {
    if (fitOf(course.fit).follows || course.fit.kind === 'pinned') return [];
    const across = shape.table.kinks.filter(
      ({ station, angle }) =>
        angle > CREASE_ANGLE &&
        layout.placements.some(({ station: start, factor, natural }) => {
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
