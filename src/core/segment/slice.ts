import { ON_PLANE_RELATIVE } from '../math/tolerance';
import type { Mesh, Part } from '../mesh/mesh';
import { BETWEEN_STRIDE, withVerticesBetween, type Attributes } from '../mesh/attributes';
import { sortedAlongX } from '../mesh/reorder';
import { flatPairs, NO_PAIR } from './flat-pairs';
import type { PreparedSegment } from './prepared-segment';
import { findRows } from './rows';
import { zipChains } from './zip-chains';

/** A mesh that is being cut. */
interface Growing {
  readonly source: Mesh;
  readonly added: number[]; // per new vertex: from, to, share
}

/**
 * Cuts the triangles of a segment by the planes x = planes[i] (ascending, metres); `longest` = for each plane the length along x, metres, up to
 * which edges stay whole there. Every cut lies on an old edge and both triangles of an edge get the same new vertex, so that seams stay
 * closed; normals and texture coordinates run on linearly. Two triangles that make up one flat face are cut as one, into two a row. Linear
 * in triangles plus cuts.
 */
export function sliceSegment(segment: PreparedSegment, planes: Float64Array, longest?: Float64Array): PreparedSegment {
  if (planes.length === 0) return segment;
  const mesh = sliceMesh(segment.mesh, planes, segment.length * ON_PLANE_RELATIVE, longest);
  if (mesh === segment.mesh) return segment;
  return { ...segment, mesh, rows: findRows(mesh.positions, segment.length) };
}

function sliceMesh(source: Mesh, planes: Float64Array, near: number, longest?: Float64Array): Mesh {
  const { positions, indices } = source;
  const count = positions.length / 3;
  const { band, on } = bandsOf(positions, planes, near);
  const growing: Growing = { source, added: [] };
  const cutsOf = new Map<number, readonly [first: number, count: number]>();
  /** First and number of the new vertices on an edge, in the order of the planes. */
  const cuts = (p: number, q: number): readonly [first: number, count: number] => {
    if (band[p] >= band[q] - on[q]) return NONE;
    const known = cutsOf.get(p * count + q);
    if (known) return known;
    const first = count + growing.added.length / 3;
    const [xp, xq] = [positions[p * 3], positions[q * 3]];
    for (let k = band[p]; k < band[q] - on[q]; k++) {
      if (!longest || xq - xp > longest[k] * WHOLE) growing.added.push(p, q, (planes[k] - xp) / (xq - xp));
    }
    const found = [first, count + growing.added.length / 3 - first] as const;
    cutsOf.set(p * count + q, found);
    return found;
  };
  /** The corners `from` up to `to` of a face, and what is cut into the edges between; `step` = 1 or -1 round it. */
  const chain = (face: readonly number[], from: number, to: number, step: number): number[] => {
    const out = [face[from]];
    for (let k = from; k !== to;) {
      const next = (k + step + face.length) % face.length;
      const [a, b] = [face[k], face[next]];
      const isRising = positions[a * 3] < positions[b * 3];
      const [first, n] = isRising ? cuts(a, b) : cuts(b, a);
      for (let i = 0; i < n; i++) out.push(first + (isRising ? i : n - 1 - i));
      out.push(b);
      k = next;
    }
    return out;
  };
  const out: number[] = [];
  const sliceFace = (face: readonly number[]): void => {
    const { low, high } = endsOf(face, positions, near);
    const right = chain(face, low.right, high.right, 1);
    const left = chain(face, low.left, high.left, -1);
    const place = (v: number) => (v < count ? positions[v * 3] : planeOf(growing, v - count));
    zipChains(out, { right, left }, place, { near, turn: looksBack(face, positions) ? 1 : 0 });
  };
  const isCut = (i: number) => {
    const [a, b, c] = [indices[i], indices[i + 1], indices[i + 2]];
    const low = Math.min(band[a], band[b], band[c]);
    return Math.max(band[a] - on[a], band[b] - on[b], band[c] - on[c]) > low;
  };
  const parts: Part[] = [];
  for (const part of source.parts) {
    const start = out.length;
    const crossed: number[] = [];
    for (let i = part.start; i < part.start + part.count; i += 3) {
      if (isCut(i)) crossed.push(i);
      else out.push(indices[i], indices[i + 1], indices[i + 2]);
    }
    const { partner, faces } = flatPairs(source, crossed);
    crossed.forEach((i, k) => {
      if (partner[k] === NO_PAIR) sliceFace([indices[i], indices[i + 1], indices[i + 2]]);
    });
    for (const face of faces) sliceFace(face);
    parts.push({ ...part, start, count: out.length - start });
  }
  if (growing.added.length === 0) return source;
  const grown = withAdded(growing, count);
  const mesh: Mesh = { ...source, ...grown, indices: Uint32Array.from(out), parts };
  return sortedAlongX(mesh);
}

