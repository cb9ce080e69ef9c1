import { boxOf } from '../../mesh/box';
import { isClosed } from '../../mesh/is-closed';
import { volume } from '../../mesh/measure';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { PLAIN_MATERIAL } from '../../mesh/mesh';
import { addLump, type Lump } from './lump';

function lump(change: Partial<Lump> = {}) {
  const builder = new MeshBuilder([PLAIN_MATERIAL]);
  const plain: Lump = { size: [0.4, 0.3, 0.2], below: 0.1, rough: 0.2, hasEdges: false, halvings: 2, seed: 1 };
  addLump(builder, { part: 'Lump', material: 0 }, { ...plain, ...change });
  return builder.build();
}

describe('addLump', () => {
  it.each([1, 2, 9, 77])('is as large as it was asked for, stands where it should, and is closed: seed %i', (seed) => {
    for (const hasEdges of [true, false]) {
      const mesh = lump({ seed, hasEdges });
      const { min, max } = boxOf(mesh.positions);
      [0, -0.1, -0.1].forEach((value, axis) => expect(min[axis]).toBeCloseTo(value, 6));
      [0.4, 0.2, 0.1].forEach((value, axis) => expect(max[axis]).toBeCloseTo(value, 6));
      expect(isClosed(mesh)).toBe(true);
      expect(volume(mesh)).toBeGreaterThan(0.3 * 0.4 * 0.3 * 0.2);
    }
  });

  // Of an ellipsoid: 4/3 pi a b c; an octahedron halved three times has 0.98 of the ball's volume (measured on the unit ball).
  it('without roughness is an ellipsoid', () => {
    const ball = volume(lump({ rough: 0, halvings: 3 })) / ((4 / 3) * Math.PI * 0.2 * 0.15 * 0.1);
    expect(ball).toBeGreaterThan(0.96);
    expect(ball).toBeLessThan(1);
  });

  it('has four times as many triangles with every halving, and three vertices each where it has edges', () => {
    const counts = [0, 1, 2].map((halvings) => lump({ halvings }).indices.length / 3);
    expect(counts).toEqual([8, 32, 128]);
    const broken = lump({ halvings: 1, hasEdges: true });
    expect(broken.positions.length / 3).toBe(32 * 3);
    // Flat: all three normals of a face are one.
    for (let i = 0; i < broken.indices.length; i += 3) {
      const [a, b] = [broken.indices[i], broken.indices[i + 1]];
      for (let c = 0; c < 3; c++) expect(broken.normals[a * 3 + c]).toBe(broken.normals[b * 3 + c]);
    }
  });

  it('is another one for another seed, and the same for the same', () => {
    expect(lump({ seed: 5 }).positions).toEqual(lump({ seed: 5 }).positions);
    expect(lump({ seed: 6 }).positions).not.toEqual(lump({ seed: 5 }).positions);
  });
});
