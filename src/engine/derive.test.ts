import { createHash } from 'node:crypto';
import { bendRun } from '../core/bending/build-run';
import type { CurveSpec } from '../core/curve/registry';
import type { Vec3 } from '../core/math/vec3';
import { pathOf } from '../core/testing/curves';
import { jobOf, unwrap, type JobChange } from '../core/testing/runs';
import { FINISH_DEFAULTS, MADE_PREPARE, makerDefaults } from '../project/defaults';
import type { Guide, Segment } from '../project/schema';
import { loadFrom } from './bake';
import { Deriver } from './derive';
import { buffersOf, facetsOf, FacetVersions } from './facets';
import type { RunSource } from './run-source';
import { StageCache } from './stage-cache';
import { planAt, sourceWith, type SourceParts } from './testing/sources';

const guide = (change: Partial<Guide> = {}): Guide => ({
  ...{ id: 'g', name: 'G', visible: true },
  shape: { from: 'body', kind: 'post', sizes: { radius: 0.4, height: 4 } },
  ...{ position: [4, -2, 1.2], turn: [0, 0, 0], clearance: 0.05 },
  ...change,
});
const segment = (change: Partial<Segment> = {}): Segment => ({
  ...{ id: 's', name: 'S' },
  source: { from: 'maker', spec: makerDefaults('plank') },
  ...{ prepare: MADE_PREPARE, finishes: [] },
  ...change,
});
const WAY: Vec3[] = [[0, 0, 0], [4, 0.4, 2], [8, 0, -1], [12, 0, 3]]; // prettier-ignore
const source = (change: Partial<SourceParts> = {}): RunSource =>
  sourceWith({ segment: segment(), curve: pathOf('smooth', WAY), guides: [guide()], ...change });
const job = (change: JobChange) => jobOf({ ...change, laying: { kind: 'fillStretch', ...change.laying } });
const sitting = (g: Guide) =>
  source({ guides: [g], job: job({ bending: { frames: { rule: 'sitOnGuide', up: [0, 1, 0], guide: 'g' } } }) });
const coil = segment({
  source: {
    from: 'maker',
    spec: { ...(makerDefaults('coil') as object), by: 'fill', smooth: 0.005, detail: 'low', pitch: 0.2 } as never,
  },
});
const moved = (i: number, by: Vec3): CurveSpec => pathOf('smooth', WAY.map((p, k): Vec3 => (k === i ? [p[0] + by[0], p[1] + by[1], p[2] + by[2]] : p))); // prettier-ignore

/** Each differs from the one before it in one thing. */
const EDITS: readonly (readonly [name: string, source: RunSource, time?: number | null])[] = [
  ['as it was', source()],
  ['a finish', source({ segment: segment({ finishes: [{ part: 'Board', ...FINISH_DEFAULTS, colour: '#ff0000' }] }) })],
  ['the same finish, another colour', source({ segment: segment({ finishes: [{ part: 'Board', ...FINISH_DEFAULTS, colour: '#00ff00' }] }) })],
  ['none again', source()],
  ['a point', source({ curve: moved(1, [0, 0.3, 0.5]) })],
  ['another point', source({ curve: moved(2, [0.5, 0, 0.5]) })],
  ['roll of a point', source({ curve: { ...pathOf('smooth', WAY), points: pathOf('smooth', WAY).points.map((p, i) => (i === 1 ? { ...p, roll: 0.7 } : p)) } })],
  ['the guide’s place', source({ guides: [guide({ position: [4, -2, 2] })] })],
  ['the guide’s clearance', source({ guides: [guide({ position: [4, -2, 2], clearance: 0.5 })] })],
  ['the guide unseen', source({ guides: [guide({ position: [4, -2, 2], clearance: 0.5, visible: false })] })],
  ['sitting on the guide', sitting(guide())],
  ['the guide moved', sitting(guide({ position: [5, -2, -1] }))],
  ['the guide turned', sitting(guide({ position: [5, -2, -1], turn: [0.6, 0, 0.8] }))],
  ['the guide’s size', sitting(guide({ position: [5, -2, -1], turn: [0.6, 0, 0.8], shape: { from: 'body', kind: 'post', sizes: { radius: 1, height: 4 } } }))],
  ['a maker that fills the path', source({ segment: coil, job: job({ laying: { kind: 'onePiece' } }) })],
  ['its reach', source({ segment: coil, job: job({ laying: { kind: 'onePiece', from: 2, to: 7 } }) })],
  ['its reach again', source({ segment: coil, job: job({ laying: { kind: 'onePiece', from: 1, to: 9 } }) })],
  ['the path under it', source({ segment: coil, curve: moved(3, [2, 0, 0]), job: job({ laying: { kind: 'onePiece' } }) })],
  ['laying', source({ job: job({ laying: { kind: 'byCount', count: 3 } }) })],
  ['one more', source({ job: job({ laying: { kind: 'byCount', count: 4 } }) })],
  ['roll', source({ job: job({ bending: { roll: 0.4 } }) })],
  ['turns', source({ job: job({ bending: { turns: 2 } }) })],
  ['gauge', source({ job: job({ bending: { gauge: 2 } }) })],
  ['tolerance', source({ job: job({ bending: { tolerance: 0.02 } }) })],
  ['slicing', source({ job: job({ bending: { slicing: { by: 'rows', rows: 5 } } }) })],
  ['growth, grown', source({ job: job({ motion: { growth: { kind: 'stretchOut', seconds: 4 } } }) })],
  ['half grown', source({ job: job({ motion: { growth: { kind: 'stretchOut', seconds: 4 } } }) }), 2],
  ['a quarter grown', source({ job: job({ motion: { growth: { kind: 'stretchOut', seconds: 4 } } }) }), 1],
  ['slower', source({ job: job({ motion: { growth: { kind: 'stretchOut', seconds: 8 } } }) }), 1],
  ['grown again', source({ job: job({ motion: { growth: { kind: 'stretchOut', seconds: 8 } } }) }), null],
]; // prettier-ignore

