import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';
import { addBlock, type Placed } from '../shapes/plate';
import { revolveProfile, type ProfilePoint } from '../shapes/revolve';
import { circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('baluster'),
  form: z.enum(['turned', 'square']),
  height: z.number().min(0.05).max(20),
  size: z.number().min(0.005).max(5),
  ...smoothnessShape,
});

/** Height and half width of a turned baluster's curve, as shares of the height and of half the size (own drawing). */
const VASE: readonly (readonly [number, number])[] = [
  [0.14, 0.62],
  [0.16, 0.84],
  [0.18, 0.62],
  [0.22, 0.56],
  [0.3, 0.86],
  [0.38, 0.96],
  [0.46, 0.8],
  [0.58, 0.52],
  [0.7, 0.42],
  [0.8, 0.46],
  [0.84, 0.78],
  [0.86, 0.78],
  [0.88, 0.56],
];

/** An upright of a stair rail, standing on the path. */
export const baluster = defineMaker({
  kind: 'baluster',
  label: 'Baluster',
  hint: 'A turned or square upright',
  group: 'stairs',
  schema,
  defaults: { kind: 'baluster', form: 'turned', height: 0.9, size: 0.05, smooth: 0.0004, detail: 'fine' },
  fields: [
    {
      input: 'choice',
      key: 'form',
      label: 'Form',
      choices: [
        { value: 'turned', label: 'turned' },
        { value: 'square', label: 'square' },
      ],
    },
    metresField('height', 'Height', 0.05),
    metresField('size', 'Size', 0.005),
    ...SMOOTHNESS_FIELDS,
  ],
  make(spec) {
    const { form, height, size } = spec;
    const builder = new MeshBuilder([paint('Painted wood', '#e4ddcd', 0.5)]);
    const wear = { part: 'Baluster', material: 0 };
    const h = size / 2;
    const bevel = size * 0.06;
    if (form === 'square') {
      addBlock(builder, wear, [0, 0, -h], [size, height, h], bevel);
      return builder.build();
    }
    addBlock(builder, wear, [0, 0, -h], [size, height * 0.14, h], bevel);
    addBlock(builder, wear, [0, height * 0.88, -h], [size, height, h], bevel);
    const upright: Placed = (a, b, c) => [c + h, a, b];
    const profile = smoothed(VASE.map(([at, wide]) => ({ x: at * height, r: wide * h })));
    // It reaches a little into both blocks.
    const [first, last] = [profile[0], profile.at(-1)!];
    const closed: ProfilePoint[] = [
      { x: first.x - bevel, r: 0, isEdge: true },
      { x: first.x - bevel, r: first.r, isEdge: true },
      ...profile,
      { x: last.x + bevel, r: last.r, isEdge: true },
      { x: last.x + bevel, r: 0, isEdge: true },
    ];
    revolveProfile(builder, wear, closed, circleSides(h, spec), undefined, upright);
    return builder.build();
  },
});

/** Each leg of a profile as three, along a curve through all its corners that never swings beyond them. */
function smoothed(points: readonly ProfilePoint[]): ProfilePoint[] {
  return points.flatMap((p, i) => {
    const next = points[i + 1];
    if (!next) return [p];
    return [0, 1 / 3, 2 / 3].map((t) => {
      const s = t * t * (3 - 2 * t);
      return { x: p.x + (next.x - p.x) * t, r: p.r + (next.r - p.r) * s };
    });
  });
}
