import type { Result } from '../core/math/result';
import type { OnProgress } from '../core/math/progress';
import type { Box } from '../core/mesh/box';
import type { NamedBytes } from '../formats/format';
import type { Project } from '../project/schema';
import type { RunSource, SegmentParts } from './derive';
import type { RunReport } from './report';
import type { Held, RunView } from './run-view';
import type { SegmentView } from './segment-view';

/** A mesh that was read and stored. */
export interface BroughtMesh {
  readonly asset: string;
  readonly fileName: string;
  readonly triangles: number;
  readonly box: Box;
}

/** What the computing worker does for the page. Brought meshes are found in the browser's storage. */
export interface ComputeApi {
  view(source: RunSource, time: number | null, held: Held): Promise<Result<RunView>>;
  /** A segment as it is prepared, straight. */
  segment(segment: SegmentParts, onProgress: OnProgress): Promise<Result<SegmentView>>;
  bring(files: readonly NamedBytes[], onProgress: OnProgress): Promise<Result<BroughtMesh>>;
  bake(
    project: Project,
    extension: string,
    name: string,
    options: { readonly run?: string | undefined; readonly time: number | null },
    onProgress: OnProgress,
  ): Promise<Result<{ files: readonly NamedBytes[]; reports: readonly RunReport[] }>>;
}
