import { ball } from './ball';
import { box } from './box';
import { disc } from './disc';
import { gable } from './gable';
import { hull } from './hull';
import { mound } from './mound';
import { plane } from './plane';
import { post } from './post';
import { socket } from './socket';
import { stage } from './stage';
import { toothedWheel } from './toothed-wheel';

/** In the order in which people are shown them. */
export const bodies = { post, ball, box, disc, toothedWheel, plane, socket, gable, hull, stage, mound };
