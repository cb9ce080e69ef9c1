import { foldingOver } from './folding-over';
import { tooFewRows } from './too-few-rows';
import { endMissed } from './end-missed';
import { roundingReduced } from './rounding-reduced';
import { steepPath } from './steep-path';
import { offMiddle } from './off-middle';
import { absurdSize } from './absurd-size';
import { overStretched } from './over-stretched';
import { tooCoarse } from './too-coarse';
import { tooNearGuide } from './too-near-guide';

/** In the order in which people are shown them. */
export const checks = {
  foldingOver,
  tooNearGuide,
  tooFewRows,
  tooCoarse,
  endMissed,
  overStretched,
  roundingReduced,
  steepPath,
  offMiddle,
  absurdSize,
};
