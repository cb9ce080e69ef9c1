import { factOf } from '../core/testing/checks';
import { Object3D, Vector3 } from 'three';
import { JOB_DEFAULTS, MADE_PREPARE, makerDefaults } from '../project/defaults';
import type { Guide } from '../project/schema';
import { buildGuide } from '../core/guides/build-guide';
import { edgeChains } from '../core/guides/edge-chains';
import { joinChains, type EdgeChain } from '../core/guides/join-chains';
import { GUIDE_BODIES, type GuideBodyName, type GuideSpec } from '../core/guides/guide-spec';
import { pushOut } from '../core/guides/push-out';
import { snapPlaces } from '../core/guides/snap-places';
import { wrapRound } from '../core/guides/wrap-round';
import { fail } from '../core/math/result';
import type { Vec3 } from '../core/math/vec3';
import { isClosed } from '../core/mesh/is-closed';
import { volume } from '../core/mesh/measure';
import { buildArcTable } from '../core/curve/arc-table';
import { compileCurve, type CurveSpec } from '../core/curve/registry';
import { deviation } from '../core/edit/deviation';
import { manifoldOf } from '../core/testing/manifold';
import { pathOf } from '../core/testing/curves';
import { compiled, unwrap } from '../core/testing/runs';
import { saltgrassLanding } from '../project/samples/saltgrass-landing';
import { Deriver } from './derive';
import { sourceOf, type RunSource } from './run-source';
import { DEFAULT_JOB, meshOf, sourceWith } from './testing/sources';
import { buildSurface } from './mesh-surface';
import { pushOutOf } from './push-out-of';
import { windRound } from './wind-round';

const spec = (
  kind: GuideBodyName,
  sizes: Record<string, number>,
  position: Vec3 = [0, 0, 0],
  turn: Vec3 = [0, 0, 0],
): GuideSpec => ({
  shape: { from: 'body', kind, sizes },
  position,
  turn,
  clearance: 0,
});
const surfaceOf = (guide: GuideSpec) => buildSurface(buildGuide(guide));

/** Solid angle of all triangles seen from a place, in whole spheres (A. Van Oosterom & J. Strackee, IEEE Trans. Biomed. Eng. 30, 1983). */
function windingNumber({ positions, indices }: ReturnType<typeof buildGuide>, at: Vec3): number {
  let sum = 0;
  for (let i = 0; i < indices.length; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => [0, 1, 2].map((e) => positions[indices[i + k] * 3 + e] - at[e])) as [number[], number[], number[]]; // prettier-ignore
    const dotOf = (p: number[], q: number[]) => p[0] * q[0] + p[1] * q[1] + p[2] * q[2];
    const [la, lb, lc] = [a, b, c].map((p) => Math.hypot(...p)) as [number, number, number];
    const triple = a[0] * (b[1] * c[2] - b[2] * c[1]) + a[1] * (b[2] * c[0] - b[0] * c[2]) + a[2] * (b[0] * c[1] - b[1] * c[0]); // prettier-ignore
    sum += 2 * Math.atan2(triple, la * lb * lc + dotOf(a, b) * lc + dotOf(a, c) * lb + dotOf(b, c) * la);
  }
  return sum / (4 * Math.PI);
}

