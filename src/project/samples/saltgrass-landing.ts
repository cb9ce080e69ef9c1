import type { CurveSpec } from '../../core/curve/registry';
import { CLEAN_DEFAULTS } from '../../core/mesh/clean/clean-spec';
import type { MakerName, MakerSpec } from '../../core/segment/registry';
import type { FinishSpec } from '../../core/segment/finish/finish-spec';
import type { PatternName } from '../../core/segment/finish/registry';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import { maker, pitchGap } from '../../core/segment/registry';
import type { LayingSpec } from '../../core/layout/laying-spec';
import type { ShapeSpec } from '../../core/shape/shape-spec';
import { COURSE_DEFAULTS, FINISH_DEFAULTS, JOB_DEFAULTS, MADE_PREPARE, makerDefaults, newCourse } from '../defaults';
import { GUIDES } from './landing-guides';
import {
  ANCHOR,
  BUCKETS,
  CAUSEWAY,
  DRIFTWOOD,
  HANDRAIL,
  HONEYSUCKLE,
  HOSE,
  LAMP,
  MOORING,
  STAIR,
  STRING,
  WIRES,
} from './landing-paths';
import { emptyProject, type Path, type Project, type Run, type Segment } from '../schema';

/** One run on a path of its own; the segment's, the path's and the run's ids follow from `id`. */
interface Sample {
  readonly prepare?: Partial<PrepareSpec>;
  readonly finishes?: readonly FinishSpec[];
  readonly id: string;
  readonly name: string;
  readonly spec: MakerSpec;
  readonly curve: CurveSpec;
  readonly laying?: Partial<LayingSpec>;
  readonly frames?: ShapeSpec['frames'];
}

const made = (kind: MakerName, change: object): MakerSpec =>
  ({ ...(makerDefaults(kind) as object), ...change }) as MakerSpec;
const LEAST_TWIST: ShapeSpec['frames'] = { rule: 'leastTwist', up: [0, 1, 0] };
const ONE_PIECE: Partial<LayingSpec> = { rule: { kind: 'onePiece', lies: 'reach' } };

/** A part with a pattern over it; `repeat` in metres. */
const patterned = (
  part: string,
  colour: string,
  pattern: PatternName,
  repeat: number,
  change: Partial<FinishSpec> = {},
): FinishSpec => ({
  part,
  ...FINISH_DEFAULTS,
  colour,
  texture: { from: 'pattern', pattern, seed: 1, contrast: 0.55 },
  repeat,
  ...change,
});

const SAMPLES: readonly Sample[] = [
  {
    id: 'mooring-line',
    name: 'Mooring line',
    spec: made('rope', { strandSize: 0.045, layLength: 0.32, smooth: 0.0015 }),
    finishes: [patterned('Strands', '#d2b684', 'fibre', 0.16)],
    curve: MOORING,
    frames: LEAST_TWIST,
  },
  {
    id: 'anchor-chain',
    name: 'Anchor chain',
    spec: made('chainLink', { form: 'studded', bar: 0.05, smooth: 0.002 }),
    curve: ANCHOR,
    frames: LEAST_TWIST,
  },
  {
    id: 'bucket-chain',
    name: 'Bucket chain',
    spec: made('bucket', { pitch: 0.7, width: 0.7, depth: 0.42, smooth: 0.006 }),
    curve: BUCKETS,
    frames: LEAST_TWIST,
  },
  {
    id: 'stair-treads',
    name: 'Beacon stair',
    spec: made('tread', { going: 0.26, width: 0.85 }),
    curve: STAIR,
    laying: { variation: { tint: 0.25, shift: 0, seed: 4 } },
  },
  {
    id: 'stair-string',
    name: 'Stair string',
    spec: made('plank', { length: 14.75, width: 0.05, thickness: 0.3 }),
    prepare: { centre: 'middle' },
    curve: STRING,
    laying: ONE_PIECE,
  },
  {
    id: 'beacon-rail',
    name: 'Beacon handrail',
    spec: made('rail', { length: 1 }),
    curve: HANDRAIL,
  },
  {
    id: 'lamp-cord',
    name: 'Lamp cord',
    spec: made('coil', {
      by: 'fill',
      wire: 0.012,
      radius: 0.035,
      pitch: 0.016,
      leadIn: 0.18,
      leadOut: 0.18,
      smooth: 0.0008,
    }),
    curve: LAMP,
    laying: ONE_PIECE,
    frames: LEAST_TWIST,
  },
  {
    id: 'bilge-hose',
    name: 'Bilge hose',
    spec: made('turned', {
      length: 4,
      radius: 0.055,
      ribs: 90,
      ribHeight: 0.012,
      fittings: 'both',
      fittingLength: 0.22,
      fittingHeight: 0.03,
      wall: 0.008,
      smooth: 0.0015,
    }),
    finishes: [patterned('Fitting', '#c79d58', 'brushed', 0.2, { roughness: 0.7, metalness: 1 })],
    curve: HOSE,
    laying: ONE_PIECE,
    frames: LEAST_TWIST,
  },
  {
    id: 'signal-wires',
    name: 'Signal wires',
    spec: made('twistedBundle', { cords: 4, size: 0.03, length: 0.5, smooth: 0.001 }),
    curve: WIRES,
    frames: LEAST_TWIST,
  },
  {
    id: 'honeysuckle',
    name: 'Honeysuckle',
    spec: made('shoot', { length: 3.6, radius: 0.014, nodes: 30, leaf: 0.11, smooth: 0.001 }),
    curve: HONEYSUCKLE,
    laying: ONE_PIECE,
    frames: { rule: 'sitOnGuide', guide: 'signal-mast', up: [0, 1, 0] },
  },
  {
    id: 'driftwood',
    name: 'Driftwood',
    spec: made('scannedLog', { length: 6, radius: 0.24 }),
    prepare: {
      forward: 'principal',
      unit: 0.01,
      centre: 'middle',
      size: { of: 'length', metres: 7.1 },
      clean: { ...CLEAN_DEFAULTS, weld: 0.0005, specks: 0.01 },
    },
    curve: DRIFTWOOD,
    laying: ONE_PIECE,
  },
];

