import type { Vec3 } from '../../math/vec3';
import { volume } from '../../mesh/measure';
import type { Mesh } from '../../mesh/mesh';
import { manifoldOf } from '../../testing/manifold';
import { makeSegmentMesh } from '../../segment/registry';
import { pathOf } from '../../testing/curves';
import { bentRun, compiled, jobOf, laidRun, prepared, tableOf } from '../../testing/runs';
import type { FitSpec } from '../fit-registry';

// A spiral about the y axis: the test curve turned so that it climbs along y.
const climbing = (radius: number, rise: number, turns: number) =>
  compiled({
    kind: 'helix',
    closed: false,
    points: [{ position: [0, 0, 0] }, { position: [0, rise, 0] }],
    numbers: { startRadius: radius, endRadius: radius, turns },
  });
const slope = tableOf(compiled(pathOf('straight', [[0, 0, 0], [8, 6, 0]])), 'upright'); // prettier-ignore
const plank = prepared(makeSegmentMesh({ kind: 'plank', length: 0.25, width: 0.8, thickness: 0.05 }));
const laid = (fit: FitSpec, more: object = {}) => jobOf({ laying: { kind: 'byCount', count: 32, over: 'stretch', gap: 0 }, fit, ...more }); // prettier-ignore

/** Calls back with every piece's vertices of a mesh: of the segment and as they lie. */
function eachVertex(
  own: { plan: ReturnType<typeof bentRun>['plan']; mesh: Mesh },
  call: (piece: number, from: Vec3, to: Vec3, normal: Vec3) => void,
) {
  let base = 0;
  own.plan.pieces.forEach(({ form }, piece) => {
    const p = form.mesh.positions;
    for (let v = 0; v < p.length; v += 3) {
      const at = (of: Float32Array, k: number): Vec3 => [of[k], of[k + 1], of[k + 2]];
      call(piece, at(p, v), at(own.mesh.positions, base + v), at(own.mesh.normals, base + v));
    }
    base += p.length;
  });
}

describe('level', () => {
  it.each(['start', 'middle', 'end'] as const)(
    'keeps every tread of a spiral level to the last digit, at the height of its %s',
    (at) => {
      const table = tableOf(climbing(1.4, 4, 1.25), 'upright', { tolerance: 1e-5 });
      const own = bentRun(plank, table, laid({ kind: 'level', at }));
      const share = { start: 0, middle: 0.5, end: 1 }[at];
      const heights = new Map<string, number>();
      eachVertex(own, (piece, from, to) => {
        const key = `${piece} ${from[1]}`;
        if (!heights.has(key)) heights.set(key, to[1]);
        expect(to[1]).toBe(heights.get(key));
        expect(to[1]).toBeCloseTo(((piece + share) * 4) / 32 + from[1], 5);
      });
      expect(heights.size).toBeGreaterThanOrEqual(64);
    },
  );

  it('has wedges for winders: the outer side is longer by the turn times the width', () => {
    const table = tableOf(climbing(1.4, 4, 1.25), 'upright', { tolerance: 1e-6 });
    const own = bentRun(plank, table, laid({ kind: 'level', at: 'start' }, { bending: { tolerance: 1e-5 } }));
    // Elementary: an arc at another radius is longer by the turning angle times the difference.
    const radii: number[] = [];
    eachVertex(own, (_, from, to) => {
      const off = Math.hypot(to[0], to[2]) - (1.4 + Math.sign(Math.hypot(to[0], to[2]) - 1.4) * Math.abs(from[2]));
      expect(Math.abs(off)).toBeLessThan(1e-5);
      radii.push(Math.hypot(to[0], to[2]));
    });
    expect(Math.min(...radii)).toBeCloseTo(1, 5);
    expect(Math.max(...radii)).toBeCloseTo(1.8, 5);
    // Pappus: each tread is an arc of a rectangle about the axis, whose middle is on the path.
    expect(volume(own.mesh)).toBeCloseTo((volume(plank.mesh) / 0.25) * 2.5 * Math.PI * 1.4, 4);
  });
});

describe('plumb', () => {
  it('keeps uprights plumb and lets what runs along follow the slope', () => {
    const own = bentRun(plank, slope, laid({ kind: 'plumb', beyond: 'onward' }));
    eachVertex(own, (piece, from, to, normal) => {
      expect(to[2]).toBeCloseTo(from[2], 6);
      const x = (piece + from[0] / 0.25) * 0.25;
      expect(to[0]).toBeCloseTo(x, 5);
      expect(to[1]).toBeCloseTo(x * 0.75 + from[1], 5);
      // The upper side is square to the slope, ends look along it level.
      if (Math.abs(normal[1]) > 0.5) expect(Math.abs(normal[0] / normal[1])).toBeCloseTo(0.75, 4);
      expect(Math.hypot(...normal)).toBeCloseTo(1, 5);
    });
  });

  it('measures as seen from above: 32 planks of 0.25 m on 8 m, not on 10', () => {
    const { layout } = bentRun(
      plank,
      slope,
      jobOf({ laying: { kind: 'fillStretch' }, fit: { kind: 'plumb', beyond: 'onward' } }),
    );
    expect(layout.placements).toHaveLength(32);
    expect(layout.placements[0].stretch).toBeCloseTo(1, 9);
    expect(layout.placements[0].length).toBeCloseTo(10 / 32, 9);
  });

  it.each(['plumb', 'level'] as const)('closes corners: mitres are watertight, on a slope too (%s)', async (kind) => {
    const rail = prepared(makeSegmentMesh({ kind: 'plank', length: 0.8, width: 0.3, thickness: 0.2 }), {
      centre: 'middle',
    });
    for (const rise of [0, 1]) {
      const path = pathOf('straight', [[0, 0, 0], [4, rise, 0], [4, 2 * rise, 4]]); // prettier-ignore
      const fit = kind === 'plumb' ? { kind, beyond: 'onward' as const } : { kind, at: 'start' as const };
      const { mesh } = bentRun(rail, tableOf(compiled(path), 'upright'), jobOf({ laying: { kind: 'onePiece' }, fit }));
      const solid = await manifoldOf(mesh);
      // A section whose middle is on a level path sweeps its area times the length (Pappus).
      if (rise === 0 || kind === 'level') expect(solid.volume()).toBeCloseTo((volume(rail.mesh) / 0.8) * 8, 4);
      expect(solid.volume()).toBeGreaterThan((volume(rail.mesh) / 0.8) * 7);
    }
  });

  it('stands a stiff piece upright on a slope', () => {
    const own = bentRun(plank, slope, laid({ kind: 'stiff', stands: 'plumb' }));
    eachVertex(own, (piece, from, to) => {
      const middle = (piece + 0.5) * 0.25;
      expect(to[0]).toBeCloseTo(middle + from[0] - 0.125, 5);
      expect(to[1]).toBeCloseTo(middle * 0.75 + from[1], 5);
    });
  });
});