describe('inside and outside', () => {
  it.each(GUIDE_BODIES.map(({ kind }) => kind))('of a %s are told right beside its edges and corners', (kind) => {
    const guide = buildGuide(spec(kind, {}, [3, 1, -2], [0.4, 0.9, -0.3]));
    const surface = buildSurface(guide);
    const { positions } = guide;
    const middle = [0, 1, 2].map((c) => (guide.box.min[c] + guide.box.max[c]) / 2);
    const step = Math.max(Math.ceil(positions.length / 3 / 24), 1);
    for (let v = 0; v < positions.length / 3; v += step) {
      for (const share of [0.97, 1.03, 1.6]) {
        for (const push of [0, 0.05]) {
          const at = [0, 1, 2].map((c) => middle[c] + (positions[v * 3 + c] - middle[c]) * share + push * (c - 1)) as unknown as Vec3; // prettier-ignore
          const near = surface.nearest(at)!;
          if (Math.abs(near.distance) < 1e-4) continue;
          const wound = windingNumber(guide, at);
          expect([kind, v, share, near.distance < 0]).toEqual([kind, v, share, wound > 0.5]);
        }
      }
    }
  });

  it('a hose that goes over a box at 0.6 m does not pass through it', async () => {
    const landing = saltgrassLanding();
    const box: Guide = { id: 'box', name: 'Box', visible: true, shape: { from: 'body', kind: 'box', sizes: { x: 0.8, y: 1, z: 0.4 } }, position: [0, 0, 0], turn: [0, 0, 0], clearance: 0.05 }; // prettier-ignore
    const curve = pathOf('eased', [[-1, 0, 0], [-1, 0.8, 0], [1, 0.8, 0], [1, 0, 0]], false, 0.3); // prettier-ignore
    const over = pathOf('eased', [[-1, 0, 0], [-1, 1.6, 0], [1, 1.6, 0], [1, 0, 0]], false, 0.3); // prettier-ignore
    const run = landing.runs.find(({ name }) => name === 'Bilge hose')!;
    const source = unwrap(sourceOf(landing, { ...run, courses: run.courses.slice(0, 1) })); // without its clips
    const deriver = new Deriver(async () => fail('asset.missing', { id: '' }));
    const near = async (path: CurveSpec) => {
      const { findings } = unwrap(await deriver.derive({ ...source, curve: path, guides: [box] }));
      return findings().filter(({ check }) => check === 'tooNearGuide');
    };
    expect(await near(over)).toEqual([]);
    // Half way up it goes through: between the box's sides and its own 0.085 m beside them, and no deeper than 0.2 m and those.
    const [through, ...others] = await near(curve);
    expect(others).toEqual([]);
    expect(factOf(through, 'gap')).toBeCloseTo(-0.285, 3);
    expect(through.at!.to - through.at!.from).toBeLessThan(0.8 + 2 * (0.05 + 0.085) + 0.02);
  });

  it('beside the rim of an open mesh is neither', () => {
    const positions = Float32Array.of(0, 0, 0, 0, 0, 4, 4, 0, 4, 4, 0, 0);
    const normals = Float32Array.from({ length: 12 }, (_, i) => (i % 3 === 1 ? 1 : 0));
    const sheet = buildSurface({ positions, normals, indices: Uint32Array.of(0, 1, 2, 0, 2, 3) });
    expect(sheet.nearest([2, -0.3, 2])!.distance).toBeCloseTo(-0.3, 6);
    expect(sheet.nearest([2, 0.3, 2])!.distance).toBeCloseTo(0.3, 6);
    expect(sheet.nearest([-1, -0.3, 2])!.distance).toBeGreaterThan(1);
  });
});

