import { bendTolerance } from '../core/bending/bending-spec';
import { layRun, poseRun, type LaidRun, type RunPlan } from '../core/bending/plan-run';
import type { RunJob } from '../core/bending/run-spec';
import { SliceStore } from '../core/bending/slice-store';
import { buildArcTable, type ArcTable } from '../core/curve/arc-table';
import { compileCurve, type CurveSpec } from '../core/curve/registry';
import { raised } from '../core/curve/edit/transform-points';
import { followCurve } from '../core/curve/follow-curve';
import type { Finding } from '../core/findings/finding';
import { findAll } from '../core/findings/registry';
import { buildFrameTable } from '../core/frames/build-frame-table';
import { followTable, type FrameBase } from '../core/frames/follow-table';
import type { FrameTable } from '../core/frames/frame-table';
import type { Surface } from '../core/guides/surface';
import { Numbers } from '../core/math/numbers';
import type { OnProgress } from '../core/math/progress';
import { fail, ok, type Result } from '../core/math/result';
import { resolveReach } from '../core/laying/lay';
import type { Mesh } from '../core/mesh/mesh';
import { maker, makeSegment, type MakerName, type MakerSpec } from '../core/segment/registry';
import { halfWidth } from '../core/segment/prepared-segment';
import type { Guide, Project, Run, Segment } from '../project/schema';
import { GuideKeeper, type ReadyGuide } from './guide-keeper';
import { readySegment, type ReadySegment, type SegmentParts } from './ready-segment';
import { Recent } from './recent';
import { countSlicings, type SlicingCounts } from './slicing-counts';
import { TextureImager, type LoadBytes } from './texture-images';

/** Finds a brought mesh by its id. Problems: `asset.missing`, and those of the format. */
export type LoadAsset = (id: string) => Promise<Result<Mesh>>;

/** What of a project one run's geometry follows from. */
export interface RunSource {
  readonly segment: Segment;
  readonly curve: CurveSpec;
  readonly job: RunJob;
  /** The guides that it sits on or keeps clear of; the very same list as long as nothing about them changes. */
  readonly guides: readonly Guide[];
}

/** Everything about a run short of its bent vertices. */
export interface DerivedRun {
  /** With the curve as high as the run lies. */
  readonly source: RunSource;
  readonly ready: ReadySegment;
  readonly table: FrameTable;
  readonly plan: RunPlan;
  /** Triangles of the finished run for each way of slicing, by its name. */
  readonly slicings: SlicingCounts;
  readonly findings: readonly Finding[];
}

/** What of a run does not hang on the time. */
interface Standing {
  readonly laid: LaidRun;
  readonly slicings: SlicingCounts;
  readonly findings: readonly Finding[];
}

/** Frames are sampled this many times finer than the bend's tolerance, so that blending between them stays far below it. */
export const TABLE_FINENESS = 16;

/** Derives runs, and keeps what does not change from one edit to the next: keyed by the values it was computed from. */
export class Deriver {
  readonly #loadAsset: LoadAsset;
  readonly #imager: TextureImager;
  readonly #meshes = new Recent<Promise<Result<Mesh>>>(2);
  readonly #segments = new Recent<Promise<Result<ReadySegment>>>(24);
  /** Of long paths, by what they have in common. */
  readonly #bases = new Recent<LongBase>(6);
  readonly guides: GuideKeeper;
  readonly #arcs = new Recent<Result<ArcTable>>(24);
  readonly #tables = new Recent<FrameTable>(48);
  readonly #standing = new Recent<Result<Standing>>(16);
  readonly #slices = new SliceStore();
  readonly #numbers = new Numbers();

