import { bendRun, buildTopology, type Topology } from '../core/bending/build-run';
import type { Finding } from '../core/findings/registry';
import type { Layout } from '../core/layout/lay';
import { layPieces } from '../core/layout/lay-course';
import { LAYING_RULES, switchRule, type LayingRuleName } from '../core/layout/registry';
import { summaryOf, type LayoutSummary } from '../core/layout/summary';
import { boxOf, type Box } from '../core/mesh/box';
import type { Image, Material } from '../core/mesh/mesh';
import { Numbers } from '../core/math/numbers';
import type { Vec3 } from '../core/math/vec3';
import type { CoursePlan } from '../core/motion/pose-course';
import type { NamedAxes } from '../core/segment/find-axes';
import { neededRow } from '../core/segment/pieces/plan-slices';
import { halfWidth } from '../core/segment/prepared-segment';
import { planCourse, type DerivedRun } from './derive';
import { viewPath, type PathView } from './path-view';
import { countSlicings, type SlicingCounts } from './slicing-counts';

/** What the screen knows of a run, by what changes together. The laid things are those of the first course. */
export interface RunFacets {
  readonly path: PathView;
  readonly layout: Layout & { readonly summary: LayoutSummary };
  readonly segment: SegmentFigures;
  /** What every laying rule would come to, where it can be laid, and the triangles of the finished run for each way of slicing. */
  readonly choices: {
    readonly rules: Partial<Record<LayingRuleName, LayoutSummary>>;
    readonly slicings: SlicingCounts;
  };
  readonly findings: readonly Finding[];
  readonly surface: { readonly materials: readonly Material[]; readonly images: readonly Image[] };
  readonly topology: Topology;
  /** The only one that changes while time plays, but for pieces that come and go. */
  readonly geometry: Geometry;
}

export interface Geometry {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  /** Counted from the origin. */
  readonly box: Box;
  /** Metres: where the mesh's own origin lies. */
  readonly origin: Vec3;
  readonly triangles: number;
}

export interface SegmentFigures {
  readonly length: number;
  readonly box: Box;
  readonly sourceBox: Box;
  readonly axes: NamedAxes;
  /** Rows that the segment came with, and the most that a piece has after slicing. */
  readonly ownRows: number;
  readonly rows: number;
  /** Rows that the tightest bend of the reach needs, per metre of path. */
  readonly neededPerMetre: number;
  /** Metres: what the bend keeps to. */
  readonly tolerance: number;
  readonly triangles: number;
}

export type FacetName = keyof RunFacets;
/** A facet is the same as long as its version is. */
export type Versions = Readonly<Record<FacetName, string>>;

/** The facets of a run that somebody who holds others does not have yet. */
export interface FacetUpdate {
  readonly versions: Versions;
  readonly changed: Partial<RunFacets>;
}

/** Versions for one worker's facets; `prefix` tells them from another's. */
export class FacetVersions {
  readonly #numbers = new Numbers();
  readonly #prefix: string;

  constructor(prefix: string) {
    this.#prefix = prefix;
  }

  of(derived: DerivedRun, plan: CoursePlan, time: number | null): Versions {
    const [{ ready, course }] = derived.courses as [DerivedRun['courses'][number]];
    const run = `${this.#prefix}${this.#numbers.of(derived)}`;
    const look = plan.pieces[0]?.look ? JSON.stringify(course.laying.variation) : '';
    const shifts = derived.source.steps.shape.lanes?.textureShift ? run : '';
    return {
      ...{ path: run, layout: run, segment: run, choices: run, findings: run },
      surface: ready.key,
      topology: this.#prefix + keyOf(plan.pieces.map(({ form }) => this.#numbers.of(form))) + look + shifts,
      geometry: `${run}@${time}`,
    };
  }
}

