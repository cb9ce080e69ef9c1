import { WebIO } from '@gltf-transform/core';
import type { CurveSpec } from '../core/curve/registry';
import { distance, dot, type Vec3 } from '../core/math/vec3';
import { isClosed } from '../core/mesh/is-closed';
import { volume } from '../core/mesh/measure';
import type { MakerSpec } from '../core/segment/registry';
import { FRAME_RULES } from '../core/frames/registry';
import { unwrap, type JobChange } from '../core/testing/runs';
import { pathOf } from '../core/testing/curves';
import { toLine, toPolyline } from '../core/testing/distances';
import type { Project } from '../project/schema';
import { bakeFiles, loadFrom } from './bake';
import { Deriver } from './derive';
import type { RunReport } from './report';
import { runProject } from './testing/run-project';

/** What a baked GLB holds: places in double precision, as a program that opens it puts them. */
interface File {
  readonly places: readonly Vec3[];
  readonly positions: Float32Array;
  readonly indices: Uint32Array;
  readonly report: RunReport;
}

type Change = Pick<JobChange, 'bending' | 'laying'>;

function project(curve: CurveSpec, spec: MakerSpec, { bending, laying }: Change = {}): Project {
  const upright = { frames: { rule: 'upright', up: [0, 1, 0] } } as const;
  return runProject(curve, spec, {
    bending: { ...upright, ...bending },
    laying: { kind: 'fillStretch', ...laying },
  });
}

async function bake(curve: CurveSpec, spec: MakerSpec, change?: Change, frames = 400): Promise<File> {
  const deriver = new Deriver(loadFrom(new Map()));
  const { files, reports } = unwrap(await bakeFiles(project(curve, spec, change), deriver, 'glb', 'a', { frames }));
  const document = await new WebIO().readBinary(files[0].bytes);
  const [node] = document.getRoot().listNodes();
  const [x, y, z] = node.getTranslation();
  const all: number[] = [];
  const indices: number[] = [];
  for (const primitive of node.getMesh()!.listPrimitives()) {
    const base = all.length / 3;
    for (const v of primitive.getAttribute('POSITION')!.getArray()!) all.push(v);
    for (const i of primitive.getIndices()!.getArray()!) indices.push(base + i);
  }
  const places = Array.from({ length: all.length / 3 }, (_, i): Vec3 => [
    all[i * 3] + x,
    all[i * 3 + 1] + y,
    all[i * 3 + 2] + z,
  ]);
  return { places, positions: Float32Array.from(all), indices: Uint32Array.from(indices), report: reports[0] };
}

const tube = (radius: number, long = 1): MakerSpec => ({ kind: 'tube', length: long, radius, sides: 12 });
const plank = (width: number, thickness: number, long = 2): MakerSpec => ({
  kind: 'plank',
  length: long,
  width,
  thickness,
});
const leastTwist = { frames: { rule: 'leastTwist', up: [0, 1, 0] as [number, number, number] } } as const;

const lengthOf = (line: readonly Vec3[]): number => line.slice(1).reduce((sum, b, i) => sum + distance(line[i], b), 0);
const least = (values: readonly number[]) => values.reduce((a, b) => Math.min(a, b), Infinity);
const most = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b), -Infinity);

/** Twelve sides about a circle of radius r. */
const twelve = (r: number) => 6 * r * r * Math.sin(Math.PI / 6);

