import fc from 'fast-check';
import { MeshoptSimplifier } from 'meshoptimizer/simplifier';
import { BoxGeometry, IcosahedronGeometry, type BufferGeometry } from 'three';
import { mergeVertices, toCreasedNormals } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import { area, volume } from '../measure';
import { PLAIN_MATERIAL, type Mesh } from '../mesh';
import { makeSegmentMesh } from '../../segment/registry';
import { CLEAN_DEFAULTS } from './clean-spec';
import { cleanMesh } from './clean-mesh';
import { creaseNormals } from './crease-normals';
import { meshFigures } from './figures';
import { dropSpecks, looseParts } from './loose-parts';
import { nearPlaces } from './near-places';
import { samePlaces } from './same-places';
import { subdivide } from './subdivide';
import { thinOut } from './thin-out';
import { weld } from './weld';

const meshOf = (geometry: BufferGeometry): Mesh => {
  const positions = Float32Array.from(geometry.getAttribute('position').array);
  const count = positions.length / 3;
  const indices = geometry.index
    ? Uint32Array.from(geometry.index.array)
    : Uint32Array.from({ length: count }, (_, i) => i);
  return {
    positions,
    normals: Float32Array.from(geometry.getAttribute('normal').array),
    uvs: Float32Array.from(geometry.getAttribute('uv').array),
    indices,
    parts: [{ name: 'All', material: 0, start: 0, count: indices.length }],
    materials: [PLAIN_MATERIAL],
    images: [],
  };
};
const join = (a: Mesh, b: Mesh): Mesh => {
  const base = a.positions.length / 3;
  const both = (key: 'positions' | 'normals' | 'uvs') => Float32Array.from([...a[key], ...b[key]]);
  const indices = Uint32Array.from([...a.indices, ...b.indices.map((v) => v + base)]);
  const parts = [{ name: 'All', material: 0, start: 0, count: indices.length }];
  return { ...a, positions: both('positions'), normals: both('normals'), uvs: both('uvs'), indices, parts };
};
const moved = (mesh: Mesh, x: number, scale = 1): Mesh => ({
  ...mesh,
  positions: mesh.positions.map((v, i) => v * scale + (i % 3 === 0 ? x : 0)),
});
const sphere = meshOf(new IcosahedronGeometry(1, 6));

describe('nearPlaces', () => {
  it('finds what a search through all pairs finds to be within reach, and nothing farther', () => {
    const points = fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 9, maxLength: 180 });
    fc.assert(
      fc.property(points, fc.double({ min: 1e-3, max: 0.3, noNaN: true }), (numbers, tolerance) => {
        const positions = Float32Array.from(numbers.slice(0, numbers.length - (numbers.length % 3)));
        const found = nearPlaces(positions, tolerance);
        const apart = (a: number, b: number) =>
          Math.hypot(...[0, 1, 2].map((c) => positions[a * 3 + c] - positions[b * 3 + c]));
        found.forEach((place, v) => {
          if (place !== v) expect(apart(place, v)).toBeLessThanOrEqual(tolerance * (1 + 1e-6));
          else
            for (let o = 0; o < v; o++) if (found[o] === o) expect(apart(o, v)).toBeGreaterThan(tolerance * (1 - 1e-6));
        });
      }),
    );
  });
});

describe('samePlaces', () => {
  it('finds the first of the vertices in exactly one place, as a map of their numbers does', async () => {
    const whole = fc.array(fc.constantFrom(0, -0, 1, 2, 1e-30, -3.5), { minLength: 3, maxLength: 300 });
    await fc.assert(
      fc.asyncProperty(whole, async (numbers) => {
        const positions = Float32Array.from(numbers.slice(0, numbers.length - (numbers.length % 3)));
        const first = new Map<string, number>();
        const wanted = Array.from({ length: positions.length / 3 }, (_, v) => {
          const place = Array.from(positions.subarray(v * 3, v * 3 + 3), (x) => x + 0).join();
          return first.get(place) ?? (first.set(place, v), v);
        });
        expect([...(await samePlaces(positions))]).toEqual(wanted);
      }),
    );
  });
});

