import type { BendingSpec } from '../layout/bending-spec';
import type { CourseJob } from '../layout/course-spec';
import type { CurveSpec } from '../curve/registry';
import type { FrameRuleName } from '../frames/registry';
import type { CheckedGuide } from '../guides/clearance';
import type { Layout } from '../layout/layout';
import type { LayoutSummary } from '../layout/summary';
import type { Bump } from '../shape/edit-lane';
import type { Shape } from '../shape/shape';
import type { Crossing } from './crossing';
import type { LayingRuleName } from '../layout/registry';
import type { Vec3 } from '../math/vec3';
import type { PreparedSegment } from '../segment/prepared-segment';
import type { PrepareSpec } from '../segment/segment-spec';

/** A one-click change that puts a finding right; the project's commands carry it out. */
export type Remedy =
  | { readonly kind: 'setLayingRule'; readonly rule: LayingRuleName }
  | { readonly kind: 'sliceAsNeeded' }
  /** A loop of links shares its slack between all pins. */
  | { readonly kind: 'shareSlack' }
  /** The course is parted at sharp corners. */
  | { readonly kind: 'partAtCorners' }
  /** Metres between the teeth of the path's wheels. */
  | { readonly kind: 'setToothPitch'; readonly metres: number }
  /** Metres. */
  | { readonly kind: 'setTolerance'; readonly metres: number }
  /** Metres: the natural length of a made segment. */
  | { readonly kind: 'setSegmentLength'; readonly metres: number }
  | { readonly kind: 'setFrameRule'; readonly rule: FrameRuleName }
  | { readonly kind: 'prepare'; readonly change: Partial<PrepareSpec> }
  /** Metres. */
  | { readonly kind: 'roundBend'; readonly station: number; readonly radius: number }
  /** The path keeps clear of a guide; worked out where guides are. */
  | { readonly kind: 'pushOut'; readonly guide: string }
  /** Metres up and sideways by which the run moves aside. */
  | (Bump & { readonly kind: 'moveAside'; readonly up: number; readonly side: number })
  /** The path itself moves at a station, and is back where it was `over` metres on either side. Metres. */
  | { readonly kind: 'movePath'; readonly station: number; readonly over: number; readonly by: Vec3 }
  /** Times as thick as it was, both ways or sideways only. */
  | (Bump & { readonly kind: 'setGauge'; readonly gauge: number; readonly which?: 'side' })
  | { readonly kind: 'setPointRadius'; readonly point: number; readonly radius: number };

/** Amounts: metres, radians, counts or plain shares, as the check says. */
export type FindingFacts = Readonly<Record<string, number>>;

/** Something that a check noticed. */
export interface FindingOf<K extends string, F extends FindingFacts> {
  readonly check: K;
  /** Stations in metres; absent when it concerns the whole run. */
  readonly at?: { readonly from: number; readonly to: number; readonly station: number };
  readonly facts: F;
  /** The guide that it is about. */
  readonly guide?: string;
  /** The course, where a run has several. */
  readonly course?: string;
  /** The other run that it is about. */
  readonly run?: string;
  readonly remedy?: Remedy;
  /** What else would put it right. */
  readonly others?: readonly Remedy[];
}

/** What a check looks at. */
export interface CheckInput {
  /** The finished run's. */
  readonly shape: Shape;
  readonly path: CurveSpec;
  readonly segment: PreparedSegment;
  readonly prepare: PrepareSpec;
  /** The segment is a mesh that was brought, not made here. */
  readonly isBrought: boolean;
  /** See `buildSupport`. */
  readonly support: Float64Array;
  readonly course: CourseJob;
  readonly bending: BendingSpec;
  readonly layout: Layout;
  readonly summary: LayoutSummary;
  /** Metres: the largest gap where pieces touch, see `LaidCourse`. */
  readonly seam?: number | undefined;
  /** Metres: what the bend is to keep to, and what rows keep to; more than was asked for where a piece would have had too many. */
  readonly tolerance: number;
  readonly rowTolerance: number;
  /** Guides in the scene, with how far runs are to keep away from each. */
  readonly guides: readonly CheckedGuide[];
  /** Ends that were to meet a guide's surface and cannot. */
  readonly unmet: readonly ('start' | 'end')[];
  /** It slides along its path: what of the reach is bare is bare for a while only. */
  readonly travels?: boolean;
  /** Where it passes through others or itself; absent where nobody looked. */
  readonly crossings?: readonly Crossing[];
}

/** Looks for one kind of trouble; adding one is a file in `checks/` and a line in its list. */
export interface Check<K extends string = string, F extends FindingFacts = FindingFacts> {
  readonly kind: K;
  find(input: CheckInput): readonly FindingOf<K, F>[];
}

export const defineCheck = <K extends string, F extends FindingFacts>(check: Check<K, F>): Check<K, F> => check;
