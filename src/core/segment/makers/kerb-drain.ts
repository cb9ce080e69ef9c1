import { z } from 'zod';
import { paint } from '../colour';
import { toSection } from '../cross-section';
import { extrudeOutline, type SectionPoint, type Strip } from '../extrude';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';

const MATERIALS = [paint('Cast stone', '#c4b9a4', 0.9), paint('Wet channel', '#59605f', 0.35)];

/** An open channel that runs beside a kerb; `offset` metres to the right of the path. */
export const kerbDrain = defineMaker({
  kind: 'kerbDrain',
  label: 'Kerb drain',
  hint: 'An open channel beside the road',
  group: 'roads',
  schema: z.strictObject({
    kind: z.literal('kerbDrain'),
    length: z.number().min(0.2).max(2000),
    width: z.number().min(0.05).max(5),
    depth: z.number().min(0.05).max(5),
    offset: z.number().min(-100).max(100),
    height: z.number().min(-100).max(100),
  }),
  defaults: { kind: 'kerbDrain', length: 2, width: 0.36, depth: 0.2, offset: 0, height: 0 },
  fields: [
    metresField('length', 'Length', 0.1),
    metresField('width', 'Width', 0.01),
    metresField('depth', 'Depth', 0.01),
    metresField('offset', 'To the right', 0.1),
    metresField('height', 'Height', 0.01),
  ],
  toSection: (spec) => toSection(...outlineOf(spec), MATERIALS),
  make(spec) {
    const [outline, strips] = outlineOf(spec);
    return extrudeOutline(outline, strips, [0, spec.length], MATERIALS, 0);
  },
});

interface Sizes {
  readonly width: number;
  readonly depth: number;
  readonly offset: number;
  readonly height: number;
}

function outlineOf({ width, depth, offset, height }: Sizes): [SectionPoint[], Strip[]] {
  const h = width / 2;
  const wall = width * 0.2;
  const section: readonly SectionPoint[] = [
    [-h, 0],
    [-h + wall, 0],
    [-h + wall * 1.4, -depth * 0.6],
    [h - wall * 1.4, -depth * 0.6],
    [h - wall, 0],
    [h, 0],
    [h, -depth],
    [-h, -depth],
  ];
  const outline = section.map(([z, y]): SectionPoint => [z + offset, y + height]);
  const strips = outline.map((_, i) => {
    const wet = i >= 1 && i <= 3;
    return { part: wet ? 'Channel' : 'Walls', material: wet ? 1 : 0 };
  });
  return [outline, strips];
}