describe('weld', () => {
  it('leaves as many vertices as three does, and the surface as it was', async () => {
    const loose = meshOf(new BoxGeometry(1, 2, 3, 4, 4, 4).toNonIndexed());
    const welded = await weld(loose, 1e-5);
    const theirs = mergeVertices(new BoxGeometry(1, 2, 3, 4, 4, 4).toNonIndexed(), 1e-5);
    expect(welded.positions.length / 3).toBe(theirs.getAttribute('position').count);
    expect(volume(welded)).toBeCloseTo(volume(loose), 6);
  });

  it('closes a crack narrower than its tolerance and drops what has no area left', async () => {
    const cracked = { ...sphere, positions: sphere.positions.map((v, i) => v + ((i * 7) % 5) * 1e-5) };
    expect((await meshFigures(cracked)).openEdges).toBeGreaterThan(0);
    const welded = await weld(cracked, 2e-4);
    expect(await meshFigures(welded)).toMatchObject({ openEdges: 0, crowdedEdges: 0, looseParts: 1 });
    expect(await meshFigures(await weld(sphere, 10))).toMatchObject({ triangles: 0 });
  });
});

describe('loose parts', () => {
  const three = join(join(sphere, moved(sphere, 5, 0.01)), moved(sphere, 9, 0.5));
  it('are counted, from the largest on', async () => {
    const { count, areas } = await looseParts(three);
    expect(count).toBe(3);
    expect(areas[0] / area(sphere)).toBeCloseTo(1, 5);
    expect(areas[1] / areas[0]).toBeCloseTo(0.25, 5);
    expect(areas[2] / areas[0]).toBeCloseTo(0.0001, 7);
  });

  it('lose the specks among them', async () => {
    const clean = await dropSpecks(three, 0.01);
    expect((await meshFigures(clean)).looseParts).toBe(2);
    expect(clean.positions.length).toBe((three.positions.length / 3) * 2);
  });
});

describe('creaseNormals', () => {
  // three's toCreasedNormals, on faces that are all apart.
  it.each([20, 60, 100])('of a cylinder-like tube agree with three at %d degrees', async (degrees) => {
    const angle = (degrees * Math.PI) / 180;
    const tube = makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.3, sides: 12 });
    const made = await creaseNormals(tube, angle);
    expect([...made.indices.map((v) => made.positions[v * 3])]).toEqual([
      ...tube.indices.map((v) => tube.positions[v * 3]),
    ]);
    const loose = meshOf(new IcosahedronGeometry(1, 2));
    const ours = await creaseNormals(loose, angle);
    const theirs = toCreasedNormals(new IcosahedronGeometry(1, 2), angle).getAttribute('normal').array;
    for (let i = 0; i < ours.indices.length; i++) {
      // They weigh faces alike, we by their angle at the vertex: within a few degrees.
      const [a, b] = [ours.indices[i] * 3, i * 3];
      const dot = [0, 1, 2].reduce((sum, c) => sum + ours.normals[a + c] * theirs[b + c], 0);
      expect(dot).toBeGreaterThan(0.995);
    }
  });

  it('keeps the edges of a box and gives one normal to each of its sides', async () => {
    const box = await creaseNormals(await weld(meshOf(new BoxGeometry(1, 1, 1)), 0), Math.PI / 3);
    expect(box.positions.length / 3).toBe(24);
    box.normals.forEach((n) => expect([0, 1]).toContain(Math.round(Math.abs(n) * 1e6) / 1e6));
  });
});

