import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { addBlock, addPlate, arcPoints, PLACES, type FlatPoint } from '../shapes/plate';
import { circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('clip'),
  /** Of what it holds, metres. */
  radius: z.number().min(5e-4).max(20),
  width: z.number().min(5e-4).max(5),
  thickness: z.number().min(2e-4).max(2),
  /** How far below the path the ears end; 0 = a plain ring. */
  foot: z.number().min(0).max(20),
  ...smoothnessShape,
});

/** A band round what runs along the path, with two ears and a bolt below it. */
export const clip = defineMaker({
  kind: 'clip',
  label: 'Clip',
  hint: 'A band round a hose, cable or pipe',
  group: 'dressing',
  dresses: {
    ...{ by: { stations: 1 }, sits: 'round' },
    fitTo: (spec, half) => ({ ...spec, radius: half, width: half * 0.6, thickness: half * 0.08, foot: half * 1.7 }),
  },
  schema,
  defaults: { kind: 'clip', radius: 0.05, width: 0.03, thickness: 0.004, foot: 0.085, smooth: 0.0005, detail: 'fine' },
  fields: [
    metresField('radius', 'Holds, radius', 0.002),
    metresField('width', 'Width', 0.002),
    metresField('thickness', 'Thickness', 0.001),
    metresField('foot', 'Ears down to', 0.005),
    ...SMOOTHNESS_FIELDS,
  ],
  make(spec) {
    const { radius, width, thickness, foot } = spec;
    const builder = new MeshBuilder([paint('Steel', '#b3b6b4', 0.35, 1), paint('Bolt', '#77797a', 0.4, 1)]);
    const band = { part: 'Band', material: 0 };
    const outer = radius + thickness;
    const sides = circleSides(outer, spec);
    const circle = (r: number): FlatPoint[] => arcPoints([0, 0], r, 0, 2 * Math.PI, sides).slice(0, -1);
    const bevel = Math.min(thickness, width) * 0.2;
    const plate = { ...band, outline: circle(outer), holes: [circle(radius).reverse()], bevel, place: PLACES.across };
    addPlate(builder, { ...plate, from: -width, to: 0 });
    const low = -foot;
    if (foot > outer * 1.02) {
      for (const side of [-1, 1]) {
        const [a, b] = [side * thickness * 0.3, side * thickness * 1.3];
        addBlock(builder, band, [0, low, Math.min(a, b)], [width, -radius - thickness * 0.2, Math.max(a, b)], bevel);
      }
      const [half, middle] = [Math.min(width * 0.24, (foot - outer) * 0.4), (low - outer) / 2];
      addBlock(
        builder,
        { part: 'Bolt', material: 1 },
        [width / 2 - half, middle - half, -thickness * 2.6],
        [width / 2 + half, middle + half, thickness * 2.6],
        half * 0.3,
      );
    }
    return builder.build();
  },
});
