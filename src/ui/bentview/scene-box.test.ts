import type { Vec3 } from '../../core/math/vec3';
import type { RunResult } from '../state/results-store';
import { boundingSphere, framePlaces, sceneBox, sightPlaces, startBox } from './scene-box';

const NOTHING = {
  positions: new Float32Array(),
  places: [],
  box: { min: [0, 0, 0], max: [0, 0, 0] },
  origin: [0, 0, 0],
};

/** A run along some places, with a segment as wide and high as is said, and a mesh where that is given. */
function result(line: readonly Vec3[], { side = 0.5, up = 0.2, mesh = {} } = {}): RunResult {
  const box = { min: [0, -up, -side], max: [1, up, side] };
  const courses = [{ segment: { box }, geometry: { ...NOTHING, ...mesh } }];
  return { path: { line: Float64Array.from(line.flat()) }, courses } as unknown as RunResult;
}

describe('the box round what is seen', () => {
  it('reaches as far beside, above and below a path as its segment does', () => {
    const { min, max } = sceneBox([result([[0, 0, 0], [10, 0, 0]])]); // prettier-ignore
    expect([min, max]).toEqual([
      [-0.5, -0.2, -0.5],
      [10.5, 0.2, 0.5],
    ]);
  });

  it('holds all of several runs, and meshes that leave their paths, from where those are counted', () => {
    const far = { positions: new Float32Array(9), box: { min: [-1, 0, 0], max: [1, 7, 0] }, origin: [1e6, 0, 0] };
    const { min, max } = sceneBox([result([[0, 0, 0]]), result([[1e6, 0, 3]], { mesh: far })]);
    expect([min[0], max[0]]).toEqual([-0.5, 1e6 + 1]);
    expect(max[1]).toBe(7);
    expect(max[2]).toBe(3.5);
  });

  it('of no runs is a sheet to draw on, by the segment that it is for', () => {
    const { min, max } = startBox({ min: [0, -0.1, -3], max: [2, 0.1, 3] });
    expect(max[0] - min[0]).toBeGreaterThanOrEqual(0.8 * 10 * 6); // ten widths, less the margin
    expect(framePlaces([], { min, max })).toHaveLength(4);
    for (const place of framePlaces([], { min, max })) expect(place[1]).toBe(0);
    const point = startBox({ min: [0, 0, 0], max: [0, 0, 0] });
    expect(point.max[0]).toBeGreaterThan(point.min[0]);
  });

  it('has places of a long path by the hundred, both ends among the first and last', () => {
    const line = Array.from({ length: 5000 }, (_, i): Vec3 => [i, 0, 0]);
    const places = framePlaces([result(line)]);
    expect(places.length).toBeLessThan(8 * 130);
    expect(Math.max(...places.map(([x]) => x))).toBeGreaterThan(4950);
  });

  it('has places that one wants to see: over the path, on top of the segment, by the hundred', () => {
    const line = Array.from({ length: 5000 }, (_, i): Vec3 => [i, 1, 2]);
    const sights = sightPlaces(result(line, { up: 0.3 }));
    expect(sights.length).toBeLessThan(130);
    for (const [, y, z] of sights) expect([y, z]).toEqual([1.3, 2]);
    expect(sights.at(-1)![0]).toBeGreaterThan(4950);
  });

  it('lies in its ball, whose surface goes through its corners', () => {
    const { centre, radius } = boundingSphere({ min: [-1, 0, 2], max: [3, 4, 9] });
    expect(centre).toEqual([1, 2, 5.5]);
    expect(radius).toBeCloseTo(Math.hypot(2, 2, 3.5), 12);
    expect(boundingSphere({ min: [5, 5, 5], max: [5, 5, 5] }).radius).toBeGreaterThan(0);
  });
});
