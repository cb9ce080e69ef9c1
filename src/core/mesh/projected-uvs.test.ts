import { makeSegmentMesh, maker, type MakerSpec } from '../segment/registry';
import { projectedUvs } from './projected-uvs';

const made = (kind: MakerSpec['kind'], change: object) => makeSegmentMesh({ ...(maker(kind).defaults as object), ...change } as MakerSpec); // prettier-ignore

/** For every triangle its area in the texture over its own, and how its longest edge came out. */
function scales({ positions: p, normals, indices }: ReturnType<typeof made>): { area: number; edge: number }[] {
  const uvs = projectedUvs(p, normals);
  return Array.from({ length: indices.length / 3 }, (_, t) => {
    const [a, b, c] = [0, 1, 2].map((k) => indices[t * 3 + k]) as [number, number, number];
    const edge = (v: number, w: number) => [0, 1, 2].map((k) => p[w * 3 + k] - p[v * 3 + k]);
    const [e, f] = [edge(a, b), edge(a, c)];
    const cross = Math.hypot(e[1] * f[2] - e[2] * f[1], e[2] * f[0] - e[0] * f[2], e[0] * f[1] - e[1] * f[0]);
    const flat = (v: number, w: number) => [uvs[w * 2] - uvs[v * 2], uvs[w * 2 + 1] - uvs[v * 2 + 1]];
    const [g, h] = [flat(a, b), flat(a, c)];
    return { area: Math.abs(g[0] * h[1] - g[1] * h[0]) / cross, edge: Math.hypot(...g) / Math.hypot(...e) };
  });
}

describe('projectedUvs', () => {
  it('counts metres on what lies flat and on what stands, whichever way that looks', () => {
    const block = made('plank', { length: 2, width: 0.6, thickness: 0.4 });
    const isAlongAxis = (v: number) => Math.max(...block.normals.subarray(v * 3, v * 3 + 3).map(Math.abs)) > 0.999;
    const faces = scales(block).filter((_, t) => isAlongAxis(block.indices[t * 3])); // not the bevels
    expect(faces.length).toBeGreaterThan(10);
    for (const { area, edge } of faces) {
      expect(area).toBeCloseTo(1, 5);
      expect(edge).toBeCloseTo(1, 5);
    }
  });

  // A wall turned by half of a sixteenth of a turn off its direction is seen at a cosine of 11.25 degrees.
  it('is off by the cosine of 11.25 degrees at the most on round walls', () => {
    const { positions, normals, indices, ...rest } = made('tube', { length: 1, radius: 0.5, sides: 64 });
    // Stood up: x becomes y.
    const stand = (values: Float32Array) => values.map((_, i) => (i % 3 === 0 ? -values[i + 1] : i % 3 === 1 ? values[i - 1] : values[i])); // prettier-ignore
    const upright = { ...rest, positions: stand(positions), normals: stand(normals), indices };
    const walls = indices.filter((_, i) => i % 3 === 0).length;
    const found = scales(upright).filter(({ area }) => Number.isFinite(area));
    expect(found.length).toBe(walls);
    const least = Math.cos(Math.PI / 16);
    const lower = found.filter(({ area }) => area < least - 0.01).length;
    // Faces between two directions wear either side's: one column of two triangles each.
    expect(lower).toBeLessThanOrEqual(16 * 2);
  });
});