describe('sharp corners', () => {
  const RIGHT: Vec3[] = [[0, 0, 0], [492.1875, 0, 0], [492.1875, 0, 507.8125]]; // prettier-ignore
  const ZIGZAG = Array.from({ length: 41 }, (_, i): Vec3 => [i * 8, (i % 3) * 1.5, (i % 2) * 6]);
  const SPACE: Vec3[] = [[0, 0, 0], [3, 0, 0], [3, 2, 1], [1, 3, 4], [1, 3, 9]]; // prettier-ignore

  // A mitre lies in the plane that bisects the corner (joinery, common practice, no source); elementary plane geometry gives its corners.
  it('are mitred: a plank has its inner and outer corner where the bisecting plane cuts its edges', async () => {
    const { places, report } = await bake(pathOf('straight', RIGHT), plank(0.3, 0.04));
    for (const { position } of report.frames!)
      expect(toPolyline(position as unknown as Vec3, RIGHT)).toBeLessThan(1e-9);
    // Lines of the section (chamfers and all) meet at 45°: x + z is that of the path's corner.
    const atCorner = places.filter(([x, , z]) => Math.abs(x - 492.1875) < 0.16 && Math.abs(z) < 0.16);
    for (const [x, , z] of atCorner) expect(Math.abs(x - 492.1875 - -z)).toBeLessThan(1e-4);
    for (const out of [-0.15, 0.15])
      expect(least(atCorner.map(([x, , z]) => Math.hypot(x - 492.1875 - out, z + out)))).toBeLessThan(0.012);
    // Elsewhere everything stays within the plank's own box about either leg.
    for (const [x, y, z] of places) {
      expect(Math.abs(y)).toBeLessThan(0.0401);
      expect(Math.min(Math.abs(z), Math.abs(x - 492.1875))).toBeLessThan(0.1501);
    }
  });

  it.each([
    { name: 'a right angle of half a kilometre', line: RIGHT },
    { name: '40 legs of 10 m', line: ZIGZAG },
    { name: 'in space', line: SPACE },
  ])('keep a tube round: every vertex lies on the cylinder of a leg, $name', async ({ line }) => {
    for (const laying of [{ kind: 'onePiece' }, { kind: 'fillStretch' }] as const) {
      const file = await bake(pathOf('straight', line), tube(0.1), { bending: leastTwist, laying });
      for (const { position } of file.report.frames!)
        expect(toPolyline(position as unknown as Vec3, line)).toBeLessThan(1e-8);
      let worst = 0;
      for (const p of file.places) {
        const off = line.slice(1).map((b, i) => Math.abs(toLine(p, line[i], b) - 0.1));
        const isCap = toPolyline(p, line) < 1e-4;
        if (!isCap) worst = Math.max(worst, least(off));
      }
      expect(worst).toBeLessThan(1e-4);
      expect(isClosed(file)).toBe(true);
      // A mitre takes from one side what it gives to the other: section times length (Pappus, for a middle on the path).
      expect(volume(file) / (twelve(0.1) * lengthOf(line))).toBeCloseTo(1, 3);
    }
  });

  it('are followed where a rounding is a fifth of a millimetre', async () => {
    const line: Vec3[] = [[0, 0, 0], [3, 0, 0], [3, 0, 3]]; // prettier-ignore
    const file = await bake(pathOf('straight', line, false, 0.0002), tube(0.01), { laying: { kind: 'onePiece' } });
    // Between the two straight cylinders and the ball about the corner: nothing is cut off.
    for (const p of file.places) expect(toPolyline(p, line)).toBeLessThan(0.0101);
    const outer = least(
      file.places.map(([x, , z]) => Math.hypot(x - 3 - 0.01 * Math.SQRT1_2, z + 0.01 * Math.SQRT1_2)),
    );
    expect(outer).toBeLessThan(0.0006);
  });

  const FOLDS: Record<string, Vec3[]> = {
    'straight back': [[0, 0, 0], [5, 0, 0], [0, 0, 0]], // prettier-ignore
    'back and on': [[0, 0, 0], [5, 0, 0], [2, 0, 0], [2, 0, 4]], // prettier-ignore
    'back in space': [[0, 0, 0], [1, 2, 3], [0, 0, 0], [3, 1, 0]], // prettier-ignore
  };
  it.each(Object.entries(FOLDS))('are numbers, and told of, where a path folds back on itself: %s', async (_, line) => {
    for (const rule of ['upright', 'leastTwist', 'faceBend', 'faceOut'] as const) {
      for (const spec of [tube(0.1), plank(0.3, 0.04)]) {
        const { places, report } = await bake(pathOf('straight', line), spec, {
          bending: { frames: { rule, up: [0, 1, 0] } },
        });
        for (const p of places) {
          expect(p.every(Number.isFinite)).toBe(true);
          expect(toPolyline(p, line)).toBeLessThan(0.16 * 4);
        }
        expect(report.findings.map(({ check }) => check)).toContain('foldingOver');
      }
    }
  });
});

