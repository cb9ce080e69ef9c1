import { applyFinishes } from '../segment/finish/apply-finishes';
import type { FinishSpec } from '../segment/finish/finish-spec';
import type { MaskSpec } from '../mesh/mask-registry';
import { area } from '../mesh/measure';
import type { Mesh } from '../mesh/mesh';
import { makeSegmentMesh } from '../segment/registry';
import { pathOf } from '../testing/curves';
import { compiled, jobOf, planRun, prepared, tableOf, unwrap, type JobChange } from '../testing/runs';
import { buildRunMesh } from './build-run';
import { instancesOf } from './instances';
import { liftCoats } from './lift-coats';

const MOSS = { colour: '#405020', roughness: 1, metalness: 0, bump: 0, texture: null, repeat: 1 } as const;
const bare: FinishSpec = { part: 'Skin', ...MOSS, colour: '#808080', turn: 0, shiftAlong: 0, shiftRound: 0, fit: 'whole' }; // prettier-ignore
const UP: MaskSpec = { kind: 'slope', within: Math.PI / 2, fade: 0, ragged: 0, grain: 1 };

const TUBE = makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.2, sides: 48 } as never);
/** Runs level for 4 m, and then climbs. */
const TABLE = tableOf(compiled(pathOf('straight', [[0, 2, 0], [4, 2, 0], [8, 6, 0]])), 'upright'); // prettier-ignore
const SLOPED = tableOf(compiled(pathOf('straight', [[1e6, 2, 0], [1e6 + 3, 2, 4]])), 'upright'); // prettier-ignore

function coated(mask: MaskSpec = UP, job: JobChange = {}, time: number | null = null, table = SLOPED) {
  const mesh = applyFinishes(TUBE, 1, [{ ...bare, coat: { mask, finish: MOSS } }], () => undefined);
  const plan = unwrap(planRun({ segment: prepared(mesh), table, job: jobOf({ ...job, laying: { kind: 'fillStretch', gap: 0 } }), time })); // prettier-ignore
  return { plan, mesh: buildRunMesh(plan, mesh) };
}

const coatOf = ({ parts }: Mesh) => parts.find(({ isCoat }) => isCoat);
const cornersOf = (mesh: Mesh, { start, count }: { start: number; count: number }) => [...mesh.indices.subarray(start, start + count)]; // prettier-ignore

