import { FINISH_DEFAULTS } from '../defaults';
import { fence } from '../sets/fence';
import { courseOfSet, madeSegment, type SetParts } from '../sets/run-set';
import { stairParts } from '../sets/stair';

/** The causeway's line and posts, beside its lane and the drain along its kerb. */
export const causewayFurniture = (): SetParts => ({
  segments: [
    madeSegment('lane-line', 'plank', { length: 3, width: 0.12, thickness: 0.004 }, {
      name: 'Lane line',
      finishes: [{ part: 'Board', ...FINISH_DEFAULTS, colour: '#ece7da', roughness: 0.7 }],
    }),
    madeSegment('edge-post', 'post', { height: 0.85, size: 0.11, thickness: 0.11, below: 0.5 }, { name: 'Edge post' }),
  ],
  courses: [
    courseOfSet('line', 'lane-line', { kind: 'dashes', on: 3, off: 4.5, first: 'halfGap' }, {
      name: 'Middle line',
      height: 0.006,
    }),
    courseOfSet('posts', 'edge-post', { kind: 'fillGaps', gap: 7.8 }, {
      name: 'Edge posts',
      side: -3.75,
      fit: { kind: 'stiff', stands: 'plumb' },
      laying: { margins: { first: 2, last: 2, head: 0, tail: 0 } },
    }),
  ],
}); // prettier-ignore

/** The beacon's stair, with its rail on the outer side. */
export const beaconStair = (): SetParts =>
  stairParts((name) => `beacon-${name}`, { width: 0.95, going: 0.27, highest: 0.19, rails: [-1] });

export const shoreFence = (): SetParts => fence.parts((name) => `shore-${name}`);
