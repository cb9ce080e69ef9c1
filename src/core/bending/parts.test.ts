import { fillFrame } from '../frames/fill-frame';
import { FRAME_STRIDE } from '../frames/frame-table';
import { isClosed } from '../mesh/is-closed';
import { volume } from '../mesh/measure';
import type { Mesh } from '../mesh/mesh';
import type { Vec3 } from '../math/vec3';
import { makeSegmentMesh } from '../segment/registry';
import { evenPlanes } from '../segment/pieces/plan-slices';
import { sliceSegment } from '../segment/slice';
import { pathOf } from '../testing/curves';
import { bentRun, compiled, jobOf, prepared, tableOf } from '../testing/runs';

const LINE = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright'); // prettier-ignore

describe('a hose with a wall that the path’s end cuts off', () => {
  const hose = prepared(
    makeSegmentMesh({
      ...{ kind: 'turned', length: 3, radius: 0.1, wall: 0.02, ribs: 0, ribHeight: 0, ribWidth: 0.5, roundness: 0 },
      ...{ fittings: 'none', fittingLength: 0.1, fittingHeight: 0, smooth: 0.00005, detail: 'fine' },
    }),
  );
  const job = jobOf({
    laying: { kind: 'byCount', count: 4 },
    bending: { pastEnd: 'trim' },
    motion: { growth: { kind: 'stretchOut', seconds: 4 } },
  });
  const sides = new Set(
    Array.from(hose.mesh.positions)
      .filter((_, i) => i % 3 === 1)
      .map((y) => y.toFixed(6)),
  ).size; // at the least

  // Pappus: the ring between two circles times the length; of a polygon of n sides n/2 sin(2 pi/n) (R² - r²).
  it.each([
    { name: 'finished', time: null, share: 1 },
    { name: 'half grown', time: 2, share: 0.5 },
    { name: 'an eighth grown', time: 0.5, share: 0.125 },
  ])('is closed by a ring and has the volume of its walls: $name', ({ time, share }) => {
    expect(sides).toBeGreaterThan(12);
    const { layout, mesh } = bentRun(hose, LINE, job, { time });
    expect(isClosed(mesh)).toBe(true);
    expect(volume(mesh) / (Math.PI * (0.01 - 0.0064) * 10 * share)).toBeCloseTo(1, 2);
    expect(layout.placements).toHaveLength(4);
    // No face of the cut lies within the inner circle.
    const end = 10 * share;
    const cap = mesh.parts.filter(({ name }) => name === 'Cut');
    expect(cap.length).toBeGreaterThan(0);
    for (const { start, count } of cap) {
      for (let i = start; i < start + count; i += 3) {
        const corners = [0, 1, 2].map((k) => mesh.indices[i + k] * 3);
        const [x, y, z] = [0, 1, 2].map((c) => corners.reduce((sum, v) => sum + mesh.positions[v + c], 0) / 3) as [
          number,
          number,
          number,
        ];
        expect(x).toBeCloseTo(end, 4);
        expect(Math.hypot(y, z)).toBeGreaterThan(0.079);
      }
    }
  });

  it('lists no piece that lies beyond the end', () => {
    const many = jobOf({ laying: { kind: 'byCount', count: 9 }, bending: { pastEnd: 'trim' } });
    const { plan, layout } = bentRun(hose, LINE, many);
    expect(layout.placements.map(({ station }) => station)).toEqual([0, 3, 6, 9].map((s) => expect.closeTo(s, 5)));
    expect(plan.pieces).toHaveLength(4);
  });
});

describe('vertex colours', () => {
  it('run on linearly over the cuts of a slicing', () => {
    const plank = makeSegmentMesh({ kind: 'plank', length: 2, width: 0.4, thickness: 0.1 });
    const colour = (x: number, c: number) => [0.1 + 0.4 * x, 0.9 - 0.3 * x, 0.5, 1][c];
    const colours = Float32Array.from({ length: (plank.positions.length / 3) * 4 }, (_, i) => colour(plank.positions[(i >> 2) * 3], i % 4)); // prettier-ignore
    const { mesh } = sliceSegment(prepared({ ...plank, colours }), evenPlanes(2, 9));
    expect(mesh.positions.length).toBeGreaterThan(plank.positions.length);
    mesh.colours!.forEach((v, i) => expect(v).toBeCloseTo(colour(mesh.positions[(i >> 2) * 3], i % 4), 5));
  });
});

describe('a stiff zone in a run that turns', () => {
  it('has the normals of its faces', () => {
    const bar = makeSegmentMesh({ kind: 'plank', length: 2, width: 0.4, thickness: 0.2 });
    const zone = { from: 0.6, to: 1.2 };
    const segment = sliceSegment(prepared(bar, { stiff: [zone] }), evenPlanes(2, 40));
    const path = pathOf('smooth', [[0, 0, 0], [1, 0.2, 0.5], [2, 0, 1.6]]); // prettier-ignore
    const table = tableOf(compiled(path), 'leastTwist', { tolerance: 1e-6 });
    const job = jobOf({ bending: { turns: 0.8, slicing: { by: 'off' } } });
    const { mesh } = bentRun(segment, table, job);
    const inZone = (v: number) => {
      const x = segment.mesh.positions[v * 3];
      return x > zone.from - 1e-6 && x < zone.to + 1e-6;
    };
    let [checked, worst] = [0, 1];
    for (let i = 0; i < mesh.indices.length; i += 3) {
      const corners = [0, 1, 2].map((k) => mesh.indices[i + k]);
      if (!corners.every(inZone)) continue;
      const n = faceNormal(mesh, corners);
      for (const v of corners) {
        worst = Math.min(
          worst,
          [0, 1, 2].reduce((sum, c) => sum + n[c] * mesh.normals[v * 3 + c], 0),
        );
        checked++;
      }
    }
    expect(checked).toBeGreaterThan(100);
    expect(worst).toBeGreaterThan(0.9999);
  });
});

function faceNormal({ positions: p }: Pick<Mesh, 'positions'>, [a, b, c]: readonly number[]): Vec3 {
  const u = [0, 1, 2].map((k) => p[b * 3 + k] - p[a * 3 + k]) as [number, number, number];
  const v = [0, 1, 2].map((k) => p[c * 3 + k] - p[a * 3 + k]) as [number, number, number];
  const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
  const l = Math.hypot(...n);
  return n.map((x) => x / l) as unknown as Vec3;
}

it('past the seam of a closed path a frame is that of its start', () => {
  const ring = tableOf(compiled(pathOf('smooth', [[0, 0, 0], [4, 1, 0], [4, 0, 4], [0, -1, 4]], true)), 'leastTwist'); // prettier-ignore
  const [a, b] = [new Float64Array(FRAME_STRIDE), new Float64Array(FRAME_STRIDE)];
  fillFrame(a, 0, ring, 0.7);
  fillFrame(b, 0, ring, ring.length + 0.7);
  a.forEach((v, k) => expect(b[k]).toBeCloseTo(v, 9));
});
