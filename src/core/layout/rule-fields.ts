import { z } from 'zod';
import type { FormField } from '../math/form-field';
import type { Laid } from './laying-rule';
import type { PieceLengths } from './piece-lengths';

/** Metres between pieces; negative = overlap. */
export const gapSchema = z.number().min(-1e4).max(1e4);

export const gapField: Extract<FormField, { input: 'number' }> = {
  input: 'number',
  key: 'gap',
  label: 'Gap (negative overlaps)',
  unit: 'm',
  step: 0.01,
  least: -1e4,
  most: 1e4,
};

/** What of a piece stands where it is put. */
export const liesSchema = z.enum(['start', 'middle', 'end']);

export const liesField: FormField = {
  input: 'choice',
  key: 'lies',
  label: 'There stands',
  choices: [
    { value: 'middle', label: 'its middle' },
    { value: 'start', label: 'its start' },
    { value: 'end', label: 'its end' },
  ],
};

/** Pieces of their own length that stand at given places, ascending. */
export function standing(places: readonly number[], lengths: PieceLengths, lies: z.infer<typeof liesSchema>): Laid {
  const before = lies === 'start' ? 0 : lies === 'middle' ? 0.5 : 1;
  return {
    count: places.length,
    at: (piece) => ({ start: places[piece] - before * lengths.of(piece), length: lengths.of(piece) }),
    gapAfter: 0,
  };
}
