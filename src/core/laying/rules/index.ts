export { fillStretch } from './fill-stretch';
export { fillGaps } from './fill-gaps';
export { byCount } from './by-count';
export { onePiece } from './one-piece';
