import { PartsThere, type FollowedCourse } from '../core/bending/follow-course';
import { bendThere } from '../core/bending/bend-there';
import type { OnProgress } from '../core/math/progress';
import type { PosedPiece } from '../core/motion/pose-course';
import type { Mesh } from '../core/mesh/mesh';

/** Positions and normals of a course at a moment, and which of its pieces, counting copies, are there at all. */
export interface MomentShape {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly isThere: Uint8Array;
}

/** Shapes of a course, as they differ from its rest, at some of its moments. */
export interface Shapes {
  readonly shapes: readonly MomentShape[];
  readonly moments: readonly number[];
}

/** Works out a course's shape at one moment after the other; what is not there has no place. */
export function shapesOf(rest: Pick<Mesh, 'positions' | 'normals'>, input: FollowedCourse) {
  const { pieces } = input.whole;
  const firsts = firstsOf(pieces);
  const parts = new PartsThere(input);
  return async (moment: number): Promise<MomentShape> => {
    const { there, origin } = await parts.at(moment);
    const by = origin.map((c, i) => c - input.origin[i]);
    const positions = new Float32Array(rest.positions.length);
    const normals = Float32Array.from(rest.normals);
    const isThere = Uint8Array.from(there, (own) => (own.length > 0 ? 1 : 0));
    there.forEach((own, i) => {
      const [from, to] = [firsts[i] * 3, firsts[i + 1] * 3];
      if (own.length === 0) return;
      bendThere(positions, normals, firsts[i], input.rest, pieces[i], own);
      if (by.some((c) => c !== 0)) for (let p = from; p < to; p++) positions[p] += by[(p - from) % 3];
    });
    return { positions, normals, isThere };
  };
}

/** The first vertex of each piece, and the count of all at the end. */
export function firstsOf(pieces: readonly PosedPiece[]): Uint32Array {
  const firsts = new Uint32Array(pieces.length + 1);
  pieces.forEach(({ form }, i) => (firsts[i + 1] = firsts[i] + form.mesh.positions.length / 3));
  return firsts;
}

/** The shapes of a course at so many moments, evenly, the first and the last with them. */
export async function buildShapes(
  rest: Mesh,
  input: FollowedCourse,
  count: number,
  onProgress?: OnProgress,
): Promise<Shapes> {
  const moments = Array.from({ length: count }, (_, i) => ((input.moments - 1) * i) / Math.max(count - 1, 1));
  const shapeAt = shapesOf(rest, input);
  const shapes: MomentShape[] = [];
  for (const moment of moments) {
    shapes.push(await shapeAt(moment));
    onProgress?.(shapes.length / count);
  }
  gather(shapes, firstsOf(input.whole.pieces));
  for (const { positions, normals } of shapes)
    for (let p = 0; p < positions.length; p++) {
      positions[p] -= rest.positions[p];
      normals[p] -= rest.normals[p];
    }
  return { shapes, moments };
}

/** A piece that is not there is a point where it comes next, or where it went: it grows out of that from one shape to the next, and into it. */
function gather(shapes: readonly MomentShape[], firsts: Uint32Array): void {
  for (let piece = 0; piece + 1 < firsts.length; piece++) {
    const isThere = (shape: MomentShape) => shape.isThere[piece] === 1;
    shapes.forEach((shape, i) => {
      if (isThere(shape)) return;
      const from = shapes.slice(i).find(isThere) ?? shapes.slice(0, i).findLast(isThere);
      const at = firsts[piece] * 3;
      const point = from ? from.positions.slice(at, at + 3) : [0, 0, 0];
      for (let p = at; p < firsts[piece + 1] * 3; p++) shape.positions[p] = point[(p - at) % 3];
    });
  }
}