describe('simple bodies', () => {
  const sides = (r: number) => 48 * r * r * Math.sin((2 * Math.PI) / 96); // area of the 96-gon
  it.each([
    { kind: 'post' as const, sizes: { radius: 0.2, height: 3 }, wanted: sides(0.2) * 3, off: 1e-6 },
    { kind: 'ball' as const, sizes: { radius: 0.7 }, wanted: (4 / 3) * Math.PI * 0.343, off: 4e-3 },
    { kind: 'box' as const, sizes: { x: 2, y: 3, z: 0.5 }, wanted: 3, off: 1e-6 },
    { kind: 'disc' as const, sizes: { radius: 1.5, thickness: 0.2 }, wanted: sides(1.5) * 0.2, off: 1e-6 },
    {
      kind: 'socket' as const,
      sizes: { radius: 0.1, depth: 0.3 },
      wanted: sides(0.1) * 0.3 * (1 - 0.72 ** 2 * 0.7),
      off: 1e-6,
    },
  ])('a $kind is closed, faces outwards and has its volume', ({ kind, sizes, wanted, off }) => {
    const mesh = buildGuide(spec(kind, sizes, [4, -1, 2], [0.3, 1.2, -0.5]));
    expect(isClosed(mesh)).toBe(true);
    expect(Math.abs(volume(mesh) / wanted - 1)).toBeLessThan(off);
  });

  it('have normals that agree with their faces', () => {
    for (const { kind } of GUIDE_BODIES) {
      const { positions: p, normals: n, indices } = buildGuide(spec(kind, {}));
      for (let i = 0; i < indices.length; i += 3) {
        const [a, b, c] = [0, 1, 2].map((k) => indices[i + k] * 3) as [number, number, number];
        const u = [0, 1, 2].map((k) => p[b + k] - p[a + k]);
        const v = [0, 1, 2].map((k) => p[c + k] - p[a + k]);
        const facing = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
        expect(facing.reduce((sum, x, k) => sum + x * n[a + k], 0)).toBeGreaterThanOrEqual(0);
      }
    }
  });
});

describe('a surface', () => {
  const box = surfaceOf(spec('box', { x: 2, y: 2, z: 2 }, [0, -1, 0])); // -1 to 1 in each direction

  it.each<{ to: Vec3; distance: number; place: Vec3 }>([
    { to: [3, 0.2, 0.1], distance: 2, place: [1, 0.2, 0.1] },
    { to: [2, 2, 0.3], distance: Math.SQRT2, place: [1, 1, 0.3] },
    { to: [2, 2, 2], distance: Math.sqrt(3), place: [1, 1, 1] },
    { to: [0.9, 0.1, 0.2], distance: -0.1, place: [1, 0.1, 0.2] },
  ])('of a box has its nearest place to $to, inside below 0', ({ to, distance, place }) => {
    const near = box.nearest(to)!;
    expect(near.distance).toBeCloseTo(distance, 6);
    near.place.forEach((v, k) => expect(v).toBeCloseTo(place[k], 6));
  });

  it('is not found farther away than asked, and is hit from both sides', () => {
    expect(box.nearest([3, 0, 0], 1.9)).toBeUndefined();
    expect(box.hit([5, 0.3, 0.2], [-2, 0, 0])).toMatchObject({ distance: 4, normal: [1, 0, 0] });
    expect(box.hit([0, 0.3, 0.2], [0, 0, 1])!.distance).toBeCloseTo(0.8, 6);
    expect(box.hit([5, 3, 0], [-1, 0, 0])).toBeUndefined();
  });

  it('of a ball has the normals of the ball, not of its facets', () => {
    const ball = surfaceOf(spec('ball', { radius: 2 }));
    for (const to of [
      [1, 2, 3],
      [-3, 0.5, 1],
      [0.2, -4, 0.1],
    ] as Vec3[]) {
      // prettier-ignore
      const { normal, distance } = ball.nearest(to)!;
      const l = Math.hypot(...to);
      expect(distance).toBeCloseTo(l - 2, 2);
      expect(normal.reduce((sum, v, k) => sum + (v * to[k]) / l, 0)).toBeGreaterThan(0.9998);
    }
  });
});

