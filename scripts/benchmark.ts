// Speeds as ratios in one run, so that they mean the same on every machine. Prints one line for each claim.
import { buildFormStore } from '../src/core/segment/pieces/form-store';
import { CatmullRomCurve3, TubeGeometry, Vector3 } from 'three';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';
import { transformPoints } from '../src/core/edit/transform-points';
import { followCurve } from '../src/core/curve/follow-curve';
import type { FrameRuleName } from '../src/core/frames/registry';
import { followTable } from '../src/core/frames/follow-table';
import { bendRows } from '../src/core/bending/bend-rows';
import { buildRows } from '../src/core/layout/fit-registry';
import { jobOf, planRun } from '../src/core/testing/runs';
import { buildShape } from '../src/core/shape/shape';
import { bendRun, buildRunMesh, buildTopology, fillRun } from '../src/core/bending/build-run';
import { buildArcTable } from '../src/core/curve/arc-table';
import { compileCurve, type CurveSpec } from '../src/core/curve/registry';
import { buildFrameTable } from '../src/core/frames/build-frame-table';
import { FRAME_STRIDE, UP } from '../src/core/frames/frame-table';
import type { Vec3 } from '../src/core/math/vec3';
import { CLEAN_DEFAULTS } from '../src/core/mesh/clean/clean-spec';
import type { Mesh } from '../src/core/mesh/mesh';
import { evenPlanes } from '../src/core/segment/pieces/plan-slices';
import { prepareSegment } from '../src/core/segment/prepare';
import { halfWidth, type PreparedSegment } from '../src/core/segment/prepared-segment';
import { makeSegmentMesh, type MakerSpec } from '../src/core/segment/registry';
import { PREPARE_DEFAULTS } from '../src/core/segment/segment-spec';
import { sliceSegment } from '../src/core/segment/slice';
import { laidPathOf } from '../src/core/layout/laid-path';
import { layCourse, layPieces } from '../src/core/layout/lay-course';
import type { RuleSpec } from '../src/core/layout/registry';
import { bendTolerance } from '../src/core/layout/bending-spec';
import { loadFrom } from '../src/engine/bake';
import { bringMesh } from '../src/engine/bring-mesh';
import { Deriver } from '../src/engine/derive';
import { sourceOf } from '../src/engine/run-source';
import { RunViewer } from '../src/engine/run-viewer';
import { planAt } from '../src/engine/testing/sources';
import { glb } from '../src/formats/glb';
import { JOB_DEFAULTS, MADE_PREPARE } from '../src/project/defaults';
import { saltgrassLanding } from '../src/project/samples';
import { benchmarkMotion } from './benchmark-motion';
import { benchmarkShaping } from './benchmark-shaping';

/**
 * The fastest round of each, milliseconds. They take turns for some seconds: a neighbour on the same processor core slows plain
 * arithmetic, but not copying, for seconds on end (see the last line printed), and must hit all of them or none.
 */
function race<T extends readonly (() => unknown)[]>(works: T, seconds = 4): { [K in keyof T]: number } {
  const fastest = works.map(() => Infinity);
  for (const work of works) for (let i = 0; i < 3; i++) work(); // warm up
  const end = performance.now() + seconds * 1000;
  for (let round = 0; round < 5 || performance.now() < end; round++) {
    works.forEach((work, i) => {
      const start = performance.now();
      work();
      fastest[i] = Math.min(fastest[i], performance.now() - start);
    });
  }
  return fastest as { [K in keyof T]: number };
}

const say = (name: string, text: string) => console.log(`${name.padEnd(58)} ${text}`);
const ms = (t: number) => `${t.toFixed(2)} ms`;

const POINTS: Vec3[] = Array.from({ length: 24 }, (_, i) => [i * 5, Math.sin(i) * 3, Math.cos(i * 0.7) * 12]);
const pathAt = (shift: number): CurveSpec => ({
  kind: 'smooth',
  closed: false,
  points: POINTS.map(([x, y, z], i) => ({ position: [x, y + (i === 9 ? shift : 0), z] as Vec3 })),
});
const arcOf = (spec: CurveSpec) => {
  const compiled = compileCurve(spec);
  if (!compiled.ok) throw new Error('no curve');
  return buildArcTable(compiled.value);
};
const prepare = (spec: MakerSpec): PreparedSegment => {
  const result = prepareSegment(makeSegmentMesh(spec), MADE_PREPARE);
  if (!result.ok) throw new Error('no segment');
  return result.value;
};

