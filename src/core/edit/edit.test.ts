import fc from 'fast-check';
import { buildFrameTable } from '../frames/build-frame-table';
import { FORWARD, FRAME_STRIDE } from '../frames/frame-table';
import { curvatureOf } from '../frames/each-frame';
import { tightest } from '../shape/tightest';
import { distance, rotate, type Vec3 } from '../math/vec3';
import { pathOf } from '../testing/curves';
import { compiled, evenTable, unwrap } from '../testing/runs';
import { buildArcTable } from '../curve/arc-table';
import { TIDIES } from './tidy';
import { CURVE_KINDS, compileCurve, type CurveSpec } from '../curve/registry';
import { changeKind } from './change-kind';
import { deviation } from './deviation';
import { endOf, letEndGo, extendAhead, plugIn, straightEnd } from './end-leg';
import { insertAt } from './insert-at';
import { joinPaths } from './join';
import { movePoint } from './move-point';
import { pointsAt, pointsFromText, pointsToText } from './point-text';
import { reversePath } from './reverse';
import { splitAt } from './split';
import { redrawPart, strokePoints } from './stroke';
import { subdivideBetween } from './subdivide-between';
import { middleOf, transformPoints } from './transform-points';

const BENDS: Vec3[] = [[0, 0, 0], [6, 0.5, 3], [11, 1, -2], [18, 0, 4], [25, 2, 0]]; // prettier-ignore
const THROUGH = ['straight', 'smooth', 'handles', 'mixed'] as const;
const lengthOf = (spec: CurveSpec) => buildArcTable(compiled(spec)).length;
const all = (spec: CurveSpec) => spec.points.map((_, i) => i);
const bent = (kind: (typeof THROUGH)[number], closed = false) => changeKind(pathOf('smooth', BENDS, closed, 1), kind);

describe('moving, turning and scaling points', () => {
  const far = (a: readonly Vec3[], b: readonly Vec3[]) => Math.max(...a.map((p, i) => distance(p, b[i])));
  const samples = (spec: CurveSpec): Vec3[] => {
    const { frames } = evenTable(compiled(spec), 'upright', { intervals: 100 });
    return Array.from({ length: 101 }, (_, i) => [...frames.subarray(i * FRAME_STRIDE, i * FRAME_STRIDE + 3)] as never);
  };
  const numbers = { slack: 0.2, turns: 2, startRadius: 1, endRadius: 2 };
  const paths = CURVE_KINDS.map(({ kind }) => ({
    kind,
    spec: { ...pathOf(kind, kind === 'helix' ? [[1, 0, 0], [1, 4, 1]] : kind === 'belt' ? [[0, 0, 0], [9, 0, 0], [4, 0, 6]] : BENDS, kind === 'belt', 1), numbers }, // prettier-ignore
  }));

  it.each(paths)('of a whole path never deform it: $kind', ({ spec }) => {
    const about: Vec3 = [1, 2, 3];
    const by: Vec3 = [4, -1, 2];
    const moved = transformPoints(spec, all(spec), { kind: 'move', by });
    expect(
      far(
        samples(moved),
        samples(spec).map((p) => [p[0] + 4, p[1] - 1, p[2] + 2]),
      ),
    ).toBeLessThan(1e-9);
    for (const axis of [
      [0, 1, 0],
      [1, 0, 0],
    ] as Vec3[]) {
      // prettier-ignore
      const turned = transformPoints(spec, all(spec), { kind: 'turn', about, axis, angle: 0.7 });
      const wanted = samples(spec).map((p): Vec3 => {
        const d = rotate([p[0] - 1, p[1] - 2, p[2] - 3], axis, 0.7);
        return [d[0] + 1, d[1] + 2, d[2] + 3];
      });
      expect(far(samples(turned), wanted)).toBeLessThan(lengthOf(spec) * 3e-5);
    }
    const scaled = transformPoints(spec, all(spec), { kind: 'scale', about: [0, 0, 0], by: [2, 2, 2] });
    expect(lengthOf(scaled) / lengthOf(spec)).toBeCloseTo(2, 4);
  });

  it.each(paths)('that mirror a whole path, too: $kind', ({ kind, spec }) => {
    for (const by of [
      [-1, 1, 1],
      [1, 1, -1],
    ] as Vec3[]) {
      // prettier-ignore
      const about: Vec3 = [1, 2, 3];
      const mirrored = transformPoints(spec, all(spec), { kind: 'scale', about, by });
      const wanted = samples(spec).map((p) => p.map((c, k) => about[k] + (c - about[k]) * by[k]) as unknown as Vec3);
      expect(far(samples(mirrored), wanted)).toBeLessThan(lengthOf(spec) * (mirrored.kind === kind ? 1e-9 : 3e-5));
    }
  });

  it('that mirror upright paths of few numbers leave them such', () => {
    const upright = (kind: CurveSpec['kind'], places: Vec3[], numbers: object) => ({ ...pathOf(kind, places), numbers }) as CurveSpec; // prettier-ignore
    for (const spec of [
      upright('helix', [[1e6, 0, 0], [1e6, 4, 0]], { turns: 2.3, startAngle: 0.4, startRadius: 2, endRadius: 1 }), // prettier-ignore
      upright('hanging', [[0, 3, 0], [7, 2, 4]], { slack: 0.2 }), // prettier-ignore
      upright('arc', [[0, 0, 0], [3, 1, 1], [5, 0, 4]], {}), // prettier-ignore
    ])
      for (const by of [
        [-1, 1, 1],
        [1, 1, -1],
      ] as Vec3[]) {
        // prettier-ignore
        const mirrored = transformPoints(spec, all(spec), { kind: 'scale', about: [0, 0, 0], by });
        expect(mirrored.kind).toBe(spec.kind);
        expect(lengthOf(mirrored)).toBeCloseTo(lengthOf(spec), 8);
        expect(transformPoints(mirrored, all(mirrored), { kind: 'scale', about: [0, 0, 0], by }).kind).toBe(spec.kind);
      }
  });

  it('of some points leave the others where they are, and carry handles and radii', () => {
    const spec = bent('handles');
    const moved = transformPoints(spec, [1, 2], { kind: 'scale', about: middleOf(spec, [1, 2]), by: [3, 3, 3] });
    for (const i of [0, 3, 4]) expect(moved.points[i]).toEqual(spec.points[i]);
    expect(distance(moved.points[1].position, moved.points[2].position)).toBeCloseTo(
      3 * distance(spec.points[1].position, spec.points[2].position),
      9,
    );
    expect(moved.points[1].handleOut![0]).toBeCloseTo(3 * spec.points[1].handleOut![0], 12);
    const rounded = transformPoints(bent('straight'), [1], { kind: 'scale', about: [0, 0, 0], by: [2, 2, 2] });
    expect(rounded.points[1].radius).toBeCloseTo(2 * bent('straight').points[1].radius!, 12);
  });
});

