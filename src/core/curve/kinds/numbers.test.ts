import { buildArcTable, evenPlaces, fillParams } from '../arc-table';
import { wrapBelt, type Wheel } from '../belt';
import { changeKind } from '../../edit/change-kind';
import { deviation } from '../../edit/deviation';
import { insertAt } from '../../edit/insert-at';
import { reversePath } from '../../edit/reverse';
import type { PathPoint } from '../path-spec';
import { CURVE_KINDS, compileCurve, type CurveKindName, type CurveSpec } from '../registry';
import { FRAME_STRIDE, type FrameTable } from '../../frames/frame-table';
import { tightest } from '../../shape/tightest';
import { pathOf } from '../../testing/curves';
import { compiled, evenTable, tableOf, unwrap } from '../../testing/runs';
import type { Vec3 } from '../../math/vec3';

const lengthOf = (spec: CurveSpec) => buildArcTable(compiled(spec)).length;
const at = (spec: CurveSpec, u: number): Vec3 => {
  const out = new Float64Array(3);
  compiled(spec).pointAt(out, 0, u);
  return [out[0], out[1], out[2]];
};
const withNumbers = (kind: CurveKindName, positions: readonly Vec3[], numbers: Record<string, number>): CurveSpec => ({
  ...pathOf(kind, positions),
  numbers,
});

describe('a hanging line', () => {
  // Catenary y = a cosh(x / a): a = 2 from -3 to 3 is 8.51711782037927 long (standard).
  const length = 8.51711782037927;
  const spec = withNumbers('hanging', [[-3, 0, 0], [3, 0, 0]], { slack: length / 6 - 1 }); // prettier-ignore

  it('has the published length and sag', () => {
    expect(lengthOf(spec)).toBeCloseTo(length, 11);
    expect(at(spec, 0.5)[1]).toBeCloseTo(2 - 2 * Math.cosh(1.5), 11);
    expect(at(spec, 1)).toEqual([3, 0, 0].map((c) => expect.closeTo(c, 11)));
  });

  it('hangs as a catenary between ends of different height: y = a cosh((x - x0) / a) + c everywhere', () => {
    const slope = withNumbers('hanging', [[0, 5, 0], [3, 1, 4]], { slack: 0.3 }); // prettier-ignore
    expect(lengthOf(slope)).toBeCloseTo(Math.hypot(3, 4, 4) * 1.3, 10);
    // y'' = sqrt(1 + y'^2) / a in terms of the way along: curvature times (1 + y'^2) is the same everywhere.
    const table = evenTable(compiled(slope), 'upright', { intervals: 300 });
    const values = [20, 150, 280].map((i) => {
      const f = table.frames.subarray(i * FRAME_STRIDE, (i + 1) * FRAME_STRIDE);
      const flat = Math.hypot(f[3], f[5]);
      return Math.hypot(f[12], f[13], f[14]) / flat ** 2;
    });
    for (const value of values) expect(value / values[0]).toBeCloseTo(1, 5);
  });

  // The limit of the catenary: straight down below the lower end by half of what the line is too long, and up again.
  it('is the straight line without slack, and keeps its length where its ends lie over each other', () => {
    expect(lengthOf(withNumbers('hanging', [[0, 0, 0], [3, 4, 0]], { slack: 0 }))).toBeCloseTo(5, 12); // prettier-ignore
    expect(lengthOf(withNumbers('hanging', [[0, 0, 0], [0, 4, 0]], { slack: 0.5 }))).toBeCloseTo(6, 12); // prettier-ignore
    const plumb = compiled(withNumbers('hanging', [[0, 0, 0], [0, 4, 0]], { slack: 0.5 })); // prettier-ignore
    const heights = [...evenPlaces(buildArcTable(plumb), 60)].filter((_, i) => i % 3 === 1);
    expect([heights[0], Math.min(...heights), heights[60]]).toEqual([0, -1, 4]);
  });
});

