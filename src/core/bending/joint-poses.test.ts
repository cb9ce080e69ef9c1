import { Matrix4, Quaternion, Vector3 } from 'three';
import { seededRandom } from '../math/random';
import { ROW_FACTOR, ROW_GAUGE, ROW_STRIDE } from '../segment/pieces/rows';
import { comesAtOnce, fillMatrix, fillPose, inverseOf, poseBetween, POSE_STRIDE, settleTrack } from './joint-poses';
import { BEYOND, BESIDE, HERE } from './rows-there';

const next = seededRandom(5);
/** A row that lies anywhere, of any size. */
function anyRow(): { row: Float64Array; matrix: Matrix4 } {
  const turn = new Quaternion(...[0, 1, 2, 3].map(() => next() - 0.5)).normalize();
  const place = new Vector3(...[0, 1, 2].map(() => (next() - 0.5) * 20));
  const scale = new Vector3(...[0, 1, 2].map(() => 0.2 + next()));
  const matrix = new Matrix4().compose(place, turn, scale);
  const row = new Float64Array(ROW_STRIDE);
  row.set(place.toArray(), 0);
  [0, 1, 2].forEach((axis) =>
    row.set(new Vector3().setFromMatrixColumn(matrix, axis).normalize().toArray(), 3 + axis * 3),
  );
  [row[ROW_FACTOR], row[ROW_GAUGE], row[ROW_GAUGE + 1]] = scale.toArray();
  return { row, matrix };
}

const poseOf = (row: Float64Array, gone = HERE) => {
  const pose = new Float64Array(POSE_STRIDE);
  fillPose(pose, 0, row, gone, [0, 0, 0]);
  return pose;
};

describe('poses of joints', () => {
  it('make the matrix that three composes, and its inverse, for turns of every kind', () => {
    for (let i = 0; i < 200; i++) {
      const { row, matrix } = anyRow();
      const pose = poseOf(row);
      const own = new Float64Array(12);
      fillMatrix(own, 0, pose);
      for (let column = 0; column < 4; column++)
        for (let c = 0; c < 3; c++) expect(own[column * 3 + c]).toBeCloseTo(matrix.elements[column * 4 + c], 9);
      matrix
        .clone()
        .invert()
        .elements.forEach((value, k) => expect(inverseOf(pose)[k]).toBeCloseTo(value, 8));
    }
  });

  it('go from one to the next as three’s slerp does, by the shorter way', () => {
    for (let i = 0; i < 100; i++) {
      const track = Float64Array.of(...poseOf(anyRow().row), ...poseOf(anyRow().row));
      settleTrack(track);
      const pose = new Float64Array(POSE_STRIDE);
      const share = next();
      poseBetween(pose, track, share, false);
      const [a, b] = [0, POSE_STRIDE].map((at) => new Quaternion(...track.subarray(at + 3, at + 7)));
      expect(a.dot(b)).toBeGreaterThanOrEqual(0);
      expect(a.slerp(b, share).angleTo(new Quaternion(...pose.subarray(3, 7)))).toBeLessThan(1e-6);
      expect(pose[0]).toBeCloseTo((1 - share) * track[0] + share * track[POSE_STRIDE], 12);
    }
  });

  it('are flat beside what is there and a point beyond; what comes and goes does so at once, what swells does not', () => {
    const { row } = anyRow();
    row.fill(1, ROW_GAUGE, ROW_FACTOR + 1);
    const [here, beside, beyond] = [HERE, BESIDE, BEYOND].map((gone) => [...poseOf(row, gone)]);
    expect([here, beside, beyond].map((pose) => pose.slice(7))).toEqual([[1, 1, 1], [0, 1, 1], [0, 1e-6, 1e-6]]); // prettier-ignore
    const nothing = Array.from({ length: POSE_STRIDE }, () => 0);
    const trackOf = (...poses: number[][]) => Float64Array.of(...poses.flat());
    expect(comesAtOnce(trackOf(nothing, beyond, beside, here))).toBe(true);
    expect(comesAtOnce(trackOf(here, here))).toBe(false);
    const half = here.map((value, c) => (c >= 7 ? value / 2 : value));
    expect(comesAtOnce(trackOf(nothing, half, here))).toBe(false);
  });

  it('of what is not there are where it comes, or where it went', () => {
    const [one, other] = [poseOf(anyRow().row), poseOf(anyRow().row)];
    const nothing = new Float64Array(POSE_STRIDE);
    const track = Float64Array.of(...nothing, ...one, ...nothing, ...other);
    settleTrack(track);
    for (const at of [0, 2]) expect([...track.subarray(at * POSE_STRIDE, at * POSE_STRIDE + 3)]).toEqual([...one.subarray(0, 3)]); // prettier-ignore
    const never = new Float64Array(POSE_STRIDE * 2);
    settleTrack(never);
    expect(Math.hypot(...never.subarray(3, 7))).toBe(1); // a turn has to be one
  });
});