describe('level band', () => {
  const upright = prepared(
    makeSegmentMesh({ kind: 'baluster', form: 'turned', height: 0.9, size: 0.05, smooth: 0.001, detail: 'low' }),
  );
  const fit = { kind: 'levelBand', low: 0.12, high: 0.8, blend: 0.02, at: 'middle' } as const;
  const own = bentRun(upright, slope, jobOf({ laying: { kind: 'clearOpening', opening: 0.4 }, fit }));

  it('leaves the turned part as it is and rakes what lies above and below', () => {
    const pieces = own.layout.placements.map(({ station, length }) => ((station + length / 2) * 8) / 10);
    let [inside, outside] = [0, 0];
    eachVertex(own, (piece, from, to) => {
      const off = from[0] - 0.025;
      expect(to[0]).toBeCloseTo(pieces[piece] + off, 5);
      const height = pieces[piece] * 0.75 + from[1];
      if (from[1] >= 0.12 && from[1] <= 0.8) {
        expect(to[1]).toBeCloseTo(height, 5);
        inside++;
      } else if (from[1] < 0.1 || from[1] > 0.82) {
        expect(to[1]).toBeCloseTo(height + off * 0.75, 5);
        outside++;
      }
    });
    expect(Math.min(inside, outside)).toBeGreaterThan(100);
  });

  it('is level to the last digit within the band', () => {
    const heights = new Map<string, number>();
    eachVertex(own, (piece, from, to) => {
      if (from[1] < 0.12 || from[1] > 0.8) return;
      const key = `${piece} ${from[1]}`;
      if (!heights.has(key)) heights.set(key, to[1]);
      expect(Math.abs(to[1] - heights.get(key)!)).toBeLessThan(1e-9);
    });
  });

  // The surface's own slope by differences of neighbouring vertices: a triangle's two edges are square to the mean of its normals.
  it('has normals that stand on its own triangles', () => {
    const { positions, normals, indices } = own.mesh;
    const at = (of: Float32Array, i: number): Vec3 => [of[i * 3], of[i * 3 + 1], of[i * 3 + 2]];
    let worst = 0;
    for (let i = 0; i < indices.length; i += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => at(positions, indices[i + k])) as [Vec3, Vec3, Vec3];
      const [u, v] = [b, c].map((p) => p.map((x, k) => x - a[k])) as unknown as [Vec3, Vec3];
      const n: Vec3 = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
      const size = Math.hypot(...n);
      if (size < 1e-9) continue;
      const mean = [0, 1, 2].map((k) => [0, 1, 2].reduce((sum, j) => sum + normals[indices[i + j] * 3 + k], 0) / 3);
      worst = Math.max(worst, 1 - (n[0] * mean[0] + n[1] * mean[1] + n[2] * mean[2]) / size / Math.hypot(...mean));
    }
    expect(worst).toBeLessThan(0.06);
  });
});

describe('a path that climbs straight up', () => {
  const upright = [
    { kind: 'plumb', beyond: 'onward' },
    { kind: 'level', at: 'start' },
    { kind: 'stiff', stands: 'plumb' },
  ] as const;

  it('has no room for what stands upright, and says so', () => {
    const pole = tableOf(compiled(pathOf('straight', [[0, 0, 0], [0, 5, 0]])), 'upright'); // prettier-ignore
    for (const fit of upright) {
      const { laid: refused } = laidRun({ segment: plank, table: pole, job: jobOf({ fit }) });
      expect(refused).toMatchObject({ ok: false, problems: [{ code: 'laying.straight-up' }] });
    }
  });

  it('keeps numbers where only some of it does', () => {
    const climb = tableOf(compiled(pathOf('straight', [[0, 0, 0], [1, 0, 0], [1, 5, 0], [2, 5, 0]])), 'upright'); // prettier-ignore
    for (const fit of upright) {
      const { mesh } = bentRun(plank, climb, jobOf({ laying: { kind: 'fillStretch' }, fit }));
      expect(mesh.positions.every(Number.isFinite) && mesh.normals.every(Number.isFinite)).toBe(true);
    }
  });
});