describe('winding round a guide', () => {
  const guide = { id: 'g', name: 'G', visible: true, ...spec('post', { radius: 0.5, height: 6 }, [2, 0, 3]) };
  const winding = { from: 0.5, rise: 4, turns: 3, startAngle: 0.3, clearance: 0.1 };
  const ready = () => {
    const mesh = buildGuide(guide);
    return { id: 'g', key: '', clearance: null, mesh, surface: buildSurface(mesh) };
  };

  // Helix: length = sqrt((2 pi r n)² + rise²) (closed form).
  it('keeps its clearance, is evenly spaced and has the length of a helix', () => {
    const points = unwrap(windRound(ready(), guide, winding));
    for (const { position } of points) {
      const r = Math.hypot(position[0] - 2, position[2] - 3);
      expect(r).toBeGreaterThan(0.6 - 0.0005); // the post's chords lie half a millimetre within its radius
      expect(r).toBeLessThan(0.6 + 1e-6);
    }
    const gaps = points
      .slice(1)
      .map(({ position }, i) => Math.hypot(...position.map((v, k) => v - points[i].position[k])));
    expect(Math.max(...gaps) / Math.min(...gaps)).toBeLessThan(1.002);
    const { length } = buildArcTable(compiled({ kind: 'smooth', closed: false, points }));
    expect(length / Math.hypot(2 * Math.PI * 0.6 * 3, 4)).toBeCloseTo(1, 2);
    expect(points[0].position[1]).toBeCloseTo(0.5, 6);
    expect(points.at(-1)!.position[1]).toBeCloseTo(4.5, 6);
  });

  it('turns the other way for negative turns, and says where the guide ends', async () => {
    const back = unwrap(windRound(ready(), guide, { ...winding, turns: -3 }));
    const there = unwrap(windRound(ready(), guide, winding));
    const side = (p: Vec3, q: Vec3) => (p[2] - 3) * (q[0] - 2) - (p[0] - 2) * (q[2] - 3);
    const way = (points: typeof there) => Math.sign(side(points[0].position, points[1].position));
    expect(way(back)).toBe(-way(there));
    expect(windRound(ready(), guide, { ...winding, rise: 9 })).toMatchObject({
      ok: false,
      problems: [{ code: 'guide.missed' }],
    });
    expect(wrapRound(ready().surface, { ...winding, foot: [2, 0, 3], axis: [0, 1, 0], turns: 0 }, 9)).toMatchObject(
      fail('winding.none'),
    );
  });
});

describe('keeping clear of a guide', () => {
  const curve = pathOf('smooth', [[-4, 1, 0], [-1.5, 1, 0.1], [1.5, 1, 0.1], [4, 1, 0]]); // prettier-ignore
  const guide = (clearance: number | null, z = 0.5): Guide => ({
    id: 'post',
    name: 'Post',
    visible: true,
    ...spec('post', { radius: 0.3, height: 3 }, [0, 0, z]),
    clearance,
  });
  const source = (guides: readonly Guide[], path: CurveSpec = curve): RunSource =>
    sourceWith({
      segment: {
        id: 's',
        name: 'S',
        source: {
          from: 'maker',
          spec: { ...(makerDefaults('tube') as object), length: 1, radius: 0.1, sides: 64 } as never,
        },
        prepare: MADE_PREPARE,
        finishes: [],
      },
      curve: path,
      job: DEFAULT_JOB,
      guides,
    });
  const deriver = new Deriver(async () => fail('asset.missing', { id: '' }));
  const near = async (guides: readonly Guide[], path = curve) =>
    unwrap(await deriver.derive(source(guides, path)))
      .findings()
      .filter(({ check }) => check === 'tooNearGuide');

  // Independent: manifold-3d's least distance between the two meshes.
  it('finds where and by how much, as the meshes themselves lie', async () => {
    const far = guide(0.2, 0.7);
    const derived = await deriver.derive(source([far]));
    const { table } = unwrap(derived);
    const run = await manifoldOf(meshOf(derived));
    const post = await manifoldOf(buildGuide(far));
    const [finding] = await near([far]);
    expect(factOf(finding, 'gap')).toBeCloseTo(run.minGap(post, 1), 2);
    expect(finding.at!.station).toBeCloseTo(table.length / 2, 1);
  });

  it('says nothing where there is room, nothing is asked, or the guide is hidden', async () => {
    expect(await near([guide(0, 2)])).toEqual([]);
    expect(await near([guide(null)])).toEqual([]);
    expect(await near([{ ...guide(0), visible: false }])).toEqual([]);
    expect(factOf((await near([guide(0)]))[0], 'gap')).toBeLessThan(0);
  });

  it('pushes the path out just enough, and only there', async () => {
    const asked = guide(0.05);
    const { ready } = unwrap(await deriver.derive(source([asked]))).courses[0];
    const built = unwrap(await deriver.guides.get(asked));
    const out = pushOut(curve, { job: JOB_DEFAULTS, support: ready.support, guide: built })!;
    expect(await near([asked], out)).toEqual([]);
    expect((await near([{ ...asked, clearance: 0.08 }], out)).length).toBeGreaterThan(0); // not much farther than asked
    for (const end of [0, -1]) expect(out.points.at(end)!.position).toEqual(curve.points.at(end)!.position);
    expect(deviation(curve, out)).toBeLessThan(0.45);
    expect(
      pushOut({ ...curve, kind: 'hanging' }, { job: JOB_DEFAULTS, support: ready.support, guide: built }),
    ).toBeUndefined();
  });

  it('goes on without a guide whose mesh is missing', async () => {
    const lost: Guide = { ...guide(0), shape: { from: 'asset', asset: '0'.repeat(64), fileName: 'x.glb', unit: 1 } };
    expect((await deriver.derive(source([lost]))).ok).toBe(true);
  });
});

