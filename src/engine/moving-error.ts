import type { FollowedCourse } from '../core/bending/follow-course';
import { comesAtOnce, type JointTrack } from '../core/bending/joint-poses';
import { fillSkinned, type Skin } from '../core/bending/skin';
import type { OnProgress } from '../core/math/progress';
import type { Mesh } from '../core/mesh/mesh';
import type { Shapes } from './moving-shapes';
import { soupsAt } from './moving-soups';
import { surfaceGap } from './surface-gap';

/** Where between one frame and the next a file is held against the course. */
const BETWEEN = [0, 0.5] as const;
/** From one frame to the next, where it was worst. */
const FINELY = [0.02, 0.15, 0.3, 0.4, 0.6, 0.7, 0.85, 0.98] as const;
/** Stretches between frames that are looked at finely. */
const WORST = 4;
/** What is off by less than this share of the worst so far need not be known better. */
const NEAR_WORST = 0.7;
/** Triangles that are looked at in all, and at one moment, at the least and at the most. */
const IN_ALL = 60_000;
const [FEW, MANY] = [200, 900];
/** Triangles from which hierarchies are built, in all: of larger courses fewer moments are looked at, never fewer than so many. */
const BUILT = 8_000_000;
const FEWEST = 64;
/** What lies between the places that are looked at may be off by more, by this factor. */
const MARGIN = 1.05;
/** Of its largest coordinate: what the numbers of a file, of 32 bits, may be off by, added up over a skin. */
const ROUNDING = 2 ** -22;

/**
 * How far what a player shows of a file is off the course, at the most, metres: between surfaces, both ways, at the frames and between them. `fileAt` =
 * where the file has its vertices at a moment.
 */
async function worstOff(
  mesh: Mesh,
  input: FollowedCourse,
  fileAt: (out: Float32Array, moment: number) => void,
  onProgress?: OnProgress,
): Promise<number> {
  const last = input.moments - 1;
  const filed = new Float32Array(mesh.positions.length);
  let farthest = 0;
  let worst = 0;
  const offAt = async (moment: number, most: number): Promise<number> => {
    fileAt(filed, moment);
    for (let i = 0; i < filed.length; i += 97) farthest = Math.max(farthest, Math.abs(filed[i]));
    const { file, truth } = await soupsAt(input, filed, moment);
    const off = surfaceGap(file, truth, most, worst * NEAR_WORST);
    worst = Math.max(worst, off);
    return off;
  };
  // (1) Over all of the time.
  const all = Array.from({ length: last }, (_, k) => BETWEEN.map((share) => k + share))
    .flat()
    .concat(last);
  const count = Math.max(Math.min(all.length, Math.floor((BUILT * 3) / mesh.indices.length)), Math.min(FEWEST, all.length)); // prettier-ignore
  const step = all.length / count;
  const looks = Array.from({ length: count }, (_, i) => all[Math.min(Math.floor(i * step), all.length - 1)]);
  const most = Math.min(Math.max(Math.floor(IN_ALL / count), FEW), MANY);
  const found: { frame: number; off: number }[] = [];
  for (const [i, moment] of looks.entries()) {
    found.push({ frame: Math.min(Math.floor(moment), Math.max(last - 1, 0)), off: await offAt(moment, most) });
    onProgress?.((0.7 * (i + 1)) / count);
  }
  // (2) Finely where it was worst.
  const worstOfFrames = new Map<number, number>();
  for (const { frame, off } of found) worstOfFrames.set(frame, Math.max(worstOfFrames.get(frame) ?? 0, off));
  const frames = [...worstOfFrames].toSorted((a, b) => b[1] - a[1]).slice(0, last > 0 ? WORST : 0);
  for (const [i, [frame]] of frames.entries()) {
    for (const share of [...BETWEEN, ...FINELY, 1]) await offAt(frame + share, MANY);
    onProgress?.(0.7 + (0.3 * (i + 1)) / frames.length);
  }
  return worst * MARGIN + farthest * ROUNDING;
}

/** How far a skinned course is off its own motion. */
export function offOfSkin(
  mesh: Mesh,
  skin: Skin,
  tracks: readonly JointTrack[],
  input: FollowedCourse,
  onProgress?: OnProgress,
): Promise<number> {
  const atOnce = tracks.map(comesAtOnce);
  return worstOff(
    mesh,
    input,
    (out, moment) => fillSkinned(out, mesh.positions, skin, tracks, atOnce, moment),
    onProgress,
  );
}

/** How far a course that goes from shape to shape is off its own motion. */
export function offOfShapes(
  mesh: Mesh,
  { shapes, moments }: Shapes,
  input: FollowedCourse,
  onProgress?: OnProgress,
): Promise<number> {
  return worstOff(
    mesh,
    input,
    (out, moment) => {
      const next = moments.findIndex((own) => own > moment);
      const i = next < 0 ? Math.max(moments.length - 2, 0) : next - 1;
      const b = Math.min(i + 1, moments.length - 1);
      const share = b > i ? (moment - moments[i]) / (moments[b] - moments[i]) : 0;
      const [from, to] = [shapes[i].positions, shapes[b].positions];
      for (let p = 0; p < out.length; p++) out[p] = mesh.positions[p] + (1 - share) * from[p] + share * to[p];
    },
    onProgress,
  );
}
