import { faceBend } from './face-bend';
import { faceOut } from './face-out';
import { leastTwist } from './least-twist';
import { sitOnGuide } from './sit-on-guide';
import { upright } from './upright';

/** In the order in which people are shown them. */
export const rules = { upright, leastTwist, faceBend, faceOut, sitOnGuide };
