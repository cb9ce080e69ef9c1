import { none } from './none';
import { stretchOut } from './stretch-out';
import { travel } from './travel';

/** In the order in which people are shown them. */
export const kinds = { none, stretchOut, travel };