// (1) Frame table against three's computeFrenetFrames: time and twist error at equal sample count, on a helix.
{
  const N = 2000;
  const [r, c, turns] = [3, 0.8, 6];
  const w = 2 * Math.PI * turns;
  const helixPoint = (u: number): Vec3 => [r * Math.cos(w * u), c * w * u, -r * Math.sin(w * u)];
  const curve = {
    closed: false,
    breaks: Float64Array.of(0, 1),
    pointParams: Float64Array.of(0, 1),
    pointAt: (out: Float64Array, at: number, u: number) => out.set(helixPoint(u), at),
    velocityAt: (out: Float64Array, at: number, u: number) =>
      out.set([-r * w * Math.sin(w * u), c * w, -r * w * Math.cos(w * u)], at),
    accelerationAt: (out: Float64Array, at: number, u: number) =>
      out.set([-r * w * w * Math.cos(w * u), 0, r * w * w * Math.sin(w * u)], at),
  };
  const spec = { rule: 'leastTwist', up: [1, 0, 0] } as const;
  const ours = () => buildFrameTable(buildArcTable(curve), spec, { intervals: N });
  class Helix extends CatmullRomCurve3 {
    override getPoint(t: number, target = new Vector3()) {
      return target.set(...(helixPoint(t) as [number, number, number]));
    }
  }
  const theirs = () => {
    const helix = new Helix();
    helix.arcLengthDivisions = N;
    return helix.computeFrenetFrames(N, false);
  };
  const [a, b] = race([ours, theirs] as const);
  /** Turn about forward at the end against the exact least twist: torsion times length. */
  const exact = (2 * Math.PI * turns * c) / Math.hypot(r, c);
  const error = (start: readonly number[], end: readonly number[]) => {
    const normal = (t: number): Vec3 => [-Math.cos(t), 0, Math.sin(t)];
    const k = Math.hypot(r, c);
    const binormal = (t: number): Vec3 => [(c * Math.sin(t)) / k, r / k, (c * Math.cos(t)) / k];
    const angle = (v: readonly number[], t: number) => {
      const dot = (p: Vec3) => p[0] * v[0] + p[1] * v[1] + p[2] * v[2];
      return Math.atan2(dot(binormal(t)), dot(normal(t)));
    };
    const off = angle(end, w) - angle(start, 0) + exact;
    return Math.abs(Math.atan2(Math.sin(off), Math.cos(off)));
  };
  const table = ours();
  const upAt = (i: number) => [...table.frames.subarray(i * FRAME_STRIDE + UP, i * FRAME_STRIDE + UP + 3)];
  const { normals } = theirs();
  const errors = [error(upAt(0), upAt(N)), error(normals[0].toArray(), normals[N].toArray())];
  say(
    `frame table, ${N} samples, against computeFrenetFrames`,
    `${(b / a).toFixed(2)} times as fast (${ms(a)} against ${ms(b)})`,
  );
  say('  twist error at the end, radians', `${errors[0].toExponential(1)} against ${errors[1].toExponential(1)}`);
}

