import { z } from 'zod';
import { countField, metresField } from '../../math/form-field';
import { seededRandom } from '../../math/random';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { fromZero } from '../shapes/from-zero';
import { addLeaf } from '../shapes/leaf';

const schema = z.strictObject({
  kind: z.literal('tuft'),
  blades: z.number().int().min(1).max(500),
  height: z.number().min(0.005).max(20),
  width: z.number().min(0.002).max(20),
  seed: z.number().int().min(0).max(1e6),
});

/** A tuft of grass: narrow blades that bend outwards. */
export const tuft = defineMaker({
  kind: 'tuft',
  label: 'Tuft of grass',
  hint: 'Narrow blades that bend outwards',
  group: 'dressing',
  dresses: { by: { strewn: 8, lies: { across: 'edges', band: 0.7, within: 1.3, stands: 'plumb' } }, sits: 'above' },
  schema,
  defaults: { kind: 'tuft', blades: 14, height: 0.22, width: 0.12, seed: 4 },
  fields: [
    countField('blades', 'Blades'),
    metresField('height', 'Height', 0.01),
    metresField('width', 'Width', 0.01),
    countField('seed', 'Seed'),
  ],
  make({ blades, height, width, seed }) {
    const builder = new MeshBuilder([{ ...paint('Blade', '#7f8f4e', 0.8), doubleSided: true }]);
    const random = seededRandom(seed);
    for (let i = 0; i < blades; i++) {
      // The golden angle spreads them evenly (H. Vogel, Math. Biosci. 44, 1979).
      const angle = i * Math.PI * (3 - Math.sqrt(5));
      const out = Math.sqrt((i + 0.5) / blades) * (width / 4);
      const size = height * (0.7 + 0.4 * random());
      const blade = { x: 0, foot: out / 0.8, angle, size, wide: 0.03, droop: 0.08 + 0.1 * random() };
      const lean = 0.05 + (out / width) * (0.6 + 0.6 * random());
      addLeaf(builder, { part: 'Blades', material: 0 }, { ...blade, lean }, (up, a, b) => [a, up, -b]);
    }
    return fromZero(builder.build());
  },
});
