export { foldingOver } from './folding-over';
export { tooFewRows } from './too-few-rows';
export { endMissed } from './end-missed';
export { roundingReduced } from './rounding-reduced';
export { steepPath } from './steep-path';
export { offMiddle } from './off-middle';
export { absurdSize } from './absurd-size';