  constructor(loadAsset: LoadAsset, loadBytes: LoadBytes = async () => undefined) {
    this.#loadAsset = loadAsset;
    this.guides = new GuideKeeper((id) => this.#brought(id));
    this.#imager = new TextureImager(loadBytes);
  }

  /**
   * `time` in seconds; null = finished. `isDragged` = frames may follow those of a path that differs in a few legs, to within their own
   * tolerance. Problems: those of the path, the segment and the laying. */
  async derive(
    asked: RunSource,
    time: number | null,
    onProgress?: OnProgress,
    { isDragged = false } = {},
  ): Promise<Result<DerivedRun>> {
    const source = { ...asked, curve: raised(asked.curve, asked.job.bending.lift ?? 0) };
    const ready = await this.segment(this.#filled(source), onProgress);
    if (!ready.ok) return ready;
    const { job, curve } = source;
    const half = halfWidth(ready.value.prepared.box);
    const guides = await this.guides.all(source.guides);
    const sat = guides.find(({ id }) => id === job.bending.frames.guide);
    const table = this.table(curve, job, bendTolerance(job.bending, half) / TABLE_FINENESS, { sat, isDragged });
    if (!table.ok) return table;
    const standing = this.#stand(source, ready.value, table.value, guides);
    if (!standing.ok) return standing;
    const { laid, findings, slicings } = standing.value;
    const plan = poseRun(laid, job, time);
    return ok({ source, ready: ready.value, table: table.value, plan, slicings, findings }, ready.warnings);
  }

  /** Laid, sliced and checked once for all times. */
  #stand(source: RunSource, ready: ReadySegment, table: FrameTable, guides: readonly ReadyGuide[]): Result<Standing> {
    const { job, curve, segment } = source;
    const { prepared, support } = ready;
    const checked = guides.map(({ id, key, clearance }) => [id, key, clearance]);
    const spec = JSON.stringify([job.laying, job.bending, job.motion.growth, segment.prepare, checked]);
    return this.#standing.get(`${this.#numbers.of(table)}:${this.#numbers.of(ready)}:${spec}`, () => {
      const laid = layRun({ table, segment: prepared, job, slices: this.#slices });
      if (!laid.ok) return laid;
      const { laying, tolerance } = laid.value;
      const isBrought = segment.source.from === 'asset';
      const { prepare } = segment;
      const findings = findAll({
        ...{ table, path: curve, segment: prepared, prepare, isBrought, support, job, laying, guides },
        rowTolerance: tolerance,
      });
      return ok({ laid: laid.value, findings, slicings: countSlicings(laid.value, prepared) });
    });
  }

  /** A made segment that is to fill the path, made as long as the reach; those that are counted keep their length. */
  #filled({ segment, curve, job }: RunSource): SegmentParts {
    const { source } = segment;
    const fill = source.from === 'maker' ? maker(source.spec.kind as MakerName).fill : undefined;
    const arc = fill && this.arc(curve);
    if (source.from !== 'maker' || !fill || !arc?.ok || job.laying.rule === 'byCount') return segment;
    const { from, to } = resolveReach(job.laying, arc.value.length);
    return { ...segment, source: { ...source, spec: fill(source.spec as MakerSpec, to - from) as MakerSpec } };
  }

  /** Kept, unless it comes to a problem that may go away. Progress is told to the one who asks first. */
  async segment(parts: SegmentParts, onProgress?: OnProgress): Promise<Result<ReadySegment>> {
    const { source, prepare, finishes } = parts;
    const key = JSON.stringify([source, prepare, finishes]);
    try {
      return await this.#segments.get(key, () => this.#ready(key, parts, onProgress));
    } catch (error) {
      this.#segments.drop(key);
      throw error;
    }
  }