describe('a deriver that is kept', () => {
  it('gives for every edit, one after the other, what a fresh one gives', async () => {
    const kept = new Deriver(loadFrom(new Map()));
    let before = '';
    for (const [name, given, time = null] of EDITS) {
      const show = async (deriver: Deriver) => {
        const derived = unwrap(await deriver.derive(structuredClone(given)));
        const { ready, laid } = derived.courses[0];
        const plan = planAt(derived, time);
        const { positions, normals } = bendRun(plan);
        const hash = createHash('sha1');
        for (const { form } of plan.pieces) hash.update(form.mesh.indices);
        hash.update(positions).update(normals);
        return hash.digest('hex') + JSON.stringify([derived.findings(), ready.prepared.mesh.materials, laid.layout]);
      };
      const [own, fresh] = [await show(kept), await show(new Deriver(loadFrom(new Map())))];
      if (own !== fresh) throw new Error(`${name}: another result than a fresh one`);
      if (own === before && name !== 'grown again') throw new Error(`${name}: changes nothing`);
      before = own;
    }
  });

  it('slices nothing while a run grows', async () => {
    const deriver = new Deriver(loadFrom(new Map()));
    const hose = segment({
      source: { from: 'maker', spec: { ...(makerDefaults('turned') as object), ribs: 4, smooth: 0.004 } as never },
    });
    for (const laying of [{ kind: 'onePiece' }, { kind: 'fillStretch' }] as const) {
      const growing = source({
        segment: hose,
        job: job({ laying, motion: { growth: { kind: 'stretchOut', seconds: 4 } } }),
      });
      const forms = new Set<unknown>();
      let pieces = 0;
      for (let k = 1; k <= 40; k++) {
        const plan = planAt(unwrap(await deriver.derive(structuredClone(growing))), k / 10);
        for (const piece of plan.pieces) forms.add(piece.form);
        pieces = plan.pieces.length;
      }
      expect(forms.size).toBeLessThanOrEqual(pieces);
    }
  });
});

describe('a run of one piece', () => {
  it('stays the same when it is shown, handed over and shown again', async () => {
    const deriver = new Deriver(loadFrom(new Map()));
    const versions = new FacetVersions('t:');
    const view = async () => {
      const derived = unwrap(await deriver.derive(source({ job: job({ laying: { kind: 'onePiece' } }) })));
      const { changed } = facetsOf(derived, null, {}, versions, deriver);
      return structuredClone(changed, { transfer: buffersOf(changed) });
    };
    const first = await view();
    expect(first.courses.main.topology!.indices.length).toBeGreaterThan(0);
    expect(await view()).toEqual(first);
  });
});

describe('frames that are played again', () => {
  const growing = () =>
    source({ job: job({ laying: { kind: 'onePiece' }, motion: { growth: { kind: 'uncover', seconds: 4, tip: 0 } } }) });

  it('are the very same as long as there is room, and keep to the budget where there is not', async () => {
    const roomy = new Deriver(loadFrom(new Map()));
    const derived = unwrap(await roomy.derive(growing()));
    const first = roomy.plan(derived, 0, 1.5);
    expect(first.pieces[0].form).not.toBe(first.pieces[0].laid.form);
    expect(roomy.plan(derived, 0, 1.5)).toBe(first);
    expect(roomy.plan(derived, 0, 2)).not.toBe(first);
    const budget = roomy.cache.bytes + 40_000;
    const tight = new Deriver(loadFrom(new Map()), undefined, new StageCache(budget));
    const again = unwrap(await tight.derive(growing()));
    for (let frame = 1; frame < 200; frame++) tight.plan(again, 0, frame / 50);
    expect(tight.cache.bytes).toBeLessThanOrEqual(budget);
    expect(tight.plan(again, 0, 1.5).pieces[0].form.mesh.positions).toEqual(first.pieces[0].form.mesh.positions);
  });
});