describe('cutting and joining', () => {
  it.each(THROUGH)('a %s path cut in two and joined again is the same curve', (kind) => {
    const spec = bent(kind);
    const parts = splitAt(spec, 2)!;
    expect(parts).toHaveLength(2);
    expect(lengthOf(parts[0]) + lengthOf(parts[1])).toBeCloseTo(lengthOf(spec), 6);
    const joined = joinPaths(parts[0], reversePath(parts[1]))!;
    // Cut through a rounded corner's arc, that corner has become two.
    expect(joined.points).toHaveLength(spec.points.length + (kind === 'straight' ? 2 : 0));
    expect(deviation(joined, spec)).toBeLessThan(1e-6);
  });

  it.each(THROUGH)('opens a closed %s path where it is cut, wherever that is', (kind) => {
    const closed = bent(kind, true);
    for (const i of [0, 2, 4]) {
      const [opened, ...more] = splitAt(closed, i)!;
      expect(more).toEqual([]);
      expect(opened).toMatchObject({ closed: false });
      expect(distance(opened.points[0].position, opened.points.at(-1)!.position)).toBeLessThan(1e-9);
      expect(lengthOf(opened)).toBeCloseTo(lengthOf(closed), 6);
    }
  });

  it('does not cut at ends or where there is nothing to cut', () => {
    expect(splitAt(bent('smooth'), 0)).toBeUndefined();
    expect(splitAt(bent('smooth'), BENDS.length - 1)).toBeUndefined();
    expect(splitAt({ ...pathOf('helix', [[0, 0, 0], [0, 3, 0]]) }, 0)).toBeUndefined(); // prettier-ignore
    expect(joinPaths(bent('smooth', true), bent('smooth'))).toBeUndefined();
  });

  it('joins two paths of different kinds where their ends lie nearest', () => {
    const other = pathOf('straight', [[40, 0, 0], [27, 2, 0]], false, 0); // prettier-ignore
    const joined = joinPaths(bent('smooth'), other)!;
    expect(joined.kind).toBe('handles');
    expect(joined.points.map(({ position }) => position[0])).toEqual([0, 6, 11, 18, 25, 27, 40]);
  });
});

