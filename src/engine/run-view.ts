import { bendRun, buildTopology, type Topology } from '../core/bending/build-run';
import { bendTolerance } from '../core/bending/bending-spec';
import { layPieces, type RunPlan } from '../core/bending/plan-run';
import type { Finding } from '../core/findings/finding';
import type { Laying } from '../core/laying/lay';
import { LAYING_RULES, type LayingRuleName } from '../core/laying/registry';
import { boxOf, type Box } from '../core/mesh/box';
import type { Image, Material } from '../core/mesh/mesh';
import { Numbers } from '../core/math/numbers';
import type { Vec3 } from '../core/math/vec3';
import type { NamedAxes } from '../core/segment/find-axes';
import { neededRow } from '../core/segment/plan-slices';
import { halfWidth } from '../core/segment/prepared-segment';
import type { DerivedRun } from './derive';
import type { SlicingCounts } from './slicing-counts';
import { viewPath, type PathView } from './path-view';

/** What a laying rule would come to; absent when it cannot be laid. */
export interface LayingChoice {
  readonly count: number;
  readonly stretch: number;
  readonly gap: number;
  readonly remainder: number;
}

/** A run as the screen shows it. */
export interface RunView {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  /** Absent when the page has the one with this key. */
  readonly topology?: Topology;
  readonly topologyKey: string;
  readonly surface?: { readonly materials: readonly Material[]; readonly images: readonly Image[] };
  readonly surfaceKey: string;
  /** Metres: where the mesh's own origin lies. */
  readonly origin: Vec3;
  /** Counted from there. */
  readonly box: Box;
  readonly path: PathView;
  readonly laying: Laying;
  readonly choices: Partial<Record<LayingRuleName, LayingChoice>>;
  readonly findings: readonly Finding[];
  readonly triangles: number;
  readonly segment: {
    readonly length: number;
    readonly box: Box;
    readonly sourceBox: Box;
    readonly axes: NamedAxes;
    /** Rows that the segment came with, and the most that a piece has after slicing. */
    readonly ownRows: number;
    readonly rows: number;
    /** Rows that the tightest bend of the reach needs, per metre of path. */
    readonly neededPerMetre: number;
    readonly triangles: number;
  };
  /** Triangles of the finished run for each way of slicing. */
  readonly slicings: SlicingCounts;
}

/** What the page holds already of a run, so that it is not sent again. */
export interface Held {
  readonly topologyKey: string | undefined;
  readonly surfaceKey: string | undefined;
}

/** Numbers segments for keys; `prefix` tells one worker's numbers from another's. */
export class SegmentNumbers extends Numbers {
  readonly prefix: string;

  constructor(prefix: string) {
    super();
    this.prefix = prefix;
  }
}

export function buildRunView(derived: DerivedRun, held: Held, numbers: SegmentNumbers): RunView {
  const { plan, table, ready, source, findings } = derived;
  const bent = bendRun(plan, table);
  const look = plan.pieces[0]?.look ? JSON.stringify(source.job.laying.variation) : '';
  const topologyKey = numbers.prefix + keyOf(plan.pieces.map(({ segment }) => numbers.of(segment))) + look;
  const { mesh } = ready.prepared;
  return {
    ...bent,
    topologyKey,
    ...(held.topologyKey !== topologyKey && { topology: ownTopology(plan) }),
    surfaceKey: ready.key,
    ...(held.surfaceKey !== ready.key && { surface: { materials: mesh.materials, images: mesh.images } }),
    origin: table.origin,
    box: boxOf(bent.positions),
    path: viewPath(derived),
    laying: plan.laying,
    choices: layingChoices(derived),
    findings,
    triangles: plan.pieces.reduce((sum, { segment }) => sum + segment.mesh.indices.length / 3, 0),
    segment: {
      length: ready.prepared.length,
      box: ready.prepared.box,
      sourceBox: ready.prepared.sourceBox,
      axes: ready.prepared.axes,
      ownRows: ready.prepared.rows.length - 1,
      rows: plan.pieces.reduce((most, { segment }) => Math.max(most, segment.rows.length - 1), 0),
      neededPerMetre: neededPerMetre(derived),
      triangles: mesh.indices.length / 3,
    },
    slicings: derived.slicings,
  };
}

function neededPerMetre({ table, plan, ready, source }: DerivedRun): number {
  const { bending } = source.job;
  const { from, to } = plan.laying.reach;
  const half = halfWidth(ready.prepared.box);
  const twist = (2 * Math.PI * bending.turns) / (to - from);
  return (
    1 / neededRow(table, from, to, { offset: half * bending.gauge, tolerance: bendTolerance(bending, half), twist })
  );
}

/** A topology that may be handed over: a single piece's is still the segment's. */
function ownTopology(plan: RunPlan): Topology {
  const topology = buildTopology(plan);
  if (topology.indices !== plan.pieces[0]?.segment.mesh.indices) return topology;
  const { uvs, colours, indices } = topology;
  return { ...topology, uvs: uvs.slice(), ...(colours && { colours: colours.slice() }), indices: indices.slice() };
}

/** The buffers of a view that may be handed over instead of copied. */
export function transferables(view: RunView): ArrayBuffer[] {
  const { line, tightness, ups, sides, stations } = view.path;
  const arrays = [view.positions, view.normals, line, tightness, ups, sides, stations];
  const { uvs, indices, colours } = view.topology ?? {};
  const topology = [uvs, indices, colours].filter((array) => array !== undefined);
  return [...arrays, ...topology].map((array) => array.buffer as ArrayBuffer);
}

function layingChoices({ source, table, ready }: DerivedRun): RunView['choices'] {
  const choices: Partial<Record<LayingRuleName, LayingChoice>> = {};
  for (const { kind } of LAYING_RULES) {
    const { laying, bending } = source.job;
    const laid = layPieces(table, ready.prepared, { laying: { ...laying, rule: kind }, bending });
    if (!laid.ok) continue;
    const { placements, stretch, gap, remainder } = laid.value;
    choices[kind] = { count: placements.length, stretch, gap, remainder };
  }
  return choices;
}

/** Equal neighbours are counted: 3x12,4 = twelve of 3, one of 4. */
function keyOf(numbers: readonly number[]): string {
  const runs: string[] = [];
  for (let i = 0; i < numbers.length;) {
    let end = i + 1;
    while (end < numbers.length && numbers[end] === numbers[i]) end++;
    runs.push(end - i > 1 ? `${numbers[i]}x${end - i}` : `${numbers[i]}`);
    i = end;
  }
  return runs.join();
}