/** Two triangles, 4 by 2 m. */
const SHEET = {
  positions: Float32Array.of(0, 0, 0, 4, 0, 0, 4, 0, 2, 0, 0, 2),
  indices: Uint32Array.of(0, 1, 2, 0, 2, 3),
};

describe('what there is to catch on and to trace', () => {
  it('has the middles of a box’s faces and edges, and of a post’s ends', async () => {
    const box = await snapPlaces(buildGuide(spec('box', { x: 4, y: 2, z: 1 })));
    expect(box).toHaveLength(6 + 12);
    const has = (place: Vec3) => box.some((p) => Math.hypot(...p.map((v, k) => v - place[k])) < 1e-6);
    expect(has([0, 2, 0])).toBe(true);
    expect(has([2, 1, 0.5])).toBe(true);
    const post = await snapPlaces(buildGuide(spec('post', { radius: 0.5, height: 3 })));
    expect(post.map(([x, y, z]) => [x, y, z].map((v) => Math.round(v * 1e6) / 1e6 + 0))).toEqual([
      [0, 0, 0],
      [0, 3, 0],
    ]);
  });

  it('has the rims of a post as closed chains, and a box’s edges one by one', async () => {
    const chains = await edgeChains(buildGuide(spec('post', { radius: 0.5, height: 3 })), Math.PI / 6);
    expect(chains).toHaveLength(2);
    for (const { closed, length, points } of chains) {
      expect(closed).toBe(true);
      expect(points).toHaveLength(96);
      expect(length).toBeCloseTo(96 * 2 * 0.5 * Math.sin(Math.PI / 96), 5);
    }
    const box = await edgeChains(buildGuide(spec('box', { x: 4, y: 2, z: 1 })), Math.PI / 6);
    expect(box.map(({ length }) => Math.round(length)).sort()).toEqual([1, 1, 1, 1, 2, 2, 2, 2, 4, 4, 4, 4]);
  });

  it('has the border of an open sheet in order, and joins edges', async () => {
    const box = await edgeChains(buildGuide(spec('box', { x: 4, y: 2, z: 1 })), Math.PI / 6);
    // Edges that are chosen are joined end to end, whichever way they run; three round a face of the box.
    const side = box.filter(({ points }) => points.every(([, y]) => Math.abs(y - 2) < 1e-9));
    const joined = joinChains([side[0], ...side.slice(1).map((chain) => ({ ...chain, points: [...chain.points].reverse() }))])!; // prettier-ignore
    expect(joined.closed).toBe(true);
    expect(joined.length).toBeCloseTo(2 * (4 + 1), 6);
    expect(joined.points).toHaveLength(4);
    const opposite = side.find(({ points }) => points.every((p) => side[0].points.every((q) => p.join() !== q.join())))!; // prettier-ignore
    expect(joinChains([side[0], opposite])).toBeUndefined();
    const sheet = await edgeChains(SHEET, Math.PI / 6);
    expect(sheet.reduce((sum, { length }) => sum + length, 0)).toBeCloseTo(12, 5);
    expect(
      compileCurve({
        kind: 'straight',
        closed: sheet[0].closed,
        points: sheet[0].points.map((position) => ({ position })),
      }).ok,
    ).toBe(true);
  });
});

