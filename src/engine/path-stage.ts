import { buildArcTable, type ArcTable } from '../core/curve/arc-table';
import { followCurve } from '../core/curve/follow-curve';
import { compileCurve, type CurveSpec } from '../core/curve/registry';
import { stiffenCurve, type StiffStretch } from '../core/curve/stiffen-curve';
import { buildFrameTable } from '../core/frames/build-frame-table';
import { followTable, type FrameBase } from '../core/frames/follow-table';
import type { FrameTable } from '../core/frames/frame-table';
import type { FrameSpec } from '../core/frames/registry';
import { ok, type Result } from '../core/math/result';
import type { ReadyGuide } from './guide-keeper';
import type { Stage, StageCache } from './stage-cache';

export interface TableInput {
  readonly curve: CurveSpec;
  readonly frames: FrameSpec;
  /** What frames between samples may be off by, metres. */
  readonly tolerance: number;
  /** The guide that the run sits on. */
  readonly sat?: ReadyGuide | undefined;
  /** Stretches that stay straight, metres of the curve. */
  readonly stiff?: readonly StiffStretch[];
  /** Frames may follow those of a path that differs in a few legs, to within their own tolerance. */
  readonly isDragged?: boolean | undefined;
}

/** Curves measured and framed. */
export class PathStage {
  readonly #arcs: Stage<Result<ArcTable>>;
  readonly #tables: Stage<FrameTable>;
  /** Of long paths, by what they have in common. */
  readonly #bases: Stage<LongBase>;

  constructor(cache: StageCache) {
    this.#arcs = cache.stage();
    this.#tables = cache.stage();
    this.#bases = cache.stage(() => BASE_BYTES);
  }

  arc(curve: CurveSpec): Result<ArcTable> {
    return this.#arcs.get(JSON.stringify(curve), () => {
      const compiled = compileCurve(curve);
      return compiled.ok ? ok(buildArcTable(compiled.value)) : compiled;
    });
  }

  table({ curve, frames, tolerance, sat, stiff = [], isDragged = false }: TableInput): Result<FrameTable> {
    const surface = sat?.surface;
    const followed = isDragged && stiff.length === 0 ? this.#follow({ curve, frames, tolerance, sat }) : undefined;
    if (followed) return ok(followed);
    const arc = this.#stiffened(curve, stiff);
    if (!arc.ok) return arc;
    const key = `${JSON.stringify([frames, tolerance, sat?.key, stiff])}${JSON.stringify(curve)}`;
    const table = this.#tables.get(key, () => buildFrameTable(arc.value, frames, { tolerance, surface }));
    if (curve.points.length >= LONG && stiff.length === 0)
      this.#bases.put(baseKey(curve, tolerance), { path: curve, base: { arc: arc.value, table } });
    return ok(table);
  }

  /** A curve with its stiff stretches. */
  #stiffened(curve: CurveSpec, stiff: readonly StiffStretch[]): Result<ArcTable> {
    const arc = this.arc(curve);
    if (!arc.ok || stiff.length === 0) return arc;
    return this.#arcs.get(JSON.stringify([stiff, curve]), () => ok(buildArcTable(stiffenCurve(arc.value, stiff))));
  }

  /** The table of a long path of which some legs differ from the last one that was built. */
  #follow({ curve, frames, tolerance, sat }: TableInput): FrameTable | undefined {
    if (curve.points.length < LONG) return undefined;
    const kept = this.#bases.peek(baseKey(curve, tolerance));
    if (!kept) return undefined;
    const { path, base } = kept;
    const surface = sat?.surface;
    const edited = followCurve(path, base.arc.curve, curve);
    if (edited) return followTable(base, edited.curve, frames, { known: edited.touched, surface });
    const compiled = compileCurve(curve);
    return compiled.ok ? followTable(base, compiled.value, frames, { surface }) : undefined;
  }
}

interface LongBase {
  readonly path: CurveSpec;
  readonly base: FrameBase;
}

/** Of a base itself: what it holds is kept as arc and table. */
const BASE_BYTES = 1024;
/** Shorter paths are quick to build as a whole. */
const LONG = 200;
/** Paths with the same are compared leg by leg. */
const baseKey = ({ kind, closed, points, numbers }: CurveSpec, tolerance: number): string =>
  JSON.stringify([kind, closed, points.length, numbers, tolerance]);
