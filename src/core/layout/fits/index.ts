import { bent } from './bent';
import { stiff } from './stiff';

/** In the order in which people are shown them. */
export const fits = { bent, stiff };
