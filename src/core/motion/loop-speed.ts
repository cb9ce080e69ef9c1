import type { LayingSpec } from '../layout/laying-spec';
import type { Layout } from '../layout/layout';

/** Metres after which a round of pieces looks as it did: one piece's way, that of several where not all are alike; undefined where there is no round. */
export function loopPitch(
  { placements, round }: Layout,
  length: number,
  { pattern, everyOther, pieces }: Pick<LayingSpec, 'pattern' | 'everyOther' | 'pieces'>,
): number | undefined {
  if (!round || placements.length === 0) return undefined;
  const isMixed = pattern.kind !== 'same' || pieces.length > 0 || placements.length % Math.max(everyOther.every, 1) > 0;
  return isMixed ? length : (length / placements.length) * Math.max(everyOther.every, 1);
}

/** The speed nearest to one by which a round has gone on by whole pitches when its time is over, metres per second. */
export function loopSpeed(speed: number, pitch: number, seconds: number): number {
  const step = pitch / seconds;
  const count = Math.round(speed / step);
  return step * (count === 0 ? Math.sign(speed) || 1 : count);
}
