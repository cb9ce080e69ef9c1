import { ball } from './ball';
import { box } from './box';
import { disc } from './disc';
import { plane } from './plane';
import { post } from './post';
import { socket } from './socket';
import { toothedWheel } from './toothed-wheel';

/** In the order in which people are shown them. */
export const bodies = { post, ball, box, disc, toothedWheel, plane, socket };
