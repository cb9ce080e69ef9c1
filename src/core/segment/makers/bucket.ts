import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';
import { addPlate, arcPoints, PLACES, type FlatPoint } from '../shapes/plate';
import { arcSteps, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';
import { addPinLink } from './track-shoe';

const schema = z.strictObject({
  kind: z.literal('bucket'),
  /** Pin to pin, metres. */
  pitch: z.number().min(0.01).max(20),
  width: z.number().min(0.01).max(20),
  depth: z.number().min(0.01).max(20),
  plate: z.number().min(5e-4).max(1),
  ...smoothnessShape,
});

/** A dredger's bucket on two side links, pin to pin; it opens forward and stands out on the upper side. */
export const bucket = defineMaker({
  kind: 'bucket',
  label: 'Bucket',
  hint: 'A scoop on links, pin to pin',
  group: 'chains',
  schema,
  defaults: { kind: 'bucket', pitch: 0.6, width: 0.55, depth: 0.4, plate: 0.02, smooth: 0.001, detail: 'fine' },
  fields: [
    metresField('pitch', 'Pin to pin', 0.01),
    metresField('width', 'Width', 0.01),
    metresField('depth', 'Depth', 0.01),
    metresField('plate', 'Plate', 0.001),
    ...SMOOTHNESS_FIELDS,
  ],
  pitch: ({ pitch }) => pitch,
  problem: ({ plate, pitch, width, depth }) =>
    plate * 8 < Math.min(pitch, width, depth) ? undefined : { code: 'bucket.thick', path: [], facts: { plate } },
  make(spec) {
    const { pitch, width, depth, plate } = spec;
    const builder = new MeshBuilder([paint('Bucket', '#7a5c3e', 0.6, 0.6), paint('Links', '#5f6464', 0.5, 1)]);
    const lug = pitch * 0.13;
    const [back, lip, foot] = [lug + pitch * 0.1, lug + pitch * 0.98, lug];
    // The shell from the back's foot up, over the crown and down to the lip, then back along its inside.
    const round = Math.min(depth * 0.45, (lip - back) * 0.4);
    const steps = arcSteps(round, Math.PI / 2, spec, 4);
    const shell = (by: number): FlatPoint[] => [
      [back + by, foot],
      ...arcPoints([back + round, foot + depth - round], round - by, Math.PI, Math.PI / 2, steps),
      [lip, foot + depth * 0.72 - by],
    ];
    const [outer, inner] = [shell(0), shell(plate)];
    const bevel = plate * 0.12;
    const floor: FlatPoint[] = [
      [back, foot],
      [lip - pitch * 0.2, foot],
      [lip - pitch * 0.2, foot + plate],
      [back, foot + plate],
    ];
    const inBetween = { from: -width / 2 + plate * 0.9, to: width / 2 - plate * 0.9, bevel, place: PLACES.side };
    addPlate(builder, { part: 'Bucket', material: 0, outline: [...inner, ...[...outer].reverse()], ...inBetween });
    addPlate(builder, { part: 'Bucket', material: 0, outline: floor, ...inBetween });
    const cheek: FlatPoint[] = [[lip - pitch * 0.2, foot], ...[...outer].reverse()];
    for (const z of [-width / 2, width / 2 - plate])
      addPlate(builder, {
        part: 'Bucket',
        material: 0,
        outline: cheek,
        from: z,
        to: z + plate,
        bevel,
        place: PLACES.side,
      });
    for (const z of [-width * 0.3, width * 0.3])
      addPinLink(builder, { pitch, lug, pin: lug * 0.6, top: foot, z, thick: width * 0.07 }, spec);
    return builder.build();
  },
});
