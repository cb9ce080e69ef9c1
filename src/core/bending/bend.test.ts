import { curveFrom, helix, pathOf } from '../testing/curves';
import { bentRun, compiled, jobOf, planRun, prepared, tableOf } from '../testing/runs';
import { boxOf } from '../mesh/box';
import { isClosed } from '../mesh/is-closed';
import type { Mesh } from '../mesh/mesh';
import { area, volume } from '../mesh/measure';
import { makeSegmentMesh, type MakerSpec } from '../segment/registry';
import { sliceSegment } from '../segment/slice';
import { evenPlanes } from '../segment/pieces/plan-slices';
import type { RunJob } from '../motion/run-spec';
import { stiffPlaces } from '../segment/stiff-zones';

const circle = (R: number) => {
  const w = 2 * Math.PI;
  return curveFrom(
    (u) => [R * Math.cos(w * u), 0, R * Math.sin(w * u)],
    (u) => [-R * w * Math.sin(w * u), 0, R * w * Math.cos(w * u)],
    (u) => [-R * w * w * Math.cos(w * u), 0, -R * w * w * Math.sin(w * u)],
    true,
  );
};
const rows = (n: number): Partial<RunJob['bending']> => ({ slicing: { by: 'rows', rows: n } });

describe('a bent run', () => {
  // Pappus; A. W. Goodman & G. Goodman, Amer. Math. Monthly 76, 1969. Mesh: V m/(2 pi) sin(2 pi/m) sin(d)/d, d = 2 pi/n.
  it.each([
    { R: 3, r: 1, m: 24, n: 48, volumeWanted: 58.37644413722, areaWanted: 117.8867156601 },
    { R: 10, r: 0.5, m: 16, n: 32, volumeWanted: 47.78101379222, areaWanted: 195.3401236424 },
  ])(
    'of a tube round a circle has the volume and area of the torus mesh R = $R, r = $r',
    ({ R, r, m, n, volumeWanted, areaWanted }) => {
      const segment = prepared(makeSegmentMesh({ kind: 'tube', length: 2, radius: r, sides: m }));
      const { mesh } = bentRun(
        segment,
        tableOf(circle(R), 'leastTwist', { intervals: n * 64 }),
        jobOf({ bending: rows(n) }),
      );
      expect(volume(mesh) / volumeWanted).toBeCloseTo(1, 6);
      expect(area(mesh) / areaWanted).toBeCloseTo(1, 4); // no walls where the ends meet
      expect(isClosed(mesh)).toBe(true);
    },
  );

  // Volume = section area times length for any twist, whole section normal to the path (same source).
  it.each([0, 1, 5])('of a tube on a helix has the volume of Pappus, whatever the twist (%d turns)', (turns) => {
    const m = 24;
    const segment = prepared(makeSegmentMesh({ kind: 'tube', length: 2, radius: 0.5, sides: m }));
    const table = tableOf(helix(3, 4 / (2 * Math.PI), 1), 'leastTwist', { intervals: 4000 });
    expect(table.length).toBeCloseTo(19.26929574320808, 9);
    const { mesh } = bentRun(segment, table, jobOf({ bending: { turns, ...rows(2048) } }));
    const section = (m / 2) * 0.25 * Math.sin((2 * Math.PI) / m);
    expect(isClosed(mesh)).toBe(true);
    // Quads are split one way and the other by turns: all one way, a twist would make that a first-order error, turns over rows.
    expect(Math.abs(volume(mesh) / (section * table.length) - 1)).toBeLessThan(2e-5 + turns * 1e-5);
  });

  // 48 rows of 24 sides on that helix, least twist: the two ways of splitting the quads (derived for this check, exact rings).
  it('has the mesh volume that its rows and sides lead to, to a millionth', () => {
    const segment = prepared(makeSegmentMesh({ kind: 'tube', length: 2, radius: 0.5, sides: 24 }));
    const table = tableOf(helix(3, 4 / (2 * Math.PI), 1), 'leastTwist', { intervals: 48 * 64 });
    const got = volume(bentRun(segment, table, jobOf({ bending: rows(48) })).mesh);
    expect(got / 14.92093069009).toBeCloseTo(1, 5);
  });

  it('on a straight path is the segment itself', () => {
    const segment = prepared(makeSegmentMesh({ kind: 'kerbedLane', length: 4, laneWidth: 3.2, bankHeight: 0.9 }));
    const table = tableOf(
      compiled(
        pathOf('straight', [
          [0, 0, 0],
          [4, 0, 0],
        ]),
      ),
      'upright',
    );
    const { mesh } = bentRun(segment, table, jobOf());
    const farthest = (a: Float32Array, b: Float32Array) =>
      a.reduce((most, x, i) => Math.max(most, Math.abs(x - b[i])), 0);
    expect(mesh.positions).toHaveLength(segment.mesh.positions.length);
    expect(farthest(mesh.positions, segment.mesh.positions)).toBeLessThan(1e-6);
    expect(farthest(mesh.normals, segment.mesh.normals)).toBeLessThan(1e-6);
  });

  it.each([
    ['kerbedLane', 7],
    ['kerbedLane', 32],
    ['tube', 13],
  ] as const)('of %s joins to the bit: the end of each of %d pieces is the start of the next', (kind, count) => {
    const made = {
      kerbedLane: { length: 4.1, laneWidth: 3.2, bankHeight: 0.9 },
      tube: { length: 0.7, radius: 0.2, sides: 12 },
    };
    const segment = prepared(makeSegmentMesh({ kind, ...made[kind] } as MakerSpec));
    const table = tableOf(helix(9, 0.4, 1.3), 'upright');
    const job = jobOf({
      laying: { kind: 'byCount', count },
      bending: { turns: 0.3, slicing: { by: 'rows', rows: 3 } },
    });
    const { plan, mesh } = bentRun(segment, table, job);
    const outline = (piece: number, x: number) => {
      const { mesh: straight } = plan.pieces[piece].form;
      const base = plan.pieces.slice(0, piece).reduce((sum, p) => sum + p.form.mesh.positions.length, 0);
      const places = new Set<string>();
      for (let i = 0; i < straight.positions.length; i += 3)
        if (straight.positions[i] === x) places.add(mesh.positions.slice(base + i, base + i + 3).join());
      return [...places].sort();
    };
    for (let piece = 0; piece + 1 < count; piece++)
      expect(outline(piece + 1, 0)).toEqual(outline(piece, Math.fround(segment.length)));
  });

  it('has walls at its two ends only, and none where the gap keeps pieces apart or their ends differ', () => {
    const plank = makeSegmentMesh({ kind: 'plank', length: 2, width: 1, thickness: 0.5 });
    const tapered = {
      ...plank,
      positions: plank.positions.map((v, i) => (i % 3 === 1 && plank.positions[i - 1] > 1 ? v / 2 : v)),
    };
    const table = tableOf(compiled(pathOf('straight', [[0, 0, 0], [6, 0, 0]])), 'upright'); // prettier-ignore
    const run = (mesh: Mesh, gap: number) =>
      bentRun(prepared(mesh), table, jobOf({ laying: { kind: 'byCount', count: 3, gap } })).mesh;
    const walls = (mesh: Mesh) => {
      const seen = new Set<number>();
      for (let i = 0; i < mesh.indices.length; i += 3) {
        const [a, b, c] = [0, 1, 2].map((k) => mesh.positions[mesh.indices[i + k] * 3]);
        if (a === b && b === c) seen.add(a);
      }
      return [...seen].sort((a, b) => a - b);
    };
    expect(walls(run(plank, 0))).toEqual([0, 6]);
    expect(isClosed(run(plank, 0))).toBe(true);
    expect(volume(run(plank, 0)) / volume(plank)).toBeCloseTo(3, 6);
    expect(walls(run(plank, 0.5))).toEqual([0, 2, 2.5, 4.5, 5, 7]);
    expect(walls(run(tapered, 0))).toEqual([0, 2, 4, 6]);
  });

  it('is the same bytes every time', () => {
    const segment = prepared(makeSegmentMesh({ kind: 'kerbedLane', length: 4, laneWidth: 3.2, bankHeight: 0.9 }));
    const path = compiled(
      pathOf('smooth', [
        [0, 0, 0],
        [20, 2, 5],
        [40, 0, -5],
      ]),
    );
    const job = jobOf({ laying: { kind: 'fillStretch' }, bending: { turns: 0.5 } });
    const [a, b] = [1, 2].map(() => bentRun(segment, tableOf(path, 'upright'), job).mesh);
    expect(a).toEqual(b);
  });

  // Closed form: the round bar of radius r round a circle, twisted w per metre and thickened, differentiated by hand.
  it('has the normals of the closed form: bent, twisted, stretched', () => {
    const [R, gauge, turns] = [4, 1.3, 2];
    const segment = sliceSegment(
      prepared(makeSegmentMesh({ kind: 'plank', length: 5, width: 1, thickness: 0.4 })),
      evenPlanes(5, 64),
    );
    const table = tableOf(circle(R), 'upright', { intervals: 8192 });
    const { mesh } = bentRun(
      { ...segment, endsMatch: false }, // keeps the end faces, whose normals count too
      table,
      jobOf({ bending: { frames: { rule: 'upright', up: [0, 1, 0] }, gauge, turns, slicing: { by: 'off' } } }),
    );
    const factor = table.length / 5;
    const w = (2 * Math.PI * turns) / table.length;
    const surface = (x: number, y: number, z: number): number[] => {
      const s = factor * x;
      const [c, d] = [Math.cos(s / R), Math.sin(s / R)];
      const [cr, sr] = [Math.cos(w * s), Math.sin(w * s)];
      // Up is y; side = forward x up points to the centre or away from it: forward = (-d, 0, c), side = (-c, 0, -d).
      const [u, v] = [gauge * (y * cr - z * sr), gauge * (y * sr + z * cr)];
      return [R * c - c * v, u, R * d - d * v];
    };
    let worst = 0;
    const { positions: p, normals: n } = segment.mesh;
    for (let i = 0; i < mesh.positions.length; i += 3) {
      const [x, y, z] = [p[i], p[i + 1], p[i + 2]];
      const at = surface(x, y, z);
      for (let k = 0; k < 3; k++) worst = Math.max(worst, Math.abs(at[k] - mesh.positions[i + k]));
      // Two directions along the straight face, carried by the map through central differences, span the bent face.
      const a: number[] = Math.abs(n[i]) < 0.9 ? [1, 0, 0] : [0, 1, 0];
      const b = [n[i + 1] * a[2] - n[i + 2] * a[1], n[i + 2] * a[0] - n[i] * a[2], n[i] * a[1] - n[i + 1] * a[0]];
      const along = (t: number[]) => {
        const h = 1e-5;
        const [f, g] = [1, -1].map((k) => surface(x + k * h * t[0], y + k * h * t[1], z + k * h * t[2]));
        return f.map((v, k) => (v - g[k]) / (2 * h));
      };
      const [ta, tb] = [along(a), along(b)];
      for (const t of [ta, tb]) {
        const l = Math.hypot(...t);
        worst = Math.max(worst, Math.abs(t.reduce((sum, v, k) => sum + (v / l) * mesh.normals[i + k], 0)));
      }
    }
    expect(worst).toBeLessThan(2e-5);
  });

  it('stays within the tolerance of the true surface: the middles of its outer edges', () => {
    const [R, radius, tolerance] = [5, 1, 0.004];
    const segment = prepared(makeSegmentMesh({ kind: 'tube', length: 2, radius, sides: 64 }));
    const table = tableOf(circle(R), 'leastTwist', { intervals: 4096 });
    const { mesh, layout } = bentRun(
      segment,
      table,
      jobOf({ laying: { kind: 'byCount', count: 4 }, bending: { tolerance } }),
    );
    expect(layout.placements).toHaveLength(4);
    let worst = 0;
    for (let i = 0; i < mesh.indices.length; i += 3) {
      for (let k = 0; k < 3; k++) {
        const [a, b] = [mesh.indices[i + k] * 3, mesh.indices[i + ((k + 1) % 3)] * 3];
        const out = [a, b].map((v) => Math.hypot(mesh.positions[v], mesh.positions[v + 2]));
        const isOuterEdge = Math.abs(out[0] - R - radius) < 1e-4 && Math.abs(out[1] - R - radius) < 1e-4;
        if (!isOuterEdge) continue;
        const middle = Math.hypot(
          (mesh.positions[a] + mesh.positions[b]) / 2,
          (mesh.positions[a + 2] + mesh.positions[b + 2]) / 2,
        );
        worst = Math.max(worst, R + radius - middle);
      }
    }
    expect(worst).toBeGreaterThan(tolerance / 5); // no finer than it needs to be
    expect(worst).toBeLessThan(tolerance);
  });
});

