import { strewn } from '../../core/layout/fits/strewn';
import type { FitSpec } from '../../core/layout/fit-registry';
import { maskOf } from '../../core/mesh/mask-registry';
import { masks } from '../../core/mesh/masks';
import type { CoatSpec, FinishSpec } from '../../core/segment/finish/finish-spec';
import type { Course, Segment } from '../schema';
import { courseOfSet, madeSegment } from '../sets/run-set';
import { patterned, plain } from './landing-finishes';

/** What a run of the landing is dressed with, by the run's name. */
export interface Dressed {
  readonly segments: readonly Segment[];
  readonly courses: readonly Course[];
}

const strewnOver = (id: string, segment: string, change: object): Course => ({
  ...courseOfSet(id, segment, { kind: 'fillGaps', gap: 0 }, { fit: { ...strewn.defaults, ...change } as FitSpec }),
  dresses: true,
});
const SURFACE = { side: 'middle', height: 'surface' } as const;

export const LANDING_DRESSING: Readonly<Record<string, Dressed>> = {
  Causeway: {
    segments: [
      madeSegment('verge-tuft', 'tuft', { blades: 7, height: 0.3, width: 0.2 }, { name: 'Verge grass' }),
      madeSegment('verge-stone', 'stone', { form: 'broken', size: 0.24, height: 0.17 }, { name: 'Verge stones' }),
      madeSegment('low-lamp', 'lamp', { form: 'low', height: 0.7, radius: 0.09, smooth: 0.004 }, { name: 'Low lamps' }),
    ],
    courses: [
      strewnOver('tufts', 'verge-tuft', { on: 'road', part: 'Bank', density: 5, within: 0.6, apart: 0.12, stands: 'plumb' }),
      strewnOver('stones', 'verge-stone', { on: 'road', part: 'Bank', density: 0.7, within: 1.3, least: 0.5, greatest: 1.6, tilt: 0.5, seed: 4 }),
      {
        ...courseOfSet('lamps', 'low-lamp', { kind: 'fillGaps', gap: 15.6 }, {
          ...{ side: 3.72, align: SURFACE, fit: { kind: 'stiff', stands: 'plumb', byLeg: false } },
          laying: { margins: { first: 4, last: 2, head: 0, tail: 0 } },
        }),
        dresses: true,
      },
    ],
  },
  Driftwood: {
    segments: [madeSegment('log-moss', 'moss', {}, { name: 'Moss on the log' })],
    courses: [strewnOver('moss', 'log-moss', { density: 26, within: 0.75, least: 0.6, greatest: 1.9, tilt: 0.1, seed: 3 })],
  },
  'Bilge hose': {
    segments: [
      madeSegment('hose-clip', 'clip', { radius: 0.069, width: 0.03, thickness: 0.006, foot: 0.125 }, { name: 'Hose clips' }),
    ],
    courses: [
      {
        ...courseOfSet('clips', 'hose-clip', { kind: 'fillGaps', gap: 0.9 }, {
          fit: { kind: 'stiff', stands: 'square', byLeg: false },
          laying: { margins: { first: 0.5, last: 0.5, head: 0, tail: 0 } },
        }),
        dresses: true,
      },
    ],
  },
}; // prettier-ignore

/** Moss that has come over a log where it looks up. */
const MOSSY: CoatSpec = {
  mask: { ...maskOf({ kind: 'slope' }).defaults, kind: 'slope', within: 0.75, fade: 0.7, ragged: 0.75, grain: 0.11 },
  finish: plain('#61793f', {
    texture: { from: 'pattern', pattern: 'grass', seed: 5, contrast: 0.6 },
    repeat: 0.5,
    roughness: 1,
  }),
};

/** What the tide leaves on wood that stands in it. */
export const tideLine = (level: number): CoatSpec => ({
  mask: { ...masks.height.defaults, kind: 'height', covers: 'below', level, fade: 0.25, ragged: 0.6, grain: 0.15 },
  finish: plain('#4a5438', { roughness: 0.7 }),
});

export const MOSSY_BARK: FinishSpec = {
  ...patterned('Bark', '#a08c72', 'bark', 0.8, { roughness: 0.95 }),
  coat: MOSSY,
};
