import { none } from './none';
import { oneByOne } from './one-by-one';
import { stretchOut } from './stretch-out';
import { uncover } from './uncover';

/** In the order in which people are shown them. */
export const growths = { none, stretchOut, uncover, oneByOne };