describe('past the end', () => {
  const table = tableOf(
    compiled(
      pathOf('straight', [
        [0, 0, 0],
        [10, 0, 0],
      ]),
    ),
    'upright',
  );
  const plank = prepared(makeSegmentMesh({ kind: 'plank', length: 4, width: 0.5, thickness: 0.1 }));
  const three = { kind: 'byCount', count: 3 } as const;
  const endOf = (p: Float32Array) => p.reduce((most, x, i) => (i % 3 === 0 ? Math.max(most, x) : most), 0);

  it('runs straight on', () => {
    const { mesh } = bentRun(plank, table, jobOf({ laying: three }));
    expect(endOf(mesh.positions)).toBeCloseTo(12, 5);
  });

  it('holds at the end what would go beyond it', () => {
    const { mesh } = bentRun(plank, table, jobOf({ laying: three, bending: { pastEnd: 'hold' } }));
    const trimmed = bentRun(plank, table, jobOf({ laying: three, bending: { pastEnd: 'trim' } })).mesh;
    const [held, cut] = [boxOf(mesh.positions), boxOf(trimmed.positions)];
    for (const end of ['min', 'max'] as const) held[end].forEach((x, c) => expect(x).toBeCloseTo(cut[end][c], 5));
    expect(volume(mesh) / volume(plank.mesh)).toBeCloseTo(2.5, 4);
  });

  it('trims by a true, closed cut', () => {
    const { mesh } = bentRun(plank, table, jobOf({ laying: three, bending: { pastEnd: 'trim' } }));
    expect(endOf(mesh.positions)).toBeCloseTo(10, 5);
    expect(isClosed(mesh)).toBe(true);
    expect(volume(mesh) / volume(plank.mesh)).toBeCloseTo(2.5, 4);
  });

  it('leaves out pieces that lie wholly beyond', () => {
    const { plan } = bentRun(
      plank,
      table,
      jobOf({ laying: { kind: 'byCount', count: 9 }, bending: { pastEnd: 'trim' } }),
    );
    expect(plan.pieces).toHaveLength(3);
  });
});

