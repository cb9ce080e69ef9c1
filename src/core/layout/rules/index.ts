import { atPoints } from './at-points';
import { atStations } from './at-stations';
import { byCount } from './by-count';
import { clearOpening } from './clear-opening';
import { closerAtTheEnds } from './closer-at-the-ends';
import { dashes } from './dashes';
import { fillGaps } from './fill-gaps';
import { fillStretch } from './fill-stretch';
import { fillTrim } from './fill-trim';
import { fromRise } from './from-rise';
import { onePiece } from './one-piece';
import { pinToPin } from './pin-to-pin';

/** In the order in which people are shown them. */
export const rules = {
  fillStretch,
  fillGaps,
  fillTrim,
  byCount,
  clearOpening,
  closerAtTheEnds,
  dashes,
  atPoints,
  atStations,
  pinToPin,
  fromRise,
  onePiece,
};