describe('a coat', () => {
  const { mesh } = coated();

  it('lies on the upper half of a tube, on the very triangles that it covers, with a material of its own', () => {
    const coat = coatOf(mesh)!;
    const skin = mesh.parts.find(({ name }) => name === 'Skin')!;
    expect(mesh.materials[coat.material]).toMatchObject({ alpha: 'blend', isCoat: true });
    expect(coat.name).toBe('Skin, coat');
    const corners = new Set(cornersOf(mesh, skin));
    expect(cornersOf(mesh, coat).every((v) => corners.has(v))).toBe(true);
    // Half of the triangles, and one row more to either side, of which one corner is covered.
    expect(coat.count / skin.count).toBeGreaterThan(0.49);
    expect(coat.count / skin.count).toBeLessThan(0.56);
  });

  it('covers each vertex by where its normal points in the finished run', () => {
    const skin = mesh.parts.find(({ name }) => name === 'Skin')!;
    for (const v of cornersOf(mesh, skin)) {
      const up = mesh.normals[v * 3 + 1];
      if (Math.abs(up) > 1e-3) expect(mesh.colours![v * 4 + 3]).toBe(up > 0 ? 1 : 0);
    }
  });

  it.each([
    ['is uncovered', { growth: { kind: 'uncover', seconds: 2, tip: 0 } }],
    ['stretches out', { growth: { kind: 'stretchOut', seconds: 2 } }],
    ['travels', { speed: 0.35 }],
    [
      'comes from above',
      { growth: { kind: 'oneByOne', seconds: 2, each: 1, turn: 'station', come: 'fromAbove', height: 1 } },
    ],
  ] as const)('stays where it is on the pieces while the run %s', (_, motion) => {
    const high: MaskSpec = { kind: 'height', covers: 'above', level: 2.1, fade: 0.5, ragged: 0.5, grain: 0.2 };
    const rest = coated(high, {}, null, TABLE);
    const moved = coated(high, { motion }, 1, TABLE);
    // The fourth piece is bent where the path begins to climb; it is whole in all of them.
    const opacities = ({ plan, mesh: own }: ReturnType<typeof coated>, piece: number) => {
      const at = plan.pieces.findIndex(({ laid }) => laid.placement.piece === piece);
      const base = plan.pieces.slice(0, at).reduce((sum, { form }) => sum + form.mesh.positions.length / 3, 0);
      const { positions: p, normals: n } = plan.pieces[at].form.mesh;
      const key = (v: number) => [...p.subarray(v * 3, v * 3 + 3), ...n.subarray(v * 3, v * 3 + 3)].join();
      return new Map(Array.from({ length: p.length / 3 }, (_v, v) => [key(v), own.colours![(base + v) * 4 + 3]]));
    };
    // A piece that comes by itself has ends that show, beside all that it has at rest.
    const [a, b] = [opacities(rest, 3), opacities(moved, 3)];
    for (const [vertex, opacity] of a) expect([vertex, b.get(vertex)]).toEqual([vertex, opacity]);
    expect(new Set(a.values()).size).toBeGreaterThan(4);
  });

  it('is not there where nothing is covered', () => {
    const none = coated({ kind: 'height', covers: 'above', level: 100, fade: 0, ragged: 0, grain: 1 }).mesh;
    expect(coatOf(none)).toBeUndefined();
  });

  it('lets stiff pieces have each its own', () => {
    const job = { fit: { kind: 'stiff', stands: 'square', byLeg: false } } as const;
    expect(instancesOf(coated(UP, job).plan)).toBeUndefined();
  });
});

describe('liftCoats', () => {
  const { mesh } = coated();
  const coat = coatOf(mesh)!;
  const areaOf = (own: Mesh, name: string) => {
    const part = own.parts.find((each) => each.name === name)!;
    return area({ ...own, indices: own.indices.slice(part.start, part.start + part.count) });
  };

  it('gives coats vertices of their own, so far above what they lie on', () => {
    const lifted = liftCoats(mesh, 'blended', 0.004);
    const count = mesh.positions.length / 3;
    expect(lifted.positions.length / 3).toBe(count + new Set(cornersOf(mesh, coat)).size);
    const [from, to] = [cornersOf(mesh, coat), cornersOf(lifted, lifted.parts.at(-1)!)];
    from.forEach((v, i) => {
      const off = [0, 1, 2].map((c) => lifted.positions[to[i] * 3 + c] - mesh.positions[v * 3 + c]);
      expect(Math.hypot(...off)).toBeCloseTo(0.004, 6);
      expect(lifted.colours![to[i] * 4 + 3]).toBe(mesh.colours![v * 4 + 3]);
      expect(lifted.colours![v * 4 + 3]).toBe(1);
    });
  });

  it('keeps what is covered by half, all of it, where a format has no opacity', () => {
    const cut = liftCoats(mesh, 'cut', 0);
    const share = areaOf(cut, 'Skin, coat') / areaOf(cut, 'Skin');
    expect(share).toBeGreaterThan(0.46);
    expect(share).toBeLessThan(0.54);
    expect(cut.colours!.every((value) => value === 1)).toBe(true);
  });

  it('leaves them out where a format has no materials', () => {
    const none = liftCoats(mesh, 'none', 0.004);
    expect(none.parts.some(({ name }) => name.endsWith('coat'))).toBe(false);
    expect(none.indices.length).toBe(mesh.indices.length - coat.count);
    const bareMesh = { ...mesh, parts: mesh.parts.filter(({ isCoat }) => !isCoat) };
    expect(liftCoats(bareMesh, 'blended', 0.004)).toBe(bareMesh);
  });
});