/** The corners of a face that lie first and last along x, by number: where two do, on its right edge and on its left. */
function endsOf(face: readonly number[], positions: Float32Array, near: number) {
  const xs = face.map((v) => positions[v * 3]);
  const [least, most] = [Math.min(...xs), Math.max(...xs)];
  const isLow = (i: number) => xs[(i + face.length) % face.length] <= least + near;
  const isHigh = (i: number) => xs[(i + face.length) % face.length] >= most - near;
  const find = (is: (i: number) => boolean, beside: number) => xs.findIndex((_, i) => is(i) && !is(i + beside));
  return {
    low: { right: find(isLow, 1), left: find(isLow, -1) },
    high: { right: find(isHigh, -1), left: find(isHigh, 1) },
  };
}

/**
 * Whether a face looks down, or level and to the left. Opposite faces are cut the mirrored way, so that where a piece is twisted what the one gains
 * the other loses.
 */
function looksBack(face: readonly number[], positions: Float32Array): boolean {
  let [ny, nz, size] = [0, 0, 0];
  for (let i = 0; i < face.length; i++) {
    const [a, b] = [face[i] * 3, face[(i + 1) % face.length] * 3];
    const across = positions[a + 2] * positions[b] - positions[a] * positions[b + 2];
    const down = positions[a] * positions[b + 1] - positions[a + 1] * positions[b];
    [ny, nz, size] = [ny + across, nz + down, size + Math.abs(across) + Math.abs(down)];
  }
  return Math.abs(ny) > size * 1e-6 ? ny < 0 : nz < 0;
}

/** For every vertex the number of planes at or before it, and whether it lies on the last of them. */
function bandsOf(positions: Float32Array, planes: Float64Array, near: number): { band: Int32Array; on: Uint8Array } {
  const count = positions.length / 3;
  const band = new Int32Array(count);
  const on = new Uint8Array(count);
  for (let v = 0, k = 0; v < count; v++) {
    const x = positions[v * 3];
    while (k > 0 && planes[k - 1] > x + near) k--;
    while (k < planes.length && planes[k] <= x + near) k++;
    band[v] = k;
    on[v] = k > 0 && planes[k - 1] >= x - near ? 1 : 0;
  }
  return { band, on };
}

/** How many triangles {@link sliceSegment} would leave, found without cutting any. */
export function countSliced({ mesh, length }: PreparedSegment, planes: Float64Array, longest?: Float64Array): number {
  const { positions, indices } = mesh;
  const { band, on } = bandsOf(positions, planes, length * ON_PLANE_RELATIVE);
  const cuts = (p: number, q: number): number => {
    const [a, b] = positions[p * 3] < positions[q * 3] ? [p, q] : [q, p];
    const [first, end] = [band[a], band[b] - on[b]];
    if (!longest) return Math.max(end - first, 0);
    const over = positions[b * 3] - positions[a * 3];
    let found = 0;
    for (let k = first; k < end; k++) if (over > longest[k] * WHOLE) found++;
    return found;
  };
  let triangles = indices.length / 3;
  for (const part of mesh.parts) {
    const crossed: number[] = [];
    for (let i = part.start; i < part.start + part.count; i += 3) {
      const [a, b, c] = [indices[i], indices[i + 1], indices[i + 2]];
      const own = cuts(a, b) + cuts(b, c) + cuts(c, a);
      if (own > 0) crossed.push(i);
      triangles += own;
    }
    // The edge between two that are one face is not cut, on either side.
    for (const [a, , b] of flatPairs(mesh, crossed).faces) triangles -= 2 * cuts(a, b);
  }
  return triangles;
}

const NONE = [0, 0] as const;
/** Edges longer than what may stay whole by less than this share of it stay whole. */
const WHOLE = 1.001;

/** x of a new vertex. */
function planeOf({ source, added }: Growing, i: number): number {
  const [xp, xq] = [source.positions[added[i * 3] * 3], source.positions[added[i * 3 + 1] * 3]];
  return xp + (xq - xp) * added[i * 3 + 2];
}

function withAdded({ source, added }: Growing, count: number): Attributes {
  const grown = withVerticesBetween(source, added);
  const { normals } = grown;
  for (let i = 0; i < added.length; i += BETWEEN_STRIDE) {
    const at = (count + i / BETWEEN_STRIDE) * 3;
    const l = Math.hypot(normals[at], normals[at + 1], normals[at + 2]);
    // Half way between opposite normals there is none: the first one stays.
    for (let c = 0; c < 3; c++) normals[at + c] = l > 1e-6 ? normals[at + c] / l : source.normals[added[i] * 3 + c];
  }
  return grown;
}
