import { WebIO } from '@gltf-transform/core';
import type { CurveSpec } from '../core/curve/registry';
import { distance, dot, normalize, scale, sub, type Vec3 } from '../core/math/vec3';
import { isClosed } from '../core/mesh/is-closed';
import { volume } from '../core/mesh/measure';
import type { MotionSpec } from '../core/motion/motion-spec';
import type { MakerSpec } from '../core/segment/registry';
import { pathOf } from '../core/testing/curves';
import { unwrap, type JobChange } from '../core/testing/runs';
import { bakeFiles, loadFrom } from './bake';
import { Deriver } from './derive';
import { runProject } from './testing/run-project';

const plank = (length: number, width: number, thickness: number): MakerSpec => ({ kind: 'plank', length, width, thickness }); // prettier-ignore
const tube: MakerSpec = { kind: 'tube', length: 0.5, radius: 0.1, sides: 12 };
const UPRIGHT = { frames: { rule: 'upright', up: [0, 1, 0] as Vec3 } } as const;

/** Positions and indices that a GLB holds, as its one node places them, counted from there. */
async function baked(
  curve: CurveSpec,
  spec: MakerSpec,
  laying: JobChange['laying'],
  motion: Partial<MotionSpec> = {},
  time: number | null = null,
) {
  // prettier-ignore
  const project = runProject(curve, spec, { bending: UPRIGHT, ...(laying && { laying }) }, motion);
  const { files } = unwrap(await bakeFiles(project, new Deriver(loadFrom(new Map())), 'glb', 'a', { time }));
  const document = await new WebIO().readBinary(files[0].bytes);
  const positions: number[] = [];
  const indices: number[] = [];
  for (const primitive of document.getRoot().listMeshes()[0].listPrimitives()) {
    const base = positions.length / 3;
    for (const v of primitive.getAttribute('POSITION')!.getArray()!) positions.push(v);
    for (const i of primitive.getIndices()!.getArray()!) indices.push(base + i);
  }
  return { positions: Float32Array.from(positions), indices: Uint32Array.from(indices) };
}

const loopOf = (points: readonly Vec3[], far = 0): CurveSpec => ({ ...pathOf('straight', points.map(([x, y, z]): Vec3 => [x + far, y, z])), closed: true }); // prettier-ignore
const lengthOf = (points: readonly Vec3[]): number =>
  points.reduce((sum, p, i) => sum + distance(p, points[(i + 1) % points.length]), 0);

/**
 * The volume of a section that stands upright along a closed line: prisms cut by the planes that bisect its corners, each as long as the line through the
 * section's middle is between them (closed form).
 */
function prisms(points: readonly Vec3[], area: number, middle: number): number {
  const n = points.length;
  const along = points.map((p, i) => normalize(sub(points[(i + 1) % n], p)));
  return points.reduce((sum, p, i) => {
    const t = along[i];
    const up = normalize(sub([0, 1, 0], scale(t, t[1])));
    const over = (other: Vec3) => -dot(scale(up, middle), [0, 1, 2].map((c) => t[c] + other[c]) as unknown as Vec3) / (1 + dot(t, other)); // prettier-ignore
    return sum + area * (distance(p, points[(i + 1) % n]) + over(along[(i + 1) % n]) - over(along[(i + n - 1) % n]));
  }, 0);
}

const FLAT: Vec3[] = [[0, 0, 0], [4, 0, 0], [4, 0, 3], [0, 0, 3]]; // prettier-ignore
const STEEP: Record<string, Vec3[]> = {
  'of four legs': [[0, 0, 0], [4, 6, 0], [8, 0, 3], [3, -5, 6]], // prettier-ignore
  'of five legs': [[0, 0, 0], [6, 9, 0], [12, 0, 4], [5, -8, 9], [-3, 2, 5]], // prettier-ignore
  'long and lopsided': [[0, 0, 0], [20, 12, 0], [28, 30, 14], [2, 9, 22]], // prettier-ignore
};

describe('what travels round sharp corners', () => {
  it.each([
    { name: 'planks', spec: plank(0.5, 0.3, 0.1) },
    { name: 'a tube', spec: tube },
  ])('keeps its volume wherever it has come to, mitred: $name', async ({ spec }) => {
    const still = volume(await baked(loopOf(FLAT), spec, { kind: 'fillStretch' }));
    for (const shift of [0.25, 7.13, -0.3, 29, 13.9]) {
      for (const kind of ['fillStretch', 'onePiece'] as const) {
        const file = await baked(loopOf(FLAT), spec, { kind }, { shift });
        expect(Math.abs(volume(file) / still - 1)).toBeLessThan(1e-6);
        expect(isClosed(file)).toBe(true);
      }
    }
    const underWay = await baked(loopOf(FLAT), spec, { kind: 'fillStretch' }, { speed: 0.25 }, 3.7);
    expect(Math.abs(volume(underWay) / still - 1)).toBeLessThan(1e-6);
  });

  it('is the same mesh however many rounds it has gone, either way round', async () => {
    for (const [one, other] of [
      [1, 29],
      [0.375, 0.375 + 14 * 5],
      [-2.25, -2.25 - 14 * 3],
      [0, 14],
      [0, -28],
    ]) {
      // prettier-ignore
      const [a, b] = [
        await baked(loopOf(FLAT), plank(0.5, 0.3, 0.1), { kind: 'fillStretch' }, { shift: one }),
        await baked(loopOf(FLAT), plank(0.5, 0.3, 0.1), { kind: 'fillStretch' }, { shift: other }),
      ];
      expect(b).toEqual(a);
    }
  });

  it('turns into a corner at which frames turn over, and not over the leg before it', async () => {
    const points = STEEP['of five legs'];
    for (const shift of [0.77, 11.3]) {
      const file = await baked(loopOf(points), tube, { kind: 'onePiece' }, { shift });
      const area = 6 * 0.1 * 0.1 * Math.sin(Math.PI / 6);
      expect(Math.abs(volume(file) / (area * lengthOf(points)) - 1)).toBeLessThan(1e-3);
    }
  });
});

describe('closed paths with sharp corners and steep legs, kept upright', () => {
  it.each(Object.entries(STEEP))(
    'hold the volume of their prisms in one piece and in many, also 999 km out: %s',
    async (_, points) => {
      for (const far of [0, 999_000])
        for (const kind of ['onePiece', 'fillStretch'] as const) {
          const round = await baked(loopOf(points, far), tube, { kind });
          const area = 6 * 0.1 * 0.1 * Math.sin(Math.PI / 6);
          expect(Math.abs(volume(round) / (area * lengthOf(points)) - 1)).toBeLessThan(1e-3);
          expect(isClosed(round)).toBe(true);
          // A section off its path gains and loses where it turns over between legs: that is no part of the closed form.
          const flat = await baked(loopOf(points, far), plank(2, 0.4, 0.06), { kind });
          const straight = await baked(pathOf('straight', [[0, 0, 0], [2, 0, 0]]), plank(2, 0.4, 0.06), { kind }); // prettier-ignore
          expect(Math.abs(volume(flat) / prisms(points, volume(straight) / 2, 0.03) - 1)).toBeLessThan(1.2e-3);
        }
    },
    60_000,
  );
});
