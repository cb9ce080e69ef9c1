import { specSchemaOf, type SpecOf } from '../math/kind';
import { ok, type Result } from '../math/result';
import { boxOf, boxSize } from '../mesh/box';
import type { Mesh } from '../mesh/mesh';
import type { Maker } from './maker';
import { makers } from './makers';

export type MakerName = keyof typeof makers;

export const MAKERS = Object.values(makers) as unknown as readonly Maker<MakerName>[];

export const makerSpecSchema = specSchemaOf(makers);

export type MakerSpec = SpecOf<typeof makers>;

export const maker = (kind: MakerName): Maker<MakerName> => makers[kind];

/** The mesh of a spec that has no problem. */
export const makeSegmentMesh = (spec: MakerSpec): Mesh => maker(spec.kind).make(spec);

/** Problems: what the maker finds impossible in the spec. */
export function makeSegment(spec: MakerSpec): Result<Mesh> {
  const problem = maker(spec.kind).problem?.(spec);
  return problem ? { ok: false, problems: [problem] } : ok(makeSegmentMesh(spec));
}

/** A spec without a problem as one whose outline or profile is drawn by hand; undefined where it cannot be. */
export function toDrawn(spec: MakerSpec): MakerSpec | undefined {
  const { toSection, toProfile } = maker(spec.kind);
  const common = (kind: MakerName) => {
    const { smooth, detail } = { ...(maker(kind).defaults as object), ...spec } as Record<string, unknown>;
    return { kind, smooth, detail };
  };
  if (toSection) {
    const { length = 1 } = spec as { length?: number };
    return { ...common('crossSection'), ...toSection(spec), length } as MakerSpec;
  }
  const profile = toProfile?.(spec);
  return profile && ({ ...common('turnedProfile'), ...profile } as MakerSpec);
}

/** The gap that brings pieces to the maker's pitch: negative where they reach into each other; undefined where it has none. */
export function pitchGap(spec: MakerSpec): number | undefined {
  const { pitch, problem, make } = maker(spec.kind);
  if (!pitch || problem?.(spec)) return undefined;
  return pitch(spec) - boxSize(boxOf(make(spec).positions))[0];
}
