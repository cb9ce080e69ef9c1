import { height } from './height';
import { map } from './map';
import { side } from './side';
import { slope } from './slope';

/** In the order in which people are shown them. */
export const masks = { slope, side, height, map };
