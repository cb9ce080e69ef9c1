import { CLEAN_DEFAULTS } from '../../core/mesh/clean/clean-mesh';
import type { MakerName, MakerSpec } from '../../core/segment/registry';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import { maker, pitchGap } from '../../core/segment/registry';
import { JOB_DEFAULTS, MADE_PREPARE, makerDefaults } from '../defaults';
import { emptyProject, type Path, type Project, type Run, type Segment } from '../schema';

type Place = readonly [number, number, number];

const CAUSEWAY: readonly Place[] = [
  [-43.5, 0, 8],
  [-30, 0.05, 22],
  [-11, 0.2, 25],
  [2, 0.5, 11.5],
  [6.5, 0.8, -8],
  [17, 1.05, -19],
  [32, 1.1, -14],
  [46, 1.1, -3],
];

/** From the bollard, slack, to the ferry's cleat. */
const MOORING: readonly Place[] = [
  [44.5, 1.75, 2.4],
  [46.4, 1.28, 4.6],
  [48.6, 1.12, 7],
  [50.8, 1.42, 9.3],
  [52.4, 1.95, 11],
];

/** From the bow roller down to the bed. */
const ANCHOR: readonly Place[] = [
  [55, 2.3, 12.5],
  [55.5, 1.2, 13.4],
  [56.6, 0.2, 14.8],
  [58.6, -0.25, 16.6],
  [61, -0.3, 18],
];

/** Round the dredger's two tumblers, standing on edge. */
const BUCKETS: readonly Place[] = [
  [59, 4.2, 4],
  [58.1, 3.5, 4],
  [58.2, 2.5, 4],
  [62.2, -0.6, 4],
  [63.1, -0.9, 4],
  [63.8, -0.3, 4],
  [63.5, 0.5, 4],
  [59.9, 4, 4],
];

/** From the hut's ceiling down to the reading lamp. */
const LAMP: readonly Place[] = [
  [40, 3.6, -9.4],
  [40, 3.15, -9.4],
  [40.06, 2.75, -9.36],
  [40.2, 2.45, -9.3],
];

/** Along the ferry's side and over into the water. */
const HOSE: readonly Place[] = [
  [50.5, 1.4, 13.5],
  [51.3, 1.65, 13.9],
  [52.2, 1.5, 14.4],
  [52.8, 0.9, 15],
  [53, 0.2, 15.8],
];

/** From the mast to the hut. */
const WIRES: readonly Place[] = [
  [34, 5.2, -4],
  [35.8, 4.4, -5.8],
  [37.6, 3.9, -7.6],
  [39.2, 3.7, -9.2],
];

/** Up and round the signal mast. */
const HONEYSUCKLE: readonly Place[] = Array.from({ length: 15 }, (_, i) => {
  const angle = i * 0.85;
  const round = (v: number) => Math.round(v * 1000) / 1000;
  return [round(34 + 0.16 * Math.cos(angle)), round(1.05 + i * 0.22), round(-4 + 0.16 * Math.sin(angle))] as const;
});

/** Up round the beacon, a turn and a quarter. */
const STAIR: readonly Place[] = Array.from({ length: 11 }, (_, i) => {
  const angle = i * 0.78;
  const round = (v: number) => Math.round(v * 1000) / 1000;
  return [round(20 + 1.35 * Math.cos(angle)), round(1.2 + i * 0.42), round(-25 + 1.35 * Math.sin(angle))] as const;
});

/** Half a ring round the fire pit. */
const DRIFTWOOD: readonly Place[] = [
  [22.6, 1.35, -33.5],
  [21.2, 1.32, -35.4],
  [22, 1.35, -37.6],
  [24.1, 1.33, -38.4],
];

/** One run on a path of its own; the segment's, the path's and the run's ids follow from `id`. */
interface Sample {
  readonly prepare?: Partial<PrepareSpec>;
  readonly id: string;
  readonly name: string;
  readonly spec: MakerSpec;
  readonly points: readonly Place[];
  readonly closed?: boolean;
  readonly job?: { readonly [K in keyof typeof JOB_DEFAULTS]?: Partial<(typeof JOB_DEFAULTS)[K]> };
}

