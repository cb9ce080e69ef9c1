import { z } from 'zod';
import { seededRandom } from '../../math/random';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { countField, metresField } from '../../math/form-field';
import { addLeaf } from '../shapes/leaf';
import { straightLine } from '../shapes/line';
import { sweepRings } from '../shapes/sweep';
import { circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('shoot'),
  length: z.number().min(0.02).max(500),
  radius: z.number().min(5e-4).max(10),
  tip: z.number().min(0).max(1),
  nodes: z.number().int().min(0).max(2000),
  leaf: z.number().min(0).max(10),
  arrangement: z.enum(['opposite', 'alternate', 'spiral']),
  seed: z.number().int().min(0).max(1e6),
  ...smoothnessShape,
});
type ShootSpec = z.infer<typeof schema>;

/** Turn from one leaf to the next: half a turn, or the golden angle of spiral leaves (H. Vogel, Math. Biosci. 44, 1979). */
const TURN = { opposite: Math.PI / 2, alternate: Math.PI, spiral: Math.PI * (3 - Math.sqrt(5)) };
const LEAVES = { part: 'Leaves', material: 1 };

/** A climbing shoot: a stem that thins to its tip, with nodes and leaves. */
export const shoot = defineMaker({
  kind: 'shoot',
  label: 'Shoot',
  hint: 'A tapering stem with leaves',
  group: 'plants',
  schema,
  defaults: {
    kind: 'shoot',
    length: 3,
    radius: 0.012,
    tip: 0.15,
    nodes: 24,
    leaf: 0.09,
    arrangement: 'opposite',
    seed: 1,
    smooth: 0.0004,
    detail: 'fine',
  },
  fields: [
    metresField('length', 'Length', 0.1),
    metresField('radius', 'Radius', 0.001),
    { input: 'number', key: 'tip', label: 'Tip thickness', unit: 'share', step: 0.05 },
    countField('nodes', 'Nodes'),
    metresField('leaf', 'Leaf length', 0.01),
    {
      input: 'choice',
      key: 'arrangement',
      label: 'Leaves',
      choices: [
        { value: 'opposite', label: 'in pairs, crossed' },
        { value: 'alternate', label: 'to either side' },
        { value: 'spiral', label: 'in a spiral' },
      ],
    },
    countField('seed', 'Seed'),
    ...SMOOTHNESS_FIELDS,
  ],
  /** A stem with a tip is one, as long as it is to be, with nodes as far apart as they are. */
  fill(spec, reach) {
    if (spec.tip >= 1) return spec;
    const length = Math.min(Math.max(reach, 0.02), 500);
    return { ...spec, length, nodes: Math.min(Math.round((spec.nodes * length) / spec.length), 2000) };
  },
  loose: ['Leaves'],
  figures: ({ length, nodes }) => [
    { label: 'Length', value: length, unit: 'm' },
    { label: 'Nodes', value: nodes, unit: 'plain' },
  ],
  make(spec) {
    const { length, radius, tip, nodes, leaf } = spec;
    const leafPaint = { ...paint('Leaf', '#5f8446', 0.65), doubleSided: true };
    const builder = new MeshBuilder([paint('Stem', '#7c6a4c', 0.85), leafPaint]);
    const spacing = length / (nodes + 1);
    const taper = (t: number) => radius * (1 - (1 - tip) * t);
    const swelling = (t: number) => {
      const off = Math.abs(t * length - Math.round((t * length) / spacing) * spacing) / (spacing * 0.12);
      return nodes > 0 && off < 1 && t > 0 && t < 1 ? 1 + 0.35 * (1 - off * off) ** 2 : 1;
    };
    const ts = new Set([0, 1]);
    for (let n = 1; n <= nodes; n++) for (const off of [-0.12, -0.06, 0, 0.06, 0.12]) ts.add((n + off) / (nodes + 1));
    const line = straightLine(length);
    const stem = { line, radius: (t: number) => taper(t) * swelling(t), sides: circleSides(radius, spec), length };
    sweepRings(
      builder,
      { ...stem, part: 'Stem', material: 0 },
      [...ts].sort((a, b) => a - b),
    );
    if (leaf > 0) addLeaves(builder, spec, spacing, taper);
    return builder.build();
  },
});

function addLeaves(builder: MeshBuilder, spec: ShootSpec, spacing: number, taper: (t: number) => number): void {
  const { length, nodes, leaf, arrangement, seed } = spec;
  const random = seededRandom(seed);
  for (let n = 1; n <= nodes; n++) {
    const t = (n * spacing) / length;
    const perNode = arrangement === 'opposite' ? 2 : 1;
    for (let k = 0; k < perNode; k++) {
      const angle = n * TURN[arrangement] + k * Math.PI + (random() - 0.5) * 0.5;
      // Young leaves near the tip are smaller and closer to the stem; none reaches beyond the tip.
      const size = Math.min(leaf * (0.8 + 0.4 * random()) * (1 - 0.7 * t * t), (length - n * spacing) * 0.95);
      const lean = 0.95 - 0.45 * t + (random() - 0.5) * 0.3;
      addLeaf(builder, LEAVES, { x: n * spacing, foot: taper(t), angle, size, lean });
    }
  }
}