// (2) A bent run against TubeGeometry of the same vertex count.
{
  const sides = 64;
  const rows = 3125;
  const segment = sliceSegment(prepare({ kind: 'tube', length: 1, radius: 0.5, sides }), evenPlanes(1, rows));
  const arc = arcOf(pathAt(0));
  const table = buildFrameTable(arc, { rule: 'leastTwist', up: [0, 1, 0] }, { tolerance: 0.0005 / 16 });
  const job = jobOf({ bending: { slicing: { by: 'off' } } });
  const bend = () => {
    const plan = planRun({ table, segment, job });
    if (plan.ok) buildRunMesh(plan.value, segment.mesh);
  };
  const vertices = segment.mesh.positions.length / 3;
  const curve = new CatmullRomCurve3(
    POINTS.map((p) => new Vector3(...p)),
    false,
    'centripetal',
  );
  const tube = () => new TubeGeometry(curve, Math.round(vertices / (sides + 1)) - 1, 0.5, sides);
  const plan = planRun({ table, segment, job });
  const [outP, outN] = [new Float32Array(vertices * 3), new Float32Array(vertices * 3)];
  const again = () => plan.ok && fillRun(outP, outN, plan.value);
  const [a, b, k] = race([bend, tube, again] as const, 12);
  say(
    `bent run, ${vertices.toLocaleString('en')} vertices, against TubeGeometry`,
    `${(b / a).toFixed(1)} times as fast (${ms(a)} against ${ms(b)})`,
  );
  say(
    '  into buffers that are there already, as in a drag',
    `${(b / k).toFixed(1)} times as fast (${ms(k)} against ${ms(b)})`,
  );
}

// (3) The bend kernel against copying the same arrays, 1 M vertices in rows.
{
  const base = prepare({ kind: 'tube', length: 1, radius: 0.5, sides: 64 });
  const segment = sliceSegment(base, evenPlanes(1, 15_600));
  const { positions, normals } = segment.mesh;
  const table = buildFrameTable(arcOf(pathAt(0)), { rule: 'leastTwist', up: [0, 1, 0] }, { intervals: 4096 });
  const outP = new Float32Array(positions.length);
  const outN = new Float32Array(normals.length);
  const said = { roll: 0.2, turns: (0.01 * table.length) / (2 * Math.PI), gauge: 1.1 };
  const shape = buildShape(table, said, { reach: { from: 0, to: table.length } });
  const place = { station: 0, factor: table.length, scale: 1, natural: 1, overlap: 0 };
  const bent = () => bendRows(outP, outN, 0, segment, buildRows({ kind: 'bent' }, segment, shape, place));
  const copied = () => {
    outP.set(positions);
    outN.set(normals);
  };
  const [kernel, copy] = race([bent, copied] as const);
  say(
    `bend kernel, ${(positions.length / 3).toLocaleString('en')} vertices, against a copy`,
    `${(kernel / copy).toFixed(2)} times a copy (${ms(kernel)} against ${ms(copy)})`,
  );
}

// (4) From a moved point to new geometry, core only, 250 k vertices.
{
  const road = prepare({ kind: 'kerbedLane', length: 4, laneWidth: 3.2, bankHeight: 0.9 });
  const fine = sliceSegment(road, evenPlanes(4, 100));
  const forms = buildFormStore();
  const { frames } = JOB_DEFAULTS.shape;
  const job = jobOf({ laying: { kind: 'fillStretch' }, bending: { frames } });
  let vertices = 0;
  let step = 0;
  // As in the app: texture coordinates and indices are made anew only when pieces change their rows.
  let worn: readonly PreparedSegment[] = [];
  const edit = () => {
    const table = buildFrameTable(arcOf(pathAt((step++ % 10) * 0.1)), frames, {
      tolerance: bendTolerance(null, halfWidth(fine.box), 1) / 16,
    });
    const plan = planRun({ table, segment: fine, job, forms });
    if (!plan.ok) return;
    const pieces = plan.value.pieces.map(({ form }) => form);
    if (pieces.length !== worn.length || pieces.some((piece, i) => piece !== worn[i])) buildTopology(plan.value);
    worn = pieces;
    vertices = bendRun(plan.value).positions.length / 3;
  };
  const [t] = race([edit] as const);
  say(`moved point to geometry, ${vertices.toLocaleString('en')} vertices`, `${ms(t)} (aim: below 30 ms)`);
}

// (5) Writing a GLB of 1 M vertices.
{
  const segment = sliceSegment(prepare({ kind: 'tube', length: 1, radius: 0.5, sides: 64 }), evenPlanes(1, 15_600));
  let size = 0;
  let t = Infinity;
  for (let round = 0; round < 3; round++) {
    const start = performance.now();
    const files = await glb.write!([{ name: 'Tube', mesh: segment.mesh }], 'tube');
    t = Math.min(t, performance.now() - start);
    size = files[0].bytes.length;
  }
  say(
    `GLB of ${(segment.mesh.positions.length / 3).toLocaleString('en')} vertices, ${Math.round(size / 1e6)} MB`,
    `${ms(t)} (aim: below 1500 ms)`,
  );
}

