import { bendRun } from '../core/bending/build-run';
import type { FollowedCourse } from '../core/bending/follow-course';
import type { PosedPiece } from '../core/motion/pose-course';
import { firstsOf } from './moving-shapes';
import type { Soup } from './surface-gap';

/**
 * What a file shows of a course and the course itself at one moment, as loose triangles. Pieces that are there whole have the triangles that they have
 * in the file, hidden ends between them as well: those are no fault of it.
 */
export async function soupsAt(
  input: FollowedCourse,
  filed: Float32Array,
  moment: number,
): Promise<{ readonly file: Soup; readonly truth: Soup }> {
  const { whole } = input;
  const firsts = firstsOf(whole.pieces);
  const { plan, origin } = await input.planAt(moment);
  const copiesOf = new Map<number, number[]>();
  whole.pieces.forEach(({ laid: { placement } }, i) =>
    copiesOf.set(placement.piece, [...(copiesOf.get(placement.piece) ?? []), i]),
  );
  const pieces = plan.pieces.map((posed): PosedPiece => {
    const [own] = copiesOf.get(posed.laid.placement.piece) ?? [];
    return own !== undefined && isWhole(posed, whole.pieces[own]) ? { ...posed, form: whole.pieces[own].form } : posed;
  });
  const vertexCount = pieces.reduce((sum, { form }) => sum + form.mesh.positions.length / 3, 0);
  const { positions } = bendRun({ fit: plan.fit, pieces, vertexCount });
  const by = origin.map((c, i) => c - input.origin[i]);
  if (by.some((c) => c !== 0)) for (let i = 0; i < positions.length; i++) positions[i] += by[i % 3];
  const [file, truth] = [soupOf(whole.pieces, filed), soupOf(pieces, positions)];
  // Each whole piece's twin is the nearest of its copies in the file.
  const starts = trianglesBefore(pieces);
  const filedStarts = trianglesBefore(whole.pieces);
  let base = 0;
  pieces.forEach(({ form, laid }, i) => {
    const own = base * 3;
    base += form.mesh.positions.length / 3;
    const copies = (copiesOf.get(laid.placement.piece) ?? []).filter((copy) => whole.pieces[copy].form === form);
    const away = (copy: number) =>
      Math.hypot(...[0, 1, 2].map((c) => filed[firsts[copy] * 3 + c] - positions[own + c]));
    const [copy] = copies.toSorted((a, b) => away(a) - away(b));
    if (copy === undefined) return;
    const [from, at, count] = [filedStarts[copy] * 9, starts[i] * 9, form.mesh.indices.length * 3];
    truth.twins.set(file.corners.subarray(from, from + count), at);
    file.twins.set(truth.corners.subarray(at, at + count), from);
  });
  return { file, truth };
}

/** Nothing of a piece is cut off, and no corner needs rows of its own. */
const isWhole = ({ form, laid }: PosedPiece, rest: PosedPiece): boolean =>
  form.corners === rest.form.corners &&
  laid.worn.length === rest.laid.worn.length &&
  form.box.min[0] <= rest.form.box.min[0] &&
  form.box.max[0] >= rest.form.box.max[0];

function trianglesBefore(pieces: readonly PosedPiece[]): number[] {
  let count = 0;
  return pieces.map(({ form }) => (count += form.mesh.indices.length / 3) - form.mesh.indices.length / 3);
}

/** The triangles of pieces whose vertices lie one after the other. */
function soupOf(
  pieces: readonly PosedPiece[],
  positions: Float32Array,
): Required<Soup> & { readonly twins: Float32Array } {
  const corners = new Float32Array(pieces.reduce((sum, { form }) => sum + form.mesh.indices.length * 3, 0));
  let [at, base] = [0, 0];
  for (const { form } of pieces) {
    for (const v of form.mesh.indices) {
      for (let c = 0; c < 3; c++) corners[at + c] = positions[(base + v) * 3 + c];
      at += 3;
    }
    base += form.mesh.positions.length / 3;
  }
  return { corners, twins: new Float32Array(corners.length).fill(NaN) };
}
