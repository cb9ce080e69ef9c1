import type { MeshBuilder } from '../../mesh/mesh-builder';
import { addGrid, type Wear } from './grid';
import type { Placed } from './plate';

/** A corner of a profile: metres along the axis and away from it. */
export interface ProfilePoint {
  readonly x: number;
  readonly r: number;
  /** The profile bends here with an edge; otherwise both sides share their normals. */
  readonly isEdge?: boolean;
}

/**
 * A profile turned about x, or about the direction that `place` puts x on. It runs forward for an outside, backward for an inside; points on the axis close it.
 * Texture: u = metres along the profile, v = metres round the widest circle, so that it does not shear.
 */
export function revolveProfile(
  builder: MeshBuilder,
  wear: Wear,
  profile: readonly ProfilePoint[],
  sides: number,
  wearOf: (leg: number) => Wear = () => wear,
  place: Placed = (a, b, c) => [a, b, c],
): void {
  const widest = profile.reduce((most, { r }) => Math.max(most, r), 0);
  const slopes = profile.slice(0, -1).map(({ x, r }, i) => {
    const next = profile[i + 1];
    const l = Math.hypot(next.x - x, next.r - r) || 1;
    return [-(next.r - r) / l, (next.x - x) / l] as const; // normal: along, away
  });
  const origin = place(0, 0, 0);
  let along = 0;
  for (let i = 0; i + 1 < profile.length; i++) {
    const [from, to] = [profile[i], profile[i + 1]];
    const own = slopes[i];
    const start = i > 0 && !from.isEdge ? blend(slopes[i - 1], own) : own;
    const end = i + 2 < profile.length && !to.isEdge ? blend(own, slopes[i + 1]) : own;
    const step = Math.hypot(to.x - from.x, to.r - from.r);
    const ring = ({ x, r }: ProfilePoint, [nx, nr]: readonly [number, number], u: number) =>
      Array.from({ length: sides + 1 }, (_, j) => {
        const angle = (2 * Math.PI * (j % sides)) / sides;
        const [c, s] = [Math.cos(angle), Math.sin(angle)];
        const n = place(nx, nr * c, nr * s);
        const normal = [n[0] - origin[0], n[1] - origin[1], n[2] - origin[2]] as const;
        return builder.vertex(place(x, r * c, r * s), normal, [u, (2 * Math.PI * widest * j) / sides]);
      });
    addGrid(builder, wearOf(i), [ring(from, start, along), ring(to, end, along + step)]);
    along += step;
  }
}

function blend(a: readonly [number, number], b: readonly [number, number]): readonly [number, number] {
  const l = Math.hypot(a[0] + b[0], a[1] + b[1]) || 1;
  return [(a[0] + b[0]) / l, (a[1] + b[1]) / l];
}
