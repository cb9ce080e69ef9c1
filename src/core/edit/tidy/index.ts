import { calm } from './calm';
import { climb } from './climb';
import { evenOut } from './even-out';
import { mirrorHalf } from './mirror-half';
import { refine } from './refine';
import { subdivide } from './subdivide';
import { thinOut } from './thin-out';

/** In the order in which people are shown them. */
export const TIDIES = { refine, subdivide, evenOut, thinOut, calm, climb, mirrorHalf };
