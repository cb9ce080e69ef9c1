import { bendRun, buildRunMesh } from './build-run';
import { bendThere } from './bend-there';
import { followCourse, PartsThere, type MovingInput } from './follow-course';
import { POSE_STRIDE } from './joint-poses';
import { jointsOf, jointTracks, restPoses } from './joint-tracks';
import { BESIDE, BEYOND, HERE, rowsThere } from './rows-there';
import { buildSkin, fillSkinned, INFLUENCES } from './skin';
import type { MotionSpec } from '../motion/motion-spec';
import { restCourse } from '../motion/pose-course';
import { ROW_STRIDE } from '../segment/pieces/rows';
import { makeSegmentMesh } from '../segment/registry';
import { ellipse, pathOf } from '../testing/curves';
import { compiled, jobOf, laidRun, planRun, prepared, tableOf, unwrap, type JobChange } from '../testing/runs';

const LINE = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright'); // prettier-ignore
const RING = tableOf(ellipse(3, 2), 'upright', { tolerance: 1e-6 });
const plank = prepared(makeSegmentMesh({ kind: 'plank', length: 0.5, width: 0.3, thickness: 0.1 }));
const bar = prepared(makeSegmentMesh({ kind: 'plank', length: 10, width: 0.3, thickness: 0.1 }));

/** A run with its motion, followed at so many moments of a tenth of a second. */
function moving(
  motion: Partial<MotionSpec>,
  change: JobChange = {},
  { table = LINE, segment = plank, moments = 11 } = {},
): MovingInput {
  // prettier-ignore
  const job = jobOf({ laying: { kind: 'fillStretch' }, ...change, motion });
  const { shape, laid } = laidRun({ segment, table, job });
  const input = { shape, fit: job.course.fit, motion: job.motion, variation: job.course.laying.variation };
  return {
    rest: restCourse(unwrap(laid), input),
    origin: [0, 0, 0],
    moments,
    copies: job.motion.speed !== 0 && !unwrap(laid).layout.round ? 2 : 1,
    far: table.length / 2,
    planAt: (moment) =>
      Promise.resolve({ plan: unwrap(planRun({ segment, table, job, time: moment / 10 })), origin: [0, 0, 0] }),
  };
}

const uncover: Partial<MotionSpec> = { growth: { kind: 'uncover', seconds: 1, tip: 0 } };
const onePiece: JobChange = { laying: { kind: 'onePiece' }, bending: { slicing: { by: 'rows', rows: 20 } } };

describe('a course that is followed', () => {
  it('has a copy more of just those pieces that come in while they still go out', async () => {
    const input = moving({ growth: { kind: 'none' }, speed: 2 });
    const { used, whole } = await followCourse(input);
    // Two metres in a second are four pieces of twenty that leave at one end and come in at the other.
    expect(used).toHaveLength(24);
    expect(whole.pieces).toHaveLength(24);
    const still = await followCourse(moving(uncover));
    expect(still.used).toEqual([...Array(20).keys()]);
  });

  it('has no copy jump from one end to the other: from moment to moment each is near where it was', async () => {
    const input = await followCourse(moving({ growth: { kind: 'none' }, speed: 2 }));
    const parts = new PartsThere(input);
    const last = new Map<number, number>();
    for (let moment = 0; moment < 11; moment++) {
      const { there } = await parts.at(moment);
      there.forEach((own, i) => {
        const before = last.get(i);
        if (own.length === 0) return void last.delete(i);
        expect(own).toHaveLength(1);
        if (before !== undefined) expect(Math.abs(own[0].place.station - before)).toBeLessThan(0.5);
        last.set(i, own[0].place.station);
      });
    }
  });

  it('has stiff pieces there when their middle is, whole', async () => {
    const input = await followCourse(moving(uncover, { fit: { kind: 'stiff', stands: 'square' } }));
    const parts = new PartsThere(input);
    const { there } = await parts.at(3.3); // 3.3 m of 10 are uncovered: six pieces and a half and a little more
    expect(there.map((own) => own.length).join('')).toBe('1'.repeat(7) + '0'.repeat(13));
    expect(there[6][0].form).toBe(input.whole.pieces[6].form);
  });
});

