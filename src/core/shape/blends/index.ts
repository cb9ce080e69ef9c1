import { smooth } from './smooth';
import { straight } from './straight';
import { steady } from './steady';

/** In the order in which people are shown them. */
export const blends = { smooth, straight, steady };
