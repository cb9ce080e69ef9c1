import type { CurveSpec } from '../../core/curve/registry';
import { CLEAN_DEFAULTS } from '../../core/mesh/clean/clean-spec';
import type { MakerName, MakerSpec } from '../../core/segment/registry';
import type { FinishSpec } from '../../core/segment/finish/finish-spec';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import { maker, pitchGap } from '../../core/segment/registry';
import type { LayingSpec } from '../../core/layout/laying-spec';
import type { ShapeSpec } from '../../core/shape/shape-spec';
import { COURSE_DEFAULTS, FINISH_DEFAULTS, JOB_DEFAULTS, MADE_PREPARE, makerDefaults, newCourse } from '../defaults';
import { wholeCauseway } from './causeway';
import { runsOfCourses } from './landing-courses';
import { patterned } from './landing-finishes';
import { GUIDES } from './landing-guides';
import { LANDING_DRESSING, MOSSY_BARK } from './landing-dressing';
import { LANDING_KEYS } from './landing-keys';
import { LANDING_CAMERAS, LANDING_PLACE, SCENERY } from './landing-scenery';
import { LANDING_MOTIONS, LANDING_TIME } from './landing-motions';
import { LANDING_SHAPES } from './landing-shapes';
import { DRIFTWOOD, DRIFTWOOD_SPIRAL, HONEYSUCKLE, HOSE, LAMP, MOORING, PIPE, WIRES } from './landing-paths';
import { runOfParts } from '../sets/run-of-parts';
import type { Path, Project, Run, Segment } from '../schema';

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
  readonly meets?: Run['reach']['meets'];
}

const made = (kind: MakerName, change: object): MakerSpec =>
  ({ ...(makerDefaults(kind) as object), ...change }) as MakerSpec;
const LEAST_TWIST: ShapeSpec['frames'] = { rule: 'leastTwist', up: [0, 1, 0] };
const ONE_PIECE: Partial<LayingSpec> = { rule: { kind: 'onePiece', lies: 'reach' } };

const SAMPLES: readonly Sample[] = [
  {
    id: 'mooring-line',
    name: 'Mooring line',
    spec: made('rope', { strandSize: 0.045, layLength: 0.32, smooth: 0.003 }),
    finishes: [patterned('Strands', '#d2b684', 'fibre', 0.16)],
    curve: MOORING,
    frames: LEAST_TWIST,
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
      smooth: 0.003,
    }),
    finishes: [patterned('Fitting', '#c79d58', 'brushed', 0.2, { roughness: 0.7, metalness: 1 })],
    curve: HOSE,
    laying: ONE_PIECE,
    frames: LEAST_TWIST,
  },
  {
    id: 'signal-wires',
    name: 'Signal wires',
    spec: made('twistedBundle', { cords: 4, size: 0.03, length: 0.5, smooth: 0.003 }),
    curve: WIRES,
    frames: LEAST_TWIST,
  },
  {
    id: 'honeysuckle',
    name: 'Honeysuckle',
    spec: made('shoot', { length: 3.6, radius: 0.014, nodes: 30, leaf: 0.11, smooth: 0.002 }),
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
    finishes: [MOSSY_BARK],
    curve: DRIFTWOOD,
    laying: ONE_PIECE,
  },
  {
    id: 'overflow-pipe',
    name: 'Overflow pipe',
    spec: made('tube', { length: 0.5, radius: 0.07, sides: 32 }),
    finishes: [{ part: 'Skin', ...FINISH_DEFAULTS, colour: '#8a6f52', roughness: 0.45, metalness: 0.6 }],
    curve: PIPE,
    frames: LEAST_TWIST,
    meets: { end: 'pump-house' },
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

const runOf = ({ id, name, spec, laying, meets, frames = JOB_DEFAULTS.shape.frames }: Sample): Run => ({
  id: `${id}-run`,
  name,
  visible: true,
  path: `${id}-path`,
  ...JOB_DEFAULTS,
  reach: { ...JOB_DEFAULTS.reach, ...(meets && { meets }) },
  shape: { ...JOB_DEFAULTS.shape, frames },
  courses: [
    newCourse(id, {
      laying: { ...COURSE_DEFAULTS.laying, rule: { kind: 'fillStretch', gap: pitchGap(spec) ?? 0 }, ...laying },
    }),
  ],
});

/** A run that moves and is shaped as it is on the landing. */
const moving = (run: Run): Run => ({
  ...run,
  shape: { ...run.shape, ...LANDING_SHAPES[run.name] },
  motion: { ...run.motion, ...LANDING_MOTIONS[run.name] },
});

/** A run with what it is dressed with. */
const dressed = (run: Run): Run => ({
  ...run,
  courses: [...run.courses, ...(LANDING_DRESSING[run.name]?.courses ?? [])],
});

/** The driftwood's log once more, wound up in two turns on the sand. */
const spiral = (): Run => {
  const log = SAMPLES.find(({ id }) => id === 'driftwood')!;
  const bending = { ...JOB_DEFAULTS.bending, tolerance: 0.003 }; // it lies far from where one stands
  return {
    ...runOf(log),
    id: 'driftwood-spiral-run',
    name: 'Driftwood spiral',
    path: 'driftwood-spiral-path',
    bending,
  };
};

/** A small tidal ferry landing on a salt marsh: its causeway, and what hangs, climbs and runs about it. */
export function saltgrassLanding(): Project {
  const road = wholeCauseway();
  const built = runsOfCourses();
  return {
    ...road,
    segments: [
      ...road.segments,
      ...SAMPLES.map(segmentOf),
      ...built.flatMap(({ parts }) => parts.segments),
      ...Object.values(LANDING_DRESSING).flatMap(({ segments }) => segments),
    ],
    paths: [
      ...road.paths,
      ...SAMPLES.map(pathOf),
      { id: 'driftwood-spiral-path', name: 'Driftwood spiral path', curve: DRIFTWOOD_SPIRAL },
      ...built.map(({ id, name, curve }) => ({ id: `${id}-path`, name: `${name} path`, curve })),
    ],
    runs: [
      ...road.runs,
      ...SAMPLES.map(runOf),
      spiral(),
      ...built.map(({ id, name, frames, parts }) => runOfParts(`${id}-run`, name, `${id}-path`, { ...parts, ...(frames && { frames }) })), // prettier-ignore
    ].map((run) => moving(dressed(run))),
    guides: [...GUIDES, ...SCENERY],
    place: LANDING_PLACE,
    cameras: LANDING_CAMERAS,
    time: LANDING_TIME,
    keyed: LANDING_KEYS,
  };
}