describe('ends', () => {
  it.each(THROUGH)(
    'of a %s path become straight, level or plumb over a length, and the rest turns into them',
    (kind) => {
      for (const end of ['start', 'end'] as const) {
        for (const manner of ['ahead', 'level', 'plumb'] as const) {
          const spec = bent(kind);
          const before = endOf(spec, end)!;
          const made = straightEnd(spec, end, manner, 2)!;
          const table = evenTable(compiled(made), 'leastTwist', { intervals: 4000 });
          const after = endOf(made, end)!;
          expect(distance(after.position, before.position)).toBeLessThan(1e-9);
          const d = after.direction;
          if (manner === 'ahead') expect(distance(d, before.direction)).toBeLessThan(1e-6);
          if (manner === 'level') expect(d[1]).toBeCloseTo(0, 9);
          if (manner === 'plumb') expect(Math.abs(d[1])).toBeCloseTo(1, 9);
          const at = (s: number) => Math.round((end === 'start' ? s : table.length - s) / table.step);
          for (const s of [0.1, 0.5, 0.9]) expect(curvatureOf(table.frames, at(s) * FRAME_STRIDE)).toBeLessThan(1e-6);
          expect(table.kinks).toEqual([]);
        }
      }
    },
  );

  it('are plugged into a socket: place and direction', () => {
    const mouth = { position: [30, 3, 5] as Vec3, direction: [0, 0.6, -0.8] as Vec3 };
    for (const kind of THROUGH) {
      const plugged = plugIn(bent(kind), 'end', mouth)!;
      const end = endOf(plugged, 'end')!;
      expect(distance(end.position, mouth.position)).toBeLessThan(1e-9);
      end.direction.forEach((v, k) => expect(v).toBeCloseTo(-mouth.direction[k], 9));
      expect(distance(plugged.points[0].position, BENDS[0])).toBe(0);
    }
    expect(plugIn(bent('smooth', true), 'end', mouth)).toBeUndefined();
  });

  it.each(THROUGH)('of a %s path are moved, and plugged in elsewhere, with no point more each time', (kind) => {
    const mouths = ([[30, 3, 5], [28, 1, -4], [33, 0, 2]] as Vec3[]).map((position) => ({ position, direction: [-0.6, 0, 0.8] as Vec3 })); // prettier-ignore
    let spec = plugIn(bent(kind), 'end', mouths[0])!;
    const count = spec.points.length;
    for (const mouth of mouths) {
      spec = plugIn(movePoint(spec, spec.points.length - 1, [40, 2, 2]), 'end', mouth)!;
      expect(spec.points).toHaveLength(count);
      endOf(spec, 'end')!.direction.forEach((v, k) => expect(v).toBeCloseTo(-mouth.direction[k], 9));
    }
    const knee = count - 2;
    const kept = plugIn(movePoint(letEndGo(spec, 'end'), knee, [25, 1, 0]), 'end', mouths[1])!;
    // The corner of an end that was let go of is one's own.
    expect(kept.points.some(({ position }) => distance(position, [25, 1, 0]) < 1e-9)).toBe(true);
  });

  it.each(THROUGH)('of a %s path go on straight, and the rest stays', (kind) => {
    const spec = bent(kind);
    for (const end of ['start', 'end'] as const) {
      const longer = extendAhead(spec, end, 3)!;
      expect(lengthOf(longer)).toBeCloseTo(lengthOf(spec) + 3, 6);
      expect(distance(endOf(longer, end)!.direction, endOf(spec, end)!.direction)).toBeLessThan(1e-6);
      expect(evenTable(compiled(longer), 'upright', { intervals: 1000 }).kinks).toEqual([]);
    }
  });

  it('need a path long enough', () => {
    expect(straightEnd(bent('smooth'), 'start', 'ahead', 500)).toBeUndefined();
  });
});

