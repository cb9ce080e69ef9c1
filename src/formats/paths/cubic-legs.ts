import type { PathPoint } from '../../core/curve/path-spec';
import { distance, sub, type Vec3 } from '../../core/math/vec3';
import type { BroughtPath } from './path-format';

/** Gathers straight and cubic legs, one after another, into a path. */
export class CubicLegs {
  readonly #points: PathPoint[];
  #isCurved = false;

  constructor(start: Vec3) {
    this.#points = [{ position: start }];
  }

  get length(): number {
    return this.#points.length;
  }

  get end(): Vec3 {
    return this.#points[this.#points.length - 1].position;
  }

  line(to: Vec3): void {
    this.#points.push({ position: to }); // its handles come when they are needed
  }

  cubic(c1: Vec3, c2: Vec3, to: Vec3): void {
    const last = this.#points.pop()!;
    this.#points.push({ ...last, handleOut: sub(c1, last.position) }, { position: to, handleIn: sub(c2, to) });
    this.#isCurved = true;
  }

  /** An arc about a centre in the plane of u and v, from one angle to another, as cubics of at most 45° (radius off by 4e-6 of it). */
  arc(centre: Vec3, u: Vec3, v: Vec3, from: number, to: number): void {
    const count = Math.max(1, Math.ceil(Math.abs(to - from) / (Math.PI / 4) - 1e-9));
    const step = (to - from) / count;
    const k = (4 / 3) * Math.tan(step / 4);
    const at = (c: number, s: number): Vec3 => [
      centre[0] + c * u[0] + s * v[0],
      centre[1] + c * u[1] + s * v[1],
      centre[2] + c * u[2] + s * v[2],
    ];
    for (let i = 0; i < count; i++) {
      const [a, b] = [from + i * step, from + (i + 1) * step];
      const [ca, sa, cb, sb] = [Math.cos(a), Math.sin(a), Math.cos(b), Math.sin(b)];
      this.cubic(at(ca - k * sa, sa + k * ca), at(cb + k * sb, sb - k * cb), at(cb, sb));
    }
  }

  /** Closed when asked for, or when the end lies on the start. Corners keep broken handles. */
  build(name: string, closed = false): BroughtPath {
    let points = this.#isCurved ? withStraightLegs(this.#points) : this.#points;
    const first = points[0];
    const last = points[points.length - 1];
    const size = points.reduce((most, { position }) => Math.max(most, distance(position, first.position)), 0);
    const meets = points.length > 2 && distance(first.position, last.position) <= size * 1e-9;
    if (meets) points = [{ ...first, ...(last.handleIn && { handleIn: last.handleIn }) }, ...points.slice(1, -1)];
    const plain = () => points.map(({ position }) => ({ position }));
    return {
      name,
      kind: this.#isCurved ? 'handles' : 'straight',
      closed: closed || meets,
      points: this.#isCurved ? points.map(brokenWhereSharp) : plain(),
    };
  }
}

/** Legs without handles get those of a straight one. */
function withStraightLegs(points: readonly PathPoint[]): PathPoint[] {
  const out = [...points];
  for (let i = 1; i < out.length; i++) {
    const [a, b] = [out[i - 1], out[i]];
    if (a.handleOut || b.handleIn) continue;
    out[i - 1] = { ...a, handleOut: sub(lerpThird(a.position, b.position), a.position) };
    out[i] = { ...b, handleIn: sub(lerpThird(b.position, a.position), b.position) };
  }
  return out;
}

const lerpThird = (a: Vec3, b: Vec3): Vec3 => [
  a[0] + (b[0] - a[0]) / 3,
  a[1] + (b[1] - a[1]) / 3,
  a[2] + (b[2] - a[2]) / 3,
];

function brokenWhereSharp(point: PathPoint): PathPoint {
  const { handleIn: a, handleOut: b } = point;
  if (!a || !b) return point;
  const cosine = -(a[0] * b[0] + a[1] * b[1] + a[2] * b[2]) / (Math.hypot(...a) * Math.hypot(...b) || 1);
  return cosine < 0.9999 ? { ...point, broken: true } : point;
}
