import type { CurveSpec } from '../../core/curve/registry';
import { changeKind } from '../../core/edit/change-kind';
import type { Vec3 } from '../../core/math/vec3';
import type { MakerName } from '../../core/segment/registry';
import type { FinishSpec } from '../../core/segment/finish/finish-spec';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import type { MotionSpec } from '../../core/motion/motion-spec';
import type { ShapeSpec } from '../../core/shape/shape-spec';
import { CLEAN_DEFAULTS } from '../../core/mesh/clean/clean-spec';
import { profileKeys, withKeysOver } from '../../core/shape/profile-registry';
import type { RuleSpec } from '../../core/layout/registry';
import type { Project } from '../schema';
import { sets } from '../sets';
import { projectOfParts } from '../sets/run-of-parts';
import { courseOfSet, madeSegment, type SetParts } from '../sets/run-set';
import { patterned } from './landing-finishes';

/** A project for one job, to try something with. */
export interface SmallSample {
  readonly name: string;
  /** What to try. */
  readonly tryThis: string;
  readonly project: Project;
}

const through = (kind: CurveSpec['kind'], ...places: readonly Vec3[]): CurveSpec =>
  changeKind({ kind: 'smooth', closed: false, points: places.map((position) => ({ position })) }, kind);

interface Said {
  readonly shape?: Partial<ShapeSpec>;
  readonly motion?: Partial<MotionSpec>;
}

const sample = (name: string, tryThis: string, curve: CurveSpec, parts: SetParts, { shape, motion }: Said = {}): SmallSample => {
  const made = projectOfParts(name, parts, parts.curve ?? curve);
  const [run] = made.runs;
  const said = { ...run, shape: { ...run.shape, ...shape }, motion: { ...run.motion, ...motion } };
  return { name, tryThis, project: { ...made, runs: [said] } };
}; // prettier-ignore

const LEAST_TWIST = { frames: { rule: 'leastTwist', up: [0, 1, 0] } } as const satisfies Partial<ShapeSpec>;
const ids = (name: string): string => name;

interface One {
  readonly kind: MakerName;
  readonly sizes?: object;
  readonly rule?: RuleSpec;
  readonly finishes?: readonly FinishSpec[];
  readonly prepare?: Partial<PrepareSpec>;
}

const one = ({ kind, sizes = {}, rule = { kind: 'fillStretch', gap: 0 }, finishes = [], prepare = {} }: One): SetParts => ({
  segments: [madeSegment('segment', kind, sizes, { finishes, prepare })],
  courses: [courseOfSet('main', 'segment', rule)],
}); // prettier-ignore

const WHOLE: RuleSpec = { kind: 'onePiece', lies: 'reach' };
const tip = withKeysOver(undefined, profileKeys({ kind: 'pointed', end: 'end', over: 0.7, tip: 0.25 }), 'straight');

/** One a job, in the order in which people are shown them. */
export const smallSamples = (): readonly SmallSample[] => [
  sample(
    'Road bend',
    'Drag a point: kerbs and posts come along. Then open Bending and bank it in bends.',
    through('smooth', [-30, 0, 9], [-12, 0, -7], [10, 0.6, 7], [30, 1.2, -8]),
    sets.road.parts(ids),
  ),
  sample(
    'Slack rope',
    'Pull an end, or give the line more slack under Path. The lay stays even.',
    { kind: 'hanging', closed: false, points: [{ position: [-1.6, 1.5, 0] }, { position: [1.6, 1.1, 0.6] }], numbers: { slack: 0.08 } }, // prettier-ignore
    one({ kind: 'rope', sizes: { strandSize: 0.035, layLength: 0.25 }, finishes: [patterned('Strands', '#d2b684', 'fibre', 0.16)] }), // prettier-ignore
    { shape: LEAST_TWIST },
  ),
  sample(
    'Hanging chain',
    'Every pin lies on the path. Count the links under Laying, or let it slide along under Motion.',
    { kind: 'hanging', closed: false, points: [{ position: [-0.8, 1, 0] }, { position: [0.8, 0.8, 0] }], numbers: { slack: 0.2 } }, // prettier-ignore
    sets.chain.parts(ids),
  ),
  sample(
    'Crawler belt',
    'Press play: it runs for ever. Move a wheel and the belt finds a whole number of shoes again.',
    through('smooth', [0, 0, 0], [1, 0, 0]),
    sets.crawlerBelt.parts(ids),
    { motion: { growth: { kind: 'none' }, speed: 0.5 } },
  ),
  sample(
    'Pump hose',
    'Drag its middle. The fittings at both ends stay stiff, and the ribs stay even.',
    through('handles', [-1, 0.9, 0], [-0.3, 0.2, 0.5], [0.5, 0.25, -0.4], [1.1, 0.8, 0]),
    one({ kind: 'turned', sizes: { length: 3, radius: 0.05, ribs: 60, ribHeight: 0.01, fittings: 'both', fittingLength: 0.2 }, rule: WHOLE }), // prettier-ignore
    { shape: { ...LEAST_TWIST, stiff: [{ from: 0, to: 0.2 }] } },
  ),
  sample(
    'Winding stair',
    'Raise its end: treads, balusters and rails follow from the rise.',
    { kind: 'helix', closed: false, points: [{ position: [0, 0, 0] }, { position: [0, 3.4, 0] }], numbers: { startRadius: 1.15, endRadius: 1.15, turns: 0.72 } }, // prettier-ignore
    sets.stair.parts(ids),
  ),
  sample(
    'Climbing shoot',
    'Press play to let it grow, then drag the keys of Gauge in the straight view.',
    { kind: 'helix', closed: false, points: [{ position: [0, 0, 0] }, { position: [0, 1.9, 0] }], numbers: { startRadius: 0.16, endRadius: 0.12, turns: 3 } }, // prettier-ignore
    one({ kind: 'shoot', sizes: { length: 3, radius: 0.014, nodes: 26, leaf: 0.1 }, rule: WHOLE }),
    {
      shape: { ...LEAST_TWIST, lanes: { gaugeUp: tip, gaugeSide: tip } },
      motion: { growth: { kind: 'uncover', seconds: 5, tip: 0.8 } },
    },
  ),
  sample(
    'Bent scan',
    'A scanned log that lay anyhow: see under Segment how its long side was found.',
    { kind: 'arc', closed: false, points: [{ position: [-2, 0.3, 0] }, { position: [0, 0.3, -2] }, { position: [2, 0.3, 0] }] }, // prettier-ignore
    one({
      kind: 'scannedLog',
      sizes: { length: 6, radius: 0.24 },
      rule: WHOLE,
      prepare: { forward: 'principal', unit: 0.01, centre: 'middle', size: { of: 'length', metres: 6 }, clean: { ...CLEAN_DEFAULTS, weld: 0.0005, specks: 0.01 } }, // prettier-ignore
    }),
  ),
];
