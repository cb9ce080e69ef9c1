import { buildRunMesh } from '../core/bending/build-run';
import { instancesOf, PLACE_STRIDE } from '../core/bending/instances';
import { fillMatrix, type JointTrack } from '../core/bending/joint-poses';
import { followCourse, type MovingInput } from '../core/bending/follow-course';
import { jointsOf, jointTracks, restPoses } from '../core/bending/joint-tracks';
import { buildSkin } from '../core/bending/skin';
import { floatBelow } from '../core/math/float-below';
import { fitOf } from '../core/layout/fit-registry';
import { partOf, type OnProgress } from '../core/math/progress';
import type { Mesh } from '../core/mesh/mesh';
import type { NamedMesh } from '../formats/format';
import type { CoursePieces } from './course-segments';
import { offOfShapes, offOfSkin } from './moving-error';
import { buildShapes } from './moving-shapes';

/** How what bends is to move: on joints, about so many a course, or from shape to shape, so many of them. */
export interface Manner {
  readonly by: 'joints' | 'shapes';
  readonly most: number;
}

/** Joints or shapes a course where nothing else is asked for, and at the most. */
export const MANNER_DEFAULTS = { joints: 64, shapes: 24 } as const;
export const MOST_OF_MANNER = 2000;

/** A course that moves, in objects of a file. */
export interface MovingCourse {
  readonly objects: readonly NamedMesh[];
  /** Metres: how far the file's motion is off the course's own, at the most. */
  readonly off: number;
  readonly joints: number;
  readonly shapes: number;
}

/** Seconds at each moment of a motion. */
export type Times = Float32Array;

/** A course that moves as it is written: pieces that keep their shape as nodes, the others by joints or shapes. */
export async function buildMovingCourse(
  name: string,
  source: CoursePieces,
  asked: MovingInput,
  times: Times,
  manner: Manner,
  onProgress?: OnProgress,
): Promise<MovingCourse> {
  const input = await followCourse(asked);
  const { rest, origin, whole } = input;
  if (whole.pieces.length === 0) return { objects: [], off: 0, joints: 0, shapes: 0 }; // it comes later, or never
  const base = { name, ...(origin.some((c) => c !== 0) && { origin }) };
  const working = partOf(onProgress, 0, 0.6);
  const looking = partOf(onProgress, 0.6, 1);
  const isRigid = fitOf(rest.fit).isRigid ?? false;
  if (manner.by === 'shapes' && !isRigid) {
    const mesh = buildRunMesh(whole, source);
    const made = await buildShapes(mesh, input, Math.min(manner.most, input.moments), working);
    const off = await offOfShapes(mesh, made, input, looking);
    const shown = Float32Array.from(made.moments, (moment) => floatBelow(timeAt(times, moment)));
    return { objects: [{ ...base, mesh, moves: { by: 'shapes', times: shown, shapes: made.shapes } }], off, joints: 0, shapes: shown.length }; // prettier-ignore
  }
  const joints = jointsOf(whole, manner.most);
  const rests = restPoses(joints, whole);
  const tracks = await jointTracks(joints, input);
  working?.(1);
  const skinned = buildRunMesh(whole, source);
  const skin = buildSkin(whole, joints, rests);
  const off = await offOfSkin(skinned, skin, tracks, input, looking);
  const sets = isRigid ? instancesOf(rest) : undefined;
  if (sets?.every(({ tints }) => !tints)) {
    // Those that wear one form are nodes with one mesh, which counts from the joint.
    const objects = sets.map(({ form }): NamedMesh => {
      const worn = whole.pieces.flatMap((piece, i) => (piece.form === form ? [i] : []));
      const { materials, images } = source;
      const mesh = { ...movedBack(form.mesh, form.box.min[0]), materials, images };
      const own = worn.map((i) => tracks[i]);
      return {
        ...base,
        mesh,
        places: placesOf(worn.map((i) => rests[i])),
        moves: { by: 'places', times, tracks: own },
      };
    });
    return { objects, off, joints: 0, shapes: 0 };
  }
  return { objects: [{ ...base, mesh: skinned, moves: { by: 'joints', times, tracks, ...skin } }], off, joints: joints.length, shapes: 0 }; // prettier-ignore
}

/** Seconds at a moment that may lie between two. */
function timeAt(times: Times, moment: number): number {
  const i = Math.min(Math.floor(moment), times.length - 1);
  const next = times[i + 1] ?? times[i];
  return times[i] + (moment - i) * (next - times[i]);
}

const movedBack = (mesh: Mesh, x: number): Mesh => ({
  ...mesh,
  positions: mesh.positions.map((value, i) => (i % 3 === 0 ? value - x : value)),
});

/** Poses as matrices of places. */
function placesOf(poses: readonly JointTrack[]): Float64Array {
  const places = new Float64Array(poses.length * PLACE_STRIDE);
  const m = new Float64Array(12);
  poses.forEach((pose, i) => {
    fillMatrix(m, 0, pose);
    for (let column = 0; column < 4; column++) places.set(m.subarray(column * 3, column * 3 + 3), i * PLACE_STRIDE + column * 4); // prettier-ignore
    places[i * PLACE_STRIDE + 15] = 1;
  });
  return places;
}
