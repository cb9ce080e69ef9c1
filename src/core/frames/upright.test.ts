import { FORWARD, FRAME_STRIDE, SIDE, UP, type FrameTable } from './frame-table';
import { slopeOf } from '../shape/slope';
import { fillFrame } from './fill-frame';
import { curveFrom, helix, pathOf } from '../testing/curves';
import { isClosed } from '../mesh/is-closed';
import { volume } from '../mesh/measure';
import { makeSegmentMesh } from '../segment/registry';
import { bentRun, compiled, evenTable, jobOf, prepared, tableOf } from '../testing/runs';

const at = (table: FrameTable, i: number, field: number) => [
  ...table.frames.subarray(i * FRAME_STRIDE + field, i * FRAME_STRIDE + field + 3),
];
const dot = (a: number[], b: number[]) => a.reduce((sum, x, k) => sum + x * b[k], 0);

describe('slopeOf', () => {
  // A helix of radius r that rises c a radian has slope c / r everywhere (elementary).
  it('finds rise and steepest slope', () => {
    const turned = tableOf(compiled({ kind: 'helix', closed: false, points: [{ position: [0, 1, 0] }, { position: [0, 4, 0] }], numbers: { turns: 2 } }), 'upright'); // prettier-ignore
    const { rise, steepest } = slopeOf(turned);
    expect(rise).toBeCloseTo(3, 12);
    expect(steepest).toBeCloseTo(3 / (4 * Math.PI), 9);
    const falls = slopeOf(evenTable(compiled(pathOf('straight', [[0, 5, 0], [10, 5, 0], [14, 2, 0], [20, 2, 0]])), 'upright', { intervals: 200 })); // prettier-ignore
    expect(falls.rise).toBeCloseTo(-3, 12);
    expect(falls.steepest).toBeCloseTo(3 / 4, 9);
    expect(falls.station).toBeGreaterThan(9.9);
    expect(falls.station).toBeLessThan(15);
  });
});

describe('keep upright', () => {
  it('keeps side level on a climbing bend', () => {
    const table = tableOf(
      compiled(
        pathOf('smooth', [
          [0, 0, 0],
          [10, 2, 4],
          [20, 5, -3],
          [30, 4, 2],
        ]),
      ),
      'upright',
    );
    expect(table.steep).toHaveLength(0);
    for (let i = 0; i < table.stations.length; i++) {
      expect(Math.abs(at(table, i, SIDE)[1])).toBeLessThan(1e-12);
      expect(at(table, i, UP)[1]).toBeGreaterThan(0);
    }
  });

  it('carries the frame through a vertical loop without a jump, and says where', () => {
    const w = 2 * Math.PI;
    const loop = curveFrom(
      (u) => [5 * Math.sin(w * u), 5 - 5 * Math.cos(w * u), u * 2],
      (u) => [5 * w * Math.cos(w * u), 5 * w * Math.sin(w * u), 2],
      (u) => [-5 * w * w * Math.sin(w * u), 5 * w * w * Math.cos(w * u), 0],
    );
    const table = evenTable(loop, 'upright', { intervals: 2000 });
    expect(table.steep.length).toBeGreaterThan(0);
    for (let i = 0; i < table.intervals; i++) expect(dot(at(table, i, UP), at(table, i + 1, UP))).toBeGreaterThan(0.9);
  });

  it('takes some fixed upright on a plumb path', () => {
    const table = tableOf(
      compiled(
        pathOf('straight', [
          [0, 0, 0],
          [0, 8, 0],
        ]),
      ),
      'upright',
    );
    expect(table.steep).toEqual([[0, 8]]);
    expect(at(table, 0, UP)).toEqual(at(table, table.stations.length - 1, UP));
  });
});

describe('every frame', () => {
  it.each(['leastTwist', 'upright'] as const)('is square and right-handed: forward x up = side (%s)', (rule) => {
    const table = tableOf(helix(2, 0.4, 3), rule);
    for (let i = 0; i < table.stations.length; i += 7) {
      const [f, u, s] = [at(table, i, FORWARD), at(table, i, UP), at(table, i, SIDE)];
      for (const [a, b, want] of [
        [f, f, 1],
        [u, u, 1],
        [s, s, 1],
        [f, u, 0],
        [f, s, 0],
        [u, s, 0],
      ] as const) {
        expect(Math.abs(dot(a, b) - want)).toBeLessThan(1e-12);
      }
      expect(f[1] * u[2] - f[2] * u[1]).toBeCloseTo(s[0], 12);
    }
  });

  it('lies on the path between samples too: a circle of radius 3 within 1e-6', () => {
    const w = 2 * Math.PI;
    const circle = curveFrom(
      (u) => [3 * Math.cos(w * u), 0, 3 * Math.sin(w * u)],
      (u) => [-3 * w * Math.sin(w * u), 0, 3 * w * Math.cos(w * u)],
      (u) => [-3 * w * w * Math.cos(w * u), 0, -3 * w * w * Math.sin(w * u)],
      true,
    );
    const table = evenTable(circle, 'upright', { intervals: 256 });
    const frame = new Float64Array(FRAME_STRIDE);
    for (let i = 0; i < 1000; i++) {
      const s = (table.length * (i + 0.318)) / 1000;
      fillFrame(frame, 0, table, s);
      expect(Math.abs(Math.hypot(frame[0], frame[2]) - 3)).toBeLessThan(1e-6);
      expect(Math.abs(frame[0] - 3 * Math.cos(s / 3))).toBeLessThan(1e-6);
      expect(Math.abs(frame[3] + Math.sin(s / 3))).toBeLessThan(1e-6);
    }
  });

  it('runs straight on beyond open ends and wraps round closed ones', () => {
    const open = tableOf(
      compiled(
        pathOf('straight', [
          [0, 0, 0],
          [10, 0, 0],
        ]),
      ),
      'upright',
    );
    const frame = new Float64Array(FRAME_STRIDE);
    fillFrame(frame, 0, open, 12.5);
    expect([...frame.subarray(0, 3)]).toEqual([12.5, 0, 0]);
    fillFrame(frame, 0, open, -1);
    expect([...frame.subarray(0, 3)]).toEqual([-1, 0, 0]);
    const closed = tableOf(
      compiled(
        pathOf(
          'straight',
          [
            [0, 0, 0],
            [10, 0, 0],
            [10, 0, 10],
            [0, 0, 10],
          ],
          true,
        ),
      ),
      'upright',
    );
    fillFrame(frame, 0, closed, 43);
    expect(frame[0]).toBeCloseTo(3, 9);
  });
});

describe('a steep closed path with a sharp corner at its seam', () => {
  const ring = [[0, 0, 0], [4, 6, 0], [8, 0, 3], [3, -5, 6]] as const; // prettier-ignore
  const tube = prepared(makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.1, sides: 12 }));

  it.each([0, 1, 2, 3])(
    'is turned there as at any other corner: a tube keeps its volume, begun at point %i',
    (first) => {
      const points = ring.map((_, i) => ring[(i + first) % 4]);
      const table = tableOf(compiled(pathOf('straight', points, true)), 'upright');
      // A mitred prism whose middle is on the path has its section times its length (elementary).
      const whole = 6 * 0.01 * Math.sin(Math.PI / 6) * table.length;
      for (const kind of ['onePiece', 'fillStretch'] as const) {
        const { mesh } = bentRun(tube, table, jobOf({ laying: { kind } }));
        expect(isClosed(mesh)).toBe(true);
        expect(Math.abs(volume(mesh) / whole - 1)).toBeLessThan(0.005);
      }
    },
  );
});
