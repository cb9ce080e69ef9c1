import { fillStretch } from './fill-stretch';
import { fillGaps } from './fill-gaps';
import { byCount } from './by-count';
import { closerAtTheEnds } from './closer-at-the-ends';
import { onePiece } from './one-piece';

/** In the order in which people are shown them. */
export const rules = { fillStretch, fillGaps, byCount, closerAtTheEnds, onePiece };