describe('subdivide', () => {
  it('makes four triangles of each and stays closed', async () => {
    const once = await subdivide(sphere);
    expect(once.indices.length).toBe(sphere.indices.length * 4);
    expect(await meshFigures(once)).toMatchObject({ openEdges: 0, crowdedEdges: 0 });
  });

  // Limit of a regular vertex: C. Loop 1987; J. Warren's beta = 3/16 for n = 3. A tetrahedron's corner v with neighbours' sum -v
  // moves to (1 - 9/16) v - 3/16 v = v / 4.
  it("moves a tetrahedron's corners to a quarter, its edges' middles to a quarter too", async () => {
    const p = [1, 1, 1, 1, -1, -1, -1, 1, -1, -1, -1, 1];
    const solid: Mesh = {
      ...sphere,
      positions: Float32Array.from(p),
      normals: Float32Array.from(p),
      uvs: new Float32Array(8),
      indices: Uint32Array.from([0, 1, 2, 0, 3, 1, 0, 2, 3, 1, 3, 2]),
      parts: [{ name: 'All', material: 0, start: 0, count: 12 }],
    };
    const once = await subdivide(solid);
    for (let i = 0; i < 12; i++) expect(once.positions[i]).toBeCloseTo(p[i] / 4, 6);
    // 3/8 (a + b) + 1/8 (c + d) with a + b = -(c + d) is a quarter of a + b.
    const [a, b] = [p.slice(0, 3), p.slice(3, 6)];
    expect([...once.positions.slice(12, 15)]).toEqual(a.map((v, c) => (v + b[c]) / 4));
  });

  it('keeps a flat sheet flat and its straight outline where it is', async () => {
    const plank = makeSegmentMesh({ kind: 'plank', length: 2, width: 1, thickness: 0.1 });
    const grid: Mesh = {
      ...plank,
      positions: Float32Array.from([0, 0, 0, 1, 0, 0, 2, 0, 0, 0, 0, 1, 1, 0, 1, 2, 0, 1]),
      normals: Float32Array.from({ length: 18 }, (_, i) => (i % 3 === 1 ? 1 : 0)),
      uvs: new Float32Array(12),
      indices: Uint32Array.from([0, 3, 1, 1, 3, 4, 1, 4, 2, 2, 4, 5]),
      parts: [{ name: 'All', material: 0, start: 0, count: 12 }],
    };
    const once = await subdivide(grid);
    for (let i = 1; i < once.positions.length; i += 3) expect(once.positions[i]).toBe(0);
    expect(Math.abs(once.positions[3] - 1)).toBeLessThan(1e-6);
  });
});

describe('thinOut', () => {
  it('keeps about the share asked for, closed, and near the surface', async () => {
    await MeshoptSimplifier.ready;
    const welded = await weld(sphere, 1e-6);
    const dense = await subdivide(await subdivide(welded));
    const thin = await thinOut(dense, 0.25);
    expect(thin.indices.length / dense.indices.length).toBeLessThan(0.3);
    expect(thin.indices.length / dense.indices.length).toBeGreaterThan(0.2);
    expect((await meshFigures(thin)).openEdges).toBe(0);
    expect(volume(thin) / volume(dense)).toBeCloseTo(1, 2);
  });
});

describe('cleanMesh', () => {
  it('tells what was there before and what is left', async () => {
    const dirty = join(join(sphere, moved(sphere, 0, -1)), moved(sphere, 5, 0.01));
    const { before, after } = await cleanMesh(dirty, { ...CLEAN_DEFAULTS, weld: 1e-6, specks: 0.01, crease: 1 }, 1);
    expect(before.looseParts).toBeGreaterThan(1);
    expect(after.triangles).toBeLessThan(before.triangles);
    expect(after.vertices).toBeLessThan(before.vertices);
  });

  it('turns an inside-out mesh, and leaves a mesh alone where nothing is asked', async () => {
    const inside = { ...sphere, indices: sphere.indices.slice().reverse() };
    expect((await meshFigures(inside)).isInsideOut).toBe(true);
    const { mesh, after } = await cleanMesh(inside, { ...CLEAN_DEFAULTS, insideOut: true }, 1);
    expect(volume(mesh)).toBeCloseTo(volume(sphere), 5);
    expect(after.isInsideOut).toBe(false);
    expect((await cleanMesh(sphere, CLEAN_DEFAULTS, 1)).mesh).toBe(sphere);
  });
});