it('tracing the string of the demo’s stair gives its edges, which wind as the path does', async () => {
  const project = saltgrassLanding();
  const run = project.runs.find(({ id }) => id === 'beacon-stair-run')!;
  const string = run.courses.find(({ id }) => id === 'string-right')!;
  const derived = await new Deriver(async () => fail('asset.missing', { id: '' })).derive(
    unwrap(sourceOf(project, { ...run, courses: [string] })),
  );
  const chains = await edgeChains(meshOf(derived), Math.PI / 6);
  // Plumb over a helix about x = 20, z = -25: 1.35 m wide, the string's middle 0.455 m beside it, and its edge higher by 0.06 + 0.15 m.
  const radiiOf = ({ points }: EdgeChain) => points.map(([x, , z]) => Math.hypot(x - 20, z + 25));
  const spread = (chain: EdgeChain) => Math.max(...radiiOf(chain)) - Math.min(...radiiOf(chain));
  const { points, ...best } = chains.slice(0, 6).reduce((one, other) => (spread(other) < spread(one) ? other : one));
  expect(spread({ points, ...best })).toBeLessThan(0.01);
  const [radius] = radiiOf({ points, ...best });
  expect([0.905 - 0.02, 0.905 + 0.02, 1.805 - 0.02, 1.805 + 0.02].some((r) => Math.abs(r - radius) < 0.01)).toBe(true);
  const rise = Math.abs(points.at(-1)![1] - points[0][1]);
  expect(rise).toBeCloseTo(4.2, 1);
});

describe('a guide that is turned about two axes', () => {
  // About the scene's x, then y, then z: three's Euler of order ZYX, which counts the turns of the object itself.
  it.each<Vec3>([
    [0.5, 0.9, 0],
    [0, -0.7, 1.1],
    [1.2, 0, 0.4],
    [0.3, 0.8, -0.6],
  ])('stands as three puts it: %d, %d, %d', (...turn) => {
    // prettier-ignore
    const body = spec('box', { x: 1, y: 2, z: 3 }, [4, 5, 6], turn);
    const straight = buildGuide(spec('box', { x: 1, y: 2, z: 3 }));
    const { positions } = buildGuide(body);
    const object = new Object3D();
    object.rotation.set(...turn, 'ZYX');
    object.position.set(4, 5, 6);
    object.updateMatrix();
    for (let i = 0; i < positions.length; i += 3) {
      const wanted = new Vector3(...straight.positions.subarray(i, i + 3)).applyMatrix4(object.matrix);
      expect(wanted.distanceTo(new Vector3(...positions.subarray(i, i + 3)))).toBeLessThan(1e-5);
    }
  });
});

