import { cross, dot, length, normalize, type Vec3 } from '../../math/vec3';
import { ROW_FACTOR, ROW_GAUGE, ROW_STRIDE } from '../../segment/pieces/rows';
import { makeSegmentMesh, maker, type MakerSpec } from '../../segment/registry';
import { pathOf } from '../../testing/curves';
import { compiled, prepared, shapeOf, tableOf } from '../../testing/runs';
import { buildRows } from '../fit-registry';
import type { Strewn } from '../place';
import { strewn as fit } from './strewn';

const SHAPE = shapeOf(tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright')); // prettier-ignore
const STONE = prepared(makeSegmentMesh(maker('stone').defaults as MakerSpec));
const SLANTED = normalize([0.3, 0.8, 0.5]);

/** How a thing lies on a slanted surface at (4, 1, 2): its foot and its three axes. */
function laid(change: object = {}, turns: Partial<Strewn> = {}, size = 1) {
  const standOn = () => ({ position: [4, 1, 2], normal: SLANTED, forward: [1, 0, 0] }) as const;
  const strewn: Strewn = { standOn, spin: 0, tilt: 0, towards: 0, ...turns };
  const place = { station: 4 - (STONE.length * size) / 2, factor: size, scale: 1, natural: STONE.length, overlap: 0, strewn }; // prettier-ignore
  const { frames } = buildRows({ ...fit.defaults, ...change }, STONE, SHAPE, place);
  const vector = (row: number, k: number): Vec3 => [0, 1, 2].map((c) => frames[row * ROW_STRIDE + k + c]) as unknown as Vec3; // prettier-ignore
  const last = frames.length / ROW_STRIDE - 1;
  const [ahead, up, side] = [vector(0, 3), vector(0, 6), vector(0, 9)];
  const [a, b] = [vector(0, 0), vector(last, 0)];
  const foot = a.map((value, c) => (value + b[c]) / 2) as unknown as Vec3;
  return { foot, ahead, up, side, frames, reach: length(b.map((value, c) => value - a[c]) as unknown as Vec3) };
}

const near = (a: readonly number[], b: readonly number[]) =>
  a.forEach((value, c) => expect(value).toBeCloseTo(b[c], 9));

describe('a strewn thing', () => {
  it('stands square to the surface, its middle’s foot on it, forward as the path goes', () => {
    const { foot, ahead, up, side, reach } = laid();
    near(foot, [4, 1, 2]);
    near(up, SLANTED);
    near(side, cross(ahead, up));
    expect(dot(ahead, up)).toBeCloseTo(0, 12);
    expect(ahead[0]).toBeGreaterThan(0.9);
    expect(reach).toBeCloseTo(STONE.length, 6);
  });

  it('stands plumb where that is asked for, its foot still on the surface', () => {
    const { foot, up } = laid({ stands: 'plumb' });
    near(up, [0, 1, 0]);
    near(foot, [4, 1, 2]);
  });

  it('sinks in along the normal, and is as large as it is', () => {
    const { foot, frames, reach } = laid({ sink: 0.05 }, {}, 1.7);
    near(foot, [4, 1, 2].map((value, c) => value - 0.05 * SLANTED[c])); // prettier-ignore
    expect(reach).toBeCloseTo(STONE.length * 1.7, 6);
    for (const k of [ROW_GAUGE, ROW_GAUGE + 1, ROW_FACTOR]) expect(frames[k]).toBeCloseTo(1.7, 12);
  });

  it('turns about the normal by its spin, and leans away from it by its tilt', () => {
    for (const spin of [0.4, 2, -1.3]) {
      const { ahead, up } = laid({}, { spin });
      near(up, SLANTED);
      expect(Math.acos(dot(ahead, laid().ahead))).toBeCloseTo(Math.abs(spin), 9);
    }
    for (const towards of [0, 1, 4]) {
      const { ahead, up } = laid({}, { tilt: 0.3, towards, spin: 1 });
      expect(Math.acos(dot(up, SLANTED))).toBeCloseTo(0.3, 9);
      expect(dot(ahead, up)).toBeCloseTo(0, 12);
      expect(length(ahead)).toBeCloseTo(1, 12);
    }
  });

  it('lies on the path where there is no surface', () => {
    const place = { station: 3, factor: 1, scale: 1, natural: STONE.length, overlap: 0 };
    const { frames } = buildRows(fit.defaults, STONE, SHAPE, place);
    expect(frames[0]).toBeCloseTo(3, 6);
    expect(frames[7]).toBeCloseTo(1, 12);
  });
});
