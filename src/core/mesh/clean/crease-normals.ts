import { gatherVertices } from '../attributes';
import { faceNormal } from '../measure';
import type { Mesh } from '../mesh';
import { samePlaces } from './same-places';

/**
 * Normals computed anew: faces that meet at less than `angle` radians share theirs, weighted by their angle at the vertex; sharper
 * edges get vertices of their own.
 */
export async function creaseNormals(mesh: Mesh, angle: number): Promise<Mesh> {
  const { positions: p, indices } = mesh;
  const places = await samePlaces(p);
  const corners = indices.length;
  const faces = faceNormals(mesh);
  const weights = cornerAngles(mesh);
  // Corners of one place in a list.
  const first = new Int32Array(places.length).fill(-1);
  const next = new Int32Array(corners);
  for (let i = 0; i < corners; i++) {
    const place = places[indices[i]];
    next[i] = first[place]!;
    first[place] = i;
  }
  const least = Math.cos(angle) - 1e-9;
  const normals: number[] = [];
  const source: number[] = [];
  const made = new Map<number, number[]>(); // old vertex: its new ones
  const out = new Uint32Array(corners);
  for (let i = 0; i < corners; i++) {
    const own = Math.floor(i / 3) * 3;
    let [x, y, z] = [0, 0, 0];
    for (let j = first[places[indices[i]]]; j >= 0; j = next[j]!) {
      const f = Math.floor(j / 3) * 3;
      const cos = faces[own] * faces[f] + faces[own + 1] * faces[f + 1] + faces[own + 2] * faces[f + 2];
      if (cos < least && f !== own) continue;
      x += faces[f] * weights[j];
      y += faces[f + 1] * weights[j];
      z += faces[f + 2] * weights[j];
    }
    const l = Math.hypot(x, y, z);
    const n = l > 1e-12 ? [x / l, y / l, z / l] : [faces[own], faces[own + 1], faces[own + 2]];
    const v = indices[i];
    const list = made.get(v) ?? [];
    let twin = list.find(
      (k) => n[0] * normals[k * 3] + n[1] * normals[k * 3 + 1] + n[2] * normals[k * 3 + 2] > 0.99999,
    );
    if (twin === undefined) {
      twin = source.length;
      source.push(v);
      normals.push(n[0], n[1], n[2]);
      made.set(v, [...list, twin]);
    }
    out[i] = twin;
  }
  return {
    ...mesh,
    ...gatherVertices(mesh, source),
    normals: Float32Array.from(normals),
    indices: out,
  };
}

/** Unit normals, three numbers a triangle; up for triangles without area. */
function faceNormals({ positions: p, indices }: Mesh): Float64Array {
  const normals = new Float64Array(indices.length);
  for (let i = 0; i < indices.length; i += 3) {
    const [a, b, c] = [indices[i] * 3, indices[i + 1] * 3, indices[i + 2] * 3];
    const [x, y, z] = faceNormal(p, a, b, c);
    const l = Math.hypot(x, y, z);
    normals[i] = l > 0 ? x / l : 0;
    normals[i + 1] = l > 0 ? y / l : 1;
    normals[i + 2] = l > 0 ? z / l : 0;
  }
  return normals;
}

/** The angle of every corner, radians. */
function cornerAngles({ positions: p, indices }: Mesh): Float64Array {
  const angles = new Float64Array(indices.length);
  for (let i = 0; i < indices.length; i++) {
    const start = i - (i % 3);
    const k = i - start;
    const [a, b, c] = [i, start + ((k + 1) % 3), start + ((k + 2) % 3)].map((j) => indices[j] * 3) as [
      number,
      number,
      number,
    ];
    const [ux, uy, uz] = [p[b] - p[a], p[b + 1] - p[a + 1], p[b + 2] - p[a + 2]];
    const [vx, vy, vz] = [p[c] - p[a], p[c + 1] - p[a + 1], p[c + 2] - p[a + 2]];
    const l = Math.hypot(ux, uy, uz) * Math.hypot(vx, vy, vz);
    angles[i] = l > 0 ? Math.acos(Math.min(Math.max((ux * vx + uy * vy + uz * vz) / l, -1), 1)) : 0;
  }
  return angles;
}