describe('rows of what is there', () => {
  it('lie on the path as far as it is uncovered, and beyond that on its end', async () => {
    const { rest, planAt } = moving(uncover, onePiece, { segment: bar });
    const { plan } = await planAt(4.2);
    const xs = Float32Array.of(0, 2, 4, 4.4, 6, 10);
    const { frames, gone } = rowsThere(rest.fit, plan.pieces, xs, rest.pieces[0]);
    expect([...gone]).toEqual([HERE, HERE, HERE, BESIDE, BEYOND, BEYOND]);
    [0, 2, 4, 4.2, 4.2, 4.2].forEach((x, i) => expect(frames[i * ROW_STRIDE]).toBeCloseTo(x, 5));
  });

  it('go with a tip that travels; what is not there yet lies between it and the rest', async () => {
    const tipped: Partial<MotionSpec> = { growth: { kind: 'uncover', seconds: 1, tip: 1 } };
    const { rest, planAt } = moving(tipped, onePiece, { segment: bar });
    const { plan } = await planAt(5); // five metres, the last of them the tip
    const xs = Float32Array.of(3, 3.9, 5, 8, 9.1, 10);
    const { frames, gone } = rowsThere(rest.fit, plan.pieces, xs, rest.pieces[0]);
    expect([...gone]).toEqual([HERE, HERE, BESIDE, BESIDE, HERE, HERE]);
    [3, 3.9, 4, 4, 4.1, 5].forEach((x, i) => expect(frames[i * ROW_STRIDE]).toBeCloseTo(x, 4));
  });

  it('bend a mesh to what is there: its vertices beyond the end are one point in the end', async () => {
    const input = await followCourse(moving(uncover, onePiece, { segment: bar }));
    const [piece] = input.whole.pieces;
    const { plan } = await input.planAt(4.2);
    const count = piece.form.mesh.positions.length;
    const [positions, normals] = [new Float32Array(count), new Float32Array(count)];
    bendThere(positions, normals, 0, input.rest, piece, plan.pieces);
    const own = piece.form.mesh.positions;
    for (let p = 0; p < count; p += 3) {
      expect(positions[p]).toBeCloseTo(Math.min(own[p], 4.2), 5);
      if (own[p] > 5.5) expect(Math.hypot(positions[p + 1], positions[p + 2])).toBe(0);
      else if (own[p] <= 4.2) expect(positions[p + 1]).toBeCloseTo(own[p + 1], 6);
    }
    // Whole, it is what the core bends.
    bendThere(positions, normals, 0, input.rest, piece, input.rest.pieces);
    expect(positions).toEqual(bendRun(input.rest).positions);
  });
});

describe('joints of a course', () => {
  it('are as many as asked for along what bends, one for what keeps its shape', async () => {
    const one = await followCourse(moving(uncover, onePiece, { segment: bar }));
    const joints = jointsOf(one.whole, 21);
    expect(joints.map(({ x }) => x)).toEqual(Array.from({ length: 21 }, (_, i) => expect.closeTo(i / 2, 5) as number));
    const many = await followCourse(moving(uncover));
    expect(jointsOf(many.whole, 10)).toHaveLength(40); // two a piece, at the least
    const stiff = await followCourse(moving(uncover, { fit: { kind: 'stiff', stands: 'square' } }));
    expect(jointsOf(stiff.whole, 500)).toHaveLength(20);
  });

  it('carry a mesh that is at rest to itself, and all its vertices hang on joints by weights that make one', async () => {
    const input = await followCourse(moving({ growth: { kind: 'stretchOut', seconds: 1 } }, onePiece, { table: RING, segment: bar })); // prettier-ignore
    const joints = jointsOf(input.whole, 40);
    const rests = restPoses(joints, input.whole);
    const mesh = buildRunMesh(input.whole, { materials: [], images: [] });
    const skin = buildSkin(input.whole, joints, rests);
    for (let v = 0; v < skin.weights.length; v += INFLUENCES) {
      const sum = skin.weights.subarray(v, v + INFLUENCES).reduce((a, b) => a + b, 0);
      expect(sum).toBeCloseTo(1, 6);
    }
    const tracks = await jointTracks(joints, input);
    const out = new Float32Array(mesh.positions.length);
    const swells = joints.map(() => false);
    fillSkinned(out, mesh.positions, skin, tracks, swells, 10); // all has grown
    out.forEach((value, i) => expect(Math.abs(value - mesh.positions[i])).toBeLessThan(2e-6));
    fillSkinned(out, mesh.positions, skin, tracks, swells, 5);
    const half = bendRun((await input.planAt(5)).plan).positions;
    const off = Math.max(...Array.from({ length: 40 }, (_, v) => Math.hypot(...[0, 1, 2].map((c) => out[v * 3 + c] - half[v * 3 + c])))); // prettier-ignore
    expect(off).toBeLessThan(0.02);
  });

  it('of a piece that is not there lie all in one point and have no size', async () => {
    const input = await followCourse(moving({ growth: { kind: 'oneByOne', seconds: 1, each: 0.2, turn: 'number', come: 'atOnce', height: 0 } })); // prettier-ignore
    const joints = jointsOf(input.whole, 80);
    const tracks = await jointTracks(joints, input);
    const last = joints.flatMap(({ piece }, j) => (piece === 19 ? [j] : []));
    expect(last.length).toBeGreaterThan(1);
    for (const j of last) {
      expect([...tracks[j].subarray(7, 10)]).toEqual([0, 0, 0]);
      expect([...tracks[j].subarray(0, 3)]).toEqual([...tracks[last[0]].subarray(0, 3)]);
      expect(tracks[j][10 * POSE_STRIDE + 8]).toBe(1);
    }
  });
});
