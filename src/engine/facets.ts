import { hasCoats } from '../core/bending/coats';
import { bendRun, buildTopology, type Topology } from '../core/bending/build-run';
import { boxOfInstances, instancesOf, type InstanceSet } from '../core/bending/instances';
import type { Finding } from '../core/findings/registry';
import type { Layout } from '../core/layout/layout';
import { stepFigures, type StepFigures } from '../core/layout/step-figures';
import type { LayoutSummary } from '../core/layout/summary';
import { boxOf, type Box } from '../core/mesh/box';
import type { Image, Material } from '../core/mesh/mesh';
import { lazy } from '../core/math/lazy';
import { Numbers } from '../core/math/numbers';
import type { Vec3 } from '../core/math/vec3';
import type { CoursePlan } from '../core/motion/pose-course';
import type { WheelGuide } from '../core/guides/wheel-guides';
import type { NamedAxes } from '../core/segment/find-axes';
import { neededRow } from '../core/segment/pieces/plan-slices';
import { halfWidth } from '../core/segment/prepared-segment';
import type { Deriver } from './derive';
import type { DerivedCourse, DerivedRun } from './derived';
import { viewPath, type PathView } from './path-view';
import { sidesOfCourse } from './piece-table';
import { wheelsOf } from './wheels-of';

/** What the screen knows of a run beside its courses, by what changes together. */
export interface RunFacets {
  readonly path: PathView;
  readonly findings: readonly Finding[];
  /** Those of a belt. */
  readonly wheels: readonly WheelGuide[];
}

/** What the screen knows of one course. */
export interface CourseFacets {
  readonly layout: Layout & {
    readonly summary: LayoutSummary;
    readonly steps?: StepFigures | undefined;
    /** See `sideStretches`. */
    readonly sides: Float32Array;
  };
  readonly segment: SegmentFigures;
  readonly surface: { readonly materials: readonly Material[]; readonly images: readonly Image[] };
  readonly topology: Topology;
  /** Meshes of pieces that keep their shape, each drawn at many places; the course is then made of these alone. */
  readonly repeated: readonly RepeatedMesh[];
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
  /** Of each repeated mesh: matrices by columns, 16 numbers each, counted from the origin, and colours by which it is tinted. */
  readonly places: readonly { readonly matrices: Float32Array; readonly tints?: Float32Array }[];
}

/** A mesh that is drawn at many places. */
export interface RepeatedMesh extends Topology {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
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
  /** Metres: how far the end of a piece is off the start of the next where they touch; undefined where none do, or ends have no corners. */
  readonly seam: number | undefined;
}

/** A facet is the same as long as its version is. */
type VersionsOf<F> = Readonly<Record<keyof F, string>>;

export interface Versions extends VersionsOf<RunFacets> {
  /** By the ids of courses, in their order. */
  readonly courses: Readonly<Record<string, VersionsOf<CourseFacets>>>;
}

/** The facets of a run that somebody who holds others does not have yet. */
export interface FacetUpdate {
  readonly versions: Versions;
  readonly changed: Partial<RunFacets> & { readonly courses: Readonly<Record<string, Partial<CourseFacets>>> };
}

/** Versions for one worker's facets; `prefix` tells them from another's. */
export class FacetVersions {
  readonly #numbers = new Numbers();
  readonly #prefix: string;

  constructor(prefix: string) {
    this.#prefix = prefix;
  }

  ofRun(derived: DerivedRun, time: number | null): VersionsOf<RunFacets> {
    const run = `${this.#prefix}${this.#numbers.of(derived)}`;
    const { curve, steps } = derived.source;
    const isTurning = time !== null && curve.kind === 'belt' && steps.motion.speed !== 0;
    return { path: run, findings: run, wheels: isTurning ? `${run}@${time}` : run };
  }

  ofCourse(derived: DerivedRun, at: number, plan: CoursePlan, time: number | null): VersionsOf<CourseFacets> {
    const { pieces, course, laid } = derived.courses[at];
    const own = `${this.#prefix}${this.#numbers.of(laid)}`;
    const moved = time === null ? '' : `@${time} ${this.#numbers.of(derived)}`;
    const look = plan.pieces.some((piece) => piece.look) ? JSON.stringify(course.laying.variation) : '';
    const hangs = derived.source.steps.shape.lanes?.textureShift ?? plan.pieces.some(({ form }) => hasCoats(form.mesh));
    const shifts = hangs ? own : '';
    const topology = this.#prefix + keyOf(plan.pieces.map(({ form }) => this.#numbers.of(form))) + look + shifts;
    return {
      ...{ layout: own, segment: own, topology, repeated: topology },
      surface: pieces.key,
      geometry: `${own}${moved}:${plan.pieces.length}`,
    };
  }
}

