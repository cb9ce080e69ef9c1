import { PLAIN_FINISH } from '../project/defaults';
import type { Guide } from '../project/schema';
import { loadFrom } from './bake';
import { Deriver } from './derive';
import { guideMeshes } from './guide-meshes';

const deriver = new Deriver(loadFrom(new Map()));
const box = (change: Partial<Guide>): Guide => ({
  ...{ id: 'g', name: 'Wall', visible: true, position: [2, 0, 0], turn: [0, 0, 0], clearance: null },
  ...{ shape: { from: 'body', kind: 'box', sizes: { x: 1, y: 2, z: 3 } } },
  ...change,
});
const texture = { from: 'pattern', pattern: 'stones', seed: 1, contrast: 0.5 } as const;

describe('guideMeshes', () => {
  it('are pale where nothing is said of how they look', async () => {
    const [{ name, mesh }] = await guideMeshes([box({})], deriver);
    expect([name, mesh.materials.length, mesh.images.length]).toEqual(['Wall', 1, 0]);
    expect(mesh.uvs.every((value) => value === 0)).toBe(true);
  });

  it('look in a file as they do in the picture: colour, and a pattern by the metre', async () => {
    const [{ mesh }] = await guideMeshes([box({ finish: { ...PLAIN_FINISH, colour: '#804020', texture, repeat: 2 } })], deriver); // prettier-ignore
    const [material] = mesh.materials;
    expect(material.colour[0]).toBeGreaterThan(material.colour[2]);
    expect(mesh.images[material.colourImage!].mime).toBe('image/png');
    expect(material.textureTransform!.scale).toEqual([0.5, 0.5]);
    expect(Math.max(...mesh.uvs) - Math.min(...mesh.uvs)).toBeGreaterThan(2.9);
  });

  it('far from the world’s origin count from themselves', async () => {
    const [{ mesh, origin }] = await guideMeshes([box({ position: [1e6, 0, 0], finish: PLAIN_FINISH })], deriver);
    expect(origin).toEqual([1e6, 0, 0]);
    expect(Math.max(...mesh.positions)).toBeLessThan(10);
  });
});
