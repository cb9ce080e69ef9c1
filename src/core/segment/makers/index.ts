import { kerbedLane } from './kerbed-lane';
import { kerbDrain } from './kerb-drain';
import { tube } from './tube';
import { plank } from './plank';

/** In the order in which people are shown them. */
export const makers = { kerbedLane, kerbDrain, tube, plank };
