import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint, toHex } from '../colour';
import type { SectionCorner } from '../cross-section';
import { defineMaker, type TurnedOutline } from '../maker';
import { countField, metresField } from '../../math/form-field';
import { revolveProfile, type ProfilePoint } from '../shapes/revolve';
import { arcSteps, circleSides, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('turned'),
  length: z.number().min(0.005).max(2000),
  radius: z.number().min(5e-4).max(100),
  ribs: z.number().int().min(0).max(2000),
  ribHeight: z.number().min(0).max(100),
  /** Share of a rib's spacing that the rib takes. */
  ribWidth: z.number().min(0.05).max(1),
  /** 0 = square collars, 1 = round waves. */
  roundness: z.number().min(0).max(1),
  fittings: z.enum(['none', 'start', 'end', 'both']),
  fittingLength: z.number().min(0.001).max(100),
  fittingHeight: z.number().min(0).max(100),
  /** Open ends show a wall of this thickness; 0 = closed ends. */
  wall: z.number().min(0).max(100),
  ...smoothnessShape,
});
type TurnedSpec = z.infer<typeof schema>;

const MATERIALS = [paint('Hose', '#3b4347', 0.62), paint('Fitting', '#b08a4e', 0.32, 1)];
const [HOSE, FITTING] = [0, 1];

interface Leg {
  readonly profile: ProfilePoint[];
  readonly material: number[];
}

/** Where the hose itself begins and ends between its fittings. */
function hoseReach({ length, fittings, fittingLength }: TurnedSpec): readonly [number, number] {
  const fitting = Math.min(fittingLength, length * 0.45);
  const has = (end: 'start' | 'end') => fittings === end || fittings === 'both';
  return [has('start') ? fitting : 0, length - (has('end') ? fitting : 0)];
}

/** The outside from start to end: fittings at the ends, ribs between them. */
function outside(spec: TurnedSpec): Leg {
  const { length, radius, ribs, ribHeight, ribWidth, roundness, fittingHeight } = spec;
  const profile: ProfilePoint[] = [];
  const material: number[] = [];
  const to = (x: number, r: number, wear: number, isEdge = true) => {
    const last = profile.at(-1);
    if (last && Math.abs(last.x - x) < 1e-9 && Math.abs(last.r - r) < 1e-9) return;
    if (profile.length > 0) material.push(wear);
    profile.push({ x, r, isEdge });
  };
  const [start, end] = hoseReach(spec);
  const collar = (from: number, till: number) => {
    const high = radius + fittingHeight;
    const bevel = Math.min(fittingHeight, (till - from) / 2) * 0.25;
    to(from, high - bevel, FITTING);
    to(from + bevel, high, FITTING);
    to(till - bevel, high, FITTING);
    to(till, high - bevel, FITTING);
  };
  if (start > 0) collar(0, start);
  to(start, radius, start > 0 ? FITTING : HOSE);
  const spacing = (end - start) / Math.max(ribs, 1);
  for (let i = 0; i < ribs; i++) {
    const wide = spacing * ribWidth;
    const from = start + spacing * i + (spacing - wide) / 2;
    // The flank climbs as a half cosine over a share of the rib that grows with roundness.
    const flank = (wide / 2) * Math.max(roundness, 0.02);
    const steps =
      roundness < 0.02
        ? 1
        : arcSteps((flank * flank + ribHeight * ribHeight) / (4 * ribHeight || 1), Math.PI / 2, spec, 3);
    for (const [x0, turn] of [
      [from, 1],
      [from + wide - flank, -1],
    ] as const) {
      for (let k = 0; k <= steps; k++) {
        const share = (1 - Math.cos((Math.PI * k) / steps)) / 2;
        const isEdge = roundness < 0.02;
        to(x0 + (flank * k) / steps, radius + ribHeight * (turn > 0 ? share : 1 - share), HOSE, isEdge);
      }
    }
  }
  to(end, radius, HOSE);
  if (end < length) {
    collar(end, length);
  }
  return { profile, material };
}

