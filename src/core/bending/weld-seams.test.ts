import { isClosed } from '../mesh/is-closed';
import { area, volume } from '../mesh/measure';
import { makeSegmentMesh } from '../segment/registry';
import { ellipse, pathOf } from '../testing/curves';
import { bentRun, compiled, jobOf, laidRun, planRun, prepared, tableOf, unwrap } from '../testing/runs';
import { weldSeams } from './weld-seams';

const tube = makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.1, sides: 12 });
const onward = prepared({ ...tube, parts: tube.parts.map((part) => ({ ...part, runsOn: true })) });
const bend = tableOf(compiled(pathOf('smooth', [[0, 0, 0], [4, 1, 0], [6, 0, 5]])), 'leastTwist'); // prettier-ignore

describe('weldSeams', () => {
  it('lets neighbours share the rows at which they meet, where the texture runs on', () => {
    const { mesh, plan } = bentRun(onward, bend, jobOf({ laying: { kind: 'fillStretch' } }));
    const welded = weldSeams(mesh, plan);
    // Every seam has a row of 12 vertices and one more where the texture begins round the tube.
    expect((mesh.positions.length - welded.positions.length) / 3).toBe((plan.pieces.length - 1) * 13);
    expect(welded.indices.length).toBe(mesh.indices.length);
    expect([volume(welded), area(welded)]).toEqual([volume(mesh), area(mesh)]);
    expect(isClosed(welded)).toBe(true);
  });

  it('leaves two vertices where the texture begins anew, and pieces apart alone', () => {
    const plain = bentRun(prepared(tube), bend, jobOf({ laying: { kind: 'fillStretch' } }));
    expect(weldSeams(plain.mesh, plain.plan)).toBe(plain.mesh);
    const apart = bentRun(onward, bend, jobOf({ laying: { kind: 'fillGaps', gap: 0.1 } }));
    expect(weldSeams(apart.mesh, apart.plan)).toBe(apart.mesh);
  });

  it('has normals that go on over every seam', () => {
    const { mesh, plan } = bentRun(
      onward,
      tableOf(ellipse(2, 1.5), 'leastTwist'),
      jobOf({ laying: { kind: 'fillStretch' } }),
    );
    const firsts = plan.pieces.map(({ form }, i) => plan.pieces.slice(0, i).reduce((sum, own) => sum + own.form.mesh.positions.length / 3, 0) + form.rows[0]); // prettier-ignore
    let worst = 1;
    plan.pieces.slice(0, -1).forEach(({ form }, i) => {
      for (let k = 0; k < 13; k++) {
        const end = firsts[i] + form.rows[form.rows.length - 2] + k;
        const places = Array.from({ length: 13 }, (_, j) => firsts[i + 1] + j);
        const twin = places.find((v) =>
          [0, 1, 2].every((c) => mesh.positions[v * 3 + c] === mesh.positions[end * 3 + c]),
        );
        expect(twin).toBeDefined();
        const dots = places
          .filter((v) => [0, 1, 2].every((c) => mesh.positions[v * 3 + c] === mesh.positions[end * 3 + c]))
          .map((v) => [0, 1, 2].reduce((sum, c) => sum + mesh.normals[v * 3 + c] * mesh.normals[end * 3 + c], 0));
        worst = Math.min(worst, Math.max(...dots));
      }
    });
    expect(worst).toBeGreaterThan(1 - 1e-6);
  });
});

describe('pieces of different segments', () => {
  const made = (length: number, radius: number, sides = 12) => {
    const mesh = makeSegmentMesh({ kind: 'tube', length, radius, sides });
    return prepared({ ...mesh, parts: mesh.parts.map((part) => ({ ...part, runsOn: true })) });
  };
  const laying = { kind: 'fillStretch', also: { pattern: { kind: 'sequence', order: 'A B' } } } as const;
  const laid = (others: ReturnType<typeof made>[]) => {
    const input = { segment: made(1, 0.1), others, table: bend, job: jobOf({ laying }) };
    return { laid: laidRun(input).laid, plan: unwrap(planRun(input)) };
  };

  it('open and share their ends where the outlines are the same, and the largest gap is none', () => {
    const { laid: result, plan } = laid([made(0.6, 0.1)]);
    expect(unwrap(result).seam).toBeCloseTo(0, 7);
    const open = plan.pieces.slice(1, -1).map(({ form }) => isClosed(form.mesh));
    expect(open.every((closed) => !closed)).toBe(true);
  });

  it('keep their ends where outlines differ, and the largest gap is the step between the radii', () => {
    const { laid: result, plan } = laid([made(0.6, 0.08)]);
    // Regular polygons of one count about one middle: corners lie apart by the difference of the radii (elementary).
    expect(unwrap(result).seam).toBeCloseTo(0.02, 6);
    expect(plan.pieces.every(({ form }) => isClosed(form.mesh))).toBe(true);
  });
});
