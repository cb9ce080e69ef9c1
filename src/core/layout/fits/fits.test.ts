import { makeSegmentMesh } from '../../segment/registry';
import { ellipse, helix, pathOf } from '../../testing/curves';
import { bentRun, compiled, jobOf, prepared, tableOf } from '../../testing/runs';
import { buildRows, fitOf, FITS } from '../fit-registry';
import { LAYING_RULES } from '../registry';
import { straightChords } from '../straight-chords';
import type { RuleInput } from '../laying-rule';
import { sameLengths } from '../piece-lengths';
import { ROW_STRIDE } from '../../segment/pieces/rows';
import { shapeOf } from '../../testing/runs';

const bar = prepared(makeSegmentMesh({ kind: 'plank', length: 0.5, width: 0.3, thickness: 0.1 }), { centre: 'middle' });

describe.each(FITS.map((fit) => [fit.kind, fit] as const))('the fit %s', (kind, fit) => {
  it('has defaults that are valid', () => {
    expect(fit.schema.safeParse(fit.defaults).success).toBe(true);
    for (const { key } of fit.fields) expect(fit.defaults).toHaveProperty(key);
  });

  it('writes every row, with frames square and of unit length', () => {
    const shape = shapeOf(tableOf(helix(3, 0.5, 2), 'upright'), { roll: 0.3, gauge: 1.2 });
    const { frames } = buildRows(fit.defaults, bar, shape, {
      station: 1,
      factor: 1.1,
      scale: 1,
      natural: 0.5,
      overlap: 0,
    });
    for (let at = 0; at < frames.length; at += ROW_STRIDE) {
      const v = (k: number) => [...frames.subarray(at + k, at + k + 3)];
      const dot = (a: number[], b: number[]) => a.reduce((sum, x, i) => sum + x * b[i], 0);
      for (const k of [3, 6, 9]) expect(dot(v(k), v(k))).toBeCloseTo(1, 9);
      for (const [a, b] of [[3, 6], [3, 9], [6, 9]] as const) expect(dot(v(a), v(b))).toBeCloseTo(0, 9); // prettier-ignore
    }
  });

  // What is strewn lies on another course.
  if (!fit.isStrewn)
    it('lays a straight run where any other fit does', () => {
      const line = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright'); // prettier-ignore
      const mesh = (which: typeof kind) =>
      bentRun(bar, line, jobOf({ laying: { kind: 'fillGaps', gap: 0.1 }, bending: { slicing: { by: 'off' } }, fit: fitOf({ kind: which }).defaults })).mesh; // prettier-ignore
      const [own, bent] = [mesh(kind), mesh('bent')];
      own.positions.forEach((v, i) => expect(Math.abs(v - bent.positions[i])).toBeLessThan(2e-6));
    });
});

describe('stiff', () => {
  it('keeps every distance within a piece, wherever it lies, and its normals', () => {
    const table = tableOf(ellipse(1, 1), 'upright', { tolerance: 1e-6 });
    const job = jobOf({
      laying: { kind: 'fillStretch' },
      bending: { roll: 0.4, turns: 1 },
      fit: { kind: 'stiff', stands: 'square' },
    });
    const { mesh, plan } = bentRun(bar, table, job);
    let base = 0;
    for (const { form } of plan.pieces) {
      const p = form.mesh.positions;
      const at = (of: Float32Array, v: number, first: number) => [0, 1, 2].map((c) => of[(first + v) * 3 + c]);
      for (let v = 1; v * 3 < p.length; v++) {
        const apart = (of: Float32Array, first: number) =>
          Math.hypot(...at(of, v, first).map((x, c) => x - at(of, 0, first)[c]));
        expect(apart(mesh.positions, base)).toBeCloseTo(apart(p, 0), 5);
      }
      base += p.length / 3;
    }
    expect(base).toBe(plan.vertexCount);
  });

  it('has its middle on the path', () => {
    const table = tableOf(ellipse(1, 1), 'upright', { tolerance: 1e-6 });
    const tube = prepared(makeSegmentMesh({ kind: 'tube', length: 0.5, radius: 0.1, sides: 12 }));
    const { mesh, plan } = bentRun(
      tube,
      table,
      jobOf({ laying: { kind: 'fillStretch' }, fit: { kind: 'stiff', stands: 'square' } }),
    );
    const { length } = tube.mesh.positions;
    // A round tube's vertices lie evenly about its axis: those of both ends together about its middle.
    const middles = plan.pieces.map((_, i) => {
      const ends = new Set<string>();
      for (let k = i * length; k < (i + 1) * length; k += 3) ends.add(mesh.positions.slice(k, k + 3).join());
      const places = [...ends].map((place) => place.split(',').map(Number));
      return [0, 1, 2].map((c) => places.reduce((sum, place) => sum + place[c], 0) / places.length);
    });
    expect(middles.length).toBe(13);
    for (const [x, y] of middles) expect(Math.hypot(x, y)).toBeCloseTo(1, 4);
  });
});

const STRAIGHT: RuleInput = {
  reach: 20,
  lengths: sameLengths(0.5),
  round: false,
  points: [2, 7, 19],
  placeOf: (station) => station,
  rise: 4,
  atRise: (gained) => gained * 5,
  chords: () => straightChords(0, 20),
};

describe.each(LAYING_RULES.map((rule) => [rule.kind, rule] as const))('the rule %s', (_, rule) => {
  it('has defaults that are valid, and fields for what they hold', () => {
    expect(rule.schema.safeParse(rule.defaults).success).toBe(true);
    for (const { key } of rule.fields) expect(rule.defaults).toHaveProperty(key);
  });

  it('lays pieces in order within the reach, for what the defaults ask', () => {
    const laid = rule.lay(STRAIGHT, rule.defaults);
    const spots = Array.from({ length: laid.count }, (_, i) => laid.at(i));
    expect(spots.length).toBeGreaterThan(0);
    spots.forEach(({ start, length }, i) => {
      expect(length).toBeGreaterThan(0);
      expect(start).toBeGreaterThanOrEqual(i > 0 ? spots[i - 1].start : 0);
      expect(start + length).toBeLessThan(20 + 1e-9);
    });
    expect(Number.isFinite(laid.gapAfter)).toBe(true);
  });
});
