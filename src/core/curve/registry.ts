import { z } from 'zod';
import type { Result } from '../math/result';
import type { Curve } from './curve';
import type { CurveKind } from './curve-kind';
import { kinds } from './kinds';
import { MAX_PATH_POINTS, pathPointSchema, type PathShape } from './path-spec';

kinds satisfies { [K in keyof typeof kinds]: { kind: K } };

export type CurveKindName = keyof typeof kinds;

export const CURVE_KINDS = Object.values(kinds) as readonly CurveKind<CurveKindName>[];

/** What a path in the project looks like: a kind and its points. */
export const curveSpecSchema = z.strictObject({
  kind: z.enum(Object.keys(kinds) as [CurveKindName, ...CurveKindName[]]),
  closed: z.boolean(),
  points: z.array(pathPointSchema).max(MAX_PATH_POINTS).readonly(),
  /** What the kind asks for beside the points, by key. */
  numbers: z.record(z.string().max(40), z.number().min(-1e6).max(1e6)).optional(),
});

export interface CurveSpec extends PathShape {
  readonly kind: CurveKindName;
}

export const curveKind = (spec: Pick<CurveSpec, 'kind'>): CurveKind<CurveKindName> => kinds[spec.kind];

/** Problems: `curve.too-few-points`. */
export const compileCurve = (spec: CurveSpec): Result<Curve> => curveKind(spec).compile(spec);
