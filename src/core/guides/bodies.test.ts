import { manifoldOf } from '../testing/manifold';
import { buildGuide } from './build-guide';
import { GUIDE_BODIES, type GuideBodyName } from './guide-spec';

const built = (kind: GuideBodyName, sizes: Record<string, number> = {}) =>
  buildGuide({ shape: { from: 'body', kind, sizes }, position: [0, 0, 0], turn: [0, 0, 0], clearance: null });

/** Six times the volume of what triangles enclose, by the divergence theorem; above 0 where they are seen from outside. */
function enclosed({ positions: p, indices }: ReturnType<typeof built>): number {
  let sum = 0;
  for (let i = 0; i < indices.length; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => indices[i + k] * 3);
    sum +=
      p[a] * (p[b + 1] * p[c + 2] - p[b + 2] * p[c + 1]) +
      p[a + 1] * (p[b + 2] * p[c] - p[b] * p[c + 2]) +
      p[a + 2] * (p[b] * p[c + 1] - p[b + 1] * p[c]);
  }
  return sum / 6;
}

describe('a simple body', () => {
  const SOLID = GUIDE_BODIES.filter(({ isOpen, kind }) => !isOpen && kind !== 'stage').map(({ kind }) => kind);

  it.each(SOLID)('%s is closed, and seen from outside', async (kind) => {
    const mesh = built(kind);
    expect(enclosed(mesh)).toBeGreaterThan(0);
    const solid = await manifoldOf(mesh);
    expect(solid.genus()).toBeLessThanOrEqual(1); // a wheel has a hole
    expect(solid.volume() / enclosed(mesh)).toBeCloseTo(1, 3);
  });

  it.each(GUIDE_BODIES.map(({ kind }) => kind))('%s has normals that look the way its triangles do', (kind) => {
    const { positions: p, normals: n, indices } = built(kind);
    let [against, all] = [0, 0];
    for (let i = 0; i < indices.length; i += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => indices[i + k] * 3);
      const [u, v] = [0, 1].map((k) => [0, 1, 2].map((d) => p[(k ? c : b) + d] - p[a + d]));
      const normal = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
      const area = Math.hypot(...normal);
      all += area;
      if (normal[0] * n[a] + normal[1] * n[a + 1] + normal[2] * n[a + 2] < 0) against += area;
    }
    expect(against / all).toBeLessThan(1e-6);
  });

  it('gable holds half of the box about it, but for its eaves', () => {
    const { box } = built('gable', { x: 4, y: 2, z: 3 });
    expect([box.max[0] - box.min[0], box.max[1], box.max[2] - box.min[2]]).toEqual([4, 2, 3]);
    // A prism over a pentagon: half the box, and the triangle under the eaves' edge twice (elementary geometry).
    expect(enclosed(built('gable', { x: 4, y: 2, z: 3 }))).toBeCloseTo(4 * (3 * 0.08 + (3 * (2 - 0.08)) / 2), 5);
  });

  it('mound has a level top as high as was asked for, and a foot on its origin', () => {
    const mound = built('mound', { x: 40, y: 2, z: 30, bank: 5, rough: 0.05 });
    const heights = Array.from({ length: mound.positions.length / 3 }, (_, i) => [0, 1, 2].map((c) => mound.positions[i * 3 + c])); // prettier-ignore
    const top = heights.filter(([x, y, z]) => y > 0 && Math.hypot(x / 10, z / 8) < 1).map(([, y]) => y);
    expect(top.length).toBeGreaterThan(100);
    for (const y of top) expect(Math.abs(y - 2)).toBeLessThanOrEqual(0.05 + 1e-6);
    expect(mound.box.min[1]).toBeCloseTo(0, 6);
    const other = built('mound', { x: 40, y: 2, z: 30, bank: 5, rough: 0.05, seed: 9 });
    expect(other.positions).not.toEqual(mound.positions);
    expect(built('mound', { seed: 9 }).positions).toEqual(built('mound', { seed: 9 }).positions);
  });

  it('stage stands on piles, its boards at the height that was asked for', () => {
    const { box } = built('stage', { x: 9, y: 1.6, z: 3 });
    expect([box.min[1], box.max[1]]).toEqual([0, expect.closeTo(1.6, 6)]);
  });
});
