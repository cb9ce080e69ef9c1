import { z } from 'zod';
import { rowNumbers, type Rows } from '../segment/pieces/rows';
import type { PreparedSegment } from '../segment/prepared-segment';
import type { Shape } from '../shape/shape';
import type { Fit, Place } from './fit';
import { fits } from './fits';

fits satisfies { [K in keyof typeof fits]: { kind: K } };

export type FitName = keyof typeof fits;
export type FitSpec = { [K in FitName]: z.infer<(typeof fits)[K]['schema']> }[FitName];
type AnyFit = Fit<FitName, z.ZodType<FitSpec>>;

export const FITS = Object.values(fits) as unknown as readonly AnyFit[];

export const fitSpecSchema = z.discriminatedUnion(
  'kind',
  FITS.map(({ schema }) => schema) as unknown as [
    (typeof fits)[FitName]['schema'],
    ...(typeof fits)[FitName]['schema'][],
  ],
);

export const fitOf = ({ kind }: Pick<FitSpec, 'kind'>): AnyFit => fits[kind];

/** How the rows of a piece lie in its fit; written into `room` where that is given, which must hold them. */
export function buildRows(fit: FitSpec, form: PreparedSegment, shape: Shape, place: Place, room?: Float64Array): Rows {
  const numbers = rowNumbers(form);
  const rows: Rows = { frames: room?.subarray(0, numbers) ?? new Float64Array(numbers), leaning: [] };
  fitOf(fit).fillRows(rows, form, shape, place, fit);
  return rows;
}
