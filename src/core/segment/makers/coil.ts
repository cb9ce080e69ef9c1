import { z } from 'zod';
import type { Vec3 } from '../../math/vec3';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { metresField, windingField } from '../../math/form-field';
import { leastTwistLine, lineLength } from '../shapes/line';
import { sweepRings } from '../shapes/sweep';
import { arcSteps, circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('coil'),
  wire: z.number().min(1e-4).max(10),
  /** To the middle of the wire, metres. */
  radius: z.number().min(1e-3).max(100),
  by: z.enum(['count', 'pitch', 'fill']),
  turns: z.number().min(0.25).max(2000),
  pitch: z.number().min(1e-4).max(100),
  /** Length of the coiled part; follows from turns and pitch unless the coil fills the path. */
  length: z.number().min(0.005).max(2000),
  leadIn: z.number().min(0).max(100),
  leadOut: z.number().min(0).max(100),
  direction: z.enum(['S', 'Z']),
  ...smoothnessShape,
});
type CoilSpec = z.infer<typeof schema>;

/** Share of a turn over which the wire swings out from a straight lead. */
const SWING = 0.75;

interface Coil {
  readonly turns: number;
  readonly length: number;
  centre(t: number): Vec3;
  /** The t at which straight leads end and begin. */
  readonly from: number;
  readonly to: number;
}

function coilOf(spec: CoilSpec): Coil {
  const { by, pitch, radius, wire, leadIn, leadOut } = spec;
  const rest = Math.max(spec.length - leadIn - leadOut, pitch / 4);
  const length = by === 'count' ? spec.turns * pitch : by === 'pitch' ? spec.length : rest;
  // Filling takes the pitch as a wish: whole quarter turns let both ends lie in one line.
  const turns =
    by === 'count'
      ? spec.turns
      : by === 'pitch'
        ? length / pitch
        : Math.max(Math.round((length / pitch) * 4) / 4, 0.25);
  // A swing takes this much of its lead, so that the wire bends no tighter than twice its size where it leaves the axis.
  const swing = Math.sqrt(12 * wire * radius) / 3;
  const [swingIn, swingOut] = [Math.min(swing, leadIn), Math.min(swing, leadOut)];
  const total = leadIn + length + leadOut;
  const from = (leadIn - swingIn) / total;
  const to = 1 - (leadOut - swingOut) / total;
  const sign = spec.direction === 'Z' ? 1 : -1;
  const centre = (t: number): Vec3 => {
    if (t < from && leadIn > 0) return [t * total, 0, 0];
    if (t > to && leadOut > 0) return [t * total, 0, 0];
    const turned = (turns * (t - from)) / (to - from);
    const out = leadIn > 0 ? Math.min(turned / SWING, 1) : 1;
    const back = leadOut > 0 ? Math.min((turns - turned) / SWING, 1) : 1;
    const reach = Math.min(out, back);
    const r = radius * reach * reach * (3 - 2 * reach);
    const angle = 2 * Math.PI * turned * sign;
    const x =
      leadIn - swingIn + (length * turned) / turns + swingIn * (1 - (1 - out) ** 3) + swingOut * (1 - back) ** 3;
    return [x, r * Math.cos(angle), r * Math.sin(angle)];
  };
  return { turns, length, centre, from, to };
}

/** Wire length, metres: exact for a coil without leads, by fine chords with them. */
function wireLength(spec: CoilSpec, { turns, length, centre }: Coil): number {
  if (spec.leadIn === 0 && spec.leadOut === 0) return Math.hypot(2 * Math.PI * spec.radius * turns, length);
  return lineLength({ centre }, Math.ceil(turns * 1000 + 1000));
}

/** Wire wound round the path, with straight leads. */
export const coil = defineMaker({
  kind: 'coil',
  label: 'Coil',
  hint: 'Wire wound round the path',
  group: 'ropes',
  schema,
  defaults: {
    kind: 'coil',
    wire: 0.006,
    radius: 0.02,
    by: 'fill',
    turns: 24,
    pitch: 0.009,
    length: 0.2,
    leadIn: 0.08,
    leadOut: 0.08,
    direction: 'Z',
    smooth: 0.0002,
    detail: 'fine',
  },
  fields: [
    metresField('wire', 'Wire size', 0.001),
    metresField('radius', 'Coil radius', 0.001),
    {
      input: 'choice',
      key: 'by',
      label: 'Turns',
      choices: [
        { value: 'count', label: 'by count' },
        { value: 'pitch', label: 'by pitch' },
        { value: 'fill', label: 'fill the path' },
      ],
    },
    { input: 'number', key: 'turns', label: 'Turns', unit: 'ratio', step: 1, appliesTo: ({ by }) => by === 'count' },
    metresField('pitch', 'Pitch', 0.001),
    { ...metresField('length', 'Coiled length', 0.01), appliesTo: ({ by }) => by === 'pitch' },
    metresField('leadIn', 'Lead in', 0.01),
    metresField('leadOut', 'Lead out', 0.01),
    windingField('Direction'),
    ...SMOOTHNESS_FIELDS,
  ],
  fill: (spec, reach) => (spec.by === 'fill' ? { ...spec, length: Math.min(Math.max(reach, 0.005), 2000) } : spec),
  figures(spec) {
    const made = coilOf(spec);
    return [
      { label: 'Turns', value: made.turns, unit: 'plain' },
      { label: 'Wire needed', value: wireLength(spec, made), unit: 'm' },
    ];
  },
  make(spec) {
    const made = coilOf(spec);
    const { turns, centre, from, to } = made;
    const round = arcSteps(spec.radius + spec.wire / 2, 2 * Math.PI, spec, spec.detail === 'low' ? 8 : 14);
    const steps = Math.max(Math.ceil(turns * round), 2);
    const ts = Array.from({ length: steps + 1 }, (_, k) => from + ((to - from) * k) / steps);
    if (from > 0) ts.unshift(0);
    if (to < 1) ts.push(1);
    const builder = new MeshBuilder([paint('Wire', '#2f3336', 0.45)]);
    const line = leastTwistLine(centre, ts);
    const wire = { line, radius: spec.wire / 2, sides: circleSides(spec.wire / 2, spec) };
    const metres = wireLength(spec, made);
    sweepRings(builder, { ...wire, length: metres, part: 'Wire', material: 0 }, ts);
    return builder.build();
  },
});
