import { growthSeconds, secondsTo } from '../core/motion/motion-spec';
import { resolveReach } from '../core/shape/reach';
import type { PathStage } from './path-stage';
import type { RunSource } from './run-source';

/** Seconds from the start of the time until a run begins; what it waits for is asked for how long it takes to get there. */
export function beginsOf({ steps, waits = [] }: Pick<RunSource, 'steps' | 'waits'>, paths: PathStage): number {
  let begins = 0;
  for (const { curve, steps: other, station } of waits.toReversed()) {
    const arc = paths.arc(curve);
    const { motion, reach } = other;
    const takes = arc.ok ? secondsTo(motion, station, resolveReach(reach, arc.value.length)) : growthSeconds(motion);
    begins += motion.begins + takes;
  }
  return begins + steps.motion.begins;
}
