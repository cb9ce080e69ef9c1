import { z } from 'zod';
import { countField, metresField } from '../../math/form-field';
import { seededRandom } from '../../math/random';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { fromZero } from '../shapes/from-zero';
import { addLeaf } from '../shapes/leaf';

const schema = z.strictObject({
  kind: z.literal('leaves'),
  count: z.number().int().min(1).max(200),
  size: z.number().min(0.001).max(20),
  /** Half a leaf's width, as a share of its length. */
  wide: z.number().min(0.01).max(0.6),
  /** How far leaves lie down: 0 = upright, 1 = flat. */
  spread: z.number().min(0).max(1),
  seed: z.number().int().min(0).max(1e6),
});

/** One leaf, or several about one foot. */
export const leaves = defineMaker({
  kind: 'leaves',
  label: 'Leaves',
  hint: 'One leaf, or several about one foot',
  group: 'dressing',
  dresses: { by: { strewn: 40 }, sits: 'above' },
  schema,
  defaults: { kind: 'leaves', count: 3, size: 0.08, wide: 0.3, spread: 0.55, seed: 2 },
  fields: [
    countField('count', 'Leaves'),
    metresField('size', 'Leaf length', 0.01),
    { input: 'number', key: 'wide', label: 'Width', unit: 'share', step: 0.02 },
    { input: 'number', key: 'spread', label: 'Spread', unit: 'share', step: 0.05 },
    countField('seed', 'Seed'),
  ],
  make({ count, size, wide, spread, seed }) {
    const builder = new MeshBuilder([{ ...paint('Leaf', '#5f8446', 0.65), doubleSided: true }]);
    const random = seededRandom(seed);
    for (let i = 0; i < count; i++) {
      const angle = (2 * Math.PI * (i + 0.4 * random())) / count;
      const leaf = { angle, size: size * (0.75 + 0.5 * random()), lean: spread * (1.2 + 0.5 * random()) };
      addLeaf(builder, { part: 'Leaves', material: 0 }, { x: 0, foot: 0, wide, ...leaf }, (up, a, b) => [a, up, -b]);
    }
    return fromZero(builder.build());
  },
});
