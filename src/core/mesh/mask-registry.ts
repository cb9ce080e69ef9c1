import type { z } from 'zod';
import { specSchemaOf, type SpecOf } from '../math/kind';
import { valueNoise } from '../math/noise';
import type { Mask, MaskPoint } from './mask';
import { masks } from './masks';

export type MaskName = keyof typeof masks;
export type MaskSpec = SpecOf<typeof masks>;
type AnyMask = Mask<MaskName, z.ZodType<MaskSpec>>;

export const MASKS = Object.values(masks) as unknown as readonly AnyMask[];

export const maskSpecSchema = specSchemaOf(masks);

export const maskOf = ({ kind }: Pick<MaskSpec, 'kind'>): AnyMask => masks[kind];

/** How much of a surface a mask covers at a point, 0 to 1: its edge broken up by noise that goes with the run. */
export function coverAt(spec: MaskSpec, point: MaskPoint): number {
  const amount = maskOf(spec).amountAt(spec, point);
  if (!('ragged' in spec) || amount <= 0 || spec.ragged === 0) return amount;
  const [x, y, z] = point.own;
  const { ragged, grain } = spec;
  return Math.min(Math.max(amount + ragged * (2 * valueNoise(x / grain, y / grain, z / grain) - 1), 0), 1);
}
