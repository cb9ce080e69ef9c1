import type { MotionSpec } from '../../core/motion/motion-spec';
import { TIME_DEFAULTS, type TimeSpec } from '../../core/motion/time-spec';

/** The time in which the landing is built and runs. */
export const LANDING_TIME: TimeSpec = { ...TIME_DEFAULTS, seconds: 8, loops: true };

/** Metres along the loop of buckets from a pin to the fourth after it. */
const FOUR_BUCKETS = 2.434907009442171;

/** How runs of the landing move, by name; the others are drawn out. */
export const LANDING_MOTIONS: Readonly<Record<string, Partial<MotionSpec>>> = {
  Causeway: {
    growth: { kind: 'oneByOne', seconds: 5, each: 0.6, turn: 'station', come: 'fromAbove', height: 3 },
    easing: { kind: 'easeBoth' },
  },
  'Mooring line': { growth: { kind: 'uncover', seconds: 2, tip: 0 }, after: { run: 'causeway', station: 128 } },
  Honeysuckle: { growth: { kind: 'uncover', seconds: 6, tip: 1.2 }, easing: { kind: 'easeOut' } },
  'Anchor chain': { growth: { kind: 'uncover', seconds: 3, tip: 0 } },
  'Beacon stair': {
    growth: { kind: 'oneByOne', seconds: 5, each: 0.8, turn: 'station', come: 'fromAbove', height: 1 },
  },
  // It hangs there, and swings.
  'Lamp cord': { growth: { kind: 'none' } },
  // Four buckets on in the whole time, so that it runs for ever.
  'Bucket chain': { growth: { kind: 'none' }, speed: FOUR_BUCKETS / LANDING_TIME.seconds },
};
