import { z } from 'zod';
import { paint } from '../colour';
import { toSection } from '../cross-section';
import { extrudeOutline, type SectionPoint, type Strip } from '../extrude';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';

const MATERIALS = [paint('Oak', '#9c7a50', 0.7)];

/** A board with bevelled edges that lies on the path. */
export const plank = defineMaker({
  kind: 'plank',
  label: 'Plank',
  hint: 'A board that lies on the path',
  group: 'stairs',
  schema: z.strictObject({
    kind: z.literal('plank'),
    length: z.number().min(0.01).max(2000),
    width: z.number().min(0.005).max(100),
    thickness: z.number().min(0.001).max(100),
  }),
  defaults: { kind: 'plank', length: 2, width: 0.4, thickness: 0.06 },
  fields: [
    metresField('length', 'Length', 0.1),
    metresField('width', 'Width', 0.01),
    metresField('thickness', 'Thickness', 0.005),
  ],
  toSection: (spec) => toSection(...outlineOf(spec), MATERIALS),
  make(spec) {
    const [outline, strips] = outlineOf(spec);
    return extrudeOutline(outline, strips, [0, spec.length], MATERIALS, 0);
  },
});

function outlineOf({ width, thickness }: { width: number; thickness: number }): [SectionPoint[], Strip[]] {
  const h = width / 2;
  const b = Math.min(width, thickness) * 0.12;
  const outline: SectionPoint[] = [
    [-h, thickness - b],
    [-h + b, thickness],
    [h - b, thickness],
    [h, thickness - b],
    [h, 0],
    [-h, 0],
  ];
  return [outline, outline.map(() => ({ part: 'Board', material: 0 }))];
}
