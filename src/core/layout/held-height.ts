import { z } from 'zod';
import { firstAfter } from '../math/first-after';
import type { FormField } from '../math/form-field';
import { frameOn } from '../shape/frame-on';
import type { Shape } from '../shape/shape';
import type { Place } from './place';

/** Where of a level piece its height is taken from the path. */
export const heldSchema = z.enum(['start', 'middle', 'end']);

const SHARE = { start: 0, middle: 0.5, end: 1 } as const;

export const heldField: FormField = {
  input: 'choice',
  key: 'at',
  label: 'At the path’s height',
  choices: [
    { value: 'start', label: 'at its start' },
    { value: 'middle', label: 'in its middle' },
    { value: 'end', label: 'at its end' },
  ],
};

/** Whether all pieces between two path points have one height, as the panels of a stepped fence do. */
export const byLegSchema = z.boolean().optional();

export const byLegField: Extract<FormField, { input: 'switch' }> = {
  input: 'switch',
  key: 'byLeg',
  label: 'One height from point to point',
};

/** How level pieces take their height. */
export interface Held {
  readonly at: z.infer<typeof heldSchema>;
  readonly byLeg?: boolean | undefined;
}

/** Metres: the height that a level piece has: the path's, at a share of the piece up to where the next one lies over it, or of the leg in which its middle lies. */
export function heldHeight(
  shape: Shape,
  { station, factor, scale, natural, overlap }: Place,
  { at, byLeg }: Held,
): number {
  const long = factor * natural - overlap * scale;
  const [from, to] = byLeg ? legAt(shape, station + long / 2) : [station, station + long];
  // At its end as the path comes there, for the next piece begins in that place.
  return frameOn(shape, from + SHARE[at] * (to - from), at === 'end')[1];
}

/** From where to where goes the leg that a station lies in, metres; beyond a closed path's seam a round farther on. */
function legAt({ table: { pointStations, length, closed } }: Shape, station: number): readonly [number, number] {
  const round = closed ? Math.floor(station / length) * length : 0;
  const next = firstAfter(pointStations, station - round);
  return [round + (pointStations[next - 1] ?? 0), round + (pointStations[next] ?? length)];
}
