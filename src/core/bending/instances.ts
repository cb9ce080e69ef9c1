import { buildRows, fitOf } from '../layout/fit-registry';
import type { Box } from '../mesh/box';
import type { CoursePlan, PosedPiece } from '../motion/pose-course';
import { ROW_FACTOR, ROW_GAUGE } from '../segment/pieces/rows';
import { hasCoats } from './coats';
import type { PreparedSegment } from '../segment/prepared-segment';

/** Numbers per place: a 4 x 4 matrix by columns, from segment space to places counted from the table's origin. */
export const PLACE_STRIDE = 16;

/** Pieces that wear one form and keep its shape. */
export interface InstanceSet {
  readonly form: PreparedSegment;
  /** Flat, see {@link PLACE_STRIDE}. */
  readonly places: Float64Array;
  /** Linear red, green, blue each, where pieces differ in them. */
  readonly tints?: Float32Array;
}

/** A course as few meshes at many places; undefined where its pieces are bent, or differ in more than their place and tint. */
export function instancesOf({ fit, pieces }: CoursePlan): readonly InstanceSet[] | undefined {
  const differs = ({ look, shape }: PosedPiece) =>
    (look?.shift ?? 0) !== 0 || shape.lanes.some(({ name }) => name === 'textureShift');
  if (!fitOf(fit).isRigid || pieces.length < 2 || pieces.some(differs)) return undefined;
  if (pieces.some(({ form }) => hasCoats(form.mesh))) return undefined; // each has coats of its own
  const sets = new Map<PreparedSegment, PosedPiece[]>();
  for (const piece of pieces) {
    const own = sets.get(piece.form);
    if (own) own.push(piece);
    else sets.set(piece.form, [piece]);
  }
  return [...sets].map(([form, own]) => {
    // One row says it all: the others lie along its forward.
    const probe: PreparedSegment = { ...form, rows: Uint32Array.of(0, 1) };
    const x = form.mesh.positions[0];
    const places = new Float64Array(own.length * PLACE_STRIDE);
    const room = new Float64Array(64);
    own.forEach(({ shape, place }, i) => fillPlace(places, i * PLACE_STRIDE, buildRows(fit, probe, shape, place, room).frames, x)); // prettier-ignore
    const hasTints = own.some(({ look }) => look !== undefined);
    const tints = hasTints ? Float32Array.from(own.flatMap(({ look }) => look?.tint ?? [1, 1, 1])) : undefined;
    return { form, places, ...(tints && { tints }) };
  });
}

/** Writes the matrix of a piece of which a row lies at x metres of the segment. */
function fillPlace(out: Float64Array, at: number, row: Float64Array, x: number): void {
  const scales = [row[ROW_FACTOR], row[ROW_GAUGE], row[ROW_GAUGE + 1]];
  for (let axis = 0; axis < 3; axis++)
    for (let c = 0; c < 3; c++) out[at + axis * 4 + c] = scales[axis] * row[3 + axis * 3 + c];
  for (let c = 0; c < 3; c++) out[at + 12 + c] = row[c] - x * out[at + c];
  out[at + 15] = 1;
}

/** The box round all instances, by the corners of their form's: half as far to either side of its middle as its axes reach. */
export function boxOfInstances(sets: readonly InstanceSet[]): Box {
  const min: [number, number, number] = [Infinity, Infinity, Infinity];
  const max: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const { form, places } of sets) {
    const { min: low, max: high } = form.box;
    const [x, y, z] = [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2];
    const [rx, ry, rz] = [high[0] - x, high[1] - y, high[2] - z];
    for (let at = 0; at < places.length; at += PLACE_STRIDE)
      for (let c = 0; c < 3; c++) {
        const [a, b, d] = [places[at + c], places[at + 4 + c], places[at + 8 + c]];
        const middle = a * x + b * y + d * z + places[at + 12 + c];
        const reach = Math.abs(a) * rx + Math.abs(b) * ry + Math.abs(d) * rz;
        if (middle - reach < min[c]) min[c] = middle - reach;
        if (middle + reach > max[c]) max[c] = middle + reach;
      }
  }
  return { min, max };
}