// (6) Slicing a mesh of a million triangles at 200 planes.
{
  const base = prepare({ kind: 'tube', length: 1, radius: 0.5, sides: 64 });
  const fine = sliceSegment(base, evenPlanes(1, 7_800));
  const [t] = race([() => sliceSegment(fine, evenPlanes(1, 201))] as const, 6);
  say(
    `slicing ${(fine.mesh.indices.length / 3).toLocaleString('en')} triangles at 200 planes`,
    `${ms(t)} (aim: below 1500 ms)`,
  );
}

// (7) Reading a GLB of some 100 MB, against three's loader on the same bytes; both in Node, without images.
{
  const segment = sliceSegment(prepare({ kind: 'tube', length: 1, radius: 0.5, sides: 64 }), evenPlanes(1, 28_000));
  const { bytes } = (await glb.write!([{ name: 'Tube', mesh: segment.mesh }], 'tube'))[0];
  const buffer = bytes.slice().buffer;
  const fastest = [Infinity, Infinity];
  for (let round = 0; round < 3; round++) {
    const reads = [() => glb.read!([{ name: 'tube.glb', bytes }]), () => new GLTFLoader().parseAsync(buffer, '')];
    for (const [i, read] of reads.entries()) {
      const start = performance.now();
      await read();
      fastest[i] = Math.min(fastest[i], performance.now() - start);
    }
  }
  const [a, b] = fastest as [number, number];
  say(
    `reading a GLB of ${Math.round(bytes.length / 1e6)} MB, against three's loader`,
    `${(a / b).toFixed(2)} times its time (${ms(a)} against ${ms(b)}); ours also checks and merges`,
  );
}

// (8) A scan of some 2 million triangles, brought as PLY, welded, its specks dropped, turned by its principal axes.
{
  const segment = sliceSegment(prepare({ kind: 'tube', length: 1, radius: 0.5, sides: 128 }), evenPlanes(1, 7_800));
  const bytes = binaryPly(segment.mesh);
  const start = performance.now();
  const brought = await bringMesh([{ name: 'scan.ply', bytes }]);
  const read = performance.now() - start;
  if (!brought.ok) throw new Error('not read');
  const { asset, triangles, fileName } = brought.value.brought;
  const clean = { ...CLEAN_DEFAULTS, weld: 1e-5, specks: 0.01 };
  const source = { from: 'asset' as const, asset, fileName };
  const ready = await new Deriver(loadFrom(new Map([[asset, brought.value.bytes]]))).segments.ready({
    source,
    prepare: { ...PREPARE_DEFAULTS, forward: 'principal', clean },
    finishes: [],
  });
  if (!ready.ok) throw new Error('not prepared');
  say(
    `a scan of ${triangles.toLocaleString('en')} triangles, brought, cleaned, prepared`,
    `${ms(performance.now() - start)}, of which ${ms(read)} to bring it (aim: below 10000 ms)`,
  );
}

function binaryPly({ positions, indices }: Mesh): Uint8Array {
  const properties = 'property float x\nproperty float y\nproperty float z\n';
  const header = new TextEncoder().encode(
    `ply\nformat binary_little_endian 1.0\nelement vertex ${positions.length / 3}\n${properties}` +
      `element face ${indices.length / 3}\nproperty list uchar int vertex_indices\nend_header\n`,
  );
  const faces = new DataView(new ArrayBuffer((indices.length / 3) * 13));
  for (let t = 0; t < indices.length / 3; t++) {
    faces.setUint8(t * 13, 3);
    for (let k = 0; k < 3; k++) faces.setUint32(t * 13 + 1 + k * 4, indices[t * 3 + k], true);
  }
  const places = new Uint8Array(positions.buffer, positions.byteOffset, positions.byteLength);
  return Uint8Array.from(Buffer.concat([header, places, new Uint8Array(faces.buffer)]));
}

