import { z } from 'zod';
import type { FormField } from '../math/form-field';

/** How finely round things are made: greatest distance of the mesh from the true shape, metres, and a coarse form of it. */
export const smoothnessShape = {
  smooth: z.number().min(1e-6).max(10),
  detail: z.enum(['fine', 'low']),
};

export interface Smoothness {
  readonly smooth: number;
  readonly detail: 'fine' | 'low';
}

export const SMOOTHNESS_FIELDS: readonly FormField[] = [
  { input: 'number', key: 'smooth', label: 'Smooth to', unit: 'm', step: 0.0001 },
  {
    input: 'choice',
    key: 'detail',
    label: 'Detail',
    choices: [
      { value: 'fine', label: 'fine' },
      { value: 'low', label: 'low, for far away' },
    ],
  },
];

/** Low detail may be this many times farther off: half as many sides and rows each. */
const LOW = 4;

/** Straight pieces that an arc of `angle` radians needs so that their middles stay near it; a chord's sagitta is r (1 - cos). */
export function arcSteps(radius: number, angle: number, { smooth, detail }: Smoothness, least: number): number {
  const tolerance = detail === 'low' ? smooth * LOW : smooth;
  if (!(radius > 0)) return least;
  const half = Math.acos(Math.max(1 - tolerance / radius, 0));
  return Math.min(Math.max(Math.ceil(Math.abs(angle) / (2 * half) - 1e-9), least), 4096);
}

/** Sides of a full circle: a multiple of four, so that it reaches its full height and width. */
export function circleSides(radius: number, smoothness: Smoothness): number {
  const sides = arcSteps(radius, 2 * Math.PI, smoothness, smoothness.detail === 'low' ? 6 : 8);
  return Math.ceil(sides / 4) * 4;
}
