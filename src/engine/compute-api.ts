import type { PathPoint } from '../core/curve/path-spec';
import type { CurveSpec } from '../core/curve/registry';
import type { Closing } from '../core/edit/close-loop';
import type { plainSurface } from '../core/segment/finish/apply-finishes';
import type { PlainFinish } from '../core/segment/finish/finish-spec';
import type { Crossing } from '../core/findings/crossing';
import type { EdgeChain } from '../core/guides/join-chains';
import type { GuideMesh } from '../core/guides/guide-body';
import type { Result } from '../core/math/result';
import type { OnProgress } from '../core/math/progress';
import type { Box } from '../core/mesh/box';
import type { Picture } from '../core/mesh/draw-mesh';
import type { Placing } from '../formats/paths/place-paths';
import type { MovingFacts, MovingOptions } from './bake-moving';
import type { CourseChoices } from './choices';
import type { BroughtFile, PlacedLine } from './brought-file';
import type { NamedBytes, Repeated } from '../formats/format';
import type { Guide, Project } from '../project/schema';
import type { AskedWinding } from './wind-round';
import type { EvenTwist } from './even-twist';
import type { FacetUpdate } from './facets';
import type { PartsLine } from './parts-list';
import type { PieceRow } from './piece-table';
import type { RunSource } from './run-source';
import type { ViewAsk } from './run-viewer';
import type { SegmentParts } from './ready-segment';
import type { RunReport } from './report';
import type { SegmentView } from './segment-view';

/** A mesh that was read and stored. */
export interface BroughtMesh {
  readonly asset: string;
  readonly fileName: string;
  readonly triangles: number;
  readonly box: Box;
}

/** The material of what has no parts. */
export type PlainSurface = ReturnType<typeof plainSurface>;

/** A guide as the screen draws it. */
export type GuideView = GuideMesh;

/** What the computing worker does for the page. Brought meshes are found in the browser's storage. */
export interface ComputeApi {
  /** What changed of a run that is shown. Problems: `run.unheld` where its source has to be sent first, and those of the run. */
  view(ask: ViewAsk): Promise<Result<FacetUpdate>>;
  /** The runs that are still shown: what is held of others goes. */
  keepOnly(runs: readonly string[]): Promise<void>;
  /** A segment as it is prepared, straight. */
  segment(segment: SegmentParts, onProgress: OnProgress): Promise<Result<SegmentView>>;
  /** How large a prepared segment is. */
  box(segment: SegmentParts): Promise<Result<Box>>;
  guide(guide: Guide): Promise<Result<GuideView>>;
  /** What a finish looks like, with its images. */
  surface(finish: PlainFinish): Promise<Result<PlainSurface>>;
  /** A small picture of what a project lays, so many pixels wide and high. */
  picture(project: Project, width: number, height: number): Promise<Result<Picture>>;
  /** A picture as an image file, in an address that holds it all. */
  imageOf(picture: Picture): Promise<string>;
  /** The longest chains of a guide's open edges and of those sharper than `sharp` radians. */
  edges(guide: Guide, sharp: number): Promise<Result<readonly EdgeChain[]>>;
  /** The run's path, pushed out of a guide. Problems: `guide.unknown`, `guide.not-cleared`, and those of the run. */
  pushOut(
    source: RunSource,
    guide: Guide,
    fixed?: { readonly start?: boolean; readonly end?: boolean },
  ): Promise<Result<CurveSpec>>;
  /** What the choices for a course would come to. */
  choices(source: RunSource, course: string): Promise<Result<CourseChoices>>;
  /** All pieces of a course in numbers. */
  pieces(source: RunSource, course: string): Promise<Result<readonly PieceRow[]>>;
  /** What a project is laid of. */
  parts(project: Project): Promise<Result<readonly PartsLine[]>>;
  /** How the links of a course fit the loop that they go round. Problems: `laying.no-loop`, and those of the run. */
  closing(source: RunSource, course: string): Promise<Result<Closing>>;
  /** Where runs pass through each other and themselves, by their ids; runs that cannot be laid are left out. Problems: `crossings.too-many`. */
  crossings(
    runs: readonly { readonly id: string; readonly source: RunSource }[],
  ): Promise<Result<Readonly<Record<string, readonly Crossing[]>>>>;
  /** A roll with which the run twists evenly. Problems: those of the run. */
  evenTwist(source: RunSource): Promise<Result<EvenTwist>>;
  /** Points that wind about a guide's own y axis. */
  windRound(guide: Guide, winding: AskedWinding): Promise<Result<readonly PathPoint[]>>;
  /** The lines of a drawing, a table or a mesh file; its points stay with the worker. */
  paths(file: NamedBytes, onProgress: OnProgress): Promise<Result<BroughtFile>>;
  /** The lines of the file that was read last. Problems: `paths.gone` where the worker was started anew since. */
  placed(placing: Placing, onProgress: OnProgress): Promise<Result<readonly PlacedLine[]>>;
  bring(files: readonly NamedBytes[], onProgress: OnProgress): Promise<Result<BroughtMesh>>;
  /** One GLB that moves, with what there is to know of it. */
  bakeMoving(
    project: Project,
    name: string,
    options: Omit<MovingOptions, 'onProgress' | 'kept'>,
    onProgress: OnProgress,
  ): Promise<Result<{ files: readonly NamedBytes[]; facts: MovingFacts }>>;
  bake(
    project: Project,
    extension: string,
    name: string,
    options: {
      readonly run?: string | undefined;
      readonly time: number | null;
      readonly guides?: boolean;
      readonly repeated?: Repeated;
      readonly mayBeEmpty?: boolean;
    },
    onProgress: OnProgress,
  ): Promise<Result<{ files: readonly NamedBytes[]; reports: readonly RunReport[] }>>;
}
