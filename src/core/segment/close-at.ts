import { eachEdge } from '../mesh/edges';
import earcut from 'earcut';
import { placeOf } from '../mesh/is-closed';
import type { Mesh } from '../mesh/mesh';

interface Loop {
  readonly vertices: number[];
  /** z, y of each vertex. */
  readonly points: (readonly [number, number])[];
  readonly area: number;
  readonly material: number;
}

/**
 * Adds flat faces over the open edges in the plane x = `at`, looking along x (`facing` 1) or back (-1). Edges within `near` metres of the
 * plane count; faces wear the material of the edge they start from.
 */
export function closeAt(mesh: Mesh, at: number, near: number, facing: 1 | -1): Mesh {
  const loops = openLoops(mesh, at, near).sort((a, b) => Math.abs(b.area) - Math.abs(a.area));
  const positions = Array.from(mesh.positions);
  const normals = Array.from(mesh.normals);
  const uvs = Array.from(mesh.uvs);
  const colours = mesh.colours && Array.from(mesh.colours);
  const indices = Array.from(mesh.indices);
  const parts = [...mesh.parts];
  const depth = loops.map((loop, i) => loops.slice(0, i).filter((outer) => contains(outer, loop.points[0])).length);
  loops.forEach((outer, i) => {
    if (depth[i] % 2 === 1) return;
    const holes = loops.filter((hole, k) => depth[k] === depth[i] + 1 && contains(outer, hole.points[0]));
    const rings = [outer, ...holes];
    const flat = rings.flatMap((ring) => ring.points.flat());
    const holeStarts: number[] = [];
    let count = outer.points.length;
    for (const hole of holes) {
      holeStarts.push(count);
      count += hole.points.length;
    }
    const base = positions.length / 3;
    for (const ring of rings) {
      for (const [z, y] of ring.points) {
        positions.push(at, y, z);
        normals.push(facing, 0, 0);
        uvs.push(z, y);
        colours?.push(1, 1, 1, 1);
      }
    }
    const start = indices.length;
    const triangles = earcut(flat, holeStarts);
    for (let t = 0; t < triangles.length; t += 3) {
      const [a, b, c] = [triangles[t], triangles[t + 1], triangles[t + 2]];
      const z = (k: number) => flat[k * 2];
      const y = (k: number) => flat[k * 2 + 1];
      const turn = (z(b) - z(a)) * (y(c) - y(a)) - (y(b) - y(a)) * (z(c) - z(a));
      // Looking along +x: from y to z.
      if (turn * facing < 0) indices.push(base + a, base + b, base + c);
      else indices.push(base + a, base + c, base + b);
    }
    parts.push({ name: 'Cut', material: outer.material, start, count: indices.length - start });
  });
  return {
    ...mesh,
    positions: Float32Array.from(positions),
    normals: Float32Array.from(normals),
    uvs: Float32Array.from(uvs),
    ...(colours && { colours: Float32Array.from(colours) }),
    indices: Uint32Array.from(indices),
    parts,
  };
}

/** The open edges in the plane, joined into loops. */
function openLoops(mesh: Mesh, at: number, near: number): Loop[] {
  const { positions, indices } = mesh;
  const places = placeOf(positions);
  const onPlane = (v: number) => Math.abs(positions[v * 3] - at) <= near;
  const next = new Map<number, { to: number; material: number }[]>();
  const take = (a: number, b: number) => {
    const list = next.get(a);
    const k = list?.findIndex((edge) => edge.to === b) ?? -1;
    if (list && k >= 0) list.splice(k, 1);
    return k >= 0;
  };
  for (const { start, count, material } of mesh.parts) {
    const open = (a: number, b: number) => {
      if (!onPlane(a) || !onPlane(b) || take(b, a)) return; // the neighbour runs the edge the other way: not open
      const list = next.get(a) ?? [];
      list.push({ to: b, material });
      next.set(a, list);
    };
    eachEdge(indices, places, open, [start, start + count]);
  }
  const loops: Loop[] = [];
  for (const [start, edges] of next) {
    while (edges.length > 0) {
      const vertices: number[] = [];
      let v = start;
      let material = edges[0].material;
      for (;;) {
        const edge = next.get(v)?.pop();
        if (!edge) break;
        material = edge.material;
        vertices.push(v);
        v = edge.to;
        if (v === start) break;
      }
      if (vertices.length < 3) continue;
      const points = vertices.map((k) => [positions[k * 3 + 2], positions[k * 3 + 1]] as const);
      loops.push({ vertices, points, area: signedArea(points), material });
    }
  }
  return loops;
}

function signedArea(points: readonly (readonly [number, number])[]): number {
  let twice = 0;
  points.forEach(([z, y], i) => {
    const [z1, y1] = points[(i + 1) % points.length];
    twice += z * y1 - z1 * y;
  });
  return twice / 2;
}

/** Even-odd rule. */
function contains(loop: Loop, [z, y]: readonly [number, number]): boolean {
  let inside = false;
  loop.points.forEach(([za, ya], i) => {
    const [zb, yb] = loop.points[(i + 1) % loop.points.length];
    if (ya > y !== yb > y && z < za + ((zb - za) * (y - ya)) / (yb - ya)) inside = !inside;
  });
  return inside;
}
