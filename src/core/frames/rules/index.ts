export { upright } from './upright';
export { leastTwist } from './least-twist';
