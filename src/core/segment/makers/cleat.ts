import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { lineThrough } from '../shapes/line';
import { addBlock } from '../shapes/plate';
import { sweepRings } from '../shapes/sweep';
import { circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('cleat'),
  length: z.number().min(0.02).max(5),
  height: z.number().min(0.01).max(2),
  thickness: z.number().min(0.002).max(1),
  ...smoothnessShape,
});

const STEPS = 16;

/** A cleat: a foot, two legs and a bar with two horns, along the path. */
export const cleat = defineMaker({
  kind: 'cleat',
  label: 'Cleat',
  hint: 'Two horns on a foot, for lines',
  group: 'dressing',
  dresses: { by: { stations: 2 }, sits: 'above' },
  schema,
  defaults: { kind: 'cleat', length: 0.3, height: 0.09, thickness: 0.032, smooth: 0.0005, detail: 'fine' },
  fields: [
    metresField('length', 'Length', 0.02),
    metresField('height', 'Height', 0.01),
    metresField('thickness', 'Thickness', 0.005),
    ...SMOOTHNESS_FIELDS,
  ],
  make(spec) {
    const { length, height, thickness } = spec;
    const builder = new MeshBuilder([paint('Galvanized', '#a9adab', 0.42, 0.9)]);
    const wear = { part: 'Cleat', material: 0 };
    const r = thickness / 2;
    const foot = Math.min(height * 0.16, thickness * 0.5);
    const [from, to] = [length * 0.27, length * 0.73];
    addBlock(builder, wear, [from - r, 0, -thickness], [to + r, foot, thickness], foot * 0.3);
    for (const x of [from, to - thickness])
      addBlock(builder, wear, [x, foot * 0.5, -r * 0.8], [x + thickness, height - r, r * 0.8], r * 0.4);
    // The bar dips a little in the middle; its horns rise and thin.
    const bar = lineThrough((t) => [length * t, height - r * 1.3 + r * 0.7 * (2 * t - 1) ** 2, 0], [0, 0, 1]);
    const radius = (t: number) => r * (1 - 0.55 * Math.abs(2 * t - 1) ** 2.2);
    const ts = Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS);
    sweepRings(builder, { ...wear, line: bar, radius, sides: circleSides(r, spec), length }, ts);
    return fromEnds(builder.build(), length);
  },
});

/** End faces lean a little with the horns: brought back to the length. */
function fromEnds(mesh: ReturnType<MeshBuilder['build']>, length: number): typeof mesh {
  const positions = mesh.positions.map((value, i) => (i % 3 === 0 ? Math.min(Math.max(value, 0), length) : value));
  return { ...mesh, positions };
}
