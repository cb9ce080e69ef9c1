import type { z } from 'zod';
import { specSchemaOf, type SpecOf } from '../math/kind';
import { rowNumbers, type Rows } from '../segment/pieces/rows';
import type { PreparedSegment } from '../segment/prepared-segment';
import type { Shape } from '../shape/shape';
import type { Fit } from './fit';
import type { Place } from './place';
import { fits } from './fits';

export type FitName = keyof typeof fits;
export type FitSpec = SpecOf<typeof fits>;
type AnyFit = Fit<FitName, z.ZodType<FitSpec>>;

export const FITS = Object.values(fits) as unknown as readonly AnyFit[];

export const fitSpecSchema = specSchemaOf(fits);

export const fitOf = ({ kind }: Pick<FitSpec, 'kind'>): AnyFit => fits[kind];

/** How the rows of a piece lie in its fit; written into `room` where that is given, which must hold them. */
export function buildRows(fit: FitSpec, form: PreparedSegment, shape: Shape, place: Place, room?: Float64Array): Rows {
  const numbers = rowNumbers(form);
  const rows: Rows = { frames: room?.subarray(0, numbers) ?? new Float64Array(numbers), leaning: [] };
  fitOf(fit).fillRows(rows, form, shape, place, fit);
  return rows;
}