  async #ready(
    key: string,
    { source, prepare, finishes }: SegmentParts,
    onProgress?: OnProgress,
  ): Promise<Result<ReadySegment>> {
    const mesh = source.from === 'maker' ? makeSegment(source.spec as MakerSpec) : await this.#brought(source.asset);
    if (!mesh.ok) {
      this.#segments.drop(key);
      return mesh;
    }
    const made = await readySegment(key, mesh.value, { source, prepare, finishes }, this.#imager, onProgress);
    if (!made.ok && made.problems.some(({ code }) => code === 'asset.missing')) this.#segments.drop(key);
    return made.ok ? ok(made.value, mesh.warnings) : made;
  }

  /** The last few meshes stay: every change to how one is prepared asks for it again. */
  #brought(asset: string): Promise<Result<Mesh>> {
    return this.#meshes.get(asset, async () => {
      const mesh = await this.#loadAsset(asset);
      if (!mesh.ok) this.#meshes.drop(asset);
      return mesh;
    });
  }

  arc(curve: CurveSpec): Result<ArcTable> {
    return this.#arcs.get(JSON.stringify(curve), () => {
      const compiled = compileCurve(curve);
      return compiled.ok ? ok(buildArcTable(compiled.value)) : compiled;
    });
  }

  /** `sat` = the guide that the run sits on. */
  table(
    curve: CurveSpec,
    job: RunJob,
    tolerance: number,
    { sat, isDragged = false }: { readonly sat?: ReadyGuide | undefined; readonly isDragged?: boolean } = {},
  ): Result<FrameTable> {
    const surface = sat?.surface;
    const followed = isDragged ? this.#follow(curve, job, tolerance, surface) : undefined;
    if (followed) return ok(followed);
    const arc = this.arc(curve);
    if (!arc.ok) return arc;
    const { frames } = job.bending;
    const key = `${JSON.stringify([frames, tolerance, sat?.key])}${JSON.stringify(curve)}`;
    const { points } = curve;
    const table = this.#tables.get(key, () => buildFrameTable(arc.value, frames, { tolerance, points, surface }));
    if (points.length >= LONG)
      this.#keepBase(baseKey(curve, tolerance), { path: curve, base: { arc: arc.value, table } });
    return ok(table);
  }

  #keepBase(key: string, base: LongBase): void {
    this.#bases.drop(key);
    this.#bases.get(key, () => base);
  }

  /** The table of a long path of which some legs differ from the last one that was built. */
  #follow(curve: CurveSpec, job: RunJob, tolerance: number, surface?: Surface): FrameTable | undefined {
    const { points } = curve;
    if (points.length < LONG) return undefined;
    const kept = this.#bases.peek(baseKey(curve, tolerance));
    if (!kept) return undefined;
    const { path, base } = kept;
    const { frames } = job.bending;
    const edited = followCurve(path, base.arc.curve, curve);
    if (edited) return followTable(base, edited.curve, frames, { known: edited.touched, points, surface });
    const compiled = compileCurve(curve);
    return compiled.ok ? followTable(base, compiled.value, frames, { points, surface }) : undefined;
  }
}

interface LongBase {
  readonly path: CurveSpec;
  readonly base: FrameBase;
}

/** Shorter paths are quick to build as a whole. */
const LONG = 200;
/** Paths with the same are compared leg by leg. */
const baseKey = ({ kind, closed, points, numbers }: CurveSpec, tolerance: number): string =>
  JSON.stringify([kind, closed, points.length, numbers, tolerance]);

const NO_GUIDES: readonly Guide[] = [];
/** The parts of a project that a run names. Problems: `run.unknown` with `id`. */
export function sourceOf(project: Project, run: Run): Result<RunSource> {
  const segment = project.segments.find(({ id }) => id === run.segment);
  const path = project.paths.find(({ id }) => id === run.path);
  if (!segment || !path) return fail('run.unknown', { id: run.id });
  const { laying, bending, motion } = run;
  const { guides } = project;
  const sits = bending.frames.rule === 'sitOnGuide' && bending.frames.guide !== undefined;
  const needed = sits || guides.some(({ clearance, visible }) => visible && clearance !== null) ? guides : NO_GUIDES;
  return ok({ segment, curve: path.curve as CurveSpec, job: { laying, bending, motion }, guides: needed });
}