/** What of a run at `time` seconds (null = finished) is not held already. Buffers of what changed may be handed over: see {@link buffersOf}. */
export function facetsOf(
  derived: DerivedRun,
  time: number | null,
  held: Partial<Versions>,
  versions: FacetVersions,
  deriver: Pick<Deriver, 'plan'>,
): FacetUpdate {
  const ofRun = versions.ofRun(derived, time);
  const run = changedOf<RunFacets>(ofRun, held, {
    path: () => viewPath(derived),
    findings: derived.findings,
    wheels: () => wheelsOf(derived, time),
  });
  const courses = derived.courses.map((own, at) => {
    const plan = own.course.visible
      ? deriver.plan(derived, at, time)
      : { fit: own.course.fit, pieces: [], vertexCount: 0 };
    const now = versions.ofCourse(derived, at, plan, time);
    const sets = lazy(() => instancesOf(plan));
    const changed = changedOf<CourseFacets>(now, held.courses?.[own.course.id], {
      layout: () => layoutOf(own),
      segment: () => figuresOf(own),
      surface: () => ({ materials: own.pieces.materials, images: own.pieces.images }),
      topology: () => (sets() ? noTopology() : ownTopology(plan)),
      repeated: () => (sets() ?? []).map(repeatedMesh),
      geometry: () => geometryOf(derived, plan, sets()),
    });
    return { id: own.course.id, now, changed };
  });
  const byId = <V>(value: (course: (typeof courses)[number]) => V) =>
    Object.fromEntries(courses.map((course) => [course.id, value(course)]));
  return {
    versions: { ...ofRun, courses: byId(({ now }) => now) },
    changed: { ...run, courses: byId(({ changed }) => changed) },
  };
}

type Makers<F> = { readonly [K in keyof F]: () => F[K] };

/** Those facets, made, whose version is not the one held. */
function changedOf<F>(now: VersionsOf<F>, held: Partial<VersionsOf<F>> | undefined, makers: Makers<F>): Partial<F> {
  const names = Object.keys(makers) as (keyof F)[];
  const changed = names.flatMap((name) => (held?.[name] === now[name] ? [] : [[name, makers[name]()]]));
  return Object.fromEntries(changed) as Partial<F>;
}

/** The buffers of facets, to be moved and not copied. */
export function buffersOf({ path, courses }: FacetUpdate['changed']): ArrayBuffer[] {
  const arrays = [
    ...(path ? [path.line, path.tightness, path.ups, path.sides, path.stations, path.twists] : []),
    ...Object.values(courses).flatMap(({ topology, geometry, repeated = [] }) => [
      ...repeated.flatMap(({ uvs, indices, colours, positions, normals }) => [
        uvs,
        indices,
        colours,
        positions,
        normals,
      ]),
      ...(geometry?.places.flatMap(({ matrices, tints }) => [matrices, tints]) ?? []),
      ...(topology ? [topology.uvs, topology.indices, topology.colours] : []),
      ...(geometry ? [geometry.positions, geometry.normals] : []),
    ]),
  ];
  return arrays.flatMap((array) => (array ? [array.buffer as ArrayBuffer] : []));
}

function geometryOf({ table }: DerivedRun, plan: CoursePlan, sets: readonly InstanceSet[] | undefined): Geometry {
  const triangles = plan.pieces.reduce((sum, { form }) => sum + form.mesh.indices.length / 3, 0);
  const { origin } = table;
  if (!sets) {
    const bent = bendRun(plan);
    return { ...bent, box: boxOf(bent.positions), origin, triangles, places: [] };
  }
  const places = sets.map(({ places: own, tints }) => ({ matrices: Float32Array.from(own), ...(tints && { tints }) }));
  return { ...noVertices(), box: boxOfInstances(sets), origin, triangles, places };
}

/** Made anew each time: buffers are handed over. */
const noTopology = (): Topology => ({ uvs: new Float32Array(), indices: new Uint32Array(), parts: [] });
const noVertices = () => ({ positions: new Float32Array(), normals: new Float32Array() });

/** A form's mesh that may be handed over. */
function repeatedMesh({ form: { mesh } }: InstanceSet): RepeatedMesh {
  const { positions, normals, uvs, colours, indices, parts } = mesh;
  return {
    ...{ positions: positions.slice(), normals: normals.slice(), uvs: uvs.slice(), indices: indices.slice(), parts },
    ...(colours && { colours: colours.slice() }),
  };
}

function layoutOf(derived: DerivedCourse): CourseFacets['layout'] {
  const { laid, summary, shape, course, ready } = derived;
  const { min, max } = ready.prepared.box;
  const size = { wide: max[2] - min[2], thick: max[1] - min[1] };
  const sides = sidesOfCourse(derived);
  return { ...laid.layout, summary, steps: stepFigures(laid.layout, shape, course.fit, size), sides };
}

function figuresOf({ ready, laid, shape, tolerance }: DerivedCourse): SegmentFigures {
  const { length, box, sourceBox, axes, rows, mesh } = ready.prepared;
  const { from, to } = shape.reach;
  return {
    ...{ length, box, sourceBox, axes, tolerance },
    ownRows: rows.length - 1,
    rows: laid.pieces.reduce((most, { form }) => Math.max(most, form.rows.length - 1), 0),
    neededPerMetre: 1 / neededRow(shape, from, to, { half: halfWidth(box), tolerance }),
    triangles: mesh.indices.length / 3,
    seam: laid.seam,
  };
}

/** A topology that may be handed over: a single piece's is still the segment's. */
function ownTopology(plan: CoursePlan): Topology {
  const topology = buildTopology(plan);
  if (topology.indices !== plan.pieces[0]?.form.mesh.indices) return topology;
  const { uvs, colours, indices } = topology;
  return { ...topology, uvs: uvs.slice(), ...(colours && { colours: colours.slice() }), indices: indices.slice() };
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
