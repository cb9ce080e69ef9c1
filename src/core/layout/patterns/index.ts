import { mixture } from './mixture';
import { same } from './same';
import { sequence } from './sequence';

/** In the order in which people are shown them. */
export const patterns = { same, sequence, mixture };
