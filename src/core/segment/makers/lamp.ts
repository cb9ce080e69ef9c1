import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import type { Placed } from '../shapes/plate';
import { revolveProfile, type ProfilePoint } from '../shapes/revolve';
import { circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('lamp'),
  form: z.enum(['post', 'low']),
  height: z.number().min(0.05).max(30),
  radius: z.number().min(0.01).max(5),
  ...smoothnessShape,
});

const [METAL, GLASS] = [0, 1];

/** A lamp on a post, or a low one; its glass shines by itself. */
export const lamp = defineMaker({
  kind: 'lamp',
  label: 'Lamp',
  hint: 'On a post, or low',
  group: 'dressing',
  dresses: { by: { stations: 6 }, sits: 'above' },
  schema,
  defaults: { kind: 'lamp', form: 'post', height: 2.4, radius: 0.14, smooth: 0.001, detail: 'fine' },
  fields: [
    {
      input: 'choice',
      key: 'form',
      label: 'Form',
      choices: [
        { value: 'post', label: 'on a post' },
        { value: 'low', label: 'low' },
      ],
    },
    metresField('height', 'Height', 0.1),
    metresField('radius', 'Radius', 0.01),
    ...SMOOTHNESS_FIELDS,
  ],
  make(spec) {
    const { form, height, radius } = spec;
    const head = Math.min(radius * 2.2, height * 0.4);
    const neck = height - head;
    const pole = form === 'post' ? radius * 0.28 : radius * 0.8;
    const edge = (x: number, r: number): ProfilePoint => ({ x, r, isEdge: true });
    const legs: readonly (readonly [ProfilePoint, number])[] = [
      [edge(0, 0), METAL],
      [edge(0, radius * 0.9), METAL],
      [edge(head * 0.12, radius * 0.9), METAL],
      [edge(head * 0.2, pole), METAL],
      [edge(neck - head * 0.1, pole * 0.85), METAL],
      [edge(neck, radius * 0.62), GLASS],
      [{ x: neck + head * 0.34, r: radius * 0.86 }, GLASS],
      [edge(neck + head * 0.62, radius * 0.78), METAL],
      [edge(neck + head * 0.64, radius), METAL],
      [edge(neck + head * 0.7, radius), METAL],
      [{ x: neck + head * 0.9, r: radius * 0.34 }, METAL],
      [edge(height, radius * 0.12), METAL],
      [edge(height, 0), METAL],
    ];
    const glass = { ...paint('Glass', '#f6e7c2', 0.3), emissive: [0.9, 0.72, 0.42] as const };
    const builder = new MeshBuilder([paint('Lamp', '#2f3a38', 0.5, 0.4), glass]);
    const wearOf = (leg: number) => ({ part: legs[leg][1] === GLASS ? 'Glass' : 'Lamp', material: legs[leg][1] });
    const upright: Placed = (a, b, c) => [c + radius, a, b];
    const profile = legs.map(([point]) => point);
    revolveProfile(builder, wearOf(0), profile, circleSides(radius, spec), wearOf, upright);
    return builder.build();
  },
});
