import { z } from 'zod';
import { crossSectionShape, stripMaterials, toOutline } from '../cross-section';
import { extrudeOutline } from '../extrude';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';
import { SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

/** An outline drawn by hand, carried along the path: road, rail, gutter, handrail, belt. */
export const crossSection = defineMaker({
  kind: 'crossSection',
  label: 'Own cross-section',
  hint: 'An outline that you draw, carried along',
  group: 'roads',
  schema: z.strictObject({
    kind: z.literal('crossSection'),
    length: z.number().min(0.001).max(2000),
    ...crossSectionShape,
    ...smoothnessShape,
  }),
  defaults: {
    kind: 'crossSection',
    length: 2,
    corners: [
      { z: 0, y: 0.12, strip: 0 },
      { z: 0.3, y: 0.1, bulge: -0.4142135623730951, strip: 1 },
      { z: 0.36, y: 0.04, strip: 1 },
      { z: 0.36, y: -0.06, strip: 2 },
    ],
    strips: [
      { name: 'Top', colour: '#8a8f8c', roughness: 0.9, metalness: 0 },
      { name: 'Edge', colour: '#cfc7b6', roughness: 0.85, metalness: 0 },
      { name: 'Under', colour: '#8b7d66', roughness: 0.95, metalness: 0 },
    ],
    mirrored: true,
    closed: true,
    smooth: 0.001,
    detail: 'fine',
  },
  fields: [metresField('length', 'Length', 0.1), ...SMOOTHNESS_FIELDS],
  make(spec) {
    const { outline, strips } = toOutline(spec, spec);
    const cap = spec.corners.at(-1)!.strip;
    return extrudeOutline(outline, strips, [0, spec.length], stripMaterials(spec), cap, !spec.closed);
  },
  problem({ corners, closed, mirrored }) {
    const needed = closed && !mirrored ? 3 : 2;
    const apart = corners.filter(({ z, y }, i) => {
      const before = corners[i - 1];
      return !before || Math.hypot(z - before.z, y - before.y) > 1e-9;
    });
    if (apart.length === corners.length && corners.length >= needed) return undefined;
    return { code: 'section.too-few-corners', path: [], facts: { needed, given: apart.length } };
  },
});