describe('a helix or spiral', () => {
  // Archimedean spiral r = theta, one turn: 21.2562941482091 (standard integral).
  it('has the published length of a flat spiral', () => {
    const spec = withNumbers('helix', [[0, 0, 0]], { startRadius: 0, endRadius: 2 * Math.PI, turns: 1 });
    expect(lengthOf(spec)).toBeCloseTo(21.2562941482091, 10);
  });

  // Conical helix, radius 3 to 1 over 4 turns and 5 m of height: 50.58094418051275, half of it at a turn fraction of 0.3832615447341 (50-digit quadrature).
  const cone = withNumbers('helix', [[1, 0, 1], [1, 5, 1]], { startRadius: 3, endRadius: 1, turns: 4 }); // prettier-ignore
  it('has the published length of a conical helix, and its half where it is', () => {
    const table = buildArcTable(compiled(cone));
    expect(table.length).toBeCloseTo(50.58094418051275, 10);
    const u = new Float64Array(1);
    fillParams(u, table, Float64Array.of(table.length / 2));
    expect(u[0]).toBeCloseTo(0.3832615447341, 11);
  });

  it('winds the other way for negative turns, about any axis, and says when it has no length', () => {
    const [a, b] = [2, -2].map((turns) => withNumbers('helix', [[0, 0, 0], [3, 0, 0]], { turns })); // prettier-ignore
    expect(lengthOf(a)).toBeCloseTo(lengthOf(b), 11);
    const mirrored = (s: number) => {
      const [x, y, z] = at(a, s);
      const [, p, q] = at(b, s);
      expect(x).toBeCloseTo(3 * s, 11);
      expect(Math.hypot(y, z)).toBeCloseTo(1, 11);
      expect(y * p + z * q).toBeCloseTo(Math.cos(8 * Math.PI * s), 9);
    };
    [0, 0.1, 0.35, 1].forEach(mirrored);
    const none = compileCurve(withNumbers('helix', [[0, 0, 0]], { startRadius: 0, endRadius: 0 }));
    expect(none).toMatchObject({ ok: false, problems: [{ code: 'curve.no-length' }] });
  });
});

describe('an arc', () => {
  const points: Vec3[] = [[5, 0, 0], [3, 0, 4], [-4, 0, 3]]; // prettier-ignore
  it('runs on the circle through its points, and closed all the way round', () => {
    const turn = Math.atan2(3, -4);
    expect(lengthOf(pathOf('arc', points))).toBeCloseTo(5 * turn, 11);
    expect(lengthOf(pathOf('arc', points, true))).toBeCloseTo(10 * Math.PI, 11);
    expect(Math.hypot(...at(pathOf('arc', points), 0.37))).toBeCloseTo(5, 12);
    expect(tightest(tableOf(compiled(pathOf('arc', points)), 'upright')).radius).toBeCloseTo(5, 9);
  });

  it('is straight where they lie on a line', () => {
    expect(lengthOf(pathOf('arc', [[0, 0, 0], [1, 0, 0], [4, 0, 0]]))).toBeCloseTo(4, 12); // prettier-ignore
  });
});

describe('a control polygon', () => {
  it('with weights draws a quarter circle exactly (Piegl & Tiller, The NURBS Book, section 7.3)', () => {
    const points: PathPoint[] = [
      { position: [1, 0, 0] },
      { position: [1, 1, 0], weight: Math.SQRT1_2 },
      { position: [0, 1, 0] },
    ];
    const spec: CurveSpec = { kind: 'controlPolygon', closed: false, points };
    expect(lengthOf(spec)).toBeCloseTo(Math.PI / 2, 11);
    for (const u of [0, 0.2, 0.7, 1]) expect(Math.hypot(...at(spec, u))).toBeCloseTo(1, 12);
  });

  /** Cox-de Boor recursion on the knots 0, 1, 2 ...: the basis function of a degree that begins at knot i, at x. */
  const basis = (i: number, degree: number, x: number): number =>
    degree === 0
      ? Number(x >= i && x < i + 1)
      : ((x - i) * basis(i, degree - 1, x) + (i + degree + 1 - x) * basis(i + 1, degree - 1, x)) / degree;

  // Closed uniform cubic: weights of before, point and after from the recursion itself (Piegl & Tiller, The NURBS Book, 2.5).
  it('round starts nearest to its first point and is smooth to the second derivative', () => {
    const positions: Vec3[] = [[0, 0, 0], [6, 1, 3], [12, 0, 0], [9, 2, 8], [1, 0, 7]]; // prettier-ignore
    const spec = pathOf('controlPolygon', positions, true);
    const [before, own, after] = [0, 1, 2].map((i) => basis(i, 3, 3)) as [number, number, number];
    const start = [0, 1, 2].map((c) => before * positions[4][c] + own * positions[0][c] + after * positions[1][c]);
    expect(at(spec, 0)).toEqual(start.map((c) => expect.closeTo(c, 12)));
    const curve = compiled(spec);
    const [left, right] = [new Float64Array(3), new Float64Array(3)];
    for (const u of curve.breaks.subarray(1, -1)) {
      curve.accelerationAt(left, 0, u, true);
      curve.accelerationAt(right, 0, u);
      left.forEach((x, c) => expect(x).toBeCloseTo(right[c], 8));
    }
  });
});

