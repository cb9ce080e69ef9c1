import { z } from 'zod';
import { paint } from '../colour';
import { toOutline, type CrossSection } from '../cross-section';
import { extrudeOutline } from '../extrude';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';
import { SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('rail'),
  form: z.enum(['round', 'moulded', 'slat']),
  length: z.number().min(0.005).max(2000),
  width: z.number().min(0.005).max(10),
  height: z.number().min(0.005).max(10),
  ...smoothnessShape,
});
type RailSpec = z.infer<typeof schema>;

const WOOD = { name: 'Rail', colour: '#7d5633', roughness: 0.45, metalness: 0 };
const QUARTER = Math.tan(Math.PI / 8);

/** The right half of the rail's outline from the top down; its middle is on the path. */
function halfOf({ form, width, height }: RailSpec): CrossSection['corners'] {
  const [w, h] = [width / 2, height / 2];
  const corner = (z: number, y: number, bulge?: number) => ({ z, y, strip: 0, ...(bulge !== undefined && { bulge }) });
  if (form === 'round') return [corner(0, h, -QUARTER), corner(w, 0, -QUARTER), corner(0, -h)];
  if (form === 'slat') {
    const r = Math.min(w, h) * 0.35;
    return [corner(w - r, h, -QUARTER), corner(w, h - r), corner(w, -h + r, -QUARTER), corner(w - r, -h)];
  }
  // A grip: rounded shoulders above, a hollow below them, a narrow foot.
  const r = Math.min(w, h) * 0.5;
  return [
    corner(w - r, h, -QUARTER),
    corner(w, h - r, -QUARTER * 0.8),
    corner(w * 0.9, -h * 0.15, QUARTER * 0.7),
    corner(w * 0.6, -h * 0.6),
    corner(w * 0.6, -h),
  ];
}

const sectionOf = (spec: RailSpec): CrossSection => ({
  corners: halfOf(spec),
  strips: [WOOD],
  mirrored: true,
  closed: true,
});

/** A handrail or a slat: round, moulded or with rounded edges. */
export const rail = defineMaker({
  kind: 'rail',
  label: 'Rail or slat',
  hint: 'Handrail, round bar, rounded slat',
  group: 'stairs',
  schema,
  defaults: { kind: 'rail', form: 'moulded', length: 1, width: 0.06, height: 0.055, smooth: 0.0003, detail: 'fine' },
  fields: [
    {
      input: 'choice',
      key: 'form',
      label: 'Form',
      choices: [
        { value: 'moulded', label: 'moulded handrail' },
        { value: 'round', label: 'round' },
        { value: 'slat', label: 'slat' },
      ],
    },
    metresField('length', 'Length', 0.1),
    metresField('width', 'Width', 0.005),
    metresField('height', 'Height', 0.005),
    ...SMOOTHNESS_FIELDS,
  ],
  toSection: sectionOf,
  make(spec) {
    const { outline, strips } = toOutline(sectionOf(spec), spec);
    return extrudeOutline(outline, strips, [0, spec.length], [paint(WOOD.name, WOOD.colour, WOOD.roughness)], 0);
  },
});