// (9) Dragging a point of a long path: from the moved point to the frame table, against building both tables anew; and what it follows from.
{
  const longPath = (n: number): CurveSpec => ({
    kind: 'smooth',
    closed: false,
    points: Array.from({ length: n }, (_, i) => ({
      position: [i * 2, ((i * 7919) % 100) / 100, 6 * Math.cos(i / 5) + ((i * 104_729) % 100) / 100] as Vec3,
    })),
  });
  const curveOf = (path: CurveSpec) => {
    const compiled = compileCurve(path);
    if (!compiled.ok) throw new Error('no curve');
    return compiled.value;
  };
  const drag = (n: number, touched: number, rule: FrameRuleName = 'leastTwist') => {
    const spec = { rule, up: [0, 1, 0] } as const;
    const path = longPath(n);
    const arc = buildArcTable(curveOf(path));
    const base = { arc, table: buildFrameTable(arc, spec, { tolerance: 0.001 }) };
    const chosen = Array.from({ length: touched }, (_, k) => (n >> 1) + k);
    let k = 0;
    // As they come to a worker: copies, of which no point is the very one of before.
    const edits = Array.from({ length: 50 }, (_, i) =>
      structuredClone(transformPoints(path, chosen, { kind: 'move', by: [0, 0.001 * i, 0.05] })),
    );
    const moved = () => edits[k++ % 50];
    const follow = () => {
      const edited = followCurve(path, arc.curve, moved());
      if (!edited || !followTable(base, edited.curve, spec, { known: edited.touched })) throw new Error('not followed');
    };
    const anew = () => buildFrameTable(buildArcTable(curveOf(moved())), spec, { tolerance: 0.001 });
    return race([follow, anew] as const, 2);
  };
  const [followed, anew] = drag(2000, 1);
  say(
    'a point of 2,000 dragged, against building anew',
    `${(anew / followed).toFixed(1)} times as fast (${ms(followed)}, aim: below 8 ms, against ${ms(anew)})`,
  );
  const by = (...how: Parameters<typeof drag>) => ms(drag(...how)[0]);
  say('the same with 50 and 200 points moved together', `${by(2000, 50)}, ${by(2000, 200)}`);
  say('the same on a path of 500 and of 8,000 points', `${by(500, 1)}, ${by(8000, 1)}`);
  say('the same kept upright, and facing the bend', `${by(2000, 1, 'upright')}, ${by(2000, 1, 'faceBend')}`);
}

// (10) Playback of the sample's growth: what a worker does for all its runs at one time after the other, against bending alone.
{
  const landing = saltgrassLanding();
  const deriver = new Deriver(loadFrom(new Map()));
  const viewer = new RunViewer(deriver, 'benchmark:');
  const runs = await Promise.all(
    landing.runs.map(async (run) => {
      const source = sourceOf(landing, run);
      if (!source.ok) throw new Error('no source');
      const derived = await deriver.derive(source.value);
      const seen = await viewer.view({ run: run.id, source: source.value, time: 0, held: {} });
      if (!seen.ok || !derived.ok) throw new Error('not derived');
      return { id: run.id, derived: derived.value, held: seen.value.versions };
    }),
  );
  const FRAMES = 24;
  const fastest = [Infinity, Infinity];
  for (let round = 0; round < 4; round++) {
    let [whole, bending] = [0, 0];
    for (let k = 1; k <= FRAMES; k++) {
      const time = (k / FRAMES) * 4;
      for (const run of runs) {
        const start = performance.now();
        const seen = await viewer.view({ run: run.id, time, held: run.held });
        whole += performance.now() - start;
        if (seen.ok) run.held = seen.value.versions;
        const plan = planAt(run.derived, time);
        const ready = performance.now();
        bendRun(plan);
        bending += performance.now() - ready;
      }
    }
    if (whole < fastest[0] * FRAMES) fastest.splice(0, 2, whole / FRAMES, bending / FRAMES);
  }
  const [frame, bend] = fastest as [number, number];
  say(
    `a frame of the sample’s growth, ${runs.length} runs`,
    `${(frame / bend).toFixed(2)} times bending alone (${ms(frame)} against ${ms(bend)})`,
  );
}