describe('eased corners', () => {
  // Radius 120 m, easement 60 m: it ends at heading 0.25 rad, x 59.62608350577537, y 4.977722912225698 (AASHTO form, Abramowitz & Stegun 7.3).
  it('ease in as the published clothoid does', () => {
    const turn = Math.PI / 2;
    const spec: CurveSpec = {
      kind: 'eased',
      closed: false,
      points: [{ position: [0, 0, 0] }, { position: [400, 0, 0], radius: 120 }, { position: [400, 0, 400] }],
      numbers: { easement: (2 * 0.25) / turn },
    };
    const table = buildArcTable(compiled(spec));
    const tangent = (120 + 1.247213517503072) * Math.tan(turn / 2) + (59.62608350577537 - 120 * Math.sin(0.25));
    const start = 400 - tangent;
    const u = new Float64Array(1);
    fillParams(u, table, Float64Array.of(start + 60));
    const [x, , z] = at(spec, u[0]);
    expect(x - start).toBeCloseTo(59.62608350577537, 8);
    expect(z).toBeCloseTo(4.977722912225698, 8);
    expect(table.length).toBeCloseTo(2 * start + 2 * 60 + 120 * (turn - 0.5), 8);
    const frames = tableOf(compiled(spec), 'upright', { intervals: 4000 });
    expect(tightest(frames).radius).toBeCloseTo(120, 6);
    expect(frames.kinks).toHaveLength(0);
  });

  it('shrink as a whole where a leg has no room', () => {
    const spec: CurveSpec = {
      kind: 'eased',
      closed: false,
      points: [{ position: [0, 0, 0] }, { position: [10, 0, 0], radius: 50 }, { position: [10, 0, 10] }],
    };
    const { radius } = tightest(tableOf(compiled(spec), 'upright', { intervals: 2000 }));
    expect(radius).toBeLessThan(10);
    expect(at(spec, 1)).toEqual([10, 0, 10].map((c) => expect.closeTo(c, 9)));
  });
});

describe('a belt', () => {
  const path = (wheels: readonly (readonly [number, number, number, 1 | -1])[]): CurveSpec => ({
    kind: 'belt',
    closed: true,
    points: wheels.map(([x, y, radius, side]) => ({
      position: [x, y, 0],
      radius,
      ...(side < 0 && { outside: true as const }),
    })),
  });

  // Machinery's Handbook, belts; three wheels by Cauchy's formula; the back-side idler derived.
  it.each([
    [
      'two wheels, open',
      [
        [0, 0, 5, 1],
        [12, 0, 2, 1],
      ],
      46.74513018322553,
    ],
    [
      'two wheels, crossed',
      [
        [0, 0, 5, 1],
        [12, 0, 2, -1],
      ],
      50.20430946051452,
    ],
    [
      'equal wheels, open',
      [
        [0, 0, 50, 1],
        [180, 0, 50, 1],
      ],
      674.1592653589793,
    ],
    [
      'three wheels',
      [
        [0, 0, 2, 1],
        [10, 0, 1, 1],
        [4, 7, 1.5, 1],
      ],
      36.69095267618,
    ],
    [
      'three other wheels',
      [
        [0, 0, 30, 1],
        [120, -20, 45, 1],
        [70, 90, 15, 1],
      ],
      552.2863333903,
    ],
    [
      'an idler that presses from outside',
      [
        [0, 0, 2, 1],
        [10, 0, 1, 1],
        [5, 2, 1, -1],
      ],
      29.5780548271,
    ],
  ] as const)('round %s has the published length', (_, wheels, length) => {
    expect(lengthOf(path(wheels))).toBeCloseTo(length, 9);
    const table = evenTable(compiled(path(wheels)), 'upright', { intervals: 2000 });
    expect(table.kinks).toHaveLength(0);
  });

  it('wraps its wheels by the published angles', () => {
    const wheels: Wheel[] = [[0, 0, 2, 1], [10, 0, 1, 1], [5, 2, 1, -1]].map(([x, y, radius, side]) => ({ x: x, y: y, radius: radius, side: side as 1 | -1 })); // prettier-ignore
    const degrees = unwrap(wrapBelt(wheels)).map(({ turn }) => (Math.abs(turn) * 180) / Math.PI);
    expect(degrees).toEqual([197.7922758035, 174.2608295227, 12.05310532627].map((d) => expect.closeTo(d, 8)));
  });

  it('lies in any plane, keeps its length when it is turned about, and has it the other way round too', () => {
    const flat = path([[0, 0, 2, 1], [10, 0, 1, 1], [4, 7, 1.5, 1]]); // prettier-ignore
    const tilted = { ...flat, points: flat.points.map((p) => ({ ...p, position: [p.position[2] + 3, p.position[0] * 0.6 + p.position[1] * 0.8, p.position[0] * -0.8 + p.position[1] * 0.6] as Vec3 })) }; // prettier-ignore
    expect(lengthOf(tilted)).toBeCloseTo(36.69095267618, 9);
    expect(lengthOf(reversePath(flat))).toBeCloseTo(36.69095267618, 9);
  });

  it('says which wheels overlap or are not touched', () => {
    expect(compileCurve(path([[0, 0, 5, 1], [1, 0, 2, 1]]))).toMatchObject({ problems: [{ code: 'belt.overlap', facts: { first: 1, second: 2 } }] }); // prettier-ignore
    expect(compileCurve(path([[0, 0, 1, 1], [10, 0, 1, 1], [5, 9, 1, 1], [5, 3, 0.2, 1]]))).toMatchObject({ problems: [{ code: 'belt.misses', facts: { wheel: 4 } }] }); // prettier-ignore
  });
});

