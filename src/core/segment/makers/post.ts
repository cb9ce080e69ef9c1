import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';
import { addBlock, addPlate, PLACES } from '../shapes/plate';

const schema = z.strictObject({
  kind: z.literal('post'),
  form: z.enum(['square', 'picket']),
  height: z.number().min(0.02).max(50),
  size: z.number().min(0.005).max(5),
  thickness: z.number().min(0.002).max(5),
  /** How far it goes into the ground, metres. */
  below: z.number().min(0).max(20),
});

/** A fence post with a cap, or a pointed picket, standing on the path. */
export const post = defineMaker({
  kind: 'post',
  label: 'Post or picket',
  hint: 'Stands on the path',
  group: 'stairs',
  schema,
  defaults: { kind: 'post', form: 'square', height: 1.1, size: 0.12, thickness: 0.12, below: 0.3 },
  fields: [
    {
      input: 'choice',
      key: 'form',
      label: 'Form',
      choices: [
        { value: 'square', label: 'post with a cap' },
        { value: 'picket', label: 'pointed picket' },
      ],
    },
    metresField('height', 'Height', 0.05),
    metresField('size', 'Along the path', 0.01),
    metresField('thickness', 'Across', 0.01),
    metresField('below', 'In the ground', 0.05),
  ],
  make({ form, height, size, thickness, below }) {
    const builder = new MeshBuilder([paint('Weathered wood', '#8d8271', 0.9), paint('Cap', '#756a5a', 0.85)]);
    const h = thickness / 2;
    const bevel = Math.min(size, thickness) * 0.07;
    if (form === 'picket') {
      addPlate(builder, {
        part: 'Picket',
        material: 0,
        outline: [
          [0, -below],
          [size, -below],
          [size, height - size / 2],
          [size / 2, height],
          [0, height - size / 2],
        ],
        from: -h,
        to: h,
        bevel,
        place: PLACES.side,
      });
      return builder.build();
    }
    const over = size * 0.12;
    const cap = Math.min(size * 0.2, height * 0.2);
    addBlock(builder, { part: 'Post', material: 0 }, [over, -below, -h], [over + size, height - cap, h], bevel);
    addBlock(
      builder,
      { part: 'Cap', material: 1 },
      [0, height - cap, -h - over],
      [size + 2 * over, height, h + over],
      cap * 0.3,
    );
    return builder.build();
  },
});
