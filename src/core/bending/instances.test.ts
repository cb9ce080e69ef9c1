import { Matrix4, Vector3 } from 'three';
import { makeSegmentMesh } from '../segment/registry';
import { ellipse, pathOf } from '../testing/curves';
import { bentRun, compiled, jobOf, planRun, prepared, tableOf, unwrap, type JobChange } from '../testing/runs';
import { boxOf } from '../mesh/box';
import { boxOfInstances, instancesOf, PLACE_STRIDE } from './instances';

const link = prepared(makeSegmentMesh({ kind: 'plank', length: 0.5, width: 0.2, thickness: 0.06 }));
const ring = tableOf(ellipse(3, 2), 'leastTwist', { tolerance: 1e-6 });
const hill = tableOf(compiled(pathOf('smooth', [[0, 0, 0], [3, 1, 0.5], [6, 0, 3]])), 'upright'); // prettier-ignore
const chain: JobChange = {
  laying: { kind: 'pinToPin', gap: -0.1, also: { everyOther: { every: 2, turn: Math.PI / 2, mirrored: false } } },
  fit: { kind: 'pinned' },
};

describe('instancesOf', () => {
  it.each<[string, JobChange, typeof ring]>([
    ['pinned links, every other turned', chain, ring],
    [
      'posts that stand plumb',
      { laying: { kind: 'fillGaps', gap: 0.4 }, fit: { kind: 'stiff', stands: 'plumb' } },
      hill,
    ],
    ['stiff pieces that are rolled, swollen and stretched', { laying: { kind: 'fillStretch' }, fit: { kind: 'stiff', stands: 'square' }, bending: { roll: 0.4, turns: 2, gauge: 1.3 } }, hill], // prettier-ignore
  ])('puts every vertex where bending puts it, by three’s matrices: %s', (_, change, table) => {
    const { plan, mesh } = bentRun(link, table, jobOf(change));
    const sets = instancesOf(plan)!;
    expect(sets.reduce((sum, { places }) => sum + places.length / PLACE_STRIDE, 0)).toBe(plan.pieces.length);
    const next = new Map(sets.map((set) => [set.form, 0]));
    let base = 0;
    for (const { form } of plan.pieces) {
      const set = sets.find((own) => own.form === form)!;
      const k = next.get(form)!;
      next.set(form, k + 1);
      const matrix = new Matrix4().fromArray([...set.places.subarray(k * PLACE_STRIDE, (k + 1) * PLACE_STRIDE)]);
      const p = form.mesh.positions;
      for (let v = 0; v < p.length; v += 3) {
        const placed = new Vector3(p[v], p[v + 1], p[v + 2]).applyMatrix4(matrix);
        const bent = new Vector3(...mesh.positions.subarray(base + v, base + v + 3));
        expect(placed.distanceTo(bent)).toBeLessThan(2e-6);
      }
      base += p.length;
    }
    const [own, whole] = [boxOfInstances(sets), boxOf(mesh.positions)];
    for (let c = 0; c < 3; c++) {
      expect(own.min[c]).toBeLessThan(whole.min[c] + 1e-5);
      expect(own.max[c]).toBeGreaterThan(whole.max[c] - 1e-5);
    }
  });

  it('keeps every distance within a link to 1e-9: its matrix turns and carries, and does nothing else', () => {
    for (const { places } of instancesOf(bentRun(link, ring, jobOf(chain)).plan)!)
      for (let at = 0; at < places.length; at += PLACE_STRIDE)
        for (const a of [0, 1, 2])
          for (const b of [0, 1, 2]) {
            const dot = [0, 1, 2].reduce((sum, c) => sum + places[at + a * 4 + c] * places[at + b * 4 + c], 0);
            expect(Math.abs(dot - (a === b ? 1 : 0))).toBeLessThan(1e-9);
          }
  });

  it('has two meshes for a chain of which every other link is turned', () => {
    expect(instancesOf(bentRun(link, ring, jobOf(chain)).plan)).toHaveLength(2);
  });

  it('tells tints apart, and leaves bent pieces and shifted textures to others', () => {
    const varied = (tint: number, shift: number) => jobOf({ ...chain, laying: { ...chain.laying, variation: { tint, shift, seed: 1 } } }); // prettier-ignore
    const tinted = instancesOf(unwrap(planRun({ segment: link, table: ring, job: varied(0.4, 0) })))!;
    expect(tinted[0].tints).toHaveLength((tinted[0].places.length / PLACE_STRIDE) * 3);
    expect(instancesOf(unwrap(planRun({ segment: link, table: ring, job: varied(0, 1) })))).toBeUndefined();
    expect(instancesOf(unwrap(planRun({ segment: link, table: ring, job: jobOf({ laying: { kind: 'fillStretch' } }) })))).toBeUndefined(); // prettier-ignore
  });
});
