import { z } from 'zod';
import type { Vec3 } from '../../math/vec3';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';
import { lineThrough, straightLine } from '../shapes/line';
import { addPlate, arcPoints, PLACES } from '../shapes/plate';
import { sweepRings } from '../shapes/sweep';
import { arcSteps, circleSides, SMOOTHNESS_FIELDS, smoothnessShape, type Smoothness } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('chainLink'),
  form: z.enum(['short', 'long', 'studded', 'own', 'flat']),
  bar: z.number().min(5e-4).max(5),
  /** Inner length and inner width of a link of own proportions, or hole distance and plate width of a flat one; metres. */
  pitch: z.number().min(1e-3).max(20),
  width: z.number().min(1e-3).max(20),
  ...smoothnessShape,
});
type LinkSpec = z.infer<typeof schema>;

/**
 * Inner length and width in bar diameters. Short: EN 818-2 and ISO 3076, pitch 3 d, inner width 1.3 d at least. Studded: ISO 1704
 * common link, 6 d by 3.6 d outside. Long: DIN 5685-1 form C, 8 x 52. All from memory.
 */
const PROPORTIONS = { short: [3, 1.3], long: [6.5, 1.5], studded: [4, 1.6] } as const;

export interface LinkSizes {
  /** Inner length, which is the distance from link to link, and inner width, metres. */
  readonly pitch: number;
  readonly width: number;
}

const sizesOf = ({ form, bar, pitch, width }: LinkSpec): LinkSizes =>
  form === 'own' || form === 'flat'
    ? { pitch, width }
    : { pitch: PROPORTIONS[form][0] * bar, width: PROPORTIONS[form][1] * bar };

/** The middle of a round link's bar: two half circles and two straights, from x = bar / 2 on; t = 0 to 1 by length. */
function stadium(bar: number, { pitch, width }: LinkSizes): { centre: (t: number) => Vec3; length: number } {
  const r = (width + bar) / 2;
  const straight = pitch - width;
  const half = Math.PI * r;
  const length = 2 * straight + 2 * half;
  const [near, far] = [bar / 2 + r, bar / 2 + r + straight];
  const centre = (t: number): Vec3 => {
    let s = (t - Math.floor(t)) * length;
    if (s < straight) return [near + s, 0, r];
    s -= straight;
    if (s < half) return [far + r * Math.sin(s / r), 0, r * Math.cos(s / r)];
    s -= half;
    if (s < straight) return [far - s, 0, -r];
    s -= straight;
    return [near - r * Math.sin(s / r), 0, -r * Math.cos(s / r)];
  };
  return { centre, length };
}

