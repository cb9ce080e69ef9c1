import { Box3, BufferAttribute, BufferGeometry, Vector3 } from 'three';
import { MeshBVH } from 'three-mesh-bvh';
import { bendRun, buildTopology } from '../core/bending/build-run';
import { farthestOf } from '../core/guides/clearance';
import type { CoursePlan } from '../core/motion/pose-course';
import { planCourse } from './derive';
import type { DerivedCourse, DerivedRun } from './derived';

/** Triangles of a course that lie on one stretch of its path. */
export interface Chunk {
  /** Metres. */
  readonly from: number;
  readonly to: number;
  readonly box: Box3;
  /** Made when it is first asked for. */
  bvh(): MeshBVH;
  /** The station of a triangle of the hierarchy, metres. */
  stationOf(triangle: number): number;
}

/** A finished course in chunks along its path, at places of the world. */
export interface ChunkedCourse {
  readonly chunks: readonly Chunk[];
  readonly box: Box3;
  /** Metres: how far its section reaches from the path. */
  readonly half: number;
}

/** Chunks are no shorter than so many sections are wide, and there are so many at the most. */
const WIDE = 2;
const MOST = 256;

/** Cuts a finished course into chunks; its places count from `origin`, so that 32-bit numbers serve two runs alike. */
export function chunkCourse(derived: DerivedRun, course: DerivedCourse, origin: readonly number[]): ChunkedCourse {
  const plan = planCourse(derived, course, null);
  const { positions } = bendRun(plan);
  for (let i = 0; i < positions.length; i++) positions[i] += derived.table.origin[i % 3] - origin[i % 3];
  const { indices } = buildTopology(plan);
  const stations = stationsOf(plan);
  const half = farthestOf(course.ready.support);
  const { from, to } = course.shape.reach;
  const count = Math.min(Math.max(Math.floor((to - from) / Math.max(half * WIDE, 1e-9)), 1), MOST);
  const step = (to - from) / count;
  const lists: number[][] = Array.from({ length: count }, () => []);
  for (let t = 0; t < indices.length; t += 3) {
    const middle = (stations[indices[t]] + stations[indices[t + 1]] + stations[indices[t + 2]]) / 3;
    lists[Math.min(Math.max(Math.floor((middle - from) / step), 0), count - 1)].push(t);
  }
  const attribute = new BufferAttribute(positions, 3);
  const chunks = lists.flatMap((list) => (list.length > 0 ? [chunkOf({ attribute, indices, stations, list })] : []));
  const box = chunks.reduce((all, chunk) => all.union(chunk.box), new Box3());
  return { chunks, box, half };
}

interface ChunkParts {
  readonly attribute: BufferAttribute;
  readonly indices: Uint32Array;
  readonly stations: Float64Array;
  readonly list: readonly number[];
}

function chunkOf({ attribute, indices, stations, list }: ChunkParts): Chunk {
  const own = new Uint32Array(list.length * 3);
  list.forEach((t, i) => own.set(indices.subarray(t, t + 3), i * 3));
  const box = new Box3();
  const place = new Vector3();
  let [from, to] = [Infinity, -Infinity];
  for (const v of own) {
    box.expandByPoint(place.fromBufferAttribute(attribute, v));
    from = Math.min(from, stations[v]);
    to = Math.max(to, stations[v]);
  }
  let made: MeshBVH | undefined;
  const index = new BufferAttribute(own, 1);
  return {
    ...{ from, to, box },
    bvh() {
      if (made) return made;
      const geometry = new BufferGeometry();
      geometry.setAttribute('position', attribute);
      geometry.setIndex(index);
      return (made = new MeshBVH(geometry));
    },
    // The hierarchy has put the index in an order of its own.
    stationOf: (triangle) => stations[index.getX(triangle * 3)],
  };
}

/** Where each vertex of a plan lies along the path, metres. */
function stationsOf({ pieces, vertexCount }: CoursePlan): Float64Array {
  const out = new Float64Array(vertexCount);
  let base = 0;
  for (const { form, place } of pieces) {
    const { positions } = form.mesh;
    for (let v = 0; v * 3 < positions.length; v++) out[base + v] = place.station + place.factor * positions[v * 3];
    base += positions.length / 3;
  }
  return out;
}
