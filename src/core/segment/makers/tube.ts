import { z } from 'zod';
import { paint } from '../colour';
import { extrudeOutline, type SectionPoint } from '../extrude';
import { defineMaker } from '../maker';
import { countField, metresField } from '../../math/form-field';

/** A round bar or hose about the path. */
export const tube = defineMaker({
  kind: 'tube',
  label: 'Round hose',
  hint: 'A plain hose, cable or bar',
  group: 'ropes',
  schema: z.strictObject({
    kind: z.literal('tube'),
    length: z.number().min(0.01).max(2000),
    radius: z.number().min(0.0005).max(100),
    sides: z.number().int().min(3).max(512),
  }),
  defaults: { kind: 'tube', length: 1, radius: 0.05, sides: 24 },
  fields: [metresField('length', 'Length', 0.1), metresField('radius', 'Radius', 0.005), countField('sides', 'Sides')],
  toSection: ({ radius }) => ({
    corners: [0, 1, 2, 3].map((i) => {
      const angle = (-Math.PI / 2) * i;
      return { z: radius * Math.cos(angle), y: radius * Math.sin(angle), bulge: -Math.tan(Math.PI / 8), strip: 0 };
    }),
    strips: [{ name: 'Skin', colour: '#3d4548', roughness: 0.6, metalness: 0 }],
    mirrored: false,
    closed: true,
  }),
  make({ length, radius, sides }) {
    const outline = Array.from({ length: sides }, (_, i): SectionPoint => {
      const angle = (-2 * Math.PI * i) / sides;
      return [radius * Math.cos(angle), radius * Math.sin(angle)];
    });
    const strips = outline.map(() => ({ part: 'Skin', material: 0, smoothToNext: true }));
    return extrudeOutline(outline, strips, [0, length], [paint('Rubber', '#3d4548', 0.6)], 0);
  },
});
