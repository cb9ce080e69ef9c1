import { buildTopology } from '../bending/build-run';
import { makeSegmentMesh } from '../segment/registry';
import { pathOf } from '../testing/curves';
import { compiled, jobOf, planRun, prepared, tableOf, unwrap } from '../testing/runs';
import { NO_VARIATION, pieceLooks, type VariationSpec } from './variation';

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const varied: VariationSpec = { tint: 0.3, shift: 2, seed: 7 };

describe('pieceLooks', () => {
  it('leaves pieces alone when nothing is to differ', () => {
    expect(pieceLooks(NO_VARIATION)(3)).toBeUndefined();
  });

  it('is the same for a seed and a piece, and another for another', () => {
    expect(pieceLooks(varied)(3)).toEqual(pieceLooks(varied)(3));
    expect(pieceLooks(varied)(3)).not.toEqual(pieceLooks(varied)(4));
    expect(pieceLooks(varied)(3)).not.toEqual(pieceLooks({ ...varied, seed: 8 })(3));
  });

  it('spreads evenly over the whole range: mean at the middle, both ends reached', () => {
    const looks = Array.from({ length: 4000 }, (_, piece) => pieceLooks(varied)(piece)!);
    const shifts = looks.map(({ shift }) => shift);
    expect(mean(shifts)).toBeCloseTo(1, 1); // uniform on [0, 2]: mean 1, its standard error here 0.009
    expect(Math.min(...shifts)).toBeLessThan(0.01);
    expect(Math.max(...shifts)).toBeGreaterThan(1.99);
    const tints = looks.flatMap(({ tint }) => tint);
    expect(Math.min(...tints)).toBeGreaterThanOrEqual(0.7);
    expect(Math.max(...tints)).toBeLessThanOrEqual(1);
    expect(mean(tints)).toBeCloseTo(0.85, 1);
  });
});

describe('a run of varied pieces', () => {
  const plank = makeSegmentMesh({ kind: 'plank', length: 2, width: 0.4, thickness: 0.1 });
  const table = tableOf(compiled(pathOf('straight', [[0, 0, 0], [8, 0, 0]])), 'upright'); // prettier-ignore
  const topology = (variation: VariationSpec, runsOn: boolean) => {
    const mesh = { ...plank, parts: plank.parts.map((part) => ({ ...part, runsOn })) };
    const job = jobOf({ laying: { kind: 'fillStretch', variation } });
    const plan = unwrap(planRun({ table, segment: prepared(mesh), job }));
    return { plan, ...buildTopology(plan) };
  };

  it('tints and shifts whole pieces, each its own way', () => {
    const plain = topology(NO_VARIATION, false);
    const { plan, uvs, colours } = topology(varied, false);
    expect(plain.colours).toBeUndefined();
    let v = 0;
    plan.pieces.forEach(({ form }, i) => {
      const { tint, shift } = pieceLooks(varied)(i)!;
      for (const end = v + form.mesh.positions.length / 3; v < end; v++) {
        for (let c = 0; c < 3; c++) expect(colours![v * 4 + c]).toBeCloseTo(tint[c], 6);
        expect(colours![v * 4 + 3]).toBe(1);
        expect(uvs[v * 2] - plain.uvs[v * 2]).toBeCloseTo(shift, 5);
        expect(uvs[v * 2 + 1]).toBe(plain.uvs[v * 2 + 1]);
      }
    });
    expect(v).toBe(plan.vertexCount);
  });

  it('lets a texture that runs on from piece to piece run on', () => {
    expect(topology(varied, true).uvs).toEqual(topology(NO_VARIATION, true).uvs);
  });
});

describe('variation in hue', () => {
  it('sets red, green and blue apart by a quarter of the tint, each its own way', () => {
    const looks = Array.from({ length: 500 }, (_, piece) => pieceLooks({ tint: 0.4, shift: 0, seed: 2 })(piece)!.tint);
    let most = 0;
    for (const [r, g, b] of looks) most = Math.max(most, Math.abs(r - g), Math.abs(g - b), Math.abs(b - r));
    expect(most).toBeGreaterThan(0.08);
    expect(most).toBeLessThanOrEqual(0.1 + 1e-12);
    // Not one of them always the greatest.
    for (const c of [0, 1, 2]) expect(looks.filter((t) => t[c] === Math.max(...t)).length).toBeGreaterThan(100);
  });
});
