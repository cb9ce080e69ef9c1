import type { RunJob } from '../bending/run-spec';
import type { CurveSpec } from '../curve/registry';
import type { FrameRuleName } from '../frames/registry';
import type { FrameTable } from '../frames/frame-table';
import type { Surface } from '../guides/surface';
import type { Laying } from '../laying/lay';
import type { LayingRuleName } from '../laying/registry';
import type { PreparedSegment } from '../segment/prepared-segment';
import type { PrepareSpec } from '../segment/segment-spec';

/** A one-click change that puts a finding right; the project's commands carry it out. */
export type Remedy =
  | { readonly kind: 'setLayingRule'; readonly rule: LayingRuleName }
  | { readonly kind: 'sliceAsNeeded' }
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
  | { readonly kind: 'setPointRadius'; readonly point: number; readonly radius: number };

/** Something that the checks noticed. */
export interface Finding {
  readonly check: string;
  /** Stations in metres; absent when it concerns the whole run. */
  readonly at?: { readonly from: number; readonly to: number; readonly station: number };
  /** Amounts: metres, radians, counts or plain shares, as the check says. */
  readonly facts: Readonly<Record<string, number>>;
  /** The guide that it is about. */
  readonly guide?: string;
  readonly remedy?: Remedy;
}

/** What a check looks at. */
export interface CheckInput {
  readonly table: FrameTable;
  readonly path: CurveSpec;
  readonly segment: PreparedSegment;
  readonly prepare: PrepareSpec;
  /** The segment is a mesh that was brought, not made here. */
  readonly isBrought: boolean;
  /** See `buildSupport`. */
  readonly support: Float64Array;
  readonly job: RunJob;
  readonly laying: Laying;
  /** Metres: what rows keep to; more than was asked for where a piece would have had too many. */
  readonly rowTolerance: number;
  /** Guides in the scene, with how far runs are to keep away from each. */
  readonly guides: readonly CheckedGuide[];
}

export interface CheckedGuide {
  readonly id: string;
  /** Metres; null = it is not checked. */
  readonly clearance: number | null;
  readonly surface: Surface;
}

/** Looks for one kind of trouble; adding one is a file in `checks/` and a line in its list. */
export interface Check<K extends string = string> {
  readonly kind: K;
  find(input: CheckInput): readonly Finding[];
}

export const defineCheck = <K extends string>(check: Check<K>): Check<K> => check;
