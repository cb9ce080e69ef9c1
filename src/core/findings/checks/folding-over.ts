import { CURVATURE, FRAME_STRIDE, GAUGE } from '../../frames/frame-table';
import { curvatureAt } from '../../frames/tightness';
import { reachTowards } from '../../segment/support';
import { defineCheck, type CheckInput, type Finding } from '../finding';

/** Rounding asked for beyond what is just enough. */
const MARGIN = 1.06;

/**
 * Share of the radius that the section uses on the inner side at a sample: curvature times the section's reach towards the
 * centre of the bend. At 1 the surface folds over.
 */
export function tightnessAt(input: Pick<CheckInput, 'table' | 'support' | 'job' | 'laying'>, sample: number): number {
  const { table, support, job, laying } = input;
  const f = table.frames;
  const a = sample * FRAME_STRIDE;
  const { from, to } = laying.reach;
  const { roll, turns, gauge } = job.bending;
  const angle = roll + (2 * Math.PI * turns * (sample * table.step - from)) / (to - from);
  const alongUp = f[a + CURVATURE]! * f[a + 6]! + f[a + CURVATURE + 1]! * f[a + 7]! + f[a + CURVATURE + 2]! * f[a + 8]!;
  const alongSide =
    f[a + CURVATURE]! * f[a + 9]! + f[a + CURVATURE + 1]! * f[a + 10]! + f[a + CURVATURE + 2]! * f[a + 11]!;
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  return gauge * f[a + GAUGE]! * reachTowards(support, alongUp * c + alongSide * s, alongSide * c - alongUp * s);
}

/** Bends tighter than the inner side of the section can follow. Facts: `radius` there and `needed`, metres. */
export const foldingOver = defineCheck({
  kind: 'foldingOver',
  find(input) {
    const { table, laying } = input;
    const { from, to } = laying.reach;
    const found: Finding[] = [];
    const first = Math.max(Math.ceil(from / table.step - 1e-9), 0);
    const last = Math.min(Math.floor(to / table.step + 1e-9), table.intervals);
    for (let i = first; i <= last; i++) {
      if (tightnessAt(input, i) < 1) continue;
      const start = i;
      let worst = i;
      let most = 0;
      for (; i <= last; i++) {
        const tightness = tightnessAt(input, i);
        if (tightness < 1) break;
        if (tightness > most) [most, worst] = [tightness, i];
      }
      const kink = table.kinks.find(({ station }) => Math.abs(station - worst * table.step) <= table.step * 1.001);
      const reach = most / curvatureAt(table, worst);
      const radius = kink ? 0 : 1 / curvatureAt(table, worst);
      const station = kink?.station ?? worst * table.step;
      found.push({
        check: 'foldingOver',
        at: { from: start * table.step, to: (i - 1) * table.step, station },
        facts: { radius, needed: reach },
        remedy: { kind: 'roundBend', station, radius: reach * MARGIN },
      });
    }
    return found;
  },
});