describe('what points say', () => {
  it('is not lost between samples: gauge of 1, 20 and 1 within 10 cm of 40 m', async () => {
    const curve: CurveSpec = {
      kind: 'straight',
      closed: false,
      points: [
        { position: [0, 0, 0], gauge: 1 },
        { position: [20, 0, 0], gauge: 1 },
        { position: [20.05, 0, 0], gauge: 20 },
        { position: [20.1, 0, 0], gauge: 1 },
        { position: [40, 0, 0], gauge: 1 },
      ],
    };
    for (const rule of ['onePiece', 'fillStretch'] as const) {
      const { places } = await bake(curve, tube(0.01), { laying: { kind: rule } });
      expect(most(places.map(([, y, z]) => Math.hypot(y, z)))).toBeCloseTo(0.2, 3);
      const before = places.filter(([x]) => x < 19.9);
      expect(most(before.map(([, y, z]) => Math.hypot(y, z)))).toBeCloseTo(0.01, 5);
    }
  });

  // Level on either side, so that the blend is 3 t² - 2 t³ of the logarithm on both flanks (Fritsch & Carlson: no slope at an extreme).
  it('is as thick in between as its blend says: gauge of 1, 12 and 1 within 9 m of 55 m', async () => {
    const curve: CurveSpec = {
      kind: 'straight',
      closed: false,
      points: [0, 23, 27.5, 32, 55].map((x) => ({ position: [x, 0, 0], gauge: x === 27.5 ? 12 : 1 })),
    };
    const wanted = (x: number) => {
      const t = Math.min(Math.max(1 - Math.abs(x - 27.5) / 4.5, 0), 1);
      return 0.02 * 12 ** (3 * t * t - 2 * t * t * t);
    };
    for (const rule of ['onePiece', 'fillStretch'] as const) {
      const { places } = await bake(curve, tube(0.02), { laying: { kind: rule } });
      const off = places.flatMap(([x, y, z]) => {
        const r = Math.hypot(y, z);
        return r > 0.01 ? [Math.abs(r / wanted(x) - 1)] : []; // without the middles of the ends
      });
      expect(most(off)).toBeLessThan(2e-3);
      expect(most(places.map(([, y, z]) => Math.hypot(y, z)))).toBeCloseTo(0.24, 4);
    }
  });

  it.each([
    { turns: 40, long: 10 },
    { turns: 0.75, long: 10 },
  ])('turns a run as often as it says: $turns turns on $long m', async ({ turns, long }) => {
    const roll = turns * 2 * Math.PI;
    const curve: CurveSpec = {
      kind: 'straight',
      closed: false,
      points: [
        { position: [0, 0, 0], roll: 0 },
        { position: [long, 0, 0], roll },
      ],
    };
    const { places, report } = await bake(curve, tube(0.1, 1), { bending: leastTwist, laying: { kind: 'onePiece' } });
    expect(report.twist.total).toBeCloseTo(roll, 4);
    // Along the edge that begins at the top: the angle about x from row to row, added up.
    const rows = new Map<string, number[]>();
    for (const [x, y, z] of places) {
      if (Math.hypot(y, z) < 0.099) continue;
      const key = x.toFixed(5);
      rows.set(key, [...(rows.get(key) ?? []), Math.atan2(z, y)]);
    }
    const sorted = [...rows].sort(([a], [b]) => Number(a) - Number(b));
    let [angle, turned] = [sorted[0][1][0], 0];
    for (const [, angles] of sorted.slice(1)) {
      const step = least(angles.map((a) => Math.abs(wrap(a - angle))));
      const next = angles.find((a) => Math.abs(Math.abs(wrap(a - angle)) - step) < 1e-9)!;
      turned += wrap(next - angle);
      angle = next;
    }
    // Rows are near enough to each other that an edge is nearer to itself than to the next, 30° on.
    expect(turned).toBeCloseTo(roll, 2);
  });
});