const segmentOf = ({ id, spec, prepare, finishes = [] }: Sample): Segment => ({
  id,
  name: maker(spec.kind).label,
  source: { from: 'maker', spec },
  prepare: { ...MADE_PREPARE, ...prepare },
  finishes,
});

const pathOf = ({ id, name, curve }: Sample): Path => ({
  id: `${id}-path`,
  name: `${name} path`,
  curve: curve,
});

const runOf = ({ id, name, spec, laying, frames = JOB_DEFAULTS.shape.frames }: Sample): Run => ({
  id: `${id}-run`,
  name,
  visible: true,
  path: `${id}-path`,
  ...JOB_DEFAULTS,
  shape: { ...JOB_DEFAULTS.shape, frames },
  courses: [
    newCourse(id, {
      laying: { ...COURSE_DEFAULTS.laying, rule: { kind: 'fillStretch', gap: pitchGap(spec) ?? 0 }, ...laying },
    }),
  ],
});

/** The landing's causeway with the drain along its kerb, both on one path. */
export const causeway = (): Project => ({
  ...emptyProject('Saltgrass Landing'),
  segments: [
    {
      id: 'kerbed-road',
      name: 'Kerbed road',
      source: { from: 'maker', spec: makerDefaults('kerbedLane') },
      prepare: MADE_PREPARE,
      finishes: [patterned('Carriageway', '#8f9295', 'asphalt', 1.6, { fit: 'onward' })],
    },
    {
      id: 'kerb-drain',
      name: 'Kerb drain',
      source: {
        from: 'maker',
        spec: { kind: 'kerbDrain', length: 128, width: 0.3, depth: 0.18, offset: 3.6, height: 0.08 },
      },
      prepare: MADE_PREPARE,
      finishes: [],
    },
  ],
  paths: [
    {
      id: 'causeway-line',
      name: 'Causeway line',
      curve: CAUSEWAY,
    },
  ],
  runs: [
    {
      id: 'causeway',
      name: 'Causeway',
      visible: true,
      path: 'causeway-line',
      ...JOB_DEFAULTS,
      courses: [newCourse('kerbed-road')],
    },
    {
      id: 'kerb-drain-run',
      name: 'Kerb drain',
      visible: true,
      path: 'causeway-line',
      ...JOB_DEFAULTS,
      courses: [newCourse('kerb-drain', { laying: { ...COURSE_DEFAULTS.laying, ...ONE_PIECE } })],
    },
  ],
});

/** A small tidal ferry landing on a salt marsh: its causeway, and what hangs, climbs and runs about it. */
export function saltgrassLanding(): Project {
  const road = causeway();
  return {
    ...road,
    segments: [...road.segments, ...SAMPLES.map(segmentOf)],
    paths: [...road.paths, ...SAMPLES.map(pathOf)],
    runs: [...road.runs, ...SAMPLES.map(runOf)],
    guides: GUIDES,
  };
}
