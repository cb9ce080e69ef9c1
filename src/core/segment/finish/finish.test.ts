import { buildTopology } from '../../bending/build-run';
import { compiled, jobOf, planRun, prepared, tableOf, unwrap } from '../../testing/runs';
import { pathOf } from '../../testing/curves';
import { makeSegmentMesh } from '../registry';
import { applyFinishes } from './apply-finishes';
import { drawPattern } from './draw-pattern';
import type { FinishSpec } from './finish-spec';
import { tilingNoise } from './pattern';
import { PATTERNS } from './registry';

const FINISH: FinishSpec = {
  part: 'Board',
  colour: '#808080',
  roughness: 0.5,
  metalness: 0.25,
  bump: 1,
  texture: { from: 'pattern', pattern: 'bark', seed: 3, contrast: 0.5 },
  repeat: 0.3,
  turn: 0,
  shiftAlong: 0,
  shiftRound: 0,
  fit: 'whole',
};
const IMAGE = { name: 'a', mime: 'image/png' as const, bytes: new Uint8Array(1) };
const images = () => ({ colour: IMAGE, normal: IMAGE, surface: IMAGE });
const plank = makeSegmentMesh({ kind: 'plank', length: 2, width: 0.4, thickness: 0.1 });

describe('every pattern', () => {
  it.each(PATTERNS.map(({ kind }) => kind))(
    '%s tiles both ways: the step over its edge is like those inside',
    (pattern) => {
      const size = 64;
      const { colour, normal } = drawPattern({ pattern, seed: 5, contrast: 1 }, size);
      const step = (image: Uint8Array, along: boolean, at: number) => {
        let sum = 0;
        for (let k = 0; k < size; k++) {
          const [a, b] = along
            ? [k * size + at, k * size + ((at + 1) % size)]
            : [at * size + k, ((at + 1) % size) * size + k];
          sum += Math.abs(image[a * 4] - image[b * 4]);
        }
        return sum / size;
      };
      for (const image of [colour, normal]) {
        for (const along of [true, false]) {
          const inside = Array.from({ length: size - 1 }, (_, i) => step(image, along, i));
          expect(step(image, along, size - 1)).toBeLessThanOrEqual(Math.max(...inside) * 1.05 + 1);
        }
      }
    },
  );

  it.each(PATTERNS.map(({ kind }) => kind))(
    '%s is the same for a seed, sound, and its normals are unit vectors',
    (pattern) => {
      const [a, b] = [0, 1].map(() => drawPattern({ pattern, seed: 9, contrast: 0.7 }, 32));
      expect(a).toEqual(b);
      for (let i = 0; i < a.normal.length; i += 4) {
        const n = [0, 1, 2].map((c) => a.normal[i + c] / 127.5 - 1);
        expect(Math.abs(Math.hypot(...n) - 1)).toBeLessThan(0.02);
        expect(n[2]).toBeGreaterThan(0);
      }
      expect(new Set(a.colour).size).toBeGreaterThan(1);
    },
  );

  it('changes with its seed', () => {
    expect(drawPattern({ pattern: 'bark', seed: 1, contrast: 1 }, 32)).not.toEqual(
      drawPattern({ pattern: 'bark', seed: 2, contrast: 1 }, 32),
    );
    const noise = tilingNoise(4);
    for (const v of [0.1, 0.57, 0.93]) expect(noise(0, v, 8, 8)).toBeCloseTo(noise(1 - 1e-12, v, 8, 8), 9);
  });
});

describe('applyFinishes', () => {
  it('gives the part a material of its own and leaves the others alone', () => {
    const road = makeSegmentMesh({ kind: 'kerbedLane', length: 4, laneWidth: 3.2, bankHeight: 0.9 });
    const done = applyFinishes(road, 4, [{ ...FINISH, part: 'Kerbs', texture: null }], () => undefined);
    const material = (name: string) => done.materials[done.parts.find((p) => p.name === name)!.material];
    expect(material('Kerbs')).toMatchObject({ name: 'Kerbs', roughness: 0.5, metalness: 0.25 });
    expect(material('Kerbs').colour[0]).toBeCloseTo(0.2158605, 6); // sRGB 128 as linear light (IEC 61966-2-1)
    expect(material('Bank')).toBe(road.materials[3]);
    expect(applyFinishes(road, 4, [{ ...FINISH, part: 'Nothing' }], images)).toBe(road);
  });

  it('lets a whole number of repeats fit into a piece, or keeps the length asked for', () => {
    const scale = (fit: FinishSpec['fit']) =>
      applyFinishes(plank, 2, [{ ...FINISH, fit }], images).materials.at(-1)!.textureTransform!.scale;
    expect(scale('whole')[0] * 2).toBeCloseTo(7, 12); // 2 m over 0.3 m is 6.67
    expect(scale('whole')[1]).toBeCloseTo(1 / 0.3, 12);
    expect(scale('onward')[0]).toBeCloseTo(1 / 0.3, 12);
  });

  it('runs a texture on from piece to piece without a jump', () => {
    const mesh = applyFinishes(plank, 2, [{ ...FINISH, fit: 'onward' }], images);
    const table = tableOf(compiled(pathOf('straight', [[0, 0, 0], [8, 0, 0]])), 'upright'); // prettier-ignore
    const job = jobOf({ laying: { kind: 'fillStretch' } });
    const plan = unwrap(planRun({ table, segment: prepared(mesh), job }));
    const { uvs } = buildTopology(plan);
    let base = 0;
    plan.pieces.forEach(({ form }, i) => {
      const { positions } = form.mesh;
      for (let v = 0; v * 3 < positions.length; v++) {
        if (Math.abs(form.mesh.normals[v * 3]) > 0.5) continue; // the flat ends have a plane of their own
        expect(uvs[(base + v) * 2]).toBeCloseTo(i * 2 + positions[v * 3], 5);
      }
      base += positions.length / 3;
    });
  });
});

it('fibre lies along its strand: it changes far less on the way along than round it', () => {
  const size = 128;
  const { colour } = drawPattern({ pattern: 'fibre', seed: 4, contrast: 1 }, size);
  const at = (x: number, y: number) => colour[((y % size) * size + (x % size)) * 4];
  let [along, round] = [0, 0];
  for (let y = 0; y < size; y++) {
    for (let x = 0; x < size; x++) {
      along += Math.abs(at(x + 1, y) - at(x, y));
      round += Math.abs(at(x, y + 1) - at(x, y));
    }
  }
  expect(round / along).toBeGreaterThan(4);
});