describe('drawing by hand', () => {
  const wave = (n: number): Vec3[] =>
    Array.from({ length: n }, (_, i) => [
      (i / (n - 1)) * 12,
      0.1 * Math.sin(i / 9),
      2 * Math.sin(((i / (n - 1)) * 12) / 2),
    ]);

  it('becomes few points within the tolerance', () => {
    const stroke = wave(300);
    const points = strokePoints(stroke, 0.03);
    expect(points.length).toBeLessThan(14);
    const spec: CurveSpec = { kind: 'handles', closed: false, points };
    expect(deviation(spec, pathOf('straight', stroke, false, 0))).toBeLessThan(0.05); // Schneider's distance is along the parameter
    expect(strokePoints([stroke[0], stroke[0]], 0.03)).toHaveLength(1);
  });

  it('redraws a part and leaves the rest as it is, without kinks', () => {
    const spec = bent('smooth');
    const { length } = buildArcTable(compiled(spec));
    const table = evenTable(compiled(spec), 'upright', { intervals: 1000 });
    const place = (i: number) => [...table.frames.subarray(i * FRAME_STRIDE, i * FRAME_STRIDE + 3)] as unknown as Vec3;
    // From 0.4 to 0.6 of the length, three metres higher in its middle.
    const stroke = Array.from({ length: 41 }, (_, k): Vec3 => {
      const [x, y, z] = place(400 + 5 * k);
      return [x, y + 3 * Math.sin((Math.PI * k) / 40) ** 2, z];
    });
    for (const [from, to, drawn] of [
      [0.4, 0.6, stroke],
      [0.6, 0.4, [...stroke].reverse()],
    ] as const) {
      // prettier-ignore
      const redrawn = redrawPart(spec, drawn, from * length, to * length, 0.02)!;
      const after = evenTable(compiled(redrawn), 'upright', { intervals: 2000 });
      expect(after.kinks).toEqual([]);
      const highest = Math.max(...Array.from({ length: 2001 }, (_, i) => after.frames[i * FRAME_STRIDE + 1]));
      expect(highest).toBeGreaterThan(place(500)[1] + 2.5);
      const cut = (s: CurveSpec, n: number) => splitAt(insertAt(s, n)!.spec, insertAt(s, n)!.point)![0];
      expect(deviation(cut(redrawn, 0.39 * length), cut(spec, 0.39 * length))).toBeLessThan(1e-6);
    }
  });
});

describe('more points', () => {
  it.each(THROUGH)('go into legs between chosen points of a %s path and leave its shape', (kind) => {
    const spec = bent(kind);
    const more = subdivideBetween(spec, [1, 2, 4]);
    expect(more.points).toHaveLength(BENDS.length + 1);
    expect(deviation(more, spec)).toBeLessThan(1e-6);
  });

  it('go only where the path bends', () => {
    const spec: CurveSpec = pathOf('smooth', [[0, 0, 0], [20, 0, 0], [40, 0, 0], [42, 0, 6], [36, 0, 9]]); // prettier-ignore
    const refined = TIDIES.refine.apply(spec);
    const added = refined.points.length - spec.points.length;
    expect(added).toBeGreaterThan(0);
    expect(refined.points.filter(({ position }) => position[0] > 0.5 && position[0] < 19.5)).toEqual([]);
    expect(deviation(refined, spec)).toBeLessThan(1e-6);
  });
});

describe('points as text', () => {
  it('come back as they were, whatever parts the numbers', () => {
    const v = fc.double({ min: -1e5, max: 1e5, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(v, v, v), { minLength: 1, maxLength: 9 }), (places) => {
        const points = places.map((position) => ({ position: position.map((c) => c + 0) as unknown as Vec3 }));
        expect(unwrap(pointsFromText(pointsToText(points)))).toEqual(points);
      }),
    );
    expect(unwrap(pointsFromText('1, 2, 3\r\n4;5;6\n\n7 8 9 10'))).toHaveLength(3);
    expect(pointsFromText('1 2 3\n4 five 6')).toMatchObject({ ok: false, problems: [{ code: 'points.not-numbers', facts: { line: 2 } }] }); // prettier-ignore
    expect(pointsFromText(' \n')).toMatchObject({ ok: false, problems: [{ code: 'points.none' }] });
    expect(pointsAt([{ position: [1, 1, 1] }, { position: [2, 1, 1] }], [5, 5, 5])[1].position).toEqual([6, 5, 5]);
  });
});

it('a path of one point, of doubled points or that crosses itself is told or sound', () => {
  const doubled = pathOf('smooth', [[0, 0, 0], [0, 0, 0], [5, 0, 0], [5, 0, 0], [5, 0, 5]]); // prettier-ignore
  expect(compileCurve(pathOf('smooth', [[1, 2, 3]]))).toMatchObject({
    ok: false,
    problems: [{ code: 'curve.too-few-points' }],
  });
  const ends = pathOf('smooth', [[0, 0, 0], [9, 0, 0], [4, 0, 6], [4, 0, -6], [0, 0, 0]]); // prettier-ignore
  for (const spec of [doubled, ends]) {
    const table = buildFrameTable(buildArcTable(compiled(spec)), { rule: 'leastTwist', up: [0, 1, 0] });
    expect(table.frames.every(Number.isFinite)).toBe(true);
    expect(Number.isFinite(tightest(table).radius)).toBe(true);
    expect(Math.hypot(...table.frames.subarray(FORWARD, FORWARD + 3))).toBeCloseTo(1, 12);
  }
});
