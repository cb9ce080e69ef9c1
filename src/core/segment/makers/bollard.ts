import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import type { Placed } from '../shapes/plate';
import { revolveProfile, type ProfilePoint } from '../shapes/revolve';
import { circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('bollard'),
  form: z.enum(['mooring', 'kerb']),
  height: z.number().min(0.02).max(20),
  radius: z.number().min(0.005).max(5),
  ...smoothnessShape,
});

/** Height and radius as shares: a mooring bollard with its lip, and a slim one beside a road (own drawings). */
const PROFILES: Readonly<Record<'mooring' | 'kerb', readonly (readonly [height: number, radius: number, isEdge?: true])[]>> = {
  mooring: [[0, 1.5, true], [0.1, 1.5, true], [0.12, 1.44, true], [0.16, 1.02], [0.24, 0.92], [0.5, 0.86], [0.66, 0.94], [0.76, 1.2], [0.84, 1.32], [0.92, 1.26], [0.98, 0.9], [1, 0.4]],
  kerb: [[0, 1.25, true], [0.04, 1.25, true], [0.06, 1, true], [0.78, 0.92, true], [0.8, 1.02, true], [0.84, 1.02, true], [0.86, 0.9, true], [0.95, 0.82], [0.985, 0.56], [1, 0.2]],
}; // prettier-ignore

/** A bollard on its foot. */
export const bollard = defineMaker({
  kind: 'bollard',
  label: 'Bollard',
  hint: 'For mooring, or slim beside a road',
  group: 'dressing',
  dresses: { by: { stations: 4 }, sits: 'above' },
  schema,
  defaults: { kind: 'bollard', form: 'mooring', height: 0.5, radius: 0.11, smooth: 0.001, detail: 'fine' },
  fields: [
    {
      input: 'choice',
      key: 'form',
      label: 'Form',
      choices: [
        { value: 'mooring', label: 'for mooring' },
        { value: 'kerb', label: 'slim' },
      ],
    },
    metresField('height', 'Height', 0.05),
    metresField('radius', 'Radius', 0.01),
    ...SMOOTHNESS_FIELDS,
  ],
  make(spec) {
    const { form, height, radius } = spec;
    const shares = PROFILES[form];
    const profile = shares.map(([h, r, isEdge]): ProfilePoint => ({ x: h * height, r: r * radius, ...(isEdge && { isEdge }) })); // prettier-ignore
    const widest = Math.max(...profile.map(({ r }) => r));
    const builder = new MeshBuilder([paint('Cast iron', '#3d4347', 0.55, 0.6)]);
    const upright: Placed = (a, b, c) => [c + widest, a, b];
    const closed = [{ x: 0, r: 0, isEdge: true }, ...profile, { x: height, r: 0 }];
    const wear = { part: 'Bollard', material: 0 };
    revolveProfile(builder, wear, closed, circleSides(widest, spec), undefined, upright);
    return builder.build();
  },
});
