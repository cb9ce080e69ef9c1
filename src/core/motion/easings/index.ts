import { curve, easeBoth, easeIn, easeOut } from './cubic';
import { hold } from './hold';
import { steady } from './steady';
import { steps } from './steps';

/** In the order in which people are shown them. */
export const easings = { steady, easeIn, easeOut, easeBoth, hold, steps, curve };
