import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';
import { addPlate, arcPoints, PLACES } from '../shapes/plate';
import { arcSteps, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('tread'),
  going: z.number().min(0.05).max(5),
  width: z.number().min(0.05).max(50),
  thickness: z.number().min(0.005).max(2),
  /** How far the tread stands out over the one below it, metres. */
  nosing: z.number().min(0).max(0.5),
  ...smoothnessShape,
});

/** A stair's tread with a rounded nosing to the front; its upper side is on the path. */
export const tread = defineMaker({
  kind: 'tread',
  label: 'Tread',
  hint: 'A step of a stair',
  group: 'stairs',
  schema,
  defaults: { kind: 'tread', going: 0.28, width: 0.9, thickness: 0.045, nosing: 0.02, smooth: 0.0005, detail: 'fine' },
  fields: [
    metresField('going', 'Going', 0.01),
    metresField('width', 'Width', 0.05),
    metresField('thickness', 'Thickness', 0.005),
    metresField('nosing', 'Nosing', 0.005),
    ...SMOOTHNESS_FIELDS,
  ],
  pitch: ({ going }) => going,
  make(spec) {
    const { going, width, thickness, nosing } = spec;
    const builder = new MeshBuilder([paint('Oak tread', '#9a7448', 0.55)]);
    const r = thickness / 2;
    const steps = arcSteps(r, Math.PI, spec, 4);
    const back = going + nosing;
    addPlate(builder, {
      part: 'Tread',
      material: 0,
      outline: [[back, -thickness], [back, 0], ...arcPoints([r, -r], r, Math.PI / 2, (3 * Math.PI) / 2, steps)],
      from: -width / 2,
      to: width / 2,
      bevel: Math.min(thickness, width) * 0.06,
      place: PLACES.side,
    });
    return builder.build();
  },
});
