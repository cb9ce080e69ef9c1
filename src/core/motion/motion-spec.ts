import { z } from 'zod';
import type { Passes } from '../segment/pieces/row-density';
import type { Reach } from '../shape/reach';
import { eased, easingSpecSchema } from './easing-registry';
import { growthOf, growthSpecSchema } from './growth-registry';

/** How a run moves. */
export const motionSpecSchema = z.strictObject({
  growth: growthSpecSchema,
  easing: easingSpecSchema,
  /** From where it grows, and the station where it is one, metres. */
  from: z.enum(['start', 'end', 'middle', 'station']),
  station: z.number().min(-1e6).max(1e6),
  /** Seconds that it waits, from the start, or from when the run `after` has grown to a station. */
  begins: z.number().min(0).max(3600),
  after: z.strictObject({ run: z.string().min(1).max(200), station: z.number().min(-1e6).max(1e6) }).nullable(),
  /** Metres per second that it slides along its path; negative = towards the start. */
  speed: z.number().min(-1e4).max(1e4),
  /** Metres that it has slid beside that; the one that has keys. */
  shift: z.number().min(-1e6).max(1e6),
});

export type MotionSpec = z.infer<typeof motionSpecSchema>;

export const MOTION_DEFAULTS: MotionSpec = {
  growth: { kind: 'none' },
  easing: { kind: 'steady' },
  from: 'start',
  station: 0,
  begins: 0,
  after: null,
  speed: 0,
  shift: 0,
};

/** Whether it slides along. */
export const travels = ({ speed, shift }: Pick<MotionSpec, 'speed' | 'shift'>): boolean => speed !== 0 || shift !== 0;

/** Metres that it has slid so many seconds after it began; null = when all is over. */
export const slidAt = ({ speed, shift }: Pick<MotionSpec, 'speed' | 'shift'>, time: number | null): number =>
  shift + speed * Math.max(time ?? 0, 0);

/** What of the path pieces come over. */
export function passesOf({ growth, from, ...motion }: MotionSpec): Passes {
  const own = growthOf(growth).passes(growth);
  return travels(motion) || (own === 'before' && from !== 'start') ? 'all' : own;
}

/** Seconds until it has grown, from when it begins to. */
export const growthSeconds = ({ growth }: MotionSpec): number => growthOf(growth).seconds(growth);

/** The station from which a run grows, metres. */
export function originOf({ from, station }: Pick<MotionSpec, 'from' | 'station'>, reach: Reach): number {
  if (from === 'start') return reach.from;
  if (from === 'end') return reach.to;
  return from === 'middle' ? (reach.from + reach.to) / 2 : Math.min(Math.max(station, reach.from), reach.to);
}

/** Parts into which the time of a growth is looked at, and halvings after that. */
const LOOKS = 200;
const HALVINGS = 40;

/** Seconds from its beginning until a run has first grown to a station, metres. */
export function secondsTo(motion: MotionSpec, station: number, reach: Reach): number {
  const { growth, easing } = motion;
  const kind = growthOf(growth);
  const seconds = kind.seconds(growth);
  const origin = originOf(motion, reach);
  const end = station < origin ? reach.from : reach.to;
  const away = end === origin ? 0 : Math.min(Math.max((station - origin) / (end - origin), 0), 1);
  const wanted = Math.min(kind.reaches ? kind.reaches(growth, away) : away, 1);
  const isThere = (share: number) => share >= 1 || eased(easing, share) >= wanted;
  let i = 0;
  while (!isThere(i / LOOKS)) i++;
  let [low, high] = [Math.max(i - 1, 0) / LOOKS, i / LOOKS];
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (low + high) / 2;
    if (isThere(middle)) high = middle;
    else low = middle;
  }
  return high * seconds;
}
