import type { Vec3 } from '../math/vec3';
import { volume } from '../mesh/measure';
import type { Mesh } from '../mesh/mesh';
import { makeSegmentMesh } from '../segment/registry';
import { pathOf } from '../testing/curves';
import { manifoldOf } from '../testing/manifold';
import { bentRun, compiled, jobOf, prepared, tableOf } from '../testing/runs';

const rail = prepared(makeSegmentMesh({ kind: 'plank', length: 1, width: 0.3, thickness: 0.2 }), { centre: 'middle' });
const section = volume(rail.mesh);
const joints = { at: 'corners', angle: 0.3, clear: 0 } as const;
const along = (places: Vec3[], closed = false) => tableOf(compiled(pathOf('straight', places, closed)), 'upright');
const ELL: Vec3[] = [[0, 0, 0], [4, 0, 0], [4, 0, 3]]; // prettier-ignore

/** The pieces of a plan as meshes of their own. */
function pieces({ plan, mesh }: ReturnType<typeof bentRun>): Mesh[] {
  let base = 0;
  return plan.pieces.map(({ form }) => {
    const count = form.mesh.positions.length / 3;
    const positions = mesh.positions.slice(base * 3, (base + count) * 3);
    base += count;
    return { ...form.mesh, positions };
  });
}

describe('stiff pieces that meet in a corner', () => {
  it.each<[string, Vec3[], boolean, 'square' | 'plumb']>([
    ['a right angle', ELL, false, 'square'],
    ['a sharper one', [[0, 0, 0], [4, 0, 0], [2.5, 0, 2.598076211353316]], false, 'square'],
    ['one that climbs', [[0, 0, 0], [4, 0, 0], [6.4, 1.8, 0]], false, 'square'],
    ['a closed frame', [[0, 0, 0], [4, 0, 0], [4, 0, 3], [0, 0, 3]], true, 'plumb'],
  ])('are cut in the plane that bisects it, closed, and neither overlap nor gape: %s', async (_, places, closed, stands) => {
    const job = jobOf({ laying: { kind: 'fillStretch', also: { joints } }, fit: { kind: 'stiff', stands } });
    const own = bentRun(rail, along(places, closed), job);
    const solids = await Promise.all(pieces(own).map(manifoldOf)); // throws where one is not closed
    const sum = solids.reduce((total, solid) => total + solid.volume(), 0);
    // A section whose middle is on the path sweeps its area times the length (Pappus), mitred or not.
    expect(sum).toBeCloseTo(section * own.shape.table.length, 4);
    const whole = solids.slice(1).reduce((all, solid) => all.add(solid), solids[0]);
    expect(whole.volume()).toBeCloseTo(sum, 4); // nothing is in two of them
  }); // prettier-ignore

  it('have normals square to the cut', () => {
    const own = bentRun(rail, along(ELL), jobOf({ laying: { kind: 'fillStretch', also: { joints } }, fit: { kind: 'stiff', stands: 'square' } })); // prettier-ignore
    const { positions, normals, indices } = own.mesh;
    const at = (of: Float32Array, v: number) => [of[v * 3], of[v * 3 + 1], of[v * 3 + 2]];
    let cuts = 0;
    for (let i = 0; i < indices.length; i += 3) {
      const corners = [0, 1, 2].map((k) => at(positions, indices[i + k]));
      // The plane through (4, 0, 0) that holds the vertical and the line z = 4 - x.
      if (!corners.every(([x, , z]) => Math.abs(x - 4 + z) < 1e-5)) continue;
      cuts++;
      for (const k of [0, 1, 2]) {
        const [nx, ny, nz] = at(normals, indices[i + k]);
        expect(Math.abs(nx)).toBeCloseTo(Math.SQRT1_2, 4);
        expect([Math.abs(ny) < 1e-5, Math.abs(nx - nz) < 1e-4]).toEqual([true, true]);
      }
    }
    expect(cuts).toBeGreaterThanOrEqual(4);
  });

  it.each([
    ['posts with room beside them', { at: 'points', angle: 0, clear: 0.06 }, undefined],
    ['a post of its own', { at: 'points', angle: 0, clear: 0 }, 0.2],
  ] as const)('bent ones that stop at a joint are closed there: %s', async (_, joints, post) => {
    const bent = jobOf({ laying: { kind: 'fillStretch', also: { joints } }, fit: { kind: 'plumb', beyond: 'onward' } });
    const joint = post && prepared(makeSegmentMesh({ kind: 'plank', length: post, width: 0.2, thickness: 0.2 }));
    const own = bentRun(rail, along(ELL), bent, { ...(joint && { joint }) });
    const { placements } = own.layout;
    const sum = placements.reduce((total, { length, gap }) => total + length + gap, 0);
    expect(sum).toBeCloseTo(own.shape.table.length, 9); // gaps at joints count
    // The parts on either side of the joint are solids of their own.
    const solid = await manifoldOf(own.mesh);
    expect(solid.decompose()).toHaveLength(post ? 3 : 2);
  });

  it('give way to a piece of its own that stands there', () => {
    const block = prepared(makeSegmentMesh({ kind: 'plank', length: 0.4, width: 0.4, thickness: 0.4 }), {
      centre: 'middle',
    });
    const own = bentRun(rail, along(ELL), jobOf({ laying: { kind: 'fillStretch', also: { joints } }, fit: { kind: 'stiff', stands: 'square' } }), { joint: block }); // prettier-ignore
    const corner = own.layout.placements.find(({ kind }) => kind === 'corner')!;
    expect(corner.station + corner.length / 2).toBeCloseTo(4, 9);
    expect(own.plan.pieces.some(({ form }) => form === block)).toBe(true);
  });
});