const wrap = (angle: number): number => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI));

describe('far and long', () => {
  it('holds a bend of 3 m on 50 km to the tolerance', async () => {
    const line: Vec3[] = [[0, 0, 0], [25_000, 0, 0], [25_000, 0, 25_000]]; // prettier-ignore
    const { places, report } = await bake(pathOf('straight', line, false, 3), plank(0.3, 0.04, 50), {}, 4000);
    const [cx, cz] = [24_997, 3];
    const off = (x: number, z: number) =>
      x > cx && z < cz ? Math.hypot(x - cx, z - cz) - 3 : x <= cx ? -z : x - 25_000;
    for (const { position } of report.frames!) expect(Math.abs(off(position[0], position[2]))).toBeLessThan(1e-6);
    // 32-bit places at 12 km from the mesh's middle are good to a millimetre.
    const inBend = places.filter(([x, , z]) => x > 24_990 && z < 10);
    expect(inBend.length).toBeGreaterThan(40);
    for (const [x, , z] of inBend) expect(Math.abs(off(x, z))).toBeLessThan(0.1501 + 0.002);
    expect(report.findings).toEqual([]);
  });

  // 20,000 points on a circle of 3 km with a ripple of 5 cm: the curve through them stays between two circles.
  it('holds 20,000 points to the tolerance', async () => {
    const n = 20_000;
    const points = Array.from({ length: n }, (_, i): Vec3 => {
      const [a, r] = [(i / n) * 2 * Math.PI, 3000 + 0.05 * (i % 2)];
      return [r * Math.cos(a), 0, r * Math.sin(a)];
    });
    const { report } = await bake(pathOf('straight', points, true), plank(0.3, 0.04, 40), {}, 5000);
    for (const { position, station } of report.frames!) {
      const i = Math.min(Math.floor((station / report.pathLength) * n), n - 1);
      const near = [i - 1, i, i + 1, i + 2].map((k) => points[(k + n) % n]);
      expect(toPolyline(position as unknown as Vec3, near)).toBeLessThan(1e-6);
    }
  });

  it.each(['glb', 'obj'])('is as fine a thousand kilometres away as near the origin: %s', async (extension) => {
    const far: Vec3 = [700_000, 1000, -700_000];
    const line: Vec3[] = [[0, 0, 0], [4, 0, 0], [4, 0, 5]]; // prettier-ignore
    const moved = line.map((p): Vec3 => [p[0] + far[0], p[1] + far[1], p[2] + far[2]]);
    const change = { bending: leastTwist } as const;
    const deriver = new Deriver(loadFrom(new Map()));
    let places: readonly Vec3[];
    if (extension === 'glb') places = (await bake(pathOf('straight', moved, false, 1), tube(0.1), change)).places;
    else {
      const { files } = unwrap(
        await bakeFiles(project(pathOf('straight', moved, false, 1), tube(0.1), change), deriver, 'obj', 'a'),
      );
      const text = new TextDecoder().decode(files[0].bytes);
      places = [...text.matchAll(/^v (\S+) (\S+) (\S+)$/gm)].map((m): Vec3 => [
        Number(m[1]),
        Number(m[2]),
        Number(m[3]),
      ]);
    }
    for (const [x, y, z] of places) {
      const p: Vec3 = [x - far[0], y - far[1], z - far[2]];
      const centre: Vec3 = [3, 0, 1];
      const onArc =
        p[0] > 3 && p[2] < 1 ? Math.hypot(Math.hypot(p[0] - centre[0], p[2] - centre[2]) - 1, p[1]) : Infinity;
      const off = [toLine(p, line[0], line[1]), toLine(p, line[1], line[2]), onArc].map((d) => Math.abs(d - 0.1));
      const isCapMiddle = distance(p, line[0]) < 0.01 || distance(p, line[2]) < 0.01;
      if (!isCapMiddle) expect(least(off)).toBeLessThan(2e-5);
    }
  });

  it('says that STL is coarse there', async () => {
    const curve = pathOf('straight', [[1e6 - 10, 0, 0], [1e6, 0, 0]]); // prettier-ignore
    const baked = await bakeFiles(project(curve, tube(0.1)), new Deriver(loadFrom(new Map())), 'stl', 'a');
    expect(baked).toMatchObject({ ok: true, warnings: [{ code: 'format.coarse-far' }] });
  });
});

