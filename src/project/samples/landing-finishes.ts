import type { FinishSpec } from '../../core/segment/finish/finish-spec';
import type { PatternName } from '../../core/segment/finish/registry';
import { FINISH_DEFAULTS } from '../defaults';

/** A part with a pattern over it; `repeat` in metres. */
export const patterned = (
  part: string,
  colour: string,
  pattern: PatternName,
  repeat: number,
  change: Partial<FinishSpec> = {},
): FinishSpec => ({
  part,
  ...FINISH_DEFAULTS,
  colour,
  texture: { from: 'pattern', pattern, seed: 1, contrast: 0.55 },
  repeat,
  ...change,
});
