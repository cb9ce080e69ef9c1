import { isClosed } from '../core/mesh/is-closed';
import type { LaneSpec } from '../core/shape/lane-spec';
import { TWIST } from '../core/frames/frame-table';
import { frameOn, GAUGE_UP } from '../core/shape/frame-on';
import { manifoldOf } from '../core/testing/manifold';
import { unwrap } from '../core/testing/runs';
import { setRule, setStep } from '../project/commands/runs';
import { saltgrassLanding } from '../project/samples/saltgrass-landing';
import type { Project } from '../project/schema';
import { bakeProject, loadFrom } from './bake';
import { Deriver } from './derive';
import { sourceOf } from './run-source';

const deriver = new Deriver(loadFrom(new Map()));
const landing = saltgrassLanding();

/** A scanned log of the landing by its run's name: at its own length, thick in the middle and thin at its ends, twisted once. */
function log(name: string): Project {
  const run = landing.runs.find((own) => own.name === name)!;
  const gauge: LaneSpec = { blend: 'smooth', along: 'reach', keys: [{ station: 0, value: 0.25 }, { station: 0.5, value: 0.4 }, { station: 1, value: 0.2 }] }; // prettier-ignore
  const own = { ...landing, runs: [run], guides: [], keyed: [] };
  const laid = setRule(own, { run: run.id }, { kind: 'byCount', count: 1, over: 'own', gap: 0 } as never);
  return setStep(laid, run.id, 'shape', { turns: 1, lanes: { gaugeUp: gauge, gaugeSide: gauge } });
}

describe.each(['Driftwood', 'Driftwood spiral'])('a scan as the %s', (name) => {
  it('keeps its length, is thick in the middle, twists evenly, and does not tear', async () => {
    const project = log(name);
    const derived = unwrap(await deriver.derive(unwrap(sourceOf(project, project.runs[0]))));
    const { laid, shape, ready } = derived.courses[0];
    const [placement] = laid.layout.placements;
    expect(placement.stretch).toBe(1);
    expect(placement.length).toBeCloseTo(ready.prepared.length, 9);
    const middle = placement.length / 2;
    expect(frameOn(shape, middle)[GAUGE_UP]).toBeGreaterThan(0.39);
    const twists = [0.1, 0.5, 0.9].map((share) => frameOn(shape, share * placement.length)[TWIST]);
    expect(Math.max(...twists) - Math.min(...twists)).toBeLessThan(5e-3);
    expect(twists[0]).toBeCloseTo((2 * Math.PI) / (shape.reach.to - shape.reach.from), 2);
    const [{ mesh }] = unwrap(await bakeProject(project, deriver, {})).scene;
    expect([isClosed(ready.prepared.mesh), isClosed(mesh)]).toEqual([true, true]);
    const solid = await manifoldOf(mesh);
    expect(solid.volume()).toBeGreaterThan(0);
    expect(solid.genus()).toBe(0);
    // Nothing of it folds over: no finding of a bend too tight, and no part of it lies in another.
    expect(derived.findings().filter(({ check }) => check === 'foldingOver')).toEqual([]);
  });
});