describe('closed paths that climb', () => {
  const w = 2 * Math.PI;
  const loop = (f: (a: number) => Vec3, n = 24): CurveSpec => pathOf('smooth', Array.from({ length: n }, (_, i) => f((i / n) * w)), true); // prettier-ignore
  const PATHS: { name: string; curve: CurveSpec }[] = [
    { name: 'an upright circle', curve: loop((a) => [Math.cos(a), Math.sin(a), 0]) },
    { name: 'an upright circle from its top', curve: loop((a) => [Math.sin(a), Math.cos(a), 0]) },
    { name: 'a belt round two level wheels', curve: pathOf('belt', [[0, 0, 0], [3, 0, 0]], true, 0.5) }, // prettier-ignore
    { name: 'a coaster', curve: loop((a) => [4 * Math.cos(a), 1.5 + 1.5 * Math.sin(3 * a), 4 * Math.sin(a)], 40) },
    { name: 'corners', curve: pathOf('straight', [[0, 0, 0], [2, 0, 0], [2, 3, 0], [0, 3, 1]], true) }, // prettier-ignore
  ];
  const cases = PATHS.flatMap((path) => FRAME_RULES.map(({ kind }) => ({ ...path, rule: kind })));
  it.each(cases)('close without a seam: $name, $rule', async ({ curve, rule }) => {
    for (const laying of [{ kind: 'onePiece' }, { kind: 'fillStretch' }] as const) {
      const file = await bake(curve, tube(0.05), { bending: { frames: { rule, up: [0, 1, 0] } }, laying });
      expect(isClosed(file)).toBe(true);
      const { frames } = file.report;
      const [first, last] = [frames![0], frames![frames!.length - 1]];
      // At a corner the seam's two frames stand square to two legs; elsewhere they are one.
      if (curve.kind !== 'straight') for (let c = 0; c < 3; c++) expect(last.up[c]).toBeCloseTo(first.up[c], 6);
      // From one frame to the next, up turns little.
      if (curve.kind !== 'straight')
        frames!
          .slice(1)
          .forEach(({ up }, i) =>
            expect(dot(up as unknown as Vec3, frames![i].up as unknown as Vec3)).toBeGreaterThan(0.8),
          );
    }
  });
});

describe('a wave that faces its bends', () => {
  it.each([4, 8, 12, 16])('looks inwards at the middle of each of %d bends, and does not wind up', async (bends) => {
    const points = Array.from({ length: bends * 8 + 1 }, (_, i): Vec3 => [i / 4, 0, Math.sin((Math.PI * i) / 8)]);
    const bending = { frames: { rule: 'faceBend', up: [0, 1, 0] as [number, number, number] } } as const;
    const { report, places } = await bake(pathOf('smooth', points), plank(0.1, 0.02, 0.5), { bending }, bends * 64 + 1);
    expect(Math.abs(report.twist.total)).toBeLessThan(4);
    for (let bend = 0; bend < bends; bend++) {
      const middle = bend * 2 + 1;
      const frame = report.frames!.reduce((a, b) =>
        Math.abs(b.position[0] - middle) < Math.abs(a.position[0] - middle) ? b : a,
      );
      // Outwards along z where the wave is there: in is towards its axis.
      expect(frame.up[2] * -Math.sign(frame.position[2])).toBeGreaterThan(0.95);
      // In the file the plank stands on edge there: as high as it is wide, and no wider than it is thick.
      const there = places.filter(([x]) => Math.abs(x - middle) < 0.2);
      expect(there.length).toBeGreaterThan(7);
      expect(most(there.map(([, y]) => y)) - least(there.map(([, y]) => y))).toBeCloseTo(0.1, 3);
      for (const [x, , z] of there) expect(Math.abs(z - Math.sin((Math.PI * x) / 2))).toBeLessThan(0.025);
    }
  });
});
