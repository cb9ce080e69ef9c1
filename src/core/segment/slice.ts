import { ON_PLANE_RELATIVE } from '../math/tolerance';
import type { Mesh, Part } from '../mesh/mesh';
import { reorderVertices } from '../mesh/reorder';
import { orderByX } from '../mesh/sort-by-x';
import type { PreparedSegment } from './prepare';
import { findRows } from './rows';

/** A triangle corner or cut on its way through {@link sliceMesh}. */
interface Growing {
  readonly source: Mesh;
  readonly added: number[]; // per new vertex: from, to, share
}

/**
 * Cuts the triangles of a segment by the planes x = planes[i] (ascending, metres). Every cut lies on an old edge and both
 * triangles of an edge get the same new vertex, so that seams stay closed; normals and texture coordinates run on linearly.
 * Linear in triangles plus cuts.
 */
export function sliceSegment(segment: PreparedSegment, planes: Float64Array): PreparedSegment {
  if (planes.length === 0) return segment;
  const mesh = sliceMesh(segment.mesh, planes, segment.length * ON_PLANE_RELATIVE);
  if (mesh === segment.mesh) return segment;
  return { ...segment, mesh, rows: findRows(mesh.positions, segment.length) };
}

function sliceMesh(source: Mesh, planes: Float64Array, near: number): Mesh {
  const { positions, indices } = source;
  const count = positions.length / 3;
  // Per vertex: number of planes at or before it, and whether it lies on the last of them.
  const band = new Int32Array(count);
  const on = new Uint8Array(count);
  for (let v = 0, k = 0; v < count; v++) {
    const x = positions[v * 3]!;
    while (k > 0 && planes[k - 1]! > x + near) k--;
    while (k < planes.length && planes[k]! <= x + near) k++;
    band[v] = k;
    on[v] = k > 0 && planes[k - 1]! >= x - near ? 1 : 0;
  }
  const growing: Growing = { source, added: [] };
  const cutsOf = new Map<number, number>();
  /** First of the new vertices on the edge a-b, in the order of the planes. */
  const cuts = (a: number, b: number): number => {
    const [p, q] =
      positions[a * 3]! < positions[b * 3]! || (positions[a * 3] === positions[b * 3] && a < b) ? [a, b] : [b, a];
    const key = p * count + q;
    const known = cutsOf.get(key);
    if (known !== undefined) return known;
    const first = count + growing.added.length / 3;
    const [xp, xq] = [positions[p * 3]!, positions[q * 3]!];
    for (let k = band[p]!; k < band[q]! - on[q]!; k++) growing.added.push(p, q, (planes[k]! - xp) / (xq - xp));
    cutsOf.set(key, first);
    return first;
  };
  const out: number[] = [];
  const parts: Part[] = [];
  let cut = false;
  for (const part of source.parts) {
    const start = out.length;
    for (let i = part.start; i < part.start + part.count; i += 3) {
      const [a, b, c] = [indices[i]!, indices[i + 1]!, indices[i + 2]!];
      const low = Math.min(band[a]!, band[b]!, band[c]!);
      const high = Math.max(band[a]! - on[a]!, band[b]! - on[b]!, band[c]! - on[c]!);
      if (high <= low) out.push(a, b, c);
      else {
        cut = true;
        sliceTriangle(out, a, b, c, low, high, band, on, cuts);
      }
    }
    parts.push({ ...part, start, count: out.length - start });
  }
  if (!cut) return source;
  const grown = withAdded(growing, count);
  const mesh: Mesh = { ...source, ...grown, indices: Uint32Array.from(out), parts };
  return reorderVertices(mesh, orderByX(mesh.positions));
}

/** Writes the triangles of one cut triangle: slab by slab, each slab's outline as a fan. */
function sliceTriangle(
  out: number[],
  a: number,
  b: number,
  c: number,
  low: number,
  high: number,
  band: Int32Array,
  on: Uint8Array,
  cuts: (a: number, b: number) => number,
): void {
  const corners = [a, b, c];
  const outline: number[] = [];
  for (let slab = low; slab <= high; slab++) {
    // Slab k lies between plane k - 1 and plane k.
    outline.length = 0;
    for (let i = 0; i < 3; i++) {
      const p = corners[i]!;
      const q = corners[(i + 1) % 3]!;
      const inSlab = band[p] === slab || (on[p] === 1 && band[p] === slab + 1);
      if (inSlab) outline.push(p);
      const [from, to] = [band[p]!, band[q]!];
      const [first, last] = from < to ? [from, to - on[q]!] : [to, from - on[p]!]; // planes first..last-1 cut this edge
      if (first >= last) continue;
      const base = cuts(p, q);
      const before = slab - 1; // the plane at the slab's start
      const lower = before >= first && before < last ? base + before - first : -1;
      const upper = slab >= first && slab < last ? base + slab - first : -1;
      if (from < to) {
        if (lower >= 0) outline.push(lower);
        if (upper >= 0) outline.push(upper);
      } else {
        if (upper >= 0) outline.push(upper);
        if (lower >= 0) outline.push(lower);
      }
    }
    for (let k = 1; k + 1 < outline.length; k++) out.push(outline[0]!, outline[k]!, outline[k + 1]!);
  }
}

function withAdded({ source, added }: Growing, count: number): Pick<Mesh, 'positions' | 'normals' | 'uvs' | 'colours'> {
  const total = count + added.length / 3;
  const positions = new Float32Array(total * 3);
  const normals = new Float32Array(total * 3);
  const uvs = new Float32Array(total * 2);
  positions.set(source.positions);
  normals.set(source.normals);
  uvs.set(source.uvs);
  const colours = source.colours && new Float32Array(total * 4);
  colours?.set(source.colours!);
  for (let i = 0; i < added.length; i += 3) {
    const [p, q, t] = [added[i]!, added[i + 1]!, added[i + 2]!];
    const v = count + i / 3;
    let l = 0;
    for (let c = 0; c < 3; c++) {
      const [pp, pq] = [source.positions[p * 3 + c]!, source.positions[q * 3 + c]!];
      positions[v * 3 + c] = pp + (pq - pp) * t;
      const n = source.normals[p * 3 + c]! * (1 - t) + source.normals[q * 3 + c]! * t;
      normals[v * 3 + c] = n;
      l += n * n;
    }
    // Half way between opposite normals there is none: the first one stays.
    for (let c = 0; c < 3; c++)
      normals[v * 3 + c] = l > 1e-12 ? normals[v * 3 + c]! / Math.sqrt(l) : source.normals[p * 3 + c]!;
    for (let c = 0; c < 2; c++) uvs[v * 2 + c] = source.uvs[p * 2 + c]! * (1 - t) + source.uvs[q * 2 + c]! * t;
    if (colours) {
      for (let c = 0; c < 4; c++)
        colours[v * 4 + c] = source.colours![p * 4 + c]! * (1 - t) + source.colours![q * 4 + c]! * t;
    }
  }
  return { positions, normals, uvs, ...(colours && { colours }) };
}
