import { cableWithClips } from './cable-with-clips';
import { chain } from './chain';
import { crawlerBelt } from './crawler-belt';
import { fence } from './fence';
import { road } from './road';
import { stair } from './stair';

/** In the order in which people are shown them. */
export const sets = { road, stair, fence, crawlerBelt, chain, cableWithClips };
