import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { EXACT_FIT } from '../../math/tolerance';
import { defineLayingRule } from '../laying-rule';
import { trimmed } from './fill-trim';

/** So long on and so long off, from the start; what of the last dash lies beyond the end is cut off. */
export const dashes = defineLayingRule({
  kind: 'dashes',
  label: 'Dashes',
  hint: 'So long a piece, so long nothing',
  schema: z.strictObject({
    kind: z.literal('dashes'),
    /** Metres. */
    on: z.number().min(1e-3).max(1e5),
    off: z.number().min(0).max(1e5),
    /** What the reach begins with. */
    first: z.enum(['dash', 'gap', 'halfGap']),
  }),
  defaults: { kind: 'dashes', on: 3, off: 9, first: 'dash' },
  fields: [
    { ...metresField('on', 'Dash', 0.5), least: 1e-3, most: 1e5 },
    { ...metresField('off', 'Gap', 0.5), least: 0, most: 1e5 },
    {
      input: 'choice',
      key: 'first',
      label: 'Begins with',
      choices: [
        { value: 'dash', label: 'a dash' },
        { value: 'gap', label: 'a gap' },
        { value: 'halfGap', label: 'half a gap' },
      ],
    },
  ],
  group: 'number',
  tells: 'count',
  mayLeaveBare: true,
  lay({ reach }, { on, off, first }) {
    const before = first === 'dash' ? 0 : first === 'gap' ? off : off / 2;
    const count = Math.max(1, Math.ceil(((reach - before) / (on + off)) * (1 - EXACT_FIT)));
    const at = (piece: number) => ({ start: before + piece * (on + off), length: on });
    return trimmed({ count, at, gapAfter: off }, reach);
  },
});