const made = (kind: MakerName, change: object): MakerSpec =>
  ({ ...(makerDefaults(kind) as object), ...change }) as MakerSpec;
const LEAST_TWIST = { frames: { rule: 'leastTwist' as const, up: [0, 1, 0] as [number, number, number] } };

const SAMPLES: readonly Sample[] = [
  {
    id: 'mooring-line',
    name: 'Mooring line',
    spec: made('rope', { strandSize: 0.045, layLength: 0.32, smooth: 0.0015 }),
    points: MOORING,
    job: { bending: LEAST_TWIST },
  },
  {
    id: 'anchor-chain',
    name: 'Anchor chain',
    spec: made('chainLink', { form: 'studded', bar: 0.05, smooth: 0.002 }),
    points: ANCHOR,
    job: { bending: LEAST_TWIST },
  },
  {
    id: 'bucket-chain',
    name: 'Bucket chain',
    spec: made('bucket', { pitch: 0.7, width: 0.7, depth: 0.42, smooth: 0.006 }),
    points: BUCKETS,
    closed: true,
    job: { bending: { frames: { rule: 'leastTwist', up: [0, 1, 0] } } },
  },
  {
    id: 'stair-treads',
    name: 'Beacon stair',
    spec: made('tread', { going: 0.26, width: 0.85 }),
    points: STAIR,
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
    points: LAMP,
    job: { laying: { rule: 'onePiece' }, bending: LEAST_TWIST },
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
    points: HOSE,
    job: { laying: { rule: 'onePiece' }, bending: LEAST_TWIST },
  },
  {
    id: 'signal-wires',
    name: 'Signal wires',
    spec: made('twistedBundle', { cords: 4, size: 0.03, length: 0.5, smooth: 0.001 }),
    points: WIRES,
    job: { bending: LEAST_TWIST },
  },
  {
    id: 'honeysuckle',
    name: 'Honeysuckle',
    spec: made('shoot', { length: 3.6, radius: 0.014, nodes: 30, leaf: 0.11, smooth: 0.001 }),
    points: HONEYSUCKLE,
    job: { laying: { rule: 'onePiece' }, bending: LEAST_TWIST },
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
    points: DRIFTWOOD,
    job: { laying: { rule: 'onePiece' } },
  },
];

const segmentOf = ({ id, spec, prepare }: Sample): Segment => ({
  id,
  name: maker(spec.kind).label,
  source: { from: 'maker', spec },
  prepare: { ...MADE_PREPARE, ...prepare },
});

const pathOf = ({ id, name, points, closed = false }: Sample): Path => ({
  id: `${id}-path`,
  name: `${name} path`,
  curve: { kind: 'smooth', closed, points: points.map(([x, y, z]) => ({ position: [x, y, z] })) },
});

const runOf = ({ id, name, spec, job = {} }: Sample): Run => ({
  id: `${id}-run`,
  name,
  visible: true,
  segment: id,
  path: `${id}-path`,
  laying: { ...JOB_DEFAULTS.laying, gap: pitchGap(spec) ?? 0, ...job.laying },
  bending: { ...JOB_DEFAULTS.bending, ...job.bending },
  motion: { ...JOB_DEFAULTS.motion, ...job.motion },
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
    },
    {
      id: 'kerb-drain',
      name: 'Kerb drain',
      source: {
        from: 'maker',
        spec: { kind: 'kerbDrain', length: 128, width: 0.3, depth: 0.18, offset: 3.6, height: 0.08 },
      },
      prepare: MADE_PREPARE,
    },
  ],
  paths: [
    {
      id: 'causeway-line',
      name: 'Causeway line',
      curve: { kind: 'smooth', closed: false, points: CAUSEWAY.map(([x, y, z]) => ({ position: [x, y, z] })) },
    },
  ],
  runs: [
    { id: 'causeway', name: 'Causeway', visible: true, segment: 'kerbed-road', path: 'causeway-line', ...JOB_DEFAULTS },
    {
      id: 'kerb-drain-run',
      name: 'Kerb drain',
      visible: true,
      segment: 'kerb-drain',
      path: 'causeway-line',
      ...JOB_DEFAULTS,
      laying: { ...JOB_DEFAULTS.laying, rule: 'onePiece' },
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
  };
}