describe('a corner that says for itself what it is', () => {
  const block = prepared(makeSegmentMesh({ kind: 'plank', length: 0.4, width: 0.4, thickness: 0.4 }), {
    centre: 'middle',
  });
  const ZIG: Vec3[] = [[0, 0, 0], [4, 0, 0], [4, 0, 4], [8, 0, 4]]; // prettier-ignore
  const laid = (at: 'none' | 'corners', own: readonly ('mitred' | 'piece' | undefined)[]) => {
    const points = ZIG.map((_, i) => (own[i] ? { corner: own[i] } : {}));
    const job = jobOf({ laying: { kind: 'fillStretch', also: { joints: { ...joints, at } } }, fit: { kind: 'stiff', stands: 'square' } }); // prettier-ignore
    return bentRun(rail, along(ZIG), job, { points, joint: block });
  };
  const kinds = ({ layout }: ReturnType<typeof bentRun>) => layout.placements.filter(({ kind }) => kind === 'corner').map(({ station }) => station + 0.2); // prettier-ignore

  it('has a piece where the run has none, and none where the run has one', () => {
    expect(kinds(laid('corners', []))).toEqual([expect.closeTo(4, 6), expect.closeTo(8, 6)]);
    expect(kinds(laid('none', [undefined, 'piece']))).toEqual([expect.closeTo(4, 6)]);
    expect(kinds(laid('corners', [undefined, undefined, 'mitred']))).toEqual([expect.closeTo(4, 6)]);
    expect(kinds(laid('none', []))).toEqual([]);
  });

  it('is cut in its plane where it is mitred: what comes to it on either side meets, and nothing is in two of them', async () => {
    const own = laid('corners', [undefined, undefined, 'mitred']);
    const isMet = (i: number) => own.layout.placements[i].meets?.start === true || own.layout.placements[i].meets?.end === true; // prettier-ignore
    const [before, after] = await Promise.all(pieces(own).filter((_, i) => isMet(i)).map(manifoldOf)); // prettier-ignore
    expect(before.intersect(after).volume()).toBeCloseTo(0, 6);
    expect(before.minGap(after, 1)).toBeCloseTo(0, 6);
    // Up to the mitred corner, and on from it.
    const atCorner = own.layout.placements.filter(({ meets }) => meets?.start || meets?.end);
    expect(
      atCorner.map(({ station, length }) => [station, station + length].some((s) => Math.abs(s - 8) < 1e-6)),
    ).toEqual([true, true]);
  });
});
