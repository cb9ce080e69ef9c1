import { straight } from './straight';
import { smooth } from './smooth';
import { handles } from './handles';

/** In the order in which people are shown them. */
export const kinds = { straight, smooth, handles };
