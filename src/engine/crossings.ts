import { Matrix4 } from 'three';
import { curveKind } from '../core/curve/registry';
import type { Crossing } from '../core/findings/crossing';
import { fail, ok, type Result } from '../core/math/result';
import { dot, normalize, sub, type Vec3 } from '../core/math/vec3';
import { SIDE, UP } from '../core/frames/frame-table';
import { reachTowards } from '../core/segment/support';
import { frameOn } from '../core/shape/frame-on';
import { sectionReach } from '../core/shape/section-reach';
import { chunkCourse, type Chunk, type ChunkedCourse } from './chunked-mesh';
import type { Deriver } from './derive';
import type { DerivedCourse, DerivedRun } from './derived';
import type { RunSource } from './run-source';

/** A run of a project, worked out. */
export interface CrossingRun {
  readonly id: string;
  readonly derived: DerivedRun;
}

/** What lies nearer to itself along the path than so many of its half widths is a bend, not a crossing: half a circle round its own edge. */
const APART = Math.PI;
/** What reaches into each other by less than this share of the section only touches. */
const LEAST = 0.01;
/** Triangles of two chunks that are looked at. */
const MOST = 200;

interface Hit {
  readonly a: number;
  readonly b: number;
}

interface Body {
  readonly run: CrossingRun;
  readonly course: DerivedCourse;
  readonly mesh: ChunkedCourse;
}

/** Finds where bent runs pass through each other and themselves, and keeps what it made of a run until that changes. */
export class CrossingFinder {
  readonly #kept = new WeakMap<DerivedCourse, ChunkedCourse>();

