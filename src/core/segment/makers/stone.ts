import { z } from 'zod';
import { countField, metresField } from '../../math/form-field';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { addLump } from '../shapes/lump';

const schema = z.strictObject({
  kind: z.literal('stone'),
  form: z.enum(['round', 'broken']),
  size: z.number().min(0.001).max(50),
  height: z.number().min(0.001).max(50),
  seed: z.number().int().min(0).max(1e6),
});

/** A stone that lies a third in the ground. */
export const stone = defineMaker({
  kind: 'stone',
  label: 'Stone',
  hint: 'Round or broken, lies in the ground',
  group: 'dressing',
  dresses: { by: { strewn: 6 }, sits: 'above' },
  schema,
  defaults: { kind: 'stone', form: 'round', size: 0.12, height: 0.08, seed: 3 },
  fields: [
    {
      input: 'choice',
      key: 'form',
      label: 'Form',
      choices: [
        { value: 'round', label: 'round' },
        { value: 'broken', label: 'broken' },
      ],
    },
    metresField('size', 'Size', 0.01),
    metresField('height', 'Height', 0.01),
    countField('seed', 'Seed'),
  ],
  make({ form, size, height, seed }) {
    const builder = new MeshBuilder([paint('Stone', '#9b958a', 0.92)]);
    const isBroken = form === 'broken';
    addLump(
      builder,
      { part: 'Stone', material: 0 },
      {
        ...{ size: [size, height, size * 0.8], below: height * 0.3, rough: isBroken ? 0.34 : 0.2, seed },
        ...{ hasEdges: isBroken, halvings: isBroken ? 1 : 2 },
      },
    );
    return builder.build();
  },
});
