import type { Vec3 } from '../math/vec3';
import { compiled } from '../testing/runs';
import { buildArcTable } from '../curve/arc-table';
import type { CurveSpec } from '../curve/registry';
import { legsAndArcs } from './legs-and-arcs';

const lengthOf = (spec: CurveSpec) => buildArcTable(compiled(spec)).length;
const arc = (centre: Vec3, radius: number, from: number, to: number, steps: number): Vec3[] =>
  Array.from({ length: steps + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / steps;
    return [centre[0] + radius * Math.cos(angle), centre[1], centre[2] + radius * Math.sin(angle)];
  });
const points = (line: readonly Vec3[]) => line.map((position) => ({ position }));
const QUARTER = Math.PI / 2;

describe('legsAndArcs', () => {
  it('a rail of two legs and a quarter circle becomes one corner with its radius', () => {
    const line: Vec3[] = [[-5, 1, -2], ...arc([0, 1, 0], 2, -QUARTER, 0, 24), [2, 1, 7]];
    const spec = legsAndArcs(points(line), false)!;
    expect(spec.kind).toBe('straight');
    expect(spec.points).toHaveLength(3);
    spec.points[1].position.forEach((v, c) => expect(v).toBeCloseTo([2, 1, -2][c], 9)); // where the tangents meet
    expect(spec.points[1].radius).toBeCloseTo(2, 6);
    expect(lengthOf(spec)).toBeCloseTo(5 + 2 * QUARTER + 7, 6);
  });

  it('a rounded rectangle and a hairpin keep their lengths, wherever the line begins', () => {
    const corner = (x: number, z: number, from: number) => arc([x, 0, z], 1, from, from + QUARTER, 12);
    const ring = [
      ...corner(9, 4, 0),
      ...corner(0, 4, QUARTER),
      ...corner(0, 0, 2 * QUARTER),
      ...corner(9, 0, 3 * QUARTER),
    ];
    for (const shift of [0, 5, 13, 30]) {
      const turned = [...ring.slice(shift), ...ring.slice(0, shift)];
      const spec = legsAndArcs(points(turned), true)!;
      expect(spec.points).toHaveLength(4);
      expect(lengthOf(spec)).toBeCloseTo(2 * 9 + 2 * 4 + 2 * Math.PI, 6);
    }
    const hairpin: Vec3[] = [[-8, 0, -3], ...arc([0, 0, 0], 3, -QUARTER, QUARTER, 40), [-8, 0, 3]];
    expect(lengthOf(legsAndArcs(points(hairpin), false)!)).toBeCloseTo(16 + 3 * Math.PI, 6);
  });

  it('arcs that run into each other, sharp corners and an arc at an end come as they are', () => {
    const bends = [...arc([0, 0, 0], 4, -QUARTER, 0, 16), ...arc([6, 0, 0], 2, Math.PI, QUARTER, 12).slice(1)];
    const spec = legsAndArcs(points([...bends, [12, 0, 2], [12, 0, 9]]), false)!;
    expect(spec.points.filter(({ radius }) => radius !== undefined)).toHaveLength(2);
    expect(lengthOf(spec)).toBeCloseTo(4 * QUARTER + 2 * QUARTER + 6 + 7, 6);
  });

  it('a free curve is none of it', () => {
    const wave = Array.from({ length: 60 }, (_, i): Vec3 => [i * 0.2, 0, Math.sin(i / 7) * 2]);
    expect(legsAndArcs(points(wave), false)).toBeUndefined();
    const spiral = Array.from({ length: 60 }, (_, i): Vec3 => [(1 + i / 9) * Math.cos(i / 8), 0, (1 + i / 9) * Math.sin(i / 8)]); // prettier-ignore
    expect(legsAndArcs(points(spiral), false)).toBeUndefined();
    expect(legsAndArcs(points([[0, 0, 0], [1, 0, 0]]), false)).toBeUndefined(); // prettier-ignore
  });
});
