import { KINK_ANGLE, MITRE_LIMIT } from '../math/tolerance';
import { cross, dot, length, normalize, scale, sub, type Vec3 } from '../math/vec3';
import { FORWARD, FRAME_STRIDE, SIDE, UP, type Kink, type Spans } from './frame-table';

/** The corners of a path: where one span ends and the next one begins in another direction. A closed path's seam lies at station 0. */
export function findKinks(frames: Float64Array, { starts, firsts }: Spans, closed: boolean): Kink[] {
  const kinks: Kink[] = [];
  const spans = starts.length - 1;
  const count = firsts[spans];
  for (let k = closed ? 0 : 1; k < spans; k++) {
    const after = firsts[k];
    const before = (k === 0 ? count : after) - 1;
    const [a, b] = [before * FRAME_STRIDE + FORWARD, after * FRAME_STRIDE + FORWARD];
    const [dx, dy, dz] = [frames[b] - frames[a], frames[b + 1] - frames[a + 1], frames[b + 2] - frames[a + 2]];
    if (dx * dx + dy * dy + dz * dz <= KINK_ANGLE * KINK_ANGLE) continue;
    kinks.push({ station: starts[k], before, after, ...cornerAt(frames, before, after) });
  }
  return kinks;
}

const vec = (frames: Float64Array, at: number): Vec3 => [frames[at], frames[at + 1], frames[at + 2]];

/**
 * The mitre: a direction across either leg, slid along that leg into the plane that bisects the corner. Where frames turn over the
 * corner by no more than they must, both legs give the same; where they turn more, the mean. Corners sharper than a mitre is of use for
 * (SVG 1.1, 11.4, stroke-miterlimit) are cut as if they were not.
 */
function cornerAt(frames: Float64Array, before: number, after: number): Pick<Kink, 'angle' | 'up' | 'side'> {
  const [a, b] = [before * FRAME_STRIDE, after * FRAME_STRIDE];
  const [t1, t2] = [vec(frames, a + FORWARD), vec(frames, b + FORWARD)];
  const angle = Math.atan2(length(cross(t1, t2)), dot(t1, t2));
  const slope = Math.min(Math.tan(angle / 2), Math.sqrt(MITRE_LIMIT * MITRE_LIMIT - 1));
  const inward1 = normalize(sub(t2, scale(t1, dot(t1, t2))), [0, 0, 0]);
  const inward2 = normalize(sub(scale(t2, dot(t1, t2)), t1), [0, 0, 0]);
  const slid = (at: number): Vec3 => {
    const [v, w] = [vec(frames, a + at), vec(frames, b + at)];
    const [back, on] = [slope * dot(v, inward1), slope * dot(w, inward2)];
    return [0, 1, 2].map((c) => (v[c] - t1[c] * back + w[c] + t2[c] * on) / 2) as unknown as Vec3;
  };
  return { angle, up: slid(UP), side: slid(SIDE) };
}
