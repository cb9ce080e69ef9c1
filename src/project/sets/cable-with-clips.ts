import { FINISH_DEFAULTS } from '../defaults';
import { courseOfSet, defineSet, madeSegment } from './run-set';

/** A cable with clips round it at even intervals. */
export const cableWithClips = defineSet({
  kind: 'cableWithClips',
  label: 'Cable with clips',
  hint: 'A round cable, clips round it at even intervals',
  parts(id) {
    const [cable, clip] = [id('cable'), id('clip')];
    const metal = { part: 'Skin', ...FINISH_DEFAULTS, colour: '#b9bcbb', roughness: 0.35, metalness: 1 };
    const rubber = { part: 'Skin', ...FINISH_DEFAULTS, colour: '#33383b', roughness: 0.65 };
    return {
      segments: [
        madeSegment(cable, 'tube', { length: 0.5, radius: 0.012 }, { name: 'Cable', finishes: [rubber] }),
        madeSegment(clip, 'tube', { length: 0.02, radius: 0.0145 }, { name: 'Clip', finishes: [metal] }),
      ],
      courses: [
        courseOfSet('cable', cable, { kind: 'fillStretch', gap: 0 }, { name: 'Cable' }),
        courseOfSet(
          'clips',
          clip,
          { kind: 'fillGaps', gap: 0.35 },
          {
            name: 'Clips',
            fit: { kind: 'stiff', stands: 'square' },
            laying: { margins: { first: 0.1, last: 0.1, head: 0, tail: 0 } },
          },
        ),
      ],
      frames: { rule: 'leastTwist', up: [0, 1, 0] },
    };
  },
});
