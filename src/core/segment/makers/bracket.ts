import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { addBlock, addPlate, PLACES } from '../shapes/plate';

const schema = z.strictObject({
  kind: z.literal('bracket'),
  /** Metres from the wall to the front. */
  reach: z.number().min(0.01).max(20),
  drop: z.number().min(0.01).max(20),
  width: z.number().min(0.004).max(5),
  thickness: z.number().min(0.001).max(1),
});

/** An angle bracket that carries what runs along the path: an arm below it, a plate on the wall to the left, a web between them. */
export const bracket = defineMaker({
  kind: 'bracket',
  label: 'Bracket',
  hint: 'Carries a run on a wall',
  group: 'dressing',
  dresses: { by: { stations: 1.2 }, sits: 'under' },
  schema,
  defaults: { kind: 'bracket', reach: 0.24, drop: 0.2, width: 0.05, thickness: 0.008 },
  fields: [
    metresField('reach', 'From the wall', 0.01),
    metresField('drop', 'Down the wall', 0.01),
    metresField('width', 'Width', 0.005),
    metresField('thickness', 'Thickness', 0.001),
  ],
  make({ reach, drop, width, thickness }) {
    const builder = new MeshBuilder([paint('Iron', '#4b4f52', 0.5, 0.7)]);
    const wear = { part: 'Bracket', material: 0 };
    const t = Math.min(thickness, drop * 0.4, reach * 0.4);
    const [wall, front] = [-reach / 2, reach / 2];
    const bevel = t * 0.2;
    addBlock(builder, wear, [0, -t, wall], [width, 0, front], bevel);
    addBlock(builder, wear, [0, -drop, wall], [width, -t * 0.5, wall + t], bevel);
    const web = { outline: [[wall + t * 0.5, -t * 0.5], [wall + t * 0.5, -drop * 0.9], [front * 0.85, -t * 0.5]] } as const; // prettier-ignore
    const from = width / 2 + t * 0.4;
    addPlate(builder, { ...wear, ...web, from: -from, to: -from + t * 0.8, place: PLACES.across });
    return builder.build();
  },
});