describe('a way under an overhang', () => {
  it('is pushed aside and stays level: a run that keeps upright neither dives nor climbs', async () => {
    // A slab whose underside is just above the path: the shortest way out is down.
    const slab: Guide = {
      id: 'g',
      name: 'Slab',
      visible: true,
      ...spec('box', { x: 2, y: 1, z: 2 }, [0, 0.02, 0.3]),
      clearance: 0.02,
    };
    const curve = pathOf('smooth', [[-6, 0, 0], [-2, 0, 0], [2, 0, 0], [6, 0, 0]]); // prettier-ignore
    const deriver = new Deriver(async () => fail('asset.missing', { id: '' }));
    const segment = { id: 's', name: 'S', source: { from: 'maker' as const, spec: makerDefaults('rail') }, prepare: MADE_PREPARE, finishes: [] }; // prettier-ignore
    const out = unwrap(
      await pushOutOf(deriver, sourceWith({ segment, curve, job: DEFAULT_JOB, guides: [slab] }), slab),
    );
    for (const { position } of out.points) expect(Math.abs(position[1])).toBeLessThan(1e-6);
    expect(Math.max(...out.points.map(({ position }) => Math.abs(position[2])))).toBeGreaterThan(0.5);
  });
});

describe('pushing out', () => {
  const deriver = new Deriver(async () => fail('asset.missing', { id: '' }));
  const made = (spec: unknown) => ({ id: 's', name: 'S', source: { from: 'maker' as const, spec: spec as never }, prepare: MADE_PREPARE, finishes: [] }); // prettier-ignore
  const box = (size: Record<string, number>, position: Vec3): Guide => ({ id: 'g', name: 'Box', visible: true, ...spec('box', size, position), clearance: 0.02 }); // prettier-ignore
  const found = async (source: RunSource) =>
    unwrap(await deriver.derive(source))
      .findings()
      .filter(({ check }) => check === 'tooNearGuide');

  it('leads a rope through a standing box over or round it, and never under the ground', async () => {
    const standing = box({ x: 1, y: 1, z: 1 }, [0, 0, 0]);
    const curve = pathOf('smooth', [[-4, 0.1, 0], [-1.5, 0.1, 0], [1.5, 0.1, 0], [4, 0.1, 0]]); // prettier-ignore
    const tube = made({ ...(makerDefaults('tube') as object), radius: 0.02 });
    const source = sourceWith({ segment: tube, curve, guides: [standing] });
    expect((await found(source)).length).toBeGreaterThan(0);
    const out = unwrap(await pushOutOf(deriver, source, standing));
    expect(await found({ ...source, curve: out })).toEqual([]);
    for (const { position } of out.points) expect(position[1]).toBeGreaterThanOrEqual(0);
  });

  it('keeps ends that are plugged in where they are', async () => {
    const across = box({ x: 0.6, y: 2, z: 0.6 }, [3.3, 0, 0.1]); // near the end: its nearest point is the plugged one
    const curve = pathOf('smooth', [[-4, 1, 0], [0, 1, 0], [2, 1, 0.5], [4, 1, 0]]); // prettier-ignore
    const tube = made({ ...(makerDefaults('tube') as object), radius: 0.02 });
    const source = sourceWith({ segment: tube, curve, job: DEFAULT_JOB, guides: [across] });
    expect((await found(source)).length).toBeGreaterThan(0);
    const { points } = unwrap(await pushOutOf(deriver, source, across, { start: true, end: true }));
    expect(await found({ ...source, curve: { ...curve, points } })).toEqual([]);
    expect(points[0].position).toEqual([-4, 1, 0]);
    expect(points.at(-1)!.position).toEqual([4, 1, 0]);
  });

  it('a plant keeps clear by its stem, and by its leaves where they are to count', async () => {
    const wall = box({ x: 20, y: 4, z: 0.2 }, [0, 0, -0.18]);
    const curve = pathOf('smooth', [[-2, 1, 0], [0, 1.2, 0], [2, 1, 0]]); // prettier-ignore
    const segment = made(makerDefaults('shoot'));
    const source = sourceWith({ segment, curve, job: DEFAULT_JOB, guides: [wall] });
    expect(await found(source)).toEqual([]);
    const strict = { ...segment, prepare: { ...segment.prepare, loose: [] } };
    expect(
      (await found(sourceWith({ segment: strict, curve, job: DEFAULT_JOB, guides: [wall] }))).length,
    ).toBeGreaterThan(0);
  });
});
