import { BufferAttribute, BufferGeometry, Vector3 } from 'three';
import { MeshBVH } from 'three-mesh-bvh';

/** A surface as loose triangles. */
export interface Soup {
  /** Corners, nine numbers a triangle, metres. */
  readonly corners: Float32Array;
  /** Of each corner a place on the other surface that is likely to be near; NaN = none is known. Absent: of none. */
  readonly twins?: Float32Array | undefined;
}

/** Of the square of the largest side: smaller triangles are no surface. */
const NO_AREA = 1e-12;

/**
 * The greatest distance from a place of either surface to the nearest one of the other, metres: at about so many triangles of each, at their corners and
 * their middles. Where one has no surface at all, the largest side of the other: so far one is off what is not there. Both empty: 0. What is below
 * `least` need not be exact, which takes a small part of the time.
 */
export function surfaceGap(a: Soup, b: Soup, most: number, least = 0): number {
  const size = Math.max(largestSide(a.corners), largestSide(b.corners));
  const [one, other] = [withArea(a, size), withArea(b, size)];
  if (one.corners.length === 0 || other.corners.length === 0)
    return Math.max(largestSide(one.corners), largestSide(other.corners));
  return farthest(other, one, most, farthest(one, other, most, least));
}

function withArea({ corners, twins }: Soup, size: number): Soup {
  const kept: number[] = [];
  for (let i = 0; i < corners.length; i += 9) if (twiceArea(corners, i) > size * size * NO_AREA) kept.push(i);
  const pick = (from: Float32Array) => {
    const out = new Float32Array(kept.length * 9);
    kept.forEach((i, k) => out.set(from.subarray(i, i + 9), k * 9));
    return out;
  };
  return kept.length * 9 === corners.length
    ? { corners, twins }
    : { corners: pick(corners), twins: twins && pick(twins) };
}

function twiceArea(p: Float32Array, i: number): number {
  const [ax, ay, az] = [p[i + 3] - p[i], p[i + 4] - p[i + 1], p[i + 5] - p[i + 2]];
  const [bx, by, bz] = [p[i + 6] - p[i], p[i + 7] - p[i + 1], p[i + 8] - p[i + 2]];
  return Math.hypot(ay * bz - az * by, az * bx - ax * bz, ax * by - ay * bx);
}

function largestSide(p: Float32Array): number {
  if (p.length === 0) return 0;
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  for (let i = 0; i < p.length; i++) {
    low[i % 3] = Math.min(low[i % 3], p[i]);
    high[i % 3] = Math.max(high[i % 3], p[i]);
  }
  return Math.max(...high.map((v, c) => v - low[c]));
}

/** The greatest distance of a surface's places to another, `least` where that is greater. */
function farthest({ corners, twins }: Soup, to: Soup, most: number, least: number): number {
  const triangles = corners.length / 9;
  const step = Math.max(1, triangles / most);
  const place = new Vector3();
  const twin = new Vector3();
  const found = { point: new Vector3(), distance: 0, faceIndex: 0 };
  let hierarchy: MeshBVH | undefined;
  let worst = least;
  const look = () => {
    if (twins && place.distanceTo(twin) <= worst) return;
    hierarchy ??= new MeshBVH(new BufferGeometry().setAttribute('position', new BufferAttribute(to.corners, 3)), { indirect: true }); // prettier-ignore
    hierarchy.closestPointToPoint(place, found, worst); // any place that is nearer than that will do
    worst = Math.max(worst, found.distance);
  };
  for (let t = 0, k = 0; t < triangles; t += step, k++) {
    const i = Math.floor(t) * 9;
    // Corners are those of several triangles: one of each in turn, and the middle.
    const corner = i + (k % 3) * 3;
    place.fromArray(corners, corner);
    if (twins) twin.fromArray(twins, corner);
    look();
    middle(place, corners, i);
    if (twins) middle(twin, twins, i);
    look();
  }
  return worst;
}

function middle(out: Vector3, p: Float32Array, i: number): void {
  out.set((p[i] + p[i + 3] + p[i + 6]) / 3, (p[i + 1] + p[i + 4] + p[i + 7]) / 3, (p[i + 2] + p[i + 5] + p[i + 8]) / 3);
}
