import { decode } from 'fast-png';
import validator from 'gltf-validator';
import { readMesh } from '../formats/registry';
import { unwrap } from '../core/testing/runs';
import { pieceLooks } from '../core/layout/variation';
import { setLaying } from '../project/commands/runs';
import { setFinish } from '../project/commands/segments';
import { FINISH_DEFAULTS } from '../project/defaults';
import { encodeProjectFile, parseProjectFile } from '../project/project-file';
import { causeway } from '../project/samples';
import { assetIdsOf } from '../project/schema';
import { bakeFiles, loadFrom } from './bake';
import { bringImage } from './bring-image';
import { Deriver } from './derive';

const finish = {
  ...FINISH_DEFAULTS,
  part: 'Kerbs',
  texture: { from: 'pattern' as const, pattern: 'weave' as const, seed: 2, contrast: 0.6 },
  repeat: 0.5,
  turn: 0.25,
  bump: 0.75,
};

it('carries the tints of varied pieces into the GLB', async () => {
  const variation = { tint: 0.4, shift: 0.5, seed: 3 };
  const project = setLaying(causeway(), { run: 'causeway' }, { variation });
  const { files } = unwrap(await bakeFiles(project, new Deriver(loadFrom(new Map())), 'glb', 'a', { run: 'Causeway' }));
  const { issues } = await validator.validateBytes(files[0].bytes, { maxIssues: 0 });
  expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0]);
  const { colours } = unwrap(await readMesh(files));
  const tints = new Set(Array.from({ length: colours!.length / 4 }, (_, v) => colours![v * 4].toFixed(5)));
  const expected = new Set(Array.from({ length: 32 }, (_, piece) => pieceLooks(variation)(piece)!.tint[0].toFixed(5)));
  expect(tints).toEqual(expected);
});

describe('a finished part', () => {
  it('goes into the GLB with its images and their transform, and comes back', async () => {
    const project = setFinish(causeway(), 'kerbed-road', finish);
    const deriver = new Deriver(loadFrom(new Map()));
    const { files } = unwrap(await bakeFiles(project, deriver, 'glb', 'a', { run: 'Causeway' }));
    const { bytes } = files[0];
    const { issues } = await validator.validateBytes(bytes, { maxIssues: 0 });
    expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0]);
    const mesh = unwrap(await readMesh(files));
    const material = mesh.materials.find(({ name }) => name === 'Kerbs')!;
    expect(material.textureTransform!.turn).toBeCloseTo(0.25, 6);
    expect(material.textureTransform!.scale[0]).toBeCloseTo(2, 6); // 8 half-metre repeats in 4 m
    expect(material.normalScale).toBeCloseTo(0.75, 6);
    for (const key of ['colourImage', 'normalImage', 'surfaceImage'] as const) {
      const { width, height } = decode(mesh.images[material[key]!].bytes);
      expect([width, height]).toEqual([256, 256]);
    }
  });

  it('carries a brought image in the project file, and says when it is missing', async () => {
    const png = Uint8Array.from(Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64')); // prettier-ignore
    const texture = unwrap(await bringImage({ name: 'moss.png', bytes: png }));
    const project = setFinish(causeway(), 'kerbed-road', { ...finish, texture });
    expect(assetIdsOf(project)).toEqual([texture.asset]);
    const assets = new Map([[texture.asset, png]]);
    const opened = unwrap(await parseProjectFile(encodeProjectFile({ project, assets })));
    expect(opened.assets.get(texture.asset)).toEqual(png);
    const withImage = new Deriver(loadFrom(assets), async (id) => assets.get(id));
    const { files } = unwrap(await bakeFiles(opened.project, withImage, 'glb', 'a', { run: 'Causeway' }));
    expect(unwrap(await readMesh(files)).images.some(({ bytes }) => Buffer.compare(bytes, png) === 0)).toBe(true);
    const without = await bakeFiles(project, new Deriver(loadFrom(new Map())), 'glb', 'a', { run: 'Causeway' });
    expect(without).toMatchObject({ ok: false, problems: [{ code: 'asset.missing' }] });
    expect(await bringImage({ name: 'a.gif', bytes: Uint8Array.of(71, 73, 70) })).toMatchObject({
      ok: false,
      problems: [{ code: 'image.unknown' }],
    });
  });
});
