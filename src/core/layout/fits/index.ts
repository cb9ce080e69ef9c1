import { bent } from './bent';
import { level } from './level';
import { levelBand } from './level-band';
import { pinned } from './pinned';
import { plumb } from './plumb';
import { stiff } from './stiff';
import { strewn } from './strewn';

/** In the order in which people are shown them. */
export const fits = { bent, stiff, pinned, plumb, level, levelBand, strewn };