/** The hose as a drawing: ribs as arcs where they are round, as straight flanks where they are not. */
function profileOf(spec: TurnedSpec): TurnedOutline | undefined {
  const { length, radius, ribs, ribHeight, ribWidth, roundness, wall } = spec;
  const bare = outside({ ...spec, ribs: 0 });
  const [start, end] = hoseReach(spec);
  const spacing = (end - start) / Math.max(ribs, 1);
  const wide = spacing * ribWidth;
  const ribCorners = Array.from({ length: ribHeight > 0 ? ribs : 0 }, (_, i): SectionCorner[] => {
    const from = start + spacing * i + (spacing - wide) / 2;
    const corner = (z: number, y: number, bulge?: number) => ({
      z,
      y,
      strip: HOSE,
      ...(bulge !== undefined && { bulge }),
    });
    if (roundness > 0.5)
      return [corner(from, radius, -Math.min(ribHeight / (wide / 2), 1)), corner(from + wide, radius)];
    const flank = (wide / 2) * Math.max(roundness, 0.02);
    return [
      corner(from, radius),
      corner(from + flank, radius + ribHeight),
      corner(from + wide - flank, radius + ribHeight),
      corner(from + wide, radius),
    ];
  }).flat();
  const bareCorners = bare.profile.map(({ x, r }, i) => ({ z: x, y: r, strip: bare.material[i] ?? HOSE }));
  const before = bareCorners.filter(({ z: x }) => x <= start + 1e-9);
  const after = bareCorners.filter(({ z: x }) => x > start + 1e-9);
  const inside = wall > 0 ? [length, 0].map((x) => ({ z: x, y: radius - wall, strip: HOSE })) : [];
  const closing = wall > 0 ? [{ ...before[0] }] : [];
  const corners = [...before, ...ribCorners, ...after, ...inside, ...closing];
  if (corners.length > 400) return undefined;
  const strips = MATERIALS.map(({ name, colour, roughness, metalness }) => ({
    name,
    colour: toHex(colour),
    roughness,
    metalness,
  }));
  return { corners, strips, flatEnds: wall === 0 };
}

/** A turned bar or hose about the path: ribs, corrugations, collars and end fittings. */
export const turned = defineMaker({
  kind: 'turned',
  label: 'Ribbed hose',
  hint: 'Turned: ribs, bellows, collars, fittings',
  group: 'ropes',
  schema,
  defaults: {
    kind: 'turned',
    length: 1,
    radius: 0.04,
    ribs: 24,
    ribHeight: 0.008,
    ribWidth: 0.8,
    roundness: 0.9,
    fittings: 'none',
    fittingLength: 0.12,
    fittingHeight: 0.012,
    wall: 0,
    smooth: 0.0005,
    detail: 'fine',
  },
  fields: [
    metresField('length', 'Length', 0.1),
    metresField('radius', 'Radius', 0.005),
    countField('ribs', 'Ribs'),
    metresField('ribHeight', 'Rib height', 0.001),
    { input: 'number', key: 'ribWidth', label: 'Rib width', unit: 'share', step: 0.05 },
    { input: 'number', key: 'roundness', label: 'Roundness', unit: 'share', step: 0.05 },
    {
      input: 'choice',
      key: 'fittings',
      label: 'Fittings',
      choices: [
        { value: 'none', label: 'none' },
        { value: 'start', label: 'at the start' },
        { value: 'end', label: 'at the end' },
        { value: 'both', label: 'at both ends' },
      ],
    },
    { ...metresField('fittingLength', 'Fitting length', 0.01), appliesTo: ({ fittings }) => fittings !== 'none' },
    { ...metresField('fittingHeight', 'Fitting height', 0.001), appliesTo: ({ fittings }) => fittings !== 'none' },
    metresField('wall', 'Open, wall', 0.001),
    ...SMOOTHNESS_FIELDS,
  ],
  problem: ({ wall, radius }) =>
    wall < radius ? undefined : { code: 'turned.wall', path: [], facts: { wall, radius } },
  /** Fittings stay as they are, at the ends of the run; the hose between them gains ribs. */
  fill(spec, reach) {
    if (spec.fittings === 'none') return spec;
    const [start, end] = hoseReach(spec);
    const length = Math.min(Math.max(reach, 0.005), 2000);
    const [from, to] = hoseReach({ ...spec, length });
    return { ...spec, length, ribs: Math.min(Math.round((spec.ribs * (to - from)) / (end - start)), 2000) };
  },
  stiff(spec) {
    const [start, end] = hoseReach(spec);
    return [
      ...(start > 0 ? [{ from: 0, to: start }] : []),
      ...(end < spec.length ? [{ from: end, to: spec.length }] : []),
    ];
  },
  figures: ({ length, ribs }) => [
    { label: 'Length', value: length, unit: 'm' },
    { label: 'Ribs', value: ribs, unit: 'plain' },
  ],
  toProfile: (spec) => profileOf(spec),
  make(spec) {
    const { length, radius, ribHeight, fittingHeight, fittings, wall } = spec;
    const { profile, material } = outside(spec);
    const inner = wall > 0 ? radius - wall : 0;
    const [first, last] = [profile[0], profile.at(-1)!];
    const whole: ProfilePoint[] = [{ x: 0, r: inner, isEdge: true }, ...profile, { x: length, r: inner, isEdge: true }];
    const wears = [first.r > radius ? FITTING : HOSE, ...material, last.r > radius ? FITTING : HOSE];
    if (wall > 0) {
      whole.push({ x: 0, r: inner, isEdge: true });
      wears.push(HOSE);
    }
    const widest = radius + Math.max(ribHeight, fittings === 'none' ? 0 : fittingHeight);
    const builder = new MeshBuilder(MATERIALS);
    const wearOf = (leg: number) => ({ part: MATERIALS[wears[leg]].name, material: wears[leg] });
    revolveProfile(builder, wearOf(0), whole, circleSides(widest, spec), wearOf);
    return builder.build();
  },
});