describe('growth', () => {
  const table = tableOf(
    compiled(
      pathOf('straight', [
        [0, 0, 0],
        [10, 0, 0],
      ]),
    ),
    'upright',
  );
  const plank = prepared(makeSegmentMesh({ kind: 'plank', length: 2, width: 0.5, thickness: 0.1 }));
  const job = jobOf({
    laying: { kind: 'fillStretch', from: 2 },
    motion: { growth: { kind: 'stretchOut', seconds: 4 } },
  });

  it('stretches out from nothing to the whole at a steady pace', () => {
    const reach = (time: number | null) => {
      const { mesh } = bentRun(plank, table, job, { time });
      return mesh.positions.reduce((most, x, i) => (i % 3 === 0 ? Math.max(most, x) : most), 2);
    };
    expect([0, 1, 2, 4, 9, null].map((t) => Number(reach(t).toFixed(4)))).toEqual([2, 4, 6, 10, 10, 10]);
  });
});

describe('stiff zones', () => {
  const table = () => tableOf(compiled(pathOf('smooth', [[0, 0, 0], [3, 0.4, 2], [6, 0, -1], [10, 1, 0]])), 'upright'); // prettier-ignore
  const bar = makeSegmentMesh({ kind: 'plank', length: 2, width: 0.3, thickness: 0.1 });
  const distances = (positions: Float32Array, among: readonly number[]) =>
    among.flatMap((a, i) =>
      among.slice(i + 1).map((b) => Math.hypot(...[0, 1, 2].map((c) => positions[a * 3 + c] - positions[b * 3 + c]))),
    );

  it('keep every distance within them, while the rest takes up the stretch', () => {
    const segment = sliceSegment(prepared(bar, { stiff: [{ from: 0.5, to: 1.1 }] }), evenPlanes(2, 40));
    const job = jobOf({ laying: { kind: 'byCount', count: 1 }, bending: { slicing: { by: 'off' }, turns: 0.2 } });
    const stretched = { ...job, reach: { from: null, to: 2.3 }, course: jobOf().course };
    const { mesh, plan } = bentRun(segment, table(), stretched);
    const straight = plan.pieces[0].form.mesh.positions;
    const zone = [...Array(straight.length / 3).keys()].filter(
      (v) => straight[v * 3] > 0.5 - 1e-6 && straight[v * 3] < 1.1 + 1e-6,
    );
    const [before, after] = [distances(straight, zone), distances(mesh.positions, zone)];
    after.forEach((d, i) => expect(Math.abs(d - before[i])).toBeLessThan(1e-5));
    const end = mesh.positions.slice(-3);
    expect(Math.hypot(...end)).toBeGreaterThan(2.1); // 2.3 m of path, not the segment's 2
  });

  it('share out lengths exactly', () => {
    const place = stiffPlaces(prepared(bar, { stiff: [{ from: 0.5, to: 1.1 }, { from: 1.9, to: 1.5 }] }), 1.2); // prettier-ignore
    const soft = (2.4 - 1) / (2 - 1);
    expect(place(0.5).along).toBeCloseTo(0.5 * soft, 12);
    expect(place(0.8)).toMatchObject({ isStiff: true, factor: 1 });
    expect(place(1.1).along - place(0.5).along).toBeCloseTo(0.6, 12);
    expect(place(1.3)).toMatchObject({ isStiff: false });
    expect(place(2).along).toBeCloseTo(2.4, 12);
  });
});

