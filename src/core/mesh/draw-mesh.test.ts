import { boxedBody } from '../guides/boxed-body';
import { turnedBody } from '../guides/turned-body';
import type { Vec3 } from '../math/vec3';
import { drawMeshes, type Picture } from './draw-mesh';
import { PLAIN_MATERIAL, type Mesh } from './mesh';

const painted = (body: Pick<Mesh, 'positions' | 'normals' | 'indices'>, colour: Vec3): Mesh => ({
  ...body,
  uvs: new Float32Array((body.positions.length / 3) * 2),
  parts: [{ name: 'All', material: 0, start: 0, count: body.indices.length }],
  materials: [{ ...PLAIN_MATERIAL, colour: [...colour, 1] }],
  images: [],
});
const RED: Vec3 = [0.8, 0, 0];
const BLUE: Vec3 = [0, 0, 0.8];
const at = ({ width, data }: Picture, x: number, y: number) => [...data.subarray((y * width + x) * 4, (y * width + x) * 4 + 4)]; // prettier-ignore
const covered = ({ data }: Picture) => data.reduce((sum, value, i) => sum + (i % 4 === 3 ? value / 255 : 0), 0);
const cube = painted(boxedBody([-1, -1, -1], [1, 1, 1]), RED);

describe('drawMeshes', () => {
  it('fills the picture with what it draws, in its middle, and leaves the rest open', () => {
    const picture = drawMeshes([{ mesh: cube }], { width: 60, height: 40, towards: [0, 0, 1] });
    // A square as high as nine tenths of the picture.
    expect(covered(picture) / (36 * 36)).toBeCloseTo(1, 1);
    expect(at(picture, 30, 20)[0]).toBeGreaterThan(80);
    expect(at(picture, 2, 20)[3]).toBe(0);
  });

  it('covers as much as a ball does: pi r r', () => {
    const ball = painted(turnedBody(Array.from({ length: 33 }, (_, i) => ({ r: Math.sin((Math.PI * i) / 32), y: -Math.cos((Math.PI * i) / 32) }))), BLUE); // prettier-ignore
    const picture = drawMeshes([{ mesh: ball }], { width: 80, height: 80, towards: [1, 2, 3] });
    expect(covered(picture) / (Math.PI * 36 * 36)).toBeCloseTo(1, 1);
  });

  it('draws what is nearer over what is farther off, whatever comes first', () => {
    const [near, far]: Vec3[] = [[0, 0, 2], [0, 0, -2]]; // prettier-ignore
    const other = { ...cube, materials: [{ ...PLAIN_MATERIAL, colour: [...BLUE, 1] as const }] };
    const options = { width: 40, height: 40, towards: [0, 0, 1] } as const;
    for (const meshes of [
      [
        { mesh: cube, origin: near },
        { mesh: other, origin: far },
      ],
      [
        { mesh: other, origin: far },
        { mesh: cube, origin: near },
      ],
    ]) {
      // prettier-ignore
      const [r, , b] = at(drawMeshes(meshes, options), 20, 20);
      expect(r).toBeGreaterThan(b + 50);
    }
  });

  it('lights what looks at the sun, and is the same every time', () => {
    const options = { width: 60, height: 60, towards: [1, 1, 1] } as const;
    const picture = drawMeshes([{ mesh: cube }], options);
    const [top, side] = [at(picture, 30, 12)[0], at(picture, 14, 40)[0]];
    expect(top).toBeGreaterThan(side);
    expect(drawMeshes([{ mesh: cube }], options).data).toEqual(picture.data);
  });

  it('is empty where there is nothing', () => {
    expect(covered(drawMeshes([], { width: 8, height: 8, towards: [1, 1, 1] }))).toBe(0);
  });
});
