import { foldingOver } from './folding-over';
import { tooFewRows } from './too-few-rows';
import { passesThrough } from './passes-through';
import { endMissed } from './end-missed';
import { endUnmet } from './end-unmet';
import { roundingReduced } from './rounding-reduced';
import { steepPath } from './steep-path';
import { offMiddle } from './off-middle';
import { absurdSize } from './absurd-size';
import { overStretched } from './over-stretched';
import { tooCoarse } from './too-coarse';
import { tooNearGuide } from './too-near-guide';
import { cornerMissing } from './corner-missing';
import { linkTooLong } from './link-too-long';
import { loopOpen } from './loop-open';
import { openingTooWide } from './opening-too-wide';
import { piecesOverlap } from './pieces-overlap';
import { pressedTooFar } from './pressed-too-far';
import { seamOpen } from './seam-open';
import { toothPitch } from './tooth-pitch';
import { unevenRise } from './uneven-rise';

/** In the order in which people are shown them. */
export const checks = {
  foldingOver,
  tooNearGuide,
  passesThrough,
  tooFewRows,
  tooCoarse,
  endMissed,
  endUnmet,
  overStretched,
  pressedTooFar,
  linkTooLong,
  loopOpen,
  toothPitch,
  cornerMissing,
  openingTooWide,
  piecesOverlap,
  seamOpen,
  unevenRise,
  roundingReduced,
  steepPath,
  offMiddle,
  absurdSize,
};
