import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { defineGrowth, secondsField, secondsSchema } from '../growth';

/** Pieces arrive in turn, those nearest to the origin first: each takes `each` seconds, and the last one ends with the whole. */
export const oneByOne = defineGrowth({
  kind: 'oneByOne',
  label: 'Lay one by one',
  hint: 'Pieces arrive in turn',
  schema: z.strictObject({
    kind: z.literal('oneByOne'),
    seconds: secondsSchema,
    /** Seconds that each piece takes; no more than the whole does. */
    each: z.number().min(0).max(3600),
    /** Whether their turn goes by their number or by how far from the origin they lie. */
    turn: z.enum(['number', 'station']),
    come: z.enum(['fromNothing', 'alongThePath', 'fromAbove', 'atOnce']),
    /** Metres from which they are dropped. */
    height: z.number().min(0).max(1e4),
  }),
  defaults: { kind: 'oneByOne', seconds: 4, each: 0.6, turn: 'number', come: 'fromAbove', height: 2 },
  fields: [
    secondsField,
    {
      input: 'choice',
      key: 'come',
      label: 'They come',
      choices: [
        { value: 'fromAbove', label: 'from above' },
        { value: 'alongThePath', label: 'along the path' },
        { value: 'fromNothing', label: 'out of nothing' },
        { value: 'atOnce', label: 'at once' },
      ],
    },
    { ...metresField('height', 'Dropped from', 0.1), least: 0, appliesTo: ({ come }) => come === 'fromAbove' },
    {
      input: 'number',
      key: 'each',
      label: 'Each takes',
      unit: 's',
      step: 0.1,
      least: 0,
      most: 3600,
      appliesTo: ({ come }) => come !== 'atOnce',
    },
    {
      input: 'choice',
      key: 'turn',
      label: 'In turn by',
      choices: [
        { value: 'number', label: 'their number' },
        { value: 'station', label: 'their station' },
      ],
    },
  ],
  words: 'is laid one by one in',
  passes: ({ come }) => (come === 'alongThePath' ? 'all' : 'own'),
  seconds: ({ seconds }) => seconds,
  stagger(options, { count, length }) {
    const each = tookOf(options) * options.seconds;
    const lasting = (begins: number) => ({ ...options, seconds: Math.min(Math.max(begins + each, 0.04), 3600) });
    const begins = options.seconds - each; // seconds until the last one begins
    const gaps = Math.max(count - 1, 1);
    return options.turn === 'number'
      ? { label: 'One after the other by', unit: 's', value: begins / gaps, with: (apart) => lasting(apart * gaps) }
      : { label: 'They go on at', unit: 'm/s', value: begins > 0 ? length / begins : 0, with: (speed) => lasting(speed > 0 ? length / speed : 0) }; // prettier-ignore
  },
  reaches: (options, away) => (1 - tookOf(options)) * away + tookOf(options),
  poseAt(options, share, { reach: { from, to }, origin }) {
    const { turn, come, height } = options;
    const took = tookOf(options);
    const farthest = Math.max(origin - from, to - origin);
    return {
      arrival({ piece, count, middle, half }) {
        // By number the piece at the origin is the first, and there are as many turns as pieces on the longer side.
        const before = ((origin - from) / (to - from)) * count;
        const nth = Math.abs(piece + 0.5 - before) - 0.5;
        const most = Math.max(before, count - before) - 1;
        const away = turn === 'number' ? (most > 0 ? nth / most : 0) : Math.abs(middle - origin) / farthest;
        const starts = (1 - took) * Math.min(Math.max(away, 0), 1);
        if (share < starts) return undefined;
        const there = took > 0 ? Math.min((share - starts) / took, 1) : 1;
        return {
          size: come === 'fromNothing' ? there : 1,
          // It comes from where its nearer end lies at the origin.
          along: come === 'alongThePath' ? (there - 1) * (middle - origin - Math.sign(middle - origin) * half) : 0,
          up: come === 'fromAbove' ? (1 - there) * height : 0,
        };
      },
    };
  },
});

/** The share of the time that one piece takes. */
const tookOf = (options: { readonly seconds: number; readonly each: number; readonly come: string }): number =>
  options.come === 'atOnce' ? 0 : Math.min(options.each / options.seconds, 1);
