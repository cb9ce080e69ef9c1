import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { countField, metresField, windingField } from '../../math/form-field';
import { packCords, type PackedCord } from '../rope/pack-cords';
import { helixAround, straightLine } from '../shapes/line';
import { sweepRows } from '../shapes/sweep';
import { arcSteps, circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('twistedBundle'),
  cords: z.number().int().min(1).max(61),
  size: z.number().min(1e-4).max(10),
  hasMiddle: z.boolean(),
  middleSize: z.number().min(1e-4).max(10),
  length: z.number().min(0.005).max(200),
  turns: z.number().int().min(0).max(200),
  direction: z.enum(['S', 'Z']),
  /** Space between the cords: 1 = they touch. */
  looseness: z.number().min(1).max(4),
  colours: z.number().int().min(1).max(6),
  ...smoothnessShape,
});

const COLOURS = [
  paint('Cord, slate', '#465862', 0.5),
  paint('Cord, ochre', '#c08a3e', 0.5),
  paint('Cord, chalk', '#ddd6c6', 0.55),
  paint('Cord, moss', '#66764d', 0.5),
  paint('Cord, rust', '#9a5236', 0.5),
  paint('Cord, ink', '#23282c', 0.45),
];

const packed = (spec: z.infer<typeof schema>): readonly PackedCord[] | undefined =>
  packCords({ ...spec, count: spec.cords, layLength: spec.turns > 0 ? spec.length / spec.turns : Infinity });

/** Cords twisted together, a whole number of turns a piece. */
export const twistedBundle = defineMaker({
  kind: 'twistedBundle',
  label: 'Twisted bundle',
  hint: 'Cords or wires packed and twisted',
  group: 'ropes',
  schema,
  defaults: {
    kind: 'twistedBundle',
    cords: 4,
    size: 0.012,
    hasMiddle: false,
    middleSize: 0.012,
    length: 0.3,
    turns: 1,
    direction: 'Z',
    looseness: 1,
    colours: 4,
    smooth: 0.0002,
    detail: 'fine',
  },
  fields: [
    countField('cords', 'Cords'),
    metresField('size', 'Cord size', 0.001),
    { input: 'switch', key: 'hasMiddle', label: 'One in the middle', appliesTo: ({ cords }) => Number(cords) <= 7 },
    {
      ...metresField('middleSize', 'Its size', 0.001),
      appliesTo: ({ cords, hasMiddle }) => hasMiddle === true && Number(cords) <= 7,
    },
    metresField('length', 'Length', 0.01),
    countField('turns', 'Turns'),
    windingField('Direction'),
    { input: 'number', key: 'looseness', label: 'Looseness', unit: 'ratio', step: 0.05 },
    countField('colours', 'Colours'),
    ...SMOOTHNESS_FIELDS,
  ],
  problem(spec) {
    if (packed(spec)) return undefined;
    const needed = Math.max(Math.floor(spec.length / (spec.cords * spec.size)), 0);
    return { code: 'bundle.too-tight', path: [], facts: { turns: spec.turns, needed } };
  },
  figures(spec) {
    const cords = packed(spec)!;
    const outer = Math.max(...cords.map(({ radius, size }) => radius * spec.looseness + size / 2));
    const around = Math.max(...cords.map(({ radius }) => radius)) * spec.looseness * 2 * Math.PI * spec.turns;
    return [
      { label: 'Bundle size', value: 2 * outer, unit: 'm' },
      { label: 'Longest cord', value: Math.hypot(spec.length, around), unit: 'm' },
      // There are no more than so many: after them they come again.
      ...(cords.length > spec.colours
        ? [{ label: 'Colours repeat after', value: spec.colours, unit: 'plain' as const }]
        : []),
    ];
  },
  make(spec) {
    const { length, looseness, colours } = spec;
    const turns = spec.turns * (spec.direction === 'Z' ? 1 : -1);
    const builder = new MeshBuilder(COLOURS.slice(0, colours));
    const axis = straightLine(length);
    const cords = packed(spec)!;
    const outer = Math.max(...cords.map(({ radius, size }) => radius * looseness + size / 2));
    const rows =
      spec.turns === 0 ? 1 : spec.turns * arcSteps(outer, 2 * Math.PI, spec, spec.detail === 'low' ? 10 : 16);
    const xs = Array.from({ length: rows + 1 }, (_, k) => (length * k) / rows);
    cords.forEach(({ radius, angle, size }, i) => {
      const line = radius > 0 ? helixAround(axis, radius * looseness, angle, turns) : axis;
      const material = i % colours;
      const metres = Math.hypot(length, 2 * Math.PI * radius * looseness * turns);
      const sweep = { line, radius: size / 2, sides: circleSides(size / 2, spec), length: metres };
      sweepRows(builder, { ...sweep, part: COLOURS[material].name, material }, xs);
    });
    return builder.build();
  },
});