describe('a mixed path', () => {
  const points: PathPoint[] = [
    { position: [0, 0, 0], as: 'corner' },
    { position: [6, 0, 0], as: 'corner', radius: 1.5 },
    { position: [6, 0, 6], straight: true },
    { position: [10, 1, 10], as: 'smooth' },
    { position: [16, 0, 8], as: 'handles', handleIn: [-2, 0, 1], handleOut: [1, 2, 0] },
    { position: [20, 0, 0], as: 'corner' },
  ];
  const spec: CurveSpec = { kind: 'mixed', closed: false, points };

  it('is straight where that is said, and runs on smoothly from there', () => {
    const table = evenTable(compiled(spec), 'upright', { intervals: 4000 });
    const stations = table.pointStations;
    expect(stations[3] - stations[2]).toBeCloseTo(Math.hypot(4, 1, 4), 9);
    const kinkStations = Array.from(table.kinks, (kink) =>
      typeof kink === 'number' ? kink : (kink as { station: number }).station,
    );
    expect(kinkStations.some((s) => Math.abs(s - stations[3]) < 0.01)).toBe(false);
  });

  it('keeps its shape when points are put in anywhere, and when it is turned round', () => {
    let current = spec;
    for (const station of [1, 5.2, 6.1, 14, 21, 27, 33]) current = insertAt(current, station)!.spec;
    expect(current.points).toHaveLength(13);
    expect(deviation(current, spec)!).toBeLessThan(1e-6);
    expect(deviation(reversePath(spec), spec)!).toBeLessThan(1e-6);
  });

  it('becomes handles that draw it, its rounded corners apart', () => {
    const sharp = { ...spec, points: points.map((point) => ({ ...point, radius: 0 })) };
    expect(deviation(changeKind(sharp, 'handles'), sharp)!).toBeLessThan(1e-6);
  });

  it.each(['straight', 'smooth', 'handles'] as const)('is what a path of %s is', (kind) => {
    const plain = changeKind(pathOf('smooth', points.map(({ position }) => position), false, 1), kind); // prettier-ignore
    expect(deviation(changeKind(plain, 'mixed'), plain)!).toBeLessThan(1e-6);
  });
});

describe('a path of few numbers turned into points', () => {
  const made: readonly CurveSpec[] = [
    withNumbers('helix', [[0, 0, 0], [0, 4, 0]], { turns: 2.5 }), // prettier-ignore
    withNumbers('hanging', [[0, 5, 0], [6, 3, 2], [12, 5, 0]], { slack: 0.2 }), // prettier-ignore
    pathOf('arc', [[5, 0, 0], [3, 0, 4], [-4, 0, 3]], true), // prettier-ignore
    pathOf('belt', [[0, 0, 0], [6, 0, 0], [3, 4, 0]], true, 0.8), // prettier-ignore
    pathOf('controlPolygon', [[0, 0, 0], [6, 1, 3], [12, 0, 0], [17, 2, 4]]), // prettier-ignore
  ];
  it.each(
    made.flatMap((spec) => (['handles', 'smooth', 'mixed'] as const).map((kind) => [spec.kind, kind, spec] as const)),
  )('%s to %s stays within a hundred-thousandth of its length', (_, kind, spec) => {
    const changed = changeKind(spec, kind);
    expect(changed.kind).toBe(kind);
    expect(deviation(changed, spec)!).toBeLessThan(lengthOf(spec) * 4e-5); // the chords of the comparison are as far off
    expect(lengthOf(changed) / lengthOf(spec)).toBeCloseTo(1, 4);
    expect(changed.points.length).toBeLessThan(120);
  });
});

