import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { countField, metresField, type FormField, windingField } from '../../math/form-field';
import { layAngle, solveRope, strandLength, withLayAngle, type RopeSizes } from '../rope/rope-geometry';
import { addStrands } from '../rope/add-strands';
import { straightLine } from '../shapes/line';
import { arcSteps, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('rope'),
  strands: z.number().int().min(2).max(4),
  /** Yarns in each strand; 0 = plain strands. */
  yarns: z.number().int().min(0).max(12),
  core: z.boolean(),
  /** Ropes laid up into a cable; 1 = a plain rope. */
  ropes: z.number().int().min(1).max(4),
  direction: z.enum(['S', 'Z']),
  /** Which of the three sizes follows from strands that just touch. */
  find: z.enum(['strandSize', 'helixRadius', 'layLength']),
  layBy: z.enum(['length', 'angle']),
  strandSize: z.number().min(1e-4).max(10),
  helixRadius: z.number().min(1e-4).max(10),
  layLength: z.number().min(1e-3).max(100),
  layAngle: z.number().min(0.02).max(1.5),
  lays: z.number().int().min(1).max(50),
  ...smoothnessShape,
});
type RopeSpec = z.infer<typeof schema>;

const unlessFound = (key: RopeSpec['find'], label: string): FormField => ({
  ...metresField(key, label, 0.001),
  appliesTo: ({ find, layBy }) => find !== key && !(key === 'layLength' && layBy === 'angle'),
});

/** The rope's sizes; undefined where its strands cannot lie like that. */
function sizesOf(spec: RopeSpec): RopeSizes | undefined {
  const { strands, find } = spec;
  const byAngle = spec.layBy === 'angle' && find !== 'layLength';
  return byAngle ? withLayAngle(strands, spec, find, spec.layAngle) : solveRope(strands, spec, find);
}

/** A cable's own sizes: its ropes touch at the lay angle of their strands. */
function cableOf(spec: RopeSpec, rope: RopeSizes): RopeSizes | undefined {
  const size = 2 * rope.helixRadius + rope.strandSize;
  return withLayAngle(spec.ropes, { ...rope, strandSize: size }, 'helixRadius', layAngle(rope));
}

/** A rope of two to four strands, or a cable of ropes; a whole number of lay lengths is a piece that joins the next. */
export const rope = defineMaker({
  kind: 'rope',
  label: 'Rope',
  hint: 'Strands laid round each other, just touching',
  group: 'ropes',
  schema,
  defaults: {
    kind: 'rope',
    strands: 3,
    yarns: 0,
    core: false,
    ropes: 1,
    direction: 'Z',
    find: 'helixRadius',
    layBy: 'length',
    strandSize: 0.02,
    helixRadius: 0.012,
    layLength: 0.12,
    layAngle: 0.6,
    lays: 1,
    smooth: 0.0002,
    detail: 'fine',
  },
  fields: [
    countField('strands', 'Strands'),
    countField('yarns', 'Yarns in a strand'),
    { input: 'switch', key: 'core', label: 'Core' },
    countField('ropes', 'Ropes in a cable'),
    windingField('Lay direction'),
    {
      input: 'choice',
      key: 'find',
      label: 'Strands touch: work out',
      choices: [
        { value: 'helixRadius', label: 'the helix radius' },
        { value: 'strandSize', label: 'the strand size' },
        { value: 'layLength', label: 'the lay length' },
      ],
    },
    unlessFound('strandSize', 'Strand size'),
    unlessFound('helixRadius', 'Helix radius'),
    {
      input: 'choice',
      key: 'layBy',
      label: 'Lay given by',
      choices: [
        { value: 'length', label: 'lay length' },
        { value: 'angle', label: 'angle to the axis' },
      ],
      appliesTo: ({ find }) => find !== 'layLength',
    },
    unlessFound('layLength', 'Lay length'),
    {
      input: 'number',
      key: 'layAngle',
      label: 'Lay angle',
      unit: 'angle',
      step: 0.02,
      appliesTo: ({ find, layBy }) => find !== 'layLength' && layBy === 'angle',
    },
    countField('lays', 'Lay lengths in a piece'),
    ...SMOOTHNESS_FIELDS,
  ],
  problem(spec) {
    const sizes = sizesOf(spec);
    const { strands, strandSize, layLength, helixRadius, find } = spec;
    if (!sizes && find === 'layLength')
      return {
        code: 'rope.too-narrow',
        path: [],
        facts: { helixRadius, needed: strandSize / (2 * Math.sin(Math.PI / strands)) },
      };
    if (!sizes) return { code: 'rope.too-steep', path: [], facts: { layLength, needed: strands * strandSize } };
    return undefined;
  },
  figures(spec) {
    const sizes = sizesOf(spec)!;
    const { helixRadius, strandSize, layLength } = sizes;
    return [
      { label: 'Rope size', value: 2 * helixRadius + strandSize, unit: 'm' },
      { label: 'Strand size', value: strandSize, unit: 'm' },
      { label: 'Helix radius', value: helixRadius, unit: 'm' },
      { label: 'Lay length', value: layLength, unit: 'm' },
      { label: 'Lay angle', value: layAngle(sizes), unit: 'angle' },
      { label: 'Strand in one lay', value: strandLength(sizes), unit: 'm' },
    ];
  },
  make(spec) {
    const ropeSizes = sizesOf(spec)!;
    const { strands, yarns, core, ropes, direction, lays } = spec;
    const sign = direction === 'Z' ? 1 : -1;
    const colours = [
      paint('Rope', '#b99c6b', 0.92),
      paint('Rope, second', '#a98a58', 0.92),
      paint('Core', '#8d7a58', 0.95),
    ];
    const builder = new MeshBuilder(colours);
    const ropeSpec = { ...ropeSizes, strands, yarns, core, smoothness: spec };
    if (ropes === 1) {
      const length = ropeSizes.layLength * lays;
      const xs = rowsAlong(length, lays, ropeSizes, spec);
      addStrands(builder, straightLine(length), { ...ropeSpec, turns: sign * lays, metres: length }, xs);
      return builder.build();
    }
    const cable = cableOf(spec, ropeSizes)!;
    const length = cable.layLength * lays;
    // The ropes are laid against their cable; a whole number of their turns lets the piece join the next.
    const inner = Math.max(Math.round((strandLength(cable) * lays) / ropeSizes.layLength), 1);
    const xs = rowsAlong(length, inner, ropeSizes, spec);
    addStrands(
      builder,
      straightLine(length),
      {
        ...cable,
        strands: ropes,
        yarns: 0,
        core: false,
        smoothness: spec,
        turns: sign * lays,
        metres: length,
        within: { ...ropeSpec, turns: -sign * inner, metres: strandLength(cable) * lays },
      },
      xs,
    );
    return builder.build();
  },
});

/** Rows along x so that strands stay smooth over `turns` turns. */
function rowsAlong(length: number, turns: number, { helixRadius, strandSize }: RopeSizes, spec: RopeSpec): number[] {
  const count = turns * arcSteps(helixRadius + strandSize / 2, 2 * Math.PI, spec, spec.detail === 'low' ? 10 : 16);
  return Array.from({ length: count + 1 }, (_, k) => (length * k) / count);
}