/** A link of a chain. Round bar, with a stud, or flat with two holes. */
export const chainLink = defineMaker({
  kind: 'chainLink',
  label: 'Chain link',
  hint: 'Round bar, studded or flat',
  group: 'chains',
  schema,
  defaults: { kind: 'chainLink', form: 'short', bar: 0.02, pitch: 0.08, width: 0.03, smooth: 0.0003, detail: 'fine' },
  fields: [
    {
      input: 'choice',
      key: 'form',
      label: 'Form',
      choices: [
        { value: 'short', label: 'short link' },
        { value: 'long', label: 'long link' },
        { value: 'studded', label: 'studded' },
        { value: 'own', label: 'own proportions' },
        { value: 'flat', label: 'flat plate' },
      ],
    },
    metresField('bar', 'Bar size', 0.001),
    { ...metresField('pitch', 'Pitch', 0.005), appliesTo: ({ form }) => form === 'own' || form === 'flat' },
    { ...metresField('width', 'Width', 0.005), appliesTo: ({ form }) => form === 'own' || form === 'flat' },
    ...SMOOTHNESS_FIELDS,
  ],
  problem({ form, pitch, width }) {
    const isLong = form === 'flat' ? pitch > 0 : form !== 'own' || pitch >= width;
    return isLong ? undefined : { code: 'link.too-wide', path: [], facts: { pitch, width } };
  },
  pitch: (spec) => sizesOf(spec).pitch,
  figures(spec) {
    const sizes = sizesOf(spec);
    const { bar, form } = spec;
    const outer = form === 'flat' ? sizes.pitch + sizes.width : sizes.pitch + 2 * bar;
    return [
      { label: 'Pitch', value: sizes.pitch, unit: 'm' },
      { label: 'Outer length', value: outer, unit: 'm' },
      { label: 'Outer width', value: form === 'flat' ? sizes.width : sizes.width + 2 * bar, unit: 'm' },
    ];
  },
  make(spec) {
    const builder = new MeshBuilder([paint('Steel', '#6d7478', 0.42, 1)]);
    const wear = { part: 'Link', material: 0 };
    const sizes = sizesOf(spec);
    const { bar } = spec;
    if (spec.form === 'flat') {
      addFlatLink(builder, sizes, bar, spec);
      return builder.build();
    }
    const { centre, length } = stadium(bar, sizes);
    const r = (sizes.width + bar) / 2;
    const straight = (sizes.pitch - sizes.width) / length;
    const half = (Math.PI * r) / length;
    const steps = 2 * arcSteps(r + bar / 2, Math.PI / 2, spec, spec.detail === 'low' ? 3 : 4);
    const arc = (from: number) => Array.from({ length: steps + 1 }, (_, k) => from + (half * k) / steps);
    // Where there are no straights, the ends of the two arcs are one place.
    const isRound = straight < 1e-9;
    const ts = [...arc(straight), ...arc(2 * straight + half).slice(isRound ? 1 : 0), 1 + straight];
    if (isRound) ts.pop();
    const line = lineThrough(centre, [0, 1, 0]);
    sweepRings(builder, { line, radius: bar / 2, sides: circleSides(bar / 2, spec), length, ...wear }, ts, true);
    if (spec.form === 'studded') {
      const x = bar + sizes.pitch / 2;
      const across = sizes.width + bar * 0.6;
      const post = straightLine(across);
      const place = ([px, py]: Vec3): Vec3 => [x, py, px - across / 2];
      const stud = {
        centre: (t: number) => place(post.centre(t)),
        frame: (t: number) => ({
          centre: place(post.centre(t)),
          normal: [0, 1, 0] as Vec3,
          binormal: [-1, 0, 0] as Vec3,
        }),
      };
      const waist = (t: number) => bar * (0.34 + 0.12 * (2 * t - 1) ** 2);
      const rows = Array.from({ length: 9 }, (_, k) => k / 8);
      sweepRings(
        builder,
        { line: stud, radius: waist, sides: circleSides(bar * 0.4, spec), length: across, part: 'Stud', material: 0 },
        rows,
      );
    }
    return builder.build();
  },
});

/** Round-ended plate with two holes; `thickness` across the chain. */
function addFlatLink(
  builder: MeshBuilder,
  { pitch, width }: LinkSizes,
  thickness: number,
  smoothness: Smoothness,
): void {
  const r = width / 2;
  const steps = arcSteps(r, Math.PI, smoothness, smoothness.detail === 'low' ? 5 : 8);
  const outline = [
    ...arcPoints([r + pitch, 0], r, -Math.PI / 2, Math.PI / 2, steps),
    ...arcPoints([r, 0], r, Math.PI / 2, (3 * Math.PI) / 2, steps),
  ];
  const hole = (x: number) => arcPoints([x, 0], width * 0.22, 0, -2 * Math.PI, 2 * steps).slice(0, -1);
  addPlate(builder, {
    part: 'Link',
    material: 0,
    outline,
    holes: [hole(r), hole(r + pitch)],
    from: -thickness / 2,
    to: thickness / 2,
    bevel: thickness * 0.12,
    place: PLACES.side,
  });
}