describe('turned round', () => {
  const made: readonly CurveSpec[] = [
    withNumbers('helix', [[0, 0, 0], [0, 4, 0]], { turns: 2.3, startRadius: 2, endRadius: 0.5, startAngle: 0.7 }), // prettier-ignore
    withNumbers('helix', [[1, 2, 3], [4, 4, 0]], { turns: -1.4, startRadius: 1, endRadius: 2 }), // prettier-ignore
    withNumbers('helix', [[0, 0, 0]], { turns: 1.3, startRadius: 0.2, endRadius: 2, startAngle: 1 }),
    withNumbers('hanging', [[0, 5, 0], [6, 3, 2], [12, 5, 0]], { slack: 0.2 }), // prettier-ignore
    pathOf('arc', [[5, 0, 0], [3, 0, 4], [-4, 0, 3]]), // prettier-ignore
    pathOf('arc', [[5, 0, 0], [3, 0, 4], [-4, 0, 3]], true), // prettier-ignore
    pathOf('eased', [[0, 0, 0], [20, 0, 0], [20, 0, 20], [40, 5, 20]], false, 4), // prettier-ignore
    pathOf('controlPolygon', [[0, 0, 0], [6, 1, 3], [12, 0, 0], [17, 2, 4]], true), // prettier-ignore
    pathOf('belt', [[0, 0, 0], [6, 0, 0], [3, 4, 0]], true, 0.8), // prettier-ignore
  ];
  it.each(made.map((spec, i) => [`${spec.kind} ${i}`, spec] as const))(
    '%s is the same curve the other way',
    (_, spec) => {
      const turned = reversePath(spec);
      expect(deviation(turned, spec)!).toBeLessThan(1e-6 * lengthOf(spec));
      const [there, back] = [spec, turned].map((s) =>
        evenTable(compiled(s), 'upright', { intervals: 200 }),
      ) as unknown as [FrameTable, FrameTable];
      for (const i of [0, 37, 100, 200]) {
        const [a, b] = [there.frames.subarray(i * FRAME_STRIDE), back.frames.subarray((200 - i) * FRAME_STRIDE)];
        for (let c = 0; c < 3; c++) expect(a[c]).toBeCloseTo(b[c], 7);
      }
      expect(deviation(reversePath(turned), spec)!).toBeLessThan(1e-6 * lengthOf(spec));
    },
  );
});

it('every kind says what its numbers mean', () => {
  for (const { fields = [], hint, label } of CURVE_KINDS) {
    expect(label.length * hint.length).toBeGreaterThan(0);
    for (const { initial, min, max, step } of fields) {
      expect(initial).toBeGreaterThanOrEqual(min);
      expect(initial).toBeLessThanOrEqual(max);
      expect(step).toBeGreaterThan(0);
    }
  }
});

// Least radii at 8 % superelevation, rounded to metres: AASHTO, A Policy on Geometric Design of Highways and Streets, 2004, exhibit 3-15.
describe('sample roads', () => {
  it.each([
    { speed: 40, R: 41 },
    { speed: 60, R: 113 },
    { speed: 80, R: 229 },
    { speed: 100, R: 394 },
  ])('round a right angle at $speed km/h have the radius of $R m, all along their arc', ({ R }) => {
    const road = pathOf('straight', [[0, 0, 0], [2 * R, 0, 0], [2 * R, 0, 2 * R]], false, R); // prettier-ignore
    const table = tableOf(compiled(road), 'upright', { intervals: 4000 });
    expect(tightest(table).radius / R).toBeCloseTo(1, 9);
    expect(table.length).toBeCloseTo(2 * R + (Math.PI / 2) * R, 6);
    // Eased by clothoids, a road is nowhere tighter than that.
    const eased = tableOf(compiled({ ...road, kind: 'eased' }), 'upright', { intervals: 4000 });
    expect(tightest(eased).radius).toBeGreaterThan(R * (1 - 1e-6));
    expect(eased.kinks).toEqual([]);
  });
});
