import type { CurveSpec } from '../../core/curve/registry';
import type { LayingSpec } from '../../core/layout/laying-spec';
import { pitchGap, type MakerSpec } from '../../core/segment/registry';
import type { ShapeSpec } from '../../core/shape/shape-spec';
import { FINISH_DEFAULTS, makerDefaults } from '../defaults';
import type { Course, Segment } from '../schema';
import { fence } from '../sets/fence';
import { courseOfSet, madeSegment, type SetParts } from '../sets/run-set';
import { stairParts } from '../sets/stair';
import { ANCHOR, BUCKET_PITCH, BUCKETS, FENCE, FENCE_STEPS, STAIR } from './landing-paths';

const LEAST_TWIST: ShapeSpec['frames'] = { rule: 'leastTwist', up: [0, 1, 0] };
const made = (kind: MakerSpec['kind'], change: object): MakerSpec =>
  ({ ...(makerDefaults(kind) as object), ...change }) as MakerSpec;

/** The causeway's line and posts, beside its lane and the drain along its kerb. */
export const causewayFurniture = (): SetParts => ({
  segments: [
    madeSegment('lane-line', 'plank', { length: 3, width: 0.12, thickness: 0.004 }, {
      name: 'Lane line',
      finishes: [{ part: 'Board', ...FINISH_DEFAULTS, colour: '#ece7da', roughness: 0.7 }],
    }),
    madeSegment('edge-post', 'post', { height: 0.85, size: 0.11, thickness: 0.11, below: 0.5 }, { name: 'Edge post' }),
  ],
  courses: [
    courseOfSet('line', 'lane-line', { kind: 'dashes', on: 3, off: 4.5, first: 'halfGap' }, {
      name: 'Middle line',
      height: 0.006,
    }),
    courseOfSet('posts', 'edge-post', { kind: 'fillGaps', gap: 7.8 }, {
      name: 'Edge posts',
      side: -3.75,
      fit: { kind: 'stiff', stands: 'plumb' },
      laying: { margins: { first: 2, last: 2, head: 0, tail: 0 } },
    }),
  ],
}); // prettier-ignore

/** The beacon's stair, with its rail on the outer side; as fine as it is seen. */
function beaconStair(): SetParts {
  const parts = stairParts((name) => `beacon-${name}`, { width: 0.95, going: 0.27, highest: 0.19, rails: [-1] });
  const coarser = (segment: Segment): Segment => {
    const { source } = segment;
    const isFine = source.from === 'maker' && /^(baluster|rail)$/.test(source.spec.kind);
    return isFine
      ? { ...segment, source: { ...source, spec: { ...source.spec, smooth: 0.002 } as MakerSpec } }
      : segment;
  };
  return { ...parts, segments: parts.segments.map(coarser) };
}

const shoreFence = (): SetParts => fence.parts((name) => `shore-${name}`);

/** The shore's fence again, its panels level from post to post: it steps down to the water. */
function steppedFence(): SetParts {
  const stepped = ({ fit, ...course }: Course): Course => {
    if (course.name === 'Posts') return { ...course, fit };
    const isPicket = fit.kind === 'stiff';
    return {
      ...course,
      fit: isPicket ? { ...fit, byLeg: true } : { kind: 'level', at: 'middle', byLeg: true },
    };
  };
  return { segments: [], courses: shoreFence().courses.map(stepped) };
}

/** Links of one segment, pinned along a path. */
function pinnedRun(
  id: string,
  name: string,
  spec: MakerSpec,
  curve: CurveSpec,
  laying: Partial<LayingSpec> = {},
): LandingRun {
  const segment = madeSegment(id, spec.kind, spec);
  const rule = { kind: 'pinToPin', gap: pitchGap(spec) ?? 0, slack: 'shared', pairs: false } as const;
  const course = courseOfSet('links', id, rule, { fit: { kind: 'pinned' }, laying });
  return { id, name, curve, frames: LEAST_TWIST, parts: { segments: [segment], courses: [course] } };
}

/** A run of several courses, or of one that is pinned. */
export interface LandingRun {
  readonly id: string;
  readonly name: string;
  readonly curve: CurveSpec;
  readonly frames?: ShapeSpec['frames'];
  readonly parts: SetParts;
}

export const runsOfCourses = (): readonly LandingRun[] => [
  pinnedRun('anchor-chain', 'Anchor chain', made('chainLink', { form: 'studded', bar: 0.05, smooth: 0.002 }), ANCHOR, {
    everyOther: { every: 2, turn: Math.PI / 2, mirrored: false },
  }),
  pinnedRun(
    'bucket-chain',
    'Bucket chain',
    made('bucket', { pitch: BUCKET_PITCH, width: 0.6, depth: 0.36, smooth: 0.006 }),
    BUCKETS,
  ),
  { id: 'beacon-stair', name: 'Beacon stair', curve: STAIR, parts: beaconStair() },
  { id: 'shore-fence', name: 'Shore fence', curve: FENCE, parts: shoreFence() },
  { id: 'shore-fence-steps', name: 'Shore fence, stepped', curve: FENCE_STEPS, parts: steppedFence() },
];