describe('head, body and tail', () => {
  const table = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright'); // prettier-ignore
  const hose = makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.1, sides: 12 });

  it('are laid once, between them the body as often as it fits, and all joints close', () => {
    const segment = prepared(hose, { head: 0.2, tail: 0.3 });
    const { mesh, layout } = bentRun(segment, table, jobOf({ laying: { kind: 'fillStretch' } }));
    const { placements } = layout;
    expect(placements.map(({ kind }) => kind)).toEqual(['head', ...Array(19).fill('body'), 'tail']);
    expect(placements[0]).toMatchObject({ station: 0, length: 0.2 });
    expect(placements[20].length).toBeCloseTo(0.3, 6);
    expect(placements[20].station + placements[20].length).toBeCloseTo(10, 9);
    expect(isClosed(mesh)).toBe(true);
    expect(volume(mesh) / (volume(hose) * 10)).toBeCloseTo(1, 5);
  });

  it('are told when they do not fit into the reach', () => {
    const segment = prepared(hose, { head: 0.4, tail: 0.4 });
    const job = jobOf({ laying: { kind: 'fillStretch', from: 0, to: 0.7 } });
    const plan = planRun({ table, segment, job });
    expect(plan).toMatchObject({ ok: false, problems: [{ code: 'laying.no-room' }] });
  });
});