/** What of a run at `time` seconds (null = finished) is not held already. Buffers of what changed may be handed over: see {@link buffersOf}. */
export function facetsOf(
  derived: DerivedRun,
  time: number | null,
  held: Partial<Versions>,
  versions: FacetVersions,
): FacetUpdate {
  const plan = planCourse(derived, derived.courses[0], time);
  const now = versions.of(derived, plan, time);
  const makers: { readonly [K in FacetName]: () => RunFacets[K] } = {
    path: () => viewPath(derived),
    layout: () => ({ ...derived.courses[0].laid.layout, summary: derived.courses[0].summary }),
    segment: () => figuresOf(derived),
    choices: () => choicesOf(derived),
    findings: derived.findings,
    surface: () => surfaceOf(derived),
    topology: () => ownTopology(plan),
    geometry: () => geometryOf(derived, plan),
  };
  const changed = Object.entries(makers).flatMap(([name, make]) =>
    held[name as FacetName] === now[name as FacetName] ? [] : [[name, make()]],
  );
  return { versions: now, changed: Object.fromEntries(changed) as Partial<RunFacets> };
}

/** The buffers of facets, to be moved and not copied. */
export function buffersOf({ path, topology, geometry }: Partial<RunFacets>): ArrayBuffer[] {
  const arrays = [
    ...(path ? [path.line, path.tightness, path.ups, path.sides, path.stations] : []),
    ...(topology ? [topology.uvs, topology.indices, topology.colours] : []),
    ...(geometry ? [geometry.positions, geometry.normals] : []),
  ];
  return arrays.flatMap((array) => (array ? [array.buffer as ArrayBuffer] : []));
}

function geometryOf({ table }: DerivedRun, plan: CoursePlan): Geometry {
  const bent = bendRun(plan);
  const triangles = plan.pieces.reduce((sum, { form }) => sum + form.mesh.indices.length / 3, 0);
  return { ...bent, box: boxOf(bent.positions), origin: table.origin, triangles };
}

function surfaceOf({ courses }: DerivedRun): RunFacets['surface'] {
  const { materials, images } = courses[0].ready.prepared.mesh;
  return { materials, images };
}

function figuresOf({ courses }: DerivedRun): SegmentFigures {
  const { ready, laid, shape, tolerance } = courses[0];
  const { length, box, sourceBox, axes, rows, mesh } = ready.prepared;
  const { from, to } = shape.reach;
  return {
    ...{ length, box, sourceBox, axes, tolerance },
    ownRows: rows.length - 1,
    rows: laid.pieces.reduce((most, { form }) => Math.max(most, form.rows.length - 1), 0),
    neededPerMetre: 1 / neededRow(shape, from, to, { half: halfWidth(box), tolerance }),
    triangles: mesh.indices.length / 3,
  };
}

/** A topology that may be handed over: a single piece's is still the segment's. */
function ownTopology(plan: CoursePlan): Topology {
  const topology = buildTopology(plan);
  if (topology.indices !== plan.pieces[0]?.form.mesh.indices) return topology;
  const { uvs, colours, indices } = topology;
  return { ...topology, uvs: uvs.slice(), ...(colours && { colours: colours.slice() }), indices: indices.slice() };
}

function choicesOf({ source, table, courses }: DerivedRun): RunFacets['choices'] {
  const { course, ready, laid, shape } = courses[0];
  const { pastEnd } = source.steps.bending;
  const laidBy = (kind: LayingRuleName) => {
    const rule = course.laying.rule.kind === kind ? course.laying.rule : switchRule(course.laying.rule, kind);
    return layPieces(rule, ready.prepared, { reach: shape.reach, path: table, pastEnd });
  };
  const rules = LAYING_RULES.flatMap(({ kind }) => {
    const layout = laidBy(kind);
    return layout.ok ? [[kind, summaryOf(layout.value)] as const] : [];
  });
  return { rules: Object.fromEntries(rules), slicings: countSlicings(laid, ready.prepared) };
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
