import { z } from 'zod';
import type { FormField } from '../math/form-field';

export const secondsSchema = z.number().min(0.04).max(3600);

export const secondsField: FormField = {
  input: 'number',
  key: 'seconds',
  label: 'Takes',
  unit: 's',
  step: 0.1,
  least: 0.04,
  most: 3600,
};