// (11) How even this machine is: the same arithmetic, touching no memory, again and again.
{
  const times: number[] = [];
  for (const end = performance.now() + 4000; performance.now() < end;) {
    const start = performance.now();
    let [a, b] = [1.1, 1.2];
    for (let i = 0; i < 3e6; i++) [a, b] = [a * 1.0000001 + b, b * 0.999999 + 1e-9];
    if (Number.isNaN(a + b)) throw new Error('not a number');
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  const at = (part: number) => times[Math.floor(part * (times.length - 1))] / times[0];
  say(
    'plain arithmetic, this machine against itself',
    `median ${at(0.5).toFixed(2)}, slowest tenth ${at(0.9).toFixed(2)} of the fastest`,
  );
}

// (12) Laying: links pinned round a closed path, and a long road.
{
  const ring = pathOfPoints(
    Array.from({ length: 40 }, (_, i) => around(i / 40)),
    true,
  );
  const chain = longRun(ring, 'chainLink', { kind: 'pinToPin', gap: 0, slack: 'shared', pairs: true }, 10_000);
  const road = longRun(pathOfPoints(Array.from({ length: 400 }, (_, i) => [i * 125, 0, Math.sin(i * 0.3) * 60])), 'kerbedLane', { kind: 'fillStretch', gap: 0 }); // prettier-ignore
  const [links, pieces, plan] = race([chain.lay, road.lay, road.slice] as const, 6);
  say(`${chain.lay().placements.length} links pinned round a closed path`, ms(links));
  say(`${road.lay().placements.length} pieces of road on ${(road.length / 1000).toFixed(0)} km laid`, ms(pieces));
  say('the same with every piece its rows planned and sliced', ms(plan));
}

// (13) Motion: played by the core, in one file, and as a sequence.
await benchmarkShaping(say);
await benchmarkMotion(say);

function around(t: number): Vec3 {
  const r = 120 + 20 * Math.sin(6 * Math.PI * t);
  return [r * Math.cos(2 * Math.PI * t), 10 * Math.sin(4 * Math.PI * t), r * Math.sin(2 * Math.PI * t)];
}

function pathOfPoints(places: readonly Vec3[], closed = false): CurveSpec {
  return { kind: 'smooth', closed, points: places.map((position) => ({ position })) };
}

/** A run's laying by itself; `count` = the pieces that its segment is made as long for. */
function longRun(curve: CurveSpec, kind: 'chainLink' | 'kerbedLane', rule: RuleSpec, count?: number) {
  const compiled = compileCurve(curve);
  if (!compiled.ok) throw new Error('no curve');
  const table = buildFrameTable(
    buildArcTable(compiled.value),
    { rule: 'upright', up: [0, 1, 0] },
    { tolerance: 0.001 },
  );
  const long = count === undefined ? 4 : table.length / count;
  const mesh = makeSegmentMesh(kind === 'kerbedLane' ? ({ kind, length: long, laneWidth: 3.2, bankHeight: 0.9 }) : { kind: 'plank', length: long, width: long / 2, thickness: long / 8 }); // prettier-ignore
  const segment = prepareSegment(mesh, { ...PREPARE_DEFAULTS, forward: '+x', up: '+y' });
  if (!segment.ok) throw new Error('no segment');
  const shape = buildShape(table, { roll: 0, turns: 0, gauge: 1 }, { reach: { from: 0, to: table.length } });
  const { course, bending } = jobOf({
    laying: { ...rule },
    fit: kind === 'chainLink' ? { kind: 'pinned' } : { kind: 'bent' },
  });
  const input = { shape, segment: segment.value, others: [], course, bending, gauge: 1, passes: 'own' as const };
  return {
    length: table.length,
    lay() {
      const laid = layPieces(course.laying, input, { reach: shape.reach, path: laidPathOf(shape, 'path', segment.value.box), pastEnd: 'straightOn' }); // prettier-ignore
      if (!laid.ok) throw new Error(laid.problems[0].code);
      return laid.value;
    },
    slice: () => layCourse({ ...input, forms: buildFormStore() }),
  };
}
