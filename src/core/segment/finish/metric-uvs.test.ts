import type { Mesh } from '../../mesh/mesh';
import { PLAIN_MATERIAL } from '../../mesh/mesh';
import { applyFinishes } from './apply-finishes';
import type { FinishSpec } from './finish-spec';

/** A strip of 4 m by 6 m on the ground, along x, with texture coordinates by a rule. */
function strip(uvAt: (x: number, z: number) => [number, number]): Mesh {
  const corners = [[0, -3], [4, -3], [4, 3], [0, 3]] as const; // prettier-ignore
  return {
    positions: Float32Array.from(corners.flatMap(([x, z]) => [x, 0, z])),
    normals: Float32Array.from(corners.flatMap(() => [0, 1, 0])),
    uvs: Float32Array.from(corners.flatMap(([x, z]) => uvAt(x, z))),
    indices: Uint32Array.of(0, 2, 1, 0, 3, 2),
    parts: [{ name: 'Road', material: 0, start: 0, count: 6 }],
    materials: [PLAIN_MATERIAL],
    images: [],
  };
}
const finish: FinishSpec = {
  part: 'Road',
  colour: '#808080',
  roughness: 0.5,
  metalness: 0,
  bump: 1,
  texture: { from: 'pattern', pattern: 'asphalt', seed: 1, contrast: 0.5 },
  repeat: 2,
  turn: 0,
  shiftAlong: 0,
  shiftRound: 0,
  fit: 'whole',
};
const image = { colour: { name: 'a', mime: 'image/png' as const, bytes: new Uint8Array(1) } };

/** How many repeats lie between the strip's start and its end, and across it. */
function repeats(mesh: Mesh): [number, number] {
  const done = applyFinishes(mesh, 4, [finish], () => image, true);
  const { scale } = done.materials.at(-1)!.textureTransform!;
  const at = (v: number, k: number) => done.uvs[v * 2 + k] * scale[k];
  return [at(1, 0) - at(0, 0), at(3, 1) - at(0, 1)];
}

describe('a texture on a brought mesh', () => {
  it.each([
    ['u along, once over all', (x: number, z: number): [number, number] => [x / 4, z / 6]],
    ['v along, four times', (x: number, z: number): [number, number] => [z / 6 + 0.5, 1 - x]],
    ['backwards, in other units', (x: number, z: number): [number, number] => [-40 * x, 25 * z]],
    ['none at all', (): [number, number] => [0, 0]],
  ])('repeats every 2 m along and across, whatever its coordinates counted: %s', (_, uvAt) => {
    const [along, across] = repeats(strip(uvAt));
    expect(along).toBeCloseTo(2, 5);
    expect(Math.abs(across)).toBeCloseTo(3, 5);
  });

  it('is held once where several parts wear it', () => {
    const mesh = strip((x, z) => [x, z]);
    const parts = ['A', 'B', 'C'].map((name) => ({ ...mesh.parts[0], name }));
    const finishes = parts.map(({ name }) => ({ ...finish, part: name }));
    const done = applyFinishes({ ...mesh, parts }, 4, finishes, () => image, true);
    expect(done.images).toHaveLength(1);
    expect(new Set(done.parts.map(({ material }) => material)).size).toBe(3);
  });
});
