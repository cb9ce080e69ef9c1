import { volume } from '../mesh/measure';
import { makeSegmentMesh } from '../segment/registry';
import { ellipse, helix, pathOf } from '../testing/curves';
import { bentRun, compiled, jobOf, planRun, prepared, shapeOf, tableOf, unwrap } from '../testing/runs';
import { buildTopology } from '../bending/build-run';
import { TWIST, UP } from '../frames/frame-table';
import { blends } from './blends';
import { frameOn, GAUGE_SIDE, GAUGE_UP, OFFSET_SIDE, OFFSET_UP, SLOPE } from './frame-on';
import { movedShape } from './shape';
import { shapeSpecSchema } from './shape-spec';

const LINE = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright'); // prettier-ignore
const keys = (...pairs: readonly (readonly [number, number])[]) =>
  pairs.map(([station, value]) => ({ station, value }));

describe.each(Object.values(blends).map((blend) => [blend.kind, blend] as const))('the blend %s', (_, blend) => {
  const [stations, values] = [[1, 2, 4, 7], [3, -1, 5, 5]]; // prettier-ignore

  it('goes through its keys, stays between neighbours, and is level beyond the ends', () => {
    const { at } = blend.lane(stations, values, undefined);
    stations.forEach((s, i) => expect(at(s)[0]).toBeCloseTo(values[i], 12));
    for (let s = 0; s <= 8; s += 0.01) {
      const i = stations.findLastIndex((station) => station <= s);
      const around = [values[Math.max(i, 0)], values[Math.min(i + 1, 3)]];
      expect(at(s)[0]).toBeGreaterThanOrEqual(Math.min(...around) - 1e-9);
      expect(at(s)[0]).toBeLessThanOrEqual(Math.max(...around) + 1e-9);
    }
    expect([at(-5), at(50)]).toEqual([[3, 0], [5, 0]]); // prettier-ignore
  });

  it('has slopes that are its own differences', () => {
    const { at } = blend.lane(stations, values, undefined);
    for (const s of [0.5, 1.5, 2.3, 3.1, 5, 6.5, 7.5])
      expect(at(s)[1]).toBeCloseTo((at(s + 1e-6)[0] - at(s - 1e-6)[0]) / 2e-6, 4);
  });

  it('closes on a round', () => {
    const { at } = blend.lane(stations, values, 10);
    for (const s of [0, 0.9, 1, 5.5, 9.99]) expect(at(s)[0]).toBeCloseTo(at(s + 10)[0], 9);
  });
});

describe('a shape', () => {
  it('adds rolls and offsets and multiplies gauges, of the run, its lanes and the path’s points', () => {
    const shape = shapeOf(LINE, {
      ...{ roll: 0.1, turns: 0.5, gauge: 2 },
      lanes: {
        roll: { blend: 'straight', keys: keys([0, 0], [10, 1]) },
        gaugeUp: { blend: 'smooth', keys: keys([0, 3], [10, 3]) },
        offsetSide: { blend: 'straight', keys: keys([0, 0], [10, 5]) },
      },
      points: [{ roll: 0.2, gauge: 1.5 }, {}],
    });
    const frame = frameOn(shape, 4);
    const roll = 0.1 + Math.PI * 0.4 + 0.4 + 0.2;
    expect(frame[UP + 1]).toBeCloseTo(Math.cos(roll), 9);
    expect(frame[UP + 2]).toBeCloseTo(Math.sin(roll), 9);
    expect(frame[TWIST]).toBeCloseTo((Math.PI + 1) / 10, 9);
    expect([frame[GAUGE_UP], frame[GAUGE_SIDE]]).toEqual([expect.closeTo(9, 9), expect.closeTo(3, 9)]);
    expect([frame[OFFSET_UP], frame[OFFSET_SIDE], frame[OFFSET_SIDE + SLOPE]]).toEqual([0, 2, 0.5]);
  });

  it('takes along what goes with the run when it moves, and leaves what belongs to the path', () => {
    const shape = shapeOf(LINE, {
      lanes: { gaugeUp: { blend: 'straight', keys: keys([0, 1], [10, 2]) } },
      points: [{ gauge: 1 }, { gauge: 3 }],
    });
    const half = movedShape(shape, { from: 0, scale: 0.5, shift: 1 });
    const path = frameOn(shape, 3)[GAUGE_SIDE];
    expect(frameOn(half, 3)[GAUGE_SIDE]).toBeCloseTo(path, 12);
    // What lies at 3 lay at (3 - 1) / 0.5 = 4: a gauge of 1.4.
    expect(frameOn(half, 3)[GAUGE_UP] / path).toBeCloseTo(1.4, 9);
    const rise = (frameOn(half, 3 + 1e-6)[GAUGE_UP] - frameOn(half, 3 - 1e-6)[GAUGE_UP]) / 2e-6;
    expect(frameOn(half, 3)[GAUGE_UP + SLOPE]).toBeCloseTo(rise, 5);
  });

  it('refuses a gauge of nothing or less', () => {
    const spec = (value: number) => ({ frames: { rule: 'upright', up: [0, 1, 0] }, roll: 0, turns: 0, gauge: 1, lanes: { gaugeSide: { blend: 'smooth', keys: keys([0, value]) } } }); // prettier-ignore
    expect(shapeSpecSchema.safeParse(spec(0.5)).success).toBe(true);
    expect(shapeSpecSchema.safeParse(spec(0)).success).toBe(false);
  });
});

