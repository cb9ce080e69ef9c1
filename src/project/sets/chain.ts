import { pitchGap } from '../../core/segment/registry';
import { courseOfSet, defineSet, madeSegment } from './run-set';

/** Links pin to pin, every other one turned a quarter. */
export const chain = defineSet({
  kind: 'chain',
  label: 'Chain',
  hint: 'Links pinned to each other, every other one turned a quarter',
  parts(id) {
    const link = madeSegment(id('link'), 'chainLink');
    const gap = link.source.from === 'maker' ? (pitchGap(link.source.spec) ?? 0) : 0;
    return {
      segments: [link],
      courses: [
        courseOfSet(
          'links',
          link.id,
          { kind: 'pinToPin', gap, slack: 'shared', pairs: true },
          {
            name: 'Links',
            fit: { kind: 'pinned' },
            laying: { everyOther: { every: 2, turn: Math.PI / 2, mirrored: false } },
          },
        ),
      ],
      frames: { rule: 'leastTwist', up: [0, 1, 0] },
    };
  },
});
