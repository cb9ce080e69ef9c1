import { z } from 'zod';
import { countField, metresField } from '../../math/form-field';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { addLump } from '../shapes/lump';

const schema = z.strictObject({
  kind: z.literal('moss'),
  size: z.number().min(0.001).max(20),
  height: z.number().min(0.001).max(20),
  seed: z.number().int().min(0).max(1e6),
});

/** A low cushion of moss, half of it in what it grows on. */
export const moss = defineMaker({
  kind: 'moss',
  label: 'Moss cushion',
  hint: 'A low, soft cushion',
  group: 'dressing',
  dresses: { by: { strewn: 40 }, sits: 'above' },
  schema,
  defaults: { kind: 'moss', size: 0.07, height: 0.028, seed: 5 },
  fields: [metresField('size', 'Size', 0.01), metresField('height', 'Height', 0.005), countField('seed', 'Seed')],
  make({ size, height, seed }) {
    const builder = new MeshBuilder([paint('Moss', '#5d7a3a', 1)]);
    const lump = { below: height * 0.5, rough: 0.26, hasEdges: false, halvings: 2, seed };
    addLump(builder, { part: 'Moss', material: 0 }, { size: [size, height * 1.5, size * 0.9], ...lump });
    return builder.build();
  },
});