  /** All crossings of visible courses, by the id of the run. Each pair of runs is told of at the run that comes later. */
  find(runs: readonly CrossingRun[]): ReadonlyMap<string, readonly Crossing[]> {
    const origin = runs[0]?.derived.table.origin ?? [0, 0, 0];
    const bodies = runs.flatMap((run) =>
      run.derived.courses
        .filter(({ course }) => course.visible)
        .map((course): Body => ({ run, course, mesh: this.#chunked(run.derived, course, origin) })),
    );
    const found = new Map<string, Crossing[]>();
    bodies.forEach((b, j) => {
      const own: Crossing[] = [];
      for (let i = 0; i <= j; i++) {
        const a = bodies[i];
        if (i !== j && a.run === b.run) continue; // courses of one run are laid into each other on purpose
        const hits = i === j ? hitsWithin(b) : hitsBetween(b.mesh, a.mesh);
        own.push(...crossingsOf(hits, b, a));
      }
      if (own.length > 0) found.set(b.run.id, [...(found.get(b.run.id) ?? []), ...own]);
    });
    return found;
  }

  #chunked(derived: DerivedRun, course: DerivedCourse, origin: readonly number[]): ChunkedCourse {
    const known = this.#kept.get(course);
    if (known) return known;
    const made = chunkCourse(derived, course, origin);
    this.#kept.set(course, made);
    return made;
  }
}

/** More triangles than this are not looked at. */
const MOST_TRIANGLES = 3_000_000;

/** Works runs out and finds their crossings; see {@link CrossingFinder}. Problems: `crossings.too-many` with `triangles` and `most`. */
export async function crossingsOfRuns(
  deriver: Deriver,
  finder: CrossingFinder,
  runs: readonly { readonly id: string; readonly source: RunSource }[],
): Promise<Result<Readonly<Record<string, readonly Crossing[]>>>> {
  const made: CrossingRun[] = [];
  let triangles = 0;
  for (const { id, source } of runs) {
    const derived = await deriver.derive(source);
    if (!derived.ok) continue;
    made.push({ id, derived: derived.value });
    const pieces = derived.value.courses.flatMap(({ laid }) => laid.pieces);
    triangles += pieces.reduce((sum, { form }) => sum + form.mesh.indices.length / 3, 0);
  }
  if (triangles > MOST_TRIANGLES) return fail('crossings.too-many', { triangles, most: MOST_TRIANGLES });
  return ok(Object.fromEntries(finder.find(made)));
}

const IDENTITY = new Matrix4();

/** Stations at which triangles of two chunks meet. */
function meet(a: Chunk, b: Chunk, hits: Hit[]): void {
  if (!a.box.intersectsBox(b.box)) return;
  let count = 0;
  a.bvh().bvhcast(b.bvh(), IDENTITY, {
    intersectsTriangles(first, second, i, j) {
      if (!first.intersectsTriangle(second)) return false;
      hits.push({ a: a.stationOf(i), b: b.stationOf(j) });
      return ++count >= MOST;
    },
  });
}

function hitsBetween(a: ChunkedCourse, b: ChunkedCourse): Hit[] {
  const hits: Hit[] = [];
  if (!a.box.intersectsBox(b.box)) return hits;
  const near = b.chunks.filter((chunk) => chunk.box.intersectsBox(a.box));
  for (const first of a.chunks) for (const second of near) meet(first, second, hits);
  return hits;
}

function hitsWithin({ mesh: { chunks, half }, course, run }: Body): Hit[] {
  const { closed, length } = run.derived.table;
  const apart = APART * half * course.shape.lanes.reduce((most, lane) => (lane.name.startsWith('gauge') ? Math.max(most, lane.at(0)[0]) : most), 1); // prettier-ignore
  const hits: Hit[] = [];
  for (let i = 0; i < chunks.length; i++) {
    for (let j = i + 1; j < chunks.length; j++) {
      const gap = chunks[j].from - chunks[i].to;
      const round = closed ? chunks[i].from + length - chunks[j].to : Infinity;
      if (Math.min(gap, round) >= apart) meet(chunks[i], chunks[j], hits);
    }
  }
  return hits;
}

/** Hits that lie beside each other on the first course make up one crossing, told of where it is deepest. */
function crossingsOf(hits: readonly Hit[], a: Body, b: Body): Crossing[] {
  const { reach } = a.course.shape;
  const near = Math.max(a.mesh.half * 2, (reach.to - reach.from) / 200);
  const groups: Hit[][] = [];
  for (const hit of hits.toSorted((p, q) => p.a - q.a)) {
    const last = groups.find((group) => hit.a - group[group.length - 1].a < near && Math.abs(hit.b - group[group.length - 1].b) < near * 4); // prettier-ignore
    if (last) last.push(hit);
    else groups.push([hit]);
  }
  return groups.flatMap((group) => {
    const looked = group.map((hit) => ({ hit, ...depthAt(a.course, hit.a, b.course, hit.b) }));
    const deepest = looked.reduce((most, own) => (own.depth > most.depth ? own : most));
    const { hit, depth, up, side, gauge, away } = deepest;
    if (depth < a.mesh.half * LEAST) return [];
    const [from, to] = [group[0].a, group[group.length - 1].a];
    const other = a.run === b.run ? undefined : b.run.id;
    const kind = curveKind(a.run.derived.source.curve);
    const isDrawn = kind.group === 'points' && !kind.uses.weight;
    return [{ from, to, station: hit.a, run: other, other: hit.b, depth, up, side, gauge, away, isDrawn, half: a.mesh.half, reach }]; // prettier-ignore
  });
}

/**
 * How far two sections reach into each other, metres, below 0 how far they are apart, along the line between their places on the paths: what both reach that way, less what lies between. For
 * round sections that is how deep they are; where the paths meet, upwards.
 */
export function depthAt(a: DerivedCourse, s: number, b: DerivedCourse, t: number) {
  const [first, second] = [frameOn(a.shape, s), frameOn(b.shape, t)];
  const vec = (frame: Float64Array, at: number): Vec3 => [frame[at], frame[at + 1], frame[at + 2]];
  const between = sub(vec(first, 0), vec(second, 0));
  const away = normalize(between, [0, 1, 0]);
  const apart = Math.hypot(...between);
  const far = (own: DerivedCourse, frame: Float64Array, sign: 1 | -1) => {
    const { support } = own.ready;
    return sectionReach((y, z) => reachTowards(support, y, z), frame, sign * away[0], sign * away[1], sign * away[2]);
  };
  const [own, other] = [far(a, first, -1), far(b, second, 1)];
  const depth = own + other - apart;
  const aside = (axis: number) => depth * dot(away, vec(first, axis));
  return { depth, away, up: aside(UP), side: aside(SIDE), gauge: own > 0 ? Math.max(1 - depth / own, 0) : 0 };
}
