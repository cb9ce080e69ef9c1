export { kerbedLane } from './kerbed-lane';
export { kerbDrain } from './kerb-drain';
export { tube } from './tube';
export { plank } from './plank';
