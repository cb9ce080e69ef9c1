import { z } from 'zod';
import type { FormField } from '../math/form-field';

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