describe('a run along lanes', () => {
  const tube = prepared(makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.1, sides: 48 }));
  const section = 24 * 0.01 * Math.sin((2 * Math.PI) / 48);

  // Cavalieri: sections of gauge a(s) by b(s) hold the integral of both; straight from 1 to 3 is 2 on the whole.
  it('holds the volume of its sections where the two gauges differ', () => {
    const lanes = { gaugeUp: { blend: 'straight' as const, keys: keys([0, 1], [10, 3]) } };
    const { mesh } = bentRun(tube, LINE, jobOf({ bending: { lanes, tolerance: 1e-5 } }));
    expect(volume(mesh) / (section * 20)).toBeCloseTo(1, 3);
  });

  // Pappus: moved off a circle of radius R by d sideways, the section's middle goes round R + d or R - d.
  it('is longer on the outer side when it is moved aside', () => {
    const ring = tableOf(ellipse(3, 3), 'upright', { tolerance: 1e-7 }, [0, 0, 1]);
    const at = (value: number) => {
      const lanes = { offsetSide: { blend: 'straight' as const, keys: keys([0, value]) } };
      return volume(bentRun(tube, ring, jobOf({ bending: { lanes, tolerance: 1e-5 } })).mesh) / section;
    };
    const both = [at(0.5), at(-0.5)].toSorted((a, b) => a - b);
    expect(both[0]).toBeCloseTo(2 * Math.PI * 2.5, 2);
    expect(both[1]).toBeCloseTo(2 * Math.PI * 3.5, 2);
  });

  it('has normals square to its surface where gauges differ, offsets change and it twists', () => {
    const table = tableOf(helix(3, 0.6, 1), 'leastTwist', { tolerance: 1e-7 });
    const end = table.length;
    const lanes = {
      gaugeUp: { blend: 'smooth' as const, keys: keys([0, 1], [end / 2, 2.5], [end, 0.8]) },
      gaugeSide: { blend: 'smooth' as const, keys: keys([0, 1.4], [end / 3, 0.7], [end, 1]) },
      offsetUp: { blend: 'smooth' as const, keys: keys([0, 0], [end / 2, 0.4], [end, -0.2]) },
      offsetSide: { blend: 'smooth' as const, keys: keys([0, 0.3], [end, -0.3]) },
      roll: { blend: 'smooth' as const, keys: keys([0, 0], [end, 2]) },
    };
    const round = prepared(makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.1, sides: 400 }));
    const follows = { bank: { speed: 3, most: 0.5, ease: 2 }, thin: { radius: 4, least: 0.4, ease: 2 } };
    const { mesh } = bentRun(round, table, jobOf({ bending: { lanes, follows, tolerance: 1e-5 } }));
    const at = (of: Float32Array, v: number) => [of[v * 3], of[v * 3 + 1], of[v * 3 + 2]] as const;
    let worst = 0;
    let checked = 0;
    for (let i = 0; i < mesh.indices.length; i += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => mesh.indices[i + k]) as [number, number, number];
      const [p, q, r] = [at(mesh.positions, a), at(mesh.positions, b), at(mesh.positions, c)];
      const [u, v] = [q.map((x, k) => x - p[k]), r.map((x, k) => x - p[k])] as [number[], number[]];
      const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
      const l = Math.hypot(...n);
      if (l < 1e-9) continue;
      // The mean of the three corners' normals against that of the face.
      const mean = [0, 1, 2].map((k) => at(mesh.normals, a)[k] + at(mesh.normals, b)[k] + at(mesh.normals, c)[k]);
      const cos = n.reduce((sum, x, k) => sum + x * mean[k], 0) / (l * Math.hypot(...mean));
      worst = Math.max(worst, 1 - cos);
      checked++;
    }
    expect(checked).toBeGreaterThan(1000);
    expect(worst).toBeLessThan(2e-4);
  });

  it('has its texture moved along as its lane says', () => {
    const lanes = { textureShift: { blend: 'straight' as const, keys: keys([0, 0], [10, 2]) } };
    const job = jobOf({ laying: { kind: 'fillStretch' }, bending: { lanes, slicing: { by: 'off' } } });
    const [moved, plain] = [job, jobOf({ laying: { kind: 'fillStretch' }, bending: { slicing: { by: 'off' } } })].map(
      (of) => buildTopology(unwrap(planRun({ segment: tube, table: LINE, job: of }))).uvs,
    );
    const { mesh } = bentRun(tube, LINE, job);
    for (let v = 0; v * 2 < moved.length; v++)
      expect(moved[v * 2] - plain[v * 2]).toBeCloseTo(mesh.positions[v * 3] / 5, 5);
  });
});
