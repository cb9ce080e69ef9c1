import { upright } from './upright';
import { leastTwist } from './least-twist';

/** In the order in which people are shown them. */
export const rules = { upright, leastTwist };
