import { partOf, type OnProgress } from '../core/math/progress';
import { ok, type Result } from '../core/math/result';
import { cleanMesh } from '../core/mesh/clean/clean-mesh';
import type { MeshFigures } from '../core/mesh/clean/figures';
import type { Mesh } from '../core/mesh/mesh';
import { prepareSegment } from '../core/segment/prepare';
import type { PreparedSegment } from '../core/segment/prepared-segment';
import { maker } from '../core/segment/registry';
import { buildSupport } from '../core/segment/support';
import type { Segment } from '../project/schema';
import { finishSegment } from './finish-segment';
import type { TextureImager } from './texture-images';

/** What of a segment its geometry and look follow from. */
export type SegmentParts = Pick<Segment, 'source' | 'prepare' | 'finishes'>;

/** A segment made ready once, with what is kept for it. */
export interface ReadySegment {
  /** Changes exactly when the segment does. */
  readonly key: string;
  readonly prepared: PreparedSegment;
  /** Before and after cleaning. */
  readonly figures: { readonly before: MeshFigures; readonly after: MeshFigures };
  readonly support: Float64Array;
}

/** A segment's mesh cleaned, prepared and finished. Problems: those of preparing, and `asset.missing` of an image. */
export async function readySegment(
  key: string,
  mesh: Mesh,
  { source, prepare, finishes }: SegmentParts,
  imager: TextureImager,
  onProgress?: OnProgress,
): Promise<Result<ReadySegment>> {
  onProgress?.(0.2);
  const cleaning = partOf(onProgress, 0.2, 0.7);
  const { mesh: clean, before, after } = await cleanMesh(mesh, prepare.clean, prepare.unit, cleaning);
  const own = source.from === 'maker' ? maker(source.spec.kind) : undefined;
  const stiff = source.from === 'maker' ? (own?.stiff?.(source.spec) ?? []) : [];
  const prepared = prepareSegment(
    clean,
    stiff.length > 0 ? { ...prepare, stiff: [...prepare.stiff, ...stiff] } : prepare,
  );
  if (!prepared.ok) return prepared;
  onProgress?.(0.9);
  const finished = await finishSegment(imager, prepared.value, finishes, source.from === 'asset');
  if (!finished.ok) return finished;
  const support = buildSupport(counted(prepared.value.mesh, prepare.loose ?? own?.loose ?? []));
  onProgress?.(1);
  return ok({ key, prepared: finished.value, figures: { before, after }, support });
}

/** Places of the parts that are not loose; of all, where nothing else is left. */
function counted({ positions, indices, parts }: Mesh, loose: readonly string[]): Float32Array {
  const firm = parts.filter(({ name }) => !loose.includes(name));
  if (firm.length === parts.length || firm.length === 0) return positions;
  const used = new Set<number>();
  for (const { start, count } of firm) for (let i = start; i < start + count; i++) used.add(indices[i]);
  const out = new Float32Array(used.size * 3);
  let at = 0;
  for (const v of used) for (let c = 0; c < 3; c++) out[at++] = positions[v * 3 + c]!;
  return out;
}
