import { z } from 'zod';
import { metresField, type FormField } from '../math/form-field';
import type { Kind } from '../math/kind';
import type { Vec3 } from '../math/vec3';

/** A point of a surface, as it lies in the finished run and as it was made. Metres, unit vectors. */
export interface MaskPoint {
  readonly position: Vec3;
  readonly normal: Vec3;
  /** Station, and up and sideways from the path as it was made. */
  readonly own: Vec3;
  /** As it was made: forward, up, right. */
  readonly facing: Vec3;
}

/** What of a surface something lies on; adding one is a file in `masks/` and a line in its list. */
export interface Mask<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  /** How much of it is covered there, 0 to 1. */
  amountAt(options: z.infer<S>, point: MaskPoint): number;
}

export const defineMask = <K extends string, S extends z.ZodType>(mask: Mask<K, S>): Mask<K, S> => mask;

/** How far the edge of what is covered is broken up, 0 to 1, and how large the flecks are, metres. */
export const raggedShape = { ragged: z.number().min(0).max(1), grain: z.number().min(1e-4).max(1e4) };
export const RAGGED = { ragged: 0.5, grain: 0.08 } as const;
export const RAGGED_FIELDS: readonly FormField[] = [
  { input: 'number', key: 'ragged', label: 'Ragged', unit: 'share', step: 0.05 },
  { ...metresField('grain', 'Flecks', 0.01), appliesTo: ({ ragged }) => ragged !== 0 },
];

export const angleField = (key: string, label: string): FormField => ({
  ...{ input: 'number', key, label, unit: 'angle', step: Math.PI / 36 },
});

/** 1 where `value` is below the edge, 0 above it, a smooth step `fade` wide between. */
export function below(value: number, edge: number, fade: number): number {
  const t = fade > 0 ? Math.min(Math.max((edge + fade / 2 - value) / fade, 0), 1) : value <= edge ? 1 : 0;
  return t * t * (3 - 2 * t);
}
