import { Bezier } from 'bezier-js';
import { cubicOf, curveFrom, ellipse, helix, pathOf } from '../testing/curves';
import { compiled } from '../testing/runs';
import type { Vec3 } from '../math/vec3';
import { buildArcTable, fillParams, stationOf } from './arc-table';

const close = (actual: number, expected: number, relative = 1e-9) =>
  expect(Math.abs(actual / expected - 1)).toBeLessThan(relative);

const paramAt = (table: ReturnType<typeof buildArcTable>, share: number): number => {
  const u = new Float64Array(1);
  fillParams(u, table, Float64Array.of(share * table.length));
  return u[0];
};

describe('buildArcTable', () => {
  // Abramowitz & Stegun, Handbook of Mathematical Functions, 1964, 17.3.3: perimeter 4 a E(m).
  it.each([
    [2, 1, 9.688448220547676],
    [5, 3, 25.52699886339813],
  ])('gives the perimeter of the ellipse %d, %d within 1e-9', (a, b, perimeter) => {
    close(buildArcTable(ellipse(a, b)).length, perimeter);
  });

  // M. P. do Carmo, Differential Geometry of Curves and Surfaces, 1976, 1-5: N sqrt((2 pi r)^2 + pitch^2).
  it.each([
    [1, 2, 3, 19.78144985685369],
    [2.5, 0.75, 4.25, 66.83489652581886],
  ])('gives the length of the helix r = %d, pitch = %d, %d turns within 1e-9', (r, pitch, turns, length) => {
    close(buildArcTable(helix(r, pitch / (2 * Math.PI), turns)).length, length);
  });

  // Standard integral of the Archimedean spiral r = r0 + b theta.
  it.each([
    [0, 1, 2, 21.2562941482091],
    [1, 0.1, 10, 80.83494386077802],
  ])('gives the length of the spiral r0 = %d, b = %d to %d pi within 1e-9', (r0, b, halfTurns, length) => {
    const w = halfTurns * Math.PI;
    const spiral = curveFrom(
      (u) => [(r0 + b * w * u) * Math.cos(w * u), 0, (r0 + b * w * u) * Math.sin(w * u)],
      (u) => {
        const [r, c, s] = [r0 + b * w * u, Math.cos(w * u), Math.sin(w * u)];
        return [w * (b * c - r * s), 0, w * (b * s + r * c)];
      },
      () => [0, 0, 0],
    );
    close(buildArcTable(spiral).length, length);
  });

  // G. Farin, Curves and Surfaces for CAGD, 5th ed. 2002; lengths and inverse by 50-digit quadrature.
  const cubics: { points: [Vec3, Vec3, Vec3, Vec3]; length: number; quarter: number; threeQuarters: number }[] = [
    {
      points: [
        [0, 0, 0],
        [0, 1, 0],
        [1, 1, 0],
        [1, 0, 0],
      ],
      length: 2,
      quarter: 0.2019641810083,
      threeQuarters: 0.7980358189917,
    },
    {
      points: [
        [0, 0, 0],
        [1, 2, 0],
        [3, -2, 0],
        [5, 1, 0],
      ],
      length: 5.828781774916116,
      quarter: 0.3114889661187,
      threeQuarters: 0.8260835595252,
    },
    {
      points: [
        [0, 0, 0],
        [1, 2, 0],
        [3, 1, 2],
        [4, 0, 3],
      ],
      length: 5.784484625853768,
      quarter: 0.2558353920912,
      threeQuarters: 0.7514050577196,
    },
    {
      points: [
        [0, 0, 0],
        [5, 3, 0],
        [-3, 4, 0],
        [1, 0, 0],
      ],
      length: 7.579600253258132,
      quarter: 0.1490944271895,
      threeQuarters: 0.842633343093,
    },
    // A cusp in the middle: length 2 sqrt 2 - 1.
    {
      points: [
        [0, 0, 0],
        [1, 1, 0],
        [0, 1, 0],
        [1, 0, 0],
      ],
      length: 1.82842712474619,
      quarter: 0.1320062135182,
      threeQuarters: 0.8679937864818,
    },
  ];
  it.each(cubics)(
    'measures the cubic of length $length and finds its quarters',
    ({ points, length, quarter, threeQuarters }) => {
      const table = buildArcTable(compiled(cubicOf(points)));
      close(table.length, length);
      expect(Math.abs(paramAt(table, 0.25) - quarter)).toBeLessThan(1e-9);
      expect(Math.abs(paramAt(table, 0.75) - threeQuarters)).toBeLessThan(1e-9);
    },
  );

  it('agrees with bezier-js on length to its own 24-point accuracy', () => {
    const { points } = cubics[1];
    const other = new Bezier(points.map(([x, y]) => ({ x, y })));
    expect(buildArcTable(compiled(cubicOf(points))).length).toBeCloseTo(other.length(), 5);
  });

  it('adds straight legs and tangent arcs exactly: two legs of 10 m, a right angle rounded to 2 m', () => {
    const table = buildArcTable(
      compiled(
        pathOf(
          'straight',
          [
            [0, 0, 0],
            [10, 0, 0],
            [10, 0, 10],
          ],
          false,
          2,
        ),
      ),
    );
    close(table.length, 16 + Math.PI, 1e-12); // each leg loses its tangent length, 2 tan 45°
  });

  it('leaves height out of the plan length', () => {
    const table = buildArcTable(
      compiled(
        pathOf('straight', [
          [0, 0, 0],
          [3, 4, 0],
          [6, 0, 0],
        ]),
      ),
    );
    close(table.length, 10, 1e-12);
    close(table.planLength, 6, 1e-12);
  });

  it('finds u for a station and the station for u again', () => {
    const table = buildArcTable(
      compiled(
        pathOf('smooth', [
          [0, 0, 0],
          [5, 1, 2],
          [7, 0, 9],
          [20, 3, 4],
        ]),
      ),
    );
    const stations = Float64Array.from({ length: 101 }, (_, i) => (table.length * i) / 100);
    const params = new Float64Array(101);
    fillParams(params, table, stations);
    for (let i = 0; i < 101; i++)
      expect(Math.abs(stationOf(table, params[i]) - stations[i])).toBeLessThan(table.length * 1e-10);
  });
});
