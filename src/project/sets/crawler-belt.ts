import { pitchGap } from '../../core/segment/registry';
import { courseOfSet, defineSet, madeSegment } from './run-set';

/** Track shoes pinned round two wheels, a whole number of them. */
export const crawlerBelt = defineSet({
  kind: 'crawlerBelt',
  label: 'Crawler belt',
  hint: 'Track shoes pinned round wheels, a whole number of them',
  parts(id) {
    const shoe = madeSegment(id('shoe'), 'trackShoe');
    const gap = shoe.source.from === 'maker' ? (pitchGap(shoe.source.spec) ?? 0) : 0;
    return {
      segments: [shoe],
      courses: [
        courseOfSet(
          'shoes',
          shoe.id,
          { kind: 'pinToPin', gap, slack: 'shared', pairs: false },
          { name: 'Shoes', fit: { kind: 'pinned' } },
        ),
      ],
      curve: {
        kind: 'belt',
        closed: true,
        points: [
          { position: [-1.4, 0.42, 0], radius: 0.4 },
          { position: [1.4, 0.42, 0], radius: 0.4 },
        ],
      },
      frames: { rule: 'faceOut', up: [0, 1, 0] },
    };
  },
});
